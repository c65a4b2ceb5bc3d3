import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { pressCycle } from '@/core/operations/cycle';
import { ONE_PIECE } from '@/core/operations/testTimes';
import { plan } from '@/core/plan/plan';
import { cycleOf, foldRun } from '@/core/run/run';
import type { Run } from '@/core/shop/run';
import { MesaDb } from './db';
import { addRunEvent, startRun } from './runs';
import { seedIfEmpty } from './seed';
import { keepRecipe, loadShop } from './shop';

const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
const demo = async () => {
  const d = new MesaDb(`runs-${(n += 1)}`);
  await seedIfEmpty(true, 'en', d, TODAY);
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
      queue: null,
      blanks: null,
      dose: null,
      settings: recipe.settings,
      pressureAt: null,
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
    queue: null,
    blanks: null,
    dose: null,
    settings,
    pressureAt: null,
    load: null,
    operations,
    events: [],
  };
};

test('“First piece” tapped twice starts one run; the next may start once that has ended', async () => {
  const d = await demo();
  const both = await Promise.all([startRun(aRun('a'), d), startRun(aRun('b'), d)]);
  const ids = both.map((r) => r.ok && r.value);
  expect(ids[0]).toBe(ids[1]);
  expect(await d.runs.count()).toBe(1);
  await addRunEvent(String(ids[0]), { kind: 'stop', at: 5 }, 0, d);
  expect(await startRun(aRun('c'), d)).toEqual({ ok: true, value: 'c' });
});

test('a step tapped twice, or in two tabs, is one step', async () => {
  const d = await demo();
  await startRun(aRun('a'), d);
  const both = await Promise.all(
    [1, 2].map((at) => addRunEvent('a', { kind: 'done', operationId: 'load', at }, 0, d)),
  );
  expect(both.map((r) => r.ok && r.value).sort()).toEqual([false, true]);
  expect((await loadShop(d)).runs[0]?.events).toHaveLength(1);
});

const PIECES = Array.from({ length: 4 }, (_, i) => ({ number: i + 1, name: `Guest ${i + 1}` }));
const OTHER_PRESS = (run: Run): Run => ({
  ...run,
  press: { ...run.press, id: 'other', name: 'Other press' },
});
const named = (id: string): Run => ({ ...aRun(id), pieces: 4, queue: PIECES });
/** Strikes every step of a load, as hands would. */
async function throughOne(id: string, d: MesaDb): Promise<void> {
  const start = (await loadShop(d)).runs.find((r) => r.id === id);
  if (!start) throw new Error(id);
  for (const o of cycleOf(start)) {
    const n = (await loadShop(d)).runs.find((r) => r.id === id)?.events.length ?? 0;
    expect((await addRunEvent(id, { kind: 'done', operationId: o.id, at: 10 + n }, n, d)).ok).toBe(true);
  }
}
const hands = async (id: string, d: MesaDb) => {
  const run = (await loadShop(d)).runs.find((r) => r.id === id);
  return run ? foldRun(run).inLoad.map((p) => p.number) : [];
};

test('one job over two presses: each takes what no press holds, by name, and nothing twice', async () => {
  const d = await demo();
  await startRun(named('a'), d);
  expect((await startRun(OTHER_PRESS(named('b')), d)).ok).toBe(true);
  expect([await hands('a', d), await hands('b', d)]).toEqual([[1], [2]]);
  await throughOne('b', d);
  await throughOne('a', d);
  expect([await hands('a', d), await hands('b', d)]).toEqual([[4], [3]]);
  await throughOne('a', d);
  await throughOne('b', d);
  const runs = (await loadShop(d)).runs.map(foldRun);
  expect(runs.map((r) => [r.good, r.ended])).toEqual([
    [2, 'finished'],
    [2, 'finished'],
  ]);
  const again = await startRun(named('c'), d);
  expect(inEnglish(again.ok ? '' : english.text(again.problem.what))).toMatch(
    /Every piece of this job is pressed/,
  );
});

test('a press that is on with another job is refused in words; what a press holds is not taken by laying', async () => {
  const d = await demo();
  await startRun(named('a'), d);
  const refused = await startRun({ ...named('b'), jobId: 'another' }, d);
  expect(inEnglish(refused.ok ? '' : english.text(refused.problem.what))).toMatch(/is on with another job/);
  await startRun(OTHER_PRESS(named('c')), d);
  const lay = await addRunEvent('c', { kind: 'lay', at: 5, pieces: [{ number: 1, name: 'Guest 1' }] }, 0, d);
  expect(inEnglish(lay.ok ? '' : english.text(lay.problem.what))).toMatch(/Piece 1 is in another press/);
  expect(
    await addRunEvent('c', { kind: 'lay', at: 5, pieces: [{ number: 3, name: 'Guest 3' }] }, 0, d),
  ).toEqual({
    ok: true,
    value: true,
  });
  expect(await hands('c', d)).toEqual([3]);
});

test('a stale screen that lays a piece that is good already is refused with a reason, and nothing is stored', async () => {
  const d = await demo();
  await startRun(named('a'), d);
  await throughOne('a', d);
  const before = (await loadShop(d)).runs[0]?.events.length;
  const lay = await addRunEvent('a', { kind: 'lay', at: 99, pieces: PIECES.slice(0, 1) }, null, d);
  expect(inEnglish(lay.ok ? '' : english.text(lay.problem.what))).toBe(
    'Piece 1 is pressed and good already.',
  );
  expect((await loadShop(d)).runs[0]?.events.length).toBe(before);
  expect(await hands('a', d)).toEqual([2]);
});

test('taking back counts even where the step before it has only just been stored', async () => {
  const d = await demo();
  await startRun(aRun('a'), d);
  await Promise.all([
    addRunEvent('a', { kind: 'done', operationId: 'load', at: 2 }, 0, d),
    addRunEvent('a', { kind: 'undo', at: 3 }, null, d),
  ]);
  const run = (await loadShop(d)).runs[0];
  expect(run?.events.map((e) => e.kind)).toEqual(['done', 'undo']);
  expect(run && foldRun(run).stepIndex).toBe(0);
});

test('a hundred tabs closed in the middle of a step: every step is stored whole or not at all, and counted once', async () => {
  const d = await demo();
  await startRun({ ...named('a'), pieces: 4 }, d);
  let tapped = 0;
  for (let i = 0; i < 100; i += 1) {
    const run = (await loadShop(d)).runs[0];
    if (!run) throw new Error('gone');
    const state = foldRun(run);
    if (state.ended !== 'no') break;
    const event = { kind: 'done' as const, operationId: cycleOf(run)[state.stepIndex]?.id ?? '', at: 10 + i };
    // Both what is tapped and its repeat after a reload that did not see it stored.
    const twice = await Promise.all([
      addRunEvent('a', event, run.events.length, d),
      addRunEvent('a', event, run.events.length, d),
    ]);
    tapped += twice.filter((r) => r.ok && r.value).length;
  }
  const run = (await loadShop(d)).runs[0];
  if (!run) throw new Error('gone');
  expect(tapped).toBe(run.events.length);
  expect(foldRun(run)).toMatchObject({ good: 4, spoiled: 0, ended: 'finished' });
  expect(run.events).toHaveLength(4 * cycleOf(run).length);
});
