'use client';

import { useWords } from '@/ui/words';
import { arc } from 'd3-shape';

const RAD = Math.PI / 180;

interface Props {
  readonly coveredDeg: number;
  readonly rotationDeg: number;
  /** Seam, degrees clockwise from the top, in the pass shown. */
  readonly seamDeg: number;
  readonly size: number;
  readonly ground: string;
  readonly ink: string;
  readonly showTurn: boolean;
  /** What stands at the mark: the seam, or a handle in the heater's opening. */
  readonly mark?: 'seam' | 'handle';
}

/** Looking down the barrel: the heater round the blank, its unheated gap at the top, and where the seam sits. */
export function Barrel({
  coveredDeg,
  rotationDeg,
  seamDeg,
  size,
  ground,
  ink,
  showTurn,
  mark = 'seam',
}: Props) {
  const t = useWords();
  const gap = 360 - coveredDeg;
  const r = size / 2;
  const heater =
    arc()({
      innerRadius: r * 0.82,
      outerRadius: r * 0.98,
      startAngle: (gap / 2) * RAD,
      endAngle: (360 - gap / 2) * RAD,
    }) ?? '';
  // The turning arrow keeps clear of the seam’s own word.
  const turnR = seamDeg === 0 ? r * 0.52 : r * 0.26;
  const turn =
    arc()({ innerRadius: turnR, outerRadius: turnR + 2, startAngle: 130 * RAD, endAngle: 225 * RAD }) ?? '';
  const seam = { x: Math.sin(seamDeg * RAD), y: -Math.cos(seamDeg * RAD) };
  return (
    <g>
      <path d={heater} fill="#d08a3e" />
      <circle r={r * 0.74} fill={ground} stroke={ink} strokeWidth={3} />
      <line
        x1={seam.x * r * 0.74}
        y1={seam.y * r * 0.74}
        x2={seam.x * r * 0.6}
        y2={seam.y * r * 0.6}
        stroke="#c9b37a"
        strokeWidth={6}
      />
      <text
        x={seam.x * r * 0.44}
        y={seam.y * r * 0.44 + 5}
        textAnchor="middle"
        fontSize={16}
        fontWeight={600}
        className="font-label"
        fill={ink}
      >
        {t(mark === 'seam' ? 'inspect.seam' : 'inspect.handle')}
      </text>
      {showTurn && rotationDeg > 0 && (
        <g>
          <path d={turn} fill={ink} />
          <path d="M 0 -6 L -11 0 L 0 6 Z" fill={ink} transform={`rotate(225) translate(0 ${-turnR - 1})`} />
          <text
            y={seamDeg === 0 ? r * 0.22 : -r * 0.08}
            textAnchor="middle"
            fontSize={17}
            fontWeight={600}
            className="font-label"
            fill={ink}
          >
            {t('heat.turn', { rotation: Math.round(rotationDeg) })}
          </text>
        </g>
      )}
    </g>
  );
}
