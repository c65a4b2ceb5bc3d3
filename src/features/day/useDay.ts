import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Result } from '@/core/basics/result';
import { spoilageOf, type Seen } from '@/core/cost/cost';
import type { DayPlan } from '@/core/day/dayPlan';
import { seenOfJobs } from '@/data/seen';
import { loadPrinted } from '@/data/shelf';
import { besideDayWorker, inDayWorker } from '@/workers/client';
import { notifyProblem } from '@/ui/notify';
import { useShopWithRuns } from '../shell/shopContext';

/** The day is laid out anew so often where nothing happens: the clock alone moves it. */
const ANEW_MS = 5 * 60_000;
/** Plays of the first answer; the many follow. */
const FIRST_PLAYS = 80;

export interface DayView {
  readonly day: DayPlan | null;
  /** The day before the newest change. */
  readonly before: DayPlan | null;
  /** Whether it is being laid out anew, and whether its chances still come from few plays. */
  readonly busy: boolean;
  readonly rough: boolean;
}

/** The many plays, half in each of two workers. */
async function refinedDay(day: DayPlan): Promise<Result<DayPlan>> {
  const of = { problem: day.problem, policy: day.policy };
  const [a, b] = await Promise.all([
    inDayWorker('Day plan', (w) => w.play(of, 0, 2)),
    besideDayWorker('Day plan', (w) => w.play(of, 1, 2)),
  ]);
  if (!a.ok) return a;
  if (!b.ok) return b;
  return inDayWorker('Day plan', (w) => w.refine(day, [a.value, b.value]));
}

/** A moment that moves on by itself. */
function useTick(everyMs: number): number {
  const [at, setAt] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setAt(Date.now()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return at;
}

/** The jobs of the shop as a day, from the worker; laid out anew whenever a job, the shop or a run changes. */
export function useDay(): DayView {
  const { shop, jobs, proven } = useShopWithRuns();
  const all = useMemo(() => jobs.map((r) => r.job), [jobs]);
  const seen = useLiveQuery(async () => ({ of: await seenOfJobs(all), sheets: await loadPrinted() }), [all]);
  // Read anew with every change of a job, and nearly always the same.
  const seenText = seen && JSON.stringify(seen);
  const tick = useTick(ANEW_MS);
  const [view, setView] = useState<DayView>({ day: null, before: null, busy: true, rough: true });
  const last = useRef<DayPlan | null>(null);
  useEffect(() => {
    if (!seenText) return;
    const { of, sheets } = JSON.parse(seenText) as {
      readonly of: Readonly<Record<string, Seen>>;
      readonly sheets: Readonly<Record<string, number>>;
    };
    const stop = new AbortController();
    const spoilage = Object.fromEntries(Object.entries(of).map(([id, s]) => [id, spoilageOf(s)]));
    const request = {
      jobs: all,
      shop,
      proven,
      nowMs: Math.max(tick, Date.now()),
      spoilage,
      sheets,
      plays: FIRST_PLAYS,
    };
    const order = last.current;
    const sameJobs = order && order.jobs.length === all.length ? order.policy : null;
    void (async () => {
      setView((v) => ({ ...v, busy: true }));
      const made = await inDayWorker('Day plan', (w) => w.plan(request, sameJobs));
      if (stop.signal.aborted) return;
      if (!made.ok) {
        notifyProblem(made.problem);
        return;
      }
      const before = last.current;
      last.current = made.value;
      setView({ day: made.value, before, busy: false, rough: true });
      const more = await refinedDay(made.value);
      if (stop.signal.aborted || !more.ok) return;
      last.current = more.value;
      setView((v) => ({ ...v, day: more.value, rough: false }));
    })();
    return () => stop.abort();
  }, [all, shop, proven, seenText, tick]);
  return view;
}
