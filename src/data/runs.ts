import { say, type Message } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';
import { freePieces, isOn, nextPieces, withState, type RunWithState } from '@/core/run/pieces';
import { foldEvent, foldOn, goodBefore } from '@/core/run/run';
import { chainSize } from '@/core/run/chain';
import { runSchema, type Run, type RunEvent } from '@/core/shop/run';
import { db as theDb, type MesaDb } from './db';
import { openRuns, runRecord, runsOfJob, withStates } from './live';
import { followRun } from './stock';
import { stored } from './storage';

const WHERE = say('common.press');

const pieceWords = (numbers: readonly number[]): Message =>
  say('files.piecesAre', { numbers: numbers.length, list: numbers });

/**
 * Starts a run. One of the same job on the same press that is still on is gone on with instead; a press that is on with another job is
 * refused, and so is a run whose pieces other presses hold. Gives the id of the run that is on.
 */
export async function startRun(run: Run, db: MesaDb = theDb): Promise<Result<string>> {
  const done = await stored(WHERE, () =>
    db.transaction('rw', db.runs, db.jobs, async (): Promise<Result<string>> => {
      const own = await runsOfJob(run.jobId, db);
      const on = await openRuns(db);
      if (own.aside.length > 0)
        return fail(say('files.runJobKeptBut'), WHERE, say('files.updateMesaDriftSave'));
      const here = withStates(on).find((r) => isOn(r) && r.run.press.id === run.press.id);
      if (here && here.run.jobId === run.jobId) return ok(here.run.id);
      if (here)
        return fail(
          say('files.anotherJob', { press: run.press.name }),
          WHERE,
          say('files.stopRunBetweenTwo'),
        );
      const ofJob = withStates(own);
      const queue = run.queue && freePieces(run.queue, ofJob);
      if (queue?.length === 0) return fail(say('files.everyPieceJobPressed'), WHERE, say('files.goThere'));
      const begun = queue ? { ...run, queue, pieces: queue.length } : run;
      // Pressed again, a job is live again.
      await db.jobs.where('id').equals(run.jobId).modify({ archived: 0 });
      return ok(await db.runs.add(runRecord(runSchema.parse(begun))));
    }),
  );
  return done.ok ? done.value : done;
}

/** All runs of the job that a run belongs to; none where the run is gone. */
async function runsOfJobOf(runId: string, db: MesaDb) {
  const row = await db.runs.get(runId);
  return row ? runsOfJob(row.jobId, db) : { read: [], aside: [] };
}

/** The event with the pieces that go in next, where it ends a load. */
function withNext(run: Run, event: RunEvent, ofJob: readonly RunWithState[]): RunEvent {
  if (event.kind !== 'done' && event.kind !== 'spoiled') return event;
  const before = foldOn(run);
  const after = foldEvent(run, before, event);
  if (!run.queue || chainSize(after.state.loads) === chainSize(before.state.loads)) return event;
  const runs = ofJob.map((r) => (r.run.id === run.id ? { run, state: before.state } : r));
  return { ...event, next: [...nextPieces(run, runs, run.load?.piecesAtOnce ?? 1)] };
}

/** Pieces that are to be laid and came out good in this run already, as a stale screen may ask; in words, else null. */
function goodAlready(run: Run, event: RunEvent): Result<never> | null {
  if (event.kind !== 'lay') return null;
  const good = goodBefore(withState(run).state, event.pieces).map((p) => p.number);
  return good.length === 0
    ? null
    : fail(
        say('files.pressedGoodAlready', { good: pieceWords(good.toSorted((a, b) => a - b)) }),
        WHERE,
        say('files.layOtherPiecesPress'),
      );
}

/** Numbers of pieces this run would hold that another run of the job holds or has finished. */
function heldElsewhere(run: Run, ofJob: readonly RunWithState[]): readonly number[] {
  const { state } = withState(run);
  if (!run.queue || state.ended !== 'no') return [];
  const free = new Set(
    freePieces(
      state.inLoad,
      ofJob.filter((r) => r.run.id !== run.id),
    ),
  );
  return state.inLoad.filter((p) => !free.has(p)).map((p) => p.number);
}

/**
 * Adds one event to a run, in the database before anything else, so a reload loses nothing. `after` is how many events were seen when the
 * hand acted: where there are more by now, another tap or tab has acted already, and this one is left out. Null for what is about no step in
 * particular: it counts whatever came between. True where it was added.
 */
export async function addRunEvent(
  runId: string,
  event: RunEvent,
  after: number | null,
  db: MesaDb = theDb,
): Promise<Result<boolean>> {
  const done = await stored(WHERE, () =>
    db.transaction(
      'rw',
      [db.runs, db.stockItems, db.movements, db.jobs],
      async (): Promise<Result<boolean>> => {
        const ofJob = withStates(await runsOfJobOf(runId, db));
        const run = ofJob.find((r) => r.run.id === runId)?.run;
        if (!run) return fail(say('files.runLongerBrowser'), WHERE, say('files.goBackPresses'));
        if (after !== null && run.events.length !== after) return ok(false);
        const again = goodAlready(run, event);
        if (again) return again;
        const next: Run = { ...run, events: [...run.events, withNext(run, event, ofJob)] };
        const held = heldElsewhere(next, ofJob);
        if (held.length > 0)
          return fail(
            say('files.anotherPressPressedThere', { held: pieceWords(held) }),
            WHERE,
            say('files.layOtherPiecesTake'),
          );
        await db.runs.put(runRecord(next));
        await followRun(db, next);
        return ok(true);
      },
    ),
  );
  return done.ok ? done.value : done;
}
