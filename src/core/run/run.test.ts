import fc from 'fast-check';
import { operation } from '../shop/operation';
import type { Run, RunEvent } from '../shop/run';
import {
  coolingLoads,
  cycleOf,
  dwellsS,
  eventOf,
  foldEvent,
  foldOn,
  foldRun,
  goodOf,
  spoiledOf,
  startFold,
  stepClock,
  stepsTaken,
  tapedReady,
  touchSafeAfterS,
} from './run';
import { listOf, chainSize } from './chain';
import { CYCLE, done, loadOf, must, OPERATIONS, pieces, queued, run, T0, taps, undo } from './testRun';

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
        expect(state.good + state.spoiled).toBe(state.through + state.spoiledInLoad.length);
        expect(goodOf(state)).toHaveLength(state.good);
        expect(spoiledOf(state)).toHaveLength(state.spoiled);
        expect(state.through).toBeLessThanOrEqual(3);
        expect(state.ended).toBe(state.through >= 3 ? 'finished' : 'no');
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

test('a load goes through as one: its pieces count together, the last load is what is left', () => {
  const eight = (events: readonly RunEvent[]): Run => ({ ...run(events, 20), load: loadOf(8) });
  expect(foldRun(eight([])).inLoad).toHaveLength(8);
  expect(foldRun(eight(taps(2 * CYCLE.length))).inLoad.map((p) => p.number)).toEqual([17, 18, 19, 20]);
  const through = foldRun(eight(taps(CYCLE.length)));
  expect(through).toMatchObject({ through: 8, good: 8, spoiled: 0, ended: 'no' });
  expect(foldRun(eight(taps(3 * CYCLE.length)))).toMatchObject({ through: 20, good: 20, ended: 'finished' });
});

test('one piece of a load spoiled: the others go on; all of them spoiled, the load is over; and it can be taken back', () => {
  const four = (events: readonly RunEvent[]): Run => ({ ...run(events, 12), load: loadOf(4) });
  const spoiled = (s: number): RunEvent => ({ kind: 'spoiled', operationId: 'peel', at: T0 + s * 1000 });
  const before = taps(CYCLE.length - 2);
  expect(foldRun(four([...before, spoiled(80)]))).toMatchObject({
    through: 0,
    spoiled: 1,
    spoiledInLoad: [{ piece: { number: 4 }, why: null }],
  });
  const rest = CYCLE.slice(-2).map((id, i) => done(id, 90 + i));
  expect(foldRun(four([...before, spoiled(80), ...rest]))).toMatchObject({
    through: 4,
    good: 3,
    spoiled: 1,
    spoiledInLoad: [],
  });
  expect(foldRun(four([...before, ...[80, 81, 82, 83].map(spoiled)]))).toMatchObject({
    through: 4,
    good: 0,
    spoiled: 4,
  });
  expect(foldRun(four([...before, spoiled(80), undo(81)]))).toEqual(foldRun(four(before)));
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
  expect(begun).toMatchObject({ good: 1, spoiled: 1, through: 2 });
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
  expect(dwellsS(foldRun(run(events)))).toEqual([68]);
});

test('pieces cooling, load by load, and how long they must', () => {
  const four: Run = { ...run(taps(2 * CYCLE.length), 12), load: loadOf(4) };
  const state = foldRun(four);
  const safeS = must(OPERATIONS.find((o) => o.kind === 'cooling')).spreadS[1];
  expect(touchSafeAfterS(four)).toBe(safeS);
  const [first, second] = listOf(state.loads);
  const at = must(second).endedAt + 60_000;
  expect(coolingLoads(four, state, at).map((c) => [c.pieces.length, c.waitS])).toEqual([
    [4, safeS - (at - must(first).endedAt) / 1000],
    [4, safeS - 60],
  ]);
  expect(coolingLoads(four, state, must(second).endedAt + (safeS + 1) * 1000)).toEqual([]);
  expect(touchSafeAfterS(run([], 1, OPERATIONS.slice(0, 3)))).toBe(0);
});

