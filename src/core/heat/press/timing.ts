import type { HeatSettings } from '../../shop/heatSettings';
import { USUAL_UNKNOWNS, type HeatCase } from '../model/case';
import { inverse, solve } from '../model/linear';
import { simulateHeat } from '../model/simulate';

/** One closing as it was timed, and the load it was timed on. */
export interface TimedClosing {
  readonly load: HeatCase;
  readonly settings: HeatSettings;
  /** Null where it was not written down. */
  readonly lowestC: number | null;
  readonly backS: number | null;
}

/** What timings say of a heater, as logarithms of a factor on what was supposed, with their standard deviations. */
export interface HeaterFit {
  readonly power: number;
  readonly powerSd: number;
  readonly capacity: number;
  readonly capacitySd: number;
  /** Root mean square of what the fit leaves over, in standard uncertainties. */
  readonly misfit: number;
}

/** A display read by eye, K; and a clock tapped by hand, s and a share of the time: the last degree comes slowly. */
const READ_K = 1.5;
const STRUCK_S = 3;
const STRUCK_SHARE = 0.04;
/** What a press that never came back counts as. */
const NEVER_S = 2400;
/** Long enough for any press to come back. */
const WATCH_S = 1500;

/** What is left over, in standard uncertainties. */
function residuals(closings: readonly TimedClosing[], power: number, capacity: number): readonly number[] {
  return closings.flatMap(({ load, settings, lowestC, backS }) => {
    const watched = { ...settings, passes: 1, timerStart: 'from-closing' as const, dwellS: WATCH_S };
    const sim = simulateHeat({ ...load, faces: 'one' }, watched, {
      unknowns: { ...USUAL_UNKNOWNS, power, capacity },
    });
    const back = Number.isFinite(sim.backS) ? sim.backS : NEVER_S;
    return [
      ...(lowestC === null ? [] : [(sim.lowestC - lowestC) / READ_K]),
      ...(backS === null ? [] : [(back - backS) / Math.hypot(STRUCK_S, STRUCK_SHARE * backS)]),
    ];
  });
}

const STEP = 0.02;
const MOST_STEPS = 8;

/**
 * Heater power and heat capacity by least squares with their priors (Gauss–Newton; spread from the normal equations). `powerSd` and
 * `capacitySd` are what was known before.
 */
export function fitHeater(
  closings: readonly TimedClosing[],
  prior: { readonly powerSd: number; readonly capacitySd: number },
): HeaterFit {
  let x = [0, 0];
  const weights = [1 / prior.powerSd ** 2, 1 / prior.capacitySd ** 2];
  let normal: number[][] = [
    [weights[0] ?? 1, 0],
    [0, weights[1] ?? 1],
  ];
  let left: readonly number[] = [];
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const [p = 0, c = 0] = x;
    left = residuals(closings, p, c);
    const byPower = residuals(closings, p + STEP, c).map((r, i) => (r - (left[i] ?? 0)) / STEP);
    const byCapacity = residuals(closings, p, c + STEP).map((r, i) => (r - (left[i] ?? 0)) / STEP);
    const columns = [byPower, byCapacity];
    normal = columns.map((a, i) =>
      columns.map(
        (b, j) => a.reduce((s, v, k) => s + v * (b[k] ?? 0), 0) + (i === j ? (weights[i] ?? 0) : 0),
      ),
    );
    const gradient = columns.map(
      (a, i) => -a.reduce((s, v, k) => s + v * (left[k] ?? 0), 0) - (weights[i] ?? 0) * (x[i] ?? 0),
    );
    const move = solve(normal, gradient);
    const share = Math.min(1, 0.5 / Math.max(1e-12, Math.hypot(...move)));
    x = x.map((v, i) => v + share * (move[i] ?? 0));
    if (Math.hypot(...move) < 1e-3) break;
  }
  const covariance = inverse(normal);
  return {
    power: x[0] ?? 0,
    capacity: x[1] ?? 0,
    powerSd: Math.sqrt(covariance[0]?.[0] ?? 0),
    capacitySd: Math.sqrt(covariance[1]?.[1] ?? 0),
    misfit: Math.sqrt(left.reduce((s, r) => s + r ** 2, 0) / Math.max(1, left.length)),
  };
}

/** A heater with what its timings say of it. */
export const withHeaterFit = (c: HeatCase, fit: HeaterFit): HeatCase => ({
  ...c,
  heater: {
    ...c.heater,
    powerW: c.heater.powerW * Math.exp(fit.power),
    capacityJK: c.heater.capacityJK * Math.exp(fit.capacity),
  },
});
