import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, momentSchema, noteSchema } from './common';
import { blankSchema } from './blank';
import { pressSchema } from './press';
import { heatSettingsSchema } from './heatSettings';
import { loadSchema } from './load';
import { operationIdSchema, operationSchema } from './operation';
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

const eventBase = { at: momentSchema };
/** What happened at the press, in order. State is folded from these, so a reload loses nothing. */
const runEventSchema = z.discriminatedUnion('kind', [
  /** An operation ended, by its id in the list of the run. */
  z.strictObject({ ...eventBase, kind: z.literal('done'), operationId: operationIdSchema }),
  /** The piece was lost during an operation. */
  z.strictObject({ ...eventBase, kind: z.literal('spoiled'), operationId: operationIdSchema }),
  /** The last event that counted is taken back. */
  z.strictObject({ ...eventBase, kind: z.literal('undo') }),
  z.strictObject({ ...eventBase, kind: z.literal('stop') }),
  /** What the display of the press read: at its lowest after closing, or back at its set temperature. Moves no step. */
  z.strictObject({
    ...eventBase,
    kind: z.literal('reading'),
    what: z.enum(['lowest', 'back']),
    operationId: operationIdSchema,
    readC: z.number().check(z.gte(20), z.lte(300)),
  }),
]);
export type RunEvent = z.infer<typeof runEventSchema>;

export const runSchema = z.strictObject({
  id: idSchema,
  jobId: idSchema,
  startedAt: momentSchema,
  pieces: z.int().check(z.gte(1), z.lte(100000)),
  /** Copied at the start: editing the job or the shop never moves a running clock or a count. */
  settings: heatSettingsSchema,
  /** Pieces that go in together, and how; null for one by one. */
  load: z.nullable(loadSchema),
  blank: blankSchema,
  press: pressSchema,
  /** What is done to each piece. A change of the code that makes such lists changes nothing here. */
  operations: z.array(operationSchema).check(z.minLength(1), z.maxLength(200)),
  events: z.array(runEventSchema).check(z.maxLength(100000)),
});
export type Run = z.infer<typeof runSchema>;
