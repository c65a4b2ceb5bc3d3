'use client';

import { useEffect, useState } from 'react';
import type { Sources } from '@/core/art/items';
import type { ImageAnalysis } from '@/core/art/analyseImage';
import type { Art, PictureRef } from '@/core/job/art';
import type { Problem } from '@/core/basics/result';
import { previewOf, analysisOf } from './previews';

export interface PictureSources {
  /** Addresses of the pictures, by source; one being made again keeps its old one until then. */
  readonly urls: Readonly<Record<string, string>>;
  readonly problem: Problem | null;
}

const NOTHING: PictureSources = { urls: {}, problem: null };

/** Screen copies of everything some art is drawn from. */
export function useSources(sources: Sources): PictureSources {
  const [seen, setSeen] = useState<PictureSources>(NOTHING);
  useEffect(() => {
    let gone = false;
    for (const [key, source] of Object.entries(sources))
      void previewOf(source).then((r) => {
        if (gone) return;
        setSeen((s) =>
          r.ok
            ? s.urls[key] === r.value && !s.problem
              ? s
              : { urls: { ...s.urls, [key]: r.value }, problem: null }
            : { ...s, problem: r.problem },
        );
      });
    return () => {
      gone = true;
    };
  }, [sources]);
  return seen;
}

const plainSources = (refs: readonly PictureRef[]): Sources =>
  Object.fromEntries(refs.map((ref) => [ref.id, { kind: 'file', ref }]));

/** Screen copies of pictures as they are, by picture id. */
export function usePictures(refs: readonly PictureRef[]): PictureSources {
  const key = refs.map((r) => r.id).join(' ');
  const [kept, setKept] = useState<{ readonly key: string; readonly sources: Sources }>({
    key: '',
    sources: {},
  });
  if (kept.key !== key) setKept({ key, sources: plainSources(refs) });
  return useSources(kept.sources);
}

const NO_ANALYSES: Readonly<Record<string, ImageAnalysis>> = {};

/** What has been found in the pixels of a job's pictures so far; grows as the worker gets to them. */
export function useAnalyses(art: Art): Readonly<Record<string, ImageAnalysis>> {
  const [analyses, setAnalyses] = useState(NO_ANALYSES);
  const { layers } = art;
  useEffect(() => {
    let gone = false;
    for (const layer of layers) {
      if (layer.kind !== 'picture') continue;
      const { id } = layer.picture;
      void analysisOf(layer.picture).then((r) => {
        if (!gone && r.ok) setAnalyses((l) => (l[id] === r.value ? l : { ...l, [id]: r.value }));
      });
    }
    return () => {
      gone = true;
    };
  }, [layers]);
  return analyses;
}
