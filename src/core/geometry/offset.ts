import type { Point } from './plane';
import {
  clockwise,
  distanceToRing,
  insideRing,
  selfCrossings,
  withoutRepeats,
  type Crossing,
  type Ring,
  signedArea,
} from './ring';

/** How far a round join drawn with straight pieces may stray from the arc, mm. */
const ARC_TOLERANCE_MM = 0.005;
/** Loops smaller than this come from rounding, mm². */
const DUST_MM2 = 1e-4;
/** How much nearer to the outline than asked a point of the result may lie, mm. */
const NEAR_MM = 0.0065;

const edgeNormal = (a: Point, b: Point): Point => {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  // Clockwise on a y-down board the outside lies to the left of the way we go.
  return { x: (b.y - a.y) / length, y: -(b.x - a.x) / length };
};

/** Corners nearer to each other than this are left over from joining stretches, mm. */
const CRUMB_MM = 0.01;

/** A curve that never crosses itself stands right all along or nowhere: one corner in so many tells. */
const SAMPLED = 16;

/** Nudges no eye or knife could see, mm: a symmetric outline would else cross itself exactly at a corner, or run along itself. */
const UNSETTLE_MM = 2e-6;
const unsettled = (ring: Ring): Ring =>
  ring.map((p, i) => ({
    x: p.x + UNSETTLE_MM * Math.sin(12.9898 * (i + 1)),
    y: p.y + UNSETTLE_MM * Math.sin(78.233 * (i + 1)),
  }));

/** Corners that turn less belong to a curve. */
const SMOOTH_RAD = 0.35;

interface Corner {
  readonly p: Point;
  readonly before: Point;
  readonly after: Point;
  /** Length of the shorter of the two edges that meet here, mm. */
  readonly room: number;
}

/** The join of two edges at a corner, `d` outside: one point, an arc, or back by the corner where the sides would cross. */
function join({ p, before, after, room }: Corner, d: number): Point[] {
  const turn = Math.atan2(before.x * after.y - before.y * after.x, before.x * after.x + before.y * after.y);
  const step = 2 * Math.acos(Math.max(0.5, 1 - ARC_TOLERANCE_MM / Math.abs(d)));
  const at = (n: Point, r = d): Point => ({ x: p.x + r * n.x, y: p.y + r * n.y });
  const inwards = turn * d < 0;
  const meets = Math.abs(d) * Math.tan(Math.min(1.5, Math.abs(turn) / 2)) < room / 2;
  // Where the moved edges still meet, their meeting point is exact; a slight outer turn needs no arc; and a curve too tight
  // folds into one loop by its slight inner turns, where going back by each corner would make hundreds.
  if ((inwards && (meets || Math.abs(turn) < SMOOTH_RAD)) || (!inwards && Math.abs(turn) < step / 2)) {
    const half = Math.atan2(before.y, before.x) + turn / 2;
    return [at({ x: Math.cos(half), y: Math.sin(half) }, d / Math.cos(turn / 2))];
  }
  if (inwards) return [at(before), p, at(after)];
  const n = Math.max(1, Math.ceil(Math.abs(turn) / step));
  const from = Math.atan2(before.y, before.x);
  return Array.from({ length: n + 1 }, (_, i) => {
    const a = from + (turn * i) / n;
    return at({ x: Math.cos(a), y: Math.sin(a) });
  });
}

function rawOffset(ring: Ring, d: number): Ring {
  const n = ring.length;
  const edges = ring.map((a, i) => {
    const b = ring[(i + 1) % n] as Point;
    return { normal: edgeNormal(a, b), length: Math.hypot(b.x - a.x, b.y - a.y) };
  });
  const out: Point[] = [];
  ring.forEach((p, i) => {
    const [before, after] = [edges[(i + n - 1) % n], edges[i]];
    if (!before || !after) return;
    const room = Math.min(before.length, after.length);
    for (const q of join({ p, before: before.normal, after: after.normal, room }, d)) out.push(q);
  });
  return out;
}

/** A stretch of the raw curve between two of its crossings. */
interface Chain {
  readonly from: number;
  readonly to: number;
  readonly points: Ring;
}

/** Cuts a ring at its crossings. */
function chainsOf(ring: Ring, crossings: readonly Crossing[]): readonly Chain[] {
  const stops = crossings
    .flatMap(({ i, j, s, t, at }, id) => [
      { edge: i, part: s, id, at },
      { edge: j, part: t, id, at },
    ])
    .sort((a, b) => a.edge - b.edge || a.part - b.part);
  return stops.map((stop, k): Chain => {
    const end = stops[(k + 1) % stops.length] ?? stop;
    const wraps = k + 1 === stops.length;
    const between = wraps
      ? [...ring.slice(stop.edge + 1), ...ring.slice(0, end.edge + 1)]
      : ring.slice(stop.edge + 1, end.edge + 1);
    return { from: stop.id, to: end.id, points: [stop.at, ...between, end.at] };
  });
}

