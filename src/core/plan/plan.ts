import { type Extra, type Plan } from './planShape';
import { worstFirst, type Figure, type Finding } from '../figures/figure';
import { JOB_STEPS, type JobStep } from '../figures/jobSteps';
import type { Job } from '../job/job';
import type { Shop } from '../shop/shop';
import { createRunner } from './runStages';
import { NO_MEMO } from './stages';
import type { StepPlan } from './stepPlan';

/**
 * The one function of the product: a job and the shop's things, to a plan. Pure; the same for screens, scripts and files. `extra` is what
 * screens know beside: without it a plan is complete but for the checks that need a picture's pixels and for shared sheets.
 */
export const plan = (job: Job, shop: Shop, extra: Extra = {}): Plan =>
  createRunner(NO_MEMO)(job, shop, extra);

export const stepPlanOf = (p: Plan, step: JobStep): StepPlan<JobStep> => p[step];

/** Findings of the whole job, worst first and in the order of the work. */
export const allFindings = (p: Plan): readonly Finding[] =>
  worstFirst(JOB_STEPS.flatMap((t) => p[t].findings));

/** Figures of the whole job in the order of the work. */
export const allFigures = (p: Plan): readonly Figure[] => JOB_STEPS.flatMap((t) => p[t].figures);

export const figureById = (p: Plan, id: string): Figure | undefined => allFigures(p).find((f) => f.id === id);

/** The first step with work left: where the job stands. */
export const currentStep = (p: Plan): JobStep => JOB_STEPS.find((t) => p[t].progress !== 'done') ?? 'inspect';
