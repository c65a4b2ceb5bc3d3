'use client';

import { date } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import type { ScaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { DayPlan } from '@/core/day/dayPlan';
import { groupsOf, type LoadGroup, type Range, type Row } from './chart';
import { groundOf, msOf, shortName } from './dayWords';

export interface Moved {
  readonly work: number;
  readonly press: number;
  readonly fromS: number;
}

interface Dragging {
  readonly group: LoadGroup;
  readonly press: number;
  readonly startX: number;
  readonly startY: number;
  readonly dx: number;
  readonly dy: number;
}

interface Props {
  readonly day: DayPlan;
  readonly rows: readonly Row[];
  readonly range: Range;
  readonly x: ScaleLinear<number, number>;
  readonly topPx: number;
  readonly rowPx: number;
  readonly onChoose: (work: number | null) => void;
  readonly onMove: (m: Moved) => void;
}

/** Less than this is a tap, not a drag, px. */
const STILL_PX = 6;

/** Loads of one job at a press, to be taken hold of: a tap chooses the job, a drag moves it to another time or press. */
export function Handles({ day, rows, range, x, topPx, rowPx, onChoose, onMove }: Props) {
  const t = useWords();
  const [drag, setDrag] = useState<Dragging | null>(null);
  const rowOf = (press: number) => rows.findIndex((r) => r.kind === 'line' && r.press === press);
  const topOf = (press: number) => topPx + rowOf(press) * rowPx;
  const fromS = (d: Dragging) => Math.max(0, x.invert(x(d.group.fromS) + d.dx));
  const drop = (d: Dragging) => {
    if (Math.abs(d.dx) <= STILL_PX && Math.abs(d.dy) <= rowPx / 2) return onChoose(d.group.work);
    const row = rows[Math.floor((topOf(d.press) + rowPx / 2 + d.dy - topPx) / rowPx)];
    const press = row?.kind === 'line' && row.press !== null ? row.press : d.press;
    onMove({ work: d.group.work, press, fromS: fromS(d) });
  };
  const presses = rows.flatMap((r) =>
    r.kind === 'line' && r.press !== null ? [{ press: r.press, bars: r.line.bars }] : [],
  );
  const moving = drag && (Math.abs(drag.dx) > STILL_PX || Math.abs(drag.dy) > STILL_PX);
  return (
    <g>
      {presses.flatMap(({ press, bars }) =>
        groupsOf(bars)
          .filter((g) => g.toS > range.fromS && g.fromS < range.toS)
          .map((g) => {
            const left = x(Math.max(g.fromS, range.fromS));
            return (
              <rect
                key={`${press} ${g.work} ${g.fromS}`}
                data-group={day.jobs[g.work]?.id}
                x={left}
                y={topOf(press) + 4}
                width={Math.max(8, x(Math.min(g.toS, range.toS)) - left)}
                height={rowPx - 10}
                fill="transparent"
                className="cursor-grab touch-none"
                onPointerDown={(e) => {
                  e.currentTarget.setPointerCapture(e.pointerId);
                  setDrag({ group: g, press, startX: e.clientX, startY: e.clientY, dx: 0, dy: 0 });
                }}
                onPointerMove={(e) =>
                  setDrag((d) => d && { ...d, dx: e.clientX - d.startX, dy: e.clientY - d.startY })
                }
                onPointerUp={() => {
                  if (drag) drop(drag);
                  setDrag(null);
                }}
                onPointerCancel={() => setDrag(null)}
              >
                <title>
                  {t('schedule.fromDragMove', {
                    jobs: day.jobs[g.work]?.name ?? '',
                    pieces: g.pieces,
                    msOf: date(msOf(day, g.fromS), 'time'),
                  })}
                </title>
              </rect>
            );
          }),
      )}
      {moving && (
        <g pointerEvents="none">
          <rect
            x={x(drag.group.fromS) + drag.dx}
            y={topOf(drag.press) + 4 + drag.dy}
            width={Math.max(8, x(drag.group.toS) - x(drag.group.fromS))}
            height={rowPx - 10}
            fill={groundOf(drag.group.work).fill}
            opacity={0.7}
            className="stroke-ink"
            strokeWidth={2}
          />
          <text
            x={x(drag.group.fromS) + drag.dx}
            y={topOf(drag.press) + drag.dy}
            className="fill-ink font-label text-fine font-semibold"
          >
            {t('schedule.from', {
              jobs: shortName(day.jobs[drag.group.work]?.name ?? ''),
              msOf: date(msOf(day, fromS(drag)), 'time'),
            })}
          </text>
        </g>
      )}
    </g>
  );
}
