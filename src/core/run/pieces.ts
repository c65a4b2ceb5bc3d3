import type { Job } from '../job/job';
import { createLru, type Lru } from '../memo/memo';
import type { Run, RunEvent, RunPiece, SpoiledWhy } from '../shop/run';
import { pieceKey } from './goodPieces';
import { foldOn, goodOf, spoiledOf, type FoldedRun, type RunState } from './run';

/** A run with what its events come to. */
export interface RunWithState {
  readonly run: Run;
  readonly state: RunState;
}

interface Folded {
  readonly run: Run;
  readonly fold: FoldedRun;
}
/** Runs of some months. */
const KEPT = 500;
const folded: Lru<string, Folded> = createLru(KEPT);

const piecesOf = (e: RunEvent): readonly RunPiece[] | undefined =>
  e.kind === 'lay' ? e.pieces : 'next' in e ? e.next : undefined;

/** What distinguishes two events, read off as quickly as folding them: kind, moment, operation, pieces. */
function sameEvent(a: RunEvent | undefined, b: RunEvent): boolean {
  if (a?.kind !== b.kind || a.at !== b.at) return false;
  const step = 'operationId' in a ? a.operationId : '';
  if (step !== ('operationId' in b ? b.operationId : '')) return false;
  const [next, other] = [piecesOf(a), piecesOf(b)];
  if (next?.length !== other?.length || next?.[0]?.number !== other?.[0]?.number) return false;
  return ('piece' in a ? a.piece : 0) === ('piece' in b ? b.piece : 0);
}

/** Whether a run is an earlier one gone on: begun the same way, with every event that one had. */
const goesOn = (run: Run, from: Run): boolean =>
  run.startedAt === from.startedAt &&
  run.pieces === from.pieces &&
  run.queue?.length === from.queue?.length &&
  run.load?.piecesAtOnce === from.load?.piecesAtOnce &&
  run.operations.length === from.operations.length &&
  from.events.every((e, i) => sameEvent(run.events[i], e));

/** A run with its state. What was folded of it before is gone on from: a record read again costs no more than its newest events. */
export function withState(run: Run): RunWithState {
  const known = folded.get(run.id);
  const from = known && (known.run === run || goesOn(run, known.run)) ? known.fold : undefined;
  const fold = foldOn(run, from);
  if (known?.run !== run) folded.set(run.id, { run, fold });
  return { run, state: fold.state };
}

/** Runs of one job, oldest first. */
export const runsOf = (runs: readonly Run[], jobId: string): readonly RunWithState[] =>
  runs
    .filter((r) => r.jobId === jobId)
    .sort((a, b) => a.startedAt - b.startedAt)
    .map(withState);

export const isOn = ({ state }: RunWithState): boolean => state.ended === 'no';

/** Runs begun within so long of each other belong to one day at the presses, ms. */
const DAY_MS = 12 * 3600_000;

/** Numbers of the presses, from 1: in the order in which they were first begun today, so that none changes when another is done. */
export function pressNumbers(runs: readonly RunWithState[]): ReadonlyMap<string, number> {
  const newest = Math.max(0, ...runs.filter(isOn).map((r) => r.run.startedAt));
  const today = runs
    .filter((r) => isOn(r) || r.run.startedAt >= newest - DAY_MS)
    .sort((a, b) => a.run.startedAt - b.run.startedAt);
  const ids = [...new Set(today.map((r) => r.run.press.id))];
  return new Map(ids.map((id, i) => [id, i + 1]));
}

/** A piece to print and press again, and why it was spoiled. */
export interface Reprint {
  readonly piece: RunPiece;
  readonly why: SpoiledWhy | null;
}

/** Where the pieces of a job stand over all its runs. */
export interface JobPieces {
  readonly good: number;
  readonly spoiled: number;
  /** Good with a flaw. */
  readonly seconds: number;
  /** Pieces not yet good, in their order: those in hand among them. */
  readonly left: readonly RunPiece[];
  /** Left and in no press: what can go in next. */
  readonly free: readonly RunPiece[];
  /** Left, and spoiled once or more: their print is gone. */
  readonly reprints: readonly Reprint[];
}

