'use client';

import { useId } from 'react';
import { cosineOf, radiusAt } from '@/core/shapes/cone';
import { patternPoint } from '@/core/wrap/roll';
import type { Fit } from '@/ui/board/Board';
import { useSources } from '../art/useSources';
import { useJob } from '../job/jobContext';
import { PatternArt } from './PatternDrawing';

const STRIPS = 26;
/** The pattern in its own millimetres. */
const PLAIN_FIT: Fit = { k: 1, x: (v) => v, y: (v) => v, width: 0, height: 0 };

/**
 * The picture as it stands on the wall seen from the front: narrow upright strips of the unrolled paper, each laid on its place
 * by the affine map that fits its middle and its width. `facingRad` is what faces the viewer, to the right of the front.
 */
export function FrontPicture({ fit, facingRad = 0 }: { fit: Fit; facingRad?: number }) {
  const { plan } = useJob();
  const { urls } = useSources(plan.art.sources);
  const id = useId();
  const { pattern } = plan.wrap;
  const roll = pattern?.roll;
  if (!pattern || !roll) return null;
  const { cone } = roll;
  const tall = cone.slantMm * cosineOf(cone);
  const view = (azimuth: number, v: number) => ({
    x: fit.x(radiusAt(cone, v) * Math.sin(azimuth - facingRad)),
    y: fit.y(roll.topMm + (v / cone.slantMm) * tall),
  });
  const strips = Array.from({ length: STRIPS }, (_, i) => {
    const a = facingRad - Math.PI / 2 + (Math.PI * i) / STRIPS;
    const b = a + Math.PI / STRIPS;
    const h = cone.slantMm;
    const corners = [view(a, 0), view(b, 0), view(b, h), view(a, h)];
    // The paper under the strip's left side and width, taken at mid height, to the same on the view.
    const [p, q, s] = [patternPoint(roll, a, 0), patternPoint(roll, b, 0), patternPoint(roll, a, h)];
    const [P, Q, S] = [corners[0], corners[1], corners[3]];
    if (!p || !q || !s || !P || !Q || !S) return null;
    const det = (q.x - p.x) * (s.y - p.y) - (s.x - p.x) * (q.y - p.y);
    if (Math.abs(det) < 1e-9) return null;
    const solve = (u: number, v: number): [number, number] => [
      (u * (s.y - p.y) - v * (q.y - p.y)) / det,
      (v * (q.x - p.x) - u * (s.x - p.x)) / det,
    ];
    const [m0, m2] = solve(Q.x - P.x, S.x - P.x);
    const [m1, m3] = solve(Q.y - P.y, S.y - P.y);
    const matrix = [m0, m1, m2, m3, P.x - m0 * p.x - m2 * p.y, P.y - m1 * p.x - m3 * p.y];
    return { matrix, corners, key: i };
  });
  const quarter = Math.PI / 2;
  const paper = [
    view(facingRad - quarter, 0),
    view(facingRad + quarter, 0),
    view(facingRad + quarter, cone.slantMm),
    view(facingRad - quarter, cone.slantMm),
  ]
    .map((p) => `${p.x},${p.y}`)
    .join(' ');
  return (
    <g aria-hidden>
      <defs>
        <g id={id}>
          <PatternArt
            id={`${id}-art`}
            fit={PLAIN_FIT}
            pattern={pattern}
            placedLayers={plan.art.placedLayers}
            sources={plan.art.sources}
            urls={urls}
            ground={false}
          />
        </g>
      </defs>
      {/* One sheet of white beneath: under each strip it would shine through at the strip’s edges. */}
      <polygon points={paper} fill="#ffffff" />
      {strips.map((strip) => {
        if (!strip) return null;
        // Whole pixels sideways: a strip that ends within one lets the white beneath it shine through.
        const points = strip.corners
          .map((c, i) => `${i === 0 || i === 3 ? Math.floor(c.x) : Math.ceil(c.x) + 1},${c.y}`)
          .join(' ');
        return (
          <g key={strip.key}>
            <clipPath id={`${id}-${strip.key}`}>
              <polygon points={points} />
            </clipPath>
            <g clipPath={`url(#${id}-${strip.key})`}>
              <use href={`#${id}`} transform={`matrix(${strip.matrix.join(' ')})`} />
            </g>
          </g>
        );
      })}
    </g>
  );
}
