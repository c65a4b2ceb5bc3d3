import type { Affine } from '../geometry/affine';
import { invert } from '../geometry/affine';
import { straight, type Bend } from './bend';
import type { Pixels } from './pixels';
import type { Rect } from '../geometry/plane';
import { resampleRun, phased, HALF, PHASE_BITS, PHASES, WEIGHT_BITS, WEIGHTS } from './resampleRun';
import { shrink } from './shrink';

const { abs, ceil, floor, hypot, max, min, round } = Math;

/** What a bent picture is made of: the source, where it lies on the straight board, and the part of the paper wanted. */
export interface BendRequest {
  readonly source: Pixels;
  /** Every copy, source px to board mm; the last lies on top. */
  readonly tiles: readonly Affine[];
  /** Null lays the board straight on the paper. */
  readonly bend: Bend | null;
  /** Part of the paper, mm, and its resolution. */
  readonly area: Rect;
  readonly perMm: number;
}

const sizePx = (
  request: Pick<BendRequest, 'area' | 'perMm'>,
): { readonly width: number; readonly height: number } => ({
  width: max(1, round(request.area.width * request.perMm)),
  height: max(1, round(request.area.height * request.perMm)),
});

/** Steps of the coarse net on which the bend is calculated exactly; between its knots it is straight to a thousandth of a millimetre. */
const NET = 16;

