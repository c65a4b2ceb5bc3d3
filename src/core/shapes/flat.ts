import type { FlatOutline, Hole } from '../shop/blank';
import { flatten, moveContour, type Contour, type Vertex } from '../geometry/contour';
import { offsetRing } from '../geometry/offset';
import { type Point, boundsOf } from '../geometry/plane';
import { clockwise, simplify, withoutRepeats, type Ring } from '../geometry/ring';

/** Bulge of a quarter circle turned clockwise: tan(90°/4). */
const QUARTER = Math.tan(Math.PI / 8);
/** Curves that are not arcs are drawn with chords no farther than this from the curve, mm. */
const CURVE_TOLERANCE_MM = 0.01;
/** The same for what is only moved out to be cut away, or in to keep words clear, mm. */
const OFFSET_TOLERANCE_MM = 0.03;

function roundedRect(w: number, h: number, corner: number): Contour {
  const c = Math.min(corner, w / 2, h / 2);
  if (c < 1e-3)
    return [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: h },
      { x: 0, y: h },
    ];
  const arc = (x: number, y: number): Vertex => ({ x, y, bulge: QUARTER });
  return [
    { x: c, y: 0 },
    arc(w - c, 0),
    { x: w, y: c },
    arc(w, h - c),
    { x: w - c, y: h },
    arc(c, h),
    { x: 0, y: h - c },
    arc(0, c),
  ];
}

const disc = (d: number): Contour => roundedRect(d, d, d / 2).filter((v) => v.bulge !== undefined);

/** Chords of an ellipse with semi-axes a ≥ b stray at most a (1 − cos π/n) from it. */
function ellipse(w: number, h: number): Contour {
  const a = Math.max(w, h) / 2;
  const n = 4 * Math.ceil(Math.PI / Math.acos(1 - CURVE_TOLERANCE_MM / a) / 4);
  return Array.from({ length: n }, (_, i) => {
    const t = (2 * Math.PI * i) / n;
    return { x: (w / 2) * (1 + Math.cos(t)), y: (h / 2) * (1 + Math.sin(t)) };
  });
}

/**
 * The curve `d` beside an ellipse, point by point along its normals: exact outwards, and inwards up to its tightest bend b²/a.
 * Null beyond that, where it would fold over itself.
 */
function besideEllipse(w: number, h: number, d: number): Contour | null {
  const [a, b] = [w / 2, h / 2];
  if (-d >= Math.min(a, b) ** 2 / Math.max(a, b)) return null;
  return ellipse(w, h).map((p) => {
    const x = p.x - a;
    const y = p.y - b;
    const nx = x / (a * a);
    const ny = y / (b * b);
    const n = Math.hypot(nx, ny);
    return { x: p.x + (d * nx) / n, y: p.y + (d * ny) / n };
  });
}

/** Stretches some points to a box that starts at 0, 0. */
function fitted(points: readonly Point[], w: number, h: number): Contour {
  const box = boundsOf(points);
  return points.map((p) => ({
    x: ((p.x - box.x) / box.width) * w,
    y: ((p.y - box.y) / box.height) * h,
  }));
}

const hexagon = (w: number, h: number): Contour =>
  fitted(
    Array.from({ length: 6 }, (_, i) => ({
      x: Math.cos((i * Math.PI) / 3),
      y: Math.sin((i * Math.PI) / 3),
    })),
    w,
    h,
  );

function star(w: number, h: number): Contour {
  return fitted(
    Array.from({ length: 10 }, (_, i) => {
      const a = (i * Math.PI) / 5 - Math.PI / 2;
      const r = i % 2 === 0 ? 1 : 0.5;
      return { x: r * Math.cos(a), y: r * Math.sin(a) };
    }),
    w,
    h,
  );
}

/** Most that the heart's curve bends, |r″| in its own units, and the box of those units. */
const HEART_BENDS = Math.hypot(48, 67);
const HEART_WIDTH = 32;
const HEART_HEIGHT = 28.95;

/**
 * Two lobes and a point: x = 16 sin³t, y = −(13 cos t − 5 cos 2t − 2 cos 3t − cos 4t). A chord over Δt strays at most |r″| Δt²/8 from
 * its curve. Four corners in a quarter at least, so that the lobes and the point are among them.
 */
function heart(w: number, h: number, toleranceMm: number): Contour {
  const scale = Math.max(w / HEART_WIDTH, h / HEART_HEIGHT);
  const n = 4 * Math.max(4, Math.ceil((Math.PI / 2) * Math.sqrt((HEART_BENDS * scale) / (8 * toleranceMm))));
  return fitted(
    Array.from({ length: n }, (_, i) => {
      const t = (2 * Math.PI * i) / n;
      return {
        x: 16 * Math.sin(t) ** 3,
        y: -(13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t)),
      };
    }),
    w,
    h,
  );
}

