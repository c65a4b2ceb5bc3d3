import { normalQuantile } from '../figures/normal';
import { seeded } from '../random/random';
import type { Policy, Problem } from './problem';
import { simulate } from './simulate';
import type { Chance } from './state';

/** When things are over by: usually, and nine times in ten, s. */
export interface Spread {
  readonly usualS: number;
  readonly ninetyS: number;
}

export interface Plays {
  readonly plays: number;
  readonly all: Spread;
  /** By job, in the order of the problem. */
  readonly jobs: readonly (Spread & {
    /** Share of the plays in which it was packed by its date; null for no date. */
    readonly inTime: number | null;
  })[];
}

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(q * sorted.length) - 1))] ?? 0;

/** Standard normal numbers looked up: drawing one costs no more than an index. */
const TABLE = 4096;
const NORMALS: readonly number[] = Array.from({ length: TABLE }, (_, i) => normalQuantile((i + 0.5) / TABLE));

/** One play: every step by its own chance, and all hands of the day by a chance they share, since a slow day is slow throughout. */
function chanceOf(random: () => number): Chance {
  const normal = (): number => NORMALS[Math.floor(random() * TABLE)] ?? 0;
  const shared = { hands: normal(), wait: normal() };
  return {
    time: (usualS, logSd, kind) =>
      logSd === 0 || usualS === 0 ? usualS : usualS * Math.exp(logSd * (0.8 * normal() + 0.4 * shared[kind])),
    spoiled: (pieces, share) => {
      let bad = 0;
      if (share > 0) for (let i = 0; i < pieces; i += 1) if (random() < share) bad += 1;
      return bad;
    },
  };
}

/** The same plan played out so many times with times and spoiled pieces drawn from what is known of them (Law 2015, ch. 9). Seeded. */
export function plays(problem: Problem, policy: Policy, count: number, seed = 81_649): Plays {
  const random = seeded(seed);
  const ends: number[][] = problem.work.map(() => []);
  const all: number[] = [];
  for (let i = 0; i < count; i += 1) {
    const outcome = simulate(problem, policy, { chance: chanceOf(random) });
    outcome.endS.forEach((s, j) => ends[j]?.push(s));
    all.push(outcome.makespanS);
  }
  const spread = (xs: number[]): Spread => {
    xs.sort((a, b) => a - b);
    return { usualS: quantile(xs, 0.5), ninetyS: quantile(xs, 0.9) };
  };
  return {
    plays: count,
    all: spread(all),
    jobs: problem.work.map((w, j) => {
      const of = ends[j] ?? [];
      const { dueS } = w;
      return {
        ...spread(of),
        inTime: dueS === null ? null : of.filter((s) => s <= dueS).length / Math.max(1, count),
      };
    }),
  };
}
