import type { DrawnPage } from '../geometry/drawing';
import { tilePages } from '../geometry/tiles';
import { say, type Write } from '../message/message';
import { mm } from '../message/quantity';
import type { Packing, PlatenSize } from './packing';

const whole = (valueMm: number) => mm(Math.round(valueMm));

/** Every sheet of card at true size, over as many pages as it takes. */
export const packingPages = (
  packing: Packing,
  platen: PlatenSize,
  name: string,
  write: Write,
): readonly DrawnPage[] =>
  packing.sheets.flatMap((sheet) =>
    tilePages(
      {
        rings: sheet.polygons.flat().map((ring) => ({ ring, grey: 0, widthMm: 0.4 })),
        title: say('flatness.packingSheet', { name, number: sheet.number, of: packing.sheets.length }),
        about: (x, y) =>
          say('flatness.packingHow', {
            card: mm(packing.cardMm),
            left: whole(x),
            back: whole(y),
            width: whole(platen.widthMm),
            height: whole(platen.heightMm),
          }),
      },
      write,
    ),
  );
