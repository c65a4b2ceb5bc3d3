'use client';

import { useWords } from '@/ui/words';
import { ScaleDrawing } from '@/ui/board/Board';
import { useJob } from '../job/jobContext';
import { PatternArt, PatternLines } from '../wrap/PatternDrawing';
import { useArtHand } from './artContext';
import { usePlacedOnPaper } from './usePlacedLayers';
import { useSources } from './useSources';

/** The art bent to the paper of a tapered wall, as it leaves the printer before it is mirrored. */
export function BentArt() {
  const t = useWords();
  const { plan } = useJob();
  const { piece } = useArtHand();
  const { placedLayers, sources } = usePlacedOnPaper(piece);
  const { pattern } = plan.wrap;
  const { urls } = useSources(sources);
  if (!pattern) return null;
  return (
    <ScaleDrawing
      label={t('art.artBentPaper')}
      bounds={pattern.whole}
      room={{ top: 22, right: 34, bottom: 30, left: 34 }}
      draw={(fit) => (
        <>
          <PatternArt
            id="bent"
            fit={fit}
            pattern={pattern}
            placedLayers={placedLayers}
            sources={sources}
            urls={urls}
          />
          <PatternLines fit={fit} pattern={pattern} onDark={placedLayers.some((l) => l.kind === 'picture')} />
        </>
      )}
    />
  );
}
