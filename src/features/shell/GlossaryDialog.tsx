'use client';

import { GLOSSARY } from '@/core/glossary/glossary';
import { Dialog } from '@/ui/Dialog';
import { useWords } from '@/ui/words';

/** Every term of the trade with what it means, in the order of the alphabet. */
export function GlossaryDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const terms = GLOSSARY.map(({ label, meaning }) => ({
    id: meaning.id,
    label: t(label),
    meaning: t(meaning),
  }))
    // A term whose part of the catalogue is still on its way is shown once it is there.
    .filter(({ label, meaning }) => label !== '' && meaning !== '')
    .sort((a, b) => a.label.localeCompare(b.label));
  return (
    <Dialog open wide onClose={onClose} title={t('shell.glossary')} about={t('shell.termsTradeUsedHere')}>
      <dl className="grid gap-y-2">
        {terms.map(({ id, label, meaning }) => (
          <div key={id} className="border-b border-rule pb-1.5 sm:grid sm:grid-cols-[12rem_1fr] sm:gap-4">
            <dt className="font-label text-base font-semibold">{label}</dt>
            <dd className="leading-snug">{meaning}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
