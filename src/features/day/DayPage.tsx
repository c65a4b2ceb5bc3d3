'use client';

import { ChevronLeft, ChevronRight } from 'lucide-react';
import { Link } from '@/ui/Link';
import { useEffect, useMemo, useState } from 'react';
import { AT_RISK, type DayPlan } from '@/core/day/dayPlan';
import type { Outlook } from '@/core/stock/wants';
import { changeJob } from '@/data/jobs';
import { Button } from '@/ui/Button';
import { Segments } from '@/ui/Segments';
import { ShopFrame } from '../shell/ShopFrame';
import { amountText } from '../shelf/shelfWords';
import { useShelf } from '../shelf/useShelf';
import { useShop } from '../shell/shopContext';
import { dayRange, firstDay, rowsOf, wholeRange } from './chart';
import { DayChart } from './DayChart';
import { DayFigures, Delays, Promises } from './DayAside';
import { delays, msOf, pieceCount, weekdayText, dateText, whenText } from './dayWords';
import { PlaceJob } from './PlaceJob';
import { useDay } from './useDay';
import { useEarned } from './useEarned';
import { usePlacing } from './usePlacing';
import { WhatIfs } from './WhatIfs';

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
function warnings(day: DayPlan): readonly string[] {
  const at = (s: number) => whenText(msOf(day, s), day.nowMs);
  return [
    ...(day.problem.people === 0 ? ['No people are set. Enter their number in Settings.'] : []),
    ...(day.windows.length === 0 ? ['No working hours are set. Add them in Settings.'] : []),
    ...day.overloaded.map(
      (o) =>
        `${o.circuitName} carries ${o.carriesA.toFixed(1)} A continuously; ${o.pressName} on it draws ${o.drawsA.toFixed(1)} A. Connect it to another circuit. Local electrical code and a licensed electrician decide.`,
    ),
    ...day.jobs
      .filter((j) => j.inTime !== null && j.inTime < AT_RISK)
      .sort((a, b) => (a.inTime ?? 1) - (b.inTime ?? 1))
      .map((j) => {
        const due = j.dueS === null ? '' : at(j.dueS);
        if (j.latestS === null)
          return Number.isFinite(j.endS)
            ? `${j.name} is unlikely to be ready by ${due}: started now, it is packed about ${at(j.endS)}.`
            : `${j.name} cannot be ready by ${due}.`;
        return `${j.name} must start by ${at(j.latestS)} to be ready by ${due}. Chance of being on time: ${Math.round((j.inTime ?? 0) * 100)} %.`;
      }),
    ...(day.jobs.some((j) => !Number.isFinite(j.endS)) && day.problem.people > 0 && day.windows.length > 0
      ? [
          'Some work is never done: a job has no press that can be switched on. Check the circuits in Settings.',
        ]
      : []),
  ];
}

/** Blanks that jobs of the day will lack. */
const shortages = (shelf: readonly Outlook[] | null): readonly string[] =>
  (shelf ?? [])
    .filter((o) => o.item.kind === 'blank' && o.shortFor !== null)
    .map(
      (o) =>
        `${o.item.name}: ${amountText(o.balance.onHand)} in stock, ${amountText(o.taken)} needed. It runs out for ${o.shortFor ?? ''}.`,
    );

/** The jobs of the shop as one day: lines of time, what they add up to, and what would change them. */
export function DayPage() {
  const { shop } = useShop();
  const { day, busy } = useDay();
  return (
    <ShopFrame
      title={day ? weekdayText(day.nowMs) : 'Schedule'}
      about={
        day
          ? `${day.jobs.length} ${day.jobs.length === 1 ? 'job' : 'jobs'} · ${pieceCount(day)} pieces${day.jobs.length > 0 ? ` · finished about ${whenText(msOf(day, day.spread.usualS), day.nowMs)}, nine in ten by ${whenText(msOf(day, day.spread.ninetyS), day.nowMs)}` : ''}${day.later > 0 ? ` · ${day.later} more jobs are being added` : ''}${busy || day.depth !== 'whole' ? ' …' : ''}`
          : 'calculating…'
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
          All open jobs are being scheduled over presses, people and working hours.
        </p>
      )}
    </ShopFrame>
  );
}

