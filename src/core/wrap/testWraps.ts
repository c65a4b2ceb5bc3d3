import { exact } from '../figures/uncertain';
import type { RoundShape } from '../shop/blank';
import type { Pattern } from './pattern';
import { sizeRoundWrap, type RoundWrapInput } from './roundWrap';

/** A plain wall for tests: no exclusion zone, no handle. */
export const WALL: RoundShape = {
  kind: 'round',
  heightMm: 205,
  sections: [
    { fromRimMm: 5, diameterMm: 73.5 },
    { fromRimMm: 198, diameterMm: 73.5 },
  ],
  handle: null,
  openEnds: false,
  exclusionZones: [],
};

/** A wrap of a straight wall 230 mm round and 190 mm tall unless stated otherwise. */
export const wrapInput = (over: Partial<RoundWrapInput> = {}): RoundWrapInput => ({
  circumferenceTop: exact(230),
  circumferenceFoot: exact(230),
  slant: exact(190),
  band: { topMm: 6.5, footMm: 196.5 },
  handle: null,
  shape: WALL,
  paperMm: 0.1,
  seamMethod: 'butt',
  amountMm: null,
  seamDeg: 180,
  shrink: 0,
  print: { scaleU: 0.0025 / Math.sqrt(3), shrinkU: 0 },
  bleed: { rimMm: 3, footMm: 3, endsMm: 3 },
  safeMm: 6,
  grip: null,
  tailMm: 0,
  past: { rimMm: 0, footMm: 0 },
  ownMarks: [],
  ...over,
});

export const straightPattern = (circumferenceMm: number, heightMm: number, bleedMm = 3): Pattern =>
  sizeRoundWrap(
    wrapInput({
      circumferenceTop: exact(circumferenceMm),
      circumferenceFoot: exact(circumferenceMm),
      slant: exact(heightMm),
      seamMethod: 'over',
      amountMm: 4,
      bleed: { rimMm: bleedMm, footMm: bleedMm, endsMm: bleedMm },
      safeMm: 5,
    }),
  ).pattern;
