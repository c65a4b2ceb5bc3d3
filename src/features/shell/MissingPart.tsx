'use client';

import { useSyncExternalStore } from 'react';
import { isPartMissing, subscribeToMissingParts, tryPartsAgain } from '@/core/basics/part';
import { Button } from '@/ui/Button';

/** Says that a part of the program could not be loaded, over whatever page or dialog is open: the page and its work stay. */
export function MissingPart() {
  const missing = useSyncExternalStore(subscribeToMissingParts, isPartMissing, () => false);
  if (!missing) return null;
  return (
    <div
      role="alert"
      data-notice
      className="pointer-events-auto fixed inset-x-3 top-3 z-[60] mx-auto flex max-w-3xl flex-wrap items-center gap-x-4 gap-y-2 border-2 border-l-8 border-ink border-l-warning bg-sheet px-4 py-3"
    >
      <p className="min-w-64 flex-1 leading-snug">
        <strong className="font-label text-lead font-semibold">
          Part of the program could not be loaded.
        </strong>
        <br />
        Your work is kept. Check the connection to the server and try again. After an update of the program,
        reload the page.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => location.reload()}>Reload the page</Button>
        <Button kind="act" onClick={tryPartsAgain}>
          Try again
        </Button>
      </div>
    </div>
  );
}
