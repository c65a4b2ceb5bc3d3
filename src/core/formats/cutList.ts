import { csvCell } from './csvCell';
import type { NamedPart } from '../plan/sheet';
import type { SheetLayout } from '../sheet/layout';

const mm = (v: number): string => (Math.round(v * 100) / 100).toFixed(2);

const row = (cells: readonly (string | number)[]): string => cells.map(csvCell).join(',');

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

/** Which piece lies where on which sheet, in reading order; then, for a trimmer, the cuts in their order. RFC 4180. */
export function cutListCsv(layout: SheetLayout, parts: readonly NamedPart[]): string {
  const pieces = layout.sheets.flatMap((sheet, s) =>
    sheet.spots.map((spot, i) => {
      const part = parts[spot.part];
      const piece = part?.pieces[spot.piece];
      return row([
        s + 1,
        sheet.copies,
        i + 1,
        part?.job ?? '',
        part?.blank ?? '',
        sheet.copies > 1 ? 'any' : spot.piece + 1,
        piece?.label ?? '',
        part && part.panel > 0 ? part.panel : '',
        mm(spot.box.x),
        mm(spot.box.y),
        mm(spot.box.width),
        mm(spot.box.height),
        spot.turn,
      ]);
    }),
  );
  const cuts = layout.sheets.flatMap((sheet, s) =>
    sheet.cuts.map((c, i) =>
      row([s + 1, sheet.copies, i + 1, mm(c.from.x), mm(c.from.y), mm(c.to.x), mm(c.to.y)]),
    ),
  );
  const cutRows =
    cuts.length > 0
      ? [
          '',
          row(['sheet', 'print', 'cut', 'from left mm', 'from top mm', 'to left mm', 'to top mm']),
          ...cuts,
        ]
      : [];
  return `${[row(HEADINGS), ...pieces, ...cutRows].join('\r\n')}\r\n`;
}
