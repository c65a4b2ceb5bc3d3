import { cellDifference, labGrid, type LabGrid, type Pixels, type PixelWindow } from './pixels';

/**
 * Where the join between two panels shows least. The panel laid first is cut along the path, the second lies under it by the overlap: what
 * shows is a slip sideways, and a thin edge where the papers change. Both hide in busy or dark ground and in bare white.
 */
export interface JoinPath {
  /** Column of the grid at every row. */
  readonly cols: readonly number[];
  /** 0..100: mean of what shows along the path. */
  readonly shows: number;
}

const { abs, max, min } = Math;

/** What a join at a cell shows: the step a slip of one cell makes, and how plain the ground is that a dark edge would stand on. */
export function joinCost(g: LabGrid): Float32Array {
  const cost = new Float32Array(g.cols * g.rows);
  for (let r = 0; r < g.rows; r += 1)
    for (let c = 0; c < g.cols; c += 1) {
      const i = r * g.cols + c;
      const right = c + 1 < g.cols ? i + 1 : i - 1;
      const down = r + 1 < g.rows ? i + g.cols : i - g.cols;
      const slip = (cellDifference(g, i, max(0, right)) + cellDifference(g, i, max(0, down))) / 2;
      const L = g.lab[i * 3] as number;
      // An edge is a dark or pale thread: worst on mid tones that are plain, hidden by black, absent on white.
      const ground = (min(L, 100 - L) / 50) * 12 * (1 - min(1, slip / 12));
      cost[i] = slip + ground;
    }
  return cost;
}

/**
 * Path of least cost from the first row to the last, moving at most one column a row: dynamic programming (Efros and Freeman, SIGGRAPH
 * 2001). Of equal paths the one nearest the middle is taken.
 */
export function leastPath(cost: Float32Array, cols: number, rows: number): readonly number[] {
  const sum = Float64Array.from(cost.subarray(0, cols * rows));
  const mid = (cols - 1) / 2;
  for (let c = 0; c < cols; c += 1) sum[c] = (sum[c] as number) + 1e-9 * abs(c - mid);
  for (let r = 1; r < rows; r += 1)
    for (let c = 0; c < cols; c += 1) {
      const up = (r - 1) * cols;
      const best = min(
        sum[up + c] as number,
        c > 0 ? (sum[up + c - 1] as number) : Infinity,
        c + 1 < cols ? (sum[up + c + 1] as number) : Infinity,
      );
      const i = r * cols + c;
      sum[i] = (sum[i] as number) + best + 1e-9 * abs(c - mid);
    }
  const path: number[] = [];
  let at = 0;
  for (let r = rows - 1; r >= 0; r -= 1) {
    const from = r === rows - 1 ? 0 : max(0, at - 1);
    const to = r === rows - 1 ? cols - 1 : min(cols - 1, at + 1);
    let best = from;
    for (let c = from; c <= to; c += 1)
      if ((sum[r * cols + c] as number) < (sum[r * cols + best] as number)) best = c;
    at = best;
    path.push(at);
  }
  return path.reverse();
}

const meanAlong = (cost: Float32Array, cols: number, path: readonly number[]): number =>
  path.reduce((s, c, r) => s + (cost[r * cols + c] as number), 0) / max(1, path.length);

/** The join that hides best within a strip of a picture, and what a straight one down its middle would show. */
export function findJoin(
  p: Pixels,
  strip: PixelWindow,
  cols: number,
  rows: number,
): { readonly hidden: JoinPath; readonly straight: JoinPath } {
  const cost = joinCost(labGrid(p, strip, cols, rows));
  const path = leastPath(cost, cols, rows);
  const middle = Array.from({ length: rows }, () => Math.floor(cols / 2));
  const score = (cells: readonly number[]) => min(100, 5 * meanAlong(cost, cols, cells));
  return {
    hidden: { cols: path, shows: score(path) },
    straight: { cols: middle, shows: score(middle) },
  };
}

export type JoinShows = 'hidden' | 'close' | 'arm' | 'plain';

/** How well a join hides, by how much it shows, 0 to 100. */
export const joinShows = (shows: number): JoinShows =>
  shows < 8 ? 'hidden' : shows < 22 ? 'close' : shows < 45 ? 'arm' : 'plain';
