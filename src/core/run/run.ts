import type { Run, RunEvent } from '../shop/records';
import type { RunStep } from './steps';

/** Where a run stands. Times are wall-clock milliseconds, so sleep, reload and throttling change nothing. */
export interface RunState {
  /** Piece in hand, from 0; equals `pieces` when all are through. */
  readonly piece: number;
  readonly stepIndex: number;
  readonly stepStartedAt: number;
  readonly spoiled: number;
  readonly good: number;
  readonly ended: 'no' | 'finished' | 'stopped';
  /** When the last piece was through, good or spoiled; null before the first. */
  readonly lastThroughAt: number | null;
  /** When each finished piece was set down. */
  readonly setDownAt: readonly number[];
  /** How long each press step really took, s, as the hands ended it. */
  readonly dwellsS: readonly number[];
}

interface Position {
  readonly state: RunState;
  readonly past: readonly RunState[];
}

function advance(state: RunState, at: number, steps: readonly RunStep[], pieces: number): RunState {
  const step = steps[state.stepIndex];
  const dwellsS =
    step?.durationS != null ? [...state.dwellsS, (at - state.stepStartedAt) / 1000] : state.dwellsS;
  if (state.stepIndex + 1 < steps.length) {
    return { ...state, dwellsS, stepIndex: state.stepIndex + 1, stepStartedAt: at };
  }
  return nextPiece(
    { ...state, dwellsS, good: state.good + 1, setDownAt: [...state.setDownAt, at] },
    at,
    pieces,
  );
}

function nextPiece(state: RunState, at: number, pieces: number): RunState {
  const piece = state.piece + 1;
  const ended = piece >= pieces ? 'finished' : 'no';
  return { ...state, piece, lastThroughAt: at, stepIndex: 0, stepStartedAt: at, ended };
}

function apply(
  { state, past }: Position,
  event: RunEvent,
  steps: readonly RunStep[],
  pieces: number,
): Position {
  if (event.kind === 'back') {
    const previous = past[past.length - 1];
    // The clock of the step gone back to goes on from when it first started.
    return previous ? { state: previous, past: past.slice(0, -1) } : { state, past };
  }
  if (state.ended !== 'no') return { state, past };
  const after =
    event.kind === 'next'
      ? advance(state, event.at, steps, pieces)
      : event.kind === 'spoiled'
        ? nextPiece({ ...state, spoiled: state.spoiled + 1 }, event.at, pieces)
        : { ...state, ended: 'stopped' as const };
  return { state: after, past: [...past, state] };
}

/** Folds a run's events into where it stands. */
export function foldRun(run: Run, steps: readonly RunStep[]): RunState {
  const start: RunState = {
    piece: 0,
    stepIndex: 0,
    stepStartedAt: run.startedAt,
    spoiled: 0,
    good: 0,
    ended: 'no',
    lastThroughAt: null,
    setDownAt: [],
    dwellsS: [],
  };
  return run.events.reduce<Position>((p, e) => apply(p, e, steps, run.pieces), { state: start, past: [] })
    .state;
}

export interface Clock {
  readonly elapsedS: number;
  /** Time left of a timed step, negative once over; null for steps the hands end. */
  readonly leftS: number | null;
  readonly up: boolean;
}

/** The clock of the present step at wall-clock time `nowMs`. */
export function clockOf(state: RunState, steps: readonly RunStep[], nowMs: number): Clock {
  const elapsedS = Math.max(0, (nowMs - state.stepStartedAt) / 1000);
  const duration = steps[state.stepIndex]?.durationS ?? null;
  const leftS = duration === null ? null : duration - elapsedS;
  return { elapsedS, leftS, up: leftS !== null && leftS <= 0 };
}

/** Usual time for one whole piece, s. */
export const pieceS = (steps: readonly RunStep[]): number => steps.reduce((s, step) => s + step.usualS, 0);

/**
 * Time left for the whole run, s: what is left of this piece by the usual step times, and the rest at the bench's own pace
 * once two pieces have been through, good or spoiled, at the usual times before.
 */
export function remainingS(run: Run, state: RunState, steps: readonly RunStep[], nowMs: number): number {
  if (state.ended !== 'no') return 0;
  const { piece: through, lastThroughAt: last } = state;
  const own = through >= 2 && last !== null ? (last - run.startedAt) / 1000 / through : null;
  const here = steps[state.stepIndex];
  const thisStep = here ? Math.max(0, here.usualS - (nowMs - state.stepStartedAt) / 1000) : 0;
  const rest = steps.slice(state.stepIndex + 1).reduce((s, step) => s + step.usualS, 0);
  return thisStep + rest + (run.pieces - state.piece - 1) * (own ?? pieceS(steps));
}

/** Pieces still too hot to touch, and the wait until the last of them is not. */
export function cooling(
  state: RunState,
  touchSafeS: number,
  nowMs: number,
): { readonly pieces: number; readonly waitS: number } {
  const left = state.setDownAt.map((at) => touchSafeS - (nowMs - at) / 1000).filter((s) => s > 0);
  return { pieces: left.length, waitS: Math.max(0, ...left) };
}
