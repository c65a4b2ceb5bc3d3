import fc from 'fast-check';
import { LIBRARY } from '../library/library';
import { STARTER_PRESSES } from '../demo/things';
import type { HeatSettings } from '../shop/heatSettings';
import { pressCycle } from '../operations/cycle';
import { ONE_PIECE } from '../operations/testTimes';
import { operation, plannedS, type Operation } from '../shop/operation';
import type { Run, RunEvent } from '../shop/records';
import { cooling, cycleOf, foldRun, inHand, remainingS, stepClock, touchSafeAfterS } from './run';

const must = <T>(x: T | undefined): T => {
  if (x === undefined) throw new Error('missing');
  return x;
};
const BLANK = must(LIBRARY.find((b) => b.id === 'straight-steel-590'));
const PRESS = must(STARTER_PRESSES.find((p) => p.kind === 'tumbler'));
const SETTINGS: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  laterDwellS: null,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};
const OPERATIONS = pressCycle(SETTINGS, PRESS, ONE_PIECE);
const T0 = 1_790_000_000_000;
const run = (
  events: readonly RunEvent[],
  pieces = 3,
  operations: readonly Operation[] = OPERATIONS,
): Run => ({
  id: 'r',
  jobId: 'j',
  blank: BLANK,
  press: PRESS,
  startedAt: T0,
  pieces,
  settings: SETTINGS,
  load: null,
  operations: [...operations],
  events: [...events],
});
const CYCLE = cycleOf(run([])).map((o) => o.id);
const done = (operationId: string, s: number): RunEvent => ({ kind: 'done', operationId, at: T0 + s * 1000 });
const undo = (s: number): RunEvent => ({ kind: 'undo', at: T0 + s * 1000 });
/** Taps of a person who always ends the operation in hand: n of them, a second apart. */
const taps = (n: number): RunEvent[] =>
  Array.from({ length: n }, (_, i) => done(must(CYCLE[i % CYCLE.length]), i));
/** Events of any kind, each about the operation in hand when it was made. */
const handled = (kinds: readonly RunEvent['kind'][], pieces = 3): RunEvent[] =>
  kinds.reduce<RunEvent[]>((events, kind, i) => {
    const at = T0 + i * 1000;
    const operationId = CYCLE[foldRun(run(events, pieces)).stepIndex] ?? 'load';
    return [
      ...events,
      kind === 'done' || kind === 'spoiled' ? { kind, at, operationId } : ({ kind, at } as RunEvent),
    ];
  }, []);

test('a run folds to its state, and every piece is counted once', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom<RunEvent['kind']>('done', 'done', 'done', 'done', 'spoiled', 'undo'), {
        maxLength: 120,
      }),
      (kinds) => {
        const state = foldRun(run(handled(kinds)));
        expect(state.good + state.spoiled).toBe(state.piece);
        expect(state.setDownAt).toHaveLength(state.good);
        expect(state.piece).toBeLessThanOrEqual(3);
        expect(state.ended).toBe(state.piece >= 3 ? 'finished' : 'no');
      },
    ),
    { numRuns: 60 },
  );
});

test('an event about an operation that is not in hand changes nothing: a late second tap counts once', () => {
  const once = foldRun(run([done('load', 5)]));
  expect(foldRun(run([done('load', 5), done('load', 6)]))).toEqual(once);
  expect(foldRun(run([done('load', 5), done('press-2', 6), done('no-such', 7)]))).toEqual(once);
  // What did not count cannot be taken back: undo reaches the event that did.
  expect(foldRun(run([done('load', 5), done('load', 6), undo(7)]))).toEqual(foldRun(run([])));
});

test('undo takes back exactly the last event that counted', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20 }), fc.boolean(), (n, spoil) => {
      const before = foldRun(run(taps(n)));
      const operationId = must(CYCLE[n % CYCLE.length]);
      const last: RunEvent = spoil
        ? { kind: 'spoiled', operationId, at: T0 + 50_000 }
        : done(operationId, 50);
      expect(foldRun(run([...taps(n), last]))).not.toEqual(before);
      expect(foldRun(run([...taps(n), last, undo(51)]))).toEqual(before);
    }),
  );
  expect(foldRun(run([undo(0)])).stepIndex).toBe(0);
});

