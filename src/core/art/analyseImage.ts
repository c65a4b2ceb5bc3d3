import type { Pixels } from './pixels';

/** What one square of a picture holds, shares 0..1. */
export interface ImageCell {
  readonly clear: number;
  readonly white: number;
  readonly pale: number;
  readonly dark: number;
  /** Mean ink, percent of one full colour (three colours and black together reach 400). */
  readonly inkPct: number;
}

export interface Frame {
  readonly kind: 'white' | 'clear';
  /** How deep a bare frame runs in from each side, px as seen. */
  readonly topPx: number;
  readonly rightPx: number;
  readonly bottomPx: number;
  readonly leftPx: number;
}

/** What was found in the pixels of a picture: all that the checks before printing need of them. */
export interface ImageAnalysis {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly cols: number;
  readonly rows: number;
  /** Row after row. */
  readonly cells: readonly ImageCell[];
  readonly frames: readonly Frame[];
  /** Narrowest strokes there are enough of to be meant, px; null where there are none. */
  readonly finestPx: number | null;
}

const ANALYSIS_COLS = 24;
const ANALYSIS_ROWS = 16;

const { floor, max, min } = Math;

/** Ink a driver lays for a colour, percent: black takes the place of half of what the three colours share (grey component replacement). */
const INK = (c: number, m: number, y: number): number => c + m + y - min(c, m, y);

/** Lightness near enough for these shares: Rec. 709 luma of the coded values, 0..255, in whole numbers. */
const luma = (r: number, g: number, b: number): number => (r * 54 + g * 183 + b * 19) >> 8;

const WHITE_FROM = 250;
const PALE_FROM = 215;
const DARK_TO = 70;
const CLEAR_TO = 128;
/** A frame row may hold this share of stray dots. */
const STRAY = 0.004;

interface Counts {
  readonly clear: Float64Array;
  readonly white: Float64Array;
  readonly pale: Float64Array;
  readonly dark: Float64Array;
  readonly ink: Float64Array;
  readonly all: Float64Array;
  readonly rowWhite: Int32Array;
  readonly rowClear: Int32Array;
  readonly colWhite: Int32Array;
  readonly colClear: Int32Array;
}

const emptyCounts = (cells: number, p: Pixels): Counts => ({
  clear: new Float64Array(cells),
  white: new Float64Array(cells),
  pale: new Float64Array(cells),
  dark: new Float64Array(cells),
  ink: new Float64Array(cells),
  all: new Float64Array(cells),
  rowWhite: new Int32Array(p.height),
  rowClear: new Int32Array(p.height),
  colWhite: new Int32Array(p.width),
  colClear: new Int32Array(p.width),
});

/** Counts one row. Kept to whole numbers and written out: this is where the time goes. */
function countRow(p: Pixels, y: number, cellOf: Uint16Array, base: number, n: Counts): void {
  const { data, width } = p;
  const { colWhite, colClear } = n;
  let rowWhite = 0;
  let rowClear = 0;
  let at = base;
  let clear = 0;
  let white = 0;
  let pale = 0;
  let dark = 0;
  let ink = 0;
  let all = 0;
  const put = () => {
    n.clear[at] = (n.clear[at] as number) + clear;
    n.white[at] = (n.white[at] as number) + white;
    n.pale[at] = (n.pale[at] as number) + pale;
    n.dark[at] = (n.dark[at] as number) + dark;
    n.ink[at] = (n.ink[at] as number) + ink;
    n.all[at] = (n.all[at] as number) + all;
    clear = white = pale = dark = ink = all = 0;
  };
  for (let x = 0, i = y * width * 4; x < width; x += 1, i += 4) {
    const cell = base + (cellOf[x] as number);
    if (cell !== at) {
      put();
      at = cell;
    }
    all += 1;
    if ((data[i + 3] as number) < CLEAR_TO) {
      clear += 1;
      rowClear += 1;
      colClear[x] = (colClear[x] as number) + 1;
      continue;
    }
    const r = data[i] as number;
    const g = data[i + 1] as number;
    const b = data[i + 2] as number;
    const light = luma(r, g, b);
    if (r >= WHITE_FROM && g >= WHITE_FROM && b >= WHITE_FROM) {
      white += 1;
      rowWhite += 1;
      colWhite[x] = (colWhite[x] as number) + 1;
    } else if (light >= PALE_FROM) pale += 1;
    else if (light <= DARK_TO) dark += 1;
    ink += INK(255 - r, 255 - g, 255 - b);
  }
  put();
  n.rowWhite[y] = rowWhite;
  n.rowClear[y] = rowClear;
}

