import '@/core/basics/zodSetup';
import * as z from 'zod/mini';
import { isRaw } from '@/core/formats/upgrades/raw';
import { jobOfToday, NEWEST } from '@/core/formats/upgrades/upgrades';
import { jobSchema, type Job } from '@/core/job/job';
import { db as theDb, type JobRecord, type MesaDb } from './db';

/**
 * The last unsaved state of a job. It is written to localStorage synchronously with every edit, which outlives a closing tab;
 * and to the database as fast as that takes it, which outlives a browser that is killed before it has put localStorage on disk.
 */
const noteSchema = z.strictObject({
  /** The edit this note is of; a save of this edit carries the same id. */
  id: z.string(),
  /** Ids of the saves the edit was made over: the last one known, and one still being written. */
  over: z.array(z.string()),
  at: z.number(),
  /** Version of the records the job is written in. */
  version: z.int(),
  job: jobSchema,
});
export type Note = z.infer<typeof noteSchema>;

/** Notes written before saves had ids. */
const oldNoteSchema = z.strictObject({ baseRev: z.int(), version: z.int(), job: jobSchema });

/** The last version whose notes did not say it. */
const UNSAID_VERSION = 4;

/** A note with its job as today's code reads it; null where a newer version wrote it. */
function noteOfToday(raw: unknown): unknown {
  if (!isRaw(raw)) return null;
  const version = typeof raw.version === 'number' ? raw.version : UNSAID_VERSION;
  return version > NEWEST ? null : { ...raw, version: NEWEST, job: jobOfToday(raw.job, version) };
}

const revId = (rev: number): string => `rev-${rev}`;

/** The id of the save a record holds; one saved before saves had ids is named by its revision. */
export const saveIdOf = (record: Pick<JobRecord, 'rev' | 'saveId'>): string =>
  record.saveId ?? revId(record.rev);

const keyOf = (jobId: string): string => `mesa-drift.unsaved.${jobId}`;

function parseNote(raw: unknown): Note | null {
  const today = noteOfToday(raw);
  const parsed = noteSchema.safeParse(today);
  if (parsed.success) return parsed.data;
  const old = oldNoteSchema.safeParse(today);
  if (!old.success) return null;
  const { baseRev, job } = old.data;
  return { id: `edit-over-${baseRev}`, over: [revId(baseRev)], at: 0, version: NEWEST, job };
}

/** Notes that the browser refused to keep anywhere: they last as long as the page. */
const onlyHere = new Map<string, Note>();

/** Whether edits are held by this page and nowhere else: leaving it would lose them. */
export const holdsUnkept = (): boolean => onlyHere.size > 0;

function forget(jobId: string, id: string | null): void {
  if (id === null || onlyHere.get(jobId)?.id === id) onlyHere.delete(jobId);
}

/** Notes an edit in this tab’s storage; where the browser refuses, in the page itself until the database has it. */
export function noteUnsaved(note: Note): void {
  const jobId = note.job.id;
  try {
    localStorage.setItem(keyOf(jobId), JSON.stringify(note));
    onlyHere.delete(jobId);
  } catch {
    onlyHere.set(jobId, note);
  }
}

/** The same note in the database. What is wrong there is said by the save that follows. */
export const noteInDb = (note: Note, db: MesaDb = theDb): Promise<void> =>
  db.notes.put({ jobId: note.job.id, note }).then(
    () => forget(note.job.id, note.id),
    () => undefined,
  );

function noteOfTab(jobId: string): Note | null {
  try {
    const text = localStorage.getItem(keyOf(jobId));
    return text === null ? null : parseNote(JSON.parse(text));
  } catch {
    return null;
  }
}

const noteOfDb = (jobId: string, db: MesaDb): Promise<Note | null> =>
  db.notes.get(jobId).then(
    (row) => parseNote(row?.note),
    () => null,
  );

/** The newest note of a job, wherever it outlived its tab. */
export async function readUnsaved(jobId: string, db: MesaDb = theDb): Promise<Note | null> {
  const notes = [onlyHere.get(jobId) ?? null, noteOfTab(jobId), await noteOfDb(jobId, db)];
  return notes.reduce((a, b) => (a && b ? (a.at >= b.at ? a : b) : (a ?? b)), null);
}

function dropFromTab(jobId: string, id: string | null): void {
  try {
    if (id === null || noteOfTab(jobId)?.id === id) localStorage.removeItem(keyOf(jobId));
  } catch {
    // Nothing to clear where nothing can be kept.
  }
}

/** Clears the note of one edit, or with `id` null any; a later edit’s stays, of this tab or another. */
async function drop(jobId: string, id: string | null, db: MesaDb): Promise<void> {
  dropFromTab(jobId, id);
  forget(jobId, id);
  try {
    await db.transaction('rw', db.notes, async () => {
      const there = id === null ? null : (await db.notes.get(jobId))?.note;
      if (id === null || parseNote(there)?.id === id) await db.notes.delete(jobId);
    });
  } catch {
    // A note left behind is recognised by its id when the job is next opened.
  }
}

/** An edit is saved: its note goes, unless another has taken its place. */
export const clearUnsaved = (jobId: string, id: string, db: MesaDb = theDb): Promise<void> =>
  drop(jobId, id, db);

export const dropUnsaved = (jobId: string, db: MesaDb = theDb): Promise<void> => drop(jobId, null, db);

export const noteOf = (job: Job, id: string, over: readonly string[], at: number): Note => ({
  id,
  over: [...over],
  at,
  version: NEWEST,
  job,
});
