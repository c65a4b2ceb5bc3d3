/** Gas constant, J/(mol K) (CODATA 2018, exact). */
const R = 8.314462618;
const KELVIN = 273.15;
/** The temperature that doses are stated at, °C. */
export const REFERENCE_C = 200;
const REFERENCE_K = REFERENCE_C + KELVIN;

/** Effective activation energy of the whole transfer, J/mol: usual value and the range seen. */
export const ACTIVATION_J_MOL = { usual: 60e3, low: 40e3, high: 120e3 } as const;

/** Rate of transfer at a temperature relative to 200 °C (Arrhenius). */
export const doseRate = (c: number, activation: number = ACTIVATION_J_MOL.usual): number =>
  Math.exp((-activation / R) * (1 / (c + KELVIN) - 1 / REFERENCE_K));

/** Time at `toC` that gives the dose of `s` seconds at `fromC`. Isothermal: warming up and cooling down are not in it. */
export const equalDoseS = (
  s: number,
  fromC: number,
  toC: number,
  activation: number = ACTIVATION_J_MOL.usual,
): number => (s * doseRate(fromC, activation)) / doseRate(toC, activation);

export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Equal-dose time with the spread that the range of activation energies gives. */
export function equalDose(s: number, fromC: number, toC: number): Estimate {
  const ends = [ACTIVATION_J_MOL.low, ACTIVATION_J_MOL.high].map((e) => equalDoseS(s, fromC, toC, e));
  return { value: equalDoseS(s, fromC, toC), low: Math.min(...ends), high: Math.max(...ends) };
}
