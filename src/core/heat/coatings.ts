import type { Material } from '../shop/blank';
import type { PressKind } from '../shop/press';

/** Dose a coating needs and the most it bears, s at 200 °C, each with the standard deviation of its logarithm. */
export interface CoatingDose {
  readonly neededS: number;
  readonly limitS: number;
  readonly neededSd: number;
  readonly limitSd: number;
}

/** A factor of about 1.5 either way: coatings differ from maker to maker, and a prior must say so. */
const PRIOR_SD = 0.42;

const prior = (neededS: number, limitS: number): CoatingDose => ({
  neededS,
  limitS,
  neededSd: PRIOR_SD,
  limitSd: PRIOR_SD,
});

/**
 * Where nothing is known of a shop's own coating. Set so that the ranges in common use (starting.ts), simulated on a usual press of their
 * kind, lie inside: a prior from practice, not a property of a coating. Thick stone, tile and oven work run longer than their dye needs.
 */
const PRIORS: Readonly<Record<'press' | 'oven', Partial<Record<Material, CoatingDose>>>> = {
  press: {
    aluminium: prior(15, 125),
    steel: prior(17.5, 205),
    ceramic: prior(28, 290),
    glass: prior(24, 240),
    hardboard: prior(15, 135),
    FRP: prior(11, 90),
    acrylic: prior(9, 88),
    slate: prior(68, 610),
    polymer: prior(12, 100),
  },
  oven: {
    aluminium: prior(90, 620),
    steel: prior(75, 620),
    ceramic: prior(105, 900),
    polymer: prior(90, 620),
    glass: prior(90, 700),
  },
};
/** Tiles: minutes in a flat press, their body warmed through. */
const TILE = prior(85, 580);
const ANY = prior(20, 180);

export function coatingPrior(material: Material, press: PressKind): CoatingDose {
  if (press === 'oven') return PRIORS.oven[material] ?? ANY;
  if (press === 'flat' && material === 'ceramic') return TILE;
  return PRIORS.press[material] ?? ANY;
}
