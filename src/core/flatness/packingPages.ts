import type { DrawnPage } from '../geometry/drawing';
import { tilePages } from '../geometry/tiles';
import type { Packing, PlatenSize } from './packing';

const mm = (v: number): string => `${Math.round(v)} mm`;

/** Every sheet of card at true size, over as many pages as it takes. */
export const packingPages = (packing: Packing, platen: PlatenSize, name: string): readonly DrawnPage[] =>
  packing.sheets.flatMap((sheet) =>
    tilePages({
      rings: sheet.polygons.flat().map((ring) => ({ ring, grey: 0, widthMm: 0.4 })),
      title: `${name}: packing, sheet ${sheet.number} of ${packing.sheets.length}`,
      about: (x, y) =>
        `Cut along the lines from card of ${packing.cardMm} mm. Lay it from ${mm(x)} of the left side and ${mm(y)} of the back. Platen ${mm(platen.widthMm)} by ${mm(platen.heightMm)}.`,
    }),
  );
