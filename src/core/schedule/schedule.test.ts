import { seeded } from '../random/random';
import { bound } from './bound';
import { JOB_PRIORITY, type Policy, type ScheduleInput, type Work } from './problem';
import { simulateSchedule } from './simulate';
import { wrongs } from './testCheck';
import { madeUpShop } from './testShops';
import { shuffled, plainPolicy, ONE, SMALL } from './testProblem';

describe('a course worked by hand', () => {
  const outcome = simulateSchedule(SMALL, plainPolicy(SMALL), { keep: true });
  test('ends when the paper says', () => {
    // Sheet 1 dry at 180, cut at 190, taped at 240; the press hot at 300 takes it; loaded by 320, pressed by 520, out by 550, at once the
    // second: loaded by 570, pressed by 770, out by 800, cool at 1400, packed at 1415.
    expect(outcome.makespanS).toBeCloseTo(1415, 6);
    expect(outcome.pressBusyS[0]).toBeCloseTo(500, 6);
    expect(outcome.handsBusyS).toBeCloseTo(2 * (10 + 50 + 20 + 30 + 15), 6);
    expect(wrongs(SMALL, outcome)).toEqual([]);
  });

  test('is no better than its bound, which is exact here', () => {
    expect(bound(SMALL)).toMatchObject({ by: 'presses', which: [0], busyS: 500 });
    expect(bound(SMALL).leastS).toBeCloseTo(1415, 6);
  });

  test('a press warms up so that it is hot as its first load is taped up, not before', () => {
    const [route] = ONE.routes;
    if (!route) throw new Error('no route');
    // Four pieces of 300 s, two at a time: the last is taped at 1200 s; the press takes 300 s to warm up.
    const four: ScheduleInput = {
      ...SMALL,
      work: [{ ...ONE, pieces: 4, sheets: 0, cut: 4, prepareS: 300, routes: [{ ...route, atOnce: 4 }] }],
    };
    const [on] = simulateSchedule(four, plainPolicy(four), { keep: true }).on;
    expect(on?.fromS).toBeCloseTo(900, 6);
    expect(on?.hotS).toBeCloseTo(1200, 6);
  });

  test('while nobody tapes, a press stays cold that would be hot long before its load', () => {
    const [route] = ONE.routes;
    const line = SMALL.presses[0];
    if (!route || !line) throw new Error('no press');
    const four = { ...ONE, pieces: 4, sheets: 0, cut: 4, prepareS: 300, routes: [{ ...route, atOnce: 4 }] };
    const held = { ...route, press: 1, cycle: [{ hands: true, s: 2000, logSd: 0 }] };
    const other = { ...ONE, id: 'other', pieces: 1, sheets: 0, taped: 1, routes: [held] };
    const busy: ScheduleInput = {
      ...SMALL,
      presses: [line, { ...line, id: 'q', hotFromS: 0 }],
      work: [four, other],
    };
    // The hands are held for 2000 s, then tape 1200 s; 300 s before that ends the press is turned on.
    const { on } = simulateSchedule(busy, plainPolicy(busy), { keep: true });
    expect(on.find((o) => o.press === 0)?.fromS).toBeCloseTo(2900, 6);
  });

  test('a load that would not be out before the break waits until after it', () => {
    const withBreak = {
      ...SMALL,
      windows: [
        { fromS: 0, toS: 700 },
        { fromS: 1000, toS: 36_000 },
      ],
    };
    const after = simulateSchedule(withBreak, plainPolicy(withBreak), { keep: true });
    const second = after.done.filter((d) => d.kind === 'hands' && d.part === 1);
    expect(Math.min(...second.map((d) => d.fromS))).toBeCloseTo(1000, 6);
    expect(wrongs(withBreak, after)).toEqual([]);
  });

  test('a load in the press as the plan begins goes on from where it is', () => {
    const line = SMALL.presses[0];
    if (!line) throw new Error('no press');
    const going: ScheduleInput = {
      ...SMALL,
      presses: [
        { ...line, hotFromS: 0, setting: 'a', inPress: { work: 0, pieces: 1, segment: 1, leftS: 80 } },
      ],
      work: [{ ...ONE, sheets: 1, pieces: 1, taped: 0 }],
    };
    const first = simulateSchedule(going, plainPolicy(going), { keep: true }).done.find(
      (d) => d.kind === 'cool',
    );
    // 80 s left, then 30 s of hands.
    expect(first?.fromS).toBeCloseTo(110, 6);
  });

  test('nobody to work, and no press: never done, and said so', () => {
    expect(simulateSchedule({ ...SMALL, people: 0 }, plainPolicy(SMALL)).makespanS).toBe(Infinity);
    const none = { ...SMALL, work: [{ ...ONE, routes: [] }] };
    expect(simulateSchedule(none, plainPolicy(none)).makespanS).toBe(Infinity);
    expect(bound(none).by).toBe('nothing');
  });
});

