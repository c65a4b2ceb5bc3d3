import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { demoShop } from '@/core/demo/demoShop';
import { fileText, makeJobFile } from '@/core/formats/jobFile';
import { paintPng, RED } from '@/core/formats/testPicture';
import { newJob, type Job } from '@/core/job/job';
import { pressCycle } from '@/core/operations/cycle';
import { ONE_PIECE } from '@/core/operations/testTimes';
import { type MesaDb } from './db';
import { importJobFile, shopFileText } from './files';
import { addJob, copyJob, keepAsCopy, listJobs, removeJob, restoreJob, saveJob, startJob } from './jobs';
import { loadDemo, seedIfEmpty } from './seed';
import { writeLog } from './log';
import { changeSettings, loadShop } from './shop';
import { DEMO_JOBS, TODAY, fresh, demo, jobOf, baseOf, only, BROKEN } from './testDb';

describe('seeding', () => {
  test('once, and only into an untouched browser', async () => {
    const d = fresh();
    expect(await seedIfEmpty(true, 'en', d, TODAY)).toEqual({ ok: true, value: true });
    await d.jobs.clear();
    expect(await seedIfEmpty(true, 'en', d, TODAY)).toEqual({ ok: true, value: false });
    expect((await listJobs(d)).jobs).toHaveLength(0);
  });
  test('without the demo: things, no jobs; the demo can be had later', async () => {
    const d = fresh();
    await seedIfEmpty(false, 'en', d, TODAY);
    expect((await listJobs(d)).jobs).toHaveLength(0);
    expect((await loadShop(d)).blanks.length).toBeGreaterThan(3);
    await loadDemo('en', d, TODAY);
    expect((await listJobs(d)).jobs).toHaveLength(DEMO_JOBS);
  });
});

describe('a shop of its own ways keeps them', () => {
  const OWN = { shopName: 'Kiln Street', currency: '€' } as const;
  const owned = async () => {
    const d = fresh();
    await seedIfEmpty(false, 'en', d, TODAY);
    await changeSettings((s) => ({ ...s, ...OWN, tape: { ...s.tape, thicknessMm: 0.55 } }), d);
    const [paper] = (await loadShop(d)).papers;
    if (!paper) throw new Error('no paper');
    await d.papers.put({ ...paper, thicknessMm: 0.17 });
    return { d, paperId: paper.id };
  };
  const ways = async (d: MesaDb) => (await loadShop(d)).settings;
  test('when it looks at the demo', async () => {
    const { d, paperId } = await owned();
    await loadDemo('en', d, TODAY);
    expect(await ways(d)).toMatchObject({ ...OWN, tape: { thicknessMm: 0.55 } });
    expect((await d.papers.get(paperId))?.thicknessMm).toBe(0.17);
    const { jobs } = await listJobs(d);
    expect(jobs).toHaveLength(DEMO_JOBS);
    const printers = new Set((await ways(d)).printers.map((p) => p.id));
    for (const { job } of jobs)
      expect(job.sheet.printerId === null || printers.has(job.sheet.printerId)).toBe(true);
  });
  test('when a job file is opened before any work', async () => {
    const { d } = await owned();
    const { shop, jobs } = demoShop(TODAY);
    const [job] = jobs;
    if (!job) throw new Error('none');
    expect((await importJobFile(fileText(makeJobFile(job, shop, [])), d)).ok).toBe(true);
    expect(await ways(d)).toMatchObject({ ...OWN, tape: { thicknessMm: 0.55 } });
  });
  test('two changes at once both last', async () => {
    const { d } = await owned();
    await Promise.all([
      changeSettings((s) => ({ ...s, sound: false }), d),
      changeSettings((s) => ({ ...s, shopName: 'Both' }), d),
    ]);
    expect(await ways(d)).toMatchObject({ sound: false, shopName: 'Both' });
  });
});

test('one log entry written twice is one entry', async () => {
  const d = await demo();
  const [entry] = (await loadShop(d)).log;
  if (!entry) throw new Error('none');
  const mine = { ...entry, id: 'tapped', at: entry.at + 60_000 };
  const both = await Promise.all([writeLog(mine, d), writeLog(mine, d)]);
  expect(both.map((r) => r.ok && r.value).sort()).toEqual([false, true]);
  expect(await d.log.where('id').equals('tapped').count()).toBe(1);
});

