import { boundsOf, type Point, type Rect } from './plane';

/**
 * A corner of a closed contour. `bulge` shapes the edge from here to the next corner: tan(θ/4) of the circular arc's angle θ,
 * positive clockwise on a y-down board, 0 or absent for a straight edge. Arcs turn less than half round.
 */
export interface Vertex extends Point {
  readonly bulge?: number;
}

/** A closed figure of straight edges and circular arcs, mm. At least three corners. */
export type Contour = readonly Vertex[];

/** Below this the sagitta of any arc on a bench is under a millionth of a millimetre. */
const STRAIGHT = 1e-10;

export const rectContour = (r: Rect): Contour => [
  { x: r.x, y: r.y },
  { x: r.x + r.width, y: r.y },
  { x: r.x + r.width, y: r.y + r.height },
  { x: r.x, y: r.y + r.height },
];

interface Edge {
  readonly a: Vertex;
  readonly b: Vertex;
}

const edges = (c: Contour): readonly Edge[] => c.map((a, i) => ({ a, b: c[(i + 1) % c.length] ?? a }));

const bulgeOf = (v: Vertex): number => (Math.abs(v.bulge ?? 0) < STRAIGHT ? 0 : (v.bulge ?? 0));

/** Radius of the arc that leaves a corner; infinite for a straight edge. */
function radiusOf({ a, b }: Edge): number {
  const t = bulgeOf(a);
  if (t === 0) return Infinity;
  return (Math.hypot(b.x - a.x, b.y - a.y) * (1 + t * t)) / (4 * Math.abs(t));
}

/** A point part of the way (0..1) along an edge. */
function along(edge: Edge, part: number): Point {
  const { a, b } = edge;
  const t = bulgeOf(a);
  if (t === 0) return { x: a.x + part * (b.x - a.x), y: a.y + part * (b.y - a.y) };
  const theta = 4 * Math.atan(t);
  // Centre from the chord's middle; the radius vector then turns by a part of θ (clockwise on a y-down board).
  const m = (1 - t * t) / (4 * t);
  const cx = (a.x + b.x) / 2 - m * (b.y - a.y);
  const cy = (a.y + b.y) / 2 + m * (b.x - a.x);
  const c = Math.cos(theta * part);
  const s = Math.sin(theta * part);
  const rx = a.x - cx;
  const ry = a.y - cy;
  return { x: cx + c * rx - s * ry, y: cy + s * rx + c * ry };
}

function piecesOf(edge: Edge, toleranceMm: number): number {
  const t = bulgeOf(edge.a);
  if (t === 0) return 1;
  const theta = Math.abs(4 * Math.atan(t));
  const r = radiusOf(edge);
  return Math.max(1, Math.ceil(theta / (2 * Math.acos(Math.max(0.5, 1 - toleranceMm / r)))));
}

/** Contours do not change, so what has been flattened once is kept for as long as its contour lives. */
const flattened = new WeakMap<Contour, Map<number, readonly Point[]>>();

/** The corners of a polygon that lies within `toleranceMm` of the contour. Corners of the contour are kept exactly. */
export function flatten(c: Contour, toleranceMm = 0.01): readonly Point[] {
  const known = flattened.get(c) ?? new Map<number, readonly Point[]>();
  const found = known.get(toleranceMm);
  if (found) return found;
  const made = flattenNow(c, toleranceMm);
  known.set(toleranceMm, made);
  flattened.set(c, known);
  return made;
}

function flattenNow(c: Contour, toleranceMm: number): readonly Point[] {
  return edges(c).flatMap((edge): Point[] => {
    const n = piecesOf(edge, toleranceMm);
    return Array.from({ length: n }, (_, i) => (i === 0 ? { x: edge.a.x, y: edge.a.y } : along(edge, i / n)));
  });
}

/** Smallest upright rectangle round a contour, its arcs' outermost points included exactly. */
export function boundsOfContour(c: Contour): Rect {
  const points: Point[] = [];
  for (const edge of edges(c)) {
    points.push(edge.a);
    const t = bulgeOf(edge.a);
    if (t === 0) continue;
    const theta = 4 * Math.atan(t);
    const m = (1 - t * t) / (4 * t);
    const cx = (edge.a.x + edge.b.x) / 2 - m * (edge.b.y - edge.a.y);
    const cy = (edge.a.y + edge.b.y) / 2 + m * (edge.b.x - edge.a.x);
    const from = Math.atan2(edge.a.y - cy, edge.a.x - cx);
    for (let q = -4; q <= 4; q += 1) {
      const part = ((q * Math.PI) / 2 - from) / theta;
      if (part > 0 && part < 1) points.push(along(edge, part));
    }
  }
  return boundsOf(points);
}

/** θ − sin θ without cancellation for small θ (Maclaurin). */
const segment = (theta: number): number =>
  Math.abs(theta) < 0.05
    ? (theta ** 3 / 6) * (1 - theta ** 2 / 20 + theta ** 4 / 840 - theta ** 6 / 60480)
    : theta - Math.sin(theta);

/** Signed area, mm²: positive clockwise on a y-down board. Polygon by the shoelace formula plus circular segments. */
export function contourArea(c: Contour): number {
  const first = c[0] ?? { x: 0, y: 0 };
  return edges(c).reduce((sum, edge) => {
    const { a, b } = edge;
    // Taken about the first corner, so that a figure far from the origin loses no digits.
    const cross = (a.x - first.x) * (b.y - first.y) - (b.x - first.x) * (a.y - first.y);
    const t = bulgeOf(a);
    const r = radiusOf(edge);
    return sum + cross / 2 + (t === 0 ? 0 : (r * r * segment(4 * Math.atan(t))) / 2);
  }, 0);
}

/** Length round, mm. */
export const contourLength = (c: Contour): number =>
  edges(c).reduce((sum, edge) => {
    const t = bulgeOf(edge.a);
    return (
      sum +
      (t === 0
        ? Math.hypot(edge.b.x - edge.a.x, edge.b.y - edge.a.y)
        : radiusOf(edge) * Math.abs(4 * Math.atan(t)))
    );
  }, 0);

/** SVG path data in mm, arcs kept as arcs. */
export function contourPath(c: Contour, format: (v: number) => string = (v) => String(v)): string {
  const [first] = c;
  if (!first) return '';
  const to = edges(c).map((edge) => {
    const end = `${format(edge.b.x)} ${format(edge.b.y)}`;
    const t = bulgeOf(edge.a);
    if (t === 0) return `L ${end}`;
    const r = format(radiusOf(edge));
    return `A ${r} ${r} 0 0 ${t > 0 ? 1 : 0} ${end}`;
  });
  return `M ${format(first.x)} ${format(first.y)} ${to.join(' ')} Z`;
}

export const moveContour = (c: Contour, dx: number, dy: number): Contour =>
  c.map((v) => ({ ...v, x: v.x + dx, y: v.y + dy }));

/** Left to right about x = `axis`; the order of corners is kept turning the same way round. */
export function mirrorContour(c: Contour, axis: number): Contour {
  const n = c.length;
  return c.map((_, i) => {
    const at = c[(n - i) % n];
    const before = c[(n - i - 1 + n) % n];
    // Backwards round, the edge leaving corner i is the one that entered it, seen in a mirror: same turn.
    const bulge = before?.bulge;
    const p = { x: 2 * axis - (at?.x ?? 0), y: at?.y ?? 0 };
    return bulge === undefined ? p : { ...p, bulge };
  });
}
