import { say } from '@/core/message/message';
import { fail, type Result } from '@/core/basics/result';
import { withState } from '@/core/run/pieces';
import type { PartNeeded } from '@/core/finish/parts';
import {
  balanceOf,
  balances,
  countedLines,
  line,
  nextLot,
  runLines,
  type Balance,
} from '@/core/stock/ledger';
import {
  isPrinting,
  printedLines,
  printingItems,
  putBackLines,
  sheetsPrinted,
  takenBy,
  type Printing,
} from '@/core/stock/printing';
import type { Run } from '@/core/shop/run';
import { movementSchema, stockItemSchema, type Movement, type StockItem } from '@/core/shop/stock';
import { db as theDb, type MesaDb } from './db';
import { newId } from './ids';
import { stored } from './storage';

const WHERE = say('common.stock');

export interface ItemBalance {
  readonly item: StockItem;
  readonly balance: Balance;
}

const itemsOf = (rows: readonly unknown[]): StockItem[] =>
  rows.flatMap((r) => {
    const parsed = stockItemSchema.safeParse(r);
    return parsed.success ? [parsed.data] : [];
  });
const linesOf = (rows: readonly unknown[]): Movement[] =>
  rows.flatMap((r) => {
    const parsed = movementSchema.safeParse(r);
    return parsed.success ? [parsed.data] : [];
  });

export const loadItems = async (db: MesaDb = theDb): Promise<StockItem[]> =>
  itemsOf(await db.stockItems.toArray());

/** The whole ledger, for files. */
export const loadMovements = async (db: MesaDb = theDb): Promise<Movement[]> =>
  linesOf(await db.movements.toArray());

/** Everything in stock with what its ledger comes to, by name. */
export async function loadStock(db: MesaDb = theDb): Promise<readonly ItemBalance[]> {
  const [items, lines] = await Promise.all([loadItems(db), loadMovements(db)]);
  const by = balances(lines);
  return items
    .map((item) => ({ item, balance: by.get(item.id) ?? balanceOf([]) }))
    .sort((a, b) => a.item.name.localeCompare(b.item.name));
}

const ofItem = async (db: MesaDb, itemId: string): Promise<Movement[]> =>
  linesOf(await db.movements.where('itemId').equals(itemId).toArray());

/** The lines of one item, newest first. */
export const itemLines = async (itemId: string, db: MesaDb = theDb): Promise<readonly Movement[]> =>
  (await ofItem(db, itemId)).sort((a, b) => b.at - a.at);

export const saveItem = (item: StockItem, db: MesaDb = theDb): Promise<Result<string>> =>
  stored(WHERE, () => db.stockItems.put(stockItemSchema.parse(item)));

/** An item taken from stock with its lines, so that it can be put back whole. */
export interface RemovedItem {
  readonly item: StockItem;
  readonly lines: readonly Movement[];
}

export const removeItem = (id: string, db: MesaDb = theDb): Promise<Result<RemovedItem | null>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.stockItems, db.movements, async () => {
      const item = await db.stockItems.get(id);
      if (!item) return null;
      const lines = await ofItem(db, id);
      await db.stockItems.delete(id);
      await db.movements.where('itemId').equals(id).delete();
      return { item, lines };
    }),
  );

export const restoreItem = ({ item, lines }: RemovedItem, db: MesaDb = theDb): Promise<Result<void>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.stockItems, db.movements, async () => {
      await db.stockItems.put(item);
      await db.movements.bulkPut([...lines]);
    }),
  );

/** Adds lines to the ledger, all or none. */
const addLines = (lines: readonly Movement[], db: MesaDb = theDb): Promise<Result<void>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.movements, async () => {
      await db.movements.bulkAdd(lines.map((l) => movementSchema.parse(l)));
    }),
  );

/** Makes the ledger agree with what was counted just now; says by how much it was off. */
export const countItem = (
  itemId: string,
  counted: number,
  by: string | null,
  lot: string | null = null,
  db: MesaDb = theDb,
): Promise<Result<number>> => {
  if (!Number.isFinite(counted) || counted < 0)
    return Promise.resolve(fail(say('files.count0More'), WHERE, say('files.writeHowManyLie')));
  return stored(WHERE, () =>
    db.transaction('rw', db.movements, async () => {
      const b = balanceOf(await ofItem(db, itemId));
      const lines = countedLines(b, counted, { itemId, at: Date.now(), by, lot, id: newId('line') });
      await db.movements.bulkAdd(lines.map((l) => movementSchema.parse(l)));
      return lines.reduce((s, l) => s + l.change, 0);
    }),
  );
};

/** An order of whole cases. */
export const orderCases = (
  item: StockItem,
  cases: number,
  expectedOn: string | null,
  db: MesaDb = theDb,
): Promise<Result<void>> => {
  if (!Number.isInteger(cases) || cases < 1)
    return Promise.resolve(fail(say('files.orderOneCaseMore'), WHERE, say('files.writeHowManyCases')));
  return addLines(
    [
      line({
        id: newId('line'),
        itemId: item.id,
        at: Date.now(),
        kind: 'ordered',
        change: cases * item.caseSize,
        orderId: newId('order'),
        expectedOn,
      }),
    ],
    db,
  );
};

/** What came of an order, under its lot. More than was ordered closes it. */
export const receiveOrder = (
  itemId: string,
  orderId: string,
  count: number,
  lot: string,
  db: MesaDb = theDb,
): Promise<Result<void>> => {
  if (!Number.isFinite(count) || count <= 0)
    return Promise.resolve(fail(say('common.deliveryMoreThanNone'), WHERE, say('files.writeHowManyCame')));
  return addLines(
    [line({ id: newId('line'), itemId, at: Date.now(), kind: 'received', change: count, lot, orderId })],
    db,
  );
};

