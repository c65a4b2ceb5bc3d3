import fc from 'fast-check';
import { operation, plannedS } from '../shop/operation';
import type { Run, RunDose, RunEvent } from '../shop/run';
import { overTime, passesOf } from './dose';
import { paceFrom, personOf, timedSteps, type TimedStep } from './pace';
import { withState } from './pieces';
import { cycleOf, foldRun, stepsTaken } from './run';
import { CYCLE, done, must, pieces, queued, run, T0 } from './testRun';

const LOAD = operation({ id: 'load', stage: 'press', kind: 'load', resource: 'hands', plannedS: 20 });
const step = (ratio: number, over: Partial<TimedStep> = {}): TimedStep => ({
  kind: 'load',
  pressId: 'p',
  by: 'Ines',
  logRatio: Math.log(ratio),
  at: 0,
  ...over,
});
const many = (n: number, ratio: number, over: Partial<TimedStep> = {}) =>
  Array.from({ length: n }, () => step(ratio, over));
const usualS = (steps: readonly TimedStep[], pressId = 'p', by: string | null = 'Ines') =>
  paceFrom(steps)(LOAD, pressId, by).usualS;

describe('how long a step takes here', () => {
  test('before anything is seen it is as planned, with the spread of nine in ten shops', () => {
    const { usualS: s, logSd } = paceFrom([])(LOAD, 'p', null);
    expect(s).toBe(20);
    // 0.8 and 1.4 of the plan stand 2 × 1.645 standard deviations apart.
    expect(logSd).toBeCloseTo(Math.log(1.4 / 0.8) / 3.29, 1);
  });

  test('many of one length are believed, one odd one is not', () => {
    expect(usualS(many(40, 1.5))).toBeGreaterThan(20 * 1.4);
    expect(usualS(many(40, 1.5))).toBeLessThan(20 * 1.5);
    const odd = usualS([step(6), ...many(20, 1)]);
    expect(odd).toBeGreaterThan(20);
    expect(odd).toBeLessThan(20 * 1.1);
  });

  test('newest weigh more', () => {
    const got = usualS([...many(25, 1), ...many(25, 2)]);
    expect(got).toBeLessThan(20 * 1.4);
    expect(usualS([...many(25, 2), ...many(25, 1)])).toBeGreaterThan(20 * 1.5);
  });

  test('another person and another press say less than one’s own', () => {
    const slow = many(6, 2, { by: 'Tariq' });
    expect(usualS(slow)).toBeLessThan(usualS(slow, 'p', 'Tariq'));
    expect(usualS(slow, 'q', 'Tariq')).toBeLessThan(usualS(slow, 'p', 'Tariq'));
    expect(usualS(slow)).toBeGreaterThan(20);
  });

  test('a piece is readied as quickly as its hands are at the press, until that is seen itself', () => {
    const wrap = operation({ id: 'wrap', stage: 'prepare', kind: 'wrap', resource: 'hands', plannedS: 100 });
    const usual = (ratio: number) => paceFrom(many(30, ratio))(wrap, 'p', 'Ines').usualS;
    expect(usual(1.3)).toBeGreaterThan(115);
    expect(usual(1.3)).toBeLessThan(130);
    expect(paceFrom([])(wrap, 'p', 'Ines').usualS).toBe(100);
    // Waiting for a display says nothing of hands.
    expect(paceFrom(many(30, 1.3, { kind: 'reach-temperature' }))(wrap, 'p', 'Ines').usualS).toBe(100);
  });

  test('the spread widens with what was seen, and narrows where all are alike', () => {
    const sd = (steps: readonly TimedStep[]) => paceFrom(steps)(LOAD, 'p', 'Ines').logSd;
    expect(sd(many(40, 1))).toBeLessThan(sd([]) / 2);
    expect(sd(many(40, 1).map((s, i) => ({ ...s, logRatio: i % 2 ? 0.5 : -0.5 })))).toBeGreaterThan(0.35);
  });

  test('steps are read off runs: the press’s own time is not a pace, a forgotten step is none', () => {
    const events: RunEvent[] = [
      { ...(done('load', 30) as Extract<RunEvent, { kind: 'done' }>), by: 'Ines' },
      done('close-1', 33),
      done('press-1', 98),
      done('turn-2', 98 + 4000),
    ];
    const seen = timedSteps([withState(run(events))]);
    expect(seen.map((s) => s.kind)).toEqual(['close', 'load']);
    expect(Math.exp(must(seen[1]).logRatio)).toBeCloseTo(30 / 15, 9);
    expect(must(seen[1]).by).toBe('Ines');
    expect(personOf(run(events))).toBe('Ines');
  });
});

