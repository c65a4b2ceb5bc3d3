import type { AxisScale } from '../../calibration/calibration';
import type { Job } from '../../job/job';
import type { Band, BestCone } from '../../shapes/band';
import type { Profile } from '../../shapes/profile';
import type { RoundBlank } from '../../shop/blank';
import type { Hold, SeamMethod } from '../../shop/settings';
import type { FlatWrap } from '../../wrap/flatWrap';
import type { Pattern } from '../../wrap/pattern';
import type { Wrap } from '../../wrap/roundWrap';
import type { SeamMethodNote } from '../../wrap/seamMethods';
import type { WrapStart } from '../../wrap/startingMethod';
import type { MeasurePlan } from '../measure/measure';
import type { CircumferenceRange, MeasuredRound } from '../measure/measuredShape';
import type { StepPlan } from '../stepPlan';

/** How closely straight-sided paper lies on a shaped wall. */
export interface PaperFit {
  readonly toleranceMm: number;
  readonly usable: Band;
  readonly band: Band;
  readonly cone: BestCone;
  /** Chosen by hand rather than found. */
  readonly chosen: boolean;
}

/** The plan of a wrap, round or flat. */
export interface WrapPlan extends StepPlan<'wrap'> {
  readonly pattern: Pattern | null;
  readonly round: Wrap | null;
  readonly flat: FlatWrap | null;
  /** Null on straight and truly tapered walls, where paper lies everywhere. */
  readonly warp: PaperFit | null;
  /** Heights of the paper's edges on the blank, from the rim along the axis, mm; null on flat blanks. */
  readonly band: Band | null;
  /** The wall under the paper, bare and right round, where it is widest and narrowest; null on flat blanks. */
  readonly wall: CircumferenceRange | null;
  readonly seamMethod: SeamMethod;
  /** What kind of wrap it is, which decides the method it starts with. */
  readonly start: WrapStart;
  readonly notes: Readonly<Record<SeamMethod, SeamMethodNote>>;
  readonly note: SeamMethodNote;
  readonly setbacks: { readonly topMm: number; readonly footMm: number };
  readonly bleedMm: number;
  readonly safeMm: number;
}

/** All of a job that decides its wrap. */
export type WrapJob = Pick<Job, 'wrap'>;

/** A wall and how far paper may stand off it: what the band that lies flat is found from. */
export interface UsableInput {
  readonly profile: Profile;
  readonly topMm: number;
  readonly footMm: number;
  readonly toleranceMm: number;
}

/** What a wrap round a wall is planned from. */
export interface RoundPlanInput {
  readonly job: WrapJob;
  readonly hold: Hold;
  readonly blank: RoundBlank;
  readonly measuredShape: MeasuredRound;
  readonly measure: MeasurePlan;
  readonly paperMm: number;
  readonly axis: AxisScale;
  /** Finds the band of a shaped wall that lies flat. */
  readonly usable: (input: UsableInput) => Band;
  readonly shared: Omit<WrapPlan, 'progress' | 'summary' | 'figures' | 'findings'>;
}
