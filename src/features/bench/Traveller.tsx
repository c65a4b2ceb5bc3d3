'use client';

import { Copy, Trash2 } from 'lucide-react';
import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import { AlertDialog } from 'radix-ui';
import Link from 'next/link';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { allFindings, plan, sectionOf, standsAt, type Plan } from '@/core/plan/plan';
import type { Level } from '@/core/figures/figure';
import type { Progress } from '@/core/plan/section';
import { problemText } from '@/core/result';
import type { JobRecord } from '@/data/db';
import { addJob, copyJob, removeJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Say } from '@/ui/units';
import { lookOf, TERRACE_LOOKS } from '../job/terraces';
import { useShop } from '../shell/shopContext';

const BAR: Readonly<Record<Level, string>> = { stop: 'bg-act', heed: 'bg-heed', note: 'bg-strata-4' };

/** When a job is due, as the bench says it. */
export function dueWords(dueOn: string | null, today: Date): { readonly text: string; readonly late: boolean } {
  if (dueOn === null) return { text: 'no day set', late: false };
  const day = parseISO(dueOn);
  const left = differenceInCalendarDays(day, today);
  if (left < 0) return { text: `was due ${format(day, 'EEE d MMM')}`, late: true };
  if (left === 0) return { text: 'due today', late: true };
  if (left === 1) return { text: 'due tomorrow', late: false };
  return { text: `due ${format(day, 'EEE d MMM')}, ${left} days`, late: false };
}

/** A job as its traveller: what, how many, due, the eight strata, where it stands and what is in its way. */
export function Traveller({ record }: { record: JobRecord }) {
  const { shop } = useShop();
  const { job } = record;
  const made = useMemo(() => plan(job, shop), [job, shop]);
  const at = standsAt(made);
  const due = dueWords(job.dueOn, new Date());
  const [worst] = allFindings(made).filter((f) => f.level !== 'note');
  return (
    <li className="grid grid-cols-[1fr_auto] gap-x-5 gap-y-2 border-b-2 border-ink px-5 py-4 lg:grid-cols-[17rem_1fr_auto]">
      <div className="min-w-0">
        <h2 className="font-name text-head leading-tight font-semibold">
          <Link href={`/job/${job.id}/${at}`} className="hover:underline">{job.name}</Link>
        </h2>
        <p className="font-label text-base font-medium">
          {job.pieces} {job.pieces === 1 ? 'piece' : 'pieces'} · <span className={due.late ? 'font-semibold text-act-deep' : ''}>{due.text}</span>
        </p>
        <p className="truncate text-soft">{made.blank.blank?.name ?? 'blank not chosen'}</p>
      </div>
      <div className="order-last col-span-2 lg:order-none lg:col-span-1">
        <Strata plan={made} jobId={job.id} />
        <p className="mt-2 leading-snug">
          Stands at <span className="font-label font-semibold">{lookOf(at).label}</span>: <Say phrase={sectionOf(made, at).summary} />
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
      </div>
      <div className="flex items-start gap-1">
        <CopyButton record={record} />
        <RemoveButton record={record} />
      </div>
    </li>
  );
}

const PROGRESS_WORDS: Readonly<Record<Progress, string>> = { todo: 'to do', ready: 'begun', done: 'settled' };

/** Eight strata, filled as far as each terrace has come. */
function Strata({ plan: made, jobId }: { plan: Plan; jobId: string }) {
  const at = standsAt(made);
  return (
    <ol className="grid grid-cols-4 gap-[3px] sm:grid-cols-8" aria-label="Terraces">
      {TERRACE_LOOKS.map((look) => {
        const section = sectionOf(made, look.id);
        const ground = section.progress === 'done' ? look.closed : section.progress === 'ready' ? 'bg-sheet text-ink border-b-6' : 'bg-board text-soft';
        return (
          <li key={look.id} className="min-w-0">
            <Link
              href={`/job/${jobId}/${look.id}`}
              className={`flex h-10 items-center justify-center px-1 font-name text-lead font-semibold ${ground} ${section.progress === 'ready' ? 'border-strata-6' : ''} ${look.id === at ? 'outline-3 -outline-offset-3 outline-ink' : ''}`}
            >
              {look.label}
              <span className="sr-only">, {PROGRESS_WORDS[section.progress]}</span>
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
    toast(r.ok ? `“${r.value.name}” is on the bench.` : problemText(r.problem));
  };
  return (
    <Button kind="quiet" aria-label={`Do ${record.job.name} again`} title="Do it again: a copy with the same decisions" onClick={() => void copy()} className="px-2">
      <Copy size={18} aria-hidden />
    </Button>
  );
}

function RemoveButton({ record }: { record: JobRecord }) {
  const remove = async () => {
    const r = await removeJob(record.id);
    if (!r.ok) {
      toast.error(problemText(r.problem));
      return;
    }
    const drawnOrNone = record.job.art.picture === null || record.job.art.picture.drawn !== null;
    toast(`“${record.job.name}” is off the bench.`, drawnOrNone ? { action: { label: 'Put it back', onClick: () => void addJob(record.job) }, duration: 8000 } : {});
  };
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <Button kind="quiet" aria-label={`Take ${record.job.name} off the bench`} title="Take it off the bench" className="px-2">
          <Trash2 size={18} aria-hidden />
        </Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-night/60" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[92vw] max-w-md -translate-x-1/2 -translate-y-1/2 border-2 border-ink bg-sheet p-5">
          <AlertDialog.Title className="font-name text-head font-semibold">Take “{record.job.name}” off the bench?</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">Its readings and decisions go, with a picture no other job uses. The logbook keeps what was pressed.</AlertDialog.Description>
          <div className="mt-4 flex justify-end gap-2">
            <AlertDialog.Cancel asChild><Button>Keep it</Button></AlertDialog.Cancel>
            <AlertDialog.Action asChild><Button kind="act" onClick={() => void remove()}>Take it off</Button></AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
