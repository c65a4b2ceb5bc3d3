import type { Point } from './plane';

/** A plane affine map [a b c d e f]: x' = a x + c y + e, y' = b x + d y + f (column order of SVG and PDF). */
export type Affine = readonly [number, number, number, number, number, number];

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0];
export const translate = (x: number, y: number): Affine => [1, 0, 0, 1, x, y];
export const scale = (sx: number, sy = sx): Affine => [sx, 0, 0, sy, 0, 0];

/** Clockwise on a y-down board. */
export function rotate(deg: number): Affine {
  const quarter = ((deg % 360) + 360) % 360;
  // Quarter turns are exact, so a sheet turned on its side keeps exact edges.
  const exactTurns: Readonly<Record<number, readonly [number, number]>> = {
    0: [1, 0],
    90: [0, 1],
    180: [-1, 0],
    270: [0, -1],
  };
  const [c, s] = exactTurns[quarter] ?? [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  return [c, s, -s, c, 0, 0];
}

/** Left to right about the vertical line x = `axis`. */
export const mirrorX = (axis: number): Affine => [-1, 0, 0, 1, 2 * axis, 0];

/** The product; adding 0 turns −0 into 0, which JSON could not keep. */
const times = (m: Affine, n: Affine): Affine => [
  m[0] * n[0] + m[2] * n[1] + 0,
  m[1] * n[0] + m[3] * n[1] + 0,
  m[0] * n[2] + m[2] * n[3] + 0,
  m[1] * n[2] + m[3] * n[3] + 0,
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
];

/** The product of maps, the last applied first. */
export const compose = (...maps: readonly Affine[]): Affine => maps.reduce(times, IDENTITY);

export const apply = (m: Affine, p: Point): Point => ({
  x: m[0] * p.x + m[2] * p.y + m[4],
  y: m[1] * p.x + m[3] * p.y + m[5],
});

/** Signed area factor: negative exactly when the map mirrors. */
export const determinant = (m: Affine): number => m[0] * m[3] - m[1] * m[2];

/** Inverse of a map that does not collapse the plane; null when it does. */
export function invert(m: Affine): Affine | null {
  const det = determinant(m);
  if (det === 0 || !Number.isFinite(det)) return null;
  const [a, b, c, d, e, f] = m;
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

/**
 * Stored pixels of a picture to pixels as seen, for EXIF orientation 1..8 (Exif 2.32, tag 0x0112). `w` and `h` are the
 * size as seen.
 */
export function orientationMap(orientation: number, w: number, h: number): Affine {
  switch (orientation) {
    case 2:
      return [-1, 0, 0, 1, w, 0];
    case 3:
      return [-1, 0, 0, -1, w, h];
    case 4:
      return [1, 0, 0, -1, 0, h];
    case 5:
      return [0, 1, 1, 0, 0, 0];
    case 6:
      return [0, 1, -1, 0, w, 0];
    case 7:
      return [0, -1, -1, 0, w, h];
    case 8:
      return [0, -1, 1, 0, 0, h];
    default:
      return IDENTITY;
  }
}
