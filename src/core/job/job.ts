import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { daySchema, idSchema, mmSchema, momentSchema, nameSchema, noteSchema } from '../shop/common';
import { MIRROR_BY } from '../shop/printer';
import { HOLDS, SEAM_METHODS } from '../shop/settings';
import { CAUSE_IDS } from '../shop/faultIds';
import { markSchema, MOST_PHOTOS, photoSchema } from '../shop/mark';
import { PAPER_STATES, replySchema, VERDICTS } from '../shop/records';
import { heatSettingsSchema } from '../shop/heatSettings';
import { loadSchema } from '../shop/load';
import { runPieceSchema } from '../shop/run';
import { centsSchema } from '../shop/money';
import { practicesSchema } from '../shop/practices';
import { artSchema, NO_ART } from './art';
import { finishSchema, NOT_FINISHED } from './finish';

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
export const PLACES = ['circumferenceTop', 'circumferenceFoot', 'wall', 'handle', 'width', 'height'] as const;
export type Place = (typeof PLACES)[number];

/** A reading keeps what was written. `bareUnit` is fixed when typed, so switching units never changes a reading. */
const readingSchema = z.strictObject({
  id: idSchema,
  text: z.string().check(z.minLength(1), z.maxLength(40)),
  bareUnit: z.enum(['mm', 'in']),
  method: z.enum(METHODS),
});
export type Reading = z.infer<typeof readingSchema>;

/** Pencil marks a wrap can carry. */
export const MOST_MARKS = 6;

const readingsSchema = z.array(readingSchema).check(z.maxLength(20));

/** A circumference taken at a height of the person's choosing. */
const stationSchema = z.strictObject({
  id: idSchema,
  fromRimMm: mmSchema(0, 400),
  readings: readingsSchema,
});

const WRAP_FORMS = ['rectangle', 'cone'] as const;
export type WrapForm = (typeof WRAP_FORMS)[number];
export const FOLDS = ['left', 'right', 'top'] as const;
export type Fold = (typeof FOLDS)[number];
export const FACE_WAYS = ['together', 'one then the other', 'front only'] as const;
export type FaceWay = (typeof FACE_WAYS)[number];

const inspectionSchema = z.strictObject({
  marks: z.array(markSchema).check(z.maxLength(200)),
  paperState: z.nullable(z.enum(PAPER_STATES)),
  verdict: z.nullable(z.enum(VERDICTS)),
  good: z.nullable(z.int().check(z.gte(0), z.lte(100000))),
  /** Good with a flaw. */
  seconds: z.nullable(z.int().check(z.gte(0), z.lte(100000))),
  spoiled: z.nullable(z.int().check(z.gte(0), z.lte(100000))),
  replies: z.array(replySchema).check(z.maxLength(40)),
  cause: z.nullable(z.enum(CAUSE_IDS)),
  /** The cause whose change was tried in this pressing, and the one whose change is set for the next. */
  tried: z.nullable(z.enum(CAUSE_IDS)),
  next: z.nullable(z.enum(CAUSE_IDS)),
  /** What the inspected pieces were pressed with, once settings were changed for the next; null while they stand, and where a run says it. */
  pressed: z.nullable(heatSettingsSchema),
  lot: z.string().check(z.maxLength(40)),
  photos: z.array(photoSchema).check(z.maxLength(MOST_PHOTOS)),
  note: noteSchema,
});

export const LADDER_ON = ['strips', 'rejects', 'blanks'] as const;
/** A test ladder: settings found by pressing test after test at one temperature. */
const ladderSchema = z.strictObject({
  platenC: z.number().check(z.gte(100), z.lte(260)),
  on: z.enum(LADDER_ON),
  /** What was believed of the shortest and longest good dwell when it was begun, as normal distributions of their logarithms. */
  prior: z.strictObject({
    neededLn: z.number().check(z.gte(-3), z.lte(12)),
    neededSd: z.number().check(z.gte(0.01), z.lte(10)),
    limitLn: z.number().check(z.gte(-3), z.lte(12)),
    limitSd: z.number().check(z.gte(0.01), z.lte(10)),
    correlation: z.number().check(z.gte(-0.95), z.lte(0.95)),
    pieceSd: z.number().check(z.gte(0.001), z.lte(2)),
  }),
  rungs: z
    .array(
      z.strictObject({
        at: momentSchema,
        dwellS: z.number().check(z.gte(1), z.lte(7200)),
        answer: z.enum(['under', 'good', 'over']),
      }),
    )
    .check(z.maxLength(30)),
});
export type Ladder = z.infer<typeof ladderSchema>;

