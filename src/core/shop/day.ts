import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, nameSchema } from './common';

export const WEEKDAYS = [
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
  'sunday',
] as const;

const minuteSchema = z
  .int()
  .check(z.gte(0, rule('fields.timeDay000')), z.lte(1440, rule('fields.dayEnds2400')));

/** A stretch of a day, minutes after midnight. */
const hoursSchema = z.strictObject({ fromMin: minuteSchema, toMin: minuteSchema }).check(
  z.refine((h) => h.fromMin < h.toMin, {
    path: ['toMin'],
    error: rule('fields.endsBeforeBeginsWrite'),
  }),
);
export type Hours = z.infer<typeof hoursSchema>;

/** A circuit of the building, and what hangs on it. */
const circuitSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** What its breaker is rated for, A. */
  ratingA: z.number().check(z.gte(1, rule('fields.least1')), z.lte(200, rule('fields.most200'))),
  volts: z.number().check(z.gte(80, rule('fields.least80V')), z.lte(480, rule('fields.most480V'))),
  /** Share of the rating it may carry for hours, percent. */
  continuousPct: z.number().check(z.gte(20, rule('fields.least20')), z.lte(100, rule('fields.most100'))),
  /** Other things on it that are always on, A. */
  otherA: z.number().check(z.gte(0, rule('fields.n0More')), z.lte(200, rule('fields.most200'))),
  pressIds: z.array(idSchema).check(z.maxLength(24)),
});
export type Circuit = z.infer<typeof circuitSchema>;

/** When the shop works, where pieces cool, and what its presses are plugged into. */
export const daySettingsSchema = z.strictObject({
  opening: z.strictObject({
    monday: z.nullable(hoursSchema),
    tuesday: z.nullable(hoursSchema),
    wednesday: z.nullable(hoursSchema),
    thursday: z.nullable(hoursSchema),
    friday: z.nullable(hoursSchema),
    saturday: z.nullable(hoursSchema),
    sunday: z.nullable(hoursSchema),
  }),
  breaks: z
    .array(z.strictObject({ name: nameSchema, hours: hoursSchema }))
    .check(z.maxLength(6, rule('fields.mostSixBreaks'))),
  /** Loads that can cool side by side. */
  coolingPlaces: z
    .int()
    .check(z.gte(1, rule('fields.leastOnePlaceCool')), z.lte(200, rule('fields.most2002'))),
  /** So many people work here at once. */
  hands: z.int().check(z.gte(0, rule('fields.fewerThanNone')), z.lte(12, rule('fields.most12People'))),
  /** A sheet of A4 at best quality, and how long a print dries before it is cut, s. */
  printA4S: z.number().check(z.gte(5, rule('fields.least5S')), z.lte(3600, rule('fields.mostHour'))),
  dryS: z.number().check(z.gte(0, rule('fields.n0SMore')), z.lte(86_400, rule('fields.mostDay'))),
  circuits: z.array(circuitSchema).check(
    z.maxLength(24),
    z.refine((all) => {
      const ids = all.flatMap((c) => c.pressIds);
      return new Set(ids).size === ids.length;
    }, rule('fields.pressPluggedIntoTwo')),
  ),
});
export type DaySettings = z.infer<typeof daySettingsSchema>;

const NINE_TO_FIVE: Hours = { fromMin: 540, toMin: 1020 };

export const DEFAULT_DAY: DaySettings = {
  opening: {
    monday: NINE_TO_FIVE,
    tuesday: NINE_TO_FIVE,
    wednesday: NINE_TO_FIVE,
    thursday: NINE_TO_FIVE,
    friday: NINE_TO_FIVE,
    saturday: null,
    sunday: null,
  },
  breaks: [{ name: 'Lunch', hours: { fromMin: 720, toMin: 750 } }],
  coolingPlaces: 24,
  hands: 1,
  printA4S: 90,
  dryS: 180,
  circuits: [],
};
