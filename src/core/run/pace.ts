import type { Operation, OperationKind } from '../shop/operation';
import type { Run } from '../shop/run';
import type { RunWithState } from './pieces';
import { stepsTaken } from './run';
import { type StepTaken } from './loadThrough';

/** How long a step takes here, s, and the standard deviation of its logarithm. */
export interface Pace {
  readonly usualS: number;
  readonly logSd: number;
  /** Times it was seen, by the weight each still has. */
  readonly seen: number;
}

/** A step as it went once: how long against what was planned, by whom, on which press. */
export interface TimedStep {
  readonly kind: OperationKind;
  readonly pressId: string;
  readonly by: string | null;
  /** Logarithm of taken over planned. */
  readonly logRatio: number;
  readonly at: number;
}

/** The planned time counts as so many steps seen; its spread is what nine in ten shops need (`operation`). */
const PRIOR_WEIGHT = 2;
/** Each newer step of its kind halves what an older one counts after so many. */
const HALF_LIFE = 20;
/** What a step says of another person, and of another press. */
const OTHER_PERSON = 0.5;
const OTHER_PRESS = 0.3;
/** And of another thing done by hand. */
const OTHER_KIND = 0.5;
const HANDS_KINDS: ReadonlySet<OperationKind> = new Set([
  'load',
  'turn',
  'turn-over',
  'close',
  'peel',
  'set-down',
]);
/** Huber's constant: 95 % as efficient as the mean where nothing is odd (Huber 1981). */
const HUBER = 1.345;
const Z90 = 1.645;
/** A step nobody ended for this long was forgotten, not slow: planned times so many. */
const FORGOTTEN = 8;
/** And one that took so much less was tapped late, to catch up. */
const CAUGHT_UP = 6;
const NEWEST = 400;

interface Ended {
  readonly run: RunWithState['run'];
  readonly step: StepTaken;
}

/** Every step of all runs that a hand ended, oldest first. */
const endedByHand = (runs: readonly RunWithState[]): readonly Ended[] =>
  runs
    .flatMap(({ run, state }) => stepsTaken(state).map((step) => ({ run, step })))
    .sort((a, b) => a.step.endedAt - b.step.endedAt);

/**
 * Steps of all runs that say something of how long hands and waits take; timed ones are the press's. Hands are in one place at a time: a step
 * began no sooner than they had ended the one before, at whatever press, or its wait for hands would pass for work.
 */
export function timedSteps(runs: readonly RunWithState[]): readonly TimedStep[] {
  const handsAt = new Map<string | null, number>();
  const seen: TimedStep[] = [];
  for (const { run, step } of endedByHand(runs)) {
    const { operation, by } = step;
    const freeAt = operation.resource === 'hands' ? (handsAt.get(by) ?? 0) : 0;
    const took = (step.endedAt - Math.max(step.startedAt, freeAt)) / 1000;
    const planned = operation.plannedS;
    handsAt.set(by, step.endedAt);
    if (operation.timed || planned <= 0 || took < planned / CAUGHT_UP || took > FORGOTTEN * planned) continue;
    seen.push({
      kind: operation.kind,
      pressId: run.press.id,
      by,
      logRatio: Math.log(took / planned),
      at: step.endedAt,
    });
  }
  return seen.reverse().slice(0, NEWEST);
}

interface Weighed {
  readonly x: number;
  readonly weight: number;
}

/** Location and scale by Huber's M-estimate with weights, reweighted until still; the prior is one of the values. */
function robust(
  values: readonly Weighed[],
  start: number,
  priorSd: number,
): { readonly mean: number; readonly sd: number } {
  const total = values.reduce((s, v) => s + v.weight, 0);
  let [mean, sd] = [start, priorSd];
  for (let i = 0; i < 25; i += 1) {
    let [sum, weights, squares] = [0, 0, 0];
    for (const { x, weight } of values) {
      const away = Math.abs(x - mean) / sd;
      const w = weight * (away <= HUBER ? 1 : HUBER / away);
      sum += w * x;
      weights += w;
      squares += weight * Math.min(away, HUBER * 1.5) ** 2 * sd * sd;
    }
    const next = sum / weights;
    const nextSd = Math.max(
      0.03,
      Math.sqrt((squares + PRIOR_WEIGHT * priorSd * priorSd) / (total + PRIOR_WEIGHT)),
    );
    const still = Math.abs(next - mean) < 1e-6 && Math.abs(nextSd - sd) < 1e-6;
    [mean, sd] = [next, nextSd];
    if (still) break;
  }
  return { mean, sd };
}

export type PaceOf = (o: Operation, pressId: string, by: string | null) => Pace;

/** How long steps take, learned from those already taken: newest weigh more, odd ones little, other people and presses less. */
export function paceFrom(steps: readonly TimedStep[]): PaceOf {
  const byHand = steps.filter((s) => HANDS_KINDS.has(s.kind));
  const byKind = new Map<OperationKind, TimedStep[]>();
  for (const s of steps) byKind.set(s.kind, [...(byKind.get(s.kind) ?? []), s]);
  const known = new Map<string, Pace>();
  return (o, pressId, by) => {
    if (o.timed) return { usualS: o.plannedS, logSd: 0, seen: 0 };
    const key = `${o.kind} ${pressId} ${by ?? ''} ${o.plannedS} ${o.spreadS.join(' ')}`;
    const found = known.get(key);
    if (found) return found;
    const own = byKind.get(o.kind) ?? [];
    // Nobody taps when a piece is being readied: a person who is quick at the press is taken to be quick there.
    const asHands = own.length === 0 && o.resource === 'hands';
    const seenSteps = asHands ? byHand : own;
    const values = seenSteps.map((s, age): Weighed => ({
      x: s.logRatio,
      weight:
        (asHands ? OTHER_KIND : 1) *
        0.5 ** (age / HALF_LIFE) *
        (s.pressId === pressId ? 1 : OTHER_PRESS) *
        (by === null || s.by === null || s.by === by ? 1 : OTHER_PERSON),
    }));
    const [low, high] = o.spreadS;
    const priorSd = low > 0 && high > low ? Math.log(high / low) / (2 * Z90) : 0.1;
    const { mean, sd } = robust([...values, { x: 0, weight: PRIOR_WEIGHT }], 0, priorSd);
    const seen = values.reduce((s, v) => s + v.weight, 0);
    const pace = { usualS: o.plannedS * Math.exp(mean), logSd: sd, seen };
    known.set(key, pace);
    return pace;
  };
}

/** Who ended the newest step of a run that says so. */
export const personOf = (run: Pick<Run, 'events'>): string | null => {
  for (let i = run.events.length - 1; i >= 0; i -= 1) {
    const e = run.events[i];
    if (e && 'by' in e && e.by !== undefined) return e.by;
  }
  return null;
};
