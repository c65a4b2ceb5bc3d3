import fc from 'fast-check';
import type { RescueOutcome, RunEvent } from '../shop/run';
import { jobPieces, withState } from './pieces';
import { foldRun, goodOf, spoiledOf } from './run';
import { CYCLE, done, must, pieces, queued, T0, taps } from './testRun';

const ALL = pieces(6);
const LAST = must(CYCLE.at(-1));
const at = (s: number) => T0 + s * 1000;
const stuck = (piece: number, s: number): RunEvent => ({
  kind: 'spoiled',
  at: at(s),
  operationId: 'load',
  piece,
  why: 'stuck',
  became: 'soaking',
});
const rescued = (piece: number, outcome: RescueOutcome, s: number): RunEvent => ({
  kind: 'rescued',
  at: at(s),
  piece,
  outcome,
});
/** Two loads of two pieces each, all the way through. */
const through = (s: number, next: readonly number[]): RunEvent[] =>
  CYCLE.map((id, i) => ({
    ...(done(id, s + i) as Extract<RunEvent, { kind: 'done' }>),
    ...(id === LAST ? { next: ALL.filter((p) => next.includes(p.number)) } : {}),
  }));

test('a piece with a flaw is neither good nor spoiled, and has to be made again', () => {
  const flawed: RunEvent = {
    kind: 'spoiled',
    at: at(1),
    operationId: 'load',
    piece: 2,
    why: 'halo',
    became: 'second',
  };
  const run = queued(ALL, 2, { events: [flawed, ...through(2, [3, 4])] });
  const state = foldRun(run);
  expect(state).toMatchObject({ good: 1, seconds: 1, spoiled: 0, through: 2 });
  const counts = jobPieces(ALL, [withState(run)]);
  expect(counts).toMatchObject({ good: 1, seconds: 1, spoiled: 0 });
  expect(counts.left.map((p) => p.number)).toEqual([2, 3, 4, 5, 6]);
  expect(counts.reprints).toEqual([{ piece: ALL[1], why: 'halo' }]);
});

test.each([
  ['good', { good: 2, seconds: 0, spoiled: 0 }, [3, 4, 5, 6]],
  ['second', { good: 1, seconds: 1, spoiled: 0 }, [1, 3, 4, 5, 6]],
  ['spoiled', { good: 1, seconds: 0, spoiled: 1 }, [1, 3, 4, 5, 6]],
] as const)('a soaked piece that came out %s', (outcome, counts, left) => {
  const run = queued(ALL, 2, {
    id: `soaked-${outcome}`,
    events: [stuck(1, 1), ...through(2, [3, 4]), rescued(1, outcome, 60)],
  });
  expect(foldRun(run)).toMatchObject({ ...counts, soaking: [] });
  expect(jobPieces(ALL, [withState(run)]).left.map((p) => p.number)).toEqual(left);
});

test('a soaking piece is neither free to press nor on the reprint list', () => {
  const run = queued(ALL, 2, { id: 'soaking', events: [stuck(1, 1), ...through(2, [3, 4])] });
  const { left, free, reprints } = jobPieces(ALL, [withState(run)]);
  expect(left.map((p) => p.number)).toContain(1);
  expect(free.map((p) => p.number)).not.toContain(1);
  expect(reprints).toEqual([]);
  expect(spoiledOf(foldRun(run)).map((s) => s.became)).toEqual(['soaking']);
});

test('a piece may come out of its soak after the run is over, once, and that can be undone', () => {
  const events = [stuck(1, 1), ...through(2, []), rescued(1, 'good', 600)];
  const run = queued(ALL.slice(0, 2), 2, { events });
  const state = foldRun(run);
  expect(state).toMatchObject({ ended: 'finished', good: 2 });
  expect(goodOf(state).map((p) => p.number)).toEqual([2, 1]);
  expect(foldRun({ ...run, events: [...events, rescued(1, 'spoiled', 700)] })).toEqual(state);
  const undone = foldRun({ ...run, events: [...events, { kind: 'undo', at: at(700) }] });
  expect(undone).toMatchObject({ good: 1, soaking: [ALL[0]] });
});

test('taped again before loading: counted, and the step stays', () => {
  const again: RunEvent = { kind: 'retaped', at: at(1), operationId: 'load' };
  const run = queued(ALL, 2, { events: [again, again, done('load', 3), again] });
  const state = foldRun(run);
  expect(state.retaped).toBe(2);
  expect(state.stepIndex).toBe(1);
});

test('whatever happens, every piece that went through is counted once', () => {
  const event = fc.oneof(
    fc.integer({ min: 1, max: 6 }).map((piece) => (s: number) => stuck(piece, s)),
    fc.tuple(fc.integer({ min: 1, max: 6 }), fc.constantFrom<RescueOutcome>('good', 'second', 'spoiled')).map(
      ([piece, outcome]) =>
        (s: number) =>
          rescued(piece, outcome, s),
    ),
    fc.constant((s: number): RunEvent => ({ kind: 'undo', at: at(s) })),
    fc.constantFrom(...taps(CYCLE.length)).map((tap) => (s: number) => ({ ...tap, at: at(s) })),
  );
  fc.assert(
    fc.property(fc.array(event, { maxLength: 40 }), (made) => {
      const events = made.map((f, i) => f(i + 1));
      const state = foldRun(queued(ALL, 2, { events }));

      const inHand = state.spoiledInLoad.length;
      expect(state.good + state.seconds + state.spoiled + state.soaking.length).toBe(state.through + inHand);
    }),
  );
});
