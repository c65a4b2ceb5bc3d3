import type { Job } from '../job/job';
import type { Run } from '../shop/records';
import type { Plan } from './plan';

/** A run of all pieces still to press, with copies of all it depends on; null while the plan has no heat or something blocks it. */
export function newRun(job: Job, plan: Plan, id: string, startedAt: number): Run | null {
  const { heat, press } = plan;
  const { blank } = plan.blank;
  if (!heat.chosen || !heat.press || !blank || press.left < 1) return null;
  return {
    id,
    jobId: job.id,
    blank,
    press: heat.press,
    startedAt,
    pieces: press.left,
    settings: heat.chosen.settings,
    load: heat.load?.load ?? null,
    operations: [...heat.operations],
    events: [],
  };
}

/** Whether something still has to be settled before anything is pressed. */
export const pressBlocked = ({ press, wrap, heat }: Plan): boolean =>
  press.cycle.length === 0 || [...wrap.findings, ...heat.findings].some((f) => f.level === 'blocker');