test('nothing moves after a stop, and a stop can be taken back', () => {
  const stopped = [done('load', 5), { kind: 'stop' as const, at: T0 + 6000 }];
  expect(foldRun(run([...stopped, done('close-1', 7)]))).toMatchObject({ ended: 'stopped', stepIndex: 1 });
  expect(foldRun(run([...stopped, undo(7)]))).toMatchObject({ ended: 'no', stepIndex: 1 });
});

const loadOf = (piecesAtOnce: number): Run['load'] => ({
  piecesAtOnce,
  wasteSheets: 1,
  wasteKind: 'plain',
  heatedFrom: 'paper',
  heaterId: null,
});

test('a load goes through as one: its pieces count together, the last load is what is left', () => {
  const eight = (events: readonly RunEvent[]): Run => ({ ...run(events, 20), load: loadOf(8) });
  expect(inHand(eight([]), { piece: 0 })).toBe(8);
  expect(inHand(eight([]), { piece: 16 })).toBe(4);
  const through = foldRun(eight(taps(CYCLE.length)));
  expect(through).toMatchObject({ piece: 8, good: 8, spoiled: 0, ended: 'no' });
  expect(through.setDownAt).toHaveLength(8);
  expect(foldRun(eight(taps(3 * CYCLE.length)))).toMatchObject({ piece: 20, good: 20, ended: 'finished' });
});

test('one piece of a load lost: the others go on; all of them spoiled, the load is over; and it can be taken back', () => {
  const four = (events: readonly RunEvent[]): Run => ({ ...run(events, 12), load: loadOf(4) });
  const lost = (s: number): RunEvent => ({ kind: 'spoiled', operationId: 'peel', at: T0 + s * 1000 });
  const before = taps(CYCLE.length - 2);
  expect(foldRun(four([...before, lost(80)]))).toMatchObject({ piece: 0, spoiled: 1, spoiledInLoad: 1 });
  const rest = CYCLE.slice(-2).map((id, i) => done(id, 90 + i));
  expect(foldRun(four([...before, lost(80), ...rest]))).toMatchObject({
    piece: 4,
    good: 3,
    spoiled: 1,
    spoiledInLoad: 0,
  });
  expect(foldRun(four([...before, ...[80, 81, 82, 83].map(lost)]))).toMatchObject({
    piece: 4,
    good: 0,
    spoiled: 4,
  });
  expect(foldRun(four([...before, lost(80), undo(81)]))).toEqual(foldRun(four(before)));
});

test('a reading of the display moves no step, and there is nothing in it to take back', () => {
  const read: RunEvent = {
    kind: 'reading',
    what: 'lowest',
    operationId: 'press-1',
    readC: 168,
    at: T0 + 20_000,
  };
  const closed = [done('load', 5), done('close-1', 10)];
  expect(foldRun(run([...closed, read]))).toEqual(foldRun(run(closed)));
  expect(foldRun(run([...closed, read, undo(30)]))).toEqual(foldRun(run([done('load', 5)])));
});

test('a run keeps to the operations it was begun with, whatever lists are made by then', () => {
  const events = handled([
    'done',
    'done',
    'done',
    'spoiled',
    'undo',
    'spoiled',
    ...taps(9).map((e) => e.kind),
  ]);
  const begun = foldRun(run(events));
  // The maker of lists learns of another operation: new runs have it, this one does not.
  const wipe = operation({ id: 'wipe', stage: 'press', kind: 'clean', resource: 'hands', plannedS: 5 });
  const newer = [OPERATIONS[0], wipe, ...OPERATIONS.slice(1)].flatMap((o) => (o ? [o] : []));
  expect(foldRun(run(events))).toEqual(begun);
  expect(cycleOf(run([], 3, newer))).toHaveLength(CYCLE.length + 1);
  expect(begun).toMatchObject({ good: 1, spoiled: 1, piece: 2 });
});

