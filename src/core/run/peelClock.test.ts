import { pressCycle } from '../operations/cycle';
import { ONE_PIECE } from '../operations/testTimes';
import type { RunEvent } from '../shop/run';
import { cycleOf, foldRun } from './run';
import { wrappedLoads } from './peelClock';
import { must, pieces, PRESS, queued, SETTINGS, T0 } from './testRun';

const ALL = pieces(4);
const made = (peel: 'hot' | 'warm' | 'cold') => {
  const settings = { ...SETTINGS, peel };
  const peelFrom = peel === 'hot' ? null : { value: 100, low: 80, high: 130 };
  const operations = [
    ...pressCycle(settings, PRESS, {
      ...ONE_PIECE,
      pieces: 2,
      peelFrom,
      touch: { value: 300, low: 200, high: 400 },
    }),
  ];
  const ids = cycleOf({ operations }).map((o) => o.id);
  // The first load is over 10 s after the start, the second 20 s after it.
  const load = (endS: number, next: typeof ALL): RunEvent[] =>
    ids.map((id, i) => ({
      kind: 'done' as const,
      operationId: id,
      at: T0 + (endS - ids.length + 1 + i) * 1000,
      ...(i === ids.length - 1 ? { next } : {}),
    }));
  const events = [...load(10, ALL.slice(2)), ...load(20, [])];
  return queued(ALL, 2, { settings, operations, events });
};
const at = (run: ReturnType<typeof made>, s: number, unwrapped = 0) => {
  const state = foldRun(run);
  return wrappedLoads(run, { ...state, between: { ...state.between, unwrapped } }, T0 + s * 1000);
};

test('each load counts to when its paper may come off, the first to be peeled first', () => {
  const run = made('cold');
  expect(at(run, 60).map((w) => [w.pieces.map((p) => p.number), w.fromS, w.beforeS])).toEqual([
    [[1, 2], 50, null],
    [[3, 4], 60, null],
  ]);
  expect(must(at(run, 130)[0]).fromS).toBe(-20);
});

test('warm pieces are peeled before they are cold', () => {
  expect(at(made('warm'), 60).map((w) => w.beforeS)).toEqual([250, 260]);
});

test('what is counted as unwrapped is taken from the oldest', () => {
  expect(at(made('warm'), 60, 3).map((w) => w.pieces.map((p) => p.number))).toEqual([[4]]);
  expect(at(made('warm'), 60, 4)).toEqual([]);
});

test('a run begun before there was such a wait unwraps its cold pieces when they can be touched', () => {
  const run = made('cold');
  const before = { ...run, operations: run.operations.filter((o) => o.kind !== 'peel-from') };
  expect(at(before, 60).map((w) => w.fromS)).toEqual([250, 260]);
});

test('pieces peeled as they come out wait for nothing', () => {
  expect(at(made('hot'), 60)).toEqual([]);
});
