import type { DemoShop } from '@/core/demo/demoShop';
import type { Result } from '@/core/result';
import { allTables, db as theDb, type MesaDb } from './db';
import { stored } from './storage';

/**
 * What a shop starts with, fetched as data only where one starts; made here where the server does not answer, as without a
 * network.
 */
async function startingThings(demo: boolean, today: Date): Promise<DemoShop> {
  try {
    const answer = await fetch(`/api/starting?demo=${demo ? 1 : 0}&today=${today.getTime()}`);
    if (answer.ok) return (await answer.json()) as DemoShop;
  } catch {
    // Made from the same source below.
  }
  const { demoShop, starterShop } = await import('@/core/demo/demoShop');
  return demo ? demoShop(today) : starterShop();
}

/** Fills an untouched browser: the demo shop, or generic things to start from. Does nothing where a shop exists. */
export const seedIfEmpty = (
  demo: boolean,
  db: MesaDb = theDb,
  today: Date = new Date(),
): Promise<Result<boolean>> =>
  stored('Shop', async () => {
    if ((await db.settings.count()) > 0) return false;
    const start = await startingThings(demo, today);
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
    const demo = await startingThings(true, today);
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
