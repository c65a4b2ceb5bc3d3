import { NIGHT_S, type WorkingTime } from './problem';

/** Index of the window that holds a moment, or of the next one after it; the length where none is left. */
export function windowAt(windows: readonly WorkingTime[], atS: number): number {
  let [low, high] = [0, windows.length];
  while (low < high) {
    const mid = (low + high) >> 1;
    if ((windows[mid]?.toS ?? Infinity) <= atS) low = mid + 1;
    else high = mid;
  }
  return low;
}

/** When work of a length is over that begins at a moment and rests while nobody is there, s; infinite where the windows do not suffice. */
export function workedBy(windows: readonly WorkingTime[], fromS: number, lengthS: number): number {
  let left = lengthS;
  for (let i = windowAt(windows, fromS); i < windows.length; i += 1) {
    const w = windows[i];
    if (!w) break;
    const from = Math.max(fromS, w.fromS);
    if (left <= w.toS - from) return from + left;
    left -= w.toS - from;
  }
  return left <= 0 ? fromS : Infinity;
}

/** Time somebody is there between two moments, s. */
export const openBetween = (windows: readonly WorkingTime[], fromS: number, toS: number): number =>
  windows.reduce((s, w) => s + Math.max(0, Math.min(toS, w.toS) - Math.max(fromS, w.fromS)), 0);

/** Whether the shop is closed for the night after a window. */
export const nightAfter = (windows: readonly WorkingTime[], index: number): boolean => {
  const [w, next] = [windows[index], windows[index + 1]];
  return !w || !next || next.fromS - w.toS >= NIGHT_S;
};
