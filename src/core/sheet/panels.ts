import type { Join } from '../job/job';
import type { Point, Rect } from '../geometry/plane';
import { clockwise, type Ring } from '../geometry/ring';
import { between, type Sides } from './joinCrossing';

/** A join between two panels, pattern mm: the paper laid first is cut along it. */
export interface PanelJoin {
  readonly index: number;
  /** The panels it parts follow one another along the wrap, or down it. */
  readonly way: 'across' | 'down';
  /** Where it would run as a straight line, along that way. */
  readonly atMm: number;
  readonly path: readonly Point[];
  /** How far it shows, 0..100; null where nobody has looked. */
  readonly shows: number | null;
  /** Runs through a gap between pictures, where there is nothing to see. */
  readonly bare: boolean;
}

/** Where a join leaves the wrap: a point on its edge, the way out, and the name its tick carries on both panels. */
export interface JoinEnd {
  readonly name: string;
  readonly at: Point;
  readonly out: Point;
}

export interface Panel {
  /** In the order of laying: row by row, left to right. */
  readonly number: number;
  /** All that is printed of it, overlap included. */
  readonly outline: Ring;
  readonly box: Rect;
  /** Where its own paper is cut: along the joins after it and below it. */
  readonly cuts: readonly (readonly Point[])[];
  /** Ends of all its joins at the edge of the wrap. */
  readonly ends: readonly JoinEnd[];
}

export interface Panels {
  readonly columns: number;
  readonly rows: number;
  readonly panels: readonly Panel[];
  readonly joins: readonly PanelJoin[];
  readonly overlapMm: number;
  /** How far a hidden join may stray from its straight line, mm. */
  readonly wanderMm: number;
}

export interface PanelRequest {
  /** Box of all that is printed, and room on the paper for one panel either way up. */
  readonly whole: Rect;
  readonly rooms: readonly Rect[];
  readonly overlapMm: number;
  readonly join: 'straight' | 'hidden';
  /** Joins found before, and what they were found for. */
  readonly found: readonly Join[];
  readonly forArt: string;
  /** Stretches along the wrap with no picture on them, mm. */
  readonly gaps: readonly { readonly fromMm: number; readonly toMm: number }[];
}

/** A hidden join may stray this far from its straight line, mm: at most, and at least to be worth looking for. */
const WANDER_MM = 10;
const LEAST_WANDER_MM = 4;
const MOST_PANELS = 12;
const EPS = 1e-9;

interface Cutting {
  readonly columns: number;
  readonly rows: number;
  /** How far a hidden join may stray, mm. */
  readonly wander: number;
  /** How far a join between columns may move from its even place, mm. */
  readonly slack: number;
}

/** What is left of a room when a panel and its overlap lie in it, for each side a join may stray to, mm. Negative where it does not fit. */
function spare(roomMm: number, lengthMm: number, count: number, overlapMm: number): number {
  if (count === 1) return roomMm >= lengthMm - EPS ? Infinity : -Infinity;
  // A panel between two joins may be wider by what both stray; an end panel by one.
  return (roomMm - lengthMm / count - overlapMm) / (count > 2 ? 2 : 1);
}

function cutting(request: PanelRequest, columns: number, rows: number): Cutting | null {
  const { whole, overlapMm, join } = request;
  const fits = request.rooms
    .flatMap(({ width, height }) => [
      [width, height],
      [height, width],
    ])
    .map(([w = 0, h = 0]) => {
      const across = spare(w, whole.width, columns, overlapMm);
      return { across, both: Math.min(across, spare(h, whole.height, rows, overlapMm)) };
    });
  const best = fits.reduce((a, b) => (b.both > a.both ? b : a), { across: -Infinity, both: -Infinity });
  if (best.both < (join === 'hidden' ? LEAST_WANDER_MM : 0) - EPS) return null;
  const wander = join === 'hidden' ? Math.min(WANDER_MM, best.both) : 0;
  return { columns, rows, wander, slack: columns > 1 ? Math.max(0, best.across - wander) / 2 : 0 };
}

