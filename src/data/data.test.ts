import { NO_ART, pictureLayer, type Art, type PictureRef } from '@/core/job/art';
import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { fileText, makeJobFile } from '@/core/formats/jobFile';
import { paintPng, RED } from '@/core/formats/testPicture';
import { newJob, type Job } from '@/core/job/job';
import { plan } from '@/core/plan/plan';
import { fromBase64, toBase64 } from '@/core/formats/base64';
import { MesaDb } from './db';
import { bringJobFile, checkShopFile, jobFileText, restoreShop, shopFileText } from './files';
import { contentId } from './ids';
import { clearUnsaved, noteUnsaved, readUnsaved } from './journal';
import { addJob, copyJob, listJobs, openJob, removeJob, saveJob } from './jobs';
import { loadDemo, seedIfEmpty } from './seed';
import { addRunEvent, keepRecipe, loadShop, removeThing, saveBlank, startRun } from './shop';
import { storageProblem } from './storage';

const DEMO_JOBS = 10;
const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
const fresh = () => new MesaDb(`test-${(n += 1)}`);
const demo = async () => {
  const d = fresh();
  await seedIfEmpty(true, d, TODAY);
  return d;
};
const jobOf = async (d: MesaDb, id: string): Promise<Job> => {
  const r = await openJob(id, d);
  if (!r) throw new Error(id);
  return r.job;
};

const only = (picture: PictureRef): Art => ({ ...NO_ART, layers: [pictureLayer('p', picture)] });

describe('seeding', () => {
  test('once, and only into an untouched browser', async () => {
    const d = fresh();
    expect(await seedIfEmpty(true, d, TODAY)).toEqual({ ok: true, value: true });
    await d.jobs.clear();
    expect(await seedIfEmpty(true, d, TODAY)).toEqual({ ok: true, value: false });
    expect((await listJobs(d)).jobs).toHaveLength(0);
  });
  test('without the demo: things, no jobs; the demo can be had later', async () => {
    const d = fresh();
    await seedIfEmpty(false, d, TODAY);
    expect((await listJobs(d)).jobs).toHaveLength(0);
    expect((await loadShop(d)).blanks.length).toBeGreaterThan(3);
    await loadDemo(d, TODAY);
    expect((await listJobs(d)).jobs).toHaveLength(DEMO_JOBS);
  });
});

describe('jobs', () => {
  test('come in order of due day', async () => {
    const { jobs } = await listJobs(await demo());
    const due = jobs.map((j) => j.job.dueOn ?? '9999');
    expect(due).toEqual([...due].sort());
  });
  test('two tabs: the second save over the same revision is a conflict and changes nothing', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    expect(await saveJob({ ...job, pieces: 25 }, 1, d)).toMatchObject({
      ok: true,
      value: { kind: 'saved', rev: 2 },
    });
    const second = await saveJob({ ...job, pieces: 30 }, 1, d);
    expect(second).toMatchObject({ ok: true, value: { kind: 'conflict', theirs: { rev: 2 } } });
    expect((await jobOf(d, 'star-party-tumblers')).pieces).toBe(25);
  });
  test('a job out of range is refused by name and the saved one stays', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const r = await saveJob({ ...job, pieces: 0 }, 1, d);
    expect(r).toMatchObject({ ok: false, problem: { where: 'Job, pieces', what: 'At least one piece.' } });
    expect((await jobOf(d, 'star-party-tumblers')).pieces).toBe(24);
  });
  test('an unreadable record is said, kept and does not take the others down', async () => {
    const d = await demo();
    await d.jobs.put({ id: 'broken', rev: 1, savedAt: 0, job: { id: 'broken' } as Job });
    const list = await listJobs(d);
    expect(list.unreadable).toEqual(['broken']);
    expect(list.jobs).toHaveLength(DEMO_JOBS);
    expect(await d.jobs.get('broken')).toBeDefined();
  });
  test('removing a job takes its pictures only where no other job uses them', async () => {
    const d = await demo();
    const bytes = paintPng(3, 3, () => RED);
    await d.pictures.bulkPut([
      { id: 'shared', mime: 'image/png', bytes },
      { id: 'own', mime: 'image/png', bytes },
    ]);
    const base = newJob('a', 'A');
    const picture = {
      id: 'shared',
      name: 'x',
      mime: 'image/png' as const,
      widthPx: 3,
      heightPx: 3,
      orientation: 1,
      drawn: null,
    };
    await addJob({ ...base, art: only(picture) }, d);
    await addJob({ ...base, id: 'b', art: only({ ...picture, id: 'own' }) }, d);
    await addJob({ ...base, id: 'c', art: only(picture) }, d);
    await removeJob('a', d);
    await removeJob('b', d);
    expect(await d.pictures.toCollection().primaryKeys()).toEqual(['shared']);
  });
  test('a copy keeps the decisions, not the record of pressing', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const copy = await copyJob(job, 'Again', d);
    expect(copy.ok && copy.value).toMatchObject({
      name: 'Again',
      blankId: job.blankId,
      prepared: [],
      look: { marks: [] },
    });
    expect(copy.ok && copy.value.id).not.toBe(job.id);
  });
});

