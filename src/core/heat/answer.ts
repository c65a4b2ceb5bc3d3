import { createLru, type Lru } from '../memo/memo';
import type { HeatCase } from './model/case';
import { outcomeOf, type HeatOutcome } from './model/outcome';
import { matchOf, type MatchStep } from './settings/match';
import { subjectKey, type HeatKey, type HeatQuestion } from './question';
import { type HeatSubject } from './model/subject';
import type { RunDose } from '../shop/run';
import { sizeChange, type HeatChange } from './settings/change';
import { ladderPrior, type LadderPrior } from './settings/ladder';
import { overTable } from './model/overTime';
import { loadVariants, whatIfVariants } from './settings/variants';
import { resolve, type Resolved } from './settings/resolve';
import { logDoses } from './model/sensitivity';
import { dwellForDose, laterDwellS, middleDwellS } from './settings/start';
import { doseGrid, windowMap, type WindowMap } from './settings/window';

/** The dwell in the middle of the good region, and of every pass after the first. */
interface HeatStart {
  readonly kind: 'start';
  readonly dwellS: number;
  readonly laterS: number | null;
}
export interface HeatOptions {
  readonly kind: 'options';
  /** Dwell of each variant to the same dose at its least heated point, s, by its id. */
  readonly dwellS: Readonly<Record<string, number>>;
}
export interface HeatMatch {
  readonly kind: 'match';
  readonly dwellS: number;
  readonly low: number;
  readonly high: number;
  readonly steps: readonly MatchStep[];
}
export type HeatAnswer =
  | HeatStart
  | HeatOptions
  | HeatMatch
  | HeatChange
  | ({ readonly kind: 'ladder' } & LadderPrior)
  | ({ readonly kind: 'over' } & RunDose)
  | ({ readonly kind: 'outcome' } & HeatOutcome)
  | ({ readonly kind: 'window' } & WindowMap);

/** Answers found so far, by the key of their question. */
export type HeatCache = Readonly<Record<HeatKey, HeatAnswer>>;

const KEPT = 32;
const resolved: Lru<string, Resolved> = createLru(KEPT);

/** Fitting is done once for a subject, however much is asked of it. */
function resolvedOf(s: HeatSubject): Resolved {
  const key = subjectKey(s);
  const known = resolved.get(key);
  if (known) return known;
  const made = resolve(s);
  resolved.set(key, made);
  return made;
}

/** Calculates one answer: a few milliseconds to a second. Pure but for what it remembers. */
export function answerHeat(q: HeatQuestion): HeatAnswer {
  const r = resolvedOf(q.subject);
  switch (q.kind) {
    case 'start': {
      const dwellS = middleDwellS(r.load, q.settings, r.spreads, r.belief);
      return {
        kind: 'start',
        dwellS,
        laterS: laterDwellS(r.load, { ...q.settings, dwellS }, r.spreads, r.belief),
      };
    }
    case 'over':
      return { kind: 'over', ...overTable(r, q.settings) };
    case 'outcome':
      return { kind: 'outcome', ...outcomeOf(r, q.settings, q.places) };
    case 'window': {
      const grid = doseGrid(r.load, q.settings, r.spreads, q.range, q.grid);
      return { kind: 'window', ...windowMap(grid, r.belief, q.range) };
    }
    case 'options': {
      const leastS = Math.exp(logDoses(r.load, q.settings).least);
      const variants = [
        ...whatIfVariants(r.load, q.settings, q.most),
        ...loadVariants(r.load, q.settings, q.most),
      ];
      return {
        kind: 'options',
        dwellS: Object.fromEntries(variants.map((v) => [v.id, dwellForDose(v.load, v.settings, leastS)])),
      };
    }
    case 'change':
      return sizeChange(r, q.settings, q.ask);
    case 'ladder':
      return { kind: 'ladder', ...ladderPrior(r, q.settings) };
    case 'match': {
      const from = { ...q.from, load: asBelieved(q.from.load, q.subject.load, r.load) };
      return { kind: 'match', ...matchOf(from, { load: r.load, settings: q.settings }, r.spreads) };
    }
  }
}

/** What timings taught of this heater holds for another load on it too; another press keeps its own. */
const asBelieved = (other: HeatCase, before: HeatCase, now: HeatCase): HeatCase =>
  other.heaterM2 !== before.heaterM2
    ? other
    : {
        ...other,
        heater: {
          ...other.heater,
          powerW: (other.heater.powerW * now.heater.powerW) / before.heater.powerW,
          capacityJK: (other.heater.capacityJK * now.heater.capacityJK) / before.heater.capacityJK,
        },
      };
