import * as Comlink from 'comlink';
import { answerHeat, type HeatAnswer } from '@/core/heat/answer';
import type { OnPress } from '@/core/plan/heat/compare';
import type { Extra } from '@/core/plan/planShape';
import type { Job } from '@/core/job/job';
import type { Shop } from '@/core/shop/shop';
import type { HeatQuestion } from '@/core/heat/question';
import type { HeatSubject } from '@/core/heat/model/subject';
import { resolve } from '@/core/heat/settings/resolve';
import { dwellForDose } from '@/core/heat/settings/start';
import { fitHeater, type HeaterFit, type TimedClosing } from '@/core/heat/press/timing';
import { pressRun, type PressFaults, type SimulatedRun } from '@/core/heat/press/pressSimulator';
import type { HeatCase } from '@/core/heat/model/case';
import type { HeatSettings } from '@/core/shop/heatSettings';

const api = {
  dwellFor: (subject: HeatSubject, settings: HeatSettings, leastS: number): number =>
    dwellForDose(resolve(subject).load, settings, leastS),
  /** The whole planning is loaded only where presses are compared: answers while typing do not wait for it. */
  onPress: async (job: Job, shop: Shop, pressId: string, extra: Extra): Promise<OnPress | null> => {
    const { onPress } = await import('@/core/plan/heat/compare');
    return onPress(job, shop, pressId, extra);
  },
  answer: (question: HeatQuestion): HeatAnswer => answerHeat(question),
  fitHeater: (
    closings: readonly TimedClosing[],
    prior: { readonly powerSd: number; readonly capacitySd: number },
  ): HeaterFit => fitHeater(closings, prior),
  simulated: (faults: PressFaults, load: HeatCase, settings: HeatSettings): SimulatedRun =>
    pressRun(faults, load, settings),
};
export type HeatWorker = typeof api;

Comlink.expose(api);
