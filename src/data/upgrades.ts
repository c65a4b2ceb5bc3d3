import type { Transaction } from 'dexie';
import { isRaw, type VersionStep } from '@/core/formats/upgrades/raw';
import { TO_2 } from '@/core/formats/upgrades/to2';
import { TO_3 } from '@/core/formats/upgrades/to3';
import { TO_4 } from '@/core/formats/upgrades/to4';
import { TO_5 } from '@/core/formats/upgrades/to5';
import { TO_6 } from '@/core/formats/upgrades/to6';
import { TO_7 } from '@/core/formats/upgrades/to7';
import { TO_8 } from '@/core/formats/upgrades/to8';
import { TO_9 } from '@/core/formats/upgrades/to9';
import { TO_10 } from '@/core/formats/upgrades/to10';
import { TO_11 } from '@/core/formats/upgrades/to11';
import { TO_13 } from '@/core/formats/upgrades/to13';
import { TO_14 } from '@/core/formats/upgrades/to14';
import { TO_15 } from '@/core/formats/upgrades/to15';
import { countBySettings, indexLog } from './upgradeLog';

/** One version of the database: what it indexes again, and what becomes of the records of the version before. Never edited once released. */
interface DbVersion {
  readonly version: number;
  readonly stores: Readonly<Record<string, string | null>>;
  readonly upgrade?: (tx: Transaction) => Promise<void>;
}

/** Changes every record of a table in place. */
const each = async (tx: Transaction, table: string, change?: (record: unknown) => unknown): Promise<void> => {
  if (!change) return;
  await tx
    .table(table)
    .toCollection()
    .modify((record, ref) => {
      ref.value = change(record) as typeof record;
    });
};

/** Changes one field of every record: a job and the settings stand inside a record with an id of their own. */
const inside = (field: string, change: (value: unknown) => unknown) => (record: unknown) =>
  isRaw(record) ? { ...record, [field]: change(record[field]) } : record;

/** Carries the records over by the same step that files climb by. */
const climb = (step: VersionStep) => async (tx: Transaction) => {
  const kept: unknown = await tx.table('settings').get('shop');
  const before = isRaw(kept) ? kept.settings : undefined;
  const { job, settings } = step;
  await each(tx, 'blanks', step.blank);
  await each(tx, 'presses', step.press);
  await each(tx, 'papers', step.paper);
  await each(tx, 'recipes', step.recipe);
  await each(tx, 'log', step.logEntry);
  await each(tx, 'runs', step.run);
  if (job)
    await each(
      tx,
      'jobs',
      inside('job', (v) => job(v, before)),
    );
  if (settings) await each(tx, 'settings', inside('settings', settings));
};

/** Every job live, with the pictures it holds; every run on until it is read: those that are over are put away then. */
async function findLive(tx: Transaction): Promise<void> {
  await each(tx, 'runs', (run) => (isRaw(run) ? { ...run, open: 1 } : run));
  await each(tx, 'jobs', (row) =>
    isRaw(row) ? { ...row, archived: 0, pictures: pictureIds(isRaw(row.job) ? row.job.art : null) } : row,
  );
}

/** Ids of all pictures in the art of a job of any version since 1: of its layers, and of its names list. */
function pictureIds(art: unknown): readonly string[] {
  if (!isRaw(art)) return [];
  const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : []);
  const layers = list(art.layers).map((l) => (isRaw(l) ? l.picture : null));
  const named = list(isRaw(art.names) ? art.names.pictures : null);
  const ids = [...layers, ...named].flatMap((p) => (isRaw(p) && typeof p.id === 'string' ? [p.id] : []));
  return [...new Set(ids)];
}

export const DB_VERSIONS: readonly DbVersion[] = [
  {
    version: 1,
    stores: {
      jobs: 'id',
      blanks: 'id',
      presses: 'id',
      papers: 'id',
      recipes: 'id, [blankId+pressId]',
      log: 'id, jobId, at',
      runs: 'id, jobId',
      settings: 'id',
      pictures: 'id',
    },
  },
  { version: 2, stores: {}, upgrade: climb(TO_2) },
  { version: 3, stores: {}, upgrade: climb(TO_3) },
  { version: 4, stores: { standings: 'id' } },
  {
    version: 5,
    stores: {
      notes: 'jobId',
      tallies: 'id',
      looks: 'id',
      log: 'id, at, [jobId+at], [blankId+pressId+at], *words',
    },
    upgrade: async (tx) => {
      await indexLog(tx);
      await climb(TO_4)(tx);
    },
  },
  {
    // What is only kept to be shown sooner is made again under its new names.
    version: 6,
    stores: { standings: null, looks: null, jobStatuses: 'id', analyses: 'id' },
    upgrade: climb(TO_5),
  },
  { version: 7, stores: {}, upgrade: climb(TO_6) },
  { version: 8, stores: {}, upgrade: climb(TO_7) },
  {
    // What an entry corrects is looked up; words are no longer kept beside it.
    version: 9,
    stores: { log: 'id, at, corrects, [jobId+at], [blankId+pressId+at]' },
    upgrade: climb(TO_8),
  },
  {
    // The stock and the quotes.
    version: 10,
    stores: { stockItems: 'id', movements: 'id, itemId, runId, at', quotes: 'id, jobId, number' },
    upgrade: climb(TO_9),
  },
  { version: 11, stores: {}, upgrade: countBySettings },
  { version: 12, stores: {}, upgrade: climb(TO_10) },
  {
    // What is going on is found without reading the years before it.
    version: 13,
    stores: {
      jobs: 'id, archived, *pictures',
      runs: 'id, jobId, open, [jobId+open], [open+startedAt]',
      heatAnswers: 'id, at',
    },
    upgrade: findLive,
  },
  { version: 14, stores: {}, upgrade: climb(TO_11) },
  // Records may say what an older application does not know: a vacuum press. Nothing older changes.
  { version: 15, stores: {} },
  { version: 16, stores: {}, upgrade: climb(TO_13) },
  {
    version: 17,
    stores: {},
    upgrade: async (tx) => {
      await climb(TO_14)(tx);
      await each(tx, 'tallies', (t) => (isRaw(t) ? { ...t, seconds: 0 } : t));
    },
  },
  { version: 18, stores: {}, upgrade: climb(TO_15) },
];
