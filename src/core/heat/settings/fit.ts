import { normalCdf } from '../../figures/normal';
import { UNKNOWN_KEYS } from '../model/case';
import type { CoatingDose } from '../model/coatings';
import { dot, identity, inverse, quadratic, solve, type Matrix } from '../model/linear';
import type { LogDoses } from '../model/sensitivity';

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

/** A margin that was kept, or was not, by one piece: a factor Φ(sign · margin / piece) of the likelihood (ordered probit). */
type Term = Margin & { readonly sign: 1 | -1 };

function terms(t: Trial, coating: CoatingDose): readonly Term[] {
  const { enough, bearable } = margins(t.doses, coating);
  const each: readonly Term[] =
    t.verdict === 'under'
      ? [{ ...enough, sign: -1 }]
      : t.verdict === 'over'
        ? [{ ...bearable, sign: -1 }]
        : [
            { ...enough, sign: 1 },
            { ...bearable, sign: 1 },
          ];
  return Array.from({ length: Math.max(1, Math.round(t.weight)) }, () => each).flat();
}

export const termsOf = (trials: readonly Trial[], coating: CoatingDose): readonly Term[] =>
  trials.flatMap((t) => terms(t, coating));

const MOST_STEPS = 60;

interface Normal {
  readonly mean: readonly number[];
  readonly covariance: number[][];
}

/**
 * Maximum a posteriori under normal priors, by Newton's method on a concave likelihood, with Laplace's approximation of the spread
 * (MacKay 2003, ch. 27).
 */
export function mostLikely(all: readonly Term[]): Normal {
  let x: number[] = Array.from({ length: SIZE }, () => 0);
  let information: number[][] = identity(SIZE);
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const gradient = x.map((v) => -v);
    information = identity(SIZE);
    for (const { constant, row, sign } of all) {
      const { slope, curve } = expansion(constant + dot(row, x), sign);
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
  return { mean: x, covariance: inverse(information) };
}

/** Slope and curvature of ln Φ(sign · margin / piece) against the margin. */
function expansion(margin: number, sign: 1 | -1): { readonly slope: number; readonly curve: number } {
  const z = (sign * margin) / PIECE_SD;
  const m = mills(z);
  return { slope: (sign * m) / PIECE_SD, curve: (m * (z + m)) / (PIECE_SD * PIECE_SD) };
}

const SWEEPS = 30;

/**
 * The same posterior by its moments (expectation propagation: Minka 2001; Rasmussen & Williams 2006, alg. 3.5), starting from the maximum. A
 * good piece far inside only cuts off a tail of what was thought possible: the curvature at the maximum does not see that, the moments do.
 */
function byMoments(all: readonly Term[], start: Normal): Normal {
  const sites = all.map((t) => {
    const h = dot(t.row, start.mean);
    const { slope, curve } = expansion(t.constant + h, t.sign);
    return { tau: curve, nu: slope + curve * h };
  });
  const pull = Array.from({ length: SIZE }, (_, k) =>
    all.reduce((sum, t, i) => sum + (sites[i]?.nu ?? 0) * (t.row[k] ?? 0), 0),
  );
  let covariance = start.covariance;
  let mean = start.mean;
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
    let moved = 0;
    all.forEach((t, i) => {
      const site = sites[i];
      if (!site) return;
      const toward = covariance.map((line) => dot(line, t.row));
      const v = dot(t.row, toward);
      const m = dot(t.row, mean);
      const cavityTau = 1 / v - site.tau;
      if (!(cavityTau > 1e-9)) return;
      const vc = 1 / cavityTau;
      const mc = (m / v - site.nu) * vc;
      const scale = Math.sqrt(PIECE_SD * PIECE_SD + vc);
      const z = (t.sign * (t.constant + mc)) / scale;
      const ratio = mills(z);
      const mHat = mc + (t.sign * vc * ratio) / scale;
      const vHat = vc - (vc * vc * ratio * (z + ratio)) / (scale * scale);
      const tau = Math.max(0, 1 / vHat - cavityTau);
      const nu = mHat / vHat - mc / vc;
      const dTau = tau - site.tau;
      const dNu = nu - site.nu;
      moved = Math.max(moved, Math.abs(dTau) / (1 + tau), Math.abs(nu - site.nu) / (1 + Math.abs(nu)));
      [site.tau, site.nu] = [tau, nu];
      const by = dTau / (1 + dTau * v);
      covariance = covariance.map((line, a) =>
        line.map((c, b) => c - by * (toward[a] ?? 0) * (toward[b] ?? 0)),
      );
      t.row.forEach((r, k) => (pull[k] = (pull[k] ?? 0) + dNu * r));
      mean = covariance.map((line) => dot(line, pull));
    });
    if (moved < 1e-6) break;
  }
  return [...mean, ...covariance.flat()].every(Number.isFinite) ? { mean, covariance } : start;
}

const byDose = (a: Trial, b: Trial): number =>
  a.doses.least - b.doses.least ||
  a.doses.most - b.doses.most ||
  a.weight - b.weight ||
  (a.verdict < b.verdict ? -1 : a.verdict > b.verdict ? 1 : a.id < b.id ? -1 : 1);

/**
 * What is believed of press, stack and coating after some trials. They are taken in an order of their own: moments of trials that contradict
 * one another settle slowly, and must not hang on which was written down first.
 */
export function fitBelief(trials: readonly Trial[], coating: CoatingDose): Belief {
  if (trials.length === 0) return priorBelief(coating);
  const all = termsOf([...trials].sort(byDose), coating);
  return { ...byMoments(all, mostLikely(all)), coating, trials: trials.length };
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

export interface PosteriorSpread {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

const Z90 = 1.645;
const lognormal = (mean: number, sd: number): PosteriorSpread => ({
  value: Math.exp(mean),
  low: Math.exp(mean - Z90 * sd),
  high: Math.exp(mean + Z90 * sd),
});

/** Needed and most dose as believed now, s at 200 °C, nine in ten within. */
export function believedDose(belief: Belief): {
  readonly needed: PosteriorSpread;
  readonly limit: PosteriorSpread;
} {
  const { coating, mean, covariance } = belief;
  const at = (i: number, of: number, sd: number): PosteriorSpread =>
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
): { readonly least: PosteriorSpread; readonly most: PosteriorSpread } {
  const of = (constant: number, by: readonly number[]): PosteriorSpread => {
    const row = [...by, 0, 0];
    return lognormal(constant + dot(row, belief.mean), Math.sqrt(quadratic(belief.covariance, row)));
  };
  return { least: of(d.least, d.leastBy), most: of(d.most, d.mostBy) };
}

/** How unlikely a trial is under what the others taught: small where it contradicts them. */
export const likelihoodOf = (t: Trial, belief: Belief): number => chances(t.doses, belief)[t.verdict];

/** Pieces of one run share their faults: so many of them count as so many independent ones (design effect, Kish 1965). */
const SHARED = 0.25;
export const independentPieces = (pieces: number): number =>
  pieces / (1 + SHARED * (Math.max(1, pieces) - 1));
