'use client';

import { useWords, Q } from '@/ui/words';
import { verbatim, say } from '@/core/message/message';
import { decimal, span, whole, moneyOf } from '@/core/message/quantity';
import { Link } from '@/ui/Link';
import { useMemo } from 'react';
import { AT_RISK, type DayPlan } from '@/core/day/dayPlan';
import { figure, type Figure } from '@/core/figures/figure';
import { word } from '@/core/message/quantity';
import type { Earned } from './useEarned';
import { FigureLines } from '@/ui/FigureLines';
import { bottleneckText, leftText, msOf, shortName, whenAt, type Delay } from './dayWords';

const pct = (share: number): string => `${Math.round(share * 100)} %`;

function endFigures(day: DayPlan): readonly Figure[] {
  const at = (s: number) => whenAt(msOf(day, s), day.nowMs);
  if (day.jobs.length === 0) return [];
  return [
    figure({
      id: 'day.end',
      label: say('schedule.lastPiecePacked'),
      quantity: at(day.spread.usualS),
      origin: 'estimated',
      working: say('schedule.nineTenCasesEarliest', {
        ninety: at(day.spread.ninetyS),
        least: at(day.bound.leastS),
      }),
      arithmetic: [
        say('schedule.plannedUsualNineTen', {
          makespan: at(day.makespanS),
          plays: whole(day.plays),
        }),
        say('schedule.planPacksLastPiece', { least: at(day.bound.leastS) }),
      ],
    }),
  ];
}

function bottleneckFigure(day: DayPlan, printers: readonly string[]): readonly Figure[] {
  if (day.bound.by === 'nothing') return [];
  const presses = day.busy.presses.map((b, i) => `${day.presses[i]?.name ?? ''} ${pct(b)}`);
  return [
    figure({
      id: 'day.bottleneck',
      label: say('schedule.bottleneck'),
      quantity: word(bottleneckText(day, printers)),
      origin: 'calculated',
      working: say('schedule.peopleBusyTime', {
        hands: pct(day.busy.hands),
        value: pct(Math.max(...day.busy.presses)),
        which: day.presses.length === 0 ? 'noPress' : 'other',
      }),
      arithmetic: [
        say('schedule.workNothingElseCan', { busy: span(day.bound.busyS) }),
        ...presses.map((p) => verbatim(p)),
        say('schedule.hotPressesWaitedTaped', {
          taped: span(day.waited.taped),
          hands: span(day.waited.hands),
          place: span(day.waited.place),
        }),
      ],
    }),
  ];
}

function tapeFigure(day: DayPlan): readonly Figure[] {
  const first = day.tapeFirst.filter((t) => t.pieces > 0);
  if (first.length === 0) return [];
  const text = first
    .slice(0, 2)
    .map((t) => `${t.pieces} ${shortName(day.jobs[t.work]?.name ?? '')}`)
    .join(', ');
  return [
    figure({
      id: 'day.tape',
      label: say('schedule.tapeUpFirst'),
      quantity: word(text),
      origin: 'calculated',
      working: say('schedule.thenPressesDoWait'),
      arithmetic: first.map((t) =>
        say('schedule.of', {
          presses: day.presses[t.press]?.name ?? '',
          pieces: t.pieces,
          jobs: day.jobs[t.work]?.name ?? '',
        }),
      ),
    }),
  ];
}

function circuitFigures(day: DayPlan, names: readonly string[]): readonly Figure[] {
  return day.circuits.flatMap((c, i): Figure[] => {
    const on = day.problem.presses.filter((p) => p.circuit === i);
    if (on.length === 0) return [];
    const apart = c.togetherA > c.carriesA;
    return [
      figure({
        id: `day.circuit-${c.id}`,
        label: names[i] === undefined ? say('common.circuit') : verbatim(names[i]),
        quantity: word(say('schedule.amperes', { amperes: decimal(c.mostA, 1) })),
        origin: 'estimated',
        working: apart
          ? say('schedule.continuousLoadPressesWarmed', { carriesA: decimal(c.carriesA, 1) })
          : say('schedule.continuousLoad', { carriesA: decimal(c.carriesA, 1) }),
        arithmetic: [
          ...on.map((p) => {
            const name = day.presses.find((x) => x.id === p.id)?.name ?? '';
            return say('schedule.warmingUpMeanWork', {
              name,
              warmA: decimal(p.warmA, 1),
              warm: span(p.warmS),
              holdA: decimal(p.holdA, 1),
            });
          }),
          say('schedule.allOnceCold', { togetherA: decimal(c.togetherA, 1) }),
          say('schedule.heaterWorkOffMoments'),
        ],
      }),
    ];
  });
}

