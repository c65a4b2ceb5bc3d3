import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import 'fake-indexeddb/auto';
import { DEFAULT_SETTINGS, type Settings } from '@/core/shop/settings';
import type { Run } from '@/core/shop/run';
import { MesaDb } from './db';
import { importJobFile, jobFileText } from './files';
import { isKept, listJobs, openJob } from './jobs';
import { startRun } from './runs';
import { loadDemo, seedIfEmpty } from './seed';
import { asideFileText, stockAndQuotesAside, logAside, removeAside, startFreshSettings } from './setAside';
import { openRuns } from './live';
import { changeSettings, loadThings, readThings } from './shop';
import { storageProblem } from './storage';
import { newRun } from '@/core/plan/press/newRun';
import { plan } from '@/core/plan/plan';

const TODAY = new Date('2026-11-24T12:00:00Z');
let n = 0;
const demo = async () => {
  const d = new MesaDb(`aside-${(n += 1)}`);
  await seedIfEmpty(true, 'en', d, TODAY);
  return d;
};
/** A record as a later version may write it. */
const later = <T extends object>(record: T) => ({ ...record, ofLater: true });

async function runOf(d: MesaDb, jobId: string, id: string): Promise<Run> {
  const record = await openJob(jobId, d);
  const shop = await loadThings(d);
  if (!record) throw new Error(jobId);
  const run = newRun(record.job, plan(record.job, shop), { id, startedAt: 1000, blanks: null, dose: null });
  if (!run) throw new Error(`no run for ${jobId}`);
  return run;
}

test('a run that cannot be read is said, kept, and no second run of the same pieces is begun', async () => {
  const d = await demo();
  const run = await runOf(d, 'star-party-tumblers', 'first');
  await d.runs.add({ ...run, open: 1, events: [{ kind: 'of-later', at: 5 }] } as never);
  const { read, aside } = await openRuns(d);
  expect(read).toEqual([]);
  expect(aside).toMatchObject([{ kind: 'run', id: 'first', jobId: 'star-party-tumblers' }]);
  const second = await startRun(await runOf(d, 'star-party-tumblers', 'second'), d);
  expect(inEnglish(second.ok ? '' : english.text(second.problem.what))).toMatch(
    /A run of this job is kept but cannot be read/,
  );
  expect(await d.runs.count()).toBe(1);
  // Another job is free to begin.
  const ids = (await listJobs(d)).jobs.map((r) => r.id).filter((i) => i !== 'star-party-tumblers');
  const other = await Promise.any(ids.map((i) => runOf(d, i, 'other')));
  expect(await startRun(other, d)).toEqual({ ok: true, value: 'other' });
  // Saved to a file whole, then removed: the job may begin again.
  expect((JSON.parse(asideFileText(aside)) as { records: unknown[] }).records).toEqual([
    { kind: 'run', record: { ...run, open: 1, events: [{ kind: 'of-later', at: 5 }] } },
  ]);
  await removeAside(aside, d);
  expect((await startRun(await runOf(d, 'star-party-tumblers', 'third'), d)).ok).toBe(true);
  d.close();
});

test('settings that cannot be read are not written over until a person resets them; then they are still kept', async () => {
  const d = await demo();
  const own = (await d.settings.get('shop'))?.settings as Settings;
  const stored = { id: 'shop' as const, settings: later({ ...own, shopName: 'Hill Bench' }) };
  await d.settings.put(stored as never);
  const { aside, shop } = await readThings(d);
  expect(aside).toMatchObject([{ kind: 'settings' }]);
  expect(shop.settings).toEqual(DEFAULT_SETTINGS);
  const record = await openJob('star-party-tumblers', d);
  const file = record && (await jobFileText({ ...record.job, id: 'elsewhere' }, d));
  const refused = [
    await changeSettings((s) => ({ ...s, shopName: 'Other' }), d),
    await loadDemo('en', d, TODAY),
    await importJobFile(file?.ok ? file.value : '', d),
  ];
  for (const r of refused)
    expect(inEnglish(r.ok ? '' : english.text(r.problem.what))).toMatch(
      /settings are kept but cannot be read/,
    );
  expect(await d.settings.get('shop')).toEqual(stored);
  expect((await startFreshSettings(d, 77)).ok).toBe(true);
  expect((await changeSettings((s) => ({ ...s, shopName: 'Other' }), d)).ok).toBe(true);
  expect((await readThings(d)).aside).toEqual([]);
  expect((await d.settings.get('unreadable-77'))?.settings).toEqual(stored.settings);
  d.close();
});

test('every kind of record that cannot be read is set aside by its kind, and costs the others nothing', async () => {
  const d = await demo();
  const before = await loadThings(d);
  const counts = async () => {
    const { shop } = await readThings(d);
    return [shop.blanks, shop.presses, shop.papers, shop.recipes].map((l) => l.length);
  };
  const whole = await counts();
  for (const table of ['blanks', 'presses', 'papers', 'recipes', 'stockItems', 'movements'] as const) {
    const row = await d.table<{ id: string }>(table).toCollection().first();
    if (row) await d.table(table).put(later({ ...row, id: `later-${table}` }));
  }
  const entry = await d.log.toCollection().first();
  if (entry) await d.log.put(later({ ...entry, id: 'later-log' }) as never);
  const job = await d.jobs.toCollection().first();
  if (job)
    await d.jobs.put({ ...job, id: 'later-job', job: later({ ...job.job, id: 'later-job' }) } as never);
  const { aside, shop } = await readThings(d);
  expect(shop).toEqual(before);
  expect(await counts()).toEqual(whole);
  const { unreadable, jobs } = await listJobs(d);
  expect(jobs).toHaveLength(10);
  const all = [...aside, ...unreadable, ...(await stockAndQuotesAside(d)), ...(await logAside(d))];
  expect(all.map((a) => a.kind).sort()).toEqual([
    'blank',
    'job',
    'log entry',
    'paper',
    'press',
    'recipe',
    'stock item',
    'stock movement',
  ]);
  expect(await openJob('later-job', d)).toBeNull();
  expect([await isKept('later-job', d), await isKept('never', d)]).toEqual([true, false]);
  d.close();
});

test('a record that does not fit is refused in words, not in the code of its check', async () => {
  const d = await demo();
  const r = await changeSettings((s) => ({ ...s, shopName: 'x'.repeat(500) }), d);
  if (r.ok) throw new Error('stored');
  expect(inEnglish(r.problem.what)).toContain('shopName');
  expect(inEnglish(`${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`)).not.toMatch(
    /[{}[\]"]/,
  );
  expect(storageProblem(new Error('odd'), 'Shop').ok).toBe(false);
  d.close();
});
