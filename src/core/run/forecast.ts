import { normalQuantile } from '../figures/normal';
import { seeded } from '../random/random';
import type { Operation } from '../shop/operation';
import { isHot, type Lane } from './board';
import { personOf, type Pace, type PaceOf } from './pace';
import { cycleOf } from './run';
import { readyNow, tapePace } from './taping';

/** When things are over, s from now: usual, and the time nine in ten are over by. */
export interface Forecast {
  readonly usualS: number;
  readonly ninetyS: number;
  /** By run. */
  readonly runs: Readonly<Record<string, { readonly usualS: number; readonly ninetyS: number }>>;
}

/** A press as it stands, with all that the forecast asks of it. Plain JSON, so that a worker can be asked. */
export interface PressNow {
  readonly id: string;
  readonly jobId: string;
  readonly cycle: readonly { readonly operation: Operation; readonly pace: Pace }[];
  readonly stepIndex: number;
  readonly elapsedS: number;
  readonly hot: boolean;
  readonly atOnce: number;
  readonly inLoad: number;
  readonly tape: Pace;
  readonly ready: number;
}

interface Working {
  readonly of: PressNow;
  /** To tape up one piece this time, s. */
  readonly tapeS: number;
  step: number;
  /** The press goes on by itself until then; from then it needs hands. */
  untilS: number;
  hot: boolean;
  inLoad: number;
  ready: number;
  /** Taping of the next piece begun, s done. */
  begunS: number;
  doneS: number | null;
  /** Hands may have begun the step at hand already, s. */
  headS: number;
}

type Draw = (pace: Pace, kind: Operation['kind']) => number;

const isHands = (o: Operation): boolean => o.resource === 'hands';

/** Starts whatever the step at hand is: what needs no hands runs from now on. */
function enter(w: Working, nowS: number, elapsedS: number, draw: Draw): void {
  const at = w.of.cycle[w.step];
  if (!at) return;
  const lasts = isHands(at.operation) ? 0 : Math.max(0, draw(at.pace, at.operation.kind) - elapsedS);
  w.untilS = nowS + lasts;
  w.headS = isHands(at.operation) ? elapsedS : 0;
}

/** The step at hand is over: the next one, or the next load, or the end. */
function leave(w: Working, nowS: number, pool: Map<string, number>, draw: Draw): void {
  const left = w.of.cycle[w.step];
  if (left?.operation.timed) w.hot = true;
  w.step += 1;
  if (w.step >= w.of.cycle.length) {
    const stock = pool.get(w.of.jobId) ?? 0;
    w.inLoad = Math.min(w.of.atOnce, stock);
    pool.set(w.of.jobId, stock - w.inLoad);
    w.step = 0;
    w.hot = false;
    if (w.inLoad === 0) {
      w.doneS = nowS;
      return;
    }
  }
  enter(w, nowS, 0, draw);
}

/** Hands are needed now: the hot first, then whoever has waited longest. */
const chosen = (all: readonly Working[], nowS: number): Working | null =>
  all
    .filter((w) => w.doneS === null && w.untilS <= nowS)
    .sort((a, b) => Number(b.hot) - Number(a.hot) || a.untilS - b.untilS)[0] ?? null;

/** While no press needs hands they tape up, where fewest lie ready for a load. */
function tapeUntil(
  all: readonly Working[],
  fromS: number,
  toS: number,
  pool: ReadonlyMap<string, number>,
): void {
  let left = toS - fromS;
  while (left > 1e-9) {
    const short = all
      .filter(
        (w) =>
          w.doneS === null && w.ready < Math.min(3 * w.of.atOnce, w.inLoad + (pool.get(w.of.jobId) ?? 0)),
      )
      .sort((a, b) => a.ready / a.of.atOnce - b.ready / b.of.atOnce)[0];
    if (!short) return;
    const needs = short.tapeS - short.begunS;
    if (needs > left) {
      short.begunS += left;
      return;
    }
    left -= needs;
    short.begunS = 0;
    short.ready += 1;
  }
}

