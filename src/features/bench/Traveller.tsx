'use client';

import { Copy, Trash2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { Level } from '@/core/figures/figure';
import type { Standing } from '@/core/plan/standing';
import type { Progress } from '@/core/plan/section';
import { problemText } from '@/core/result';
import type { JobRecord } from '@/data/db';
import { copyJob, removeJob, restoreJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Say } from '@/ui/units';
import { tell, tellProblem } from '@/ui/tell';
import { lookOf, TERRACE_LOOKS } from '../job/terraces';
import { dueWords } from './due';

const ConfirmRemove = dynamic(() => import('./ConfirmRemove').then((m) => m.ConfirmRemove), { ssr: false });

const BAR: Readonly<Record<Level, string>> = { stop: 'bg-act', heed: 'bg-heed', note: 'bg-strata-4' };

interface Props {
  readonly record: JobRecord;
  /** Null for the moment it is being reckoned. */
  readonly standing: Standing | null;
}

/** A job as its traveller: what, how many, due, the eight strata, where it stands and what is in its way. */
export function Traveller({ record, standing }: Props) {
  const { job } = record;
  const due = dueWords(job.dueOn, new Date());
  return (
    <li className="grid grid-cols-[1fr_auto] gap-x-5 gap-y-2 border-b-2 border-ink px-5 py-4 lg:grid-cols-[17rem_1fr_auto]">
      <div className="min-w-0">
        <h2 className="font-name text-head leading-tight font-semibold">
          <Link href={`/job/${job.id}/${standing?.at ?? 'blank'}`} className="hover:underline">
            {job.name}
          </Link>
        </h2>
        <p className="font-label text-base font-medium">
          {job.pieces} {job.pieces === 1 ? 'piece' : 'pieces'} ·{' '}
          <span className={due.late ? 'font-semibold text-act-deep' : ''}>{due.text}</span>
        </p>
        <p className="truncate text-soft">
          {standing ? (standing.blankName ?? 'blank not chosen') : 'being reckoned…'}
        </p>
      </div>
      <div className="order-last col-span-2 lg:order-none lg:col-span-1">
        <Strata standing={standing} jobId={job.id} />
        {standing && <StandsAt standing={standing} />}
      </div>
      <div className="flex items-start gap-1">
        <CopyButton record={record} />
        <RemoveButton record={record} />
      </div>
    </li>
  );
}

function StandsAt({ standing: { at, summary, worst } }: { standing: Standing }) {
  return (
    <>
      <p className="mt-2 leading-snug">
        Stands at <span className="font-label font-semibold">{lookOf(at).label}</span>:{' '}
        <Say phrase={summary} />
      </p>
      <p className="mt-0.5 flex items-stretch gap-2.5 leading-snug">
        <span aria-hidden className={`w-1.5 shrink-0 ${worst ? BAR[worst.level] : 'bg-strata-3'}`} />
        <span>
          {worst ? (
            <>
              <span className="font-label font-semibold">{lookOf(worst.terrace).label}: </span>
              <Say phrase={worst.text} />
            </>
          ) : (
            <>Nothing in its way.</>
          )}
        </span>
      </p>
    </>
  );
}

const PROGRESS_WORDS: Readonly<Record<Progress, string>> = { todo: 'to do', ready: 'begun', done: 'settled' };

/** Eight strata, filled as far as each terrace has come. */
function Strata({ standing, jobId }: { standing: Standing | null; jobId: string }) {
  return (
    <ol className="grid grid-cols-4 gap-[3px] sm:grid-cols-8" aria-label="Terraces">
      {TERRACE_LOOKS.map((look) => {
        const progress = standing?.progress[look.id] ?? 'todo';
        const ground =
          progress === 'done'
            ? look.closed
            : progress === 'ready'
              ? 'bg-sheet text-ink border-b-6'
              : 'bg-board text-soft';
        return (
          <li key={look.id} className="min-w-0">
            <Link
              href={`/job/${jobId}/${look.id}`}
              className={`flex h-10 items-center justify-center px-1 font-name text-lead font-semibold ${ground} ${progress === 'ready' ? 'border-strata-6' : ''} ${look.id === standing?.at ? 'outline-3 -outline-offset-3 outline-ink' : ''}`}
            >
              {look.label}
              <span className="sr-only">, {PROGRESS_WORDS[progress]}</span>
            </Link>
          </li>
        );
      })}
    </ol>
  );
}

function CopyButton({ record }: { record: JobRecord }) {
  const copy = async () => {
    const r = await copyJob(record.job, `${record.job.name.slice(0, 70)}, again`);
    tell(r.ok ? `“${r.value.name}” is on the bench.` : problemText(r.problem));
  };
  return (
    <Button
      kind="quiet"
      aria-label={`Do ${record.job.name} again`}
      title="Do it again: a copy with the same decisions"
      onClick={() => void copy()}
      className="px-2"
    >
      <Copy size={18} aria-hidden />
    </Button>
  );
}

function RemoveButton({ record }: { record: JobRecord }) {
  const [asking, setAsking] = useState(false);
  const remove = async () => {
    const r = await removeJob(record.id);
    if (!r.ok) {
      tellProblem(r.problem);
      return;
    }
    const removed = r.value;
    if (!removed) return;
    tell(`“${record.job.name}” is off the bench.`, {
      label: 'Put it back',
      onClick: () =>
        void restoreJob(removed).then((back) => {
          if (!back.ok) tellProblem(back.problem);
        }),
    });
  };
  return (
    <>
      <Button
        kind="quiet"
        aria-label={`Take ${record.job.name} off the bench`}
        title="Take it off the bench"
        onClick={() => setAsking(true)}
        className="px-2"
      >
        <Trash2 size={18} aria-hidden />
      </Button>
      {asking && (
        <ConfirmRemove
          name={record.job.name}
          onRemove={() => void remove()}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
