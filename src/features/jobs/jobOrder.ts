import { JOB_STEPS } from '@/core/figures/jobSteps';
import type { JobStatus } from '@/core/plan/status';
import { LEVEL_ORDER } from '@/core/figures/figure';
import type { JobRecord } from '@/data/db';

export const JOB_SORTS = ['due', 'name', 'step', 'status'] as const;
export type JobSort = (typeof JOB_SORTS)[number];

export interface JobOrder {
  readonly by: JobSort;
  readonly down: boolean;
}

type JobStatuses = ReadonlyMap<string, JobStatus>;

/** Nothing is left to do on it: pressed, looked over, written down. */
export const isDone = (s: JobStatus | undefined): boolean =>
  s?.progress.press === 'done' && s.progress.inspect === 'done';

const LATEST = '9999';

/** What a job is sorted by: smaller first. */
function rank(by: JobSort, r: JobRecord, jobStatuses: JobStatuses): string | number {
  const s = jobStatuses.get(r.id);
  switch (by) {
    case 'due':
      return r.job.dueOn ?? LATEST;
    case 'name':
      return r.job.name.toLowerCase();
    case 'step':
      return s ? JOB_STEPS.indexOf(s.at) : JOB_STEPS.length;
    case 'status':
      return s?.worst ? LEVEL_ORDER[s.worst.level] : 3;
  }
}

const compare = (a: string | number, b: string | number): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b));

/** Jobs in the order of the list: those with work left, and apart from them the done ones. Equal ranks go by day due, then by name. */
export function jobLists(
  jobs: readonly JobRecord[],
  jobStatuses: JobStatuses,
  { by, down }: JobOrder,
): { readonly open: readonly JobRecord[]; readonly done: readonly JobRecord[] } {
  const sorted = [...jobs].sort((a, b) => {
    const first = compare(rank(by, a, jobStatuses), rank(by, b, jobStatuses));
    return (
      (down ? -first : first) ||
      compare(a.job.dueOn ?? LATEST, b.job.dueOn ?? LATEST) ||
      compare(a.job.name.toLowerCase(), b.job.name.toLowerCase())
    );
  });
  return {
    open: sorted.filter((r) => !isDone(jobStatuses.get(r.id))),
    done: sorted.filter((r) => isDone(jobStatuses.get(r.id))),
  };
}
