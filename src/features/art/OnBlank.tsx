'use client';

import { FINISH_WORDS } from '@/core/shop/kindWords';
import { useId, useState, type ReactNode } from 'react';
import { BACKINGS, DULL_PRINT, pressedPicture, pressedMatrix } from '@/core/art/pressed';
import { isRound } from '@/core/shop/blank';
import { mm } from '@/core/message/quantity';
import { contourPath } from '@/core/geometry/contour';
import { BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { Labelled } from '@/ui/Labelled';
import { Segments } from '@/ui/Segments';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { FrontPicture } from '../wrap/FrontPicture';
import { into, PatternArt } from '../wrap/PatternDrawing';
import { css } from './ArtItems';
import { useArtHand } from './artContext';
import { usePlacedOnPaper } from './usePlacedLayers';
import { useSources } from './useSources';

type Sight = 'flat' | 'front';

/** The dull sheet beside the piece as it comes out of the press, on the blank's own colour. */
export function OnBlank() {
  const t = useWords();
  const { plan } = useJob();
  const [backing, setBacking] = useState<string>(BACKINGS[0].colour);
  const [sight, setSight] = useState<Sight>('flat');
  const { blank } = plan.blank;
  if (!blank || !plan.wrap.pattern)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">{t('art.wrapHasSizeYet')}</p>
    );
  const { coating } = blank;
  const matrix = pressedMatrix(pressedPicture(blank, backing));
  return (
    <div className="absolute inset-0 flex flex-col">
      <div className="grid min-h-0 flex-1 grid-cols-1 sm:grid-cols-2">
        <Half title={t('art.printedDryDullRight')} matrix={DULL_PRINT}>
          {(filter) => <FlatSight filter={filter} cut={false} />}
        </Half>
        <Half
          title={t('art.pressed2', {
            finish: FINISH_WORDS[coating.finish],
            which: coating.stock === 'clear' ? 'clear' : 'other',
          })}
          matrix={matrix}
        >
          {(filter) =>
            sight === 'front' && isRound(blank) ? (
              <FrontSight filter={filter} />
            ) : (
              <FlatSight filter={filter} cut />
            )
          }
        </Half>
      </div>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-t border-rule bg-sheet/80 px-4 py-2">
        {isRound(blank) && (
          <Labelled label={t('common.seen')}>
            <Segments
              label={t('art.howPressedPieceSeen')}
              value={sight}
              onChange={setSight}
              options={[
                { value: 'flat', label: t('art.unrolledView') },
                { value: 'front', label: t('art.fromFront') },
              ]}
            />
          </Labelled>
        )}
        {coating.stock === 'clear' && (
          <Labelled label={t('art.background')}>
            <Segments
              label={t('art.whatBehindClearBlank')}
              value={backing}
              onChange={setBacking}
              options={BACKINGS.map((b) => ({ value: b.colour, label: b.label }))}
            />
            <input
              type="color"
              aria-label={t('art.ownBackground')}
              title={t('art.ownBackground')}
              value={backing}
              onChange={(e) => setBacking(e.target.value)}
              className="ml-2 h-10 w-14 border-2 border-ink bg-sheet align-top"
            />
          </Labelled>
        )}
        <p className="min-w-60 flex-1 font-label text-fine leading-snug font-medium">
          {t('art.whitePrintedWhatWhite')}
        </p>
      </div>
    </div>
  );
}

interface HalfProps {
  readonly title: string;
  readonly matrix: readonly number[];
  readonly children: (filter: string) => ReactNode;
}

/** One side, its filter working in linear light, where dye multiplies. */
function Half({ title, matrix, children }: HalfProps) {
  const id = useId();
  return (
    <figure className="relative min-h-64 border-b border-rule sm:border-r sm:border-b-0">
      <svg width="0" height="0" className="absolute" aria-hidden>
        <filter id={id} colorInterpolationFilters="linearRGB">
          <feColorMatrix type="matrix" values={matrix.join(' ')} />
        </filter>
      </svg>
      {children(`url(#${id})`)}
      <figcaption className="absolute top-2 left-4 bg-board px-1 font-label text-lead font-semibold">
        {title}
      </figcaption>
    </figure>
  );
}

function FlatSight({ filter, cut }: { filter: string; cut: boolean }) {
  const { plan } = useJob();
  const { piece } = useArtHand();
  const t = useWords();
  const { placedLayers, sources } = usePlacedOnPaper(piece);
  const { pattern } = plan.wrap;
  const { urls } = useSources(sources);
  if (!pattern) return null;
  const shown = cut ? { ...pattern, faces: pattern.faces.map((f) => ({ ...f, bleed: f.trim })) } : pattern;
  return (
    <ScaleDrawing
      label={cut ? t('art.pressedWrapUnrolled') : t('art.sheetBeforePressing')}
      bounds={pattern.whole}
      room={{ top: 44, right: 20, bottom: 34, left: 20 }}
      draw={(fit: Fit) => (
        <>
          <g filter={filter}>
            <PatternArt
              id={`sight-${String(cut)}`}
              fit={fit}
              pattern={shown}
              placedLayers={placedLayers}
              sources={sources}
              urls={urls}
            />
          </g>
          <g transform={into(fit)}>
            {shown.faces.map((f) => (
              <g key={f.name} transform={css(f.matrix)}>
                <path
                  d={contourPath(f.bleed)}
                  fill="none"
                  stroke="#14211f"
                  strokeWidth={1.2}
                  vectorEffect="non-scaling-stroke"
                />
              </g>
            ))}
          </g>
          <text
            x={fit.width / 2}
            y={fit.y(pattern.whole.y + pattern.whole.height) + 22}
            textAnchor="middle"
            fontSize={13}
            fontWeight={600}
            className="font-label"
            fill="#14211f"
          >
            {t('art.cutOutWidth', { which: cut ? 'cutTrim' : 'other', width: mm(pattern.trim.width) })}
          </text>
        </>
      )}
    />
  );
}

function FrontSight({ filter }: { filter: string }) {
  const t = useWords();
  const { plan } = useJob();
  const { blank } = plan.blank;
  if (!blank) return null;
  return (
    <ScaleDrawing
      label={t('art.pressedPieceFromFront')}
      bounds={shapeBounds(blank.shape)}
      room={{ top: 48, right: 30, bottom: 30, left: 30 }}
      draw={(fit) => (
        <>
          <BlankShape fit={fit} blank={blank} />
          <g filter={filter}>
            <FrontPicture fit={fit} />
          </g>
        </>
      )}
    />
  );
}
