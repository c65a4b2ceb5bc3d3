import type { JobStep } from '../figures/jobSteps';
import type { Figure, Finding, Level } from '../figures/figure';
import type { Phrase } from '../units/phrase';

/** How far a step has come: nothing yet, workable, settled. */
export type Progress = 'todo' | 'ready' | 'done';

/** What every step of a plan carries; each adds its own drawing data. Plain JSON throughout. */
export interface StepPlan<T extends JobStep> {
  readonly step: T;
  readonly progress: Progress;
  /** The one line of the traveller. */
  readonly summary: Phrase;
  readonly figures: readonly Figure[];
  readonly findings: readonly Finding[];
}

export const finding = (step: JobStep, id: string, level: Level, text: Phrase): Finding => ({
  id: `${step}.${id}`,
  step,
  level,
  text,
});