export const cancelOrder = (
  itemId: string,
  orderId: string,
  left: number,
  db: MesaDb = theDb,
): Promise<Result<void>> =>
  addLines(
    [line({ id: newId('line'), itemId, at: Date.now(), kind: 'cancelled', change: -left, orderId })],
    db,
  );

/**
 * Lets the blanks of a run leave the stock as they are pressed and spoiled, and come back as that is taken back. Within the caller's
 * transaction, so that run and ledger never part. A blank that is not kept in stock is not counted.
 */
export async function followRun(db: MesaDb, run: Run): Promise<void> {
  const item = itemsOf(await db.stockItems.toArray()).find(
    (i) => i.kind === 'blank' && i.ofId === run.blank.id,
  );
  if (!item) return;
  const { state } = withState(run);
  const own = linesOf(await db.movements.where('runId').equals(run.id).toArray()).filter(
    (l) => l.itemId === item.id,
  );
  const follow = (lot: string) =>
    runLines(
      own,
      {
        good: state.good,
        seconds: state.seconds,
        // What soaks has left the stock; its outcome moves it to the line it belongs to.
        spoiled: state.spoiled + state.soaking.length,
      },
      { itemId: item.id, at: Date.now(), jobId: run.jobId, runId: run.id, lot, newId: () => newId('line') },
    );
  // Most events change no count: only those that do are worth adding up a whole ledger for its next lot.
  if (follow('').length === 0) return;
  const said = (await db.jobs.get(run.jobId))?.job.inspection.lot ?? '';
  const lot = said === '' ? nextLot(balanceOf(await ofItem(db, item.id))) : said;
  await db.movements.bulkAdd(follow(lot).map((l) => movementSchema.parse(l)));
}

/** Parts that packed pieces took with them; fewer packed puts them back. */
export const takeParts = (
  parts: readonly PartNeeded[],
  jobId: string,
  pieces: number,
  db: MesaDb = theDb,
): Promise<Result<number>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.stockItems, db.movements, async () => {
      const items = itemsOf(await db.stockItems.toArray());
      const lines = parts.flatMap(({ part, count }) => {
        const item = items.find((i) => i.kind === 'part' && i.name.toLowerCase() === part.toLowerCase());
        return item
          ? [
              line({
                id: newId('line'),
                itemId: item.id,
                at: Date.now(),
                kind: pieces > 0 ? 'used' : 'put-back',
                change: -pieces * count,
                jobId,
                note: pieces > 0 ? '' : 'used',
              }),
            ]
          : [];
      });
      await db.movements.bulkAdd(lines.map((l) => movementSchema.parse(l)));
      return lines.length;
    }),
  );

/** Sheets said to be printed, by job. */
export async function loadPrinted(db: MesaDb = theDb): Promise<Readonly<Record<string, number>>> {
  // Few lines of a ledger are of printings: only those are worth checking.
  const [items, rows] = await Promise.all([loadItems(db), db.movements.filter(isPrinting).toArray()]);
  return sheetsPrinted(items, linesOf(rows));
}

/** When a printer last printed, ms since 1970, as far as the ledger knows; null where it does not. Reads back only to the newest printing. */
export async function loadLastPrinted(
  printer: { readonly id: string; readonly only: boolean },
  db: MesaDb = theDb,
): Promise<number | null> {
  const of = printingItems(await loadItems(db), printer);
  if (of.size === 0) return null;
  const newest = await db.movements
    .orderBy('at')
    .reverse()
    .filter((m) => m.kind === 'printed' && of.has(m.itemId))
    .first();
  return newest?.at ?? null;
}

/** Takes what a printing took from stock; gives the lines, so that it can be put back. */
export const takePrinted = (printing: Printing, db: MesaDb = theDb): Promise<Result<readonly Movement[]>> => {
  if (!Number.isInteger(printing.sheets) || printing.sheets < 1)
    return Promise.resolve(fail(say('files.sayOneSheetMore'), WHERE, say('files.writeHowManyWere')));
  return stored(WHERE, () =>
    db.transaction('rw', db.stockItems, db.movements, async () => {
      const taken = takenBy(itemsOf(await db.stockItems.toArray()), printing);
      const lines = printedLines(taken, {
        at: Date.now(),
        jobId: printing.jobId,
        newId: () => newId('line'),
      });
      await db.movements.bulkAdd(lines.map((l) => movementSchema.parse(l)));
      return lines;
    }),
  );
};

export const putBackPrinted = (
  lines: readonly Movement[],
  jobId: string,
  db: MesaDb = theDb,
): Promise<Result<void>> =>
  addLines(putBackLines(lines, { at: Date.now(), jobId, newId: () => newId('line') }), db);

/** Items and counts of a table, added beside the shop's own; a count makes the ledger agree. All or nothing. */
export const importStock = (
  rows: readonly { readonly item: StockItem; readonly onHand: number | null }[],
  db: MesaDb = theDb,
): Promise<Result<number>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.stockItems, db.movements, async () => {
      for (const { item, onHand } of rows) {
        await db.stockItems.put(stockItemSchema.parse(item));
        if (onHand === null) continue;
        const b = balanceOf(await ofItem(db, item.id));
        const lines = countedLines(b, onHand, {
          itemId: item.id,
          at: Date.now(),
          by: null,
          lot: null,
          id: newId('line'),
        });
        await db.movements.bulkAdd(lines.map((l) => movementSchema.parse(l)));
      }
      return rows.length;
    }),
  );
