import type { Material } from '../shop/blank';
import type { PressKind } from '../shop/press';
import type { HeatSettings, Peel, Pressure } from './settings';

/** A range in common use for a material in a kind of press: a place to start, never a promise. °C, s per pass. */
export interface StartingRange {
  readonly material: Material;
  readonly press: PressKind;
  readonly platenC: readonly [number, number];
  readonly dwellS: readonly [number, number];
  readonly pressure: Pressure;
  readonly peel: Peel;
  readonly note: string;
}

export const STARTING_RANGES: readonly StartingRange[] = [
  {
    material: 'ceramic',
    press: 'mug',
    platenC: [185, 205],
    dwellS: [150, 300],
    pressure: 'medium-firm',
    peel: 'hot',
    note: 'The press sags on loading; add time for a thick wall.',
  },
  {
    material: 'ceramic',
    press: 'tumbler',
    platenC: [185, 205],
    dwellS: [150, 300],
    pressure: 'medium-firm',
    peel: 'hot',
    note: 'The press sags on loading; add time for a thick wall.',
  },
  {
    material: 'ceramic',
    press: 'oven',
    platenC: [190, 205],
    dwellS: [600, 960],
    pressure: 'sleeve',
    peel: 'hot',
    note: 'Turn once half way.',
  },
  {
    material: 'steel',
    press: 'tumbler',
    platenC: [175, 205],
    dwellS: [50, 80],
    pressure: 'medium',
    peel: 'hot',
    note: 'A vacuum wall heats fast.',
  },
  {
    material: 'steel',
    press: 'mug',
    platenC: [175, 205],
    dwellS: [50, 80],
    pressure: 'medium',
    peel: 'hot',
    note: 'A vacuum wall heats fast.',
  },
  {
    material: 'steel',
    press: 'oven',
    platenC: [180, 200],
    dwellS: [300, 480],
    pressure: 'film',
    peel: 'hot',
    note: 'The whole wrap in one go.',
  },
  {
    material: 'glass',
    press: 'tumbler',
    platenC: [175, 190],
    dwellS: [120, 200],
    pressure: 'light-medium',
    peel: 'warm',
    note: 'Glass cracks: never quench it.',
  },
  {
    material: 'glass',
    press: 'mug',
    platenC: [175, 190],
    dwellS: [120, 200],
    pressure: 'light-medium',
    peel: 'warm',
    note: 'Glass cracks: never quench it.',
  },
];

export const startingRange = (material: Material, press: PressKind): StartingRange | null =>
  STARTING_RANGES.find((r) => r.material === material && r.press === press) ?? null;

const middle = ([lo, hi]: readonly [number, number]): number => (lo + hi) / 2;

/** The middle of a range, rounded to what a press can be set to: whole degrees, 5 s. */
export function startFrom(
  range: StartingRange,
  passes: number,
  clock: HeatSettings['clock'],
  autoTimer: boolean,
): HeatSettings {
  const platenC = Math.round(middle(range.platenC));
  return {
    platenC,
    dwellS: Math.round(middle(range.dwellS) / 5) * 5,
    passes,
    clock,
    pressure: range.pressure,
    peel: range.peel,
    // An auto-timing press left hot would start at once on the second closing and cook the first side.
    fallBackC: passes > 1 && autoTimer ? platenC - 18 : null,
  };
}
