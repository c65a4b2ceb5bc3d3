import '../basics/zodSetup';
import * as z from 'zod/mini';

/** An amount in hundredths of the shop's currency, none below nothing. */
export const centsSchema = z
  .int('Money is written to the hundredth.')
  .check(z.gte(0, 'An amount is 0 or more.'), z.lte(1_000_000_000, 'That is more than this can hold.'));
const percentSchema = (most: number) =>
  z.number().check(z.gte(0, '0 % or more.'), z.lte(most, `At most ${most} %.`));

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
  /** Box, filling, care card and label of one piece. */
  packingCents: centsSchema,
  /** Share of the price a market or a shop window keeps. */
  marketFeePct: percentSchema(60),
  marginPct: percentSchema(90),
  /** Prices are rounded up to whole steps of so much. */
  priceStepCents: z.int().check(z.gte(1, 'At least one hundredth.'), z.lte(100_000, 'At most 1,000.00.')),
  /** A quote stands for so many days. */
  quoteDays: z.int().check(z.gte(1, 'At least one day.'), z.lte(365, 'At most a year.')),
  /** Last line of every quote. */
  terms: z.string().check(z.maxLength(600, 'Keep it under 600 letters.')),
});
export type MoneySettings = z.infer<typeof moneySettingsSchema>;

export const DEFAULT_MONEY: MoneySettings = {
  payHourCents: 1800,
  wantedHourCents: 3500,
  energyKwhCents: 20,
  machineHourCents: 60,
  tapeMetreCents: 18,
  wasteSheetCents: 4,
  packingCents: 45,
  marketFeePct: 0,
  marginPct: 45,
  priceStepCents: 50,
  quoteDays: 30,
  terms: '',
};
