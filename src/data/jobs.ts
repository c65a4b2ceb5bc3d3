import { issueText } from '@/core/basics/rule';
import { say } from '@/core/message/message';
import { picturesOf } from '@/core/job/art';
import { jobSchema, newJob, type Job } from '@/core/job/job';
import { fail, type Result } from '@/core/basics/result';
import { sameContent } from '@/core/basics/same';
import { db as theDb, type JobRecord, type MesaDb, type PictureRecord, type RunRecord } from './db';
import { newId } from './ids';
import { dropUnsaved, saveIdOf } from './journal';
import { allJobs, liveJobs, type JobRows } from './live';
import type { SetAside } from './setAside';
import { stored } from './storage';

export interface JobList {
  readonly jobs: readonly JobRecord[];
  /** Jobs whose records can no longer be read; kept, and said. */
  readonly unreadable: readonly SetAside[];
}

const byDue = (a: JobRecord, b: JobRecord): number =>
  (a.job.dueOn ?? '9999').localeCompare(b.job.dueOn ?? '9999') || a.job.name.localeCompare(b.job.name);

const sorted = ({ jobs, aside }: JobRows): JobList => ({ jobs: jobs.toSorted(byDue), unreadable: aside });

/** Jobs that are not archived. */
export const listJobs = async (db: MesaDb = theDb): Promise<JobList> => sorted(await liveJobs(db));

/** Every job, for files. */
export const listAllJobs = async (db: MesaDb = theDb): Promise<JobList> => sorted(await allJobs(db));

/** A job as it is kept: live, with what it is found by. */
export const jobRecord = (job: Job, save: Pick<JobRecord, 'rev' | 'savedAt' | 'saveId'>): JobRecord => ({
  id: job.id,
  ...save,
  job,
  archived: 0,
  pictures: [...new Set(picturesOf(job.art).map((p) => p.id))],
});

export async function openJob(id: string, db: MesaDb = theDb): Promise<JobRecord | null> {
  const row = await db.jobs.get(id);
  if (!row) return null;
  const parsed = jobSchema.safeParse(row.job);
  return parsed.success ? { ...row, job: parsed.data } : null;
}

/** Whether a job that cannot be opened is kept all the same. */
export const isKept = async (id: string, db: MesaDb = theDb): Promise<boolean> =>
  (await db.jobs.where('id').equals(id).count()) > 0;

export const addJob = (job: Job, db: MesaDb = theDb, now: number = Date.now()): Promise<Result<string>> =>
  stored(say('common.job'), () =>
    db.jobs.add(jobRecord(jobSchema.parse(job), { rev: 1, savedAt: now, saveId: newId('save') })),
  );

/** A new job; one begun before and never touched is taken up again, so that none pile up. */
export const startJob = (name: string, db: MesaDb = theDb): Promise<Result<Job>> =>
  stored(say('common.job'), () =>
    db.transaction('rw', db.jobs, async () => {
      const rows = await db.jobs.where('archived').equals(0).toArray();
      const untouched = rows.find((r) => sameContent(r.job, newJob(r.id, name)));
      if (untouched) return untouched.job;
      const job = newJob(newId('job'), name);
      await db.jobs.add(jobRecord(job, { rev: 1, savedAt: Date.now(), saveId: newId('save') }));
      return job;
    }),
  );

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly rev: number }
  | { readonly kind: 'conflict'; readonly theirs: JobRecord }
  | { readonly kind: 'removed' };

/**
 * Saves over the save `over` only; any other in the database is a conflict, and is left as it is. A job taken out meanwhile stays
 * out. `saveId` names this save.
 */
export async function saveJob(
  job: Job,
  over: string,
  saveId: string,
  db: MesaDb = theDb,
  now: number = Date.now(),
): Promise<Result<SaveOutcome>> {
  const parsed = jobSchema.safeParse(job);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return fail(
      issue ? issueText(issue.message) : say('files.somethingJobOutRange'),
      say('files.jobAt', { at: issue?.path.join(' › ') ?? '' }),
      say('files.correctUndo'),
    );
  }
  return stored(say('common.job'), () =>
    db.transaction('rw', db.jobs, async (): Promise<SaveOutcome> => {
      const there = await db.jobs.get(job.id);
      if (!there) return { kind: 'removed' };
      if (saveIdOf(there) !== over) return { kind: 'conflict', theirs: there };
      const rev = there.rev + 1;
      await db.jobs.put(jobRecord(parsed.data, { rev, savedAt: now, saveId }));
      return { kind: 'saved', rev };
    }),
  );
}