interface Net {
  readonly cols: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/** Board mm under the knots of two net rows, at output rows y and y + NET. */
function netRow(request: BendRequest, width: number, y: number): Net {
  const cols = ceil(width / NET) + 1;
  const x = new Float64Array(cols);
  const yy = new Float64Array(cols);
  for (let c = 0; c < cols; c += 1) {
    const paper = {
      x: request.area.x + (c * NET + 0.5) / request.perMm,
      y: request.area.y + (y + 0.5) / request.perMm,
    };
    const p = request.bend ? straight(request.bend, paper) : paper;
    x[c] = p.x;
    yy[c] = p.y;
  }
  return { cols, x, y: yy };
}

interface Tile {
  readonly back: Affine;
}

/** A bend made ready: the source already at the resolution of the paper, its tiles turned round. */
export interface ReadyBend {
  readonly request: BendRequest;
  readonly width: number;
  readonly height: number;
  readonly source: Pixels;
  /** The source's pixels whole, red lowest (every machine a browser runs on puts it so). */
  readonly whole: Uint32Array;
  readonly tiles: readonly Tile[];
  readonly opaque: boolean;
}

/** Low-passes the source to the resolution of the paper once, before any row is made. */
export function readyBend(request: BendRequest): ReadyBend {
  const [first] = request.tiles;
  const mmPerPx = first ? hypot(first[0], first[1]) : 1;
  // Level bends widen at most by the taper; the mean scale serves for all.
  const perDot = 1 / (mmPerPx * request.perMm);
  const source = shrink(request.source, perDot);
  const kx = source.width / request.source.width;
  const ky = source.height / request.source.height;
  const tiles = request.tiles.flatMap((t): Tile[] => {
    const back = invert(t);
    if (!back) return [];
    return [{ back: [back[0] * kx, back[1] * ky, back[2] * kx, back[3] * ky, back[4] * kx, back[5] * ky] }];
  });
  const whole = wholePixels(source.data);
  return { request, ...sizePx(request), source, whole, tiles: tiles.reverse(), opaque: isOpaque(whole) };
}

function wholePixels(data: Pixels['data']): Uint32Array {
  const own = data.byteOffset % 4 === 0 ? data : data.slice();
  return new Uint32Array(own.buffer, own.byteOffset, own.length >> 2);
}

function isOpaque(whole: Uint32Array): boolean {
  for (let i = 0; i < whole.length; i += 1) if ((whole[i] as number) >>> 24 !== 255) return false;
  return true;
}

/** Rows from y0 up to y1 of the bent picture, RGBA. Clear where no copy of the picture reaches. */
export function bendRows(r: ReadyBend, y0: number, y1: number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(r.width * (y1 - y0) * 4);
  const out32 = new Uint32Array(out.buffer);
  let foot = netRow(r.request, r.width, y0);
  for (let from = y0; from < y1; from += NET) {
    const top = foot;
    foot = netRow(r.request, r.width, from + NET);
    const to = min(y1, from + NET);
    for (let y = from; y < to; y += 1)
      oneRow(r, top, foot, (y - from) / NET, { out, out32 }, (y - y0) * r.width);
  }
  return out;
}

interface Out {
  readonly out: Uint8ClampedArray;
  /** The same memory, a pixel at a time. */
  readonly out32: Uint32Array;
}

function oneRow(r: ReadyBend, top: Net, foot: Net, part: number, to: Out, start: number): void {
  const at = (a: Float64Array, b: Float64Array, c: number) =>
    (a[c] as number) * (1 - part) + (b[c] as number) * part;
  for (let c = 0; c + 1 < top.cols; c += 1) {
    const x0 = at(top.x, foot.x, c);
    const dx = (at(top.x, foot.x, c + 1) - x0) / NET;
    const yy0 = at(top.y, foot.y, c);
    const dy = (at(top.y, foot.y, c + 1) - yy0) / NET;
    const n = min(NET, r.width - c * NET);
    run(r, x0, yy0, dx, dy, n, to, start + c * NET);
  }
}

/** A short straight run of output pixels over board mm. The topmost copy that reaches a pixel gives it. */
function run(
  r: ReadyBend,
  x0: number,
  y0: number,
  dx: number,
  dy: number,
  n: number,
  to: Out,
  start: number,
): void {
  for (const { back } of r.tiles) {
    const u0 = back[0] * x0 + back[2] * y0 + back[4] - 0.5;
    const v0 = back[1] * x0 + back[3] * y0 + back[5] - 0.5;
    const du = back[0] * dx + back[2] * dy;
    const dv = back[1] * dx + back[3] * dy;
    if (misses(u0, du, n, r.source.width) || misses(v0, dv, n, r.source.height)) continue;
    if (r.opaque) runOpaque(r, u0, v0, du, dv, n, to, start);
    else runClear(r.source, u0, v0, du, dv, n, to.out, start * 4);
  }
}

const misses = (a: number, d: number, n: number, size: number): boolean => {
  const b = a + d * (n - 1);
  return max(a, b) < -0.5 || min(a, b) > size - 0.5;
};

const clampTo = (v: number, most: number): number => (v < 0 ? 0 : v > most ? most : v);

function runOpaque(
  r: ReadyBend,
  u0: number,
  v0: number,
  du: number,
  dv: number,
  n: number,
  to: Out,
  start: number,
): void {
  const { width, height } = r.source;
  const lastU = u0 + du * (n - 1);
  const lastV = v0 + dv * (n - 1);
  const inside =
    min(u0, lastU) >= 1 && max(u0, lastU) < width - 2 && min(v0, lastV) >= 1 && max(v0, lastV) < height - 2;
  if (inside) {
    resampleRun(r.whole, width, u0, v0, du, dv, n, to.out32, start);
    return;
  }
  for (let k = 0, o = start; k < n; k += 1, o += 1) {
    const u = u0 + du * k;
    const v = v0 + dv * k;
    if ((to.out32[o] as number) >>> 24 === 255) continue;
    if (u >= -0.5 && v >= -0.5 && u <= width - 0.5 && v <= height - 0.5)
      nearEdge(r.source, u, v, to.out, o * 4);
  }
}

/** One pixel near the edge of the source: what lies past the edge is the edge. */
function nearEdge(s: Pixels, u: number, v: number, out: Uint8ClampedArray, o: number): void {
  const { data, width, height } = s;
  const pu = phased(u);
  const pv = phased(v);
  const cu = (pu & (PHASES - 1)) * 4;
  const cv = (pv & (PHASES - 1)) * 4;
  const x = (pu >> PHASE_BITS) - 1;
  const y = (pv >> PHASE_BITS) - 1;
  const sum = [HALF, HALF, HALF];
  for (let j = 0; j < 3; j += 1)
    for (let i = 0; i < 3; i += 1) {
      const w = (WEIGHTS[cv + j] as number) * (WEIGHTS[cu + i] as number);
      const at = (clampTo(y - 1 + j, height - 1) * width + clampTo(x - 1 + i, width - 1)) * 4;
      for (let c = 0; c < 3; c += 1) sum[c] = (sum[c] as number) + w * (data[at + c] as number);
    }
  for (let c = 0; c < 3; c += 1) out[o + c] = (sum[c] as number) >> (2 * WEIGHT_BITS);
  out[o + 3] = 255;
}

/** The same between four neighbours, colours weighted by their alpha, laid under what is there already. */
function runClear(
  s: Pixels,
  u0: number,
  v0: number,
  du: number,
  dv: number,
  n: number,
  out: Uint8ClampedArray,
  start: number,
): void {
  const { data, width, height } = s;
  for (let k = 0, o = start; k < n; k += 1, o += 4) {
    const u = u0 + du * k;
    const v = v0 + dv * k;
    const over = (out[o + 3] as number) / 255;
    if (u < -0.5 || v < -0.5 || u > width - 0.5 || v > height - 0.5 || over === 1) continue;
    const x = floor(u);
    const y = floor(v);
    let r = 0;
    let g = 0;
    let b = 0;
    let a = 0;
    for (let j = 0; j < 2; j += 1)
      for (let i = 0; i < 2; i += 1) {
        const at = (clampTo(y + j, height - 1) * width + clampTo(x + i, width - 1)) * 4;
        const w = abs(1 - i - (u - x)) * abs(1 - j - (v - y)) * (data[at + 3] as number);
        r += w * (data[at] as number);
        g += w * (data[at + 1] as number);
        b += w * (data[at + 2] as number);
        a += w;
      }
    if (a <= 0) continue;
    const under = ((1 - over) * a) / 255;
    const sum = over + under;
    out[o] = ((out[o] as number) * over + (r / a) * under) / sum;
    out[o + 1] = ((out[o + 1] as number) * over + (g / a) * under) / sum;
    out[o + 2] = ((out[o + 2] as number) * over + (b / a) * under) / sum;
    out[o + 3] = sum * 255;
  }
}
