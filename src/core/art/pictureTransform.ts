import type { PictureLayer, PicturePlacement, Repeat } from '../job/art';
import { flatten, type Contour } from '../geometry/contour';
import { type Rect, boundsOf, rectCorners } from '../geometry/plane';
import { MM_PER_INCH } from '../message/quantity';
import { apply, compose, IDENTITY, invert, rotate, scale, translate, type Affine } from '../geometry/affine';
import { uncovered, type Polygon } from '../geometry/polygon';

export type PictureEdge = 'top' | 'right' | 'bottom' | 'left';

export interface PictureTransform {
  /** Pixels as seen to mm of the straight board. */
  readonly matrix: Affine;
  readonly corners: Polygon;
  /** Along the side on which its pixels are largest. */
  readonly mmPerPx: number;
  readonly ppi: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** mm per pixel at which a picture turned by `turnDeg` just covers, or just fits, a rectangle. */
function baseScale(
  base: PicturePlacement['base'],
  pxW: number,
  pxH: number,
  rotationDeg: number,
  target: Rect,
): number {
  const [c, s] = rotate(rotationDeg);
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
function shortfall(bare: readonly Polygon[], bleed: Rect): Record<PictureEdge, number> {
  const found: Record<PictureEdge, number> = { top: 0, right: 0, bottom: 0, left: 0 };
  const near = 1e-6;
  for (const patch of bare) {
    const b = boundsOf(patch);
    const right = bleed.x + bleed.width;
    const bottom = bleed.y + bleed.height;
    const touches: Record<PictureEdge, boolean> = {
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
 * Sets a picture of pxW × pxH pixels on the straight board. Cover aims at the box of the bleed, fit at that of the trim; a flip turns the
 * picture over before anything else.
 */
export function placePicture(
  pxW: number,
  pxH: number,
  placement: PicturePlacement,
  trim: Rect,
  bleed: Rect,
  flip: PictureLayer['flip'] = { across: false, down: false },
): PictureTransform {
  const target = placement.base === 'cover' ? bleed : trim;
  const stretch = placement.stretch ?? 1;
  const mmPerPxDown = baseScale(placement.base, pxW, pxH, placement.rotationDeg, target) * placement.scale;
  const mmPerPxAcross = mmPerPxDown * stretch;
  const matrix = compose(
    translate(trim.x + trim.width / 2 + placement.dxMm, trim.y + trim.height / 2 + placement.dyMm),
    rotate(placement.rotationDeg),
    scale(flip.across ? -mmPerPxAcross : mmPerPxAcross, flip.down ? -mmPerPxDown : mmPerPxDown),
    translate(-pxW / 2, -pxH / 2),
  );
  // What a stretched picture is judged by is where its pixels are largest.
  const mmPerPx = Math.max(mmPerPxAcross, mmPerPxDown);
  return {
    matrix,
    corners: rectCorners({ x: 0, y: 0, width: pxW, height: pxH }).map((p) => apply(matrix, p)),
    mmPerPx,
    ppi: MM_PER_INCH / mmPerPx,
    widthMm: pxW * mmPerPxAcross,
    heightMm: pxH * mmPerPxDown,
  };
}

export interface BareAreas {
  /** Parts of the bleed with no picture, and how deep the gap runs in from each edge of the bleed, mm. */
  readonly bare: readonly Polygon[];
  readonly shortfallMm: Readonly<Record<PictureEdge, number>>;
}

/** What all the pictures together leave bare of the printed shape. */
export function bareAreas(shape: Contour, bleed: Rect, covers: readonly Polygon[]): BareAreas {
  const left = covers.reduce<readonly Polygon[]>(
    (bare, cover) => bare.flatMap((p) => uncovered(p, cover)),
    [flatten(shape, 0.05)],
  );
  // Slivers thinner than a hundredth of a millimetre come from rounding, not from the picture.
  const bare = left.filter((p) => {
    const b = boundsOf(p);
    return Math.min(b.width, b.height) > 0.01;
  });
  return { bare, shortfallMm: shortfall(bare, bleed) };
}

/** More than this and the repeat is too fine to be meant. */
export const MOST_TILES = 900;

/** Where every copy of a repeated picture goes, px to board mm; one for a picture set once. */
export function tilesOf(
  transform: PictureTransform,
  pxW: number,
  pxH: number,
  repeat: Repeat,
  over: Rect,
): readonly Affine[] {
  const back = repeat === 'none' ? null : invert(transform.matrix);
  if (!back) return [transform.matrix];
  const reach = boundsOf(rectCorners(over).map((p) => apply(back, p)));
  const span = (from: number, size: number, step: number) => ({
    first: Math.floor(from / step) - 1,
    last: Math.ceil((from + size) / step),
  });
  const across = span(reach.x, reach.width, pxW);
  const down = span(reach.y, reach.height, pxH);
  const tiles: Affine[] = [];
  for (let j = down.first; j <= down.last; j += 1)
    for (let i = across.first; i <= across.last; i += 1) {
      const drop = repeat === 'half-drop' && i % 2 !== 0 ? pxH / 2 : 0;
      const box = { x: i * pxW, y: j * pxH + drop, width: pxW, height: pxH };
      if (!meets(box, reach)) continue;
      if (tiles.length >= MOST_TILES) return tiles;
      tiles.push(compose(transform.matrix, translate(box.x, box.y), turnedOver(repeat, i, j, pxW, pxH)));
    }
  return tiles;
}

const meets = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

const turnedOver = (repeat: Repeat, i: number, j: number, pxW: number, pxH: number): Affine =>
  repeat !== 'mirror'
    ? IDENTITY
    : [i % 2 === 0 ? 1 : -1, 0, 0, j % 2 === 0 ? 1 : -1, i % 2 === 0 ? 0 : pxW, j % 2 === 0 ? 0 : pxH];
