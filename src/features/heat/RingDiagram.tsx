'use client';

import { interpolateRgbBasis } from 'd3-interpolate';
import { scaleLinear } from 'd3-scale';
import { arc } from 'd3-shape';
import type { RingPoint } from '@/core/heat/outcome';
import { isHandled } from '@/core/shop/blank';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';

const RAD = Math.PI / 180;
/** Strata, cool to hot. */
const HEAT = interpolateRgbBasis(['#dfe5dd', '#c9b37a', '#d08a3e', '#ad4b25', '#6e2f2a']);

/** Looking down the barrel: the dose round the wall after each pass, from the inside out, and where the heater is open. */
export function RingDiagram() {
  const { plan } = useJob();
  const say = useSay();
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
      ? `least ${say([{ kind: 'duration', value: Math.min(...printed) }])}, most ${say([{ kind: 'duration', value: Math.max(...printed) }])} at 200 °C`
      : 'calculating';
  return (
    <figure className="flex h-full min-h-0 flex-col p-2">
      <figcaption className="font-name text-lead font-semibold">
        Round the wall, dose after each pass
      </figcaption>
      <svg
        viewBox="-118 -122 236 240"
        className="min-h-0 w-full flex-1"
        role="img"
        aria-label={`The heater reaches ${Math.round(reach.coveredDeg)} degrees of the way round; dose ${words}`}
      >
        <Heater coveredDeg={reach.coveredDeg} />
        {ring?.map((p) => (
          <Sector key={p.fromDeg} point={p} passes={passes} colour={(s) => HEAT(colour(s))} />
        ))}
        <circle r={34} fill="#f8faf6" stroke="#14211f" strokeWidth={1.5} />
        <text textAnchor="middle" y={-6} fontSize={13} fontWeight={600} className="font-label" fill="#14211f">
          {passes > 1 ? `${passes} passes` : 'one pass'}
        </text>
        <text textAnchor="middle" y={12} fontSize={12} className="font-label" fill="#14211f">
          {passes > 1 ? `turn ${Math.round(360 / passes)}°` : 'no turn'}
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
            ? 'handle'
            : reach.gapDeg > 0
              ? `seam up first · no heat ${Math.round(reach.gapDeg)}°`
              : 'seam anywhere'}
        </text>
      </svg>
      <p className="text-fine leading-snug">
        {words}. {seamAdvice(ring, passes, handled)}
      </p>
    </figure>
  );
}

/** Where the seam lies best: in the opening on the first pass it has the middle of the heater on the next. */
function seamAdvice(ring: readonly RingPoint[] | null, passes: number, handled: boolean): string {
  if (handled) return 'The handle stands in the opening: one closing, never turned.';
  if (!ring || passes < 2) return 'Face the picture to the middle of the heater.';
  const last = (p: RingPoint | undefined) => p?.afterPassS[passes - 1] ?? 0;
  const seam = last(ring[0]);
  const least = Math.min(...ring.map(last));
  return seam > least * 1.15
    ? 'The seam is well heated where it lies: up for the first pass.'
    : 'The seam lies where the wall gets least heat. Press it down well and tape it full length.';
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
