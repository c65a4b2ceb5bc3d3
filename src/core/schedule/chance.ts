import { normalQuantile } from '../figures/normal';
import type { Steps } from '../basics/steps';
import { seeded } from '../random/random';
import type { Policy, ScheduleInput } from './problem';
import { simulateSchedule } from './simulate';
import type { Chance } from './state';

/** When things are over by: usually, and nine times in ten, s. */
export interface FinishSpread {
  readonly usualS: number;
  readonly ninetyS: number;
}

export interface Plays {
  readonly plays: number;
  readonly all: FinishSpread;
  /** By job, in the order of the problem. */
  readonly jobs: readonly (FinishSpread & {
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

export const spreadOf = (xs: readonly number[]): FinishSpread => {
  const sorted = [...xs].sort((a, b) => a - b);
  return { usualS: quantile(sorted, 0.5), ninetyS: quantile(sorted, 0.9) };
};

/** Plays before the first look, and between two looks. */
const BATCH = 100;
/** Half the width a share may be uncertain by, 19 times in 20. */
const WITHIN = 0.025;
const Z95 = 1.96;

/** Half the width of the interval about a share seen in n plays, 19 times in 20 (Wilson 1927). */
export function halfWidth(share: number, n: number): number {
  const z2n = (Z95 * Z95) / n;
  return (Z95 * Math.sqrt((share * (1 - share)) / n + z2n / (4 * n))) / (1 + z2n);
}

const inTimeOf = (ends: readonly number[], dueS: number): number =>
  ends.filter((s) => s <= dueS).length / Math.max(1, ends.length);

/** How many plays a plan is given: no more than asked for, and as many as tell every job's chance of being in time to 2.5 %. */
export interface PlayCounts {
  readonly most: number;
  readonly least?: number;
  readonly seed?: number;
}

const SEED = 81_649;

/** The plan played out with times and spoiled pieces drawn from what is known of them (Law 2015, ch. 9 and 11). Seeded. */
export function* playing(
  problem: ScheduleInput,
  policy: Policy,
  { most, least = BATCH, seed = SEED }: PlayCounts,
): Steps<Plays> {
  const random = seeded(seed);
  const jobsS: number[][] = problem.work.map(() => []);
  const allS: number[] = [];
  const known = (): boolean =>
    allS.length >= least &&
    problem.work.every(({ dueS }, j) => {
      const ends = jobsS[j] ?? [];
      return dueS === null || halfWidth(inTimeOf(ends, dueS), ends.length) <= WITHIN;
    });
  while (allS.length < most && !(allS.length % BATCH === 0 && allS.length > 0 && known())) {
    const outcome = simulateSchedule(problem, policy, { chance: chanceOf(random) });
    outcome.endS.forEach((s, j) => jobsS[j]?.push(s));
    allS.push(outcome.makespanS);
    yield;
  }
  return {
    plays: allS.length,
    all: spreadOf(allS),
    jobs: problem.work.map(({ dueS }, j) => {
      const ends = jobsS[j] ?? [];
      return { ...spreadOf(ends), inTime: dueS === null ? null : inTimeOf(ends, dueS) };
    }),
  };
}
