'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useMemo } from 'react';
import { useLiveQuery } from 'dexie-react-hooks';
import type { ChosenHeat } from '@/core/heat/settings/choose';
import type { HeatOutcome } from '@/core/heat/model/outcome';
import { settableS } from '@/core/heat/settings/start';
import type { WindowRange } from '@/core/heat/settings/window';
import type { HeatSettings } from '@/core/shop/heatSettings';
import type { LogEntry } from '@/core/shop/records';
import { clockText, toCelsius, toFahrenheit, type UnitChoice } from '@/core/units/format';
import { celsius } from '@/core/message/quantity';
import { newestOnPress } from '@/data/log';
import { ScaleDrawing } from '@/ui/board/Board';
import { Draggable } from '@/ui/board/Draggable';
import { useUnits } from '@/ui/units';
import { useHeatEdit, useJob } from '../job/jobContext';
import { bandPaths, CHART_ROOM, goodAt, goodPlace, windowScales, type WindowScales } from './windowScales';

const DOT: Readonly<Record<LogEntry['verdict'], { fill: string; label: Message }>> = {
  good: { fill: '#173a36', label: say('common.good2') },
  under: { fill: '#f8faf6', label: say('common.tooLittle') },
  over: { fill: '#6e2f2a', label: say('common.tooMuch') },
  other: { fill: '#c9b37a', label: say('common.otherFault') },
};

/** Newest entries shown as dots: older ones lie under them. */
const MOST_DOTS = 300;

