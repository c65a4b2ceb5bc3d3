import type { Operation } from '../shop/operation';
import { listOf } from './chain';
import type { PaceOf } from './pace';
import { personOf } from './pace';
import type { RunWithState } from './pieces';
import { cycleOf, stepClock, type RunState, type StepClock } from './run';

/**
 * What a press asks for, the most pressing first: time is up and it cooks on; a hot piece waits for hands; its display wants reading; a cold
 * one waits for hands; nothing yet.
 */
const NEEDS = ['time up', 'hot', 'display', 'hands', 'nothing yet'] as const;
type Need = (typeof NEEDS)[number];

/** One press with a run on it. */
export interface Lane extends RunWithState {
  readonly step: Operation;
  readonly clock: StepClock;
  readonly need: Need;
  /** Until it needs hands, s: nothing or less where it needs them now, and since when. */
  readonly dueS: number;
}

/** Whether the load has been pressed already: what is in hand is at press heat. */
const isHot = (state: RunState): boolean => listOf(state.steps).some((s) => s.operation.timed);

const WAITS: ReadonlySet<Operation['resource']> = new Set(['waiting', 'press', 'oven']);

/** Usual seconds until a step is over, by itself or by hand. */
const stepLeftS = (run: RunWithState['run'], step: Operation, clock: StepClock, pace: PaceOf): number =>
  clock.leftS ?? pace(step, run.press.id, personOf(run)).usualS - clock.elapsedS;

export function laneOf({ run, state }: RunWithState, nowMs: number, pace: PaceOf): Lane | null {
  const step = cycleOf(run)[state.stepIndex];
  if (state.ended !== 'no' || !step) return null;
  const clock = stepClock(run, state, nowMs);
  const at = { run, state, step, clock };
  if (!WAITS.has(step.resource))
    return { ...at, need: isHot(state) ? 'hot' : 'hands', dueS: -clock.elapsedS };
  const leftS = stepLeftS(run, step, clock, pace);
  if (leftS > 0) return { ...at, need: 'nothing yet', dueS: leftS };
  const over = step.timed ? 'time up' : step.kind === 'settle' ? 'hot' : 'display';
  return { ...at, need: over, dueS: leftS };
}

/** Presses in the order in which hands are needed; among equals the one that has waited longest, or is due first. */
export const inOrderOfNeed = (lanes: readonly Lane[]): readonly Lane[] =>
  [...lanes].sort((a, b) => NEEDS.indexOf(a.need) - NEEDS.indexOf(b.need) || a.dueS - b.dueS);

/** The press that calls: hands are needed there now. Null while every press goes on by itself. */
export const calling = (lanes: readonly Lane[]): Lane | null =>
  inOrderOfNeed(lanes).find((l) => l.need !== 'nothing yet') ?? null;

/** Something hands will have to do, and in how many seconds. */
export interface HandTask {
  readonly lane: Lane;
  readonly operation: Operation;
  /** The load it belongs to comes after the one in hand. */
  readonly nextLoad: boolean;
  readonly inS: number;
}

/** What hands do next on one press, in its order; tasks that follow each other at once are grouped under the first. */
function tasksOf(lane: Lane, pace: PaceOf, more: boolean): readonly HandTask[] {
  const { run, state } = lane;
  const cycle = cycleOf(run);
  const by = personOf(run);
  const tasks: HandTask[] = [];
  const ahead = [
    ...cycle.slice(state.stepIndex).map((operation) => ({ operation, nextLoad: false })),
    ...(more ? cycle.slice(0, 1).map((operation) => ({ operation, nextLoad: true })) : []),
  ];
  let inS = 0;
  let before: Operation | null = null;
  for (const [i, { operation, nextLoad }] of ahead.entries()) {
    const hands = !WAITS.has(operation.resource);
    if (hands && (before === null || WAITS.has(before.resource) || nextLoad))
      tasks.push({ lane, operation, nextLoad, inS: i === 0 ? Math.min(0, lane.dueS) : Math.max(0, inS) });
    inS +=
      i === 0
        ? Math.max(0, stepLeftS(run, operation, lane.clock, pace))
        : pace(operation, run.press.id, by).usualS;
    before = operation;
  }
  return tasks;
}

/** What hands do on all presses, in that order. `more` tells whether a press will take another load: another press may take what is left. */
export function handTasks(
  lanes: readonly Lane[],
  pace: PaceOf,
  more: (lane: Lane) => boolean,
): readonly HandTask[] {
  const order = inOrderOfNeed(lanes);
  const calls = order.filter((l) => l.need !== 'nothing yet');
  const rank = (t: HandTask): number => (t.inS <= 0 ? calls.indexOf(t.lane) : calls.length);
  return order.flatMap((l) => tasksOf(l, pace, more(l))).sort((x, y) => rank(x) - rank(y) || x.inS - y.inS);
}

/** The next moment any clock shows another second, ms from `nowMs`: between 1 and 1000. */
export function nextSecondMs(lanes: readonly Pick<Lane, 'state'>[], nowMs: number): number {
  return lanes.reduce((soonest, { state }) => {
    const into = (((nowMs - state.stepStartedAt) % 1000) + 1000) % 1000;
    return Math.min(soonest, Math.max(1, 1000 - into));
  }, 1000);
}
