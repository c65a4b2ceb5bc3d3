import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, nameSchema } from './common';
import { MEDIA } from './practices';

/** A bar of the calibration page on one axis, measured cold and, where it was pressed, after the heat. mm. */
const barSchema = z.strictObject({
  nominalMm: mmSchema(20, 1200),
  printedMm: mmSchema(20, 1200),
  pressedMm: z.nullable(mmSchema(20, 1200)),
});

/** What the shop's own printer makes of lengths on this paper, across the sheet and along the feed. */
const calibrationSchema = z.strictObject({ across: barSchema, along: barSchema });
export type Calibration = z.infer<typeof calibrationSchema>;

/**
 * Paper to print on, cut in sheets or on a roll. Thickness matters: it is rolled round the blank outside the wall. On a roll `heightMm` is
 * the longest length printed in one go.
 */
export const paperSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(['sheet', 'roll']),
  media: z.enum(MEDIA),
  widthMm: mmSchema(50, 1700),
  heightMm: mmSchema(50, 30000),
  thicknessMm: mmSchema(0.03, 0.6),
  /** Which side takes the print, and how to tell. */
  printSide: z.string().check(z.maxLength(160)),
  /** Tray or feed and which way up it goes in. */
  tray: z.string().check(z.maxLength(160)),
  /** Of a sheet, or of a metre of roll, in hundredths of the shop's money. */
  costCents: z.int().check(z.gte(0), z.lte(1_000_000)),
  calibration: z.nullable(calibrationSchema),
});
export type Paper = z.infer<typeof paperSchema>;
