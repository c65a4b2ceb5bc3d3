'use client';

import { extent, line, scaleLinear } from 'd3';
import { useLiveQuery } from 'dexie-react-hooks';
import { ACTIVATION_J_MOL, equalDoseS } from '@/core/heat/dose';
import { formatQuantity, type UnitChoice } from '@/core/units/format';
import { celsius, seconds } from '@/core/units/quantity';
import type { LogEntry } from '@/core/shop/records';
import { newestOnPress } from '@/data/log';
import { Board } from '@/ui/board/Board';
import { useUnits } from '@/ui/units';
import { useJob } from '../job/jobContext';

const DOT: Readonly<Record<LogEntry['verdict'], { fill: string; label: string }>> = {
  good: { fill: '#3c6b57', label: 'good' },
  under: { fill: '#f8faf6', label: 'under' },
  over: { fill: '#6e2f2a', label: 'over' },
  other: { fill: '#c9b37a', label: 'other fault' },
};

/** Newest entries shown as dots: older ones lie under them. */
const MOST_DOTS = 300;

/** Temperature against time: the usual range, the line of equal dose through these settings, and what the log has tried. */
export function HeatWindow() {
  const { plan } = useJob();
  const units = useUnits();
  const { chosen, press } = plan.heat;
  const blank = plan.blank.blank;
  const [blankId, pressId] = [blank?.id ?? '', press?.id ?? ''];
  const newest = useLiveQuery(() => newestOnPress(blankId, pressId, MOST_DOTS), [blankId, pressId]);
  if (!chosen || !press || !blank) return null;
  const tried = (newest ?? []).filter((e) => e.settings.passes === chosen.settings.passes);
  return (
    <Board
      label="Temperature against time, with the usual range and what has been tried"
      bounds={{ x: 0, y: 0, width: 1, height: 1 }}
      room={{ top: 0, right: 0, bottom: 0, left: 0 }}
      draw={(fit) => <Chart width={fit.width} height={fit.height} tried={tried} units={units} />}
    />
  );
}

interface ChartProps {
  readonly width: number;
  readonly height: number;
  readonly tried: readonly LogEntry[];
  readonly units: UnitChoice;
}

function Chart({ width, height, tried, units }: ChartProps) {
  const { plan } = useJob();
  const { chosen } = plan.heat;
  if (!chosen) return null;
  const { settings: s, base, range } = chosen;
  const cs = [s.platenC, base.platenC, ...(range?.platenC ?? []), ...tried.map((e) => e.settings.platenC)];
  const ts = [s.dwellS, base.dwellS, ...(range?.dwellS ?? []), ...tried.map((e) => e.settings.dwellS)];
  const [cLo = 170, cHi = 210] = extent(cs);
  const [, tHi = 100] = extent(ts);
  const x = scaleLinear([cLo - 6, cHi + 6], [64, width - 24]);
  const y = scaleLinear([0, tHi * 1.2], [height - 46, 34]);
  const curve = (activation: number) => {
    const points = x
      .ticks(40)
      .map((c): [number, number] => [x(c), y(equalDoseS(base.dwellS, base.platenC, c, activation))]);
    return line()(points.filter(([, py]) => py > 30 && py < height - 46)) ?? '';
  };
  return (
    <g className="font-label" fontSize={13} fill="#14211f">
      <text x={64} y={20} fontSize={15} fontWeight={600}>
        {s.passes > 1 ? 'Time a pass against temperature' : 'Time against temperature'}
      </text>
      {range && (
        <g>
          <rect
            x={x(range.platenC[0])}
            width={x(range.platenC[1]) - x(range.platenC[0])}
            y={y(range.dwellS[1])}
            height={y(range.dwellS[0]) - y(range.dwellS[1])}
            fill="#c9b37a"
            fillOpacity={0.5}
            stroke="#14211f"
            strokeWidth={1}
          />
          <text x={x(range.platenC[1]) - 6} y={y(range.dwellS[1]) + 16} textAnchor="end" fontWeight={600}>
            usual range
          </text>
        </g>
      )}
      <path
        d={curve(ACTIVATION_J_MOL.low)}
        fill="none"
        stroke="#ad4b25"
        strokeWidth={1}
        strokeDasharray="3 3"
      />
      <path
        d={curve(ACTIVATION_J_MOL.high)}
        fill="none"
        stroke="#ad4b25"
        strokeWidth={1}
        strokeDasharray="3 3"
      />
      <path d={curve(ACTIVATION_J_MOL.usual)} fill="none" stroke="#ad4b25" strokeWidth={2.5} />
      <text x={width - 28} y={34} textAnchor="end" fill="#8a3a1a" fontWeight={600}>
        red line: same dose, estimated
      </text>
      {tried.map((e) => (
        <circle
          key={e.id}
          cx={x(e.settings.platenC)}
          cy={y(e.settings.dwellS)}
          r={6}
          fill={DOT[e.verdict].fill}
          stroke="#14211f"
          strokeWidth={1.5}
        >
          <title>{DOT[e.verdict].label}</title>
        </circle>
      ))}
      <Here cx={x(s.platenC)} cy={y(s.dwellS)} />
      <Axes x={x} y={y} width={width} height={height} units={units} />
      {tried.length > 0 && <DotKey x={70} y={height - 62} />}
    </g>
  );
}

const Here = ({ cx, cy }: { cx: number; cy: number }) => (
  <g stroke="#14211f" strokeWidth={2} fill="none">
    <path d={`M ${cx - 14} ${cy} h 28 M ${cx} ${cy - 14} v 28`} />
    <rect x={cx - 9} y={cy - 9} width={18} height={18} />
  </g>
);

const DotKey = ({ x, y }: { x: number; y: number }) => (
  <g>
    {(['good', 'under', 'over'] as const).map((v, i) => (
      <g key={v} transform={`translate(${x + i * 68} ${y})`}>
        <circle r={6} cx={6} cy={-4} fill={DOT[v].fill} stroke="#14211f" strokeWidth={1.5} />
        <text x={17}>{v}</text>
      </g>
    ))}
  </g>
);

interface AxesProps {
  readonly x: ReturnType<typeof scaleLinear<number, number>>;
  readonly y: ReturnType<typeof scaleLinear<number, number>>;
  readonly width: number;
  readonly height: number;
  readonly units: UnitChoice;
}

/** Room a label of the axis takes, px. */
const LABEL_PX = 68;

function Axes({ x, y, width, height, units }: AxesProps) {
  const foot = height - 46;
  return (
    <g>
      <path d={`M 64 30 V ${foot} H ${width - 24}`} fill="none" stroke="#14211f" strokeWidth={2} />
      {x.ticks(Math.max(2, Math.floor((width - 88) / LABEL_PX))).map((c) => {
        const f = formatQuantity(celsius(c), units);
        return (
          <g key={c}>
            <line x1={x(c)} x2={x(c)} y1={foot} y2={foot + 5} stroke="#14211f" />
            <text x={x(c)} y={foot + 19} textAnchor="middle">
              {f.number} {f.unit}
            </text>
          </g>
        );
      })}
      {y
        .ticks(5)
        .filter((t) => t > 0)
        .map((t) => {
          const f = formatQuantity(seconds(t), units);
          return (
            <g key={t}>
              <line x1={59} x2={64} y1={y(t)} y2={y(t)} stroke="#14211f" />
              <text x={56} y={y(t) + 4} textAnchor="end">
                {f.number} {f.unit}
              </text>
            </g>
          );
        })}
    </g>
  );
}
