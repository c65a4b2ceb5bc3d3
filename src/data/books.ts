import type { StockAndQuotes } from '@/core/shop/books';
import { db as theDb, type MesaDb } from './db';
import { loadQuotes } from './quotes';
import { loadItems, loadMovements } from './stock';

/** The stock and the quotes, for files. */
export async function loadStockAndQuotes(db: MesaDb = theDb): Promise<StockAndQuotes> {
  const [items, movements, quotes] = await Promise.all([loadItems(db), loadMovements(db), loadQuotes(db)]);
  return { items, movements, quotes };
}

/** Within the caller's transaction. */
export async function putStockAndQuotes(
  db: MesaDb,
  { items, movements, quotes }: StockAndQuotes,
): Promise<void> {
  await db.stockItems.bulkPut([...items]);
  await db.movements.bulkPut([...movements]);
  await db.quotes.bulkPut([...quotes]);
}
