import { openBetween } from './calendar';
import { cycleS, handsS, type ScheduleInput, type WorkingTime, type Work } from './problem';

/** Something that works on the loads: a press, or all hands together. */
export interface Worker {
  /** Index of the press; null for the hands. */
  readonly press: number | null;
  /** What it can work until a moment before the end, s. */
  readonly windows: readonly WorkingTime[];
  readonly fromS: number;
  /** How many of it there are, and how long before the end it is done at the latest, s. */
  readonly many: number;
  readonly tailS: number;
}

export interface Together {
  readonly leastS: number;
  /** Weight of each worker in the sum that gives the bound, 0..1. */
  readonly weights: readonly number[];
  /** How often each route of each job was the cheapest in the later rounds, 0..1: a hint of the share it should be given. */
  readonly shares: readonly (readonly number[])[];
}

const ROUNDS = 120;
const BISECTIONS = 40;
/** How far weights go, round by round. */
const stepAt = (round: number): number => 2 / (1 + round / 6);
/** Beyond this nothing is planned, s. */
const FAR_S = 1e9;

const capacityS = (w: Worker, endS: number): number =>
  w.many * openBetween(w.windows, w.fromS, endS - w.tailS);

/** What a piece asks of the workers by one route. */
interface Ask {
  /** Index of the press among the workers, and of the hands; -1 where there are none. */
  readonly press: number;
  readonly pressS: number;
  readonly handsS: number;
}

const asksOf = (work: readonly Work[], workers: readonly Worker[]): readonly (readonly Ask[])[] =>
  work.map((w) =>
    w.routes.map((r) => ({
      press: workers.findIndex((x) => x.press === r.press),
      pressS: cycleS(r.cycle) / r.atOnce,
      handsS: handsS(r.cycle) / r.atOnce,
    })),
  );

/** The cheapest route of each job by the weights. */
const cheapest = (asks: readonly (readonly Ask[])[], weights: readonly number[], hands: number): number[] =>
  asks.map((routes) => {
    let [least, at] = [Infinity, 0];
    routes.forEach((a, i) => {
      const cost = a.pressS * (weights[a.press] ?? 0) + a.handsS * (weights[hands] ?? 0);
      if (cost < least) [least, at] = [cost, i];
    });
    return at;
  });

/** The first end at which the weighted time the workers have reaches a sum, s. */
function endFor(workers: readonly Worker[], weights: readonly number[], sum: number, from: number): number {
  const enough = (endS: number) =>
    workers.reduce((s, w, i) => s + (weights[i] ?? 0) * capacityS(w, endS), 0) >= sum;
  if (enough(from)) return from;
  let [low, high] = [from, Math.max(3600, from * 1.25)];
  while (!enough(high)) {
    if (high > FAR_S) return from;
    [low, high] = [high, high * 2];
  }
  for (let i = 0; i < BISECTIONS; i += 1) {
    const mid = (low + high) / 2;
    if (enough(mid)) high = mid;
    else low = mid;
  }
  return low;
}

/**
 * A lower bound that lets every job be divided over its presses as it likes, while presses and hands are counted together. For weights of the
 * workers, what all jobs must ask of them at the least, each by its cheapest route, cannot be more than what they have by the end: true for any
 * weights (Lagrangian dual of the linear relaxation; Bertsimas & Tsitsiklis 1997, ch. 4 and 11). The weights are improved by making those
 * heavier that come out short (multiplicative weights, Arora et al. 2012). `handsFixedS` is the work of hands that depends on no route.
 */
export function boundTogether(
  work: readonly Work[],
  workers: readonly Worker[],
  handsFixedS: number,
  fromS: number,
): Together {
  const asks = asksOf(work, workers);
  const hands = workers.findIndex((w) => w.press === null);
  const chosen = work.map((w) => w.routes.map(() => 0));
  let weights = workers.map((w) => 1 / w.many);
  let best = { leastS: fromS, weights };
  for (let k = 0; k < ROUNDS; k += 1) {
    const loads = workers.map((_, i) => (i === hands ? handsFixedS : 0));
    cheapest(asks, weights, hands).forEach((route, j) => {
      const [ask, of, pieces] = [asks[j]?.[route], chosen[j], work[j]?.pieces ?? 0];
      if (!ask || !of) return;
      if (k >= ROUNDS / 2) of[route] = (of[route] ?? 0) + 2 / ROUNDS;
      loads[ask.press] = (loads[ask.press] ?? 0) + pieces * ask.pressS;
      if (hands >= 0) loads[hands] = (loads[hands] ?? 0) + pieces * ask.handsS;
    });
    const leastS = endFor(
      workers,
      weights,
      loads.reduce((s, x, i) => s + x * (weights[i] ?? 0), 0),
      best.leastS,
    );
    if (leastS > best.leastS) best = { leastS, weights };
    weights = heavier(workers, weights, loads, leastS, stepAt(k));
  }
  return { ...best, shares: chosen };
}

/** Workers that come out short weigh more, those with time left less; together they weigh 1. */
function heavier(
  workers: readonly Worker[],
  weights: readonly number[],
  loads: readonly number[],
  endS: number,
  step: number,
): number[] {
  const next = workers.map((w, i) => {
    const short = (loads[i] ?? 0) / Math.max(1, capacityS(w, endS)) - 1;
    return (weights[i] ?? 0) * Math.exp(step * Math.max(-1, Math.min(1, short)));
  });
  const total = next.reduce((a, b) => a + b, 0);
  return next.map((x) => x / total);
}

/** The presses of a problem as workers, and its hands. */
export function workersOf(
  problem: ScheduleInput,
  presses: readonly Omit<Worker, 'many'>[],
  hands: Pick<Worker, 'windows' | 'fromS'>,
): readonly Worker[] {
  return [
    ...presses.filter((p) => Number.isFinite(p.fromS)).map((p) => ({ ...p, many: 1 })),
    ...(problem.people > 0 ? [{ ...hands, press: null, many: problem.people, tailS: 0 }] : []),
  ];
}
