import type { WindowMap } from './window';

/** Capitals under this height lose their corners when dye spreads by a tenth of a millimetre: our own estimate. */
export const FINE_TYPE_MM = 3;
/** The window begins where the chance of a good piece is at least this share of the best one at that temperature. */
const OF_BEST = 0.95;

/** A time at the lower end of the window, and the chance of a good piece there, 0..1. */
export interface LowerEnd {
  readonly dwellS: number;
  readonly good: number;
}

/**
 * The shortest time at a temperature with nearly the best chance of a good piece; null where the temperature lies outside the window. Dye spreads with
 * the root of time once it moves (Crank, The Mathematics of Diffusion, 2nd ed., 2.4), so fine type is sharpest there.
 */
export function lowerEnd(map: WindowMap, platenC: number): LowerEnd | null {
  const { columns, rows, good } = map;
  const [fromC, toC] = map.platenC;
  const [fromS, toS] = map.dwellS;
  if (platenC < fromC || platenC > toC || columns < 2 || rows < 2) return null;
  const column = Math.round(((platenC - fromC) / (toC - fromC)) * (columns - 1));
  const chances = Array.from({ length: rows }, (_, row) => good[row * columns + column] ?? 0);
  const best = Math.max(...chances);
  const row = chances.findIndex((c) => c >= OF_BEST * best);
  if (best <= 0 || row < 0) return null;
  return { dwellS: Math.ceil(fromS + (row / (rows - 1)) * (toS - fromS)), good: chances[row] ?? 0 };
}
