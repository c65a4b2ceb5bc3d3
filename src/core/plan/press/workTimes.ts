import { finishHandsS } from '../../finish/steps';
import { heaterOf } from '../../heat/press/heaters';
import { pieceJ, pressEnergy, type PressEnergy } from '../../heat/model/energy';
import type { PaceOf } from '../../run/pace';
import { preparing, segmentsOf } from '../../schedule/fromRun';
import { cycleS, handsS, type LoadStep } from '../../schedule/problem';
import type { DaySettings } from '../../shop/day';
import { isWrapPress } from '../../shop/press';
import { ofStage, suppliesOf, type Operation } from '../../shop/operation';
import type { Plan } from '../planShape';

/** A knife along a straight edge of about this length, and the square laid on: hands for one edge of a sheet, s. Our own estimate. */
const TRIM_S = 20;
const A4_MM2 = 210 * 297;
/** Strips of tape are about so long, mm: our own estimate. */
export const TAPE_STRIP_MM = 150;

/** What one job takes on one press, whoever does it, s. */
export interface PressWork {
  readonly pressId: string;
  readonly operations: readonly Operation[];
  readonly atOnce: number;
  readonly setUpS: number;
  readonly sheets: number;
  /** Pieces those sheets make, those of other jobs among them. */
  readonly sheetPieces: number;
  readonly printSheetS: number;
  readonly trimSheetS: number;
  readonly finishS: number;
  readonly tapeStrips: number;
  readonly wasteSheets: number;
  /** Pieces' worth of spray tack, a piece. */
  readonly tacked: number;
  readonly energy: PressEnergy;
  /** What one load takes up, J. */
  readonly loadJ: number;
  /** What the press has to be set to. */
  readonly setting: string;
}

/** The same with usual times by this bench's own pace. */
export interface WorkTimes extends Omit<PressWork, 'operations' | 'pressId'> {
  readonly cycle: readonly LoadStep[];
  readonly cycleS: number;
  /** Hands of one load at the press. */
  readonly loadHandsS: number;
  readonly prepareS: number;
  readonly coolS: number;
  /** Standard deviation of the logarithm of hands' times, and times they were seen. */
  readonly logSd: number;
  readonly seen: number;
}

const sum = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0);

/** Null while the plan has no press, no heat or no sheet. */
export function pressWork(plan: Plan, day: DaySettings): PressWork | null {
  const { heat, sheet } = plan;
  const { blank } = plan.blank;
  const { press, chosen, load, operations } = heat;
  if (!blank || !press || !chosen || !sheet.layout) return null;
  const setUp = ofStage(operations, 'set-up').filter((o) => o.kind === 'set-pressure');
  const supplies = suppliesOf(operations);
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
    pressId: press.id,
    operations,
    atOnce,
    setUpS: sum(setUp.map((o) => o.plannedS)),
    sheets: layout.sheetCount,
    sheetPieces: Math.max(1, layout.pieceCount),
    printSheetS: day.printA4S * (sheetMm2 / A4_MM2),
    trimSheetS: TRIM_S + (TRIM_S * layout.pieceCount) / Math.max(1, layout.sheetCount),
    finishS: finishHandsS(blank),
    tapeStrips: supplies.tape ?? 0,
    wasteSheets: supplies['waste paper'] ?? 0,
    tacked: supplies['spray tack'] ?? 0,
    energy: pressEnergy(press, mat, platenC),
    loadJ: atOnce * pieceJ(blank, load?.piece.areaM2 ?? 0, platenC),
    setting: `${platenC} ${pressure} ${load?.load.heaterId ?? ''}`,
  };
}

/** The times of a piece of work, by the pace learned at the presses. */
export function timesAt({ operations, pressId, ...work }: PressWork, paceOf: PaceOf): WorkTimes {
  const pace = (o: Operation) => paceOf(o, pressId, null);
  const [prepare, press, after] = (['prepare', 'press', 'after'] as const).map((stage) =>
    ofStage(operations, stage),
  ) as [readonly Operation[], readonly Operation[], readonly Operation[]];
  const cycle = segmentsOf(press, pace);
  return {
    ...work,
    cycle,
    cycleS: cycleS(cycle),
    loadHandsS: handsS(cycle),
    ...preparing(prepare, pace),
    coolS: sum(after.filter((o) => o.kind === 'cooling').map((o) => pace(o).usualS)),
    seen: Math.max(0, ...[...prepare, ...press].map((o) => pace(o).seen)),
  };
}

/** Null while the plan has no press, no heat or no sheet. */
export function workTimes(plan: Plan, day: DaySettings, pace: PaceOf): WorkTimes | null {
  const work = pressWork(plan, day);
  return work && timesAt(work, pace);
}
