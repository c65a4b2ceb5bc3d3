import { normalCdf } from '../../figures/normal';
import type { HeatSettings } from '../../shop/heatSettings';
import { believedDose, margins, PIECE_SD } from './fit';
import { dot, quadratic } from '../model/linear';
import type { Resolved } from './resolve';
import { doseSensitivity, logDoses } from '../model/sensitivity';
import { dwellAt, settableS } from './start';

/**
 * A test ladder: at one temperature, the shortest dwell that is enough and the longest that is borne are not known. Test after test is pressed,
 * each at the dwell that is likeliest to land between them or, where it misses, to tell most of where they lie.
 */
export type RungAnswer = 'under' | 'good' | 'over';
export interface Rung {
  readonly dwellS: number;
  readonly answer: RungAnswer;
}

/** Logarithms of both dwells as two normal distributions that move together. */
export interface LadderPrior {
  readonly neededLn: number;
  readonly neededSd: number;
  readonly limitLn: number;
  readonly limitSd: number;
  readonly correlation: number;
  /** From one piece to the next, as a logarithm of dwell. */
  readonly pieceSd: number;
}

/** A blank or press nobody knows: beside what the prior of its coating allows, so much more, as a logarithm of dose. */
const UNKNOWN_SD = 0.45;

function dwellFor(r: Resolved, s: HeatSettings, of: 'least' | 'most', doseLn: number): number {
  return dwellAt((dwellS) => logDoses(r.load, { ...s, dwellS })[of] - doseLn, s.dwellS, 1.5);
}

/** What the heat model believes of both dwells at a temperature, before anything is pressed. */
export function ladderPrior(r: Resolved, s: HeatSettings): LadderPrior {
  const { needed, limit } = believedDose(r.belief);
  const neededS = dwellFor(r, s, 'least', Math.log(needed.value));
  const limitS = dwellFor(r, s, 'most', Math.log(limit.value));
  const slope = (of: 'least' | 'most', at: number): number => {
    const [a, b] = [at / 1.1, at * 1.1].map((dwellS) => logDoses(r.load, { ...s, dwellS })[of]);
    return Math.max(0.4, ((b ?? 0) - (a ?? 0)) / (2 * Math.log(1.1)));
  };
  const [a, b] = [slope('least', neededS), slope('most', limitS)];
  const sens = doseSensitivity(r.load, { ...s, dwellS: Math.sqrt(neededS * limitS) }, r.spreads);
  const { enough, bearable } = margins(sens, r.belief.coating);
  const C = r.belief.covariance;
  const both = dot(
    enough.row,
    C.map((line) => dot(line, bearable.row)),
  );
  const neededSd = Math.hypot(Math.sqrt(quadratic(C, enough.row)), UNKNOWN_SD) / a;
  const limitSd = Math.hypot(Math.sqrt(quadratic(C, bearable.row)), UNKNOWN_SD) / b;
  return {
    neededLn: Math.log(neededS),
    neededSd,
    limitLn: Math.log(limitS),
    limitSd,
    // A margin grows with the limit and shrinks with what is needed: both dwells move the other way round.
    correlation: Math.max(-0.9, Math.min(0.9, -both / (a * b) / (neededSd * limitSd))),
    pieceSd: PIECE_SD / Math.min(a, b),
  };
}

/** What is believed of both dwells: weights over a grid of their logarithms. */
export interface LadderBelief {
  readonly neededLn: readonly number[];
  readonly limitLn: readonly number[];
  readonly pieceSd: number;
  /** [needed][limit], adding to 1; nothing where the limit lies under what is needed. */
  readonly weight: readonly (readonly number[])[];
}

const NODES = 33;
const REACH_SD = 3;
/** A window narrower than this is none, as a logarithm of dwell. */
const NARROWEST = 0.04;

const nodes = (mean: number, sd: number): number[] =>
  Array.from({ length: NODES }, (_, i) => mean + sd * REACH_SD * ((2 * i) / (NODES - 1) - 1));

const normalised = (weight: readonly (readonly number[])[]): number[][] => {
  const sum = weight.reduce((s, row) => s + row.reduce((a, b) => a + b, 0), 0);
  return weight.map((row) => row.map((w) => (sum > 0 ? w / sum : 0)));
};

