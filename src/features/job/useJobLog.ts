'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import type { JobTally } from '@/core/inspect/tally';
import type { LogEntry } from '@/core/shop/records';
import { jobTallies, newestOfJob } from '@/data/log';

/** Entries of a job a screen lists; how many there are in all is counted. */
const MOST_LISTED = 60;

export interface JobLog {
  readonly entries: readonly LogEntry[];
  readonly tally: JobTally;
}

const NOTHING: JobLog = { entries: [], tally: { good: 0, seconds: 0, spoiled: 0, entries: 0 } };

/** What the log says of one job, live: its newest entries and what all of them add up to. */
export function useJobLog(jobId: string): JobLog {
  const found = useLiveQuery(async (): Promise<JobLog> => {
    const [entries, tallies] = await Promise.all([newestOfJob(jobId, MOST_LISTED), jobTallies([jobId])]);
    return { entries, tally: tallies[jobId] ?? NOTHING.tally };
  }, [jobId]);
  return found ?? NOTHING;
}
