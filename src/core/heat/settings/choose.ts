import { timerStartOf, timesItself, heldBy, restingOf, takes } from '../../press/kinds';
import type { Origin } from '../../figures/figure';
import type { Job } from '../../job/job';
import { type Blank } from '../../shop/blank';
import { isWrapPress, type Press, type PressHeater } from '../../shop/press';
import type { LogEntry, Recipe } from '../../shop/records';
import { heaterReach, type HeaterReach, type MatWork } from '../press/heaterReach';
import { sameSettings, type HeatSettings } from '../../shop/heatSettings';
import { coolDownFor, lowestTargetC, startFrom, startingRange, type StartingRange } from './starting';
import { standing } from '../../shop/standing';

export interface ProvenRecipe {
  readonly recipe: Recipe;
  readonly goodPieces: number;
}

/** Good pieces the log holds for exactly these settings on this blank and press. */
export function goodPiecesBehind(recipe: Recipe, log: readonly LogEntry[]): number {
  return standing(log)
    .filter(
      (e) =>
        e.verdict === 'good' &&
        e.blankId === recipe.blankId &&
        e.pressId === recipe.pressId &&
        sameSettings(e.settings, recipe.settings),
    )
    .reduce((n, e) => n + e.good, 0);
}

/** Good pieces behind each recipe, by its id, where they have been counted already. */
export type ProvenCounts = Readonly<Record<string, number>>;

/** How many good pieces stand behind a recipe: as counted, else as the log says. */
export const goodPiecesOf =
  (counts: ProvenCounts | undefined, log: readonly LogEntry[]) =>
  (recipe: Recipe): number =>
    counts ? (counts[recipe.id] ?? 0) : goodPiecesBehind(recipe, log);

/** The shop's own recipe for a blank on a press: the newest it chose to keep. */
export function provenFor(
  blankId: string,
  pressId: string,
  recipes: readonly Recipe[],
  goodPieces: (recipe: Recipe) => number,
): ProvenRecipe | null {
  const own = recipes.filter((r) => r.blankId === blankId && r.pressId === pressId);
  const newest = own.reduce<Recipe | null>((a, b) => (a && a.keptAt >= b.keptAt ? a : b), null);
  return newest && { recipe: newest, goodPieces: goodPieces(newest) };
}

export interface ChosenHeat {
  readonly settings: HeatSettings;
  readonly base: HeatSettings;
  /** What the table starts with, before the model moves it; null where the table is silent. */
  readonly start: HeatSettings | null;
  readonly baseOrigin: Extract<Origin, 'proven' | 'estimated'>;
  readonly originOf: Readonly<Record<keyof HeatSettings, Origin>>;
  readonly range: StartingRange | null;
  readonly proven: ProvenRecipe | null;
  readonly heaterReach: HeaterReach | null;
}

const KEYS = [
  'platenC',
  'dwellS',
  'laterDwellS',
  'passes',
  'timerStart',
  'pressure',
  'peel',
  'coolDownC',
] as const satisfies readonly (keyof HeatSettings)[];

/** A job's settings: what the person set, over the proven recipe, over the starting range. Null where nothing is known. */
export function chooseHeat(
  hand: Job['heat'],
  blank: Blank,
  press: Press,
  heater: PressHeater | null,
  mat: MatWork | null,
  recipes: readonly Recipe[],
  goodPieces: (recipe: Recipe) => number,
  /** The time of the middle of the good region where it has been calculated: it moves the start of the table. */
  moved: (start: HeatSettings) => Pick<HeatSettings, 'dwellS' | 'laterDwellS'> | null = () => null,
): ChosenHeat | null {
  const range = takes(press, blank) ? startingRange(blank.material, press.kind, blank.wallMm) : null;
  const proven = provenFor(blank.id, press.id, recipes, goodPieces);
  const reach = (passes: number): HeaterReach | null =>
    isWrapPress(press) && heater && mat ? heaterReach(mat, heater.lengthMm, passes) : null;
  const needed = reach(1)?.passesNeeded ?? 1;
  const table = range && startFrom(range, needed, timerStartOf(press), timesItself(press), restingOf(press));
  const start = table && heldIn(press, blank, table);
  const base = proven?.recipe.settings ?? (start && { ...start, ...moved(atOwnTime(hand, start)) });
  if (!base) return null;
  const baseOrigin = proven ? 'proven' : 'estimated';
  const settings = coolingDown(withHand(base, hand), base, hand, press, proven !== null);
  const originOf = Object.fromEntries(
    KEYS.map((k) => [k, hand[k] === undefined ? baseOrigin : 'measured']),
  ) as Record<keyof HeatSettings, Origin>;
  return {
    settings,
    base,
    start,
    baseOrigin,
    originOf,
    range,
    proven,
    heaterReach: reach(settings.passes),
  };
}

/** Where a sleeve, a film or a membrane presses the wrap, the pressure is not a choice. */
function heldIn(press: Press, blank: Blank, s: HeatSettings): HeatSettings {
  const pressure = heldBy(press, blank);
  return pressure === null ? s : { ...s, pressure };
}

/** What is set by hand besides the time, with the time of the table: the middle of the good region hangs on the rest only. */
const atOwnTime = (heat: Job['heat'], start: HeatSettings): HeatSettings => ({
  ...start,
  ...definedOnly(heat),
  dwellS: start.dwellS,
  laterDwellS: null,
});

/** The cool-down target follows the temperature that is set, unless a person said it: as far below it as the recipe has it, else as is usual. */
function coolingDown(
  s: HeatSettings,
  base: HeatSettings,
  hand: Job['heat'],
  press: Press,
  proven: boolean,
): HeatSettings {
  if (hand.coolDownC !== undefined || s.passes < 2 || !timesItself(press)) return s;
  if (!proven) return { ...s, coolDownC: coolDownFor(s.platenC, restingOf(press)) };
  if (base.coolDownC === null || s.platenC === base.platenC) return s;
  const moved = base.coolDownC + s.platenC - base.platenC;
  return { ...s, coolDownC: Math.max(moved, lowestTargetC(restingOf(press)) ?? moved) };
}

/** A time set by hand holds for every pass, unless a later one is set too. */
function withHand(base: HeatSettings, heat: Job['heat']): HeatSettings {
  const later = heat.dwellS === undefined ? base.laterDwellS : null;
  const settings = { ...base, laterDwellS: later, ...definedOnly(heat) };
  return settings.passes > 1 ? settings : { ...settings, laterDwellS: null };
}

function definedOnly(heat: Partial<HeatSettings>): Partial<HeatSettings> {
  return Object.fromEntries(Object.entries(heat).filter(([, v]) => v !== undefined));
}
