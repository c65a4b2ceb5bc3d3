import '../zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, nameSchema } from './common';

/** A bar of the calibration page on one axis, measured cold and, where it was pressed, after the heat. mm. */
const barSchema = z.strictObject({
  nominalMm: mmSchema(20, 1200),
  printedMm: mmSchema(20, 1200),
  pressedMm: z.nullable(mmSchema(20, 1200)),
});

/** What the shop's own printer makes of lengths on this paper, across the sheet and along the feed. */
export const calibrationSchema = z.strictObject({ across: barSchema, along: barSchema });
export type Calibration = z.infer<typeof calibrationSchema>;

/** A cut sheet of transfer paper. Thickness matters: it is rolled round the blank outside the wall. */
export const paperSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  widthMm: mmSchema(50, 1200),
  heightMm: mmSchema(50, 1200),
  thicknessMm: mmSchema(0.03, 0.6),
  calibration: z.nullable(calibrationSchema),
});
export type Paper = z.infer<typeof paperSchema>;
