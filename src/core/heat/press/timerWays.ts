import type { HeatSettings } from '../../shop/heatSettings';
import type { TimerStart } from '../../shop/press';
import type { HeatOutcome } from '../model/outcome';

/** The same closings in one way of keeping time: what each pass is set to, s. Null where the press is not back before it opens. */
export interface TimerWay {
  readonly timerStart: TimerStart;
  readonly passS: readonly (number | null)[];
}

/** The two ways of counting, side by side: the same heat, and a time that may differ by a minute or more. */
export function timerWays(o: HeatOutcome): readonly TimerWay[] {
  const from = o.closings.map((c) => c.openedS - c.closedS);
  const at = o.closings.map((c) => (c.backS === null ? null : c.openedS - c.backS));
  // A display that never fell two degrees counts the same either way.
  const fell = o.closings.some((c) => c.backS !== null) || o.fell;
  return [
    { timerStart: 'from-closing', passS: from },
    { timerStart: 'at-temperature', passS: fell ? at : from },
  ];
}

/** Settings that say the same by the other timer; null where that cannot be said, since the press is not back before it opens. */
export function byTimer(s: HeatSettings, o: HeatOutcome, timerStart: TimerStart): HeatSettings | null {
  const way = timerWays(o).find((w) => w.timerStart === timerStart);
  const first = way?.passS[0] ?? null;
  if (first === null || first < 1) return null;
  const later = way?.passS[1] ?? null;
  const dwellS = Math.round(first);
  const laterDwellS =
    s.passes > 1 && later !== null && Math.abs(later - first) >= 1 ? Math.max(1, Math.round(later)) : null;
  return { ...s, timerStart, dwellS, laterDwellS };
}
