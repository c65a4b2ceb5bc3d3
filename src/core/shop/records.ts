import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, mmSchema, momentSchema, noteSchema } from './common';
import { CAUSE_IDS } from './faultIds';
import { heatSettingsSchema } from './heatSettings';
import { loadSchema } from './load';
import { markSchema, MOST_PHOTOS, photoSchema } from './mark';
import { personSchema } from './run';
import { pressureAtSchema } from './press';

export const PAPER_STATES = ['even', 'left-all', 'left-in-places', 'browned'] as const;
export type PaperState = (typeof PAPER_STATES)[number];
export const VERDICTS = ['good', 'under', 'over', 'other'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Settings the shop keeps as proven for a blank on a press. How many pieces stand behind it is counted from the log. */
export const recipeSchema = z.strictObject({
  id: idSchema,
  blankId: idSchema,
  pressId: idSchema,
  settings: heatSettingsSchema,
  /** How the pieces lay; null where it was not written down. */
  load: z.nullable(loadSchema),
  /** What the press showed of its pressure: a number, turns, a notch, or a gap in mm; null where it was not noted. */
  pressureAt: z.nullable(pressureAtSchema),
  keptAt: momentSchema,
});
export type Recipe = z.infer<typeof recipeSchema>;

/** What was asked when the cause was sought, and what was answered. Names today's code does not know are kept and passed over. */
export const replySchema = z.strictObject({ question: idSchema, answer: idSchema });
export type Reply = z.infer<typeof replySchema>;

/** The face that was looked at, and how it is drawn: rings in mm, the outline first, then what is cut out of it. */
const seenFaceSchema = z.strictObject({
  form: z.enum(['wrap', 'sector', 'flat']),
  widthMm: mmSchema(1, 2600),
  heightMm: mmSchema(1, 2600),
  rings: z
    .array(z.array(z.tuple([z.number(), z.number()])).check(z.minLength(3), z.maxLength(240)))
    .check(z.maxLength(16)),
});
export type SeenFace = z.infer<typeof seenFaceSchema>;

/** Where pieces lay: the affine map of each from face mm to mm of platen or mat, from its back left or its left end and top. */
const laySchema = z.strictObject({
  on: z.enum(['platen', 'mat', 'rack']),
  widthMm: mmSchema(1, 3000),
  heightMm: mmSchema(1, 3000),
  pieces: z
    .array(
      z.strictObject({
        piece: z.nullable(z.int().check(z.gte(1), z.lte(100000))),
        to: z.tuple([z.number(), z.number(), z.number(), z.number(), z.number(), z.number()]),
      }),
    )
    .check(z.maxLength(300)),
});
export type Lay = z.infer<typeof laySchema>;

/** A figure of the plan as it stood: what it was and what it read, in base units. */
const stoodSchema = z.strictObject({
  /** A message by its id and values, as JSON; plain text in entries of before version 11. */
  label: z.string().check(z.maxLength(400)),
  kind: z.enum(['length', 'temperature', 'duration', 'angle', 'ratio', 'resolution', 'word']),
  value: z.union([z.number(), z.string().check(z.maxLength(400))]),
});
export type Stood = z.infer<typeof stoodSchema>;

/** What was done and what came of it. Never edited: a wrong entry is answered by another. */
export const logEntrySchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  /** The entry this one answers: that one no longer counts. */
  corrects: z.nullable(idSchema),
  jobId: idSchema,
  jobName: z.string().check(z.maxLength(80)),
  blankId: idSchema,
  blankName: z.string().check(z.maxLength(80)),
  pressId: idSchema,
  pressName: z.string().check(z.maxLength(80)),
  by: z.nullable(personSchema),
  settings: heatSettingsSchema,
  load: z.nullable(loadSchema),
  /** Mean of the passes by the clock, s; null where no run was kept. */
  keptDwellS: z.nullable(z.number().check(z.gte(0), z.lte(100000))),
  verdict: z.enum(VERDICTS),
  paperState: z.enum(PAPER_STATES),
  good: z.int().check(z.gte(0), z.lte(100000)),
  /** Good with a flaw: sold for less, and not counted among the good ones. */
  seconds: z.int().check(z.gte(0), z.lte(100000)),
  spoiled: z.int().check(z.gte(0), z.lte(100000)),
  /** What the spoiled ones cost in blanks, in hundredths of the shop's currency; null where the blank had no price. */
  spoiledCostCents: z.nullable(z.int().check(z.gte(0), z.lte(1_000_000_000))),
  marks: z.array(markSchema).check(z.maxLength(200)),
  replies: z.array(replySchema).check(z.maxLength(40)),
  /** The cause the shop settled on; null where it did not. */
  cause: z.nullable(z.enum(CAUSE_IDS)),
  /** The cause whose one change was tried in this pressing. */
  tried: z.nullable(z.enum(CAUSE_IDS)),
  paperName: z.string().check(z.maxLength(80)),
  printerName: z.string().check(z.maxLength(80)),
  /** The ink in that printer. */
  inkName: z.string().check(z.maxLength(80)),
  /** Who the blank was bought from. */
  supplier: z.string().check(z.maxLength(80)),
  lot: z.string().check(z.maxLength(40)),
  face: z.nullable(seenFaceSchema),
  lay: z.nullable(laySchema),
  photos: z.array(photoSchema).check(z.maxLength(MOST_PHOTOS)),
  stood: z.array(stoodSchema).check(z.maxLength(60)),
  note: noteSchema,
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** What an entry holds where nobody said more than settings, verdict and counts. */
export const BARE_ENTRY = {
  corrects: null,
  by: null,
  seconds: 0,
  keptDwellS: null,
  spoiledCostCents: null,
  marks: [],
  replies: [],
  cause: null,
  tried: null,
  paperName: '',
  printerName: '',
  inkName: '',
  supplier: '',
  lot: '',
  face: null,
  lay: null,
  photos: [],
  stood: [],
  note: '',
} satisfies Partial<LogEntry>;
