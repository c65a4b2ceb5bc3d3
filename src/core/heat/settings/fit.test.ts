import fc from 'fast-check';
import { normalCdf, normalQuantile } from '../../figures/normal';
import { seeded } from '../../random/random';
import type { CoatingDose } from '../model/coatings';
import {
  believedDose,
  chances,
  likelihoodOf,
  fitBelief,
  independentPieces,
  mostLikely,
  termsOf,
  PIECE_SD,
  priorBelief,
  type Trial,
} from './fit';
import { cholesky, dot, inverse, quadratic, solve } from '../model/linear';
import type { LogDoses } from '../model/sensitivity';

/** A coating of its own: how far what is fitted can be trusted does not hang on the priors of a shop. */
const COATING: CoatingDose = { neededS: 17.5, limitS: 205, neededSd: 0.42, limitSd: 0.42 };
const NEEDED = 6;
const LIMIT = 7;
/** A setting of so many seconds at 200 °C, on a press and stack of usual spreads. */
const doses = (leastS: number, mostS = leastS * 2): LogDoses => ({
  least: Math.log(leastS),
  most: Math.log(mostS),
  leastBy: [0.03, 0.16, 0.02, 0.01, -0.02, -0.09],
  mostBy: [0.02, 0.15, 0.02, 0.01, -0.02, -0.05],
});
const trial = (leastS: number, verdict: Trial['verdict'], weight = 1): Trial => ({
  id: `${leastS}-${verdict}`,
  doses: doses(leastS),
  verdict,
  weight,
});

/** The edges of the window of a shop, ln s: the dose it needs and the most it bears, on its own press. */
function edges(x: readonly number[], d: LogDoses): { readonly low: number; readonly high: number } {
  const u = x.slice(0, NEEDED);
  return {
    low: Math.log(COATING.neededS) + COATING.neededSd * (x[NEEDED] ?? 0) - dot(d.leastBy, u),
    high: Math.log(COATING.limitS) + COATING.limitSd * (x[LIMIT] ?? 0) - dot(d.mostBy, u),
  };
}

describe('200 seeded shops', () => {
  const D = doses(40);
  const shops = Array.from({ length: 200 }, (_, i) => {
    const random = seeded(1000 + i);
    const gauss = () => normalQuantile(Math.min(1 - 1e-8, Math.max(1e-8, random())));
    const truth = Array.from({ length: 8 }, gauss);
    const { low, high } = edges(truth, D);
    const trials = Array.from({ length: 14 }, (_, k): Trial => {
      const leastS = Math.exp(low - 0.6 + random() * (high - Math.log(2) - low + 1.2));
      const t = trial(leastS, 'good');
      const [a, b] = [t.doses.least - low + PIECE_SD * gauss(), high - t.doses.most + PIECE_SD * gauss()];
      return { ...t, id: String(k), verdict: a < 0 ? 'under' : b < 0 ? 'over' : 'good' };
    });
    return { truth, trials, low, high };
  });

  test('95 % intervals of both edges hold the truth 90 to 98 times in a hundred', () => {
    const inside = { low: 0, high: 0 };
    for (const { trials, low, high } of shops) {
      const b = fitBelief(trials, COATING);
      const e = edges(b.mean, D);
      const rowLow = [...D.leastBy.map((v) => -v), COATING.neededSd, 0];
      const rowHigh = [...D.mostBy.map((v) => -v), 0, COATING.limitSd];
      if (Math.abs(e.low - low) < 1.96 * Math.sqrt(quadratic(b.covariance, rowLow))) inside.low += 1;
      if (Math.abs(e.high - high) < 1.96 * Math.sqrt(quadratic(b.covariance, rowHigh))) inside.high += 1;
    }
    for (const n of [inside.low, inside.high]) {
      expect(n / 200).toBeGreaterThanOrEqual(0.9);
      expect(n / 200).toBeLessThanOrEqual(0.98);
    }
  });

  test('the edges move toward the truth', () => {
    const off = (edge: 'low' | 'high', fitted: boolean) =>
      shops.reduce((s, { trials, ...truth }) => {
        const b = fitted ? fitBelief(trials, COATING) : priorBelief(COATING);
        return s + Math.abs(edges(b.mean, D)[edge] - truth[edge]);
      }, 0) / shops.length;
    for (const edge of ['low', 'high'] as const) expect(off(edge, true)).toBeLessThan(0.6 * off(edge, false));
  });
});

