'use client';

import { useWords } from '@/ui/words';
import { useEffect, useState } from 'react';
import { ProgressBar } from '@/ui/ProgressBar';
import { useReading } from './reading';

/** What takes less than this is not worth a word, ms. */
const WORTH_SAYING_MS = 300;

/** Says which picture is being read and how far it is, wherever pictures are drawn. */
export function ReadingStatus() {
  const t = useWords();
  const reading = useReading();
  const busy = reading !== null;
  const [long, setLong] = useState(false);
  useEffect(() => {
    if (!busy) return;
    const timer = setTimeout(() => setLong(true), WORTH_SAYING_MS);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [busy]);
  return (
    <div role="status">
      {long && reading && (
        <p className="flex flex-wrap items-center gap-x-3 border-t border-rule bg-sheet px-4 py-1 font-label text-base font-semibold">
          {reading.of > 1
            ? t('art.readingOf', { reading: reading.name, nth: reading.done + 1, of: reading.of })
            : t('art.reading', { reading: reading.name })}
          <ProgressBar label={t('art.picturesRead')} value={reading.done + 0.5} max={reading.of} />
        </p>
      )}
    </div>
  );
}
