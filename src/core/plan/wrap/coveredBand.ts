import { type UsableInput } from './wrapPlan';
import { exact, scaled, type Uncertain } from '../../figures/uncertain';
import { bestCone, coneOfBand, paperRadius, usableBand, type Band } from '../../shapes/band';
import type { Hold } from '../../shop/settings';
import {
  circumferenceAt,
  circumferenceRange,
  middleCircumference,
  type MeasuredRound,
} from '../measure/measuredShape';
import type { PaperFit } from './wrapPlan';
import type { RoundPlanInput } from './wrapPlan';

/** How far paper may stand off and still take dye: held by tape at its edges, pulled down like shrink film, or in a sleeve. */
export const CONTACT_MM: Readonly<Record<Hold, number>> = {
  'bare tape': 0.15,
  'tape pulled tight': 0.3,
  sleeve: 0.5,
};

/** The wall the paper covers: circumferences at its two edges, and its length down the paper. */
export interface CoveredBand {
  readonly band: Band;
  readonly top: Uncertain;
  readonly foot: Uncertain;
  readonly slant: Uncertain;
  readonly warp: PaperFit | null;
  /** A rectangle on a tapering wall: how much it opens at the narrow end, mm of circumference. */
  readonly opensMm: number;
}

const within = (band: Band, limits: Band): Band => {
  const topMm = Math.min(Math.max(band.topMm, limits.topMm), limits.footMm);
  return { topMm, footMm: Math.max(topMm, Math.min(band.footMm, limits.footMm)) };
};

/** The tallest band that lies flat. It does not depend on the band a person drags: a planner that remembers does not look for it again. */
export const findUsable = ({ profile, topMm, footMm, toleranceMm }: UsableInput): Band =>
  usableBand(profile, { topMm, footMm }, toleranceMm);

/** Where paper lies on a shaped wall: the band asked for, else the tallest that lies flat, and the cone closest to it. */
function shapedCover({ job, hold, measuredShape, shared, usable }: RoundPlanInput): CoveredBand {
  const toleranceMm = CONTACT_MM[hold];
  // Paper cannot follow a rounded shoulder past the wall.
  const topMm = Math.max(0, shared.setbacks.topMm);
  const footMm = Math.max(0, shared.setbacks.footMm);
  const limits: Band = {
    topMm: Math.min(measuredShape.wall.topMm + topMm, measuredShape.wall.footMm - 2),
    footMm: Math.max(
      Math.min(measuredShape.wall.topMm + topMm, measuredShape.wall.footMm - 2) + 1,
      measuredShape.wall.footMm - footMm,
    ),
  };
  const flat = usable({ profile: measuredShape.profile, ...limits, toleranceMm });
  const asked = job.wrap.band && within(job.wrap.band, limits);
  const band = asked && asked.footMm - asked.topMm >= 5 ? asked : flat;
  const cone = bestCone(measuredShape.profile, band);
  const paper = coneOfBand(cone, band);
  const circumference = (z: number): Uncertain => ({
    value: 2 * Math.PI * paperRadius(cone, z),
    parts: circumferenceAt(measuredShape, z).parts,
  });
  return {
    band,
    top: circumference(band.topMm),
    foot: circumference(band.footMm),
    slant: lengthOfBand(measuredShape, paper.slantMm, asked !== null),
    warp: { toleranceMm, usable: flat, band, cone, chosen: asked !== null },
    opensMm: 0,
  };
}

/**
 * A band found follows the wall it was found on: a wall measured too long by a hundredth makes it too long by a hundredth. One set by hand
 * lies between two heights that were said, whatever the wall.
 */
const lengthOfBand = (measuredShape: MeasuredRound, slantMm: number, chosen: boolean): Uncertain =>
  chosen
    ? exact(slantMm)
    : { value: slantMm, parts: scaled(measuredShape.slant, slantMm / measuredShape.slant.value).parts };

/** Circumference at a height; past rim and foot the paper goes on along the same cone. */
function circumferenceOnCone(m: MeasuredRound, zMm: number): Uncertain {
  const { topMm, footMm } = m.wall;
  const edgeMm = Math.min(footMm, Math.max(topMm, zMm));
  const at = circumferenceAt(m, edgeMm);
  const slope = (m.foot.value - m.top.value) / Math.max(1e-9, footMm - topMm);
  return { value: at.value + slope * (zMm - edgeMm), parts: at.parts };
}

/** A straight or tapering wall less its setbacks. */
function plainCover({ measuredShape, shared }: RoundPlanInput, asRectangle: boolean): CoveredBand {
  const { topMm, footMm } = shared.setbacks;
  const left = Math.max(0, measuredShape.slant.value - topMm - footMm);
  const slant: Uncertain = { value: left, parts: measuredShape.slant.parts };
  const axial =
    (measuredShape.wall.footMm - measuredShape.wall.topMm) / Math.max(1e-9, measuredShape.slant.value);
  const bandTopMm = Math.min(measuredShape.wall.footMm, measuredShape.wall.topMm + topMm * axial);
  const band = {
    topMm: bandTopMm,
    footMm: Math.max(bandTopMm, measuredShape.wall.footMm - footMm * axial),
  };
  if (asRectangle && measuredShape.form === 'straight') {
    const circumference = middleCircumference(measuredShape);
    return { band, top: circumference, foot: circumference, slant, warp: null, opensMm: 0 };
  }
  const top = circumferenceOnCone(measuredShape, band.topMm);
  const foot = circumferenceOnCone(measuredShape, band.footMm);
  if (!asRectangle) return { band, top, foot, slant, warp: null, opensMm: 0 };
  // Straight paper closes on the widest circumference it covers, wherever that is: at an edge of a cone, in the middle of a belly.
  const { widest, narrowest } = circumferenceRange(measuredShape, band);
  return { band, top: widest, foot: widest, slant, warp: null, opensMm: widest.value - narrowest.value };
}

export function coveredBandOf(input: RoundPlanInput): CoveredBand {
  const form = input.job.wrap.form ?? (input.measuredShape.form === 'straight' ? 'rectangle' : 'cone');
  return input.measuredShape.form === 'shaped' && form === 'cone'
    ? shapedCover(input)
    : plainCover(input, form === 'rectangle');
}
