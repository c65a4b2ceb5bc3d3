import { demoStockAndQuotes } from '../demo/books';
import { balanceOf, line } from './ledger';
import { printedLines, printingItems, putBackLines, sheetsPrinted, takenBy, type Printing } from './printing';

const { items } = demoStockAndQuotes(0);
let made = 0;
const newId = () => `l-${(made += 1)}`;
const THREE: Printing = {
  jobId: 'mugs',
  paperId: 'a4',
  printerId: 'desk-printer',
  sheets: 3,
  rollM: 0,
  inkCents: 160,
};

test('sheets leave by their number, ink by what its money buys', () => {
  // 400 ml for 64.00: 1.60 buys 10 ml.
  expect(takenBy(items, THREE).map((t) => [t.item.id, t.amount])).toEqual([
    ['shelf-a4', 3],
    ['shelf-ink', 10],
  ]);
});

test('a roll leaves by its length, items not kept in stock not at all, and ink without a price neither', () => {
  const roll = items.map((i) => (i.id === 'shelf-a4' ? { ...i, unit: 'metres' as const } : i));
  expect(takenBy(roll, { ...THREE, rollM: 1.25 })[0]?.amount).toBe(1.25);
  expect(takenBy(items, { ...THREE, paperId: 'nowhere', printerId: 'none' })).toEqual([]);
  const free = items.map((i) => ({ ...i, caseCents: 0, freightCents: 0 }));
  expect(takenBy(free, THREE).map((t) => t.item.kind)).toEqual(['paper']);
  expect(takenBy(items, { ...THREE, sheets: 0, inkCents: 0 })).toEqual([]);
});

test('printed and put back, the stock is as before, and the job has nothing printed', () => {
  const counted = line({ id: newId(), itemId: 'shelf-a4', at: 1, kind: 'counted', change: 60 });
  const out = printedLines(takenBy(items, THREE), { at: 2, jobId: 'mugs', newId });
  const paper = (lines: typeof out) => balanceOf([counted, ...lines.filter((l) => l.itemId === 'shelf-a4')]);
  expect(paper(out).onHand).toBe(57);
  expect(sheetsPrinted(items, [counted, ...out])).toEqual({ mugs: 3 });
  const back = putBackLines(out, { at: 3, jobId: 'mugs', newId });
  expect(paper([...out, ...back]).onHand).toBe(60);
  expect(sheetsPrinted(items, [counted, ...out, ...back])).toEqual({ mugs: 0 });
});

test('sheets printed are counted by job; ink, counts and what runs put back are not sheets', () => {
  const lines = [
    ...printedLines(takenBy(items, THREE), { at: 1, jobId: 'a', newId }),
    ...printedLines(takenBy(items, { ...THREE, sheets: 2 }), { at: 2, jobId: 'b', newId }),
    ...printedLines(takenBy(items, THREE), { at: 3, jobId: 'a', newId }),
    line({ id: newId(), itemId: 'shelf-a4', at: 4, kind: 'counted', change: -4 }),
    line({
      id: newId(),
      itemId: 'shelf-a4',
      at: 5,
      kind: 'put-back',
      change: 1,
      jobId: 'a',
      note: 'pressed',
    }),
  ];
  expect(sheetsPrinted(items, lines)).toEqual({ a: 6, b: 2 });
});

test('a printer is known by its ink, and by any paper where it is the only one', () => {
  const of = (id: string, only: boolean) => [...printingItems(items, { id, only })];
  expect(of('desk-printer', false)).toEqual(['shelf-ink']);
  expect(of('another', false)).toEqual([]);
  expect(of('another', true)).toEqual(items.filter((i) => i.kind === 'paper').map((i) => i.id));
});
