import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { fileText, makeJobFile } from '@/core/formats/jobFile';
import { paintPng, RED } from '@/core/formats/testPicture';
import type { Job } from '@/core/job/job';
import { plan } from '@/core/plan/plan';
import { fromBase64, toBase64 } from '@/core/formats/base64';
import { importJobFile, checkShopFile, jobFileText, restoreShop, shopFileText } from './files';
import { contentId } from './ids';
import { saveJob } from './jobs';
import { seedIfEmpty } from './seed';
import { loadShop, removeThing, saveBlank } from './shop';
import { storageProblem } from './storage';
import { TODAY, fresh, demo, jobOf, baseOf, only } from './testDb';

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
    await saveJob(withPicture, await baseOf(a, job.id), 'x', a);
    const text = await jobFileText(withPicture, a);
    if (!text.ok) throw new Error(english.text(text.problem.what));
    const b = fresh();
    await seedIfEmpty(false, 'en', b, TODAY);
    const brought = await importJobFile(text.value, b);
    if (!brought.ok) throw new Error(english.text(brought.problem.what));
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
    const r = await importJobFile(fileText(makeJobFile(job, foreign, [])), d);
    if (!r.ok) throw new Error(english.text(r.problem.what));
    const after = await loadShop(d);
    expect(after.settings).toEqual(before.settings);
    for (const b of before.blanks) expect(after.blanks).toContainEqual(b);
    expect(r.value.id).not.toBe(job.id);
    expect(r.value.name).toMatch(/ \(2\)$/);
    expect(after.blanks.find((b) => b.id === r.value.blankId)).toMatchObject({
      wallMm: 0.9,
      name: expect.stringMatching(/ \(2\)$/),
    });
    expect(await jobOf(d, job.id)).toEqual(job);
  });
  test('an own blank in a shop without jobs is not swept away', async () => {
    const d = fresh();
    await seedIfEmpty(false, 'en', d, TODAY);
    const [blank] = (await loadShop(d)).blanks;
    if (!blank) throw new Error('none');
    await saveBlank({ ...blank, id: 'mine', name: 'Mine' }, d);
    const { shop, jobs } = demoShop(TODAY);
    const [job] = jobs;
    if (!job) throw new Error('none');
    await importJobFile(fileText(makeJobFile(job, shop, [])), d);
    expect((await loadShop(d)).blanks.some((b) => b.id === 'mine')).toBe(true);
  });
  test('a bad file changes nothing at all', async () => {
    const d = await demo();
    const before = await shopFileText(d);
    expect((await importJobFile('{"format":"mesa-drift.job","version":1,', d)).ok).toBe(false);
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
    const r = await importJobFile(fileText(makeJobFile(job, await loadShop(d), [svg])), d);
    expect(inEnglish(r)).toMatchObject({
      ok: false,
      problem: { what: expect.stringContaining('SVG drawing') },
    });
    const jpegSaid = { ...svg, mime: 'image/jpeg' as const, base64: toBase64(paintPng(2, 2, () => RED)) };
    const s = await importJobFile(fileText(makeJobFile(job, await loadShop(d), [jpegSaid])), d);
    expect(inEnglish(s)).toMatchObject({
      ok: false,
      problem: { what: expect.stringContaining('not of the kind') },
    });
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
    expect(inEnglish(await jobFileText(lost, d))).toMatchObject({
      ok: false,
      problem: { where: 'lost.png' },
    });
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
  if (!file.ok) throw new Error(english.text(file.problem.what));
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
    expect(inEnglish(!r.ok && english.text(r.problem.what))).toMatch(what);
    expect(inEnglish(!r.ok && english.text(r.problem.wayOut))).toMatch(way);
  });
  test('a quota error wrapped by the database', () => {
    const r = storageProblem(
      Object.assign(new Error('x'), { name: 'AbortError', inner: named('QuotaExceededError') }),
      'Job',
    );
    expect(inEnglish(!r.ok && english.text(r.problem.what))).toMatch(/full/);
  });
});
