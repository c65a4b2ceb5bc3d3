import { type LoadThrough, type StepTaken, type Spoiled } from './loadThrough';
import { ofStage, type Operation } from '../shop/operation';
import type { HandTaskId, RescueOutcome, Run, RunEvent, RunPiece, SpoiledWhy } from '../shop/run';
import { appended, listOf, chainSize, type Chain } from './chain';
import { goodPiecesIn, pieceKey } from './goodPieces';

/** The state of a run. Times are wall-clock milliseconds, so sleep, reload and throttling change nothing. */
export interface RunState {
  /** Pieces through, good or spoiled. */
  readonly through: number;
  /** Pieces that are in hand together, those spoiled among them included. */
  readonly inLoad: readonly RunPiece[];
  /** Of the pieces in hand, those spoiled so far. */
  readonly spoiledInLoad: readonly Spoiled[];
  readonly stepIndex: number;
  readonly stepStartedAt: number;
  readonly loadStartedAt: number;
  /** Steps of the load in hand that are done. */
  readonly steps: Chain<StepTaken>;
  readonly spoiled: number;
  /** Good with a flaw. */
  readonly seconds: number;
  readonly good: number;
  /** Pieces with stuck paper, and how those came out that are out of the water. */
  readonly soaking: readonly RunPiece[];
  readonly rescued: readonly Rescued[];
  /** How often a piece was taped again before loading. */
  readonly retaped: number;
  readonly ended: 'no' | 'finished' | 'stopped';
  /** Loads that are through. */
  readonly loads: Chain<LoadThrough>;
  /** Of the pieces counted as taped up, those that have gone in. */
  readonly tapedIn: number;
  /** Pieces taped up, unwrapped and packed so far: hands between steps, apart from the steps themselves. */
  readonly between: Readonly<Record<HandTaskId, number>>;
}

/** A piece that was soaked, and how it came out. */
export interface Rescued {
  readonly piece: RunPiece;
  readonly outcome: RescueOutcome;
}

/** A run as far as its events have been taken in. */
export interface FoldedRun {
  readonly state: RunState;
  /** The states before, for taking back. */
  readonly past: Chain<RunState>;
  /** The newest moment of any event: time does not run backwards, whatever a clock was set to. */
  readonly lastAt: number;
  /** How many events were taken in. */
  readonly events: number;
}

/** The operations of a run that are gone through step by step, in their order. */
export const cycleOf = (run: Pick<Run, 'operations'>): readonly Operation[] =>
  ofStage(run.operations, 'press');

const atOnce = (run: Pick<Run, 'load'>): number => run.load?.piecesAtOnce ?? 1;

/** The pieces a load after `through` others takes, where the run does not know its pieces: they are numbered within it. */
const numbered = (run: Run, through: number): readonly RunPiece[] =>
  Array.from({ length: Math.max(0, Math.min(atOnce(run), run.pieces - through)) }, (_, i) => ({
    number: through + i + 1,
    name: '',
  }));

/** Of some pieces, those that came out good in a load that is through: they are neither laid nor counted again. */
export function goodBefore(
  { loads, rescued }: Pick<RunState, 'loads' | 'rescued'>,
  pieces: readonly RunPiece[],
): readonly RunPiece[] {
  const good = goodPiecesIn(loads);
  const saved = savedKeys({ rescued });
  return pieces.filter((p) => good.has(pieceKey(p)) || saved.has(pieceKey(p)));
}

/** Of pieces that are to go in, those that may: each once, and none that is good already or still soaking. */
function mayGoIn(
  state: Pick<RunState, 'loads' | 'rescued' | 'soaking'>,
  pieces: readonly RunPiece[],
): readonly RunPiece[] {
  const seen = new Set([...goodBefore(state, pieces), ...state.soaking].map(pieceKey));
  return pieces.filter((p) => {
    const fresh = !seen.has(pieceKey(p));
    seen.add(pieceKey(p));
    return fresh;
  });
}

function loadOver(run: Run, state: RunState, at: number, next: readonly RunPiece[] | undefined): RunState {
  const through = state.through + state.inLoad.length;
  const loads = appended(state.loads, {
    pieces: state.inLoad,
    spoiled: state.spoiledInLoad,
    startedAt: state.loadStartedAt,
    endedAt: at,
    steps: state.steps,
  });
  const inLoad = run.queue ? mayGoIn({ ...state, loads }, next ?? []) : numbered(run, through);
  return {
    ...state,
    through,
    inLoad,
    good: state.good + state.inLoad.length - state.spoiledInLoad.length,
    spoiledInLoad: [],
    stepIndex: 0,
    stepStartedAt: at,
    loadStartedAt: at,
    steps: null,
    ended: inLoad.length === 0 ? 'finished' : 'no',
    loads,
  };
}