describe('what a shop teaches', () => {
  const width = (trials: readonly Trial[]): number => {
    const b = fitBelief(trials, COATING);
    // How much of the dose axis is good nineteen times in twenty, in logarithms.
    const good = Array.from({ length: 400 }, (_, i) => Math.exp(2 + i * 0.01)).filter(
      (s) => chances(doses(s), b).good > 0.95,
    );
    return good.length;
  };

  test('ten good pieces near an edge visibly widen what is known to be good', () => {
    const near = trial(24, 'good', independentPieces(10));
    const [before, after] = [
      chances(doses(24), priorBelief(COATING)).good,
      chances(doses(24), fitBelief([near], COATING)).good,
    ];
    expect(after).toBeGreaterThan(before + 0.1);
    expect(width([near, trial(70, 'good', independentPieces(10))])).toBeGreaterThan(width([]) + 15);
  });

  test('too little pushes the needed dose up and narrows it; too much pulls the limit down; good keeps both away', () => {
    const at = (trials: readonly Trial[]) => believedDose(fitBelief(trials, COATING));
    const prior = at([]);
    const under = at([trial(20, 'under', 3)]);
    expect(under.needed.value).toBeGreaterThan(prior.needed.value);
    expect(under.needed.high / under.needed.low).toBeLessThan(prior.needed.high / prior.needed.low);
    expect(at([trial(60, 'over', 3)]).limit.value).toBeLessThan(prior.limit.value);
    expect(prior.needed.value).toBeCloseTo(COATING.neededS, 9);
  });

  test('a piece that came out faded deep inside the window is unlikely under the rest', () => {
    const many = [trial(30, 'good', 5), trial(40, 'good', 5), trial(25, 'good', 5)];
    const odd = trial(45, 'under');
    const b = fitBelief([...many, odd], COATING);
    expect(likelihoodOf(odd, b)).toBeLessThan(0.04);
    for (const t of many) expect(likelihoodOf(t, b)).toBeGreaterThan(10 * likelihoodOf(odd, b));
  });

  test('chances are chances, whatever was seen, and the order of what was seen changes nothing', () => {
    const seen = fc.record({
      leastS: fc.double({ min: 2, max: 400, noNaN: true }),
      verdict: fc.constantFrom<Trial['verdict']>('under', 'good', 'over'),
      weight: fc.double({ min: 0.5, max: 6, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(seen, { maxLength: 8 }),
        fc.double({ min: 2, max: 400, noNaN: true }),
        (all, s) => {
          const trials = all.map((x) => trial(x.leastS, x.verdict, x.weight));
          const [a, b] = [trials, [...trials].reverse()].map((t) => chances(doses(s), fitBelief(t, COATING)));
          for (const p of [a?.good, a?.under, a?.over]) {
            expect(p).toBeGreaterThanOrEqual(0);
            expect(p).toBeLessThanOrEqual(1);
          }
          expect(a?.good).toBeCloseTo(b?.good ?? 0, 6);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('trials that contradict one another leave the same belief in any order', () => {
    const seen = [trial(26.9, 'under', 0.5), trial(9.2, 'good', 2.5), trial(105.6, 'under', 0.5)];
    const mean = (t: readonly Trial[]) => fitBelief(t, COATING).mean;
    expect(mean([...seen].reverse())).toEqual(mean(seen));
  });

  test('the maximum stands where its own slope is nought', () => {
    const trials = [trial(20, 'under', 2), trial(30, 'good', 3), trial(90, 'over', 1)];
    const { mean } = mostLikely(termsOf(trials, COATING));
    const posterior = (x: readonly number[]): number => {
      const { low, high } = edges(x, doses(1));
      const seen = trials.reduce((s, t) => {
        const [a, b] = [(t.doses.least - low) / PIECE_SD, (high - t.doses.most) / PIECE_SD];
        const p =
          t.verdict === 'under'
            ? normalCdf(-a)
            : t.verdict === 'over'
              ? normalCdf(-b)
              : normalCdf(a) * normalCdf(b);
        return s + Math.round(t.weight) * Math.log(Math.max(1e-300, p));
      }, 0);
      return seen - 0.5 * dot(x, x);
    };
    const top = posterior(mean);
    for (let i = 0; i < mean.length; i += 1)
      for (const by of [-0.02, 0.02])
        expect(posterior(mean.map((v, k) => (k === i ? v + by : v)))).toBeLessThan(top);
  });

  test('twenty pieces of one run count for less than four by themselves, and one for one', () => {
    expect(independentPieces(1)).toBe(1);
    expect(independentPieces(20)).toBeCloseTo(20 / 5.75, 12);
    expect(independentPieces(1e6)).toBeLessThan(4.01);
  });
});

test('small matrices: solved, inverted and factored they give back what they were made from', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 4, maxLength: 4 }), {
        minLength: 4,
        maxLength: 4,
      }),
      (m) => {
        const a = m.map((r, i) => m.map((q, j) => dot(r, q) + (i === j ? 1 : 0)));
        const l = cholesky(a);
        a.forEach((row, i) => row.forEach((v, j) => expect(dot(l[i] ?? [], l[j] ?? [])).toBeCloseTo(v, 6)));
        const x = solve(a, [1, 2, 3, 4]);
        a.forEach((row, i) => expect(dot(row, x)).toBeCloseTo(i + 1, 6));
        const inv = inverse(a);
        a.forEach((row, i) =>
          expect(
            dot(
              row,
              inv.map((r) => r[i] ?? 0),
            ),
          ).toBeCloseTo(1, 6),
        );
      },
    ),
    { numRuns: 100 },
  );
});
