/** Pieces laid on a platen, or stood in an oven, seen from above. Lengths mm from the back left corner, y towards the front. */
export interface Laid {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turned: boolean;
  /** A spare of the same thickness that only holds the platen level. */
  readonly dummy: boolean;
}

export interface BedPlan {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marginMm: number;
  readonly laid: readonly Laid[];
  /** Centre of pressure, dummies included, and how far it lies from the middle. */
  readonly pressure: { readonly xMm: number; readonly yMm: number; readonly offMm: number };
  readonly dummies: number;
  /** Pieces lie out in the cool edge. */
  readonly inEdge: boolean;
}

export interface BedAsk {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Cooler band along the edges, kept free where it can be. */
  readonly marginMm: number;
  readonly gapMm: number;
  readonly piece: { readonly widthMm: number; readonly heightMm: number };
}

/** The last of a platen along its edges runs 3 to 10 K cooler. */
export const COOL_EDGE_MM = 30;
/** Room to lift a piece and its paper by; and clear air between pieces in an oven. */
export const LIFT_GAP_MM = 12;
export const AIR_GAP_MM = 25;
/** The centre of pressure may lie so far from the middle before a platen tips: a share of its shorter side. */
const LEVEL_SHARE = 0.06;

const fitCount = (room: number, size: number, gap: number): number =>
  size <= 0 || size > room + 1e-9 ? 0 : Math.floor((room + gap + 1e-9) / (size + gap));

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly turned: boolean;
  readonly margin: number;
}

/** The grid that holds most, the right way round first; out into the cool edge only where not one piece fits inside it. */
function gridFor({ widthMm, heightMm, marginMm, gapMm, piece }: BedAsk): Grid | null {
  for (const margin of [marginMm, 0]) {
    const [w, h] = [widthMm - 2 * margin, heightMm - 2 * margin];
    const ways = [false, true].map((turned): Grid => {
      const [a, b] = turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
      return { columns: fitCount(w, a, gapMm), rows: fitCount(h, b, gapMm), turned, margin };
    });
    const best = ways.reduce((x, y) => (y.columns * y.rows > x.columns * x.rows ? y : x));
    if (best.columns * best.rows > 0) return best;
  }
  return null;
}

/** Most pieces that lie there at once; 0 where one does not fit. */
export function mostOnBed(ask: BedAsk): number {
  const grid = gridFor(ask);
  return grid ? grid.columns * grid.rows : 0;
}

/** How many pieces each row takes: as even as can be, and the same seen from either side, so that the platen closes level. */
function rowsFor(count: number, { columns, rows }: Grid): readonly number[] {
  const used = Math.min(rows, Math.ceil(count / columns));
  const even = Math.floor(count / used);
  const over = count - even * used;
  const counts = Array.from({ length: used }, () => even);
  // Rows from the middle outwards, in pairs, take what is left.
  const middle = (used - 1) / 2;
  const order = counts.map((_, i) => i).sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle) || a - b);
  const pairs = over % 2 === used % 2 || used % 2 === 0 ? order : [...order.slice(1), ...order.slice(0, 1)];
  for (const i of (over % 2 === 1 ? order : pairs).slice(0, over)) counts[i] = (counts[i] ?? 0) + 1;
  return counts;
}

/** `count` pieces spread evenly about the middle of the bed. Null where they do not fit. */
export function layOnBed(ask: BedAsk, count: number): BedPlan | null {
  const grid = gridFor(ask);
  if (!grid || count < 1 || count > grid.columns * grid.rows) return null;
  const { widthMm, heightMm } = ask;
  const [w, h] = grid.turned
    ? [ask.piece.heightMm, ask.piece.widthMm]
    : [ask.piece.widthMm, ask.piece.heightMm];
  const rows = rowsFor(count, grid);
  const fullest = Math.max(...rows);
  // Spread over the room there is, but no wider than half the piece again: what is near the middle is heated best.
  const spread = (room: number, size: number, n: number): number =>
    n < 2 ? 0 : Math.min((room - n * size) / (n - 1), Math.max(ask.gapMm, size * 0.5));
  const gapX = spread(widthMm - 2 * grid.margin, w, fullest);
  const gapY = spread(heightMm - 2 * grid.margin, h, rows.length);
  const tall = rows.length * h + (rows.length - 1) * gapY;
  const pieces = rows.flatMap((n, r) => {
    const wide = n * w + (n - 1) * gapX;
    return Array.from({ length: n }, (_, i) => ({
      xMm: (widthMm - wide) / 2 + i * (w + gapX),
      yMm: (heightMm - tall) / 2 + r * (h + gapY),
      widthMm: w,
      heightMm: h,
      turned: grid.turned,
      dummy: false,
    }));
  });
  const laid = levelled(pieces, ask);
  return {
    widthMm,
    heightMm,
    marginMm: ask.marginMm,
    laid,
    pressure: pressureOf(laid, ask),
    dummies: laid.length - pieces.length,
    inEdge: grid.margin < ask.marginMm,
  };
}

function pressureOf(laid: readonly Laid[], { widthMm, heightMm }: BedAsk): BedPlan['pressure'] {
  const n = Math.max(1, laid.length);
  const xMm = laid.reduce((s, p) => s + p.xMm + p.widthMm / 2, 0) / n;
  const yMm = laid.reduce((s, p) => s + p.yMm + p.heightMm / 2, 0) / n;
  return { xMm, yMm, offMm: Math.hypot(xMm - widthMm / 2, yMm - heightMm / 2) };
}

const overlaps = (a: Laid, b: Laid): boolean =>
  a.xMm < b.xMm + b.widthMm &&
  b.xMm < a.xMm + a.widthMm &&
  a.yMm < b.yMm + b.heightMm &&
  b.yMm < a.yMm + a.heightMm;

/** Adds spares opposite the load, one at a time, until the platen closes level or no more fit. */
function levelled(pieces: readonly Laid[], ask: BedAsk): readonly Laid[] {
  const most = LEVEL_SHARE * Math.min(ask.widthMm, ask.heightMm);
  let laid = pieces;
  for (let i = 0; i < 4 && pressureOf(laid, ask).offMm > most; i += 1) {
    const mirrored = laid
      .map((p) => ({
        ...p,
        xMm: ask.widthMm - p.xMm - p.widthMm,
        yMm: ask.heightMm - p.yMm - p.heightMm,
        dummy: true,
      }))
      .filter((d) => !laid.some((p) => overlaps(p, d)))
      .map((d) => ({ d, offMm: pressureOf([...laid, d], ask).offMm }))
      .sort((a, b) => a.offMm - b.offMm)[0];
    if (!mirrored || mirrored.offMm >= pressureOf(laid, ask).offMm) break;
    laid = [...laid, mirrored.d];
  }
  return laid;
}

/** Pieces a load for a job: as few loads as fit, and those alike. */
export function evenLoad(pieces: number, most: number): number {
  if (most < 1) return 0;
  const loads = Math.ceil(Math.max(1, pieces) / most);
  return Math.min(most, Math.ceil(Math.max(1, pieces) / loads));
}
