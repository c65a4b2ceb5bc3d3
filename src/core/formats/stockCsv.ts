import { say } from '../message/message';
import Papa from 'papaparse';
import { fail, ok, type Result } from '../basics/result';
import { readMoney } from '../money/money';
import { stockItemSchema, type StockItem } from '../shop/stock';
import { decimalOf } from '../units/number';
import { csvTable, plainCell } from './csv';
import { firstIssue } from './file';

/** The stock as a table, a row an item; prices as the shop writes them, without its currency. */
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

export interface StockRow {
  readonly item: StockItem;
  readonly onHand: number;
  readonly onOrder: number;
}

const price = (cents: number): string => (cents / 100).toFixed(2);

export const stockCsv = (rows: readonly StockRow[]): string =>
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
const WHERE = say('files.shelfTable');

function rowOf(
  cells: Partial<Record<Heading, string>>,
  number: number,
  known: ReadonlyMap<string, StockItem>,
  newId: () => string,
): Result<ReadRow> {
  const where = say('files.tableRow', { table: WHERE, row: number });
  const way = say('files.correctRowImport');
  const cell = (h: Heading) => plain(cells[h]);
  const numeric = (h: Heading, usual: number): number => {
    const text = cell(h);
    return text === '' ? usual : (decimalOf(text) ?? NaN);
  };
  const money = (h: Heading): number => (cell(h) === '' ? 0 : (readMoney(cell(h), '') ?? Number.NaN));
  const badMoney = (['case costs', 'carriage'] as const).find((h) => Number.isNaN(money(h)));
  if (badMoney)
    return fail(
      say('files.underAmountWrite12', { badMoney: cell(badMoney), badMoney2: badMoney }),
      where,
      way,
    );
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
  if (!parsed.success) return fail(firstIssue(parsed.error), where, way);
  const text = cell('on hand');
  const onHand = text === '' ? null : (decimalOf(text) ?? NaN);
  if (onHand !== null && (!Number.isFinite(onHand) || onHand < 0))
    return fail(say('files.whatHand0More'), where, way);
  return ok({ item: parsed.data, onHand });
}

/**
 * A table of stock, as `stockCsv` writes it or as a person made it: only `name` has to be there. An item the shop has, by id or by name, is
 * changed by what the table says and keeps the rest.
 */
export function readStockCsv(
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
      say('files.tableHasColumnName'),
      WHERE,
      say('files.firstRowNames', { columns: HEADINGS.join(', ') }),
    );
  if (parsed.data.length === 0) return fail(say('files.tableHasRows'), WHERE, say('files.oneRowItem'));
  if (parsed.data.length > 5000) return fail(say('files.moreThan5000'), WHERE, say('common.splitTable'));
  const known = new Map(own.map((i) => [i.id, i]));
  const rows: ReadRow[] = [];
  const seen = new Set<string>();
  for (const [i, cells] of parsed.data.entries()) {
    const row = rowOf(cells, i + 2, known, newId);
    if (!row.ok) return row;
    const key = row.value.item.name.toLowerCase();
    if (seen.has(key))
      return fail(
        say('files.standsThereTwice', { item: row.value.item.name }),
        say('files.tableRow', { table: WHERE, row: i + 2 }),
        say('files.keepOneThem'),
      );
    seen.add(key);
    rows.push(row.value);
  }
  return ok(rows);
}
