import { demoShop } from '../demo/demoShop';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { createJobBases } from './jobWork';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const jobOf = (id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
const pressesOf = (job: Job): readonly string[] =>
  createJobBases()
    .of(job, shop, {})
    .works.map((w) => shop.presses.find((p) => p.id === w.pressId)?.name ?? '');

test('a job on a chosen press goes to it, and to others of its kind only', () => {
  const job = jobOf('constellation-mugs');
  const kind = shop.presses.find((p) => p.id === job.pressId)?.kind;
  expect(new Set(pressesOf(job).map((name) => shop.presses.find((p) => p.name === name)?.kind))).toEqual(
    new Set([kind]),
  );
});

test('without a chosen press, the press of the plan comes first, then every other that can press the job', () => {
  const job = { ...jobOf('comet-cans'), pressId: null };
  const names = pressesOf(job);
  expect(names[0]).toBe(plan(job, shop).heat.press?.name);
  expect(names).toEqual(expect.arrayContaining(['Tumbler press A', 'Mug press']));
  expect(names).not.toContain('Flat press A');
});

test('a job pinned to presses goes to those alone', () => {
  const job = jobOf('constellation-mugs');
  const pinned: Job = { ...job, day: { ...job.day, pins: [{ pressId: 'mug-press', from: 0 }] } };
  expect([...new Set(pressesOf(pinned))]).toEqual(['Mug press']);
});
