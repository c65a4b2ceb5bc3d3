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

/** How much of a step's spread is its own and how much it shares with the day: squares add up to one, so that both together vary as stated. */
const OWN = 0.8;
const SHARED = 0.6;

/** One play: every step by its own chance, and all hands of the day by a chance they share, since a slow day is slow throughout. */
export function chanceOf(random: () => number): Chance {
  const normal = (): number => NORMALS[Math.floor(random() * TABLE)] ?? 0;
  const shared = { hands: normal(), wait: normal() };
  return {
    time: (usualS, logSd, kind) =>
      logSd === 0 || usualS === 0
        ? usualS
        : usualS * Math.exp(logSd * (OWN * normal() + SHARED * shared[kind])),
    spoiled: (pieces, share) => {
      let bad = 0;
      if (share > 0) for (let i = 0; i < pieces; i += 1) if (random() < share) bad += 1;
      return bad;
    },
  };
}

/** When each job and all of them were over, play by play, s. */
export interface Drawn {
  readonly jobsS: readonly (readonly number[])[];
  readonly allS: readonly number[];
}

const SEED = 81_649;
/** Parts of one drawing are seeded apart: they can be played anywhere, and come to the same. */
const APART = 7919;

/** The same plan played out so many times with times and spoiled pieces drawn from what is known of them (Law 2015, ch. 9). Seeded. */
export function draw(problem: Problem, policy: Policy, count: number, part = 0): Drawn {
  const random = seeded(SEED + part * APART);
  const jobsS: number[][] = problem.work.map(() => []);
  const allS: number[] = [];
  for (let i = 0; i < count; i += 1) {
    const outcome = simulate(problem, policy, { chance: chanceOf(random) });
    outcome.endS.forEach((s, j) => jobsS[j]?.push(s));
    allS.push(outcome.makespanS);
  }
  return { jobsS, allS };
}

export const spreadOf = (xs: readonly number[]): Spread => {
  const sorted = [...xs].sort((a, b) => a - b);
  return { usualS: quantile(sorted, 0.5), ninetyS: quantile(sorted, 0.9) };
};

/** What some drawings of one plan say together. */
export function playsOf(problem: Problem, drawn: readonly Drawn[]): Plays {
  const allS = drawn.flatMap((d) => d.allS);
  return {
    plays: allS.length,
    all: spreadOf(allS),
    jobs: problem.work.map(({ dueS }, j) => {
      const of = drawn.flatMap((d) => d.jobsS[j] ?? []);
      const inTime = dueS === null ? null : of.filter((s) => s <= dueS).length / Math.max(1, of.length);
      return { ...spreadOf(of), inTime };
    }),
  };
}
