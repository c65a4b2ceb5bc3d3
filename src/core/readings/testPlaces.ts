import { say } from '../message/message';
import type { PlaceSpec } from './places';
import { exact } from '../figures/uncertain';
import type { ReadContext } from './readings';
import type { Tape } from './surface';

/** A shop's tape and a circumference of about 231 mm to read with it, for tests. */
export const TAPE: Tape = {
  thicknessMm: 0.4,
  finestMm: 1,
  inchDenominator: 16,
  paperMm: 0.1,
  stringMm: 1.2,
};

export const CIRCUMFERENCE: PlaceSpec = {
  id: 'circumferenceTop',
  role: 'rim',
  name: say('measure.circumferenceNearRim'),
  hint: say('common.n'),
  kind: 'circumference',
  minMm: 60,
  maxMm: 640,
  expectedMm: 231,
  gapMm: 0,
  atMm: 5,
};

/** A place read alone: no handle, no repeats elsewhere, walls of any width. */
export const ALONE: ReadContext = { tape: TAPE, gap: exact(0), hands: {}, sameWidth: false };
