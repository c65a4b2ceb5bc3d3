/** How a wrap-round heater reaches a round blank. Lengths mm, angles degrees. */
export interface HeaterReach {
  /** Arc the heater covers, 0..360. */
  readonly coveredDeg: number;
  readonly gapDeg: number;
  /** Fewest passes, evenly turned, that heat every printed point, including an overlap at each end of the mat. */
  readonly passesNeeded: number;
  readonly rotationDeg: number;
  /** Least and most passes any point gets with `passes` evenly turned passes. */
  readonly exposures: readonly [number, number];
  /** Print past the heater at each of its ends in one pass, mm. */
  readonly missedMm: number;
}

/** Mats are cooler at their ends: this much of each end is not counted when deciding the passes. */
const END_OVERLAP_DEG = 5;

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

/** What a wrap-round heater has to heat. Lengths mm. */
export interface MatWork {
  /** Right round the wall where it is widest under the paper: there the heater reaches least. */
  readonly circumferenceMm: number;
  /** How much of that is printed. */
  readonly printMm: number;
  /** A handle stands in the opening of the heater: the blank goes in one way and is never turned. */
  readonly handled: boolean;
}

const MOST_PASSES = 6;

/** Fewest passes: one where the print lies well inside the heater, or where a handle lets it in no other way. */
function passesFor({ circumferenceMm, printMm, handled }: MatWork, coveredDeg: number): number {
  const counted = coveredDeg >= 360 ? 360 : coveredDeg - 2 * END_OVERLAP_DEG;
  if (handled || (printMm / circumferenceMm) * 360 <= counted) return 1;
  return counted <= 0 ? MOST_PASSES : Math.min(MOST_PASSES, Math.ceil(360 / counted - 1e-9));
}

export function heaterReach(work: MatWork, heaterMm: number, passes: number): HeaterReach {
  const coveredDeg = Math.min(360, (heaterMm / work.circumferenceMm) * 360);
  const inside = work.printMm <= heaterMm;
  return {
    coveredDeg,
    gapDeg: 360 - coveredDeg,
    passesNeeded: passesFor(work, coveredDeg),
    rotationDeg: passes > 1 ? 360 / passes : 0,
    exposures: passes === 1 && inside ? [1, 1] : exposures(coveredDeg, passes),
    missedMm: Math.max(0, work.printMm - heaterMm) / 2,
  };
}
