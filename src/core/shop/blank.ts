import '../zodSetup';
import * as z from 'zod/mini';
import { colourSchema, idSchema, lineSchema, mmSchema, nameSchema } from './common';

export const MATERIALS = ['steel', 'glass', 'ceramic'] as const;
export type Material = (typeof MATERIALS)[number];
export const WALLS = ['vacuum', 'single'] as const;

/**
 * A straight-walled round blank, as the catalogue gives it. Zones near the rim and foot where paper cannot lie flat
 * are given from their own edge; what lies between is the straight wall.
 */
export const straightShapeSchema = z
  .strictObject({
    kind: z.literal('straight'),
    diameterMm: mmSchema(20, 200),
    heightMm: mmSchema(30, 400),
    lipMm: mmSchema(0, 100),
    footMm: mmSchema(0, 100),
  })
  .check(
    z.refine((s) => s.heightMm - s.lipMm - s.footMm >= 10, {
      error: 'Less than 10 mm of straight wall is left between lip and foot.',
      path: ['footMm'],
    }),
  );

export const keepClearSchema = z.strictObject({
  what: lineSchema,
  /** From the top of the straight wall down to the top of the zone. */
  fromTopMm: mmSchema(0, 400),
  heightMm: mmSchema(1, 200),
});

export const blankSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  family: z.enum(['tumbler', 'bottle', 'can sleeve', 'glass', 'cup']),
  shape: straightShapeSchema,
  material: z.enum(MATERIALS),
  wall: z.enum(WALLS),
  wallMm: mmSchema(0.2, 15),
  coating: z.strictObject({ colour: colourSchema, finish: z.enum(['gloss', 'matte']) }),
  takeOff: z.array(lineSchema).check(z.maxLength(12)),
  film: z.boolean(),
  keepClear: z.array(keepClearSchema).check(z.maxLength(8)),
  finish: z.array(lineSchema).check(z.maxLength(12)),
});

export type Blank = z.infer<typeof blankSchema>;
export type StraightShape = z.infer<typeof straightShapeSchema>;
