import { exact, plus, type Uncertain } from '../figures/uncertain';
import { lastOf } from '../memo';
import { bestCone, coneOfBand, paperRadius, usableBand, type Band } from '../shapes/band';
import type { Hold } from '../shop/settings';
import { girthAt, middleGirth } from './solid';
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
    slant: exact(paper.slantMm),
    lie: { toleranceMm, usable, band, cone, chosen: asked !== null },
    opensMm: 0,
  };
}

/** A straight or tapering wall less its setbacks. */
function plainCover({ solid, shared }: RoundWrapPlan, asRectangle: boolean): Covered {
  const { topMm, footMm } = shared.setbacks;
  const slant = plus(solid.slant, exact(-topMm - footMm));
  const axial = (solid.wall.footMm - solid.wall.topMm) / Math.max(1e-9, solid.slant.value);
  const band = {
    topMm: solid.wall.topMm + topMm * axial,
    footMm: solid.wall.footMm - footMm * axial,
  };
  if (asRectangle && solid.form === 'straight') {
    const girth = middleGirth(solid);
    return { band, top: girth, foot: girth, slant, lie: null, opensMm: 0 };
  }
  const top = girthAt(solid, band.topMm);
  const foot = girthAt(solid, band.footMm);
  if (!asRectangle) return { band, top, foot, slant, lie: null, opensMm: 0 };
  const wide = top.value >= foot.value ? top : foot;
  return { band, top: wide, foot: wide, slant, lie: null, opensMm: Math.abs(top.value - foot.value) };
}

export function coverOf(input: RoundWrapPlan): Covered {
  const form = input.job.wrap.form ?? (input.solid.form === 'straight' ? 'rectangle' : 'cone');
  return input.solid.form === 'shaped' && form === 'cone'
    ? shapedCover(input)
    : plainCover(input, form === 'rectangle');
}
