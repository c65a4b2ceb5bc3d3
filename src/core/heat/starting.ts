import type { Material } from '../shop/blank';
import type { PressKind } from '../shop/press';
import type { HeatSettings, Peel, Pressure } from '../shop/heatSettings';

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
    material: 'aluminium',
    press: 'tumbler',
    platenC: [175, 205],
    dwellS: [50, 80],
    pressure: 'medium',
    peel: 'hot',
    note: 'As a steel wall, our own estimate; it carries heat round to where the heater does not reach.',
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
  {
    material: 'steel',
    press: 'flat',
    platenC: [190, 205],
    dwellS: [60, 120],
    pressure: 'medium-firm',
    peel: 'hot',
    note: 'Hot steel stains bench pads and bends soft mats.',
  },
  {
    material: 'aluminium',
    press: 'flat',
    platenC: [195, 205],
    dwellS: [45, 95],
    pressure: 'medium',
    peel: 'hot',
    note: 'Even pressure decides.',
  },
  {
    material: 'aluminium',
    press: 'oven',
    platenC: [185, 195],
    dwellS: [300, 420],
    pressure: 'tape',
    peel: 'cold',
    note: 'Paper wound tight with tape; take the barrel apart first.',
  },
  {
    material: 'polymer',
    press: 'oven',
    platenC: [185, 195],
    dwellS: [300, 420],
    pressure: 'tape',
    peel: 'cold',
    note: 'Softens: hold its shape until cold.',
  },
  {
    material: 'hardboard',
    press: 'flat',
    platenC: [190, 205],
    dwellS: [55, 90],
    pressure: 'medium',
    peel: 'warm',
    note: 'Gas and moisture: pre-press to dry, and ventilate. Plaques of 12 mm and more take 75 to 130 s.',
  },
  {
    material: 'FRP',
    press: 'flat',
    platenC: [190, 205],
    dwellS: [55, 80],
    pressure: 'medium-firm',
    peel: 'warm',
    note: 'Time a face; cool it flat under weight.',
  },
  {
    material: 'acrylic',
    press: 'flat',
    platenC: [180, 205],
    dwellS: [50, 100],
    pressure: 'light-medium',
    peel: 'cold',
    note: 'Soft when it leaves the press: cool it flat under weight.',
  },
  {
    material: 'slate',
    press: 'flat',
    platenC: [180, 205],
    dwellS: [300, 540],
    pressure: 'light-medium',
    peel: 'cold',
    note: 'Slow to heat and slow to cool; never quench hot stone.',
  },
  {
    material: 'ceramic',
    press: 'flat',
    platenC: [195, 205],
    dwellS: [300, 480],
    pressure: 'firm',
    peel: 'warm',
    note: 'Tiles: face down on the paper, on a pad.',
  },
];

export const startingRange = (material: Material, press: PressKind): StartingRange | null =>
  STARTING_RANGES.find((r) => r.material === material && r.press === press) ?? null;

const middle = ([lo, hi]: readonly [number, number]): number => (lo + hi) / 2;

/** The middle of a range, rounded to what a press can be set to: whole degrees, 5 s. */
export function startFrom(
  range: StartingRange,
  passes: number,
  timerStart: HeatSettings['timerStart'],
  timesItself: boolean,
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
    // An auto-timing press left hot would start at once on the second closing and cook the first side.
    coolDownC: passes > 1 && timesItself ? platenC - 18 : null,
  };
}
