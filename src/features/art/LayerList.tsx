'use client';

import { say, type Message, verbatim } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';
import { MOST_LAYERS, type Layer } from '@/core/job/art';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { useJob } from '../job/jobContext';
import { useArtHand } from './artContext';
import { duplicated, removed, layerMoved } from './layers';

const nameOf = (l: Layer): Message =>
  l.kind === 'picture'
    ? verbatim(l.picture.name)
    : l.field === null
      ? say('art.l', { l: l.text })
      : say('art.from', { l: l.text, field: l.field });

/** Layers, topmost first, as they lie on one another. */
export function LayerList() {
  const t = useWords();
  const { job, edit } = useJob();
  const { chosen, choose } = useArtHand();
  const { layers } = job.art;
  if (layers.length === 0)
    return <p className="text-fine leading-snug text-soft">{t('art.addPictureSomeText')}</p>;
  const at = layers.findIndex((l) => l.id === chosen);
  return (
    <section aria-label={t('art.layersTopmostFirst')}>
      <ul className="grid border-2 border-ink bg-sheet">
        {[...layers].reverse().map((l) => (
          <li key={l.id} className="border-b border-rule last:border-b-0">
            <button
              type="button"
              aria-pressed={l.id === chosen}
              onClick={() => choose(l.id)}
              className={`block min-h-9 w-full truncate px-2 text-left font-label text-base font-medium ${l.id === chosen ? 'bg-strata-3 text-white' : 'hover:bg-board'}`}
            >
              {t(nameOf(l))}
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div className="mt-1 grid grid-cols-4 gap-1 *:min-w-0 *:px-0">
          <Button
            aria-label={t('art.oneLayerUp')}
            title={t('art.oneLayerUp')}
            className="px-2"
            disabled={at >= layers.length - 1}
            onClick={() => edit(layerMoved(chosen, 1))}
          >
            <ArrowUp size={18} aria-hidden />
          </Button>
          <Button
            aria-label={t('art.oneLayerDown')}
            title={t('art.oneLayerDown')}
            className="px-2"
            disabled={at <= 0}
            onClick={() => edit(layerMoved(chosen, -1))}
          >
            <ArrowDown size={18} aria-hidden />
          </Button>
          <Button
            aria-label={t('art.duplicateLayer')}
            title={t('art.duplicateLayer')}
            className="px-2"
            disabled={layers.length >= MOST_LAYERS}
            onClick={() => {
              const copy = newId('layer');
              edit(duplicated(chosen, copy));
              choose(copy);
            }}
          >
            <Copy size={18} aria-hidden />
          </Button>
          <Button
            aria-label={t('art.removeLayer')}
            title={t('art.removeLayer')}
            className="px-2"
            onClick={() => edit(removed(chosen))}
          >
            <Trash2 size={18} aria-hidden />
          </Button>
        </div>
      )}
    </section>
  );
}
