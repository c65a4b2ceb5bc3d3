'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useLiveQuery } from 'dexie-react-hooks';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { rollMOf } from '@/core/plan/sheet/cost';
import type { SheetLayout } from '@/core/sheet/layout';
import { takenBy, type StockUse } from '@/core/stock/printing';
import { loadItems, loadPrinted, putBackPrinted, takePrinted } from '@/data/stock';
import { Button } from '@/ui/Button';
import { notifyProblem, notifyUndo } from '@/ui/notify';
import { NumberField } from '@/ui/NumberField';
import { PopoverBox } from '@/ui/PopoverBox';
import { useJob } from '../job/jobContext';

const MOST_SHEETS = 999;

const oneTaken = ({ item, amount }: StockUse): Message =>
  item.kind === 'ink'
    ? say('sheet.aboutMl', { amount, item: item.name.toLowerCase() })
    : say('sheet.amountOf', { amount, unit: item.unit, item: item.name });

/** Paper and ink that were taken: two things at most. */
function takenText(taken: readonly StockUse[]): Message {
  const [first, second] = taken.map(oneTaken);
  if (!first) return say('common.nothing');
  return second ? say('blank.two', { first, second }) : first;
}

/** Says how many sheets came out of the printer: they leave the stock, and the day knows that they are printed. */
export function PrintedSheets() {
  const t = useWords();
  const { plan } = useJob();
  const { layout } = plan.sheet;
  const [open, setOpen] = useState(false);
  if (!layout || layout.sheetCount === 0) return null;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button>{t('sheet.printed')}</Button>
      </Popover.Trigger>
      <PopoverBox label={t('sheet.sheetsPrinted')} width="w-[26rem]">
        <TakeOff layout={layout} onDone={() => setOpen(false)} />
      </PopoverBox>
    </Popover.Root>
  );
}

function TakeOff({ layout, onDone }: { readonly layout: SheetLayout; readonly onDone: () => void }) {
  const t = useWords();
  const { job, plan } = useJob();
  const { printer, inkCents } = plan.sheet;
  const held = useLiveQuery(async () => ({ items: await loadItems(), printed: await loadPrinted() }), []);
  const [typed, setTyped] = useState<number | null>(null);
  if (!held) return <p className="text-soft">{t('sheet.readingStock')}</p>;
  const before = held.printed[job.id] ?? 0;
  const sheets = typed ?? Math.max(1, layout.sheetCount - before);
  const share = sheets / layout.sheetCount;
  const printing = {
    jobId: job.id,
    paperId: layout.paper.id,
    printerId: printer.id,
    sheets,
    rollM: Math.round(rollMOf(layout) * share * 1000) / 1000,
    inkCents: inkCents * share,
  };
  const taken = takenBy(held.items, printing);
  const take = async () => {
    const lines = await takePrinted(printing);
    if (!lines.ok) return notifyProblem(lines.problem);
    onDone();
    notifyUndo(t('sheet.takenFromStock', { taken: takenText(taken) }), () =>
      putBackPrinted(lines.value, job.id),
    );
  };
  return (
    <>
      <p className="mb-2 leading-snug">
        {t('sheet.beforeSheetcount', {
          before,
          sheetCount: layout.sheetCount,
          which: before > 0 ? 'recordedPrinte' : 'other',
        })}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label={t('sheet.sheetsPrinted')}
          value={sheets}
          min={1}
          max={MOST_SHEETS}
          whole
          onValue={setTyped}
        />
        <Button onClick={() => void take()} disabled={taken.length === 0}>
          {t('common.takeFromStock')}
        </Button>
      </div>
      <p className="mt-2 font-label text-base font-medium">
        {taken.length === 0
          ? t('sheet.neitherNorInkStock', { paper: layout.paper.name, printer: printer.name })
          : t('sheet.thatIs', { taken: takenText(taken) })}
      </p>
    </>
  );
}
