import { picturesOf } from '@/core/job/art';
import { jobSchema, newJob, type Job } from '@/core/job/job';
import { fail, type Result } from '@/core/result';
import { db as theDb, type JobRecord, type MesaDb } from './db';
import { newId } from './ids';
import { stored } from './storage';

export interface JobList {
  readonly jobs: readonly JobRecord[];
  /** Jobs whose records can no longer be read; kept, and said. */
  readonly unreadable: readonly string[];
}

const byDue = (a: JobRecord, b: JobRecord): number =>
  (a.job.dueOn ?? '9999').localeCompare(b.job.dueOn ?? '9999') || a.job.name.localeCompare(b.job.name);

export async function listJobs(db: MesaDb = theDb): Promise<JobList> {
  const rows = await db.jobs.toArray();
  const jobs: JobRecord[] = [];
  const unreadable: string[] = [];
  for (const row of rows) {
    const parsed = jobSchema.safeParse(row.job);
    if (parsed.success) jobs.push({ ...row, job: parsed.data });
    else unreadable.push(row.id);
  }
  return { jobs: jobs.sort(byDue), unreadable };
}

export async function openJob(id: string, db: MesaDb = theDb): Promise<JobRecord | null> {
  const row = await db.jobs.get(id);
  if (!row) return null;
  const parsed = jobSchema.safeParse(row.job);
  return parsed.success ? { ...row, job: parsed.data } : null;
}

export const addJob = (job: Job, db: MesaDb = theDb, now: number = Date.now()): Promise<Result<string>> =>
  stored('Job', () => db.jobs.add({ id: job.id, rev: 1, savedAt: now, job: jobSchema.parse(job) }));

export async function startJob(name: string, db: MesaDb = theDb): Promise<Result<Job>> {
  const job = newJob(newId('job'), name);
  const added = await addJob(job, db);
  return added.ok ? { ok: true, value: job } : added;
}

export type SaveOutcome =
  | { readonly kind: 'saved'; readonly rev: number }
  | { readonly kind: 'conflict'; readonly theirs: JobRecord };

/** Saves over revision `baseRev` only; anything newer in the database is a conflict, and is left as it is. */
export async function saveJob(
  job: Job,
  baseRev: number,
  db: MesaDb = theDb,
  now: number = Date.now(),
): Promise<Result<SaveOutcome>> {
  const parsed = jobSchema.safeParse(job);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return fail(
      issue?.message ?? 'Something in the job is out of range.',
      `Job, ${issue?.path.join(' › ') ?? ''}`,
      'Correct it, or undo.',
    );
  }
  return stored('Job', () =>
    db.transaction('rw', db.jobs, async (): Promise<SaveOutcome> => {
      const there = await db.jobs.get(job.id);
      if (there && there.rev !== baseRev) return { kind: 'conflict', theirs: there };
      const rev = baseRev + 1;
      await db.jobs.put({ id: job.id, rev, savedAt: now, job: parsed.data });
      return { kind: 'saved', rev };
    }),
  );
}

/** Takes a job out, and the pictures no other job uses. The log keeps what was pressed. */
export const removeJob = (id: string, db: MesaDb = theDb): Promise<Result<void>> =>
  stored('Job', () =>
    db.transaction('rw', db.jobs, db.pictures, db.runs, async () => {
      await db.jobs.delete(id);
      await db.runs.where('jobId').equals(id).delete();
      const used = new Set((await db.jobs.toArray()).flatMap((r) => picturesOf(r.job.art).map((p) => p.id)));
      const keys = await db.pictures.toCollection().primaryKeys();
      await db.pictures.bulkDelete(keys.filter((k) => !used.has(k)));
    }),
  );

/** Another job with the same decisions, nothing pressed. */
export async function copyJob(job: Job, name: string, db: MesaDb = theDb): Promise<Result<Job>> {
  const fresh = newJob('x', 'x');
  const copy: Job = { ...job, id: newId('job'), name, prepared: [], look: fresh.look, heat: {} };
  const added = await addJob(copy, db);
  return added.ok ? { ok: true, value: copy } : added;
}
