import type { Placement } from '../job/job';
import { flatten, rectContour, type Contour } from '../shapes/contour';
import type { Rect } from '../shapes/plane';
import { MM_PER_INCH } from '../units/quantity';
import { apply, compose, rotate, scale, translate, type Affine } from './affine';
import { boundsOf, rectCorners, uncovered, type Polygon } from './polygon';

export type Edge = 'top' | 'right' | 'bottom' | 'left';

export interface Placed {
  /** Pixels as seen to pattern mm. */
  readonly matrix: Affine;
  readonly corners: Polygon;
  readonly mmPerPx: number;
  readonly ppi: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Parts of the bleed with no picture, and how deep the gap runs in from each edge of the bleed, mm. */
  readonly bare: readonly Polygon[];
  readonly shortfallMm: Readonly<Record<Edge, number>>;
}

/** mm per pixel at which a picture turned by `turnDeg` just covers, or just fits, a rectangle. */
export function baseScale(
  base: Placement['base'],
  pxW: number,
  pxH: number,
  turnDeg: number,
  target: Rect,
): number {
  const [c, s] = rotate(turnDeg);
  const ac = Math.abs(c);
  const as = Math.abs(s);
  if (base === 'cover') {
    return Math.max(
      (target.width * ac + target.height * as) / pxW,
      (target.width * as + target.height * ac) / pxH,
    );
  }
  return Math.min(target.width / (pxW * ac + pxH * as), target.height / (pxW * as + pxH * ac));
}

/** How far the bare patches run in from each edge of the bleed, mm. */
function shortfall(bare: readonly Polygon[], bleed: Rect): Record<Edge, number> {
  const found: Record<Edge, number> = { top: 0, right: 0, bottom: 0, left: 0 };
  const near = 1e-6;
  for (const patch of bare) {
    const b = boundsOf(patch);
    const right = bleed.x + bleed.width;
    const bottom = bleed.y + bleed.height;
    const touches: Record<Edge, boolean> = {
      top: Math.abs(b.y - bleed.y) < near,
      left: Math.abs(b.x - bleed.x) < near,
      right: Math.abs(b.x + b.width - right) < near,
      bottom: Math.abs(b.y + b.height - bottom) < near,
    };
    const wide = b.width >= b.height;
    // A patch along a corner touches two edges; it is charged to the edge it runs along.
    if (touches.top && (wide || !(touches.left || touches.right)))
      found.top = Math.max(found.top, b.y + b.height - bleed.y);
    if (touches.bottom && (wide || !(touches.left || touches.right)))
      found.bottom = Math.max(found.bottom, bottom - b.y);
    if (touches.left && (!wide || !(touches.top || touches.bottom)))
      found.left = Math.max(found.left, b.x + b.width - bleed.x);
    if (touches.right && (!wide || !(touches.top || touches.bottom)))
      found.right = Math.max(found.right, right - b.x);
  }
  return found;
}

/**
 * Sets a picture of pxW × pxH pixels on the pattern. Cover aims at the box of the bleed, fit at that of the trim; what stays bare is
 * told of the printed shape itself.
 */
export function placePicture(
  pxW: number,
  pxH: number,
  placement: Placement,
  trim: Rect,
  bleed: Rect,
  shape: Contour = rectContour(bleed),
): Placed {
  const target = placement.base === 'cover' ? bleed : trim;
  const mmPerPx = baseScale(placement.base, pxW, pxH, placement.turnDeg, target) * placement.scale;
  const matrix = compose(
    translate(trim.x + trim.width / 2 + placement.dxMm, trim.y + trim.height / 2 + placement.dyMm),
    rotate(placement.turnDeg),
    scale(mmPerPx),
    translate(-pxW / 2, -pxH / 2),
  );
  const corners = rectCorners({ x: 0, y: 0, width: pxW, height: pxH }).map((p) => apply(matrix, p));
  // Slivers thinner than a hundredth of a millimetre come from rounding, not from the picture.
  const bare = uncovered(flatten(shape, 0.05), corners).filter((p) => {
    const b = boundsOf(p);
    return Math.min(b.width, b.height) > 0.01;
  });
  return {
    matrix,
    corners,
    mmPerPx,
    ppi: MM_PER_INCH / mmPerPx,
    widthMm: pxW * mmPerPx,
    heightMm: pxH * mmPerPx,
    bare,
    shortfallMm: shortfall(bare, bleed),
  };
}
