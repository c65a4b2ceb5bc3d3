'use client';

import { useEffect, useState } from 'react';
import { useReading } from './reading';

/** What takes less than this is not worth a word, ms. */
const WORTH_SAYING_MS = 300;

/** Says which picture is being read and how far it is, wherever pictures are drawn. */
export function ReadingStatus() {
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
    <div role="status" className="pointer-events-none absolute bottom-3 left-1/2 z-20 -translate-x-1/2">
      {long && reading && (
        <p className="flex items-center gap-3 border-2 border-ink bg-sheet px-4 py-2 font-label text-base font-semibold">
          Reading {reading.name}
          {reading.of > 1 && `, ${reading.done + 1} of ${reading.of}`}
          <progress
            aria-label="Pictures read"
            value={reading.done + 0.5}
            max={reading.of}
            className="h-3 w-24 accent-strata-3"
          />
        </p>
      )}
    </div>
  );
}
