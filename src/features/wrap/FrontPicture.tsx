'use client';

import { frontView } from '@/core/shapes/straight';
import type { Fit } from '@/ui/board/Board';
import { useId } from 'react';
import { usePreview } from '../art/usePreview';
import { useJob } from '../job/jobContext';
import { PatternArt } from './PatternDrawing';

const STRIPS = 40;
/** The pattern in its own millimetres. */
const PLAIN_FIT: Fit = { k: 1, x: (v) => v, y: (v) => v, width: 0, height: 0 };

interface Props {
  readonly fit: Fit;
  readonly topMm: number;
  readonly heightMm: number;
}

/** The picture as it stands on the blank seen from the front: narrow strips, each drawn in by the turn of the wall. */
export function FrontPicture({ fit, topMm, heightMm }: Props) {
  const { job, plan } = useJob();
  const preview = usePreview(job.art.picture);
  const id = useId();
  const { wrap } = plan.wrap;
  const girth = plan.measure.girth?.value;
  if (!wrap || girth === undefined) return null;
  const { pattern } = wrap;
  const quarter = girth / 4;
  const strips = Array.from({ length: STRIPS }, (_, i) => {
    const from = -quarter + (2 * quarter * i) / STRIPS;
    const to = from + (2 * quarter) / STRIPS;
    return { from, to, left: frontView(girth, from), right: frontView(girth, to) };
  });
  return (
    <g aria-hidden>
      <defs>
        <g id={id}>
          <PatternArt
            id={`${id}-art`}
            fit={PLAIN_FIT}
            pattern={pattern}
            picture={job.art.picture}
            placed={plan.art.placed}
            url={preview.kind === 'ready' ? preview.url : null}
            words={job.art.words}
            set={plan.art.words}
          />
        </g>
      </defs>
      {strips.map((s) => {
        // Whole pixels: a strip that ends within one lets the white beneath it shine through.
        const left = Math.round(fit.x(s.left));
        const width = Math.round(fit.x(s.right)) - left;
        if (width <= 0) return null;
        return (
          <svg
            key={s.from}
            x={left}
            y={Math.round(fit.y(topMm))}
            width={width}
            height={Math.max(0, Math.round(fit.k * heightMm))}
            viewBox={`${pattern.front.x + s.from} 0 ${s.to - s.from} ${Math.max(1, pattern.trim.height)}`}
            preserveAspectRatio="none"
            overflow="hidden"
          >
            <use href={`#${id}`} />
          </svg>
        );
      })}
    </g>
  );
}
