import { contours } from 'd3-contour';
import { polygonContains } from 'd3-polygon';
import type { Point } from '../geometry/plane';
import type { GapSurface } from './surface';

/** One sheet of card to cut: its outlines on the platen, mm from the back left, outer rings and holes. The lowest sheet is the largest. */
export interface PackingSheet {
  /** From 1, the one that lies against the platen first. */
  readonly number: number;
  readonly polygons: readonly (readonly (readonly Point[])[])[];
  readonly areaMm2: number;
}

export interface Packing {
  readonly cardMm: number;
  readonly sheets: readonly PackingSheet[];
  /** Largest gap against the smallest now, and what whole sheets of this card leave, mm. */
  readonly nowMm: number;
  readonly leftMm: number;
  /** Sheets at a place. */
  readonly sheetsAt: (xMm: number, yMm: number) => number;
}

export interface PlatenSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

const CELLS = 48;

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly stepX: number;
  readonly stepY: number;
  readonly gaps: readonly number[];
  /** The same with a cell more all round, so that an outline leaves no corner of the platen uncovered. */
  readonly padded: readonly number[];
}

/** Gaps at the middle of each cell, row by row from the back. */
function gridOf(surface: GapSurface, { widthMm, heightMm }: PlatenSize): Grid {
  const long = Math.max(widthMm, heightMm);
  const columns = Math.max(8, Math.round((CELLS * widthMm) / long));
  const rows = Math.max(8, Math.round((CELLS * heightMm) / long));
  const [stepX, stepY] = [widthMm / columns, heightMm / rows];
  const gaps = Array.from({ length: columns * rows }, (_, k) =>
    surface.gapAt(
      (((k % columns) + 0.5) * widthMm) / columns,
      ((Math.floor(k / columns) + 0.5) * heightMm) / rows,
    ),
  );
  const held = (v: number, most: number): number => Math.min(most, Math.max(0, v));
  const padded = Array.from({ length: (columns + 2) * (rows + 2) }, (_, k) =>
    surface.gapAt(
      held(((k % (columns + 2)) - 0.5) * stepX, widthMm),
      held((Math.floor(k / (columns + 2)) - 0.5) * stepY, heightMm),
    ),
  );
  return { columns, rows, stepX, stepY, gaps, padded };
}

/** Whole sheets that fill a gap best: to the nearest, over the smallest gap there is. */
const wholeSheets = (gapMm: number, leastMm: number, cardMm: number): number =>
  Math.max(0, Math.round((gapMm - leastMm) / cardMm));

/** A scrap of card smaller than this is not worth cutting, mm². */
const SMALLEST_MM2 = 150;

const ringArea = (ring: readonly Point[]): number =>
  Math.abs(
    ring.reduce((s, p, i) => {
      const q = ring[(i + 1) % ring.length] ?? p;
      return s + p.x * q.y - q.x * p.y;
    }, 0) / 2,
  );

/** One sheet: where the gap is at least `atMm`. */
function sheetAt(grid: Grid, atMm: number, number: number, { widthMm, heightMm }: PlatenSize): PackingSheet {
  const shape = contours()
    .size([grid.columns + 2, grid.rows + 2])
    .contour([...grid.padded], atMm);
  const polygons = shape.coordinates
    .map((rings) =>
      rings.map((ring) =>
        ring.slice(0, -1).map(([x = 0, y = 0]) => ({
          x: Math.min(widthMm, Math.max(0, (x - 1) * grid.stepX)),
          y: Math.min(heightMm, Math.max(0, (y - 1) * grid.stepY)),
        })),
      ),
    )
    .filter((rings) => ringArea(rings[0] ?? []) >= SMALLEST_MM2);
  const areaMm2 = polygons.reduce(
    (s, rings) => s + rings.reduce((a, ring, i) => a + (i === 0 ? 1 : -1) * ringArea(ring), 0),
    0,
  );
  return { number, polygons, areaMm2 };
}

const MOST_SHEETS = 24;