describe('job files', () => {
  test('into an empty browser: identical, byte for byte', async () => {
    const a = await demo();
    const bytes = paintPng(6, 4, () => RED);
    const id = await contentId(bytes);
    await a.pictures.put({ id, mime: 'image/png', bytes });
    const job = await jobOf(a, 'star-party-tumblers');
    const withPicture: Job = {
      ...job,
      art: only({ id, name: 'red', mime: 'image/png', widthPx: 6, heightPx: 4, orientation: 1, drawn: null }),
    };
    await saveJob(withPicture, 1, a);
    const text = await jobFileText(withPicture, a);
    if (!text.ok) throw new Error(text.problem.what);
    const b = fresh();
    await seedIfEmpty(false, b, TODAY);
    const brought = await bringJobFile(text.value, b);
    if (!brought.ok) throw new Error(brought.problem.what);
    expect(brought.value).toEqual(withPicture);
    expect(await jobFileText(withPicture, b)).toEqual(text);
    expect(plan(withPicture, await loadShop(b))).toEqual(plan(withPicture, await loadShop(a)));
    expect((await b.pictures.get(id))?.bytes).toEqual(bytes);
  });
  test('beside other work: nothing of the shop’s own is overwritten', async () => {
    const d = await demo();
    const before = await loadShop(d);
    const job = await jobOf(d, 'star-party-tumblers');
    const foreign = {
      ...before,
      blanks: before.blanks.map((b) => ({ ...b, wallMm: 0.9 })),
      settings: { ...before.settings, shopName: 'Elsewhere' },
    };
    const r = await bringJobFile(fileText(makeJobFile(job, foreign, [])), d);
    if (!r.ok) throw new Error(r.problem.what);
    const after = await loadShop(d);
    expect(after.settings).toEqual(before.settings);
    for (const b of before.blanks) expect(after.blanks).toContainEqual(b);
    expect(r.value.id).not.toBe(job.id);
    expect(r.value.name).toMatch(/from file/);
    expect(after.blanks.find((b) => b.id === r.value.blankId)).toMatchObject({
      wallMm: 0.9,
      name: expect.stringMatching(/from file/),
    });
    expect(await jobOf(d, job.id)).toEqual(job);
  });
  test('an own blank in a shop without jobs is not swept away', async () => {
    const d = fresh();
    await seedIfEmpty(false, d, TODAY);
    const [blank] = (await loadShop(d)).blanks;
    if (!blank) throw new Error('none');
    await saveBlank({ ...blank, id: 'mine', name: 'Mine' }, d);
    const { shop, jobs } = demoShop(TODAY);
    const [job] = jobs;
    if (!job) throw new Error('none');
    await bringJobFile(fileText(makeJobFile(job, shop, [])), d);
    expect((await loadShop(d)).blanks.some((b) => b.id === 'mine')).toBe(true);
  });
  test('a bad file changes nothing at all', async () => {
    const d = await demo();
    const before = await shopFileText(d);
    expect((await bringJobFile('{"format":"mesa-drift.job","version":1,', d)).ok).toBe(false);
    expect(await shopFileText(d)).toEqual(before);
  });
  test('a picture inside that is not one is refused, and nothing is changed', async () => {
    const d = await demo();
    const before = await shopFileText(d);
    const job = await jobOf(d, 'star-party-tumblers');
    const svg = {
      id: 'p',
      mime: 'image/png' as const,
      base64: toBase64(new TextEncoder().encode('<svg onload="x">')),
    };
    const r = await bringJobFile(fileText(makeJobFile(job, await loadShop(d), [svg])), d);
    expect(r).toMatchObject({ ok: false, problem: { what: expect.stringContaining('SVG drawing') } });
    const jpegSaid = { ...svg, mime: 'image/jpeg' as const, base64: toBase64(paintPng(2, 2, () => RED)) };
    const s = await bringJobFile(fileText(makeJobFile(job, await loadShop(d), [jpegSaid])), d);
    expect(s).toMatchObject({ ok: false, problem: { what: expect.stringContaining('not of the kind') } });
    expect(await shopFileText(d)).toEqual(before);
  });
  test('a picture that is missing is said, not skipped', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const lost: Job = {
      ...job,
      art: only({
        id: 'gone',
        name: 'lost.png',
        mime: 'image/png',
        widthPx: 3,
        heightPx: 3,
        orientation: 1,
        drawn: null,
      }),
    };
    expect(await jobFileText(lost, d)).toMatchObject({ ok: false, problem: { where: 'lost.png' } });
  });
});