/** Temperature against time: how likely a good piece is, the usual range, what was tried, and the setting to drag. */
export function HeatWindow() {
  const t = useWords();
  const { plan } = useJob();
  const units = useUnits();
  const { chosen, press } = plan.heat;
  const blank = plan.blank.blank;
  const [blankId, pressId] = [blank?.id ?? '', press?.id ?? ''];
  const newest = useLiveQuery(() => newestOnPress(blankId, pressId, MOST_DOTS), [blankId, pressId]);
  if (!chosen || !press || !blank) return null;
  const tried = (newest ?? []).filter((e) => e.settings.passes === chosen.settings.passes);
  return (
    <ScaleDrawing
      interactive
      label={t('heat.temperatureAgainstTimeHow')}
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
  const t = useWords();
  const { plan } = useJob();
  const { chosen, model } = plan.heat;
  const range = model?.range ?? null;
  const scales = useMemo(() => range && windowScales(range, width, height), [range, width, height]);
  const window = model?.window ?? null;
  const bands = useMemo(() => (window && scales ? bandPaths(window, scales) : []), [window, scales]);
  if (!chosen || !model || !scales) return null;
  const { x, y } = scales;
  const { settings: s } = chosen;
  const usual = usualBox(chosen, model.shown);
  const shownDots = tried.filter((e) => inside(e.settings, model.range));
  return (
    <g className="font-label" fontSize={13} fill="#14211f">
      <text x={CHART_ROOM.left} y={20} fontSize={15} fontWeight={600}>
        {s.passes > 1 ? t('heat.dwellTimePerPass2') : t('heat.timeAgainstTemperature')}
        {model.rough && <tspan fontWeight={500}> {t('heat.calculating2')}</tspan>}
      </text>
      <rect
        x={CHART_ROOM.left}
        y={CHART_ROOM.top}
        width={Math.max(0, width - CHART_ROOM.left - CHART_ROOM.right)}
        height={Math.max(0, height - CHART_ROOM.top - CHART_ROOM.bottom)}
        fill="#f2f1e6"
      />
      {bands.map((b, i) => (
        <path key={i} d={b.d} fill={b.fill} stroke="#14211f" strokeWidth={0.6} />
      ))}
      <Sides width={width} height={height} />
      {usual && (
        <g>
          <rect
            x={x(usual.platenC[0])}
            width={x(usual.platenC[1]) - x(usual.platenC[0])}
            y={y(usual.dwellS[1])}
            height={y(usual.dwellS[0]) - y(usual.dwellS[1])}
            fill="none"
            stroke="#14211f"
            strokeDasharray="5 4"
          />
          <text x={x(usual.platenC[0]) + 2} y={y(usual.dwellS[0]) + 14} fontWeight={600}>
            {t('heat.usualRange')}
          </text>
        </g>
      )}
      <BestWords scales={scales} />
      {shownDots.map((e) => (
        <circle
          key={e.id}
          cx={x(e.settings.platenC)}
          cy={y(e.settings.dwellS)}
          r={6}
          fill={DOT[e.verdict].fill}
          stroke="#14211f"
          strokeWidth={1.5}
        >
          <title>{t(DOT[e.verdict].label)}</title>
        </circle>
      ))}
      <Axes x={x} y={y} width={width} height={height} units={units} />
      {shownDots.length > 0 && <DotKey x={CHART_ROOM.left} y={height - 7} />}
      <Here scales={scales} units={units} />
    </g>
  );
}

/**
 * The usual range on this timer. It counts from closing: for a timer that starts at temperature the climb comes off, since those who
 * use one and those who use the other press alike. For ovens it counts at temperature from the start.
 */
function usualBox({ range, settings: s }: ChosenHeat, o: HeatOutcome | null) {
  if (!range || range.press === 'oven' || s.timerStart === 'from-closing') return range;
  const [first] = o?.closings ?? [];
  const climbS = first?.backS == null ? 0 : first.backS - first.closedS;
  return {
    ...range,
    dwellS: [Math.max(0, range.dwellS[0] - climbS), Math.max(0, range.dwellS[1] - climbS)] as const,
  };
}

const inside = (s: HeatSettings, range: WindowRange) =>
  s.platenC >= range.platenC[0] && s.platenC <= range.platenC[1] && s.dwellS <= range.dwellS[1];

/** What lies on either side of the window, in words. */
function Sides({ width, height }: { width: number; height: number }) {
  const t = useWords();
  const { plan } = useJob();
  const map = plan.heat.model?.window;
  if (!map) return null;
  const at = (gx: number, gy: number) => map.good[gy * map.columns + gx] ?? 1;
  const clearTop = at(map.columns - 2, map.rows - 2) < 0.5;
  const clearFoot = at(1, 1) < 0.5;
  return (
    <g fontWeight={600}>
      {clearTop && (
        <text x={width - CHART_ROOM.right - 8} y={CHART_ROOM.top + 18} textAnchor="end">
          {t('heat.tooMuchBrownedSoft')}
        </text>
      )}
      {clearFoot && (
        <text x={CHART_ROOM.left + 8} y={height - CHART_ROOM.bottom - 10}>
          {t('heat.tooLittlePaleDye')}
        </text>
      )}
    </g>
  );
}

function BestWords({ scales: { x, y } }: { scales: WindowScales }) {
  const t = useWords();
  const { plan } = useJob();
  const map = plan.heat.model?.window;
  const place = useMemo(() => (map ? goodPlace(map) : null), [map]);
  if (!map || !place) return null;
  const good = goodAt(map, place.c, place.s) ?? 0;
  const words =
    good >= 0.95
      ? t('heat.good1920')
      : good >= 0.9
        ? t('heat.good910')
        : good >= 0.75
          ? t('heat.good34')
          : t('heat.good12');
  const [cx, cy] = [x(place.c), y(place.s)];
  return (
    <text x={cx} y={cy - 22} textAnchor="middle" fontWeight={600} fill={good >= 0.95 ? '#ffffff' : '#14211f'}>
      {words}
    </text>
  );
}

/** Whole degrees of the shop's own unit: what a press is set to. */
const settableC = (c: number, units: UnitChoice): number =>
  units.temperature === 'F' ? toCelsius(Math.round(toFahrenheit(c))) : Math.round(c);

/** The chosen setting: dragged, or moved with the arrow keys. */
function Here({ scales: { x, y }, units }: { scales: WindowScales; units: UnitChoice }) {
  const t = useWords();
  const { plan } = useJob();
  const edit = useHeatEdit();
  const s = plan.heat.chosen?.settings;
  if (!s) return null;
  const put = (platenC: number, dwellS: number) =>
    edit(
      (j) => ({
        ...j,
        heat: {
          ...j.heat,
          platenC: Math.min(250, Math.max(120, settableC(platenC, units))),
          dwellS: Math.max(2, settableS(dwellS)),
        },
      }),
      'window',
    );
  const [cx, cy] = [x(s.platenC), y(s.dwellS)];
  const stepS = s.dwellS < 20 ? 1 : 5;
  const stepC = units.temperature === 'F' ? 5 / 9 : 1;
  return (
    <Draggable
      as="g"
      begin={() => ({ cx, cy })}
      onDragged={(from, dx, dy) => put(x.invert(from.cx + dx), y.invert(from.cy + dy))}
      tabIndex={0}
      role="slider"
      aria-label={t('heat.chosenSetting')}
      aria-valuenow={s.dwellS}
      aria-valuetext={`${t.parts(celsius(s.platenC)).number} °${units.temperature}, ${clockText(s.dwellS)}`}
      className="cursor-move touch-none"
      onKeyDown={(e) => {
        const by = {
          ArrowUp: [0, stepS],
          ArrowDown: [0, -stepS],
          ArrowRight: [stepC, 0],
          ArrowLeft: [-stepC, 0],
        }[e.key];
        if (!by) return;
        e.preventDefault();
        put(s.platenC + (by[0] ?? 0), s.dwellS + (by[1] ?? 0));
      }}
    >
      <rect x={cx - 24} y={cy - 24} width={48} height={48} fill="transparent" />
      <g stroke="#14211f" strokeWidth={2.5} fill="none">
        <path d={`M ${cx - 17} ${cy} h 34 M ${cx} ${cy - 17} v 34`} />
        <rect x={cx - 10} y={cy - 10} width={20} height={20} fill="#f8faf6" fillOpacity={0.55} />
      </g>
    </Draggable>
  );
}

/** Room a letter of the key takes, px, and a dot with the space about it. */
const LETTER_PX = 6.6;
const DOT_PX = 34;

const DotKey = ({ x, y }: { x: number; y: number }) => {
  const t = useWords();
  const labels = (['good', 'under', 'over'] as const).map((v) => ({ v, label: t(DOT[v].label) }));
  const before = (i: number): number =>
    labels.slice(0, i).reduce((sum, { label }) => sum + DOT_PX + label.length * LETTER_PX, 0);
  return (
    <g>
      {labels.map(({ v, label }, i) => (
        <g key={v} transform={`translate(${x + before(i)} ${y})`}>
          <circle r={6} cx={6} cy={-4} fill={DOT[v].fill} stroke="#14211f" strokeWidth={1.5} />
          <text x={17}>{label}</text>
        </g>
      ))}
    </g>
  );
};

interface AxesProps extends WindowScales {
  readonly width: number;
  readonly height: number;
  readonly units: UnitChoice;
}

/** Room a label of the axis takes, px. */
const LABEL_PX = 62;

/** Even marks on a clock, s. */
export function clockTicks(longestS: number, most: number): readonly number[] {
  const steps = [5, 10, 15, 30, 60, 120, 180, 300, 600, 900, 1800, 3600];
  const step = steps.find((st) => longestS / st <= most) ?? 3600;
  return Array.from({ length: Math.floor(longestS / step) }, (_, i) => (i + 1) * step);
}

function Axes({ x, y, width, height }: AxesProps) {
  const t = useWords();
  const foot = height - CHART_ROOM.bottom;
  const [, longest = 60] = y.domain();
  return (
    <g>
      <path
        d={`M ${CHART_ROOM.left} ${CHART_ROOM.top} V ${foot} H ${width - CHART_ROOM.right}`}
        fill="none"
        stroke="#14211f"
        strokeWidth={2}
      />
      {x.ticks(Math.max(2, Math.floor((width - 88) / LABEL_PX))).map((c) => {
        const f = t.parts(celsius(c));
        return (
          <g key={c}>
            <line x1={x(c)} x2={x(c)} y1={foot} y2={foot + 5} stroke="#14211f" />
            <text x={x(c)} y={foot + 19} textAnchor="middle">
              {f.number} {f.unit}
            </text>
          </g>
        );
      })}
      {clockTicks(longest, 6).map((t) => (
        <g key={t}>
          <line x1={CHART_ROOM.left - 5} x2={CHART_ROOM.left} y1={y(t)} y2={y(t)} stroke="#14211f" />
          <text x={CHART_ROOM.left - 9} y={y(t) + 4} textAnchor="end">
            {clockText(t)}
          </text>
        </g>
      ))}
    </g>
  );
}
