/** How a wrap-round heater reaches a round blank. Lengths mm, angles degrees. */
export interface Coverage {
  /** Arc the heater covers, 0..360. */
  readonly coveredDeg: number;
  readonly gapDeg: number;
  /** Fewest passes, evenly turned, that heat every point, including an overlap at each end of the mat. */
  readonly passesNeeded: number;
  readonly turnDeg: number;
  /** Least and most passes any point gets with `passes` evenly turned passes. */
  readonly exposures: readonly [number, number];
}

/** Mats are cooler at their ends: this much of each end is not counted when deciding the passes. */
export const END_OVERLAP_DEG = 5;

/**
 * Least and most times a point is covered when an arc of `coveredDeg` is laid `passes` times, turned 360/passes each time.
 * A point is covered once for every multiple of the turn that lies in an arc of the covered length.
 */
export function exposures(coveredDeg: number, passes: number): readonly [number, number] {
  const turn = 360 / passes;
  const times = coveredDeg / turn;
  const least = Math.min(passes, Math.floor(times + 1e-9));
  return [least, Math.min(passes, Math.ceil(times - 1e-9))];
}

export function coverage(circumferenceMm: number, heaterMm: number, passes: number): Coverage {
  const coveredDeg = Math.min(360, (heaterMm / circumferenceMm) * 360);
  const counted = coveredDeg >= 360 ? 360 : coveredDeg - 2 * END_OVERLAP_DEG;
  const passesNeeded = counted <= 0 ? 6 : Math.min(6, Math.ceil(360 / counted - 1e-9));
  return {
    coveredDeg,
    gapDeg: 360 - coveredDeg,
    passesNeeded,
    turnDeg: passes > 1 ? 360 / passes : 0,
    exposures: exposures(coveredDeg, passes),
  };
}
