import * as Comlink from 'comlink';
import { costing, type CostAsk, type JobCosts } from '@/core/cost/jobCost';
import { planDay, type DayPlan, type DayRequest, type Depth } from '@/core/day/dayPlan';
import { createJobBases } from '@/core/day/jobWork';
import { jobWants, type WantsAsk } from '@/core/day/jobWants';
import { answer, type Answer, type WhatIf } from '@/core/day/whatIf';
import type { Policy, Problem } from '@/core/schedule/problem';
import { finishInSlices } from './slices';

/** What jobs take, kept from one question to the next. */
const bases = createJobBases();
/** Number of the newest plan asked for: older ones are left where they are. */
let newest = 0;

const api = {
  /** The day; null where another was asked for before it was done, or nobody waits for it any more. */
  plan: (request: DayRequest, depth: Depth, from: Policy | null): Promise<DayPlan | null> => {
    const mine = (newest += 1);
    return finishInSlices(planDay(request, depth, from, bases), () => mine !== newest);
  },
  stop: (): void => {
    newest += 1;
  },
  // Costs of many jobs do not keep the day waiting.
  costs: (ask: CostAsk): Promise<JobCosts | null> => finishInSlices(costing(ask), () => false),
  wants: (ask: WantsAsk) => jobWants(ask, bases),
  answer: (problem: Problem, policy: Policy, what: WhatIf): Answer => answer(problem, policy, what),
};
export type DayWorker = typeof api;

Comlink.expose(api);
