import * as Comlink from 'comlink';
import { costing, type CostInput, type JobCosts } from '@/core/cost/jobCost';
import { planDay, type DayPlan, type DayRequest, type Depth } from '@/core/day/dayPlan';
import { createJobBases } from '@/core/day/jobWork';
import { jobWants, type StockNeedInput } from '@/core/day/jobWants';
import { answer, type Answer, type WhatIf } from '@/core/day/whatIf';
import type { Policy, ScheduleInput } from '@/core/schedule/problem';
import { finishInSlices } from './slices';

/** What jobs take, kept from one question to the next. */
const bases = createJobBases();
/** Numbers of the newest question about the day, and of the newest that nobody waits for any more: those and older ones are left where they are. */
let newest = 0;
let stopped = 0;

const api = {
  /** The day, to a question of some number; null where a newer one was asked before it was done, or nobody waits for it any more. */
  plan: (number: number, request: DayRequest, depth: Depth, from: Policy | null): Promise<DayPlan | null> => {
    newest = Math.max(newest, number);
    return finishInSlices(planDay(request, depth, from, bases), () => number < newest || number <= stopped);
  },
  stop: (number: number): void => {
    stopped = Math.max(stopped, number);
  },
  // Costs of many jobs do not keep the day waiting.
  costs: (ask: CostInput): Promise<JobCosts | null> => finishInSlices(costing(ask), () => false),
  wants: (ask: StockNeedInput) => jobWants(ask, bases),
  answer: (problem: ScheduleInput, policy: Policy, what: WhatIf): Answer => answer(problem, policy, what),
};
export type DayWorker = typeof api;

Comlink.expose(api);
