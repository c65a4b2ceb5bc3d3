import { finish, type Steps } from '../basics/steps';
import { fairShares } from './bound';
import { seeded } from '../random/random';
import {
  cycleS,
  routeKey,
  JOB_PRIORITY,
  type Outcome,
  type Policy,
  type ScheduleInput,
  type JobPriority,
  type Work,
} from './problem';
import { simulateSchedule } from './simulate';

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

export function score(problem: ScheduleInput, outcome: Outcome): Score {
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

const START: Omit<Policy, 'order'> = {
  turns: new Map(),
  ahead: 2,
  finishFirst: false,
  steady: true,
  strict: false,
};

const sorted = (problem: ScheduleInput, key: (w: Work) => number): readonly number[] =>
  problem.work
    .map((w, i) => ({ i, k: key(w) }))
    .sort((a, b) => a.k - b.k || a.i - b.i)
    .map(({ i }) => i);

const dueOf = (w: Work): number => w.dueS ?? NEVER_S;

/** By date, and by slack. */
const byDate = (problem: ScheduleInput): readonly (readonly number[])[] => [
  sorted(problem, dueOf),
  sorted(problem, (w) => dueOf(w) - workS(w)),
];

/** Orders to begin with where it is the end that counts: the least flexible first, the longest first. */
function byEnd(problem: ScheduleInput): readonly (readonly number[])[] {
  const first = sorted(problem, (w) => w.routes.length * 1e4 - w.coolS);
  // What many presses take and what cools soonest comes last, so that none ends much before another and little is left to wait for.
  const lasts = sorted(problem, (w) => (w.routes.length > 1 ? w.coolS + w.finishS : NEVER_S)).slice(0, 3);
  return [
    first,
    ...lasts.map((last) => [...first.filter((i) => i !== last), last]),
    sorted(problem, (w) => -workS(w)),
  ];
}

/** A share of a job that is next to nothing. */
const LITTLE = 0.03;

/** Each press first does what would be its own if all were shared out for the soonest end, and what it shares after that. */
const fairTurns = (problem: ScheduleInput): ReadonlyMap<string, JobPriority> =>
  new Map(
    [...fairShares(problem)].map(([key, share]) => [
      key,
      share > 1 - LITTLE ? JOB_PRIORITY.own : share > LITTLE ? JOB_PRIORITY.shared : JOB_PRIORITY.help,
    ]),
  );

/** Policies to begin with. */
function beginnings(problem: ScheduleInput): readonly Policy[] {
  const turns = fairTurns(problem);
  const dates = problem.work.some((w) => w.dueS !== null) ? byDate(problem) : [];
  return [
    ...dates.flatMap((order) => [3, 40].map((ahead) => ({ ...START, order, turns, ahead, strict: true }))),
    ...[...byEnd(problem), ...dates].flatMap((order) => [
      { ...START, order, turns },
      { ...START, order, turns, ahead: 5, steady: false },
      { ...START, order, ahead: 5, finishFirst: true, steady: false },
    ]),
  ];
}

const TURNS = Object.values(JOB_PRIORITY);
/** How often a neighbour is chosen by what went wrong, not at random. */
const GUIDED = 0.5;
const AHEAD = [1, 2, 3, 5, 8, 12, 40];

interface Looked {
  readonly policy: Policy;
  readonly outcome: Outcome;
  readonly score: Score;
}

/** A job that ends last goes forward in the order; else any job to any place. */
function reordered(policy: Policy, outcome: Outcome, random: () => number): Policy {
  const n = policy.order.length;
  const order = [...policy.order];
  let from = Math.floor(random() * n);
  let to = Math.floor(random() * n);
  if (random() < GUIDED) {
    const last = order.reduce(
      (a, b) => ((outcome.endS[b] ?? 0) > (outcome.endS[a] ?? 0) ? b : a),
      order[0] ?? 0,
    );
    from = order.indexOf(last);
    to = Math.floor(random() * from);
  }
  const [moved] = order.splice(from, 1);
  if (moved !== undefined) order.splice(to, 0, moved);
  return { ...policy, order };
}

/** A press turns to a job sooner or later: the one that is busiest later, the idlest sooner; else any. */
function turned(problem: ScheduleInput, policy: Policy, outcome: Outcome, random: () => number): Policy {
  const pick = (k: number) => Math.floor(random() * k);
  const busy = outcome.pressBusyS;
  let [work, press, turn] = [-1, -1, TURNS[pick(TURNS.length)] ?? JOB_PRIORITY.own];
  if (random() < GUIDED) {
    const less = random() < 0.5;
    const most = busy.reduce(
      (a, s, i) => ((less ? s : -s) > (less ? (busy[a] ?? 0) : -(busy[a] ?? 0)) ? i : a),
      0,
    );
    const here = problem.work.flatMap((w, i) =>
      w.routes.length > 1 && w.routes.some((r) => r.press === most) ? [i] : [],
    );
    work = here[pick(here.length)] ?? -1;
    press = most;
    const now = policy.turns.get(routeKey(work, press)) ?? JOB_PRIORITY.own;
    turn = TURNS[Math.max(0, Math.min(TURNS.length - 1, now + (less ? 1 : -1)))] ?? JOB_PRIORITY.own;
  } else {
    work = pick(problem.work.length);
    const routes = problem.work[work]?.routes ?? [];
    press = routes[pick(routes.length)]?.press ?? -1;
  }
  if (work < 0 || press < 0) return policy;
  const turns = new Map(policy.turns).set(routeKey(work, press), turn);
  // At least one way stays open.
  const routes = problem.work[work]?.routes ?? [];
  return routes.every((r) => turns.get(routeKey(work, r.press)) === JOB_PRIORITY.never)
    ? policy
    : { ...policy, turns };
}

/** A neighbour: a job moved to another place, a press that turns to one sooner or later, hands or printers that weigh their work otherwise. */
function neighbour(problem: ScheduleInput, { policy, outcome }: Looked, random: () => number): Policy {
  const kind = random();
  if (kind < 0.4 && policy.order.length > 1) return reordered(policy, outcome, random);
  if (kind < 0.8) return turned(problem, policy, outcome, random);
  if (kind < 0.85) return { ...policy, finishFirst: !policy.finishFirst };
  if (kind < 0.88) return { ...policy, steady: !policy.steady };
  if (kind < 0.92) return { ...policy, strict: !policy.strict };
  return { ...policy, ahead: AHEAD[Math.floor(random() * AHEAD.length)] ?? 2 };
}

/** The same for policies that give the same course: a press does its own jobs first where nothing else is said. */
function policyKey({ order, turns, ahead, finishFirst, steady, strict }: Policy): string {
  const said = [...turns]
    .filter(([, turn]) => turn !== JOB_PRIORITY.own)
    .map(([key, turn]) => `${key}:${turn}`)
    .sort();
  return [order.join(' '), said.join(' '), ahead, finishFirst, steady, strict].join('|');
}

/** Jobs among which an event costs no more than among a few. */
const FEW_JOBS = 25;

/** What one course costs, in events among a few jobs: every event looks at all of them. */
export const effortOf = (problem: ScheduleInput, { events }: Pick<Outcome, 'events'>): number =>
  events * Math.max(1, problem.work.length / FEW_JOBS);

/** Events of the simulation that one search may spend: about half a second on a small machine. */
export const EVENTS = 500_000;
const MOST_TRIES = 1500;
/** What another plan has to gain over one that stands, as it is scored, s. */
const WORTH_S = 300;

/**
 * Dispatching rules, the best of them improved by a local search that takes a worse neighbour now and then while it is young (simulated
 * annealing, Kirkpatrick et al. 1983). Seeded and counted in events, not in seconds: the same problem gives the same plan on every machine.
 */
export function* searching(problem: ScheduleInput, events: number, from: Policy | null): Steps<Found> {
  let spent = 0;
  let tried = 0;
  // A neighbour is often no other policy, or one that was looked at before: that costs nothing.
  const seen = new Map<string, Looked>();
  const look = (policy: Policy): Looked => {
    tried += 1;
    const key = policyKey(policy);
    const known = seen.get(key);
    if (known) return known;
    const outcome = simulateSchedule(problem, policy);
    spent += effortOf(problem, outcome) + 50;
    const made = { policy, outcome, score: score(problem, outcome) };
    seen.set(key, made);
    return made;
  };
  const begun = look(from ?? { ...START, order: problem.work.map((_, i) => i) });
  let best = begun;
  for (const policy of beginnings(problem)) {
    if (spent > events && tried > 2) break;
    const made = look(policy);
    if (made.score.cost < best.score.cost) best = made;
    yield;
  }
  const random = seeded(20_261);
  let now = best;
  while (problem.work.length > 0 && spent < events && tried < MOST_TRIES) {
    const made = look(neighbour(problem, now, random));
    const heat = 0.001 * (1 - spent / events);
    const worse = (made.score.cost - now.score.cost) / Math.max(1, now.score.makespanS);
    if (worse <= 0 || (heat > 0 && random() < Math.exp(-worse / heat))) now = made;
    if (made.score.cost < best.score.cost) best = made;
    if (tried % 60 === 0) now = best;
    yield;
  }
  // A plan that stands is not turned over for next to nothing.
  const kept = from && begun.score.cost - best.score.cost < WORTH_S ? begun : best;
  return { policy: kept.policy, score: kept.score, tried };
}

/** The search at once. */
export const search = (problem: ScheduleInput, events: number = EVENTS, from: Policy | null = null): Found =>
  finish(searching(problem, events, from));
