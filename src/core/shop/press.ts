import '../zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, nameSchema } from './common';

export const PRESS_KINDS = ['tumbler', 'mug', 'oven'] as const;
export type PressKind = (typeof PRESS_KINDS)[number];

/** When the clock of a time starts: the two schools differ by a minute or more. */
export const CLOCKS = ['from-closing', 'at-temperature'] as const;
export type Clock = (typeof CLOCKS)[number];

const base = { id: idSchema, name: nameSchema };

/** A wrap-round press: a heated mat that closes round the blank and does not reach all the way. */
export const wrapPressSchema = z.strictObject({
  ...base,
  kind: z.enum(['tumbler', 'mug']),
  heaterLengthMm: mmSchema(50, 600),
  heaterHeightMm: mmSchema(30, 400),
  smallestDiameterMm: mmSchema(10, 200),
  largestDiameterMm: mmSchema(10, 250),
  clock: z.enum(CLOCKS),
  /** Its own timer starts by itself on reaching temperature. */
  autoTimer: z.boolean(),
});

/** An oven: heats all round, one pass, held by a sleeve or shrink film. */
export const ovenSchema = z.strictObject({
  ...base,
  kind: z.literal('oven'),
  insideHeightMm: mmSchema(50, 1000),
  hold: z.enum(['sleeve', 'shrink film']),
});

export const pressSchema = z.discriminatedUnion('kind', [wrapPressSchema, ovenSchema]);
export type Press = z.infer<typeof pressSchema>;
export const isOven = (p: Press): p is z.infer<typeof ovenSchema> => p.kind === 'oven';