/** A straight table: so many s of dose a second at the least heated place, a quarter more at the most. */
const line = (slope: number): RunDose['first'] =>
  [-20, 0, 40].map((overS) => ({ overS, leastS: 40 + slope * overS, mostS: 50 + 1.25 * slope * overS }));
const DOSE: RunDose = {
  neededS: 30,
  limitS: 70,
  first: line(1),
  later: line(2),
};

describe('over-time', () => {
  const at = (...overS: readonly number[]) =>
    must(
      overTime(
        DOSE,
        overS.map((s, i) => ({ pass: i + 1, overS: s })),
      ),
    );

  test('on time is no change; passes add up', () => {
    expect(at(0, 0)).toEqual({ overS: 0, share: 0, inside: 'inside' });
    expect(at(4, 6).share).toBeCloseTo((4 + 2 * 6) / 40, 9);
    expect(at(4, -2).share).toBeCloseTo(0, 9);
    expect(at(4, 6).overS).toBe(10);
  });

  test('too little below what is needed, too much above what it bears, past the table by its slope', () => {
    expect(at(-10.1).inside).toBe('too little');
    expect(at(-9.9).inside).toBe('inside');
    expect(at(15.9).inside).toBe('inside');
    expect(at(16.1).inside).toBe('too much');
    expect(at(100).share).toBeCloseTo(2.5, 9);
  });

  test('more time is never less dose', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -300, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (s, more) => {
          expect(at(s + more).share).toBeGreaterThanOrEqual(at(s).share);
        },
      ),
    );
  });

  test('without tables nothing is said', () => {
    expect(overTime(null, [{ pass: 1, overS: 4 }])).toBeNull();
    expect(overTime(DOSE, [])).toBeNull();
  });

  test('passes are read off the steps of a load, each against its own set time', () => {
    const state = foldRun(run([done('load', 10), done('close-1', 15), done('press-1', 94)]));
    expect(passesOf(stepsTaken(state))).toEqual([{ pass: 1, overS: 14 }]);
  });
});

test('a wait for hands that were elsewhere is not work', () => {
  const a = queued(pieces(3), 1, { id: 'a', events: [done('load', 100)] });
  const b = queued(pieces(3), 1, { id: 'b', press: { ...a.press, id: 'other' }, events: [done('load', 70)] });
  const seen = timedSteps([withState(a), withState(b)]);
  // Both lay there from the start: hands took 70 s at the one and then 30 s at the other.
  expect(seen.map((s) => [s.pressId, Math.round(15 * Math.exp(s.logRatio))])).toEqual([
    ['tumbler-press', 30],
    ['other', 70],
  ]);
});

test('a run in which every step took as planned says so of itself', () => {
  let s = 0;
  const of: Run = queued(pieces(3));
  const events = cycleOf(of).map((o, i): RunEvent => {
    s += o.plannedS;
    return {
      ...(done(o.id, s) as Extract<RunEvent, { kind: 'done' }>),
      ...(i === CYCLE.length - 1 ? { next: pieces(1, 2) } : {}),
    };
  });
  const { state } = withState({ ...of, events });
  expect(stepsTaken(state)).toHaveLength(CYCLE.length);
  const pace = paceFrom(timedSteps([withState({ ...of, events })]));
  const all = cycleOf(of).reduce((sum, o) => sum + pace(o, of.press.id, null).usualS, 0);
  expect(all).toBeCloseTo(plannedS(cycleOf(of)), 6);
  expect(state.loadStartedAt).toBe(T0 + s * 1000);
});
