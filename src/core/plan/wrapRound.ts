import { within95 } from '../figures/interval';
import { figure, uncertaintyOf, type Figure, type Finding } from '../figures/figure';
import { advisedSources } from '../figures/improve';
import { standardU, type Uncertain } from '../figures/uncertain';
import { paperRadius, type Band } from '../shapes/band';
import type { AxisScale } from '../calibration/calibration';
import type { RoundBlank } from '../shop/blank';
import type { Hold, SeamMethod } from '../shop/settings';
import { say } from '../units/phrase';
import { degrees, fineMm, mm, ratio, word } from '../units/quantity';
import { KIND_WORDS, pictureMargin } from '../wrap/startingMethod';
import { bothMargins95, marginError } from '../wrap/error';
import { sizeRoundWrap, type Wrap } from '../wrap/roundWrap';
import type { MeasurePlan } from './measure';
import { coveredBandOf, type CoveredBand, type UsableInput } from './coveredBand';
import { finding } from './stepPlan';
import { circumferenceRange, type MeasuredRound } from './measuredShape';
import type { Warp, WrapJob, WrapPlan } from './wrap';

export interface RoundWrapPlan {
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

const ASKS: Readonly<Record<SeamMethod, string>> = {
  under: 'that the ends stay apart',
  butt: 'that the ends meet within half a millimetre',
  lap: 'that the ends overlap and show no white',
  over: 'that the paper reaches round',
  gap: 'that the gap stays open',
};

function lengthFigures({ paperMm, shared, measuredShape, axis }: RoundWrapPlan, w: Wrap): Figure[] {
  const over = w.lengthMm - w.closing.value;
  const handled = measuredShape.handle !== null;
  const amount = shared.note.amount ?? 'nothing';
  const change =
    over === 0
      ? say`${handled ? 'up to the handle on both sides' : 'ends touch'}, nothing added`
      : over > 0
        ? say`${mm(w.closing.value)} plus ${mm(over)} ${amount}`
        : say`${mm(w.closing.value)} less ${mm(-over)} (${amount})`;
  const wallMm = w.closing.value - Math.PI * paperMm;
  const working = handled
    ? say`from handle to handle, and the paper’s own thickness`
    : say`circumference plus ${fineMm(Math.PI * paperMm)}: paper lies outside the wall`;
  return [
    figure({
      id: 'wrap.closing',
      label: handled ? 'Handle to handle' : 'Closing length',
      quantity: mm(w.closing.value),
      origin: 'calculated',
      working: axis.shrink > 0 ? say`${working}; longer by ${ratio(axis.shrink)} that shrinks` : working,
      arithmetic:
        handled || axis.shrink > 0 || w.sector
          ? []
          : [say`${mm(wallMm)} + π × ${fineMm(paperMm)} paper = ${mm(w.closing.value)}`],
      inputs: ['measure.girth'],
      ...uncertaintyOf(w.closing),
    }),
    figure({
      id: 'wrap.length',
      label: shared.seamMethod === 'over' ? 'Print and cut length' : 'Cut length',
      quantity: mm(w.lengthMm),
      origin: 'calculated',
      working: w.sector ? say`at mid height: ${change}` : change,
      arithmetic: [
        say`${mm(w.closing.value)} ${over < 0 ? '−' : '+'} ${mm(Math.abs(over))} = ${mm(w.lengthMm)}`,
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
  const arc = (id: string, label: string, v: Uncertain): Figure =>
    figure({
      id,
      label,
      quantity: mm(v.value),
      origin: 'calculated',
      working: say`along the curve, ends touching`,
      inputs: ['measure.girth'],
      ...uncertaintyOf(v),
    });
  return [
    arc('wrap.topArc', 'Rim edge, along the arc', w.topArc),
    arc('wrap.footArc', 'Foot edge, along the arc', w.footArc),
    figure({
      id: 'wrap.radius',
      label: 'Arc radii',
      quantity: mm(sector.outerMm),
      origin: 'calculated',
      working: say`and ${mm(sector.innerMm)}, from one centre; the piece as cut turns ${degrees((sector.angleRad * 180) / Math.PI)}`,
      arithmetic: [say`slant × wide radius ÷ (wide − narrow) = ${mm(sector.outerMm)}`],
      inputs: measuredShape.form === 'tapered' ? ['measure.taper', 'measure.wall'] : ['measure.girth'],
      ...uncertaintyOf(outerRadius),
    }),
    figure({
      id: 'wrap.bow',
      label: 'Edge curve',
      quantity: mm(bow),
      origin: 'calculated',
      working: say`middle of the ${Math.abs(sector.topBowMm) >= Math.abs(sector.footBowMm) ? 'rim' : 'foot'} edge above its ends, as cut`,
      arithmetic: [say`R × (1 − cos ½θ) = ${mm(bow)}`],
      inputs: ['wrap.radius'],
    }),
  ];
}

function lieFigures(warp: Warp | null): Figure[] {
  if (!warp) return [];
  const { band, cone, usable } = warp;
  return [
    figure({
      id: 'wrap.band',
      label: warp.chosen ? 'Band, set by hand' : 'Flat height',
      quantity: mm(band.footMm - band.topMm),
      origin: warp.chosen ? 'measured' : 'calculated',
      working: say`from ${mm(band.topMm)} to ${mm(band.footMm)} below the rim; flat over ${mm(usable.footMm - usable.topMm)} at most`,
      inputs: ['measure.girth'],
    }),
    figure({
      id: 'wrap.lift',
      label: 'Worst lift',
      quantity: fineMm(cone.worstLiftMm),
      origin: 'calculated',
      working: say`at ${mm(cone.worstAtMm)} below the rim; dye crosses ${fineMm(warp.toleranceMm)}`,
      // Paper that has to follow the wall there would have to gather by the lift over the radius.
      arithmetic: [
        say`${fineMm(cone.worstLiftMm)} over a radius of ${mm(paperRadius(cone, cone.worstAtMm))}: ${fineMm(2 * Math.PI * cone.worstLiftMm)} too much paper round it, a strain of ${((100 * cone.worstLiftMm) / paperRadius(cone, cone.worstAtMm)).toFixed(2)} %`,
      ],
      inputs: ['wrap.band'],
    }),
  ];
}

/** The method, and why this wrap starts with it where nobody chose. */
function methodFigure({ job, shared }: RoundWrapPlan): Figure {
  const { note, start } = shared;
  const chosen = job.wrap.seamMethod !== null;
  return figure({
    id: 'wrap.seam',
    label: 'Seam',
    quantity: word(note.label.toLowerCase()),
    origin: chosen ? 'measured' : 'calculated',
    working: chosen
      ? say`${note.gain}`
      : say`shop default, ${KIND_WORDS[start.kind].label.toLowerCase()}: ${KIND_WORDS[start.kind].why}. ${note.gain}`,
  });
}

/** What is left open: white at each end of the paper, or between its ends, and how far it may differ. */
function openFigures({ shared, measuredShape }: RoundWrapPlan, w: Wrap): Figure[] {
  const handleMm = measuredShape.handle?.value ?? 0;
  const under = shared.seamMethod === 'under';
  const white = under ? w.amountMm : w.amountMm - handleMm;
  const offMm = under ? bothMargins95(w.error) : within95(w.error);
  const beside = measuredShape.handle
    ? under
      ? 'white beside the handle, each side'
      : 'white left over both sides of the handle'
    : under
      ? 'white at each end'
      : 'white between the ends';
  return [
    figure({
      id: 'wrap.margin',
      label: under ? 'Margin each end' : 'Gap',
      quantity: mm(white),
      origin: 'calculated',
      working: say`${beside}, give or take ${fineMm(offMm)}${under ? ' at both ends' : ''} 19 times in 20`,
      inputs: ['wrap.closing'],
      standardU: standardU(under ? marginError(w.error) : w.error),
      within95: offMm,
      error: { asks: under ? 'both margins' : 'within', parts: w.error.parts },
    }),
  ];
}

/** What has to reach: how much longer to cut, and how often the seam comes right at the length it is cut. */
function reachFigures({ shared }: RoundWrapPlan, w: Wrap): Figure[] {
  const { seamMethod } = shared;
  const error = { asks: 'reach' as const, parts: w.error.parts };
  const lap = seamMethod === 'lap';
  return [
    figure({
      id: 'wrap.long',
      label: lap ? 'Overlap, minimum' : 'Extra length',
      quantity: fineMm(w.longFor19In20Mm),
      origin: 'calculated',
      working: say`for 19 wraps in 20 to ${lap ? 'show no white' : 'reach'} with your measuring error`,
      inputs: ['wrap.closing'],
      error,
    }),
    ...(lap
      ? [
          figure({
            id: 'wrap.lap',
            label: 'Overlap',
            quantity: mm(w.amountMm),
            origin: 'calculated' as const,
            working: say`of one end over the other, give or take ${fineMm(within95(w.error))} 19 times in 20`,
            inputs: ['wrap.length'],
          }),
        ]
      : []),
    figure({
      id: 'wrap.chance',
      label: 'Chance of a good seam',
      quantity: ratio(w.seamChance),
      origin: 'estimated',
      working: say`chance ${ASKS[seamMethod]}`,
      inputs: ['wrap.length', 'wrap.long'],
      error,
    }),
  ];
}

/** The method, and the figures that decide it. */
const seamFigures = (input: RoundWrapPlan, w: Wrap): Figure[] => [
  methodFigure(input),
  ...(input.shared.seamMethod === 'under' || input.shared.seamMethod === 'gap'
    ? openFigures(input, w)
    : reachFigures(input, w)),
];

function figuresOf(input: RoundWrapPlan, w: Wrap, cover: CoveredBand): Figure[] {
  const { topMm, footMm } = input.shared.setbacks;
  const front = w.pattern.front;
  return [
    ...lengthFigures(input, w),
    figure({
      id: 'wrap.height',
      label: 'Cut height',
      quantity: mm(w.height.value),
      origin: 'calculated',
      working: cover.warp
        ? say`down the paper over the band`
        : say`wall less ${mm(topMm)} at the rim and ${mm(footMm)} at the foot`,
      arithmetic: cover.warp
        ? []
        : [
            say`${mm(w.height.value + topMm + footMm)} − ${mm(topMm)} − ${mm(footMm)} = ${mm(w.height.value)}`,
          ],
      inputs: cover.warp ? ['wrap.band'] : ['measure.wall'],
      ...uncertaintyOf(w.height),
    }),
    ...lieFigures(cover.warp),
    ...sectorFigures(w, input.measuredShape),
    ...seamFigures(input, w),
    ...(front
      ? [
          figure({
            id: 'wrap.front',
            label: 'Seen from the front',
            quantity: mm(front.wellMm),
            origin: 'calculated',
            working: say`60° either side of the middle, before it turns away`,
            arithmetic: [say`circumference × 120 ÷ 360 = ${mm(front.wellMm)}`],
            inputs: ['measure.girth'],
          }),
        ]
      : []),
  ];
}

function lieFindings(warp: Warp | null, measuredShape: MeasuredRound): Finding[] {
  if (!warp) return [];
  const { cone, toleranceMm, band, usable } = warp;
  if (cone.worstLiftMm > toleranceMm + 1e-9)
    return [
      finding(
        'wrap',
        'lift',
        'warning',
        say`The paper stands ${fineMm(cone.worstLiftMm)} off the wall at ${mm(cone.worstAtMm)} below the rim: faded there. Dye crosses ${fineMm(toleranceMm)} held like this; the wall takes ${mm(usable.footMm - usable.topMm)} of height.`,
      ),
    ];
  const lost = measuredShape.wall.footMm - measuredShape.wall.topMm - (band.footMm - band.topMm);
  return lost > 5
    ? [
        finding(
          'wrap',
          'band',
          'info',
          say`Paper cannot stretch: ${mm(lost)} of this wall curves both ways and stays bare.`,
        ),
      ]
    : [];
}

function findingsOf(input: RoundWrapPlan, w: Wrap, cover: CoveredBand): Finding[] {
  const { shared, measuredShape } = input;
  const found: Finding[] = [...lieFindings(cover.warp, measuredShape)];
  const add = (id: string, level: Finding['level'], text: Finding['text']) =>
    found.push(finding('wrap', id, level, text));
  if (cover.slant.value < 5)
    add(
      'height',
      'blocker',
      say`The setbacks leave only ${mm(cover.slant.value)} of wall. Make them smaller.`,
    );
  if (w.lengthMm < 8)
    add(
      'length',
      'blocker',
      say`No wrap is left at this size. Make the ${shared.note.amount ?? 'amount'} smaller.`,
    );
  if (measuredShape.handle && shared.seamMethod === 'lap')
    add(
      'lap',
      'blocker',
      say`The ends cannot overlap at a handle. Choose under, exact butt, over and trim, or gap.`,
    );
  if (cover.opensMm > 1)
    add(
      'opens',
      cover.opensMm > 3 ? 'warning' : 'info',
      say`A rectangle on this wall: sized for the widest, its ends part or overlap by ${mm(cover.opensMm)} where it is narrowest. A cone closes all the way.`,
    );
  if (w.pattern.safe.width <= 0 || w.pattern.safe.height <= 0)
    add('safe', 'warning', say`The safe zone is so wide that no text fits inside. Make it smaller.`);
  if (w.seamChance < 0.9) {
    const [first] = advisedSources(w.error);
    const way = first ? `Largest part: ${first.label}. ${first.advice}` : 'Measure again.';
    add(
      'chance',
      'warning',
      say`With these readings the seam is right only ${ratio(w.seamChance)} of the time. ${way}`,
    );
  }
  return found;
}

export function planRoundWrap(input: RoundWrapPlan): WrapPlan {
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
      ? say`no room for it`
      : w.sector
        ? say`cone ${mm(w.lengthMm)} × ${mm(sized.height.value)}, bows ${mm(Math.max(Math.abs(w.sector.topBowMm), Math.abs(w.sector.footBowMm)))}`
        : say`${mm(trim.width)} × ${mm(sized.height.value)}`,
    figures: broken ? [] : figuresOf(input, sized, cover),
    findings,
    round: broken ? null : w,
    pattern: broken ? null : w.pattern,
    warp: cover.warp,
    band: cover.band,
    wall: circumferenceRange(measuredShape, cover.band),
  };
}
