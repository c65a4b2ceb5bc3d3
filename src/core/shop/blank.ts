import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { colourSchema, idSchema, lineSchema, mmSchema, nameSchema } from './common';

export const MATERIALS = [
  'steel',
  'glass',
  'ceramic',
  'aluminium',
  'hardboard',
  'FRP',
  'acrylic',
  'slate',
  'polymer',
] as const;
export type Material = (typeof MATERIALS)[number];
export const WALLS = ['vacuum', 'single'] as const;
export const FINISHES = ['gloss', 'matte', 'textured'] as const;
export const STOCKS = ['opaque', 'clear'] as const;

export const FAMILIES = [
  'mug',
  'tumbler',
  'bottle',
  'can sleeve',
  'glass',
  'cup',
  'stein',
  'small cup',
  'bowl',
  'pen',
  'metal panel',
  'steel sheet',
  'board',
  'plaque',
  'FRP',
  'acrylic',
  'slate',
  'tile',
  'ornament',
  'tag',
  'opener',
  'clock',
  'badge',
  'coaster',
  'tray',
] as const;
export type Family = (typeof FAMILIES)[number];

/** Width across the wall at a height below the rim. */
const wallSectionSchema = z.strictObject({
  fromRimMm: mmSchema(0, 400),
  diameterMm: mmSchema(5, 400),
});

/** Where it joins the wall, seen from the handle side, and how far it stands out. */
const handleSchema = z.strictObject({
  widthMm: mmSchema(3, 80),
  fromRimMm: mmSchema(0, 400),
  heightMm: mmSchema(5, 400),
  reachMm: mmSchema(5, 120),
});

/** A zone of a round wall that the picture may not cross: right round, or so many millimetres of it at an angle from the front. */
const exclusionZoneSchema = z.strictObject({
  what: lineSchema,
  fromRimMm: mmSchema(0, 400),
  heightMm: mmSchema(1, 400),
  widthMm: z.nullable(mmSchema(1, 1300)),
  atDeg: z.number().check(z.gte(-180), z.lte(180)),
});

/** Steeper than this a wall is a plate, not a cup: radius against height. */
const STEEPEST = 2.5;

/**
 * A surface of revolution, perhaps with a handle, as the catalogue gives it. The sections run down the coated wall from its
 * first printable height to its last; lip and foot are what lies beyond.
 */
const roundShapeSchema = z
  .strictObject({
    kind: z.literal('round'),
    heightMm: mmSchema(20, 400),
    sections: z.array(wallSectionSchema).check(z.minLength(2), z.maxLength(24)),
    handle: z.nullable(handleSchema),
    /** Open at both ends, as a pen barrel. */
    openEnds: z.boolean(),
    exclusionZones: z.array(exclusionZoneSchema).check(z.maxLength(8)),
  })
  .check(
    z.refine(
      (s) => s.sections.every((v, i) => i === 0 || v.fromRimMm > (s.sections[i - 1]?.fromRimMm ?? 0)),
      {
        error: rule('fields.widthsGoDownWall'),
        path: ['sections'],
      },
    ),
    z.refine((s) => (s.sections.at(-1)?.fromRimMm ?? 0) <= s.heightMm, {
      error: rule('fields.widthGivenBelowFoot'),
      path: ['sections'],
    }),
    z.refine((s) => (s.sections.at(-1)?.fromRimMm ?? 0) - (s.sections[0]?.fromRimMm ?? 0) >= 8, {
      error: rule('fields.lessThan8Mm'),
      path: ['sections'],
    }),
    z.refine(
      (s) =>
        s.sections.every((b, i) => {
          const a = s.sections[i - 1];
          return !a || Math.abs(b.diameterMm - a.diameterMm) / 2 <= STEEPEST * (b.fromRimMm - a.fromRimMm);
        }),
      { error: rule('fields.wallTurnsOutFaster'), path: ['sections'] },
    ),
    z.refine((s) => !s.handle || s.handle.fromRimMm + s.handle.heightMm <= s.heightMm, {
      error: rule('fields.handleRunsBelowFoot'),
      path: ['handle'],
    }),
    z.refine((s) => !s.handle || s.handle.widthMm < 2 * Math.min(...s.sections.map((v) => v.diameterMm)), {
      error: rule('fields.handleWiderThanWall'),
      path: ['handle'],
    }),
  );

