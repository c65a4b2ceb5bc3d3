'use client';

import { apply } from '@/core/art/affine';
import type { Placement, Words } from '@/core/job/job';
import type { Placed } from '@/core/art/place';
import type { SetWords } from '@/core/art/words';
import { Board, type Fit } from '@/ui/board/Board';
import { arrowStep, dragFrom } from '@/ui/board/drag';
import { useSay } from '@/ui/units';
import { mm } from '@/core/units/quantity';
import { useJob } from '../job/jobContext';
import { FrontBrackets, PatternArt, PatternLines, px } from '../wrap/PatternDrawing';
import type { Chosen } from './ArtView';
import { usePreview } from './usePreview';

const clamp = (v: number, lo: number, hi: number) => Math.min(hi, Math.max(lo, v));
const NUDGE_MM = 0.5;

/** The pattern with its picture: drag to move, a corner to scale, arrows to nudge. */
export function ArtBoard({ chosen, onChoose }: { chosen: Chosen; onChoose: (c: Chosen) => void }) {
  const { job, plan } = useJob();
  const say = useSay();
  const preview = usePreview(job.art.picture);
  const { pattern } = plan.wrap;
  if (!pattern)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">
        The wrap has no size yet. What stands in the way is said below.
      </p>
    );
  const { placed, words: set } = plan.art;
  const { picture, words } = job.art;
  return (
    <Board
      interactive
      label="The picture on the wrap, as it will be seen on the blank"
      bounds={pattern.whole}
      room={{ top: 20, right: 34, bottom: 50, left: 34 }}
      draw={(fit) => (
        <>
          <PatternArt
            fit={fit}
            pattern={pattern}
            picture={picture}
            placed={placed}
            url={preview.kind === 'ready' ? preview.url : null}
            words={words}
            set={set}
            spill={chosen === 'picture'}
          />
          {placed?.bare.map((patch, i) => (
            <polygon
              key={i}
              points={patch.map((p) => `${fit.x(p.x)},${fit.y(p.y)}`).join(' ')}
              fill="url(#hatch)"
            />
          ))}
          <PatternLines fit={fit} pattern={pattern} onDark={placed !== null} />
          {placed && (
            <PictureHandles
              fit={fit}
              placed={placed}
              chosen={chosen === 'picture'}
              onChoose={() => onChoose('picture')}
            />
          )}
          {words && set && (
            <WordsHandle
              fit={fit}
              words={words}
              set={set}
              chosen={chosen === 'words'}
              onChoose={() => onChoose('words')}
            />
          )}
          <FrontBrackets
            fit={fit}
            pattern={pattern}
            label={pattern.front ? `seen from the front, ${say([mm(pattern.front.wellMm)])}` : ''}
          />
          {!picture && !words && (
            <text
              x={fit.x(pattern.front?.x ?? pattern.trim.width / 2)}
              y={fit.y(pattern.trim.height / 2)}
              textAnchor="middle"
              fontSize={20}
              fontWeight={600}
              className="font-name"
              fill="#14211f"
            >
              Drop a PNG or JPEG here
            </text>
          )}
          {preview.kind === 'failed' && (
            <text
              x={fit.x(pattern.front?.x ?? pattern.trim.width / 2)}
              y={fit.y(pattern.trim.height / 2)}
              textAnchor="middle"
              fontSize={16}
              fontWeight={600}
              className="font-label"
              fill="#a62c14"
            >
              {preview.problem.what} {preview.problem.wayOut}
            </text>
          )}
        </>
      )}
    />
  );
}

