'use client';

import { count } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { interpolateRgbBasis } from 'd3-interpolate';
import { scaleLinear } from 'd3-scale';
import { arc } from 'd3-shape';
import type { RingPoint } from '@/core/heat/model/outcome';
import { isHandled } from '@/core/shop/blank';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';

const RAD = Math.PI / 180;
/** Strata, cool to hot. */
const HEAT = interpolateRgbBasis(['#dfe5dd', '#c9b37a', '#d08a3e', '#ad4b25', '#6e2f2a']);

/** Looking down the barrel: the dose round the wall after each pass, from the inside out, and where the heater is open. */
export function RingDiagram() {
  const { plan } = useJob();
  const t = useWords();
  const { chosen, model } = plan.heat;
  const outcome = model?.shown;
  const reach = chosen?.heaterReach;
  if (!chosen || !reach) return null;
  const ring = outcome?.ring ?? null;
  const handled = plan.blank.blank ? isHandled(plan.blank.blank) : false;
  const passes = chosen.settings.passes;
  const most = Math.max(1, ...(ring ?? []).flatMap((p) => p.afterPassS));
  const colour = scaleLinear([0, most], [0, 1]).clamp(true);
  const printed = (ring ?? []).filter((p) => p.printed).map((p) => p.afterPassS[passes - 1] ?? 0);
  const words =
    printed.length > 0
      ? t('heat.leastMost200C', {
          value: { kind: 'duration', value: Math.min(...printed) },
          value2: { kind: 'duration', value: Math.max(...printed) },
        })
      : 'calculating';
  return (
    <figure className="flex h-full min-h-0 flex-col p-2">
      <figcaption className="font-name text-lead font-semibold">{t('heat.roundWallDoseAfter')}</figcaption>
      <svg
        viewBox="-118 -122 236 240"
        className="min-h-0 w-full flex-1"
        role="img"
        aria-label={t('heat.heaterReachesDegreesWay', { covered: Math.round(reach.coveredDeg), words })}
      >
        <Heater coveredDeg={reach.coveredDeg} />
        {ring?.map((p) => (
          <Sector key={p.fromDeg} point={p} passes={passes} colour={(s) => HEAT(colour(s))} />
        ))}
        <circle r={34} fill="#f8faf6" stroke="#14211f" strokeWidth={1.5} />
        <text textAnchor="middle" y={-6} fontSize={13} fontWeight={600} className="font-label" fill="#14211f">
          {passes > 1 ? t.quantity(count(passes, 'pass')) : t('heat.onePass')}
        </text>
        <text textAnchor="middle" y={12} fontSize={12} className="font-label" fill="#14211f">
          {passes > 1 ? t('heat.turn2', { passes: Math.round(360 / passes) }) : t('heat.noTurn')}
        </text>
        <text
          textAnchor="middle"
          y={-106}
          fontSize={15}
          fontWeight={600}
          className="font-label"
          fill="#14211f"
        >
          {handled
            ? t('inspect.handle')
            : reach.gapDeg > 0
              ? t('heat.seamUpFirstHeat', { gap: Math.round(reach.gapDeg) })
              : t('heat.seamAnywhere')}
        </text>
      </svg>
      <p className="text-fine leading-snug">
        {words}. {t(seamAdvice(ring, passes, handled))}
      </p>
    </figure>
  );
}

/** Where the seam lies best: in the opening on the first pass it has the middle of the heater on the next. */
function seamAdvice(ring: readonly RingPoint[] | null, passes: number, handled: boolean): Message {
  if (handled) return say('heat.handleStandsOpeningOne');
  if (!ring || passes < 2) return say('heat.facePictureMiddleHeater');
  const last = (p: RingPoint | undefined) => p?.afterPassS[passes - 1] ?? 0;
  const seam = last(ring[0]);
  const least = Math.min(...ring.map(last));
  return seam > least * 1.15 ? say('heat.seamWellHeatedWhere') : say('heat.seamLiesWhereWall');
}

const Heater = ({ coveredDeg }: { coveredDeg: number }) => {
  const gap = (360 - coveredDeg) / 2;
  const d =
    arc()({ innerRadius: 92, outerRadius: 99, startAngle: gap * RAD, endAngle: (360 - gap) * RAD }) ?? '';
  return <path d={d} fill="#14211f" />;
};

interface SectorProps {
  readonly point: RingPoint;
  readonly passes: number;
  readonly colour: (s: number) => string;
}

/** One arc of the wall: a step outwards for each pass. */
function Sector({ point, passes, colour }: SectorProps) {
  const step = 52 / passes;
  return (
    <g opacity={point.printed ? 1 : 0.35}>
      {point.afterPassS.map((s, i) => (
        <path
          key={i}
          d={
            arc()({
              innerRadius: 37 + i * step,
              outerRadius: 37 + (i + 1) * step - 1.5,
              startAngle: point.fromDeg * RAD,
              endAngle: point.toDeg * RAD,
            }) ?? ''
          }
          fill={colour(s)}
          stroke={colour(s)}
          strokeWidth={0.4}
        />
      ))}
    </g>
  );
}