test('the whole shop, saved and restored elsewhere, is identical', async () => {
  const a = await demo();
  const text = await shopFileText(a);
  if (!text.ok) throw new Error('save failed');
  const b = await demo();
  await b.jobs.clear();
  await removeThing('papers', 'a4', b);
  const file = checkShopFile(text.value);
  if (!file.ok) throw new Error(file.problem.what);
  expect((await restoreShop(file.value, b)).ok).toBe(true);
  expect(await shopFileText(b)).toEqual(text);
});

test('a restore that fails half way leaves the shop as it was', async () => {
  const d = await demo();
  const before = await shopFileText(d);
  const file = before.ok ? checkShopFile(before.value) : before;
  if (!file.ok) throw new Error('unreadable');
  const poisoned = {
    ...file.value,
    pictures: [{ id: 'x', mime: 'image/png' as const, base64: '!not base64!' }],
  };
  expect((await restoreShop(poisoned, d)).ok).toBe(false);
  expect(await shopFileText(d)).toEqual(before);
});

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
      events: [],
    },
    d,
  );
  for (const at of [2000, 3000, 4000])
    expect((await addRunEvent('run-1', { kind: 'next', at }, d)).ok).toBe(true);
  expect((await loadShop(d)).runs[0]?.events.map((e) => e.at)).toEqual([2000, 3000, 4000]);
  expect((await addRunEvent('no-such-run', { kind: 'next', at: 1 }, d)).ok).toBe(false);
  await keepRecipe(
    { ...recipe, id: 'newer', settings: { ...recipe.settings, dwellS: 70 }, keptAt: recipe.keptAt + 1 },
    d,
  );
  const job = await jobOf(d, 'star-party-tumblers');
  expect(plan(job, await loadShop(d)).heat.chosen?.settings.dwellS).toBe(70);
});

test('bytes to base64 and back', () => {
  const bytes = Uint8Array.from({ length: 100_001 }, (_, i) => (i * 7) % 256);
  expect(fromBase64(toBase64(bytes))).toEqual(bytes);
  expect(toBase64(bytes)).toBe(Buffer.from(bytes).toString('base64'));
});

describe('storage that fails is put into words', () => {
  const named = (name: string) => Object.assign(new Error('x'), { name });
  test.each([
    ['QuotaExceededError', /storage is full/, /file now/],
    ['OpenFailedError', /refuses to store/, /private browsing/],
    ['SecurityError', /refuses to store/, /private browsing/],
    ['OddError', /could not be stored/, /reload/],
  ])('%s', (name, what, way) => {
    const r = storageProblem(named(name), 'Job');
    expect(!r.ok && r.problem.what).toMatch(what);
    expect(!r.ok && r.problem.wayOut).toMatch(way);
  });
  test('a quota error wrapped by the database', () => {
    const r = storageProblem(
      Object.assign(new Error('x'), { name: 'AbortError', inner: named('QuotaExceededError') }),
      'Job',
    );
    expect(!r.ok && r.problem.what).toMatch(/full/);
  });
});

describe('the unsaved note', () => {
  const held = new Map<string, string>();
  beforeAll(() => {
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      value: {
        getItem: (k: string) => held.get(k) ?? null,
        setItem: (k: string, v: string) => void held.set(k, v),
        removeItem: (k: string) => void held.delete(k),
      },
    });
  });
  test('is there at once, and goes only when that very state is saved', () => {
    const job = newJob('a', 'A');
    noteUnsaved(job, 3);
    expect(readUnsaved('a')).toEqual({ baseRev: 3, job });
    clearUnsaved({ ...job, name: 'B' });
    expect(readUnsaved('a')).not.toBeNull();
    clearUnsaved(job);
    expect(readUnsaved('a')).toBeNull();
  });
  test('a spoiled note is no note', () => {
    held.set('mesa-drift.unsaved.a', '{"baseRev":1');
    expect(readUnsaved('a')).toBeNull();
  });
  test('a browser that refuses is answered, not crashed on', () => {
    Object.defineProperty(globalThis, 'localStorage', {
      configurable: true,
      get: () => {
        throw new Error('denied');
      },
    });
    expect(noteUnsaved(newJob('a', 'A'), 1)).toBe(false);
    expect(readUnsaved('a')).toBeNull();
  });
});
