import type { Pace } from '../run/pace';
import type { RunWithState } from '../run/pieces';
import { cycleOf } from '../run/run';
import type { Operation } from '../shop/operation';
import type { InPress, LoadStep } from './problem';

type StepPace = (o: Operation) => Pace;

/** Two stretches one after the other. Variances of lengths add; the logarithm's is about their share of the whole. */
function joined(a: LoadStep, b: LoadStep): LoadStep {
  const s = a.s + b.s;
  return { hands: a.hands, s, logSd: Math.hypot(a.s * a.logSd, b.s * b.logSd) / s };
}

/** Steps one after the other that need hands, or none, as one. */
export function segmentsOf(cycle: readonly Operation[], pace: StepPace): readonly LoadStep[] {
  const out: LoadStep[] = [];
  for (const o of cycle) {
    const { usualS, logSd } = pace(o);
    if (usualS <= 0) continue;
    const next = { hands: o.resource === 'hands', s: usualS, logSd };
    const last = out.at(-1);
    if (last?.hands === next.hands) out[out.length - 1] = joined(last, next);
    else out.push(next);
  }
  return out;
}

/** What is taken as done of a step by hand: waiting for hands is not being worked on, so no more than half of it. */
const HANDS_DONE = 0.5;

/** What is left of the load in a press, `elapsedS` into its step: the segment it is in, and how long of it. Null before it is put in. */
export function inPressOf(
  work: number,
  { run, state }: RunWithState,
  elapsedS: number,
  pace: StepPace,
): InPress | null {
  if (state.stepIndex === 0 || state.inLoad.length === 0) return null;
  const cycle = cycleOf(run);
  const rest = segmentsOf(cycle.slice(state.stepIndex), pace);
  const [now] = rest;
  const step = cycle[state.stepIndex];
  if (!now || !step) return null;
  const usualS = pace(step).usualS;
  const doneS = now.hands ? Math.min(elapsedS, usualS * HANDS_DONE) : elapsedS;
  return {
    work,
    pieces: state.inLoad.length,
    segment: segmentsOf(cycle, pace).length - rest.length,
    leftS: usualS > 0 ? Math.max(1, now.s - doneS) : now.s,
  };
}

/** Readying one piece: hands, s, and the standard deviation of the logarithm of their time. */
export function preparing(
  steps: readonly Operation[],
  pace: StepPace,
): { readonly prepareS: number; readonly logSd: number } {
  const each = steps.map(pace);
  const prepareS = each.reduce((s, p) => s + p.usualS, 0);
  return {
    prepareS,
    logSd: prepareS > 0 ? Math.hypot(...each.map((p) => p.usualS * p.logSd)) / prepareS : 0.2,
  };
}