/** Events of every kind, times not even in order, as a database might hold them. */
const anyEvent = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ kind: fc.constant('done' as const), step: fc.nat(9), s: fc.nat(5000) }),
  },
  fc.record({ kind: fc.constantFrom('spoiled' as const), step: fc.nat(9), s: fc.nat(5000) }),
  fc.record({
    kind: fc.constantFrom('undo' as const, 'undo-load' as const, 'between' as const, 'stop' as const),
    step: fc.nat(9),
    s: fc.nat(5000),
  }),
);
type Any = { kind: 'done' | 'spoiled' | 'undo' | 'undo-load' | 'between' | 'stop'; step: number; s: number };
/** Mostly about the step in hand, as hands would; now and then about some other. */
function madeOf(of: Run, all: readonly Any[]): readonly RunEvent[] {
  let fold = startFold(of);
  return all.map(({ kind, step, s }, i) => {
    const at = T0 + s * 1000;
    const operationId = must(CYCLE[step < 8 ? fold.state.stepIndex : i % CYCLE.length]);
    const left = (of.queue ?? []).slice(fold.state.through + fold.state.inLoad.length);
    const next = of.queue ? { next: left.slice(0, of.load?.piecesAtOnce ?? 1) } : {};
    const event: RunEvent =
      kind === 'done' || kind === 'spoiled'
        ? { kind, at, operationId, ...next }
        : kind === 'between'
          ? { kind, at, what: 'taped', count: step - 3 }
          : { kind, at };
    fold = foldEvent(of, fold, event);
    return event;
  });
}

const anyRun = fc
  .record({
    atOnce: fc.integer({ min: 1, max: 4 }),
    total: fc.integer({ min: 1, max: 9 }),
    named: fc.boolean(),
    all: fc.array(anyEvent, { maxLength: 150 }),
  })
  .map(({ atOnce, total, named, all }) => {
    const of = named ? queued(pieces(total), atOnce) : { ...run([], total), load: loadOf(atOnce) };
    return { ...of, events: [...madeOf(of, all)] };
  });

