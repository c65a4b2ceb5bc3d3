import { rule } from '@/core/basics/rule';
import { say, type Message } from '@/core/message/message';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import { STOCK_KINDS, STOCK_UNITS, type StockItem } from '@/core/shop/stock';
import type { Shop } from '@/core/shop/shop';
import { moneyText } from '../shop/shopForm';

const numberText = (label: Message, least: number, most: number, whole: boolean) =>
  z.pipe(
    z.string().check(
      z.refine(
        (t) => {
          const v = Number(t.trim().replace(',', '.'));
          return (
            t.trim() !== '' &&
            Number.isFinite(v) &&
            v >= least &&
            v <= most &&
            (!whole || Number.isInteger(v))
          );
        },
        {
          error: rule('stock.labelLeast', { label, which: whole ? 'wholeNumber' : 'other', least, most }),
        },
      ),
    ),
    z.transform((t) => Number(t.trim().replace(',', '.'))),
  );

/** What is typed of an item, and what it comes to. */
export const itemFormSchema = z.object({
  kind: z.enum(STOCK_KINDS),
  ofId: z.string(),
  name: nameSchema,
  unit: z.enum(STOCK_UNITS),
  caseSize: numberText(say('stock.aCase'), 0.001, 100_000, false),
  caseCents: moneyText,
  freightCents: moneyText,
  leftOver: z.enum(['kept', 'charged']),
  leadDays: numberText(say('stock.days'), 0, 365, true),
  lowAt: numberText(say('stock.theLeast'), 0, 1_000_000, false),
  /** What lies there now; null where it is left empty. */
  onHand: z.pipe(
    z.string().check(
      z.refine((t) => t.trim() === '' || Number(t.trim().replace(',', '.')) >= 0, {
        error: rule('stock.stockHand0More'),
      }),
    ),
    z.transform((t) => (t.trim() === '' ? null : Number(t.trim().replace(',', '.')))),
  ),
});
export type ItemFormIn = z.input<typeof itemFormSchema>;
export type ItemFormOut = z.output<typeof itemFormSchema>;

/** Things of the shop an item of a kind can be; none for tape and parts. */
export function thingsFor(
  kind: StockItem['kind'],
  shop: Shop,
): readonly { readonly id: string; readonly name: string }[] {
  if (kind === 'blank') return shop.blanks;
  if (kind === 'paper') return shop.papers;
  return kind === 'ink' ? shop.settings.printers : [];
}

export const UNIT_OF: Readonly<Record<StockItem['kind'], StockItem['unit']>> = {
  blank: 'pieces',
  paper: 'sheets',
  ink: 'millilitres',
  tape: 'metres',
  part: 'pieces',
};

const price = (cents: number): string => (cents / 100).toFixed(2);

export const startingForm = (item: StockItem | null): ItemFormIn => ({
  kind: item?.kind ?? 'blank',
  ofId: item?.ofId ?? '',
  name: item?.name ?? '',
  unit: item?.unit ?? 'pieces',
  caseSize: String(item?.caseSize ?? 36),
  caseCents: price(item?.caseCents ?? 0),
  freightCents: price(item?.freightCents ?? 0),
  leftOver: item?.leftOver ?? 'kept',
  leadDays: String(item?.leadDays ?? 7),
  lowAt: String(item?.lowAt ?? 0),
  onHand: '',
});