test('a press takes its own jobs first, helps with others after them, and leaves some alone', () => {
  const [route] = ONE.routes;
  const line = SMALL.presses[0];
  if (!route || !line) throw new Error('no press');
  const two: ScheduleInput = {
    ...SMALL,
    presses: [line, { ...line, id: 'q' }],
    work: ['a', 'b'].map((id) => ({
      ...ONE,
      id,
      sheets: 0,
      cut: 2,
      routes: [route, { ...route, press: 1 }],
    })),
  };
  const pressed = (turns: Policy['turns']) =>
    [0, 1].map((press) =>
      simulateSchedule(two, { ...plainPolicy(two), turns }, { keep: true })
        .done.filter((d) => d.kind === 'press' && d.press === press)
        .map((d) => d.work),
    );
  expect(
    pressed(
      new Map([
        ['0 0', JOB_PRIORITY.never],
        ['1 1', JOB_PRIORITY.never],
      ]),
    ),
  ).toEqual([
    [1, 1],
    [0, 0],
  ]);
  const helping = pressed(
    new Map([
      ['0 0', JOB_PRIORITY.help],
      ['1 1', JOB_PRIORITY.never],
    ]),
  );
  expect(helping[0]?.slice(0, 2)).toEqual([1, 1]);
});

describe('a job that comes first with one pair of hands', () => {
  const [route] = ONE.routes;
  const line = SMALL.presses[0];
  if (!route || !line) throw new Error('no press');
  const first: Work = { ...ONE, id: 'first', pieces: 6, sheets: 3, perSheet: 2, trimS: 40 };
  const other: Work = {
    ...ONE,
    id: 'other',
    pieces: 40,
    sheets: 40,
    prepareS: 90,
    routes: [{ ...route, press: 1 }],
  };
  const both: ScheduleInput = {
    ...SMALL,
    windows: [{ fromS: 0, toS: 864_000 }],
    presses: [line, { ...line, id: 'q' }],
    work: [first, other],
  };

  test('is not left lying half taped while all of another is taped', () => {
    // Taping takes longer than the press, so that every call of the press comes while a piece is being taped.
    const slow: ScheduleInput = { ...both, work: [{ ...first, prepareS: 300 }, other] };
    const policy = { ...plainPolicy(slow), strict: true, ahead: 40 };
    const outcome = simulateSchedule(slow, policy, { keep: true });
    expect(wrongs(slow, outcome)).toEqual([]);
    const alone = simulateSchedule(
      { ...slow, work: slow.work.slice(0, 1) },
      { ...policy, order: [0] },
    ).makespanS;
    expect(outcome.endS[0]).toBeLessThan(1.3 * alone);
    expect(outcome.endS[1]).toBeGreaterThan(2 * alone);
  });

  test('is not left lying half cut while its press is fed another', () => {
    const one: Work = { ...ONE, id: 'one', trimS: 200, sheets: 1, perSheet: 2 };
    const next: Work = { ...other, id: 'next', sheets: 0, cut: 40, routes: [route] };
    const hot: Work = { ...other, id: 'hot', pieces: 30, sheets: 0, taped: 30 };
    const three = { ...both, work: [one, next, hot] };
    const outcome = simulateSchedule(
      three,
      { ...plainPolicy(three), strict: true, ahead: 40 },
      { keep: true },
    );
    expect(wrongs(three, outcome)).toEqual([]);
    // Two pieces alone take so long.
    expect(outcome.endS[0]).toBeLessThan(2 * simulateSchedule(SMALL, plainPolicy(SMALL)).makespanS);
  });

  test('strictly in order it is taped to its last piece before the other is begun, but for waits', () => {
    const { done } = simulateSchedule(
      both,
      { ...plainPolicy(both), strict: true, ahead: 40 },
      { keep: true },
    );
    const taped = (work: number) => done.filter((d) => d.kind === 'tape' && d.work === work);
    const last = Math.max(...taped(0).map((d) => d.toS));
    const between = taped(1).filter((d) => d.fromS < last);
    // Only while its own sheets dry or its press holds the hands.
    expect(between.reduce((s, d) => s + d.toS - d.fromS, 0)).toBeLessThan(0.35 * last);
    expect(done.filter((d) => d.kind === 'print').map((d) => d.work)[2]).toBe(0);
  });
});

