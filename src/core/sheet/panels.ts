import type { Join } from '../job/job';
import type { Point, Rect } from '../shapes/plane';
import { clockwise, type Ring } from '../shapes/ring';

/** A join between two panels, pattern mm: the paper laid first is cut along it. */
export interface PanelJoin {
  readonly index: number;
  /** Where it would run as a straight line, along the way the panels follow one another. */
  readonly atMm: number;
  readonly path: readonly Point[];
  /** How far it shows, 0..100; null where nobody has looked. */
  readonly shows: number | null;
  /** Runs through a gap between pictures, where there is nothing to see. */
  readonly bare: boolean;
}

export interface Panel {
  readonly number: number;
  /** All that is printed of it, overlap included. */
  readonly outline: Ring;
  readonly box: Rect;
}

export interface Panels {
  /** Panels follow one another along the wrap, or down it. */
  readonly way: 'across' | 'down';
  readonly panels: readonly Panel[];
  readonly joins: readonly PanelJoin[];
  readonly overlapMm: number;
  /** How far a hidden join may stray from its straight line, mm. */
  readonly wanderMm: number;
}

export interface PanelAsk {
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
export const WANDER_MM = 10;
const LEAST_WANDER_MM = 4;
export const MOST_PANELS = 12;
const EPS = 1e-9;

/** Longest panel of a width some room takes. */
function roomFor(rooms: readonly Rect[], breadth: number): number {
  return Math.max(
    0,
    ...rooms.flatMap((r) => [
      breadth <= r.height + EPS ? r.width : 0,
      breadth <= r.width + EPS ? r.height : 0,
    ]),
  );
}

interface Cutting {
  readonly way: Panels['way'];
  readonly count: number;
  /** How far a hidden join may stray, mm. */
  readonly wander: number;
  /** How far a join may move from its even place, mm. */
  readonly slack: number;
}

function cutting(ask: PanelAsk, way: Panels['way']): Cutting | null {
  const length = way === 'across' ? ask.whole.width : ask.whole.height;
  const breadth = way === 'across' ? ask.whole.height : ask.whole.width;
  const room = roomFor(ask.rooms, breadth);
  const least = ask.join === 'hidden' ? LEAST_WANDER_MM : 0;
  // A panel between two joins may be wider by what both stray; an end panel by one.
  const sides = (n: number) => (n > 2 ? 2 : 1);
  const spare = (n: number) => (room - length / n - ask.overlapMm) / sides(n);
  const counts = Array.from({ length: MOST_PANELS - 1 }, (_, i) => i + 2);
  const count = counts.find((n) => spare(n) >= least - EPS);
  if (count === undefined) return null;
  const wander = ask.join === 'hidden' ? Math.min(WANDER_MM, spare(count)) : 0;
  return { way, count, wander, slack: Math.max(0, spare(count) - wander) / 2 };
}

/** Where the joins run: evenly, or through a gap between pictures near by. */
function placesOf(ask: PanelAsk, c: Cutting): readonly { readonly atMm: number; readonly bare: boolean }[] {
  const from = c.way === 'across' ? ask.whole.x : ask.whole.y;
  const length = c.way === 'across' ? ask.whole.width : ask.whole.height;
  return Array.from({ length: c.count - 1 }, (_, i) => {
    const even = from + ((i + 1) * length) / c.count;
    const near =
      c.way === 'across'
        ? ask.gaps
            .map((g) => (g.fromMm + g.toMm) / 2)
            .filter((m) => Math.abs(m - even) <= c.slack)
            .sort((a, b) => Math.abs(a - even) - Math.abs(b - even))[0]
        : undefined;
    return near === undefined ? { atMm: even, bare: false } : { atMm: near, bare: true };
  });
}

/** The join as a line from one edge of the paper to the other. */
function joinOf(ask: PanelAsk, c: Cutting, index: number, atMm: number, bare: boolean): PanelJoin {
  const { whole } = ask;
  const found = ask.found.find((j) => j.index === index && j.forArt === ask.forArt);
  const offs = !bare && ask.join === 'hidden' && found ? found.offsMm : [0, 0];
  const [start, long] = c.way === 'across' ? [whole.y, whole.height] : [whole.x, whole.width];
  const path = offs.map((off, i): Point => {
    const along = start + (i * long) / (offs.length - 1);
    const clamped = Math.max(-c.wander, Math.min(c.wander, off));
    return c.way === 'across' ? { x: atMm + clamped, y: along } : { x: along, y: atMm + clamped };
  });
  return { index, atMm, path, shows: bare ? 0 : ask.join === 'hidden' && found ? found.shows : null, bare };
}

const shifted = (path: readonly Point[], way: Panels['way'], by: number): readonly Point[] =>
  path.map((p) => (way === 'across' ? { x: p.x + by, y: p.y } : { x: p.x, y: p.y + by }));

function edge(whole: Rect, way: Panels['way'], end: 'first' | 'last'): readonly Point[] {
  const [x2, y2] = [whole.x + whole.width, whole.y + whole.height];
  if (way === 'across') {
    const x = end === 'first' ? whole.x : x2;
    return [
      { x, y: whole.y },
      { x, y: y2 },
    ];
  }
  const y = end === 'first' ? whole.y : y2;
  return [
    { x: whole.x, y },
    { x: x2, y },
  ];
}

const boxOf = (ring: Ring): Rect => {
  const xs = ring.map((p) => p.x);
  const ys = ring.map((p) => p.y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};

/**
 * Cuts a wrap too big for the paper into panels. Each is printed up to its join exactly; the next is printed on under it by the overlap,
 * so that a small slip shows dye and not white. Null where the wrap is too big both ways.
 */
export function cutIntoPanels(ask: PanelAsk): Panels | null {
  const ways = [cutting(ask, 'across'), cutting(ask, 'down')].flatMap((c) => c ?? []);
  const c = ways.reduce<Cutting | null>((a, b) => (a && a.count <= b.count ? a : b), null);
  if (!c) return null;
  const joins = placesOf(ask, c).map(({ atMm, bare }, i) => joinOf(ask, c, i, atMm, bare));
  const panels = Array.from({ length: c.count }, (_, i): Panel => {
    const before = joins[i - 1];
    const after = joins[i];
    const left = before
      ? shifted(before.path, c.way, before.bare ? 0 : -ask.overlapMm)
      : edge(ask.whole, c.way, 'first');
    const right = after ? after.path : edge(ask.whole, c.way, 'last');
    const outline = clockwise([...left, ...[...right].reverse()]);
    return { number: i + 1, outline, box: boxOf(outline) };
  });
  return { way: c.way, panels, joins, overlapMm: ask.overlapMm, wanderMm: c.wander };
}

/** The strip a hidden join is looked for in, pattern mm. */
export function searchStrip(p: Panels, join: PanelJoin, whole: Rect): Rect {
  const wander = Math.max(2, p.wanderMm);
  const wide = 2 * wander;
  return p.way === 'across'
    ? { x: join.atMm - wander, y: whole.y, width: wide, height: whole.height }
    : { x: whole.x, y: join.atMm - wander, width: whole.width, height: wide };
}
