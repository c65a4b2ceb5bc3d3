'use client';

import { boundsOfContour, contourPath, flatten } from '@/core/geometry/contour';
import type { FlatPress } from '@/core/shop/press';
import { mm } from '@/core/units/quantity';
import { mainFace } from '@/core/wrap/pattern';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';

/** The last of a platen along its edges runs cooler, mm. */
const COOL_EDGE_MM = 35;
const OUTLINE_TOLERANCE_MM = 0.2;

/** A flat press from above: the platen to scale, its cooler edges, and the piece in the middle. */
export function BedDiagram({ press }: { press: FlatPress }) {
  const { plan } = useJob();
  const say = useSay();
  const { pattern } = plan.wrap;
  const { platenWidthMm: w, platenHeightMm: h } = press;
  const room = Math.max(w, h) * 0.14;
  const em = Math.max(w, h) / 17;
  const trim = pattern && mainFace(pattern).trim;
  const box = trim && boundsOfContour(trim);
  // Laid the way round that fits, as a hand would.
  const turned = box !== null && (box.width > w || box.height > h) && box.height <= w && box.width <= h;
  const size = [mm(w), ' × ', mm(h)] as const;
  return (
    <figure className="flex flex-col items-center justify-center p-3">
      <figcaption className="font-name text-lead font-semibold">On the bed, from above</figcaption>
      <svg
        viewBox={`${-w / 2 - room} ${-h / 2 - room} ${w + 2 * room} ${h + 2 * room}`}
        className="max-h-64 w-full max-w-60"
        role="img"
        aria-label={`The piece in the middle of a platen of ${say([...size])}`}
      >
        <rect x={-w / 2} y={-h / 2} width={w} height={h} fill="#d08a3e" />
        <rect
          x={-w / 2 + COOL_EDGE_MM}
          y={-h / 2 + COOL_EDGE_MM}
          width={Math.max(0, w - 2 * COOL_EDGE_MM)}
          height={Math.max(0, h - 2 * COOL_EDGE_MM)}
          fill="#ad4b25"
        />
        {trim && box && (
          <g
            transform={`${turned ? 'rotate(90) ' : ''}translate(${-box.x - box.width / 2} ${-box.y - box.height / 2})`}
          >
            <path
              d={contourPath(flatten(trim, OUTLINE_TOLERANCE_MM))}
              fill="#f8faf6"
              stroke="#14211f"
              strokeWidth={Math.max(w, h) / 160}
            />
          </g>
        )}
        <text
          y={h / 2 + em * 1.3}
          textAnchor="middle"
          fontSize={em}
          fontWeight={600}
          className="font-label"
          fill="#14211f"
        >
          platen {say([...size])}
        </text>
      </svg>
      <p className="mt-1 max-w-56 text-center text-fine leading-tight text-soft">
        The pale band, {say([mm(COOL_EDGE_MM)])} along the edges, runs cooler.
      </p>
    </figure>
  );
}
