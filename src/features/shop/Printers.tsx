'use client';

import { say } from '@/core/message/message';
import { FileDown, Pencil, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { mirrorPage } from '@/core/sheet/mirrorPage';
import { COLOUR_WORDS, type Printer } from '@/core/shop/printer';
import { mm } from '@/core/message/quantity';
import { changeSettings } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Q, useWords } from '@/ui/words';
import { notify, notifyProblem } from '@/ui/notify';
import { inWorker, onProgress } from '@/workers/client';
import { saveBytesAs } from '../shell/download';
import { useShop } from '../shell/shopContext';
import { PrinterDialog } from './PrinterDialog';

/** The shop's printers, the first being the one jobs use; and the tiny page that tells which way one mirrors. */
export function Printers() {
  const t = useWords();
  const { shop } = useShop();
  const { settings, papers } = shop;
  const [editing, setEditing] = useState<Printer | 'new' | null>(null);
  const put = async (change: (now: readonly Printer[]) => readonly Printer[], said: string) => {
    const r = await changeSettings((now) => ({ ...now, printers: [...change(now.printers)] }));
    if (r.ok) notify(said);
    else notifyProblem(r.problem);
  };
  const test = async (printer: Printer) => {
    const paper = papers.find((p) => p.kind === 'sheet' && p.widthMm <= printer.widestMm) ?? papers[0];
    if (!paper) return;
    const margin = Math.max(...Object.values(printer.marginsMm));
    const made = await inWorker(say('shop.testPage'), (api) =>
      api.pdf(
        {
          title: t('shop.mirrorTest'),
          pages: [mirrorPage(paper, margin, t)],
          sources: {},
          pictures: [],
          ppi: printer.ppi,
        },
        onProgress(() => undefined),
      ),
    );
    if (made.ok) saveBytesAs('mirror-test.pdf', made.value, 'application/pdf');
    else notifyProblem(made.problem);
  };
  return (
    <section aria-label={t('shop.printers')} className="px-4 pt-4">
      <div className="flex items-center justify-between border-b-2 border-ink pb-1">
        <h2 className="font-name text-head font-semibold">{t('shop.printers')}</h2>
        <Button onClick={() => setEditing('new')}>
          <Plus size={18} aria-hidden /> {t('shop.newPrinter')}
        </Button>
      </div>
      <ul>
        {settings.printers.map((p, i) => (
          <li key={p.id} className="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule py-2.5">
            <span className="w-44 font-label text-lead font-semibold">
              {p.name}
              {i === 0 && (
                <span className="block text-fine font-medium text-soft">{t('shop.usedUnlessJobSays')}</span>
              )}
            </span>
            <span className="w-44 font-label text-base">
              {t('shop.upTo')} <Q of={mm(p.widestMm)} />{' '}
              {t('shop.wide', { which: p.rolls ? 'takesRolls' : 'other' })}
            </span>
            <span className="w-48 font-label text-base">
              {t('shop.mirrorIn', {
                which: p.mirrorBy === 'app' ? 'theFile' : 'other',
                colourWords: COLOUR_WORDS[p.colourBy].label,
              })}
            </span>
            <span className="ml-auto flex flex-wrap gap-1">
              <Button onClick={() => void test(p)}>
                <FileDown size={18} aria-hidden /> {t('shop.mirrorTestPage')}
              </Button>
              {i > 0 && (
                <Button
                  onClick={() =>
                    void put(
                      (now) => [p, ...now.filter((x) => x.id !== p.id)],
                      t('shop.defaultPrinter', { p: p.name }),
                    )
                  }
                >
                  {t('shop.makeDefault')}
                </Button>
              )}
              <Button
                kind="quiet"
                aria-label={t('shop.change4', { p: p.name })}
                className="px-2"
                onClick={() => setEditing(p)}
              >
                <Pencil size={17} aria-hidden />
              </Button>
              <Button
                kind="quiet"
                aria-label={t('shop.remove2', { p: p.name })}
                className="px-2"
                disabled={settings.printers.length === 1}
                onClick={() =>
                  void put((now) => now.filter((x) => x.id !== p.id), t('shop.isRemoved', { p: p.name }))
                }
              >
                <Trash2 size={17} aria-hidden />
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {editing && (
        <PrinterDialog printer={editing === 'new' ? null : editing} onClose={() => setEditing(null)} />
      )}
    </section>
  );
}
