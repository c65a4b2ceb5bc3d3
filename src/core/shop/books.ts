import '../basics/zodSetup';
import * as z from 'zod/mini';
import { quoteSchema } from './quote';
import { movementSchema, stockItemSchema } from './stock';

/** What a shop keeps that no plan of a job draws on: its stock and its quotes. */
export const stockAndQuotesSchema = z.strictObject({
  items: z.array(stockItemSchema).check(z.maxLength(5000)),
  movements: z.array(movementSchema).check(z.maxLength(500_000)),
  quotes: z.array(quoteSchema).check(z.maxLength(50_000)),
});
export type StockAndQuotes = z.infer<typeof stockAndQuotesSchema>;
export const NO_BOOKS: StockAndQuotes = { items: [], movements: [], quotes: [] };