export function ladderStart(p: LadderPrior): LadderBelief {
  const neededLn = nodes(p.neededLn, p.neededSd);
  const limitLn = nodes(p.limitLn, p.limitSd);
  const rest = 1 - p.correlation * p.correlation;
  const weight = neededLn.map((a) =>
    limitLn.map((b) => {
      if (b - a < NARROWEST) return 0;
      const [u, v] = [(a - p.neededLn) / p.neededSd, (b - p.limitLn) / p.limitSd];
      return Math.exp(-(u * u - 2 * p.correlation * u * v + v * v) / (2 * rest));
    }),
  );
  return { neededLn, limitLn, pieceSd: p.pieceSd, weight: normalised(weight) };
}

/** Chances of each answer at a dwell for every node: too little at each needed dwell, too much at each limit. */
const edges = (b: LadderBelief, xLn: number) => ({
  under: b.neededLn.map((a) => normalCdf((a - xLn) / b.pieceSd)),
  over: b.limitLn.map((l) => normalCdf((xLn - l) / b.pieceSd)),
});

const chanceAt = (under: number, over: number, answer: RungAnswer): number =>
  answer === 'under' ? under * (1 - over) : answer === 'over' ? over : (1 - under) * (1 - over);

/** Bayes' rule on one pressing. */
export function afterRung(b: LadderBelief, { dwellS, answer }: Rung): LadderBelief {
  const { under, over } = edges(b, Math.log(dwellS));
  return {
    ...b,
    weight: normalised(
      b.weight.map((row, i) => row.map((w, j) => w * (1e-6 + chanceAt(under[i] ?? 0, over[j] ?? 0, answer)))),
    ),
  };
}

export interface RungChances {
  readonly under: number;
  readonly good: number;
  readonly over: number;
}

export function rungChances(b: LadderBelief, dwellS: number): RungChances {
  const { under, over } = edges(b, Math.log(dwellS));
  let [u, g] = [0, 0];
  b.weight.forEach((row, i) =>
    row.forEach((w, j) => {
      u += w * chanceAt(under[i] ?? 0, over[j] ?? 0, 'under');
      g += w * chanceAt(under[i] ?? 0, over[j] ?? 0, 'good');
    }),
  );
  return { under: u, good: g, over: Math.max(0, 1 - u - g) };
}

const CANDIDATES = 36;
const SHORTEST_S = 3;
const LONGEST_S = 3600;

/** What is still open: longer than the longest that was too little, shorter than the shortest that was too much, s. */
interface Open {
  readonly overS: number;
  readonly underS: number;
}
const ALL_OPEN: Open = { underS: 0, overS: Infinity };

const openAfter = (rungs: readonly Rung[]): Open => ({
  underS: Math.max(0, ...rungs.filter((r) => r.answer === 'under').map((r) => r.dwellS)),
  overS: Math.min(Infinity, ...rungs.filter((r) => r.answer === 'over').map((r) => r.dwellS)),
});

/** Dwells worth pressing: times a press can be set to, over all that is thought possible and was not tried in vain. */
function candidates(b: LadderBelief, open: Open): readonly number[] {
  const inside = settable(b).filter((s) => s > open.underS && s < open.overS);
  if (inside.length > 0) return inside;
  // None of the usual times lies between the two: the middle of them, to the second.
  const middle = Math.round(Math.sqrt(Math.max(SHORTEST_S, open.underS) * Math.min(LONGEST_S, open.overS)));
  return [Math.min(LONGEST_S, Math.max(SHORTEST_S, middle))];
}

function settable(b: LadderBelief): readonly number[] {
  const [lo, hi] = [b.neededLn[0] ?? 0, b.limitLn.at(-1) ?? 1];
  const all = Array.from({ length: CANDIDATES }, (_, i) =>
    settableS(Math.min(LONGEST_S, Math.max(SHORTEST_S, Math.exp(lo + ((hi - lo) * i) / (CANDIDATES - 1))))),
  );
  return [...new Set(all)];
}

interface Best {
  readonly dwellS: number;
  readonly good: number;
}

function surest(b: LadderBelief, open: Open = ALL_OPEN): Best {
  return candidates(b, open).reduce<Best>(
    (best, dwellS) => {
      const { good } = rungChances(b, dwellS);
      return good > best.good ? { dwellS, good } : best;
    },
    { dwellS: 0, good: -1 },
  );
}

