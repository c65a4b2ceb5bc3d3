import { nightAfter, windowAt } from './calendar';
import { finishItem, handsToWork, pause } from './people';
import { handle, idleForGood, leave, load, turnOff, turnOn } from './presses';
import type { Outcome, Policy, ScheduleInput } from './problem';
import { NO_CHANCE, begin, targetOf, type Chance, type ScheduledPress, type Sim } from './state';

/** A simulation that goes on longer than this has lost its way. */
const MOST_EVENTS = 2_000_000;

/** Loads printed ahead of a press before the printer turns to the next job in order. */
const PRINTED_AHEAD = 5;
/** A printer goes on with its job unless a press of another has less than this share of what should be printed ahead for it. */
const NEARLY_NONE = 0.2;

const canPrint = (sim: Sim, work: number, printer: number): boolean => {
  const [job, w] = [sim.jobs[work], sim.problem.work[work]];
  return !!job && w?.printer === printer && job.sheetsLeft > 0 && w.releaseS <= sim.nowS;
};

/** What a printer prints next: for a press that would run out, else in order; where order is strict, in order. */
function toPrint(sim: Sim, printer: number): number | undefined {
  if (sim.policy.strict) return sim.policy.order.find((w) => canPrint(sim, w, printer));
  const last = sim.printers[printer]?.last ?? -1;
  let [found, least] = [-1, 1];
  for (const p of sim.presses) {
    const first = p.routes.find((r) => (sim.jobs[r.work]?.pool ?? 0) > 0);
    const job = first && sim.jobs[first.work];
    if (!first || !job || !canPrint(sim, first.work, printer)) continue;
    const perSheet = sim.problem.work[first.work]?.perSheet ?? 1;
    const stock =
      job.taped +
      job.cut +
      job.beingTaped +
      job.beingCut +
      perSheet * (job.drySheets + job.dry.length - job.dryFrom);
    const ratio = stock / (PRINTED_AHEAD * first.route.atOnce);
    if (ratio < least) [found, least] = [first.work, ratio];
  }
  if (sim.policy.steady && least >= NEARLY_NONE && last >= 0 && canPrint(sim, last, printer)) return last;
  return found >= 0 ? found : sim.policy.order.find((w) => canPrint(sim, w, printer));
}

function print(sim: Sim): void {
  if (!sim.open) return;
  for (let i = 0; i < sim.printers.length; i += 1) {
    const pr = sim.printers[i];
    if (!pr || pr.work >= 0 || (sim.toPrint[i] ?? 0) <= 0) continue;
    const work = toPrint(sim, i);
    const [job, w] = work === undefined ? [] : [sim.jobs[work], sim.problem.work[work]];
    if (work === undefined || !job || !w) continue;
    job.sheetsLeft -= 1;
    sim.toPrint[i] = (sim.toPrint[i] ?? 0) - 1;
    pr.work = work;
    if (pr.last !== work) sim.printerChanges += 1;
    pr.last = work;
    pr.part = job.sheetsDone;
    pr.fromS = sim.nowS;
    pr.untilS = sim.nowS + sim.chance.time(w.printS, 0.03, 'wait');
    sim.stamp += 1;
  }
}

function printed(sim: Sim, index: number): void {
  const pr = sim.printers[index];
  const [job, w] = [sim.jobs[pr?.work ?? -1], sim.problem.work[pr?.work ?? -1]];
  if (!pr || !job || !w) return;
  job.sheetsDone += 1;
  sim.stamp += 1;
  const dryS = Math.max(job.dry.at(-1) ?? 0, sim.nowS + w.dryS);
  job.dry.push(dryS);
  sim.nextJobS = Math.min(sim.nextJobS, dryS);
  sim.printS[index] = (sim.printS[index] ?? 0) + sim.nowS - pr.fromS;
  if (sim.keep) {
    const done = { work: pr.work, part: pr.part, pieces: 0, press: null, person: null };
    sim.done.push({ ...done, kind: 'print', fromS: pr.fromS, toS: sim.nowS, printer: index });
    if (dryS > sim.nowS) sim.done.push({ ...done, kind: 'dry', fromS: sim.nowS, toS: dryS, printer: null });
  }
  pr.work = -1;
  pr.untilS = Infinity;
}

