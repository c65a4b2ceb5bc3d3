import { type Message, say } from '../message/message';
import { cellDifference, labGrid, type LabGrid, type Pixels, type PixelWindow } from './pixels';

/** How hard a seam is to close so that it does not show. */
export type SeamClass = 'plain' | 'continues' | 'must match' | 'breaks';

export interface SeamCut {
  /** Where the left end of the wrap falls in the picture, and how much of it the wrap takes, px. */
  readonly startPx: number;
  readonly lengthPx: number;
  /** Mean ΔE00 between the two ends: what shows even in a perfect seam. */
  readonly mismatch: number;
  /** Root mean square ΔE00 from place to place along the cut: how much there is to bring in line. */
  readonly crossing: number;
  readonly cost: number;
  readonly class: SeamClass;
}

export interface SeamSearch {
  /** Cost of each start, evenly from the first to the last possible. */
  readonly curve: readonly { readonly startPx: number; readonly cost: number }[];
  /** The best few, each in a valley of its own, best first. */
  readonly best: readonly SeamCut[];
  /** The cut as the picture lies now. */
  readonly asIs: SeamCut;
}

export interface SeamRequest {
  /** Rows of the picture on the wrap. */
  readonly fromRow: number;
  readonly toRow: number;
  /** Length of the wrap in the picture's pixels. */
  readonly lengthPx: number;
  readonly startPx: number;
  /** The picture goes round again where it ends: any start will do. */
  readonly cyclic: boolean;
  /** The picture may be enlarged by up to this share, so that the wrap takes less of it. 0..0.2 */
  readonly enlarge: number;
}

const ROWS = 72;
const MOST_COLS = 2400;
/** Enlarged cuts given a full look: the best of all lengths by the rough measure. */
const LENGTHS = 24;
const BEST = 4;
/** The same at the two ends matters most; what there is to line up matters a quarter as much. */
const CROSSING_WEIGHT = 0.25;

const { abs, ceil, floor, max, min, round, sqrt } = Math;

export function seamClass(mismatch: number, crossing: number): SeamClass {
  if (mismatch > 9) return 'breaks';
  if (mismatch < 2.5 && crossing < 1.2) return 'plain';
  return crossing < 3.2 && mismatch < 6 ? 'continues' : 'must match';
}

/** What a class asks of the bench. */
export const SEAM_WORDS: Readonly<Record<SeamClass, { readonly label: Message; readonly asks: Message }>> = {
  plain: {
    label: say('art.plainGround'),
    asks: say('art.forgivingSeamHalfMillimetre'),
  },
  continues: {
    label: say('art.continues'),
    asks: say('art.groundRunsOverSeam'),
  },
  'must match': {
    label: say('art.mustMatch'),
    asks: say('art.shapesCrossSeamTrim'),
  },
  breaks: {
    label: say('art.breaks'),
    asks: say('art.twoEndsDifferShow'),
  },
};

interface Cols {
  readonly grid: LabGrid;
  /** Picture px to a column. */
  readonly step: number;
}

function columnsOf(p: Pixels, request: SeamRequest): Cols {
  const y = max(0, min(p.height - 1, floor(request.fromRow)));
  const height = max(1, min(p.height, ceil(request.toRow)) - y);
  const w: PixelWindow = { x: 0, y, width: p.width, height };
  const cols = min(MOST_COLS, p.width);
  return { grid: labGrid(p, w, cols, min(ROWS, height)), step: p.width / cols };
}

/** Mean over the rows of the difference between two columns. */
function mismatchOf({ grid }: Cols, a: number, b: number): number {
  let sum = 0;
  for (let r = 0; r < grid.rows; r += 1) sum += cellDifference(grid, r * grid.cols + a, r * grid.cols + b);
  return sum / grid.rows;
}

