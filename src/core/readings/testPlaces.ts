import type { PlaceSpec } from './places';
import type { Tape } from './readings';

/** A shop's tape and a girth of about 231 mm to read with it, for tests. */
export const TAPE: Tape = {
  thicknessMm: 0.4,
  finestMm: 1,
  inchDenominator: 16,
  paperMm: 0.1,
  stringMm: 1.2,
};

export const GIRTH: PlaceSpec = {
  id: 'girthTop',
  name: 'Girth near the rim',
  hint: '',
  kind: 'girth',
  minMm: 60,
  maxMm: 640,
  expectedMm: 231,
  gapMm: 0,
  atMm: 5,
};
