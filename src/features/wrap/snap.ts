import type { Settings } from '@/core/shop/settings';
import { MM_PER_INCH } from '@/core/message/quantity';

/** The finest mark of the shop's tape in the unit it reads now, mm. */
export const tapeMarkMm = (s: Settings): number =>
  s.units.length === 'in' ? MM_PER_INCH / s.units.inchDenominator : s.tape.finestMm;

/** The next mark of the tape in a direction (1 down the tape, −1 up it). */
export const nextMark = (valueMm: number, markMm: number, direction: number): number =>
  direction > 0
    ? (Math.floor(valueMm / markMm + 1e-6) + 1) * markMm
    : (Math.ceil(valueMm / markMm - 1e-6) - 1) * markMm;

const PULL_MM = 1.2;

/** Where a dragged edge comes to rest: on a place that matters if one is near, else on a mark of the tape. */
export function snapTo(valueMm: number, markMm: number, places: readonly number[]): number {
  const near = places.find((p) => Math.abs(p - valueMm) <= PULL_MM);
  return near ?? Math.round(valueMm / markMm) * markMm;
}
