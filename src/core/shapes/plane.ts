/** A point in mm. Drawings have y downwards. */
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

export interface Line {
  readonly from: Point;
  readonly to: Point;
}

export const inset = (r: Rect, by: number): Rect => ({
  x: r.x + by,
  y: r.y + by,
  width: Math.max(0, r.width - 2 * by),
  height: Math.max(0, r.height - 2 * by),
});

/** Smallest upright rectangle round two others. */
export function around(a: Rect, b: Rect): Rect {
  const x = Math.min(a.x, b.x);
  const y = Math.min(a.y, b.y);
  return {
    x,
    y,
    width: Math.max(a.x + a.width, b.x + b.width) - x,
    height: Math.max(a.y + a.height, b.y + b.height) - y,
  };
}

/** Arc seen from the front within ± `halfAngleDeg` of the middle: 2 r φ, mm. */
export const seenArcMm = (circumferenceMm: number, halfAngleDeg: number): number =>
  (circumferenceMm * halfAngleDeg) / 180;

/** A round blank shows comfortably to 60° either side of the middle; past 72° it is lost. */
export const SEEN_WELL_DEG = 60;
export const SEEN_AT_ALL_DEG = 72;

export const clamp = (v: number, least: number, most: number): number => Math.min(most, Math.max(least, v));
