import { useMemo } from 'react';
import type { Run } from '@/core/shop/run';
import type { JobRecord } from '@/data/db';
import { endedRuns, newestRuns, openRuns } from '@/data/live';
import type { ReadRows, SetAside } from '@/data/setAside';
import { useQueried } from './useQueried';

export interface LiveRuns {
  /** Whether they have been read for the first time. */
  readonly ready: boolean;
  readonly read: readonly Run[];
  readonly aside: readonly SetAside[];
}

const NOTHING: ReadRows<Run> = { read: [], aside: [] };

/**
 * Runs of what is going on: those that are on, read again at every tap; those of live jobs that are over, and the newest of all, read again only
 * when a run ends or the live jobs change.
 */
export function useLiveRuns(jobs: readonly JobRecord[], ready: boolean): LiveRuns {
  const ids = jobs.map((j) => j.id).join(' ');
  const on = useQueried(() => openRuns(), ready);
  const ended = useQueried(() => endedRuns(ids === '' ? [] : ids.split(' ')), ready, ids);
  const newest = useQueried(() => newestRuns(), ready);
  return useMemo(() => {
    const lists = [on ?? NOTHING, ended ?? NOTHING, newest ?? NOTHING];
    const byId = new Map(lists.flatMap((l) => l.read).map((r) => [r.id, r]));
    const aside = new Map(lists.flatMap((l) => l.aside).map((a) => [a.id, a]));
    // A run that has just ended may still stand in the list of those that are on: the longer one is the newer.
    for (const r of lists.flatMap((l) => l.read))
      if (r.events.length > (byId.get(r.id)?.events.length ?? 0)) byId.set(r.id, r);
    return { ready: Boolean(on && ended && newest), read: [...byId.values()], aside: [...aside.values()] };
  }, [on, ended, newest]);
}