/** Changes a job as it stands in the database now. */
export async function changeJob(
  id: string,
  change: (now: Job) => Job,
  db: MesaDb = theDb,
): Promise<Result<SaveOutcome>> {
  const there = await openJob(id, db);
  if (!there) return fail(say('files.jobBrowserAnyMore'), say('common.job'), say('files.openFromFile'));
  return saveJob(change(there.job), saveIdOf(there), newId('save'), db);
}

/** Everything that went with a job, so that it can be put back whole. */
export interface RemovedJob {
  readonly record: JobRecord;
  readonly runs: readonly RunRecord[];
  readonly pictures: readonly PictureRecord[];
}

/** Photographs of pressed pieces stay with the log, which keeps what was pressed. */
export const PHOTO = 'photo-';

/** Pictures no job holds any more; none at all while a job is here that cannot be read, since it may hold them. */
async function unusedPictures(db: MesaDb): Promise<string[]> {
  if ((await liveJobs(db)).aside.length > 0) return [];
  const used = new Set(await db.jobs.orderBy('pictures').uniqueKeys());
  return (await db.pictures.toCollection().primaryKeys()).filter((k) => !used.has(k) && !k.startsWith(PHOTO));
}

/** Takes a job out, with its runs and the pictures no other job uses. The log keeps what was pressed. */
export const removeJob = (id: string, db: MesaDb = theDb): Promise<Result<RemovedJob | null>> =>
  stored(say('common.job'), () =>
    db.transaction('rw', db.jobs, db.pictures, db.runs, db.notes, async () => {
      const record = await db.jobs.get(id);
      if (!record) return null;
      const runs = await db.runs.where('jobId').equals(id).toArray();
      await db.jobs.delete(id);
      await db.runs.where('jobId').equals(id).delete();
      const gone = await unusedPictures(db);
      const pictures = (await db.pictures.bulkGet(gone)).filter((p) => p !== undefined);
      await db.pictures.bulkDelete(gone);
      await dropUnsaved(id, db);
      return { record, runs, pictures };
    }),
  );

/** Puts a job back as it was, with its runs and pictures. */
export const restoreJob = (removed: RemovedJob, db: MesaDb = theDb): Promise<Result<void>> =>
  stored(say('common.job'), () =>
    db.transaction('rw', db.jobs, db.pictures, db.runs, async () => {
      await db.jobs.put(removed.record);
      await db.runs.bulkPut([...removed.runs]);
      await db.pictures.bulkPut([...removed.pictures]);
    }),
  );

/** Another job with the same decisions and nothing done: nothing pressed, packed, tested, sold or placed in the day. */
export async function copyJob(job: Job, name: string, db: MesaDb = theDb): Promise<Result<Job>> {
  const fresh = newJob(newId('job'), name);
  const copy: Job = {
    ...job,
    id: fresh.id,
    name,
    prepared: [],
    inspection: fresh.inspection,
    heat: {},
    load: {},
    reprint: null,
    ladder: null,
    day: fresh.day,
    sell: fresh.sell,
    finish: { ...job.finish, done: [], packed: 0, labels: { ...job.finish.labels, taken: 0 } },
  };
  const added = await addJob(copy, db);
  return added.ok ? { ok: true, value: copy } : added;
}

/** Edits of a job kept beside it as a job of their own. What was packed stays with the job itself. */
export async function keepAsCopy(job: Job, name: string, db: MesaDb = theDb): Promise<Result<Job>> {
  const copy: Job = { ...job, id: newId('job'), name, finish: { ...job.finish, packed: 0 } };
  const added = await addJob(copy, db);
  return added.ok ? { ok: true, value: copy } : added;
}
