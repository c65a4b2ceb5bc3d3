import type { ImageAnalysis } from '../art/analyseImage';
import type { HeatCache } from '../heat/answer';
import type { ProvenCounts } from '../heat/settings/choose';
import type { Job } from '../job/job';
import type { ConfirmedCounts } from '../inspect/shopTable';
import type { JobTally } from '../inspect/tally';
import type { Nests } from '../sheet/nest/request';
import type { LogEntry } from '../shop/records';
import type { ArtPlan } from './art/art';
import type { BlankPlan } from './blank/blank';
import type { HeatPlan } from './heat/heat';
import type { InspectPlan } from './inspect/inspect';
import type { MeasurePlan } from './measure/measure';
import type { PressPlan } from './press/press';
import type { SheetPlan } from './sheet/sheet';
import type { WrapPlan } from './wrap/wrapPlan';

/** Everything calculated about a job, a section a step. Plain JSON; calculated from the job and the shop, never stored. */
export interface Plan {
  readonly blank: BlankPlan;
  readonly measure: MeasurePlan;
  readonly wrap: WrapPlan;
  readonly art: ArtPlan;
  readonly sheet: SheetPlan;
  readonly heat: HeatPlan;
  readonly press: PressPlan;
  readonly inspect: InspectPlan;
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
  readonly heatCache?: HeatCache;
}