/** One way it could go. Discrete events: presses by themselves, one pair of hands between them (Law 2015, ch. 1). */
function once(
  presses: readonly PressNow[],
  stock: ReadonlyMap<string, number>,
  draw: Draw,
): readonly Working[] {
  const pool = new Map(stock);
  const all = presses.map((of): Working => {
    const w: Working = {
      of,
      tapeS: draw(of.tape, 'wrap'),
      step: of.stepIndex,
      untilS: 0,
      hot: of.hot,
      inLoad: of.inLoad,
      ready: of.ready,
      begunS: 0,
      doneS: null,
      headS: 0,
    };
    enter(w, 0, of.elapsedS, draw);
    return w;
  });
  let nowS = 0;
  while (all.some((w) => w.doneS === null)) {
    const w = chosen(all, nowS);
    if (!w) {
      const next = Math.min(...all.filter((x) => x.doneS === null).map((x) => x.untilS));
      tapeUntil(all, nowS, next, pool);
      nowS = next;
      continue;
    }
    const at = w.of.cycle[w.step];
    if (at && at.operation.kind === 'load' && w.ready < w.inLoad) {
      nowS += Math.max(0, w.tapeS - w.begunS);
      w.begunS = 0;
      w.ready += 1;
      continue;
    }
    if (at && isHands(at.operation)) {
      const lasts = draw(at.pace, at.operation.kind);
      // Waiting for hands is not being worked on: no more than half of it is taken as done.
      nowS += lasts - Math.min(lasts / 2, w.headS);
      if (at.operation.kind === 'load') w.ready -= w.inLoad;
    }
    leave(w, nowS, pool, draw);
  }
  return all;
}

const WAYS = 60;

function pressNow(lane: Lane, lanes: readonly Lane[], pace: PaceOf): PressNow {
  const { run, state, clock } = lane;
  const by = personOf(run);
  const atOnce = run.load?.piecesAtOnce ?? 1;
  return {
    id: run.id,
    jobId: run.jobId,
    cycle: cycleOf(run).map((operation) => ({ operation, pace: pace(operation, run.press.id, by) })),
    stepIndex: state.stepIndex,
    elapsedS: clock.elapsedS,
    hot: isHot(state),
    atOnce,
    inLoad: state.inLoad.length,
    tape: tapePace(lane, pace),
    ready: readyNow(lane, lanes, pace),
  };
}

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(q * sorted.length) - 1))] ?? 0;

/** Presses as they stand. `pace` tells how long each step takes here. */
export const pressesNow = (lanes: readonly Lane[], pace: PaceOf): readonly PressNow[] =>
  lanes.map((l) => pressNow(l, lanes, pace));

/**
 * When every run will be over. `left` are the pieces of each job that no press holds yet. The usual course is the median of a fixed number of
 * ways it could go, each with times drawn from what is known of every step and of how well it is known; seeded, so the same for the same state.
 */
export function forecast(presses: readonly PressNow[], left: ReadonlyMap<string, number>): Forecast {
  if (presses.length === 0) return { usualS: 0, ninetyS: 0, runs: {} };
  const random = seeded(20_141);
  const normal = (): number => normalQuantile(Math.min(1 - 1e-6, Math.max(1e-6, random())));
  const ways = Array.from({ length: WAYS }, () => {
    const shared = new Map<string, number>();
    const draw: Draw = (p, kind) => {
      if (p.logSd === 0) return p.usualS;
      const common = shared.get(kind) ?? normal();
      shared.set(kind, common);
      // What one step takes varies; so does what is believed of all of its kind, the less the more were seen.
      return p.usualS * Math.exp(p.logSd * normal() + (p.logSd / Math.sqrt(p.seen + 2)) * common);
    };
    return once(presses, left, draw);
  });
  const of = (ends: readonly number[]) => {
    const sorted = [...ends].sort((a, b) => a - b);
    return { usualS: quantile(sorted, 0.5), ninetyS: quantile(sorted, 0.9) };
  };
  const all = ways.map((w) => Math.max(...w.map((x) => x.doneS ?? 0)));
  return {
    ...of(all),
    runs: Object.fromEntries(presses.map((p, i) => [p.id, of(ways.map((w) => w[i]?.doneS ?? 0))])),
  };
}
