import { within95 } from '../../figures/interval';
import { figure, uncertaintyOf, type Figure } from '../../figures/figure';
import { standardU, type Uncertain } from '../../figures/uncertain';
import { paperRadius } from '../../shapes/band';
import type { SeamMethod } from '../../shop/settings';
import { say, type Message, inSentence } from '../../message/message';
import { degrees, fineMm, mm, ratio, word, decimal } from '../../message/quantity';
import { WRAP_KIND_WORDS } from '../../wrap/startingMethod';
import { bothMargins95, marginError } from '../../wrap/error';
import { pastOf } from './past';
import { type Wrap } from '../../wrap/roundWrap';
import { type CoveredBand } from './coveredBand';
import { type RoundPlanInput } from './wrapPlan';
import { type MeasuredRound } from '../measure/measuredShape';
import type { PaperFit } from './wrapPlan';

const ASKS: Readonly<Record<SeamMethod, Message>> = {
  under: say('wrap.endsStayApart'),
  butt: say('wrap.endsMeetWithinHalf'),
  lap: say('wrap.endsOverlapShowWhite'),
  over: say('wrap.paperReachesRound'),
  gap: say('wrap.gapStaysOpen'),
};

function lengthFigures({ paperMm, shared, measuredShape, axis }: RoundPlanInput, w: Wrap): Figure[] {
  const over = w.lengthMm - w.closing.value;
  const handled = measuredShape.handle !== null;
  const amount = inSentence(shared.note.amount ?? say('wrap.nothingAmount'));
  const change =
    over === 0
      ? say('wrap.upEnds', { which: handled ? 'upHandleBothSi' : 'other' })
      : over > 0
        ? say('wrap.plus', { closing: mm(w.closing.value), over: mm(over), amount })
        : say('wrap.less', { closing: mm(w.closing.value), over: mm(-over), amount });
  const wallMm = w.closing.value - Math.PI * paperMm;
  const working = handled
    ? say('wrap.fromHandleHandlePapers')
    : say('wrap.circumferencePlusPaperLies', { pi: fineMm(Math.PI * paperMm) });
  return [
    figure({
      id: 'wrap.closing',
      label: handled ? say('wrap.handleHandle') : say('wrap.closingLength'),
      quantity: mm(w.closing.value),
      origin: 'calculated',
      working: axis.shrink > 0 ? say('wrap.longerShrinks', { working, shrink: ratio(axis.shrink) }) : working,
      arithmetic:
        handled || axis.shrink > 0 || w.sector
          ? []
          : [say('wrap.paper', { wall: mm(wallMm), paper: fineMm(paperMm), closing: mm(w.closing.value) })],
      inputs: ['measure.girth'],
      ...uncertaintyOf(w.closing),
    }),
    figure({
      id: 'wrap.length',
      label: shared.seamMethod === 'over' ? say('wrap.printCutLength') : say('wrap.cutLength'),
      quantity: mm(w.lengthMm),
      origin: 'calculated',
      working: w.sector ? say('wrap.midHeight', { change }) : change,
      arithmetic: [
        say('wrap.closingOverLength', {
          closing: mm(w.closing.value),
          which: over < 0 ? 'n' : 'other',
          over: mm(Math.abs(over)),
          length: mm(w.lengthMm),
        }),
      ],
      inputs: ['wrap.closing'],
      ...uncertaintyOf(w.closing),
    }),
  ];
}

/** What a person draws a cone with: two arcs from one centre, and how far they bow. */
function sectorFigures(w: Wrap, measuredShape: MeasuredRound): Figure[] {
  const { sector, outerRadius } = w;
  if (!sector || !outerRadius) return [];
  const bow = Math.max(Math.abs(sector.topBowMm), Math.abs(sector.footBowMm));
  const arc = (id: string, label: Message, v: Uncertain): Figure =>
    figure({
      id,
      label,
      quantity: mm(v.value),
      origin: 'calculated',
      working: say('wrap.alongCurveEndsTouching'),
      inputs: ['measure.girth'],
      ...uncertaintyOf(v),
    });
  return [
    arc('wrap.topArc', say('wrap.rimEdgeAlongArc'), w.topArc),
    arc('wrap.footArc', say('wrap.footEdgeAlongArc'), w.footArc),
    figure({
      id: 'wrap.radius',
      label: say('wrap.arcRadii'),
      quantity: mm(sector.outerMm),
      origin: 'calculated',
      working: say('wrap.fromOneCentrePiece', {
        inner: mm(sector.innerMm),
        angleRad: degrees((sector.angleRad * 180) / Math.PI),
      }),
      arithmetic: [say('wrap.slantWideRadiusWide', { outer: mm(sector.outerMm) })],
      inputs: measuredShape.form === 'tapered' ? ['measure.taper', 'measure.wall'] : ['measure.girth'],
      ...uncertaintyOf(outerRadius),
    }),
    figure({
      id: 'wrap.bow',
      label: say('wrap.edgeCurve'),
      quantity: mm(bow),
      origin: 'calculated',
      working: say('wrap.middleOfThe', {
        which: Math.abs(sector.topBowMm) >= Math.abs(sector.footBowMm) ? 'rim' : 'other',
      }),
      arithmetic: [say('wrap.r1Cos', { bow: mm(bow) })],
      inputs: ['wrap.radius'],
    }),
  ];
}

