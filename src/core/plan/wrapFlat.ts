import { figure, uncertaintyOf, type Figure, type Finding } from '../figures/figure';
import { within95 } from '../figures/interval';
import type { AxisScale } from '../calibration/calibration';
import type { FlatBlank } from '../shop/blank';
import { say } from '../units/phrase';
import { fineMm, mm, ratio, word } from '../units/quantity';
import { sizeFlatWrap, USUAL_TURN_IN_MM, type FacePrint, type FlatWrap } from '../wrap/flatWrap';
import type { MeasurePlan } from './measure';
import { finding } from './stepPlan';
import type { MeasuredFlat } from './measuredShape';
import type { WrapJob, WrapPlan } from './wrap';

interface FlatWrapPlan {
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
const longer = ({ shrink }: AxisScale): string => (shrink > 0 ? ` ÷ ${(1 - shrink).toFixed(4)}` : '');

function figuresOf({ blank, job, measuredShape, print }: FlatWrapPlan, w: FlatWrap): Figure[] {
  const shrinks = print.x.shrink > 0 || print.y.shrink > 0;
  const { pattern } = w;
  const wrapped = edgeWay(job, blank) === 'wrapped';
  const past = wrapped
    ? say`${mm(blank.wallMm)} of edge and ${mm(turnIn(job))} turned over the back`
    : say`past the edge all round, so a slip shows no white`;
  return [
    figure({
      id: 'wrap.size',
      label: 'Picture, one face',
      quantity: mm(pattern.bleed.width),
      origin: 'calculated',
      working: shrinks
        ? say`by ${mm(pattern.bleed.height)}: the blank, ${mm(w.pastMm)} past it on each side, and what shrinks in the heat`
        : say`by ${mm(pattern.bleed.height)}: the blank and ${mm(w.pastMm)} past it on each side`,
      arithmetic: [
        say`${mm(measuredShape.width.value)}${longer(print.x)} + 2 × ${mm(w.pastMm)} = ${mm(pattern.bleed.width)}`,
        say`${mm(measuredShape.height.value)}${longer(print.y)} + 2 × ${mm(w.pastMm)} = ${mm(pattern.bleed.height)}`,
      ],
      inputs: ['measure.width', 'measure.height'],
      ...uncertaintyOf(measuredShape.width),
    }),
    figure({
      id: 'wrap.past',
      label: wrapped ? 'Turned over the edge' : 'Bleed',
      quantity: mm(w.pastMm),
      origin: wrapped ? 'calculated' : 'measured',
      working: past,
    }),
    figure({
      id: 'wrap.hides',
      label: 'Bleed needed',
      quantity: fineMm(w.bleedFor19In20Mm),
      origin: 'calculated',
      working: say`hides the blank’s own tolerance, the printer’s and the hand on all four sides, 19 times in 20`,
      inputs: ['measure.width', 'measure.height'],
      error: { asks: 'edges', ...w.placing },
    }),
    figure({
      id: 'wrap.chance',
      label: 'No white at an edge',
      quantity: ratio(w.coverChance),
      origin: 'estimated',
      working: say`chance at ${mm(w.pastMm)} past the edge`,
      inputs: ['wrap.hides'],
      error: { asks: 'edges', ...w.placing },
    }),
    ...(w.registration
      ? [
          figure({
            id: 'wrap.fold',
            label: 'Offset between faces, maximum',
            quantity: fineMm(within95(w.registration)),
            origin: 'estimated',
            working: say`twice what the fold is off; fold on the ticks, against a steel rule`,
          }),
        ]
      : []),
    figure({
      id: 'wrap.area',
      label: 'Face',
      quantity: word(`${(w.areaMm2 / 100).toFixed(1)} cm²`),
      origin: 'calculated',
      working: say`${mm(w.edgeMm)} round its edge${blank.shape.holes.length > 0 ? ', holes not taken off' : ''}`,
    }),
  ];
}

function findingsOf(input: FlatWrapPlan, w: FlatWrap): Finding[] {
  const { blank, job } = input;
  const found: Finding[] = [];
  const add = (id: string, level: Finding['level'], text: Finding['text']) =>
    found.push(finding('wrap', id, level, text));
  const wrapped = edgeWay(job, blank) === 'wrapped';
  if (!wrapped && w.pastMm < w.bleedFor19In20Mm)
    add(
      'bleed',
      'warning',
      say`${mm(w.pastMm)} of bleed hides a slip only ${ratio(w.coverChance)} of the time. ${fineMm(w.bleedFor19In20Mm)} is needed for 19 in 20.`,
    );
  if (!wrapped && blank.shape.edge === 'rough')
    add(
      'rough',
      'warning',
      say`A rough edge takes no dye from flat paper and stays bare. Wrap the paper over the edges, or confirm that a bare edge is intended.`,
    );
  if (wrapped && w.pastMm > Math.min(w.pattern.trim.width, w.pattern.trim.height) / 2)
    add('turn-in', 'warning', say`The paper folded over the back overlaps itself. Make the turn-in smaller.`);
  if (w.pattern.faces.every((f) => f.safe.length === 0))
    add('safe', 'warning', say`The safe zone is so wide that no text fits inside. Make it smaller.`);
  if (w.registration && job.wrap.faces === 'one then the other')
    add(
      'second',
      'info',
      say`One face after the other: the first is heated twice. Press the paler side first.`,
    );
  if (w.registration && job.wrap.faces === 'together')
    add(
      'together',
      'info',
      say`Both faces at once: paper above and below, heat mostly from above. Turn it over half way if the back is faint.`,
    );
  return found;
}

export function planFlatWrap(input: FlatWrapPlan): WrapPlan {
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
    summary: say`${mm(pattern.bleed.width)} × ${mm(pattern.bleed.height)}${w.registration ? ', two faces' : ''}`,
    figures: figuresOf(input, w),
    findings: findingsOf(input, w),
    pattern,
    flat: w,
  };
}
