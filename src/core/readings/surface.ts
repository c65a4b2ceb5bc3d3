import { measured, minus, plus, scaled, uniformU, type Uncertain } from '../figures/uncertain';
import { makerSource } from '../figures/sources';
import type { Method } from '../job/job';
import type { PlaceSpec } from './places';

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

/** Taken straight across; the circumference follows from it. */
export const isAcross = (method: Method, place: PlaceSpec): boolean =>
  place.kind === 'circumference' && (method === 'caliper' || method === 'maker’s figure');

/** Share of the full round the tape covers, 0..1. */
const shareRound = (rawMm: number, gapMm: number): number => rawMm / (rawMm + gapMm);

/** Something of some thickness laid round the wall reads 2π(r + t/2): π t too much for the full round. */
const lessThickness = (
  raw: Uncertain,
  share: number,
  tMm: number,
  halfMm: number,
  source: string,
): Uncertain => minus(raw, scaled(measured(tMm, uniformU(Math.min(halfMm, tMm)), source), Math.PI * share));

/** A maker's figure as somebody copied it: one figure is one error, wherever it is used. */
export const makerWidth = (mm: number): Uncertain =>
  measured(mm, uniformU(MAKER_HALF_WIDTH_MM), makerSource(`Ø ${mm.toFixed(1)}`));

/**
 * Takes a reading to the surface of the blank by its method; a length is left as it is. `gap` is what a tape leaves out beside a handle:
 * a caliper measures across and knows nothing of it, so it is taken off with its own uncertainty.
 */
export function toSurface(
  raw: Uncertain,
  method: Method,
  place: PlaceSpec,
  tape: Tape,
  gap: Uncertain,
): Uncertain {
  if (place.kind === 'length')
    return method === 'maker’s figure'
      ? plus(raw, measured(0, uniformU(MAKER_HALF_WIDTH_MM), makerSource(place.role)))
      : raw;
  const share = shareRound(raw.value, gap.value);
  switch (method) {
    case 'soft tape':
      return lessThickness(raw, share, tape.thicknessMm, TAPE_THICKNESS_HALF_WIDTH_MM, 'tape thickness');
    case 'paper strip':
      return lessThickness(raw, share, tape.paperMm, PAPER_THICKNESS_HALF_WIDTH_MM, 'paper thickness');
    case 'string':
      return lessThickness(raw, share, tape.stringMm, STRING_THICKNESS_HALF_WIDTH_MM, 'string thickness');
    case 'caliper':
      return minus(scaled(raw, Math.PI), gap);
    case 'maker’s figure':
      return minus(scaled(plus(raw, { ...makerWidth(raw.value), value: 0 }), Math.PI), gap);
    case 'steel rule':
      return raw;
  }
}
