import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase } from './case';

/** A stretch round the wall, degrees clockwise from the middle of the heater's opening at the first pass. */
export interface Arc {
  readonly fromDeg: number;
  readonly toDeg: number;
}

/** A place of the piece that is followed by itself, with the share of the heated area it stands for. */
export interface HeatedPlace extends Arc {
  /** The middle of its arc; null where the piece is not round. */
  readonly atDeg: number | null;
  readonly areaM2: number;
  readonly printed: boolean;
  /** Against the mean of the heated face, K, before how the mat cools towards its ends. */
  readonly offsetK: number;
  /** It stands for its mirror image on the other side of the opening as well. */
  readonly mirrored: boolean;
}

/** Sectors are this wide at the ends of a mat, where the dose changes most, and grow away from them by so much a degree to the widest. */
const NARROWEST_DEG = 2;
const GROWTH = 0.5;
const WIDEST_DEG = 12;
/** A mat is cooler over the last of its length at both ends. */
const END_DEG = 8;
/** Closed once, what lies within this of the mat's ends together stays pale whatever the time. */
const PALE_DEG = 10;
/** Two ends nearer than this are one. */
const SAME_DEG = 0.2;

/** Shortest way between two angles, 0..180. */
const apart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/** The middle of the print: opposite the opening where one pass must reach it. */
const PRINT_AT_DEG = 180;

const coveredDegOf = (round: NonNullable<HeatCase['round']>): number =>
  Math.min(360, (round.heaterMm / round.circumferenceMm) * 360);

/** How many sectors lie within `d` degrees of a mat's end, as a number that is not rounded; and the other way round. */
const countTo = (d: number): number => {
  const reach = (WIDEST_DEG - NARROWEST_DEG) / GROWTH;
  const graded = Math.log(1 + (GROWTH * Math.min(d, reach)) / NARROWEST_DEG) / GROWTH;
  return graded + Math.max(0, d - reach) / WIDEST_DEG;
};
const degAt = (count: number): number => {
  const reach = (WIDEST_DEG - NARROWEST_DEG) / GROWTH;
  const full = countTo(reach);
  return count <= full
    ? (NARROWEST_DEG * (Math.exp(GROWTH * count) - 1)) / GROWTH
    : reach + (count - full) * WIDEST_DEG;
};

/** Bounds within one stretch, its own ends left out. Graded towards the ends that are ends of a mat. */
function boundsWithin(arc: Arc, fromEnd: boolean, toEnd: boolean, finer: number): readonly number[] {
  const length = arc.toDeg - arc.fromDeg;
  const half = length / 2;
  const whole =
    fromEnd && toEnd ? 2 * countTo(half) : fromEnd || toEnd ? countTo(length) : length / WIDEST_DEG;
  const n = Math.max(1, Math.ceil(whole - 1e-9)) * 2 ** finer;
  return Array.from({ length: n - 1 }, (_, k) => {
    const at = (whole * (k + 1)) / n;
    if (!fromEnd && !toEnd) return arc.fromDeg + at * WIDEST_DEG;
    if (fromEnd && (!toEnd || at <= whole / 2)) return arc.fromDeg + degAt(at);
    return arc.toDeg - degAt(whole - at);
  });
}

/** Arcs from one angle to another, cut at the ends of mats and finest there. */
function cut(from: number, to: number, ends: readonly number[], finer: number): readonly Arc[] {
  const inside = ends.filter((e) => e > from + SAME_DEG && e < to - SAME_DEG).sort((a, b) => a - b);
  const kept = inside.filter((e, i) => i === 0 || e - (inside[i - 1] ?? 0) > SAME_DEG);
  const isEnd = (deg: number) => ends.some((e) => apart(e, deg) <= SAME_DEG);
  const knots = [from, ...kept, to];
  const bounds = knots.flatMap((k, i) => {
    const next = knots[i + 1];
    return next === undefined
      ? [k]
      : [k, ...boundsWithin({ fromDeg: k, toDeg: next }, isEnd(k), isEnd(next), finer)];
  });
  return bounds.slice(1).map((toDeg, i) => ({ fromDeg: bounds[i] ?? from, toDeg }));
}

