import type { Standing } from '@/core/plan/standing';
import { TERRACES } from '@/core/figures/figure';
import type { JobRecord } from '@/data/db';

export const BENCH_SORTS = ['due', 'name', 'terrace', 'status'] as const;
export type BenchSort = (typeof BENCH_SORTS)[number];

export interface BenchOrder {
  readonly by: BenchSort;
  readonly down: boolean;
}

type Standings = ReadonlyMap<string, Standing>;

/** Nothing is left to do on it: pressed, looked over, written down. */
export const isDone = (s: Standing | undefined): boolean =>
  s?.progress.press === 'done' && s.progress.look === 'done';

const LATEST = '9999';
const BADNESS = { stop: 0, heed: 1, note: 2 } as const;

/** What a job is sorted by: smaller first. */
function rank(by: BenchSort, r: JobRecord, standings: Standings): string | number {
  const s = standings.get(r.id);
  switch (by) {
    case 'due':
      return r.job.dueOn ?? LATEST;
    case 'name':
      return r.job.name.toLowerCase();
    case 'terrace':
      return s ? TERRACES.indexOf(s.at) : TERRACES.length;
    case 'status':
      return s?.worst ? BADNESS[s.worst.level] : 3;
  }
}

const compare = (a: string | number, b: string | number): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b));

/** Jobs as the bench lists them: those with work left, and apart from them the done ones. Equal ranks go by day due, then by name. */
export function benchLists(
  jobs: readonly JobRecord[],
  standings: Standings,
  { by, down }: BenchOrder,
): { readonly open: readonly JobRecord[]; readonly done: readonly JobRecord[] } {
  const sorted = [...jobs].sort((a, b) => {
    const first = compare(rank(by, a, standings), rank(by, b, standings));
    return (
      (down ? -first : first) ||
      compare(a.job.dueOn ?? LATEST, b.job.dueOn ?? LATEST) ||
      compare(a.job.name.toLowerCase(), b.job.name.toLowerCase())
    );
  });
  return {
    open: sorted.filter((r) => !isDone(standings.get(r.id))),
    done: sorted.filter((r) => isDone(standings.get(r.id))),
  };
}
