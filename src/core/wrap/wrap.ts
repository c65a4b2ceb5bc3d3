import { normalCdf, normalQuantile } from '../figures/normal';
import { exact, measured, plus, scaled, standardU, type Uncertain } from '../figures/uncertain';
import { uniformU } from '../readings/readings';
import { SEEN_AT_ALL_DEG, SEEN_WELL_DEG, seenArcMm, type Rect } from '../shapes/straight';
import type { School } from '../shop/settings';
import { printedOverMm, USUAL_AMOUNT_MM } from './schools';

/** The flat pattern. Origin at the top left of the trim, x along the girth, y down; all mm; print side as seen on the blank. */
export interface Pattern {
  readonly trim: Rect;
  readonly bleed: Rect;
  readonly safe: Rect;
  /** Strips at both ends where words must not go. */
  readonly seams: readonly [Rect, Rect];
  /** Bands round the blank that the picture may not cross. */
  readonly noGo: readonly (Rect & { readonly what: string })[];
  /** x of the front of the blank, and the widths (centred on it) seen well and seen at all. */
  readonly front: { readonly x: number; readonly wellMm: number; readonly atAllMm: number };
  /** x of the line the far end meets when closed; equals the trim width for a butt seam. */
  readonly meetsAtMm: number;
}

export interface WrapInput {
  readonly girth: Uncertain;
  readonly wall: Uncertain;
  readonly paperMm: number;
  readonly school: School;
  readonly amountMm: number | null;
  readonly topSetbackMm: number;
  readonly footSetbackMm: number;
  readonly bleedMm: number;
  readonly safeMm: number;
  readonly noGo: readonly { readonly what: string; readonly fromTopMm: number; readonly heightMm: number }[];
}

export interface Wrap {
  /** Flat length whose ends touch: surface girth + π × paper thickness. */
  readonly closing: Uncertain;
  readonly height: Uncertain;
  readonly amountMm: number;
  readonly lengthMm: number;
  /** Everything that can make the ends meet wrong. */
  readonly error: Uncertain;
  /** Cut long by this and 19 wraps in 20 reach. */
  readonly longFor19In20Mm: number;
  /** Chance that the seam does what the school wants, 0..1. */
  readonly seamChance: number;
  readonly pattern: Pattern;
}

const PAPER_HALF_WIDTH_MM = 0.02;
const KNIFE_HALF_WIDTH_MM = 0.5;
const PLACING_HALF_WIDTH_MM = 0.5;
/** A printer whose ruler bar has not been checked: ± 0.25 % of the length (uniform). */
const PRINT_SCALE_HALF_WIDTH = 0.0025;
const ONE_SIDED_95 = normalQuantile(0.95);
/** A butt seam passes when the ends meet within half a millimetre. */
const BUTT_TOLERANCE_MM = 0.5;
export const SEAM_ZONE_MM = 6;
/** Most printed over that a bench still trims comfortably; craft range 3 to 8 mm. */
const OVER_RANGE_MM = [3, 8] as const;

/** What can make the ends meet wrong, as one value with its sources. Zero mean. */
export function closingError(closing: Uncertain, school: School): Uncertain {
  const scale = measured(0, uniformU(PRINT_SCALE_HALF_WIDTH) * closing.value, 'print scale');
  const girth: Uncertain = { value: 0, parts: closing.parts };
  const atBench = plus(girth, scale);
  // Printed over and trimmed on the blank, knife and hand no longer decide whether it reaches.
  if (school === 'over') return atBench;
  return plus(
    plus(atBench, measured(0, uniformU(KNIFE_HALF_WIDTH_MM), 'trim')),
    measured(0, uniformU(PLACING_HALF_WIDTH_MM), 'placement'),
  );
}

/** Chance that the seam does what its school wants, from a normal closing error of standard deviation u. */
export function seamChance(school: School, amountMm: number, u: number): number {
  const reach = (slack: number) => (u === 0 ? (slack >= 0 ? 1 : 0) : normalCdf(slack / u));
  switch (school) {
    case 'butt':
      return u === 0 ? 1 : 2 * normalCdf(BUTT_TOLERANCE_MM / u) - 1;
    case 'under':
      return reach(2 * amountMm);
    case 'lap':
    case 'over':
    case 'gap':
      return reach(amountMm);
  }
}

function usualAmount(school: School, needMm: number): number {
  if (school !== 'over') return USUAL_AMOUNT_MM[school];
  const rounded = Math.ceil(needMm * 2) / 2;
  return Math.min(OVER_RANGE_MM[1], Math.max(OVER_RANGE_MM[0], rounded));
}

function layPattern(input: WrapInput, length: number, height: number, over: number, amount: number): Pattern {
  const trim: Rect = { x: 0, y: 0, width: length, height };
  const b = input.bleedMm;
  const seamWidth = Math.min(
    length / 2,
    Math.max(SEAM_ZONE_MM, input.school === 'lap' || input.school === 'over' ? amount : 0),
  );
  const front = (length - Math.max(0, over)) / 2;
  return {
    trim,
    bleed: { x: -b, y: -b, width: length + 2 * b, height: height + 2 * b },
    safe: {
      x: input.safeMm,
      y: input.safeMm,
      width: Math.max(0, length - Math.max(0, over) - 2 * input.safeMm),
      height: Math.max(0, height - 2 * input.safeMm),
    },
    seams: [
      { x: 0, y: 0, width: Math.min(seamWidth, SEAM_ZONE_MM), height },
      { x: length - seamWidth, y: 0, width: seamWidth, height },
    ],
    noGo: input.noGo.map((z) => ({
      what: z.what,
      x: 0,
      y: z.fromTopMm - input.topSetbackMm,
      width: length,
      height: z.heightMm,
    })),
    front: {
      x: front,
      wellMm: seenArcMm(input.girth.value, SEEN_WELL_DEG),
      atAllMm: seenArcMm(input.girth.value, SEEN_AT_ALL_DEG),
    },
    meetsAtMm: length - over,
  };
}

/**
 * Sizes the wrap of a straight wall: closing length C + πp (paper of thickness p has its middle at radius r + p/2), plus
 * what the school adds or takes away. Heights are the straight wall less the setbacks. All lengths mm, girth > 0.
 */
export function sizeWrap(input: WrapInput): Wrap {
  const paper = measured(
    input.paperMm,
    uniformU(Math.min(PAPER_HALF_WIDTH_MM, input.paperMm)),
    'paper thickness',
  );
  const closing = plus(input.girth, scaled(paper, Math.PI));
  const height = plus(input.wall, exact(-input.topSetbackMm - input.footSetbackMm));
  const error = closingError(closing, input.school);
  const u = standardU(error);
  const need = ONE_SIDED_95 * u;
  const amountMm = input.amountMm ?? usualAmount(input.school, need);
  const over = printedOverMm(input.school, amountMm);
  const lengthMm = closing.value + over;
  return {
    closing,
    height,
    amountMm,
    lengthMm,
    error,
    longFor19In20Mm: need,
    seamChance: seamChance(input.school, amountMm, u),
    pattern: layPattern(input, lengthMm, Math.max(0, height.value), over, amountMm),
  };
}