/** A label: the two upper corners cut off. */
function tag(w: number, h: number): Contour {
  const c = Math.min(w, h) * 0.28;
  return [
    { x: c, y: 0 },
    { x: w - c, y: 0 },
    { x: w, y: c },
    { x: w, y: h },
    { x: 0, y: h },
    { x: 0, y: c },
  ];
}

/** A round head on straight sides. */
function arch(w: number, h: number): Contour {
  // A head lower than half its width is part of a larger circle: bulge = rise over half the chord, for each half of the arc.
  const r = Math.min(w / 2, h * 0.98);
  const half = Math.tan(Math.atan((2 * r) / w) / 2);
  return [
    { x: 0, y: r, bulge: half },
    { x: w / 2, y: 0, bulge: half },
    { x: w, y: r },
    { x: w, y: h },
    { x: 0, y: h },
  ];
}

/** A disc as wide as `w`, and above it a round-headed lug that brings the whole to `h`. */
function lugged(w: number, h: number): Contour {
  const r = w / 2;
  const cy = h - r;
  const a = Math.min(r * 0.24, Math.max(0.5, h - w));
  const meet = cy - Math.sqrt(r * r - a * a);
  const half = Math.asin(a / r);
  const third = (2 * Math.PI - 2 * half) / 3;
  const bulge = Math.tan(third / 4);
  const onBody = (i: number): Vertex => {
    const angle = -Math.PI / 2 + half + i * third;
    return { x: r + r * Math.cos(angle), y: cy + r * Math.sin(angle), bulge };
  };
  return [
    { x: r - a, y: meet },
    { x: r - a, y: a, bulge: QUARTER },
    { x: r, y: 0, bulge: QUARTER },
    { x: r + a, y: a },
    { ...onBody(0), x: r + a, y: meet },
    onBody(1),
    onBody(2),
  ];
}

/** The outline as a contour whose box starts at 0, 0; mm, clockwise. Curves that are not arcs stray at most `toleranceMm` from it. */
export function outlineContour(o: FlatOutline, toleranceMm = CURVE_TOLERANCE_MM): Contour {
  const { widthMm: w, heightMm: h } = o;
  switch (o.form) {
    case 'rectangle':
      return roundedRect(w, h, o.cornerMm);
    case 'oval':
      return w === h ? disc(w) : ellipse(w, h);
    case 'hexagon':
      return hexagon(w, h);
    case 'star':
      return star(w, h);
    case 'heart':
      return heart(w, h, toleranceMm);
    case 'tag':
      return tag(w, h);
    case 'arch':
      return arch(w, h);
    case 'lugged disc':
      // Wider than tall, its lug stands at the right.
      return w <= h ? lugged(w, h) : lugged(h, w).map((v) => ({ ...v, x: w - v.y, y: v.x }));
    case 'drawn':
      return clockwise(
        fitted(
          o.points.map(([x, y]) => ({ x, y })),
          w,
          h,
        ),
      );
  }
}

export const outlineRing = (o: FlatOutline): Ring =>
  withoutRepeats(flatten(outlineContour(o), CURVE_TOLERANCE_MM));

/**
 * The outline moved out by `d` mm (in where negative), largest piece first. Exact for rectangles, discs and ovals; for the rest within
 * the curve tolerance, with round joins.
 */
export function offsetOutline(o: FlatOutline, d: number): readonly Contour[] {
  if (o.form === 'rectangle') {
    const [w, h] = [o.widthMm + 2 * d, o.heightMm + 2 * d];
    if (w <= 0 || h <= 0) return [];
    return [moveContour(roundedRect(w, h, Math.max(0, o.cornerMm + d)), -d, -d)];
  }
  if (o.form === 'oval' && o.widthMm === o.heightMm) {
    const across = o.widthMm + 2 * d;
    return across <= 0 ? [] : [moveContour(disc(across), -d, -d)];
  }
  const beside = o.form === 'oval' ? besideEllipse(o.widthMm, o.heightMm, d) : null;
  return beside
    ? [beside]
    : offsetRing(
        simplify(
          withoutRepeats(flatten(outlineContour(o, OFFSET_TOLERANCE_MM), OFFSET_TOLERANCE_MM)),
          OFFSET_TOLERANCE_MM,
        ),
        d,
      );
}

/** A hole or slot grown by its clearance, mm. */
export function holeContour(hole: Hole, clearanceMm = 0): Contour {
  switch (hole.form) {
    case 'round': {
      const d = hole.diameterMm + 2 * clearanceMm;
      return moveContour(disc(d), hole.xMm - d / 2, hole.yMm - d / 2);
    }
    case 'slot': {
      const [w, h] = [hole.widthMm + 2 * clearanceMm, hole.heightMm + 2 * clearanceMm];
      return moveContour(roundedRect(w, h, Math.min(w, h) / 2), hole.xMm - w / 2, hole.yMm - h / 2);
    }
    case 'drawn': {
      const ring = hole.points.map(([x, y]) => ({ x, y }));
      return clearanceMm === 0 ? ring : (offsetRing(ring, clearanceMm)[0] ?? ring);
    }
  }
}
