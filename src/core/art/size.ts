import { rotate } from '../geometry/affine';
import { clamp, type Rect } from '../geometry/plane';
import type { Layer, PictureLayer, PicturePlacement } from '../job/art';
import { MM_PER_INCH } from '../message/quantity';
import type { PlacedLayer, PlacedPicture } from './placedLayers';

/** The point of a layer that stays where it is while its size changes: −1, 0 or 1 across and down its own box. */
export interface Anchor {
  readonly x: -1 | 0 | 1;
  readonly y: -1 | 0 | 1;
}
export const MIDDLE: Anchor = { x: 0, y: 0 };

interface Size {
  readonly widthMm: number;
  readonly heightMm: number;
}

const LEAST_SCALE = 0.02;
const MOST_SCALE = 50;
/** Width over height, against the picture's own: what may be set. */
const STRETCH = [0.1, 10] as const;

/** How far the middle moves so that the anchor stays, mm: the anchor's arm before less its arm after, turned with the layer. */
function middleMoves(anchor: Anchor, before: Size, after: Size, rotationDeg: number): [number, number] {
  const [c, s] = rotate(rotationDeg);
  const x = (anchor.x * (before.widthMm - after.widthMm)) / 2;
  const y = (anchor.y * (before.heightMm - after.heightMm)) / 2;
  return [c * x - s * y, s * x + c * y];
}

/**
 * The placement of a picture at another size, mm. With one side given its ratio stays; with both it is stretched to them. Sizes beyond what a
 * placement can hold are held to it.
 */
export function resized(
  { placement }: Pick<PictureLayer, 'placement'>,
  before: Size,
  wanted: Partial<Size>,
  anchor: Anchor = MIDDLE,
): PicturePlacement {
  const { widthMm, heightMm } = wanted;
  const kx = (widthMm ?? NaN) / before.widthMm;
  const ky = (heightMm ?? NaN) / before.heightMm;
  const was = placement.stretch ?? 1;
  const stretch = Number.isNaN(kx) || Number.isNaN(ky) ? was : clamp((was * kx) / ky, ...STRETCH);
  // The scale is that of the height; the width follows by the stretch.
  const scale = clamp(placement.scale * (Number.isNaN(ky) ? kx : ky), LEAST_SCALE, MOST_SCALE);
  const k = scale / placement.scale;
  const after = { widthMm: (before.widthMm * k * stretch) / was, heightMm: before.heightMm * k };
  const [dx, dy] = middleMoves(anchor, before, after, placement.rotationDeg);
  const { stretch: _was, ...rest } = placement;
  return {
    ...rest,
    ...(stretch === 1 ? {} : { stretch }),
    scale,
    dxMm: clamp(placement.dxMm + dx, -2000, 2000),
    dyMm: clamp(placement.dyMm + dy, -2000, 2000),
  };
}

/** What a picture measures at the resolution its file says, mm; null where the file says none. */
export const actualSize = (picture: PictureLayer['picture']): Size | null =>
  picture.ppi === undefined
    ? null
    : {
        widthMm: (picture.widthPx / picture.ppi) * MM_PER_INCH,
        heightMm: (picture.heightPx / picture.ppi) * MM_PER_INCH,
      };

/** The upright box round a placed layer, mm of the board. */
export function layerBox(placed: PlacedLayer): Rect {
  if (placed.kind === 'text') return placed.set.box;
  const xs = placed.transform.corners.map((p) => p.x);
  const ys = placed.transform.corners.map((p) => p.y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

export const SIDES = ['left', 'centre', 'right', 'top', 'middle', 'bottom'] as const;
export type Side = (typeof SIDES)[number];

/** How far a layer moves to lie along one side of an area, or in its middle, mm. */
export function alignedBy(
  box: Rect,
  area: Rect,
  side: Side,
): { readonly dxMm: number; readonly dyMm: number } {
  const share = { left: 0, centre: 0.5, right: 1, top: 0, middle: 0.5, bottom: 1 }[side];
  return side === 'left' || side === 'centre' || side === 'right'
    ? { dxMm: area.x + share * (area.width - box.width) - box.x, dyMm: 0 }
    : { dxMm: 0, dyMm: area.y + share * (area.height - box.height) - box.y };
}

/** A layer moved by so much, mm. */
export function movedBy(layer: Layer, dxMm: number, dyMm: number): Layer {
  if (layer.kind === 'text')
    return {
      ...layer,
      dxMm: clamp(layer.dxMm + dxMm, -1000, 1000),
      dyMm: clamp(layer.dyMm + dyMm, -1000, 1000),
    };
  const { placement } = layer;
  return {
    ...layer,
    placement: {
      ...placement,
      dxMm: clamp(placement.dxMm + dxMm, -2000, 2000),
      dyMm: clamp(placement.dyMm + dyMm, -2000, 2000),
    },
  };
}

/**
 * By how much each layer moves across, mm, so that the gaps between neighbours are equal; the outer two stay. Fewer than three have nothing
 * between them.
 */
export function spreadAcross(
  boxes: readonly { readonly id: string; readonly box: Rect }[],
): ReadonlyMap<string, number> {
  const sorted = [...boxes].sort((a, b) => a.box.x + a.box.width / 2 - (b.box.x + b.box.width / 2));
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last || sorted.length < 3) return new Map();
  const room = last.box.x + last.box.width - first.box.x;
  const gap = (room - sorted.reduce((w, b) => w + b.box.width, 0)) / (sorted.length - 1);
  let x = first.box.x;
  return new Map(
    sorted.map(({ id, box }) => {
      const by = x - box.x;
      x += box.width + gap;
      return [id, by];
    }),
  );
}

/**
 * By how much the outermost layers move across, mm, so that the white beside a handle is the same on both sides: one layer to the middle, the
 * left one and the right one by half of the difference each.
 */
export function evenAtHandle(
  boxes: readonly { readonly id: string; readonly box: Rect }[],
  trim: Rect,
): ReadonlyMap<string, number> {
  const left = boxes.reduce<(typeof boxes)[number] | null>((a, b) => (a && a.box.x <= b.box.x ? a : b), null);
  const endOf = ({ box }: (typeof boxes)[number]): number => box.x + box.width;
  const right = boxes.reduce<(typeof boxes)[number] | null>(
    (a, b) => (a && endOf(a) >= endOf(b) ? a : b),
    null,
  );
  if (!left || !right) return new Map();
  const half = (trim.x + trim.width - endOf(right) - (left.box.x - trim.x)) / 2;
  return new Map([
    [left.id, half],
    [right.id, half],
  ]);
}

/** Pixels a placed picture takes at a resolution. */
export const pixelsAt = ({ transform }: Pick<PlacedPicture, 'transform'>, ppi: number) => ({
  widthPx: Math.round((transform.widthMm / MM_PER_INCH) * ppi),
  heightPx: Math.round((transform.heightMm / MM_PER_INCH) * ppi),
});
