import '../basics/zodSetup';
import * as z from 'zod/mini';

/**
 * What is done to a piece, as data. A list of operations is made once, from settings, blank and press; a run keeps the list it was begun with,
 * so a change of this code never changes a run. Ids and kinds are stored: never rename one without a migration.
 */
const OPERATION_KINDS = [
  // Before the first piece.
  'set-pressure',
  'set-temperature',
  'warm-spare',
  'heat-oven',
  // To every piece before it goes in.
  'take-off',
  'peel-film',
  'clean',
  'clean-alcohol',
  'clean-dry-cloth',
  'clean-lint-roller',
  'dry',
  'fold-in',
  'tack-both-faces',
  'tack-paper',
  'lay-face-down',
  'hold-edges',
  'wrap-edges',
  'wrap',
  'pull-tails',
  'cut-at-edge',
  'lap-ends',
  'wind-tape',
  'leave-tails',
  'tape-ends',
  'tape-seam',
  'tape-rims',
  'tape-rims-lifting',
  'pull-over',
  'waste-paper',
  // At the press.
  'load',
  'turn',
  'settle',
  'turn-over',
  'cool-down',
  'close',
  'reach-temperature',
  'press',
  'peel',
  'set-down',
  // Afterwards, by itself.
  'cooling',
  'peel-from',
] as const;
export type OperationKind = (typeof OPERATION_KINDS)[number];

/** What an operation occupies. While it is neither, hands are free. */
export const RESOURCES = ['hands', 'press', 'oven', 'waiting', 'cooling place'] as const;
export type Resource = (typeof RESOURCES)[number];

/** Once a run; to every piece before it goes in; step by step at the press; afterwards, by itself. */
const STAGES = ['set-up', 'prepare', 'press', 'after'] as const;
export type Stage = (typeof STAGES)[number];

const SUPPLIES = ['blank', 'print', 'waste paper', 'tape', 'spray tack', 'shrink film'] as const;
export type Supply = (typeof SUPPLIES)[number];

export const operationIdSchema = z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/));
const secondsSchema = z.number().check(z.gte(0), z.lte(1_000_000));
const degreesSchema = z.number().check(z.gte(-360), z.lte(360));

export const operationSchema = z.strictObject({
  id: operationIdSchema,
  stage: z.enum(STAGES),
  kind: z.enum(OPERATION_KINDS),
  resource: z.enum(RESOURCES),
  /** Usual duration, s, and the range nine in ten fall into. */
  plannedS: secondsSchema,
  spreadS: z.tuple([secondsSchema, secondsSchema]),
  /** The set time of the press ends it; otherwise a person says when it is done. */
  timed: z.boolean(),
  needs: z.strictObject({
    /** What the press or oven must read, °C. */
    temperatureC: z.nullable(z.number()),
    /** Pass it belongs to, from 1. */
    pass: z.nullable(z.int().check(z.gte(1), z.lte(12))),
    /** How far the blank is turned by it, and how far it has been turned in all, degrees. */
    turnDeg: z.nullable(degreesSchema),
    turnedDeg: degreesSchema,
    face: z.nullable(z.enum(['front', 'back', 'both'])),
    /** The part of the blank it is about, in the shop's own words. */
    part: z.nullable(z.string().check(z.maxLength(160))),
  }),
  /** What it uses up, a piece. */
  uses: z
    .array(z.strictObject({ what: z.enum(SUPPLIES), count: z.number().check(z.gt(0), z.lte(100)) }))
    .check(z.maxLength(8)),
});
export type Operation = z.infer<typeof operationSchema>;

/** Usual share of the planned time that nine in ten shops need, least and most: our own estimate until a shop has times of its own. */
const SPREAD = [0.8, 1.4] as const;

type Given = Pick<Operation, 'id' | 'stage' | 'kind' | 'resource' | 'plannedS'> &
  Partial<Pick<Operation, 'timed' | 'uses' | 'spreadS'>> & { readonly needs?: Partial<Operation['needs']> };

/** An operation with what it does not say left open. A timed one takes its set time and no other. */
export const operation = ({ needs, timed = false, uses = [], ...given }: Given): Operation => ({
  ...given,
  spreadS:
    given.spreadS ??
    (timed ? [given.plannedS, given.plannedS] : [given.plannedS * SPREAD[0], given.plannedS * SPREAD[1]]),
  timed,
  needs: { temperatureC: null, pass: null, turnDeg: null, turnedDeg: 0, face: null, part: null, ...needs },
  uses,
});

export const ofStage = (operations: readonly Operation[], stage: Stage): readonly Operation[] =>
  operations.filter((o) => o.stage === stage);

/** Planned time of some operations, s; of one resource only where it is named. */
export const plannedS = (operations: readonly Operation[], resource?: Resource): number =>
  operations.reduce((s, o) => (resource === undefined || o.resource === resource ? s + o.plannedS : s), 0);

/** The same, least and most, s: operations end to end, each at the same end of its range. */
export const spreadS = (operations: readonly Operation[]): readonly [number, number] => [
  operations.reduce((s, o) => s + o.spreadS[0], 0),
  operations.reduce((s, o) => s + o.spreadS[1], 0),
];

/** What a piece uses up, by supply. */
export function suppliesOf(operations: readonly Operation[]): Readonly<Partial<Record<Supply, number>>> {
  const used: Partial<Record<Supply, number>> = {};
  for (const { what, count } of operations.flatMap((o) => o.uses)) used[what] = (used[what] ?? 0) + count;
  return used;
}
