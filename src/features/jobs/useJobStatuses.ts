'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { picturesOf, type PictureRef } from '@/core/job/art';
import type { JobStatus } from '@/core/plan/status';
import type { JobRecord, JobStatusRecord } from '@/data/db';
import { archiveJobs } from '@/data/live';
import { newestOfJob } from '@/data/log';
import { keptAnalysis } from '@/data/analyses';
import {
  jobFacts,
  jobWords,
  keepStatuses,
  loadStatuses,
  statusKeys,
  sharedWith,
  type JobFacts,
} from '@/data/statuses';
import { useShopWithRuns } from '../shell/shopContext';
import { part } from '@/core/basics/part';
import type { Run } from '@/core/shop/run';
import { toArchive } from './archive';

const breath = () => new Promise((resolve) => setTimeout(resolve));

/** A list left alone for so long has its pictures analysed, so that it says of a job what the job's own screen says. */
const IDLE_MS = 2500;

/** What was found in the pixels of a job's pictures and of those it shares sheets with. */
async function analysesOf(pictures: readonly PictureRef[]) {
  const found = await Promise.all(pictures.map(async (p) => [p.id, await keptAnalysis(p.id)] as const));
  return Object.fromEntries(found.flatMap(([id, l]) => (l ? [[id, l]] : [])));
}

/** The status of every job, by its id: as kept where nothing has changed since, calculated again, one after another, where it has. */
export function useJobStatuses(): ReadonlyMap<string, JobStatus> {
  const { shop, jobs, proven } = useShopWithRuns();
  const ids = jobs.map((j) => j.id).join(' ');
  const kept = useLiveQuery(() => loadStatuses(ids === '' ? [] : ids.split(' ')), [ids]);
  const facts = useLiveQuery(() => jobFacts(shop, jobs), [shop, jobs]);
  const [made, setMade] = useState<ReadonlyMap<string, JobStatusRecord>>(new Map());
  const keys = useMemo(() => (facts ? statusKeys(shop, jobs, facts) : null), [shop, jobs, facts]);
  const fresh = useMemo(() => {
    const found = [...(kept ?? []), ...made.values()].filter((r) => keys?.get(r.id) === r.key);
    return new Map(found.map((r) => [r.id, r.jobStatus]));
  }, [kept, made, keys]);

  const next = kept && keys ? jobs.find((j) => !fresh.has(j.id)) : undefined;
  useEffect(() => {
    if (!next || !keys || !facts) return;
    let gone = false;
    const calculate = async () => {
      const { statusOf } = await part(() => import('@/core/plan/statusOf'));
      const { id, job } = next;
      const sharedJobs = sharedWith(job, jobs);
      const [log, analyses] = await Promise.all([
        newestOfJob(id, 1),
        analysesOf([job, ...sharedJobs].flatMap((j) => picturesOf(j.art))),
        // A breath between jobs, so that a long list can be scrolled meanwhile.
        breath(),
      ]);
      if (gone) return;
      const tally = facts.tallies[id] ?? { good: 0, seconds: 0, spoiled: 0, entries: 0 };
      const jobStatus = statusOf(job, { ...shop, log }, { analyses, sharedJobs, proven, tally });
      const record = { id, key: keys.get(id) ?? '', words: jobWords(job), jobStatus };
      setMade((before) => new Map(before).set(id, record));
      await keepStatuses([record]);
    };
    void calculate();
    return () => {
      gone = true;
    };
  }, [next, keys, facts, jobs, shop, proven]);

  useArchive(jobs, shop.runs, fresh, keys !== null && kept !== undefined && !next);
  useImageAnalysis(jobs, facts, keys !== null && kept !== undefined && !next);
  return fresh;
}

/** Takes jobs off the live list once nothing is left to do on them. */
function useArchive(
  jobs: readonly JobRecord[],
  runs: readonly Run[],
  statuses: ReadonlyMap<string, JobStatus>,
  settled: boolean,
): void {
  useEffect(() => {
    if (!settled) return;
    const over = toArchive(jobs, runs, statuses, Date.now());
    if (over.length > 0) void archiveJobs(over).catch(() => undefined);
  }, [jobs, runs, statuses, settled]);
}

/** Analyses the pictures nobody has analysed yet, one after another, while the list is left alone. */
function useImageAnalysis(jobs: readonly JobRecord[], facts: JobFacts | undefined, settled: boolean): void {
  const missing = useMemo(
    () => jobs.flatMap((j) => picturesOf(j.job.art)).find((p) => facts && !facts.analyses.has(p.id)),
    [jobs, facts],
  );
  useEffect(() => {
    if (!settled || !missing) return;
    const idle = setTimeout(() => {
      void part(() => import('../art/previews')).then(({ analysisOf }) => analysisOf(missing));
    }, IDLE_MS);
    return () => clearTimeout(idle);
  }, [settled, missing]);
}
