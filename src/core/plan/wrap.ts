import type { FacePrint, FlatWrap } from '../wrap/flatWrap';
import type { Job } from '../job/job';
import type { Band, BestCone } from '../shapes/band';
import { isFlat, isRound, type Blank } from '../shop/blank';
import type { SeamMethod, Settings } from '../shop/settings';
import { say } from '../units/phrase';
import type { Pattern } from '../wrap/pattern';
import type { Wrap } from '../wrap/roundWrap';
import { wrapStart, type WrapStart } from '../wrap/startingMethod';
import { seamMethodNotes, SEAM_METHOD_NOTES, type SeamMethodNote } from '../wrap/seamMethods';
import type { MeasurePlan } from './measure';
import type { CircumferenceRange } from './measuredShape';
import type { TerracePlan } from './terracePlan';
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

export interface WrapPlan extends TerracePlan<'wrap'> {
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
function startOf(job: Job, settings: Settings, blank: Blank | null, measure: MeasurePlan): WrapStart {
  const { measuredShape } = measure;
  if (!blank || measuredShape?.kind !== 'round') return { kind: 'round', pictureMm: null };
  const setback = settings.defaults.setbackMm;
  const tallMm =
    measuredShape.slant.value - (job.wrap.topSetbackMm ?? setback) - (job.wrap.footSetbackMm ?? setback);
  return wrapStart(job, blank, measure.circumference?.value ?? 0, Math.max(0, tallMm));
}

export function planWrap(
  job: Job,
  settings: Settings,
  blank: Blank | null,
  measure: MeasurePlan,
  paperMm: number,
  print: FacePrint,
): WrapPlan {
  const { measuredShape } = measure;
  const start = startOf(job, settings, blank, measure);
  const seamMethod = job.wrap.seamMethod ?? settings.defaults.seamMethods[start.kind];
  const handled = blank !== null && isRound(blank) && blank.shape.handle !== null;
  const notes = blank ? seamMethodNotes(handled) : SEAM_METHOD_NOTES;
  const shared = {
    terrace: 'wrap' as const,
    seamMethod,
    start,
    notes,
    note: notes[seamMethod],
    setbacks: {
      topMm: job.wrap.topSetbackMm ?? settings.defaults.setbackMm,
      footMm: job.wrap.footSetbackMm ?? settings.defaults.setbackMm,
    },
    bleedMm:
      job.wrap.bleedMm ??
      (blank && isFlat(blank) ? settings.defaults.flatBleedMm : settings.defaults.bleedMm),
    safeMm: job.wrap.safeMm ?? settings.defaults.safeMm,
    pattern: null,
    round: null,
    flat: null,
    warp: null,
    band: null,
    wall: null,
  };
  if (blank && measuredShape?.kind === 'round' && isRound(blank))
    return planRoundWrap({ job, settings, blank, measuredShape, measure, paperMm, axis: print.x, shared });
  if (blank && measuredShape?.kind === 'flat' && isFlat(blank))
    return planFlatWrap({ job, settings, blank, measuredShape, measure, print, shared });
  return {
    ...shared,
    progress: 'todo',
    summary: blank ? say`after the readings` : say`after the blank`,
    figures: [],
    findings: [],
  };
}
