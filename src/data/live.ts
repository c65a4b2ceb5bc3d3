import { withState, isOn, type RunWithState } from '@/core/run/pieces';
import { jobSchema } from '@/core/job/job';
import { runSchema, type Run } from '@/core/shop/run';
import { db as theDb, type JobRecord, type MesaDb, type RunRecord } from './db';
import { createReader, type ReadRows } from './setAside';

/*
 * What of the jobs and runs is read where: only what is going on, and what belongs to it. Records are checked when they are first read, and again
 * once they are another save; one that was read before and has not changed stays the very same object.
 */

const readJob = createReader(
  'job',
  jobSchema,
  (row: JobRecord) => `${row.rev} ${row.saveId ?? ''} ${row.savedAt} ${row.archived}`,
);
const readRun = createReader('run', runSchema, (row: RunRecord) => {
  const last = row.events.at(-1);
  return `${row.startedAt} ${row.events.length} ${last?.at ?? ''} ${last?.kind ?? ''}`;
});

/** A run without what is only kept to find it by. */
const runOf = ({ open: _open, ...run }: RunRecord): Run => run;

/** A run as it is kept: with whether it is still on. */
export const runRecord = (run: Run): RunRecord => ({ ...run, open: isOn(withState(run)) ? 1 : 0 });

export interface JobRows {
  readonly jobs: readonly JobRecord[];
  readonly aside: ReadRows<unknown>['aside'];
}

export function jobRows(db: MesaDb, rows: readonly JobRecord[]): JobRows {
  const { read, aside } = readJob(db, rows, (row, job): JobRecord => ({ ...row, job }));
  return { jobs: read, aside };
}

const runRows = (db: MesaDb, rows: readonly RunRecord[]): ReadRows<Run> =>
  readRun(db, rows, (_, run) => run, runOf);

/** Every job that is not archived. */
export const liveJobs = async (db: MesaDb = theDb): Promise<JobRows> =>
  jobRows(db, await db.jobs.where('archived').equals(0).toArray());

/** Every job there is, for files. */
export const allJobs = async (db: MesaDb = theDb): Promise<JobRows> => jobRows(db, await db.jobs.toArray());

/** Runs that are on. A tap changes one of these, and nothing else is read for it. */
export const openRuns = async (db: MesaDb = theDb): Promise<ReadRows<Run>> =>
  runRows(db, await db.runs.where('open').equals(1).toArray());

/** Runs of some jobs that are over. A query for each: one for all would be asked again at every tap between the first and the last of them. */
export async function endedRuns(jobIds: readonly string[], db: MesaDb = theDb): Promise<ReadRows<Run>> {
  const of = jobIds.map((id) => db.runs.where('[jobId+open]').equals([id, 0]).toArray());
  return runRows(db, (await Promise.all(of)).flat());
}

/** So many runs say how long a step takes here: some hundred steps. */
const NEWEST = 16;

/** The newest runs that are over, whatever job they were for. */
export const newestRuns = async (db: MesaDb = theDb): Promise<ReadRows<Run>> =>
  runRows(
    db,
    await db.runs.where('[open+startedAt]').between([0, 0], [0, Infinity]).reverse().limit(NEWEST).toArray(),
  );

/** All runs of one job. */
export const runsOfJob = async (jobId: string, db: MesaDb = theDb): Promise<ReadRows<Run>> =>
  runRows(db, await db.runs.where('jobId').equals(jobId).toArray());

/** Every run there is, for files. */
export const allRuns = async (db: MesaDb = theDb): Promise<ReadRows<Run>> =>
  runRows(db, await db.runs.toArray());

/** Runs with their states, as they are in the database. */
export const withStates = (rows: ReadRows<Run>): readonly RunWithState[] => rows.read.map(withState);

/** Runs kept by a version that did not say whether they are on: those that are over are put away. */
export async function settleRuns(db: MesaDb = theDb): Promise<void> {
  const over = (await openRuns(db)).read.map(runRecord).filter((r) => r.open === 0);
  if (over.length > 0) await db.runs.bulkPut(over);
}

/** Takes jobs off the live list; they are found by search, and are live again once they are changed. */
export const archiveJobs = (ids: readonly string[], db: MesaDb = theDb): Promise<number> =>
  db.jobs.where('id').anyOf(ids).modify({ archived: 1 });