test('two presses on one circuit warm up one after the other, or not together at all', () => {
  const line = SMALL.presses[0];
  const [route] = ONE.routes;
  if (!line || !route) throw new Error('no press');
  const two = (carriesA: number): ScheduleInput => ({
    ...SMALL,
    presses: [
      { ...line, id: 'a', circuit: 0 },
      { ...line, id: 'b', circuit: 0 },
    ],
    circuits: [{ id: 'c', carriesA, otherA: 0 }],
    work: [{ ...ONE, pieces: 8, sheets: 8, routes: [route, { ...route, press: 1 }] }],
  });
  const on = (carriesA: number) => {
    const problem = two(carriesA);
    const outcome = simulateSchedule(problem, plainPolicy(problem), { keep: true });
    expect(wrongs(problem, outcome)).toEqual([]);
    return [...outcome.on].sort((x, y) => x.fromS - y.fromS);
  };
  // 5 A warming and 2 A held: 10 A carry both at once, 7 A one after the other, 6 A one alone.
  expect(on(10)[1]?.fromS).toBeCloseTo(on(10)[0]?.fromS ?? -1, 6);
  expect(on(7)[1]?.fromS).toBeGreaterThanOrEqual(on(7)[0]?.hotS ?? Infinity);
  expect(on(6)).toHaveLength(1);
});

test('500 random shops: nothing twice at once, nothing before its cause, no circuit over, no bound beaten', () => {
  const random = seeded(77);
  const whole = (a: number, b: number) => a + Math.floor(random() * (b - a + 1));
  for (let seed = 1; seed <= 500; seed += 1) {
    const problem = madeUpShop(
      seed,
      { jobs: whole(1, 5), pieces: whole(3, 24), presses: whole(1, 3), people: whole(1, 3) },
      true,
    );
    const policy: Policy = {
      order: shuffled(problem.work.length, random),
      turns: new Map(),
      ahead: whole(1, 4),
      finishFirst: random() < 0.5,
      steady: random() < 0.5,
      strict: random() < 0.3,
    };
    const outcome = simulateSchedule(problem, policy, { keep: true });
    const lone = problem.presses.every((p) => {
      const c = p.circuit === null ? undefined : problem.circuits[p.circuit];
      return !c || p.warmA + c.otherA <= c.carriesA;
    });
    const found = wrongs(problem, outcome).filter((w) => lone || !w.includes('never packed'));
    expect({ seed, found }).toEqual({ seed, found: [] });
    if (Number.isFinite(outcome.makespanS))
      expect(outcome.makespanS).toBeGreaterThanOrEqual(bound(problem).leastS - 1e-3);
  }
});

test('20 busy shops, four presses to one pair of hands: every load is out before everybody leaves, and no bound is beaten', () => {
  for (let seed = 1; seed <= 20; seed += 1) {
    const problem = madeUpShop(seed, { jobs: 6, pieces: 300, presses: 4, people: 1 }, seed % 2 === 0);
    const outcome = simulateSchedule(problem, plainPolicy(problem), { keep: true });
    const found = wrongs(problem, outcome).filter((w) => !w.includes('never packed'));
    expect({ seed, found }).toEqual({ seed, found: [] });
    if (Number.isFinite(outcome.makespanS))
      expect(outcome.makespanS).toBeGreaterThanOrEqual(bound(problem).leastS - 1e-3);
  }
});
