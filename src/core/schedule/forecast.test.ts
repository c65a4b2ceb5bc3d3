import { laneOf, type Lane } from '../run/board';
import { paceFrom, type PaceOf } from '../run/pace';
import { withState } from '../run/pieces';
import { cycleOf } from '../run/run';
import { CYCLE, done, must, OPERATIONS, pieces, PRESS, queued, T0 } from '../run/testRun';
import { operation, plannedS } from '../shop/operation';
import type { Run } from '../shop/run';
import { boardProblem, forecast as forecastOf } from './forecast';
import { inPressOf, segmentsOf } from './fromRun';

const AS_PLANNED: PaceOf = (o) => ({ usualS: o.plannedS, logSd: 0, seen: 0 });
const forecast = (lanes: readonly Lane[], pace: PaceOf, left: ReadonlyMap<string, number>, people = 1) =>
  forecastOf(boardProblem(lanes, left, pace, people));
const lane = (of: Run, s: number, pace = AS_PLANNED): Lane =>
  must(laneOf(withState(of), T0 + s * 1000, pace));
const upTo = (n: number, at: number) => CYCLE.slice(0, n).map((id) => done(id, at));
const on = (id: string, n: number, at: number): Run =>
  queued(pieces(4), 1, { id, jobId: id, press: { ...PRESS, id }, events: upTo(n, at) });

describe('when it will be finished', () => {
  const none = new Map<string, number>();

  test('one press whose times are known is its steps end to end', () => {
    const of = queued(pieces(4));
    const left = new Map([['j', 3]]);
    const each = plannedS(cycleOf(of));
    expect(forecast([lane(of, 0)], AS_PLANNED, left)).toMatchObject({ usualS: 4 * each, ninetyS: 4 * each });
    const pressing = { ...of, events: upTo(2, 30) };
    const done2 = plannedS(cycleOf(of).slice(0, 2));
    expect(forecast([lane(pressing, 50)], AS_PLANNED, none).usualS).toBe(each - done2 - 20);
  });

  test('taping that hands have no time for stands between the loads', () => {
    const tape = operation({ id: 'wrap', stage: 'prepare', kind: 'wrap', resource: 'hands', plannedS: 1000 });
    const of: Run = { ...queued(pieces(3)), operations: [tape, ...OPERATIONS] };
    const each = plannedS(cycleOf(of));
    const hands = plannedS(cycleOf(of), 'hands');
    // The first lies ready. Each of the others takes 1000 s of hands, less what the load before left free.
    const waits = 2 * (1000 - (each - hands));
    expect(forecast([lane(of, 0)], AS_PLANNED, new Map([['j', 2]])).usualS).toBeCloseTo(3 * each + waits, 6);
  });

  test('two presses of one job share what is left, and take less than one alone, never less than half', () => {
    const a = queued(pieces(9), 1, { id: 'a' });
    const b = queued(pieces(8, 2), 1, { id: 'b', press: { ...PRESS, id: 'other' } });
    const alone = forecast([lane(a, 0)], AS_PLANNED, new Map([['j', 8]])).usualS;
    const both = forecast([lane(a, 0), lane(b, 0)], AS_PLANNED, new Map([['j', 7]])).usualS;
    expect(both).toBeLessThan(alone);
    expect(both).toBeGreaterThanOrEqual(alone / 2);
  });

  test('nine in ten are later than half, the same for the same state, and narrower the more was seen', () => {
    const of = lane(queued(pieces(12)), 0);
    const left = new Map([['j', 11]]);
    const first = forecast([of], paceFrom([]), left);
    expect(first.ninetyS).toBeGreaterThan(first.usualS);
    expect(forecast([of], paceFrom([]), left)).toEqual(first);
    const steady: PaceOf = (o) => ({ usualS: o.plannedS, logSd: o.timed ? 0 : 0.1, seen: 50 });
    const known = forecast([of], steady, left);
    expect(known.ninetyS / known.usualS).toBeLessThan(first.ninetyS / first.usualS);
    expect(forecast([], AS_PLANNED, left)).toEqual({ usualS: 0, ninetyS: 0, runs: {} });
  });

  test('of two jobs each is shown by itself, and all is done with the later of them', () => {
    const a = lane(on('a', 2, 0), 0);
    const b = lane(on('b', 0, 0), 0);
    const { runs, usualS } = forecast([a, b], AS_PLANNED, none);
    expect(usualS).toBe(Math.max(must(runs['a']).usualS, must(runs['b']).usualS));
  });

  test('what is left of the step in hand counts: half of one by hand at the most, since it may be waiting for hands', () => {
    const cycle = cycleOf(queued(pieces(1)));
    const load = must(cycle[0]).plannedS;
    const close = must(cycle[1]);
    const rest = plannedS(cycle.slice(2));
    const closing = (s: number) => lane(on('a', 1, 0), s);
    expect(forecast([closing(1)], AS_PLANNED, none).usualS).toBeCloseTo(close.plannedS - 1 + rest, 6);
    expect(forecast([closing(900)], AS_PLANNED, none).usualS).toBeCloseTo(close.plannedS / 2 + rest, 6);
    expect(load).toBeGreaterThan(0);
  });

  test('two people at two presses are not in each other’s way', () => {
    const lanes = [lane(on('a', 3, 0), 0), lane(on('b', 3, 0), 0)];
    const alone = forecast([must(lanes[0])], AS_PLANNED, none).usualS;
    expect(forecast(lanes, AS_PLANNED, none, 2).usualS).toBeCloseTo(alone, 6);
    expect(forecast(lanes, AS_PLANNED, none, 1).usualS).toBeGreaterThan(alone);
  });
});

describe('a run as segments', () => {
  const pace = (o: (typeof OPERATIONS)[number]) => ({ usualS: o.plannedS, logSd: 0.1, seen: 0 });
  const cycle = cycleOf(queued(pieces(1)));

  test('keep every second of the steps, hands and press in turn', () => {
    const all = segmentsOf(cycle, pace);
    expect(all.reduce((s, x) => s + x.s, 0)).toBeCloseTo(plannedS(cycle), 9);
    expect(all.reduce((s, x) => (x.hands ? s + x.s : s), 0)).toBeCloseTo(plannedS(cycle, 'hands'), 9);
    all.slice(1).forEach((x, i) => expect(x.hands).toBe(!all[i]?.hands));
  });

  test('two steps of equal length in one segment vary less together: 0.1 / √2', () => {
    const steps = [5, 5].map((plannedS, i) =>
      operation({ id: `${i}`, stage: 'press', kind: 'load', resource: 'hands', plannedS }),
    );
    expect(segmentsOf(steps, pace)).toEqual([
      { hands: true, s: 10, logSd: expect.closeTo(0.1 / Math.SQRT2, 9) },
    ]);
  });

  test('the segment in the press is the one its step lies in, at every step of the cycle', () => {
    const all = segmentsOf(cycle, pace);
    for (let n = 1; n < cycle.length; n += 1) {
      const at = must(inPressOf(0, lane(on('a', n, 0), 0), 0, pace));
      expect(all[at.segment]?.hands).toBe(cycle[n]?.resource === 'hands');
      const after = all.slice(at.segment + 1).reduce((s, x) => s + x.s, 0);
      expect(at.leftS + after).toBeCloseTo(plannedS(cycle.slice(n)), 9);
    }
    expect(inPressOf(0, lane(on('a', 0, 0), 0), 0, pace)).toBeNull();
  });
});
