import { demoShop } from '../../demo/demoShop';
import { foldRun } from '../../run/run';
import type { Run, RunEvent } from '../../shop/run';
import { newRun } from './newRun';
import { plan } from '../plan';
import { closedJustNow, lowestRead, timingOfRun, wasBack } from './timing';

const { shop, jobs } = demoShop(new Date('2026-11-26T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers');
const T0 = 1_790_000_000_000;
const begun = (events: readonly RunEvent[]): Run => {
  const run = JOB && newRun(JOB, plan(JOB, shop), { id: 'run-1', startedAt: T0 });
  if (!run) throw new Error('no run');
  return { ...run, events: [...events] };
};
const done = (operationId: string, s: number): RunEvent => ({ kind: 'done', operationId, at: T0 + s * 1000 });
const read = (what: 'lowest' | 'back', readC: number, s: number): RunEvent => ({
  kind: 'reading',
  what,
  operationId: 'press-1',
  readC,
  at: T0 + s * 1000,
});
const CLOSED = [done('load', 10), done('close-1', 20)];
const of = (events: readonly RunEvent[]) => {
  const run = begun(events);
  return { run, state: foldRun(run) };
};

test('the two taps of a run are one timing on the load in hand, from the moment it was closed', () => {
  const { run, state } = of([...CLOSED, read('lowest', 171, 32)]);
  expect(timingOfRun(run, state, T0 + 65_000, 't')).toMatchObject({
    setC: 188,
    lowestC: 171,
    backS: 45,
    load: { material: 'steel', vacuum: true, wallMm: 0.5, pieces: 1, wasteSheets: 1 },
  });
  // 73.4 mm across, and as tall as its wall.
  const timing = timingOfRun(run, state, T0 + 65_000, 't');
  expect(timing?.load.circumferenceMm).toBeCloseTo(Math.PI * 73, -1);
});

test('only right after the first closing is the display worth reading', () => {
  expect(closedJustNow(of([]).run, of([]).state)).toBe(false);
  expect(closedJustNow(of(CLOSED).run, of(CLOSED).state)).toBe(true);
  const later = of([...CLOSED, done('press-1', 90)]);
  expect(closedJustNow(later.run, later.state)).toBe(false);
  expect(timingOfRun(later.run, later.state, T0 + 99_000, 't')).toBeNull();
  // Back at once there was nothing to time.
  const now = of(CLOSED);
  expect(timingOfRun(now.run, now.state, T0 + 21_000, 't')).toBeNull();
});

test('the newest reading counts, and those of a closing before do not', () => {
  const twice = of([...CLOSED, read('lowest', 171, 32), read('lowest', 169, 34)]);
  expect(lowestRead(twice.run, twice.state)).toBe(169);
  expect(wasBack(twice.run, twice.state)).toBe(false);
  const old = of([read('lowest', 150, 5), ...CLOSED]);
  expect(lowestRead(old.run, old.state)).toBeNull();
  const back = of([...CLOSED, read('back', 188, 60)]);
  expect(wasBack(back.run, back.state)).toBe(true);
});
