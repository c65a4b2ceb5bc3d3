import { develop, radiusAt, rollUp, type OnCone } from '../shapes/cone';
import type { Point } from '../geometry/plane';
import type { Roll } from './pattern';

/** Where a place of the wall lies on the flat pattern. Azimuth in radians to the right of the front, v mm down the paper. */
export function patternPoint(roll: Roll, azimuth: number, v: number): Point {
  const p = develop(roll.cone, azimuth - roll.middleRad, v);
  return { x: p.x + roll.dxMm, y: p.y + roll.dyMm };
}

/** The inverse: which place of the wall a point of the pattern lands on. */
export function wallPoint(roll: Roll, p: Point): OnCone {
  const on = rollUp(roll.cone, { x: p.x - roll.dxMm, y: p.y - roll.dyMm });
  return { azimuth: on.azimuth + roll.middleRad, slantMm: on.slantMm };
}

export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/**
 * A place of the paper part-way from flat (`round` 0) to closed (1), mm: x to the right, y up and z towards the viewer from the wall's axis
 * at the middle of the paper. Every stage is a cone that unrolls to the same pattern, so nothing stretches on the way: with κ = |k| and
 * q = κ + t (1 − κ), radii grow to r/q while azimuths shrink to qφ; the middle generator keeps its place and its slope.
 */
export function partlyRolled(roll: Roll, azimuth: number, v: number, round: number): Point3 {
  const { cone, middleRad } = roll;
  const kappa = Math.abs(cone.k);
  const q = Math.max(1e-6, kappa + Math.max(0, Math.min(1, round)) * (1 - kappa));
  const mid = cone.slantMm / 2;
  const sine = cone.k / q;
  const at = (angle: number, along: number) => ({
    x: (radiusAt(cone, along) / q) * Math.sin(angle * q),
    // Measured from the pivot, so that a nearly flat paper far from its axis loses no digits.
    z: (radiusAt(cone, along) * Math.cos(angle * q) - radiusAt(cone, mid)) / q,
    y: -(along - mid) * Math.sqrt(Math.max(0, 1 - sine * sine)),
  });
  const p = at(azimuth - middleRad, v);
  const turn = Math.asin(cone.k) - Math.asin(Math.max(-1, Math.min(1, sine)));
  const z = p.z * Math.cos(turn) + p.y * Math.sin(turn) + radiusAt(cone, mid);
  const y = p.y * Math.cos(turn) - p.z * Math.sin(turn);
  return {
    x: p.x * Math.cos(middleRad) + z * Math.sin(middleRad),
    y,
    z: z * Math.cos(middleRad) - p.x * Math.sin(middleRad),
  };
}
