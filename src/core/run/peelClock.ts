import type { Operation } from '../shop/operation';
import type { Run, RunPiece } from '../shop/run';
import { listOf } from './chain';
import type { RunState } from './run';

/** Pieces of one load that are still wrapped, and when their paper may come off. */
export interface Wrapped {
  readonly pieces: readonly RunPiece[];
  /** Until the paper may come off, s; nothing or less where it may. */
  readonly fromS: number;
  /** Until it is cold and the paper may stick, s; null where it is peeled cold. */
  readonly beforeS: number | null;
}

const usually = (run: Pick<Run, 'operations'>, kind: Operation['kind']): number | null =>
  run.operations.find((o) => o.stage === 'after' && o.kind === kind)?.plannedS ?? null;

/**
 * Loads that were set down with their paper on and are not counted as unwrapped, the first to be peeled first. None where pieces are peeled
 * as they come out.
 */
export function wrappedLoads(
  run: Pick<Run, 'operations' | 'settings'>,
  state: Pick<RunState, 'loads' | 'between'>,
  nowMs: number,
): readonly Wrapped[] {
  const { peel } = run.settings;
  // Runs of before had no wait of their own for the paper: what is peeled cold was unwrapped when it could be touched.
  const from = usually(run, 'peel-from') ?? (peel === 'cold' ? usually(run, 'cooling') : null);
  if (from === null) return [];
  const before = peel === 'warm' ? usually(run, 'cooling') : null;
  let unwrapped = state.between.unwrapped;
  return listOf(state.loads).flatMap(({ pieces, spoiled, endedAt }): Wrapped[] => {
    const gone = new Set(spoiled.map((s) => s.piece.number));
    const good = pieces.filter((p) => !gone.has(p.number));
    const left = good.slice(unwrapped);
    unwrapped = Math.max(0, unwrapped - good.length);
    if (left.length === 0) return [];
    const sinceS = (nowMs - endedAt) / 1000;
    return [{ pieces: left, fromS: from - sinceS, beforeS: before === null ? null : before - sinceS }];
  });
}
