import { say } from '@/core/message/message';
import type { Result } from '@/core/basics/result';
import { makeQuote, moved, type QuoteGiven } from '@/core/cost/quotes';
import { quoteSchema, stateOf, type Quote, type QuoteState } from '@/core/shop/quote';
import { db as theDb, type MesaDb } from './db';
import { newId } from './ids';
import { stored } from './storage';

const WHERE = say('common.quote');

const quotesIn = (rows: readonly unknown[]): Quote[] =>
  rows.flatMap((r) => {
    const parsed = quoteSchema.safeParse(r);
    return parsed.success ? [parsed.data] : [];
  });

/** Every quote, for files. */
export const loadQuotes = async (db: MesaDb = theDb): Promise<Quote[]> => quotesIn(await db.quotes.toArray());

/** Quotes of a job, newest first. */
export const quotesOf = async (jobId: string, db: MesaDb = theDb): Promise<readonly Quote[]> =>
  quotesIn(await db.quotes.where('jobId').equals(jobId).toArray()).sort((a, b) => b.number - a.number);

/** Makes a quote under the shop's next number. Open ones of the same job are replaced by it, and stay in its history. */
export const addQuote = async (
  given: Omit<QuoteGiven, 'id' | 'number'>,
  db: MesaDb = theDb,
): Promise<Result<Quote>> => {
  const done = await stored(WHERE, () =>
    db.transaction('rw', db.quotes, async (): Promise<Result<Quote>> => {
      const last = await db.quotes.orderBy('number').last();
      const made = makeQuote({ ...given, id: newId('quote'), number: (last?.number ?? 0) + 1 });
      if (!made.ok) return made;
      const open = quotesIn(await db.quotes.where('jobId').equals(given.jobId).toArray()).filter((q) =>
        ['made', 'sent'].includes(stateOf(q)),
      );
      await db.quotes.bulkPut(open.map((q) => moved(q, 'replaced', given.at)));
      await db.quotes.add(made.value);
      return made;
    }),
  );
  return done.ok ? done.value : done;
};

/** Moves a quote on: sent, accepted, declined. */
export const moveQuote = (id: string, state: QuoteState, db: MesaDb = theDb): Promise<Result<void>> =>
  stored(WHERE, () =>
    db.transaction('rw', db.quotes, async () => {
      const q = await db.quotes.get(id);
      if (q) await db.quotes.put(moved(quoteSchema.parse(q), state, Date.now()));
    }),
  );
