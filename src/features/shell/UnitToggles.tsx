'use client';

import { useWords } from '@/ui/words';
import { useUnitSwitch, type UnitsPatch } from './GlobalKeys';
import { useShop } from './shopContext';

interface PairProps {
  readonly label: string;
  readonly options: readonly { readonly text: string; readonly on: boolean; readonly patch: UnitsPatch }[];
}

/** Two buttons, one of them pressed. Plain, because every page carries them. */
function Pair({ label, options }: PairProps) {
  const switchUnits = useUnitSwitch();
  return (
    <div role="group" aria-label={label} className="flex border-2 border-ink bg-sheet">
      {options.map(({ text, on, patch }, i) => (
        <button
          key={text}
          type="button"
          aria-pressed={on}
          onClick={() => switchUnits(patch)}
          className={`min-h-9 px-3 font-label text-base font-semibold ${on ? 'bg-strata-3 text-white' : 'hover:bg-board'} ${i > 0 ? 'border-l-2 border-ink' : ''}`}
        >
          {text}
        </button>
      ))}
    </div>
  );
}

export function UnitToggles() {
  const t = useWords();
  const { length, temperature } = useShop().shop.settings.units;
  return (
    <div className="flex gap-3">
      <Pair
        label={t('shell.lengthUnit')}
        options={[
          { text: 'mm', on: length === 'mm', patch: { length: 'mm' } },
          { text: 'in', on: length === 'in', patch: { length: 'in' } },
        ]}
      />
      <Pair
        label={t('shell.temperatureUnit')}
        options={[
          { text: '°C', on: temperature === 'C', patch: { temperature: 'C' } },
          { text: '°F', on: temperature === 'F', patch: { temperature: 'F' } },
        ]}
      />
    </div>
  );
}
