import { usualWasteSheets } from '../../press/kinds';
import { cycleOf, type RunState } from '../../run/run';
import type { PressTiming } from '../../shop/press';
import type { Run, RunEvent } from '../../shop/run';
import { timedLoad } from '../heat/subject';

const ROOM_C = 22;
/** The display hardly moves where it comes back sooner than that. */
const SHORTEST_S = 2;

/** Whether the press has just been closed on a cold load, so that its display is worth reading. */
export function closedJustNow(run: Run, state: RunState): boolean {
  const cycle = cycleOf(run);
  const before = cycle[state.stepIndex - 1];
  const here = cycle[state.stepIndex];
  return (
    before?.kind === 'close' &&
    (before.needs.pass ?? 1) === 1 &&
    (here?.kind === 'press' || here?.kind === 'reach-temperature')
  );
}

/** The lowest reading tapped since the press was closed; null where nobody did. */
export function lowestRead(run: Run, state: RunState): number | null {
  const reads = run.events.filter(
    (e): e is Extract<RunEvent, { kind: 'reading' }> =>
      e.kind === 'reading' && e.what === 'lowest' && e.at >= state.stepStartedAt,
  );
  return reads[reads.length - 1]?.readC ?? null;
}

/** Whether “back at temperature” has been tapped since the press was closed. */
export const wasBack = (run: Run, state: RunState): boolean =>
  run.events.some((e) => e.kind === 'reading' && e.what === 'back' && e.at >= state.stepStartedAt);

/** What the two taps of a run say of its press: one timing on the load in hand. Null where nothing was closed, or it came back at once. */
export function timingOfRun(run: Run, state: RunState, backAt: number, id: string): PressTiming | null {
  const backS = (backAt - state.stepStartedAt) / 1000;
  if (!closedJustNow(run, state) || backS < SHORTEST_S) return null;
  return {
    id,
    at: backAt,
    setC: run.settings.platenC,
    roomC: ROOM_C,
    lowestC: lowestRead(run, state),
    backS,
    load: timedLoad(run.blank, {
      pieces: state.inLoad.length,
      wasteSheets: run.load?.wasteSheets ?? usualWasteSheets(run.press),
      heaterId: run.load?.heaterId ?? null,
    }),
  };
}
