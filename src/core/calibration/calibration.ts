import { uniformU } from '../figures/uncertain';
import type { Calibration, Paper } from '../shop/paper';

/** What one axis of a printer and paper does to lengths. Scale is printed over nominal; shrink is the share lost in the heat. */
export interface AxisScale {
  readonly scale: number;
  readonly scaleU: number;
  readonly shrink: number;
  readonly shrinkU: number;
}

export interface SheetScale {
  readonly across: AxisScale;
  readonly along: AxisScale;
  /** Measured on this paper, not assumed. */
  readonly known: boolean;
}

/** A printer whose bars have not been checked: ± 0.25 % of the length (uniform). */
const UNKNOWN_SCALE_HALF_WIDTH = 0.0025;
/** A bar is read against a rule to about this (uniform), mm. */
const BAR_HALF_WIDTH_MM = 0.25;
/** Farther off than this and it is a slip, or the driver fits the page. */
export const SCALE_BELIEVED = 0.03;

/** A printer and paper that change nothing. */
export const TRUE_SCALE: AxisScale = { scale: 1, scaleU: 0, shrink: 0, shrinkU: 0 };

const UNKNOWN: AxisScale = { scale: 1, scaleU: uniformU(UNKNOWN_SCALE_HALF_WIDTH), shrink: 0, shrinkU: 0 };

function axis(bar: Calibration['across']): AxisScale {
  const u = uniformU(BAR_HALF_WIDTH_MM) / bar.nominalMm;
  const pressed = bar.pressedMm;
  return {
    scale: bar.printedMm / bar.nominalMm,
    scaleU: u,
    // Paper does not grow in the heat: a pressed bar read longer is a slip of the rule.
    shrink: pressed === null ? 0 : Math.max(0, 1 - pressed / bar.printedMm),
    shrinkU: pressed === null ? 0 : u * Math.SQRT2,
  };
}

export function scaleOf(paper: Paper | null): SheetScale {
  const c = paper?.calibration;
  return c
    ? { across: axis(c.across), along: axis(c.along), known: true }
    : { across: UNKNOWN, along: UNKNOWN, known: false };
}

/** Longer than any shop's steel rule need be. */
const LONGEST_BAR_MM = 600;

/** The bars the calibration page carries on a paper: as long as round numbers allow inside its margins, mm. */
export function barsFor(
  paper: Paper,
  marginMm: number,
): { readonly acrossMm: number; readonly alongMm: number } {
  const room = (sideMm: number) =>
    Math.min(LONGEST_BAR_MM, Math.max(20, Math.floor((sideMm - 2 * marginMm - 30) / 10) * 10));
  return { acrossMm: room(paper.widthMm), alongMm: room(paper.heightMm) };
}
