import { normalCdf } from '../figures/normal';
import { UNKNOWN_KEYS } from './case';
import type { CoatingDose } from './coatings';
import { dot, identity, inverse, quadratic, solve, type Matrix } from './linear';
import type { LogDoses } from './sensitivity';

/** What came of a setting, with how many independent pieces it counts for. */
export interface Trial {
  readonly id: string;
  readonly doses: LogDoses;
  readonly verdict: 'under' | 'good' | 'over';
  readonly weight: number;
}

/**
 * Unknowns of press and stack, needed dose and most dose as one normal distribution, each in its own prior standard deviations:
 * the order of UNKNOWN_KEYS, then needed, then limit.
 */
export interface Belief {
  readonly mean: readonly number[];
  readonly covariance: Matrix;
  readonly coating: CoatingDose;
  /** Trials it was fitted to. */
  readonly trials: number;
}

const NEEDED = UNKNOWN_KEYS.length;
const LIMIT = NEEDED + 1;
const SIZE = LIMIT + 1;

/** From piece to piece under one setting, as a logarithm of dose: hands, lots and rooms. Our own estimate. */
export const PIECE_SD = 0.12;

export const priorBelief = (coating: CoatingDose): Belief => ({
  mean: Array.from({ length: SIZE }, () => 0),
  covariance: identity(SIZE),
  coating,
  trials: 0,
});

/** Logarithm of the normal integral's slope over itself, φ/Φ, without overflow far out (Mills' ratio, Abramowitz & Stegun 26.2.12). */
function mills(z: number): number {
  if (z < -6) return -z + 1 / -z;
  return Math.exp(-0.5 * z * z - 0.9189385332046727) / normalCdf(z);
}

/** How far a setting lies inside each edge, as a row of the unknowns and a constant: margin = constant + row · unknowns. */
interface Margin {
  readonly constant: number;
  readonly row: readonly number[];
}

export function margins(
  d: LogDoses,
  coating: CoatingDose,
): { readonly enough: Margin; readonly bearable: Margin } {
  return {
    enough: {
      constant: d.least - Math.log(coating.neededS),
      row: [...d.leastBy, -coating.neededSd, 0],
    },
    bearable: {
      constant: Math.log(coating.limitS) - d.most,
      row: [...d.mostBy.map((v) => -v), 0, coating.limitSd],
    },
  };
}

/** Terms of the likelihood of one trial: each a margin that was, or was not, kept (ordered probit). */
function terms(t: Trial, coating: CoatingDose): readonly (Margin & { readonly sign: 1 | -1 })[] {
  const { enough, bearable } = margins(t.doses, coating);
  if (t.verdict === 'under') return [{ ...enough, sign: -1 }];
  if (t.verdict === 'over') return [{ ...bearable, sign: -1 }];
  return [
    { ...enough, sign: 1 },
    { ...bearable, sign: 1 },
  ];
}

const MOST_STEPS = 60;

/**
 * Maximum a posteriori under normal priors, by Newton's method on a concave likelihood, with Laplace's approximation of the spread
 * (MacKay 2003, ch. 27).
 */
export function fitBelief(trials: readonly Trial[], coating: CoatingDose): Belief {
  const rows = trials.flatMap((t) => terms(t, coating).map((term) => ({ ...term, weight: t.weight })));
  let x: number[] = Array.from({ length: SIZE }, () => 0);
  let information: number[][] = identity(SIZE);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const gradient = x.map((v) => -v);
    information = identity(SIZE);
    for (const { constant, row, sign, weight } of rows) {
      const z = (sign * (constant + dot(row, x))) / PIECE_SD;
      const m = mills(z);
      const slope = (weight * sign * m) / PIECE_SD;
      const curve = (weight * m * (z + m)) / (PIECE_SD * PIECE_SD);
      row.forEach((r, i) => {
        gradient[i] = (gradient[i] ?? 0) + slope * r;
        const line = information[i];
        if (line) row.forEach((q, j) => (line[j] = (line[j] ?? 0) + curve * r * q));
      });
    }
    const move = solve(information, gradient);
    const length = Math.hypot(...move);
    // Steps are kept short: far out the curvature of a probit says little about the way to go.
    const share = Math.min(1, 1.5 / Math.max(length, 1e-12));
    x = x.map((v, i) => v + share * (move[i] ?? 0));
    if (length < 1e-9) break;
  }
  return { mean: x, covariance: inverse(information), coating, trials: trials.length };
}

/** Probability that a piece of this setting is good, too little, too much. */
export function chances(
  d: LogDoses,
  belief: Belief,
): { readonly good: number; readonly under: number; readonly over: number } {
  const { enough, bearable } = margins(d, belief.coating);
  const of = ({ constant, row }: Margin): number => {
    const spread = Math.sqrt(quadratic(belief.covariance, row) + PIECE_SD * PIECE_SD);
    return normalCdf((constant + dot(row, belief.mean)) / spread);
  };
  const [a, b] = [of(enough), of(bearable)];
  // Too little and too much of it at once does not happen: what either leaves is good.
  return { good: Math.max(0, a + b - 1), under: 1 - a, over: 1 - b };
}

export interface Spread {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

const Z90 = 1.645;
const lognormal = (mean: number, sd: number): Spread => ({
  value: Math.exp(mean),
  low: Math.exp(mean - Z90 * sd),
  high: Math.exp(mean + Z90 * sd),
});

/** Needed and most dose as believed now, s at 200 °C, nine in ten within. */
export function believedDose(belief: Belief): { readonly needed: Spread; readonly limit: Spread } {
  const { coating, mean, covariance } = belief;
  const at = (i: number, of: number, sd: number): Spread =>
    lognormal(Math.log(of) + sd * (mean[i] ?? 0), sd * Math.sqrt(covariance[i]?.[i] ?? 1));
  return {
    needed: at(NEEDED, coating.neededS, coating.neededSd),
    limit: at(LIMIT, coating.limitS, coating.limitSd),
  };
}

/** Doses of a setting as believed now, nine in ten within. */
export function believedDoses(
  d: LogDoses,
  belief: Belief,
): { readonly least: Spread; readonly most: Spread } {
  const of = (constant: number, by: readonly number[]): Spread => {
    const row = [...by, 0, 0];
    return lognormal(constant + dot(row, belief.mean), Math.sqrt(quadratic(belief.covariance, row)));
  };
  return { least: of(d.least, d.leastBy), most: of(d.most, d.mostBy) };
}

/** How unlikely a trial is under what the others taught: small where it contradicts them. */
export const chanceOf = (t: Trial, belief: Belief): number => chances(t.doses, belief)[t.verdict];

/** Pieces of one run share their faults: so many of them count as so many independent ones (design effect, Kish 1965). */
const SHARED = 0.25;
export const independentPieces = (pieces: number): number =>
  pieces / (1 + SHARED * (Math.max(1, pieces) - 1));
