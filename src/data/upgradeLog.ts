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
