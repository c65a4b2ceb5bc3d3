import { say } from '@/core/message/message';
import { useEffect, useMemo, useState } from 'react';
import { laneOf, type Lane } from '@/core/run/board';
import { paceFrom, timedSteps, type PaceOf } from '@/core/run/pace';
import {
  blanksLeft,
  isOn,
  jobPieces,
  pressNumbers,
  runsOf,
  toCome,
  withState,
  type JobPieces,
  type RunWithState,
} from '@/core/run/pieces';
import type { Job } from '@/core/job/job';
import { boardProblem, type Forecast } from '@/core/schedule/forecast';
import { piecesOf } from '@/core/art/names';
import { piecesOfJob } from '@/core/plan/press/press';
import type { Shop } from '@/core/shop/shop';
import { inRunWorker } from '@/workers/client';
import { useShopWithRuns } from '../shell/shopContext';

/** Runs that are on, in the order of the numbers of their presses. */
export interface RunsOn {
  readonly runs: readonly RunWithState[];
  /** Every run the shop has, those that are over among them. */
  readonly all: readonly RunWithState[];
  readonly pace: PaceOf;
  /** People who work at the presses. */
  readonly people: number;
  /** Number of each press, by its id. */
  readonly numbers: ReadonlyMap<string, number>;
  readonly jobs: ReadonlyMap<string, JobOn>;
}

export interface JobOn {
  readonly job: Job;
  /** All its pieces. */
  readonly total: number;
  readonly pieces: JobPieces;
  /** Pieces its runs that are on will still take, after those in hand. */
  readonly toCome: number;
  readonly blanksLeft: number | null;
}

function jobOf(job: Job, shop: Shop): JobOn {
  const all = piecesOfJob(job, piecesOf(job.art));
  const runs = runsOf(shop.runs, job.id);
  return {
    job,
    total: all.length,
    pieces: jobPieces(all, runs),
    toCome: toCome(runs),
    blanksLeft: blanksLeft(runs),
  };
}

export function useRunsOn(): RunsOn {
  const { shop, jobs } = useShopWithRuns();
  return useMemo(() => {
    const all = shop.runs.map(withState);
    const numbers = pressNumbers(all);
    const numberOf = (r: RunWithState): number => numbers.get(r.run.press.id) ?? 0;
    const runs = all.filter(isOn).sort((a, b) => numberOf(a) - numberOf(b));
    const ids = new Set(runs.map((r) => r.run.jobId));
    return {
      runs,
      all,
      numbers,
      pace: paceFrom(timedSteps(all)),
      people: shop.settings.day.hands,
      jobs: new Map(jobs.filter((r) => ids.has(r.id)).map((r) => [r.id, jobOf(r.job, shop)])),
    };
  }, [shop, jobs]);
}

interface Shown {
  readonly second: number;
  readonly pace: PaceOf;
  readonly lane: Lane | null;
}
const shown = new WeakMap<RunWithState['run'], Shown>();

/** The press of a run as it shows: the same until its clock shows another second, so that only that press is drawn again. */
function laneShown(r: RunWithState, nowMs: number, pace: PaceOf): Lane | null {
  const second = Math.floor((nowMs - r.state.stepStartedAt) / 1000);
  const before = shown.get(r.run);
  if (before && before.second === second && before.pace === pace) return before.lane;
  const lane = laneOf(r, nowMs, pace);
  shown.set(r.run, { second, pace, lane });
  return lane;
}

export const lanesAt = (runs: readonly RunWithState[], nowMs: number, pace: PaceOf): readonly Lane[] =>
  runs.flatMap((r) => laneShown(r, nowMs, pace) ?? []);

/** Forecast again after so long, and after every step. */
const AGAIN_S = 10;

export interface ShownForecast {
  readonly forecast: Forecast;
  /** When it was calculated, shop time ms. */
  readonly atMs: number;
}

/** When the runs will be over, by the worker; null until it has answered for the first time. */
export function useForecast({ runs, pace, people, jobs }: RunsOn, nowMs: number): ShownForecast | null {
  const [latest, setLatest] = useState<ShownForecast | null>(null);
  const bucket = Math.floor(nowMs / 1000 / AGAIN_S);
  useEffect(() => {
    let stale = false;
    const lanes = lanesAt(runs, nowMs, pace);
    if (lanes.length === 0) return;
    const left = new Map([...jobs].map(([id, j]) => [id, j.toCome]));
    const board = boardProblem(lanes, left, pace, people);
    void inRunWorker(say('common.press'), (api) => api.forecast(board)).then((r) => {
      if (!stale && r.ok) setLatest({ forecast: r.value, atMs: nowMs });
    });
    return () => {
      stale = true;
    };
    // Forecast again for every step and every few seconds, not for every second.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [runs, pace, people, jobs, bucket]);
  return runs.length > 0 ? latest : null;
}
