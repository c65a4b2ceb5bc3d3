import { median } from 'd3';
import { fail, ok, type Problem, type Result } from '../result';
import { exact, measured, minus, plus, scaled, shifted, type Uncertain } from '../figures/uncertain';
import type { Method, Reading } from '../job/job';
import { parseLength, type ParsedLength } from '../units/parse';
import { MM_PER_INCH } from '../units/quantity';
import { sourceOfPlace, type PlaceSpec } from './places';

/** What the shop measures with. Lengths mm; `inchDenominator` is that of the finest inch mark. */
export interface Tape {
  readonly thicknessMm: number;
  readonly finestMm: number;
  readonly inchDenominator: number;
  readonly paperMm: number;
  readonly stringMm: number;
}

/** Thicknesses are known to about these (uniform), mm. */
const TAPE_THICKNESS_HALF_WIDTH_MM = 0.1;
const PAPER_THICKNESS_HALF_WIDTH_MM = 0.02;
const STRING_THICKNESS_HALF_WIDTH_MM = 0.3;
/** A maker's width is good to about a millimetre (uniform). */
export const MAKER_HALF_WIDTH_MM = 1;
export const ODD_BEYOND_MM = 3;

/**
 * How far one hand's readings of one thing scatter, standard deviation in mm as read. What a bench finds on repeating itself; the
 * shop's own repeats outweigh it as they come in.
 */
const HAND_SCATTER_MM: Readonly<Record<Method, number>> = {
  'soft tape': 0.35,
  'paper strip': 0.25,
  string: 0.8,
  caliper: 0.1,
  'steel rule': 0.25,
  'maker’s figure': 0,
};
/** How many repeats the figure above counts for. */
const HAND_WEIGHT = 4;

/** Uniform error of half-width a: standard uncertainty a/√3 (GUM, JCGM 100:2008, 4.3.7). */
export const uniformU = (halfWidth: number): number => halfWidth / Math.sqrt(3);

/**
 * Finest step a reading can be trusted to, mm: the tape's mark for wholes and fractions (never coarser because a fraction
 * reduced), the last decimal place where decimals are written.
 */
export function resolutionMm(parsed: ParsedLength, tape: Tape): number {
  if (parsed.written === 'decimal') return parsed.writtenStepMm;
  const mark = parsed.unit === 'in' ? MM_PER_INCH / tape.inchDenominator : tape.finestMm;
  return parsed.written === 'fraction' ? Math.min(mark, parsed.writtenStepMm) : mark;
}

/** A reading the person can fix with one touch: the text as it was probably meant. */
export interface Suggestion {
  readonly text: string;
  readonly valueMm: number;
}

export interface ReadReading {
  readonly reading: Reading;
  readonly rawMm: number | null;
  /** Taken to the surface of the blank (girth places) or as read (wall). */
  readonly surfaceMm: number | null;
  readonly problem: Problem | null;
  readonly suggestion: Suggestion | null;
  /** More than 3 mm from the middle of its fellows: asked about, never dropped. */
  readonly odd: boolean;
}

export interface PlaceReadings {
  readonly place: PlaceSpec;
  readonly items: readonly ReadReading[];
  /** Mean of what could be read, corrected for the method; null with none. */
  readonly value: Uncertain | null;
  /** Mean as read, before the method's correction. */
  readonly rawMeanMm: number | null;
  readonly correctionMm: number;
}

const inRange = (v: number, place: PlaceSpec): boolean => v >= place.minMm && v <= place.maxMm;

/** Taken straight across; the girth follows from it. */
const isAcross = (method: Method, place: PlaceSpec): boolean =>
  place.kind === 'girth' && (method === 'caliper' || method === 'maker’s figure');

function slipOf(parsed: ParsedLength, reading: Reading, asPlace: (mm: number) => boolean): Suggestion | null {
  const bare = reading.text.replace(/[^\d.,/ -]/g, '').trim();
  const tries: readonly [number, string][] =
    parsed.unit === 'in'
      ? [
          [1 / MM_PER_INCH, 'mm'],
          [10 / MM_PER_INCH, 'cm'],
        ]
      : parsed.unit === 'cm'
        ? [
            [MM_PER_INCH / 10, 'in'],
            [0.1, 'mm'],
          ]
        : [
            [MM_PER_INCH, 'in'],
            [10, 'cm'],
          ];
  for (const [factor, unit] of tries) {
    const valueMm = parsed.valueMm * factor;
    if (asPlace(valueMm) && !(bare.includes('/') && unit !== 'in'))
      return { text: `${bare} ${unit}`, valueMm };
  }
  return null;
}

/** One reading, checked against what the place can be. */
export function readOne(
  reading: Reading,
  place: PlaceSpec,
): Result<ParsedLength> & { readonly suggestion?: Suggestion | null } {
  const where = place.name;
  const parsed = parseLength(reading.text, reading.bareUnit, where);
  if (!parsed.ok) return parsed;
  const across = isAcross(reading.method, place);
  const asPlace = (mm: number) => inRange(across ? mm * Math.PI - place.gapMm : mm, place);
  const { valueMm, unit } = parsed.value;
  if (asPlace(valueMm)) return ok(parsed.value);
  const meant = slipOf(parsed.value, reading, asPlace);
  const unitName = unit === 'in' ? 'inches' : unit;
  const small = (across ? valueMm * Math.PI : valueMm) < place.minMm;
  const problem = fail(
    `${reading.text} read as ${unitName} is too ${small ? 'small' : 'large'} for this.`,
    where,
    meant ? `Did you mean ${meant.text}?` : 'Measure it again.',
  );
  return { ...problem, suggestion: meant };
}

