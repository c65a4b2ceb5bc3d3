import { errorShape } from '../figures/interval';
import { derive, exact, measured, minus, plus, scaled, uniformU, type Uncertain } from '../figures/uncertain';
import type { Band } from '../shapes/band';
import { coneOfSlant, cosineOf, sectorOf, type Cone, type Sector, type PatchSide } from '../shapes/cone';
import type { RoundShape } from '../shop/blank';
import type { SeamMethod } from '../shop/settings';
import { closingError, longFor19In20, seamChance, type PrintUncertainty } from './error';
import type { Pattern } from './pattern';
import { roundPattern, type Bleeds, type Past } from './roundPattern';
import { atEnds, usualAmount } from './seamMethods';

const PAPER_HALF_WIDTH_MM = 0.02;

export interface RoundWrapInput {
  /** Right round the wall at the top and foot of the band the paper covers, and along the wall between them. */
  readonly circumferenceTop: Uncertain;
  readonly circumferenceFoot: Uncertain;
  readonly slant: Uncertain;
  readonly band: Band;
  /** Across the handle where it meets the wall; null without one. */
  readonly handle: Uncertain | null;
  readonly shape: RoundShape;
  readonly paperMm: number;
  readonly seamMethod: SeamMethod;
  readonly amountMm: number | null;
  readonly seamDeg: number;
  /** Share of its length the paper loses in the heat, along the wrap: it is cut that much longer. */
  readonly shrink: number;
  readonly print: PrintUncertainty;
  readonly bleed: Bleeds;
  readonly safeMm: number;
  readonly grip: 'rim' | 'foot' | null;
  /** Unprinted strip past each end, 0 for none. */
  readonly tailMm: number;
  /** How far the paper stands past rim and foot. */
  readonly past: Past;
  readonly ownMarks: readonly { readonly id: string; readonly alongMm: number }[];
}

export interface Wrap {
  /** Flat length at mid height whose ends touch, or reach the handle on both sides. */
  readonly closing: Uncertain;
  /** Down the paper. */
  readonly height: Uncertain;
  readonly amountMm: number;
  /** Cut length at mid height. */
  readonly lengthMm: number;
  readonly topArc: Uncertain;
  readonly footArc: Uncertain;
  /** The piece that is cut as a drawing-board sector, and its large radius; null for a rectangle. */
  readonly sector: Sector | null;
  readonly outerRadius: Uncertain | null;
  /** Everything that can make the ends meet wrong. */
  readonly error: Uncertain;
  /** Cut long by this and 19 wraps in 20 reach. */
  readonly longFor19In20Mm: number;
  /** Chance that the seam does what the method wants, 0..1. */
  readonly seamChance: number;
  readonly pattern: Pattern;
}

const paperOf = (paperMm: number): Uncertain =>
  measured(paperMm, uniformU(Math.min(PAPER_HALF_WIDTH_MM, paperMm)), 'paper thickness');

/** Tapers too slight to draw, mm of circumference: below this the two ends are one length. */
const ONE_LENGTH_MM = 1e-9;

/**
 * The cone through the middle of the paper: half a thickness outside the wall, square to it. Circumferences in mm right round.
 */
function paperCone(
  circumferenceTopMm: number,
  circumferenceFootMm: number,
  slantMm: number,
  paperMm: number,
): Cone {
  const same = Math.abs(circumferenceTopMm - circumferenceFootMm) < ONE_LENGTH_MM;
  const wall = coneOfSlant(
    circumferenceTopMm / (2 * Math.PI),
    (same ? circumferenceTopMm : circumferenceFootMm) / (2 * Math.PI),
    slantMm,
  );
  const out = (paperMm / 2) * cosineOf(wall);
  return coneOfSlant(wall.topRadiusMm + out, wall.footRadiusMm + out, slantMm);
}

/** The paper's sides before the seam method: closed on the seam, or against the handle. */
function baseSides(
  seamDeg: number,
  handleMm: number,
): { readonly left: PatchSide; readonly right: PatchSide } {
  const at = handleMm > 0 ? Math.PI : (seamDeg * Math.PI) / 180;
  const right = at > 0 ? at : at + 2 * Math.PI;
  return {
    left: { azimuth: right - 2 * Math.PI, offMm: handleMm / 2 },
    right: { azimuth: right, offMm: -handleMm / 2 },
  };
}

const moved = (side: PatchSide, by: number): PatchSide => ({ ...side, offMm: side.offMm + by });

/** Longer by what the heat takes back. */
const stretched = (c: Cone, shrink: number): Cone =>
  coneOfSlant(c.topRadiusMm / (1 - shrink), c.footRadiusMm / (1 - shrink), c.slantMm);

/** Sizes the paper for a round wall. All lengths mm; circumferences and slant above zero. */
export function sizeRoundWrap(input: RoundWrapInput): Wrap {
  const { seamMethod, shape, print, shrink } = input;
  const paper = paperOf(input.paperMm);
  const handle = input.handle ?? exact(0);
  const cone = stretched(
    paperCone(input.circumferenceTop.value, input.circumferenceFoot.value, input.slant.value, input.paperMm),
    shrink,
  );
  const around = (circumference: Uncertain) =>
    derive([circumference, paper], (g, p) => (g + Math.PI * p * cosineOf(cone)) / (1 - shrink));
  const topArc = minus(around(input.circumferenceTop), handle);
  const footArc = minus(around(input.circumferenceFoot), handle);
  const closing = scaled(plus(topArc, footArc), 0.5);
  const error = closingError(closing, seamMethod, print);
  const needMm = longFor19In20(error);
  const amountMm = input.amountMm ?? usualAmount(seamMethod, needMm, handle.value);
  const ends = atEnds(seamMethod, amountMm, handle.value);
  const base = baseSides(input.seamDeg, handle.value);
  const pattern = roundPattern({
    cone,
    wallCircumferenceMm: (input.circumferenceTop.value + input.circumferenceFoot.value) / 2,
    band: input.band,
    base,
    left: moved(base.left, -ends.left),
    right: moved(base.right, ends.right),
    printedOverMm: Math.max(0, ends.right),
    bleed: input.bleed,
    safeMm: input.safeMm,
    shape,
    grip: input.grip,
    tailMm: input.tailMm,
    past: input.past,
    ownMarks: input.ownMarks,
  });
  const atEndsMm = ends.left + ends.right;
  const sector =
    cone.k === 0
      ? null
      : sectorOf(cone, Math.max(0, topArc.value + atEndsMm), Math.max(0, footArc.value + atEndsMm));
  const wider = input.circumferenceTop.value >= input.circumferenceFoot.value;
  return {
    closing,
    height: input.slant,
    amountMm,
    lengthMm: closing.value + ends.left + ends.right,
    topArc,
    footArc,
    sector,
    outerRadius:
      sector &&
      derive([input.circumferenceTop, input.circumferenceFoot, input.slant, paper], (t, f, s, p) => {
        const c = stretched(paperCone(t, f, s, p), shrink);
        return (wider ? c.topRadiusMm : c.footRadiusMm) / Math.abs(c.k);
      }),
    error,
    longFor19In20Mm: needMm,
    seamChance: seamChance(
      seamMethod,
      seamMethod === 'gap' ? amountMm - handle.value : amountMm,
      errorShape(error),
    ),
    pattern,
  };
}