/** Where a person put this job in the day: on which presses and from when. It keeps its place when the rest is scheduled again. */
const pinSchema = z.strictObject({ pressId: idSchema, from: momentSchema });
export type Pin = z.infer<typeof pinSchema>;

const daySchemaOfJob = z.strictObject({
  /** Minutes after midnight of the day it is due; null for closing time. */
  dueAtMin: z.nullable(z.int().check(z.gte(0), z.lte(1440))),
  pins: z.array(pinSchema).check(z.maxLength(12)),
  /** Left out of the day: it waits for something. */
  waits: z.boolean(),
});

const SELL_WAYS = ['counter', 'market', 'post'] as const;
const PRICE_FROM = ['margin', 'hour'] as const;
const sellSchema = z.strictObject({
  customer: z.string().check(z.maxLength(120, rule('fields.keepUnder120Letters'))),
  way: z.enum(SELL_WAYS),
  /** Postage and outer box of the whole order. */
  postageCents: centsSchema,
  /** What a market or window keeps; null for the shop's usual share. */
  feePct: z.nullable(z.number().check(z.gte(0), z.lte(60, rule('fields.most60')))),
  priceFrom: z.enum(PRICE_FROM),
  marginPct: z.nullable(z.number().check(z.gte(0), z.lte(90, rule('fields.most90')))),
  /** Price of one decided by the person; null for the calculated one. */
  priceCents: z.nullable(centsSchema),
  /** Price of one that is good with a flaw; null for the shop's usual share of the price. */
  secondCents: z.nullable(centsSchema),
});
export type Sell = z.infer<typeof sellSchema>;

/** How pieces are cut from the sheet: a knife follows any outline, a trimmer cuts from edge to edge. */
const CUTS = ['knife', 'trimmer'] as const;
export type Cut = (typeof CUTS)[number];

/** A join between two panels: the point of the pattern it runs through at every step down (or across), mm. */
const joinSchema = z.strictObject({
  /** Says what art it was found for; another art needs another search. */
  forArt: z.string().check(z.maxLength(80)),
  index: z.int().check(z.gte(0), z.lte(40)),
  offsMm: z.array(z.number().check(z.gte(-60), z.lte(60))).check(z.minLength(2), z.maxLength(400)),
  /** 0..100: how far it shows, from the search. */
  shows: z.number().check(z.gte(0), z.lte(100)),
});
export type Join = z.infer<typeof joinSchema>;

const sheetSchema = z.strictObject({
  paperId: z.nullable(idSchema),
  printerId: z.nullable(idSchema),
  gapMm: mmSchema(0, 50),
  mirrorBy: z.nullable(z.enum(MIRROR_BY)),
  cut: z.enum(CUTS),
  /** Pieces may lie any way round on the paper. */
  mayRotate: z.boolean(),
  /** Other jobs laid on the same sheets. */
  sharedJobIds: z.array(idSchema).check(z.maxLength(8)),
  panels: z.strictObject({
    /** Whether a wrap too big for the printer is printed in panels; null leaves it to the product. */
    way: z.nullable(z.enum(['whole', 'panels'])),
    overlapMm: mmSchema(2, 40),
    join: z.enum(['straight', 'hidden']),
    joins: z.array(joinSchema).check(z.maxLength(40)),
  }),
});

/**
 * What a person decided about one job. Nothing derived is stored; null means the shop default.
 */
