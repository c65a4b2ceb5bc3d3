import type { Point } from './plane';

/** A closed polygon, corners in order, mm. */
export type Ring = readonly Point[];

const next = (ring: Ring, i: number): Point => ring[(i + 1) % ring.length] as Point;

/** Signed area, mm²: positive clockwise on a y-down board (shoelace formula, about the first corner). */
export function signedArea(ring: Ring): number {
  const o = ring[0] ?? { x: 0, y: 0 };
  return ring.reduce((sum, a, i) => {
    const b = next(ring, i);
    return sum + ((a.x - o.x) * (b.y - o.y) - (b.x - o.x) * (a.y - o.y)) / 2;
  }, 0);
}

export const ringLength = (ring: Ring): number =>
  ring.reduce((sum, a, i) => sum + Math.hypot(next(ring, i).x - a.x, next(ring, i).y - a.y), 0);

/** Centre of area (Bourke's formula), mm. */
export function ringCentroid(ring: Ring): Point {
  const o = ring[0] ?? { x: 0, y: 0 };
  let twice = 0;
  let x = 0;
  let y = 0;
  ring.forEach((a, i) => {
    const b = next(ring, i);
    const cross = (a.x - o.x) * (b.y - o.y) - (b.x - o.x) * (a.y - o.y);
    twice += cross;
    x += (a.x + b.x - 2 * o.x) * cross;
    y += (a.y + b.y - 2 * o.y) * cross;
  });
  return twice === 0 ? o : { x: o.x + x / (3 * twice), y: o.y + y / (3 * twice) };
}

export const clockwise = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** Whether a point lies inside, by crossings of a ray (Shimrat, CACM 5, 1962). Points on the edge may fall either way. */
export function insideRing(ring: Ring, p: Point): boolean {
  let inside = false;
  let a = ring[ring.length - 1] as Point;
  for (let i = 0; i < ring.length; i += 1) {
    const b = ring[i] as Point;
    if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x)) inside = !inside;
    a = b;
  }
  return inside;
}

/** Distance from a point to a straight edge, mm. */
function distanceToEdge(p: Point, a: Point, b: Point): number {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / length2));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/** Least distance from a point to a ring's edges, mm. A plain loop: outlines are asked this many thousand times. */
export function distanceToRing(ring: Ring, p: Point): number {
  let least = Infinity;
  let a = ring[ring.length - 1] as Point;
  for (let i = 0; i < ring.length; i += 1) {
    const b = ring[i] as Point;
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const px = p.x - a.x;
    const py = p.y - a.y;
    const length2 = dx * dx + dy * dy;
    const t = length2 === 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / length2));
    const ex = px - t * dx;
    const ey = py - t * dy;
    const d2 = ex * ex + ey * ey;
    if (d2 < least) least = d2;
    a = b;
  }
  return Math.sqrt(least);
}

/** Corners closer than `leastMm` to the one before are dropped, and a last that repeats the first. */
export function withoutRepeats(ring: Ring, leastMm = 1e-6): Ring {
  const kept: Point[] = [];
  for (const p of ring) {
    const before = kept[kept.length - 1];
    if (!before || Math.hypot(p.x - before.x, p.y - before.y) > leastMm) kept.push(p);
  }
  while (kept.length > 1) {
    const [first, last] = [kept[0] as Point, kept[kept.length - 1] as Point];
    if (Math.hypot(first.x - last.x, first.y - last.y) > leastMm) break;
    kept.pop();
  }
  return kept;
}

export interface Crossing {
  readonly at: Point;
  /** Edges that cross, and how far along each, 0..1. */
  readonly i: number;
  readonly j: number;
  readonly s: number;
  readonly t: number;
}

/** The boxes of a ring's edges, side by side: read many times over, so kept as plain numbers. */
function edgeBoxes(ring: Ring) {
  const n = ring.length;
  const left = new Float64Array(n);
  const right = new Float64Array(n);
  const top = new Float64Array(n);
  const foot = new Float64Array(n);
  ring.forEach((a, i) => {
    const b = next(ring, i);
    left[i] = a.x < b.x ? a.x : b.x;
    right[i] = a.x < b.x ? b.x : a.x;
    top[i] = a.y < b.y ? a.y : b.y;
    foot[i] = a.y < b.y ? b.y : a.y;
  });
  return { left, right, top, foot };
}

/**
 * Where a ring crosses itself, neighbours aside. Edges are swept in x, so only those that overlap there are tried.
 * Stops after `most`.
 */
export function selfCrossings(ring: Ring, most = 10_000): readonly Crossing[] {
  const n = ring.length;
  const { left, right, top, foot } = edgeBoxes(ring);
  const order = Array.from({ length: n }, (_, i) => i).sort(
    (a, b) => (left[a] as number) - (left[b] as number),
  );
  const found: Crossing[] = [];
  const open: number[] = [];
  for (const i of order) {
    const from = left[i] as number;
    const [high, low] = [top[i] as number, foot[i] as number];
    let kept = 0;
    for (let k = 0; k < open.length; k += 1) {
      const j = open[k] as number;
      if ((right[j] as number) < from) continue;
      open[kept] = j;
      kept += 1;
      if ((foot[j] as number) < high || (top[j] as number) > low) continue;
      const hit = crossing(ring, Math.min(i, j), Math.max(i, j));
      if (hit) found.push(hit);
      if (found.length >= most) return found;
    }
    open.length = kept;
    open.push(i);
  }
  return found;
}

function crossing(ring: Ring, i: number, j: number): Crossing | null {
  const n = ring.length;
  if (j === i + 1 || (i === 0 && j === n - 1)) return null;
  const a = ring[i] as Point;
  const b = next(ring, i);
  const c = ring[j] as Point;
  const d = next(ring, j);
  const den = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
  if (den === 0) return null;
  const s = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / den;
  const t = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / den;
  if (s < 0 || s > 1 || t < 0 || t > 1) return null;
  return { at: { x: a.x + s * (b.x - a.x), y: a.y + s * (b.y - a.y) }, i, j, s, t };
}

/**
 * Fewer corners, none of the old farther than `toleranceMm` from the new outline (Douglas and Peucker, 1973). With a stack,
 * so that ten thousand corners neither freeze nor overflow.
 */
export function simplify(ring: Ring, toleranceMm: number): Ring {
  const n = ring.length;
  if (n < 4) return ring;
  const keep = new Uint8Array(n);
  // Two far-apart corners to start from: the first, and the farthest from it.
  const first = ring[0] as Point;
  let far = 0;
  let reach = 0;
  ring.forEach((p, i) => {
    const away = (p.x - first.x) ** 2 + (p.y - first.y) ** 2;
    if (away > reach) {
      reach = away;
      far = i;
    }
  });
  keep[0] = 1;
  keep[far] = 1;
  const stack: [number, number][] = [
    [0, far],
    [far, n],
  ];
  for (let top = stack.pop(); top; top = stack.pop()) {
    const [from, to] = top;
    const a = ring[from] as Point;
    const b = ring[to % n] as Point;
    let worst = toleranceMm;
    let at = -1;
    for (let i = from + 1; i < to; i += 1) {
      const d = distanceToEdge(ring[i] as Point, a, b);
      if (d > worst) {
        worst = d;
        at = i;
      }
    }
    if (at < 0) continue;
    keep[at] = 1;
    stack.push([from, at], [at, to]);
  }
  return ring.filter((_, i) => keep[i] === 1);
}
