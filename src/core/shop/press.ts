import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, momentSchema, nameSchema } from './common';
import { MATERIALS } from './blank';

export const PRESS_KINDS = ['tumbler', 'mug', 'oven', 'flat', 'vacuum'] as const;
export type PressKind = (typeof PRESS_KINDS)[number];

/** When the clock of a time starts: the two ways differ by a minute or more. */
export const TIMER_STARTS = ['from-closing', 'at-temperature'] as const;
export type TimerStart = (typeof TIMER_STARTS)[number];

/** How a press keeps time: by a person's own clock, by its own from closing, or by its own on reaching its working temperature. */
export const PRESS_TIMERS = ['by-hand', 'own-from-closing', 'own-at-temperature'] as const;
export type PressTimer = (typeof PRESS_TIMERS)[number];

const wattsSchema = z
  .number()
  .check(z.gte(20, rule('fields.least20WLook')), z.lte(30000, rule('fields.most30000W')));
const voltsSchema = z.number().check(z.gte(80, rule('fields.least80V')), z.lte(480, rule('fields.most480V')));
const readSchema = z.number().check(z.gte(30), z.lte(300));

/** What its heater draws. Null watts: usual for its size, with its spread. */
const powerSchema = z.strictObject({
  watts: z.nullable(wattsSchema),
  from: z.enum(['plate', 'measured']),
  volts: z.nullable(voltsSchema),
});
export type Power = z.infer<typeof powerSchema>;
export const USUAL_POWER: Power = { watts: null, from: 'plate', volts: null };

/** Readings of a probe or of strips at one set temperature. x and y run 0..1 over the heated face, from its left and from its back. */
const checkSchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  setC: readSchema,
  with: z.enum(['probe', 'strips']),
  points: z
    .array(
      z.strictObject({
        x: z.number().check(z.gte(0), z.lte(1)),
        y: z.number().check(z.gte(0), z.lte(1)),
        readC: readSchema,
      }),
    )
    .check(z.minLength(1, rule('fields.takeLeastOneReading')), z.maxLength(9)),
});
export type PressCheck = z.infer<typeof checkSchema>;

export const GAP_METHODS = ['feeler', 'card', 'dye'] as const;
export type GapMethod = (typeof GAP_METHODS)[number];

/** How far the platen stands off at places of its face, mm: by feeler, by card, or from the dye a test sheet kept. x and y as in a check. */
const flatnessSchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  by: z.enum(GAP_METHODS),
  points: z
    .array(
      z.strictObject({
        x: z.number().check(z.gte(0), z.lte(1)),
        y: z.number().check(z.gte(0), z.lte(1)),
        gapMm: z.number().check(z.gte(0, rule('fields.gap0More')), z.lte(6, rule('fields.most6Mm'))),
      }),
    )
    .check(z.minLength(3, rule('fields.takeLeastThreeReadings')), z.maxLength(49)),
  /** Card it was packed out with afterwards, mm a sheet; null where it was not. */
  packedCardMm: z.nullable(z.number().check(z.gte(0.02), z.lte(2))),
});
export type Flatness = z.infer<typeof flatnessSchema>;

/** One closing on a known load, timed: what the display fell to and how long it took to come back. */
const timingSchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  setC: readSchema,
  roomC: z.number().check(z.gte(-10), z.lte(50)),
  lowestC: z.nullable(readSchema),
  backS: z.nullable(z.number().check(z.gte(1), z.lte(3600))),
  load: z.strictObject({
    material: z.enum(MATERIALS),
    wallMm: mmSchema(0.2, 60),
    vacuum: z.boolean(),
    /** Heated face of one piece, mm². */
    areaMm2: z.number().check(z.gte(50), z.lte(2_600_000)),
    /** Right round a blank in a wrap press; null elsewhere. */
    circumferenceMm: z.nullable(mmSchema(15, 1300)),
    pieces: z.int().check(z.gte(1), z.lte(200)),
    wasteSheets: z.int().check(z.gte(0), z.lte(6)),
    heaterId: z.nullable(idSchema),
  }),
});
export type PressTiming = z.infer<typeof timingSchema>;

/** How a press shows the pressure it is set to: not at all, or as a number, turns of its screw, a gap or a notch. */
export const PRESSURE_SCALES = ['none', 'number', 'turns', 'gap', 'notch'] as const;
export type PressureScale = (typeof PRESSURE_SCALES)[number];
/** What such a scale shows. */
export const pressureAtSchema = z
  .number()
  .check(z.gte(0, rule('fields.n0More3')), z.lte(100, rule('fields.upTo100')));
const scale = { pressureScale: z.enum(PRESSURE_SCALES) };

const base = {
  id: idSchema,
  name: nameSchema,
  power: powerSchema,
  /** Oldest first; the newest of each counts. */
  checks: z.array(checkSchema).check(z.maxLength(60)),
  timings: z.array(timingSchema).check(z.maxLength(60)),
};

