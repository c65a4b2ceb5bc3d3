import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Job } from '@/core/job/job';
import type { Problem } from '@/core/result';
import type { JobRecord } from '@/data/db';
import { clearUnsaved, dropUnsaved, noteUnsaved } from '@/data/journal';
import { saveJob } from '@/data/jobs';
import type { JobStore } from './jobStore';

export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly problem: Problem }
  | { readonly kind: 'conflict'; readonly theirs: JobRecord };

export interface Saver {
  readonly state: UseBoundStore<StoreApi<{ readonly save: SaveState }>>;
  /** Another revision was seen in the database. */
  readonly seen: (record: JobRecord) => void;
  /** Keep the other tab's; this tab's edits are dropped. */
  readonly takeTheirs: () => void;
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

/** Saves a job as it is edited: noted at once, written after a quiet moment, never over a newer revision. */
export function createSaver(
  store: JobStore,
  baseRev: number,
  unsaved: boolean,
  times: Times = BROWSER_TIMES,
): Saver {
  const state = create<{ save: SaveState }>()(() => ({ save: { kind: unsaved ? 'saving' : 'saved' } }));
  let rev = baseRev;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let writing = false;
  let dirty = unsaved;
  let adopting = false;
  let stopped = false;
  const show = (save: SaveState) => state.setState({ save });

  const write = async (): Promise<void> => {
    timer = null;
    if (writing || !dirty || state.getState().save.kind === 'conflict') return;
    writing = true;
    dirty = false;
    const job: Job = store.getState().job;
    const r = await saveJob(job, rev);
    writing = false;
    if (!r.ok) {
      dirty = true;
      show({ kind: 'failed', problem: r.problem });
    } else if (r.value.kind === 'conflict') {
      dirty = true;
      show({ kind: 'conflict', theirs: r.value.theirs });
    } else {
      rev = r.value.rev;
      clearUnsaved(job);
      if (dirty) soon();
      else show({ kind: 'saved' });
    }
  };

  const soon = () => {
    if (timer !== null) times.cancel(timer);
    if (!stopped) timer = times.later(() => void write(), QUIET_MS);
  };

  const unsubscribe = store.subscribe((next, before) => {
    if (next.job === before.job || adopting) return;
    dirty = true;
    noteUnsaved(next.job, rev);
    if (state.getState().save.kind === 'conflict') return;
    show({ kind: 'saving' });
    soon();
  });

  const adopt = (record: JobRecord) => {
    adopting = true;
    rev = record.rev;
    dirty = false;
    store.getState().adopt(record.job);
    dropUnsaved(record.id);
    show({ kind: 'saved' });
    adopting = false;
  };

  if (unsaved) soon();
  return {
    state,
    seen: (record) => {
      if (record.rev <= rev || writing) return;
      if (dirty) show({ kind: 'conflict', theirs: record });
      else adopt(record);
    },
    takeTheirs: () => {
      const { save } = state.getState();
      if (save.kind === 'conflict') adopt(save.theirs);
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
