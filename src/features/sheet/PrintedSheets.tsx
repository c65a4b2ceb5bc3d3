'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { rollMOf } from '@/core/plan/sheetCost';
import type { SheetLayout } from '@/core/sheet/layout';
import { takenBy, type Taken } from '@/core/stock/printing';
import { loadItems, loadPrinted, putBackPrinted, takePrinted } from '@/data/shelf';
import { Button } from '@/ui/Button';
import { notifyProblem, notifyUndo } from '@/ui/notify';
import { NumberField } from '@/ui/NumberField';
import { PopoverBox } from '@/ui/PopoverBox';
import { useJob } from '../job/jobContext';

const MOST_SHEETS = 999;

const takenText = (taken: readonly Taken[]): string =>
  taken
    .map(({ item, amount }) =>
      item.kind === 'ink'
        ? `about ${amount} ml of ${item.name.toLowerCase()}`
        : `${amount} ${amount === 1 && item.unit === 'sheets' ? 'sheet' : item.unit} of ${item.name}`,
    )
    .join(' and ');

/** Says how many sheets came out of the printer: they leave the shelf, and the day knows that they are printed. */
export function PrintedSheets() {
  const { plan } = useJob();
  const { layout } = plan.sheet;
  const [open, setOpen] = useState(false);
  if (!layout || layout.sheetCount === 0) return null;
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button>Printed</Button>
      </Popover.Trigger>
      <PopoverBox label="Sheets printed" width="w-[26rem]">
        <TakeOff layout={layout} onDone={() => setOpen(false)} />
      </PopoverBox>
    </Popover.Root>
  );
}

function TakeOff({ layout, onDone }: { readonly layout: SheetLayout; readonly onDone: () => void }) {
  const { job, plan } = useJob();
  const { printer, inkCents } = plan.sheet;
  const held = useLiveQuery(async () => ({ items: await loadItems(), printed: await loadPrinted() }), []);
  const [typed, setTyped] = useState<number | null>(null);
  if (!held) return <p className="text-soft">Reading the stock.</p>;
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
    notifyUndo(`${takenText(taken)} taken from stock.`, () => putBackPrinted(lines.value, job.id));
  };
  return (
    <>
      <p className="mb-2 leading-snug">
        {before > 0 ? `${before} of ${layout.sheetCount} recorded as printed so far. ` : ''}
        Printed sheets, spoiled ones included, are taken from stock, and the schedule counts them as printed.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label="Sheets printed"
          value={sheets}
          min={1}
          max={MOST_SHEETS}
          whole
          onValue={setTyped}
        />
        <Button onClick={() => void take()} disabled={taken.length === 0}>
          Take from stock
        </Button>
      </div>
      <p className="mt-2 font-label text-base font-medium">
        {taken.length === 0
          ? `Neither ${layout.paper.name} nor the ink of ${printer.name} is in stock, so there is nothing to count. Add them under Stock first.`
          : `That is ${takenText(taken)}.`}
      </p>
    </>
  );
}
