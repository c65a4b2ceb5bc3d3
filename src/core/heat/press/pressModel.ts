import {
  isFlatPress,
  isChamber,
  type Press,
  type PressCheck,
  type PressHeater,
  isOven,
} from '../../shop/press';
import type { HeaterModel, UnknownKey } from '../model/case';

/** A press as the model takes it, with the standard deviation of what is not known of it. */
export interface PressModel {
  readonly heater: HeaterModel;
  readonly sd: Readonly<Record<Extract<UnknownKey, 'offsetK' | 'power' | 'capacity'>, number>>;
}

/** Heat capacity of 1 mm of cast aluminium platen, J/(m² K), and of a mat with its backing: the middle of 6 to 12 kJ/(m² K). */
const PLATEN_JM2K_MM = 2430;
const MAT_JM2K = 9000;
/** Usual heater power, W/m²: 8 to 10 kW of a platen, 7 to 11 of a mat. */
const USUAL_WM2 = 9000;
/** Lost through an insulated back, and by an open face besides, W/(m² K). */
const BACK_WM2K = 5;
const OPEN_FACE_WM2K = 14;
/** A bench oven: air, liner and rack that follow the air, J/K; its power where nothing says, W; what it loses, W/K. */
/** Usual values of a chamber that was not measured: heat capacity, power, losses, and how far its air cools when it is opened. Our own estimates. */
const VACUUM = { capacityJK: 5000, powerW: 1800, lossWK: 4, openWK: 20, fallK: 25 };
const OVEN = { capacityJK: 6000, powerW: 1600, lossWK: 4, openWK: 20, fallK: 30 };

/** How far a face lies under and over its mean where nobody has read it, K: the middle, and out to the cool edge. */
const UNREAD = { edgeK: -7, middleK: -3, hottestK: 2, matEndK: -6, ovenColdK: -6, ovenHotK: 4 };
/** Standard uncertainty of one reading, K; of a display nobody has checked; and of how a press drifts from day to day. */
const READING_K = { probe: 1.5, strips: 3 } as const;
const UNCHECKED_K = 5;
const DRIFT_K = 1.5;

export const newestOf = <T extends { readonly at: number }>(of: readonly T[]): T | null =>
  of.reduce<T | null>((a, b) => (a && a.at > b.at ? a : b), null);

export interface OffsetMap {
  /** How much higher the display reads than the mean of the face, K, and its standard uncertainty. */
  readonly readsHighK: number;
  readonly u: number;
  /** Least and most of the face against its mean, K; null where fewer than three places were read. */
  readonly coldestK: number | null;
  readonly hottestK: number | null;
}

/** What a set of readings says of a press: display against face, and the face against itself. */
export function offsetMap(check: PressCheck | null): OffsetMap {
  if (!check || check.points.length === 0)
    return { readsHighK: 0, u: UNCHECKED_K, coldestK: null, hottestK: null };
  const reads = check.points.map((p) => p.readC);
  const mean = reads.reduce((a, b) => a + b, 0) / reads.length;
  const each = READING_K[check.with];
  const several = reads.length >= 3;
  return {
    readsHighK: check.setC - mean,
    u: Math.hypot(each / Math.sqrt(reads.length), DRIFT_K, several ? 0 : 2),
    coldestK: several ? Math.min(...reads) - mean : null,
    hottestK: several ? Math.max(...reads) - mean : null,
  };
}

const powerSd = (p: Press, unread: number): number =>
  p.power.watts === null ? unread : p.power.from === 'measured' ? 0.04 : 0.08;

export interface Bare {
  /** Heated face not covered by pieces, m². */
  readonly uncoveredM2: number;
  /** Pieces lie out in the cool edge of a platen. */
  readonly inEdge: boolean;
}

/** The model of a press with a heater in it. What nobody measured is usual for its size and says so by its spread. */
export function pressModel(p: Press, mat: PressHeater | null, { uncoveredM2, inEdge }: Bare): PressModel {
  const offset = offsetMap(newestOf(p.checks));
  if (isChamber(p)) {
    const usual = isOven(p) ? { ...OVEN, fallK: p.fallK ?? OVEN.fallK } : VACUUM;
    return {
      heater: {
        capacityJK: usual.capacityJK,
        powerW: p.power.watts ?? usual.powerW,
        lossClosedWK: usual.lossWK,
        lossOpenWK: usual.openWK,
        readsHighK: offset.readsHighK,
        coldestK: offset.coldestK ?? UNREAD.ovenColdK,
        hottestK: offset.hottestK ?? UNREAD.ovenHotK,
        restingC: null,
        fallK: usual.fallK,
      },
      sd: {
        offsetK: Math.hypot(offset.u, offset.u === UNCHECKED_K ? 5 : 0),
        power: powerSd(p, 0.3),
        capacity: 0.35,
      },
    };
  }
  const flat = isFlatPress(p);
  const areaM2 = heatedM2(p, mat);
  const capacity = flat ? p.platenThicknessMm * PLATEN_JM2K_MM : MAT_JM2K;
  const coldest = flat ? (inEdge ? UNREAD.edgeK : UNREAD.middleK) : UNREAD.matEndK;
  return {
    heater: {
      capacityJK: capacity * areaM2,
      powerW: p.power.watts ?? USUAL_WM2 * areaM2,
      lossClosedWK: BACK_WM2K * areaM2 + OPEN_FACE_WM2K * 0.7 * uncoveredM2,
      lossOpenWK: (BACK_WM2K + OPEN_FACE_WM2K) * areaM2,
      readsHighK: offset.readsHighK,
      coldestK: offset.coldestK ?? coldest,
      hottestK: offset.hottestK ?? (flat ? UNREAD.hottestK : 0),
      restingC: p.restingC,
      fallK: 0,
    },
    sd: { offsetK: offset.u, power: powerSd(p, flat ? 0.12 : 0.2), capacity: flat ? 0.12 : 0.25 },
  };
}

/** Heated face of a platen or a mat, m². An oven heats by its air: its pieces are its face. */
export function heatedM2(p: Press, mat: PressHeater | null): number {
  if (isFlatPress(p)) return (p.platenWidthMm * p.platenHeightMm) / 1e6;
  return mat ? (mat.lengthMm * mat.heightMm) / 1e6 : 0;
}
