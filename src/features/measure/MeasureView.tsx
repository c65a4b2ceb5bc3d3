'use client';

import type { Place } from '@/core/job/job';
import { mm } from '@/core/units/quantity';
import { Board, type Fit } from '@/ui/board/Board';
import { SideView } from '@/ui/board/SideView';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { ReadingBox } from './ReadingBox';

const BOX_WIDTH = 400;

/** Tape round the rim, round the foot, and up the wall: each reading typed where it is taken. */
export function MeasureView() {
  const { plan } = useJob();
  const { blank, zones, outline } = plan.blank;
  if (!blank || !zones || !outline) return <NeedsBlank />;
  const { shape } = blank;
  const { wall } = zones;
  const top = wall.y + Math.min(12, wall.height * 0.12);
  const foot = wall.y + wall.height - Math.min(12, wall.height * 0.12);
  return (
    <div className="absolute inset-0 overflow-auto">
      <div className="relative h-full min-h-[36rem] min-w-[44rem]">
        <Board
          label={`${blank.name} from the side, with the places to measure`}
          bounds={{ x: -shape.diameterMm / 2, y: 0, width: shape.diameterMm, height: shape.heightMm }}
          room={{ top: 40, right: BOX_WIDTH + 60, bottom: 40, left: 34 }}
          draw={(fit) => (
            <>
              <SideView
                fit={fit}
                outline={outline}
                zones={zones}
                colour={blank.coating.colour}
                clear={blank.keepClear}
              />
              <Band fit={fit} yMm={top} radiusMm={shape.diameterMm / 2} toY={70} />
              <Band fit={fit} yMm={foot} radiusMm={shape.diameterMm / 2} toY={fit.height - 150} />
              <Rise
                fit={fit}
                topMm={wall.y}
                bottomMm={wall.y + wall.height}
                radiusMm={shape.diameterMm / 2}
              />
            </>
          )}
          over={(fit) => (
            <div
              className="absolute top-4 right-4 bottom-4 flex flex-col justify-between gap-2"
              style={{ width: BOX_WIDTH }}
            >
              <ReadingBox place="girthTop" hint="Where the wall is straight, just under the lip." />
              <ReadingBox place="wall" hint="Where paper can lie flat: not the lip, not the rounded foot." />
              <ReadingBox place="girthFoot" hint="Just above the rounded foot." />
              <span className="sr-only">{Math.round(fit.width)}</span>
            </div>
          )}
        />
      </div>
    </div>
  );
}

interface BandProps {
  readonly fit: Fit;
  readonly yMm: number;
  readonly radiusMm: number;
  readonly toY: number;
}

/** A tape round the blank, led to its readings. */
function Band({ fit, yMm, radiusMm, toY }: BandProps) {
  const { plan } = useJob();
  const say = useSay();
  const { x, y, k } = fit;
  const r = radiusMm * k;
  const cy = y(yMm);
  const place: Place = toY < fit.height / 2 ? 'girthTop' : 'girthFoot';
  const value = plan.measure.places[place].value;
  const boxLeft = fit.width - BOX_WIDTH - 16;
  return (
    <g>
      <path
        d={`M ${x(0) - r} ${cy} A ${r} ${Math.min(10, r / 4)} 0 0 0 ${x(0) + r} ${cy}`}
        fill="none"
        stroke="#1d2c5e"
        strokeWidth={5}
      />
      <path
        d={`M ${x(0) - r} ${cy} A ${r} ${Math.min(10, r / 4)} 0 0 1 ${x(0) + r} ${cy}`}
        fill="none"
        stroke="#1d2c5e"
        strokeWidth={1.5}
        strokeDasharray="3 4"
      />
      <polyline
        points={`${x(0) + r + 4},${cy} ${boxLeft - 40},${cy} ${boxLeft - 14},${toY} ${boxLeft},${toY}`}
        fill="none"
        stroke="#14211f"
        strokeWidth={1}
      />
      {value && (
        <text
          x={x(0)}
          y={cy + (place === 'girthTop' ? 32 : -12)}
          textAnchor="middle"
          fontSize={17}
          fontWeight={600}
          className="font-label"
          fill="#1d2c5e"
        >
          {say([mm(value.value)])} round
        </text>
      )}
    </g>
  );
}

function Rise({
  fit,
  topMm,
  bottomMm,
  radiusMm,
}: {
  fit: Fit;
  topMm: number;
  bottomMm: number;
  radiusMm: number;
}) {
  const { plan } = useJob();
  const say = useSay();
  const { x, y } = fit;
  const at = x(radiusMm) + 18;
  const middle = (y(topMm) + y(bottomMm)) / 2;
  const value = plan.measure.places.wall.value;
  const boxLeft = fit.width - BOX_WIDTH - 16;
  return (
    <g>
      <line
        x1={at}
        x2={at}
        y1={y(topMm)}
        y2={y(bottomMm)}
        stroke="#14211f"
        strokeWidth={1.2}
        markerStart="url(#tip)"
        markerEnd="url(#tip)"
      />
      <polyline
        points={`${at},${middle} ${boxLeft - 40},${middle} ${boxLeft - 14},${fit.height / 2 - 20} ${boxLeft},${fit.height / 2 - 20}`}
        fill="none"
        stroke="#14211f"
        strokeWidth={1}
      />
      {value && (
        <text
          x={x(0)}
          y={middle + 6}
          textAnchor="middle"
          fontSize={17}
          fontWeight={600}
          className="font-label"
          fill="#1d2c5e"
        >
          {say([mm(value.value)])} tall
        </text>
      )}
    </g>
  );
}
