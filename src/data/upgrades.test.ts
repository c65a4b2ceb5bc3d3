import { english } from '@/words/english';
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readShopFile } from '@/core/formats/jobFile';
import { shopSchema } from '@/core/shop/shop';
import { MesaDb } from './db';
import type { LogEntry } from '@/core/shop/records';
import { goodBehind, jobTallies, newestEntries } from './log';
import { listJobs, openJob } from './jobs';
import { loadShop } from './shop';
import { DB_VERSIONS } from './upgrades';

/*
 * Databases as every version wrote them, filled with the records of the shop files of their time. Opened today they must hold what those files
 * open to. The stores are written down here as they were, apart from today's code.
 */
const FIRST = {
  jobs: 'id',
  blanks: 'id',
  presses: 'id',
  papers: 'id',
  recipes: 'id, [blankId+pressId]',
  log: 'id, jobId, at',
  runs: 'id, jobId',
  settings: 'id',
  pictures: 'id',
};
const FOURTH = { ...FIRST, standings: 'id' };
const FIFTH = {
  ...FOURTH,
  notes: 'jobId',
  tallies: 'id',
  looks: 'id',
  log: 'id, at, [jobId+at], [blankId+pressId+at], *words',
};
const { standings: _, looks: __, ...KEPT } = FIFTH;
const SIXTH = { ...KEPT, jobStatuses: 'id', analyses: 'id' };
const TENTH = {
  ...SIXTH,
  log: 'id, at, corrects, [jobId+at], [blankId+pressId+at]',
  stockItems: 'id',
  movements: 'id, itemId, runId, at',
  quotes: 'id, jobId, number',
};
const THIRTEENTH = {
  ...TENTH,
  jobs: 'id, archived, *pictures',
  runs: 'id, jobId, open, [jobId+open], [open+startedAt]',
  heatAnswers: 'id, at',
};
const WRITTEN = [
  { db: 1, file: 1, stores: FIRST },
  { db: 2, file: 2, stores: FIRST },
  { db: 3, file: 3, stores: FIRST },
  { db: 4, file: 3, stores: FOURTH },
  { db: 5, file: 4, stores: FIFTH },
  { db: 6, file: 5, stores: SIXTH },
  { db: 7, file: 6, stores: SIXTH },
  { db: 8, file: 7, stores: SIXTH },
  { db: 9, file: 8, stores: { ...SIXTH, log: 'id, at, corrects, [jobId+at], [blankId+pressId+at]' } },
  { db: 10, file: 9, stores: TENTH },
  { db: 11, file: 9, stores: TENTH },
  { db: 12, file: 10, stores: TENTH },
  { db: 14, file: 11, stores: THIRTEENTH },
  { db: 15, file: 12, stores: THIRTEENTH },
  { db: 16, file: 13, stores: THIRTEENTH },
  { db: 17, file: 14, stores: THIRTEENTH },
];

const FIXTURES = join(__dirname, '../core/formats/fixtures');
interface Row {
  readonly id: string;
}
const rows = (v: unknown): Row[] => v as Row[];

let made = 0;
/** A database of before with all the records of a shop file in it. */
async function written(version: number, file: number, stores: Record<string, string>): Promise<string> {
  const name = `written-${(made += 1)}`;
  const text = readFileSync(join(FIXTURES, `shop-${file}.mesashop.json`), 'utf8');
  const { shop, jobs } = JSON.parse(text) as { shop: Record<string, unknown>; jobs: unknown };
  const old = new Dexie(name);
  old.version(version).stores(stores);
  const live = version < 13 ? {} : { archived: 0, pictures: [] };
  for (const table of ['blanks', 'presses', 'papers', 'recipes'])
    await old.table(table).bulkAdd(rows(shop[table]));
  await old.table('runs').bulkAdd(rows(shop.runs).map((run) => (version < 13 ? run : { ...run, open: 1 })));
  await old.table('log').bulkAdd(rows(shop.log).map((e) => (version < 5 ? e : { ...e, words: ['fixture'] })));
  await old
    .table('jobs')
    .bulkAdd(rows(jobs).map((job, i) => ({ id: job.id, rev: i + 1, savedAt: 5, job, ...live })));
  await old.table('settings').add({ id: 'shop', settings: shop.settings });
  old.close();
  return name;
}

