'use client';

import { useWords } from '@/ui/words';
import { useSyncExternalStore } from 'react';
import { isPartMissing, subscribeToMissingParts, tryPartsAgain } from '@/core/basics/part';
import { Button } from '@/ui/Button';

/** Says that a part of the program could not be loaded, over whatever page or dialog is open: the page and its work stay. */
export function MissingPart() {
  const t = useWords();
  const missing = useSyncExternalStore(subscribeToMissingParts, isPartMissing, () => false);
  if (!missing) return null;
  return (
    <div
      role="alert"
      data-notice
      className="pointer-events-auto fixed inset-x-3 top-3 z-[60] mx-auto flex max-w-3xl flex-wrap items-center gap-x-4 gap-y-2 border-2 border-l-8 border-ink border-l-warning bg-sheet px-4 py-3"
    >
      <p className="min-w-64 flex-1 leading-snug">
        <strong className="font-label text-lead font-semibold">{t('shell.partProgramCouldLoaded')}</strong>
        <br />
        {t('shell.yourWorkKeptCheck')}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => location.reload()}>{t('common.reloadPage')}</Button>
        <Button kind="act" onClick={tryPartsAgain}>
          {t('common.tryAgain')}
        </Button>
      </div>
    </div>
  );
}
