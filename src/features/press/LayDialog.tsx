'use client';

import { useWords } from '@/ui/words';
import { useState } from 'react';
import { freePieces, type RunWithState } from '@/core/run/pieces';
import { piecesText } from '@/core/plan/press/runWords';
import { MOST_AT_ONCE } from '@/core/shop/load';
import type { RunPiece } from '@/core/shop/run';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { layPieces } from './tap';

interface Props {
  readonly of: RunWithState;
  /** All runs of its job. */
  readonly ofJob: readonly RunWithState[];
  readonly onClose: () => void;
}

/** Which pieces really go in: fewer, more, or others than were queued. */
export function LayDialog({ of: { run, state }, ofJob, onClose }: Props) {
  const t = useWords();
  const free = freePieces(
    run.queue ?? [],
    ofJob.filter((r) => r.run.id !== run.id),
  );
  const [laid, setLaid] = useState<ReadonlySet<number>>(() => new Set(state.inLoad.map((p) => p.number)));
  const toggle = (p: RunPiece) =>
    setLaid((now) => {
      const next = new Set(now);
      if (!next.delete(p.number)) next.add(p.number);
      return next;
    });
  const chosen = free.filter((p) => laid.has(p.number));
  const usual = run.load?.piecesAtOnce ?? 1;
  const lay = () => {
    void layPieces(run.id, chosen);
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={t('press.piecesLoad')}
      about={
        chosen.length === usual
          ? t('press.onceHeatWasCalculated', { usual })
          : t('press.heatWasCalculatedOnce', { usual })
      }
    >
      <ul className="grid max-h-[50vh] grid-cols-2 gap-2 overflow-auto sm:grid-cols-3 lg:grid-cols-4">
        {free.map((p) => (
          <li key={p.number}>
            <button
              type="button"
              aria-pressed={laid.has(p.number)}
              onClick={() => toggle(p)}
              className={`min-h-16 w-full border-2 border-ink px-3 text-left font-label text-lead font-semibold ${laid.has(p.number) ? 'bg-strata-3 text-white' : 'hover:bg-board'}`}
            >
              {t(piecesText([p]))}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-3">
        <Button onClick={onClose}>{t('common.cancel')}</Button>
        <Button kind="act" disabled={chosen.length === 0 || chosen.length > MOST_AT_ONCE} onClick={lay}>
          {t('press.lay', { chosen: piecesText(chosen) })}
        </Button>
      </div>
    </Dialog>
  );
}