/** All that is over by now. */
function settle(sim: Sim): void {
  const { nowS } = sim;
  for (let i = 0; i < sim.people.length; i += 1) {
    const p = sim.people[i];
    if (!p || p.endS > nowS) continue;
    if (p.press < 0) finishItem(sim, i);
    else {
      const { press } = p;
      p.press = -1;
      p.endS = Infinity;
      sim.stamp += 1;
      sim.handsS += nowS - (sim.presses[press]?.segmentFromS ?? nowS);
      leave(sim, press, i);
    }
  }
  for (let i = 0; i < sim.presses.length; i += 1) {
    const p = sim.presses[i];
    if (p?.state === 'warming' && p.hotS <= nowS) {
      p.state = 'idle';
      sim.stamp += 1;
    }
    while (p?.state === 'going' && p.untilS >= 0 && p.untilS <= nowS) leave(sim, i, null);
  }
  for (let i = 0; i < sim.printers.length; i += 1)
    if ((sim.printers[i]?.untilS ?? Infinity) <= nowS) printed(sim, i);
  if (sim.nextJobS <= nowS) dryAndCool(sim);
  while ((sim.pinsS[sim.pinFrom] ?? Infinity) <= nowS) {
    sim.pinFrom += 1;
    sim.stamp += 1;
  }
}

/** Sheets that are dry and loads that are cool by now. */
function dryAndCool(sim: Sim): void {
  const { nowS } = sim;
  sim.nextJobS = Infinity;
  sim.nothing = false;
  for (const job of sim.jobs) {
    while ((job.dry[job.dryFrom] ?? Infinity) <= nowS) {
      job.dryFrom += 1;
      job.drySheets += 1;
      sim.stamp += 1;
    }
    while ((job.coolAt[job.coolFrom] ?? Infinity) <= nowS) {
      job.toFinish += job.coolPieces[job.coolFrom] ?? 0;
      job.coolFrom += 1;
      sim.coolingNow -= 1;
      sim.stamp += 1;
    }
    sim.nextJobS = Math.min(
      sim.nextJobS,
      job.dry[job.dryFrom] ?? Infinity,
      job.coolAt[job.coolFrom] ?? Infinity,
    );
  }
}

/** Whether anybody is there now; who leaves lays down what can be left, and for the night presses are turned off. */
function openOrClose(sim: Sim): void {
  const { windows } = sim.problem;
  const now = windows[sim.window];
  // Nearly always the same as before.
  if (sim.open && now && sim.nowS < now.toS) return;
  const index = windowAt(windows, sim.nowS);
  sim.stamp += 1;
  if (sim.open && index !== sim.window) {
    sim.people.forEach((_, i) => pause(sim, i));
    if (nightAfter(windows, sim.window))
      sim.presses.forEach((p, i) => p.state !== 'going' && turnOff(sim, i));
  }
  sim.window = index;
  const w = windows[index];
  sim.open = w !== undefined && w.fromS <= sim.nowS;
}

/** Presses that wait for hands get them, the longest waiting first. */
function handleAll(sim: Sim, hot: number[]): void {
  if (hot.length > 1)
    hot.sort((a, b) => (sim.presses[a]?.waitsSinceS ?? 0) - (sim.presses[b]?.waitsSinceS ?? 0));
  for (const i of hot) handle(sim, i);
}

/** A press that has nothing left to do, or stands idle over night, is turned off. */
function rest(sim: Sim, index: number, p: ScheduledPress): void {
  if (idleForGood(sim, p) || (!sim.open && nightAfter(sim.problem.windows, sim.window - 1)))
    turnOff(sim, index);
}