interface Known {
  readonly good: ReadonlySet<string>;
  readonly inHand: ReadonlySet<string>;
  readonly spoiled: ReadonlyMap<string, SpoiledWhy | null>;
}

/** What runs that distinguish their pieces say of each. */
function knownFrom(runs: readonly RunWithState[]): Known {
  const apart = runs.filter((r) => r.run.queue);
  return {
    good: new Set(apart.flatMap((r) => goodOf(r.state).map(pieceKey))),
    // What soaks may still come out good: it is not pressed again meanwhile.
    inHand: new Set(
      apart.flatMap((r) => [...(isOn(r) ? r.state.inLoad : []), ...r.state.soaking].map(pieceKey)),
    ),
    spoiled: new Map(
      apart.flatMap((r) => spoiledOf(r.state).map((s) => [pieceKey(s.piece), s.why] as const)),
    ),
  };
}

/** Of some pieces, those that are neither good nor in hand in any of these runs. */
export function freePieces(of: readonly RunPiece[], runs: readonly RunWithState[]): readonly RunPiece[] {
  const { good, inHand } = knownFrom(runs);
  return of.filter((p) => !good.has(pieceKey(p)) && !inHand.has(pieceKey(p)));
}

/**
 * Counts over the runs of a job. Good pieces that are no longer on the list, and those of runs that did not distinguish theirs, count as the
 * first of what is left: somebody has them.
 */
export function jobPieces(all: readonly RunPiece[], runs: readonly RunWithState[]): JobPieces {
  const known = knownFrom(runs);
  const good = runs.reduce((n, r) => n + r.state.good, 0);
  const matched = all.filter((p) => known.good.has(pieceKey(p))).length;
  const left = all.filter((p) => !known.good.has(pieceKey(p))).slice(Math.max(0, good - matched));
  return {
    good,
    spoiled: runs.reduce((n, r) => n + r.state.spoiled, 0),
    seconds: runs.reduce((n, r) => n + r.state.seconds, 0),
    left,
    free: left.filter((p) => !known.inHand.has(pieceKey(p))),
    reprints: left
      .filter((p) => known.spoiled.has(pieceKey(p)) && !known.inHand.has(pieceKey(p)))
      .map((piece) => ({ piece, why: known.spoiled.get(pieceKey(piece)) ?? null })),
  };
}

/** The pieces that go in after the load in hand of `run`: of its queue, what is neither good nor in hand in any run, nor was spoiled in this one. */
export function nextPieces(run: Run, runs: readonly RunWithState[], atOnce: number): readonly RunPiece[] {
  const mine = runs.find((r) => r.run.id === run.id);
  const { inHand, spoiled } = knownFrom(mine ? [mine] : []);
  return freePieces(run.queue ?? [], runs)
    .filter((p) => !inHand.has(pieceKey(p)) && !spoiled.has(pieceKey(p)))
    .slice(0, atOnce);
}

/** How many pieces the runs of a job that are on will still take, after those in hand. */
export function toCome(runs: readonly RunWithState[]): number {
  const each = runs.filter(isOn).flatMap((r) => nextPieces(r.run, runs, Infinity));
  const unnumbered = runs
    .filter((r) => isOn(r) && !r.run.queue)
    .reduce((n, r) => n + r.run.pieces - r.state.through - r.state.inLoad.length, 0);
  return new Set(each.map(pieceKey)).size + unnumbered;
}

/** Blanks that should still lie there: those counted when the newest run that counted began, less what went through since in any run of the job. */
export function blanksLeft(runs: readonly RunWithState[]): number | null {
  const counted = runs.filter((r) => r.run.blanks !== null).pop();
  if (!counted || counted.run.blanks === null) return null;
  const since = runs.filter((r) => r.run.startedAt >= counted.run.startedAt);
  const used = since.reduce(
    (n, r) => n + r.state.good + r.state.seconds + r.state.spoiled + r.state.soaking.length,
    0,
  );
  return counted.run.blanks - used;
}

/** Pieces of a job packed so far: at the presses, and away from them. */
export const packedOf = (job: Pick<Job, 'finish'>, runs: readonly RunWithState[]): number =>
  job.finish.packed + runs.reduce((s, r) => s + r.state.between.packed, 0);