interface PictureHandlesProps {
  readonly fit: Fit;
  readonly placed: Placed;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function PictureHandles({ fit, placed, chosen, onChoose }: PictureHandlesProps) {
  const { job, plan, edit } = useJob();
  const { placement } = job.art;
  const say = useSay();
  const put = (next: Partial<Placement>, group: string) =>
    edit((j) => ({ ...j, art: { ...j.art, placement: { ...j.art.placement, ...next } } }), group);
  const shift = (dx: number, dy: number) =>
    put(
      { dxMm: clamp(placement.dxMm + dx, -2000, 2000), dyMm: clamp(placement.dyMm + dy, -2000, 2000) },
      'nudge',
    );
  const points = placed.corners.map((p) => `${fit.x(p.x)},${fit.y(p.y)}`).join(' ');
  const middle = apply(placed.matrix, {
    x: (job.art.picture?.widthPx ?? 0) / 2,
    y: (job.art.picture?.heightPx ?? 0) / 2,
  });
  const bleed = plan.wrap.pattern ? px(fit, plan.wrap.pattern.bleed) : null;
  const corner = placed.corners[2];
  return (
    <g>
      {chosen && (
        <polygon
          points={points}
          fill="none"
          stroke="#1d2c5e"
          strokeWidth={1.5}
          strokeDasharray="2 3"
          pointerEvents="none"
        />
      )}
      {bleed && (
        <rect
          {...bleed}
          fill="transparent"
          tabIndex={0}
          role="slider"
          aria-label="Picture. Arrow keys move it, plus and minus scale it"
          aria-valuenow={Math.round(placement.scale * 100)}
          aria-valuetext={`${Math.round(placement.scale * 100)} percent, moved ${say([mm(placement.dxMm)])} across, ${say([mm(placement.dyMm)])} down`}
          className="cursor-move touch-none"
          onFocus={onChoose}
          onKeyDown={(e) => {
            if (arrowStep(e, (dx, dy) => shift(dx * NUDGE_MM, dy * NUDGE_MM))) return;
            if (e.key === '+' || e.key === '=')
              put({ scale: clamp(placement.scale * 1.02, 0.02, 50) }, 'scale');
            if (e.key === '-') put({ scale: clamp(placement.scale / 1.02, 0.02, 50) }, 'scale');
          }}
          {...dragFrom(
            () => placement,
            (start, dx, dy) =>
              put(
                {
                  dxMm: clamp(start.dxMm + dx / fit.k, -2000, 2000),
                  dyMm: clamp(start.dyMm + dy / fit.k, -2000, 2000),
                },
                'drag',
              ),
          )}
        />
      )}
      {chosen && corner && (
        <rect
          x={clamp(fit.x(corner.x), 12, fit.width - 12) - 9}
          y={clamp(fit.y(corner.y), 12, fit.height - 12) - 9}
          width={18}
          height={18}
          fill="#f8faf6"
          stroke="#14211f"
          strokeWidth={2}
          className="cursor-nwse-resize touch-none"
          aria-hidden
          {...dragFrom(
            () => ({
              scale: placement.scale,
              reach: Math.hypot(fit.x(corner.x) - fit.x(middle.x), fit.y(corner.y) - fit.y(middle.y)),
              x: fit.x(corner.x) - fit.x(middle.x),
              y: fit.y(corner.y) - fit.y(middle.y),
            }),
            (start, dx, dy) =>
              put(
                {
                  scale: clamp(
                    (start.scale * Math.hypot(start.x + dx, start.y + dy)) / start.reach,
                    0.02,
                    50,
                  ),
                },
                'scale-drag',
              ),
          )}
        />
      )}
    </g>
  );
}

interface WordsHandleProps {
  readonly fit: Fit;
  readonly words: Words;
  readonly set: SetWords;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function WordsHandle({ fit, words, set, chosen, onChoose }: WordsHandleProps) {
  const { edit } = useJob();
  const put = (dxMm: number, dyMm: number, group: string) =>
    edit(
      (j) =>
        j.art.words
          ? {
              ...j,
              art: {
                ...j.art,
                words: { ...j.art.words, dxMm: clamp(dxMm, -1000, 1000), dyMm: clamp(dyMm, -1000, 1000) },
              },
            }
          : j,
      group,
    );
  // Small words on a small screen still give a finger something to hold.
  const tallMm = Math.max(set.box.height + 4, 28 / fit.k);
  const middleMm = set.box.y + set.box.height / 2;
  const box = px(fit, {
    x: set.box.x - 2,
    y: middleMm - tallMm / 2,
    width: set.box.width + 4,
    height: tallMm,
  });
  return (
    <rect
      {...box}
      fill="transparent"
      stroke={chosen ? '#c9b37a' : 'none'}
      strokeWidth={2}
      strokeDasharray="4 3"
      tabIndex={0}
      role="slider"
      aria-label={`Words “${words.text}”. Arrow keys move them`}
      aria-valuenow={Math.round(words.dyMm)}
      className="cursor-move touch-none"
      onFocus={onChoose}
      onKeyDown={(e) =>
        arrowStep(e, (dx, dy) => put(words.dxMm + dx * NUDGE_MM, words.dyMm + dy * NUDGE_MM, 'words-nudge'))
      }
      {...dragFrom(
        () => words,
        (start, dx, dy) => put(start.dxMm + dx / fit.k, start.dyMm + dy / fit.k, 'words-drag'),
      )}
    />
  );
}
