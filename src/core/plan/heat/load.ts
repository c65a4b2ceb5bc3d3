import { chamberWords, usualWasteSheets } from '../../press/kinds';
import { boundsOfContour, contourArea } from '../../geometry/contour';
import {
  AIR_GAP_MM,
  COOL_EDGE_MM,
  evenLoad,
  layOnBed,
  LIFT_GAP_MM,
  mostOnBed,
  type BedInput,
  type BedPlan,
} from '../../heat/press/bed';
import type { ProvenRecipe } from '../../heat/settings/choose';
import type { Finding } from '../../figures/figure';
import type { Job } from '../../job/job';
import { isBarrel, isFlat, isRound, type Blank } from '../../shop/blank';
import { MOST_AT_ONCE, type Load } from '../../shop/load';
import { isFlatPress, isChamber, type Press, type PressHeater } from '../../shop/press';
import { mainFace } from '../../wrap/pattern';
import { say } from '../../message/message';
import { mm } from '../../message/quantity';
import { finding } from '../stepPlan';
import type { WrapPlan } from '../wrap/wrapPlan';

/** The heated part of one piece. */
export interface HeatedPiece {
  readonly areaM2: number;
  /** As it lies or stands in the press, from above, mm. */
  readonly widthMm: number;
  readonly heightMm: number;
}

/** How pieces lie in the press: what was decided, what is laid, and how many would fit. */
export interface HeatLoad {
  readonly load: Load;
  readonly piece: HeatedPiece;
  readonly most: number;
  readonly bed: BedPlan | null;
  /** What a person set by hand. */
  readonly byHand: readonly (keyof Load)[];
}

/** A bench oven's rack where nobody measured it, mm. */
const USUAL_RACK = { widthMm: 380, depthMm: 320 };

/** The piece a wrap makes of a blank: its heated face, and its size from above. */
export function pieceOf(
  blank: Blank,
  wrap: Pick<WrapPlan, 'pattern' | 'wall' | 'round'>,
  printMm: number,
): HeatedPiece | null {
  if (isFlat(blank)) {
    if (!wrap.pattern) return null;
    const { trim } = mainFace(wrap.pattern);
    const box = boundsOfContour(trim);
    return { areaM2: Math.abs(contourArea(trim)) / 1e6, widthMm: box.width, heightMm: box.height };
  }
  if (!wrap.wall || !wrap.round || !isRound(blank)) return null;
  const across = wrap.wall.widest.value / Math.PI;
  const tallMm = wrap.round.height.value;
  const reach = blank.shape.handle?.reachMm ?? 0;
  return {
    areaM2: (Math.max(printMm, wrap.wall.widest.value) * tallMm) / 1e6,
    widthMm: isBarrel(blank) ? blank.shape.heightMm : across + reach,
    heightMm: across,
  };
}

/** The platen or rack a load is laid on; null for a wrap press, which takes one. */
function askOf(press: Press, piece: HeatedPiece): BedInput | null {
  if (isFlatPress(press))
    return {
      widthMm: press.platenWidthMm,
      heightMm: press.platenHeightMm,
      marginMm: COOL_EDGE_MM,
      gapMm: LIFT_GAP_MM,
      piece,
    };
  if (!isChamber(press)) return null;
  return {
    widthMm: press.insideWidthMm ?? USUAL_RACK.widthMm,
    heightMm: press.insideDepthMm ?? USUAL_RACK.depthMm,
    marginMm: AIR_GAP_MM,
    gapMm: AIR_GAP_MM,
    piece,
  };
}

export function loadFor(
  job: Pick<Job, 'load' | 'pieces'>,
  blank: Blank,
  press: Press,
  heater: PressHeater | null,
  piece: HeatedPiece,
  proven: ProvenRecipe | null,
): HeatLoad {
  const ask = askOf(press, piece);
  const most = ask ? Math.min(MOST_AT_ONCE, mostOnBed(ask)) : 1;
  const base = proven?.recipe.load ?? null;
  // What was proven before loads were written down was pressed one by one.
  const usual = base?.piecesAtOnce ?? (proven ? 1 : evenLoad(job.pieces, most));
  const wanted = ask ? (job.load.piecesAtOnce ?? usual) : 1;
  const load: Load = {
    piecesAtOnce: Math.max(1, wanted),
    wasteSheets: job.load.wasteSheets ?? base?.wasteSheets ?? usualWasteSheets(press),
    wasteKind: job.load.wasteKind ?? base?.wasteKind ?? 'plain',
    heatedFrom:
      job.load.heatedFrom ??
      base?.heatedFrom ??
      (isFlatPress(press) && blank.material === 'ceramic' ? 'blank' : 'paper'),
    heaterId: heater?.id ?? null,
  };
  const byHand = (Object.keys(job.load) as (keyof Load)[]).filter((key) => job.load[key] !== undefined);
  return { load, piece, most, bed: ask && layOnBed(ask, load.piecesAtOnce), byHand };
}

/** What is wrong with a load, and what to watch. */
export function loadFindings(l: HeatLoad | null, press: Press, pieces: number): readonly Finding[] {
  if (!l || (!isFlatPress(press) && !isChamber(press))) return [];
  const found: Finding[] = [];
  const { bed, load, most } = l;
  if (most > 0 && load.piecesAtOnce > most)
    found.push(
      finding(
        'heat',
        'load',
        'blocker',
        say('heat.piecesPressMost', { pieces: load.piecesAtOnce, press: press.name, most }),
      ),
    );
  if (bed && bed.dummies > 0)
    found.push(finding('heat', 'level', 'warning', say('heat.dummies', { dummies: bed.dummies })));
  if (bed && isFlatPress(press) && bed.inEdge && load.piecesAtOnce <= most)
    found.push(finding('heat', 'cool-edge', 'info', say('heat.reachesIntoCoolerEdge')));
  if (bed && isChamber(press) && most > 0 && pieces > 1)
    found.push(finding('heat', 'air', 'info', chamberWords(press).spacing(mm(AIR_GAP_MM))));
  return found;
}
