import { say } from '../message/message';
/**
 * The steps of a job, in the order of the work: the one registry. Keys, rail, foot, status, shortcuts and README follow from it; the types
 * name what else a new one needs, its plan and its view. Ids are addresses of pages: a renamed one needs a redirect in next.config.ts.
 */
export const JOB_STEP_LIST = [
  { id: 'blank', label: say('common.blank'), leadsOnBy: say('job.blankNext') },
  { id: 'measure', label: say('job.measure'), leadsOnBy: say('job.measureNext') },
  { id: 'wrap', label: say('job.wrap'), leadsOnBy: say('job.wrapNext') },
  { id: 'art', label: say('job.art'), leadsOnBy: say('job.artNext') },
  { id: 'sheet', label: say('job.sheet'), leadsOnBy: say('job.sheetNext') },
  { id: 'heat', label: say('common.heat'), leadsOnBy: say('job.heatNext') },
  { id: 'press', label: say('common.press'), leadsOnBy: say('job.pressNext') },
  { id: 'inspect', label: say('job.look'), leadsOnBy: say('job.lookNext') },
] as const;

export type JobStep = (typeof JOB_STEP_LIST)[number]['id'];
export const JOB_STEPS: readonly JobStep[] = JOB_STEP_LIST.map((t) => t.id);

export const isJobStep = (text: string | undefined): text is JobStep => JOB_STEPS.some((t) => t === text);

/** Something of every step. */
export const ofEachStep = <T>(make: (step: JobStep) => T): Readonly<Record<JobStep, T>> =>
  Object.fromEntries(JOB_STEPS.map((t) => [t, make(t)])) as Record<JobStep, T>;
