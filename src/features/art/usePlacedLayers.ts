'use client';

import { useMemo } from 'react';
import { sourcesOf, type Sources } from '@/core/art/items';
import { placeArt, type PlacedLayer } from '@/core/art/placedLayers';
import { useJob } from '../job/jobContext';

/** The layers as they are for one piece of the job. */
export function usePlacedLayers(piece: number): readonly PlacedLayer[] {
  const { job, plan } = useJob();
  const { board, placedLayers, pieces } = plan.art;
  const row = pieces[piece]?.row ?? null;
  return useMemo(
    () => (board && piece > 0 && row ? placeArt(job.art, board, row) : placedLayers),
    [board, job.art, placedLayers, piece, row],
  );
}

const NONE: Sources = {};

/** The same with what its pictures are drawn from on the paper. */
export function usePlacedOnPaper(piece: number): {
  readonly placedLayers: readonly PlacedLayer[];
  readonly sources: Sources;
} {
  const { plan } = useJob();
  const placedLayers = usePlacedLayers(piece);
  const { board } = plan.art;
  const { pattern } = plan.wrap;
  const sources = useMemo(
    () => (board && pattern ? sourcesOf(placedLayers, board, pattern.bleed) : NONE),
    [board, placedLayers, pattern],
  );
  return { placedLayers, sources };
}
