import type { LogEntry } from '../shop/records';

/** What the entries of a job add up to. */
export interface JobTally {
  readonly good: number;
  /** Good with a flaw. */
  readonly seconds: number;
  readonly spoiled: number;
  readonly entries: number;
}

export const tallyOf = (entries: readonly LogEntry[]): JobTally => ({
  good: entries.reduce((n, e) => n + e.good, 0),
  seconds: entries.reduce((n, e) => n + e.seconds, 0),
  spoiled: entries.reduce((n, e) => n + e.spoiled, 0),
  entries: entries.length,
});
