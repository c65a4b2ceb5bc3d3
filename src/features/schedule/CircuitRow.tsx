import { decimal } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import type { DayPlan } from '@/core/day/dayPlan';

interface Props {
  readonly day: DayPlan;
  readonly circuit: number;
  readonly x: (s: number) => number;
  readonly y: number;
  readonly height: number;
}

/** Where the lines begin, right of their names. */
const LEFT_PX = 116;

/** What a circuit carries over time, under the line of what it may. */
export function CircuitRow({ day, circuit, x, y, height }: Props) {
  const t = useWords();
  const c = day.circuits[circuit];
  if (!c) return null;
  const foot = y + height - 6;
  const most = Math.max(c.carriesA, c.mostA) * 1.12;
  const up = (amps: number) => foot - (amps / most) * (height - 14);
  const [, right] = [x(0), Math.max(x(0), ...c.draw.map((d) => x(d.atS)))];
  const steps = c.draw
    .map((d, i) => {
      const next = c.draw[i + 1];
      return `L${x(d.atS)} ${up(d.amps)}H${next ? x(next.atS) : right}`;
    })
    .join('');
  return (
    <g>
      <clipPath id={`circuit-${circuit}`}>
        <rect x={Math.max(LEFT_PX, x(0))} y={y} width={4000} height={height} />
      </clipPath>
      <path
        d={`M${x(0)} ${foot}${steps}V${foot}Z`}
        className="fill-strata-6"
        clipPath={`url(#circuit-${circuit})`}
      />
      <line
        x1={LEFT_PX}
        x2={4000}
        y1={up(c.carriesA)}
        y2={up(c.carriesA)}
        className="stroke-act"
        strokeWidth={2}
        strokeDasharray="7 4"
      />
      <text
        x="100%"
        dx={-8}
        y={up(c.carriesA) + 13}
        textAnchor="end"
        className="fill-act-deep font-label text-fine font-semibold"
        stroke="var(--color-board)"
        strokeWidth={3}
        paintOrder="stroke"
      >
        {t('schedule.aContinuous', { carriesA: decimal(c.carriesA, 0) })}
      </text>
      <text x={10} y={y + height * 0.62 + 15} className="fill-soft font-label text-fine font-medium">
        {t('schedule.upToA', { mostA: decimal(c.mostA, 1) })}
      </text>
      <line x1={LEFT_PX} x2={4000} y1={foot} y2={foot} className="stroke-ink" />
    </g>
  );
}
