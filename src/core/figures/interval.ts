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

/** Density of the error at x. */
function errorDensity({ uniformHalf: a, normalS: s }: ErrorShape, x: number): number {
  if (a < 1e-6 * s) return (Math.exp(-0.5 * (x / s) ** 2) * 0.3989422804014327) / s;
  return (normalCdf((x + a) / s) - normalCdf((x - a) / s)) / (2 * a);
}

/** The error not exceeded with chance p (0.5 < p < 1): Newton's method, held between limits that close in on it. */
export function errorQuantile(shape: ErrorShape, p: number): number {
  const { uniformHalf: a, normalS: s } = shape;
  if (a === 0 && s === 0) return 0;
  if (s < 1e-6 * a) return a * (2 * p - 1);
  let lo = 0;
  let hi = a + 7 * s;
  let x = Math.min(hi, 1.7 * Math.hypot(a / Math.sqrt(3), s));
  for (let i = 0; i < 60; i += 1) {
    const over = errorCdf(shape, x) - p;
    if (over > 0) hi = x;
    else lo = x;
    const next = x - over / errorDensity(shape, x);
    const stepped = next > lo && next < hi ? next : (lo + hi) / 2;
    if (Math.abs(stepped - x) < 1e-9 * hi) return stepped;
    x = stepped;
  }
  return x;
}

/** Half-width of the interval that holds the true value 19 times in 20. */
export const within95 = (v: Uncertain): number => errorQuantile(errorShape(v), 0.975);

/** What has to be added so that 19 in 20 are not short. */
export const reach95 = (v: Uncertain): number => errorQuantile(errorShape(v), 0.95);
