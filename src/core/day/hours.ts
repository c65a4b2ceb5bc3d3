import type { WorkingTime } from '../schedule/problem';
import { WEEKDAYS, type DaySettings, type Hours } from '../shop/day';

/** Midnight of a day some days after another moment's, by the clock of this place: a day may have 23 hours. */
function midnight(atMs: number, days: number): number {
  const d = new Date(atMs);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate() + days).getTime();
}

/** A moment so many minutes after a midnight, by the clock on the wall. */
function onClock(dayMs: number, minutes: number): number {
  const d = new Date(dayMs);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate(), 0, minutes).getTime();
}

const openingOf = (day: DaySettings, dayMs: number): Hours | null => {
  // getDay counts from Sunday.
  const weekday = WEEKDAYS[(new Date(dayMs).getDay() + 6) % 7];
  return weekday ? day.opening[weekday] : null;
};

/** Stretches of one day in which somebody works, minutes after midnight: opening hours less breaks. */
export function stretches(opening: Hours, breaks: DaySettings['breaks']): readonly Hours[] {
  let open: readonly Hours[] = [opening];
  for (const { hours: b } of breaks)
    open = open.flatMap((h) =>
      b.toMin <= h.fromMin || b.fromMin >= h.toMin
        ? [h]
        : [
            { fromMin: h.fromMin, toMin: Math.max(h.fromMin, b.fromMin) },
            { fromMin: Math.min(h.toMin, b.toMin), toMin: h.toMin },
          ].filter((x) => x.toMin > x.fromMin),
    );
  return open;
}

/** When somebody works from now on for so many days, s from now. `earlierMin` opens every day that much earlier. */
export function workingWindows(
  day: DaySettings,
  nowMs: number,
  days: number,
  earlierMin = 0,
): readonly WorkingTime[] {
  return Array.from({ length: days }, (_, d) => {
    const at = midnight(nowMs, d);
    const opening = openingOf(day, at);
    if (!opening) return [];
    const from = Math.max(0, opening.fromMin - earlierMin);
    return stretches({ ...opening, fromMin: from }, day.breaks).map((h) => ({
      fromS: (onClock(at, h.fromMin) - nowMs) / 1000,
      toS: (onClock(at, h.toMin) - nowMs) / 1000,
    }));
  })
    .flat()
    .filter((w) => w.toS > 0)
    .map((w) => ({ ...w, fromS: Math.max(0, w.fromS) }));
}

const LAST_MIN = 17 * 60;

/** When a job is due, ms: its time of day, else when the shop closes on that day, else five in the afternoon. */
export function dueMs(day: DaySettings, dueOn: string | null, dueAtMin: number | null): number | null {
  if (dueOn === null) return null;
  const [y, m, d] = dueOn.split('-').map(Number);
  const at = new Date(y ?? 1970, (m ?? 1) - 1, d ?? 1).getTime();
  return onClock(at, dueAtMin ?? openingOf(day, at)?.toMin ?? LAST_MIN);
}
