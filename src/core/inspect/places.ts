import type { MarkEdge, Mark, MarkPlace, FacePoint } from '../shop/mark';
import { WHERES, type Where } from './evidence';

/** A face as marks lie on it, mm. A wrap closes at its ends: left and right are its seam. */
export interface FaceSize {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly wrap: boolean;
}

/** An edge is as far in as a fingertip, or a share of a small face. */
const EDGE_MM = 12;
const EDGE_SHARE = 0.12;
const ALL_SHARE = 0.5;

const mean = (points: readonly FacePoint[]): FacePoint => ({
  xMm: points.reduce((s, p) => s + p.xMm, 0) / Math.max(1, points.length),
  yMm: points.reduce((s, p) => s + p.yMm, 0) / Math.max(1, points.length),
});

const areaOf = (points: readonly FacePoint[]): number =>
  Math.abs(
    points.reduce((s, p, i) => {
      const q = points[(i + 1) % points.length] ?? p;
      return s + p.xMm * q.yMm - q.xMm * p.yMm;
    }, 0) / 2,
  );

/** The middle of a mark on its face, mm. */
export function middleOf(place: MarkPlace, face: FaceSize): FacePoint {
  const { widthMm: w, heightMm: h } = face;
  switch (place.kind) {
    case 'point':
      return { xMm: place.xMm, yMm: place.yMm };
    case 'line':
    case 'area':
      return mean(place.points);
    case 'edge':
      return EDGE_MIDDLES[place.edge](w, h);
    case 'all':
      return { xMm: w / 2, yMm: h / 2 };
  }
}

const EDGE_MIDDLES: Readonly<Record<MarkEdge, (w: number, h: number) => FacePoint>> = {
  top: (w) => ({ xMm: w / 2, yMm: 0 }),
  foot: (w, h) => ({ xMm: w / 2, yMm: h }),
  left: (_, h) => ({ xMm: 0, yMm: h / 2 }),
  right: (w, h) => ({ xMm: w, yMm: h / 2 }),
};

function wherePoint({ xMm, yMm }: FacePoint, { widthMm, heightMm, wrap }: FaceSize): Where {
  const near = Math.max(4, Math.min(EDGE_MM, EDGE_SHARE * Math.min(widthMm, heightMm)));
  const side = Math.min(xMm, widthMm - xMm);
  const rim = Math.min(yMm, heightMm - yMm);
  if (wrap) {
    if (side <= near && side <= rim) return 'seam';
    return rim <= near ? 'rim-foot' : 'inside';
  }
  // A corner of a flat face reaches further than its edges: a hand marks it well inside.
  if (side <= 2 * near && rim <= 2 * near) return 'corner';
  return side <= near || rim <= near ? 'edge' : 'inside';
}

/** What reaches over most of a side does not lie at its ends. */
const MOST_OF_SIDE = 0.7;

/** A line or an area lies where it comes nearest to: a pale corner is one however far it reaches in. */
function whereStretch(points: readonly FacePoint[], face: FaceSize): Where {
  const xs = points.map((p) => p.xMm);
  const ys = points.map((p) => p.yMm);
  const nearest = (values: readonly number[], size: number): number => {
    const [lo, hi] = [Math.min(...values), Math.max(...values)];
    if (hi - lo > MOST_OF_SIDE * size) return size / 2;
    return lo < size - hi ? lo : hi;
  };
  return wherePoint({ xMm: nearest(xs, face.widthMm), yMm: nearest(ys, face.heightMm) }, face);
}

/** Which part of the face a mark lies at. */
export function whereOf(place: MarkPlace, face: FaceSize): Where {
  switch (place.kind) {
    case 'all':
      return 'all';
    case 'edge':
      if (!face.wrap) return 'edge';
      return place.edge === 'top' || place.edge === 'foot' ? 'rim-foot' : 'seam';
    case 'area':
      return areaOf(place.points) > ALL_SHARE * face.widthMm * face.heightMm
        ? 'all'
        : whereStretch(place.points, face);
    case 'line':
      return whereStretch(place.points, face);
    default:
      return wherePoint(middleOf(place, face), face);
  }
}

/** How the marks are spread over the parts of a face, in the order of WHERES: the worse a mark, the more it counts. Null without marks. */
export function whereShares(marks: readonly Mark[], face: FaceSize): readonly number[] | null {
  const total = marks.reduce((s, m) => s + m.severity, 0);
  if (total === 0) return null;
  return WHERES.map(
    (w) => marks.reduce((s, m) => s + (whereOf(m.place, face) === w ? m.severity : 0), 0) / total,
  );
}

/** A span along a wrap that the heater does not reach, mm from its left end. */
export interface Gap {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Whether a mark lies where the heater does not reach. */
export function inGap(place: MarkPlace, face: FaceSize, gaps: readonly Gap[]): boolean {
  const { xMm } = middleOf(place, face);
  return place.kind !== 'all' && gaps.some((g) => xMm >= g.fromMm - 1 && xMm <= g.toMm + 1);
}
