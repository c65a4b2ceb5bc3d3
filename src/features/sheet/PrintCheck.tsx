'use client';

import { SearchCheck } from 'lucide-react';
import { useState } from 'react';
import { PRINT_CHECKS, type PrintCheck as Check, type PrintFault } from '@/core/sheet/printCheck';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { useWords } from '@/ui/words';
import { PrintFaultDrawing } from './PrintFaultDrawing';

/** What to look for on the printed sheet before it is cut, each with a drawing, and what to do about it. */
export function PrintCheck() {
  const t = useWords();
  const [open, setOpen] = useState(false);
  const [found, setFound] = useState<readonly PrintFault[]>([]);
  const seen = PRINT_CHECKS.filter((c) => found.includes(c.id));
  const verdict = seen.some((c) => c.again)
    ? t('sheet.printAgain')
    : seen.length > 0
      ? t('sheet.onlyDry')
      : t('sheet.noFaultFound');
  const show = () => {
    setFound([]);
    setOpen(true);
  };
  return (
    <>
      <Button onClick={show}>
        <SearchCheck size={18} aria-hidden /> {t('sheet.checkPrint')}
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={t('sheet.checkPrintTitle')}
        about={t('sheet.checkPrintAbout')}
        wide
      >
        <ul className="grid gap-x-6 md:grid-cols-2">
          {PRINT_CHECKS.map((c) => (
            <FaultRow
              key={c.id}
              check={c}
              found={found.includes(c.id)}
              onFound={(on) => setFound((f) => (on ? [...f, c.id] : f.filter((id) => id !== c.id)))}
            />
          ))}
        </ul>
        <p role="status" className="mt-3 text-lead font-semibold">
          {verdict}
        </p>
        <p className="text-soft">{t('sheet.dullIsRight')}</p>
      </Dialog>
    </>
  );
}

interface RowProps {
  readonly check: Check;
  readonly found: boolean;
  readonly onFound: (on: boolean) => void;
}

function FaultRow({ check, found, onFound }: RowProps) {
  const t = useWords();
  return (
    <li className="border-t border-rule py-2">
      <label className="flex items-start gap-3">
        <PrintFaultDrawing fault={check.id} />
        <span className="flex-1 leading-snug">
          <span className="block font-name text-lead font-semibold">{t(check.label)}</span>
          <span className="block">{t(check.seen)}</span>
          {found && <span className="mt-1 block font-semibold text-act-deep">{t(check.fix)}</span>}
        </span>
        <span className="grid justify-items-center gap-0.5 font-label text-fine font-medium">
          <input
            type="checkbox"
            checked={found}
            onChange={(e) => onFound(e.target.checked)}
            className="size-7 accent-strata-3"
          />
          {t('sheet.found')}
        </span>
      </label>
    </li>
  );
}
