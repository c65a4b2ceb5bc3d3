import { ofStage, plannedS, type Operation } from '../shop/operation';
import type { Run, RunEvent } from '../shop/records';

/** The state of a run. Times are wall-clock milliseconds, so sleep, reload and throttling change nothing. */
export interface RunState {
  /** Piece in hand, from 0; equals `pieces` when all are through. */
  readonly piece: number;
  readonly stepIndex: number;
  readonly stepStartedAt: number;
  readonly spoiled: number;
  /** Of the pieces in hand together, those lost so far. */
  readonly spoiledInLoad: number;
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

/** The operations of a run that are gone through step by step, in their order. */
export const cycleOf = (run: Pick<Run, 'operations'>): readonly Operation[] =>
  ofStage(run.operations, 'press');

/** Pieces that go in together: as the run was begun, and what is left at its end. */
export const inHand = (run: Pick<Run, 'pieces' | 'load'>, state: Pick<RunState, 'piece'>): number =>
  Math.max(1, Math.min(run.load?.piecesAtOnce ?? 1, run.pieces - state.piece));

function nextLoad(state: RunState, at: number, run: Run): RunState {
  const piece = state.piece + inHand(run, state);
  const ended = piece >= run.pieces ? 'finished' : 'no';
  return { ...state, piece, spoiledInLoad: 0, lastThroughAt: at, stepIndex: 0, stepStartedAt: at, ended };
}

/** One piece of the load is lost: the others go on; with the last of them the load is over. */
function lose(state: RunState, at: number, run: Run): RunState {
  const lost = { ...state, spoiled: state.spoiled + 1, spoiledInLoad: state.spoiledInLoad + 1 };
  return lost.spoiledInLoad >= inHand(run, state) ? nextLoad(lost, at, run) : lost;
}

function advance(state: RunState, at: number, cycle: readonly Operation[], run: Run): RunState {
  const tookS = (at - state.stepStartedAt) / 1000;
  const dwellsS = cycle[state.stepIndex]?.timed ? [...state.dwellsS, tookS] : state.dwellsS;
  if (state.stepIndex + 1 < cycle.length)
    return { ...state, dwellsS, stepIndex: state.stepIndex + 1, stepStartedAt: at };
  const through = inHand(run, state) - state.spoiledInLoad;
  const setDownAt = [...state.setDownAt, ...Array.from({ length: through }, () => at)];
  return nextLoad({ ...state, dwellsS, good: state.good + through, setDownAt }, at, run);
}

/** What an event makes of a state; null where it does not count: the run has ended, or its operation is not the one in hand. */
function after(state: RunState, event: RunEvent, cycle: readonly Operation[], run: Run): RunState | null {
  if (state.ended !== 'no') return null;
  switch (event.kind) {
    case 'done':
      return cycle[state.stepIndex]?.id === event.operationId ? advance(state, event.at, cycle, run) : null;
    case 'spoiled':
      return lose(state, event.at, run);
    case 'stop':
      return { ...state, ended: 'stopped' };
    case 'undo':
    case 'reading':
      return null;
  }
}

function apply({ state, past }: Position, event: RunEvent, cycle: readonly Operation[], run: Run): Position {
  if (event.kind === 'undo') {
    const previous = past[past.length - 1];
    // The clock of the step gone back to goes on from when it first started.
    return previous ? { state: previous, past: past.slice(0, -1) } : { state, past };
  }
  const next = after(state, event, cycle, run);
  return next ? { state: next, past: [...past, state] } : { state, past };
}

/** Folds a run's events over the operations it was begun with into its state. */
export function foldRun(run: Run): RunState {
  const start: RunState = {
    piece: 0,
    stepIndex: 0,
    stepStartedAt: run.startedAt,
    spoiled: 0,
    spoiledInLoad: 0,
    good: 0,
    ended: 'no',
    lastThroughAt: null,
    setDownAt: [],
    dwellsS: [],
  };
  const cycle = cycleOf(run);
  return run.events.reduce<Position>((p, e) => apply(p, e, cycle, run), { state: start, past: [] }).state;
}

export interface StepClock {
  readonly elapsedS: number;
  /** Time left of a timed step, negative once over; null for steps a person ends. */
  readonly leftS: number | null;
  readonly up: boolean;
}

/** The clock of the present step at wall-clock time `nowMs`. */
export function stepClock(run: Run, state: RunState, nowMs: number): StepClock {
  const elapsedS = Math.max(0, (nowMs - state.stepStartedAt) / 1000);
  const step = cycleOf(run)[state.stepIndex];
  const leftS = step?.timed ? step.plannedS - elapsedS : null;
  return { elapsedS, leftS, up: leftS !== null && leftS <= 0 };
}

/**
 * Time left for the whole run, s: what is left of this piece by the planned times, and the rest at the bench's own pace
 * once two pieces have been through, good or spoiled, at the planned times before.
 */
export function remainingS(run: Run, state: RunState, nowMs: number): number {
  if (state.ended !== 'no') return 0;
  const cycle = cycleOf(run);
  const { piece: through, lastThroughAt: last } = state;
  const own = through >= 2 && last !== null ? (last - run.startedAt) / 1000 / through : null;
  const here = cycle[state.stepIndex];
  const thisStep = here ? Math.max(0, here.plannedS - (nowMs - state.stepStartedAt) / 1000) : 0;
  const rest = plannedS(cycle.slice(state.stepIndex + 1));
  const after = run.pieces - state.piece - inHand(run, state);
  const loads = Math.ceil(after / (run.load?.piecesAtOnce ?? 1));
  return thisStep + rest + (own === null ? loads * plannedS(cycle) : after * own);
}

/** How long after it is set down a piece can be touched, s, at the slowest: what a person is told to wait. */
export const touchSafeAfterS = (run: Run): number =>
  ofStage(run.operations, 'after').reduce((s, o) => Math.max(s, o.spreadS[1]), 0);

/** Pieces still too hot to touch, and the wait until the last of them is not. */
export function cooling(
  state: RunState,
  touchSafeS: number,
  nowMs: number,
): { readonly pieces: number; readonly waitS: number } {
  const left = state.setDownAt.map((at) => touchSafeS - (nowMs - at) / 1000).filter((s) => s > 0);
  return { pieces: left.length, waitS: Math.max(0, ...left) };
}

/** What a button or a key can strike. */
export type Struck = Exclude<RunEvent['kind'], 'reading'>;

/** What a person struck, as an event about the operation in hand; null where the run has no operation in hand. */
export function eventOf(run: Run, state: RunState, kind: Struck, at: number): RunEvent | null {
  if (kind === 'undo' || kind === 'stop') return { kind, at };
  const operationId = cycleOf(run)[state.stepIndex]?.id;
  return operationId === undefined ? null : { kind, at, operationId };
}