/** A mat that can be put into a wrap press. Length is its arc, laid flat. */
const heaterSchema = z
  .strictObject({
    id: idSchema,
    name: nameSchema,
    lengthMm: mmSchema(50, 600),
    heightMm: mmSchema(30, 400),
    smallestDiameterMm: mmSchema(10, 200),
    largestDiameterMm: mmSchema(10, 250),
    /** How much wider it is made at the top than at the foot, across; 0 for a straight mat. */
    taperMm: mmSchema(-40, 40),
  })
  .check(
    z.refine((h) => h.smallestDiameterMm < h.largestDiameterMm, {
      path: ['largestDiameterMm'],
      error: rule('fields.largestDiameterMustMore'),
    }),
  );
export type PressHeater = z.infer<typeof heaterSchema>;

/** A wrap-round press: a heated mat that closes round the blank and does not reach all the way. */
const wrapPressSchema = z.strictObject({
  ...base,
  ...scale,
  kind: z.enum(['tumbler', 'mug']),
  /** The first is the one it came with. */
  heaters: z.array(heaterSchema).check(z.minLength(1, rule('fields.pressHasLeastOne')), z.maxLength(12)),
  timer: z.enum(PRESS_TIMERS),
  /** Temperature it keeps between pieces, where that is lower than the working one. */
  restingC: z.nullable(readSchema),
});

/** Whether a fan moves the air of an oven: it gives heat a good deal faster than still air. */
export const OVEN_AIRS = ['fan', 'still'] as const;
export type OvenAir = (typeof OVEN_AIRS)[number];

/** What holds the paper to a piece in an oven. */
export const OVEN_HOLDS = ['sleeve', 'shrink film', 'wound tape'] as const;
/** How a flat press opens. */
export const PRESS_OPENS = ['swing-away', 'clamshell', 'drawer'] as const;

/** An oven: heats all round, one pass, held by a sleeve, shrink film or wound tape. */
const ovenSchema = z.strictObject({
  ...base,
  kind: z.literal('oven'),
  insideHeightMm: mmSchema(50, 1000),
  insideWidthMm: z.nullable(mmSchema(100, 2000)),
  insideDepthMm: z.nullable(mmSchema(100, 2000)),
  hold: z.enum(OVEN_HOLDS),
  air: z.enum(OVEN_AIRS),
  /** How far its air falls when it is opened to load it, K; null for usual. */
  fallK: z.nullable(z.number().check(z.gte(0), z.lte(150))),
});

/** A flat press: one heated platen closing on a bed. A clamshell pinches thick pieces at its hinge. */
const flatPressSchema = z.strictObject({
  ...base,
  ...scale,
  kind: z.literal('flat'),
  platenWidthMm: mmSchema(100, 1600),
  platenHeightMm: mmSchema(100, 1600),
  platenThicknessMm: mmSchema(3, 60),
  /** Silicone pad on the bed, mm; 0 for a bare bed. */
  padMm: mmSchema(0, 30),
  opens: z.enum(PRESS_OPENS),
  /** Thickest piece it closes on. */
  openingMm: mmSchema(2, 120),
  timer: z.enum(PRESS_TIMERS),
  restingC: z.nullable(readSchema),
  /** Oldest first. */
  flatness: z.array(flatnessSchema).check(z.maxLength(40)),
});

/** A vacuum press: a heated chamber in which a membrane is drawn down over several pieces and presses the paper to them from all sides. */
const vacuumPressSchema = z.strictObject({
  ...base,
  kind: z.literal('vacuum'),
  insideHeightMm: mmSchema(20, 400),
  insideWidthMm: mmSchema(100, 2000),
  insideDepthMm: mmSchema(100, 2000),
  membraneMm: mmSchema(0.2, 6),
  timer: z.enum(PRESS_TIMERS),
});

export const pressSchema = z.discriminatedUnion('kind', [
  wrapPressSchema,
  ovenSchema,
  flatPressSchema,
  vacuumPressSchema,
]);
export type Press = z.infer<typeof pressSchema>;
export type WrapPress = z.infer<typeof wrapPressSchema>;
export type FlatPress = z.infer<typeof flatPressSchema>;
export type Oven = z.infer<typeof ovenSchema>;
export type VacuumPress = z.infer<typeof vacuumPressSchema>;
/** Heats its pieces on all sides by hot air, several at once. */
export type Chamber = Oven | VacuumPress;
/** A press of one kind. */
export type PressOf<K extends PressKind> = K extends WrapPress['kind']
  ? WrapPress
  : Extract<Press, { readonly kind: K }>;
export const isFlatPress = (p: Press): p is FlatPress => p.kind === 'flat';
export const isWrapPress = (p: Press): p is WrapPress => p.kind === 'tumbler' || p.kind === 'mug';
export const isOven = (p: Press): p is Oven => p.kind === 'oven';
export const isChamber = (p: Press): p is Chamber => p.kind === 'oven' || p.kind === 'vacuum';
