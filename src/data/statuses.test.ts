import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { GET } from '@/app/api/starting/route';
import { demoShop } from '@/core/demo/demoShop';
import { JOB_STEPS } from '@/core/figures/jobSteps';
import { fnv32, keyOf } from '@/core/memo/key';
import { plan } from '@/core/plan/plan';
import { picturesOf } from '@/core/job/art';
import { statusIn, statusOf } from '@/core/plan/statusOf';
import { byName } from '@/core/shop/shop';
import fc from 'fast-check';
import { MesaDb } from './db';
import { jobRecord, listJobs } from './jobs';
import { archiveJobs } from './live';
import { seedIfEmpty } from './seed';
import { changeSettings, loadShop, loadThings } from './shop';
import {
  jobFacts,
  keepStatuses,
  findArchived,
  loadStatuses,
  statusKeys,
  sharedWith,
  type JobFacts,
} from './statuses';

const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
const fresh = () => new MesaDb(`statuses-${(n += 1)}`);

/** A first start with the server answering, as in the application itself. */
async function started(): Promise<MesaDb> {
  const d = fresh();
  const before = globalThis.fetch;
  globalThis.fetch = ((url: string) =>
    Promise.resolve(GET(new Request(`http://127.0.0.1${url}`)))) as typeof fetch;
  try {
    await seedIfEmpty(true, 'en', d, TODAY);
  } finally {
    globalThis.fetch = before;
  }
  return d;
}
const keys = async (d: MesaDb) => {
  const shop = await loadThings(d);
  const { jobs } = await listJobs(d);
  return statusKeys(shop, jobs, await jobFacts(shop, jobs, d));
};

test('a first start comes with where every job stands, under the key the list of jobs will look for', async () => {
  const d = await started();
  const want = await keys(d);
  const kept = await loadStatuses([...want.keys()], d);
  expect(kept).toHaveLength(want.size);
  for (const r of kept) expect(r.key).toBe(want.get(r.id));
});

test('what the server calculated is what this browser would calculate', async () => {
  const d = await started();
  const shop = await loadShop(d);
  const ids = (await listJobs(d)).jobs.map((j) => j.id);
  const kept = new Map((await loadStatuses(ids, d)).map((r) => [r.id, r.jobStatus]));
  for (const { id, job } of (await listJobs(d)).jobs) expect(kept.get(id)).toEqual(statusOf(job, shop));
});

test('a setting changed anywhere in the shop makes every kept status out of date', async () => {
  const d = await started();
  await changeSettings((s) => ({ ...s, defaults: { ...s.defaults, bleedMm: s.defaults.bleedMm + 0.5 } }), d);
  const now = await keys(d);
  const old = await loadStatuses([...now.keys()], d);
  expect(old).toHaveLength(now.size);
  for (const r of old) expect(r.key).not.toBe(now.get(r.id));
});

test('a job edited is out of date, its neighbours are not; so is one whose log, runs, shared sheets or pictures say more', () => {
  const { shop, jobs } = demoShop(TODAY);
  const [first, second] = jobs;
  if (!first || !second) throw new Error('two demo jobs');
  const records = jobs.map((job) => jobRecord(job, { rev: 1, savedAt: 0 }));
  const facts: JobFacts = { proven: {}, tallies: {}, analyses: new Set() };
  const before = statusKeys(shop, records, facts);
  const changed = (after: ReadonlyMap<string, string>) =>
    [...before].filter(([id, key]) => after.get(id) !== key).map(([id]) => id);
  const edited = records.map((r) =>
    r.id === first.id ? { ...r, job: { ...r.job, pieces: r.job.pieces + 1 } } : r,
  );
  expect(changed(statusKeys(shop, edited, facts))).toEqual([first.id]);
  expect(changed(statusKeys(structuredClone(shop), structuredClone(records), facts))).toEqual([]);
  const tallies = { [second.id]: { good: 1, seconds: 0, spoiled: 0, entries: 1 } };
  expect(changed(statusKeys(shop, records, { ...facts, tallies }))).toEqual([second.id]);
  const picture = picturesOf(second.art)[0];
  if (!picture) throw new Error('no picture');
  const users = jobs.filter((j) => picturesOf(j.art).some((p) => p.id === picture.id)).map((j) => j.id);
  expect(changed(statusKeys(shop, records, { ...facts, analyses: new Set([picture.id]) }))).toEqual(users);
  // Shares its sheets with the first: an edit of that one is felt.
  const sharing = records.map((r) =>
    r.id === second.id ? { ...r, job: { ...r.job, sheet: { ...r.job.sheet, sharedJobIds: [first.id] } } } : r,
  );
  const bothEdited = sharing.map((r) => (r.id === first.id ? { ...r, job: { ...r.job, pieces: 3 } } : r));
  const [x, y] = [statusKeys(shop, sharing, facts), statusKeys(shop, bothEdited, facts)];
  expect(x.get(second.id)).not.toBe(y.get(second.id));
});