const box = { widthMm: mmSchema(5, 1300), heightMm: mmSchema(5, 1300) };
const pointSchema = z.tuple([
  z.number().check(z.gte(-5000), z.lte(5000)),
  z.number().check(z.gte(-5000), z.lte(5000)),
]);
const pointsSchema = z.array(pointSchema).check(z.minLength(3), z.maxLength(2000));
export const PLAIN_FORMS = ['oval', 'hexagon', 'star', 'heart', 'tag', 'arch', 'lugged disc'] as const;

const flatOutlineSchema = z.discriminatedUnion('form', [
  z.strictObject({ form: z.literal('rectangle'), ...box, cornerMm: mmSchema(0, 400) }),
  z.strictObject({ form: z.enum(PLAIN_FORMS), ...box }),
  /** Any outline, its corners in order; stretched to the box. */
  z.strictObject({ form: z.literal('drawn'), ...box, points: pointsSchema }),
]);

/** Holes by their middle, mm from the top left of the outline's box. */
const holeSchema = z.discriminatedUnion('form', [
  z.strictObject({
    form: z.literal('round'),
    xMm: mmSchema(0, 1300),
    yMm: mmSchema(0, 1300),
    diameterMm: mmSchema(0.5, 300),
  }),
  z.strictObject({
    form: z.literal('slot'),
    xMm: mmSchema(0, 1300),
    yMm: mmSchema(0, 1300),
    widthMm: mmSchema(0.5, 300),
    heightMm: mmSchema(0.5, 300),
  }),
  z.strictObject({ form: z.literal('drawn'), points: pointsSchema }),
]);

/** How an edge takes dye: not at all, coated like the face, or rough and best wrapped over. */
export const EDGES = ['plain', 'coated', 'rough'] as const;

const flatShapeSchema = z.strictObject({
  kind: z.literal('flat'),
  outline: flatOutlineSchema,
  holes: z.array(holeSchema).check(z.maxLength(16)),
  faces: z.union([z.literal(1), z.literal(2)]),
  edge: z.enum(EDGES),
});

export const shapeSchema = z.discriminatedUnion('kind', [roundShapeSchema, flatShapeSchema]);

export const blankSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  family: z.enum(FAMILIES),
  shape: shapeSchema,
  material: z.enum(MATERIALS),
  wall: z.enum(WALLS),
  /** Skin of a vacuum wall, wall of a cup, thickness of a plate. */
  wallMm: mmSchema(0.2, 60),
  coating: z.strictObject({ colour: colourSchema, finish: z.enum(FINISHES), stock: z.enum(STOCKS) }),
  takeOff: z.array(lineSchema).check(z.maxLength(12)),
  film: z.boolean(),
  cautions: z.array(lineSchema).check(z.maxLength(8)),
  finish: z.array(lineSchema).check(z.maxLength(12)),
  /** Parts a finished piece needs that the blank does not bring. */
  needs: z.array(lineSchema).check(z.maxLength(8)),
  /** What one costs as bought, in hundredths of the shop's currency; null where nobody said. */
  costCents: z.nullable(z.int().check(z.gte(0), z.lte(10_000_000))),
  /** Who it is bought from; '' where that is not known. */
  supplier: z.string().check(z.maxLength(80)),
});

export type Blank = z.infer<typeof blankSchema>;
export type WallSection = z.infer<typeof wallSectionSchema>;
export type Handle = z.infer<typeof handleSchema>;
export type ExclusionZone = z.infer<typeof exclusionZoneSchema>;
export type RoundShape = z.infer<typeof roundShapeSchema>;
export type FlatShape = z.infer<typeof flatShapeSchema>;
export type FlatOutline = z.infer<typeof flatOutlineSchema>;
export type Hole = z.infer<typeof holeSchema>;
export type RoundBlank = Blank & { readonly shape: RoundShape };
export type FlatBlank = Blank & { readonly shape: FlatShape };

export const isRound = (b: Blank): b is RoundBlank => b.shape.kind === 'round';
export const isFlat = (b: Blank): b is FlatBlank => b.shape.kind === 'flat';

/** Barrels no wider than this are wound, not wrapped, mm. */
const BARREL_TO_MM = 20;

/** A pen or pencil barrel: open at both ends and slim. */
export const isBarrel = ({ shape }: Blank): boolean =>
  shape.kind === 'round' &&
  shape.openEnds &&
  Math.max(...shape.sections.map((s) => s.diameterMm)) <= BARREL_TO_MM;

export const isHandled = ({ shape }: Blank): boolean => shape.kind === 'round' && shape.handle !== null;