interface Props {
  readonly day: DayPlan;
  readonly names: { readonly printers: readonly string[]; readonly circuits: readonly string[] };
  readonly earned: Earned | null;
}

/** Figures of the day with their working. */
export function DayFigures({ day, names, earned }: Props) {
  const figures = useMemo(
    () => [
      ...endFigures(day),
      ...bottleneckFigure(day, names.printers),
      ...tapeFigure(day),
      ...circuitFigures(day, names.circuits),
      ...(earned
        ? [
            figure({
              id: 'day.earned',
              label: say('common.margin'),
              quantity: moneyOf(earned.currency, earned.cents),
              origin: 'estimated' as const,
              working: say('schedule.perHourLabour', {
                moneyText: moneyOf(earned.currency, earned.hourCents),
                known: earned.known,
                jobs: earned.jobs,
                which: earned.known === earned.jobs ? 'allJobsPlan' : 'other',
              }),
            }),
          ]
        : []),
    ],
    [day, names, earned],
  );
  return <FigureLines figures={figures} find={(id) => figures.find((f) => f.id === id)} />;
}

/** When each job is packed, against its date. */
export function Promises({
  day,
  chosen,
  onChoose,
}: {
  day: DayPlan;
  chosen: number | null;
  onChoose: (work: number) => void;
}) {
  const t = useWords();
  return (
    <section aria-label={t('common.jobs')}>
      <h2 className="mt-3 font-name text-lead font-semibold">{t('schedule.jobsPackingTime')}</h2>
      <ul>
        {day.jobs.map((j, i) => {
          const danger = j.inTime !== null && j.inTime < AT_RISK;
          return (
            <li key={j.id} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={chosen === i}
                onClick={() => onChoose(i)}
                className={`block min-h-11 w-full px-1 py-1.5 text-left hover:bg-board ${chosen === i ? 'bg-board' : ''}`}
              >
                <span className="flex items-baseline justify-between gap-2">
                  <span className="truncate leading-tight">{j.name}</span>
                  <span className="shrink-0 font-label font-semibold">
                    <Q of={whenAt(msOf(day, j.endS), day.nowMs)} />
                  </span>
                </span>
                <span
                  className={`flex justify-between gap-2 font-label text-fine font-medium ${danger ? 'text-act-deep' : 'text-soft'}`}
                >
                  <span>
                    {j.dueS === null
                      ? t('schedule.noDate')
                      : t('schedule.due', { when: whenAt(msOf(day, j.dueS), day.nowMs) })}
                  </span>
                  <span>{j.inTime === null ? '' : t('schedule.inTime', { inTime: pct(j.inTime) })}</span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {day.leftOut.length > 0 && (
        <>
          <h2 className="mt-3 font-name text-lead font-semibold">{t('schedule.notScheduled')}</h2>
          <ul>
            {day.leftOut.map((l) => (
              <li key={l.jobId} className="border-b border-rule py-1.5">
                <Link
                  href={`/job/${l.jobId}/${l.left.why === 'packed' ? 'finish' : 'heat'}`}
                  className="underline"
                >
                  {l.name}
                </Link>
                <span className="block font-label text-fine font-medium text-soft">
                  {t(leftText(l.left))}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What the newest change did to the other jobs. */
export function Delays({ list, onUndo }: { list: readonly Delay[]; onUndo: () => void }) {
  const t = useWords();
  if (list.length === 0) return null;
  return (
    <section aria-label={t('schedule.changes')} className="mb-2 border-2 border-ink p-2">
      <h2 className="font-label font-semibold">{t('schedule.changes')}</h2>
      <ul aria-live="polite" className="font-label text-fine font-medium">
        {list.slice(0, 4).map((d) => (
          <li key={d.name}>
            {t('schedule.laterBy', { job: d.name, by: span(d.byS), which: d.byS > 0 ? 'later' : 'earlier' })}
          </li>
        ))}
      </ul>
      <button type="button" onClick={onUndo} className="mt-1 min-h-9 font-label font-semibold underline">
        {t('common.undo')}
      </button>
    </section>
  );
}