/** How far the paper stands past the blank, and the unprinted tails. */
function edgeFigures({ job, shared }: RoundPlanInput, { warp }: CoveredBand): Figure[] {
  const { rimMm, footMm } = pastOf({ setbacks: shared.setbacks, shaped: warp !== null });
  const { tailMm, standsOut } = job.wrap;
  return [
    ...(rimMm > 0 || footMm > 0
      ? [
          figure({
            id: 'wrap.past',
            label: say('wrap.pastEdge'),
            quantity: mm(Math.max(rimMm, footMm)),
            origin: 'calculated' as const,
            working: say('wrap.pastWorking', {
              rim: mm(rimMm),
              foot: mm(footMm),
              way: standsOut ? 'stands' : 'cut',
            }),
            inputs: ['wrap.height'],
          }),
        ]
      : []),
    ...(tailMm !== null
      ? [
          figure({
            id: 'wrap.tail',
            label: say('wrap.tail'),
            quantity: mm(tailMm),
            origin: 'measured' as const,
            working: say('wrap.tailWorking', { both: mm(2 * tailMm) }),
          }),
        ]
      : []),
  ];
}

function lieFigures(warp: PaperFit | null): Figure[] {
  if (!warp) return [];
  const { band, cone, usable } = warp;
  return [
    figure({
      id: 'wrap.band',
      label: warp.chosen ? say('wrap.bandSetHand') : say('wrap.flatHeight'),
      quantity: mm(band.footMm - band.topMm),
      origin: warp.chosen ? 'measured' : 'calculated',
      working: say('wrap.fromBelowRimFlat', {
        top: mm(band.topMm),
        foot: mm(band.footMm),
        foot2: mm(usable.footMm - usable.topMm),
      }),
      inputs: ['measure.girth'],
    }),
    figure({
      id: 'wrap.lift',
      label: say('wrap.worstLift'),
      quantity: fineMm(cone.worstLiftMm),
      origin: 'calculated',
      working: say('wrap.belowRimDyeCrosses', {
        worstAt: mm(cone.worstAtMm),
        tolerance: fineMm(warp.toleranceMm),
      }),
      // Paper that has to follow the wall there would have to gather by the lift over the radius.
      arithmetic: [
        say('wrap.overRadiusTooMuch', {
          worstLift: fineMm(cone.worstLiftMm),
          paperRadius: mm(paperRadius(cone, cone.worstAtMm)),
          pi: fineMm(2 * Math.PI * cone.worstLiftMm),
          worstLift2: decimal((100 * cone.worstLiftMm) / paperRadius(cone, cone.worstAtMm), 2),
        }),
      ],
      inputs: ['wrap.band'],
    }),
  ];
}

/** The method, and why this wrap starts with it where none is chosen. */
function methodFigure({ job, shared }: RoundPlanInput): Figure {
  const { note, start } = shared;
  const chosen = job.wrap.seamMethod !== null;
  return figure({
    id: 'wrap.seam',
    label: say('wrap.seam'),
    quantity: word(note.label),
    origin: chosen ? 'measured' : 'calculated',
    working: chosen
      ? note.gain
      : say('wrap.shopDefault', {
          kindWords: inSentence(WRAP_KIND_WORDS[start.kind].label),
          why: WRAP_KIND_WORDS[start.kind].why,
          gain: note.gain,
        }),
  });
}

