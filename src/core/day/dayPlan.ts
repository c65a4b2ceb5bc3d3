import { rollup } from 'd3-array';
import { addDays, format } from 'date-fns';
import { finish, type Steps } from '../basics/steps';
import type { ProvenCounts } from '../heat/settings/choose';
import type { Job } from '../job/job';
import { laneOf } from '../run/board';
import { paceFrom, timedSteps, type PaceOf } from '../run/pace';
import { isOn, withState } from '../run/pieces';
import { readyNow, tapeAhead } from '../run/taping';
import { listOf } from '../run/chain';
import { bound, type Bound } from '../schedule/bound';
import { openBetween } from '../schedule/calendar';
import { playing, type Plays, type FinishSpread } from '../schedule/chance';
import {
  handsS,
  cycleS,
  type Outcome,
  type Policy,
  type ScheduleInput,
  type WorkingTime,
} from '../schedule/problem';
import { effortOf, EVENTS, searching, type Score } from '../schedule/search';
import { simulateSchedule } from '../schedule/simulate';
import type { Press } from '../shop/press';
import type { Shop } from '../shop/shop';
import { createJobBases, jobWork, type JobBases, type JobWork, type LeftOut } from './jobWork';
import { drawOf, linesOf, type Bar, type Draw, type ScheduleLine } from './lines';
import { dayProblem, type Overloaded } from './problem';
import { latestStart } from './whatIf';
import { workingWindows } from './hours';
import { tasksOf, type Task } from './tasks';

export interface DayRequest {
  readonly jobs: readonly Job[];
  readonly shop: Shop;
  readonly proven: ProvenCounts;
  readonly nowMs: number;
  /** Share of pieces spoiled, by job, 0..1. */
  readonly spoilage: Readonly<Record<string, number>>;
  /** Sheets said to be printed, by job. */
  readonly sheets: Readonly<Record<string, number>>;
  /** Plays of chance, at most. */
  readonly plays?: number;
}

/** One job of the day. Times s from now. */
export interface DayJob {
  readonly id: string;
  readonly name: string;
  readonly blankName: string;
  readonly pieces: number;
  readonly packed: number;
  readonly toPress: number;
  readonly dueS: number | null;
  readonly endS: number;
  readonly spread: FinishSpread;
  /** Share of plays in which it is packed by its date; null for no date. */
  readonly inTime: number | null;
  /** The latest it can be begun, for a job whose date is in danger; null for none, or where it is late already. */
  readonly latestS: number | null;
  /** Presses it may go to, by index, and whether a person put it there. */
  readonly presses: readonly number[];
  readonly pinned: boolean;
}

interface DayCircuit {
  readonly id: string;
  readonly carriesA: number;
  readonly draw: readonly Draw[];
  readonly mostA: number;
  /** All its presses warming up at once, A: what the plan keeps apart. */
  readonly togetherA: number;
}

export interface DayPlan {
  readonly nowMs: number;
  readonly depth: Depth;
  /** Jobs that a first look leaves for later. */
  readonly later: number;
  readonly jobs: readonly DayJob[];
  readonly leftOut: readonly { readonly jobId: string; readonly name: string; readonly left: LeftOut }[];
  readonly presses: readonly Pick<Press, 'id' | 'name' | 'kind'>[];
  readonly overloaded: readonly Overloaded[];
  readonly lines: readonly ScheduleLine[];
  /** Tasks of each person, by index. */
  readonly tasks: readonly (readonly Task[])[];
  /** Loads that went through before now, by press. */
  readonly past: readonly { readonly press: string; readonly bars: readonly Bar[] }[];
  readonly circuits: readonly DayCircuit[];
  readonly windows: readonly WorkingTime[];
  readonly makespanS: number;
  readonly spread: FinishSpread;
  readonly plays: number;
  readonly bound: Bound;
  readonly score: Score;
  /** Share of the working time until the end that each press, and the hands, are busy, 0..1. */
  readonly busy: { readonly presses: readonly number[]; readonly hands: number };
  readonly waited: Outcome['waitedS'];
  /** What to tape up before the first load of each press. */
  readonly tapeFirst: readonly { readonly work: number; readonly press: number; readonly pieces: number }[];
  /** For what-ifs. */
  readonly problem: ScheduleInput;
  readonly policy: Policy;
}

const PLAYS = 2000;
/** Events all plays may spend: about two seconds. */
const PLAY_EVENTS = 3_000_000;
const LEAST_PLAYS = 10;
/** Simulations needed to find the latest start of one job at risk; jobs due first come first. */
const COURSES_IN_DANGER = 14;
const LEAST_IN_DANGER = 3;
/** A job less sure than this to be packed by its date is at risk. */
export const AT_RISK = 0.9;
const HOUR_MS = 3_600_000;