/** Root mean square of the difference from row to row down each column: one hard edge counts for more than much soft ground. */
function crossings({ grid }: Cols): Float64Array {
  const out = new Float64Array(grid.cols);
  for (let c = 0; c < grid.cols; c += 1) {
    let sum = 0;
    for (let r = 1; r < grid.rows; r += 1)
      sum += cellDifference(grid, r * grid.cols + c, (r - 1) * grid.cols + c) ** 2;
    out[c] = sqrt(sum / max(1, grid.rows - 1));
  }
  return out;
}

/** Squared CIELAB distance, summed over every fourth row: enough to tell which lengths are worth a full look. */
function roughly({ grid }: Cols, a: number, b: number): number {
  const { lab, cols, rows } = grid;
  let sum = 0;
  for (let r = 0; r < rows; r += 4) {
    const i = (r * cols + a) * 3;
    const j = (r * cols + b) * 3;
    const dL = (lab[i] as number) - (lab[j] as number);
    const da = (lab[i + 1] as number) - (lab[j + 1] as number);
    const db = (lab[i + 2] as number) - (lab[j + 2] as number);
    sum += dL * dL + da * da + db * db;
  }
  return sum;
}

/**
 * Searches every cut a wide or cyclic picture allows. The ends of a wrap of length l starting at s meet: column s follows column s + l, so
 * a picture that repeats every l px costs nothing wherever it is cut.
 */
export function seamSearch(p: Pixels, request: SeamRequest): SeamSearch {
  const cols = columnsOf(p, request);
  const n = cols.grid.cols;
  const crossing = crossings(cols);
  const wrap = (c: number) => (request.cyclic ? ((c % n) + n) % n : max(0, min(n - 1, c)));
  const cut = (start: number, length: number): SeamCut => {
    const a = wrap(start);
    const b = wrap(start + length);
    const mismatch = mismatchOf(cols, a, b);
    const crosses = ((crossing[a] as number) + (crossing[b] as number)) / 2;
    return {
      startPx: start * cols.step,
      lengthPx: length * cols.step,
      mismatch,
      crossing: crosses,
      cost: mismatch + CROSSING_WEIGHT * crosses,
      class: seamClass(mismatch, crosses),
    };
  };
  const full = max(1, round(request.lengthPx / cols.step));
  const lastStart = (length: number) => (request.cyclic ? n - 1 : max(0, n - length));
  const curve = Array.from({ length: lastStart(full) + 1 }, (_, s) => cut(s, full));
  const enlarged =
    request.enlarge > 0
      ? shorter(cols, full, request.enlarge, lastStart, wrap).map(([s, l]) => cut(s, l))
      : [];
  const asIs = cut(round(request.startPx / cols.step), full);
  return {
    curve: thinned(curve),
    best: valleys([...valleysOf(curve), ...enlarged], n * cols.step * 0.03)
      .map((c) => (cols.step > 1 ? refined(p, request, c, cols.step) : c))
      .sort((x, y) => x.cost - y.cost),
    asIs: { ...asIs, startPx: request.startPx, lengthPx: request.lengthPx },
  };
}

/**
 * Starts and lengths worth a look when the picture is enlarged: of every length the slack allows, column by column, the best start by a rough
 * measure. A picture may close at one length only, so none is passed over.
 */
function shorter(
  cols: Cols,
  full: number,
  enlarge: number,
  lastStart: (length: number) => number,
  wrap: (c: number) => number,
): readonly (readonly [number, number])[] {
  const least = max(1, ceil(full / (1 + enlarge)));
  const found: (readonly [number, number, number])[] = [];
  for (let length = full - 1; length >= least; length -= 1) {
    let at = 0;
    let lowest = Infinity;
    for (let s = 0; s <= lastStart(length); s += 1) {
      const rough = roughly(cols, wrap(s), wrap(s + length));
      if (rough < lowest) {
        lowest = rough;
        at = s;
      }
    }
    found.push([at, length, lowest]);
  }
  return found
    .sort((p, q) => p[2] - q[2])
    .slice(0, LENGTHS)
    .map(([s, l]) => [s, l]);
}

