import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';

/** An amount in hundredths of the shop's currency, none below nothing. */
export const centsSchema = z
  .int(rule('fields.moneyWrittenHundredth'))
  .check(z.gte(0, rule('fields.amount0More')), z.lte(1_000_000_000, rule('fields.moreThanCanHold')));
const percentSchema = (most: number) =>
  z.number().check(z.gte(0, rule('fields.n0More2')), z.lte(most, rule('fields.atMostPercent', { most })));

/** What work costs here, and how prices are made. Hundredths of the shop's currency. */
export const moneySettingsSchema = z.strictObject({
  /** Pay for an hour of hands, as a cost. */
  payHourCents: centsSchema,
  /** What an hour of hands should bring in, where prices are made from it. */
  wantedHourCents: centsSchema,
  energyKwhCents: centsSchema,
  /** What an hour of a press costs in wear and repair. */
  machineHourCents: centsSchema,
  tapeMetreCents: centsSchema,
  wasteSheetCents: centsSchema,
  /** Spray tack on one piece. */
  tackCents: centsSchema,
  /** Box, filling, care card and label of one piece. */
  packingCents: centsSchema,
  /** Share of the price a market or a shop window keeps. */
  marketFeePct: percentSchema(60),
  marginPct: percentSchema(90),
  /** What one that is good with a flaw brings, as a share of its price. */
  secondPct: percentSchema(100),
  /** Prices are rounded up to whole steps of so much. */
  priceStepCents: z
    .int()
    .check(z.gte(1, rule('fields.leastOneHundredth')), z.lte(100_000, rule('fields.most100000'))),
  /** A quote stands for so many days. */
  quoteDays: z.int().check(z.gte(1, rule('fields.leastOneDay')), z.lte(365, rule('fields.mostYear'))),
  /** Last line of every quote. */
  terms: z.string().check(z.maxLength(600, rule('fields.keepUnder600Letters'))),
});
export type MoneySettings = z.infer<typeof moneySettingsSchema>;

export const DEFAULT_MONEY: MoneySettings = {
  payHourCents: 1800,
  wantedHourCents: 3500,
  energyKwhCents: 20,
  machineHourCents: 60,
  tapeMetreCents: 18,
  wasteSheetCents: 4,
  tackCents: 5,
  packingCents: 45,
  marketFeePct: 0,
  marginPct: 45,
  secondPct: 60,
  priceStepCents: 50,
  quoteDays: 30,
  terms: '',
};
