import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { daySchema, idSchema, momentSchema, nameSchema, noteSchema } from './common';
import { centsSchema } from './money';

const QUOTE_STATES = ['made', 'sent', 'accepted', 'declined', 'replaced'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

/** What was offered, as it stood: nothing in it is calculated again. */
export const quoteSchema = z
  .strictObject({
    id: idSchema,
    jobId: idSchema,
    jobName: nameSchema,
    /** The shop's own count, from 1. */
    number: z.int().check(z.gte(1), z.lte(1_000_000)),
    at: momentSchema,
    madeOn: daySchema,
    validUntil: daySchema,
    customer: z.string().check(z.maxLength(120)),
    currency: z.string().check(z.minLength(1), z.maxLength(4)),
    lines: z
      .array(
        z.strictObject({
          what: z.string().check(z.minLength(1), z.maxLength(160)),
          pieces: z.int().check(z.gte(1), z.lte(100_000)),
          eachCents: centsSchema,
          sumCents: centsSchema,
        }),
      )
      .check(z.minLength(1, rule('fields.quoteHasLeastOne')), z.maxLength(40)),
    totalCents: centsSchema,
    /** What it was reckoned to cost the shop, whole order. Not printed. */
    costCents: centsSchema,
    readyOn: z.nullable(daySchema),
    terms: z.string().check(z.maxLength(600)),
    note: noteSchema,
    /** Oldest first; the last one holds. */
    history: z
      .array(z.strictObject({ at: momentSchema, state: z.enum(QUOTE_STATES) }))
      .check(z.minLength(1), z.maxLength(60)),
  })
  .check(
    z.refine((q) => q.lines.every((l) => l.sumCents === l.pieces * l.eachCents), {
      path: ['lines'],
      error: rule('fields.lineDoesComePieces'),
    }),
    z.refine((q) => q.lines.reduce((s, l) => s + l.sumCents, 0) === q.totalCents, {
      path: ['totalCents'],
      error: rule('fields.linesDoAddUp'),
    }),
  );
export type Quote = z.infer<typeof quoteSchema>;

export const stateOf = (q: Pick<Quote, 'history'>): QuoteState => q.history.at(-1)?.state ?? 'made';