/** Columns of a picture around a place, a pixel each; `x` is the first of them. */
function strip(
  p: Pixels,
  request: SeamRequest,
  centrePx: number,
  reach: number,
): { readonly x: number; readonly grid: LabGrid } {
  const y = max(0, min(p.height - 1, floor(request.fromRow)));
  const height = max(1, min(p.height, ceil(request.toRow)) - y);
  const width = 2 * reach + 1;
  const x = max(0, min(p.width - width, centrePx - reach));
  return { x, grid: labGrid(p, { x, y, width, height }, width, min(ROWS, height)) };
}

/** Two grids of as many rows, side by side. */
function beside(a: LabGrid, b: LabGrid): LabGrid {
  const cols = a.cols + b.cols;
  const lab = new Float32Array(cols * a.rows * 3);
  for (let r = 0; r < a.rows; r += 1) {
    lab.set(a.lab.subarray(r * a.cols * 3, (r + 1) * a.cols * 3), r * cols * 3);
    lab.set(b.lab.subarray(r * b.cols * 3, (r + 1) * b.cols * 3), (r * cols + a.cols) * 3);
  }
  return { cols, rows: a.rows, lab };
}

/** A cut found on coarse columns, moved to the picture's own pixels: start and end within a column of where they were. */
function refined(p: Pixels, request: SeamRequest, c: SeamCut, step: number): SeamCut {
  const reach = ceil(step);
  const inside = (px: number) =>
    request.cyclic ? ((px % p.width) + p.width) % p.width : max(0, min(p.width - 1, px));
  const [aPx, bPx] = [inside(round(c.startPx)), inside(round(c.startPx + c.lengthPx))];
  const [left, right] = [strip(p, request, aPx, reach), strip(p, request, bPx, reach)];
  const cols: Cols = { grid: beside(left.grid, right.grid), step: 1 };
  const least = request.lengthPx / (1 + request.enlarge);
  let best = c;
  for (let i = 0; i < left.grid.cols; i += 1)
    for (let j = 0; j < right.grid.cols; j += 1) {
      const [atStart, atEnd] = [left.x + i - aPx, right.x + j - bPx];
      const lengthPx = round(c.startPx + c.lengthPx) + atEnd - round(c.startPx) - atStart;
      // Of full length or enlarged as far as asked, to the pixel.
      if (lengthPx < floor(least) || lengthPx > ceil(request.lengthPx)) continue;
      const mismatch = mismatchOf(cols, i, left.grid.cols + j);
      if (mismatch >= best.mismatch) continue;
      best = {
        ...c,
        startPx: round(c.startPx) + atStart,
        lengthPx,
        mismatch,
        cost: mismatch + CROSSING_WEIGHT * c.crossing,
        class: seamClass(mismatch, c.crossing),
      };
    }
  return best;
}

/** Lowest points of the curve, lower than both neighbours. */
const valleysOf = (curve: readonly SeamCut[]): readonly SeamCut[] =>
  curve.filter(
    (c, i) => c.cost <= (curve[i - 1]?.cost ?? Infinity) && c.cost <= (curve[i + 1]?.cost ?? Infinity),
  );

/** The best few, no two closer than `apartPx` at the same length. */
function valleys(cuts: readonly SeamCut[], apartPx: number): readonly SeamCut[] {
  const kept: SeamCut[] = [];
  for (const c of [...cuts].sort((a, b) => a.cost - b.cost)) {
    if (kept.length >= BEST) break;
    if (kept.every((k) => abs(k.startPx - c.startPx) > apartPx)) kept.push(c);
  }
  return kept;
}

const CURVE_POINTS = 320;

/** The curve with at most so many points, the lowest of each stretch kept so that no valley is lost. */
function thinned(curve: readonly SeamCut[]): SeamSearch['curve'] {
  const per = ceil(curve.length / CURVE_POINTS);
  const out: { startPx: number; cost: number }[] = [];
  for (let i = 0; i < curve.length; i += per) {
    const low = curve.slice(i, i + per).reduce((a, b) => (b.cost < a.cost ? b : a));
    out.push({ startPx: low.startPx, cost: low.cost });
  }
  return out;
}
