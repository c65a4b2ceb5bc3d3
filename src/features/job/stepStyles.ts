import { type Message } from '@/core/message/message';
import { JOB_STEP_LIST, JOB_STEPS, type JobStep } from '@/core/figures/jobSteps';

export interface StepStyle {
  readonly id: JobStep;
  readonly label: Message;
  /** What the button to the next step says, and where it goes; null after the last. */
  readonly next: { readonly label: Message; readonly to: JobStep | null };
  /** Ground and text classes on the rail; dark text on the light strata. */
  readonly closed: string;
  readonly swatch: string;
}

/** Rock from the dark at the foot of the mesa to its rim, one a step; written out, since the classes are found by reading the source. */
const STRATA = [
  { closed: 'bg-strata-1 text-pale', swatch: 'bg-strata-1' },
  { closed: 'bg-strata-2 text-pale', swatch: 'bg-strata-2' },
  { closed: 'bg-strata-3 text-white', swatch: 'bg-strata-3' },
  { closed: 'bg-strata-4 text-ink', swatch: 'bg-strata-4' },
  { closed: 'bg-strata-5 text-ink', swatch: 'bg-strata-5' },
  { closed: 'bg-strata-6 text-ink', swatch: 'bg-strata-6' },
  { closed: 'bg-strata-7 text-white', swatch: 'bg-strata-7' },
  { closed: 'bg-strata-8 text-pale', swatch: 'bg-strata-8' },
] as const;

export const STEP_STYLES: readonly StepStyle[] = JOB_STEP_LIST.map(({ id, label, leadsOnBy }, i) => ({
  id,
  label,
  next: { label: leadsOnBy, to: JOB_STEPS[i + 1] ?? null },
  ...STRATA[(i % STRATA.length) as 0],
}));

export const stepStyle = (id: JobStep): StepStyle =>
  STEP_STYLES[JOB_STEPS.indexOf(id)] ?? (STEP_STYLES[0] as StepStyle);
