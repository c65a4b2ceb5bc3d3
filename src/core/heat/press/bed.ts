/** Pieces laid on a platen, or stood in an oven, seen from above. Lengths mm from the back left corner, y towards the front. */
export interface BedPlacement {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turned: boolean;
  /** One of the same thickness that only holds the platen level. */
  readonly dummy: boolean;
}

export interface BedPlan {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marginMm: number;
  readonly placements: readonly BedPlacement[];
  /** Centre of pressure, dummies included, and how far it lies from the middle. */
  readonly pressure: { readonly xMm: number; readonly yMm: number; readonly offMm: number };
  readonly dummies: number;
  /** Pieces lie out in the cool edge. */
  readonly inEdge: boolean;
}

export interface BedInput {
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
function gridFor({ widthMm, heightMm, marginMm, gapMm, piece }: BedInput): Grid | null {
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
export function mostOnBed(ask: BedInput): number {
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

/** Most dummies laid beside a load to keep the platen level. */
const MOST_DUMMIES = 4;

/**
 * `count` pieces spread evenly about the middle of the bed, with as few dummies as keep the centre of pressure near it. Null where they do not
 * fit.
 */
export function layOnBed(ask: BedInput, count: number): BedPlan | null {
  const grid = gridFor(ask);
  const most = grid ? grid.columns * grid.rows : 0;
  if (!grid || count < 1 || count > most) return null;
  const tilt = LEVEL_SHARE * Math.min(ask.widthMm, ask.heightMm);
  const tries = Array.from({ length: MOST_DUMMIES + 1 }, (_, dummies) => dummies)
    .filter((dummies) => count + dummies <= most)
    .map((dummies) => ({ dummies, placements: spread(ask, grid, count + dummies) }));
  const off = (placements: readonly BedPlacement[]): number => pressureOf(placements, ask).offMm;
  const level = tries.find((t) => off(t.placements) <= tilt);
  const best = level ?? tries.reduce((a, b) => (off(b.placements) < off(a.placements) - 1 ? b : a));
  return {
    widthMm: ask.widthMm,
    heightMm: ask.heightMm,
    marginMm: ask.marginMm,
    // The last of the grid are the dummies.
    placements: best.placements.map((p, i) => ({ ...p, dummy: i >= count })),
    pressure: pressureOf(best.placements, ask),
    dummies: best.dummies,
    inEdge: grid.margin < ask.marginMm,
  };
}

function spread(ask: BedInput, grid: Grid, count: number): readonly BedPlacement[] {
  const { widthMm, heightMm } = ask;
  const [w, h] = grid.turned
    ? [ask.piece.heightMm, ask.piece.widthMm]
    : [ask.piece.widthMm, ask.piece.heightMm];
  const rows = rowsFor(count, grid);
  // Spread over the room there is, but no wider than half the piece again: what is near the middle is heated best.
  const gap = (room: number, size: number, n: number): number =>
    n < 2 ? 0 : Math.min((room - n * size) / (n - 1), Math.max(ask.gapMm, size * 0.5));
  const gapX = gap(widthMm - 2 * grid.margin, w, Math.max(...rows));
  const gapY = gap(heightMm - 2 * grid.margin, h, rows.length);
  const tall = rows.length * h + (rows.length - 1) * gapY;
  return rows.flatMap((n, r) => {
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
}

function pressureOf(
  placements: readonly BedPlacement[],
  { widthMm, heightMm }: BedInput,
): BedPlan['pressure'] {
  const n = Math.max(1, placements.length);
  const xMm = placements.reduce((s, p) => s + p.xMm + p.widthMm / 2, 0) / n;
  const yMm = placements.reduce((s, p) => s + p.yMm + p.heightMm / 2, 0) / n;
  return { xMm, yMm, offMm: Math.hypot(xMm - widthMm / 2, yMm - heightMm / 2) };
}

/** Pieces a load for a job: as few loads as fit, and those alike. */
export function evenLoad(pieces: number, most: number): number {
  if (most < 1) return 0;
  const loads = Math.ceil(Math.max(1, pieces) / most);
  return Math.min(most, Math.ceil(Math.max(1, pieces) / loads));
}
