import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { cycleOf, eventOf, foldRun } from '../../run/run';
import { runSchema } from '../../shop/run';
import { newRun, pressBlocked } from './newRun';
import { plan } from '../plan';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const begun = (job: Job = JOB) => newRun(job, plan(job, shop), { id: 'run-1', startedAt: 1000 });

test('a run holds copies of all it depends on, and the operations of its plan', () => {
  const run = begun();
  const made = plan(JOB, shop);
  expect(runSchema.safeParse(run).success).toBe(true);
  expect(run).toMatchObject({
    jobId: JOB.id,
    pieces: JOB.pieces,
    startedAt: 1000,
    settings: made.heat.chosen?.settings,
    operations: made.heat.operations,
    events: [],
  });
});

test('only what is left is pressed: good pieces of runs before count, spoiled ones do not', () => {
  const run = begun();
  if (!run) throw new Error('no run');
  const done = cycleOf(run).map((o, i) => ({ kind: 'done' as const, operationId: o.id, at: 2000 + i }));
  const spoiled = { kind: 'spoiled' as const, operationId: 'load', at: 3000 };
  const before = { ...run, events: [...done, spoiled, { kind: 'stop' as const, at: 4000 }] };
  const after = plan(JOB, { ...shop, runs: [before] });
  expect(newRun(JOB, after, { id: 'run-2', startedAt: 5000 })?.pieces).toBe(JOB.pieces - 1);
});

test('nothing begins without a press, a blank or a piece left', () => {
  const without = { ...shop, presses: [] };
  expect(newRun(JOB, plan(JOB, without), { id: 'run-1', startedAt: 1000 })).toBeNull();
  expect(begun({ ...JOB, blankId: null })).toBeNull();
  const made = plan(JOB, shop);
  expect(newRun(JOB, { ...made, press: { ...made.press, free: [] } }, { id: 'r', startedAt: 0 })).toBeNull();
});

test('a blocker in wrap or heat stops the press, a warning does not', () => {
  expect(pressBlocked(plan(JOB, shop))).toBe(false);
  expect(pressBlocked(plan(JOB, { ...shop, presses: [] }))).toBe(true);
  const setBack = { ...JOB, wrap: { ...JOB.wrap, topSetbackMm: 150, footSetbackMm: 150 } };
  expect(pressBlocked(plan(setBack, shop))).toBe(true);
});

test('what is tapped is recorded about the operation in hand', () => {
  const run = begun();
  if (!run) throw new Error('no run');
  const state = foldRun(run);
  expect(eventOf(run, state, 'done', 7)).toEqual({ kind: 'done', operationId: 'load', at: 7 });
  expect(eventOf(run, state, 'spoiled', 7)).toEqual({ kind: 'spoiled', operationId: 'load', at: 7 });
  expect(eventOf(run, state, 'undo', 7)).toEqual({ kind: 'undo', at: 7 });
  expect(eventOf(run, state, 'stop', 7)).toEqual({ kind: 'stop', at: 7 });
  expect(eventOf({ ...run, operations: [] }, state, 'done', 7)).toBeNull();
});

describe('figures of the press come from the list of operations', () => {
  const value = (id: string, job = JOB) => {
    const f = plan(job, shop).press.figures.find((x) => x.id === id);
    return f && { value: 'value' in f.quantity ? f.quantity.value : null, spread: f.spread };
  };
  test('one piece by hand and press: two dwells of 65 s that do not vary, and the rest by a fifth less to two fifths more', () => {
    const hands = 15 + 6 + 12 + 40 + 6 + 20 + 6;
    const each = value('press.each');
    expect(each?.value).toBe(130 + hands);
    expect(each?.spread?.[0]).toBeCloseTo(130 + 0.8 * hands, 9);
    expect(each?.spread?.[1]).toBeCloseTo(130 + 1.4 * hands, 9);
    expect(value('press.all')?.value).toBe(24 * (130 + hands));
  });
  test('a wrapped tumbler takes a fresh sheet of waste paper, a flat piece two, an oven none', () => {
    expect(value('press.waste')?.value).toBe(24);
    const slate = jobs.find((j) => j.id === 'slate-trail-markers') as Job;
    expect(value('press.waste', slate)?.value).toBe(2 * slate.pieces);
    expect(value('press.waste', { ...JOB, pressId: 'bench-oven' })).toBeUndefined();
  });
  test('lid and foot off, clean, wrap, tape the seam and both rims, waste paper round it', () => {
    expect(value('press.prepare')?.value).toBe(10 + 10 + 20 + 40 + 20 + 30 + 8);
  });
});
