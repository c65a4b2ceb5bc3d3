import { inEveryLanguage, startingIn } from '@/words/starting/starting';
import { type Locale } from '@/words/locale';
import { say } from '@/core/message/message';
import type { DemoShop } from '@/core/demo/demoShop';
import type { JobStatus } from '@/core/plan/status';
import type { Result } from '@/core/basics/result';
import { sameContent } from '@/core/basics/same';
import { DEFAULT_SETTINGS, withPrinters } from '@/core/shop/settings';
import type { Shop } from '@/core/shop/shop';
import { allTables, db as theDb, type MesaDb } from './db';
import { jobRecord, listJobs } from './jobs';
import { addToLog } from './log';
import { putStockAndQuotes } from './books';
import { loadShop, loadThings, settingsUnreadable } from './shop';
import { jobFacts, jobWords, keepStatuses, statusKeys } from './statuses';
import { stored } from './storage';
import { part } from '@/core/basics/part';

/** The things of a first start, with where its jobs stand if the server said so. */
export interface StartingThings extends DemoShop {
  readonly jobStatuses?: Readonly<Record<string, JobStatus>>;
}

/**
 * What a shop starts with, fetched as data only where one starts; made here where the server does not answer, as without a
 * network.
 */
async function startingThings(demo: boolean, locale: Locale, today: Date): Promise<StartingThings> {
  const english = await inEnglish(demo, today);
  const things = await startingIn(locale, english);
  if (things === english) return things;
  // Where the jobs stand was written with the English names.
  const { jobStatuses: _english, ...rest } = things;
  return rest;
}

async function inEnglish(demo: boolean, today: Date): Promise<StartingThings> {
  try {
    const answer = await fetch(`/api/starting?demo=${demo ? 1 : 0}&today=${today.getTime()}`);
    if (answer.ok) return (await answer.json()) as StartingThings;
  } catch {
    // Made from the same source below.
  }
  const { demoShop, starterShop } = await part(() => import('@/core/demo/demoShop'));
  return demo ? demoShop(today) : starterShop();
}

/** Fills an untouched browser: the demo shop, or generic things to start from. Does nothing where a shop exists. */
export const seedIfEmpty = (
  demo: boolean,
  locale: Locale,
  db: MesaDb = theDb,
  today: Date = new Date(),
): Promise<Result<boolean>> =>
  stored(say('common.shop'), async () => {
    if ((await db.settings.count()) > 0) return false;
    const start = await startingThings(demo, locale, today);
    const filled = await db.transaction('rw', allTables(db), async () => {
      // Another tab may have started the shop while the things were fetched.
      if ((await db.settings.count()) > 0) return false;
      await fill(db, start, today.getTime());
      return true;
    });
    if (filled && start.jobStatuses) await fillStatuses(db, start.jobStatuses);
    return filled;
  });

/** Adds the demo's jobs and records to a shop with no jobs, at a person's wish. */
export const loadDemo = async (
  locale: Locale,
  db: MesaDb = theDb,
  today: Date = new Date(),
): Promise<Result<void>> =>
  (await settingsUnreadable(db)) ??
  stored(say('common.shop'), async () => {
    const demo = await startingThings(true, locale, today);
    const fresh = await inEveryLanguage(DEFAULT_SETTINGS);
    await db.transaction('rw', allTables(db), async () => {
      const own = await loadShop(db);
      const clean = fresh.some((settings) => sameContent(own.settings, settings));
      await fill(db, clean ? demo : beside(own, demo), today.getTime());
    });
  });

/** The demo's things a shop does not have yet: what it has, under whatever name or figure, stays as it is. */
function beside(own: Shop, { shop, jobs, books }: DemoShop): DemoShop {
  const lacking = <T extends { readonly id: string }>(mine: readonly T[], theirs: readonly T[]): T[] =>
    theirs.filter((t) => !mine.some((m) => m.id === t.id));
  return {
    jobs,
    books,
    shop: {
      settings: withPrinters(own.settings, lacking(own.settings.printers, shop.settings.printers)),
      blanks: lacking(own.blanks, shop.blanks),
      presses: lacking(own.presses, shop.presses),
      papers: lacking(own.papers, shop.papers),
      recipes: lacking(own.recipes, shop.recipes),
      log: lacking(own.log, shop.log),
      runs: [],
    },
  };
}

/** The status of the first jobs, as the server calculated it, under the keys of job and shop as they are read back here. */
async function fillStatuses(db: MesaDb, jobStatuses: Readonly<Record<string, JobStatus>>): Promise<void> {
  const shop = await loadThings(db);
  const { jobs } = await listJobs(db);
  const keys = statusKeys(shop, jobs, await jobFacts(shop, jobs, db));
  const records = jobs.flatMap(({ id, job }) => {
    const jobStatus = jobStatuses[id];
    return jobStatus ? [{ id, key: keys.get(id) ?? '', words: jobWords(job), jobStatus }] : [];
  });
  await keepStatuses(records, db);
}

async function fill(db: MesaDb, { shop, jobs, books }: DemoShop, now: number): Promise<void> {
  await db.blanks.bulkPut(shop.blanks);
  await db.presses.bulkPut(shop.presses);
  await db.papers.bulkPut(shop.papers);
  await db.recipes.bulkPut(shop.recipes);
  await addToLog(db, shop.log);
  await db.settings.put({ id: 'shop', settings: shop.settings });
  await putStockAndQuotes(db, books);
  await db.jobs.bulkPut(jobs.map((job) => jobRecord(job, { rev: 1, savedAt: now })));
}
