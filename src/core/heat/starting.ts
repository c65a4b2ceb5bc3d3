import { type Message, say } from '../message/message';
import type { Material } from '../shop/blank';
import type { PressKind } from '../shop/press';
import type { HeatSettings, Peel, Pressure } from '../shop/heatSettings';

/** A range in common use for a material in a kind of press: a place to start, never a promise. °C, s per pass. */
export interface StartingRange {
  readonly material: Material;
  readonly press: PressKind;
  /** Of pieces this thick, mm; absent for all. */
  readonly wallMm?: readonly [number, number];
  readonly platenC: readonly [number, number];
  readonly dwellS: readonly [number, number];
  readonly pressure: Pressure;
  readonly peel: Peel;
  readonly note: Message;
}

export const STARTING_RANGES: readonly StartingRange[] = [
  {
    material: 'ceramic',
    press: 'mug',
    platenC: [185, 205],
    dwellS: [150, 300],
    pressure: 'medium-firm',
    peel: 'hot',
    note: say('heat.pressSagsLoadingAdd'),
  },
  {
    material: 'ceramic',
    press: 'tumbler',
    platenC: [185, 205],
    dwellS: [150, 300],
    pressure: 'medium-firm',
    peel: 'hot',
    note: say('heat.pressSagsLoadingAdd'),
  },
  {
    material: 'ceramic',
    press: 'oven',
    platenC: [190, 205],
    dwellS: [600, 960],
    pressure: 'sleeve',
    peel: 'hot',
    note: say('heat.turnOnceHalfWay'),
  },
  {
    material: 'steel',
    press: 'tumbler',
    platenC: [175, 205],
    dwellS: [30, 80],
    pressure: 'medium',
    peel: 'hot',
    note: say('heat.vacuumWallHeatsFast'),
  },
  {
    material: 'steel',
    press: 'mug',
    platenC: [175, 205],
    dwellS: [30, 80],
    pressure: 'medium',
    peel: 'hot',
    note: say('heat.vacuumWallHeatsFast'),
  },
  {
    material: 'steel',
    press: 'oven',
    platenC: [180, 200],
    dwellS: [300, 480],
    pressure: 'film',
    peel: 'hot',
    note: say('heat.wholeWrapOneGo'),
  },
  {
    material: 'aluminium',
    press: 'tumbler',
    platenC: [175, 205],
    dwellS: [50, 80],
    pressure: 'medium',
    peel: 'hot',
    note: say('heat.steelWallOurOwn'),
  },
  {
    material: 'glass',
    press: 'tumbler',
    platenC: [175, 190],
    dwellS: [120, 200],
    pressure: 'light-medium',
    peel: 'warm',
    note: say('heat.glassCracksNeverQuench'),
  },
  {
    material: 'glass',
    press: 'mug',
    platenC: [175, 190],
    dwellS: [120, 200],
    pressure: 'light-medium',
    peel: 'warm',
    note: say('heat.glassCracksNeverQuench'),
  },
  {
    material: 'steel',
    press: 'flat',
    platenC: [190, 205],
    dwellS: [60, 120],
    pressure: 'medium-firm',
    peel: 'hot',
    note: say('heat.hotSteelStainsBench'),
  },
  {
    material: 'aluminium',
    press: 'flat',
    platenC: [195, 205],
    dwellS: [30, 95],
    pressure: 'medium',
    peel: 'hot',
    note: say('heat.evenPressureDecides30'),
  },
  {
    material: 'aluminium',
    press: 'oven',
    platenC: [185, 195],
    dwellS: [300, 420],
    pressure: 'tape',
    peel: 'hot',
    note: say('heat.paperWoundTightTape'),
  },
  {
    material: 'polymer',
    press: 'oven',
    platenC: [185, 195],
    dwellS: [300, 420],
    pressure: 'tape',
    peel: 'cold',
    note: say('heat.softensHoldShapeUntil'),
  },
  {
    material: 'hardboard',
    press: 'flat',
    wallMm: [0, 7],
    platenC: [190, 205],
    dwellS: [55, 90],
    pressure: 'medium',
    peel: 'warm',
    note: say('heat.gasMoisturePrePress'),
  },
  {
    material: 'hardboard',
    press: 'flat',
    wallMm: [7, 12],
    platenC: [190, 205],
    dwellS: [55, 130],
    pressure: 'medium',
    peel: 'warm',
    note: say('heat.betweenPanelPlaqueGas'),
  },
  {
    material: 'hardboard',
    press: 'flat',
    wallMm: [12, 60],
    platenC: [195, 205],
    dwellS: [75, 130],
    pressure: 'medium',
    peel: 'warm',
    note: say('heat.plaqueDepthOpeningDecides'),
  },
  {
    material: 'FRP',
    press: 'flat',
    platenC: [190, 205],
    dwellS: [55, 80],
    pressure: 'medium-firm',
    peel: 'warm',
    note: say('heat.timeFaceCoolFlat'),
  },
  {
    material: 'acrylic',
    press: 'flat',
    platenC: [180, 205],
    dwellS: [50, 100],
    pressure: 'light-medium',
    peel: 'cold',
    note: say('heat.softWhenLeavesPress'),
  },
  {
    material: 'slate',
    press: 'flat',
    platenC: [180, 205],
    dwellS: [300, 540],
    pressure: 'light-medium',
    peel: 'cold',
    note: say('heat.slowHeatSlowCool'),
  },
  {
    material: 'ceramic',
    press: 'flat',
    platenC: [195, 205],
    dwellS: [300, 480],
    pressure: 'firm',
    peel: 'warm',
    note: say('heat.tilesFaceDownPaper'),
  },
];

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

/** The lowest reading a press can be told to fall to, °C: just above where it rests. Null where it is not known to rest. */
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