describe('jobs', () => {
  test('come in order of due day', async () => {
    const { jobs } = await listJobs(await demo());
    const due = jobs.map((j) => j.job.dueOn ?? '9999');
    expect(due).toEqual([...due].sort());
  });
  test('two tabs: the second save over the same one is a conflict and changes nothing', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const base = await baseOf(d, 'star-party-tumblers');
    expect(await saveJob({ ...job, pieces: 25 }, base, 'mine', d)).toMatchObject({
      ok: true,
      value: { kind: 'saved', rev: 2 },
    });
    const second = await saveJob({ ...job, pieces: 30 }, base, 'other', d);
    expect(second).toMatchObject({
      ok: true,
      value: { kind: 'conflict', theirs: { rev: 2, saveId: 'mine' } },
    });
    expect((await jobOf(d, 'star-party-tumblers')).pieces).toBe(25);
  });
  test('a job out of range is refused by name and the saved one stays', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const r = await saveJob({ ...job, pieces: 0 }, await baseOf(d, job.id), 'x', d);
    expect(inEnglish(r)).toMatchObject({
      ok: false,
      problem: { where: 'Job, pieces', what: 'At least one piece.' },
    });
    expect((await jobOf(d, 'star-party-tumblers')).pieces).toBe(24);
  });
  test('an unreadable record is said, kept and does not take the others down', async () => {
    const d = await demo();
    await d.jobs.put(BROKEN);
    const list = await listJobs(d);
    expect(list.unreadable).toMatchObject([{ kind: 'job', id: 'broken' }]);
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
  test('a job that cannot be read stops no other from being removed, and its pictures stay', async () => {
    const d = await demo();
    await d.jobs.put(BROKEN);
    await d.pictures.put({ id: 'perhaps-its', mime: 'image/png', bytes: new Uint8Array(3) });
    expect((await removeJob('star-party-tumblers', d)).ok).toBe(true);
    expect(await d.jobs.get('star-party-tumblers')).toBeUndefined();
    expect(await d.pictures.get('perhaps-its')).toBeDefined();
  });
  test('removed and put back: the job, its pictures and its runs are as they were', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const bytes = paintPng(3, 3, () => RED);
    await d.pictures.put({ id: 'own', mime: 'image/png', bytes });
    const picture = {
      id: 'own',
      name: 'x',
      mime: 'image/png' as const,
      widthPx: 3,
      heightPx: 3,
      orientation: 1,
    };
    await saveJob(
      { ...job, art: only({ ...picture, drawn: null }) },
      await baseOf(d, job.id),
      'with-picture',
      d,
    );
    const shop = await loadShop(d);
    const blank = shop.blanks.find((b) => b.id === job.blankId);
    const press = shop.presses.find((p) => p.id === job.pressId);
    const settings = shop.recipes[0]?.settings;
    if (!blank || !press || !settings) throw new Error('none');
    const operations = [...pressCycle(settings, press, ONE_PIECE)];
    await d.runs.put({
      open: 1,
      id: 'r',
      jobId: job.id,
      blank,
      press,
      settings,
      pressureAt: null,
      load: null,
      operations,
      startedAt: 1,
      pieces: 2,
      queue: null,
      blanks: null,
      dose: null,
      events: [],
    });
    const before = await shopFileText(d);
    const removed = await removeJob(job.id, d);
    expect(await d.runs.count()).toBe(0);
    expect(await d.pictures.get('own')).toBeUndefined();
    if (!removed.ok || !removed.value) throw new Error('not removed');
    await restoreJob(removed.value, d);
    expect(await shopFileText(d)).toEqual(before);
  });
  test('a save over a job taken out elsewhere does not bring it back', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const base = await baseOf(d, job.id);
    await removeJob(job.id, d);
    expect(await saveJob({ ...job, pieces: 3 }, base, 'late', d)).toEqual({
      ok: true,
      value: { kind: 'removed' },
    });
    expect(await d.jobs.get(job.id)).toBeUndefined();
  });
  test('an untouched new job is taken up again; a touched one is left alone', async () => {
    const d = await demo();
    const first = await startJob('New job', d);
    const again = await startJob('New job', d);
    if (!first.ok || !again.ok) throw new Error('none');
    expect(again.value.id).toBe(first.value.id);
    await saveJob({ ...first.value, note: 'for Ada' }, await baseOf(d, first.value.id), 'x', d);
    const third = await startJob('New job', d);
    expect(third.ok && third.value.id).not.toBe(first.value.id);
  });
  test('a copy keeps the decisions, not the record of pressing', async () => {
    const d = await demo();
    const job = await jobOf(d, 'star-party-tumblers');
    const copy = await copyJob(job, 'Again', d);
    expect(copy.ok && copy.value).toMatchObject({
      name: 'Again',
      blankId: job.blankId,
      prepared: [],
      inspection: { marks: [] },
    });
    expect(copy.ok && copy.value.id).not.toBe(job.id);
  });

  const done = (job: Job): Job => ({
    ...job,
    ladder: {
      platenC: 190,
      on: 'strips',
      prior: { neededLn: 3, neededSd: 1, limitLn: 5, limitSd: 1, correlation: 0, pieceSd: 0.1 },
      rungs: [{ at: 1, dwellS: 60, answer: 'good' }],
    },
    heat: { dwellS: 61 },
    day: { dueAtMin: 600, pins: [{ pressId: 'tumbler-press-a', from: 5 }], waits: true },
    sell: { ...job.sell, customer: 'Ines', priceCents: 900 },
    finish: {
      ...job.finish,
      done: ['box'],
      packed: 12,
      labels: { ...job.finish.labels, text: 'Hand wash', taken: 3 },
    },
  });

  test('a duplicate starts with nothing done: not packed, not placed in the day, not tested, not sold', async () => {
    const d = await demo();
    const job = done(await jobOf(d, 'star-party-tumblers'));
    const copy = await copyJob(job, 'Again', d);
    if (!copy.ok) throw new Error(english.text(copy.problem.what));
    const fresh = newJob(copy.value.id, 'Again');
    expect(copy.value).toEqual({
      ...job,
      id: copy.value.id,
      name: 'Again',
      prepared: [],
      inspection: fresh.inspection,
      heat: {},
      load: {},
      reprint: null,
      ladder: null,
      day: fresh.day,
      sell: fresh.sell,
      finish: { ...job.finish, done: [], packed: 0, labels: { ...job.finish.labels, taken: 0 } },
    });
  });

  test('edits kept as a copy are kept whole, but what was packed is counted once', async () => {
    const d = await demo();
    const job = done(await jobOf(d, 'star-party-tumblers'));
    const copy = await keepAsCopy(job, 'Mine', d);
    if (!copy.ok) throw new Error(english.text(copy.problem.what));
    expect(copy.value).toEqual({
      ...job,
      id: copy.value.id,
      name: 'Mine',
      finish: { ...job.finish, packed: 0 },
    });
    expect(await jobOf(d, copy.value.id)).toEqual(copy.value);
  });
});
