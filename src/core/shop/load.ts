import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema } from './common';

export const WASTE_KINDS = ['plain', 'parchment', 'silicone'] as const;
export const HEATED_FROM = ['paper', 'blank'] as const;
export const MOST_AT_ONCE = 60;

/** How pieces lay in the press: what the dose hangs on besides the settings. */
export const loadSchema = z.strictObject({
  piecesAtOnce: z
    .int()
    .check(
      z.gte(1, rule('fields.leastOnePiece')),
      z.lte(MOST_AT_ONCE, rule('fields.atMostAtOnce', { most: MOST_AT_ONCE })),
    ),
  wasteSheets: z.int().check(z.gte(0), z.lte(6, rule('fields.most6Sheets'))),
  wasteKind: z.enum(WASTE_KINDS),
  /** Paper between heater and blank, or the blank between heater and paper. */
  heatedFrom: z.enum(HEATED_FROM),
  /** Mat of a wrap press; null for its first, and where there is none. */
  heaterId: z.nullable(idSchema),
});
export type Load = z.infer<typeof loadSchema>;
