import { rule } from '../basics/rule';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { mmSchema, nameSchema } from './common';
import { DEFAULT_DAY, daySettingsSchema } from './day';
import { DEFAULT_MONEY, moneySettingsSchema } from './money';
import { practicesSchema, USUAL_PRACTICES } from './practices';
import { personSchema } from './run';
import { printerSchema, STARTER_PRINTER, type Printer } from './printer';

export const SEAM_METHODS = ['under', 'butt', 'lap', 'over', 'gap'] as const;
export type SeamMethod = (typeof SEAM_METHODS)[number];

/** How paper is held to the wall; decides how far it may stand off. */
export const HOLDS = ['bare tape', 'tape pulled tight', 'sleeve'] as const;
export type Hold = (typeof HOLDS)[number];

const MOST_PRINTERS = 12;
/** Letters of the text of a care card. */
export const MOST_CARE_LETTERS = 900;

/** Kinds of wrap that start with a seam method of their own. */
export const WRAP_KINDS = ['round', 'handled', 'picture', 'barrel'] as const;
export type WrapKind = (typeof WRAP_KINDS)[number];

/** The shop's own ways: units, tape, printer, seam methods. */
export const settingsSchema = z.strictObject({
  shopName: nameSchema,
  units: z.strictObject({
    length: z.enum(['mm', 'in']),
    temperature: z.enum(['C', 'F']),
    inchDenominator: z.union([z.literal(8), z.literal(16), z.literal(32), z.literal(64)]),
  }),
  tape: z.strictObject({
    thicknessMm: mmSchema(0, 2),
    finestMm: z.union([z.literal(0.5), z.literal(1)]),
    stringMm: mmSchema(0, 4),
  }),
  /** The first is the one jobs use unless they say otherwise. */
  printers: z
    .array(printerSchema)
    .check(z.minLength(1, rule('fields.keepLeastOnePrinter')), z.maxLength(MOST_PRINTERS)),
  /** Sign put before money. */
  currency: z.string().check(z.minLength(1), z.maxLength(4)),
  defaults: z.strictObject({
    /** The seam method a new wrap starts with, by the kind of blank. */
    seamMethods: z.strictObject({
      round: z.enum(SEAM_METHODS),
      handled: z.enum(SEAM_METHODS),
      picture: z.enum(SEAM_METHODS),
      barrel: z.enum(SEAM_METHODS),
    }),
    bleedMm: mmSchema(0, 15),
    safeMm: mmSchema(0, 30),
    setbackMm: mmSchema(0, 30),
    /** Past rim and foot, where the paper is cut on the piece. */
    pastMm: mmSchema(0, 15),
    /** Past each edge of a flat blank. */
    flatBleedMm: mmSchema(0, 15),
    hold: z.enum(HOLDS),
  }),
  practices: practicesSchema,
  sound: z.boolean(),
  /** Who works at the presses; each step records who did it. */
  people: z.array(personSchema).check(z.maxLength(12, rule('fields.most12People'))),
  day: daySettingsSchema,
  money: moneySettingsSchema,
  /** Text of the care card in the box; '' for the default text. */
  careText: z.string().check(z.maxLength(MOST_CARE_LETTERS)),
});
export type Settings = z.infer<typeof settingsSchema>;

export const DEFAULT_SETTINGS: Settings = {
  shopName: 'My bench',
  units: { length: 'mm', temperature: 'C', inchDenominator: 16 },
  tape: { thicknessMm: 0.4, finestMm: 1, stringMm: 1.2 },
  printers: [STARTER_PRINTER],
  currency: '$',
  defaults: {
    seamMethods: { round: 'over', handled: 'under', picture: 'under', barrel: 'lap' },
    bleedMm: 3,
    safeMm: 6,
    setbackMm: 1.5,
    pastMm: 3,
    flatBleedMm: 4,
    hold: 'bare tape',
  },
  practices: USUAL_PRACTICES,
  sound: true,
  people: [],
  day: DEFAULT_DAY,
  money: DEFAULT_MONEY,
  careText: '',
};

/** A shop's settings with more printers, as many as it can hold. Everything else stays its own. */
export const withPrinters = (settings: Settings, more: readonly Printer[]): Settings => ({
  ...settings,
  printers: [...settings.printers, ...more].slice(0, MOST_PRINTERS),
});

/** The printer a job asks for, or the shop's first. A shop has at least one. */
export const printerOf = (
  settings: { readonly printers: readonly Printer[] },
  printerId: string | null,
): Printer => settings.printers.find((p) => p.id === printerId) ?? settings.printers[0] ?? STARTER_PRINTER;
