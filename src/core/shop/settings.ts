import '../zodSetup';
import * as z from 'zod/mini';
import { mmSchema, nameSchema } from './common';

export const SCHOOLS = ['under', 'butt', 'lap', 'over', 'gap'] as const;
export type School = (typeof SCHOOLS)[number];

/** How paper is held to the wall; decides how far it may stand off. */
export const HOLDS = ['bare tape', 'tape pulled tight', 'sleeve'] as const;
export type Hold = (typeof HOLDS)[number];

export const MIRROR_BY = ['app', 'driver'] as const;
export type MirrorBy = (typeof MIRROR_BY)[number];

/** The shop's own ways: units, tape, printer, house school. */
export const settingsSchema = z.strictObject({
  shopName: nameSchema,
  units: z.strictObject({
    length: z.enum(['mm', 'in']),
    temperature: z.enum(['C', 'F']),
    inchDenominator: z.union([z.literal(8), z.literal(16), z.literal(32), z.literal(64)]),
  }),
  tape: z.strictObject({
    thicknessMm: mmSchema(0, 2),
    finestMm: z.union([z.literal(0.5), z.literal(1)]),
    stringMm: mmSchema(0, 4),
  }),
  printer: z.strictObject({
    name: nameSchema,
    marginMm: mmSchema(0, 30),
    mirrorBy: z.enum(MIRROR_BY),
    ppi: z.union([z.literal(150), z.literal(200), z.literal(300), z.literal(360)]),
  }),
  house: z.strictObject({
    school: z.enum(SCHOOLS),
    bleedMm: mmSchema(0, 15),
    safeMm: mmSchema(0, 30),
    setbackMm: mmSchema(0, 30),
    /** Past each edge of a flat blank. */
    flatBleedMm: mmSchema(0, 15),
    hold: z.enum(HOLDS),
  }),
  sound: z.boolean(),
});
export type Settings = z.infer<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Settings = {
  shopName: 'My bench',
  units: { length: 'mm', temperature: 'C', inchDenominator: 16 },
  tape: { thicknessMm: 0.4, finestMm: 1, stringMm: 1.2 },
  printer: { name: 'Sublimation printer', marginMm: 3, mirrorBy: 'app', ppi: 300 },
  house: { school: 'over', bleedMm: 3, safeMm: 6, setbackMm: 1.5, flatBleedMm: 4, hold: 'bare tape' },
  sound: true,
};
