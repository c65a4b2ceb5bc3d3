import { figure, type Figure } from '../figures/figure';
import type { SheetLayout } from '../sheet/layout';
import type { Printer } from '../shop/printer';
import { say } from '../units/phrase';
import { count } from '../units/quantity';

/** Ink where nobody has looked at the picture: a share of full colour that art of this trade usually lays, percent. */
const USUAL_INK_PCT = 110;

export interface CostAsk {
  readonly layout: SheetLayout;
  readonly printer: Printer;
  readonly currency: string;
  /** Mean ink of the art, percent, where its pictures have been looked into. */
  readonly inkPct: number | null;
  /** Finished pieces the sheets make, of every job on them. */
  readonly pieces: number;
}

/** Paper and ink of all sheets, and of one piece; nothing where the shop gives no costs. */
export function costFigures({
  layout,
  printer,
  currency,
  inkPct: looked,
  pieces,
}: CostAsk): readonly Figure[] {
  const { paper } = layout;
  const metres = layout.sheets.reduce((m, s) => m + (s.copies * s.heightMm) / 1000, 0);
  const paperCents = paper.kind === 'roll' ? metres * paper.costCents : layout.sheetCount * paper.costCents;
  const m2 =
    (layout.sheets.reduce((a, s) => a + s.copies * s.heightMm * paper.widthMm, 0) * layout.used) / 1e6;
  const inkPct = looked ?? USUAL_INK_PCT;
  const inkCents = m2 * printer.inkPerM2Cents * (inkPct / 100);
  const money = (cents: number) => `${currency}${(cents / 100).toFixed(2)}`;
  if (paperCents + inkCents <= 0) return [];
  const each = (paperCents + inkCents) / Math.max(1, pieces);
  return [
    figure({
      id: 'sheet.cost',
      label: 'Paper and ink',
      quantity: { kind: 'word' as const, value: money(paperCents + inkCents) },
      origin: 'estimated' as const,
      working: say`paper ${money(paperCents)}, ink ${money(inkCents)}; ${money(each)} a piece`,
      arithmetic: [
        paper.kind === 'roll'
          ? say`${metres.toFixed(2)} m of ${paper.name} at ${money(paper.costCents)}`
          : say`${count(layout.sheetCount, 'sheet')} of ${paper.name} at ${money(paper.costCents)}`,
        say`${m2.toFixed(3)} m² × ${inkPct.toFixed(0)} % ink${looked === null ? ' (usual)' : ''} × ${money(printer.inkPerM2Cents)} a full m²`,
      ],
      inputs: ['sheet.count', 'sheet.used'],
    }),
  ];
}
