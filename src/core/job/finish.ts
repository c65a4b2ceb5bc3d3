import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { mmSchema } from '../shop/common';

/** Printed labels: a sheet of so many, and what stands on each. */
const labelsSchema = z.strictObject({
  columns: z.int().check(z.gte(1, rule('fields.leastOneColumn')), z.lte(12, rule('fields.most12Columns'))),
  rows: z.int().check(z.gte(1, rule('fields.leastOneRow')), z.lte(30, rule('fields.most30Rows'))),
  widthMm: mmSchema(10, 210),
  heightMm: mmSchema(6, 297),
  leftMm: mmSchema(0, 100),
  topMm: mmSchema(0, 100),
  gapXMm: mmSchema(0, 40),
  gapYMm: mmSchema(0, 40),
  /** Labels already taken from the first sheet. */
  taken: z.int().check(z.gte(0), z.lte(359)),
  text: z.string().check(z.maxLength(400, rule('fields.keepLabelUnder400'))),
  /** Whether the maker's sheet of the blank says what the text claims of dishwashers or food. */
  makerSays: z.boolean(),
});
export type Labels = z.infer<typeof labelsSchema>;

/** What is decided and done after the press. */
export const finishSchema = z.strictObject({
  /** Finishing steps checked off, by their ids. */
  done: z.array(z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,63}$/))).check(z.maxLength(60)),
  /** Pieces packed away from the press; those packed there are counted by its runs. */
  packed: z.int().check(z.gte(0, rule('fields.fewerThanNone')), z.lte(100_000)),
  hanger: z.strictObject({
    /** Across the holder, and between two; null for the calculated number of hangers. */
    count: z.nullable(z.union([z.literal(1), z.literal(2)])),
    widthMm: mmSchema(5, 200),
    heightMm: mmSchema(3, 200),
    /** Least distance from any edge. */
    edgeMm: mmSchema(0, 100),
    /** Height of the hanging point below the top of the piece; null for the calculated one. */
    fromTopMm: z.nullable(mmSchema(0, 1300)),
  }),
  labels: labelsSchema,
});
export type Finish = z.infer<typeof finishSchema>;

export const NOT_FINISHED: Finish = {
  done: [],
  packed: 0,
  hanger: { count: null, widthMm: 40, heightMm: 30, edgeMm: 15, fromTopMm: null },
  labels: {
    columns: 3,
    rows: 8,
    widthMm: 63.5,
    heightMm: 33.9,
    leftMm: 7.2,
    topMm: 12.9,
    gapXMm: 2.5,
    gapYMm: 0,
    taken: 0,
    text: '',
    makerSays: false,
  },
};