/** Steps of card that bring a platen level, in whole sheets of the card at hand. Null where the card is thicker than what is to be filled. */
export function packingOf(surface: GapSurface, size: PlatenSize, cardMm: number): Packing {
  const grid = gridOf(surface, size);
  const least = Math.min(...grid.gaps);
  const most = Math.max(...grid.gaps);
  const count = Math.min(MOST_SHEETS, wholeSheets(most, least, cardMm));
  const sheets = Array.from({ length: count }, (_, k) =>
    sheetAt(grid, least + (k + 0.5) * cardMm, k + 1, size),
  ).filter((s) => s.polygons.length > 0);
  const inside = (v: number, most: number): number => Math.min(most - EDGE_MM, Math.max(EDGE_MM, v));
  const sheetsAt = (xMm: number, yMm: number): number => {
    const [x, y] = [inside(xMm, size.widthMm), inside(yMm, size.heightMm)];
    return sheets.reduce((n, s) => n + (covers(s, x, y) ? 1 : 0), 0);
  };
  return {
    cardMm,
    sheets,
    nowMm: most - least,
    leftMm: leftBy(surface, grid, sheets, cardMm, sheetsAt),
    sheetsAt,
  };
}

/** The edge of the platen belongs to it: a place there is looked at a hair inside. */
const EDGE_MM = 1e-3;

/** Whether a place lies on a sheet as it is cut: inside an outline, and in none of its holes. */
const covers = (s: PackingSheet, xMm: number, yMm: number): boolean =>
  s.polygons.some(
    (rings) =>
      rings.filter((ring) =>
        polygonContains(
          ring.map((p) => [p.x, p.y]),
          [xMm, yMm],
        ),
      ).length %
        2 ===
      1,
  );

/** Largest gap against the smallest once the sheets as they are cut lie there, mm: at the grid, and at both sides of every cut. */
function leftBy(
  surface: GapSurface,
  grid: Grid,
  sheets: readonly PackingSheet[],
  cardMm: number,
  sheetsAt: Packing['sheetsAt'],
): number {
  const filled = grid.gaps.map((gapMm, k) => {
    const [x, y] = [
      ((k % grid.columns) + 0.5) * grid.stepX,
      (Math.floor(k / grid.columns) + 0.5) * grid.stepY,
    ];
    return gapMm - cardMm * sheetsAt(x, y);
  });
  const atCuts = sheets.flatMap((s) =>
    s.polygons.flat(2).flatMap(({ x, y }) => {
      // Along the platen's own edge there is only one side.
      if (x <= 0 || y <= 0 || x >= grid.columns * grid.stepX || y >= grid.rows * grid.stepY) return [];
      const gapMm = surface.gapAt(x, y);
      return [gapMm - cardMm * (s.number - 1), gapMm - cardMm * s.number];
    }),
  );
  const all = [...filled, ...atCuts];
  return all.reduce((m, v) => Math.max(m, v), -Infinity) - all.reduce((m, v) => Math.min(m, v), Infinity);
}

export interface GoodPlace {
  readonly xMm: number;
  readonly yMm: number;
  /** Of the piece as it lies there. */
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turned: boolean;
  /** Gap across the piece there, mm. */
  readonly gapMm: number;
}

const STEPS = 16;
const ACROSS = 5;

/** Where a piece lies most level meanwhile: the place with the least difference of gap across it. Null where it does not fit. */
export function levelPlace(
  surface: GapSurface,
  size: PlatenSize,
  piece: { readonly widthMm: number; readonly heightMm: number },
): GoodPlace | null {
  let best: GoodPlace | null = null;
  for (const turned of [false, true]) {
    const [w, h] = turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
    if (w > size.widthMm || h > size.heightMm) continue;
    for (let i = 0; i <= STEPS; i += 1)
      for (let j = 0; j <= STEPS; j += 1) {
        const xMm = ((size.widthMm - w) * i) / STEPS;
        const yMm = ((size.heightMm - h) * j) / STEPS;
        const gapMm = across(surface, xMm, yMm, w, h);
        if (!best || gapMm < best.gapMm - 1e-9) best = { xMm, yMm, widthMm: w, heightMm: h, turned, gapMm };
      }
  }
  return best;
}

function across(surface: GapSurface, xMm: number, yMm: number, w: number, h: number): number {
  let [lo, hi] = [Infinity, -Infinity];
  for (let i = 0; i < ACROSS; i += 1)
    for (let j = 0; j < ACROSS; j += 1) {
      const g = surface.gapAt(xMm + (w * i) / (ACROSS - 1), yMm + (h * j) / (ACROSS - 1));
      lo = Math.min(lo, g);
      hi = Math.max(hi, g);
    }
  return hi - lo;
}
