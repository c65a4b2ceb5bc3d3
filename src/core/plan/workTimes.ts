import { finishHandsS } from '../finish/steps';
import { heaterOf } from '../heat/heaters';
import { pieceJ, pressEnergy, type PressEnergy } from '../heat/energy';
import type { PaceOf } from '../run/pace';
import { preparing, segmentsOf } from '../schedule/fromRun';
import type { Segment } from '../schedule/problem';
import { isWrapPress } from '../shop/press';
import { ofStage, suppliesOf, type Operation } from '../shop/operation';
import type { Shop } from '../shop/shop';
import type { Plan } from './plan';

/** A knife along a straight edge of about this length, and the square laid on: hands for one edge of a sheet, s. Our own estimate. */
const TRIM_S = 20;
const A4_MM2 = 210 * 297;
/** Strips of tape are about so long, mm: our own estimate. */
export const STRIP_MM = 150;

/** What one job takes of hands, presses and supplies: usual times by this bench's own pace. s. */
export interface WorkTimes {
  readonly atOnce: number;
  readonly cycle: readonly Segment[];
  readonly cycleS: number;
  /** Hands of one load at the press. */
  readonly loadHandsS: number;
  readonly setUpS: number;
  readonly sheets: number;
  /** Pieces those sheets make, those of other jobs among them. */
  readonly sheetPieces: number;
  readonly printSheetS: number;
  readonly trimSheetS: number;
  readonly prepareS: number;
  readonly coolS: number;
  readonly finishS: number;
  /** Standard deviation of the logarithm of hands' times, and times they were seen. */
  readonly logSd: number;
  readonly seen: number;
  readonly tapeStrips: number;
  readonly wasteSheets: number;
  readonly energy: PressEnergy;
  /** What one load takes up, J. */
  readonly loadJ: number;
  /** What the press has to be set to. */
  readonly setting: string;
}

/** Null while the plan has no press, no heat or no sheet. */
export function workTimes(plan: Plan, shop: Shop, paceOf: PaceOf): WorkTimes | null {
  const { heat, sheet } = plan;
  const { blank } = plan.blank;
  const { press, chosen, load } = heat;
  if (!blank || !press || !chosen || !sheet.layout) return null;
  const pace = (o: Operation) => paceOf(o, press.id, null);
  const cycle = segmentsOf(ofStage(heat.operations, 'press'), pace);
  const prepare = ofStage(heat.operations, 'prepare').map(pace);
  const setUp = ofStage(heat.operations, 'set-up').filter((o) => o.kind === 'set-pressure');
  const supplies = suppliesOf(heat.operations);
  const sum = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0);
  const { layout } = sheet;
  const sheetMm2 =
    sum(layout.sheets.map((s) => s.copies * s.heightMm * layout.paper.widthMm)) /
    Math.max(1, layout.sheetCount);
  const mat = isWrapPress(press)
    ? heaterOf(
        press,
        { widestDiameterMm: (plan.wrap.wall?.widest.value ?? 0) / Math.PI, tallMm: 0 },
        load?.load.heaterId ?? null,
      )
    : null;
  const { platenC, pressure } = chosen.settings;
  const atOnce = load?.load.piecesAtOnce ?? 1;
  return {
    atOnce,
    cycle,
    cycleS: sum(cycle.map((s) => s.s)),
    loadHandsS: sum(cycle.filter((s) => s.hands).map((s) => s.s)),
    setUpS: sum(setUp.map((o) => o.plannedS)),
    sheets: layout.sheetCount,
    sheetPieces: Math.max(1, layout.pieceCount),
    printSheetS: shop.settings.day.printA4S * (sheetMm2 / A4_MM2),
    trimSheetS: TRIM_S + (TRIM_S * layout.pieceCount) / Math.max(1, layout.sheetCount),
    ...preparing(ofStage(heat.operations, 'prepare'), pace),
    coolS: sum(ofStage(heat.operations, 'after').map((o) => pace(o).usualS)),
    finishS: finishHandsS(blank),
    seen: Math.max(
      0,
      ...prepare.map((p) => p.seen),
      ...ofStage(heat.operations, 'press').map((o) => pace(o).seen),
    ),
    tapeStrips: supplies.tape ?? 0,
    wasteSheets: supplies['waste paper'] ?? 0,
    energy: pressEnergy(press, mat, platenC),
    loadJ: atOnce * pieceJ(blank, load?.piece.areaM2 ?? 0, platenC),
    setting: `${platenC} ${pressure} ${load?.load.heaterId ?? ''}`,
  };
}
