import { say } from '@/core/message/message';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { JobCosts } from '@/core/cost/jobCost';
import type { Job } from '@/core/job/job';
import { inkOf } from '@/core/plan/sheet/cost';
import { keptAnalysis } from '@/data/analyses';
import { seenOfJobs } from '@/data/seen';
import { loadItems } from '@/data/stock';
import { notifyProblem } from '@/ui/notify';
import { inDayWorker } from '@/workers/client';
import { useShopWithRuns } from '../shell/shopContext';

/** Mean ink of the art of jobs whose ground has been analysed. */
async function inkOfJobs(jobs: readonly Job[]): Promise<Readonly<Record<string, number>>> {
  const found = await Promise.all(
    jobs.map(async (job) => {
      const ground = job.art.layers.find((l) => l.kind === 'picture');
      const look = ground?.kind === 'picture' ? await keptAnalysis(ground.picture.id) : null;
      const pct = ground?.kind === 'picture' && look ? inkOf(job, { [ground.picture.id]: look }) : null;
      return pct === null ? [] : [[job.id, pct] as const];
    }),
  );
  return Object.fromEntries(found.flat());
}

/** What every job costs, from the worker; null until it is known. */
export function useCosts(): JobCosts | null {
  const { shop, jobs, proven } = useShopWithRuns();
  const all = useMemo(() => jobs.map((r) => r.job), [jobs]);
  const beside = useLiveQuery(
    async () => ({ items: await loadItems(), seen: await seenOfJobs(all), inkPct: await inkOfJobs(all) }),
    [all],
  );
  const [costs, setCosts] = useState<JobCosts | null>(null);
  useEffect(() => {
    if (!beside) return;
    let gone = false;
    void inDayWorker(say('pricing.costs'), (w) => w.costs({ jobs: all, shop, proven, ...beside })).then(
      (r) => {
        if (gone) return;
        if (r.ok && r.value) setCosts(r.value);
        if (!r.ok) notifyProblem(r.problem);
      },
    );
    return () => {
      gone = true;
    };
  }, [all, shop, proven, beside]);
  return costs;
}
