import type { Material } from '../../shop/blank';
import type { PressKind } from '../../shop/press';

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
 * Where nothing is known of a shop's own coating. Set so that the ranges in common use (starting.ts), simulated on usual presses of their kind,
 * lie inside from their coolest and shortest to their hottest and longest: every setting in them has given good pieces somewhere, and none of
 * them is called likely to fail before anything was tried. A prior from practice, not a property of a coating, and wide for that: hard coatings
 * on thin metal are pressed for half a minute here and for a minute and a half there. Thick stone, tile and oven work run longer than their dye
 * needs.
 */
const PRIORS: Readonly<Record<'press' | 'oven', Partial<Record<Material, CoatingDose>>>> = {
  press: {
    aluminium: prior(5.5, 205),
    steel: prior(6.5, 350),
    ceramic: prior(25, 560),
    glass: prior(22, 440),
    hardboard: prior(12.5, 155),
    FRP: prior(11, 100),
    acrylic: prior(7.5, 112),
    slate: prior(60, 700),
    polymer: prior(10, 110),
  },
  oven: {
    aluminium: prior(90, 620),
    steel: prior(65, 740),
    ceramic: prior(95, 1250),
    polymer: prior(60, 620),
    glass: prior(90, 800),
    FRP: prior(70, 620),
    slate: prior(110, 1250),
  },
};
/** Tiles: minutes in a flat press, their body warmed through. */
const TILE = prior(60, 600);
const ANY = prior(14, 220);

export function coatingPrior(material: Material, press: PressKind): CoatingDose {
  // A membrane presses as slowly as an oven heats: the coatings made for it bear the same doses.
  if (press === 'oven' || press === 'vacuum') return PRIORS.oven[material] ?? ANY;
  if (press === 'flat' && material === 'ceramic') return TILE;
  return PRIORS.press[material] ?? ANY;
}
