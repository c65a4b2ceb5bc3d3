/** Arc seen from the front within ± `halfAngleDeg` of the middle: 2 r φ, mm. */
export const seenArcMm = (circumferenceMm: number, halfAngleDeg: number): number =>
  (circumferenceMm * halfAngleDeg) / 180;

/** A round blank shows comfortably to 60° either side of the middle; past 72° it is lost. */
export const SEEN_WELL_DEG = 60;
export const SEEN_AT_ALL_DEG = 72;