test('whatever is tapped, counts add up and time never runs backwards', () => {
  fc.assert(
    fc.property(anyRun, (of) => {
      const state = foldRun(of);
      expect(goodOf(state)).toHaveLength(state.good);
      expect(spoiledOf(state)).toHaveLength(state.spoiled);
      expect(state.good + state.spoiled).toBe(state.through + state.spoiledInLoad.length);
      const numbers = [...goodOf(state), ...spoiledOf(state).map((x) => x.piece)].map((p) => p.number);
      expect(new Set(numbers).size).toBe(numbers.length);
      const steps = stepsTaken(state);
      for (const s of steps) expect(s.endedAt).toBeGreaterThanOrEqual(s.startedAt);
      const ends = steps.map((s) => s.endedAt);
      expect([...ends].sort((a, b) => a - b)).toEqual(ends);
      expect(state.between.taped).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: 200 },
  );
});

test('folding in two parts is folding at once', () => {
  fc.assert(
    fc.property(anyRun, fc.nat(), (of, n) => {
      const part = foldOn({ ...of, events: of.events.slice(0, n % (of.events.length + 1)) });
      expect(foldOn(of, part)).toEqual(foldOn(of));
    }),
    { numRuns: 100 },
  );
});

test('taking back is the exact inverse of whatever counted, at any point', () => {
  fc.assert(
    fc.property(anyRun, anyEvent, (of, more) => {
      const before = foldRun(of);
      const [event] = madeOf(of, [more]).slice(-1);
      if (!event || event.kind === 'undo' || event.kind === 'undo-load' || event.kind === 'between') return;
      const after = foldRun({ ...of, events: [...of.events, event] });
      if (
        after === before ||
        chainSize(foldOn(of).past) === chainSize(foldOn({ ...of, events: [...of.events, event] }).past)
      )
        return;
      const back: RunEvent = { kind: 'undo', at: T0 };
      expect(foldRun({ ...of, events: [...of.events, event, back] })).toEqual(before);
    }),
    { numRuns: 200 },
  );
});

test('a whole load taken back is where it began; at its beginning, where the load before it began', () => {
  const of = queued(pieces(6), 2);
  const load = (from: number, n: number): RunEvent[] =>
    CYCLE.map((id, i): RunEvent => {
      const ends = i === CYCLE.length - 1;
      return {
        ...(done(id, from + i) as Extract<RunEvent, { kind: 'done' }>),
        ...(ends ? { next: pieces(2, n) } : {}),
      };
    });
  const one = load(1, 3);
  const begun = foldRun({ ...of, events: one });
  const back: RunEvent = { kind: 'undo-load', at: T0 + 99_000 };
  expect(begun.inLoad.map((p) => p.number)).toEqual([3, 4]);
  const half = [
    ...one,
    done('load', 20),
    done('close-1', 30),
    { kind: 'spoiled', at: T0 + 31_000, operationId: 'press-1' } as RunEvent,
  ];
  expect(foldRun({ ...of, events: half }).spoiled).toBe(1);
  expect(foldRun({ ...of, events: [...half, back] })).toEqual(begun);
  expect(foldRun({ ...of, events: [...half, back, back] })).toEqual(foldRun(of));
  expect(foldRun({ ...of, events: [...half, back, back, back] })).toEqual(foldRun(of));
});

test('which piece was spoiled and why is kept; another in the same load goes on', () => {
  const of = queued(pieces(4), 4);
  const spoiled = eventOf(of, foldRun(of), 'spoiled', T0 + 5000, { piece: 2, why: 'ghost', by: 'Ines' });
  const state = foldRun({ ...of, events: [must(spoiled)] });
  expect(spoiledOf(state)).toEqual([
    {
      piece: { number: 2, name: 'Guest 2' },
      why: 'ghost',
      operationId: 'load',
      at: T0 + 5000,
      became: 'spoiled',
    },
  ]);
  // The same piece cannot be spoiled twice, nor one that is not there.
  const again = { ...must(spoiled), at: T0 + 6000 };
  expect(foldRun({ ...of, events: [must(spoiled), again] })).toEqual(state);
});

test('other pieces are laid only before the press is closed', () => {
  const of = queued(pieces(6), 2);
  const lay: RunEvent = { kind: 'lay', at: T0 + 1000, pieces: pieces(3, 4) };
  expect(foldRun({ ...of, events: [lay] }).inLoad).toEqual(pieces(3, 4));
  const closed = [done('load', 1), done('close-1', 2)];
  expect(foldRun({ ...of, events: [...closed, lay] }).inLoad).toEqual(pieces(2));
});

test('a piece that came out good is neither laid nor queued again, whatever a stale screen asks', () => {
  const of = queued(pieces(6), 2);
  const through = CYCLE.map((id, i) => ({
    ...done(id, 1 + i),
    ...(i === CYCLE.length - 1 ? { next: pieces(2, 3) } : {}),
  }));
  const firstOver = foldRun({ ...of, events: through as RunEvent[] });
  expect([firstOver.good, firstOver.inLoad]).toEqual([2, pieces(2, 3)]);
  const lay = (of2: typeof of.queue): RunEvent => ({ kind: 'lay', at: T0 + 40_000, pieces: of2 ?? [] });
  const laid = (numbers: typeof of.queue) =>
    foldRun({ ...of, events: [...(through as RunEvent[]), lay(numbers)] });
  // Pieces 1 and 2 are good: the whole of such a lay counts for nothing, and so does one piece named twice.
  expect(laid(pieces(2))).toEqual(firstOver);
  expect(laid([...pieces(1, 2), ...pieces(1, 5)])).toEqual(firstOver);
  expect(laid([...pieces(1, 5), ...pieces(1, 5)])).toEqual(firstOver);
  expect(laid(pieces(2, 5)).inLoad).toEqual(pieces(2, 5));
  // A stored event that queues a good piece again leaves it out.
  const again = through.map((e, i) =>
    i === CYCLE.length - 1 ? { ...e, next: [...pieces(1, 2), ...pieces(1, 3)] } : e,
  );
  expect(foldRun({ ...of, events: again as RunEvent[] }).inLoad).toEqual(pieces(1, 3));
});

test('a piece spoiled in an earlier load may go in again, as a new print of it', () => {
  const of = queued(pieces(4), 1);
  const spoil: RunEvent = {
    kind: 'spoiled',
    operationId: 'load',
    piece: 1,
    at: T0 + 1000,
    next: pieces(1, 2),
  };
  const lay: RunEvent = { kind: 'lay', at: T0 + 2000, pieces: pieces(1) };
  expect(foldRun({ ...of, events: [spoil, lay] }).inLoad).toEqual(pieces(1));
});

test('spoiled said of an operation that is no longer in hand takes no piece', () => {
  const of = queued(pieces(4), 2);
  const late: RunEvent = { kind: 'spoiled', operationId: 'load', piece: 1, at: T0 + 3000 };
  const one = [done('load', 1)];
  expect(foldRun({ ...of, events: [...one, late] })).toEqual(foldRun({ ...of, events: one }));
  const inTime: RunEvent = { ...late, operationId: must(CYCLE[1]) };
  expect(foldRun({ ...of, events: [...one, inTime] }).spoiled).toBe(1);
});

test('taped pieces are used up as they go in, and come back when that is taken back', () => {
  const of = queued(pieces(6), 2);
  const taped: RunEvent = { kind: 'between', at: T0, what: 'taped', count: 3 };
  const ready = (events: readonly RunEvent[]) => {
    return tapedReady(foldRun({ ...of, events: [...events] }));
  };
  expect(ready([taped])).toBe(3);
  expect(ready([taped, done('load', 1)])).toBe(1);
  expect(ready([taped, done('load', 1), undo(2)])).toBe(3);
  const corrected: RunEvent = { kind: 'between', at: T0, what: 'taped', count: -9 };
  expect(ready([taped, done('load', 1), corrected])).toBe(0);
  expect(ready([taped, done('load', 1), corrected, taped])).toBe(3);
});
