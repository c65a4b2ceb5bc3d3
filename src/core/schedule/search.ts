import { seeded } from '../random/random';
import { barKey, cycleS, type Outcome, type Policy, type Problem, type Work } from './problem';
import { simulate } from './simulate';

/** What is made of a course: jobs late, how late in all, and when all is over. Less is better. */
export interface Score {
  readonly late: number;
  readonly tardyS: number;
  readonly makespanS: number;
  /** One figure to compare by: late jobs first, then lateness, then the end, then the mean end. */
  readonly cost: number;
}

const NEVER_S = 1e9;
/** A change of job at a printer is worth so much of the makespan, s: the stack is sorted, the paper looked at. */
const CHANGE_COST = 2;

export function score(problem: Problem, outcome: Outcome): Score {
  let [late, tardyS, ends] = [0, 0, 0];
  problem.work.forEach((w, i) => {
    const endS = Math.min(outcome.endS[i] ?? 0, NEVER_S);
    ends += endS;
    if (w.dueS !== null && endS > w.dueS) {
      late += 1;
      tardyS += endS - w.dueS;
    }
  });
  const makespanS = Math.min(outcome.makespanS, NEVER_S);
  const mean = ends / Math.max(1, problem.work.length);
  return {
    late,
    tardyS,
    makespanS,
    cost: late * 1e7 + tardyS * 20 + makespanS + mean * 0.05 + outcome.printerChanges * CHANGE_COST,
  };
}

export interface Found {
  readonly policy: Policy;
  readonly score: Score;
  /** Courses looked at. */
  readonly tried: number;
}

const workS = (w: Work): number =>
  w.pieces * (w.prepareS + w.finishS + Math.min(...w.routes.map((r) => cycleS(r.cycle) / r.atOnce), 1e6));

/** Orders to begin with: by date, by slack, the least flexible first, longest and shortest first. */
function beginnings(problem: Problem): readonly (readonly number[])[] {
  const index = problem.work.map((_, i) => i);
  const by = (key: (w: Work) => number) =>
    [...index].sort((a, b) => {
      const [x, y] = [problem.work[a], problem.work[b]];
      return x && y ? key(x) - key(y) || a - b : 0;
    });
  const due = (w: Work) => w.dueS ?? NEVER_S;
  const flexible = (w: Work) => w.routes.length * 1e7 - workS(w);
  return [by(due), by((w) => due(w) - workS(w)), by(flexible), by((w) => -workS(w)), by(workS)];
}

const START: Omit<Policy, 'order'> = { barred: new Set(), ahead: 2, finishFirst: false, steady: true };

/** A neighbour: a job moved to another place, two swapped, a route barred or opened, hands weighing their work otherwise. */
function neighbour(problem: Problem, policy: Policy, random: () => number): Policy {
  const n = policy.order.length;
  const pick = (k: number) => Math.floor(random() * k);
  const kind = random();
  if (n > 1 && kind < 0.4) {
    const order = [...policy.order];
    const [from, to] = [pick(n), pick(n)];
    const [moved] = order.splice(from, 1);
    if (moved !== undefined) order.splice(to, 0, moved);
    return { ...policy, order };
  }
  if (kind < 0.8) {
    const work = pick(n);
    const routes = problem.work[work]?.routes ?? [];
    const route = routes[pick(routes.length)];
    if (!route) return policy;
    const key = barKey(work, route.press);
    const barred = new Set(policy.barred);
    if (!barred.delete(key)) barred.add(key);
    // At least one way stays open.
    return routes.every((r) => barred.has(barKey(work, r.press))) ? policy : { ...policy, barred };
  }
  if (kind < 0.87) return { ...policy, finishFirst: !policy.finishFirst };
  return { ...policy, ahead: [1, 2, 3, 5, 8][pick(5)] ?? 2 };
}

/** Events of the simulation that one search may spend: about half a second on a small machine. */
export const EVENTS = 540_000;
const MOST_TRIES = 1500;

/**
 * Dispatching rules, the best of them improved by a local search that takes a worse neighbour now and then while it is young (simulated
 * annealing, Kirkpatrick et al. 1983). Seeded and counted in events, not in seconds: the same problem gives the same plan on every machine.
 */
export function search(problem: Problem, events: number = EVENTS, from: Policy | null = null): Found {
  let spent = 0;
  let tried = 0;
  const look = (policy: Policy): { readonly policy: Policy; readonly score: Score } => {
    const outcome = simulate(problem, policy);
    spent += outcome.events + 50;
    tried += 1;
    return { policy, score: score(problem, outcome) };
  };
  const firsts = beginnings(problem).flatMap((order) => [
    { ...START, order },
    { ...START, order, finishFirst: true, steady: false },
  ]);
  let best = look(from ?? { ...START, order: problem.work.map((_, i) => i) });
  for (const policy of firsts) {
    if (spent > events && tried > 2) break;
    const made = look(policy);
    if (made.score.cost < best.score.cost) best = made;
  }
  const random = seeded(20_261);
  let now = best;
  while (problem.work.length > 0 && spent < events && tried < MOST_TRIES) {
    const made = look(neighbour(problem, now.policy, random));
    const heat = 0.004 * (1 - spent / events);
    const worse = (made.score.cost - now.score.cost) / Math.max(1, now.score.makespanS);
    if (worse <= 0 || (heat > 0 && random() < Math.exp(-worse / heat))) now = made;
    if (made.score.cost < best.score.cost) best = made;
    if (tried % 60 === 0) now = best;
  }
  return { ...best, tried };
}
