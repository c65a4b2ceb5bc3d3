import type { JobStatus } from '@/core/plan/status';
import { isOn, packedOf, runsOf } from '@/core/run/pieces';
import type { Run } from '@/core/shop/run';
import type { JobRecord } from '@/data/db';
import { isDone } from './jobOrder';

/** A job that is pressed and written down, and that nobody has touched for so long, is over whether it was counted as packed or not. */
const UNTOUCHED_MS = 14 * 24 * 3600_000;

/** Ids of jobs with nothing left to do: pressed, written down, in no press, and packed or long untouched. */
export function toArchive(
  jobs: readonly JobRecord[],
  runs: readonly Run[],
  statuses: ReadonlyMap<string, JobStatus>,
  nowMs: number,
): readonly string[] {
  return jobs.flatMap(({ id, job, savedAt }) => {
    if (!isDone(statuses.get(id))) return [];
    const own = runsOf(runs, id);
    if (own.some(isOn)) return [];
    const packed = packedOf(job, own) >= job.pieces;
    return packed || nowMs - savedAt > UNTOUCHED_MS ? [id] : [];
  });
}
