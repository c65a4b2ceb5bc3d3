import { PRESSURE_WORDS } from '../heat/settings/labels';
import type { HeatSettings } from '../shop/heatSettings';
import type { LogEntry } from '../shop/records';
import { say, type Message } from '../message/message';
import { celsius, seconds } from '../message/quantity';
import { CAUSES } from './faults';

/** One pressing of a recipe’s line: what differed from the one before, and what came of it. */
export interface HistoryStep {
  readonly entryId: string;
  readonly at: number;
  readonly settings: HeatSettings;
  /** Nothing where the settings stayed as they were. */
  readonly changes: readonly Message[];
  readonly verdict: LogEntry['verdict'];
  readonly good: number;
  readonly seconds: number;
  readonly spoiled: number;
}

/** What one setting became, in words; every difference is a line of its own. */
export function changesBetween(a: HeatSettings, b: HeatSettings): readonly Message[] {
  const lines: Message[] = [];
  if (a.platenC !== b.platenC)
    lines.push(say('inspect.platenPlaten2', { platen: celsius(a.platenC), platen2: celsius(b.platenC) }));
  if (a.dwellS !== b.dwellS)
    lines.push(say('inspect.dwellDwell22', { dwell: seconds(a.dwellS), dwell2: seconds(b.dwellS) }));
  if (a.laterDwellS !== b.laterDwellS)
    lines.push(
      b.laterDwellS === null
        ? say('inspect.laterPassesLong')
        : say('inspect.laterPasses', { laterDwell: seconds(b.laterDwellS) }),
    );
  if (a.passes !== b.passes) lines.push(say('inspect.passes', { passes: a.passes, passes2: b.passes }));
  if (a.timerStart !== b.timerStart)
    lines.push(
      b.timerStart === 'at-temperature' ? say('inspect.timeFromTemperature') : say('inspect.timeFromClosing'),
    );
  if (a.pressure !== b.pressure)
    lines.push(
      say('inspect.pressure', {
        pressureWords: PRESSURE_WORDS[a.pressure],
        pressureWords2: PRESSURE_WORDS[b.pressure],
      }),
    );
  if (a.peel !== b.peel) lines.push(say('inspect.peel', { peel: a.peel, peel2: b.peel }));
  if (a.coolDownC !== b.coolDownC)
    lines.push(
      b.coolDownC === null
        ? say('inspect.closedAgainOnce')
        : say('inspect.letFall', { coolDown: celsius(b.coolDownC) }),
    );
  return lines;
}

/** The line of a recipe, oldest first: what was tried on one blank and press, what it did. Entries that were corrected are left out before. */
export function historyOf(entries: readonly LogEntry[]): readonly HistoryStep[] {
  const ordered = [...entries].sort((a, b) => a.at - b.at || a.id.localeCompare(b.id));
  return ordered.map((e, i) => {
    const before = ordered[i - 1];
    const differed = before ? changesBetween(before.settings, e.settings) : [];
    return {
      entryId: e.id,
      at: e.at,
      settings: e.settings,
      changes: e.tried ? [...differed, CAUSES[e.tried].change] : differed,
      verdict: e.verdict,
      good: e.good,
      seconds: e.seconds,
      spoiled: e.spoiled,
    };
  });
}
