import { NONE_PRESSED, type PressedCounts } from '@/core/cost/cost';
import type { Job } from '@/core/job/job';
import { standing } from '@/core/shop/standing';
import { db as theDb, type MesaDb } from './db';
import { newestOnPress } from './log';

/** Entries so far back say how a blank does on a press today. */
const NEWEST = 200;

/** Good, flawed and spoiled pieces of a job’s blank on its press, by the log as it stands. */
async function seenOn(job: Pick<Job, 'blankId' | 'pressId'>, db: MesaDb = theDb): Promise<PressedCounts> {
  if (job.blankId === null || job.pressId === null) return NONE_PRESSED;
  const entries = standing(await newestOnPress(job.blankId, job.pressId, NEWEST, db));
  return {
    good: entries.reduce((s, e) => s + e.good, 0),
    seconds: entries.reduce((s, e) => s + e.seconds, 0),
    spoiled: entries.reduce((s, e) => s + e.spoiled, 0),
  };
}

/** The same of many jobs, by job. */
export async function seenOfJobs(
  jobs: readonly Job[],
  db: MesaDb = theDb,
): Promise<Readonly<Record<string, PressedCounts>>> {
  const all = await Promise.all(jobs.map(async (j) => [j.id, await seenOn(j, db)] as const));
  return Object.fromEntries(all);
}
