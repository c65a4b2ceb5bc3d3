import { errorCdf, errorQuantile, errorShape, type ErrorShape } from '../figures/interval';
import { rising } from '../figures/root';
import { measured, plus, uniformU, type Uncertain } from '../figures/uncertain';
import type { SeamMethod } from '../shop/settings';

const KNIFE_HALF_WIDTH_MM = 0.5;
const PLACING_HALF_WIDTH_MM = 0.5;
const PLACEMENT = 'placement';
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
  const atSeam = plus(circumference, printed);
  // Printed over and trimmed on the blank, knife and hand no longer decide whether it reaches.
  if (seamMethod === 'over') return atSeam;
  return plus(
    plus(atSeam, measured(0, uniformU(KNIFE_HALF_WIDTH_MM), 'trim')),
    measured(0, uniformU(PLACING_HALF_WIDTH_MM), PLACEMENT),
  );
}

/** What one margin of a centred wrap is off by: half of what the length is off, and all that the hand is. */
export function marginError(error: Uncertain): Uncertain {
  const parts = Object.entries(error.parts).map(([source, u]) => [source, source === PLACEMENT ? u : u / 2]);
  return { value: 0, parts: Object.fromEntries(parts) as Record<string, number> };
}

const HALVES = 32;

/**
 * What the margins at both ends hold 19 times in 20, mm, where a wrap is laid centred: half of what the length is off goes to either end, and
 * what the hand is off goes wholly to one and from the other. P(|S|/2 + |P| ≤ x), S the length, P the placing, uniform within its limits
 * (Simpson's rule over P).
 */
export function bothMargins95(error: Uncertain): number {
  const { [PLACEMENT]: placing = 0, ...parts } = error.parts;
  const size = errorShape({ value: 0, parts });
  const halfMm = Math.abs(placing) * Math.sqrt(3);
  const holds = (x: number): number => {
    const within = (p: number) => (x <= p ? 0 : Math.max(0, 2 * errorCdf(size, 2 * (x - p)) - 1));
    if (halfMm === 0) return within(0);
    let sum = 0;
    for (let i = 0; i <= HALVES; i += 1) {
      const weight = i === 0 || i === HALVES ? 1 : i % 2 === 1 ? 4 : 2;
      sum += weight * within((halfMm * i) / HALVES);
    }
    return sum / (3 * HALVES);
  };
  const mostMm = halfMm + 4 * Math.hypot(size.uniformHalf, size.normalS) + 1e-6;
  return rising((x) => holds(x) - 0.95, 0, mostMm, 1e-7);
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
