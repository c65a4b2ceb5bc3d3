import fc from 'fast-check';
import { boundTogether, type Worker } from './boundTogether';
import type { Route, Work } from './problem';

const ALWAYS = [{ fromS: 0, toS: Infinity }];
const press = (index: number, tailS = 0, fromS = 0): Worker => ({
  press: index,
  windows: ALWAYS,
  fromS,
  many: 1,
  tailS,
});
const hands = (many: number, fromS = 0): Worker => ({
  press: null,
  windows: ALWAYS,
  fromS,
  many,
  tailS: 0,
});

const route = (index: number, handsS: number, aloneS: number): Route => ({
  press: index,
  atOnce: 1,
  cycle: [
    { hands: true, s: handsS, logSd: 0 },
    { hands: false, s: aloneS, logSd: 0 },
  ],
  setting: 'a',
  setS: 0,
  changeS: 0,
  fromS: 0,
});
const job = (pieces: number, routes: readonly Route[]): Work => ({
  id: 'j',
  dueS: null,
  releaseS: 0,
  printer: 0,
  sheets: 0,
  perSheet: 1,
  printS: 0,
  dryS: 0,
  trimS: 0,
  pieces,
  cut: 0,
  taped: 0,
  prepareS: 0,
  routes,
  coolS: 0,
  toFinish: 0,
  finishS: 0,
  logSd: 0,
  spoilage: 0,
});

/** Not above the optimum of the linear relaxation, and near it. */
const expectNear = (found: number, optimum: number) => {
  expect(found).toBeLessThanOrEqual(optimum + 1e-6);
  expect(found).toBeGreaterThan(optimum * 0.99);
};

describe('presses and hands counted together', () => {
  test('a job divided over a fast and a slow press: pieces go by how fast each is', () => {
    // 10 pieces at 100 s and 300 s: 10 ÷ (1/100 + 1/300) = 750 s, three quarters of them on the fast one.
    const made = boundTogether([job(10, [route(0, 10, 90), route(1, 10, 290)])], [press(0), press(1)], 0, 0);
    expectNear(made.leastS, 750);
    const [fast = 0, slow = 0] = made.shares[0] ?? [];
    expect(fast + slow).toBeCloseTo(1, 9);
    expect(slow).toBeGreaterThan(0.1);
    expect(fast).toBeGreaterThan(slow);
  });

  test('hands that the fast press asks more of hold it back', () => {
    // x pieces on press 0 (100 s, 60 s of hands), 10 − x on press 1 (200 s, 20 s), 400 s of hands besides, one pair of them:
    // 600 + 40 x = 2000 − 200 x where both run out together, x = 5.833, 833.3 s.
    const made = boundTogether(
      [job(10, [route(0, 60, 40), route(1, 20, 180)])],
      [press(0), press(1), hands(1)],
      400,
      0,
    );
    expectNear(made.leastS, 2500 / 3);
  });

  test('a press that begins later and one whose last load takes long to cool have so much less time', () => {
    // 10 pieces of 100 s over (T − 200) + (T − 100): T = 650.
    const both = [route(0, 10, 90), route(1, 10, 90)];
    expectNear(boundTogether([job(10, both)], [press(0, 0, 200), press(1, 100)], 0, 0).leastS, 650);
  });

  test('two people halve what hands alone take, and never less than was known is said', () => {
    const work = [job(30, [route(0, 50, 0)])];
    // The press takes 1500 s, two people with 5000 s besides 3250 s.
    expectNear(boundTogether(work, [press(0), hands(2)], 5000, 0).leastS, 3250);
    expect(boundTogether(work, [press(0), hands(2)], 5000, 4000).leastS).toBe(4000);
  });

  test('any way to share the jobs out takes at least as long', () => {
    const routes = fc.array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 20, max: 300 })), {
      minLength: 3,
      maxLength: 3,
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 40 }), routes), { minLength: 1, maxLength: 4 }),
        fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 4, maxLength: 4 }),
        (jobs, choice) => {
          const work = jobs.map(([n, rs]) =>
            job(
              n,
              rs.map(([h, s], i) => route(i, h, s)),
            ),
          );
          const busy = [0, 0, 0];
          let handsS = 0;
          jobs.forEach(([n, rs], j) => {
            const at = choice[j] ?? 0;
            const [h, s] = rs[at] ?? [0, 0];
            busy[at] = (busy[at] ?? 0) + n * (h + s);
            handsS += n * h;
          });
          const made = boundTogether(work, [press(0), press(1), press(2), hands(1)], 0, 0);
          expect(made.leastS).toBeLessThanOrEqual(Math.max(...busy, handsS) + 1e-6);
        },
      ),
      { numRuns: 150 },
    );
  });
});
