import { boundsOf } from '../../geometry/plane';
import { type Ring, signedArea } from '../../geometry/ring';

/** Quarter turns clockwise. */
export type QuarterTurn = 0 | 90 | 180 | 270;

/** Pieces of one outline to lay on paper; the outline's box starts at 0, 0. */
export interface NestShape {
  readonly outline: Ring;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly count: number;
  /** The outline is its own box. */
  readonly square: boolean;
}

/** One piece laid down: its box's upper left corner after turning, mm in the area. */
export interface NestPlacement {
  readonly shape: number;
  readonly turn: QuarterTurn;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface NestArea {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Least room between pieces, mm. */
  readonly gapMm: number;
  /** Any quarter turn, or upright only. */
  readonly mayRotate: boolean;
}

/** A whole layout: pieces sheet by sheet; and what found no room even on an empty sheet. */
export interface Nest {
  readonly sheets: readonly (readonly NestPlacement[])[];
  readonly left: number;
}

export function nestShape(outline: Ring, count: number): NestShape {
  const b = boundsOf(outline);
  const own = outline.map((p) => ({ x: p.x - b.x, y: p.y - b.y }));
  const area = Math.abs(signedArea(own));
  return {
    outline: own,
    widthMm: b.width,
    heightMm: b.height,
    count,
    square: Math.abs(area - b.width * b.height) < 1e-6 * Math.max(1, area),
  };
}

export const turnsOf = (area: NestArea): readonly QuarterTurn[] => (area.mayRotate ? [0, 90, 180, 270] : [0]);

export const sizeTurned = (
  s: NestShape,
  turn: QuarterTurn,
): { readonly width: number; readonly height: number } =>
  turn % 180 === 0 ? { width: s.widthMm, height: s.heightMm } : { width: s.heightMm, height: s.widthMm };

/** The outline turned, its box again at 0, 0. */
export function outlineTurned(s: NestShape, turn: QuarterTurn): Ring {
  const { widthMm: w, heightMm: h } = s;
  switch (turn) {
    case 0:
      return s.outline;
    case 90:
      return s.outline.map((p) => ({ x: h - p.y, y: p.x }));
    case 180:
      return s.outline.map((p) => ({ x: w - p.x, y: h - p.y }));
    case 270:
      return s.outline.map((p) => ({ x: p.y, y: w - p.x }));
  }
}

/** Height the layout of a sheet takes, mm. */
export const usedHeight = (placements: readonly NestPlacement[]): number =>
  Math.max(0, ...placements.map((l) => l.y + l.height));
