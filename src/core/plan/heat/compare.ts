import { workedW } from '../../heat/model/energy';
import type { Job } from '../../job/job';
import { paceFrom, timedSteps } from '../../run/pace';
import { withState } from '../../run/pieces';
import type { HeatSettings } from '../../shop/heatSettings';
import type { Shop } from '../../shop/shop';
import { planAnswered } from '../planAnswered';
import { jobOnPress } from './pressChoice';
import type { Extra } from '../planShape';
import { workTimes } from '../press/workTimes';

/** A job on one press: the settings it starts from, and what a piece costs in time and energy there. */
export interface OnPress {
  readonly pressId: string;
  readonly settings: HeatSettings;
  /** Probability of a good piece, 0 to 1; null where the model has no answer. */
  readonly good: number | null;
  readonly atOnce: number;
  /** Hands for one piece before and at the press, s. */
  readonly handsS: number;
  /** The press for one piece, s: a cycle, shared by the pieces pressed at once. */
  readonly pressS: number;
  readonly energyWh: number;
}

const J_PER_WH = 3600;

/** A job on a press with the model answered at once, a second or so. Null where that press cannot press it or nothing is laid out. */
export function onPress(job: Job, shop: Shop, pressId: string, extra: Extra = {}): OnPress | null {
  const made = planAnswered(jobOnPress(job, pressId), shop, extra);
  const { chosen, model } = made.heat;
  const times = workTimes(made, shop.settings.day, paceFrom(timedSteps(shop.runs.map(withState))));
  if (!chosen || !times) return null;
  const pressS = times.cycleS / times.atOnce;
  return {
    pressId,
    settings: chosen.settings,
    good: model?.outcome?.good ?? null,
    atOnce: times.atOnce,
    handsS: times.prepareS + times.loadHandsS / times.atOnce,
    pressS,
    energyWh: (workedW(times.energy, times.loadJ, times.cycleS) * pressS) / J_PER_WH,
  };
}
