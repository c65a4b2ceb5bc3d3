import type { ImageAnalysis } from '../art/analyseImage';
import { worstFirst, type Figure, type Finding } from '../figures/figure';
import { JOB_STEPS, type JobStep } from '../figures/jobSteps';
import type { HeatBook } from '../heat/answer';
import type { ProvenCounts } from '../heat/choose';
import type { Job } from '../job/job';
import type { ConfirmedCounts } from '../look/shopTable';
import type { JobTally } from '../look/tally';
import type { Nests } from '../sheet/nest/request';
import type { LogEntry } from '../shop/records';
import type { Shop } from '../shop/shop';
import type { ArtPlan } from './art';
import type { BlankPlan } from './blank';
import type { HeatPlan } from './heat';
import type { LookPlan } from './look';
import type { MeasurePlan } from './measure';
import type { PressPlan } from './press';
import { createRunner } from './runStages';
import type { SheetPlan } from './sheet';
import { NOTHING_REMEMBERED } from './stages';
import type { StepPlan } from './stepPlan';
import type { WrapPlan } from './wrapPlan';

/** Everything calculated about a job, a section a step. Plain JSON; made afresh from the job and the shop, never stored. */
export interface Plan {
  readonly blank: BlankPlan;
  readonly measure: MeasurePlan;
  readonly wrap: WrapPlan;
  readonly art: ArtPlan;
  readonly sheet: SheetPlan;
  readonly heat: HeatPlan;
  readonly press: PressPlan;
  readonly look: LookPlan;
}

/** What a plan may know beyond the job and the shop. */
export interface Extra {
  /** Pictures whose pixels have been analysed, by id. */
  readonly analyses?: Readonly<Record<string, ImageAnalysis>>;
  /** The other jobs this one names to share its sheets with. */
  readonly sharedJobs?: readonly Job[];
  /** Free layouts found so far, by key; those still wanted stand in the layout. Without it they are found at once, quickly. */
  readonly nests?: Nests;
  /** Counts of the log, where the shop given does not hold all of it: good pieces behind each recipe, and of this job. */
  readonly proven?: ProvenCounts;
  readonly tally?: JobTally;
  /** What was tried on this press and coating, where the shop given does not hold its log. */
  readonly tried?: readonly LogEntry[];
  /** Causes the shop settled on, where the shop given does not hold all of its log. */
  readonly confirmed?: ConfirmedCounts;
  /** What the heat model has answered so far, by question; what it is still asked stands in the plan. */
  readonly heatBook?: HeatBook;
}

/** Mean ink of the lowest picture, percent; null where nobody has looked. */
export function inkOf(job: Job, analyses: Readonly<Record<string, ImageAnalysis>>): number | null {
  const ground = job.art.layers.find((l) => l.kind === 'picture');
  const look = ground?.kind === 'picture' ? analyses[ground.picture.id] : undefined;
  return look ? look.cells.reduce((s, c) => s + c.inkPct, 0) / look.cells.length : null;
}

/**
 * The one function of the product: a job and the shop's things, to a plan. Pure; the same for screens, scripts and files. `extra` is what
 * screens know beside: without it a plan is complete but for the checks that need a picture's pixels and for shared sheets.
 */
export const plan = (job: Job, shop: Shop, extra: Extra = {}): Plan =>
  createRunner(NOTHING_REMEMBERED)(job, shop, extra);

export const stepPlanOf = (p: Plan, step: JobStep): StepPlan<JobStep> => p[step];

/** Findings of the whole job, worst first and in the order of the work. */
export const allFindings = (p: Plan): readonly Finding[] =>
  worstFirst(JOB_STEPS.flatMap((t) => p[t].findings));

/** Figures of the whole job in the order of the work. */
export const allFigures = (p: Plan): readonly Figure[] => JOB_STEPS.flatMap((t) => p[t].figures);

export const figureById = (p: Plan, id: string): Figure | undefined => allFigures(p).find((f) => f.id === id);

/** The first step with work left: where the job stands. */
export const currentStep = (p: Plan): JobStep => JOB_STEPS.find((t) => p[t].progress !== 'done') ?? 'look';
