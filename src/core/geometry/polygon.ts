import type { Point } from './plane';
import { signedArea } from './ring';

/** A convex polygon, vertices in order. */
export type Polygon = readonly Point[];

interface HalfPlane {
  readonly through: Point;
  readonly nx: number;
  readonly ny: number;
}

const outside = (h: HalfPlane, p: Point): number => (p.x - h.through.x) * h.nx + (p.y - h.through.y) * h.ny;

/** Half-planes whose intersection is the polygon; normals point out. */
function halfPlanes(p: Polygon): readonly HalfPlane[] {
  const turn = signedArea(p) >= 0 ? 1 : -1;
  return p.map((a, i) => {
    const b = p[(i + 1) % p.length] ?? a;
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { through: a, nx: (turn * (b.y - a.y)) / length, ny: (-turn * (b.x - a.x)) / length };
  });
}

/** Sutherland and Hodgman's clip against one half-plane (CACM 17, 1974). `keep` -1 keeps the inside, 1 the outside. */
function clipHalf(p: Polygon, h: HalfPlane, keep: -1 | 1): Polygon {
  const side = (q: Point) => keep * outside(h, q);
  return p.flatMap((a, i) => {
    const b = p[(i + 1) % p.length] ?? a;
    const da = side(a);
    const db = side(b);
    const kept: Point[] = da >= 0 ? [a] : [];
    if (da >= 0 !== db >= 0) {
      const t = da / (da - db);
      kept.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
    return kept;
  });
}

/** Parts of `whole` not covered by convex `cover`, as disjoint convex pieces larger than `dustArea`. */
export function uncovered(whole: Polygon, cover: Polygon, dustArea = 1e-6): readonly Polygon[] {
  const pieces: Polygon[] = [];
  let rest = whole;
  for (const h of halfPlanes(cover)) {
    const out = clipHalf(rest, h, 1);
    if (out.length >= 3 && Math.abs(signedArea(out)) > dustArea) pieces.push(out);
    rest = clipHalf(rest, h, -1);
    if (rest.length < 3) break;
  }
  return pieces;
}