test('only operations at the press are gone through; preparations and cooling are not', () => {
  const wipe = operation({ id: 'clean', stage: 'prepare', kind: 'clean', resource: 'hands', plannedS: 20 });
  expect(cycleOf(run([], 1, [wipe, ...OPERATIONS])).map((o) => o.id)).toEqual(CYCLE);
  expect(CYCLE).not.toContain('cooling');
});

test('the clock is wall time: it does not care when it is read', () => {
  const timed = run([done('load', 10), done('close-1', 15)]);
  const state = foldRun(timed);
  expect(stepClock(timed, state, T0 + 15_000)).toEqual({ elapsedS: 0, leftS: 65, up: false });
  expect(stepClock(timed, state, T0 + 39_000).leftS).toBe(41);
  expect(stepClock(timed, state, T0 + 80_000)).toMatchObject({ leftS: 0, up: true });
  expect(stepClock(timed, state, T0 + 90_000)).toMatchObject({ leftS: -10, up: true });
  // A clock that was set back shows no time below nought.
  expect(stepClock(timed, state, T0).elapsedS).toBe(0);
  const byHand = stepClock(run([]), foldRun(run([])), T0 + 4000);
  expect(byHand).toEqual({ elapsedS: 4, leftS: null, up: false });
});

test('how long each pass really took is kept', () => {
  const events = [done('load', 10), done('close-1', 15), done('press-1', 83)];
  expect(foldRun(run(events)).dwellsS).toEqual([68]);
});

/** Whole pieces, one every so many seconds, its operations spread evenly. */
const evenly = (pieces: number, eachS: number, from = 0): RunEvent[] =>
  Array.from({ length: pieces }, (_, p) =>
    CYCLE.map((id, i) => done(id, (from + p) * eachS + ((i + 1) * eachS) / CYCLE.length)),
  ).flat();

test('time left: planned times first, the bench’s own pace once it is known', () => {
  const fresh = run([]);
  const pieceS = plannedS(cycleOf(fresh));
  expect(remainingS(fresh, foldRun(fresh), T0)).toBe(3 * pieceS);
  // Five seconds into loading there are five fewer; a step that takes longer than planned is not counted below nought.
  expect(remainingS(fresh, foldRun(fresh), T0 + 5000)).toBe(3 * pieceS - 5);
  expect(remainingS(fresh, foldRun(fresh), T0 + 60_000)).toBe(3 * pieceS - 15);
  const paced = run(evenly(2, 300), 10);
  const state = foldRun(paced);
  expect(state.piece).toBe(2);
  expect(remainingS(paced, state, T0 + 600_000)).toBeCloseTo(pieceS + 7 * 300, 6);
  const over = run(evenly(3, 300), 3);
  expect(remainingS(over, foldRun(over), T0 + 900_000)).toBe(0);
});

test('spoiled pieces count towards the pace: four of six spoiled, the rest takes no longer for it', () => {
  const events = Array.from({ length: 6 }, (_, p): RunEvent[] =>
    p % 3 === 0 ? evenly(1, 300, p) : [{ kind: 'spoiled', operationId: 'load', at: T0 + (p + 1) * 300_000 }],
  ).flat();
  const mixed = run(events, 12);
  const state = foldRun(mixed);
  expect(state).toMatchObject({ piece: 6, good: 2, spoiled: 4 });
  // Six pieces through in 1800 s: five more after the one in hand at 300 s each.
  expect(remainingS(mixed, state, T0 + 1_800_000)).toBeCloseTo(plannedS(cycleOf(mixed)) + 5 * 300, 6);
});

test('pieces cooling, and how long they must', () => {
  const state = foldRun(run(taps(CYCLE.length)));
  const down = must(state.setDownAt[0]);
  expect(cooling(state, 600, down + 60_000)).toEqual({ pieces: 1, waitS: 540 });
  expect(cooling(state, 600, down + 601_000)).toEqual({ pieces: 0, waitS: 0 });
  expect(touchSafeAfterS(run([]))).toBe(must(OPERATIONS.find((o) => o.kind === 'cooling')).spreadS[1]);
  expect(touchSafeAfterS(run([], 1, OPERATIONS.slice(0, 3)))).toBe(0);
});
