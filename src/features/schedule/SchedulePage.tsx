'use client';

import { decimal, date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { Link } from '@/ui/Link';
import { useEffect, useMemo, useState } from 'react';
import { AT_RISK, type DayPlan } from '@/core/day/dayPlan';
import type { ItemForecast } from '@/core/stock/wants';
import { changeJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Segments } from '@/ui/Segments';
import { ShopFrame } from '../shell/ShopFrame';
import { amountOf } from '../stock/stockWords';
import { StoodNote } from '../sheet/StoodNote';
import { useStock } from '../stock/useStock';
import { useShop } from '../shell/shopContext';
import { dayRange, firstDay, rowsOf, wholeRange } from './chart';
import { DayChart } from './ScheduleChart';
import { DayFigures, Delays, Promises } from './ScheduleAside';
import { delays, msOf, pieceCount, whenAt } from './dayWords';
import { PlaceJob } from './PlaceJob';
import { useDay } from './useSchedule';
import { useEarned } from './useEarned';
import { usePlacing } from './usePlacing';
import { WhatIfs } from './WhatIfs';
import { WorkLists } from './WorkLists';

const NOW_EVERY_MS = 20_000;

function useNowS(day: DayPlan | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), NOW_EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return day ? Math.max(0, (now - day.nowMs) / 1000) : 0;
}

/** What is wrong with the schedule, worst first: a sentence each. */
function warnings(day: DayPlan): readonly Message[] {
  const at = (s: number) => whenAt(msOf(day, s), day.nowMs);
  return [
    ...(day.problem.people === 0 ? [say('schedule.peopleSetEnterTheir')] : []),
    ...(day.windows.length === 0 ? [say('schedule.workingHoursSetAdd')] : []),
    ...day.overloaded.map((o) =>
      say('schedule.carriesContinuouslyDrawsConnect', {
        circuitName: o.circuitName,
        carriesA: decimal(o.carriesA, 1),
        pressName: o.pressName,
        drawsA: decimal(o.drawsA, 1),
      }),
    ),
    ...day.jobs
      .filter((j) => j.inTime !== null && j.inTime < AT_RISK)
      .sort((a, b) => (a.inTime ?? 1) - (b.inTime ?? 1))
      .map((j) => {
        const due = j.dueS === null ? '' : at(j.dueS);
        if (j.latestS === null)
          return Number.isFinite(j.endS)
            ? say('schedule.unlikelyReadyStartedNow', { j: j.name, due, end: at(j.endS) })
            : say('schedule.cannotReady', { j: j.name, due });
        return say('schedule.mustStartReadyChance', {
          j: j.name,
          latest: at(j.latestS),
          due,
          inTime: Math.round((j.inTime ?? 0) * 100),
        });
      }),
    ...(day.jobs.some((j) => !Number.isFinite(j.endS)) && day.problem.people > 0 && day.windows.length > 0
      ? [say('schedule.someWorkNeverDone')]
      : []),
  ];
}

/** Blanks that jobs of the day will lack. */
const shortages = (stock: readonly ItemForecast[] | null): readonly Message[] =>
  (stock ?? [])
    .filter((o) => o.item.kind === 'blank' && o.shortFor !== null)
    .map((o) =>
      say('schedule.stockNeededRunsOut', {
        item: o.item.name,
        onHand: amountOf(o.balance.onHand),
        taken: amountOf(o.taken),
        shortFor: o.shortFor ?? '',
      }),
    );

