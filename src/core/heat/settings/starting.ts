import { PRESS_KINDS } from '../../shop/press';
import { rangesOf } from '../../press/kinds';
import { type KindRange } from '../../press/kind';
import type { Material } from '../../shop/blank';
import type { PressKind } from '../../shop/press';
import type { HeatSettings } from '../../shop/heatSettings';

/** A range in common use for a material in a kind of press. */
export interface StartingRange extends KindRange {
  readonly press: PressKind;
}

export const STARTING_RANGES: readonly StartingRange[] = PRESS_KINDS.flatMap((press) =>
  rangesOf(press).map((range) => ({ ...range, press })),
);

/** The range in common use for a piece of some thickness, mm; null where there is none. */
export const startingRange = (material: Material, press: PressKind, wallMm: number): StartingRange | null =>
  STARTING_RANGES.find(
    (r) =>
      r.material === material &&
      r.press === press &&
      (r.wallMm === undefined || (wallMm >= r.wallMm[0] && wallMm < r.wallMm[1])),
  ) ?? null;

const middle = ([lo, hi]: readonly [number, number]): number => (lo + hi) / 2;

/** How far below its working temperature a press that times itself should read before it is closed again, K; and how near it gets to its rest. */
const FALL_K = 18;
const LEAST_FALL_K = 3;
const ABOVE_REST_K = 2;

/** The lowest reading a press can be set to fall to, °C: just above where it rests. Null where it is not known to rest. */
export const lowestTargetC = (restingC: number | null): number | null =>
  restingC === null ? null : restingC + ABOVE_REST_K;

/**
 * The reading an auto-timing press must fall to before it is closed again, °C: left hot it would start at once on the second closing and cook
 * the first side. Never below what it rests at, which it would never read. Null where it rests too near its working temperature to fall at all.
 */
export function coolDownFor(platenC: number, restingC: number | null): number | null {
  const target = Math.max(platenC - FALL_K, lowestTargetC(restingC) ?? -Infinity);
  return target <= platenC - LEAST_FALL_K ? target : null;
}

/** The middle of a range, rounded to what a press can be set to: whole degrees, 5 s. */
export function startFrom(
  range: StartingRange,
  passes: number,
  timerStart: HeatSettings['timerStart'],
  timesItself: boolean,
  restingC: number | null,
): HeatSettings {
  const platenC = Math.round(middle(range.platenC));
  return {
    platenC,
    dwellS: Math.round(middle(range.dwellS) / 5) * 5,
    laterDwellS: null,
    passes,
    timerStart,
    pressure: range.pressure,
    peel: range.peel,
    coolDownC: passes > 1 && timesItself ? coolDownFor(platenC, restingC) : null,
  };
}
