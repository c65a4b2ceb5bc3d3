import { line } from '../stock/ledger';
import type { StockAndQuotes } from '../shop/books';
import type { StockItem, StockKind } from '../shop/stock';

const DAY_MS = 86_400_000;

const item = (
  id: string,
  kind: StockKind,
  name: string,
  caseSize: number,
  caseCents: number,
  more: Partial<StockItem> = {},
): StockItem => ({
  id,
  kind,
  ofId: null,
  name,
  unit: 'pieces',
  caseSize,
  caseCents,
  freightCents: 0,
  leftOver: 'kept',
  leadDays: 5,
  lowAt: 0,
  lots: [],
  ...more,
});

const blank = (
  ofId: string,
  name: string,
  caseSize: number,
  caseCents: number,
  more: Partial<StockItem> = {},
) =>
  item(`shelf-${ofId}`, 'blank', name, caseSize, caseCents, { ofId, freightCents: 900, lowAt: 6, ...more });

const paper = (ofId: string, name: string, caseSize: number, caseCents: number) =>
  item(`shelf-${ofId}`, 'paper', name, caseSize, caseCents, { ofId, unit: 'sheets', lowAt: 30, leadDays: 3 });

const ITEMS: readonly (readonly [StockItem, number, string])[] = [
  [
    blank('mug-325', '325 ml mug', 36, 7560, {
      lowAt: 12,
      lots: [{ lot: 'M-114', poor: true, note: 'Blacks came out dull on six of ten.' }],
    }),
    30,
    'M-121',
  ],
  [blank('straight-steel-590', '590 ml straight steel', 25, 16_000), 40, 'S-08'],
  [blank('tapered-steel-590', '590 ml tapered steel', 25, 16_500), 26, ''],
  [blank('glass-can-470', '470 ml glass can', 24, 9600), 10, ''],
  [blank('ornament-star', 'Star ornament', 50, 5500, { leadDays: 9 }), 44, ''],
  [blank('slate-trail-marker', 'Slate trail marker', 12, 4680, { leftOver: 'charged' }), 12, ''],
  [blank('panel-400-600', 'Aluminium panel 400 × 600', 4, 5920, { lowAt: 0, leadDays: 12 }), 2, ''],
  [paper('letter', 'Letter', 100, 1400), 160, ''],
  [paper('a4', 'A4', 100, 1400), 60, ''],
  [paper('tabloid', 'Tabloid', 100, 2600), 14, ''],
  [paper('a3', 'A3', 100, 2700), 46, ''],
  [
    item('shelf-ink', 'ink', 'Ink, set of four', 400, 6400, {
      ofId: 'desk-printer',
      unit: 'millilitres',
      lowAt: 120,
    }),
    260,
    '',
  ],
  [item('shelf-tape', 'tape', 'Heat tape 6 mm', 33, 594, { unit: 'metres', lowAt: 30, leadDays: 3 }), 88, ''],
  [item('shelf-ribbon', 'part', 'ribbon', 50, 900, { lowAt: 10 }), 62, ''],
  [item('shelf-hanger', 'part', 'float hanger', 10, 1200, { lowAt: 2, leadDays: 8 }), 1, ''],
];

/** What lies on the demo's shelf, and one order on its way. */
export function demoStockAndQuotes(now: number): StockAndQuotes {
  const at = now - 12 * DAY_MS;
  const expectedOn = new Date(now + 3 * DAY_MS).toISOString().slice(0, 10);
  return {
    items: ITEMS.map(([i]) => i),
    movements: [
      ...ITEMS.map(([i, count, lot], n) =>
        line({
          id: `first-count-${n + 1}`,
          itemId: i.id,
          at,
          kind: 'counted',
          change: count,
          lot,
          note: 'first count',
        }),
      ),
      line({
        id: 'cans-ordered',
        itemId: 'shelf-glass-can-470',
        at: now - 2 * DAY_MS,
        kind: 'ordered',
        change: 24,
        orderId: 'order-cans',
        expectedOn,
      }),
    ],
    quotes: [],
  };
}
