import { sameContent } from '../basics/same';
import { keyOf } from '../memo/key';
import type { LogEntry } from '../shop/records';

/** What becomes of entries that come from elsewhere. */
export interface LogMerge {
  readonly add: readonly LogEntry[];
  /** Here already, word for word. */
  readonly same: number;
  /** Of the same name and other contents: added beside the shop’s own, never over it. */
  readonly renamed: number;
}

/** A name made of what an entry says, so that every tablet gives it the same one. */
export const nameOf = (e: Omit<LogEntry, 'id'>, before: string): string =>
  `${before}-${keyOf({ ...e, id: '' })}${keyOf([e.note, e.at, e.settings, e.jobName])}`;

/**
 * Another tablet’s or shop’s entries laid beside one’s own: none twice, none over another. The same file brought a second time adds nothing,
 * also where names had to be changed the first time. What an entry corrects stays what it was.
 */
export function mergeLog(own: readonly LogEntry[], incoming: readonly LogEntry[]): LogMerge {
  const byId = new Map(own.map((e) => [e.id, e]));
  const add: LogEntry[] = [];
  let [same, renamed] = [0, 0];
  for (const e of incoming) {
    const there = byId.get(e.id);
    const other = there && !sameContent(there, e);
    const kept: LogEntry = other ? { ...e, id: nameOf(e, 'log') } : e;
    if (byId.has(kept.id)) {
      same += 1;
      continue;
    }
    if (other) renamed += 1;
    byId.set(kept.id, kept);
    add.push(kept);
  }
  return { add, same, renamed };
}
