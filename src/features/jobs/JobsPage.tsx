'use client';

import { say, type Message } from '@/core/message/message';
import { useWords, useLocale } from '@/ui/words';
import { FileUp, Plus } from 'lucide-react';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import { startJob } from '@/data/jobs';
import { findArchived, jobWords } from '@/data/statuses';
import { loadDemo } from '@/data/seed';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { notifyProblem } from '@/ui/notify';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import type { JobStatus } from '@/core/plan/status';
import type { JobRecord } from '@/data/db';
import { JOB_SORTS, jobLists, type JobOrder, type JobSort } from './jobOrder';
import { BENCH_GRID, JobRow } from './JobRow';
import { useJobStatuses } from './useJobStatuses';
import { part } from '@/core/basics/part';
import { MOST_WITH_PICTURES_BYTES, readText } from '@/data/readFile';

/** The list of jobs: what is due, how far each has come, and what is wrong. */
export function JobsPage() {
  const t = useWords();
  const { jobs } = useShop();
  const jobStatuses = useJobStatuses();
  const router = useRouter();
  const asked = useSearchParams().get('find') !== null;
  const [find, setFind] = useState('');
  const archived = useLiveQuery(() => findArchived(find), [find]);
  const shown = useMemo(() => {
    const wanted = find.trim().toLowerCase();
    const live = jobs.filter(({ job }) => wanted === '' || jobWords(job).includes(wanted));
    return [...live, ...(archived ?? []).map((a) => a.record)];
  }, [jobs, find, archived]);
  const statuses = useMemo(
    () => new Map([...(archived ?? []).map((a) => [a.record.id, a.jobStatus] as const), ...jobStatuses]),
    [archived, jobStatuses],
  );
  const begin = async () => {
    const r = await startJob(t('jobs.newJob'));
    if (r.ok) router.push(`/job/${r.value.id}/blank`);
    else notifyProblem(r.problem);
  };
  return (
    <ShopFrame
      title={t('common.jobs')}
      about={`${jobs.length} ${jobs.length === 1 ? t('jobs.openJob') : t('jobs.openJobs')}`}
      actions={
        <>
          {jobs.length > 0 && (
            <input
              id="find-job"
              type="search"
              autoFocus={asked}
              aria-label={t('jobs.findJob')}
              placeholder={t('jobs.findAnyJob')}
              value={find}
              onChange={(e) => setFind(e.target.value)}
              onKeyDown={(e) => {
                const [first] = shown;
                if (e.key === 'Enter' && first) router.push(`/job/${first.id}/blank`);
              }}
              className="min-h-10 w-44 border-2 border-ink bg-white px-2"
            />
          )}
          <BringJob />
          <Button kind="act" onClick={() => void begin()}>
            <Plus size={18} aria-hidden /> {t('jobs.newJob')}
          </Button>
        </>
      }
    >
      {jobs.length === 0 ? (
        <NoJobs onBegin={() => void begin()} />
      ) : (
        <JobLists jobs={shown} jobStatuses={statuses} find={find} />
      )}
    </ShopFrame>
  );
}

const HEADS: Readonly<Record<JobSort, Message>> = {
  due: say('common.due'),
  name: say('common.job'),
  step: say('jobs.currentStep'),
  status: say('jobs.issues'),
};

interface ListProps {
  readonly jobs: readonly JobRecord[];
  readonly jobStatuses: ReadonlyMap<string, JobStatus>;
  readonly find: string;
}

/** One line a job, by day due and late first unless another heading is tapped; done jobs put away below. */
function JobLists({ jobs, jobStatuses, find }: ListProps) {
  const t = useWords();
  const [order, setOrder] = useState<JobOrder>({ by: 'due', down: false });
  const { open, done } = useMemo(() => jobLists(jobs, jobStatuses, order), [jobs, jobStatuses, order]);
  const line = (record: JobRecord) => (
    <JobRow key={record.id} record={record} jobStatus={jobStatuses.get(record.id) ?? null} />
  );
  return (
    <>
      <div
        role="group"
        aria-label={t('jobs.sortJobs')}
        className={`${BENCH_GRID} sticky top-0 z-10 hidden border-b-2 border-ink bg-sheet md:grid`}
      >
        {JOB_SORTS.map((by) => (
          <button
            key={by}
            type="button"
            aria-pressed={order.by === by}
            onClick={() => setOrder((o) => ({ by, down: o.by === by && !o.down }))}
            className={`min-h-9 text-left font-label text-fine font-semibold whitespace-nowrap ${by === 'status' ? 'hidden xl:block' : ''}`}
          >
            {t(HEADS[by])}{' '}
            {order.by === by && (
              <span aria-label={t(order.down ? 'jobs.descending' : 'jobs.ascending')} role="img">
                {order.down ? '▼' : '▲'}
              </span>
            )}
          </button>
        ))}
        <span />
      </div>
      <ul>
        {open.map(line)}
        {open.length + done.length === 0 && (
          <li className="p-8 text-lead">{t('jobs.jobMatches', { find })}</li>
        )}
      </ul>
      {done.length > 0 && (
        <details className="border-b border-rule" open={find !== '' || open.length === 0}>
          <summary className="cursor-pointer px-5 py-3 font-label text-lead font-semibold">
            {t('jobs.done', { done: done.length })}
          </summary>
          <ul>{done.map(line)}</ul>
        </details>
      )}
    </>
  );
}

function BringJob() {
  const t = useWords();
  const router = useRouter();
  const importFile = async (file: File) => {
    const { importJobFile } = await part(() => import('@/data/files'));
    const text = await readText(file, MOST_WITH_PICTURES_BYTES, say('jobs.saveJobWithoutPictures'));
    const r = text.ok ? await importJobFile(text.value) : text;
    if (r.ok) router.push(`/job/${r.value.id}/blank`);
    else notifyProblem(r.problem);
  };
  return (
    <FileButton
      label={t('common.jobFile')}
      accept=".json,application/json"
      onFile={(f) => void importFile(f)}
    >
      <FileUp size={18} aria-hidden /> {t('jobs.openJobFile')}
    </FileButton>
  );
}

function NoJobs({ onBegin }: { onBegin: () => void }) {
  const t = useWords();
  const locale = useLocale();
  const demo = async () => {
    const r = await loadDemo(locale);
    if (!r.ok) notifyProblem(r.problem);
  };
  return (
    <div className="board-ground grid min-h-full place-content-center justify-items-center gap-3 p-8 text-center">
      <h2 className="max-w-md font-name text-big leading-tight font-semibold">{t('jobs.jobsYet')}</h2>
      <p className="max-w-md text-lead">{t('jobs.startJobChooseBlank')}</p>
      <div className="mt-2 flex flex-wrap justify-center gap-3">
        <Button kind="act" className="min-h-12 px-6 text-lead" onClick={onBegin}>
          {t('jobs.startFirstJob')}
        </Button>
        <Button className="min-h-12 px-6 text-lead" onClick={() => void demo()}>
          {t('jobs.openDemoShop')}
        </Button>
      </div>
    </div>
  );
}
