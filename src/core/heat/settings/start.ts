import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase } from '../model/case';
import { chances, margins, type Belief } from './fit';
import { dot } from '../model/linear';
import { doseSensitivity, logDoses, type LogDoses, type Spreads } from '../model/sensitivity';

/** Times a press is set in: whole 5 s, whole seconds below 20 s. */
export const settableS = (s: number): number => (s < 20 ? Math.max(1, Math.round(s)) : Math.round(s / 5) * 5);

const SHORTEST_S = 3;
const LONGEST_S = 3600;
const TRIES = 14;
const CLOSE_LN = 0.004;

/**
 * The dwell at which a rising function of it is nought, s: secants in ln s, kept inside a bracket (Dekker 1969), from a guess and the slope to
 * expect. The nearest end where it never is.
 */
export function dwellAt(
  f: (dwellS: number) => number,
  guessS: number,
  slope: number,
  from = SHORTEST_S,
  to = LONGEST_S,
): number {
  let [lo, hi] = [Math.log(from), Math.log(to)];
  let x = Math.min(hi, Math.max(lo, Math.log(guessS)));
  let rise = slope;
  let before: { readonly x: number; readonly y: number } | null = null;
  for (let i = 0; i < TRIES; i += 1) {
    const y = f(Math.exp(x));
    if (y < 0) lo = Math.max(lo, x);
    else hi = Math.min(hi, x);
    if (before && Math.abs(x - before.x) > 1e-9) rise = Math.max(0.05, (y - before.y) / (x - before.x));
    before = { x, y };
    const wanted = x - y / rise;
    const next = wanted > lo && wanted < hi ? wanted : (lo + hi) / 2;
    if (Math.abs(next - x) < CLOSE_LN || hi - lo < CLOSE_LN) return Math.exp(next);
    x = next;
  }
  return Math.exp(x);
}

/** Both margins of a setting in standard deviations of what is not known: as far from too little as from too much where they are equal. */
function imbalance(
  d: { readonly least: number; readonly most: number },
  sens: LogDoses,
  belief: Belief,
): number {
  const { enough, bearable } = margins({ ...sens, least: d.least, most: d.most }, belief.coating);
  return enough.constant + dot(enough.row, belief.mean) - bearable.constant - dot(bearable.row, belief.mean);
}

const NARROWINGS = 9;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where a function of one peak is greatest between two ends, by golden section (Kiefer 1953). */
function peakOf(f: (x: number) => number, from: number, to: number): number {
  let [lo, hi] = [from, to];
  let [a, b] = [hi - GOLDEN * (hi - lo), lo + GOLDEN * (hi - lo)];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < NARROWINGS; i += 1) {
    if (fa > fb) {
      [hi, b, fb] = [b, a, fa];
      a = hi - GOLDEN * (hi - lo);
      fa = f(a);
    } else {
      [lo, a, fa] = [a, b, fb];
      b = lo + GOLDEN * (hi - lo);
      fb = f(b);
    }
  }
  return (lo + hi) / 2;
}

/** How far about the middle the best dwell of two faces is looked for, as a factor. */
const ABOUT = 2;

/**
 * The dwell in the middle of the good region at this temperature: as many times the needed dose as it lies under the most. Where two faces
 * cannot both be good at once, their margins are known unequally well: there it is the dwell with the best chance of both, which drifts with the
 * thickness of the piece. What the lower face lacks is then said.
 */
export function middleDwellS(c: HeatCase, s: HeatSettings, sd: Spreads, belief: Belief): number {
  const sens = doseSensitivity(c, s, sd);
  const middleS = dwellAt((t) => imbalance(logDoses(c, { ...s, dwellS: t }), sens, belief), s.dwellS, 2);
  if (c.faces !== 'together') return middleS;
  const both = (lnS: number): number => {
    const { good, under, over } = chances(doseSensitivity(c, { ...s, dwellS: Math.exp(lnS) }, sd), belief);
    // A little of both chances besides: it rises to its peak also where both at once is all but impossible.
    return good + 0.02 * (1 - under) * (1 - over);
  };
  const [from, to] = [Math.max(SHORTEST_S, middleS / ABOUT), Math.min(LONGEST_S, middleS * ABOUT)];
  return Math.exp(peakOf(both, Math.log(from), Math.log(to)));
}

/** The dwell that gives the least heated point the same dose as `leastS` seconds at 200 °C. */
export const dwellForDose = (c: HeatCase, s: HeatSettings, leastS: number): number => {
  const wanted = Math.log(leastS);
  return dwellAt((dwellS) => logDoses(c, { ...s, dwellS }).least - wanted, s.dwellS, 1.5);
};

/** Less than this saved is not worth a second time to set, s. */
const WORTH_S = 5;
/** A later pass is at least so much of the first. */
const LEAST_SHARE = 1 / 3;
/**
 * How long every pass after the first is best: the wall is warm by then, and the heater too, so that a shorter one may heat what the first did
 * not reach and cook the rest less. The time with the best chance of a good piece; null where the same time again is as good, where it saves
 * nothing worth setting, and with one pass.
 */
export function laterDwellS(c: HeatCase, s: HeatSettings, sd: Spreads, belief: Belief): number | null {
  if (c.kind !== 'wrap' || s.passes < 2) return null;
  const sens = doseSensitivity(c, { ...s, laterDwellS: null }, sd);
  const good = (later: number): number =>
    chances({ ...sens, ...logDoses(c, { ...s, laterDwellS: later }) }, belief).good;
  const found = peakOf(good, s.dwellS * LEAST_SHARE, s.dwellS);
  return found < s.dwellS - WORTH_S && good(found) > good(s.dwellS) ? found : null;
}
