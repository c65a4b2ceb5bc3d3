import { exact, scaled, type Uncertain } from '../figures/uncertain';
import { lastOf } from '../memo';
import { bestCone, coneOfBand, paperRadius, usableBand, type Band } from '../shapes/band';
import type { Hold } from '../shop/settings';
import { girthAt, girthRange, middleGirth, type RoundSolid } from './solid';
import type { Lie } from './wrap';
import type { RoundWrapPlan } from './wrapRound';

/** How far paper may stand off and still take dye: held by tape at its edges, pulled down like shrink film, or in a sleeve. */
export const CONTACT_MM: Readonly<Record<Hold, number>> = {
  'bare tape': 0.15,
  'tape pulled tight': 0.3,
  sleeve: 0.5,
};

/** The wall the paper covers: girths at its two edges, and its length down the paper. */
export interface Covered {
  readonly band: Band;
  readonly top: Uncertain;
  readonly foot: Uncertain;
  readonly slant: Uncertain;
  readonly lie: Lie | null;
  /** A rectangle on a tapering wall: how much it opens at the narrow end, mm of girth. */
  readonly opensMm: number;
}

const within = (band: Band, limits: Band): Band => {
  const topMm = Math.min(Math.max(band.topMm, limits.topMm), limits.footMm);
  return { topMm, footMm: Math.max(topMm, Math.min(band.footMm, limits.footMm)) };
};

/** The search does not depend on the band a person drags: while one is dragged it is not made again. */
const usableOnce = lastOf(usableBand);

/** Where paper lies on a shaped wall: the band asked for, else the tallest that lies flat, and the cone closest to it. */
function shapedCover({ job, settings, solid, shared }: RoundWrapPlan): Covered {
  const hold = job.wrap.hold ?? settings.house.hold;
  const toleranceMm = CONTACT_MM[hold];
  const limits: Band = {
    topMm: Math.min(solid.wall.topMm + shared.setbacks.topMm, solid.wall.footMm - 2),
    footMm: Math.max(
      Math.min(solid.wall.topMm + shared.setbacks.topMm, solid.wall.footMm - 2) + 1,
      solid.wall.footMm - shared.setbacks.footMm,
    ),
  };
  const usable = usableOnce(solid.profile, limits, toleranceMm);
  const asked = job.wrap.band && within(job.wrap.band, limits);
  const band = asked && asked.footMm - asked.topMm >= 5 ? asked : usable;
  const cone = bestCone(solid.profile, band);
  const paper = coneOfBand(cone, band);
  const girth = (z: number): Uncertain => ({
    value: 2 * Math.PI * paperRadius(cone, z),
    parts: girthAt(solid, z).parts,
  });
  return {
    band,
    top: girth(band.topMm),
    foot: girth(band.footMm),
    slant: lengthOfBand(solid, paper.slantMm, asked !== null),
    lie: { toleranceMm, usable, band, cone, chosen: asked !== null },
    opensMm: 0,
  };
}

/**
 * A band found follows the wall it was found on: a wall measured too long by a hundredth makes it too long by a hundredth. One set by hand
 * lies between two heights that were said, whatever the wall.
 */
const lengthOfBand = (solid: RoundSolid, slantMm: number, chosen: boolean): Uncertain =>
  chosen ? exact(slantMm) : { value: slantMm, parts: scaled(solid.slant, slantMm / solid.slant.value).parts };

/** A straight or tapering wall less its setbacks. */
function plainCover({ solid, shared }: RoundWrapPlan, asRectangle: boolean): Covered {
  const { topMm, footMm } = shared.setbacks;
  const left = Math.max(0, solid.slant.value - topMm - footMm);
  const slant: Uncertain = { value: left, parts: solid.slant.parts };
  const axial = (solid.wall.footMm - solid.wall.topMm) / Math.max(1e-9, solid.slant.value);
  const bandTopMm = Math.min(solid.wall.footMm, solid.wall.topMm + topMm * axial);
  const band = {
    topMm: bandTopMm,
    footMm: Math.max(bandTopMm, solid.wall.footMm - footMm * axial),
  };
  if (asRectangle && solid.form === 'straight') {
    const girth = middleGirth(solid);
    return { band, top: girth, foot: girth, slant, lie: null, opensMm: 0 };
  }
  const top = girthAt(solid, band.topMm);
  const foot = girthAt(solid, band.footMm);
  if (!asRectangle) return { band, top, foot, slant, lie: null, opensMm: 0 };
  // Straight paper closes on the widest girth it covers, wherever that is: at an edge of a cone, in the middle of a belly.
  const { widest, narrowest } = girthRange(solid, band);
  return { band, top: widest, foot: widest, slant, lie: null, opensMm: widest.value - narrowest.value };
}

export function coverOf(input: RoundWrapPlan): Covered {
  const form = input.job.wrap.form ?? (input.solid.form === 'straight' ? 'rectangle' : 'cone');
  return input.solid.form === 'shaped' && form === 'cone'
    ? shapedCover(input)
    : plainCover(input, form === 'rectangle');
}