/** The printed stretch of the arcs that are followed; null where the piece is not round. Closed once, what lies past the mat does not set the time of the rest. */
export function printArc(c: HeatCase, s: HeatSettings): Arc | null {
  const { round } = c;
  if (c.kind !== 'wrap' || !round) return null;
  const heaterDeg = coveredDegOf(round);
  const wholeDeg = Math.min(360, (round.printMm / round.circumferenceMm) * 360);
  const printDeg =
    s.passes === 1 && heaterDeg < 360 ? Math.max(0, Math.min(wholeDeg, heaterDeg - PALE_DEG)) : wholeDeg;
  return { fromDeg: PRINT_AT_DEG - printDeg / 2, toDeg: PRINT_AT_DEG + printDeg / 2 };
}

function ring(c: HeatCase, s: HeatSettings, finer: number): readonly HeatedPlace[] {
  const { round } = c;
  const print = printArc(c, s);
  if (!round || !print) return [];
  const { passes } = s;
  const coveredDeg = coveredDegOf(round);
  const gap = (360 - coveredDeg) / 2;
  const turn = 360 / passes;
  const ends =
    coveredDeg >= 360
      ? []
      : Array.from({ length: passes }, (_, i) => [i * turn - gap, i * turn + gap])
          .flat()
          .map((e) => (e + 720) % 360);
  // One pass, or two turned half round, heat both sides of the opening alike: one half stands for both.
  const mirrored = passes <= 2;
  const perDegM2 = (c.pieceM2 * c.pieces) / 360;
  return cut(0, mirrored ? 180 : 360, ends, finer).map(({ fromDeg, toDeg }) => {
    const atDeg = (fromDeg + toDeg) / 2;
    return {
      fromDeg,
      toDeg,
      atDeg,
      areaM2: perDegM2 * (toDeg - fromDeg) * (mirrored ? 2 : 1),
      printed: atDeg >= print.fromDeg && atDeg <= print.toDeg,
      offsetK: 0,
      mirrored,
    };
  });
}

/** The places of a load that decide it: all round a wrap, else the coldest and the hottest. `finer` halves sectors so many times. */
export function heatedPlaces(c: HeatCase, s: HeatSettings, finer = 0): readonly HeatedPlace[] {
  if (c.kind === 'wrap') return ring(c, s, finer);
  const areaM2 = (c.pieceM2 * c.pieces) / 2;
  return [c.heater.coldestK, c.heater.hottestK].map((offsetK) => ({
    fromDeg: 0,
    toDeg: 0,
    atDeg: null,
    areaM2,
    printed: true,
    offsetK,
    mirrored: false,
  }));
}

/** Share of an arc that a mat of `coveredDeg` covers, its opening at `openingDeg`: 0 to 1. */
export function coveredShare({ fromDeg, toDeg }: Arc, openingDeg: number, coveredDeg: number): number {
  const half = (360 - coveredDeg) / 2;
  if (half <= 0) return 1;
  let open = 0;
  for (const turn of [-360, 0, 360]) {
    const [a, b] = [openingDeg - half + turn, openingDeg + half + turn];
    open += Math.max(0, Math.min(toDeg, b) - Math.max(fromDeg, a));
  }
  return Math.min(1, Math.max(0, 1 - open / (toDeg - fromDeg)));
}

/** How much cooler the mat is at a place, K: level to the last degrees before its end, then falling to `coldestK` there. */
export function endK(atDeg: number, openingDeg: number, coveredDeg: number, coldestK: number): number {
  if (coveredDeg >= 360) return 0;
  const inside = coveredDeg / 2 - apart(atDeg, openingDeg + 180);
  return coldestK * Math.min(1, Math.max(0, 1 - inside / END_DEG));
}