/** Every way to cut: one way alone, or two by some, so that each panel keeps an edge of the wrap to be laid by. */
function cuttings(request: PanelRequest): readonly Cutting[] {
  const counts = Array.from({ length: MOST_PANELS - 1 }, (_, i) => i + 2);
  const grids = counts.filter((n) => 2 * n <= MOST_PANELS);
  return [
    ...counts.map((n) => [n, 1]),
    ...counts.map((n) => [1, n]),
    ...grids.map((n) => [n, 2]),
    ...grids.map((n) => [2, n]),
  ].flatMap(([columns = 1, rows = 1]) => cutting(request, columns, rows) ?? []);
}

/** Where the joins between columns run: evenly, or through a gap between pictures near by. */
function columnPlaces(
  request: PanelRequest,
  c: Cutting,
): readonly { readonly atMm: number; readonly bare: boolean }[] {
  const { x, width } = request.whole;
  return Array.from({ length: c.columns - 1 }, (_, i) => {
    const even = x + ((i + 1) * width) / c.columns;
    const [near] = request.gaps
      .map((g) => (g.fromMm + g.toMm) / 2)
      .filter((m) => Math.abs(m - even) <= c.slack)
      .sort((a, b) => Math.abs(a - even) - Math.abs(b - even));
    return near === undefined ? { atMm: even, bare: false } : { atMm: near, bare: true };
  });
}

/** The join as a line from one edge of the paper to the other. */
function joinOf(
  request: PanelRequest,
  wander: number,
  j: Pick<PanelJoin, 'index' | 'way' | 'atMm' | 'bare'>,
): PanelJoin {
  const { whole } = request;
  const hidden = !j.bare && request.join === 'hidden';
  const found = hidden
    ? request.found.find((f) => f.index === j.index && f.forArt === request.forArt)
    : undefined;
  const offs = found ? found.offsMm : [0, 0];
  const [start, long] = j.way === 'across' ? [whole.y, whole.height] : [whole.x, whole.width];
  const path = offs.map((off, i): Point => {
    const along = start + (i * long) / (offs.length - 1);
    const at = j.atMm + Math.max(-wander, Math.min(wander, off));
    return j.way === 'across' ? { x: at, y: along } : { x: along, y: at };
  });
  return { ...j, path, shows: j.bare ? 0 : (found?.shows ?? null) };
}

function joinsOf(request: PanelRequest, c: Cutting): readonly PanelJoin[] {
  const columns = columnPlaces(request, c).map((p, index) => ({ ...p, index, way: 'across' as const }));
  const rows = Array.from({ length: c.rows - 1 }, (_, i) => ({
    index: columns.length + i,
    way: 'down' as const,
    atMm: request.whole.y + ((i + 1) * request.whole.height) / c.rows,
    bare: false,
  }));
  return [...columns, ...rows].map((j) => joinOf(request, c.wander, j));
}