const spoiledNumbers = (state: RunState): ReadonlySet<number> =>
  new Set(state.spoiledInLoad.map((s) => s.piece.number));

/** Of the pieces in hand, those still good. */
export function goodInLoad(state: RunState): readonly RunPiece[] {
  const spoiled = spoiledNumbers(state);
  return state.inLoad.filter((p) => !spoiled.has(p.number));
}

type Of<K extends RunEvent['kind']> = Extract<RunEvent, { kind: K }>;

/** One piece of the load is spoiled: the others go on; with the last of them the load is over. */
function spoil(
  run: Run,
  cycle: readonly Operation[],
  state: RunState,
  e: Of<'spoiled'>,
  at: number,
): RunState | null {
  // A late tap is about an operation that is no longer in hand, and perhaps about another load.
  if (cycle[state.stepIndex]?.id !== e.operationId) return null;
  const good = goodInLoad(state);
  const piece = e.piece === undefined ? good[good.length - 1] : good.find((p) => p.number === e.piece);
  if (!piece) return null;
  const became = e.became ?? 'spoiled';
  const next: RunState = {
    ...state,
    spoiled: state.spoiled + (became === 'spoiled' ? 1 : 0),
    seconds: state.seconds + (became === 'second' ? 1 : 0),
    soaking: became === 'soaking' ? [...state.soaking, piece] : state.soaking,
    spoiledInLoad: [
      ...state.spoiledInLoad,
      { piece, why: e.why ?? null, operationId: e.operationId, at, became },
    ],
  };
  return good.length === 1 ? loadOver(run, next, at, e.next) : next;
}

/** A piece out of its soak: good, good with a flaw, or spoiled. */
function rescue(state: RunState, { piece: number, outcome }: Of<'rescued'>): RunState | null {
  const piece = state.soaking.find((p) => p.number === number);
  if (!piece) return null;
  return {
    ...state,
    soaking: state.soaking.filter((p) => p !== piece),
    rescued: [...state.rescued, { piece, outcome }],
    good: state.good + (outcome === 'good' ? 1 : 0),
    seconds: state.seconds + (outcome === 'second' ? 1 : 0),
    spoiled: state.spoiled + (outcome === 'spoiled' ? 1 : 0),
  };
}

/** Written out field by field: most of a fold is this, and states copied whole take three times as long (`npm run bench -- fold`). */
const nextStep = (s: RunState, steps: Chain<StepTaken>, tapedIn: number, at: number): RunState => ({
  through: s.through,
  inLoad: s.inLoad,
  spoiledInLoad: s.spoiledInLoad,
  stepIndex: s.stepIndex + 1,
  stepStartedAt: at,
  loadStartedAt: s.loadStartedAt,
  steps,
  spoiled: s.spoiled,
  seconds: s.seconds,
  good: s.good,
  soaking: s.soaking,
  rescued: s.rescued,
  retaped: s.retaped,
  ended: s.ended,
  loads: s.loads,
  tapedIn,
  between: s.between,
});

function advance(run: Run, cycle: readonly Operation[], state: RunState, e: Of<'done'>, at: number) {
  const operation = cycle[state.stepIndex];
  // A late second tap is about an operation that is no longer in hand.
  if (operation?.id !== e.operationId) return null;
  const steps = appended(state.steps, {
    operation,
    startedAt: state.stepStartedAt,
    endedAt: at,
    by: e.by ?? null,
  });
  const went = operation.kind === 'load' ? state.inLoad.length : 0;
  const tapedIn = Math.max(state.tapedIn, Math.min(state.between.taped, state.tapedIn + went));
  return state.stepIndex + 1 < cycle.length
    ? nextStep(state, steps, tapedIn, at)
    : loadOver(run, { ...state, steps }, at, e.next);
}

/** Before the press is closed for the first time, other pieces may be laid. */
export const canLay = (state: RunState): boolean =>
  state.ended === 'no' &&
  state.spoiledInLoad.length === 0 &&
  listOf(state.steps).every((s) => s.operation.kind === 'load');

