import Papa from 'papaparse';
import { fail, ok, type Result } from '../basics/result';
import { readMoney } from '../money/money';
import { stockItemSchema, type StockItem } from '../shop/stock';
import { decimalOf } from '../units/number';
import { csvTable, plainCell } from './csv';
import { firstIssue } from './file';

/** The shelf as a table, a row an item; prices as the shop writes them, without its currency. */
const HEADINGS = [
  'id',
  'kind',
  'of',
  'name',
  'unit',
  'on hand',
  'on order',
  'case',
  'case costs',
  'carriage',
  'left over',
  'lead days',
  'least',
] as const;
type Heading = (typeof HEADINGS)[number];

export interface ShelfRow {
  readonly item: StockItem;
  readonly onHand: number;
  readonly onOrder: number;
}

const price = (cents: number): string => (cents / 100).toFixed(2);

export const shelfCsv = (rows: readonly ShelfRow[]): string =>
  csvTable(
    HEADINGS,
    rows.map(({ item, onHand, onOrder }) => ({
      id: item.id,
      kind: item.kind,
      of: item.ofId ?? '',
      name: item.name,
      unit: item.unit,
      'on hand': onHand,
      'on order': onOrder,
      case: item.caseSize,
      'case costs': price(item.caseCents),
      carriage: price(item.freightCents),
      'left over': item.leftOver,
      'lead days': item.leadDays,
      least: item.lowAt,
    })),
  );

/** A row of a table: the item, and what was counted of it where the table says. */
export interface ReadRow {
  readonly item: StockItem;
  readonly onHand: number | null;
}

const plain = (v: string | undefined): string => plainCell(v).trim();
const WHERE = 'Shelf table';

function rowOf(
  cells: Partial<Record<Heading, string>>,
  number: number,
  known: ReadonlyMap<string, StockItem>,
  newId: () => string,
): Result<ReadRow> {
  const where = `${WHERE}, row ${number}`;
  const way = 'Correct that row, then choose the file again. Nothing was changed.';
  const cell = (h: Heading) => plain(cells[h]);
  const numeric = (h: Heading, usual: number): number => {
    const text = cell(h);
    return text === '' ? usual : (decimalOf(text) ?? NaN);
  };
  const money = (h: Heading): number => (cell(h) === '' ? 0 : (readMoney(cell(h), '') ?? Number.NaN));
  const badMoney = (['case costs', 'carriage'] as const).find((h) => Number.isNaN(money(h)));
  if (badMoney)
    return fail(`“${cell(badMoney)}” under “${badMoney}” is no amount: write it as 12.50.`, where, way);
  const name = cell('name');
  const own =
    known.get(cell('id')) ?? [...known.values()].find((i) => i.name.toLowerCase() === name.toLowerCase());
  const parsed = stockItemSchema.safeParse({
    id: own?.id ?? (cell('id') || newId()),
    kind: cell('kind') || (own?.kind ?? 'part'),
    ofId: cell('of') || (own?.ofId ?? null),
    name,
    unit: cell('unit') || (own?.unit ?? 'pieces'),
    caseSize: numeric('case', own?.caseSize ?? 1),
    caseCents: cell('case costs') === '' ? (own?.caseCents ?? 0) : money('case costs'),
    freightCents: cell('carriage') === '' ? (own?.freightCents ?? 0) : money('carriage'),
    leftOver: cell('left over') || (own?.leftOver ?? 'kept'),
    leadDays: numeric('lead days', own?.leadDays ?? 7),
    lowAt: numeric('least', own?.lowAt ?? 0),
    lots: own?.lots ?? [],
  });
  if (!parsed.success) return fail(`${firstIssue(parsed.error)}`, where, way);
  const text = cell('on hand');
  const onHand = text === '' ? null : (decimalOf(text) ?? NaN);
  if (onHand !== null && (!Number.isFinite(onHand) || onHand < 0))
    return fail('What is on hand is 0 or more.', where, way);
  return ok({ item: parsed.data, onHand });
}

/**
 * A table of the shelf, as `shelfCsv` writes it or as a person made it: only `name` has to be there. An item the shop has, by id or by name, is
 * changed by what the table says and keeps the rest.
 */
export function readShelfCsv(
  text: string,
  own: readonly StockItem[],
  newId: () => string,
): Result<readonly ReadRow[]> {
  const parsed = Papa.parse<Partial<Record<Heading, string>>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  if (!(parsed.meta.fields ?? []).includes('name'))
    return fail(
      'The table has no column “name”.',
      WHERE,
      `Its first row names the columns: ${HEADINGS.join(', ')}. Only name is needed.`,
    );
  if (parsed.data.length === 0) return fail('The table has no rows.', WHERE, 'One row an item.');
  if (parsed.data.length > 5000) return fail('More than 5,000 rows.', WHERE, 'Split the table.');
  const known = new Map(own.map((i) => [i.id, i]));
  const rows: ReadRow[] = [];
  const seen = new Set<string>();
  for (const [i, cells] of parsed.data.entries()) {
    const row = rowOf(cells, i + 2, known, newId);
    if (!row.ok) return row;
    const key = row.value.item.name.toLowerCase();
    if (seen.has(key))
      return fail(
        `“${row.value.item.name}” stands there twice.`,
        `${WHERE}, row ${i + 2}`,
        'Keep one of them.',
      );
    seen.add(key);
    rows.push(row.value);
  }
  return ok(rows);
}
