import type { JobStep } from '../figures/jobSteps';
import type { Figure, Finding, Level } from '../figures/figure';
import type { Message } from '../message/message';

/** How far a step has come: nothing yet, workable, settled. */
export type Progress = 'todo' | 'ready' | 'done';

/** What every step of a plan carries; each adds its own drawing data. Plain JSON throughout. */
export interface StepPlan<T extends JobStep> {
  readonly step: T;
  readonly progress: Progress;
  /** The one line of the traveller. */
  readonly summary: Message;
  readonly figures: readonly Figure[];
  readonly findings: readonly Finding[];
}

export const finding = (step: JobStep, id: string, level: Level, text: Message): Finding => ({
  id: `${step}.${id}`,
  step,
  level,
  text,
});
