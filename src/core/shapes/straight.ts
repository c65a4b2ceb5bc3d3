import type { StraightShape } from '../shop/blank';

/** A point in mm. Side views: x from the axis, y from the rim downwards. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const inset = (r: Rect, by: number): Rect => ({
  x: r.x + by,
  y: r.y + by,
  width: Math.max(0, r.width - 2 * by),
  height: Math.max(0, r.height - 2 * by),
});

/** Height of the straight wall as the catalogue gives it, mm. */
export const nominalWallMm = (s: StraightShape): number => s.heightMm - s.lipMm - s.footMm;

export interface SideZones {
  readonly lip: Rect;
  readonly wall: Rect;
  readonly foot: Rect;
}

/** The three zones of the side view, full width, y down from the rim. */
export function sideZones(s: StraightShape): SideZones {
  const x = -s.diameterMm / 2;
  const band = (y: number, height: number): Rect => ({ x, y, width: s.diameterMm, height });
  return {
    lip: band(0, s.lipMm),
    wall: band(s.lipMm, nominalWallMm(s)),
    foot: band(s.heightMm - s.footMm, s.footMm),
  };
}

/** Side outline as an SVG path in mm: a rolled lip, a straight wall and a rounded foot. */
export function sideOutline(s: StraightShape): string {
  const r = s.diameterMm / 2;
  const lip = Math.min(s.lipMm / 2, r / 6, 3);
  const foot = Math.min(s.footMm, r * 0.8);
  const h = s.heightMm;
  return [
    `M ${-r + lip} 0 H ${r - lip} Q ${r} 0 ${r} ${lip}`,
    `V ${h - foot} Q ${r} ${h} ${r - foot} ${h}`,
    `H ${-r + foot} Q ${-r} ${h} ${-r} ${h - foot}`,
    `V ${lip} Q ${-r} 0 ${-r + lip} 0 Z`,
  ].join(' ');
}

/** Arc seen from the front within ± `halfAngleDeg` of the middle: 2 r φ, mm. */
export const seenArcMm = (circumferenceMm: number, halfAngleDeg: number): number =>
  (circumferenceMm * halfAngleDeg) / 180;

/** Where a point of the pattern stands in the front view: r sin φ, mm from the axis. */
export function frontView(circumferenceMm: number, alongMm: number): number {
  const r = circumferenceMm / (2 * Math.PI);
  return r * Math.sin(alongMm / r);
}

/** A round blank shows comfortably to 60° either side of the middle; past 72° it is lost. */
export const SEEN_WELL_DEG = 60;
export const SEEN_AT_ALL_DEG = 72;
