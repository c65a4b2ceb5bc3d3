import { within95 } from '../../figures/interval';
import { figure, uncertaintyOf, type Figure, type Finding } from '../../figures/figure';
import { advisedSources } from '../../figures/improve';
import { standardU, type Uncertain } from '../../figures/uncertain';
import { paperRadius } from '../../shapes/band';
import type { SeamMethod } from '../../shop/settings';
import { say, type Message, inSentence } from '../../message/message';
import { degrees, fineMm, mm, ratio, word, decimal } from '../../message/quantity';
import { WRAP_KIND_WORDS, pictureMargin } from '../../wrap/startingMethod';
import { bothMargins95, marginError } from '../../wrap/error';
import type { Past } from '../../wrap/roundPattern';
import { sizeRoundWrap, type Wrap } from '../../wrap/roundWrap';
import { coveredBandOf, type CoveredBand } from './coveredBand';
import { type RoundPlanInput } from './wrapPlan';
import { finding } from '../stepPlan';
import { circumferenceRange, type MeasuredRound } from '../measure/measuredShape';
import type { PaperFit, WrapPlan } from './wrapPlan';

const NOT_PAST: Past = { rimMm: 0, footMm: 0 };
const pastOf = ({ topMm, footMm }: WrapPlan['setbacks']): Past => ({
  rimMm: Math.max(0, -topMm),
  footMm: Math.max(0, -footMm),
});

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

/** What stands past the blank, and what is left white to pull by. */
function edgeFigures({ job, shared }: RoundPlanInput, { warp }: CoveredBand): Figure[] {
  const { rimMm, footMm } = warp ? NOT_PAST : pastOf(shared.setbacks);
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

/** The method, and why this wrap starts with it where nobody chose. */
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

/** What is left open: white at each end of the paper, or between its ends, and how far it may differ. */
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

function figuresOf(input: RoundPlanInput, w: Wrap, cover: CoveredBand): Figure[] {
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

function lieFindings(warp: PaperFit | null, measuredShape: MeasuredRound): Finding[] {
  if (!warp) return [];
  const { cone, toleranceMm, band, usable } = warp;
  if (cone.worstLiftMm > toleranceMm + 1e-9)
    return [
      finding(
        'wrap',
        'lift',
        'warning',
        say('wrap.paperStandsOffWall', {
          worstLift: fineMm(cone.worstLiftMm),
          worstAt: mm(cone.worstAtMm),
          tolerance: fineMm(toleranceMm),
          foot: mm(usable.footMm - usable.topMm),
        }),
      ),
    ];
  const lost = measuredShape.wall.footMm - measuredShape.wall.topMm - (band.footMm - band.topMm);
  return lost > 5
    ? [finding('wrap', 'band', 'info', say('wrap.paperCannotStretchWall', { lost: mm(lost) }))]
    : [];
}

function findingsOf(input: RoundPlanInput, w: Wrap, cover: CoveredBand): Finding[] {
  const { job, shared, measuredShape } = input;
  const found: Finding[] = [...lieFindings(cover.warp, measuredShape)];
  const add = (id: string, level: Finding['level'], text: Finding['text']) =>
    found.push(finding('wrap', id, level, text));
  if (cover.slant.value < 5)
    add('height', 'blocker', say('wrap.setbacksLeaveOnlyWall', { slant: mm(cover.slant.value) }));
  if (w.lengthMm < 8)
    add(
      'length',
      'blocker',
      say('wrap.wrapLeftSizeMake', { amount: inSentence(shared.note.amount ?? say('wrap.nothingAmount')) }),
    );
  if (!cover.warp && job.wrap.standsOut && Math.min(shared.setbacks.topMm, shared.setbacks.footMm) < 0)
    add('stands-out', 'warning', say('wrap.standsOutCost'));
  if (cover.warp && Math.min(shared.setbacks.topMm, shared.setbacks.footMm) < 0)
    add('past-shaped', 'info', say('wrap.pastShaped'));
  if (measuredShape.handle && job.wrap.tailMm !== null) add('tail', 'blocker', say('wrap.tailHandle'));
  if (measuredShape.handle && shared.seamMethod === 'lap')
    add('lap', 'blocker', say('wrap.endsCannotOverlapHandle'));
  if (cover.opensMm > 1)
    add(
      'opens',
      cover.opensMm > 3 ? 'warning' : 'info',
      say('wrap.rectangleWallSizedWidest', { opens: mm(cover.opensMm) }),
    );
  if (w.pattern.safe.width <= 0 || w.pattern.safe.height <= 0)
    add('safe', 'warning', say('wrap.safeZoneSoWide'));
  if (w.seamChance < 0.9) {
    const [first] = advisedSources(w.error);
    const way = first
      ? say('wrap.largestPart', { source: inSentence(first.label), advice: first.advice })
      : say('wrap.measureAgain');
    add('chance', 'warning', say('wrap.theseReadingsSeamRight', { seamChance: ratio(w.seamChance), way }));
  }
  return found;
}

export function planRoundWrap(input: RoundPlanInput): WrapPlan {
  const { job, shared, measuredShape, blank, measure, paperMm, axis } = input;
  const cover = coveredBandOf(input);
  const tall = Math.max(0.1, cover.slant.value);
  const { wrap } = job;
  // Near enough for a margin that is shown and can be set: the paper’s own thickness is a third of a millimetre.
  const closesMm = (cover.top.value + cover.foot.value) / 2;
  const w = sizeRoundWrap({
    circumferenceTop: cover.top,
    circumferenceFoot: cover.foot,
    slant: { ...cover.slant, value: tall },
    band: cover.band,
    handle: measuredShape.handle,
    shape: blank.shape,
    paperMm,
    seamMethod: shared.seamMethod,
    amountMm:
      wrap.amountMm ??
      (wrap.seamMethod === null ? pictureMargin(shared.seamMethod, shared.start, closesMm) : null),
    seamDeg: wrap.seamDeg ?? 180,
    shrink: axis.shrink,
    print: axis,
    bleed: {
      rimMm: wrap.bleedRimMm ?? shared.bleedMm,
      footMm: wrap.bleedFootMm ?? shared.bleedMm,
      endsMm: wrap.bleedEndsMm ?? shared.bleedMm,
    },
    safeMm: shared.safeMm,
    grip: wrap.grip,
    tailMm: wrap.tailMm ?? 0,
    past: cover.warp ? NOT_PAST : pastOf(shared.setbacks),
    ownMarks: wrap.marks,
  });
  const sized = { ...w, height: cover.slant };
  const findings = findingsOf(input, sized, cover);
  const broken = findings.some((f) => f.level === 'blocker');
  const { trim } = w.pattern;
  return {
    ...shared,
    progress: broken ? 'todo' : measure.progress === 'done' ? 'done' : 'ready',
    summary: broken
      ? say('wrap.noRoomForIt')
      : w.sector
        ? say('wrap.coneBows', {
            length: mm(w.lengthMm),
            height: mm(sized.height.value),
            topBow: mm(Math.max(Math.abs(w.sector.topBowMm), Math.abs(w.sector.footBowMm))),
          })
        : say('common.size', { width: mm(trim.width), height: mm(sized.height.value) }),
    figures: broken ? [] : figuresOf(input, sized, cover),
    findings,
    round: broken ? null : w,
    pattern: broken ? null : w.pattern,
    warp: cover.warp,
    band: cover.band,
    wall: circumferenceRange(measuredShape, cover.band),
  };
}
