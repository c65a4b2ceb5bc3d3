import 'fake-indexeddb/auto';
import { liveQuery } from 'dexie';
import { demoShop } from '@/core/demo/demoShop';
import { newRun } from '@/core/plan/press/newRun';
import { plan } from '@/core/plan/plan';
import { isOn, withState } from '@/core/run/pieces';
import { cycleOf } from '@/core/run/run';
import type { Run } from '@/core/shop/run';
import { MesaDb } from './db';
import { changeJob, jobRecord, listJobs, openJob } from './jobs';
import { archiveJobs, endedRuns, newestRuns, openRuns, runRecord, runsOfJob, settleRuns } from './live';
import { addRunEvent, startRun } from './runs';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
let n = 0;

async function filled(): Promise<MesaDb> {
  const d = new MesaDb(`live-${(n += 1)}`);
  await d.jobs.bulkPut(jobs.map((job) => jobRecord(job, { rev: 1, savedAt: 0, saveId: `s-${job.id}` })));
  return d;
}

function runOn(jobId: string, id: string, startedAt: number): Run {
  const job = jobs.find((j) => j.id === jobId);
  const run = job && newRun(job, plan(job, shop), { id, startedAt });
  if (!run) throw new Error('no run');
  return run;
}
const stopped = (run: Run): Run => ({
  ...run,
  load: null,
  events: [{ kind: 'stop', at: run.startedAt + 9 }],
});

test('runs that are on, those of some jobs that are over, and the newest: each by its own index', async () => {
  const d = await filled();
  const on = runOn('star-party-tumblers', 'on', 50);
  const over = Array.from({ length: 30 }, (_, i) => stopped(runOn('dome-beakers', `over-${i}`, 1000 + i)));
  await d.runs.bulkPut([on, ...over].map(runRecord));
  expect((await openRuns(d)).read.map((r) => r.id)).toEqual(['on']);
  expect((await endedRuns(['dome-beakers'], d)).read).toHaveLength(30);
  expect((await endedRuns(['star-party-tumblers'], d)).read).toEqual([]);
  const newest = (await newestRuns(d)).read;
  expect(newest).toHaveLength(16);
  expect(newest[0]?.id).toBe('over-29');
  expect((await runsOfJob('star-party-tumblers', d)).read).toEqual([on]);
});

test('what was read before and has not changed is the very same object; what has changed is checked again', async () => {
  const d = await filled();
  await d.runs.bulkPut(
    [runOn('star-party-tumblers', 'a', 50), runOn('dome-beakers', 'b', 60)].map(runRecord),
  );
  const [first, second] = (await openRuns(d)).read;
  expect((await openRuns(d)).read).toEqual([first, second]);
  const step = first && cycleOf(first)[0];
  if (!first || !step) throw new Error('no run');
  await addRunEvent(first.id, { kind: 'done', at: 99, operationId: step.id }, 0, d);
  const after = (await openRuns(d)).read;
  expect(after.find((r) => r.id === second?.id)).toBe(second);
  expect(after.find((r) => r.id === first.id)?.events).toHaveLength(1);
  const before = (await listJobs(d)).jobs;
  await changeJob('dome-beakers', (j) => ({ ...j, note: 'new' }), d);
  const later = (await listJobs(d)).jobs;
  for (const j of later)
    if (j.id === 'dome-beakers') expect(j.job.note).toBe('new');
    else expect(j).toBe(before.find((b) => b.id === j.id));
});

test('a record that cannot be read is set aside, its neighbours are read, and once it can be read it is', async () => {
  const d = await filled();
  const good = runRecord(runOn('dome-beakers', 'good', 60));
  await d.runs.bulkPut([good, { ...good, id: 'bad', pieces: -1 }]);
  for (let i = 0; i < 2; i += 1) {
    const rows = await openRuns(d);
    expect(rows.read.map((r) => r.id)).toEqual(['good']);
    expect(rows.aside).toMatchObject([{ kind: 'run', id: 'bad', jobId: 'dome-beakers' }]);
  }
  await d.runs.put({ ...good, id: 'bad', startedAt: 61 });
  expect((await openRuns(d)).read.map((r) => r.id).sort()).toEqual(['bad', 'good']);
});

test('a tap reads the runs that are on, and neither those that are over nor the jobs', async () => {
  const d = await filled();
  const on = runOn('star-party-tumblers', 'on', 50);
  await d.runs.bulkPut([on, stopped(runOn('dome-beakers', 'over', 40))].map(runRecord));
  const asked = { on: 0, ended: 0, newest: 0, jobs: 0 };
  const counted = (key: keyof typeof asked, query: () => Promise<unknown>) =>
    liveQuery(query).subscribe(() => {
      asked[key] += 1;
    });
  const watching = [
    counted('on', () => openRuns(d)),
    counted('ended', () =>
      endedRuns(
        jobs.map((j) => j.id),
        d,
      ),
    ),
    counted('newest', () => newestRuns(d)),
    counted('jobs', () => listJobs(d)),
  ];
  const rest = () => new Promise((r) => setTimeout(r, 50));
  const until = async (done: () => boolean) => {
    while (!done()) await rest();
  };
  await until(() => Object.values(asked).every((times) => times > 0));
  const before = { ...asked };
  const step = cycleOf(on)[0];
  if (!step) throw new Error('no step');
  await addRunEvent('on', { kind: 'done', at: 99, operationId: step.id }, 0, d);
  await until(() => asked.on > before.on);
  // Whatever else were asked would be asked by now.
  await rest();
  expect(asked).toEqual({ ...before, on: before.on + 1 });
  watching.forEach((w) => w.unsubscribe());
});

test('runs kept without saying whether they are on are put away where they are over', async () => {
  const d = await filled();
  const on = runOn('star-party-tumblers', 'on', 50);
  const over = stopped(runOn('dome-beakers', 'over', 40));
  await d.runs.bulkPut([on, over].map((r) => ({ ...r, open: 1 as const })));
  await settleRuns(d);
  expect((await openRuns(d)).read.map((r) => r.id)).toEqual(['on']);
  expect((await endedRuns(['dome-beakers'], d)).read.map((r) => r.id)).toEqual(['over']);
});

test('an archived job opens by its id, and is live again once it is changed or pressed', async () => {
  const d = await filled();
  const ids = ['dome-beakers', 'star-party-tumblers'];
  await archiveJobs(ids, d);
  const live = async () => (await listJobs(d)).jobs.map((j) => j.id).filter((id) => ids.includes(id));
  expect(await live()).toEqual([]);
  expect((await openJob('dome-beakers', d))?.job.id).toBe('dome-beakers');
  await changeJob('dome-beakers', (j) => ({ ...j, note: 'again' }), d);
  expect(await live()).toEqual(['dome-beakers']);
  const run = runOn('star-party-tumblers', 'r', 50);
  expect(await startRun(run, d)).toMatchObject({ ok: true });
  expect((await live()).sort()).toEqual([...ids].sort());
  expect((await openRuns(d)).read.map(withState).every(isOn)).toBe(true);
});
