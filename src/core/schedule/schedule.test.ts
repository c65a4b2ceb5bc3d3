import { seeded } from '../random/random';
import { bound } from './bound';
import { openBetween, workedBy } from './calendar';
import { finish } from '../basics/steps';
import { chanceOf, halfWidth, playing } from './chance';
import { TURN, type Policy, type Problem, type Work } from './problem';
import { score, search } from './search';
import { simulate } from './simulate';
import { wrongs } from './testCheck';
import { madeUpShop } from './testShops';

const shuffled = (n: number, random: () => number): number[] => {
  const order = Array.from({ length: n }, (_, i) => i);
  for (let i = n - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j] ?? 0, order[i] ?? 0];
  }
  return order;
};
/** So many plays, whatever is known before. */
const plays = (problem: Problem, policy: Policy, count: number, seed = 1) =>
  finish(playing(problem, policy, { most: count, least: count, seed }));
const plain = (problem: Problem): Policy => ({
  order: problem.work.map((_, i) => i),
  turns: new Map(),
  ahead: 2,
  finishFirst: false,
  steady: true,
  strict: false,
});

/** One press, one pair of hands, nothing to wait for but what is said. */
const ONE: Work = {
  id: 'one',
  dueS: null,
  releaseS: 0,
  printer: 0,
  sheets: 2,
  perSheet: 1,
  printS: 60,
  dryS: 120,
  trimS: 10,
  pieces: 2,
  cut: 0,
  taped: 0,
  prepareS: 50,
  routes: [
    {
      press: 0,
      atOnce: 1,
      cycle: [
        { hands: true, s: 20, logSd: 0 },
        { hands: false, s: 200, logSd: 0 },
        { hands: true, s: 30, logSd: 0 },
      ],
      setting: 'a',
      setS: 0,
      changeS: 0,
      fromS: 0,
    },
  ],
  coolS: 600,
  toFinish: 0,
  finishS: 15,
  logSd: 0,
  spoilage: 0,
};
const SMALL: Problem = {
  windows: [{ fromS: 0, toS: 36_000 }],
  people: 1,
  printers: 1,
  presses: [
    { id: 'p', circuit: null, warmS: 300, warmA: 5, holdA: 2, hotFromS: null, setting: null, inPress: null },
  ],
  circuits: [],
  coolingPlaces: 4,
  work: [ONE],
};

describe('a course worked by hand', () => {
  const outcome = simulate(SMALL, plain(SMALL), { keep: true });
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
    const four: Problem = {
      ...SMALL,
      work: [{ ...ONE, pieces: 4, sheets: 0, cut: 4, prepareS: 300, routes: [{ ...route, atOnce: 4 }] }],
    };
    const [on] = simulate(four, plain(four), { keep: true }).on;
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
    const busy: Problem = {
      ...SMALL,
      presses: [line, { ...line, id: 'q', hotFromS: 0 }],
      work: [four, other],
    };
    // The hands are held for 2000 s, then tape 1200 s; 300 s before that ends the press is turned on.
    const { on } = simulate(busy, plain(busy), { keep: true });
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
    const after = simulate(withBreak, plain(withBreak), { keep: true });
    const second = after.done.filter((d) => d.kind === 'hands' && d.part === 1);
    expect(Math.min(...second.map((d) => d.fromS))).toBeCloseTo(1000, 6);
    expect(wrongs(withBreak, after)).toEqual([]);
  });

  test('a load in the press as the plan begins goes on from where it is', () => {
    const line = SMALL.presses[0];
    if (!line) throw new Error('no press');
    const going: Problem = {
      ...SMALL,
      presses: [
        { ...line, hotFromS: 0, setting: 'a', inPress: { work: 0, pieces: 1, segment: 1, leftS: 80 } },
      ],
      work: [{ ...ONE, sheets: 1, pieces: 1, taped: 0 }],
    };
    const first = simulate(going, plain(going), { keep: true }).done.find((d) => d.kind === 'cool');
    // 80 s left, then 30 s of hands.
    expect(first?.fromS).toBeCloseTo(110, 6);
  });

  test('nobody to work, and no press: never done, and said so', () => {
    expect(simulate({ ...SMALL, people: 0 }, plain(SMALL)).makespanS).toBe(Infinity);
    const none = { ...SMALL, work: [{ ...ONE, routes: [] }] };
    expect(simulate(none, plain(none)).makespanS).toBe(Infinity);
    expect(bound(none).by).toBe('nothing');
  });
});

