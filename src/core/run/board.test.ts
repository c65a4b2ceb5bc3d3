import fc from 'fast-check';
import type { Run, RunEvent } from '../shop/run';
import { calling, handTasks, inOrderOfNeed, laneOf, nextSecondMs, type Lane } from './board';
import { type PaceOf } from './pace';
import { withState } from './pieces';
import { tapeAhead, tapePace, tapingFor } from './taping';
import { operation } from '../shop/operation';
import { CYCLE, done, must, OPERATIONS, pieces, PRESS, queued, T0 } from './testRun';

const AS_PLANNED: PaceOf = (o) => ({ usualS: o.plannedS, logSd: 0, seen: 0 });
const lane = (of: Run, s: number, pace = AS_PLANNED): Lane =>
  must(laneOf(withState(of), T0 + s * 1000, pace));
const upTo = (n: number, at: number): RunEvent[] => CYCLE.slice(0, n).map((id) => done(id, at));
/** A run on a press of its own, n steps done at second `at`. */
const on = (id: string, n: number, at: number): Run =>
  queued(pieces(4), 1, { id, jobId: id, press: { ...PRESS, id }, events: upTo(n, at) });

describe('what a press needs', () => {
  test('hands where a person does it, hot once it has been pressed, nothing while it presses, then the time is up', () => {
    expect(lane(on('a', 0, 0), 3)).toMatchObject({ need: 'hands', dueS: -3 });
    expect(lane(on('a', 2, 0), 20)).toMatchObject({ need: 'nothing yet', dueS: 45 });
    expect(lane(on('a', 2, 0), 70)).toMatchObject({ need: 'time up', dueS: -5 });
    expect(lane(on('a', 3, 0), 4)).toMatchObject({ need: 'hot', step: { kind: 'turn' } });
    // Falling back to a reading: a person has to look.
    expect(lane(on('a', 4, 0), 5).need).toBe('nothing yet');
    expect(lane(on('a', 4, 0), 400).need).toBe('display');
  });

  test('what cooks comes before what waits, and what waited longest first', () => {
    const lanes = [
      lane(on('cold', 0, 0), 90),
      lane(on('hot', 3, 85), 90),
      lane(on('later', 2, 60), 90),
      lane(on('up', 2, 10), 90),
      lane(on('soon', 2, 40), 90),
      lane(on('cold-later', 0, 0), 90),
    ];
    expect(inOrderOfNeed(lanes).map((l) => l.run.id)).toEqual([
      'up',
      'hot',
      'cold',
      'cold-later',
      'soon',
      'later',
    ]);
    expect(calling(lanes)?.run.id).toBe('up');
    expect(calling([lane(on('soon', 2, 40), 90)])).toBeNull();
  });

  test('a run that has ended is on no press', () => {
    const stopped: Run = { ...on('a', 1, 0), events: [{ kind: 'stop', at: T0 }] };
    expect(laneOf(withState(stopped), T0, AS_PLANNED)).toBeNull();
  });

  test('what hands do next stands in the order of its time, one line for what is done in one go', () => {
    const tasks = handTasks([lane(on('a', 2, 0), 20), lane(on('b', 3, 19), 20)], AS_PLANNED, () => true);
    expect(tasks.map((t) => [t.lane.run.id, t.operation.kind, Math.round(t.inS)])).toEqual([
      ['b', 'turn', -1],
      ['a', 'turn', 45],
      ['b', 'close', 51],
      ['a', 'close', 97],
      ['b', 'peel', 122],
      ['b', 'load', 148],
      ['a', 'peel', 168],
      ['a', 'load', 194],
    ]);
  });

  test('where nothing is left for a press, no next load is shown', () => {
    const a = lane(on('a', 2, 0), 20);
    const kinds = (more: boolean) => handTasks([a], AS_PLANNED, () => more).map((t) => t.operation.kind);
    expect(kinds(true)).toEqual(['turn', 'close', 'peel', 'load']);
    expect(kinds(false)).toEqual(['turn', 'close', 'peel']);
  });
});

test('a clock is drawn again when the next second of any of them begins', () => {
  const at = (ms: number) => ({ state: { ...lane(on('a', 2, 0), 0).state, stepStartedAt: T0 + ms } });
  expect(nextSecondMs([at(0)], T0 + 300)).toBe(700);
  expect(nextSecondMs([at(0), at(450)], T0 + 300)).toBe(150);
  expect(nextSecondMs([], T0)).toBe(1000);
  fc.assert(
    fc.property(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: 0, max: 100_000 }), (start, now) => {
      const ms = nextSecondMs([at(start)], T0 + now);
      expect((((now + ms - start) % 1000) + 1000) % 1000).toBe(0);
    }),
  );
});

describe('taping up ahead', () => {
  /** Whether a stock and what is taped meanwhile feed every load to the end. */
  const feeds = (stock: number, atOnce: number, left: number, meanwhile: number): boolean => {
    for (let k = 0; k * atOnce < left; k += 1)
      if (stock + k * meanwhile < Math.min(left, (k + 1) * atOnce) - 1e-9) return false;
    return true;
  };

  test('so many that the press never waits, and one fewer would not do', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 5, max: 300 }),
        fc.integer({ min: 0, max: 600 }),
        (atOnce, loads, oneS, freeS) => {
          const left = atOnce * loads;
          const { want, most } = tapeAhead({ atOnce, left, tapeS: oneS, loadS: 1, freeS });
          expect(most).toBe(left);
          expect(feeds(want, atOnce, left, freeS / oneS)).toBe(true);
          expect(feeds(want - 1, atOnce, left, freeS / oneS)).toBe(false);
        },
      ),
    );
  });

  test('no more than go in within half an hour, and no more than are left', () => {
    expect(tapeAhead({ atOnce: 1, left: 24, tapeS: 200, loadS: 300, freeS: 0 })).toEqual({
      want: 6,
      most: 6,
    });
    expect(tapeAhead({ atOnce: 8, left: 4, tapeS: 30, loadS: 100, freeS: 500 })).toEqual({
      want: 4,
      most: 4,
    });
    expect(tapeAhead({ atOnce: 8, left: 80, tapeS: 1, loadS: 4000, freeS: 500 })).toMatchObject({ most: 8 });
  });

  test('other presses take the same hands: more must lie ready', () => {
    const tape = operation({ id: 'wrap', stage: 'prepare', kind: 'wrap', resource: 'hands', plannedS: 120 });
    const of = (id: string): Run => ({
      ...on(id, 0, 0),
      queue: pieces(24),
      pieces: 24,
      operations: [tape, ...OPERATIONS],
    });
    const [a, b] = [lane(of('a'), 0), lane(of('b'), 0)];
    expect(tapePace(a, AS_PLANNED).usualS).toBe(120);
    const alone = tapingFor(a, [a], AS_PLANNED, 23);
    const shared = tapingFor(a, [a, b], AS_PLANNED, 23);
    expect(alone.ready).toBeNull();
    expect(alone.left).toBe(24);
    expect(shared.want).toBeGreaterThan(alone.want);
  });
});
