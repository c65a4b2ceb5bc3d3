'use client';

import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import type { Layer } from '@/core/job/art';
import { Button } from '@/ui/Button';
import { useJob } from '../job/jobContext';
import { useArtHand } from './artContext';
import { removed, shifted } from './layers';

const nameOf = (l: Layer): string =>
  l.kind === 'picture' ? l.picture.name : l.field === null ? `“${l.text}”` : `“${l.text}” from ${l.field}`;

/** Layers, topmost first, as they lie on one another. */
export function LayerList() {
  const { job, edit } = useJob();
  const { chosen, choose } = useArtHand();
  const { layers } = job.art;
  if (layers.length === 0)
    return <p className="text-fine leading-snug text-soft">Add a picture or some text.</p>;
  const at = layers.findIndex((l) => l.id === chosen);
  return (
    <section aria-label="Layers, topmost first">
      <ul className="grid border-2 border-ink bg-sheet">
        {[...layers].reverse().map((l) => (
          <li key={l.id} className="border-b border-rule last:border-b-0">
            <button
              type="button"
              aria-pressed={l.id === chosen}
              onClick={() => choose(l.id)}
              className={`block min-h-9 w-full truncate px-2 text-left font-label text-base font-medium ${l.id === chosen ? 'bg-strata-3 text-white' : 'hover:bg-board'}`}
            >
              {nameOf(l)}
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <div className="mt-1 flex gap-1">
          <Button
            aria-label="One layer up"
            title="One layer up"
            className="px-2"
            disabled={at >= layers.length - 1}
            onClick={() => edit(shifted(chosen, 1))}
          >
            <ArrowUp size={18} aria-hidden />
          </Button>
          <Button
            aria-label="One layer down"
            title="One layer down"
            className="px-2"
            disabled={at <= 0}
            onClick={() => edit(shifted(chosen, -1))}
          >
            <ArrowDown size={18} aria-hidden />
          </Button>
          <Button
            aria-label="Remove this layer"
            title="Remove this layer"
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
