import type { HeatSettings } from '../shop/heatSettings';
import type { HeatCase } from './case';
import { chances, margins, type Belief } from './fit';
import { dot } from './linear';
import { simulate } from './simulate';
import { doseSensitivity, logDoses, type LogDoses, type Spreads } from './sensitivity';

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

/** Below this chance the middle is no place to start from. */
const HOPELESS = 0.3;

/**
 * The dwell in the middle of the good region at this temperature: as many times the needed dose as it lies under the most. Where two faces
 * cannot both be good at once, the middle for the upper one: what the lower one lacks is then said.
 */
export function middleDwellS(c: HeatCase, s: HeatSettings, sd: Spreads, belief: Belief): number {
  const sens = doseSensitivity(c, s, sd);
  const dwellS = dwellAt((t) => imbalance(logDoses(c, { ...s, dwellS: t }), sens, belief), s.dwellS, 2);
  if (c.faces !== 'together') return dwellS;
  const there = { ...sens, ...logDoses(c, { ...s, dwellS }) };
  return chances(there, belief).good < HOPELESS
    ? middleDwellS({ ...c, faces: 'one' }, s, sd, belief)
    : dwellS;
}

/** The dwell that gives the least heated point the same dose as `leastS` seconds at 200 °C. */
export const dwellForDose = (c: HeatCase, s: HeatSettings, leastS: number): number => {
  const wanted = Math.log(leastS);
  return dwellAt((dwellS) => logDoses(c, { ...s, dwellS }).least - wanted, s.dwellS, 1.5);
};

/** Less than this saved is not worth a second time to set. */
const WORTH_S = 5;

/**
 * How long every pass after the first need take: the places only the last pass heats get what those that only the first one heats get. The
 * wall is warm by then, and the heater too. Null where that saves nothing, and with one pass.
 */
export function laterDwellS(c: HeatCase, s: HeatSettings): number | null {
  if (c.kind !== 'wrap' || s.passes < 2) return null;
  const behind = (later: number): number => {
    const { places } = simulate(c, { ...s, laterDwellS: later });
    const gained = places.map((p) => ({ first: p.afterPassS[0] ?? 0, whole: p.transferS }));
    const most = Math.max(...gained.map((g) => g.first));
    const late = gained.filter((g) => g.first < most * 0.2).map((g) => g.whole);
    const early = gained.filter((g) => g.first >= most * 0.5).map((g) => g.whole);
    return late.length > 0 && early.length > 0 ? Math.log(Math.min(...late) / Math.min(...early)) : 0;
  };
  const found = dwellAt(behind, s.dwellS, 1.5, Math.max(SHORTEST_S, s.dwellS / 3), s.dwellS);
  return found < s.dwellS - WORTH_S ? found : null;
}
