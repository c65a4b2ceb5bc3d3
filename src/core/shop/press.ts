import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, nameSchema } from './common';

export const PRESS_KINDS = ['tumbler', 'mug', 'oven', 'flat'] as const;
export type PressKind = (typeof PRESS_KINDS)[number];

/** When the clock of a time starts: the two ways differ by a minute or more. */
export const TIMER_STARTS = ['from-closing', 'at-temperature'] as const;
export type TimerStart = (typeof TIMER_STARTS)[number];

const base = { id: idSchema, name: nameSchema };

/** A wrap-round press: a heated mat that closes round the blank and does not reach all the way. */
const wrapPressSchema = z.strictObject({
  ...base,
  kind: z.enum(['tumbler', 'mug']),
  heaterLengthMm: mmSchema(50, 600),
  heaterHeightMm: mmSchema(30, 400),
  smallestDiameterMm: mmSchema(10, 200),
  largestDiameterMm: mmSchema(10, 250),
  timerStart: z.enum(TIMER_STARTS),
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

/** A flat press: one heated platen closing on a bed. A clamshell pinches thick pieces at its hinge. */
const flatPressSchema = z.strictObject({
  ...base,
  kind: z.literal('flat'),
  platenWidthMm: mmSchema(100, 1600),
  platenHeightMm: mmSchema(100, 1600),
  opens: z.enum(['swing-away', 'clamshell', 'drawer']),
  /** Thickest piece it closes on. */
  openingMm: mmSchema(2, 120),
  timerStart: z.enum(TIMER_STARTS),
});

export const pressSchema = z.discriminatedUnion('kind', [wrapPressSchema, ovenSchema, flatPressSchema]);
export type Press = z.infer<typeof pressSchema>;
export type WrapPress = z.infer<typeof wrapPressSchema>;
export type FlatPress = z.infer<typeof flatPressSchema>;
export const isFlatPress = (p: Press): p is FlatPress => p.kind === 'flat';
export const isWrapPress = (p: Press): p is WrapPress => p.kind === 'tumbler' || p.kind === 'mug';
export const isOven = (p: Press): p is z.infer<typeof ovenSchema> => p.kind === 'oven';
