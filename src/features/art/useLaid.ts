'use client';

import { useMemo } from 'react';
import { sourcesOf, type Sources } from '@/core/art/items';
import { layArt, type Laid } from '@/core/art/lay';
import { useJob } from '../job/jobContext';

/** The layers as they are for one piece of the job. */
export function useLaid(piece: number): readonly Laid[] {
  const { job, plan } = useJob();
  const { board, laid, pieces } = plan.art;
  const row = pieces[piece]?.row ?? null;
  return useMemo(
    () => (board && piece > 0 && row ? layArt(job.art, board, row) : laid),
    [board, job.art, laid, piece, row],
  );
}

const NONE: Sources = {};

/** The same with what its pictures are drawn from on the paper. */
export function useLaidOnPaper(piece: number): { readonly laid: readonly Laid[]; readonly sources: Sources } {
  const { plan } = useJob();
  const laid = useLaid(piece);
  const { board } = plan.art;
  const { pattern } = plan.wrap;
  const sources = useMemo(
    () => (board && pattern ? sourcesOf(laid, board, pattern.bleed) : NONE),
    [board, laid, pattern],
  );
  return { laid, sources };
}
