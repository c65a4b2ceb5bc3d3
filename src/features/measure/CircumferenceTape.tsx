'use client';

import type { Uncertain } from '@/core/figures/uncertain';
import type { Station } from '@/core/readings/places';
import type { Band } from '@/core/shapes/band';
import { mm } from '@/core/message/quantity';
import type { Fit } from '@/ui/board/Board';
import { arrowStep } from '@/ui/board/drag';
import { Draggable } from '@/ui/board/Draggable';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { Badge } from '@/ui/board/Badge';

interface TapeProps {
  readonly fit: Fit;
  readonly yMm: number;
  readonly radiusMm: number;
  readonly letter: string;
  readonly value: Uncertain | null;
  /** Taken from one side of a handle to the other. */
  readonly handled: boolean;
}

/** A tape round the wall at one height, lettered as its readings are. */
export function CircumferenceTape({ fit, yMm, radiusMm, letter, value, handled }: TapeProps) {
  const t = useWords();
  const { x, y, k } = fit;
  const r = radiusMm * k;
  const cy = y(yMm);
  const dip = Math.min(9, r / 4);
  return (
    <g>
      <path
        d={`M ${x(0) - r} ${cy} A ${r} ${dip} 0 0 0 ${x(0) + r} ${cy}`}
        fill="none"
        stroke="#1d2c5e"
        strokeWidth={5}
      />
      <path
        d={`M ${x(0) - r} ${cy} A ${r} ${dip} 0 0 1 ${x(0) + r} ${cy}`}
        fill="none"
        stroke="#1d2c5e"
        strokeWidth={1.5}
        strokeDasharray="3 4"
      />
      <Badge x={x(0) + r + 16} y={cy} letter={letter} />
      {value && (
        <text
          x={x(0)}
          y={cy + dip + 17}
          textAnchor="middle"
          fontSize={16}
          fontWeight={600}
          className="font-label"
          fill="#1d2c5e"
          paintOrder="stroke"
          stroke="#ffffff"
          strokeWidth={3}
        >
          {handled ? t.quantity(mm(value.value)) : t('measure.round', { girth: mm(value.value) })}
        </text>
      )}
    </g>
  );
}

interface HandleProps {
  readonly fit: Fit;
  readonly station: Station;
  readonly radiusMm: number;
  readonly wall: Band;
}

/** Drags the height a circumference is taken at; arrows move it by a millimetre. */
export function StationHandle({ fit, station, radiusMm, wall }: HandleProps) {
  const { edit } = useJob();
  const t = useWords();
  const put = (z: number) => {
    const fromRimMm = Math.round(Math.min(wall.footMm, Math.max(wall.topMm, z)) * 2) / 2;
    edit(
      (j) => ({ ...j, stations: j.stations.map((s) => (s.id === station.id ? { ...s, fromRimMm } : s)) }),
      `station-${station.id}`,
    );
  };
  const x = fit.x(-radiusMm) - 10;
  const y = fit.y(station.fromRimMm);
  return (
    <Draggable
      as="g"
      role="slider"
      tabIndex={0}
      aria-label={t('measure.heightCircumferenceTaken')}
      aria-orientation="vertical"
      aria-valuemin={wall.topMm}
      aria-valuemax={wall.footMm}
      aria-valuenow={station.fromRimMm}
      aria-valuetext={t('measure.belowRim', { fromRim: mm(station.fromRimMm) })}
      className="cursor-ns-resize touch-none"
      onKeyDown={(e) => arrowStep(e, (_, dy) => put(station.fromRimMm + dy))}
      begin={() => station.fromRimMm}
      onDragged={(start, _, dy) => put(start + dy / fit.k)}
    >
      <rect x={x - 20} y={y - 20} width={40} height={40} fill="transparent" />
      <path d={`M ${x - 8} ${y - 3} L ${x} ${y - 12} L ${x + 8} ${y - 3} Z`} fill="#1d2c5e" />
      <path d={`M ${x - 8} ${y + 3} L ${x} ${y + 12} L ${x + 8} ${y + 3} Z`} fill="#1d2c5e" />
    </Draggable>
  );
}
