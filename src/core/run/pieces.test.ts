import { blanksLeft, jobPieces, nextPieces, pressNumbers, toCome, withState } from './pieces';
import type { Run, RunEvent } from '../shop/run';
import { foldRun } from './run';
import { CYCLE, done, loadOf, must, pieces, PRESS, queued, run, T0, taps } from './testRun';

const ALL = pieces(6);
/** One load through, with what goes in next. */
const load = (next: ReturnType<typeof pieces>, from = 0): RunEvent[] =>
  CYCLE.map((id, i) => ({
    ...(done(id, from + i) as Extract<RunEvent, { kind: 'done' }>),
    ...(i === CYCLE.length - 1 ? { next } : {}),
  }));
const states = (...runs: readonly Run[]) => runs.map(withState);
const numbers = (of: readonly { number: number }[]) => of.map((p) => p.number);

test('one job over two presses: nobody takes what the other holds or has finished', () => {
  const a = queued(ALL, 1, { id: 'a' });
  const b = queued(ALL.slice(1), 1, { id: 'b' });
  const runs = states({ ...a, events: load([must(ALL[2])]) }, b);
  const { left, free, good } = jobPieces(ALL, runs);
  expect(good).toBe(1);
  expect(numbers(left)).toEqual([2, 3, 4, 5, 6]);
  expect(numbers(free)).toEqual([4, 5, 6]);
  expect(numbers(nextPieces(b, runs, 2))).toEqual([4, 5]);
});

test('a spoiled piece is reprinted, by its name, until it comes out good in a later run', () => {
  const spoil: RunEvent = {
    kind: 'spoiled',
    at: T0 + 100_000,
    operationId: 'load',
    piece: 2,
    why: 'ghost',
    next: [must(ALL[2])],
  };
  const first = queued(ALL, 1, {
    id: 'a',
    events: [...load([must(ALL[1])]), spoil, { kind: 'stop', at: T0 + 200_000 }],
  });
  const after = jobPieces(ALL, states(first));
  expect(after.reprints).toEqual([{ piece: { number: 2, name: 'Guest 2' }, why: 'ghost' }]);
  expect(numbers(after.free)).toEqual([2, 3, 4, 5, 6]);
  const again = queued([must(ALL[1])], 1, { id: 'b', events: load([]) });
  expect(jobPieces(ALL, states(first, again)).reprints).toEqual([]);
  // Where the list was changed, the piece that is now second is another's: what was spoiled was not theirs.
  const renamed = ALL.map((p) => (p.number === 2 ? { ...p, name: 'Somebody else' } : p));
  expect(jobPieces(renamed, states(first)).reprints).toEqual([]);
});

test('runs that did not distinguish their pieces take theirs off from the first', () => {
  const old = { ...run(taps(2 * CYCLE.length), 6), id: 'old' };
  expect(numbers(jobPieces(pieces(6), states(old)).left)).toEqual([3, 4, 5, 6]);
});

test('what goes in next leaves out what was spoiled in this very run', () => {
  const a = queued(ALL, 2, { id: 'a', events: [{ kind: 'spoiled', at: T0, operationId: 'load', piece: 1 }] });
  expect(numbers(nextPieces(a, states(a), 2))).toEqual([3, 4]);
});

test('blanks left: those counted less all that went through since, good or not', () => {
  const counted = queued(ALL, 2, {
    id: 'a',
    blanks: 7,
    events: [{ kind: 'spoiled', at: T0, operationId: 'load' }, ...load(ALL.slice(2, 4), 1)],
  });
  expect(blanksLeft(states(counted))).toBe(5);
  expect(blanksLeft(states(queued(ALL)))).toBeNull();
});

test('presses keep their numbers while others are done and begun again; numbering starts again another day', () => {
  const at = (id: string, press: string, startedAt: number, ended = false): Run =>
    queued(ALL, 1, {
      id,
      jobId: id,
      press: { ...PRESS, id: press },
      startedAt,
      events: ended ? [{ kind: 'stop', at: startedAt + 1 }] : [],
    });
  const day = T0 - 30 * 3600_000;
  const runs = states(
    at('old', 'x', day, true),
    at('b', 'b', T0 + 5),
    at('a', 'a', T0, true),
    at('a2', 'a', T0 + 9),
  );
  expect([...pressNumbers(runs)]).toEqual([
    ['a', 1],
    ['b', 2],
  ]);
});

test('pieces still to come are what the presses that are on will take, each once', () => {
  const a = queued(ALL, 1, { id: 'a' });
  const b = queued(ALL.slice(1), 1, { id: 'b' });
  expect(toCome(states(a, b))).toBe(4);
  expect(toCome(states({ ...a, events: [{ kind: 'stop', at: T0 }] }))).toBe(0);
  // One spoiled in the only run that is on is not taken by it again.
  const spoiled = queued(ALL, 2, {
    id: 'a',
    events: [{ kind: 'spoiled', at: T0, operationId: 'load', piece: 1 }],
  });
  expect(toCome(states(spoiled))).toBe(4);
});

test('a record read again is folded on; one that was begun or went otherwise is folded from the start', () => {
  const run = queued(ALL, 1, { id: 'same', events: load(ALL.slice(1, 2)) });
  expect(withState(run).state).toEqual(foldRun(run));
  const more = { ...run, events: [...run.events, done('load', 50)] };
  expect(withState(more).state).toEqual(foldRun(more));
  for (const other of [
    run,
    { ...more, events: [done('load', 1), ...load([], 20)] },
    { ...more, load: loadOf(3) },
    { ...more, startedAt: T0 - 5 },
  ])
    expect(withState(other).state).toEqual(foldRun(other));
});
