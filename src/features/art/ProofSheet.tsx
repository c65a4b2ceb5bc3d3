'use client';

import { useWords } from '@/ui/words';
import { memo, useMemo } from 'react';
import { isOnFace, placeArt, type ArtBoard, type PlacedLayer } from '@/core/art/placedLayers';
import type { Art } from '@/core/job/art';
import type { NamedPiece } from '@/core/art/names';
import { contourPath } from '@/core/geometry/contour';
import { mainFace } from '@/core/wrap/pattern';
import { useJob } from '../job/jobContext';
import { css, Letters } from './ArtItems';
import { useArtHand } from './artContext';
import { usePictures } from './useSources';

/** Every piece of the list, small, to be read through before ink is spent. */
export function ProofSheet() {
  const { job, plan } = useJob();
  const { turnTo, piece } = useArtHand();
  const { board, pieces } = plan.art;
  const { layers, names } = job.art;
  const refs = useMemo(
    () => [...layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])), ...(names?.pictures ?? [])],
    [layers, names],
  );
  const { urls } = usePictures(refs);
  if (!board) return null;
  return (
    <ol className="absolute inset-0 grid auto-rows-min grid-cols-[repeat(auto-fill,minmax(10.5rem,1fr))] gap-3 overflow-y-auto p-4">
      {pieces.map((p, i) => (
        <li key={p.number} className="[contain-intrinsic-size:auto_9rem] [content-visibility:auto]">
          <button
            type="button"
            aria-pressed={i === piece}
            onClick={() => turnTo(i)}
            className={`block w-full border-2 bg-sheet p-1 text-left ${i === piece ? 'border-strata-3' : 'border-rule hover:border-ink'}`}
          >
            <Small art={job.art} board={board} piece={p} urls={urls} />
            <span className="block truncate px-1 font-label text-base font-semibold">
              {p.number} {p.label}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

interface SmallProps {
  readonly art: Art;
  readonly board: ArtBoard;
  readonly piece: NamedPiece;
  readonly urls: Readonly<Record<string, string>>;
}

const Small = memo(function Small({ art, board, piece, urls }: SmallProps) {
  const t = useWords();
  const placedLayers = useMemo(() => placeArt(art, board, piece.row), [art, board, piece.row]);
  const face = mainFace(board.pattern);
  const { trim } = board.pattern;
  const id = `proof-${piece.number}`;
  return (
    <svg
      viewBox={`${trim.x} ${trim.y} ${trim.width} ${trim.height}`}
      className="block h-28 w-full"
      role="img"
      aria-label={t('art.piece', { number: piece.number, piece: piece.label })}
    >
      <clipPath id={id}>
        <path d={contourPath(face.trim)} />
      </clipPath>
      <path d={contourPath(face.trim)} fill="#ffffff" />
      <g clipPath={`url(#${id})`}>
        {placedLayers
          .filter((l) => isOnFace(l.on, face.name))
          .map((l) => (
            <SmallLayer key={l.id} placedLayers={l} urls={urls} />
          ))}
      </g>
    </svg>
  );
});

function SmallLayer({ placedLayers, urls }: { placedLayers: PlacedLayer; urls: SmallProps['urls'] }) {
  if (placedLayers.kind === 'text')
    return <Letters {...placedLayers} letters={placedLayers.set.letters} emMm={placedLayers.set.emMm} />;
  const url = urls[placedLayers.ref.id];
  return placedLayers.tiles.map((tile, i) => (
    <g key={i} transform={css(tile)}>
      {url ? (
        <image
          href={url}
          width={placedLayers.ref.widthPx}
          height={placedLayers.ref.heightPx}
          preserveAspectRatio="none"
        />
      ) : (
        <rect width={placedLayers.ref.widthPx} height={placedLayers.ref.heightPx} fill="#d5dbe6" />
      )}
    </g>
  ));
}