/** Loads of runs that ended in the last day, as bars before now. */
function pastOf(shop: Shop, jobs: readonly JobWork[], nowMs: number): DayPlan['past'] {
  const by = new Map<string, Bar[]>();
  for (const { run, state } of shop.runs.map(withState)) {
    const work = jobs.findIndex((j) => j.job.id === run.jobId);
    for (const load of listOf(state.loads)) {
      if (load.endedAt < nowMs - 14 * HOUR_MS) continue;
      const bars = by.get(run.press.id) ?? [];
      bars.push({
        work: work >= 0 ? work : null,
        kind: 'done',
        count: load.pieces.length,
        fromS: (load.startedAt - nowMs) / 1000,
        toS: (load.endedAt - nowMs) / 1000,
      });
      by.set(run.press.id, bars);
    }
  }
  return [...by].map(([press, bars]) => ({ press, bars }));
}

/** The first load of every press, and how much lies taped up beside it if no load after is to wait. */
function tapeFirst(problem: ScheduleInput, lines: readonly ScheduleLine[]): DayPlan['tapeFirst'] {
  const firsts = lines
    .filter((l) => l.kind === 'press')
    .flatMap((l) => {
      const bar = l.bars.find((b) => b.kind === 'press' && b.fromS > 0);
      const w = bar?.work === null || bar?.work === undefined ? undefined : problem.work[bar.work];
      const route = w?.routes.find((r) => r.press === l.index);
      return bar && w && route && bar.work !== null ? [{ work: bar.work, press: l.index, w, route }] : [];
    });
  // Hands are shared by the presses that go at the same time.
  const share = Math.max(1, firsts.length / Math.max(1, problem.people));
  return firsts.map(({ work, press, w, route }) => {
    const loadS = cycleS(route.cycle);
    const { want } = tapeAhead({
      atOnce: route.atOnce,
      left: w.pieces,
      tapeS: w.prepareS,
      loadS,
      freeS: loadS / share - handsS(route.cycle),
    });
    return { work, press, pieces: Math.max(0, want - w.taped) };
  });
}

function circuitsOf(problem: ScheduleInput, outcome: Outcome): readonly DayCircuit[] {
  return problem.circuits.map((c, i) => {
    const draw = drawOf(problem, outcome, i);
    const on = problem.presses.filter((p) => p.circuit === i);
    return {
      id: c.id,
      carriesA: c.carriesA,
      draw,
      mostA: Math.max(c.otherA, ...draw.map((d) => d.amps)),
      togetherA: on.reduce((s, p) => s + p.warmA, c.otherA),
    };
  });
}

function busyOf(problem: ScheduleInput, outcome: Outcome): DayPlan['busy'] {
  const openS = Math.max(1, openBetween(problem.windows, 0, Math.min(outcome.makespanS, 1e9)));
  return {
    presses: outcome.pressBusyS.map((s) => Math.min(1, s / openS)),
    hands: Math.min(1, outcome.handsBusyS / (openS * Math.max(1, problem.people))),
  };
}

/** What plays of chance say of one job. */
function chancesOf(endS: number, i: number, played: Plays): Pick<DayJob, 'spread' | 'inTime'> {
  const p = played.jobs[i];
  return { spread: { usualS: p?.usualS ?? endS, ninetyS: p?.ninetyS ?? endS }, inTime: p?.inTime ?? null };
}

/** Jobs whose date is in danger and may still be kept, by index: those due first. */
function inDanger(problem: ScheduleInput, outcome: Outcome, played: Plays): ReadonlySet<number> {
  const most = Math.floor(PLAY_EVENTS / (COURSES_IN_DANGER * effortOf(problem, outcome)));
  return new Set(
    problem.work
      .map(({ dueS }, i) => ({ i, dueS, inTime: played.jobs[i]?.inTime ?? null }))
      .filter((j) => j.dueS !== null && j.inTime !== null && j.inTime < AT_RISK)
      .sort((a, b) => (a.dueS ?? 0) - (b.dueS ?? 0))
      .slice(0, Math.max(LEAST_IN_DANGER, most))
      .map((j) => j.i),
  );
}

/** The jobs of a day; a first look does not say until when those in danger must begin. */
function* dayJobs(
  work: readonly JobWork[],
  problem: ScheduleInput,
  outcome: Outcome,
  policy: Policy,
  played: Plays,
  depth: Depth,
): Steps<readonly DayJob[]> {
  const danger = depth === 'whole' ? inDanger(problem, outcome, played) : new Set<number>();
  const jobs: DayJob[] = [];
  for (const [i, j] of work.entries()) {
    const endS = outcome.endS[i] ?? Infinity;
    const chances = chancesOf(endS, i, played);
    const slower = Math.max(1, chances.spread.ninetyS / Math.max(1, endS));
    jobs.push({
      id: j.job.id,
      name: j.job.name,
      blankName: j.blank.name,
      pieces: j.pieces,
      packed: j.packed,
      toPress: j.toPress,
      dueS: problem.work[i]?.dueS ?? null,
      endS,
      ...chances,
      latestS: danger.has(i) ? latestStart(problem, policy, i, slower) : null,
      presses: (problem.work[i]?.routes ?? []).map((r) => r.press),
      pinned: j.job.day.pins.length > 0,
    });
    yield;
  }
  return jobs;
}

/** What a plan may spend: events of the search, plays of chance and their events. */
interface Effort {
  readonly events: number;
  readonly plays: number;
  readonly playEvents: number;
}

