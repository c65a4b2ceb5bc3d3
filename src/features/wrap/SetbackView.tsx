'use client';

import { mm } from '@/core/units/quantity';
import { Board, type Fit } from '@/ui/board/Board';
import { arrowStep, dragFrom } from '@/ui/board/drag';
import { SideView } from '@/ui/board/SideView';
import { LengthField } from '@/ui/LengthField';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { FrontPicture } from './FrontPicture';

type Edge = 'top' | 'foot';

const STEP_MM = 0.5;
const snap = (v: number) => Math.round(v / STEP_MM) * STEP_MM;

/** The blank from the side with the wrap on it; drag its edges to set it back from rim and foot. */
export function SetbackView() {
  const { job, plan, edit } = useJob();
  const say = useSay();
  const { blank, zones, outline } = plan.blank;
  if (!blank || !zones || !outline) return null;
  const { shape } = blank;
  const { wall } = zones;
  // Drawn on the catalogue shape, with the setbacks as chosen.
  const room = Math.max(0, wall.height - 10);
  const set = (edge: Edge, value: number) => {
    const other = edge === 'top' ? plan.wrap.setbacks.footMm : plan.wrap.setbacks.topMm;
    const v = Math.min(Math.max(0, value), Math.max(0, room - other));
    edit(
      (j) => ({ ...j, wrap: { ...j.wrap, [edge === 'top' ? 'topSetbackMm' : 'footSetbackMm']: v } }),
      `setback-${edge}`,
    );
  };
  const { topMm, footMm } = plan.wrap.setbacks;
  const top = wall.y + topMm;
  const foot = wall.y + wall.height - footMm;
  return (
    <div className="flex flex-col border-r border-rule">
      <div className="px-4 pt-2">
        <LengthField
          label="Back from the rim"
          valueMm={topMm}
          minMm={0}
          maxMm={200}
          taken={job.wrap.topSetbackMm !== null}
          onValue={(v) => set('top', v)}
          width="w-16"
        />
      </div>
      <div className="relative min-h-40 flex-1">
        <Board
          interactive
          label={`The wrap on the blank: ${say([mm(topMm)])} back from the rim, ${say([mm(footMm)])} from the foot`}
          bounds={{ x: -shape.diameterMm / 2, y: 0, width: shape.diameterMm, height: shape.heightMm }}
          room={{ top: 10, right: 26, bottom: 10, left: 26 }}
          draw={(fit) => (
            <>
              <SideView
                fit={fit}
                outline={outline}
                zones={zones}
                colour={blank.coating.colour}
                clear={blank.keepClear}
              />
              <FrontPicture fit={fit} topMm={top} heightMm={foot - top} />
              <EdgeHandle
                fit={fit}
                edge="top"
                yMm={top}
                halfMm={shape.diameterMm / 2}
                valueMm={topMm}
                mostMm={room - footMm}
                onChange={(v) => set('top', v)}
              />
              <EdgeHandle
                fit={fit}
                edge="foot"
                yMm={foot}
                halfMm={shape.diameterMm / 2}
                valueMm={footMm}
                mostMm={room - topMm}
                onChange={(v) => set('foot', v)}
              />
            </>
          )}
        />
      </div>
      <div className="px-4 pb-2">
        <LengthField
          label="Back from the foot"
          valueMm={footMm}
          minMm={0}
          maxMm={200}
          taken={job.wrap.footSetbackMm !== null}
          onValue={(v) => set('foot', v)}
          width="w-16"
        />
      </div>
    </div>
  );
}

interface HandleProps {
  readonly fit: Fit;
  readonly edge: Edge;
  readonly yMm: number;
  readonly halfMm: number;
  readonly valueMm: number;
  readonly mostMm: number;
  readonly onChange: (mm: number) => void;
}

function EdgeHandle({ fit, edge, yMm, halfMm, valueMm, mostMm, onChange }: HandleProps) {
  const say = useSay();
  const sign = edge === 'top' ? 1 : -1;
  const y = fit.y(yMm);
  const x1 = fit.x(-halfMm) - 16;
  const x2 = fit.x(halfMm) + 16;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={edge === 'top' ? 'Wrap edge at the rim' : 'Wrap edge at the foot'}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.max(0, Math.round(mostMm))}
      aria-valuenow={valueMm}
      aria-valuetext={`${say([mm(valueMm)])} set back`}
      className="cursor-ns-resize touch-none"
      onKeyDown={(e) => arrowStep(e, (_, dy) => onChange(snap(valueMm + sign * dy * STEP_MM)))}
      {...dragFrom(
        () => valueMm,
        (start, _, dy) => onChange(snap(start + (sign * dy) / fit.k)),
      )}
    >
      <rect x={x1} y={y - 14} width={x2 - x1} height={28} fill="transparent" />
      <line x1={x1} x2={x2} y1={y} y2={y} stroke="#14211f" strokeWidth={2.5} />
      <rect x={x1 - 5} y={y - 9} width={10} height={18} fill="#14211f" />
      <rect x={x2 - 5} y={y - 9} width={10} height={18} fill="#14211f" />
    </g>
  );
}
