'use client';

import { date } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import { extent, max } from 'd3-array';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { Link } from '@/ui/Link';
import type { DriftLine, KeptChart } from '@/core/log/charts';
import { useShop } from '../shell/shopContext';
import { AXIS, CHART, ChartFrame, Ends, Levels } from './ChartFrame';
import type { Open } from './openEntries';

const { width: W, height: H } = CHART;
const INKS = ['#173a36', '#ad4b25', '#1d2c5e', '#7f9468', '#6e2f2a'] as const;

/** Verdicts of each press as they drift. */
export function DriftLines({ lines, onOpen }: { lines: readonly DriftLine[]; onOpen: Open }) {
  const t = useWords();
  const { shop } = useShop();
  const nameOf = (id: string) => shop.presses.find((p) => p.id === id)?.name ?? id;
  const drifting = lines.filter((l) => l.drifts !== null);
  const answer =
    lines.length === 0
      ? t('logbook.tooFewEntriesLeast')
      : drifting.length === 0
        ? t('logbook.resultsEachPressVary')
        : drifting
            .map((l) =>
              t('logbook.repeatedlyGives', {
                pressId: nameOf(l.pressId),
                which: l.drifts === 'too-little' ? 'tooLittle' : 'other',
                value: l.sinceAt === null ? '' : date(l.sinceAt, 'day'),
                which2: l.sinceAt === null ? 'none' : 'other',
              }),
            )
            .join(' ');
  const points = lines.flatMap((l) => l.points);
  const [from = 0, to = 1] = extent(points, (p) => p.at);
  const reach = Math.max(0.3, max(points, (p) => Math.max(Math.abs(p.value), p.limit)) ?? 0);
  const x = scaleTime([from, Math.max(to, from + 1)], [CHART.left, W - CHART.right]);
  const y = scaleLinear([-reach, reach], [H - CHART.bottom, CHART.top]);
  return (
    <ChartFrame question={t('logbook.pressDrifting')} answer={answer}>
      {lines.length > 0 && (
        <>
          <svg
            viewBox={`0 0 ${W} ${H}`}
            className="w-full"
            role="img"
            aria-label={t('logbook.verdictsEachPressWeighed')}
          >
            <line x1={CHART.left} x2={W - CHART.right} y1={y(0)} y2={y(0)} stroke="#b9c6bc" />
            <text x={CHART.left} y={CHART.top + 10} {...AXIS}>
              {t('common.tooMuch')}
            </text>
            <text x={CHART.left} y={H - CHART.bottom - 3} {...AXIS}>
              {t('common.tooLittle')}
            </text>
            {lines.map((l, i) => (
              <g key={l.pressId} stroke={INKS[i % INKS.length]} fill="none">
                <path
                  d={
                    line<(typeof l.points)[number]>(
                      (p) => x(p.at),
                      (p) => y(p.value),
                    )(l.points) ?? ''
                  }
                  strokeWidth={2}
                />
                <path
                  d={
                    line<(typeof l.points)[number]>(
                      (p) => x(p.at),
                      (p) => y(p.limit),
                    )(l.points) ?? ''
                  }
                  strokeDasharray="3 4"
                  strokeOpacity={0.6}
                />
                <path
                  d={
                    line<(typeof l.points)[number]>(
                      (p) => x(p.at),
                      (p) => y(-p.limit),
                    )(l.points) ?? ''
                  }
                  strokeDasharray="3 4"
                  strokeOpacity={0.6}
                />
              </g>
            ))}
            <Ends from={t.quantity(date(from, 'day'))} to={t.quantity(date(to, 'day'))} />
          </svg>
          <ul className="flex flex-wrap gap-x-4">
            {lines.map((l, i) => (
              <li key={l.pressId}>
                <button
                  type="button"
                  onClick={() => onOpen({ pressId: l.pressId })}
                  className="flex min-h-8 items-center gap-1.5 underline underline-offset-2"
                >
                  <span
                    aria-hidden
                    className="inline-block h-1 w-5"
                    style={{ background: INKS[i % INKS.length] }}
                  />
                  {nameOf(l.pressId)}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </ChartFrame>
  );
}

/** Time set against time kept. */
export function KeptDots({ chart }: { chart: KeptChart }) {
  const t = useWords();
  const { points } = chart;
  const most = Math.max(10, max(points, (p) => Math.max(p.setS, p.keptS)) ?? 10) * 1.05;
  const x = scaleLinear([0, most], [CHART.left, W - CHART.right]);
  const y = scaleLinear([0, most], [H - CHART.bottom, CHART.top]);
  const by = Math.round(Math.abs(chart.over) * 100);
  const answer =
    points.length === 0
      ? t('logbook.runWasKeptWhat')
      : t('logbook.which2OnOn', {
          by,
          which: chart.over > 0 ? 'long' : 'other',
          which2: by === 0 ? 'meanSet' : 'other',
          off: Math.round(chart.off * 100),
        });
  return (
    <ChartFrame question={t('logbook.doActualTimesMatch')} answer={answer}>
      {points.length > 0 && (
        <svg
          viewBox={`0 0 ${W} ${H}`}
          className="w-full"
          role="group"
          aria-label={t('logbook.actualTimeAgainstSet')}
        >
          <line x1={x(0)} y1={y(0)} x2={x(most)} y2={y(most)} stroke="#3c6b57" strokeDasharray="5 4" />
          {x.ticks(5).map((t) => (
            <text key={t} x={x(t)} y={H - 8} textAnchor="middle" {...AXIS}>
              {t} s
            </text>
          ))}
          <Levels ticks={y.ticks(3)} y={y} text={(t) => `${t} s`} />
          {points.map((p) => (
            <Link
              key={p.id}
              href={`/logbook/${p.id}`}
              aria-label={t('logbook.setSKeptS', { set: Math.round(p.setS), kept: Math.round(p.keptS) })}
            >
              <circle cx={x(p.setS)} cy={y(p.keptS)} r={4.5} fill="#14211f" fillOpacity={0.6} />
            </Link>
          ))}
        </svg>
      )}
      <p className="text-soft">{t('logbook.horizontalSetTimeVertical')}</p>
    </ChartFrame>
  );
}
