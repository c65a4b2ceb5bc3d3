import { temporal, type TemporalState } from 'zundo';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Job } from '@/core/job/job';
import { dragHeld } from '@/ui/board/drag';

export type Edit = (change: (job: Job) => Job, group?: string) => void;

export interface JobStoreState {
  readonly job: Job;
  readonly edit: Edit;
  /** Takes a job from outside (another tab), with no step of undo. */
  readonly adopt: (job: Job) => void;
}

export type JobStore = UseBoundStore<StoreApi<JobStoreState>> & {
  readonly temporal: StoreApi<TemporalState<{ job: Job }>>;
};

/** Edits of one group closer together than this are one step of undo: a word being typed. A drag is one step however slow it is. */
const ONE_STEP_MS = 1200;
const MOST_STEPS = 200;

interface Clock {
  readonly now: () => number;
  /** The number of the drag that is going on; null where there is none. */
  readonly drag: () => number | null;
}
const CLOCK: Clock = { now: Date.now, drag: dragHeld };

/** The job in hand, with undo. Edits that change nothing leave no step. */
export function createJobStore(job: Job, { now, drag }: Clock = CLOCK): JobStore {
  let lastGroup: string | null = null;
  let lastAt = 0;
  let lastDrag: number | null = null;
  const store = create<JobStoreState>()(
    temporal(
      (set, get) => ({
        job,
        edit: (change, group) => {
          const before = get().job;
          const after = change(before);
          if (after === before) return;
          const at = now();
          const dragged = drag();
          const near = at - lastAt < ONE_STEP_MS || (dragged !== null && dragged === lastDrag);
          const joins = group !== undefined && group === lastGroup && near;
          lastDrag = dragged;
          lastGroup = group ?? null;
          lastAt = at;
          const history = store.temporal.getState();
          if (joins) history.pause();
          set({ job: after });
          if (joins) history.resume();
        },
        adopt: (next) => {
          const history = store.temporal.getState();
          history.pause();
          set({ job: next });
          history.clear();
          history.resume();
        },
      }),
      { partialize: ({ job: j }) => ({ job: j }), equality: (a, b) => a.job === b.job, limit: MOST_STEPS },
    ),
  ) as JobStore;
  return store;
}