const byId = <T extends Row>(list: readonly T[]): T[] => [...list].sort((a, b) => (a.id < b.id ? -1 : 1));

describe.each(WRITTEN)('a database of version $db', ({ db, file, stores }) => {
  test('opens to the same things, runs and jobs as the file of its time', async () => {
    const d = new MesaDb(await written(db, file, stores));
    const read = readShopFile(readFileSync(join(FIXTURES, `shop-${file}.mesashop.json`), 'utf8'));
    if (!read.ok) throw new Error(english.text(read.problem.what));
    const shop = await loadShop(d);
    expect(shopSchema.safeParse(shop).success).toBe(true);
    for (const kind of ['blanks', 'presses', 'papers', 'recipes', 'runs'] as const)
      expect(byId<Row>(shop[kind])).toEqual(byId<Row>(read.value.shop[kind]));
    expect(shop.settings).toEqual(read.value.shop.settings);
    const { jobs } = await listJobs(d);
    expect(byId(jobs.map((r) => r.job))).toEqual(byId(read.value.jobs));
    const first = read.value.jobs[0];
    expect((await openJob(first?.id ?? '', d))?.rev).toBe(1);
    expect((await newestEntries(50, d)).map((e) => e.id)).toContain('log-fixture');
    if (db < 5) expect((await jobTallies([first?.id ?? ''], d))[first?.id ?? '']?.good).toBe(5);
    d.close();
  });
});

test('counts of good pieces kept by settings without the time of later passes are made again with it', async () => {
  const name = await written(10, 9, TENTH);
  const old = new Dexie(name);
  await old.open();
  const [base] = (await old.table('log').toArray()) as LogEntry[];
  if (!base) throw new Error('no entry');
  const settings = { ...base.settings, passes: 2, dwellS: 45 };
  const made = (id: string, good: number, laterDwellS: number | null, corrects: string | null = null) => ({
    ...base,
    id,
    at: base.at + good,
    verdict: 'good',
    good,
    corrects,
    settings: { ...settings, laterDwellS },
  });
  await old
    .table('log')
    .bulkPut([made('a', 40, 15), made('b', 3, null), made('c', 5, 15), made('d', 2, 15, 'c')]);
  const key = [
    settings.platenC,
    45,
    2,
    settings.timerStart,
    settings.pressure,
    settings.peel,
    settings.coolDownC,
  ];
  await old.table('tallies').put({
    id: `heat ${base.blankId} ${base.pressId} ${key.join('|')}`,
    good: 45,
    spoiled: 0,
    entries: 3,
  });
  old.close();
  const d = new MesaDb(name);
  const recipe = (id: string, laterDwellS: number | null) => ({
    id,
    blankId: base.blankId,
    pressId: base.pressId,
    settings: { ...settings, laterDwellS },
    load: null,
    pressureAt: null,
    keptAt: 1,
  });
  expect(await goodBehind([recipe('short', 15), recipe('equal', null)], d)).toEqual({ short: 42, equal: 3 });
  d.close();
});

test('a database written by a newer version is refused in words and left as it is', async () => {
  const newer = Math.max(...DB_VERSIONS.map((v) => v.version)) + 1;
  const name = await written(newer, 4, FIFTH);
  const d = new MesaDb(name);
  const refused = await listJobs(d).then(
    () => null,
    (e: unknown) => e,
  );
  expect(String(refused)).toMatch(/NewerDatabase/);
  d.close();
  const again = new Dexie(name);
  await again.open();
  expect(again.verno).toBe(newer);
  expect(await again.table('jobs').count()).toBe(10);
  again.close();
});
