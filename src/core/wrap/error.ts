import { errorCdf, errorQuantile, errorShape, type ErrorShape } from '../figures/interval';
import { measured, plus, uniformU, type Uncertain } from '../figures/uncertain';
import type { SeamMethod } from '../shop/settings';

const KNIFE_HALF_WIDTH_MM = 0.5;
const PLACING_HALF_WIDTH_MM = 0.5;
/** A butt seam passes when the ends meet within half a millimetre. */
const BUTT_TOLERANCE_MM = 0.5;

/** What the printer and the paper do to lengths, along the wrap: uncertainties only, the known part is compensated elsewhere. */
export interface PrintUncertainty {
  readonly scaleU: number;
  readonly shrinkU: number;
}

/** What can make the ends meet wrong, as one value with its sources. Zero mean. */
export function closingError(closing: Uncertain, seamMethod: SeamMethod, print: PrintUncertainty): Uncertain {
  const circumference: Uncertain = { value: 0, parts: closing.parts };
  const printed = plus(
    measured(0, print.scaleU * closing.value, 'print scale'),
    measured(0, print.shrinkU * closing.value, 'shrinkage'),
  );
  const atBench = plus(circumference, printed);
  // Printed over and trimmed on the blank, knife and hand no longer decide whether it reaches.
  if (seamMethod === 'over') return atBench;
  return plus(
    plus(atBench, measured(0, uniformU(KNIFE_HALF_WIDTH_MM), 'trim')),
    measured(0, uniformU(PLACING_HALF_WIDTH_MM), 'placement'),
  );
}

/** Chance that the seam does what its method wants, at a closing error of this shape. */
export function seamChance(seamMethod: SeamMethod, amountMm: number, error: ErrorShape): number {
  const reach = (slack: number) => errorCdf(error, slack);
  switch (seamMethod) {
    case 'butt':
      return Math.max(0, 2 * reach(BUTT_TOLERANCE_MM) - 1);
    case 'under':
      return reach(2 * amountMm);
    case 'lap':
    case 'over':
    case 'gap':
      return reach(amountMm);
  }
}

export const longFor19In20 = (error: Uncertain): number => errorQuantile(errorShape(error), 0.95);
