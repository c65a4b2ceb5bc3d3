import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { pressCycle } from '@/core/operations/cycle';
import { ONE_PIECE } from '@/core/operations/testTimes';
import { plan } from '@/core/plan/plan';
import type { Run } from '@/core/shop/records';
import { MesaDb } from './db';
import { addRunEvent, startRun } from './runs';
import { seedIfEmpty } from './seed';
import { keepRecipe, loadShop } from './shop';

const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
const demo = async () => {
  const d = new MesaDb(`runs-${(n += 1)}`);
  await seedIfEmpty(true, d, TODAY);
  return d;
};
const jobOf = async (d: MesaDb, id: string) => {
  const row = await d.jobs.get(id);
  if (!row) throw new Error(id);
  return row.job;
};

test('a run keeps every event in order, and a proven recipe is found again', async () => {
  const d = await demo();
  const shop = await loadShop(d);
  const [recipe] = shop.recipes;
  const blank = shop.blanks.find((b) => b.id === recipe?.blankId);
  const press = shop.presses.find((p) => p.id === recipe?.pressId);
  if (!recipe || !blank || !press) throw new Error('none');
  await startRun(
    {
      id: 'run-1',
      jobId: 'star-party-tumblers',
      blank,
      press,
      startedAt: 1000,
      pieces: 2,
      settings: recipe.settings,
      load: null,
      operations: [...pressCycle(recipe.settings, press, ONE_PIECE)],
      events: [],
    },
    d,
  );
  for (const [i, at] of [2000, 3000, 4000].entries())
    expect(await addRunEvent('run-1', { kind: 'done', operationId: 'load', at }, i, d)).toEqual({
      ok: true,
      value: true,
    });
  expect((await loadShop(d)).runs[0]?.events.map((e) => e.at)).toEqual([2000, 3000, 4000]);
  expect((await addRunEvent('no-such-run', { kind: 'done', operationId: 'load', at: 1 }, 0, d)).ok).toBe(
    false,
  );
  await keepRecipe(
    { ...recipe, id: 'newer', settings: { ...recipe.settings, dwellS: 70 }, keptAt: recipe.keptAt + 1 },
    d,
  );
  const job = await jobOf(d, 'star-party-tumblers');
  expect(plan(job, await loadShop(d)).heat.chosen?.settings.dwellS).toBe(70);
});

const aRun = (id: string): Run => {
  const { shop } = demoShop(TODAY);
  const [recipe] = shop.recipes;
  const blank = shop.blanks.find((b) => b.id === recipe?.blankId);
  const press = shop.presses.find((p) => p.id === recipe?.pressId);
  if (!recipe || !blank || !press) throw new Error('none');
  const { settings } = recipe;
  const operations = [...pressCycle(settings, press, ONE_PIECE)];
  return {
    id,
    jobId: 'j',
    blank,
    press,
    startedAt: 1,
    pieces: 2,
    settings,
    load: null,
    operations,
    events: [],
  };
};

test('“First piece” struck twice starts one run; the next may start once that has ended', async () => {
  const d = await demo();
  const both = await Promise.all([startRun(aRun('a'), d), startRun(aRun('b'), d)]);
  const ids = both.map((r) => r.ok && r.value);
  expect(ids[0]).toBe(ids[1]);
  expect(await d.runs.count()).toBe(1);
  await addRunEvent(String(ids[0]), { kind: 'stop', at: 5 }, 0, d);
  expect(await startRun(aRun('c'), d)).toEqual({ ok: true, value: 'c' });
});

test('a step struck twice, or in two tabs, is one step', async () => {
  const d = await demo();
  await startRun(aRun('a'), d);
  const both = await Promise.all(
    [1, 2].map((at) => addRunEvent('a', { kind: 'done', operationId: 'load', at }, 0, d)),
  );
  expect(both.map((r) => r.ok && r.value).sort()).toEqual([false, true]);
  expect((await loadShop(d)).runs[0]?.events).toHaveLength(1);
});
