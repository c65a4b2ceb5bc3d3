import type { FlatWrap } from '../wrap/flatWrap';
import type { Job } from '../job/job';
import type { AxisScale } from '../calibration/calibration';
import type { Band, BestCone } from '../shapes/band';
import { isFlat, isRound, type Blank } from '../shop/blank';
import type { SeamMethod, Settings } from '../shop/settings';
import { say } from '../message/message';
import type { Pattern } from '../wrap/pattern';
import type { Wrap } from '../wrap/roundWrap';
import { wrapStart, type WrapStart } from '../wrap/startingMethod';
import { seamMethodNotes, SEAM_METHOD_NOTES, type SeamMethodNote } from '../wrap/seamMethods';
import type { MeasurePlan } from './measure';
import type { UsableInput } from './coveredBand';
import type { CircumferenceRange } from './measuredShape';
import type { StepPlan } from './stepPlan';
import { planFlatWrap } from './wrapFlat';
import { planRoundWrap } from './wrapRound';

/** How closely straight-sided paper lies on a shaped wall. */
export interface Warp {
  readonly toleranceMm: number;
  readonly usable: Band;
  readonly band: Band;
  readonly cone: BestCone;
  /** Chosen by hand rather than found. */
  readonly chosen: boolean;
}

export interface WrapPlan extends StepPlan<'wrap'> {
  readonly pattern: Pattern | null;
  readonly round: Wrap | null;
  readonly flat: FlatWrap | null;
  /** Null on straight and truly tapered walls, where paper lies everywhere. */
  readonly warp: Warp | null;
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

/** What kind of wrap a job is, as far as blank and readings say. */
function startOf({ asked, defaults, blank, measure, pictureAspect }: WrapInput): WrapStart {
  const { measuredShape } = measure;
  if (!blank || measuredShape?.kind !== 'round') return { kind: 'round', pictureMm: null };
  const setback = defaults.setbackMm;
  const tallMm =
    measuredShape.slant.value - (asked.topSetbackMm ?? setback) - (asked.footSetbackMm ?? setback);
  return wrapStart(pictureAspect, blank, measure.circumference?.value ?? 0, Math.max(0, tallMm));
}

/** All of a job that decides its wrap. */
export type WrapJob = Pick<Job, 'wrap'>;

export interface WrapInput {
  /** What the job says of its wrap. */
  readonly asked: Job['wrap'];
  readonly defaults: Settings['defaults'];
  readonly blank: Blank | null;
  readonly measure: MeasurePlan;
  /** Width over height of the job’s only picture; null where there are more, none, or it is set otherwise. */
  readonly pictureAspect: number | null;
  readonly paperMm: number;
  /** What printer and paper do along the wrap, and up it. */
  readonly along: AxisScale;
  readonly up: AxisScale;
}

/** `usable` finds the band of a shaped wall that lies flat. */
export function planWrap(input: WrapInput, usable: (i: UsableInput) => Band): WrapPlan {
  const { asked, defaults, blank, measure, paperMm } = input;
  const job: WrapJob = { wrap: asked };
  const { measuredShape } = measure;
  const start = startOf(input);
  const seamMethod = job.wrap.seamMethod ?? defaults.seamMethods[start.kind];
  const handled = blank !== null && isRound(blank) && blank.shape.handle !== null;
  const notes = blank ? seamMethodNotes(handled) : SEAM_METHOD_NOTES;
  const shared = {
    step: 'wrap' as const,
    seamMethod,
    start,
    notes,
    note: notes[seamMethod],
    setbacks: {
      topMm: job.wrap.topSetbackMm ?? defaults.setbackMm,
      footMm: job.wrap.footSetbackMm ?? defaults.setbackMm,
    },
    bleedMm: job.wrap.bleedMm ?? (blank && isFlat(blank) ? defaults.flatBleedMm : defaults.bleedMm),
    safeMm: job.wrap.safeMm ?? defaults.safeMm,
    pattern: null,
    round: null,
    flat: null,
    warp: null,
    band: null,
    wall: null,
  };
  if (blank && measuredShape?.kind === 'round' && isRound(blank))
    return planRoundWrap({
      job,
      hold: job.wrap.hold ?? defaults.hold,
      blank,
      measuredShape,
      measure,
      paperMm,
      axis: input.along,
      usable,
      shared,
    });
  if (blank && measuredShape?.kind === 'flat' && isFlat(blank))
    return planFlatWrap({
      job,
      blank,
      measuredShape,
      measure,
      print: { x: input.along, y: input.up },
      shared,
    });
  return {
    ...shared,
    progress: 'todo',
    summary: blank ? say('wrap.afterReadings') : say('measure.afterBlank'),
    figures: [],
    findings: [],
  };
}
