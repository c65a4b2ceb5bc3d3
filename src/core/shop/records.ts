import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, momentSchema, noteSchema } from './common';
import { heatSettingsSchema } from './heatSettings';
import { loadSchema } from './load';
import { FAULT_IDS } from './faultIds';

export const PAPER_STATES = ['even', 'left-all', 'left-in-places', 'browned'] as const;
export const VERDICTS = ['good', 'under', 'over', 'other'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A fault seen on the unrolled face. x, y in mm from the top left of the trimmed wrap, face up. */
export const markSchema = z.strictObject({
  id: idSchema,
  fault: z.enum(FAULT_IDS),
  xMm: z.number().check(z.gte(-50), z.lte(1200)),
  yMm: z.number().check(z.gte(-50), z.lte(1200)),
  severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
});
export type Mark = z.infer<typeof markSchema>;

/** Settings the shop keeps as proven for a blank on a press. How many pieces stand behind it is counted from the log. */
export const recipeSchema = z.strictObject({
  id: idSchema,
  blankId: idSchema,
  pressId: idSchema,
  settings: heatSettingsSchema,
  /** How the pieces lay; null where it was not written down. */
  load: z.nullable(loadSchema),
  keptAt: momentSchema,
});
export type Recipe = z.infer<typeof recipeSchema>;

/** What was done and what came of it. Never edited: a wrong entry is answered by another. */
export const logEntrySchema = z.strictObject({
  id: idSchema,
  at: momentSchema,
  jobId: idSchema,
  jobName: z.string().check(z.maxLength(80)),
  blankId: idSchema,
  blankName: z.string().check(z.maxLength(80)),
  pressId: idSchema,
  pressName: z.string().check(z.maxLength(80)),
  settings: heatSettingsSchema,
  load: z.nullable(loadSchema),
  verdict: z.enum(VERDICTS),
  paperState: z.enum(PAPER_STATES),
  good: z.int().check(z.gte(0), z.lte(100000)),
  spoiled: z.int().check(z.gte(0), z.lte(100000)),
  marks: z.array(markSchema).check(z.maxLength(200)),
  note: noteSchema,
});
export type LogEntry = z.infer<typeof logEntrySchema>;
