import * as z from 'zod';
import { colourSchema, daySchema, idSchema, mmSchema, nameSchema, noteSchema } from '../shop/common';
import { MIRROR_BY, SCHOOLS } from '../shop/settings';
import { markSchema, PAPER_STATES, VERDICTS } from '../shop/records';
import { heatSettingsSchema } from '../heat/settings';
import { FONT_IDS } from '../art/fonts';

export const METHODS = ['soft tape', 'paper strip', 'caliper', 'steel rule'] as const;
export type Method = (typeof METHODS)[number];
export const PLACES = ['girthTop', 'girthFoot', 'wall'] as const;
export type Place = (typeof PLACES)[number];

/** A reading keeps what was written. `bareUnit` is fixed when typed, so switching units never changes a reading. */
export const readingSchema = z.strictObject({
  id: idSchema,
  text: z.string().min(1).max(40),
  bareUnit: z.enum(['mm', 'in']),
  method: z.enum(METHODS),
});
export type Reading = z.infer<typeof readingSchema>;

export const pictureRefSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(120),
  mime: z.enum(['image/png', 'image/jpeg']),
  /** Size as seen, after the file's own orientation has been applied. */
  widthPx: z.number().int().min(1).max(40000),
  heightPx: z.number().int().min(1).max(40000),
  /** EXIF orientation, 1..8. */
  orientation: z.number().int().min(1).max(8),
  /** Drawn by the application from a seed; null for a picture brought in. */
  drawn: z.strictObject({ scene: z.enum(['star chart', 'comet', 'moon band']), seed: z.number().int() }).nullable(),
});
export type PictureRef = z.infer<typeof pictureRefSchema>;

/** Where the picture sits, relative to cover or fit, so it follows the wrap when that is measured again. */
export const placementSchema = z.strictObject({
  base: z.enum(['cover', 'fit']),
  scale: z.number().min(0.02).max(50),
  dxMm: z.number().min(-2000).max(2000),
  dyMm: z.number().min(-2000).max(2000),
  turnDeg: z.number().min(-360).max(360),
});
export type Placement = z.infer<typeof placementSchema>;

/** Words set on the picture. x and y of the middle of the words, mm from the middle of the trimmed wrap. */
export const wordsSchema = z.strictObject({
  text: z.string().min(1).max(60),
  font: z.enum(FONT_IDS),
  capHeightMm: mmSchema(1, 120),
  dxMm: z.number().min(-1000).max(1000),
  dyMm: z.number().min(-1000).max(1000),
  colour: colourSchema,
});
export type Words = z.infer<typeof wordsSchema>;

export const lookDraftSchema = z.strictObject({
  marks: z.array(markSchema).max(200),
  paperState: z.enum(PAPER_STATES).nullable(),
  verdict: z.enum(VERDICTS).nullable(),
  good: z.number().int().min(0).max(100000).nullable(),
  spoiled: z.number().int().min(0).max(100000).nullable(),
  note: noteSchema,
});

/**
 * What the person decided about one job. Nothing derived is kept here; null means "the house way".
 */
export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  pieces: z.number().int().min(1, 'At least one piece.').max(10000, 'At most 10,000 pieces.'),
  dueOn: daySchema.nullable(),
  note: noteSchema,
  blankId: idSchema.nullable(),
  prepared: z.array(z.string().max(160)).max(20),
  readings: z.strictObject({
    girthTop: z.array(readingSchema).max(20),
    girthFoot: z.array(readingSchema).max(20),
    wall: z.array(readingSchema).max(20),
  }),
  wrap: z.strictObject({
    school: z.enum(SCHOOLS).nullable(),
    topSetbackMm: mmSchema(0, 200).nullable(),
    footSetbackMm: mmSchema(0, 200).nullable(),
    /** Per school: margin each end, lap, over or gap. */
    amountMm: mmSchema(0, 200).nullable(),
    lapOver: z.enum(['left', 'right']),
    bleedMm: mmSchema(0, 15).nullable(),
    safeMm: mmSchema(0, 30).nullable(),
  }),
  art: z.strictObject({
    picture: pictureRefSchema.nullable(),
    placement: placementSchema,
    words: wordsSchema.nullable(),
  }),
  sheet: z.strictObject({
    paperId: idSchema.nullable(),
    gapMm: mmSchema(0, 50),
    mirrorBy: z.enum(MIRROR_BY).nullable(),
  }),
  pressId: idSchema.nullable(),
  heat: heatSettingsSchema.partial(),
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
    readings: { girthTop: [], girthFoot: [], wall: [] },
    wrap: {
      school: null,
      topSetbackMm: null,
      footSetbackMm: null,
      amountMm: null,
      lapOver: 'right',
      bleedMm: null,
      safeMm: null,
    },
    art: { picture: null, placement: START_PLACEMENT, words: null },
    sheet: { paperId: null, gapMm: 4, mirrorBy: null },
    pressId: null,
    heat: {},
    look: EMPTY_LOOK,
  };
}
