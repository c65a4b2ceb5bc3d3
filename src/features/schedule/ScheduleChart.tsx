'use client';

import { date } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { scaleLinear } from 'd3-scale';
import { useMemo, useRef } from 'react';
import type { DayPlan } from '@/core/day/dayPlan';
import { closedIn, groupsOf, type Range, type Row } from './chart';
import { Bars } from './Bars';
import { CircuitRow } from './CircuitRow';
import { msOf } from './dayWords';
import { Handles, type Moved } from './Handles';
import { TaskBars } from './TaskBars';
import { useSize } from './useSize';

const LABEL_PX = 116;
const HEAD_PX = 40;
const RIGHT_PX = 26;
const LEAST_ROW_PX = 44;
const MOST_ROW_PX = 70;
const HOUR_S = 3600;

interface Props {
  readonly day: DayPlan;
  readonly rows: readonly Row[];
  readonly range: Range;
  readonly nowS: number;
  readonly chosen: number | null;
  readonly onChoose: (work: number | null) => void;
  readonly onMove: (m: Moved) => void;
}

/** Lines of time: what every printer, person and press does, what cools, and what the circuits carry. */
export function DayChart({ day, rows, range, nowS, chosen, onChoose, onMove }: Props) {
  const t = useWords();
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const rowPx = Math.max(
    LEAST_ROW_PX,
    Math.min(MOST_ROW_PX, (height - HEAD_PX - 8) / Math.max(1, rows.length)),
  );
  const x = useMemo(
    () => scaleLinear([range.fromS, range.toS], [LABEL_PX, Math.max(LABEL_PX + 50, width - RIGHT_PX)]),
    [range, width],
  );
  const chartPx = HEAD_PX + rowPx * rows.length + 8;
  const common = { day, x, height: rowPx, range, chosen, onChoose };
  return (
    <div
      ref={box}
      className="h-full min-h-0 overflow-auto bg-board"
      tabIndex={0}
      role="region"
      aria-label={t('schedule.linesTime')}
    >
      {width > 0 && (
        <svg
          width={width}
          height={chartPx}
          role="img"
          aria-label={t(spoken(day, rows))}
          className="block select-none"
        >
          <Hours day={day} range={range} x={x} height={chartPx} />
          <Closed day={day} range={range} x={x} height={chartPx} />
          {rows.map((row, i) => {
            const y = HEAD_PX + i * rowPx;
            return (
              <g key={i}>
                <text x={10} y={y + rowPx * 0.62} className="fill-ink font-label text-fine font-semibold">
                  {t(row.label)}
                </text>
                {row.kind === 'circuit' ? (
                  <CircuitRow day={day} circuit={row.circuit} x={x} y={y} height={rowPx} />
                ) : (
                  <>
                    <line
                      x1={LABEL_PX}
                      x2={width - RIGHT_PX}
                      y1={y + rowPx - 6}
                      y2={y + rowPx - 6}
                      className="stroke-ink"
                    />
                    {row.line.kind === 'hands' ? (
                      <TaskBars tasks={day.tasks[row.line.index] ?? []} {...common} y={y} />
                    ) : (
                      <Bars line={row.line} {...common} y={y} />
                    )}
                  </>
                )}
              </g>
            );
          })}
          <Handles
            day={day}
            rows={rows}
            range={range}
            x={x}
            topPx={HEAD_PX}
            rowPx={rowPx}
            onChoose={onChoose}
            onMove={onMove}
          />
          {nowS >= range.fromS && nowS <= range.toS && (
            <g pointerEvents="none">
              <line
                x1={x(nowS)}
                x2={x(nowS)}
                y1={HEAD_PX - 10}
                y2={chartPx}
                className="stroke-act"
                strokeWidth={3}
              />
              <text
                x={x(nowS) + 5}
                y={HEAD_PX - 4}
                className="fill-act-deep font-label text-fine font-semibold"
              >
                {t('schedule.now', { msOf: date(msOf(day, nowS), 'time') })}
              </text>
            </g>
          )}
        </svg>
      )}
    </div>
  );
}

type Scale = (s: number) => number;

/** Hours over the chart, or days where it spans several. */
function Hours({ day, range, x, height }: { day: DayPlan; range: Range; x: Scale; height: number }) {
  const t = useWords();
  const spanH = (range.toS - range.fromS) / HOUR_S;
  const stepH = spanH <= 14 ? 1 : spanH <= 48 ? 4 : 24 * Math.ceil(spanH / 24 / 10);
  const first = new Date(msOf(day, range.fromS));
  const base =
    (new Date(first.getFullYear(), first.getMonth(), first.getDate()).getTime() - day.nowMs) / 1000;
  const marks: number[] = [];
  for (let s = base; s <= range.toS + 1; s += stepH * HOUR_S) if (s >= range.fromS - 1) marks.push(s);
  return (
    <g>
      {marks.map((s) => (
        <g key={s}>
          <line x1={x(s)} x2={x(s)} y1={HEAD_PX - 8} y2={height} className="stroke-rule" />
          <text x={x(s)} y={18} textAnchor="middle" className="fill-ink font-label text-fine font-semibold">
            {t.quantity(date(msOf(day, s), stepH >= 24 ? 'short' : 'time'))}
          </text>
        </g>
      ))}
    </g>
  );
}

function Closed({ day, range, x, height }: { day: DayPlan; range: Range; x: Scale; height: number }) {
  const t = useWords();
  return (
    <g>
      {closedIn(day, range).map((c) => (
        <g key={c.fromS}>
          <rect
            x={x(c.fromS)}
            y={HEAD_PX - 8}
            width={Math.max(0, x(c.toS) - x(c.fromS))}
            height={height}
            className="fill-ruling"
          />
          {c.toS - c.fromS < 3 * HOUR_S && x(c.toS) - x(c.fromS) > 26 && (
            <text
              x={(x(c.fromS) + x(c.toS)) / 2}
              y={HEAD_PX - 12}
              textAnchor="middle"
              className="fill-soft font-label text-fine font-medium"
            >
              {t('schedule.break')}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** The chart in words. */
function spoken(day: DayPlan, rows: readonly Row[]): Message {
  const presses = rows.flatMap((r) =>
    r.kind === 'line' && r.press !== null ? [{ label: r.label, line: r.line }] : [],
  );
  return say('schedule.spokenChart', {
    presses: presses.map(({ label, line }) => {
      const groups = groupsOf(line.bars);
      return groups.length === 0
        ? say('schedule.spokenIdle', { press: label })
        : say('schedule.spokenPress', {
            press: label,
            loads: groups.map((g) =>
              say('schedule.spokenLoad', {
                pieces: g.pieces,
                job: day.jobs[g.work]?.name ?? '',
                from: date(msOf(day, g.fromS), 'time'),
              }),
            ),
          });
    }),
  });
}
