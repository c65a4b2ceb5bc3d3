/**
 * The steps of a job, in the order of the work: the one registry. Keys, rail, foot, status, shortcuts and README follow from it; the types
 * name what else a new one needs, its plan and its view. Ids are addresses of pages: never rename one.
 */
export const JOB_STEP_LIST = [
  { id: 'blank', label: 'Blank', leadsOnBy: 'Measure the blank' },
  { id: 'measure', label: 'Measure', leadsOnBy: 'Size the wrap' },
  { id: 'wrap', label: 'Wrap', leadsOnBy: 'Place the art' },
  { id: 'art', label: 'Art', leadsOnBy: 'Lay out the sheet' },
  { id: 'sheet', label: 'Sheet', leadsOnBy: 'Set the heat' },
  { id: 'heat', label: 'Heat', leadsOnBy: 'Go to the press' },
  { id: 'press', label: 'Press', leadsOnBy: 'Inspect the piece' },
  { id: 'look', label: 'Inspect', leadsOnBy: 'Save to log' },
] as const;

export type JobStep = (typeof JOB_STEP_LIST)[number]['id'];
export const JOB_STEPS: readonly JobStep[] = JOB_STEP_LIST.map((t) => t.id);

export const isJobStep = (text: string | undefined): text is JobStep => JOB_STEPS.some((t) => t === text);

/** Something of every step. */
export const ofEachStep = <T>(make: (step: JobStep) => T): Readonly<Record<JobStep, T>> =>
  Object.fromEntries(JOB_STEPS.map((t) => [t, make(t)])) as Record<JobStep, T>;