/** As many plays as are asked for, but for a plan so long that they would take minutes: then as many as take seconds. */
const playsFor = ({ plays, playEvents }: Effort, events: number): number =>
  Math.min(plays, Math.max(LEAST_PLAYS, Math.floor(playEvents / Math.max(1, events))));

/** Pieces that lie taped up for each job that is on: counted, else what hands had time for. */
function tapedByJob(shop: Shop, pace: PaceOf, nowMs: number): ReadonlyMap<string, number> {
  const lanes = shop.runs.map(withState).flatMap((r) => laneOf(r, nowMs, pace) ?? []);
  return rollup(
    lanes,
    (ls) => ls.reduce((s, l) => s + readyNow(l, lanes, pace), 0),
    (l) => l.run.jobId,
  );
}

/** A first look is an answer in the time of a breath. */
const FIRST: Effort = { events: 60_000, plays: 80, playEvents: 200_000 };
/** A first look takes in what is due within so many days, and what is on; of so many jobs. */
const SOON_DAYS = 14;
const SOON_JOBS = { least: 20, most: 40 };

/** The jobs of a first plan: those that are on or due soon, and where that is few, the next that are due. */
function soonJobs(jobs: readonly Job[], shop: Shop, nowMs: number): readonly Job[] {
  const on = new Set(shop.runs.filter((r) => isOn(withState(r))).map((r) => r.jobId));
  const by = format(addDays(nowMs, SOON_DAYS), 'yyyy-MM-dd');
  const dueOf = (j: Job): string => (on.has(j.id) ? '' : (j.dueOn ?? '9999'));
  const sorted = [...jobs].sort((a, b) => (dueOf(a) < dueOf(b) ? -1 : 1));
  const soon = sorted.filter((j) => dueOf(j) <= by).length;
  const first = new Set(sorted.slice(0, Math.min(SOON_JOBS.most, Math.max(SOON_JOBS.least, soon))));
  return jobs.filter((j) => first.has(j));
}

/** How thorough a plan is: a first look at what is near, or all jobs, searched and played out. */
export type Depth = 'first plan' | 'whole';

/**
 * Schedules the jobs of a shop; a job that cannot be scheduled is listed with the reason. It can be stopped between its steps. `bases` keep what
 * each job takes from one plan to the next; `from` is the policy of the plan that is being replaced.
 */
export function* planDay(
  request: DayRequest,
  depth: Depth,
  from: Policy | null,
  bases: JobBases,
): Steps<DayPlan> {
  const { shop, proven, nowMs } = request;
  const jobs = depth === 'whole' ? request.jobs : soonJobs(request.jobs, shop, nowMs);
  const pace = paceFrom(timedSteps(shop.runs.map(withState)));
  const taped = tapedByJob(shop, pace, nowMs);
  const work: JobWork[] = [];
  const leftOut: DayPlan['leftOut'][number][] = [];
  for (const job of jobs) {
    const onTheWay = { sheets: request.sheets[job.id] ?? 0, taped: taped.get(job.id) ?? 0 };
    const of = jobWork(job, { shop, proven, pace, bases }, onTheWay);
    if ('work' in of) work.push(of.work);
    else leftOut.push({ jobId: job.id, name: job.name, left: of.left });
    yield;
  }
  const made = dayProblem(shop, work, pace, nowMs, (j) => request.spoilage[j.job.id] ?? 0);
  const { problem } = made;
  const start = from && from.order.length === problem.work.length ? from : null;
  const effort: Effort =
    depth === 'whole' ? { events: EVENTS, plays: request.plays ?? PLAYS, playEvents: PLAY_EVENTS } : FIRST;
  const found = yield* searching(problem, effort.events, start);
  const outcome = simulateSchedule(problem, found.policy, { keep: true });
  const played = yield* playing(problem, found.policy, {
    most: playsFor(effort, effortOf(problem, outcome)),
  });
  const lines = linesOf(problem, outcome);
  return {
    nowMs,
    depth,
    later: request.jobs.length - jobs.length,
    jobs: yield* dayJobs(work, problem, outcome, found.policy, played, depth),
    leftOut,
    presses: made.presses.map(({ id, name, kind }) => ({ id, name, kind })),
    overloaded: made.overloaded,
    lines,
    tasks: tasksOf(outcome, problem.people),
    past: pastOf(shop, work, nowMs),
    circuits: circuitsOf(problem, outcome),
    windows: problem.windows,
    makespanS: outcome.makespanS,
    spread: played.all,
    plays: played.plays,
    bound: bound(problem),
    score: found.score,
    busy: busyOf(problem, outcome),
    waited: outcome.waitedS,
    tapeFirst: tapeFirst(problem, lines),
    problem,
    policy: found.policy,
  };
}

/** The whole day at once. */
export const dayPlan = (request: DayRequest, from: Policy | null = null): DayPlan =>
  finish(planDay(request, 'whole', from, createJobBases()));

/** The same hours, every day opened so many minutes earlier: for a what if. */
export const earlierWindows = (
  shop: Shop,
  nowMs: number,
  days: number,
  minutes: number,
): readonly WorkingTime[] => workingWindows(shop.settings.day, nowMs, days, minutes);
