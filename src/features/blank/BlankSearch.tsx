'use client';

import { FAMILY_WORDS } from '@/core/shop/kindWords';
import { useWords } from '@/ui/words';
import { FAMILIES, type Blank, type Family } from '@/core/shop/blank';
import { Select } from '@/ui/Select';
import { familiesOf, type BlankFilter } from './findBlanks';

interface Props {
  readonly blanks: readonly Blank[];
  readonly filter: BlankFilter;
  readonly onFilter: (f: BlankFilter) => void;
  readonly found: number;
}

const ALL = 'all';

/** Words and a family to find a blank by. */
export function BlankSearch({ blanks, filter, onFilter, found }: Props) {
  const t = useWords();
  const families = familiesOf(blanks);
  const isFamily = (v: string): v is Family => (FAMILIES as readonly string[]).includes(v);
  return (
    <div
      className="grid grid-cols-[1fr_auto] items-center gap-2 px-4 py-2"
      role="search"
      aria-label={t('blank.findBlank')}
    >
      <input
        type="search"
        aria-label={t('blank.searchBlanks')}
        value={filter.text}
        placeholder={t('blank.findSteelHeart')}
        onChange={(e) => onFilter({ ...filter, text: e.target.value.slice(0, 80) })}
        className="min-h-10 min-w-0 border-2 border-ink bg-white px-2 font-label text-base font-medium"
      />
      <Select
        label={t('common.family')}
        value={filter.family ?? ALL}
        options={[
          { value: ALL, label: t('blank.all', { blanks: blanks.length }) },
          ...families.map(([f, n]) => ({ value: f, label: `${t(FAMILY_WORDS[f])} (${n})` })),
        ]}
        onChange={(v) => onFilter({ ...filter, family: isFamily(v) ? v : null })}
        className="w-36"
      />
      <p className="sr-only" role="status">
        {t('blank.blanksFound', { found })}
      </p>
    </div>
  );
}
