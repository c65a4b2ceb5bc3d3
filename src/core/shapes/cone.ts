import type { Point } from '../geometry/plane';
import type { Contour, Vertex } from '../geometry/contour';

/**
 * A frustum's lateral surface: radii at top and foot and the slant between, mm. All positive. `k` is the sine of half the apex
 * angle, signed: positive where the top is wider, 0 for a cylinder, between −1 and 1.
 */
export interface Cone {
  readonly topRadiusMm: number;
  readonly footRadiusMm: number;
  readonly slantMm: number;
  readonly k: number;
}

export const coneOfSlant = (topRadiusMm: number, footRadiusMm: number, slantMm: number): Cone => ({
  topRadiusMm,
  footRadiusMm,
  slantMm,
  // Rounding must not make a flat ring steeper than flat.
  k: Math.max(-1, Math.min(1, (topRadiusMm - footRadiusMm) / slantMm)),
});

/** From the height along the axis: s = √(h² + (r1 − r2)²). */
export const coneOfHeight = (topRadiusMm: number, footRadiusMm: number, heightMm: number): Cone =>
  coneOfSlant(topRadiusMm, footRadiusMm, Math.hypot(heightMm, topRadiusMm - footRadiusMm));

/** Cosine of half the apex angle: height over slant. */
export const cosineOf = (c: Cone): number => Math.sqrt(Math.max(0, 1 - c.k * c.k));
export const axialHeightMm = (c: Cone): number => c.slantMm * cosineOf(c);
export const radiusAt = (c: Cone, slantMm: number): number => c.topRadiusMm - c.k * slantMm;
/** Lateral area π (r1 + r2) s, mm². */
export const lateralAreaMm2 = (c: Cone): number => Math.PI * (c.topRadiusMm + c.footRadiusMm) * c.slantMm;

const SMALL = 1e-3;
/** sin x / x. */
const sinc = (x: number): number => (Math.abs(x) < SMALL ? 1 - (x * x) / 6 + x ** 4 / 120 : Math.sin(x) / x);
/** arcsin x / x. */
const asinc = (x: number): number =>
  Math.abs(x) < SMALL ? 1 + (x * x) / 6 + (3 * x ** 4) / 40 : Math.asin(x) / x;
/** arctan x / x. */
const atanc = (x: number): number => (Math.abs(x) < SMALL ? 1 - (x * x) / 3 + x ** 4 / 5 : Math.atan(x) / x);

/**
 * Unrolls a point of the cone: `azimuth` radians from the middle, `slantMm` down the wall from the top. The middle generator
 * runs straight down from the origin. With R = r/k and angle kφ this is R sin kφ and R1 − R cos kφ, written so that k → 0 is
 * the rectangle rφ × v without a division by k: sin kφ / k = φ sinc kφ and (1 − cos kφ)/k = ½ k φ² sinc² ½kφ.
 */
export function develop(c: Cone, azimuth: number, slantMm: number): Point {
  const a = c.k * azimuth;
  const half = sinc(a / 2);
  return {
    x: radiusAt(c, slantMm) * azimuth * sinc(a),
    y: (c.topRadiusMm * c.k * azimuth * azimuth * half * half) / 2 + slantMm * Math.cos(a),
  };
}

export interface OnCone {
  readonly azimuth: number;
  readonly slantMm: number;
}

/** The inverse of `develop`, for azimuths with |k φ| < π. */
export function rollUp(c: Cone, p: Point): OnCone {
  const { k, topRadiusMm: r1 } = c;
  const along = r1 - k * p.y;
  const across = k * p.x;
  const radius = Math.hypot(along, across);
  // v = (r1 − ρ)/k with ρ² = (r1 − ky)² + (kx)²; multiplied out, k cancels.
  const slantMm = (2 * r1 * p.y - k * (p.x * p.x + p.y * p.y)) / (r1 + radius);
  const azimuth =
    along > 0 && Math.abs(across) < along
      ? (p.x / along) * atanc(across / along)
      : Math.atan2(across, along) / k;
  return { azimuth, slantMm };
}

