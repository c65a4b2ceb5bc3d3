'use client';

import { moneyOf, count, decimal } from '@/core/message/quantity';
import { useWords } from '@/ui/words';
import type { SheetOption } from '@/core/sheet/options';
import { Button } from '@/ui/Button';
import { useJob } from '../job/jobContext';

const MOST_SHOWN = 3;

/** What else prints the pieces whole: paper and printer together, cheapest first, one button each. */
export function SheetOptions() {
  const t = useWords();
  const { plan, shop, edit } = useJob();
  const { options, paper, printer, panels } = plan.sheet;
  const isIt = (o: SheetOption) => !panels && o.paper.id === paper?.id && o.printer.id === printer.id;
  const others = options.filter((o) => !isIt(o)).slice(0, panels || !paper ? MOST_SHOWN : MOST_SHOWN - 1);
  if (others.length === 0) return null;
  const severalPrinters = shop.settings.printers.length > 1;
  const use = (o: SheetOption) =>
    edit((j) => ({
      ...j,
      sheet: {
        ...j.sheet,
        paperId: o.paper.id,
        printerId: o.printer.id,
        mirrorBy: o.printer.id === printer.id ? j.sheet.mirrorBy : null,
        panels: { ...j.sheet.panels, way: 'whole' },
      },
    }));
  const amount = (o: SheetOption) =>
    o.metres === null
      ? t.quantity(count(o.sheets, 'sheet'))
      : t('sheet.metres', { metres: decimal(o.metres, 2) });
  return (
    <div
      role="group"
      aria-label={panels ? t('sheet.printsWhole') : t('sheet.otherPapersHold')}
      className={`flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-rule px-4 py-2 ${panels ? 'border-l-8 border-l-warning bg-sheet' : 'bg-sheet/80'}`}
    >
      <p className="font-label text-base font-semibold">
        {panels || !paper ? t('sheet.printsWhole2') : t('sheet.orOn')}
      </p>
      {others.map((o) => (
        <Button key={`${o.printer.id} ${o.paper.id}`} onClick={() => use(o)}>
          {o.paper.name}
          {severalPrinters && `, ${o.printer.name}`} · {amount(o)}
          {o.costCents > 0 && ` · ${t.quantity(moneyOf(shop.settings.currency, o.costCents))}`}
        </Button>
      ))}
    </div>
  );
}
