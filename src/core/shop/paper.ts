import '../zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, nameSchema } from './common';

/** A cut sheet of transfer paper. Thickness matters: it is rolled round the blank outside the wall. */
export const paperSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  widthMm: mmSchema(50, 1200),
  heightMm: mmSchema(50, 1200),
  thicknessMm: mmSchema(0.03, 0.6),
});
export type Paper = z.infer<typeof paperSchema>;