/** What an event makes of a state; null where it does not count. */
function after(
  run: Run,
  cycle: readonly Operation[],
  state: RunState,
  e: RunEvent,
  at: number,
): RunState | null {
  // A piece may come out of its soak after the run is over.
  if (e.kind === 'rescued') return rescue(state, e);
  if (state.ended !== 'no') return null;
  switch (e.kind) {
    case 'done':
      return advance(run, cycle, state, e, at);
    case 'spoiled':
      return spoil(run, cycle, state, e, at);
    case 'lay':
      return canLay(state) && run.queue && mayGoIn(state, e.pieces).length === e.pieces.length
        ? { ...state, inLoad: e.pieces }
        : null;
    case 'retaped':
      return cycle[state.stepIndex]?.id === e.operationId ? { ...state, retaped: state.retaped + 1 } : null;
    case 'stop':
      return { ...state, ended: 'stopped' };
    default:
      return null;
  }
}

/** How far back to go, or null where there is nothing to take back. The clock of the step gone back to goes on from when it first started. */
function takenBack(fold: FoldedRun, wholeLoad: boolean): FoldedRun | null {
  let at = fold.past;
  if (!at) return null;
  if (wholeLoad) {
    const here = chainSize(fold.state.loads);
    const load = chainSize(at.last.loads) === here ? here : here - 1;
    while (at.before && chainSize(at.before.last.loads) >= load) at = at.before;
  }
  return { ...fold, state: { ...at.last, between: fold.state.between }, past: at.before };
}

function counted(state: RunState, { what, count }: Of<'between'>): RunState {
  // What has gone in was taped up, whatever is corrected afterwards.
  const least = what === 'taped' ? state.tapedIn : 0;
  const between = { ...state.between, [what]: Math.max(least, state.between[what] + count) };
  return { ...state, between };
}

const cycles = new WeakMap<Run['operations'], readonly Operation[]>();
function cycleKept(run: Run): readonly Operation[] {
  const known = cycles.get(run.operations);
  if (known) return known;
  const made = cycleOf(run);
  cycles.set(run.operations, made);
  return made;
}

/** A run before its first event. */
export const startFold = (run: Run): FoldedRun => ({
  state: {
    through: 0,
    inLoad: run.queue ? run.queue.slice(0, atOnce(run)) : numbered(run, 0),
    spoiledInLoad: [],
    stepIndex: 0,
    stepStartedAt: run.startedAt,
    loadStartedAt: run.startedAt,
    steps: null,
    spoiled: 0,
    seconds: 0,
    good: 0,
    soaking: [],
    rescued: [],
    retaped: 0,
    ended: 'no',
    loads: null,
    tapedIn: 0,
    between: { taped: 0, unwrapped: 0, packed: 0 },
  },
  past: null,
  lastAt: run.startedAt,
  events: 0,
});

/** Takes one more event in. `run` gives what it was begun with; its own events are not looked at. */
export function foldEvent(run: Run, fold: FoldedRun, event: RunEvent): FoldedRun {
  const lastAt = Math.max(fold.lastAt, event.at);
  const counts = { lastAt, events: fold.events + 1 };
  if (event.kind === 'undo' || event.kind === 'undo-load')
    return { ...(takenBack(fold, event.kind === 'undo-load') ?? fold), ...counts };
  if (event.kind === 'between') return { ...fold, state: counted(fold.state, event), ...counts };
  const state = after(run, cycleKept(run), fold.state, event, lastAt);
  return state ? { state, past: appended(fold.past, fold.state), ...counts } : { ...fold, ...counts };
}

/** Folds a run's events over what it was begun with, from the start or from where an earlier fold of the same run ended. */
export function foldOn(run: Run, from: FoldedRun = startFold(run)): FoldedRun {
  let fold = from;
  for (let i = from.events; i < run.events.length; i += 1) {
    const event = run.events[i];
    if (event) fold = foldEvent(run, fold, event);
  }
  return fold;
}

export const foldRun = (run: Run): RunState => foldOn(run).state;

/** What a button or a key can tap about the step in hand. */
export type TapKind = 'done' | 'spoiled' | 'retaped' | 'undo' | 'undo-load' | 'stop';

