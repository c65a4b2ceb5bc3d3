import { say } from '../message/message';
import { median } from 'd3-array';
import { fail, ok, type Problem, type Result } from '../basics/result';
import { exact, type Uncertain } from '../figures/uncertain';
import type { Method, Reading } from '../job/job';
import { normalise, parseLength, type ParsedLength } from '../units/parse';
import { MM_PER_INCH } from '../message/quantity';
import { sourceOfPlace, type PlaceSpec } from './places';
import { meanOfRepeats, type RepeatsByMethod, type RawReading, type SurfaceReading } from './repeats';
import { isAcross, toSurface, type Tape } from './surface';

export const ODD_BEYOND_MM = 3;

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
  /** Taken to the surface of the blank (circumference places) or as read (wall). */
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

function slipOf(parsed: ParsedLength, reading: Reading, asPlace: (mm: number) => boolean): Suggestion | null {
  const bare = normalise(reading.text)
    .replace(/[^\d.,/ -]/g, '')
    .trim();
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
  const small = (across ? valueMm * Math.PI - place.gapMm : valueMm) < place.minMm;
  const problem = fail(
    say('measure.readToo', { reading: reading.text, unitName, which: small ? 'small' : 'other' }),
    where,
    meant ? say('measure.didYouMean', { meant: meant.text }) : say('measure.measureAgain'),
  );
  return { ...problem, suggestion: meant };
}

/** What is known of the whole job when one place is read. */
export interface ReadContext {
  readonly tape: Tape;
  /** What a tape leaves out beside a handle; nothing without one. */
  readonly gap: Uncertain;
  readonly hands: RepeatsByMethod;
  /** All circumferences of this blank are of one width. */
  readonly sameWidth: boolean;
}

/** Readings of a place as they stand on the tape, those that can be read. */
export const rawsOf = (place: PlaceSpec, readings: readonly Reading[], tape: Tape): readonly RawReading[] =>
  readings.flatMap((reading): RawReading[] => {
    const one = readOne(reading, place);
    return one.ok
      ? [
          {
            method: reading.method,
            rawMm: one.value.valueMm,
            stepMm: stepOf(reading.method, one.value, tape),
          },
        ]
      : [];
  });

/** A catalogue is not read to a mark. */
const stepOf = (method: Method, parsed: ParsedLength, tape: Tape): number =>
  method === 'maker’s figure' ? 0 : resolutionMm(parsed, tape);

/** All the readings of one place, together. */
export function readPlace(
  place: PlaceSpec,
  readings: readonly Reading[],
  context: ReadContext,
): PlaceReadings {
  const { tape, gap, hands, sameWidth } = context;
  const read = readings.map((reading) => {
    const one = readOne(reading, place);
    if (!one.ok)
      return { reading, parsed: null, taken: null, problem: one.problem, suggestion: one.suggestion ?? null };
    const { method } = reading;
    const taken: SurfaceReading = {
      method,
      rawMm: one.value.valueMm,
      stepMm: stepOf(method, one.value, tape),
      surface: toSurface(exact(one.value.valueMm), method, place, tape, gap),
      factor: isAcross(method, place) ? Math.PI : 1,
    };
    return { reading, parsed: one.value, taken, problem: null, suggestion: null };
  });
  const taken = read.flatMap((r) => (r.taken ? [r.taken] : []));
  const middle = median(taken.map((t) => t.surface.value)) ?? 0;
  const value =
    taken.length === 0
      ? null
      : meanOfRepeats(taken, sourceOfPlace(place), hands, sameWidth && place.kind === 'circumference');
  const rawMean = taken.length === 0 ? null : taken.reduce((a, t) => a + t.rawMm, 0) / taken.length;
  return {
    place,
    value,
    rawMeanMm: rawMean,
    correctionMm: value && rawMean !== null ? value.value - rawMean : 0,
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
