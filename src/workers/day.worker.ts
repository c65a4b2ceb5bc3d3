import * as Comlink from 'comlink';
import { jobCosts, type CostAsk } from '@/core/cost/jobCost';
import { dayPlan, refined, type DayPlan, type DayRequest } from '@/core/day/dayPlan';
import { jobWants, type WantsAsk } from '@/core/day/jobWants';
import { answer, type Answer, type WhatIf } from '@/core/day/whatIf';
import type { Policy, Problem } from '@/core/schedule/problem';

const api = {
  plan: (request: DayRequest, from: Policy | null): DayPlan => dayPlan(request, from),
  refine: (day: DayPlan): DayPlan => refined(day),
  costs: (ask: CostAsk) => jobCosts(ask),
  wants: (ask: WantsAsk) => jobWants(ask),
  answer: (problem: Problem, policy: Policy, what: WhatIf): Answer => answer(problem, policy, what),
};
export type DayWorker = typeof api;

Comlink.expose(api);
