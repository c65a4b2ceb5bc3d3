import type { Rect } from '../geometry/plane';
import type { Paper } from '../shop/paper';
import type { Printer } from '../shop/printer';
import { fitsOn, roomMm, spacing } from './layout';

/** Pieces of one size to be printed whole. */
export interface ToPrint {
  readonly box: Rect;
  readonly pieces: number;
  /** Ink lies on this much of a piece, mm². */
  readonly inkMm2: number;
}

/** A paper on a printer that prints every piece whole, and about what it costs, in rows and columns. */
export interface SheetOption {
  readonly paper: Paper;
  readonly printer: Printer;
  readonly sheets: number;
  /** Metres of roll; null on sheets. */
  readonly metres: number | null;
  readonly costCents: number;
}

export const takesPaper = (printer: Printer, p: Paper): boolean =>
  Math.min(p.widthMm, p.kind === 'roll' ? p.widthMm : p.heightMm) <= printer.widestMm + 0.5 &&
  (p.kind === 'sheet' || printer.rolls);

interface CostRequest {
  readonly toPrint: readonly ToPrint[];
  readonly gapMm: number;
  readonly mayRotate: boolean;
  /** Ink of one full colour on the art, percent. */
  readonly inkPct: number;
}

const along = (room: number, size: number, gap: number): number =>
  Math.max(0, Math.floor((room + gap + 1e-9) / (size + gap)));

interface Took {
  readonly sheets: number;
  readonly lengthMm: number;
}

/** Sheets, and length of roll, that rows and columns of one size take in an area; the fewest of its orientations. */
function took({ box, pieces }: ToPrint, area: Rect, request: CostRequest, roll: boolean): Took | null {
  const gap = spacing(request.gapMm);
  const ways = request.mayRotate
    ? [
        [box.width, box.height],
        [box.height, box.width],
      ]
    : [[box.width, box.height]];
  const tried = ways.flatMap(([w = 0, h = 0]): Took[] => {
    const columns = along(area.width, w, gap);
    const rows = along(area.height, h, gap);
    if (columns * rows === 0) return [];
    const lines = Math.ceil(pieces / columns);
    return [{ sheets: Math.ceil(pieces / (columns * rows)), lengthMm: lines * (h + gap) }];
  });
  const measure = (t: Took) => (roll ? t.lengthMm : t.sheets);
  return tried.reduce<Took | null>((a, b) => (a && measure(a) <= measure(b) ? a : b), null);
}

function optionOn(paper: Paper, printer: Printer, request: CostRequest): SheetOption | null {
  const on = { paper, marginsMm: printer.marginsMm, mayRotate: request.mayRotate };
  if (!takesPaper(printer, paper) || !request.toPrint.every((t) => fitsOn(t.box, on))) return null;
  const roll = paper.kind === 'roll';
  const placements = roomMm(on).flatMap((area) => {
    const each = request.toPrint.map((t) => took(t, area, request, roll));
    const all = each.filter((t) => t !== null);
    if (all.length < each.length) return [];
    const lengthMm = all.reduce((a, t) => a + t.lengthMm, paper.heightMm - area.height);
    return [{ sheets: all.reduce((a, t) => a + t.sheets, 0), lengthMm }];
  });
  const [first, second] = placements;
  if (!first) return null;
  const best =
    second && (roll ? second.lengthMm < first.lengthMm : second.sheets < first.sheets) ? second : first;
  const metres = roll ? best.lengthMm / 1000 : null;
  const inkM2 = request.toPrint.reduce((a, t) => a + t.pieces * t.inkMm2, 0) / 1e6;
  return {
    paper,
    printer,
    sheets: best.sheets,
    metres,
    costCents:
      Math.round((metres ?? best.sheets) * paper.costCents) +
      Math.round((inkM2 * printer.inkPerM2Cents * request.inkPct) / 100),
  };
}

const areaOf = (p: Paper): number => p.widthMm * p.heightMm;

/** Every paper on every printer that prints all pieces whole: cheapest first, of equals the smaller paper, then the printer named first. */
export function sheetOptions(
  papers: readonly Paper[],
  printers: readonly Printer[],
  request: CostRequest,
): readonly SheetOption[] {
  return printers
    .flatMap((printer) => papers.flatMap((paper) => optionOn(paper, printer, request) ?? []))
    .sort((a, b) => a.costCents - b.costCents || areaOf(a.paper) - areaOf(b.paper));
}
