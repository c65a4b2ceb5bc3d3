import { difference, labOfLight, linearOf } from './colour';

/** A picture in memory: rows of red, green, blue, alpha, 0..255 each, alpha not multiplied in. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

export interface LabGrid {
  readonly cols: number;
  readonly rows: number;
  /** L, a, b in turn, row after row. */
  readonly lab: Float32Array;
}

/** Part of a picture, px. */
export interface PixelWindow {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const { ceil, floor, min, max } = Math;

/** Sums over the cells of a grid laid over part of a picture, on white where it is clear. Whole numbers but for clear parts: exact. */
function cellSums(p: Pixels, w: PixelWindow, cols: number, rows: number): Float64Array {
  const sums = new Float64Array(cols * rows * 4);
  const { data } = p;
  // Where each column of cells ends: a run of pixels is summed in the hand and put down once.
  const ends = Int32Array.from({ length: cols }, (_, c) => ceil(((c + 1) * w.width) / cols));
  for (let y = 0; y < w.height; y += 1) {
    let at = min(rows - 1, floor((y * rows) / w.height)) * cols * 4;
    let i = ((w.y + y) * p.width + w.x) * 4;
    let x = 0;
    for (let c = 0; c < cols; c += 1, at += 4) {
      const end = min(w.width, ends[c] as number);
      const n = end - x;
      let r = 0;
      let g = 0;
      let b = 0;
      for (; x < end; x += 1, i += 4) {
        const a = data[i + 3] as number;
        if (a === 255) {
          r += data[i] as number;
          g += data[i + 1] as number;
          b += data[i + 2] as number;
        } else {
          const k = a / 255;
          r += 255 + k * ((data[i] as number) - 255);
          g += 255 + k * ((data[i + 1] as number) - 255);
          b += 255 + k * ((data[i + 2] as number) - 255);
        }
      }
      sums[at] = (sums[at] as number) + r;
      sums[at + 1] = (sums[at + 1] as number) + g;
      sums[at + 2] = (sums[at + 2] as number) + b;
      sums[at + 3] = (sums[at + 3] as number) + n;
    }
  }
  return sums;
}

/** A coarse copy of part of a picture in CIELAB, cell by cell. */
export function labGrid(p: Pixels, w: PixelWindow, cols: number, rows: number): LabGrid {
  const means = cellSums(p, w, cols, rows);
  const lab = new Float32Array(cols * rows * 3);
  for (let c = 0; c < cols * rows; c += 1) {
    const n = max(1, means[c * 4 + 3] as number);
    const at = labOfLight(
      linearOf((means[c * 4] as number) / n),
      linearOf((means[c * 4 + 1] as number) / n),
      linearOf((means[c * 4 + 2] as number) / n),
    );
    lab[c * 3] = at.L;
    lab[c * 3 + 1] = at.a;
    lab[c * 3 + 2] = at.b;
  }
  return { cols, rows, lab };
}

/** ΔE00 between two cells of a grid. */
export function cellDifference(g: LabGrid, a: number, b: number): number {
  const { lab } = g;
  return difference(
    lab[a * 3] as number,
    lab[a * 3 + 1] as number,
    lab[a * 3 + 2] as number,
    lab[b * 3] as number,
    lab[b * 3 + 1] as number,
    lab[b * 3 + 2] as number,
  );
}
