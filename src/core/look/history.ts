import { PRESSURE_WORDS } from '../heat/labels';
import type { HeatSettings } from '../shop/heatSettings';
import type { LogEntry } from '../shop/records';
import { say, type Phrase } from '../units/phrase';
import { celsius, seconds } from '../units/quantity';
import { CAUSES } from './faults';

/** One pressing of a recipe’s line: what differed from the one before, and what came of it. */
export interface HistoryStep {
  readonly entryId: string;
  readonly at: number;
  readonly settings: HeatSettings;
  /** Nothing where the settings stayed as they were. */
  readonly changes: readonly Phrase[];
  readonly verdict: LogEntry['verdict'];
  readonly good: number;
  readonly spoiled: number;
}

/** What one setting became, in words; every difference is a line of its own. */
export function changesBetween(a: HeatSettings, b: HeatSettings): readonly Phrase[] {
  const lines: Phrase[] = [];
  if (a.platenC !== b.platenC) lines.push(say`${celsius(a.platenC)} → ${celsius(b.platenC)}`);
  if (a.dwellS !== b.dwellS) lines.push(say`${seconds(a.dwellS)} → ${seconds(b.dwellS)}`);
  if (a.laterDwellS !== b.laterDwellS)
    lines.push(
      b.laterDwellS === null ? say`later passes as long` : say`later passes ${seconds(b.laterDwellS)}`,
    );
  if (a.passes !== b.passes) lines.push(say`${String(a.passes)} → ${String(b.passes)} passes`);
  if (a.timerStart !== b.timerStart)
    lines.push(b.timerStart === 'at-temperature' ? say`time from temperature` : say`time from closing`);
  if (a.pressure !== b.pressure)
    lines.push(say`pressure ${PRESSURE_WORDS[a.pressure]} → ${PRESSURE_WORDS[b.pressure]}`);
  if (a.peel !== b.peel) lines.push(say`peel ${a.peel} → ${b.peel}`);
  if (a.coolDownC !== b.coolDownC)
    lines.push(
      b.coolDownC === null ? say`closed again at once` : say`let it fall to ${celsius(b.coolDownC)}`,
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
      changes: e.tried ? [...differed, say`${CAUSES[e.tried].change}`] : differed,
      verdict: e.verdict,
      good: e.good,
      spoiled: e.spoiled,
    };
  });
}
