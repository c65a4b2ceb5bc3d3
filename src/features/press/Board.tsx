'use client';

import Link from 'next/link';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { calling, inOrderOfNeed, type Lane } from '@/core/run/board';
import { clockTimeText } from '@/ui/dates';
import { useRemembered } from '@/ui/remembered';
import { Brand } from '../shell/Brand';
import { useShop } from '../shell/shopContext';
import { Band } from './Band';
import { FollowBanner, JumpBanner } from './Banners';
import { Hands } from './Hands';
import { wordsOf } from './laneWords';
import { NotifyButton } from './NotifyButton';
import { PressButton } from './PressButton';
import { ReadyJobs } from './ReadyJobs';
import { shopNow, useShopNow } from './shopTime';
import { strike } from './strike';
import { useAttention, useWakeLock } from './useAttention';
import { useLead } from './useLead';
import { useStepKeys } from './useStepKeys';
import { lanesAt, useForecast, useRunsOn, type Foretold, type RunsOn } from './useRuns';
import { Who } from './Who';

/** A press that moved on the board under a finger is not the one that was meant: taps wait so long after the order changed. */
const SETTLE_MS = 400;

/** What is said of all presses together. */
function summary({ runs, jobs }: RunsOn, told: Foretold | null): string {
  const done = [...jobs.values()].reduce((n, j) => n + j.pieces.good, 0);
  const all = [...jobs.values()].reduce((n, j) => n + j.total, 0);
  const at = (s: number) => clockTimeText(new Date((told?.atMs ?? 0) + s * 1000));
  const when = told
    ? ` · all done about ${at(told.forecast.usualS)}, nine in ten by ${at(told.forecast.ninetyS)}`
    : '';
  return `${runs.length} running · ${done} of ${all} pieces${when}`;
}

/** All presses, in the order in which they need hands: readable from two metres, worked in gloves. */
export function Board() {
  const on = useRunsOn();
  const now = useShopNow(on.runs);
  const told = useForecast(on, now);
  const { lead, takeOver } = useLead();
  const { shop } = useShop();
  const [byNeed, setByNeed] = useRemembered('press-order', true);
  const lanes = lanesAt(on.runs, now, on.pace);
  const shown = byNeed ? inOrderOfNeed(lanes) : lanes;
  const call = calling(lanes);
  const numbers = useMemo(() => new Map(on.runs.map((r, i) => [r.run.id, i + 1])), [on.runs]);
  const numberOf = (id: string): number => numbers.get(id) ?? 0;
  const open = lead !== 'following';

  const settled = useSettled(`${call?.run.id} ${shown.map((l) => l.run.id).join(' ')}`);
  const next = useCallback(
    (lane: Lane) => {
      if (open && settled() && !(lane.step.timed && !lane.clock.up)) void strike(lane, 'done');
    },
    [open, settled],
  );
  useStepKeys({
    onSpace: () => call && next(call),
    onNumber: (n) => lanes[n - 1] && next(lanes[n - 1] as Lane),
  });
  useWakeLock(lanes.length > 0);
  useAttention(
    lanes
      .filter((l) => l.need === 'time up' || l.need === 'display')
      .map((l) => ({
        key: `${l.run.id} ${l.run.events.length} ${l.need}`,
        press: numberOf(l.run.id) - 1,
        text: `${l.run.press.name}: ${l.need === 'time up' ? 'time is up' : 'read the display'}`,
      })),
    { lead: lead === 'leading', sound: shop.settings.sound },
  );
  return (
    <main className="on-night flex min-h-dvh flex-col bg-night text-pale lg:h-dvh">
      <header className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b-2 border-strata-2 py-1 pr-6">
        <Brand />
        <h1 className="font-name text-head font-semibold">At the presses</h1>
        {lanes.length > 0 && <p className="text-lead">{summary(on, told)}</p>}
        <p className="ml-auto font-name text-head font-semibold">{clockTimeText(new Date(now))}</p>
      </header>
      <FollowBanner lead={lead} takeOver={takeOver} />
      <JumpBanner />
      <p aria-live="assertive" className="sr-only">
        {call
          ? `${call.run.press.name}: ${call.need === 'time up' ? 'time is up' : wordsOf(call.step, call.run).done}`
          : ''}
      </p>
      {lanes.length === 0 ? (
        <ReadyJobs />
      ) : (
        <div className="grid min-h-0 flex-1 gap-5 px-4 py-4 sm:px-6 lg:grid-cols-[minmax(0,1fr)_23rem]">
          <div className="grid auto-rows-min content-start gap-3.5 lg:overflow-y-auto">
            {shown.map((lane) => (
              <Band
                key={lane.run.id}
                lane={lane}
                number={numberOf(lane.run.id)}
                jobName={on.jobs.get(lane.run.jobId)?.job.name ?? 'A job taken out'}
                toCome={on.jobs.get(lane.run.jobId)?.toCome ?? 0}
                calls={call?.run.id === lane.run.id}
                open={open}
                onNext={next}
              />
            ))}
            <div className="flex flex-wrap items-center gap-3">
              <PressButton onClick={() => setByNeed(!byNeed)}>
                {byNeed ? 'Keep presses in their places' : 'Sort by need'}
              </PressButton>
              <Who />
              <NotifyButton />
              <Link
                href="/"
                className="inline-flex min-h-16 items-center px-5 font-label text-name font-semibold underline underline-offset-4"
              >
                Start another job
              </Link>
            </div>
          </div>
          <Hands lanes={lanes} pace={on.pace} jobs={on.jobs} numberOf={numberOf} nowMs={now} open={open} />
        </div>
      )}
    </main>
  );
}

/** Tells whether what a tap is about has stood where it stands for a moment. */
function useSettled(order: string): () => boolean {
  const movedAt = useRef(0);
  const first = useRef(true);
  useEffect(() => {
    movedAt.current = first.current ? 0 : shopNow();
    first.current = false;
  }, [order]);
  return useCallback(() => shopNow() - movedAt.current >= SETTLE_MS, []);
}