const Nothing = () => (
  <div className="grid gap-2 p-8 text-lead">
    <p>No open jobs. Start a job with a blank, a press and a due date to see it here.</p>
    <Link href="/" className="underline">
      Go to jobs
    </Link>
  </div>
);

interface LaidProps {
  readonly day: DayPlan;
  readonly shop: ReturnType<typeof useShop>['shop'];
}

function Laid({ day, shop }: LaidProps) {
  const { settings } = shop;
  const [shown, setShown] = useState<number | null>(null);
  const [view, setView] = useState<'day' | 'all'>('day');
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
    <div className="flex h-full flex-col lg:flex-row">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <Toolbar view={view} onView={setView} days={days} shownMs={shownMs} onDays={setShown} />
        <div className="min-h-96 flex-1 lg:min-h-0">
          <DayChart
            day={day}
            rows={rows}
            range={range}
            nowS={nowS}
            chosen={chosen}
            onChoose={(w) => setChosenId(w === null || w === chosen ? null : (day.jobs[w]?.id ?? null))}
            onMove={move}
          />
        </div>
        <Foot day={day} />
      </div>
      <aside
        aria-label="Details"
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
        <h2 className="font-name text-lead font-semibold">Details</h2>
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

interface ToolbarProps {
  readonly view: 'day' | 'all';
  readonly onView: (view: 'day' | 'all') => void;
  readonly days: number;
  readonly shownMs: number;
  readonly onDays: (days: number) => void;
}

function Toolbar({ view, onView, days, shownMs, onDays }: ToolbarProps) {
  return (
    <div className="flex flex-wrap items-center gap-2 border-b border-rule px-3 py-1.5">
      <Segments
        label="Show"
        value={view}
        options={[
          { value: 'day', label: 'One day' },
          { value: 'all', label: 'Whole schedule' },
        ]}
        onChange={onView}
      />
      {view === 'day' && (
        <>
          <Button kind="quiet" aria-label="Day before" disabled={days === 0} onClick={() => onDays(days - 1)}>
            <ChevronLeft size={18} aria-hidden />
          </Button>
          <span className="min-w-28 text-center font-label font-semibold">
            {weekdayText(shownMs)} {dateText(shownMs)}
          </span>
          <Button kind="quiet" aria-label="Day after" onClick={() => onDays(days + 1)}>
            <ChevronRight size={18} aria-hidden />
          </Button>
        </>
      )}
      <span className="ml-auto hidden text-fine text-soft xl:inline">
        Drag a load to lock its job to a press and a time.
      </span>
    </div>
  );
}

/** Jobs a person held back, to be let in again. */
function WaitingBack({ day }: { day: DayPlan }) {
  const held = day.leftOut.filter((l) => l.left.why === 'waits');
  if (held.length === 0) return null;
  return (
    <ul aria-label="On hold" className="mt-1 flex flex-wrap gap-2">
      {held.map((l) => (
        <li key={l.jobId}>
          <Button onClick={() => void changeJob(l.jobId, (j) => ({ ...j, day: { ...j.day, waits: false } }))}>
            Schedule {l.name}
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** What stands in the way, and the one next step. */
function Foot({ day }: { day: DayPlan }) {
  const { shelf } = useShelf();
  const found = [...warnings(day), ...shortages(shelf)];
  return (
    <div className="flex items-center gap-3 border-t-2 border-ink bg-sheet px-4 py-2">
      <ul aria-label="Problems" className="min-w-0 flex-1">
        {found.length === 0 ? (
          <li className="text-soft">Every job is packed by its due date, nine times in ten.</li>
        ) : (
          found.slice(0, 2).map((w) => (
            <li key={w} className="flex items-stretch gap-2.5">
              <span aria-hidden className="w-1.5 shrink-0 bg-act" />
              <span className="py-0.5 leading-snug">{w}</span>
            </li>
          ))
        )}
        {found.length > 2 && <li className="font-label text-fine text-soft">and {found.length - 2} more</li>}
      </ul>
      <Link
        href="/pressing"
        className="inline-flex min-h-12 shrink-0 items-center bg-act px-5 font-name text-name font-semibold text-white hover:bg-act-deep"
      >
        Start the day
      </Link>
    </div>
  );
}