/** Share of the full round the tape covers, 0..1. */
const shareRound = (rawMm: number, place: PlaceSpec): number => rawMm / (rawMm + place.gapMm);

/** Something of some thickness laid round the wall reads 2π(r + t/2): π t too much for the full round. */
const lessThickness = (
  raw: Uncertain,
  share: number,
  tMm: number,
  halfMm: number,
  source: string,
): Uncertain => minus(raw, scaled(measured(tMm, uniformU(Math.min(halfMm, tMm)), source), Math.PI * share));

/** Takes a reading to the surface of the blank by its method; a length is left as it is. */
export function toSurface(raw: Uncertain, method: Method, place: PlaceSpec, tape: Tape): Uncertain {
  const maker = measured(0, uniformU(MAKER_HALF_WIDTH_MM), 'maker’s figure');
  if (place.kind === 'length') return method === 'maker’s figure' ? plus(raw, maker) : raw;
  const share = shareRound(raw.value, place);
  switch (method) {
    case 'soft tape':
      return lessThickness(raw, share, tape.thicknessMm, TAPE_THICKNESS_HALF_WIDTH_MM, 'tape thickness');
    case 'paper strip':
      return lessThickness(raw, share, tape.paperMm, PAPER_THICKNESS_HALF_WIDTH_MM, 'paper thickness');
    case 'string':
      return lessThickness(raw, share, tape.stringMm, STRING_THICKNESS_HALF_WIDTH_MM, 'string thickness');
    case 'caliper':
      return shifted(scaled(raw, Math.PI), -place.gapMm);
    case 'maker’s figure':
      return shifted(scaled(plus(raw, maker), Math.PI), -place.gapMm);
    case 'steel rule':
      return raw;
  }
}

/**
 * How alike the rounding errors of repeats are, 1 (all the same) to 0: reading to marks q apart with a hand that scatters by s
 * (Widrow and Kollár, Quantization Noise, 2008, ch. 5): (6/π²) Σ k⁻² exp(−4π² k² s²/q²).
 */
export function roundingCorrelation(s: number, q: number): number {
  if (q === 0) return 0;
  const e = Math.exp((-4 * Math.PI * Math.PI * s * s) / (q * q));
  if (e > 0.999) return 1;
  let sum = 0;
  for (let k = 1; k <= 12; k += 1) sum += e ** (k * k) / (k * k);
  return Math.min(1, (6 / (Math.PI * Math.PI)) * sum);
}

interface Taken {
  readonly surface: Uncertain;
  /** In surface millimetres: the step it was read to, and the scatter its method is known for. */
  readonly stepMm: number;
  readonly handMm: number;
}

/** Mean square of some numbers. */
const meanSquare = (values: readonly number[]): number =>
  values.reduce((a, v) => a + v * v, 0) / Math.max(1, values.length);

/**
 * Mean of repeats. Scatter: the method's usual one counted as `HAND_WEIGHT` repeats, pooled with these readings' own, so that
 * two readings that happen to agree do not promise too much. Rounding averages only as far as the hand scatters.
 */
function average(taken: readonly Taken[], source: string): Uncertain {
  const n = taken.length;
  const mean = scaled(
    taken.reduce((sum, t) => plus(sum, t.surface), exact(0)),
    1 / n,
  );
  const spread = taken.reduce((a, t) => a + (t.surface.value - mean.value) ** 2, 0);
  const hand2 = meanSquare(taken.map((t) => t.handMm));
  const scatter2 = (HAND_WEIGHT * hand2 + spread) / (HAND_WEIGHT + n - 1);
  const step2 = meanSquare(taken.map((t) => t.stepMm));
  const alike = n === 1 ? 1 : roundingCorrelation(Math.sqrt(scatter2), Math.sqrt(step2));
  const own = Math.sqrt(scatter2 / n + (step2 / 12) * (1 / n + (1 - 1 / n) * alike));
  return own === 0 ? mean : { value: mean.value, parts: { ...mean.parts, [source]: own } };
}

/** All the readings of one place, together. */
export function readPlace(place: PlaceSpec, readings: readonly Reading[], tape: Tape): PlaceReadings {
  const source = sourceOfPlace(place);
  const read = readings.map((reading) => {
    const one = readOne(reading, place);
    if (!one.ok)
      return { reading, parsed: null, taken: null, problem: one.problem, suggestion: one.suggestion ?? null };
    const { method } = reading;
    const factor = isAcross(method, place) ? Math.PI : 1;
    const maker = method === 'maker’s figure';
    const taken: Taken = {
      surface: toSurface(exact(one.value.valueMm), method, place, tape),
      stepMm: maker ? 0 : factor * resolutionMm(one.value, tape),
      handMm: factor * HAND_SCATTER_MM[method],
    };
    return { reading, parsed: one.value, taken, problem: null, suggestion: null };
  });
  const taken = read.flatMap((r) => (r.taken ? [r.taken] : []));
  const middle = median(taken.map((t) => t.surface.value)) ?? 0;
  const value = taken.length === 0 ? null : average(taken, source);
  const raws = read.flatMap((r) => (r.parsed ? [r.parsed.valueMm] : []));
  const rawMean = raws.length === 0 ? null : raws.reduce((a, b) => a + b, 0) / raws.length;
  return {
    place,
    value,
    rawMeanMm: rawMean,
    correctionMm: value && rawMean !== null ? shifted(value, -rawMean).value : 0,
    items: read.map((r) => ({
      reading: r.reading,
      rawMm: r.parsed?.valueMm ?? null,
      surfaceMm: r.taken?.surface.value ?? null,
      problem: r.problem,
      suggestion: r.suggestion,
      odd: r.taken !== null && taken.length > 1 && Math.abs(r.taken.surface.value - middle) > ODD_BEYOND_MM,
    })),
  };
}
