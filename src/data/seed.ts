import type { DemoShop } from '@/core/demo/demoShop';
import type { Result } from '@/core/result';
import { allTables, db as theDb, type MesaDb } from './db';
import { stored } from './storage';

/** What shops start with is fetched only where one starts: a shop that exists never needs it. */
const startingThings = () => import('@/core/demo/demoShop');

/** Fills an untouched browser: the demo shop, or generic things to start from. Does nothing where a shop exists. */
export const seedIfEmpty = (
  demo: boolean,
  db: MesaDb = theDb,
  today: Date = new Date(),
): Promise<Result<boolean>> =>
  stored('Shop', async () => {
    if ((await db.settings.count()) > 0) return false;
    const { demoShop, starterShop } = await startingThings();
    const start = demo ? demoShop(today) : starterShop();
    return db.transaction('rw', allTables(db), async () => {
      // Another tab may have started the shop while the things were fetched.
      if ((await db.settings.count()) > 0) return false;
      await fill(db, start, today.getTime());
      return true;
    });
  });

/** Adds the demo's jobs and records to a shop with no jobs, at a person's wish. */
export const loadDemo = (db: MesaDb = theDb, today: Date = new Date()): Promise<Result<void>> =>
  stored('Shop', async () => {
    const { demoShop } = await startingThings();
    const demo = demoShop(today);
    await db.transaction('rw', allTables(db), () => fill(db, demo, today.getTime()));
  });

async function fill(db: MesaDb, { shop, jobs }: DemoShop, now: number): Promise<void> {
  await db.blanks.bulkPut(shop.blanks);
  await db.presses.bulkPut(shop.presses);
  await db.papers.bulkPut(shop.papers);
  await db.recipes.bulkPut(shop.recipes);
  await db.log.bulkPut(shop.log);
  await db.settings.put({ id: 'shop', settings: shop.settings });
  await db.jobs.bulkPut(jobs.map((job) => ({ id: job.id, rev: 1, savedAt: now, job })));
}
