'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import { problemText } from '@/core/result';
import type { Settings } from '@/core/shop/settings';
import { saveSettings } from '@/data/shop';
import { SheetDialog } from '@/ui/Sheet';
import { useShop } from './shopContext';

/** Keys work from handles and choices too, which the library would count as form fields; never while typing. */
export const KEYS_ANYWHERE = { enableOnFormTags: ['slider', 'radio'] } as const satisfies Parameters<typeof useHotkeys>[2];

export type UnitsPatch = Partial<Settings['units']>;

/** Switches the shop's units everywhere at once. */
export function useUnitSwitch(): (patch: UnitsPatch) => void {
  const { shop } = useShop();
  return (patch) => {
    void saveSettings({ ...shop.settings, units: { ...shop.settings.units, ...patch } }).then((r) => {
      if (!r.ok) toast.error(problemText(r.problem));
    });
  };
}

const KEYS: readonly (readonly [string, string])[] = [
  ['1 to 8', 'the terraces of a job, Blank to Look'],
  ['[ and ]', 'the job before, the job after'],
  ['/', 'find a job'],
  ['U', 'millimetres or inches'],
  ['T', '°C or °F'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Space', 'at the press: the next step'],
  ['Arrows', 'on a drawing: move what is chosen; with Shift, further'],
  ['?', 'these keys'],
];

export function GlobalKeys() {
  const { shop } = useShop();
  const router = useRouter();
  const switchUnits = useUnitSwitch();
  const [open, setOpen] = useState(false);
  const { units } = shop.settings;
  useHotkeys('u', () => switchUnits({ length: units.length === 'mm' ? 'in' : 'mm' }), KEYS_ANYWHERE, [units]);
  useHotkeys('t', () => switchUnits({ temperature: units.temperature === 'C' ? 'F' : 'C' }), KEYS_ANYWHERE, [units]);
  useHotkeys('?', () => setOpen(true), { ...KEYS_ANYWHERE, useKey: true });
  useHotkeys('/', (e) => {
    e.preventDefault();
    const field = document.getElementById('find-job');
    if (field) field.focus();
    else router.push('/?find=1');
  }, { ...KEYS_ANYWHERE, useKey: true });
  return (
    <SheetDialog open={open} onClose={() => setOpen(false)} title="Keys" about="Everything can be reached without a mouse.">
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        {KEYS.map(([key, what]) => (
          <div key={key} className="contents">
            <dt className="font-label font-semibold whitespace-nowrap">{key}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </SheetDialog>
  );
}
