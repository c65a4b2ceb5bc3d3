import type { CoatingDose } from '../model/coatings';
import type { HeatSettings } from '../../shop/heatSettings';
import { seeded } from '../../random/random';
import { USUAL_UNKNOWNS, type HeatCase, type Unknowns } from '../model/case';
import { dosesOf, simulateHeat, type Sample } from '../model/simulate';

/**
 * Simulated presses and an oven: the physics of the model with faults of their own, which only their display and a probe on their face
 * give away. For checking, timing and a first run without burning a blank; not one part of the application knows their faults.
 */
export interface PressFaults {
  /** Display over the true mean of the face, K. */
  readonly readsHighK: number;
  /** Factor on the power its plate says. */
  readonly powerFactor: number;
  readonly capacityFactor: number;
  /** One corner cooler than the rest, K, and which: 0..1 from the left and from the back. */
  readonly coolCorner: { readonly x: number; readonly y: number; readonly byK: number };
  /** Factor on contact: it closes unevenly. */
  readonly contactFactor: number;
}

/** A press of some seed: the same faults on every machine. */
export function pressFaults(seed: number): PressFaults {
  const random = seeded(seed);
  const between = (lo: number, hi: number) => lo + (hi - lo) * random();
  return {
    readsHighK: between(-8, 8),
    powerFactor: between(0.65, 1.15),
    capacityFactor: between(0.8, 1.3),
    coolCorner: { x: random() < 0.5 ? 0 : 1, y: random() < 0.5 ? 0 : 1, byK: between(0, 9) },
    contactFactor: between(0.6, 1.2),
  };
}

/** How far a corner's coolness reaches, as a share of the side. */
const CORNER_REACH = 0.45;

/** What a probe reads on the face at a place, the display standing at `displayC`, without its noise. °C. */
export function faceC(faults: PressFaults, displayC: number, x: number, y: number): number {
  const { coolCorner: k } = faults;
  const off = Math.hypot(x - k.x, y - k.y) / CORNER_REACH;
  return displayC - faults.readsHighK - k.byK * Math.max(0, 1 - off);
}

/** A probe read by hand: within about a degree. */
export const probeC = (
  faults: PressFaults,
  displayC: number,
  x: number,
  y: number,
  random: () => number,
): number =>
  Math.round((faceC(faults, displayC, x, y) + (random() + random() + random() - 1.5) * 1.2) * 10) / 10;

const unknownsOf = (f: PressFaults): Unknowns => ({
  ...USUAL_UNKNOWNS,
  power: Math.log(f.powerFactor),
  capacity: Math.log(f.capacityFactor),
  contact: Math.log(f.contactFactor),
});

export interface SimulatedRun {
  /** What its display reads, in whole degrees. */
  readonly display: readonly { readonly atS: number; readonly readsC: number }[];
  readonly lowestC: number;
  readonly backS: number;
  readonly samples: readonly Sample[];
  /** What the coating really got, seconds at 200 °C: at its least and its most heated printed place. */
  readonly leastS: number;
  readonly mostS: number;
}

/** What a coating that needs and bears so much would look like after that run. */
export const verdictOf = (run: SimulatedRun, coating: CoatingDose): 'too little' | 'good' | 'too much' =>
  run.leastS < coating.neededS ? 'too little' : run.mostS > coating.limitS ? 'too much' : 'good';

/** The display over one load, and what the coating really got. */
export function pressRun(faults: PressFaults, load: HeatCase, s: HeatSettings): SimulatedRun {
  const truth: HeatCase = {
    ...load,
    heater: {
      ...load.heater,
      readsHighK: load.heater.readsHighK + faults.readsHighK,
      coldestK: load.heater.coldestK - faults.coolCorner.byK * 0.6,
    },
  };
  const sim = simulateHeat(truth, s, { unknowns: unknownsOf(faults), record: true });
  return {
    display: sim.samples.map((x) => ({ atS: x.atS, readsC: Math.round(x.displayC) })),
    lowestC: Math.round(sim.lowestC),
    backS: sim.backS,
    samples: sim.samples,
    ...dosesOf(sim),
  };
}
