import { median } from 'd3';
import { fail, ok, type Problem, type Result } from '../result';
import { exact, measured, minus, plus, scaled, shifted, type Uncertain } from '../figures/uncertain';
import type { Method, Place, Reading } from '../job/job';
import { parseLength, type ParsedLength } from '../units/parse';
import { MM_PER_INCH } from '../units/quantity';

/** What the shop measures with. Lengths mm; `finestInch` is the denominator of the finest inch mark. */
export interface Tape {
  readonly thicknessMm: number;
  readonly finestMm: number;
  readonly inchDenominator: number;
  readonly paperMm: number;
}

export interface PlaceRange {
  readonly minMm: number;
  readonly maxMm: number;
}

/** Blanks outside these are not pressed on a bench; a reading outside is a slip of unit or of the pen. */
export const PLACE_RANGES: Readonly<Record<Place, PlaceRange>> = {
  girthTop: { minMm: 60, maxMm: 640 },
  girthFoot: { minMm: 60, maxMm: 640 },
  wall: { minMm: 10, maxMm: 400 },
};

export const PLACE_NAMES: Readonly<Record<Place, string>> = {
  girthTop: 'Girth near the rim',
  girthFoot: 'Girth near the foot',
  wall: 'Height of the straight wall',
};

const SOURCE_OF: Readonly<Record<Place, string>> = {
  girthTop: 'top girth',
  girthFoot: 'foot girth',
  wall: 'height reading',
};

/** Tape thickness and paper thickness are known to about a tenth and a fiftieth of a millimetre (uniform). */
const TAPE_THICKNESS_HALF_WIDTH_MM = 0.1;
const PAPER_THICKNESS_HALF_WIDTH_MM = 0.02;
/** A caliper closes on two points of a blank that is never quite round. */
const OUT_OF_ROUND_HALF_WIDTH_MM = 0.3;
export const ODD_BEYOND_MM = 3;

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
  readonly place: Place;
  readonly items: readonly ReadReading[];
  /** Mean of what could be read, corrected for the method; null with none. */
  readonly value: Uncertain | null;
  /** Mean as read, before the method's correction. */
  readonly rawMeanMm: number | null;
  readonly correctionMm: number;
}

const inRange = (v: number, range: PlaceRange): boolean => v >= range.minMm && v <= range.maxMm;

function slipOf(parsed: ParsedLength, reading: Reading, range: PlaceRange): Suggestion | null {
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
    if (inRange(valueMm, range) && !(bare.includes('/') && unit !== 'in'))
      return { text: `${bare} ${unit}`, valueMm };
  }
  return null;
}

/** One reading, checked against what the place can be. */
export function readOne(
  reading: Reading,
  place: Place,
): Result<ParsedLength> & { readonly suggestion?: Suggestion | null } {
  const where = PLACE_NAMES[place];
  const parsed = parseLength(reading.text, reading.bareUnit, where);
  if (!parsed.ok) return parsed;
  const factor = reading.method === 'caliper' && place !== 'wall' ? Math.PI : 1;
  const range = PLACE_RANGES[place];
  const { valueMm, unit } = parsed.value;
  if (inRange(valueMm * factor, range)) return ok(parsed.value);
  const meant = slipOf({ ...parsed.value, valueMm: valueMm * factor }, reading, range);
  const unitName = unit === 'in' ? 'inches' : unit;
  const size = valueMm * factor < range.minMm ? 'small' : 'large';
  const problem = fail(
    `${reading.text} read as ${unitName} is too ${size} for this.`,
    where,
    meant ? `Did you mean ${meant.text}?` : 'Measure it again.',
  );
  return { ...problem, suggestion: meant };
}

/** Takes a girth reading to the surface of the blank by its method; a wall reading is left as it is. */
export function toSurface(rawMm: number, u: number, method: Method, place: Place, tape: Tape): Uncertain {
  const source = SOURCE_OF[place];
  const raw = measured(rawMm, u, source);
  if (place === 'wall') return raw;
  switch (method) {
    case 'soft tape': {
      // A tape of thickness t round radius r reads 2π(r + t/2), so the surface is πt less.
      const t = measured(
        tape.thicknessMm,
        uniformU(Math.min(TAPE_THICKNESS_HALF_WIDTH_MM, tape.thicknessMm)),
        'tape thickness',
      );
      return minus(raw, scaled(t, Math.PI));
    }
    case 'paper strip': {
      const p = measured(tape.paperMm, uniformU(PAPER_THICKNESS_HALF_WIDTH_MM), 'paper thickness');
      return minus(raw, scaled(p, Math.PI));
    }
    case 'caliper':
      return scaled(plus(raw, measured(0, uniformU(OUT_OF_ROUND_HALF_WIDTH_MM), source)), Math.PI);
    case 'steel rule':
      return raw;
  }
}

/** Type A part: standard error of the mean from the scatter of repeats (GUM 4.2.3). 0 with fewer than two. */
export function scatterU(values: readonly number[]): number {
  const n = values.length;
  if (n < 2) return 0;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  return Math.sqrt(values.reduce((a, v) => a + (v - mean) ** 2, 0) / (n - 1) / n);
}

function average(surfaces: readonly Uncertain[], source: string): Uncertain {
  const n = surfaces.length;
  const sum = surfaces.reduce(plus, exact(0));
  const mean = scaled(sum, 1 / n);
  // `plus` adds same-source parts linearly, so the resolution part does not shrink with repeats: rounding to the
  // same mark repeats the same error. Scatter, where there is any, is added in quadrature.
  const scatter = scatterU(surfaces.map((s) => s.value));
  const own = Math.hypot(mean.parts[source] ?? 0, scatter);
  return own === 0 ? mean : { value: mean.value, parts: { ...mean.parts, [source]: own } };
}

/** All the readings of one place, together. */
export function readPlace(place: Place, readings: readonly Reading[], tape: Tape): PlaceReadings {
  const read = readings.map((reading) => {
    const one = readOne(reading, place);
    if (!one.ok)
      return {
        reading,
        parsed: null,
        surface: null,
        problem: one.problem,
        suggestion: one.suggestion ?? null,
      };
    const u = uniformU(resolutionMm(one.value, tape) / 2);
    const surface = toSurface(one.value.valueMm, u, reading.method, place, tape);
    return { reading, parsed: one.value, surface, problem: null, suggestion: null };
  });
  const surfaces = read.flatMap((r) => (r.surface ? [r.surface] : []));
  const middle = median(surfaces.map((s) => s.value)) ?? 0;
  const value = surfaces.length === 0 ? null : average(surfaces, SOURCE_OF[place]);
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
      surfaceMm: r.surface?.value ?? null,
      problem: r.problem,
      suggestion: r.suggestion,
      odd: r.surface !== null && surfaces.length > 1 && Math.abs(r.surface.value - middle) > ODD_BEYOND_MM,
    })),
  };
}
