'use client';

import Link from 'next/link';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { plan, type Plan } from '@/core/plan/plan';
import { eventOf, foldRun, type Struck } from '@/core/run/run';
import { newRun, pressBlocked } from '@/core/plan/newRun';
import { preparationWords } from '@/core/plan/operationWords';
import type { Job } from '@/core/job/job';
import type { Run } from '@/core/shop/run';
import { newId } from '@/data/ids';
import { addRunEvent, startRun } from '@/data/runs';
import { Say } from '@/ui/units';
import { notifyProblem } from '@/ui/notify';
import { useHeatBook, useTried, useWantedHeat } from '../job/useHeatBook';
import { useShop } from '../shell/shopContext';
import { RunBoard } from './RunBoard';
import { wakeSound } from './sound';

/** At the press: one run, from the first piece to the last. */
export function Runner({ jobId }: { jobId: string }) {
  const { shop, jobs, proven } = useShop();
  const job = jobs.find((r) => r.id === jobId)?.job ?? null;
  const tried = useTried(job, shop);
  const { book: heatBook, ask } = useHeatBook();
  const made = useMemo(
    () => job && plan(job, shop, { proven, tried, heatBook }),
    [job, shop, proven, tried, heatBook],
  );
  useWantedHeat(made?.heat.model?.wanted, ask, false);
  if (!job || !made) return <Note text="This job is not in this browser." href="/" to="To the bench" />;
  const run = made.press.running;
  if (run) return <Running job={job} made={made} run={run} />;
  if (pressBlocked(made))
    return (
      <Note
        text="Something still stands in the way of pressing."
        href={`/job/${jobId}/heat`}
        to="Back to the heat"
      />
    );
  if (made.press.left === 0)
    return (
      <Note
        text={`All ${job.pieces} are through the press.`}
        href={`/job/${jobId}/look`}
        to="Look them over"
      />
    );
  return <Ready job={job} made={made} />;
}

const Note = ({ text, href, to }: { text: string; href: string; to: string }) => (
  <main className="on-night grid h-dvh place-content-center justify-items-center gap-5 bg-night p-6 text-center text-pale">
    <h1 className="font-name text-big font-semibold">{text}</h1>
    <Link
      href={href}
      className="inline-flex min-h-16 items-center bg-act px-8 font-label text-head font-semibold text-white"
    >
      {to}
    </Link>
  </main>
);

function useNow(active: boolean): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!active) return;
    const t = setInterval(() => setNow(Date.now()), 200);
    const seen = () => setNow(Date.now());
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(t);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [active]);
  return now;
}

function Ready({ job, made }: { job: Job; made: Plan }) {
  const { heat, press } = made;
  // The time is the model's, a moment after the screen: nothing is begun with another.
  const waiting = heat.model?.wanted.some((q) => q.kind === 'start') ?? false;
  const begin = async () => {
    wakeSound();
    if (waiting) return;
    const run = newRun(job, made, newId('run'), Date.now());
    if (!run) return;
    const r = await startRun(run);
    if (!r.ok) notifyProblem(r.problem);
  };
  useSpace(() => void begin());
  return (
    <main className="on-night flex h-dvh flex-col bg-night text-pale">
      <div className="min-h-0 flex-1 overflow-auto p-8">
        <h1 className="font-name text-big font-semibold">{job.name}</h1>
        <p className="mt-1 text-name text-mist">
          {press.left} to press on {heat.press?.name}
        </p>
        <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_20rem]">
          <section>
            <h2 className="font-name text-head font-semibold">First</h2>
            <PreList made={made} />
          </section>
          <section className="border-l-8 border-warning pl-4">
            <h2 className="font-name text-head font-semibold">Safety</h2>
            <ul className="mt-2 grid gap-2 text-lead leading-snug">
              <li>Fan on, window open: the fume is not for breathing.</li>
              <li>Gloves both hands. A piece stays hot for minutes after.</li>
              <li>Alcohol and spray tack well away from the heat: they burn.</li>
              <li>
                Its own rated socket, no thin extension lead. Local code and a licensed electrician decide.
              </li>
              <li>The maker’s own sheet comes before any figure here.</li>
            </ul>
          </section>
        </div>
      </div>
      <footer className="flex flex-wrap items-center gap-4 border-t-2 border-strata-2 p-5">
        <button
          type="button"
          onClick={() => void begin()}
          aria-disabled={waiting}
          className="min-h-16 bg-act px-8 font-label text-head font-semibold text-white"
        >
          {waiting
            ? 'Working out the time'
            : (heat.load?.load.piecesAtOnce ?? 1) > 1
              ? 'First load'
              : 'First piece'}
        </button>
        <Link
          href={`/job/${job.id}/press`}
          className="inline-flex min-h-16 items-center border-2 border-mist px-6 font-label text-name font-semibold"
        >
          Not yet
        </Link>
        <p className="ml-auto text-lead text-mist">Space is the next step.</p>
      </footer>
    </main>
  );
}

function PreList({ made }: { made: Plan }) {
  return (
    <ol className="mt-2 grid gap-1.5">
      {preparationWords(made).map((step, i) => (
        <li key={i} className="flex gap-3 text-name leading-snug">
          <span className="w-7 shrink-0 text-right font-name font-semibold text-strata-5">{i + 1}</span>
          <span>
            <Say phrase={step} />
          </span>
        </li>
      ))}
    </ol>
  );
}

/** Space is the next step, wherever the focus rests, except on a link or in a dialog. */
export function useSpace(act: () => void): void {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  // Before the step can be seen, not after: a key struck at once must not be lost.
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key !== ' ' || e.repeat) return;
      const at = e.target instanceof Element ? e.target : null;
      if (at?.closest('[role="dialog"], a, input, textarea, button')) return;
      e.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}

function Running({ job, made, run }: { job: Job; made: Plan; run: Run }) {
  const state = useMemo(() => foldRun(run), [run]);
  const now = useNow(state.ended === 'no');
  const send = async (kind: Struck) => {
    wakeSound();
    const event = eventOf(run, state, kind, Date.now());
    if (!event) return;
    const r = await addRunEvent(run.id, event, run.events.length);
    if (!r.ok) notifyProblem(r.problem);
  };
  return (
    <RunBoard
      job={job}
      made={made}
      run={run}
      state={state}
      nowMs={Math.max(now, state.stepStartedAt)}
      send={(k) => void send(k)}
    />
  );
}
