import type { Movement, StockItem } from '../shop/stock';
import { line } from './ledger';
import { eachCents } from './wants';

/** Sheets of one job that came out of a printer. */
export interface Printing {
  readonly jobId: string;
  readonly paperId: string;
  readonly printerId: string;
  readonly sheets: number;
  /** What they are of a roll, m; 0 for cut sheets. */
  readonly rollM: number;
  /** What their ink costs, in hundredths of the shop's money. */
  readonly inkCents: number;
}

/** What a printing takes of one item. */
export interface StockUse {
  readonly item: StockItem;
  readonly amount: number;
}

/**
 * Paper and ink that a printing takes from stock: whole sheets or metres of the roll, and as much ink as its money buys at the stock's price.
 * Items that are not kept in stock are not counted.
 */
export function takenBy(items: readonly StockItem[], p: Printing): readonly StockUse[] {
  const of = (kind: StockItem['kind'], id: string) => items.find((i) => i.kind === kind && i.ofId === id);
  const paper = of('paper', p.paperId);
  const ink = of('ink', p.printerId);
  const inkEach = ink ? eachCents(ink) : 0;
  const all = [
    paper && { item: paper, amount: paper.unit === 'metres' ? p.rollM : p.sheets },
    ink && inkEach > 0 && { item: ink, amount: Math.round((p.inkCents / inkEach) * 10) / 10 },
  ];
  return all.filter((t): t is StockUse => !!t && t.amount > 0);
}

/** Says of a line that puts back what it puts back. */
const PRINTED = 'printed';

type Given = Pick<Movement, 'at' | 'jobId'> & { readonly newId: () => string };

export const printedLines = (taken: readonly StockUse[], { newId, ...given }: Given): readonly Movement[] =>
  taken.map(({ item, amount }) =>
    line({ ...given, id: newId(), itemId: item.id, kind: 'printed', change: -amount }),
  );

/** The lines that answer others: what they took lies there again. */
export const putBackLines = (lines: readonly Movement[], { newId, ...given }: Given): readonly Movement[] =>
  lines.map((l) =>
    line({ ...given, id: newId(), itemId: l.itemId, kind: 'put-back', change: -l.change, note: PRINTED }),
  );

/** Whether a line is of a printing, or takes one back. */
export const isPrinting = (l: Pick<Movement, 'kind' | 'note'>): boolean =>
  l.kind === 'printed' || (l.kind === 'put-back' && l.note === PRINTED);

/** Sheets each job has had printed, less those taken back. Rolls are cut by length and are not counted as sheets. */
export function sheetsPrinted(
  items: readonly StockItem[],
  lines: readonly Movement[],
): Readonly<Record<string, number>> {
  const sheets = new Set(items.filter((i) => i.kind === 'paper' && i.unit === 'sheets').map((i) => i.id));
  const by: Record<string, number> = {};
  for (const l of lines) {
    if (isPrinting(l) && l.jobId !== null && sheets.has(l.itemId))
      by[l.jobId] = (by[l.jobId] ?? 0) - l.change;
  }
  return by;
}

/** Items whose movements show that a printer printed: its ink, and the paper if the shop has no other printer. */
export const printingItems = (
  items: readonly StockItem[],
  printer: { readonly id: string; readonly only: boolean },
): ReadonlySet<string> =>
  new Set(
    items
      .filter((i) => (i.kind === 'ink' && i.ofId === printer.id) || (printer.only && i.kind === 'paper'))
      .map((i) => i.id),
  );
