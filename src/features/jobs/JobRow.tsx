'use client';

import { count } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { STEP_STYLES, stepStyle } from '../job/stepStyles';
import { Copy, Trash2 } from 'lucide-react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import type { JobStatus } from '@/core/plan/status';
import type { Progress } from '@/core/plan/stepPlan';
import { problemMessage } from '@/core/basics/result';
import type { JobRecord } from '@/data/db';
import { copyJob, removeJob, restoreJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Confirm } from '@/ui/Confirm';
import { Say, useWords, Q } from '@/ui/words';
import { notify, notifyProblem, notifyUndo } from '@/ui/notify';
import { dueWords } from './due';
import { LEVEL_BAR } from '@/ui/levels';

interface Props {
  readonly record: JobRecord;
  /** Null for the moment it is being calculated. */
  readonly jobStatus: JobStatus | null;
}

/** The columns of the list; the head over them uses the same. */
export const BENCH_GRID =
  'grid items-center gap-x-4 gap-y-1.5 px-5 grid-cols-[1fr_auto] md:grid-cols-[6.5rem_minmax(11rem,1fr)_15.5rem_5rem] xl:grid-cols-[6.5rem_minmax(13rem,1fr)_15.5rem_minmax(14rem,1.3fr)_5rem]';

/** A job in one line: when it is due, what it is, the eight steps, where it stands or what is in its way. */
export function JobRow({ record, jobStatus }: Props) {
  const t = useWords();
  const { job } = record;
  const due = dueWords(job.dueOn, new Date());
  return (
    <li className={`${BENCH_GRID} border-b border-rule py-1.5 hover:bg-board`}>
      <p
        className={`order-2 font-label text-base leading-tight font-semibold md:order-none ${due.late ? 'text-act-deep' : ''}`}
      >
        {t(due.day)}
        {due.left && <span className="block text-fine font-medium">{t(due.left)}</span>}
      </p>
      <div className="order-1 min-w-0 md:order-none">
        <h2 className="truncate font-name text-name leading-tight font-semibold" title={job.name}>
          <Link href={`/job/${job.id}/${jobStatus?.at ?? 'blank'}`} className="hover:underline">
            {job.name}
          </Link>
        </h2>
        <p className="truncate font-label text-fine font-medium text-soft">
          <Q of={count(job.pieces, 'piece')} /> ·{' '}
          {jobStatus ? (jobStatus.blankName ?? t('jobs.blankChosen')) : t('common.calculatingNow')}
        </p>
      </div>
      <div className="order-3 col-span-2 md:order-none md:col-span-1">
        <Strata jobStatus={jobStatus} jobId={job.id} />
      </div>
      <div className="order-4 col-span-2 min-w-0 md:order-last md:col-span-4 xl:order-none xl:col-span-1">
        {jobStatus && <Status jobStatus={jobStatus} />}
      </div>
      <div className="order-1 flex md:order-none">
        <CopyButton record={record} />
        <RemoveButton record={record} />
      </div>
    </li>
  );
}

/** Its current step, or what is most in its way. */
function Status({ jobStatus: { at, summary, worst } }: { jobStatus: JobStatus }) {
  const t = useWords();
  const step = worst?.step ?? at;
  const text = worst?.text ?? summary;
  return (
    <p className="flex items-stretch gap-2.5 leading-tight">
      <span aria-hidden className={`w-1.5 shrink-0 ${worst ? LEVEL_BAR[worst.level] : 'bg-strata-3'}`} />
      <span className="line-clamp-2 py-0.5">
        <span className="font-label font-semibold">{t(stepStyle(step).label)}: </span>
        <Say message={text} />
      </span>
    </p>
  );
}

const PROGRESS_WORDS: Readonly<Record<Progress, Message>> = {
  todo: say('jobs.toDo'),
  ready: say('jobs.begun'),
  done: say('common.settled'),
};

/** Eight strata, filled as far as each step has come; the current step is framed. */
function Strata({ jobStatus, jobId }: { jobStatus: JobStatus | null; jobId: string }) {
  const t = useWords();
  return (
    <ol className="grid grid-cols-8 gap-[2px]" aria-label={t('common.steps')}>
      {STEP_STYLES.map((style, i) => {
        const progress = jobStatus?.progress[style.id] ?? 'todo';
        const ground =
          progress === 'done'
            ? style.closed
            : progress === 'ready'
              ? 'bg-sheet text-ink border-b-6 border-strata-6'
              : 'bg-board text-soft';
        return (
          <li key={style.id} className="min-w-0">
            <Link
              href={`/job/${jobId}/${style.id}`}
              title={`${t(style.label)}, ${t(PROGRESS_WORDS[progress])}`}
              className={`flex h-9 items-center justify-center font-name text-base font-semibold ${ground} ${style.id === jobStatus?.at ? 'outline-3 -outline-offset-3 outline-ink' : ''}`}
            >
              <span aria-hidden>{i + 1}</span>
              <span className="sr-only">
                {t(style.label)}, {t(PROGRESS_WORDS[progress])}
              </span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

function CopyButton({ record }: { record: JobRecord }) {
  const t = useWords();
  const copy = async () => {
    const r = await copyJob(record.job, t('jobs.again', { job: record.job.name.slice(0, 70) }));
    notify(r.ok ? t('jobs.listJobs', { r: r.value.name }) : problemMessage(r.problem));
  };
  return (
    <Button
      kind="quiet"
      aria-label={t('jobs.duplicate', { job: record.job.name })}
      title={t('jobs.duplicateJob')}
      onClick={() => void copy()}
      className="px-2"
    >
      <Copy size={18} aria-hidden />
    </Button>
  );
}

function RemoveButton({ record }: { record: JobRecord }) {
  const t = useWords();
  const [asking, setAsking] = useState(false);
  const remove = async () => {
    const r = await removeJob(record.id);
    if (!r.ok) {
      notifyProblem(r.problem);
      return;
    }
    const removed = r.value;
    if (!removed) return;
    notifyUndo(t('jobs.isDeleted', { job: record.job.name }), () => restoreJob(removed));
  };
  return (
    <>
      <Button
        kind="quiet"
        aria-label={t('jobs.delete', { job: record.job.name })}
        title={t('jobs.deleteJob')}
        onClick={() => setAsking(true)}
        className="px-2"
      >
        <Trash2 size={18} aria-hidden />
      </Button>
      {asking && (
        <Confirm
          title={t('jobs.delete2', { job: record.job.name })}
          about={t('jobs.readingsDecisionsGoPicture')}
          action={t('jobs.delete3')}
          onConfirm={() => void remove()}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
