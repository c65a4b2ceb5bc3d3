'use client';

import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { commonNamesIn, type CommonNames } from '@/words/commonNames';
import { Button } from '@/ui/Button';
import { useLocale, useWords } from '@/ui/words';

/** What decorators call blanks, in the language chosen. */
export function useCommonNames(): CommonNames {
  const locale = useLocale();
  return useMemo(() => commonNamesIn(locale), [locale]);
}

interface Props {
  readonly text: string;
  /** How many blanks that come near are listed below. */
  readonly nearest: number;
  readonly onAdd: () => void;
}

/** A search that found nothing: what comes nearest follows, and a blank can be added. */
export function NothingFound({ text, nearest, onAdd }: Props) {
  const t = useWords();
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p role="status">
        {nearest > 0 ? t('blank.nothingFoundNearest', { text }) : t('blank.nothingFoundAdd', { text })}
      </p>
      <Button onClick={onAdd}>
        <Plus size={16} aria-hidden /> {t('blank.addBlankInstead')}
      </Button>
    </div>
  );
}
