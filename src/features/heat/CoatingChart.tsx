'use client';

import { useWords } from '@/ui/words';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { SeriesPoint } from '@/core/heat/model/outcome';
import { clockText } from '@/core/units/format';
import { celsius } from '@/core/message/quantity';
import { ScaleDrawing } from '@/ui/board/Board';
import { useJob } from '../job/jobContext';
import { clockTicks } from './HeatWindow';

const ROOM = { top: 14, right: 128, bottom: 26, left: 62 } as const;
/** Above this dye moves, °C. */
const DYE_MOVES_C = 150;

/** The display and the coating over time, from closing until it has cooled a while. */
export function CoatingChart() {
  const t = useWords();
  const { plan } = useJob();
  const outcome = plan.heat.model?.shown;
  if (!outcome)
    return (
      <p className="grid h-full place-content-center font-label text-base" aria-live="polite">
        {plan.heat.model ? t('common.calculating') : ''}
      </p>
    );
  return (
    <ScaleDrawing
      label={t('heat.coatingDisplayOverTime', {
        peak: Math.round(outcome.peakC),
        press: clockText(outcome.pressS),
      })}
      bounds={{ x: 0, y: 0, width: 1, height: 1 }}
      room={{ top: 0, right: 0, bottom: 0, left: 0 }}
      draw={(fit) => <Chart width={fit.width} height={fit.height} />}
    />
  );
}

function Chart({ width, height }: { width: number; height: number }) {
  const t = useWords();
  const { plan } = useJob();
  const outcome = plan.heat.model?.shown;
  if (!outcome) return null;
  const { series, closings } = outcome;
  const end = series[series.length - 1]?.atS ?? 1;
  const top = Math.max(210, ...series.map((p) => Math.max(p.displayC, p.highC))) + 4;
  const x = scaleLinear([0, end], [ROOM.left, width - ROOM.right]);
  const y = scaleLinear([20, top], [height - ROOM.bottom, ROOM.top]);
  const shown = (c: number) => t.parts(celsius(c));
  const band = area<SeriesPoint>()
    .x((p) => x(p.atS))
    .y0((p) => y(Math.max(20, p.lowC)))
    .y1((p) => y(Math.min(top, p.highC)));
  const of = (c: (p: SeriesPoint) => number) =>
    line<SeriesPoint>()
      .x((p) => x(p.atS))
      .y((p) => y(c(p)));
  const last = series[series.length - 1];
  return (
    <g className="font-label" fontSize={13} fill="#14211f">
      {closings.map((c, i) => (
        <g key={i}>
          <rect
            x={x(c.closedS)}
            width={Math.max(0, x(c.openedS) - x(c.closedS))}
            y={ROOM.top}
            height={Math.max(0, height - ROOM.top - ROOM.bottom)}
            fill="#e3dcc4"
          />
          <text
            x={(x(c.closedS) + x(c.openedS)) / 2}
            y={height - ROOM.bottom - 7}
            textAnchor="middle"
            fontWeight={600}
            stroke="#e3dcc4"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {x(c.openedS) - x(c.closedS) > 80
              ? t('heat.closedFor', { time: clockText(Math.round(c.openedS - c.closedS)) })
              : clockText(Math.round(c.openedS - c.closedS))}
          </text>
        </g>
      ))}
      <line
        x1={ROOM.left}
        x2={width - ROOM.right}
        y1={y(DYE_MOVES_C)}
        y2={y(DYE_MOVES_C)}
        stroke="#14211f"
        strokeDasharray="2 4"
      />
      <text x={width - ROOM.right - 4} y={y(DYE_MOVES_C) - 5} textAnchor="end">
        {t('heat.dyeMoves')}
      </text>
      <path d={band([...series]) ?? ''} fill="#ad4b25" fillOpacity={0.22} />
      <path d={of((p) => p.displayC)([...series]) ?? ''} fill="none" stroke="#14211f" strokeWidth={2} />
      <path d={of((p) => p.coatingC)([...series]) ?? ''} fill="none" stroke="#ad4b25" strokeWidth={3} />
      {last && (
        <>
          <text x={width - ROOM.right + 6} y={Math.max(ROOM.top + 8, y(last.displayC) + 4)}>
            {t('heat.pressDisplay')}
          </text>
          <text x={width - ROOM.right + 6} y={y(last.coatingC) + 4} fill="#8a3a1a" fontWeight={600}>
            {t('heat.coating1920')}
          </text>
        </>
      )}
      <path
        d={`M ${ROOM.left} ${ROOM.top} V ${height - ROOM.bottom} H ${width - ROOM.right}`}
        fill="none"
        stroke="#14211f"
        strokeWidth={2}
      />
      {y.ticks(4).map((c) => (
        <text key={c} x={ROOM.left - 8} y={y(c) + 4} textAnchor="end">
          {shown(c).number} {shown(c).unit}
        </text>
      ))}
      {clockTicks(end, Math.max(3, Math.floor((width - 190) / 58))).map((t) => (
        <text key={t} x={x(t)} y={height - ROOM.bottom + 17} textAnchor="middle">
          {clockText(t)}
        </text>
      ))}
    </g>
  );
}
