import type { Transaction } from 'dexie';

/*
 * Version 5 of the database: every log entry is given the words it is found by, and the counts beside the log are made. Stands alone: what
 * the code of today calls words or counts may change, this step may not.
 */

interface Entry {
  readonly jobId: string;
  readonly jobName: string;
  readonly blankId: string;
  readonly blankName: string;
  readonly pressId: string;
  readonly pressName: string;
  readonly verdict: string;
  readonly note: string;
  readonly good: number;
  readonly spoiled: number;
  readonly settings: Readonly<Record<string, unknown>>;
}

const KEYS = ['platenC', 'dwellS', 'passes', 'clock', 'pressure', 'peel', 'fallBackC'] as const;

function words(e: Entry): string[] {
  const text = `${e.jobName} ${e.blankName} ${e.pressName} ${e.verdict} ${e.note}`.toLowerCase();
  return [...new Set((text.match(/[\p{L}\p{N}]+/gu) ?? []).map((w) => w.slice(0, 24)))].slice(0, 80);
}

export async function indexLog(tx: Transaction): Promise<void> {
  const counts = new Map<string, { id: string; good: number; spoiled: number; entries: number }>();
  const add = (id: string, e: Entry) => {
    const t = counts.get(id) ?? { id, good: 0, spoiled: 0, entries: 0 };
    t.good += Number(e.good) || 0;
    t.spoiled += Number(e.spoiled) || 0;
    t.entries += 1;
    counts.set(id, t);
  };
  await tx
    .table('log')
    .toCollection()
    .modify((entry: Entry & { words: string[] }) => {
      entry.words = words(entry);
      add(`job ${entry.jobId}`, entry);
      const settings = KEYS.map((k) => entry.settings[k] ?? '').join('|');
      if (entry.verdict === 'good') add(`heat ${entry.blankId} ${entry.pressId} ${settings}`, entry);
    });
  await tx.table('tallies').bulkPut([...counts.values()]);
}

interface Settings11 {
  readonly platenC: number;
  readonly dwellS: number;
  readonly laterDwellS: number | null;
  readonly passes: number;
  readonly timerStart: string;
  readonly pressure: string;
  readonly peel: string;
  readonly coolDownC: number | null;
}
interface Entry11 {
  readonly id: string;
  readonly at: number;
  readonly corrects: string | null;
  readonly blankId: string;
  readonly pressId: string;
  readonly verdict: string;
  readonly good: number;
  readonly spoiled: number;
  readonly settings: Settings11;
}

/** Ids of entries that no longer count: those corrected, and of two corrections of one entry the older. */
function corrected(entries: readonly Entry11[]): ReadonlySet<string> {
  const gone = new Set<string>();
  const newest = new Map<string, Entry11>();
  for (const e of entries) {
    if (e.corrects === null) continue;
    gone.add(e.corrects);
    const other = newest.get(e.corrects);
    const later = !other || e.at > other.at || (e.at === other.at && e.id > other.id);
    if (other) gone.add(later ? other.id : e.id);
    if (later) newest.set(e.corrects, e);
  }
  return gone;
}

/** Version 11: good pieces are counted by the time of later passes as well. */
export async function countBySettings(tx: Transaction): Promise<void> {
  const gone = corrected((await tx.table('log').where('corrects').above('').toArray()) as Entry11[]);
  const counts = new Map<string, { id: string; good: number; spoiled: number; entries: number }>();
  await tx.table('log').each((e: Entry11) => {
    const s = e.settings as Settings11 | undefined;
    if (!s || e.verdict !== 'good' || gone.has(e.id)) return;
    const later = s.passes > 1 ? (s.laterDwellS ?? s.dwellS) : s.dwellS;
    const key = [s.platenC, s.dwellS, later, s.passes, s.timerStart, s.pressure, s.peel, s.coolDownC].join(
      '|',
    );
    const id = `heat ${e.blankId} ${e.pressId} ${key}`;
    const t = counts.get(id) ?? { id, good: 0, spoiled: 0, entries: 0 };
    t.good += Number(e.good) || 0;
    t.spoiled += Number(e.spoiled) || 0;
    t.entries += 1;
    counts.set(id, t);
  });
  await tx.table('tallies').where('id').startsWith('heat ').delete();
  await tx.table('tallies').bulkPut([...counts.values()]);
}