/** The jobs of the shop as one day: lines of time, what they add up to, and what would change them. */
export function SchedulePage() {
  const t = useWords();
  const { shop } = useShop();
  const { day, busy } = useDay();
  return (
    <ShopFrame
      title={day ? t.quantity(date(day.nowMs, 'weekday')) : t('common.schedule')}
      pageTitle={t('common.schedule')}
      about={
        day
          ? t('schedule.jobsJobsJob', {
              jobs: day.jobs.length,
              day: pieceCount(day),
              whenText: whenAt(msOf(day, day.spread.usualS), day.nowMs),
              whenText2: whenAt(msOf(day, day.spread.ninetyS), day.nowMs),
              which: day.jobs.length > 0 ? 'finishedAboutN' : 'other',
              later: day.later,
              which2: day.later > 0 ? 'moreJobsBeingA' : 'other',
              which3: busy || day.depth !== 'whole' ? 'n' : 'other',
            })
          : t('common.calculatingNow')
      }
    >
      {day ? (
        day.jobs.length === 0 && day.leftOut.length === 0 ? (
          <Nothing />
        ) : (
          <Laid day={day} shop={shop} />
        )
      ) : (
        <p className="p-6 text-soft" role="status">
          {t('schedule.allOpenJobsBeing')}
        </p>
      )}
    </ShopFrame>
  );
}

const Nothing = () => {
  const t = useWords();
  return (
    <div className="grid gap-2 p-8 text-lead">
      <p>{t('schedule.openJobsStartJob')}</p>
      <Link href="/" className="underline">
        {t('common.goJobs')}
      </Link>
    </div>
  );
};

interface LaidProps {
  readonly day: DayPlan;
  readonly shop: ReturnType<typeof useShop>['shop'];
}

function Laid({ day, shop }: LaidProps) {
  const t = useWords();
  const { settings } = shop;
  const [shown, setShown] = useState<number | null>(null);
  const [view, setView] = useState<View>('day');
  const [chosenId, setChosenId] = useState<string | null>(null);
  const nowS = useNowS(day);
  const days = shown ?? firstDay(day);
  const names = useMemo(
    () => ({
      printers: settings.printers.map((p) => p.name),
      people: settings.people,
      circuits: settings.day.circuits.map((c) => c.name),
    }),
    [settings],
  );
  const rows = useMemo(() => rowsOf(day, names), [day, names]);
  const range = useMemo(() => (view === 'all' ? wholeRange(day) : dayRange(day, days)), [day, days, view]);
  const found = day.jobs.findIndex((j) => j.id === chosenId);
  const chosen = found >= 0 ? found : null;
  const job = day.jobs[found];
  const earned = useEarned(day);

  const { change, setPins, move, wait } = usePlacing(day, setChosenId);
  const shownMs = msOf(day, range.fromS);
  return (
    <div className="flex h-full flex-col max-lg:overflow-y-auto lg:flex-row">
      <div className="flex min-w-0 flex-col max-lg:shrink-0 lg:min-h-0 lg:flex-1">
        <Toolbar view={view} onView={setView} days={days} shownMs={shownMs} onDays={setShown} />
        <div className="min-h-96 flex-1 lg:min-h-0">
          {view === 'lists' ? (
            <WorkLists day={day} people={names.people} range={range} nowS={nowS} />
          ) : (
            <DayChart
              day={day}
              rows={rows}
              range={range}
              nowS={nowS}
              chosen={chosen}
              onChoose={(w) => setChosenId(w === null || w === chosen ? null : (day.jobs[w]?.id ?? null))}
              onMove={move}
            />
          )}
        </div>
        <Foot day={day} />
      </div>
      <aside
        aria-label={t('common.details')}
        tabIndex={0}
        className="shrink-0 border-t-2 border-ink bg-sheet px-3 py-2 lg:w-72 lg:overflow-y-auto lg:border-t-0 lg:border-l-2"
      >
        {change && <Delays list={delays(change.before, day)} onUndo={change.undo} />}
        {job && (
          <PlaceJob
            key={`${job.id} ${String(job.pinned)}`}
            day={day}
            job={job}
            work={found}
            shownMs={shownMs}
            presses={shop.presses.filter((p) => job.presses.some((i) => day.presses[i]?.id === p.id))}
            onPin={(pressId, from) => void setPins(job.id, [{ pressId, from: Math.round(from) }])}
            onFree={() => void setPins(job.id, [])}
            onWait={() => void wait(job.id)}
            onClose={() => setChosenId(null)}
          />
        )}
        {shop.settings.printers.map((p) => (
          <StoodNote key={p.id} printer={p} />
        ))}
        <h2 className="font-name text-lead font-semibold">{t('common.details')}</h2>
        <DayFigures day={day} names={names} earned={earned} />
        <Promises
          day={day}
          chosen={chosen}
          onChoose={(w) => setChosenId(w === chosen ? null : (day.jobs[w]?.id ?? null))}
        />
        <WaitingBack day={day} />
        <WhatIfs day={day} shop={shop} />
      </aside>
    </div>
  );
}

