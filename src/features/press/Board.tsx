'use client';

import { usePageTitle } from '@/ui/usePageTitle';
import { date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef } from 'react';
import { calling, inOrderOfNeed, type Lane } from '@/core/run/board';
import type { RunWithState } from '@/core/run/pieces';
import { useRemembered } from '@/ui/remembered';
import { Brand } from '../shell/Brand';
import { useShop } from '../shell/shopContext';
import { PressLane } from './Band';
import { FollowBanner, JumpBanner } from './Banners';
import { DoneRuns, doneRuns } from './DoneRuns';
import { HandTasks } from './Hands';
import { wordsOf } from './laneWords';
import { NotifyButton } from './NotifyButton';
import { PressButton } from './PressButton';
import { AnotherJob, ReadyJobs } from './ReadyJobs';
import { useShopNow } from './shopTime';
import { tap } from './tap';
import { useAttention, useWakeLock } from './useAttention';
import { useLead } from './useLead';
import { useStepKeys } from './useStepKeys';
import { lanesAt, useForecast, useRunsOn, type ShownForecast, type RunsOn } from './useRuns';
import { Who } from './Who';

/** A press that moved on the board under a finger is not the one that was meant: taps wait so long after the order changed. */
const SETTLE_MS = 400;

/** What is said of all presses together. */
function summary({ runs, jobs }: RunsOn, latest: ShownForecast | null): Message {
  const done = [...jobs.values()].reduce((n, j) => n + j.pieces.good, 0);
  const all = [...jobs.values()].reduce((n, j) => n + j.total, 0);
  const at = (s: number) => date((latest?.atMs ?? 0) + s * 1000, 'time');
  const when = latest
    ? say('press.finishedAboutNineTimes', {
        usual: at(latest.forecast.usualS),
        ninety: at(latest.forecast.ninetyS),
      })
    : '';
  return say('press.runningPieces', { runs: runs.length, done, all, when });
}

/** All presses, in the order in which they need hands: readable from two metres, worked in gloves. */
export function PressBoard() {
  const t = useWords();
  usePageTitle(t('common.pressing'));
  const on = useRunsOn();
  const { lead, takeOver } = useLead();
  const now = useShopNow(on.runs, lead === 'leading');
  const latest = useForecast(on, now);
  const { shop } = useShop();
  const [byNeed, setByNeed] = useRemembered('press-order', true);
  const lanes = lanesAt(on.runs, now, on.pace);
  const shown = byNeed ? inOrderOfNeed(lanes) : lanes;
  const call = calling(lanes);
  const done = doneRuns(on.all, now);
  // What hands do is calculated once a second and at every step, however many clocks tick in between.
  const second = Math.floor(now / 1000);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const steady = useMemo(() => ({ lanes, nowMs: now }), [second, on]);
  const { numbers } = on;
  const numberOf = useCallback((of: RunWithState): number => numbers.get(of.run.press.id) ?? 0, [numbers]);
  const open = lead !== 'following';

  const placed = useSettled(shown.map((l) => l.run.id).join(' '));
  const called = useSettled(call?.run.id ?? null);
  const act = (lane: Lane) => {
    if (open && !(lane.step.timed && !lane.clock.up)) void tap(lane, 'done');
  };
  const onNext = useLatest((lane: Lane) => {
    if (placed()) act(lane);
  });
  useStepKeys({
    onSpace: () => call && called() && act(call),
    onNumber: (n) => {
      const lane = lanes.find((l) => numberOf(l) === n);
      if (lane) act(lane);
    },
  });
  useWakeLock(lanes.length > 0);
  useAttention(
    lanes
      .filter((l) => l.need === 'time up' || l.need === 'display')
      .map((l) => ({
        key: `${l.run.id} ${l.run.events.length} ${l.need}`,
        press: numberOf(l) - 1,
        text: `${l.run.press.name}: ${l.need === 'time up' ? t('press.timeUp') : t('press.readDisplay')}`,
      })),
    { lead: lead === 'leading', sound: shop.settings.sound, nowMs: now },
  );
  return (
    <main className="on-night flex min-h-dvh flex-col bg-night text-pale lg:h-dvh">
      <header className="flex flex-wrap items-center gap-x-6 border-b-2 border-strata-2 px-4 sm:pr-6 sm:pl-0">
        <Brand />
        <h1 className="font-name text-head font-semibold">{t('common.pressing')}</h1>
        {lanes.length > 0 && (
          <p className="text-lead" data-forecast-at={latest?.atMs}>
            {t(summary(on, latest))}
          </p>
        )}
        <p className="ml-auto font-name text-head font-semibold">
          <Q of={date(now, 'time')} />
        </p>
      </header>
      <FollowBanner lead={lead} takeOver={takeOver} />
      <JumpBanner />
      <p aria-live="assertive" className="sr-only">
        {call
          ? `${call.run.press.name}: ${call.need === 'time up' ? t('press.timeUp') : t(wordsOf(call.step, call.run).done)}`
          : ''}
      </p>
      {lanes.length === 0 ? (
        <ReadyJobs done={done} nowMs={now} />
      ) : (
        <div className="grid min-h-0 flex-1 gap-5 px-4 py-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_20rem] xl:grid-cols-[minmax(0,1fr)_23rem]">
          <div className="grid auto-rows-min content-start gap-3 lg:overflow-y-auto">
            {shown.map((lane) => (
              <PressLane
                key={lane.run.id}
                lane={lane}
                number={numberOf(lane)}
                jobName={on.jobs.get(lane.run.jobId)?.job.name ?? t('press.removedJob')}
                toCome={on.jobs.get(lane.run.jobId)?.toCome ?? 0}
                calls={call?.run.id === lane.run.id}
                open={open}
                onNext={onNext}
              />
            ))}
            <DoneRuns runs={done} nowMs={now} />
          </div>
          <HandTasks
            lanes={steady.lanes}
            pace={on.pace}
            jobs={on.jobs}
            all={on.all}
            numberOf={numberOf}
            nowMs={steady.nowMs}
            open={open}
          />
        </div>
      )}
      {lanes.length > 0 && (
        <footer className="flex flex-wrap items-center gap-3 border-t-2 border-strata-2 px-4 py-2 sm:px-6">
          <AnotherJob />
          <PressButton onClick={() => setByNeed(!byNeed)}>
            {byNeed ? t('press.fixedOrder') : t('press.sortNeed')}
          </PressButton>
          <Who />
          <NotifyButton />
        </footer>
      )}
    </main>
  );
}

/** Tells whether what a tap is about has been what it is for a moment; nothing before it leaves no doubt about what was meant. */
function useSettled(what: string | null): () => boolean {
  const movedAt = useRef(-SETTLE_MS);
  const before = useRef<string | null>(null);
  useEffect(() => {
    if (before.current !== null && what !== null && before.current !== what)
      movedAt.current = performance.now();
    before.current = what;
  }, [what]);
  return () => performance.now() - movedAt.current >= SETTLE_MS;
}

/** One function that always does what the newest one would: what is handed down stays the same. */
function useLatest<A>(f: (a: A) => void): (a: A) => void {
  const latest = useRef(f);
  useLayoutEffect(() => {
    latest.current = f;
  });
  return useCallback((a) => latest.current(a), []);
}
