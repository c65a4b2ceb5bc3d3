import { foldRun } from '@/core/run/run';
import type { Result } from '@/core/basics/result';
import { runSchema, type Run, type RunEvent } from '@/core/shop/records';
import { db as theDb, type MesaDb } from './db';
import { stored } from './storage';

const isOn = (run: Run): boolean => foldRun(run).ended === 'no';

/** Starts a run; one of the same job that is still on is gone on with instead. Gives the id of the run that is on. */
export const startRun = (run: Run, db: MesaDb = theDb): Promise<Result<string>> =>
  stored('Press', () =>
    db.transaction('rw', db.runs, async () => {
      const others = await db.runs.where('jobId').equals(run.jobId).toArray();
      const on = others.find((r) => {
        const parsed = runSchema.safeParse(r);
        return parsed.success && isOn(parsed.data);
      });
      return on ? on.id : db.runs.add(runSchema.parse(run));
    }),
  );

/**
 * Adds one event to a run, in the database before anything else, so a reload loses nothing. `after` is how many events were seen when
 * the hand acted: where there are more by now, another tap or tab has acted already, and this one is left out. True where it was added.
 */
export const addRunEvent = (
  runId: string,
  event: RunEvent,
  after: number,
  db: MesaDb = theDb,
): Promise<Result<boolean>> =>
  stored('Press', () =>
    db.transaction('rw', db.runs, async () => {
      const run = runSchema.parse(await db.runs.get(runId));
      if (run.events.length !== after) return false;
      await db.runs.put({ ...run, events: [...run.events, event] });
      return true;
    }),
  );
