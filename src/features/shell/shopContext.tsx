'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { createContext, useContext, useMemo, useState } from 'react';
import type { JobRecord } from '@/data/db';
import type { ProvenCounts } from '@/core/heat/settings/choose';
import { openJob } from '@/data/jobs';
import { runsOfJob } from '@/data/live';
import type { SetAside } from '@/data/setAside';
import type { Run } from '@/core/shop/run';
import type { Shop } from '@/core/shop/shop';

export interface ShopView {
  /** All but its runs and its log, which are read where they are wanted and no further. */
  readonly shop: Shop;
  /** Good pieces behind each recipe, counted from the log. */
  readonly proven: ProvenCounts;
  /** Jobs that are not archived. */
  readonly jobs: readonly JobRecord[];
  /** Records that are kept and cannot be read by this version. */
  readonly aside: readonly SetAside[];
}

export const ShopContext = createContext<ShopView | null>(null);

/** The shop as it stands, live. Only used below the shell, which waits for it. */
export function useShop(): ShopView {
  const view = useContext(ShopContext);
  if (!view) throw new Error('useShop outside the shell');
  return view;
}

/** Runs that are on, those of live jobs, and the newest of all; a tap at a press changes these and nothing else of the shop. */
export const RunsContext = createContext<readonly Run[] | null>(null);

const NO_RUNS: readonly Run[] = [];

/** The shop with the runs of what is going on. */
export function useShopWithRuns(): ShopView {
  const view = useShop();
  const runs = useContext(RunsContext) ?? NO_RUNS;
  return useMemo(() => ({ ...view, shop: { ...view.shop, runs: [...runs] } }), [view, runs]);
}

/** All runs of one job, archived or not; undefined while those of an archived one are read. */
export function useJobRuns(jobId: string): readonly Run[] | undefined {
  const runs = useContext(RunsContext) ?? NO_RUNS;
  const live = useShop().jobs.some((r) => r.id === jobId);
  const found = useLiveQuery(() => (live ? NO_RUNS : runsOfJob(jobId).then((r) => r.read)), [jobId, live]);
  const own = useMemo(() => runs.filter((r) => r.jobId === jobId), [runs, jobId]);
  const [kept, setKept] = useState(own);
  // The same list while it holds the same runs: a tap at another press changes nothing here.
  const same = kept.length === own.length && kept.every((r, i) => r === own[i]) ? kept : own;
  if (same !== kept) setKept(same);
  return live ? same : found;
}

/** A job by its id, archived or not; undefined while it is looked for, null where there is none. */
export function useJobRecord(id: string): JobRecord | null | undefined {
  const live = useShop().jobs.find((r) => r.id === id);
  const found = useLiveQuery(() => (live ? null : openJob(id)), [id, live === undefined]);
  return live ?? found;
}
