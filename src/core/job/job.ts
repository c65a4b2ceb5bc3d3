import '../zodSetup';
import * as z from 'zod/mini';
import { colourSchema, daySchema, idSchema, mmSchema, nameSchema, noteSchema } from '../shop/common';
import { HOLDS, MIRROR_BY, SCHOOLS } from '../shop/settings';
import { markSchema, PAPER_STATES, VERDICTS } from '../shop/records';
import { heatSettingsSchema } from '../heat/settings';
import { FONT_IDS } from '../art/fonts';

export const METHODS = [
  'soft tape',
  'paper strip',
  'caliper',
  'string',
  'steel rule',
  'maker’s figure',
] as const;
export type Method = (typeof METHODS)[number];
/** Places every job has room for; a blank uses those it has. */
export const PLACES = ['girthTop', 'girthFoot', 'wall', 'handle', 'width', 'height'] as const;
export type Place = (typeof PLACES)[number];

/** A reading keeps what was written. `bareUnit` is fixed when typed, so switching units never changes a reading. */
export const readingSchema = z.strictObject({
  id: idSchema,
  text: z.string().check(z.minLength(1), z.maxLength(40)),
  bareUnit: z.enum(['mm', 'in']),
  method: z.enum(METHODS),
});
export type Reading = z.infer<typeof readingSchema>;
const readingsSchema = z.array(readingSchema).check(z.maxLength(20));

/** A girth taken at a height of the person's choosing. */
export const stationSchema = z.strictObject({
  id: idSchema,
  fromRimMm: mmSchema(0, 400),
  readings: readingsSchema,
});

export const WRAP_FORMS = ['rectangle', 'cone'] as const;
export type WrapForm = (typeof WRAP_FORMS)[number];
export const FOLDS = ['left', 'right', 'top'] as const;
export type Fold = (typeof FOLDS)[number];
export const FACE_WAYS = ['together', 'one then the other', 'front only'] as const;
export type FaceWay = (typeof FACE_WAYS)[number];

export const pictureRefSchema = z.strictObject({
  id: idSchema,
  name: z.string().check(z.minLength(1), z.maxLength(120)),
  mime: z.enum(['image/png', 'image/jpeg']),
  /** Size as seen, after the file's own orientation has been applied. */
  widthPx: z.int().check(z.gte(1), z.lte(40000)),
  heightPx: z.int().check(z.gte(1), z.lte(40000)),
  /** EXIF orientation, 1..8. */
  orientation: z.int().check(z.gte(1), z.lte(8)),
  /** Drawn by the application from a seed; null for a picture brought in. */
  drawn: z.nullable(z.strictObject({ scene: z.enum(['star chart', 'comet', 'moon band']), seed: z.int() })),
});
export type PictureRef = z.infer<typeof pictureRefSchema>;

/** Where the picture sits, relative to cover or fit, so it follows the wrap when that is measured again. */
export const placementSchema = z.strictObject({
  base: z.enum(['cover', 'fit']),
  scale: z.number().check(z.gte(0.02), z.lte(50)),
  dxMm: z.number().check(z.gte(-2000), z.lte(2000)),
  dyMm: z.number().check(z.gte(-2000), z.lte(2000)),
  turnDeg: z.number().check(z.gte(-360), z.lte(360)),
});
export type Placement = z.infer<typeof placementSchema>;

/** Words set on the picture. x and y of the middle of the words, mm from the middle of the trimmed wrap. */
export const wordsSchema = z.strictObject({
  text: z.string().check(z.minLength(1), z.maxLength(60)),
  font: z.enum(FONT_IDS),
  capHeightMm: mmSchema(1, 120),
  dxMm: z.number().check(z.gte(-1000), z.lte(1000)),
  dyMm: z.number().check(z.gte(-1000), z.lte(1000)),
  colour: colourSchema,
});
export type Words = z.infer<typeof wordsSchema>;

export const lookDraftSchema = z.strictObject({
  marks: z.array(markSchema).check(z.maxLength(200)),
  paperState: z.nullable(z.enum(PAPER_STATES)),
  verdict: z.nullable(z.enum(VERDICTS)),
  good: z.nullable(z.int().check(z.gte(0), z.lte(100000))),
  spoiled: z.nullable(z.int().check(z.gte(0), z.lte(100000))),
  note: noteSchema,
});

/**
 * What the person decided about one job. Nothing derived is kept here; null means "the house way".
 */
