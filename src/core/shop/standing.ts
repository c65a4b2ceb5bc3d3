import type { LogEntry } from './records';

type Answering = Pick<LogEntry, 'id' | 'at' | 'corrects'>;

/** Ids of entries that no longer count: those another one corrects; of two corrections of one entry, the older. */
export function corrected(entries: readonly Answering[]): ReadonlySet<string> {
  const gone = new Set<string>();
  const newest = new Map<string, Answering>();
  for (const e of entries) {
    if (e.corrects === null) continue;
    gone.add(e.corrects);
    const other = newest.get(e.corrects);
    if (!other) newest.set(e.corrects, e);
    else {
      const later = e.at > other.at || (e.at === other.at && e.id > other.id);
      gone.add(later ? other.id : e.id);
      if (later) newest.set(e.corrects, e);
    }
  }
  return gone;
}

/** Entries that count. */
export function standing<E extends Answering>(entries: readonly E[]): readonly E[] {
  const gone = corrected(entries);
  return gone.size === 0 ? entries : entries.filter((e) => !gone.has(e.id));
}
