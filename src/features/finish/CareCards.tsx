'use client';

import { useState } from 'react';
import { problemMessage } from '@/core/basics/result';
import { careCards } from '@/core/finish/careCard';
import { labelPages } from '@/core/finish/labels';
import type { RunPiece } from '@/core/shop/run';
import { MOST_CARE_LETTERS } from '@/core/shop/settings';
import { Button } from '@/ui/Button';
import { useWords } from '@/ui/words';
import { useSettings } from '../shop/useSettings';
import { saveDrawn } from '../shell/saveDrawn';

/** The care card in the box: one text for every job of the shop, printed one a piece. */
export function CareCards({ pieces }: { readonly pieces: readonly RunPiece[] }) {
  const t = useWords();
  const { s, put } = useSettings();
  const stored = s.careText === '' ? t('finish.careText') : s.careText;
  const [draft, setDraft] = useState<{ readonly text: string; readonly over: string } | null>(null);
  const text = draft?.over === stored ? draft.text : stored;
  const pages = labelPages(careCards(text), pieces);
  const keep = () => {
    // The default text is not stored, so that it follows the language.
    if (text !== stored) void put({ careText: text === t('finish.careText') ? '' : text });
  };
  return (
    <section aria-label={t('finish.careCards')} className="grid gap-2">
      <h2 className="font-name text-name font-semibold">{t('finish.careCards')}</h2>
      <label className="grid font-label text-fine font-medium text-soft">
        {t('finish.careCardText')}
        <textarea
          value={text}
          maxLength={MOST_CARE_LETTERS}
          rows={6}
          onChange={(e) => setDraft({ text: e.target.value, over: stored })}
          onBlur={keep}
          className="w-[34rem] max-w-full border-2 border-ink bg-white p-2 text-base text-ink"
        />
      </label>
      {!pages.ok && (
        <p role="status" className="font-semibold text-act-deep">
          {t(problemMessage(pages.problem))}
        </p>
      )}
      <div>
        <Button
          disabled={!pages.ok}
          onClick={() => void saveDrawn('care-cards.pdf', t('finish.careCards'), pages)}
        >
          {t('finish.saveCareCards', { pieces: pieces.length })}
        </Button>
      </div>
    </section>
  );
}