export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  pieces: z.int().check(z.gte(1, rule('fields.leastOnePiece')), z.lte(10000, rule('fields.most10000Pieces'))),
  dueOn: z.nullable(daySchema),
  note: noteSchema,
  blankId: z.nullable(idSchema),
  prepared: z.array(z.string().check(z.maxLength(160))).check(z.maxLength(20)),
  readings: z.strictObject({
    circumferenceTop: readingsSchema,
    circumferenceFoot: readingsSchema,
    wall: readingsSchema,
    handle: readingsSchema,
    width: readingsSchema,
    height: readingsSchema,
  }),
  stations: z.array(stationSchema).check(z.maxLength(22)),
  wrap: z.strictObject({
    seamMethod: z.nullable(z.enum(SEAM_METHODS)),
    form: z.nullable(z.enum(WRAP_FORMS)),
    hold: z.nullable(z.enum(HOLDS)),
    /** From rim and foot to the edge of the paper; negative where the paper stands past them. */
    topSetbackMm: z.nullable(mmSchema(-15, 390)),
    footSetbackMm: z.nullable(mmSchema(-15, 390)),
    /** Heights below the rim the paper covers on a shaped wall; null for the tallest that lies flat. */
    band: z.nullable(z.strictObject({ topMm: mmSchema(0, 400), footMm: mmSchema(0, 400) })),
    /** Per seam method: margin each end, lap, over or gap. */
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
    /** Unprinted strips past both ends, to hold, pull and overlap; null for none. */
    tailMm: z.nullable(mmSchema(5, 60)),
    /** Paper past rim or foot is left there instead of being cut off on the piece. */
    standsOut: z.boolean(),
    /** The person's own pencil marks, mm along the wrap from its left end. */
    marks: z
      .array(z.strictObject({ id: idSchema, alongMm: z.number().check(z.gte(0), z.lte(1300)) }))
      .check(z.maxLength(MOST_MARKS)),
    /** Flat blanks: bleed past the edge only, or paper folded over edge and back. */
    edge: z.nullable(z.enum(['bleed', 'wrapped'])),
    turnInMm: z.nullable(mmSchema(0, 60)),
    fold: z.enum(FOLDS),
    faces: z.enum(FACE_WAYS),
  }),
  art: artSchema,
  sheet: sheetSchema,
  pressId: z.nullable(idSchema),
  heat: z.partial(heatSettingsSchema),
  /** How pieces are laid in the press, where a person decided it. */
  load: z.partial(loadSchema),
  /** Pieces to print again on sheets of their own; null to print all. */
  reprint: z.nullable(z.array(runPieceSchema).check(z.minLength(1), z.maxLength(3000))),
  inspection: inspectionSchema,
  ladder: z.nullable(ladderSchema),
  day: daySchemaOfJob,
  sell: sellSchema,
  finish: finishSchema,
  /** Working methods of this job that differ from the shop's. */
  practices: z.partial(practicesSchema),
});
export type Job = z.infer<typeof jobSchema>;

export const EMPTY_INSPECTION: Job['inspection'] = {
  marks: [],
  paperState: null,
  verdict: null,
  good: null,
  seconds: null,
  spoiled: null,
  replies: [],
  cause: null,
  tried: null,
  next: null,
  pressed: null,
  lot: '',
  photos: [],
  note: '',
};

const NEW_SHEET: Job['sheet'] = {
  paperId: null,
  printerId: null,
  gapMm: 4,
  mirrorBy: null,
  cut: 'knife',
  mayRotate: true,
  sharedJobIds: [],
  panels: { way: null, overlapMm: 8, join: 'hidden', joins: [] },
};

const NO_DAY: Job['day'] = { dueAtMin: null, pins: [], waits: false };

const NEW_SELL: Sell = {
  customer: '',
  way: 'counter',
  postageCents: 0,
  feePct: null,
  priceFrom: 'margin',
  marginPct: null,
  priceCents: null,
  secondCents: null,
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
    readings: { circumferenceTop: [], circumferenceFoot: [], wall: [], handle: [], width: [], height: [] },
    stations: [],
    wrap: {
      seamMethod: null,
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
      tailMm: null,
      standsOut: false,
      marks: [],
      edge: null,
      turnInMm: null,
      fold: 'left',
      faces: 'together',
    },
    art: NO_ART,
    sheet: NEW_SHEET,
    pressId: null,
    heat: {},
    load: {},
    reprint: null,
    inspection: EMPTY_INSPECTION,
    ladder: null,
    day: NO_DAY,
    sell: NEW_SELL,
    finish: NOT_FINISHED,
    practices: {},
  };
}
