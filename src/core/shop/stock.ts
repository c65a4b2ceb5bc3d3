import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, lineSchema, momentSchema, nameSchema, daySchema } from './common';
import { centsSchema } from './money';
import { personSchema } from './run';

export const STOCK_KINDS = ['blank', 'paper', 'ink', 'tape', 'part'] as const;
export type StockKind = (typeof STOCK_KINDS)[number];
export const STOCK_UNITS = ['pieces', 'sheets', 'metres', 'millilitres'] as const;
export type StockUnit = (typeof STOCK_UNITS)[number];

const MOST = 1_000_000;
const amount = z.number().check(z.gte(-MOST), z.lte(MOST));
const lotSchema = z.string().check(z.maxLength(40, rule('fields.keepLotUnder40')));

/** A thing the shop keeps in stock, and how it is bought. */
export const stockItemSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(STOCK_KINDS),
  /** The blank, paper or printer it is; null for tape and parts. */
  ofId: z.nullable(idSchema),
  name: nameSchema,
  unit: z.enum(STOCK_UNITS),
  /** So many come in a case, or on a roll. */
  caseSize: z.number().check(z.gt(0, rule('fields.caseHoldsMoreThan')), z.lte(100_000)),
  caseCents: centsSchema,
  /** Carriage of one case. */
  freightCents: centsSchema,
  /** Whether what a case leaves over is kept for other work, or paid by the job it was bought for. */
  leftOver: z.enum(['kept', 'charged']),
  leadDays: z.int().check(z.gte(0, rule('fields.n0DaysMore')), z.lte(365, rule('fields.mostYear'))),
  /** It is ordered again when fewer are left than this. */
  lowAt: z.number().check(z.gte(0, rule('fields.n0More3')), z.lte(MOST)),
  /** Lots of which something is known. */
  lots: z
    .array(
      z.strictObject({
        lot: lotSchema.check(z.minLength(1)),
        poor: z.boolean(),
        note: z.string().check(z.maxLength(200)),
      }),
    )
    .check(z.maxLength(60)),
});
export type StockItem = z.infer<typeof stockItemSchema>;

/** Movements that change what is on hand. */
const ON_HAND_KINDS = [
  'counted',
  'received',
  'pressed',
  'second',
  'spoiled',
  'printed',
  'used',
  'put-back',
] as const;
/** Movements that change what is on order; a delivery changes both. */
const ORDER_KINDS = ['ordered', 'cancelled'] as const;
const MOVEMENT_KINDS = [...ON_HAND_KINDS, ...ORDER_KINDS] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/** One line of the ledger. Lines are added and never changed: a wrong one is answered by another. */
export const movementSchema = z
  .strictObject({
    id: idSchema,
    itemId: idSchema,
    at: momentSchema,
    kind: z.enum(MOVEMENT_KINDS),
    /** By how much what is on hand changes; for what is ordered or cancelled, by how much what is on order does. */
    change: amount,
    lot: lotSchema,
    /** The order it belongs to; null for all else. */
    orderId: z.nullable(idSchema),
    expectedOn: z.nullable(daySchema),
    jobId: z.nullable(idSchema),
    runId: z.nullable(idSchema),
    by: z.nullable(personSchema),
    note: z.union([z.literal(''), lineSchema]),
  })
  .check(
    z.refine((m) => m.kind !== 'received' || m.change > 0, {
      path: ['change'],
      error: rule('common.deliveryMoreThanNone'),
    }),
    z.refine((m) => m.kind !== 'ordered' || m.change > 0, {
      path: ['change'],
      error: rule('fields.orderMoreThanNone'),
    }),
    z.refine((m) => (m.kind !== 'ordered' && m.kind !== 'cancelled') || m.orderId !== null, {
      path: ['orderId'],
      error: rule('fields.doesSayWhichOrder'),
    }),
  );
export type Movement = z.infer<typeof movementSchema>;
