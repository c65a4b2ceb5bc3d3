import { heaterOf } from '../heat/press/heaters';
import { pressModel } from '../heat/press/pressModel';
import { isChamber } from '../shop/press';
import type { Run } from '../shop/run';
import { listOf } from './chain';
import type { RunState } from './run';

const ROOM_C = 22;
/** Shorter waits between two loads are part of every load. */
const SHORTEST_S = 60;
/** Less than this to be back is nothing to report. */
const LEAST_BACK_S = 10;

/** What a press that fell back towards its resting temperature while it stood open costs. */
export interface LeftOpen {
  readonly openS: number;
  /** About what it reads by now, °C. */
  readonly atC: number;
  /** Until it is back at its working temperature once closed empty, s. */
  readonly backS: number;
}

/** When the press was last opened; null while it is closed, or before it was ever closed in this run. */
function openedAt(state: RunState): number | null {
  const closed = (kind: string) => kind === 'close' || kind === 'press' || kind === 'reach-temperature';
  const now = listOf(state.steps);
  const newest = now[now.length - 1];
  if (newest && closed(newest.operation.kind) && !newest.operation.timed) return null;
  const timed = [...now].reverse().find((s) => s.operation.timed);
  if (timed) return timed.endedAt;
  const before = state.loads ? listOf(state.loads.last.steps) : [];
  return [...before].reverse().find((s) => s.operation.timed)?.endedAt ?? null;
}

/**
 * A press with a resting temperature lets go of its working one when it is opened. It cools as one body through its open face (Newton's law,
 * Incropera ch. 5) no further than to rest, and is brought back by what its heater has left over. Null where there is nothing to report: it
 * holds its temperature, is closed, or was opened just now.
 */
export function leftOpen(run: Run, state: RunState, nowMs: number): LeftOpen | null {
  const { press, settings } = run;
  const opened = openedAt(state);
  if (isChamber(press) || press.restingC === null || opened === null) return null;
  const openS = (nowMs - opened) / 1000;
  const workC = settings.platenC;
  if (openS < SHORTEST_S || press.restingC >= workC) return null;
  const { heater } = pressModel(press, heaterOf(press, null, run.load?.heaterId ?? null), {
    uncoveredM2: 0,
    inEdge: false,
  });
  const cooledC = ROOM_C + (workC - ROOM_C) * Math.exp((-openS * heater.lossOpenWK) / heater.capacityJK);
  const atC = Math.max(press.restingC, cooledC);
  const spareW = heater.powerW - heater.lossClosedWK * ((workC + atC) / 2 - ROOM_C);
  const backS = (heater.capacityJK * (workC - atC)) / Math.max(1, spareW);
  return backS < LEAST_BACK_S ? null : { openS, atC, backS };
}
