import type { Job } from '../../job/job';
import type { Run, RunDose, RunPiece } from '../../shop/run';
import type { Plan } from '../planShape';

/** What is known when a run begins, besides its plan. */
export interface RunStart {
  readonly id: string;
  readonly startedAt: number;
  /** Blanks that lie ready; null where nobody counted. */
  readonly blanks?: number | null;
  readonly dose?: RunDose | null;
  /** What the press shows of its pressure; null where it was not noted. */
  readonly pressureAt?: number | null;
  /** Pieces it is begun for; all that are left and in no press where it does not say. */
  readonly pieces?: readonly RunPiece[];
}

/** A run of the pieces that no press holds yet, with copies of all it depends on; null while the plan has no heat or nothing is left. */
export function newRun(job: Job, plan: Plan, start: RunStart): Run | null {
  const { heat, press } = plan;
  const { blank } = plan.blank;
  const queue = start.pieces ?? press.free;
  if (!heat.chosen || !heat.press || !blank || queue.length < 1) return null;
  return {
    id: start.id,
    jobId: job.id,
    blank,
    press: heat.press,
    startedAt: start.startedAt,
    pieces: queue.length,
    queue: [...queue],
    blanks: start.blanks ?? null,
    dose: start.dose ?? null,
    settings: heat.chosen.settings,
    pressureAt: start.pressureAt ?? null,
    load: heat.load?.load ?? null,
    operations: [...heat.operations],
    events: [],
  };
}

/** Whether something still has to be settled before anything is pressed. */
export const pressBlocked = ({ press, wrap, heat }: Plan): boolean =>
  press.cycle.length === 0 || [...wrap.findings, ...heat.findings].some((f) => f.level === 'blocker');