export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  pieces: z.int().check(z.gte(1, 'At least one piece.'), z.lte(10000, 'At most 10,000 pieces.')),
  dueOn: z.nullable(daySchema),
  note: noteSchema,
  blankId: z.nullable(idSchema),
  prepared: z.array(z.string().check(z.maxLength(160))).check(z.maxLength(20)),
  readings: z.strictObject({
    girthTop: readingsSchema,
    girthFoot: readingsSchema,
    wall: readingsSchema,
    handle: readingsSchema,
    width: readingsSchema,
    height: readingsSchema,
  }),
  stations: z.array(stationSchema).check(z.maxLength(22)),
  wrap: z.strictObject({
    school: z.nullable(z.enum(SCHOOLS)),
    form: z.nullable(z.enum(WRAP_FORMS)),
    hold: z.nullable(z.enum(HOLDS)),
    topSetbackMm: z.nullable(mmSchema(0, 390)),
    footSetbackMm: z.nullable(mmSchema(0, 390)),
    /** Heights below the rim the paper covers on a shaped wall; null for the tallest that lies flat. */
    band: z.nullable(z.strictObject({ topMm: mmSchema(0, 400), footMm: mmSchema(0, 400) })),
    /** Per school: margin each end, lap, over or gap. */
    amountMm: z.nullable(mmSchema(0, 200)),
    lapOver: z.enum(['left', 'right']),
    /** Where the seam runs, degrees to the right of the front; null at the back, opposite it. */
    seamDeg: z.nullable(z.number().check(z.gte(-180), z.lte(180))),
    bleedMm: z.nullable(mmSchema(0, 15)),
    bleedRimMm: z.nullable(mmSchema(0, 15)),
    bleedFootMm: z.nullable(mmSchema(0, 15)),
    bleedEndsMm: z.nullable(mmSchema(0, 15)),
    safeMm: z.nullable(mmSchema(0, 30)),
    /** An edge left plain and uncut, to hold the paper by. */
    grip: z.nullable(z.enum(['rim', 'foot'])),
    /** The person's own pencil marks, mm along the wrap from its left end. */
    marks: z
      .array(z.strictObject({ id: idSchema, alongMm: z.number().check(z.gte(0), z.lte(1300)) }))
      .check(z.maxLength(6)),
    /** Flat blanks: bleed past the edge only, or paper folded over edge and back. */
    edge: z.nullable(z.enum(['bleed', 'parcel'])),
    turnInMm: z.nullable(mmSchema(0, 60)),
    fold: z.enum(FOLDS),
    faces: z.enum(FACE_WAYS),
  }),
  art: z.strictObject({
    picture: z.nullable(pictureRefSchema),
    placement: placementSchema,
    words: z.nullable(wordsSchema),
  }),
  sheet: z.strictObject({
    paperId: z.nullable(idSchema),
    gapMm: mmSchema(0, 50),
    mirrorBy: z.nullable(z.enum(MIRROR_BY)),
  }),
  pressId: z.nullable(idSchema),
  heat: z.partial(heatSettingsSchema),
  look: lookDraftSchema,
});
export type Job = z.infer<typeof jobSchema>;

export const START_PLACEMENT: Placement = { base: 'cover', scale: 1, dxMm: 0, dyMm: 0, turnDeg: 0 };
export const EMPTY_LOOK: Job['look'] = {
  marks: [],
  paperState: null,
  verdict: null,
  good: null,
  spoiled: null,
  note: '',
};

/** A fresh job with nothing decided. */
export function newJob(id: string, name: string): Job {
  return {
    id,
    name,
    pieces: 1,
    dueOn: null,
    note: '',
    blankId: null,
    prepared: [],
    readings: { girthTop: [], girthFoot: [], wall: [], handle: [], width: [], height: [] },
    stations: [],
    wrap: {
      school: null,
      form: null,
      hold: null,
      topSetbackMm: null,
      footSetbackMm: null,
      band: null,
      amountMm: null,
      lapOver: 'right',
      seamDeg: null,
      bleedMm: null,
      bleedRimMm: null,
      bleedFootMm: null,
      bleedEndsMm: null,
      safeMm: null,
      grip: null,
      marks: [],
      edge: null,
      turnInMm: null,
      fold: 'left',
      faces: 'together',
    },
    art: { picture: null, placement: START_PLACEMENT, words: null },
    sheet: { paperId: null, gapMm: 4, mirrorBy: null },
    pressId: null,
    heat: {},
    look: EMPTY_LOOK,
  };
}
