import type { HeatSettings } from '../../shop/heatSettings';
import { USUAL_UNKNOWNS, UNKNOWN_KEYS, type HeatCase, type UnknownKey, type Unknowns } from './case';
import { dosesOf, simulateHeat } from './simulate';

/** Standard deviation of what is not known, in the unit of each: logarithm of a factor, K, J/mol. */
export type Spreads = Readonly<Record<UnknownKey, number>>;

/** Contact, wall and activation energy: our own ranges for a shop that has not been fitted. */
export const USUAL_SPREADS: Omit<Spreads, 'offsetK' | 'power' | 'capacity'> = {
  contact: 0.4,
  thickness: 0.06,
  activation: 12e3,
};

/**
 * Logarithms of the two doses of a setting, and how far each moves when an unknown moves by one standard deviation, in the order of
 * UNKNOWN_KEYS. Linear in between: the dose answers a few percent of contact or power nearly in proportion.
 */
export interface LogDoses {
  readonly least: number;
  readonly most: number;
  readonly leastBy: readonly number[];
  readonly mostBy: readonly number[];
}

/** No dose is nothing to take a logarithm of. */
const FLOOR_S = 1e-4;

export function logDoses(
  c: HeatCase,
  s: HeatSettings,
  unknowns: Unknowns = USUAL_UNKNOWNS,
): { least: number; most: number } {
  const { leastS, mostS } = dosesOf(simulateHeat(c, s, { unknowns }));
  return { least: Math.log(Math.max(FLOOR_S, leastS)), most: Math.log(Math.max(FLOOR_S, mostS)) };
}

/** Sensitivities by differences of the solver, one standard deviation up. */
export function doseSensitivity(c: HeatCase, s: HeatSettings, sd: Spreads): LogDoses {
  const at = logDoses(c, s);
  const moved = UNKNOWN_KEYS.map((key) =>
    sd[key] === 0 ? at : logDoses(c, s, { ...USUAL_UNKNOWNS, [key]: sd[key] }),
  );
  return {
    ...at,
    leastBy: moved.map((m) => m.least - at.least),
    mostBy: moved.map((m) => m.most - at.most),
  };
}