test('with what its own screen knows, the list of jobs says what the screen says', () => {
  const { shop, jobs } = demoShop(TODAY);
  const [first, second] = jobs;
  if (!first || !second) throw new Error('two demo jobs');
  const job = { ...first, sheet: { ...first.sheet, sharedJobIds: [second.id] } };
  const sharedJobs = sharedWith(
    job,
    jobs.map((j) => jobRecord(j, { rev: 1, savedAt: 0 })),
  );
  expect(sharedJobs.map((j) => j.id)).toEqual([second.id]);
  const made = plan(job, shop, { sharedJobs });
  expect(statusOf(job, shop, { sharedJobs })).toEqual(statusIn(made));
});

test('statuses of jobs no longer there are let go; the rest is replaced', async () => {
  const d = fresh();
  const { shop, jobs } = demoShop(TODAY);
  const [a, b] = jobs;
  if (!a || !b) throw new Error('two demo jobs');
  const record = (id: string, key: string) => ({ id, key, words: '', jobStatus: statusOf(a, shop) });
  await d.jobs.bulkPut([a, b].map((job) => jobRecord(job, { rev: 1, savedAt: 0 })));
  await keepStatuses([record(a.id, '1'), record(b.id, '1')], d);
  await d.jobs.delete(a.id);
  await keepStatuses([record(b.id, '2')], d);
  expect((await loadStatuses([a.id, b.id], d)).map((r) => [r.id, r.key])).toEqual([[b.id, '2']]);
});

test('a browser that will not keep them is no matter', async () => {
  const d = fresh();
  d.close();
  await expect(keepStatuses([], d)).resolves.toBeUndefined();
});

test('an archived job is off the live list and found by its words, with the status it had', async () => {
  const d = await started();
  const { jobs } = await listJobs(d);
  const [first] = jobs;
  if (!first) throw new Error('no job');
  expect(await findArchived(first.job.name, d)).toEqual([]);
  await archiveJobs([first.id], d);
  expect((await listJobs(d)).jobs.map((j) => j.id)).not.toContain(first.id);
  const found = await findArchived(`  ${first.job.name.slice(0, 6).toUpperCase()} `, d);
  expect(found.map((f) => f.record.job)).toEqual([first.job]);
  expect(found[0]?.jobStatus.at).toBeDefined();
  expect(await findArchived('no such words', d)).toEqual([]);
  expect(await findArchived(' ', d)).toEqual([]);
});

/** Read off the list of jobs by eye: the current step, and what is most in its way. */
const BY_EYE = [
  ['dome-beakers', 'press', null, null],
  // Nobody chose a press for these two: the best that fits is taken.
  ['comet-cans', 'press', null, null],
  [
    'trail-guide-bottles',
    'blank',
    'warning',
    'Only the maker’s figures so far. Measure round the rim, round the foot and up the wall.',
  ],
  ['slate-trail-markers', 'press', null, null],
] as const;

test.each(BY_EYE)('the status of %s: at %s, %s', (id, at, level, text) => {
  const { shop, jobs } = demoShop(TODAY);
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  const status = statusOf(job, shop);
  expect(status.at).toBe(at);
  expect(inEnglish([status.worst?.level ?? null, status.worst?.text ?? null])).toEqual([level, text]);
  expect(JSON.parse(JSON.stringify(status))).toEqual(status);
});

test('the steps before the current one are done, and a job pressed, looked over and written down is done throughout', () => {
  const { shop, jobs } = demoShop(TODAY);
  for (const job of jobs) {
    const { at, progress } = statusOf(job, shop);
    const before = JOB_STEPS.slice(0, JOB_STEPS.indexOf(at));
    expect(before.every((t) => progress[t] === 'done')).toBe(true);
    expect(progress[at]).not.toBe('done');
  }
});

test('by name, whatever order things were kept in', () => {
  const { shop } = demoShop(TODAY);
  const turned = { ...shop, papers: [...shop.papers].reverse(), blanks: [...shop.blanks].reverse() };
  expect(byName(turned)).toEqual(byName(shop));
  const names = byName(shop).papers.map((p) => p.name);
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)));
});

test('ids that are stored are FNV-1a of the JSON: its published answers', () => {
  // Fowler, Noll and Vo's 32-bit test values, with the quote marks JSON puts round a string.
  const fnv = (text: string) =>
    [...Buffer.from(text, 'latin1')].reduce(
      (h, b) => Number((BigInt(h ^ b) * 16777619n) & 0xffffffffn),
      0x811c9dc5,
    );
  for (const text of ['', 'a', 'foobar'])
    expect(fnv32(text)).toBe(fnv(`"${text}"`).toString(16).padStart(8, '0'));
});

test('a key has 64 bits, each of them used: 300,000 values that differ in a figure share no half of one', () => {
  fc.assert(fc.property(fc.jsonValue(), (v) => keyOf(v) === keyOf(JSON.parse(JSON.stringify(v)))));
  const keys = Array.from({ length: 300_000 }, (_, i) => keyOf({ dwellS: i, of: 'a blank' }));
  expect(new Set(keys).size).toBe(keys.length);
  // Halves of 32 bits meet about n²/2³³ = 10.5 times by chance; a weak half would meet far more often.
  for (const half of [keys.map((k) => k.slice(0, 8)), keys.map((k) => k.slice(8))])
    expect(half.length - new Set(half).size).toBeLessThan(30);
});
