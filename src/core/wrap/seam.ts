/** Least and most share of the paper's length from its left end to the front: a seam across the front is nobody's wish. */
const FRONT_RANGE = [0.06, 0.94] as const;

/** How far along the closed paper, from its left end, the front stands when the seam runs `seamDeg` to its right, mm. */
export const frontAlongMm = (seamDeg: number, turnMm: number): number =>
  ((360 - (seamDeg > 0 ? seamDeg : seamDeg + 360)) / 360) * turnMm;

/** Where the seam has to run for the front to stand there, degrees −180..180; null for the very back, which is usual. */
export function seamForFront(alongMm: number, turnMm: number): number | null {
  const share = Math.min(FRONT_RANGE[1], Math.max(FRONT_RANGE[0], alongMm / turnMm));
  if (Math.abs(share - 0.5) < 1e-9) return null;
  const deg = 360 - share * 360;
  return deg > 180 ? deg - 360 : deg;
}
