import { csvText } from './csv';
import type { NamedPart } from '../sheet/parts';
import type { SheetLayout } from '../sheet/layout';

const mm = (v: number): string => (Math.round(v * 100) / 100).toFixed(2);

const HEADINGS = [
  'sheet',
  'print',
  'place',
  'job',
  'blank',
  'piece',
  'name',
  'panel',
  'left mm',
  'top mm',
  'width mm',
  'height mm',
  'turned deg',
] as const;

const CUT_HEADINGS = [
  'sheet',
  'print',
  'cut',
  'from left mm',
  'from top mm',
  'to left mm',
  'to top mm',
] as const;

/** Which piece lies where on which sheet, in reading order; then, for a trimmer, the cuts in their order. RFC 4180. */
export function cutListCsv(layout: SheetLayout, parts: readonly NamedPart[]): string {
  const pieces = layout.sheets.flatMap((sheet, s) =>
    sheet.placements.map((placement, i): readonly (string | number)[] => {
      const part = parts[placement.part];
      const piece = part?.pieces[placement.piece];
      return [
        s + 1,
        sheet.copies,
        i + 1,
        part?.job ?? '',
        part?.blank ?? '',
        sheet.copies > 1 ? 'any' : placement.piece + 1,
        piece?.label ?? '',
        part && part.panel > 0 ? part.panel : '',
        mm(placement.box.x),
        mm(placement.box.y),
        mm(placement.box.width),
        mm(placement.box.height),
        placement.turn,
      ];
    }),
  );
  const cuts = layout.sheets.flatMap((sheet, s) =>
    sheet.cuts.map((c, i): readonly (string | number)[] => [
      s + 1,
      sheet.copies,
      i + 1,
      mm(c.from.x),
      mm(c.from.y),
      mm(c.to.x),
      mm(c.to.y),
    ]),
  );
  const cutTable = cuts.length === 0 ? [] : ['', csvText([CUT_HEADINGS, ...cuts])];
  return `${[csvText([HEADINGS, ...pieces]), ...cutTable].join('\r\n')}\r\n`;
}
