import { type WrapPlan, type WrapJob } from './wrapPlan';
import type { Job } from '../../job/job';
import type { AxisScale } from '../../calibration/calibration';
import type { Band } from '../../shapes/band';
import { isBarrel, isFlat, isRound, type Blank } from '../../shop/blank';
import type { PaperEdge } from '../../shop/practices';
import type { Settings } from '../../shop/settings';
import { say } from '../../message/message';
import { wrapStart, type WrapStart } from '../../wrap/startingMethod';
import { seamMethodNotes, SEAM_METHOD_NOTES } from '../../wrap/seamMethods';
import type { MeasurePlan } from '../measure/measure';
import type { UsableInput } from './wrapPlan';
import { planFlatWrap } from './wrapFlat';
import { planRoundWrap } from './wrapRound';

/** From rim and foot to the edge of the paper, mm: negative where the paper stands past them. A barrel is wound, and nothing is cut on it. */
function usualSetbackMm({ paperEdge, defaults, blank }: WrapInput): number {
  if (paperEdge === 'inside' || !blank || isBarrel(blank)) return defaults.setbackMm;
  return paperEdge === 'exact' ? 0 : -defaults.pastMm;
}

/** What kind of wrap a job is, as far as blank and readings say. */
function startOf(input: WrapInput): WrapStart {
  const { asked, blank, measure, pictureAspect } = input;
  const { measuredShape } = measure;
  if (!blank || measuredShape?.kind !== 'round') return { kind: 'round', pictureMm: null };
  const setback = usualSetbackMm(input);
  const tallMm =
    measuredShape.slant.value - (asked.topSetbackMm ?? setback) - (asked.footSetbackMm ?? setback);
  return wrapStart(pictureAspect, blank, measure.circumference?.value ?? 0, Math.max(0, tallMm));
}

export interface WrapInput {
  /** What the job says of its wrap. */
  readonly asked: Job['wrap'];
  readonly defaults: Settings['defaults'];
  /** Where the paper ends at rim and foot, unless the job says how far. */
  readonly paperEdge: PaperEdge;
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
  const setbackMm = usualSetbackMm(input);
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
      topMm: job.wrap.topSetbackMm ?? setbackMm,
      footMm: job.wrap.footSetbackMm ?? setbackMm,
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
