import { seeded } from '../random/random';
import { bound } from './bound';
import { openBetween, workedBy } from './calendar';
import { finish } from '../basics/steps';
import { chanceOf, halfWidth, playing } from './chance';
import { JOB_PRIORITY, type Policy, type ScheduleInput } from './problem';
import { score, search } from './search';
import { simulateSchedule } from './simulate';
import { madeUpShop } from './testShops';
import { plays, plainPolicy, ONE, SMALL } from './testProblem';

describe('the search', () => {
  test('comes within 2 % of the best of every order and every way on small shops, and no way beats the bound', () => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const problem = madeUpShop(seed, { jobs: 3, pieces: 9, presses: 2, people: 1 });
      const all = everyPolicy(problem).map((p) => score(problem, simulateSchedule(problem, p)));
      const best = Math.min(...all.map((s) => s.cost));
      expect(Math.min(...all.map((s) => s.makespanS))).toBeGreaterThanOrEqual(bound(problem).leastS - 1e-6);
      const found = search(problem, 150_000);
      expect(found.score.cost).toBeLessThanOrEqual(best * 1.02);
      expect(score(problem, simulateSchedule(problem, found.policy)).cost).toBe(found.score.cost);
    }
  });

  test('gives the same plan for the same problem', () => {
    const problem = madeUpShop(5, { jobs: 5, pieces: 40, presses: 3, people: 2 }, true);
    expect(search(problem, 60_000)).toEqual(search(problem, 60_000));
  });

  test('a plan that stands is kept unless another gains more than a little', () => {
    const problem = madeUpShop(5, { jobs: 5, pieces: 40, presses: 3, people: 2 });
    const best = search(problem, 120_000);
    const costOf = (policy: Policy) => score(problem, simulateSchedule(problem, policy)).cost;
    const alike = [1, 2, 3, 5, 8]
      .flatMap((ahead) => [true, false].map((steady): Policy => ({ ...best.policy, ahead, steady })))
      .filter((p) => costOf(p) > best.score.cost + 1 && costOf(p) < best.score.cost + 250);
    expect(alike.length).toBeGreaterThan(0);
    for (const policy of alike.slice(0, 3)) expect(search(problem, 60_000, policy).policy).toBe(policy);
    const bad: Policy = { ...plainPolicy(problem), order: [...best.policy.order].reverse(), ahead: 1 };
    expect(costOf(bad)).toBeGreaterThan(best.score.cost + 600);
    expect(search(problem, 60_000, bad).policy).not.toBe(bad);
  });

  test('takes the job due first where both cannot be in time', () => {
    const due: ScheduleInput = {
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
function everyPolicy(problem: ScheduleInput): readonly Policy[] {
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
          turns: new Map(set.map((k) => [k.key, JOB_PRIORITY.never])),
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
    const sure: ScheduleInput = {
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
    const played = plays(sure, plainPolicy(sure), 20);
    expect(played.all.usualS).toBeCloseTo(simulateSchedule(sure, plainPolicy(sure)).makespanS, 6);
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
    const { all } = plays(problem, plainPolicy(problem), 600);
    const again = plays(problem, plainPolicy(problem), 600, 2).all;
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
      return finish(playing(p, plainPolicy(p), { most: 2000 }));
    };
    const { all } = plays(problem, plainPolicy(problem), 600);
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
      return plays(p, plainPolicy(p), 200).all.usualS;
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
