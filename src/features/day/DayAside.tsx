'use client';

import { Link } from '@/ui/Link';
import { useMemo } from 'react';
import { AT_RISK, type DayPlan } from '@/core/day/dayPlan';
import { figure, type Figure } from '@/core/figures/figure';
import { moneyText } from '@/core/money/money';
import { say } from '@/core/units/phrase';
import { word } from '@/core/units/quantity';
import type { Earned } from './useEarned';
import { FigureLines } from '@/ui/FigureLines';
import { bottleneckText, leftText, lengthText, msOf, shortName, whenText, type Delay } from './dayWords';

const pct = (share: number): string => `${Math.round(share * 100)} %`;

function endFigures(day: DayPlan): readonly Figure[] {
  const at = (s: number) => whenText(msOf(day, s), day.nowMs);
  if (day.jobs.length === 0) return [];
  return [
    figure({
      id: 'day.end',
      label: 'Last piece packed',
      quantity: word(at(day.spread.usualS)),
      origin: 'estimated',
      working: say`${at(day.spread.ninetyS)} in nine of ten cases; earliest possible ${at(day.bound.leastS)}`,
      arithmetic: [
        say`as planned ${at(day.makespanS)}; usual and nine in ten from ${day.plays.toLocaleString('en')} plays of chance: times as they spread at this press, pieces spoiled as often as they are`,
        say`no plan packs the last piece before ${at(day.bound.leastS)}`,
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
      label: 'Bottleneck',
      quantity: word(bottleneckText(day, printers)),
      origin: 'calculated',
      working: say`people busy ${pct(day.busy.hands)} of the time; ${day.presses.length === 0 ? 'no press' : `busiest press ${pct(Math.max(...day.busy.presses))}`}`,
      arithmetic: [
        say`${lengthText(day.bound.busyS)} of work that nothing else can take over`,
        ...presses.map((p) => say`${p}`),
        say`hot presses waited ${lengthText(day.waited.taped)} for taped pieces, ${lengthText(day.waited.hands)} for hands, ${lengthText(day.waited.place)} for a place to cool`,
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
      label: 'Tape up first',
      quantity: word(text),
      origin: 'calculated',
      working: say`then the presses do not wait for tape`,
      arithmetic: first.map(
        (t) =>
          say`${day.presses[t.press]?.name ?? ''}: ${String(t.pieces)} of ${day.jobs[t.work]?.name ?? ''}`,
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
        label: names[i] ?? 'Circuit',
        quantity: word(`${c.mostA.toFixed(1)} A`),
        origin: 'estimated',
        working: apart
          ? say`of ${c.carriesA.toFixed(1)} A continuous load: its presses are warmed up one after the other`
          : say`of ${c.carriesA.toFixed(1)} A continuous load`,
        arithmetic: [
          ...on.map((p) => {
            const name = day.presses.find((x) => x.id === p.id)?.name ?? '';
            return say`${name}: ${p.warmA.toFixed(1)} A warming up for ${lengthText(p.warmS)}, ${p.holdA.toFixed(1)} A on the mean at work`;
          }),
          say`all at once, cold: ${c.togetherA.toFixed(1)} A`,
          say`A heater at work is on and off: for moments more is drawn than the mean. Local electrical code and a licensed electrician decide.`,
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
              label: 'Margin',
              quantity: word(moneyText(earned.currency, earned.cents)),
              origin: 'estimated' as const,
              working: say`${moneyText(earned.currency, earned.hourCents)} per hour of labour; ${earned.known === earned.jobs ? 'all jobs of the plan' : `${earned.known} of ${earned.jobs} jobs, the others have no cost yet`}`,
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
  return (
    <section aria-label="Jobs">
      <h2 className="mt-3 font-name text-lead font-semibold">Jobs by packing time</h2>
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
                    {whenText(msOf(day, j.endS), day.nowMs)}
                  </span>
                </span>
                <span
                  className={`flex justify-between gap-2 font-label text-fine font-medium ${danger ? 'text-act-deep' : 'text-soft'}`}
                >
                  <span>{j.dueS === null ? 'no date' : `due ${whenText(msOf(day, j.dueS), day.nowMs)}`}</span>
                  <span>{j.inTime === null ? '' : `in time ${pct(j.inTime)}`}</span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {day.leftOut.length > 0 && (
        <>
          <h2 className="mt-3 font-name text-lead font-semibold">Not scheduled</h2>
          <ul>
            {day.leftOut.map((l) => (
              <li key={l.jobId} className="border-b border-rule py-1.5">
                <Link
                  href={`/job/${l.jobId}/${l.left.why === 'packed' ? 'finish' : 'heat'}`}
                  className="underline"
                >
                  {l.name}
                </Link>
                <span className="block font-label text-fine font-medium text-soft">{leftText(l.left)}</span>
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
  if (list.length === 0) return null;
  return (
    <section aria-label="Changes" className="mb-2 border-2 border-ink p-2">
      <h2 className="font-label font-semibold">Changes</h2>
      <ul aria-live="polite" className="font-label text-fine font-medium">
        {list.slice(0, 4).map((d) => (
          <li key={d.name}>
            {d.name}: {lengthText(d.byS)} {d.byS > 0 ? 'later' : 'earlier'}
          </li>
        ))}
      </ul>
      <button type="button" onClick={onUndo} className="mt-1 min-h-9 font-label font-semibold underline">
        Undo
      </button>
    </section>
  );
}
