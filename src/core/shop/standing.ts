import type { LogEntry } from './records';

type Answering = Pick<LogEntry, 'id' | 'at' | 'corrects' | 'good' | 'spoiled' | 'verdict' | 'note'>;

/**
 * Whether one correction is newer than another. Of the same moment it goes by what they say and not by their ids, which differ between tablets;
 * where they say the same, the one that was corrected itself: what corrects it then counts alone.
 */
function newer(a: Answering, b: Answering, answered: ReadonlySet<string | null>): boolean {
  if (a.at !== b.at) return a.at > b.at;
  if (a.good !== b.good) return a.good < b.good;
  if (a.spoiled !== b.spoiled) return a.spoiled > b.spoiled;
  if (a.verdict !== b.verdict) return a.verdict > b.verdict;
  if (a.note !== b.note) return a.note > b.note;
  return answered.has(a.id) === answered.has(b.id) ? a.id > b.id : answered.has(a.id);
}

/** Ids of entries that no longer count: those another one corrects; of two corrections of one entry, the older. */
export function corrected(entries: readonly Answering[]): ReadonlySet<string> {
  const gone = new Set<string>();
  const newest = new Map<string, Answering>();
  const answered = new Set(entries.map((e) => e.corrects));
  for (const e of entries) {
    if (e.corrects === null) continue;
    gone.add(e.corrects);
    const other = newest.get(e.corrects);
    if (!other) newest.set(e.corrects, e);
    else {
      const later = newer(e, other, answered);
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
