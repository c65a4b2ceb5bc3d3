import '@/core/zodSetup';
import * as z from 'zod/mini';
import { jobSchema, type Job } from '@/core/job/job';

/**
 * The last unsaved state of a job, written synchronously with every edit. IndexedDB may not finish when a tab closes;
 * this always has, so no keystroke is lost.
 */
const entrySchema = z.strictObject({ baseRev: z.int(), job: jobSchema });
export type JournalEntry = z.infer<typeof entrySchema>;

const keyOf = (jobId: string): string => `mesa-drift.unsaved.${jobId}`;

/** False where the browser refuses; the save to the database still follows. */
export function noteUnsaved(job: Job, baseRev: number): boolean {
  try {
    localStorage.setItem(keyOf(job.id), JSON.stringify({ baseRev, job }));
    return true;
  } catch {
    return false;
  }
}

export function readUnsaved(jobId: string): JournalEntry | null {
  try {
    const text = localStorage.getItem(keyOf(jobId));
    const parsed = text === null ? null : entrySchema.safeParse(JSON.parse(text));
    return parsed?.success ? parsed.data : null;
  } catch {
    return null;
  }
}

/** Clears the note only if it is the one just saved: another tab may have written since. */
export function clearUnsaved(job: Job): void {
  try {
    const now = readUnsaved(job.id);
    if (now && JSON.stringify(now.job) === JSON.stringify(job)) localStorage.removeItem(keyOf(job.id));
  } catch {
    // Nothing to clear where nothing can be kept.
  }
}

export function dropUnsaved(jobId: string): void {
  try {
    localStorage.removeItem(keyOf(jobId));
  } catch {
    // As above.
  }
}
