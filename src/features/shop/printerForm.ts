import { say } from '@/core/message/message';
import * as z from 'zod/mini';
import { nameSchema } from '@/core/shop/common';
import { COLOUR_BY, MIRROR_BY, STARTER_PRINTER, type Printer } from '@/core/shop/printer';
import type { LengthUnit } from '@/core/units/format';
import { lengthText, linesText, moneyText, wholeText, type ShownLengths } from './shopForm';

export const PPIS = ['150', '200', '300', '360'] as const;

/** The fields of a printer as they are typed. */
export const printerFormSchema = (unit: LengthUnit, shown: ShownLengths) =>
  z.object({
    name: nameSchema,
    widestMm: lengthText(unit, say('shop.widestPaper2'), 100, 1700, shown),
    rolls: z.boolean(),
    top: lengthText(unit, say('shop.top'), 0, 60, shown),
    right: lengthText(unit, say('shop.right'), 0, 60, shown),
    bottom: lengthText(unit, say('shop.bottom'), 0, 60, shown),
    left: lengthText(unit, say('shop.left'), 0, 60, shown),
    mirrorBy: z.enum(MIRROR_BY),
    colourBy: z.enum(COLOUR_BY),
    ppi: z.enum(PPIS),
    inkPerM2Cents: moneyText,
    mostInkPct: wholeText(say('shop.mostInk'), 100, 400),
    inkName: z.string().check(z.maxLength(80)),
    mediaType: z.string().check(z.maxLength(80)),
    quality: z.string().check(z.maxLength(80)),
    driver: linesText,
  });
export type PrinterFormIn = z.input<ReturnType<typeof printerFormSchema>>;
export type PrinterFormOut = z.output<ReturnType<typeof printerFormSchema>>;

export const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const PPI: Readonly<Record<(typeof PPIS)[number], Printer['ppi']>> = {
  150: 150,
  200: 200,
  300: 300,
  360: 360,
};

/** The printer the form says. A driver list is kept to sixteen lines. */
export const printerFromForm = (f: PrinterFormOut, id: string): Printer => {
  const { top, right, bottom, left, ppi, driver, inkName, mediaType, quality, ...rest } = f;
  return {
    ...rest,
    inkName: inkName.trim(),
    mediaType: mediaType.trim(),
    quality: quality.trim(),
    id,
    ppi: PPI[ppi],
    marginsMm: { top, right, bottom, left },
    driver: driver.slice(0, 16),
  };
};

/** What the form first shows: a printer as it is, or a usual one without a name. */
export function printerToForm(printer: Printer | null, shown: ShownLengths): PrinterFormIn {
  const from = printer ?? { ...STARTER_PRINTER, name: '' };
  return {
    name: from.name,
    widestMm: shown.show(say('shop.widestPaper2'), from.widestMm),
    rolls: from.rolls,
    top: shown.show(say('shop.top'), from.marginsMm.top),
    right: shown.show(say('shop.right'), from.marginsMm.right),
    bottom: shown.show(say('shop.bottom'), from.marginsMm.bottom),
    left: shown.show(say('shop.left'), from.marginsMm.left),
    mirrorBy: from.mirrorBy,
    colourBy: from.colourBy,
    ppi: `${from.ppi}`,
    inkPerM2Cents: (from.inkPerM2Cents / 100).toFixed(2),
    mostInkPct: String(from.mostInkPct),
    inkName: from.inkName,
    mediaType: from.mediaType,
    quality: from.quality,
    driver: from.driver.join('\n'),
  };
}
