import { seeded } from '../random/random';
import type { Lane } from '../run/board';
import type { PaceOf } from '../run/pace';
import { cycleOf } from '../run/run';
import { readyNow } from '../run/taping';
import { ofStage } from '../shop/operation';
import { chanceOf, spreadOf, type FinishSpread } from './chance';
import { inPressOf, preparing, segmentsOf } from './fromRun';
import type { Outcome, Policy, PressLine, ScheduleInput, Route, Work } from './problem';
import { simulateSchedule } from './simulate';

/** When things are over, s from now. */
export interface Forecast extends FinishSpread {
  /** By run. */
  readonly runs: Readonly<Record<string, FinishSpread>>;
}

/** The presses as they stand: one press for each run that is on. Plain data, so that a worker can be asked. */
export interface BoardProblem {
  readonly problem: ScheduleInput;
  /** The run on each press. */
  readonly runIds: readonly string[];
}

/** Whoever is at the presses goes on until all is done. */
const OPEN_S = 1e9;
const SETTING = 'as it is';

/** Jobs side by side, three loads taped ahead of each press. */
const policyOf = (jobs: number): Policy => ({
  order: Array.from({ length: jobs }, (_, i) => i),
  turns: new Map(),
  ahead: 3,
  finishFirst: false,
  steady: true,
  strict: false,
});

function pressLine(lane: Lane, work: number, pace: PaceOf): PressLine {
  const of = { run: lane.run, state: lane.state };
  return {
    id: lane.run.press.id,
    circuit: null,
    warmS: 0,
    warmA: 0,
    holdA: 0,
    hotFromS: 0,
    setting: SETTING,
    inPress: inPressOf(work, of, lane.clock.elapsedS, (o) => pace(o, lane.run.press.id, null)),
  };
}

const routeOf = ({ run }: Lane, press: number, pace: PaceOf): Route => ({
  press,
  atOnce: run.load?.piecesAtOnce ?? 1,
  cycle: segmentsOf(cycleOf(run), (o) => pace(o, run.press.id, null)),
  setting: SETTING,
  setS: 0,
  changeS: 0,
  fromS: 0,
});

/** One job on its presses; `left` pieces of it no press holds yet. All of them are printed and cut. */
function workOf(lanes: readonly Lane[], jobId: string, left: number, pace: PaceOf): Work {
  const own = lanes.filter((l) => l.run.jobId === jobId);
  const [first] = own;
  // What is in hand and has not been put in is still to come.
  const waiting = own.reduce((s, l) => (l.state.stepIndex === 0 ? s + l.state.inLoad.length : s), 0);
  const pieces = left + waiting;
  const taped = Math.min(
    pieces,
    own.reduce((s, l) => s + readyNow(l, lanes, pace), 0),
  );
  const prepared = preparing(first ? ofStage(first.run.operations, 'prepare') : [], (o) =>
    pace(o, first?.run.press.id ?? '', null),
  );
  return {
    id: jobId,
    dueS: null,
    releaseS: 0,
    printer: 0,
    sheets: 0,
    perSheet: 1,
    printS: 0,
    dryS: 0,
    trimS: 0,
    pieces,
    cut: pieces - taped,
    taped,
    ...prepared,
    routes: lanes.flatMap((l, press) => (l.run.jobId === jobId ? [routeOf(l, press, pace)] : [])),
    coolS: 0,
    toFinish: 0,
    finishS: 0,
    spoilage: 0,
  };
}

/** The presses as a schedule. `left` are the pieces of each job that no press holds yet; `people` work at them. */
export function boardProblem(
  lanes: readonly Lane[],
  left: ReadonlyMap<string, number>,
  pace: PaceOf,
  people: number,
): BoardProblem {
  const jobIds = [...new Set(lanes.map((l) => l.run.jobId))];
  return {
    runIds: lanes.map((l) => l.run.id),
    problem: {
      windows: [{ fromS: 0, toS: OPEN_S }],
      people: Math.max(1, people),
      printers: 0,
      presses: lanes.map((l) => pressLine(l, jobIds.indexOf(l.run.jobId), pace)),
      circuits: [],
      coolingPlaces: Number.MAX_SAFE_INTEGER,
      work: jobIds.map((id) => workOf(lanes, id, left.get(id) ?? 0, pace)),
    },
  };
}

/** When the last load of each press is out, s; 0 where none is in it and none comes. */
export const lastOutS = (problem: ScheduleInput, { done }: Pick<Outcome, 'done'>): readonly number[] => {
  const outS = problem.presses.map(() => 0);
  for (const d of done) if (d.press !== null) outS[d.press] = Math.max(outS[d.press] ?? 0, d.toS);
  return outS;
};

const WAYS = 60;
const SEED = 20_141;

/**
 * When every run will be over: the same schedule as the day's, played out so many times with times drawn from what is known of them. Seeded, so
 * the same for the same state.
 */
export function forecast({ problem, runIds }: BoardProblem): Forecast {
  const policy = policyOf(problem.work.length);
  const random = seeded(SEED);
  const ways = Array.from({ length: WAYS }, () =>
    lastOutS(problem, simulateSchedule(problem, policy, { chance: chanceOf(random), keep: true })),
  );
  return {
    ...spreadOf(ways.map((outS) => Math.max(0, ...outS))),
    runs: Object.fromEntries(runIds.map((id, i) => [id, spreadOf(ways.map((outS) => outS[i] ?? 0))])),
  };
}
