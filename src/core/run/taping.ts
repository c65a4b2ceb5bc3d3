import { ofStage, plannedS } from '../shop/operation';
import type { Lane } from './board';
import { personOf, type Pace, type PaceOf } from './pace';
import { cycleOf, tapedReady } from './run';

/** Taped pieces lie no longer than this before they go in: paper takes up moisture and tape lets go. Our own estimate, s. */
const LIE_S = 1800;

/** How many pieces must lie taped up for a press never to wait, and how many are too many. */
export interface Taping {
  /** Lying ready; null where nobody counted. */
  readonly ready: number | null;
  readonly want: number;
  readonly most: number;
  /** Still to be taped up. */
  readonly left: number;
}

interface Given {
  readonly atOnce: number;
  /** Pieces still to go in. */
  readonly left: number;
  /** To tape up one piece, s. */
  readonly tapeS: number;
  /** One load at the press from loading to loading, s. */
  readonly loadS: number;
  /** Of that, what hands have to spare, s. */
  readonly freeS: number;
}

/**
 * Ahead of each load so many pieces must lie ready that with what is taped up meanwhile none is ever short: S + k · free / tape ≥ (k + 1) ·
 * load for every load k still to come. The last of them asks most where hands are slower than the press, the first where they are not.
 */
export function tapeAhead({ atOnce, left, tapeS, loadS, freeS }: Given): {
  readonly want: number;
  readonly most: number;
} {
  const loads = Math.ceil(left / atOnce);
  const meanwhile = Math.max(0, freeS) / Math.max(1, tapeS);
  const short = Math.max(0, atOnce - meanwhile);
  const most = Math.min(left, atOnce * Math.max(1, Math.floor(LIE_S / Math.max(1, loadS))));
  return { want: Math.min(most, left, Math.ceil(atOnce + Math.max(0, loads - 1) * short - 1e-9)), most };
}

/** Usual time of one load, and of its hands, s. */
function loadTimes(lane: Lane, pace: PaceOf): { readonly loadS: number; readonly handsS: number } {
  const by = personOf(lane.run);
  const usual = (o: (typeof cycle)[number]) => pace(o, lane.run.press.id, by).usualS;
  const cycle = cycleOf(lane.run);
  return {
    loadS: cycle.reduce((s, o) => s + usual(o), 0),
    handsS: cycle.reduce((s, o) => s + (o.resource === 'hands' ? usual(o) : 0), 0),
  };
}

/** To tape up one piece: the usual time of all its steps, and how well it is known. */
export function tapePace({ run }: Pick<Lane, 'run'>, pace: PaceOf): Pace {
  const by = personOf(run);
  const each = ofStage(run.operations, 'prepare').map((o) => pace(o, run.press.id, by));
  const [longest] = [...each].sort((a, b) => b.usualS - a.usualS);
  return {
    usualS: each.reduce((s, p) => s + p.usualS, 0),
    logSd: longest?.logSd ?? 0,
    seen: longest?.seen ?? 0,
  };
}

/** What hands have to spare in one load of a press, while others run beside it and take the same hands, s. */
function freeTime(
  lane: Lane,
  lanes: readonly Lane[],
  pace: PaceOf,
): { readonly loadS: number; readonly freeS: number } {
  const mine = loadTimes(lane, pace);
  const others = lanes
    .filter((l) => l.run.id !== lane.run.id)
    .map((l) => loadTimes(l, pace))
    .reduce((share, t) => share + (t.loadS > 0 ? t.handsS / t.loadS : 0), 0);
  return { loadS: mine.loadS, freeS: mine.loadS - mine.handsS - others * mine.loadS };
}

/**
 * Pieces that lie taped up: those counted. Where nobody counts, what hands had time for since the load went in; at the start of a run, its
 * first load.
 */
export function readyNow(lane: Lane, lanes: readonly Lane[], pace: PaceOf): number {
  const { state, run, clock } = lane;
  if (state.between.taped > 0) return tapedReady(state);
  const atLoading = state.stepIndex === 0;
  if (atLoading && state.loads === null) return state.inLoad.length;
  const { loadS, freeS } = freeTime(lane, lanes, pace);
  const oneS = Math.max(1, tapePace(lane, pace).usualS);
  const since = plannedS(cycleOf(run).slice(0, state.stepIndex)) + clock.elapsedS;
  const share = atLoading ? 1 : Math.min(1, since / Math.max(1, loadS));
  const made = (Math.max(0, freeS) * share + (atLoading ? clock.elapsedS : 0)) / oneS;
  return Math.min(run.load?.piecesAtOnce ?? 1, Math.floor(made));
}

/** What to tape up for one press while others run beside it and take the same hands. `left` are the pieces it may still take. */
export function tapingFor(lane: Lane, lanes: readonly Lane[], pace: PaceOf, left: number): Taping {
  const { loadS, freeS } = freeTime(lane, lanes, pace);
  const { between, stepIndex, inLoad } = lane.state;
  // What is in hand and not loaded yet has still to be there.
  const toCome = left + (cycleOf(lane.run)[stepIndex]?.kind === 'load' ? inLoad.length : 0);
  return {
    ready: between.taped > 0 ? tapedReady(lane.state) : null,
    ...tapeAhead({
      atOnce: lane.run.load?.piecesAtOnce ?? 1,
      left: Math.max(0, toCome),
      tapeS: tapePace(lane, pace).usualS,
      loadS,
      freeS,
    }),
    left: Math.max(0, toCome - tapedReady(lane.state)),
  };
}
