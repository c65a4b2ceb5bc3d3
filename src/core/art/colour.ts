/** Colour as the eye counts it: sRGB (IEC 61966-2-1), CIELAB for D65, and the difference ΔE00 (CIE 142-2001). */

export type Rgb = readonly [number, number, number];
export interface Lab {
  readonly L: number;
  readonly a: number;
  readonly b: number;
}

const { atan2, cbrt, cos, exp, hypot, sin, sqrt, PI, abs } = Math;

/** Linear light 0..1 of a channel value 0..255. */
export const linearOf = (v: number): number => {
  const c = v / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
};

export function rgbOf(hex: string): Rgb {
  const at = (i: number) => parseInt(hex.slice(i, i + 2), 16);
  return [at(1), at(3), at(5)];
}

export const hexOf = (c: Rgb): string =>
  `#${c
    .map((v) =>
      Math.round(Math.max(0, Math.min(255, v)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

const f = (t: number): number => (t > 216 / 24389 ? cbrt(t) : (841 / 108) * t + 4 / 29);

/** CIELAB of linear sRGB light, D65 white. */
export function labOfLight(r: number, g: number, b: number): Lab {
  const x = f((0.4123907993 * r + 0.3575843394 * g + 0.1804807884 * b) / 0.9504559271);
  const y = f(0.2126390059 * r + 0.7151686788 * g + 0.0721923154 * b);
  const z = f((0.0193308187 * r + 0.1191947798 * g + 0.9505321522 * b) / 1.0890577508);
  return { L: 116 * y - 16, a: 500 * (x - y), b: 200 * (y - z) };
}

export const labOf = ([r, g, b]: Rgb): Lab => labOfLight(linearOf(r), linearOf(g), linearOf(b));

const DEG = PI / 180;
const C25 = 25 ** 7;

const hueOf = (b: number, a: number): number => {
  const h = atan2(b, a) / DEG;
  return h < 0 ? h + 360 : h;
};

/** ΔE00 of two CIELAB colours (Sharma, Wu and Dalal, Color Res. Appl. 30, 2005). 1 is about the least the eye sees side by side. */
export function difference(L1: number, a1: number, b1: number, L2: number, a2: number, b2: number): number {
  if (L1 === L2 && a1 === a2 && b1 === b2) return 0;
  const mean = (hypot(a1, b1) + hypot(a2, b2)) / 2;
  const m7 = mean ** 7;
  const g = 0.5 * (1 - sqrt(m7 / (m7 + C25)));
  const p1 = a1 * (1 + g);
  const p2 = a2 * (1 + g);
  const c1 = hypot(p1, b1);
  const c2 = hypot(p2, b2);
  const h1 = c1 === 0 ? 0 : hueOf(b1, p1);
  const h2 = c2 === 0 ? 0 : hueOf(b2, p2);
  const grey = c1 * c2 === 0;
  const turn = h2 - h1;
  const dh = grey ? 0 : abs(turn) <= 180 ? turn : turn > 180 ? turn - 360 : turn + 360;
  const dL = L2 - L1;
  const dC = c2 - c1;
  const dH = 2 * sqrt(c1 * c2) * sin((dh / 2) * DEG);
  const L = (L1 + L2) / 2;
  const C = (c1 + c2) / 2;
  const sum = h1 + h2;
  const h = grey ? sum : abs(turn) <= 180 ? sum / 2 : sum < 360 ? sum / 2 + 180 : sum / 2 - 180;
  const t =
    1 -
    0.17 * cos((h - 30) * DEG) +
    0.24 * cos(2 * h * DEG) +
    0.32 * cos((3 * h + 6) * DEG) -
    0.2 * cos((4 * h - 63) * DEG);
  const c7 = C ** 7;
  const l50 = (L - 50) * (L - 50);
  const sL = 1 + (0.015 * l50) / sqrt(20 + l50);
  const sC = 1 + 0.045 * C;
  const sH = 1 + 0.015 * C * t;
  const rT = -2 * sqrt(c7 / (c7 + C25)) * sin(60 * DEG * exp(-(((h - 275) / 25) ** 2)));
  const l = dL / sL;
  const c = dC / sC;
  const hh = dH / sH;
  return sqrt(Math.max(0, l * l + c * c + hh * hh + rT * c * hh));
}
