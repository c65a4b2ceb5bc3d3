'use client';

import { useWords } from '@/ui/words';
import { useMemo } from 'react';
import { create } from 'zustand';
import { toBase64 } from '@/core/formats/base64';
import type { DroppedParts } from '@/data/pictures';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';

const useDropped = create<{ readonly parts: DroppedParts | null }>()(() => ({ parts: null }));

/** Shows what of a drawing was left out, until it is read. */
export const sayDropped = (parts: DroppedParts): void => useDropped.setState({ parts });

/** As a picture a drawing runs nothing and fetches nothing. */
const Shown = ({ bytes, mime, label }: { bytes: Uint8Array; mime: string; label: string }) => {
  const url = useMemo(() => `data:${mime};base64,${toBase64(bytes)}`, [bytes, mime]);
  return (
    <figure className="min-w-0 flex-1">
      <figcaption className="font-label font-semibold">{label}</figcaption>
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img src={url} alt={label} className="mt-1 h-52 w-full border-2 border-ink bg-white object-contain" />
    </figure>
  );
};

/** A drawing that lost something on import: before and after, and what to do about it. */
export function DroppedDialog() {
  const t = useWords();
  const parts = useDropped((s) => s.parts);
  if (!parts) return null;
  const close = () => useDropped.setState({ parts: null });
  return (
    <Dialog
      open
      wide
      onClose={close}
      title={t('art.allPrinted', { parts: parts.name })}
      about={t('art.leftOutBecauseCould')}
    >
      <ul className="list-disc pl-5 leading-snug">
        {parts.dropped.map((d) => (
          <li key={d.id}>{t(d)}</li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-4">
        <Shown bytes={parts.before} mime="image/svg+xml" label={t('art.wasDrawn')} />
        <Shown bytes={parts.after} mime="image/png" label={t('art.asItIsPrinted')} />
      </div>
      <div className="mt-4 flex justify-end">
        <Button kind="act" onClick={close}>
          {t('art.keepPrinted')}
        </Button>
      </div>
    </Dialog>
  );
}