/** How many of the surest dwells are looked at one pressing further. */
const LOOKED_AHEAD = 6;

/** The dwell to press next: the best chance to land now or at the next one (one step of look-ahead). */
export function nextDwell(b: LadderBelief, open: Open = ALL_OPEN): Best {
  const ranked = candidates(b, open)
    .map((dwellS) => ({ dwellS, chance: rungChances(b, dwellS) }))
    .sort((x, y) => y.chance.good - x.chance.good)
    .slice(0, LOOKED_AHEAD)
    .map(({ dwellS, chance }) => {
      const then = (answer: RungAnswer, p: number): number =>
        p < 0.01 ? 0 : p * surest(afterRung(b, { dwellS, answer })).good;
      return {
        dwellS,
        good: chance.good,
        soon: chance.good + 0.9 * (then('under', chance.under) + then('over', chance.over)),
      };
    })
    .sort((x, y) => y.soon - x.soon || y.good - x.good);
  const [first] = ranked;
  return first ? { dwellS: first.dwellS, good: first.good } : surest(b, open);
}

const MOST_DEEP = 6;
/** Ways less likely than this are closed off with the pressings a halving would take. */
const NEGLIGIBLE = 0.01;

/** Expected number of pressings until one lands inside, by following every answer. */
export function expectedPressings(b: LadderBelief, way = 1, deep = 0): number {
  if (deep >= MOST_DEEP || way < NEGLIGIBLE) return 2;
  const { dwellS } = deep === 0 ? nextDwell(b) : surest(b);
  const { under, over } = rungChances(b, dwellS);
  const then = (answer: RungAnswer, p: number): number =>
    p < 1e-4 ? 0 : p * expectedPressings(afterRung(b, { dwellS, answer }), way * p, deep + 1);
  return 1 + then('under', under) + then('over', over);
}

/** Where a ladder stands after its pressings. */
export type LadderState =
  | { readonly kind: 'press'; readonly dwellS: number; readonly good: number; readonly expected: number }
  /** One landed, but the middle of what is now believed lies well off it: press there once, as the proof. */
  | { readonly kind: 'prove'; readonly dwellS: number; readonly good: number }
  | { readonly kind: 'done'; readonly dwellS: number; readonly good: number }
  /** Too little and too much meet: no time at this temperature is good. */
  | { readonly kind: 'shut'; readonly underS: number; readonly overS: number };

/** A proof is worth one more pressing where it is so much surer, and so far off. */
const SURER = 0.08;
const OFF_SHARE = 0.12;
/** Too little at a time within this of one that was too much: nothing lies between. */
const MEET_SHARE = 1.12;

export function ladderState(prior: LadderPrior, rungs: readonly Rung[]): LadderState {
  const belief = rungs.reduce(afterRung, ladderStart(prior));
  const open = openAfter(rungs);
  const good = rungs.filter((r) => r.answer === 'good');
  const last = good.at(-1);
  if (last) {
    const best = surest(belief, open);
    const chance = rungChances(belief, last.dwellS).good;
    const far = Math.abs(Math.log(best.dwellS / last.dwellS)) > OFF_SHARE;
    if (good.length === 1 && far && best.good > chance + SURER) return { kind: 'prove', ...best };
    return { kind: 'done', dwellS: last.dwellS, good: chance };
  }
  const { underS, overS } = open;
  if (underS * MEET_SHARE >= overS) return { kind: 'shut', underS, overS };
  return { kind: 'press', ...nextDwell(belief, open), expected: expectedPressings(belief) };
}

/** Halving by hand, for comparison: from the middle of the usual range twice or half as long, then between the two. */
export function halvedDwell(startS: number, rungs: readonly Rung[]): number {
  const { underS: under, overS: over } = openAfter(rungs);
  if (under === 0 && over === Infinity) return settableS(startS);
  if (over === Infinity) return settableS(under * 2);
  if (under === 0) return settableS(over / 2);
  return settableS((under + over) / 2);
}

/** Blanks a ladder takes: strips go beside one another on one blank, as many as fit; rejects cost none. */
export const blanksFor = (
  on: 'strips' | 'rejects' | 'blanks',
  pressings: number,
  stripsPerBlank: number,
): number =>
  on === 'rejects'
    ? 0
    : on === 'blanks'
      ? Math.ceil(pressings)
      : Math.ceil(pressings / Math.max(1, stripsPerBlank));
