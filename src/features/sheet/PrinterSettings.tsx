'use client';

import { ListChecks } from 'lucide-react';
import { useState } from 'react';
import { printSettings } from '@/core/sheet/printDialog';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Say, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { StoodNote } from './StoodNote';

/** What to set in the printer's dialog for the sheet shown, large enough to read from the printer. */
export function PrinterSettings({ at }: { readonly at: number }) {
  const t = useWords();
  const { plan } = useJob();
  const [open, setOpen] = useState(false);
  const { layout, printer } = plan.sheet;
  const sheet = layout?.sheets[at];
  if (!layout || !sheet) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <ListChecks size={18} aria-hidden /> {t('sheet.printerSettings')}
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={t('sheet.printerSettings')}
        about={t('sheet.forSheet', { printer: printer.name, at: at + 1, of: layout.sheets.length })}
        wide
      >
        <StoodNote printer={printer} />
        <SettingRows at={at} />
      </Dialog>
    </>
  );
}

function SettingRows({ at }: { readonly at: number }) {
  const { plan } = useJob();
  const { layout, printer, mirrorBy } = plan.sheet;
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const sheet = layout?.sheets[at];
  if (!layout || !sheet) return null;
  const toggle = (i: number) => setDone((d) => new Set(d.has(i) ? [...d].filter((x) => x !== i) : [...d, i]));
  return (
    <ul>
      {printSettings({ printer, paper: layout.paper, mirrorBy, sheet }).map(({ label, value }, i) => (
        <li key={i} className="border-t border-rule">
          <label className="flex min-h-13 items-center gap-4 py-1.5">
            <input
              type="checkbox"
              checked={done.has(i)}
              onChange={() => toggle(i)}
              className="size-7 shrink-0 accent-strata-3"
            />
            <span className="grid flex-1 gap-x-4 sm:grid-cols-[13rem_1fr] sm:items-baseline">
              <span className="font-label text-lead font-medium text-soft">
                <Say message={label} />
              </span>
              <span className="font-name text-name leading-tight font-semibold">
                <Say message={value} />
              </span>
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}
