import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Problem } from '@/core/basics/result';
import type { JobRecord } from '@/data/db';
import { newId } from '@/data/ids';
import {
  clearUnsaved,
  dropUnsaved,
  noteInDb,
  noteOf,
  noteUnsaved,
  saveIdOf,
  type Note,
} from '@/data/journal';
import { addJob, openJob, saveJob } from '@/data/jobs';
import type { JobStore } from './jobStore';

export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly problem: Problem }
  | { readonly kind: 'conflict'; readonly theirs: JobRecord }
  /** Deleted in another tab. */
  | { readonly kind: 'removed' };

export interface Saver {
  readonly state: UseBoundStore<StoreApi<{ readonly save: SaveState }>>;
  /** Another revision was seen in the database. */
  readonly seen: (record: JobRecord) => void;
  /** Keep the other tab's; this tab's edits are dropped. */
  readonly takeTheirs: () => void;
  /** The job is no longer in the database. */
  readonly gone: () => void;
  /** Puts a job taken out elsewhere back, as it stands here. */
  readonly putBack: () => Promise<void>;
  readonly retry: () => void;
  readonly stop: () => void;
}

const QUIET_MS = 350;

interface Times {
  readonly later: (f: () => void, ms: number) => ReturnType<typeof setTimeout>;
  readonly cancel: (t: ReturnType<typeof setTimeout>) => void;
}

// Wrapped: a browser's own timers refuse to be called as methods of another object.
const BROWSER_TIMES: Times = { later: (f, ms) => setTimeout(f, ms), cancel: (t) => clearTimeout(t) };

/** Writes notes to the database one at a time; of those that come meanwhile only the last. */
function createNoter(): (note: Note) => void {
  let next: Note | null = null;
  let busy = false;
  const run = async () => {
    busy = true;
    while (next) {
      const note: Note = next;
      next = null;
      await noteInDb(note);
    }
    busy = false;
  };
  return (note) => {
    next = note;
    if (!busy) void run();
  };
}

/** What a saver starts from: the record as opened, and the edit found unsaved beside it. */
export interface SaverStart {
  readonly record: Pick<JobRecord, 'rev' | 'saveId'>;
  /** Id of an edit that was noted and never saved; null where all was. */
  readonly unsaved: string | null;
}

/** Saves a job as it is edited: noted at once, written after a quiet moment, never over another tab’s save. */
export function createSaver(store: JobStore, start: SaverStart, times: Times = BROWSER_TIMES): Saver {
  const state = create<{ save: SaveState }>()(() => ({
    save: { kind: start.unsaved === null ? 'saved' : 'saving' },
  }));
  const note = createNoter();
  const jobId = store.getState().job.id;
  let { rev } = start.record;
  /** The save the next one goes over, and the one being written now. */
  let over = saveIdOf(start.record);
  let inFlight: string | null = null;
  /** The newest edit, and whether it still has to be written. */
  let edit = start.unsaved ?? over;
  let dirty = start.unsaved !== null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let adopting = false;
  let stopped = false;
  const show = (save: SaveState) => state.setState({ save });
  const blocked = () => ['conflict', 'removed'].includes(state.getState().save.kind);

  const write = async (): Promise<void> => {
    timer = null;
    if (inFlight !== null || !dirty || blocked()) return;
    const saveId = edit;
    inFlight = saveId;
    dirty = false;
    const r = await saveJob(store.getState().job, over, saveId);
    inFlight = null;
    if (!r.ok) {
      dirty = true;
      show({ kind: 'failed', problem: r.problem });
    } else if (r.value.kind !== 'saved') {
      dirty = true;
      show(r.value);
    } else {
      rev = r.value.rev;
      over = saveId;
      await clearUnsaved(jobId, saveId);
      if (!dirty) show({ kind: 'saved' });
      else if (stopped) void write();
      else soon();
    }
  };

  const soon = () => {
    if (timer !== null) times.cancel(timer);
    if (!stopped) timer = times.later(() => void write(), QUIET_MS);
  };

  const unsubscribe = store.subscribe((next, before) => {
    if (next.job === before.job || adopting) return;
    dirty = true;
    edit = newId('edit');
    const made = noteOf(next.job, edit, inFlight === null ? [over] : [over, inFlight], Date.now());
    noteUnsaved(made);
    note(made);
    if (blocked()) return;
    show({ kind: 'saving' });
    soon();
  });

  const adopt = (record: JobRecord) => {
    adopting = true;
    rev = record.rev;
    over = saveIdOf(record);
    dirty = false;
    store.getState().adopt(record.job);
    void dropUnsaved(jobId);
    show({ kind: 'saved' });
    adopting = false;
  };

  if (dirty) soon();
  return {
    state,
    seen: (record) => {
      if (state.getState().save.kind === 'removed' && saveIdOf(record) === over) {
        // Put back elsewhere, as it was left.
        show({ kind: dirty ? 'saving' : 'saved' });
        if (dirty) soon();
        return;
      }
      if (inFlight !== null || saveIdOf(record) === over || record.rev <= rev) return;
      if (dirty) show({ kind: 'conflict', theirs: record });
      else adopt(record);
    },
    takeTheirs: () => {
      const { save } = state.getState();
      if (save.kind === 'conflict') adopt(save.theirs);
    },
    gone: () => {
      if (inFlight === null) show({ kind: 'removed' });
    },
    putBack: async () => {
      const r = await addJob(store.getState().job);
      const record = await openJob(jobId);
      if (record) adopt(record);
      else if (!r.ok) show({ kind: 'failed', problem: r.problem });
    },
    retry: () => {
      show({ kind: 'saving' });
      void write();
    },
    stop: () => {
      stopped = true;
      unsubscribe();
      if (timer !== null) times.cancel(timer);
      void write();
    },
  };
}
