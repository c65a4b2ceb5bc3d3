'use client';

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
  const families = familiesOf(blanks);
  const isFamily = (v: string): v is Family => (FAMILIES as readonly string[]).includes(v);
  return (
    <div
      className="grid grid-cols-[1fr_auto] items-center gap-2 px-4 py-2"
      role="search"
      aria-label="Find a blank"
    >
      <input
        type="search"
        aria-label="Search blanks"
        value={filter.text}
        placeholder="find: steel, heart…"
        onChange={(e) => onFilter({ ...filter, text: e.target.value.slice(0, 80) })}
        className="min-h-10 min-w-0 border-2 border-ink bg-white px-2 font-label text-base font-medium"
      />
      <Select
        label="Family"
        value={filter.family ?? ALL}
        options={[
          { value: ALL, label: `all (${blanks.length})` },
          ...families.map(([f, n]) => ({ value: f, label: `${f} (${n})` })),
        ]}
        onChange={(v) => onFilter({ ...filter, family: isFamily(v) ? v : null })}
        className="w-36"
      />
      <p className="sr-only" role="status">
        {found} blanks found
      </p>
    </div>
  );
}
