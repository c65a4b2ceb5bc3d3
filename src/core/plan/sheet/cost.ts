import { type Job } from '../../job/job';
import { type ImageAnalysis } from '../../art/analyseImage';
import { figure, type Figure } from '../../figures/figure';
import type { SheetLayout } from '../../sheet/layout';
import type { Printer } from '../../shop/printer';
import { say } from '../../message/message';
import { decimal, moneyOf } from '../../message/quantity';

/** Ink where nobody has looked at the picture: a share of full colour that art of this trade usually lays, percent. */
export const USUAL_INK_PCT = 110;

export interface PaperCostRequest {
  readonly layout: SheetLayout;
  readonly printer: Printer;
  readonly currency: string;
  /** Mean ink of the art, percent, where its pictures have been analysed. */
  readonly inkPct: number | null;
  /** Finished pieces the sheets make, of every job on them. */
  readonly pieces: number;
}

/** Ink of all sheets, bleed and all, in hundredths of the shop's money; at the usual share of full colour where nobody has looked at the art. */
export const inkCentsOf = (layout: SheetLayout, printer: Printer, inkPct: number | null): number =>
  Math.round(((layout.inkMm2 / 1e6) * printer.inkPerM2Cents * (inkPct ?? USUAL_INK_PCT)) / 100);

/** Length of roll all sheets take, m; 0 for cut sheets. */
export const rollMOf = (layout: SheetLayout): number =>
  layout.paper.kind === 'roll' ? layout.sheets.reduce((m, s) => m + (s.copies * s.heightMm) / 1000, 0) : 0;

/** Paper and ink of all sheets, and of one piece; nothing where the shop gives no costs. */
export function costFigures({
  layout,
  printer,
  currency,
  inkPct: looked,
  pieces,
}: PaperCostRequest): readonly Figure[] {
  const { paper } = layout;
  const metres = rollMOf(layout);
  const paperCents = Math.round((paper.kind === 'roll' ? metres : layout.sheetCount) * paper.costCents);
  const m2 = layout.inkMm2 / 1e6;
  const inkPct = looked ?? USUAL_INK_PCT;
  const inkCents = inkCentsOf(layout, printer, looked);
  const sumCents = paperCents + inkCents;
  if (sumCents <= 0) return [];
  const priced = (cents: number) => moneyOf(currency, cents);
  const each = priced(Math.round(sumCents / Math.max(1, pieces)));
  const guess = looked === null;
  return [
    figure({
      id: 'sheet.cost',
      label: guess ? say('sheet.paperInkInkEstimated') : say('sheet.paperInk'),
      quantity: priced(sumCents),
      origin: 'estimated' as const,
      working: guess
        ? say('sheet.paperInkUsualUntil', {
            paper: priced(paperCents),
            ink: priced(inkCents),
            usualInkPct: USUAL_INK_PCT,
            each,
          })
        : say('sheet.paperInkPiece', { paper: priced(paperCents), ink: priced(inkCents), each }),
      arithmetic: [
        paper.kind === 'roll'
          ? say('sheet.mOfAt', {
              metres: decimal(metres, 2),
              paper: paper.name,
              cost: priced(paper.costCents),
            })
          : say('sheet.sheetsPaperCost', {
              sheets: layout.sheetCount,
              paper: paper.name,
              cost: priced(paper.costCents),
            }),
        say('sheet.mPrintedBleedAll', {
          m2: decimal(m2, 3),
          ink: decimal(inkPct, 0),
          which: guess ? 'usual' : 'other',
          inkPerM2: priced(printer.inkPerM2Cents),
        }),
      ],
      inputs: ['sheet.count', 'sheet.used'],
    }),
  ];
}

/** Mean ink of the lowest picture, percent; null where nobody has looked. */
export function inkOf(job: Job, analyses: Readonly<Record<string, ImageAnalysis>>): number | null {
  const ground = job.art.layers.find((l) => l.kind === 'picture');
  const look = ground?.kind === 'picture' ? analyses[ground.picture.id] : undefined;
  return look ? look.cells.reduce((s, c) => s + c.inkPct, 0) / look.cells.length : null;
}
