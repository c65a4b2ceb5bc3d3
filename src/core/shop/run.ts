import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { blankSchema } from './blank';
import { idSchema, momentSchema } from './common';
import { FAULT_IDS } from './faultIds';
import { heatSettingsSchema } from './heatSettings';
import { loadSchema, MOST_AT_ONCE } from './load';
import { operationIdSchema, operationSchema } from './operation';
import { pressSchema, pressureAtSchema } from './press';

/** One piece of a job, from 1, and what the names list called it when it was queued; '' where all are alike. */
export const runPieceSchema = z.strictObject({
  number: z.int().check(z.gte(1), z.lte(100000)),
  name: z.string().check(z.maxLength(120)),
});
export type RunPiece = z.infer<typeof runPieceSchema>;
const loadPiecesSchema = z.array(runPieceSchema).check(z.maxLength(MOST_AT_ONCE));

/** Why a piece was spoiled: what is seen on it, or what befell it before. By the names events keep: never rename one without a migration. */
export const SPOILED_WHY = [...FAULT_IDS, 'dropped', 'bad-blank', 'bad-print', 'not-said'] as const;
export type SpoiledWhy = (typeof SPOILED_WHY)[number];

/** What hands do while a press is closed. */
const BETWEEN = ['taped', 'unwrapped', 'packed'] as const;
export type HandTaskId = (typeof BETWEEN)[number];

/** How a piece with stuck paper came out of its soak. */
const RESCUE_OUTCOMES = ['good', 'second', 'spoiled'] as const;
export type RescueOutcome = (typeof RESCUE_OUTCOMES)[number];

export const personSchema = z
  .string()
  .check(z.minLength(1), z.maxLength(24, rule('fields.most24Characters')));
const moment = { at: momentSchema };
const tapped = { ...moment, operationId: operationIdSchema, by: z.optional(personSchema) };
/** Pieces of the load that begins where this one ends; none where nothing is left to press. Absent in runs that do not know their pieces. */
const next = { next: z.optional(loadPiecesSchema) };

/** What happened at the press, in order. State is folded from these, so a reload loses nothing; a wrong one is answered by another. */
const runEventSchema = z.discriminatedUnion('kind', [
  /** An operation ended, by its id in the list of the run. */
  z.strictObject({ ...tapped, ...next, kind: z.literal('done') }),
  /** A piece was spoiled during an operation: which and why, where it was said. */
  z.strictObject({
    ...tapped,
    ...next,
    kind: z.literal('spoiled'),
    piece: z.optional(z.int().check(z.gte(1), z.lte(100000))),
    why: z.optional(z.enum(SPOILED_WHY)),
    /** What became of it where it is not spoiled for good: good with a flaw, or set to soak with its paper stuck. */
    became: z.optional(z.enum(['second', 'soaking'])),
  }),
  /** A piece that was set to soak came out so. */
  z.strictObject({
    ...moment,
    kind: z.literal('rescued'),
    piece: z.int().check(z.gte(1), z.lte(100000)),
    outcome: z.enum(RESCUE_OUTCOMES),
    by: z.optional(personSchema),
  }),
  /** What was taped up was not right before loading, and was taped again. Moves no step. */
  z.strictObject({ ...tapped, kind: z.literal('retaped') }),
  /** Other pieces go in than were queued. */
  z.strictObject({ ...moment, kind: z.literal('lay'), pieces: loadPiecesSchema.check(z.minLength(1)) }),
  /** The last event that counted is taken back. */
  z.strictObject({ ...moment, kind: z.literal('undo') }),
  /** All of the load in hand is taken back to where it began; at its beginning, all of the load before. */
  z.strictObject({ ...moment, kind: z.literal('undo-load') }),
  /** So many pieces were taped up, unwrapped or packed; fewer than none corrects a count. Moves no step. */
  z.strictObject({
    ...moment,
    kind: z.literal('between'),
    what: z.enum(BETWEEN),
    count: z.int().check(z.gte(-1000), z.lte(1000)),
    by: z.optional(personSchema),
  }),
  z.strictObject({ ...moment, kind: z.literal('stop') }),
  /** What the display of the press read: at its lowest after closing, or back at its set temperature. Moves no step. */
  z.strictObject({
    ...moment,
    kind: z.literal('reading'),
    what: z.enum(['lowest', 'back']),
    operationId: operationIdSchema,
    readC: z.number().check(z.gte(20), z.lte(300)),
  }),
]);
export type RunEvent = z.infer<typeof runEventSchema>;

const secondsSchema = z.number().check(z.gte(0), z.lte(1_000_000));
/** Doses where a pass stays closed so much longer or shorter than set, s at 200 °C. */
const overPointSchema = z.strictObject({
  overS: z.number().check(z.gte(-10_000), z.lte(10_000)),
  leastS: secondsSchema,
  mostS: secondsSchema,
});
/** What the heat model said when the run began, so that a pass opened early or late can be judged at once. Doses in s at 200 °C. */
const runDoseSchema = z.strictObject({
  neededS: secondsSchema,
  limitS: secondsSchema,
  first: z.array(overPointSchema).check(z.minLength(2), z.maxLength(20)),
  later: z.array(overPointSchema).check(z.minLength(2), z.maxLength(20)),
});
export type RunDose = z.infer<typeof runDoseSchema>;

const MOST_PIECES = 100_000;

export const runSchema = z.strictObject({
  id: idSchema,
  jobId: idSchema,
  startedAt: momentSchema,
  /** Pieces this run was begun for. */
  pieces: z.int().check(z.gte(1), z.lte(MOST_PIECES)),
  /** Which they are, in the order they go in; null in runs of before pieces were distinguished. Another press may take some of them. */
  queue: z.nullable(z.array(runPieceSchema).check(z.minLength(1), z.maxLength(MOST_PIECES))),
  /** Blanks that lay ready when it was begun; null where nobody counted. */
  blanks: z.nullable(z.int().check(z.gte(0), z.lte(MOST_PIECES))),
  dose: z.nullable(runDoseSchema),
  /** Copied at the start: editing the job or the shop never moves a running clock or a count. */
  settings: heatSettingsSchema,
  /** What the press showed of its pressure when the run began; null where it has no scale or it was not noted. */
  pressureAt: z.nullable(pressureAtSchema),
  /** Pieces that go in together, and how; null for one by one. */
  load: z.nullable(loadSchema),
  blank: blankSchema,
  press: pressSchema,
  /** What is done to each piece. A change of the code that makes such lists changes nothing here. */
  operations: z.array(operationSchema).check(z.minLength(1), z.maxLength(200)),
  events: z.array(runEventSchema).check(z.maxLength(100000)),
});
export type Run = z.infer<typeof runSchema>;
