import { temporal, type TemporalState } from 'zundo';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Job } from '@/core/job/job';

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

/** Edits of one group closer together than this are one step of undo: a drag, a word being typed. */
const ONE_STEP_MS = 1200;
const MOST_STEPS = 200;

/** The job in hand, with undo. Edits that change nothing leave no step. */
export function createJobStore(job: Job, now: () => number = Date.now): JobStore {
  let lastGroup: string | null = null;
  let lastAt = 0;
  const store = create<JobStoreState>()(
    temporal(
      (set, get) => ({
        job,
        edit: (change, group) => {
          const before = get().job;
          const after = change(before);
          if (after === before) return;
          const at = now();
          const joins = group !== undefined && group === lastGroup && at - lastAt < ONE_STEP_MS;
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
