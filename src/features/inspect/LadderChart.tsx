'use client';

import { useWords } from '@/ui/words';
import { scaleLinear, scaleLog } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useMemo } from 'react';
import { afterRung, ladderStart, rungChances } from '@/core/heat/settings/ladder';
import type { Ladder } from '@/core/job/job';
import { formatDuration } from '@/core/units/format';

const [W, H] = [400, 200];
const ROOM = { left: 46, right: 14, top: 14, bottom: 34 };
const STEPS = 60;
const DOT = { under: '#1d2c5e', good: '#3c6b57', over: '#6e2f2a' } as const;

/** How likely each time is good, as believed after what was pressed. */
export function LadderChart({ ladder }: { ladder: Ladder }) {
  const t = useWords();
  const { points, from, to } = useMemo(() => {
    const belief = ladder.rungs.reduce(afterRung, ladderStart(ladder.prior));
    const lo = Math.exp(ladder.prior.neededLn - 2 * ladder.prior.neededSd);
    const hi = Math.exp(ladder.prior.limitLn + 2 * ladder.prior.limitSd);
    const all = Array.from({ length: STEPS }, (_, i) => {
      const dwellS = lo * (hi / lo) ** (i / (STEPS - 1));
      return { dwellS, good: rungChances(belief, dwellS).good };
    });
    return { points: all, from: lo, to: hi };
  }, [ladder]);
  const x = scaleLog([from, to], [ROOM.left, W - ROOM.right]);
  const y = scaleLinear([0, 1], [H - ROOM.bottom, ROOM.top]);
  const ticks = [5, 15, 60, 240, 960].filter((t) => t > from && t < to);
  const curve = line<(typeof points)[number]>(
    (p) => x(p.dwellS),
    (p) => y(p.good),
  );
  const under = area<(typeof points)[number]>(
    (p) => x(p.dwellS),
    y(0),
    (p) => y(p.good),
  );
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full max-w-xl"
        role="img"
        aria-label={t('inspect.chanceGoodPieceDwell')}
      >
        <path d={under(points) ?? ''} fill="#7f9468" fillOpacity={0.35} />
        <path d={curve(points) ?? ''} fill="none" stroke="#14211f" strokeWidth={2} />
        {[0, 0.5, 1].map((t) => (
          <g key={t}>
            <line x1={ROOM.left} x2={W - ROOM.right} y1={y(t)} y2={y(t)} stroke="#b9c6bc" />
            <text x={ROOM.left - 6} y={y(t) + 4} textAnchor="end" fontSize={13} className="font-label">
              {t * 100} %
            </text>
          </g>
        ))}
        {ticks.map((t) => {
          const { number, unit } = formatDuration(t);
          return (
            <text key={t} x={x(t)} y={H - 14} textAnchor="middle" fontSize={13} className="font-label">
              {number} {unit}
            </text>
          );
        })}
        {ladder.rungs.map((r) => (
          <circle
            key={r.at}
            cx={x(r.dwellS)}
            cy={y(0)}
            r={7}
            fill={DOT[r.answer]}
            stroke="#ffffff"
            strokeWidth={2}
          />
        ))}
      </svg>
      <figcaption className="text-soft">{t('inspect.chancePieceGoodTime')}</figcaption>
    </figure>
  );
}