/** The middle of a chain, which stands for all of it: only at a crossing can a stretch change sides. */
function middleOf({ points }: Chain): Point {
  const i = Math.floor((points.length - 1) / 2);
  const a = points[i] as Point;
  const b = points[i + 1] ?? a;
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
}

const lengthOf = ({ points }: Chain): number =>
  points.reduce((sum, p, i) => {
    const q = points[i + 1];
    return q ? sum + Math.hypot(q.x - p.x, q.y - p.y) : sum;
  }, 0);

/** Joins the chains that stand right, end to beginning, into closed loops. */
function stitch(chains: readonly Chain[]): Ring[] {
  const starting = new Map<number, Chain[]>();
  for (const c of chains) starting.set(c.from, [...(starting.get(c.from) ?? []), c]);
  const loops: Ring[] = [];
  const used = new Set<Chain>();
  // Longest first, so that no loop is begun on a crumb.
  for (const first of [...chains].sort((a, b) => lengthOf(b) - lengthOf(a))) {
    if (used.has(first)) continue;
    const loop: Point[] = [];
    let chain: Chain | undefined = first;
    while (chain && !used.has(chain)) {
      used.add(chain);
      loop.push(...chain.points.slice(0, -1));
      // Crumbs that only touch are passed over for the stretch that goes on.
      chain = starting
        .get(chain.to)
        ?.filter((c) => !used.has(c))
        .sort((a, b) => lengthOf(b) - lengthOf(a))[0];
    }
    loops.push(loop);
  }
  return loops;
}

/** A loop with what little kinks the joining left cut off where they cross. */
function withoutKinks(loop: Ring): Ring {
  let ring = withoutRepeats(loop, CRUMB_MM);
  for (let i = 0; i < 8; i += 1) {
    const [c] = selfCrossings(ring, 1);
    if (!c) return ring;
    const inner = [c.at, ...ring.slice(c.i + 1, c.j + 1)];
    const outer = [...ring.slice(0, c.i + 1), c.at, ...ring.slice(c.j + 1)];
    ring = Math.abs(signedArea(inner)) > Math.abs(signedArea(outer)) ? inner : outer;
  }
  return ring;
}

/** Whether a clockwise ring has no hollow: every corner turns clockwise or runs straight on. */
const turnsOneWay = (ring: Ring): boolean =>
  ring.every((b, i) => {
    const a = ring[(i + ring.length - 1) % ring.length] as Point;
    const c = ring[(i + 1) % ring.length] as Point;
    return (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) >= -1e-9;
  });

/**
 * The outline moved outwards by `d` mm (inwards where d < 0) with round joins: the edge of all points within d of it. Clockwise
 * rings, largest first; none when nothing is left inside. Input must not cross itself.
 */
export function offsetRing(outline: Ring, d: number): readonly Ring[] {
  const ring = withoutRepeats(clockwise(outline));
  if (ring.length < 3) return [];
  // Moves too small to see would only multiply corners.
  if (Math.abs(d) < 1e-6) return [ring];
  // Moved outwards, an outline that only turns one way cannot meet itself.
  if (d > 0 && turnsOneWay(ring)) return [withoutRepeats(rawOffset(ring, d), CRUMB_MM)];
  const raw = withoutRepeats(unsettled(rawOffset(ring, d)));
  const crossings = selfCrossings(raw);
  const far = Math.abs(d) - NEAR_MM;
  const stands = (p: Point) => distanceToRing(ring, p) >= far && insideRing(ring, p) === d < 0;
  const loops =
    crossings.length === 0
      ? raw.every((p, i) => i % SAMPLED !== 0 || stands(p))
        ? [raw]
        : []
      : stitch(chainsOf(raw, crossings).filter((c) => stands(middleOf(c))));
  const rings = loops
    .filter((loop) => loop.length >= 3 && signedArea(loop) > DUST_MM2)
    .map((loop) => withoutRepeats(crossings.length === 0 ? loop : withoutKinks(loop), CRUMB_MM))
    .filter((loop) => loop.length >= 3)
    .sort((a, b) => signedArea(b) - signedArea(a));
  // Moved outwards, one outline stays one: anything beside it is a crumb of the joining.
  return d > 0 ? rings.slice(0, 1) : rings;
}
