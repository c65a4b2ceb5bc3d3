import type { HeatSettings } from '../shop/heatSettings';
import type { HeatCase } from './case';

/** A place of the piece that is followed by itself, with the share of the heated area it stands for. */
export interface HeatedPlace {
  /** Degrees clockwise from the middle of the heater's opening at the first pass; null where the piece is not round. */
  readonly atDeg: number | null;
  readonly areaM2: number;
  readonly printed: boolean;
  /** Against the mean of the heated face, K, before how the mat cools towards its ends. */
  readonly offsetK: number;
  /** Places of the ring this one stands for: itself, and its mirror image where both are heated alike. */
  readonly sectors: readonly number[];
}

export const SECTORS = 36;
const SECTOR_DEG = 360 / SECTORS;
/** A mat is cooler over the last of its length at both ends. */
const END_DEG = 8;

/** Shortest way between two angles, 0..180. */
const apart = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);

/** The middle of the print: opposite the opening where one pass must reach it. */
const PRINT_AT_DEG = 180;

function ring(c: HeatCase, passes: number): readonly HeatedPlace[] {
  const { round } = c;
  if (!round) return [];
  const heaterDeg = Math.min(360, (round.heaterMm / round.circumferenceMm) * 360);
  const wholeDeg = Math.min(360, (round.printMm / round.circumferenceMm) * 360);
  // Closed once, what lies past the mat stays pale whatever the time: that is said in millimetres, and must not set the time of the rest.
  const printDeg = passes === 1 && heaterDeg < 360 ? Math.min(wholeDeg, heaterDeg - SECTOR_DEG) : wholeDeg;
  const perSector = (c.pieceM2 * c.pieces) / SECTORS;
  const printed = (atDeg: number) => apart(atDeg, PRINT_AT_DEG) <= printDeg / 2 + 1e-9;
  // One pass, or two turned half round, heat both sides of the opening alike: one half stands for both.
  const mirrored = passes <= 2;
  const count = mirrored ? SECTORS / 2 + 1 : SECTORS;
  return Array.from({ length: count }, (_, i) => {
    const sectors = mirrored && i > 0 && i < SECTORS / 2 ? [i, SECTORS - i] : [i];
    const atDeg = i * SECTOR_DEG;
    return { atDeg, areaM2: perSector * sectors.length, printed: printed(atDeg), offsetK: 0, sectors };
  });
}

/** The places of a load that decide it: all round a wrap, else the coldest and the hottest. */
export function placesOf(c: HeatCase, s: HeatSettings): readonly HeatedPlace[] {
  if (c.kind === 'wrap') return ring(c, s.passes);
  const areaM2 = (c.pieceM2 * c.pieces) / 2;
  return [c.heater.coldestK, c.heater.hottestK].map((offsetK, i) => ({
    atDeg: null,
    areaM2,
    printed: true,
    offsetK,
    sectors: [i],
  }));
}

/** Share of a sector that a mat of `coveredDeg` covers, its opening at `openingDeg`: 0 to 1. */
export function coveredShare(atDeg: number, openingDeg: number, coveredDeg: number): number {
  if (coveredDeg >= 360) return 1;
  const edge = 180 - (360 - coveredDeg) / 2;
  const off = apart(atDeg, openingDeg + 180);
  return Math.min(1, Math.max(0, (edge - off) / SECTOR_DEG + 0.5));
}

/** How much cooler the mat is at a place, K: level to the last degrees before its end, then falling to `coldestK` there. */
export function endK(atDeg: number, openingDeg: number, coveredDeg: number, coldestK: number): number {
  if (coveredDeg >= 360) return 0;
  const inside = coveredDeg / 2 - apart(atDeg, openingDeg + 180);
  return coldestK * Math.min(1, Math.max(0, 1 - inside / END_DEG));
}
