import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema } from './common';
import { FAULT_IDS, PAPER_FAULT_IDS, type FaultId } from './faultIds';

/** Face coordinates: mm from the top left of the trimmed face, as it is seen. */
const alongSchema = z.number().check(z.gte(-50), z.lte(2600));
const facePointSchema = z.strictObject({ xMm: alongSchema, yMm: alongSchema });
export type FacePoint = z.infer<typeof facePointSchema>;

const EDGES = ['top', 'foot', 'left', 'right'] as const;
export type MarkEdge = (typeof EDGES)[number];

/** Where a fault lies on the face: a point, a line, one edge, an area, or all of it. */
const placeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('point'), ...facePointSchema.shape }),
  z.strictObject({
    kind: z.literal('line'),
    points: z.array(facePointSchema).check(z.minLength(2, rule('fields.lineHasTwoEnds')), z.maxLength(60)),
  }),
  z.strictObject({ kind: z.literal('edge'), edge: z.enum(EDGES) }),
  z.strictObject({
    kind: z.literal('area'),
    points: z
      .array(facePointSchema)
      .check(z.minLength(3, rule('fields.areaHasThreeCorners')), z.maxLength(60)),
  }),
  z.strictObject({ kind: z.literal('all') }),
]);
export type MarkPlace = z.infer<typeof placeSchema>;

/** One thing seen on the piece, or on the paper it was pressed with: the fault says which of the two. */
export const markSchema = z.strictObject({
  id: idSchema,
  fault: z.enum([...FAULT_IDS, ...PAPER_FAULT_IDS]),
  severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  /** Face of a flat blank; a wrap has its front only. */
  side: z.enum(['front', 'back']),
  /** Number of the piece in its job; null where nobody said. */
  piece: z.nullable(z.int().check(z.gte(1), z.lte(100000))),
  place: placeSchema,
});
export type Mark = z.infer<typeof markSchema>;

const shareSchema = z.number().check(z.gte(-1), z.lte(2));
/** A photograph of the piece or of its used paper. */
export const photoSchema = z.strictObject({
  id: idSchema,
  mime: z.enum(['image/jpeg', 'image/png', 'image/webp']),
  of: z.enum(['piece', 'paper']),
  widthPx: z.int().check(z.gte(1), z.lte(20000)),
  heightPx: z.int().check(z.gte(1), z.lte(20000)),
  /** Where the four corners of the face lie in the photograph, from its top left clockwise: shares of its width and height. */
  corners: z.array(z.strictObject({ u: shareSchema, v: shareSchema })).check(z.minLength(4), z.maxLength(4)),
});
export type Photo = z.infer<typeof photoSchema>;
export const MOST_PHOTOS = 6;

/** The faults marked on a piece, each once: what its causes are counted with. */
export const faultsOf = (marks: readonly Mark[]): readonly FaultId[] =>
  FAULT_IDS.filter((f) => marks.some((m) => m.fault === f));