test('a press takes its own jobs first, helps with others after them, and leaves some alone', () => {
  const [route] = ONE.routes;
  const line = SMALL.presses[0];
  if (!route || !line) throw new Error('no press');
  const two: Problem = {
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
      simulate(two, { ...plain(two), turns }, { keep: true })
        .done.filter((d) => d.kind === 'press' && d.press === press)
        .map((d) => d.work),
    );
  expect(
    pressed(
      new Map([
        ['0 0', TURN.never],
        ['1 1', TURN.never],
      ]),
    ),
  ).toEqual([
    [1, 1],
    [0, 0],
  ]);
  const helping = pressed(
    new Map([
      ['0 0', TURN.help],
      ['1 1', TURN.never],
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
  const both: Problem = {
    ...SMALL,
    windows: [{ fromS: 0, toS: 864_000 }],
    presses: [line, { ...line, id: 'q' }],
    work: [first, other],
  };

  test('is not left lying half taped while all of another is taped', () => {
    // Taping takes longer than the press, so that every call of the press comes while a piece is being taped.
    const slow: Problem = { ...both, work: [{ ...first, prepareS: 300 }, other] };
    const policy = { ...plain(slow), strict: true, ahead: 40 };
    const outcome = simulate(slow, policy, { keep: true });
    expect(wrongs(slow, outcome)).toEqual([]);
    const alone = simulate({ ...slow, work: slow.work.slice(0, 1) }, { ...policy, order: [0] }).makespanS;
    expect(outcome.endS[0]).toBeLessThan(1.3 * alone);
    expect(outcome.endS[1]).toBeGreaterThan(2 * alone);
  });

  test('is not left lying half cut while its press is fed another', () => {
    const one: Work = { ...ONE, id: 'one', trimS: 200, sheets: 1, perSheet: 2 };
    const next: Work = { ...other, id: 'next', sheets: 0, cut: 40, routes: [route] };
    const hot: Work = { ...other, id: 'hot', pieces: 30, sheets: 0, taped: 30 };
    const three = { ...both, work: [one, next, hot] };
    const outcome = simulate(three, { ...plain(three), strict: true, ahead: 40 }, { keep: true });
    expect(wrongs(three, outcome)).toEqual([]);
    // Two pieces alone take so long.
    expect(outcome.endS[0]).toBeLessThan(2 * simulate(SMALL, plain(SMALL)).makespanS);
  });

  test('strictly in order it is taped to its last piece before the other is begun, but for waits', () => {
    const { done } = simulate(both, { ...plain(both), strict: true, ahead: 40 }, { keep: true });
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
  const two = (carriesA: number): Problem => ({
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
    const outcome = simulate(problem, plain(problem), { keep: true });
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
    const outcome = simulate(problem, policy, { keep: true });
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
    const outcome = simulate(problem, plain(problem), { keep: true });
    const found = wrongs(problem, outcome).filter((w) => !w.includes('never packed'));
    expect({ seed, found }).toEqual({ seed, found: [] });
    if (Number.isFinite(outcome.makespanS))
      expect(outcome.makespanS).toBeGreaterThanOrEqual(bound(problem).leastS - 1e-3);
  }
});

describe('the search', () => {
  test('comes within 2 % of the best of every order and every way on small shops, and no way beats the bound', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const problem = madeUpShop(seed, { jobs: 3, pieces: 9, presses: 2, people: 1 });
      const all = everyPolicy(problem).map((p) => score(problem, simulate(problem, p)));
      const best = Math.min(...all.map((s) => s.cost));
      expect(Math.min(...all.map((s) => s.makespanS))).toBeGreaterThanOrEqual(bound(problem).leastS - 1e-6);
      const found = search(problem, 150_000);
      expect(found.score.cost).toBeLessThanOrEqual(best * 1.02);
      expect(score(problem, simulate(problem, found.policy)).cost).toBe(found.score.cost);
    }
  });

  test('gives the same plan for the same problem', () => {
    const problem = madeUpShop(5, { jobs: 5, pieces: 40, presses: 3, people: 2 }, true);
    expect(search(problem, 60_000)).toEqual(search(problem, 60_000));
  });

  test('a plan that stands is kept unless another gains more than a little', () => {
    const problem = madeUpShop(5, { jobs: 5, pieces: 40, presses: 3, people: 2 });
    const best = search(problem, 120_000);
    const costOf = (policy: Policy) => score(problem, simulate(problem, policy)).cost;
    const alike = [1, 2, 3, 5, 8]
      .flatMap((ahead) => [true, false].map((steady): Policy => ({ ...best.policy, ahead, steady })))
      .filter((p) => costOf(p) > best.score.cost + 1 && costOf(p) < best.score.cost + 250);
    expect(alike.length).toBeGreaterThan(0);
    for (const policy of alike.slice(0, 3)) expect(search(problem, 60_000, policy).policy).toBe(policy);
    const bad: Policy = { ...plain(problem), order: [...best.policy.order].reverse(), ahead: 1 };
    expect(costOf(bad)).toBeGreaterThan(best.score.cost + 600);
    expect(search(problem, 60_000, bad).policy).not.toBe(bad);
  });

  test('takes the job due first where both cannot be in time', () => {
    const due: Problem = {
      ...SMALL,
      work: [
        { ...ONE, id: 'late', pieces: 6, sheets: 6, dueS: 90_000 },
        { ...ONE, id: 'soon', pieces: 3, sheets: 3, dueS: 2200 },
      ],
    };
    const found = search(due, 20_000);
    expect(found.policy.order[0]).toBe(1);
    expect(found.score.late).toBe(0);
  });

  test('500 pieces on 4 presses with 2 people come within 3 % of the bound on the mean of the seeds', () => {
    const gaps = [1, 4, 6, 9, 12].map((seed) => {
      const made = madeUpShop(seed, { jobs: 8, pieces: 500, presses: 4, people: 2 });
      const problem = { ...made, work: made.work.map((w) => ({ ...w, dueS: null })) };
      return search(problem, 250_000).score.makespanS / bound(problem).leastS - 1;
    });
    expect(Math.min(...gaps)).toBeGreaterThanOrEqual(0);
    expect(gaps.reduce((a, b) => a + b, 0) / gaps.length).toBeLessThan(0.03);
  });
});

/** Every order of the jobs with every choice of presses and both ways of hands. */
function everyPolicy(problem: Problem): readonly Policy[] {
  const orders = (xs: readonly number[]): number[][] =>
    xs.length < 2 ? [[...xs]] : xs.flatMap((x) => orders(xs.filter((y) => y !== x)).map((o) => [x, ...o]));
  const keys = problem.work.flatMap((w, i) => w.routes.map((r) => ({ i, key: `${i} ${r.press}` })));
  const bars = Array.from({ length: 2 ** keys.length }, (_, m) =>
    keys.filter((_k, b) => (m >> b) & 1),
  ).filter((set) => problem.work.every((w, i) => set.filter((k) => k.i === i).length < w.routes.length));
  return orders(problem.work.map((_, i) => i)).flatMap((order) =>
    bars.flatMap((set) =>
      [true, false].flatMap((finishFirst) =>
        [1, 2, 3].map((ahead) => ({
          order,
          turns: new Map(set.map((k) => [k.key, TURN.never])),
          ahead,
          finishFirst,
          steady: ahead !== 2,
          strict: false,
        })),
      ),
    ),
  );
}

describe('chance', () => {
  const problem = madeUpShop(3, { jobs: 4, pieces: 30, presses: 2, people: 2 });
  test('without any it is the plan itself', () => {
    const sure: Problem = {
      ...problem,
      presses: problem.presses.map((p) => ({ ...p, hotFromS: 0 })),
      work: problem.work.map((w) => ({
        ...w,
        spoilage: 0,
        logSd: 0,
        coolS: 0,
        printS: 0,
        routes: w.routes.map((r) => ({ ...r, cycle: r.cycle.map((s) => ({ ...s, logSd: 0 })) })),
      })),
    };
    const played = plays(sure, plain(sure), 20);
    expect(played.all.usualS).toBeCloseTo(simulate(sure, plain(sure)).makespanS, 6);
    expect(played.all.ninetyS).toBe(played.all.usualS);
  });

  test('times vary by as much as is stated: the logarithm of many steps of many days has the mean 0 and that deviation', () => {
    const random = seeded(5);
    const [days, steps, logSd] = [2000, 20, 0.3];
    const all: number[] = [];
    const dayMeans: number[] = [];
    for (let d = 0; d < days; d += 1) {
      const chance = chanceOf(random);
      const of = Array.from({ length: steps }, () => Math.log(chance.time(60, logSd, 'hands') / 60));
      all.push(...of);
      dayMeans.push(of.reduce((a, b) => a + b, 0) / steps);
    }
    const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length;
    const sd = (xs: readonly number[]) => Math.sqrt(mean(xs.map((x) => x * x)) - mean(xs) ** 2);
    expect(Math.abs(mean(all))).toBeLessThan(0.02);
    expect(sd(all) / logSd).toBeGreaterThan(0.98);
    expect(sd(all) / logSd).toBeLessThan(1.02);
    // A slow day is slow throughout: 0.6² of the variance, and a twentieth of the rest.
    expect(sd(dayMeans) / logSd).toBeCloseTo(Math.sqrt(0.36 + 0.64 / steps), 1);
  });

  test('nine in ten are over by the later time, counted on other plays of the same plan', () => {
    const { all } = plays(problem, plain(problem), 600);
    const again = plays(problem, plain(problem), 600, 2).all;
    expect(all.ninetyS).toBeGreaterThan(all.usualS);
    expect(Math.abs(again.ninetyS / all.ninetyS - 1)).toBeLessThan(0.02);
    expect(Math.abs(again.usualS / all.usualS - 1)).toBeLessThan(0.02);
  });

  test('the interval about a share is Wilson’s', () => {
    // Newcombe 1998, table I: 81 of 263, 0.2553 to 0.3662; 15 of 148, 0.0624 to 0.1605; 0 of 20, 0 to 0.1611.
    expect(halfWidth(81 / 263, 263)).toBeCloseTo((0.3662 - 0.2553) / 2, 4);
    expect(halfWidth(15 / 148, 148)).toBeCloseTo((0.1605 - 0.0624) / 2, 4);
    expect(halfWidth(0, 20)).toBeCloseTo(0.1611 / 2, 4);
  });

  test('a date that is certain takes few plays, one that is not as many as tell it to 2.5 %', () => {
    const due = (dueS: number) => {
      const p = { ...problem, work: problem.work.map((w) => ({ ...w, dueS })) };
      return finish(playing(p, plain(p), { most: 2000 }));
    };
    const { all } = plays(problem, plain(problem), 600);
    expect(due(all.usualS * 10).plays).toBe(100);
    const even = due(all.usualS);
    expect(even.plays).toBeGreaterThan(300);
    for (const { inTime } of even.jobs)
      if (inTime !== null && even.plays < 2000)
        expect(halfWidth(inTime, even.plays)).toBeLessThanOrEqual(0.025);
    expect(due(all.usualS)).toEqual(even);
  });

  test('spoiled pieces are made again: more of them end later', () => {
    const spoiling = (spoilage: number) => {
      const p = { ...problem, work: problem.work.map((w) => ({ ...w, spoilage })) };
      return plays(p, plain(p), 200).all.usualS;
    };
    expect(spoiling(0.2)).toBeGreaterThan(spoiling(0) * 1.03);
  });
});

describe('the calendar', () => {
  const windows = [
    { fromS: 0, toS: 100 },
    { fromS: 150, toS: 300 },
  ];
  test('work rests while nobody is there', () => {
    expect(workedBy(windows, 0, 100)).toBe(100);
    expect(workedBy(windows, 0, 120)).toBe(170);
    expect(workedBy(windows, 120, 10)).toBe(160);
    expect(workedBy(windows, 0, 251)).toBe(Infinity);
  });
  test('what is worked between two moments is what it takes to get from one to the other', () => {
    for (const s of [10, 79, 81, 180, 225])
      expect(openBetween(windows, 20, workedBy(windows, 20, s))).toBeCloseTo(s, 9);
  });
});
