import { figure, uncertaintyOf, type Figure, type Finding } from '../../figures/figure';
import { within95 } from '../../figures/interval';
import type { AxisScale } from '../../calibration/calibration';
import type { FlatBlank } from '../../shop/blank';
import { say, type Message } from '../../message/message';
import { fineMm, mm, ratio, word, decimal } from '../../message/quantity';
import { sizeFlatWrap, USUAL_TURN_IN_MM, type FacePrint, type FlatWrap } from '../../wrap/flatWrap';
import type { MeasurePlan } from '../measure/measure';
import { finding } from '../stepPlan';
import type { MeasuredFlat } from '../measure/measuredShape';
import type { WrapJob, WrapPlan } from './wrapPlan';

interface FlatWrapInput {
  readonly job: WrapJob;
  readonly blank: FlatBlank;
  readonly measuredShape: MeasuredFlat;
  readonly measure: MeasurePlan;
  readonly print: FacePrint;
  readonly shared: Omit<WrapPlan, 'progress' | 'summary' | 'figures' | 'findings'>;
}

export const edgeWay = (job: WrapJob, blank: FlatBlank): 'bleed' | 'wrapped' =>
  job.wrap.edge ?? (blank.shape.edge === 'rough' ? 'wrapped' : 'bleed');

export const turnIn = (job: WrapJob): number => job.wrap.turnInMm ?? USUAL_TURN_IN_MM;
export const printsBoth = (job: WrapJob, blank: FlatBlank): boolean =>
  blank.shape.faces === 2 && job.wrap.faces !== 'front only';

/** What the heat takes back of a length, in the arithmetic. */
const longer = ({ shrink }: AxisScale): Message | string =>
  shrink > 0 ? say('wrap.dividedBy', { by: decimal(1 - shrink, 4) }) : '';

function figuresOf({ blank, job, measuredShape, print }: FlatWrapInput, w: FlatWrap): Figure[] {
  const shrinks = print.x.shrink > 0 || print.y.shrink > 0;
  const { pattern } = w;
  const wrapped = edgeWay(job, blank) === 'wrapped';
  const past = wrapped
    ? say('wrap.edgeTurnedOverBack', { wall: mm(blank.wallMm), job: mm(turnIn(job)) })
    : say('wrap.pastEdgeAllRound');
  return [
    figure({
      id: 'wrap.size',
      label: say('wrap.pictureOneFace'),
      quantity: mm(pattern.bleed.width),
      origin: 'calculated',
      working: shrinks
        ? say('wrap.blankPastEachSide', { height: mm(pattern.bleed.height), past: mm(w.pastMm) })
        : say('wrap.blankPastEachSide2', { height: mm(pattern.bleed.height), past: mm(w.pastMm) }),
      arithmetic: [
        say('wrap.n2', {
          width: mm(measuredShape.width.value),
          x: longer(print.x),
          past: mm(w.pastMm),
          width2: mm(pattern.bleed.width),
        }),
        say('wrap.n22', {
          height: mm(measuredShape.height.value),
          y: longer(print.y),
          past: mm(w.pastMm),
          height2: mm(pattern.bleed.height),
        }),
      ],
      inputs: ['measure.width', 'measure.height'],
      ...uncertaintyOf(measuredShape.width),
    }),
    figure({
      id: 'wrap.past',
      label: wrapped ? say('wrap.turnedOverEdge') : say('common.bleed'),
      quantity: mm(w.pastMm),
      origin: wrapped ? 'calculated' : 'measured',
      working: past,
    }),
    figure({
      id: 'wrap.hides',
      label: say('wrap.bleedNeeded'),
      quantity: fineMm(w.bleedFor19In20Mm),
      origin: 'calculated',
      working: say('wrap.hidesBlanksOwnTolerance'),
      inputs: ['measure.width', 'measure.height'],
      error: { asks: 'edges', ...w.placing },
    }),
    figure({
      id: 'wrap.chance',
      label: say('wrap.whiteEdge'),
      quantity: ratio(w.coverChance),
      origin: 'estimated',
      working: say('wrap.chancePastEdge', { past: mm(w.pastMm) }),
      inputs: ['wrap.hides'],
      error: { asks: 'edges', ...w.placing },
    }),
    ...(w.registration
      ? [
          figure({
            id: 'wrap.fold',
            label: say('wrap.offsetBetweenFacesMaximum'),
            quantity: fineMm(within95(w.registration)),
            origin: 'estimated',
            working: say('wrap.twiceWhatFoldOff'),
          }),
        ]
      : []),
    figure({
      id: 'wrap.area',
      label: say('wrap.face'),
      quantity: word(say('common.squareCentimetres', { area: decimal(w.areaMm2 / 100, 1) })),
      origin: 'calculated',
      working: say('wrap.roundEdge', {
        edge: mm(w.edgeMm),
        which: blank.shape.holes.length > 0 ? 'holesTakenOff' : 'other',
      }),
    }),
  ];
}

function findingsOf(input: FlatWrapInput, w: FlatWrap): Finding[] {
  const { blank, job } = input;
  const found: Finding[] = [];
  const add = (id: string, level: Finding['level'], text: Finding['text']) =>
    found.push(finding('wrap', id, level, text));
  const wrapped = edgeWay(job, blank) === 'wrapped';
  if (!wrapped && w.pastMm < w.bleedFor19In20Mm)
    add(
      'bleed',
      'warning',
      say('wrap.bleedHidesSlipOnly', {
        past: mm(w.pastMm),
        coverChance: ratio(w.coverChance),
        bleedFor19In20: fineMm(w.bleedFor19In20Mm),
      }),
    );
  if (!wrapped && blank.shape.edge === 'rough') add('rough', 'warning', say('wrap.roughEdgeTakesDye'));
  if (wrapped && w.pastMm > Math.min(w.pattern.trim.width, w.pattern.trim.height) / 2)
    add('turn-in', 'warning', say('wrap.paperFoldedOverBack'));
  if (w.pattern.faces.every((f) => f.safe.length === 0)) add('safe', 'warning', say('wrap.safeZoneSoWide'));
  if (w.registration && job.wrap.faces === 'one then the other')
    add('second', 'info', say('wrap.oneFaceAfterOther'));
  if (w.registration && job.wrap.faces === 'together')
    add('together', 'info', say('wrap.bothFacesOncePaper'));
  return found;
}

export function planFlatWrap(input: FlatWrapInput): WrapPlan {
  const { job, blank, measuredShape, shared, measure } = input;
  const w = sizeFlatWrap({
    shape: blank.shape,
    width: measuredShape.width,
    height: measuredShape.height,
    thicknessMm: blank.wallMm,
    edge: edgeWay(job, blank),
    bleedMm: shared.bleedMm,
    turnInMm: turnIn(job),
    safeMm: shared.safeMm,
    fold: job.wrap.fold,
    bothFaces: printsBoth(job, blank),
    print: input.print,
  });
  const { pattern } = w;
  return {
    ...shared,
    progress: measure.progress === 'done' ? 'done' : 'ready',
    summary: say('wrap.widthHeight', {
      width: mm(pattern.bleed.width),
      height: mm(pattern.bleed.height),
      which: w.registration ? 'twoFaces' : 'other',
    }),
    figures: figuresOf(input, w),
    findings: findingsOf(input, w),
    pattern,
    flat: w,
  };
}
