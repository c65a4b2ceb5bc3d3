import type { JobStep } from '../figures/jobSteps';
import type { Level } from '../figures/figure';
import type { Job } from '../job/job';
import type { ProvenCounts } from '../heat/settings/choose';
import { keyOf } from '../memo/key';
import type { JobTally } from '../inspect/tally';
import type { Run } from '../shop/run';
import type { Shop } from '../shop/shop';
import type { Message } from '../message/message';
import type { Progress } from './stepPlan';

/** Where a job stands, in so few words that the list of jobs can be shown without planning every job again. */
export interface JobStatus {
  readonly at: JobStep;
  /** The line that sums up its current step. */
  readonly summary: Message;
  readonly blankName: string | null;
  readonly progress: Readonly<Record<JobStep, Progress>>;
  /** What is most in its way; null where nothing is. */
  readonly worst: { readonly level: Level; readonly step: JobStep; readonly text: Message } | null;
}

/** All of a shop that every job's plan may draw on, as a key; its runs and its log count job by job. */
export const shopKey = (shop: Shop, proven: ProvenCounts): string =>
  keyOf([shop.settings, shop.blanks, shop.presses, shop.papers, shop.recipes, proven]);

/** What else a job's status was made from. */
export interface StatusInputs {
  readonly runs: readonly Run[];
  readonly tally: JobTally | null;
  /** The jobs it shares its sheets with. */
  readonly sharedJobs: readonly Job[];
  /** Pictures of it, and of those, whose pixels have been analysed, by id. */
  readonly analyses: readonly string[];
}

/** Raised whenever what a status holds or says changes, so that none kept by an older copy is shown. */
const VERSION = 8;

/** Everything a status was made from, as a key: another job, another shop or another copy of the planning has another. */
export const statusKey = (job: Job, ofShop: string, beside: StatusInputs): string =>
  `${VERSION} ${keyOf([job, beside.runs, beside.tally, beside.sharedJobs, [...beside.analyses].sort()])} ${ofShop}`;
