import { say, type Message } from '../message/message';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { idSchema, lineSchema, mmSchema, nameSchema } from './common';

/** Which one program mirrors the sheet. */
export const MIRROR_BY = ['app', 'driver'] as const;
/** Which one program manages colour. */
export const COLOUR_BY = ['driver', 'program', 'print server'] as const;
export type MirrorBy = (typeof MIRROR_BY)[number];
export type ColourBy = (typeof COLOUR_BY)[number];

export const printerSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** Widest paper it feeds, and whether it takes a roll. */
  widestMm: mmSchema(100, 1700),
  rolls: z.boolean(),
  /** What it cannot print at each edge, as the sheet leaves it. */
  marginsMm: z.strictObject({
    top: mmSchema(0, 60),
    right: mmSchema(0, 60),
    bottom: mmSchema(0, 60),
    left: mmSchema(0, 60),
  }),
  mirrorBy: z.enum(MIRROR_BY),
  colourBy: z.enum(COLOUR_BY),
  ppi: z.union([z.literal(150), z.literal(200), z.literal(300), z.literal(360)]),
  /** The ink in it, by name; '' where the shop has only one. */
  inkName: z.string().check(z.maxLength(80)),
  /** Ink for a square metre of solid black, in hundredths of the shop's money. */
  inkPerM2Cents: z.int().check(z.gte(0), z.lte(1_000_000)),
  /** Most ink the paper takes before it cockles or runs, percent of one full colour. */
  mostInkPct: z.int().check(z.gte(100), z.lte(400)),
  /** Paper type to choose in the driver; '' for the one the ink’s maker names. */
  mediaType: z.string().check(z.maxLength(80)),
  /** Quality to choose in the driver; '' for the best one. */
  quality: z.string().check(z.maxLength(80)),
  /** What else is set in the driver, in the shop's own words. */
  driver: z.array(lineSchema).check(z.maxLength(16)),
});
export type Printer = z.infer<typeof printerSchema>;

export const STARTER_PRINTER: Printer = {
  id: 'desk-printer',
  name: 'Desk printer',
  widestMm: 330.2,
  rolls: false,
  marginsMm: { top: 3, right: 3, bottom: 3, left: 3 },
  mirrorBy: 'app',
  colourBy: 'driver',
  ppi: 300,
  inkName: '',
  inkPerM2Cents: 900,
  mostInkPct: 260,
  mediaType: '',
  quality: '',
  driver: [],
};

/** What to set where, so that exactly one program manages colour. */
export const COLOUR_WORDS: Readonly<Record<ColourBy, { readonly label: Message; readonly set: Message }>> = {
  driver: {
    label: say('common.theDriver'),
    set: say('fields.colourLeftDriverPrint'),
  },
  program: {
    label: say('fields.printingProgram'),
    set: say('fields.colourManagedProgramInks'),
  },
  'print server': {
    label: say('fields.printServer'),
    set: say('fields.colourManagedPrintServer'),
  },
};
