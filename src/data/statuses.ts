import type { ProvenCounts } from '@/core/heat/settings/choose';
import { picturesOf } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import type { JobTally } from '@/core/inspect/tally';
import { shopKey, statusKey, type StatusInputs } from '@/core/plan/status';
import type { JobStatus } from '@/core/plan/status';
import type { Shop } from '@/core/shop/shop';
import { db as theDb, type JobRecord, type MesaDb, type JobStatusRecord } from './db';
import { goodBehind, jobTallies } from './log';
import { analysedIds } from './analyses';
import { jobRows } from './live';

/** Statuses of some jobs kept from before; none where they cannot be read, since all can be calculated again. */
export const loadStatuses = (
  jobIds: readonly string[],
  db: MesaDb = theDb,
): Promise<readonly JobStatusRecord[]> =>
  db.jobStatuses.bulkGet([...jobIds]).then(
    (rows) => rows.filter((r) => r !== undefined),
    () => [],
  );

/** What the list of jobs needs beside jobs and shop: counts of the log, and which pictures have been analysed. */
export interface JobFacts {
  readonly proven: ProvenCounts;
  readonly tallies: Readonly<Record<string, JobTally>>;
  readonly analyses: ReadonlySet<string>;
}

export async function jobFacts(
  shop: Shop,
  jobs: readonly JobRecord[],
  db: MesaDb = theDb,
): Promise<JobFacts> {
  const [proven, tallies, analyses] = await Promise.all([
    goodBehind(shop.recipes, db),
    jobTallies(
      jobs.map((j) => j.id),
      db,
    ),
    analysedIds(db),
  ]);
  return { proven, tallies, analyses };
}

/** The jobs a job shares its sheets with. */
export const sharedWith = (job: Job, jobs: readonly JobRecord[]): readonly Job[] =>
  jobs.flatMap((r) => (r.id !== job.id && job.sheet.sharedJobIds.includes(r.id) ? [r.job] : []));

/** Everything a job's status is made from beside itself and the shop. */
function besideOf(job: Job, shop: Shop, jobs: readonly JobRecord[], facts: JobFacts): StatusInputs {
  const sharedJobs = sharedWith(job, jobs);
  const pictures = [job, ...sharedJobs].flatMap((j) => picturesOf(j.art).map((p) => p.id));
  return {
    runs: shop.runs.filter((r) => r.jobId === job.id),
    tally: facts.tallies[job.id] ?? null,
    sharedJobs,
    analyses: [...new Set(pictures.filter((id) => facts.analyses.has(id)))],
  };
}

/** Keys the statuses of all jobs go by now, by job. */
export function statusKeys(
  shop: Shop,
  jobs: readonly JobRecord[],
  facts: JobFacts,
): ReadonlyMap<string, string> {
  const ofShop = shopKey(shop, facts.proven);
  return new Map(jobs.map(({ id, job }) => [id, statusKey(job, ofShop, besideOf(job, shop, jobs, facts))]));
}

/** What a job is found by. */
export const jobWords = (job: Pick<Job, 'name' | 'note'>): string => `${job.name} ${job.note}`.toLowerCase();

/** An archived job with the status it had when it was archived. */
export interface ArchivedJob {
  readonly record: JobRecord;
  readonly jobStatus: JobStatus;
}

const MOST_FOUND = 40;

/** Archived jobs by some words of their names and notes: the words are looked up beside the statuses, and only what is found is read. */
export async function findArchived(words: string, db: MesaDb = theDb): Promise<readonly ArchivedJob[]> {
  const wanted = words.trim().toLowerCase();
  if (wanted === '') return [];
  const kept = await db.jobStatuses
    .filter((r) => (r.words ?? '').includes(wanted))
    .limit(MOST_FOUND)
    .toArray();
  const { jobs } = jobRows(
    db,
    (await db.jobs.bulkGet(kept.map((r) => r.id))).filter((r) => r !== undefined),
  );
  const statuses = new Map(kept.map((r) => [r.id, r.jobStatus]));
  return jobs.flatMap((record) => {
    const jobStatus = statuses.get(record.id);
    return record.archived === 1 && jobStatus ? [{ record, jobStatus }] : [];
  });
}

/** Keeps statuses, and lets go those of jobs no longer there. A full disk is no matter: they are only a help. */
export async function keepStatuses(records: readonly JobStatusRecord[], db: MesaDb = theDb): Promise<void> {
  try {
    const there = new Set(await db.jobs.toCollection().primaryKeys());
    const gone = (await db.jobStatuses.toCollection().primaryKeys()).filter((id) => !there.has(id));
    await db.jobStatuses.bulkDelete(gone);
    await db.jobStatuses.bulkPut(records);
  } catch {
    // Calculated again next time.
  }
}
