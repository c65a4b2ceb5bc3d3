import { normalCdf } from './normal';
import { standardU, type Uncertain } from './uncertain';
import { sourceOf } from './sources';

/** Standard normal density integrated twice: t Φ(t) + φ(t). */
const twice = (t: number): number =>
  t < -7 ? 0 : t > 7 ? t : t * normalCdf(t) + Math.exp(-0.5 * t * t) * 0.3989422804014327;

/**
 * Distribution of a zero-mean error: the largest of the sources known only by limits kept as a uniform of half-width a, all the
 * rest together as a normal of standard deviation s. A sum of many is close to normal, but one wide uniform is not, and 1.96 u
 * would overstate it (GUM G.2.2). P(U + N ≤ x) = s/2a · [g((x+a)/s) − g((x−a)/s)], g(t) = t Φ(t) + φ(t).
 */
export interface ErrorShape {
  readonly uniformHalf: number;
  readonly normalS: number;
}

export function errorShape(v: Uncertain): ErrorShape {
  const total = standardU(v);
  const widest = Object.entries(v.parts).reduce(
    (most, [source, u]) => (sourceOf(source).uniform ? Math.max(most, Math.abs(u)) : most),
    0,
  );
  return {
    uniformHalf: widest * Math.sqrt(3),
    normalS: Math.sqrt(Math.max(0, total * total - widest * widest)),
  };
}

/** Chance that the error is at most x, 0..1. */
export function errorCdf({ uniformHalf: a, normalS: s }: ErrorShape, x: number): number {
  if (a === 0 && s === 0) return x >= 0 ? 1 : 0;
  if (s < 1e-6 * a) return Math.min(1, Math.max(0, (x + a) / (2 * a)));
  if (a < 1e-6 * s) return normalCdf(x / s);
  return Math.min(1, Math.max(0, (s / (2 * a)) * (twice((x + a) / s) - twice((x - a) / s))));
}

/** The error not exceeded with chance p (0.5 < p < 1), by bisection. */
export function errorQuantile(shape: ErrorShape, p: number): number {
  let lo = 0;
  let hi = shape.uniformHalf + 7 * shape.normalS;
  for (let i = 0; i < 48 && hi - lo > 1e-8 * hi; i += 1) {
    const mid = (lo + hi) / 2;
    if (errorCdf(shape, mid) < p) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/** Half-width of the interval that holds the true value 19 times in 20. */
export const within95 = (v: Uncertain): number => errorQuantile(errorShape(v), 0.975);

/** What has to be added so that 19 in 20 are not short. */
export const reach95 = (v: Uncertain): number => errorQuantile(errorShape(v), 0.95);
