'use client';

import { ChevronDown, FileDown, Printer } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { ProgressBar } from '@/ui/ProgressBar';
import { Button } from '@/ui/Button';
import { copiesText } from './copies';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { PrintCheck } from './PrintCheck';
import { PrintedSheets } from './PrintedSheets';
import { PrinterSettings } from './PrinterSettings';
import { useExport, type Export } from './useExport';
import { part } from '@/core/basics/part';

const PrinterSimulator = dynamic(
  () => part(() => import('./PrinterSimulator')).then((m) => m.PrinterSimulator),
  {
    ssr: false,
  },
);

/** The files, and the checks to make in the driver. */
export function Files({ at }: { at: number }) {
  const t = useWords();
  const { plan } = useJob();
  const made = useExport();
  const { progress, pdf, stop } = made;
  const { mirrorBy, layout } = plan.sheet;
  const copies = copiesText((layout?.sheets ?? []).map((s) => s.copies));
  const looking = (layout?.wanted.length ?? 0) > 0;
  const [trying, setTrying] = useState(false);
  const empty = plan.art.placedLayers.length === 0;
  const ready = layout !== null && !empty && progress === null && !looking;
  return (
    <div className="z-10 flex sm:sticky sm:bottom-0 flex-wrap items-center gap-x-4 gap-y-2 border-t border-rule bg-sheet px-4 py-2">
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => void pdf()} disabled={!ready}>
          <FileDown size={18} aria-hidden /> {t('sheet.savePdf')}
        </Button>
        <MoreFiles at={at} ready={ready} made={made} />
        <PrinterSettings at={at} />
        <Button onClick={() => setTrying(true)} disabled={!ready}>
          <Printer size={18} aria-hidden /> {t('sheet.testPrint')}
        </Button>
        <PrintCheck />
        <PrintedSheets />
      </div>
      {progress !== null && (
        <div className="flex items-center gap-2">
          <ProgressBar label={t('sheet.makingFile')} value={progress} max={1} />
          <Button onClick={stop}>{t('sheet.stop')}</Button>
        </div>
      )}
      <p className="min-w-52 flex-1 font-label text-fine leading-snug font-medium">
        {looking && t('sheet.lookingTighterLayout')}
        {empty && t('sheet.pictureTextYetThere')}
        {copies && t(copies)}{' '}
        {t('sheet.n100ScaleDriverMirror', { which: mirrorBy === 'app' ? 'off' : 'other' })}
      </p>
      {trying && (
        <PrinterSimulator
          at={at}
          pdfBytes={made.pdfBytes}
          progress={progress}
          onClose={() => setTrying(false)}
        />
      )}
    </div>
  );
}

interface MoreProps {
  readonly at: number;
  readonly ready: boolean;
  readonly made: Export;
}

function MoreFiles({ at, ready, made }: MoreProps) {
  const t = useWords();
  const { plan } = useJob();
  const { printer, layout } = plan.sheet;
  const items: readonly { readonly label: string; readonly off: boolean; readonly go: () => void }[] = [
    { label: t('sheet.everythingZipCutList'), off: !ready, go: () => void made.zip() },
    ...((layout?.sheets.length ?? 0) > 1
      ? [{ label: t('sheet.sheetPdf', { at: at + 1 }), off: !ready, go: () => void made.pdf(at) }]
      : []),
    { label: t('sheet.piecePngPpi', { ppi: printer.ppi }), off: !ready, go: () => void made.piecePng() },
    { label: t('sheet.sheetPngPpi', { ppi: printer.ppi }), off: !ready, go: () => void made.sheetPng(at) },
    { label: t('sheet.sheetSvg'), off: !ready, go: () => void made.sheetSvg(at) },
    { label: t('sheet.patternSvg'), off: !plan.wrap.pattern, go: made.patternSvg },
    { label: t('sheet.cutListCsv'), off: !layout, go: made.cutList },
  ];
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button disabled={made.progress !== null}>
          {t('sheet.otherFiles')} <ChevronDown size={16} aria-hidden />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={4}
          align="start"
          side="top"
          className="z-30 border-2 border-ink bg-sheet"
        >
          {items.map((i) => (
            <DropdownMenu.Item
              key={i.label}
              disabled={i.off}
              onSelect={i.go}
              className="flex min-h-11 items-center px-4 font-label outline-none data-[disabled]:text-soft data-[highlighted]:bg-strata-3 data-[highlighted]:text-white"
            >
              {i.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