function cellsOf(p: Pixels, n: Counts): readonly ImageCell[] {
  return Array.from(n.all, (all, i) => {
    const share = (a: Float64Array) => (all > 0 ? (a[i] as number) / all : 0);
    return {
      clear: share(n.clear),
      white: share(n.white),
      pale: share(n.pale),
      dark: share(n.dark),
      inkPct: (share(n.ink) / 255) * 100,
    };
  });
}

/** Rows (or columns) from one end that hold nothing else, up to half way. */
function depth(counts: Int32Array, full: number, fromEnd: boolean): number {
  const enough = full * (1 - STRAY);
  const most = floor(counts.length / 2);
  let n = 0;
  while (n < most && (counts[fromEnd ? counts.length - 1 - n : n] as number) >= enough) n += 1;
  return n;
}

function frameOf(kind: Frame['kind'], rows: Int32Array, cols: Int32Array, p: Pixels): Frame | null {
  const frame: Frame = {
    kind,
    topPx: depth(rows, p.width, false),
    bottomPx: depth(rows, p.width, true),
    leftPx: depth(cols, p.height, false),
    rightPx: depth(cols, p.height, true),
  };
  const empty = frame.topPx + frame.bottomPx >= p.height - 1;
  return !empty && max(frame.topPx, frame.bottomPx, frame.leftPx, frame.rightPx) > 1 ? frame : null;
}

/** Widest line still counted as a stroke, px. */
const STROKE_PX = 24;
const STEP = 48;
const SCANS = 240;
/** Strokes of a width needed before it counts as meant. */
const MEANT = 24;

/** Widths of strokes along one scan line: a sharp step one way and, soon after, one back. */
function strokes(p: Pixels, start: number, stride: number, length: number, found: Int32Array): void {
  const { data } = p;
  const at = (k: number) => {
    const i = start + k * stride;
    return (data[i + 3] as number) < CLEAR_TO
      ? 255
      : luma(data[i] as number, data[i + 1] as number, data[i + 2] as number);
  };
  let edge = -1;
  let way = 0;
  let before = at(0);
  for (let k = 1; k < length; k += 1) {
    const now = at(k);
    const step = now - before;
    before = now;
    if (step < STEP && step > -STEP) continue;
    const sign = step > 0 ? 1 : -1;
    if (way === -sign && edge >= 0) {
      const wide = k - edge;
      if (wide <= STROKE_PX) found[wide] = (found[wide] as number) + 1;
    }
    if (sign !== way || k - edge > 1) {
      edge = k;
      way = sign;
    }
  }
}

function finest(p: Pixels): number | null {
  const found = new Int32Array(STROKE_PX + 1);
  const rows = min(SCANS, p.height);
  for (let s = 0; s < rows; s += 1)
    strokes(p, floor(((s + 0.5) * p.height) / rows) * p.width * 4, 4, p.width, found);
  const cols = min(SCANS, p.width);
  for (let s = 0; s < cols; s += 1)
    strokes(p, floor(((s + 0.5) * p.width) / cols) * 4, p.width * 4, p.height, found);
  const total = found.reduce((a, b) => a + b, 0);
  // A photograph is full of steps of one pixel; drawn lines come in numbers at their own width.
  let sum = 0;
  for (let w = 1; w <= STROKE_PX; w += 1) {
    sum += found[w] as number;
    if (sum >= MEANT && sum >= total * 0.04) return w;
  }
  return null;
}

/** Looks at every pixel once. 35 million take well under two seconds. */
export function analyseImage(p: Pixels): ImageAnalysis {
  const cols = min(ANALYSIS_COLS, p.width);
  const rows = min(ANALYSIS_ROWS, p.height);
  const n = emptyCounts(cols * rows, p);
  const cellOf = Uint16Array.from({ length: p.width }, (_, x) => min(cols - 1, floor((x * cols) / p.width)));
  for (let y = 0; y < p.height; y += 1)
    countRow(p, y, cellOf, min(rows - 1, floor((y * rows) / p.height)) * cols, n);
  const frames = [frameOf('white', n.rowWhite, n.colWhite, p), frameOf('clear', n.rowClear, n.colClear, p)];
  return {
    widthPx: p.width,
    heightPx: p.height,
    cols,
    rows,
    cells: cellsOf(p, n),
    frames: frames.flatMap((f) => f ?? []),
    finestPx: finest(p),
  };
}
