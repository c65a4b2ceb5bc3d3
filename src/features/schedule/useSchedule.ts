import { say } from '@/core/message/message';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import { spoilageOf, type PressedCounts } from '@/core/cost/cost';
import type { DayPlan } from '@/core/day/dayPlan';
import { seenOfJobs } from '@/data/seen';
import { loadPrinted } from '@/data/stock';
import { inDayWorker } from '@/workers/client';
import { notifyProblem } from '@/ui/notify';
import { useShopWithRuns } from '../shell/shopContext';

/** The day is laid out again so often where nothing happens: the clock alone moves it. */
const ANEW_MS = 5 * 60_000;

/** Questions asked of the worker by this page. */
let questions = 0;

export interface DayView {
  readonly day: DayPlan | null;
  /** Whether it is being laid out again. */
  readonly busy: boolean;
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

/** The jobs of the shop as a day, from the worker; laid out again whenever a job, the shop or a run changes. */
export function useDay(): DayView {
  const { shop, jobs, proven } = useShopWithRuns();
  const all = useMemo(() => jobs.map((r) => r.job), [jobs]);
  const seen = useLiveQuery(async () => ({ of: await seenOfJobs(all), sheets: await loadPrinted() }), [all]);
  // Read again with every change of a job, and nearly always the same.
  const seenText = seen && JSON.stringify(seen);
  const tick = useTick(ANEW_MS);
  const [view, setView] = useState<DayView>({ day: null, busy: true });
  const last = useRef<DayPlan | null>(null);
  useEffect(() => {
    if (!seenText) return;
    const { of, sheets } = JSON.parse(seenText) as {
      readonly of: Readonly<Record<string, PressedCounts>>;
      readonly sheets: Readonly<Record<string, number>>;
    };
    const stop = new AbortController();
    const number = (questions += 1);
    const spoilage = Object.fromEntries(Object.entries(of).map(([id, s]) => [id, spoilageOf(s)]));
    const request = {
      jobs: all,
      shop,
      proven,
      nowMs: Math.max(tick, Date.now()),
      spoilage,
      sheets,
    };
    const order = last.current;
    const sameJobs = order && order.jobs.length === all.length ? order.policy : null;
    // A newer question ends this one in the worker, and so does leaving the page.
    stop.signal.addEventListener(
      'abort',
      () => void inDayWorker(say('common.schedule'), (w) => w.stop(number)),
    );
    void (async () => {
      setView((v) => ({ ...v, busy: true }));
      let from = sameJobs;
      for (const depth of ['first plan', 'whole'] as const) {
        const made = await inDayWorker(say('common.schedule'), (w) => w.plan(number, request, depth, from));
        if (stop.signal.aborted) return;
        if (!made.ok) {
          notifyProblem(made.problem);
          return;
        }
        if (!made.value) return;
        last.current = made.value;
        setView({ day: made.value, busy: false });
        from = made.value.later === 0 ? made.value.policy : sameJobs;
      }
    })();
    return () => stop.abort();
  }, [all, shop, proven, seenText, tick]);
  return view;
}
