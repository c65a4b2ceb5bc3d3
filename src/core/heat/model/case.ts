import type { Material } from '../../shop/blank';
import type { HeatSettings, Pressure } from '../../shop/heatSettings';
import type { OvenAir } from '../../shop/press';
import type { WasteKind } from './materials';

/** A heater as the model takes it: all of it, not a square metre. */
export interface HeaterModel {
  readonly capacityJK: number;
  readonly powerW: number;
  /** Lost to the room while closed and while open, W/K. */
  readonly lossClosedWK: number;
  readonly lossOpenWK: number;
  /** How much higher the display reads than the mean of the heated face, K. */
  readonly readsHighK: number;
  /** Coldest and hottest place that heats print, against the mean of the face, K. */
  readonly coldestK: number;
  readonly hottestK: number;
  /** A press that rests cooler between pieces and heats up on closing; null where it stays at its set temperature. */
  readonly restingC: number | null;
  /** How far an oven's air falls when it is opened to load it, K. */
  readonly fallK: number;
}

/** The wall of a round blank under its mat. Lengths mm. */
interface RoundCase {
  readonly circumferenceMm: number;
  readonly heaterMm: number;
  readonly printMm: number;
}

/** One press with one load in it: everything the dose hangs on besides the settings. Plain JSON, so that it can name what was calculated. */
export interface HeatCase {
  readonly kind: 'flat' | 'wrap' | 'oven';
  /** Whether a fan moves the air of an oven; no matter elsewhere. */
  readonly ovenAir: OvenAir;
  readonly material: Material;
  /** Wall, or one skin of a vacuum wall, mm. */
  readonly wallMm: number;
  readonly vacuum: boolean;
  readonly heater: HeaterModel;
  readonly wasteSheets: number;
  readonly wasteKind: WasteKind;
  readonly paperMm: number;
  /** What the piece lies on in a flat press, or the membrane drawn over it in a vacuum press, mm; 0 for none. */
  readonly padMm: number;
  readonly heatedFrom: 'paper' | 'blank';
  readonly faces: 'one' | 'together' | 'one then the other';
  /** Heated face of one piece, m², and of the whole platen or mat. */
  readonly pieceM2: number;
  readonly heaterM2: number;
  readonly pieces: number;
  readonly round: RoundCase | null;
  readonly roomC: number;
}

/** What is not known exactly, as departures from the usual value: logarithms of a factor, kelvins, J/mol. */
export interface Unknowns {
  readonly contact: number;
  readonly offsetK: number;
  readonly power: number;
  readonly capacity: number;
  readonly thickness: number;
  readonly activation: number;
}
export const UNKNOWN_KEYS = [
  'contact',
  'offsetK',
  'power',
  'capacity',
  'thickness',
  'activation',
] as const satisfies readonly (keyof Unknowns)[];
export type UnknownKey = (typeof UNKNOWN_KEYS)[number];

export const USUAL_UNKNOWNS: Unknowns = {
  contact: 0,
  offsetK: 0,
  power: 0,
  capacity: 0,
  thickness: 0,
  activation: 0,
};

/**
 * Contact conductance of paper pressed on a coating, W/(m² K): about 6000 at medium pressure and in proportion to pressure^0.95
 * (Yovanovich, IEEE Trans. Components & Packaging 28, 2005); a sleeve, film or wound tape presses far less.
 */
const CONTACT_WM2K: Readonly<Record<Pressure, number>> = {
  light: 2000,
  'light-medium': 3800,
  medium: 6000,
  'medium-firm': 8500,
  firm: 11000,
  sleeve: 1500,
  film: 900,
  tape: 1200,
  // 80 kPa of vacuum against the 280 kPa of a firm lever, by the same power law.
  membrane: 3400,
};

/** Area a hand's medium force is spread over by custom, m²: about a sheet of letter paper. More pieces share the same force. */
const USUAL_LOAD_M2 = 0.05;
const SHARE_LIMITS = [0.25, 2] as const;

/** Contact in this load: the force of the lever is shared by all that lies under it. */
export function contactWM2K(c: HeatCase, s: HeatSettings, unknowns: Unknowns): number {
  const share = c.kind === 'flat' ? (USUAL_LOAD_M2 / (c.pieceM2 * c.pieces)) ** 0.95 : 1;
  return (
    CONTACT_WM2K[s.pressure] *
    Math.min(SHARE_LIMITS[1], Math.max(SHARE_LIMITS[0], share)) *
    Math.exp(unknowns.contact)
  );
}