const boxOf = (ring: Ring): Rect => {
  const xs = ring.map((p) => p.x);
  const ys = ring.map((p) => p.y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};

const shifted = (path: readonly Point[], dx: number, dy: number): readonly Point[] =>
  path.map((p) => ({ x: p.x + dx, y: p.y + dy }));

/** The four lines round a panel: joins where it meets another, moved out by the overlap before it, else edges of the wrap. */
function sidesOf(request: PanelRequest, joins: readonly PanelJoin[], c: number, r: number): Sides {
  const { x, y, width, height } = request.whole;
  const across = joins.filter((j) => j.way === 'across');
  const down = joins.filter((j) => j.way === 'down');
  const [before, above] = [across[c - 1], down[r - 1]];
  const upright = (at: number) => [
    { x: at, y },
    { x: at, y: y + height },
  ];
  const level = (at: number) => [
    { x, y: at },
    { x: x + width, y: at },
  ];
  const lap = (j: PanelJoin) => (j.bare ? 0 : -request.overlapMm);
  return {
    left: before ? shifted(before.path, lap(before), 0) : upright(x),
    right: across[c]?.path ?? upright(x + width),
    top: above ? shifted(above.path, 0, lap(above)) : level(y),
    foot: down[r]?.path ?? level(y + height),
  };
}

/** Ends of the joins beside a panel that lie on the wrap's edge where the panel does. */
/** Joins are lettered in the order of their index; at most eleven of each way, so letters are enough. */
const joinLetter = (index: number): string => String.fromCharCode(65 + index);

function endsOf(
  request: PanelRequest,
  joins: readonly PanelJoin[],
  cut: Cutting,
  c: number,
  r: number,
): readonly JoinEnd[] {
  const { x, y, width, height } = request.whole;
  const near = (j: PanelJoin): boolean => {
    const place = j.way === 'across' ? j.index : j.index - (cut.columns - 1);
    const mine = j.way === 'across' ? c : r;
    return place === mine || place === mine - 1;
  };
  return joins.filter(near).flatMap((j): readonly JoinEnd[] => {
    const [start, end] = [`${joinLetter(j.index)}1`, `${joinLetter(j.index)}2`];
    const [first, last] = [j.path[0], j.path[j.path.length - 1]];
    if (!first || !last) return [];
    return j.way === 'across'
      ? [
          ...(r === 0 ? [{ name: start, at: { x: first.x, y }, out: { x: 0, y: -1 } }] : []),
          ...(r === cut.rows - 1
            ? [{ name: end, at: { x: last.x, y: y + height }, out: { x: 0, y: 1 } }]
            : []),
        ]
      : [
          ...(c === 0 ? [{ name: start, at: { x, y: first.y }, out: { x: -1, y: 0 } }] : []),
          ...(c === cut.columns - 1
            ? [{ name: end, at: { x: x + width, y: last.y }, out: { x: 1, y: 0 } }]
            : []),
        ];
  });
}

/**
 * Cuts a wrap too big for the paper into the fewest panels. Each is printed up to its joins exactly; the next is printed on under it by the
 * overlap, so that a small slip shows dye and not white. Null where no cut of at most twelve will do.
 */
export function cutIntoPanels(request: PanelRequest): Panels | null {
  const cut = cuttings(request).reduce<Cutting | null>(
    (a, b) => (a && a.columns * a.rows <= b.columns * b.rows ? a : b),
    null,
  );
  if (!cut) return null;
  const joins = joinsOf(request, cut);
  const panels = Array.from({ length: cut.columns * cut.rows }, (_, i): Panel => {
    const [c, r] = [i % cut.columns, Math.floor(i / cut.columns)];
    const sides = between(sidesOf(request, joins, c, r));
    const { left, foot, right, top } = sides;
    const round = [left, foot, [...right].reverse(), [...top].reverse()];
    const outline = clockwise(round.flatMap((side) => side.slice(1)));
    const cuts = [...(c < cut.columns - 1 ? [right] : []), ...(r < cut.rows - 1 ? [foot] : [])];
    return { number: i + 1, outline, box: boxOf(outline), cuts, ends: endsOf(request, joins, cut, c, r) };
  });
  return {
    columns: cut.columns,
    rows: cut.rows,
    panels,
    joins,
    overlapMm: request.overlapMm,
    wanderMm: cut.wander,
  };
}

/** The strip a hidden join is looked for in, pattern mm. */
export function searchStrip(p: Panels, join: PanelJoin, whole: Rect): Rect {
  const wander = Math.max(2, p.wanderMm);
  const wide = 2 * wander;
  return join.way === 'across'
    ? { x: join.atMm - wander, y: whole.y, width: wide, height: whole.height }
    : { x: whole.x, y: join.atMm - wander, width: whole.width, height: wide };
}
