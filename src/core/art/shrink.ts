import type { Pixels } from './pixels';

const { ceil, floor, max, min, round } = Math;

/**
 * Shrinks a picture by averaging the area each new pixel covers: the low pass that keeps fine lines from breaking up when there are more
 * pixels than dots. A factor of 1 or less returns the picture itself.
 */
export function shrink(p: Pixels, factor: number): Pixels {
  if (factor <= 1.0001) return p;
  const width = max(1, round(p.width / factor));
  const height = max(1, round(p.height / factor));
  const across = weights(p.width, width);
  const down = weights(p.height, height);
  const row = new Float32Array(p.width * 4);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1) {
    sumRows(p, down, y, row);
    sumCols(row, across, data, y, width);
  }
  return { width, height, data };
}

interface Weights {
  readonly first: Int32Array;
  readonly last: Int32Array;
  /** Share of the first and of the last source cell that belongs to the new one. */
  readonly firstShare: Float64Array;
  readonly lastShare: Float64Array;
  readonly per: number;
}

function weights(from: number, to: number): Weights {
  const per = from / to;
  const first = new Int32Array(to);
  const last = new Int32Array(to);
  const firstShare = new Float64Array(to);
  const lastShare = new Float64Array(to);
  for (let i = 0; i < to; i += 1) {
    const a = i * per;
    const b = min(from, (i + 1) * per);
    first[i] = floor(a);
    last[i] = min(from - 1, ceil(b) - 1);
    firstShare[i] = min(1, floor(a) + 1 - a, b - a);
    lastShare[i] = b - (last[i] as number);
  }
  return { first, last, firstShare, lastShare, per };
}

/** One new row before its columns are gathered: colours weighted by their alpha. */
function sumRows(p: Pixels, w: Weights, y: number, row: Float32Array): void {
  row.fill(0);
  const first = w.first[y] as number;
  const last = w.last[y] as number;
  const { data } = p;
  const n = p.width * 4;
  for (let s = first; s <= last; s += 1) {
    const k =
      (s === first ? (w.firstShare[y] as number) : s === last ? (w.lastShare[y] as number) : 1) / w.per;
    let i = s * n;
    for (let x = 0; x < n; x += 4, i += 4) {
      const a = k * (data[i + 3] as number);
      row[x] = (row[x] as number) + a * (data[i] as number);
      row[x + 1] = (row[x + 1] as number) + a * (data[i + 1] as number);
      row[x + 2] = (row[x + 2] as number) + a * (data[i + 2] as number);
      row[x + 3] = (row[x + 3] as number) + a;
    }
  }
}

function sumCols(row: Float32Array, w: Weights, data: Uint8ClampedArray, y: number, width: number): void {
  let o = y * width * 4;
  for (let x = 0; x < width; x += 1, o += 4) {
    const first = w.first[x] as number;
    const last = w.last[x] as number;
    let r = 0;
    let g = 0;
    let b = 0;
    let a = 0;
    for (let s = first; s <= last; s += 1) {
      const k = s === first ? (w.firstShare[x] as number) : s === last ? (w.lastShare[x] as number) : 1;
      const i = s * 4;
      r += k * (row[i] as number);
      g += k * (row[i + 1] as number);
      b += k * (row[i + 2] as number);
      a += k * (row[i + 3] as number);
    }
    if (a <= 0) continue;
    // A clamped array rounds what it is given.
    data[o] = r / a;
    data[o + 1] = g / a;
    data[o + 2] = b / a;
    data[o + 3] = a / w.per;
  }
}
