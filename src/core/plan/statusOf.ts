import { ofEachStep } from '../figures/jobSteps';
import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import { allFindings, plan, stepPlanOf, currentStep } from './plan';
import { type Extra, type Plan } from './planShape';
import type { JobStatus } from './status';

/** Plans a job and keeps what the list of jobs shows of it. */
export const statusOf = (job: Job, shop: Shop, extra: Extra = {}): JobStatus =>
  statusIn(plan(job, shop, extra));

/** What the list of jobs shows of a plan. */
export function statusIn(made: Plan): JobStatus {
  const at = currentStep(made);
  const [worst] = allFindings(made).filter((f) => f.level !== 'info');
  return {
    at,
    summary: stepPlanOf(made, at).summary,
    blankName: made.blank.blank?.name ?? null,
    progress: ofEachStep((t) => made[t].progress),
    worst: worst ? { level: worst.level, step: worst.step, text: worst.text } : null,
  };
}
