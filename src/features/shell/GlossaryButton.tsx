'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { part } from '@/core/basics/part';
import { useWords } from '@/ui/words';

const GlossaryDialog = dynamic(() => part(() => import('./GlossaryDialog')).then((m) => m.GlossaryDialog), {
  ssr: false,
});

/** Opens the glossary, from the rail of every page. */
export function GlossaryButton({ className }: { className: string }) {
  const t = useWords();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className={className} onClick={() => setOpen(true)}>
        {t('shell.glossary')}
      </button>
      {open && <GlossaryDialog onClose={() => setOpen(false)} />}
    </>
  );
}