/** Azimuth of a line parallel to the generator at `azimuth`, `offMm` beside it, where the radius is r. */
export function besideGenerator(c: Cone, azimuth: number, offMm: number, slantMm: number): number {
  const r = radiusAt(c, slantMm);
  const s = Math.max(-1, Math.min(1, (offMm * c.k) / r));
  return azimuth + (offMm / r) * (Math.abs(offMm * c.k) > r ? Math.asin(s) / s : asinc(s));
}

/** One side of a patch: a generator, or a cut parallel to it `offMm` further on. */
export interface PatchSide {
  readonly azimuth: number;
  readonly offMm: number;
}

/** A patch of the unrolled wall between two heights and two sides, mm down the slant from the top of the cone. */
export interface Patch {
  readonly fromMm: number;
  readonly toMm: number;
  readonly left: PatchSide;
  readonly right: PatchSide;
}

/** The two parallels of a patch as arcs of at most a quarter turn each, so that no arc is ambiguous. */
function parallel(c: Cone, from: number, to: number, slantMm: number): Vertex[] {
  const turn = c.k * (to - from);
  const n = Math.max(1, Math.ceil(Math.abs(turn) / (Math.PI / 2) - 1e-9));
  const bulge = Math.tan(turn / n / 4);
  return Array.from({ length: n }, (_, i) => {
    const p = develop(c, from + ((to - from) * i) / n, slantMm);
    return bulge === 0 ? p : { ...p, bulge };
  });
}

/** The contour of a patch: along the top to the right, down, back along the foot, and up. Exact: arcs stay arcs. */
export function patchContour(c: Cone, patch: Patch): Contour {
  const at = (side: PatchSide, v: number) => besideGenerator(c, side.azimuth, side.offMm, v);
  const { fromMm: v0, toMm: v1, left, right } = patch;
  const top = parallel(c, at(left, v0), at(right, v0), v0);
  const foot = parallel(c, at(right, v1), at(left, v1), v1);
  return [...top, develop(c, at(right, v0), v0), ...foot, develop(c, at(left, v1), v1)];
}

/** A piece of the unrolled wall that turns through `topArcMm` at its top and `footArcMm` at its foot. */
export interface Sector {
  /** Radii of the two arcs, mm; infinite for a cylinder. Outer is the longer. */
  readonly outerMm: number;
  readonly innerMm: number;
  readonly angleRad: number;
  /** How far the middle of each arc stands above its ends: R (1 − cos θ/2), mm. */
  readonly topBowMm: number;
  readonly footBowMm: number;
  /** Straight distances between the ends of each arc: 2 R sin θ/2, mm. */
  readonly topChordMm: number;
  readonly footChordMm: number;
  readonly topArcMm: number;
  readonly footArcMm: number;
}

/**
 * A piece of a frustum laid flat, in the words of a drawing board: as long as its arcs say, the whole way round where nothing is said. An arc
 * of length a on the wall's radius r turns through k a / r of the flat.
 */
export function sectorOf(
  c: Cone,
  topArcMm: number = 2 * Math.PI * c.topRadiusMm,
  footArcMm: number = 2 * Math.PI * c.footRadiusMm,
): Sector {
  const turn = (arcMm: number, r: number) => (c.k * arcMm) / r;
  // R (1 − cos ½θ) and 2 R sin ½θ with R = a/θ, written so that θ → 0 is the straight edge.
  const bow = (arcMm: number, r: number) => (arcMm * turn(arcMm, r) * sinc(turn(arcMm, r) / 4) ** 2) / 8;
  const chord = (arcMm: number, r: number) => arcMm * sinc(turn(arcMm, r) / 2);
  const flat = (r: number) => (c.k === 0 ? Infinity : r / Math.abs(c.k));
  const topWider = c.topRadiusMm >= c.footRadiusMm;
  return {
    outerMm: flat(Math.max(c.topRadiusMm, c.footRadiusMm)),
    innerMm: flat(Math.min(c.topRadiusMm, c.footRadiusMm)),
    angleRad: Math.abs(topWider ? turn(topArcMm, c.topRadiusMm) : turn(footArcMm, c.footRadiusMm)),
    topBowMm: bow(topArcMm, c.topRadiusMm),
    footBowMm: bow(footArcMm, c.footRadiusMm),
    topChordMm: chord(topArcMm, c.topRadiusMm),
    footChordMm: chord(footArcMm, c.footRadiusMm),
    topArcMm,
    footArcMm,
  };
}
