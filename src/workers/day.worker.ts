import * as Comlink from 'comlink';
import { jobCosts, type CostAsk } from '@/core/cost/jobCost';
import { dayPlan, dayPlays, refined, type DayPlan, type DayRequest } from '@/core/day/dayPlan';
import { jobWants, type WantsAsk } from '@/core/day/jobWants';
import { answer, type Answer, type WhatIf } from '@/core/day/whatIf';
import type { Drawn } from '@/core/schedule/chance';
import type { Policy, Problem } from '@/core/schedule/problem';

const api = {
  plan: (request: DayRequest, from: Policy | null): DayPlan => dayPlan(request, from),
  play: (of: Pick<DayPlan, 'problem' | 'policy'>, part: number, parts: number): Drawn =>
    dayPlays(of, part, parts),
  refine: (day: DayPlan, drawn: readonly Drawn[]): DayPlan => refined(day, drawn),
  costs: (ask: CostAsk) => jobCosts(ask),
  wants: (ask: WantsAsk) => jobWants(ask),
  answer: (problem: Problem, policy: Policy, what: WhatIf): Answer => answer(problem, policy, what),
};
export type DayWorker = typeof api;

Comlink.expose(api);
