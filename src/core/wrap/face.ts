import { errorCdf, errorShape } from '../figures/interval';
import { rising } from '../figures/root';
import { improved, LEAST_SHARE, type Improvement } from '../figures/improve';
import { sourceOf } from '../figures/sources';
import { measured, plus, scaled, standardU, uniformU, type Uncertain } from '../figures/uncertain';
import type { PrintUncertainty } from './error';

const PLACING_HALF_WIDTH_MM = 1.5;
const FOLD_HALF_WIDTH_MM = 0.5;

/** How far a flat blank may lie off its picture along each axis: by its own size and the printer's, and by the hand. Zero mean, mm. */
export interface FacePlacing {
  /** Half of what blank and picture differ by in size: felt at both edges of the axis. */
  readonly halfSize: { readonly x: Uncertain; readonly y: Uncertain };
  /** The hand lays it this far off at most, either way on either axis, mm. */
  readonly handMm: number;
}

function halfSizeOf(size: Uncertain, print: PrintUncertainty): Uncertain {
  const printed = plus(
    measured(0, print.scaleU * size.value, 'print scale'),
    measured(0, print.shrinkU * size.value, 'shrinkage'),
  );
  return scaled(plus({ value: 0, parts: size.parts }, printed), 0.5);
}

export const facePlacing = (
  width: Uncertain,
  height: Uncertain,
  print: { readonly x: PrintUncertainty; readonly y: PrintUncertainty },
): FacePlacing => ({
  halfSize: { x: halfSizeOf(width, print.x), y: halfSizeOf(height, print.y) },
  handMm: PLACING_HALF_WIDTH_MM,
});

/** Steps of Simpson's rule over the hand's error; the chance is smooth in it but for one corner. */
const STEPS = 12;

/** Chance that neither edge of one axis shows white: s + |p| ≤ bleed, p uniform in ± h. */
function axisChance(halfSize: Uncertain, handMm: number, bleedMm: number): number {
  if (standardU(halfSize) === 0) return Math.min(1, Math.max(0, bleedMm / handMm));
  const shape = errorShape(halfSize);
  let sum = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const weight = i === 0 || i === STEPS ? 1 : i % 2 === 1 ? 4 : 2;
    sum += weight * errorCdf(shape, bleedMm - (handMm * i) / STEPS);
  }
  return sum / (3 * STEPS);
}

/** Chance that no white shows at any of the four edges, 0..1. */
export const coverChance = ({ halfSize, handMm }: FacePlacing, bleedMm: number): number =>
  axisChance(halfSize.x, handMm, bleedMm) * axisChance(halfSize.y, handMm, bleedMm);

/** Bleed that hides every edge 19 times in 20, mm: a thousandth of a millimetre is far finer than any knife. */
export function bleedFor19In20(placing: FacePlacing): number {
  const mostMm = placing.handMm + 8 * Math.max(standardU(placing.halfSize.x), standardU(placing.halfSize.y));
  return rising((bleedMm) => coverChance(placing, bleedMm) - 0.95, 0, mostMm, 0.0005);
}

const HAND = 'placement';

/** The placing with one source improved as advised. */
const placedBetter = ({ halfSize, handMm }: FacePlacing, source: string): FacePlacing => ({
  halfSize: { x: improved(halfSize.x, source), y: improved(halfSize.y, source) },
  handMm: source === HAND ? handMm * sourceOf(source).leaves : handMm,
});

/** Which sources to improve, largest first, and how much bleed each would save. */
export function placingImprovements(placing: FacePlacing): readonly Improvement[] {
  const { x, y } = placing.halfSize;
  const handU = uniformU(placing.handMm) * Math.SQRT2;
  const sources = [...new Set([...Object.keys(x.parts), ...Object.keys(y.parts)])];
  const us = [
    ...sources.map((source) => ({ source, u: Math.hypot(x.parts[source] ?? 0, y.parts[source] ?? 0) })),
    { source: HAND, u: handU },
  ];
  const total = us.reduce((a, s) => a + s.u * s.u, 0);
  const now = bleedFor19In20(placing);
  return us
    .map(({ source, u }) => ({ source, share: total === 0 ? 0 : (u * u) / total }))
    .filter((s) => s.share >= LEAST_SHARE)
    .sort((a, b) => b.share - a.share)
    .map(({ source, share }) => {
      const { label, advice } = sourceOf(source);
      return { label, advice, share, buys: Math.max(0, now - bleedFor19In20(placedBetter(placing, source))) };
    });
}

/** Two faces printed about a fold part by twice what the fold is off. */
export const foldRegistration = (): Uncertain => scaled(measured(0, uniformU(FOLD_HALF_WIDTH_MM), HAND), 2);
