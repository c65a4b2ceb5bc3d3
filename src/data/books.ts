import type { Books } from '@/core/shop/books';
import { db as theDb, type MesaDb } from './db';
import { loadQuotes } from './quotes';
import { loadItems, loadMovements } from './stock';

/** The shelf and the quotes, for files. */
export async function loadBooks(db: MesaDb = theDb): Promise<Books> {
  const [items, movements, quotes] = await Promise.all([loadItems(db), loadMovements(db), loadQuotes(db)]);
  return { items, movements, quotes };
}

/** Within the caller's transaction. */
export async function putBooks(db: MesaDb, { items, movements, quotes }: Books): Promise<void> {
  await db.stockItems.bulkPut([...items]);
  await db.movements.bulkPut([...movements]);
  await db.quotes.bulkPut([...quotes]);
}
