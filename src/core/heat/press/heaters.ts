import { isWrapPress, type Press, type PressHeater } from '../../shop/press';

/** What a mat must close on, mm. */
export interface MatNeed {
  readonly widestDiameterMm: number;
  readonly tallMm: number;
}

const closesOn = (h: PressHeater, { widestDiameterMm: d }: MatNeed): boolean =>
  d >= h.smallestDiameterMm && d <= h.largestDiameterMm;

/** The mat asked for; else the one that closes on the blank and reaches furthest; else the one the press came with. Null where there are none. */
export function heaterOf(press: Press, need: MatNeed | null, wantedId: string | null): PressHeater | null {
  if (!isWrapPress(press)) return null;
  const wanted = press.heaters.find((h) => h.id === wantedId);
  if (wanted) return wanted;
  const fits = need ? press.heaters.filter((h) => closesOn(h, need)) : [];
  const tall = need ? fits.filter((h) => h.heightMm >= need.tallMm) : [];
  const pool = tall.length > 0 ? tall : fits;
  return (
    pool.reduce<PressHeater | null>((a, b) => (a && a.lengthMm >= b.lengthMm ? a : b), null) ??
    press.heaters[0] ??
    null
  );
}
