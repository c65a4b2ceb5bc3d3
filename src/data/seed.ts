import { demoShop, starterShop, type DemoShop } from '@/core/demo/demoShop';
import type { Result } from '@/core/result';
import { allTables, db as theDb, type MesaDb } from './db';
import { stored } from './storage';

/** Fills an untouched browser: the demo shop, or generic things to start from. Does nothing where a shop exists. */
export const seedIfEmpty = (demo: boolean, db: MesaDb = theDb, today: Date = new Date()): Promise<Result<boolean>> =>
  stored('Shop', () =>
    db.transaction('rw', allTables(db), async () => {
      if ((await db.settings.count()) > 0) return false;
      await fill(db, demo ? demoShop(today) : starterShop(), today.getTime());
      return true;
    }),
  );

/** Adds the demo's jobs and records to a shop with no jobs, at a person's wish. */
export const loadDemo = (db: MesaDb = theDb, today: Date = new Date()): Promise<Result<void>> =>
  stored('Shop', () => db.transaction('rw', allTables(db), () => fill(db, demoShop(today), today.getTime())));

async function fill(db: MesaDb, { shop, jobs }: DemoShop, now: number): Promise<void> {
  await db.blanks.bulkPut(shop.blanks);
  await db.presses.bulkPut(shop.presses);
  await db.papers.bulkPut(shop.papers);
  await db.recipes.bulkPut(shop.recipes);
  await db.log.bulkPut(shop.log);
  await db.settings.put({ id: 'shop', settings: shop.settings });
  await db.jobs.bulkPut(jobs.map((job) => ({ id: job.id, rev: 1, savedAt: now, job })));
}