/** The gap: white at each end of the paper, or between its ends, and how far it may differ. */
function openFigures({ shared, measuredShape }: RoundPlanInput, w: Wrap): Figure[] {
  const handleMm = measuredShape.handle?.value ?? 0;
  const under = shared.seamMethod === 'under';
  const white = under ? w.amountMm : w.amountMm - handleMm;
  const offMm = under ? bothMargins95(w.error) : within95(w.error);
  const beside = say('wrap.whiteWhere', {
    where: measuredShape.handle ? (under ? 'handleSides' : 'handle') : under ? 'ends' : 'between',
  });
  return [
    figure({
      id: 'wrap.margin',
      label: under ? say('wrap.marginEachEnd') : say('wrap.gap'),
      quantity: mm(white),
      origin: 'calculated',
      working: say('wrap.giveTake', { beside, off: fineMm(offMm), which: under ? 'bothEnds' : 'other' }),
      inputs: ['wrap.closing'],
      standardU: standardU(under ? marginError(w.error) : w.error),
      within95: offMm,
      error: { asks: under ? 'both margins' : 'within', parts: w.error.parts },
    }),
  ];
}

/** What has to reach: how much longer to cut, and how often the seam comes right at the length it is cut. */
function reachFigures({ shared }: RoundPlanInput, w: Wrap): Figure[] {
  const { seamMethod } = shared;
  const error = { asks: 'reach' as const, parts: w.error.parts };
  const lap = seamMethod === 'lap';
  return [
    figure({
      id: 'wrap.long',
      label: lap ? say('wrap.overlapMinimum') : say('wrap.extraLength'),
      quantity: fineMm(w.longFor19In20Mm),
      origin: 'calculated',
      working: say('wrap.n19Wraps20', { which: lap ? 'showWhite' : 'other' }),
      inputs: ['wrap.closing'],
      error,
    }),
    ...(lap
      ? [
          figure({
            id: 'wrap.lap',
            label: say('wrap.overlap'),
            quantity: mm(w.amountMm),
            origin: 'calculated' as const,
            working: say('wrap.oneEndOverOther', { error: fineMm(within95(w.error)) }),
            inputs: ['wrap.length'],
          }),
        ]
      : []),
    figure({
      id: 'wrap.chance',
      label: say('wrap.chanceGoodSeam'),
      quantity: ratio(w.seamChance),
      origin: 'estimated',
      working: say('wrap.chance', { asks: ASKS[seamMethod] }),
      inputs: ['wrap.length', 'wrap.long'],
      error,
    }),
  ];
}

/** The method, and the figures that decide it. */
const seamFigures = (input: RoundPlanInput, w: Wrap): Figure[] => [
  methodFigure(input),
  ...(input.shared.seamMethod === 'under' || input.shared.seamMethod === 'gap'
    ? openFigures(input, w)
    : reachFigures(input, w)),
];

/** Every figure of a wrap round a wall. */
export function roundFigures(input: RoundPlanInput, w: Wrap, cover: CoveredBand): Figure[] {
  const { topMm, footMm } = input.shared.setbacks;
  const front = w.pattern.front;
  return [
    ...lengthFigures(input, w),
    figure({
      id: 'wrap.height',
      label: say('wrap.cutHeight'),
      quantity: mm(w.height.value),
      origin: 'calculated',
      working: cover.warp
        ? say('wrap.downPaperOverBand')
        : say('wrap.wallLessRimFoot', { top: mm(topMm), foot: mm(footMm) }),
      arithmetic: cover.warp
        ? []
        : [
            say('wrap.heightTopFoot', {
              height: mm(w.height.value + topMm + footMm),
              top: mm(topMm),
              foot: mm(footMm),
              height2: mm(w.height.value),
            }),
          ],
      inputs: cover.warp ? ['wrap.band'] : ['measure.wall'],
      ...uncertaintyOf(w.height),
    }),
    ...edgeFigures(input, cover),
    ...lieFigures(cover.warp),
    ...sectorFigures(w, input.measuredShape),
    ...seamFigures(input, w),
    ...(front
      ? [
          figure({
            id: 'common.front',
            label: say('wrap.seenFromFront'),
            quantity: mm(front.wellMm),
            origin: 'calculated',
            working: say('wrap.n60EitherSideMiddle'),
            arithmetic: [say('wrap.circumference120360', { well: mm(front.wellMm) })],
            inputs: ['measure.girth'],
          }),
        ]
      : []),
  ];
}
