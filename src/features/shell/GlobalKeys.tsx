'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Settings } from '@/core/shop/settings';
import { changeSettings } from '@/data/shop';
import { notifyProblem } from '@/ui/notify';
import { useShop } from './shopContext';
import { part } from '@/core/basics/part';

/** Keys work from handles and choices too, which the library would count as form fields; never while typing. */
export const KEYS_ANYWHERE = { enableOnFormTags: ['slider', 'radio'] } as const satisfies Parameters<
  typeof useHotkeys
>[2];

export type UnitsPatch = Partial<Settings['units']>;

/** Switches the shop's units everywhere at once. */
export function useUnitSwitch(): (patch: UnitsPatch) => void {
  return (patch) => {
    void changeSettings((now) => ({ ...now, units: { ...now.units, ...patch } })).then((r) => {
      if (!r.ok) notifyProblem(r.problem);
    });
  };
}

const KeysDialog = dynamic(() => part(() => import('./KeysDialog')).then((m) => m.KeysDialog), {
  ssr: false,
});

export function GlobalKeys() {
  const { shop } = useShop();
  const router = useRouter();
  const switchUnits = useUnitSwitch();
  const [open, setOpen] = useState(false);
  const { units } = shop.settings;
  useHotkeys('u', () => switchUnits({ length: units.length === 'mm' ? 'in' : 'mm' }), KEYS_ANYWHERE, [units]);
  useHotkeys('t', () => switchUnits({ temperature: units.temperature === 'C' ? 'F' : 'C' }), KEYS_ANYWHERE, [
    units,
  ]);
  useHotkeys('?', () => setOpen(true), { ...KEYS_ANYWHERE, useKey: true });
  useHotkeys(
    '/',
    (e) => {
      e.preventDefault();
      const field = document.getElementById('find-job');
      if (field) field.focus();
      else router.push('/?find=1');
    },
    { ...KEYS_ANYWHERE, useKey: true },
  );
  return open ? <KeysDialog onClose={() => setOpen(false)} /> : null;
}