/** Whatever can begin now does. Gives when a cold press is to be looked at again. */
function decide(sim: Sim): number {
  print(sim);
  let hot: number[] | null = null;
  let idle = false;
  for (let i = 0; i < sim.presses.length; i += 1) {
    const p = sim.presses[i];
    if (!p) continue;
    // An idle press for which nothing has changed goes on waiting.
    if (p.state === 'idle' && p.stamp !== sim.stamp) rest(sim, i, p);
    if (p.state === 'going' && p.untilS < 0 && !p.handled) (hot ??= []).push(i);
    if (p.state === 'idle') idle = true;
  }
  if (hot) handleAll(sim, hot);
  for (let i = 0; idle && i < sim.presses.length; i += 1) {
    const p = sim.presses[i];
    if (p?.state !== 'idle' || p.stamp === sim.stamp) continue;
    p.stamp = sim.stamp;
    load(sim, i);
  }
  if (sim.open) handsToWork(sim);
  // Now that hands are at it, it is known when first loads will be taped up.
  let again = Infinity;
  for (let i = 0; i < sim.presses.length; i += 1)
    if (sim.presses[i]?.state === 'off') again = Math.min(again, turnOn(sim, i));
  return again;
}

/** The next moment at which anything can change, s. */
function nextMoment(sim: Sim, again: number): number {
  let next = Math.min(again, sim.nextJobS);
  const { windows } = sim.problem;
  const w = windows[sim.window];
  if (w) next = Math.min(next, sim.open ? w.toS : w.fromS);
  for (const p of sim.people) next = Math.min(next, p.endS);
  for (const p of sim.presses) {
    if (p.state === 'warming') next = Math.min(next, p.hotS);
    else if (p.state === 'going' && p.untilS >= 0) next = Math.min(next, p.untilS);
  }
  for (const p of sim.printers) next = Math.min(next, p.untilS);
  next = Math.min(next, sim.pinsS[sim.pinFrom] ?? Infinity);
  return next;
}

/** Idle hot presses wait for something: how long, and for what. */
function noteWaits(sim: Sim, untilS: number): void {
  if (!sim.open) return;
  for (const p of sim.presses) {
    if (p.state !== 'idle') continue;
    const r = targetOf(sim, p);
    const job = r && sim.jobs[r.work];
    if (!r || !job) continue;
    const lasts = untilS - sim.nowS;
    if (job.taped < Math.min(r.route.atOnce, job.pool)) sim.waited.taped += lasts;
    else if (sim.coolingNow >= sim.problem.coolingPlaces) sim.waited.place += lasts;
    else sim.waited.hands += lasts;
  }
}

export interface ScheduleOptions {
  readonly chance?: Chance;
  /** Keep every step. */
  readonly keep?: boolean;
  /** Go on only until this job is packed, by its index. */
  readonly until?: number | null;
}

/**
 * One course of the work under a policy: discrete events, each taken as soon as what it needs is free (Law 2015, ch. 1). Hot presses come
 * before all else; what hands do away from the press can be left for them. The same policy, problem and chance give the same course.
 */
export function simulateSchedule(
  problem: ScheduleInput,
  policy: Policy,
  { chance = NO_CHANCE, keep = false, until = null }: ScheduleOptions = {},
): Outcome {
  const sim = begin(problem, policy, chance, keep);
  openOrClose(sim);
  settle(sim);
  let again = decide(sim);
  const over = (): boolean =>
    sim.unfinished === 0 || (until !== null && Number.isFinite(sim.jobs[until]?.endS));
  while (!over() && sim.events < MOST_EVENTS) {
    const next = nextMoment(sim, again);
    if (!Number.isFinite(next)) break;
    if (keep) noteWaits(sim, next);
    sim.nowS = Math.max(next, sim.nowS);
    sim.events += 1;
    settle(sim);
    openOrClose(sim);
    again = decide(sim);
  }
  sim.presses.forEach((_, i) => turnOff(sim, i));
  return {
    endS: sim.jobs.map((j) => j.endS),
    makespanS: Math.max(0, ...sim.jobs.map((j) => j.endS)),
    pressBusyS: sim.busyS,
    handsBusyS: sim.handsS,
    printerBusyS: sim.printS,
    printerChanges: sim.printerChanges,
    waitedS: sim.waited,
    events: sim.events,
    done: sim.done,
    on: sim.on,
  };
}