/** One day as lines of time, all days so, or one day as a list for each person. */
type View = 'day' | 'all' | 'lists';

interface ToolbarProps {
  readonly view: View;
  readonly onView: (view: View) => void;
  readonly days: number;
  readonly shownMs: number;
  readonly onDays: (days: number) => void;
}

function Toolbar({ view, onView, days, shownMs, onDays }: ToolbarProps) {
  const t = useWords();
  return (
    <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-1.5">
      <Segments
        label={t('schedule.show')}
        value={view}
        options={[
          { value: 'day', label: t('schedule.oneDay') },
          { value: 'all', label: t('schedule.wholeSchedule') },
          { value: 'lists', label: t('schedule.workLists') },
        ]}
        onChange={onView}
      />
      {view !== 'all' && (
        <div className="flex items-center gap-2">
          <Button
            kind="quiet"
            aria-label={t('schedule.dayBefore')}
            disabled={days === 0}
            onClick={() => onDays(days - 1)}
          >
            <ChevronLeft size={18} aria-hidden />
          </Button>
          <span className="min-w-28 text-center font-label font-semibold">
            <Q of={date(shownMs, 'weekdayAndDay')} />
          </span>
          <Button kind="quiet" aria-label={t('schedule.dayAfter')} onClick={() => onDays(days + 1)}>
            <ChevronRight size={18} aria-hidden />
          </Button>
        </div>
      )}
      <span className="ml-auto hidden text-fine text-soft xl:inline">{t('schedule.dragLoadLockJob')}</span>
    </div>
  );
}

/** Jobs a person held back, to be let in again. */
function WaitingBack({ day }: { day: DayPlan }) {
  const t = useWords();
  const held = day.leftOut.filter((l) => l.left.why === 'waits');
  if (held.length === 0) return null;
  return (
    <ul aria-label={t('schedule.onHold')} className="mt-1 flex flex-wrap gap-2">
      {held.map((l) => (
        <li key={l.jobId}>
          <Button onClick={() => void changeJob(l.jobId, (j) => ({ ...j, day: { ...j.day, waits: false } }))}>
            {t('schedule.schedule2', { l: l.name })}
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** What stands in the way, and the one next step. */
function Foot({ day }: { day: DayPlan }) {
  const t = useWords();
  const { stock } = useStock();
  const found = [...warnings(day), ...shortages(stock)];
  return (
    <div className="flex items-center gap-3 border-t-2 border-ink bg-sheet px-4 py-2">
      <ul aria-label={t('schedule.problems')} className="min-w-0 flex-1">
        {found.length === 0 ? (
          <li className="text-soft">{t('schedule.everyJobPackedDue')}</li>
        ) : (
          found.slice(0, 2).map((w, i) => (
            <li key={i} className="flex items-stretch gap-2.5">
              <span aria-hidden className="w-1.5 shrink-0 bg-act" />
              <span className="py-0.5 leading-snug">{t(w)}</span>
            </li>
          ))
        )}
        {found.length > 2 && (
          <li className="font-label text-fine text-soft">
            {t('schedule.andMore', { found: found.length - 2 })}
          </li>
        )}
      </ul>
      <Link
        href="/pressing"
        className="inline-flex min-h-12 shrink-0 items-center bg-act px-5 font-name text-name font-semibold text-white hover:bg-act-deep"
      >
        {t('schedule.startDay')}
      </Link>
    </div>
  );
}
