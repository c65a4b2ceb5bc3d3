'use client';

import { decimal, date, moneyOf } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import { say, type Message } from '@/core/message/message';
import { max } from 'd3-array';
import { scaleBand, scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import type { CostChart, FaultBar, GoodChart } from '@/core/log/charts';
import { CAUSES, faultLabel } from '@/core/inspect/faults';
import { useShop } from '../shell/shopContext';
import { CHART, ChartFrame, Ends, Levels } from './ChartFrame';
import type { Open } from './openEntries';

const { width: W, height: H } = CHART;
const pct = (v: number): string => `${Math.round(v * 100)} %`;
const INK = { outside: '#c8371b', run: '#d08a3e', none: '#14211f' } as const;

function goodAnswer(chart: GoodChart): Message {
  const last = chart.weeks.at(-1);
  const outside = chart.weeks.filter((w) => w.signal === 'outside').length;
  if (!last) return say('common.n');
  if (last.signal === 'outside') return say('logbook.goodOverallLastWeek', { share: pct(chart.share) });
  if (last.signal === 'run') return say('logbook.goodOverallEightWeeks', { share: pct(chart.share) });
  if (outside > 0) return say('logbook.goodOverall', { share: pct(chart.share), outside });
  return say('logbook.goodOverallAllWeeks', { share: pct(chart.share) });
}

/** Good out of pressed by week, with the limits of chance. */
export function GoodWeeks({ chart, onOpen }: { chart: GoodChart; onOpen: Open }) {
  const t = useWords();
  const { weeks } = chart;
  const [first, last] = [weeks[0], weeks.at(-1)];
  if (!first || !last) return null;
  const x = scaleTime([first.fromAt - 3e8, last.fromAt + 3e8], [CHART.left, W - CHART.right]);
  const low = Math.max(0, Math.min(0.9, ...weeks.map((w) => Math.min(w.share, w.low))) - 0.05);
  const y = scaleLinear([low, 1], [H - CHART.bottom, CHART.top]);
  const path = line<(typeof weeks)[number]>(
    (w) => x(w.fromAt),
    (w) => y(w.share),
  );
  const limit = (of: 'low' | 'high') =>
    line<(typeof weeks)[number]>(
      (w) => x(w.fromAt),
      (w) => y(w[of]),
    )(weeks) ?? '';
  return (
    <ChartFrame question={t('logbook.qualityChanging')} answer={t(goodAnswer(chart))}>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full"
        role="group"
        aria-label={t('logbook.goodPiecesThosePressed')}
      >
        <Levels ticks={y.ticks(4)} y={y} text={pct} />
        <path d={limit('low')} fill="none" stroke="#ad4b25" strokeDasharray="5 4" />
        <path d={limit('high')} fill="none" stroke="#ad4b25" strokeDasharray="5 4" />
        <line x1={CHART.left} x2={W - CHART.right} y1={y(chart.share)} y2={y(chart.share)} stroke="#3c6b57" />
        <path d={path(weeks) ?? ''} fill="none" stroke="#14211f" strokeWidth={1.5} />
        {weeks.map((w) => (
          <a
            key={w.fromAt}
            href="#week"
            aria-label={t('logbook.weekGoodOpenEntries', {
              value: date(w.fromAt, 'day'),
              good: w.good,
              pressed: w.pressed,
            })}
            onClick={(e) => {
              e.preventDefault();
              onOpen({ fromAt: w.fromAt, toAt: w.toAt });
            }}
          >
            <circle cx={x(w.fromAt)} cy={y(w.share)} r={12} fill="transparent" />
            <circle cx={x(w.fromAt)} cy={y(w.share)} r={5} fill={INK[w.signal ?? 'none']} />
          </a>
        ))}
        <Ends
          from={t.quantity(date(first.fromAt, 'day'))}
          to={t('logbook.weekOf2', { value: date(last.fromAt, 'day') })}
        />
      </svg>
      <p className="text-soft">
        {t('logbook.dashedControlLimits')}
        {chart.scatter > 1.05 &&
          t('logbook.widenedTimesBecausePieces', { scatter: decimal(chart.scatter, 1) })}
        .
      </p>
    </ChartFrame>
  );
}

const SHOWN = 8;
const CAUSE_INK = ['#3c6b57', '#d08a3e', '#6e2f2a', '#7f9468'] as const;

/** Faults, commonest first, each by what it was put down to. */
export function FaultBars({ bars, onOpen }: { bars: readonly FaultBar[]; onOpen: Open }) {
  const t = useWords();
  const [top] = bars;
  if (!top)
    return (
      <ChartFrame question={t('logbook.mostFrequentFaults')} answer={t('logbook.faultWasMarkedWhat')}>
        {null}
      </ChartFrame>
    );
  const cause = top.causes.find((c) => c.cause !== null)?.cause;
  const most = top.entries;
  return (
    <ChartFrame
      question={t('logbook.mostFrequentFaults')}
      answer={t('logbook.mostFrequent', {
        fault: faultLabel(top.fault),
        entries: top.entries,
        cause: cause ? CAUSES[cause].label : say('logbook.noCause'),
        confirmed: cause ? 'yes' : 'no',
      })}
    >
      <ul className="grid gap-1">
        {bars.slice(0, SHOWN).map((b) => (
          <li key={b.fault}>
            <button
              type="button"
              onClick={() => onOpen({ fault: b.fault })}
              className="grid min-h-8 w-full grid-cols-[11rem_minmax(0,1fr)_2.5rem] items-center gap-2 text-left hover:bg-board"
            >
              <span className="truncate font-label font-medium">{t(faultLabel(b.fault))}</span>
              <span className="flex h-5 bg-ruling" aria-hidden>
                {b.causes.map((c, i) => (
                  <span
                    key={c.cause ?? 'none'}
                    title={c.cause ? t(CAUSES[c.cause].label) : t('logbook.notSettled')}
                    style={{
                      width: `${(100 * c.entries) / most}%`,
                      background: c.cause ? CAUSE_INK[i % CAUSE_INK.length] : '#b9c6bc',
                    }}
                  />
                ))}
              </span>
              <span className="text-right font-label font-semibold">{b.entries}</span>
            </button>
            <p className="pl-1 text-fine text-soft">
              {b.causes
                .map((c) => `${t(c.cause ? CAUSES[c.cause].label : say('logbook.notSettled'))} ${c.entries}`)
                .join(', ')}
            </p>
          </li>
        ))}
      </ul>
    </ChartFrame>
  );
}

/** What spoiled pieces cost, by week. */
export function CostWeeks({ chart, onOpen }: { chart: CostChart; onOpen: Open }) {
  const t = useWords();
  const { shop } = useShop();
  const money = (cents: number) => t.quantity(moneyOf(shop.settings.currency, cents));
  const { weeks } = chart;
  const x = scaleBand(
    weeks.map((w) => String(w.fromAt)),
    [CHART.left, W - CHART.right],
  ).padding(0.25);
  const y = scaleLinear([0, max(weeks, (w) => w.cents) ?? 1], [H - CHART.bottom, CHART.top]);
  const answer =
    chart.cents === 0 && chart.unpriced === 0
      ? t('logbook.nothingWasSpoiledWhat')
      : t('logbook.inBlanks', {
          cents: money(chart.cents),
          unpriced: chart.unpriced,
          which: chart.unpriced > 0 ? 'moreSpoiled' : 'other',
        });
  return (
    <ChartFrame question={t('logbook.costSpoiledPieces')} answer={answer}>
      {weeks.length > 0 && (
        <svg
          viewBox={`0 0 ${W} ${H}`}
          className="w-full"
          role="group"
          aria-label={t('logbook.costSpoiledBlanksWeek')}
        >
          <Levels ticks={y.ticks(3)} y={y} text={(v) => money(v).replace(/[.,]00$/, '')} />
          {weeks.map((w) => (
            <a
              key={w.fromAt}
              href="#week"
              aria-label={t('logbook.weekOpenEntries', {
                value: date(w.fromAt, 'day'),
                cents: money(w.cents),
              })}
              onClick={(e) => {
                e.preventDefault();
                onOpen({ fromAt: w.fromAt, toAt: w.toAt });
              }}
            >
              <rect
                x={x(String(w.fromAt))}
                width={x.bandwidth()}
                y={y(w.cents)}
                height={Math.max(1, H - CHART.bottom - y(w.cents))}
                fill="#ad4b25"
              />
            </a>
          ))}
          <Ends from={t.quantity(date(weeks[0]?.fromAt ?? 0, 'day'))} to="" />
        </svg>
      )}
    </ChartFrame>
  );
}
