import { say, type Message } from '@/core/message/message';
import { operationWords, type OperationWords } from '@/core/operations/words';
import { contextOfRun } from '@/core/plan/press/operationWords';
import { leftOpenText, overTimeText, piecesText } from '@/core/plan/press/runWords';
import type { Lane } from '@/core/run/board';
import { overTime, passesOf } from '@/core/run/dose';
import { leftOpen } from '@/core/run/leftOpen';
import type { RunWithState } from '@/core/run/pieces';
import { listOf, chainSize } from '@/core/run/chain';
import { goodInLoad } from '@/core/run/run';
import type { Operation } from '@/core/shop/operation';
import type { Run } from '@/core/shop/run';
import { clockText } from '@/core/units/format';

export const wordsOf = (operation: Operation, run: Run): OperationWords =>
  operationWords(operation, contextOfRun(run));

/** What the passes of the load in hand, with the one that is over now, come to. */
export function overText({ run, state, step, clock }: Lane): Message | null {
  const now =
    step.timed && clock.up && clock.leftS !== null
      ? [{ pass: step.needs.pass ?? 1, overS: -clock.leftS }]
      : [];
  return overTimeText(overTime(run.dose, [...passesOf(listOf(state.steps)), ...now]));
}

/** What a press left open costs, while it waits for hands. */
export const openText = ({ run, state, clock }: Lane): Message | null =>
  leftOpenText(leftOpen(run, state, state.stepStartedAt + clock.elapsedS * 1000));

export interface ShownClock {
  readonly text: string;
  /** Counts up past its end. */
  readonly over: boolean;
  /** It is the press's own time, not a guess of hands or display. */
  readonly sure: boolean;
}

/** What the clock of a press shows: time left, time over, or how long hands have been at it. */
export function shownClock({ step, clock, need, dueS }: Lane): ShownClock {
  if (clock.leftS !== null)
    return { text: clockText(clock.up ? -clock.leftS : Math.ceil(clock.leftS)), over: clock.up, sure: true };
  if (need === 'nothing yet' && step.resource === 'waiting')
    return { text: clockText(Math.ceil(dueS)), over: false, sure: false };
  return { text: clockText(clock.elapsedS), over: false, sure: false };
}

/** Which load of how many, and the pieces in it that are still good. */
export function loadText({ run, state }: RunWithState, toCome: number): Message {
  const load = chainSize(state.loads) + 1;
  const loads = load + Math.ceil(toCome / (run.load?.piecesAtOnce ?? 1));
  const good = goodInLoad(state);
  const gone = state.spoiledInLoad.filter((s) => s.became === 'spoiled').length;
  const spoiled = gone > 0 ? say('press.spoiled5', { spoiledInLoad: gone }) : '';
  return say('press.loadOf', { load, loads, good: piecesText(good), spoiled });
}
