'use client';

import { inTurn } from '@/core/message/message';
import { useId, useMemo } from 'react';
import { isOnFace, type ArtBoard as Straight, type PlacedLayer } from '@/core/art/placedLayers';
import { isToCover } from '@/core/job/art';
import { mm } from '@/core/message/quantity';
import { mainFace } from '@/core/wrap/pattern';
import { contourPath } from '@/core/geometry/contour';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { FrontBrackets, into, PatternLines, px } from '../wrap/PatternDrawing';
import { css, Letters } from './ArtItems';
import { useArtHand } from './artContext';
import { LayerHandle } from './LayerHandle';
import { usePlacedLayers } from './usePlacedLayers';
import { usePictures } from './useSources';

/** The art set out on the straight board: drag to move, a corner to scale, arrows to nudge. */
export function ArtEditor() {
  const { plan, job } = useJob();
  const { chosen, shown, piece } = useArtHand();
  const placedLayers = usePlacedLayers(piece);
  const t = useWords();
  const refs = useMemo(
    () => placedLayers.flatMap((l) => (l.kind === 'picture' ? [l.ref] : [])),
    [placedLayers],
  );
  const { urls, problem } = usePictures(refs);
  const { board } = plan.art;
  if (!board)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">{t('art.wrapHasSizeYet')}</p>
    );
  const { pattern } = board;
  const onDark = placedLayers.some((l) => l.kind === 'picture');
  // Beside a picture set to Fit the blank is meant to show.
  const bare = isToCover(job.art) ? (plan.art.bareAreas?.bare ?? []) : [];
  const places = plan.art.checks.find((c) => c.id === shown)?.at ?? [];
  return (
    <ScaleDrawing
      interactive
      label={t('art.artWrapSeenBlank')}
      bounds={pattern.whole}
      room={{ top: 22, right: 34, bottom: 52, left: 34 }}
      draw={(fit) => (
        <>
          <StraightArt fit={fit} board={board} placedLayers={placedLayers} urls={urls} chosen={chosen} />
          {bare.map((patch, i) => (
            <polygon
              key={i}
              points={patch.map((p) => `${fit.x(p.x)},${fit.y(p.y)}`).join(' ')}
              fill="url(#hatch)"
            />
          ))}
          <PatternLines fit={fit} pattern={pattern} onDark={onDark} />
          {placedLayers.map((l) => (
            <LayerHandle key={l.id} fit={fit} placedLayers={l} board={board} />
          ))}
          {places.map((r, i) => (
            <rect
              key={i}
              {...px(fit, r)}
              fill="none"
              stroke="#c8371b"
              strokeWidth={3}
              strokeDasharray="7 3"
              pointerEvents="none"
            />
          ))}
          <FrontBrackets
            fit={fit}
            pattern={pattern}
            label={pattern.front ? t('art.seenFromFront', { well: mm(pattern.front.wellMm) }) : ''}
          />
          {placedLayers.length === 0 && <Teach fit={fit} text={t('art.dropPictureHere')} />}
          {problem && <Teach fit={fit} text={t(inTurn(problem.what, problem.wayOut))} wrong />}
        </>
      )}
    />
  );
}

function Teach({ fit, text, wrong = false }: { fit: Fit; text: string; wrong?: boolean }) {
  return (
    <text
      x={fit.width / 2}
      y={fit.height / 2}
      textAnchor="middle"
      fontSize={wrong ? 16 : 20}
      fontWeight={600}
      className="font-name"
      fill={wrong ? '#a62c14' : '#14211f'}
    >
      {text}
    </text>
  );
}

interface StraightProps {
  readonly fit: Fit;
  readonly board: Straight;
  readonly placedLayers: readonly PlacedLayer[];
  readonly urls: Readonly<Record<string, string>>;
  readonly chosen: string | null;
}

/** Layers in their order on the straight board, cut at the bleed; the chosen picture shows faintly beyond it. */
function StraightArt({ fit, board, placedLayers, urls, chosen }: StraightProps) {
  const id = useId();
  const { faces } = board.pattern;
  const spilling = placedLayers.find((l) => l.id === chosen);
  return (
    <g transform={into(fit)}>
      {spilling?.kind === 'picture' && (
        <g transform={css(mainFace(board.pattern).matrix)} opacity={0.22}>
          <LayerPicture placedLayers={spilling} url={urls[spilling.ref.id]} />
        </g>
      )}
      {faces.map((face) => (
        <g key={face.name} transform={css(face.matrix)}>
          <clipPath id={`${id}-${face.name}`}>
            <path d={contourPath(face.bleed)} />
          </clipPath>
          <path d={contourPath(face.bleed)} fill="#ffffff" />
          <g clipPath={`url(#${id}-${face.name})`}>
            {placedLayers
              .filter((l) => isOnFace(l.on, face.name))
              .map((l) =>
                l.kind === 'picture' ? (
                  <LayerPicture key={l.id} placedLayers={l} url={urls[l.ref.id]} />
                ) : (
                  <Letters key={l.id} {...l} letters={l.set.letters} emMm={l.set.emMm} />
                ),
              )}
          </g>
        </g>
      ))}
    </g>
  );
}

function LayerPicture({
  placedLayers,
  url,
}: {
  placedLayers: Extract<PlacedLayer, { kind: 'picture' }>;
  url: string | undefined;
}) {
  const { widthPx: width, heightPx: height } = placedLayers.ref;
  return placedLayers.tiles.map((tile, i) => (
    <g key={i} transform={css(tile)}>
      {url ? (
        <image href={url} width={width} height={height} preserveAspectRatio="none" />
      ) : (
        <rect width={width} height={height} fill="#d5dbe6" />
      )}
    </g>
  ));
}
