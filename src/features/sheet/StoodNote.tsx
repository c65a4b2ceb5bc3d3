'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { stoodDays } from '@/core/sheet/printCheck';
import type { Printer } from '@/core/shop/printer';
import { loadLastPrinted } from '@/data/stock';
import { useWords } from '@/ui/words';
import { useShop } from '../shell/shopContext';

/** Asks for a nozzle check where a printer has stood for days: dye ink dries in its nozzles. */
export function StoodNote({ printer }: { readonly printer: Pick<Printer, 'id' | 'name'> }) {
  const t = useWords();
  const only = useShop().shop.settings.printers.length === 1;
  const last = useLiveQuery(() => loadLastPrinted({ id: printer.id, only }), [printer.id, only]);
  const [now] = useState(() => Date.now());
  const days = stoodDays(last ?? null, now);
  if (days === null) return null;
  return (
    <p className="mb-3 border-l-6 border-warning bg-board px-3 py-2">
      {t('sheet.printerStood', { printer: printer.name, days })}
    </p>
  );
}