/** What a person tapped, as an event about the operation in hand; null where the run has no operation in hand. */
export function eventOf(
  run: Run,
  state: RunState,
  kind: TapKind,
  at: number,
  said: {
    readonly by?: string;
    readonly piece?: number;
    readonly why?: SpoiledWhy;
    readonly became?: 'second' | 'soaking';
  } = {},
): RunEvent | null {
  if (kind === 'undo' || kind === 'undo-load' || kind === 'stop') return { kind, at };
  const operationId = cycleKept(run)[state.stepIndex]?.id;
  if (operationId === undefined) return null;
  const { by, piece, why, became } = said;
  const who = by === undefined ? {} : { by };
  if (kind !== 'spoiled') return { kind, at, operationId, ...who };
  return {
    kind,
    at,
    operationId,
    ...who,
    ...(piece === undefined ? {} : { piece }),
    ...(why ? { why } : {}),
    ...(became ? { became } : {}),
  };
}

/** Pieces taped up and not gone in yet. */
export const tapedReady = (state: RunState): number => Math.max(0, state.between.taped - state.tapedIn);

/** Every step taken, oldest first, those of the load in hand last. */
export const stepsTaken = (state: RunState): readonly StepTaken[] => [
  ...listOf(state.loads).flatMap((l) => listOf(l.steps)),
  ...listOf(state.steps),
];

export const tookS = (step: StepTaken): number => (step.endedAt - step.startedAt) / 1000;

/** How long each press step really took, s, as the hands ended it. */
export const dwellsS = (state: RunState): readonly number[] =>
  stepsTaken(state)
    .filter((s) => s.operation.timed)
    .map(tookS);

/** Pieces that did not come out good so far, oldest first: those spoiled, those with a flaw, and those still soaking. */
export function spoiledOf(state: RunState): readonly Spoiled[] {
  const saved = savedKeys(state);
  return [...listOf(state.loads).flatMap((l) => l.spoiled), ...state.spoiledInLoad].filter(
    (s) => !saved.has(pieceKey(s.piece)),
  );
}

/** Pieces that came good out of their soak. */
const savedKeys = (state: Pick<RunState, 'rescued'>): ReadonlySet<string> =>
  new Set(state.rescued.filter((r) => r.outcome === 'good').map((r) => pieceKey(r.piece)));

/** Pieces that came through good. */
export const goodOf = (state: RunState): readonly RunPiece[] => [
  ...listOf(state.loads).flatMap((l) => {
    const spoiled = new Set(l.spoiled.map((s) => s.piece.number));
    return l.pieces.filter((p) => !spoiled.has(p.number));
  }),
  ...state.rescued.filter((r) => r.outcome === 'good').map((r) => r.piece),
];

/** When the last load was through; null before the first. */
export const lastThroughAt = (state: RunState): number | null => state.loads?.last.endedAt ?? null;

export interface StepClock {
  readonly elapsedS: number;
  /** Time left of a timed step, negative once over; null for steps a person ends. */
  readonly leftS: number | null;
  readonly up: boolean;
}

/** The clock of the present step at wall-clock time `nowMs`. */
export function stepClock(run: Run, state: RunState, nowMs: number): StepClock {
  const elapsedS = Math.max(0, (nowMs - state.stepStartedAt) / 1000);
  const step = cycleKept(run)[state.stepIndex];
  const leftS = step?.timed ? step.plannedS - elapsedS : null;
  return { elapsedS, leftS, up: leftS !== null && leftS <= 0 };
}

/** How long after it is set down a piece can be touched, s, at the slowest: how long a person should wait. */
export const touchSafeAfterS = (run: Pick<Run, 'operations'>): number =>
  ofStage(run.operations, 'after').reduce((s, o) => Math.max(s, o.spreadS[1]), 0);

export interface Cooling {
  readonly pieces: readonly RunPiece[];
  readonly waitS: number;
}

/** Loads with pieces still too hot to touch, the first to cool first, and the wait until they are not. */
export function coolingLoads(run: Run, state: RunState, nowMs: number): readonly Cooling[] {
  const safeS = touchSafeAfterS(run);
  const hot: Cooling[] = [];
  for (let at = state.loads; at; at = at.before) {
    const { pieces, spoiled, endedAt } = at.last;
    const waitS = safeS - (nowMs - endedAt) / 1000;
    if (waitS <= 0) break;
    const gone = new Set(spoiled.map((s) => s.piece.number));
    const good = pieces.filter((p) => !gone.has(p.number));
    if (good.length > 0) hot.push({ pieces: good, waitS });
  }
  return hot.reverse();
}
