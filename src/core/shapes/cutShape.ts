import { contours } from 'd3-contour';
import { fail, ok, type Result } from '../basics/result';
import { boundsOf, type Point } from '../geometry/plane';
import { signedArea, simplify, withoutRepeats, type Ring } from '../geometry/ring';
import { say } from '../message/message';
import { decimal, mm } from '../message/quantity';
import { distanceField, type Field } from './distanceField';

/** Where a picture is: 1 inside it, 0 outside, row by row from the top. */
export interface Mask {
  readonly width: number;
  readonly height: number;
  readonly cells: Uint8Array;
}

/** How an outline is cut round a picture, mm. */
export interface CutShapeRequest {
  /** Width the whole picture file has on the piece. */
  readonly widthMm: number;
  /** From the picture to the cut. */
  readonly distanceMm: number;
  /** Radius to which inward corners are rounded; a cutter cannot turn sharper. */
  readonly smoothMm: number;
  /** Hole for a ring above the picture; null for none. */
  readonly hole: { readonly diameterMm: number; readonly edgeMm: number } | null;
}

/** An outline with its box at the origin, mm, and the hole in it. */
export interface CutShape {
  readonly outline: Ring;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly hole: { readonly xMm: number; readonly yMm: number; readonly diameterMm: number } | null;
}

const WHERE = say('blank.outlineFromPicture');
/** The corners that are kept lie within this distance of the outline, mm. */
const TOLERANCE_MM = 0.02;
const MOST_CORNERS = 2000;
/** Distances are measured between the middles of cells: the edge of the picture lies half a cell beyond the last one inside. */
const HALF_CELL = 0.5;

/** The ring with as many corners as a blank keeps, at most. */
function fewCorners(ring: Ring): Ring {
  let toleranceMm = TOLERANCE_MM;
  let fewer = simplify(ring, toleranceMm);
  while (fewer.length > MOST_CORNERS) {
    toleranceMm *= 1.5;
    fewer = simplify(ring, toleranceMm);
  }
  return fewer;
}

/** Cells with a border of `by` empty ones. */
function bordered({ width, height, cells }: Mask, by: number): Mask {
  const w = width + 2 * by;
  const out = new Uint8Array(w * (height + 2 * by));
  for (let y = 0; y < height; y += 1) out.set(cells.subarray(y * width, (y + 1) * width), (y + by) * w + by);
  return { width: w, height: height + 2 * by, cells: out };
}

/** The middle of the hole: above the highest cell of the picture, with the edge of the material between, cells. */
function holeAt({ width, cells }: Mask, radius: number, edge: number): Point {
  const first = cells.indexOf(1);
  const row = Math.floor(first / width);
  let last = first;
  while (last + 1 < (row + 1) * width && cells[last + 1] === 1) last += 1;
  return { x: (first + last) / 2 - row * width, y: row - HALF_CELL - edge - radius };
}

/** Rings of a field where it crosses a value, in cells, those that bound what is above it. */
function outerRings({ width, height, values }: Field, value: number): readonly Ring[] {
  const [found] = contours().size([width, height]).smooth(true).thresholds([value])(Array.from(values));
  // d3 counts from the corner of the grid: the middle of a cell is half a cell from it.
  return (found?.coordinates ?? []).map(([outer = []]) =>
    outer.slice(0, -1).map(([x = 0, y = 0]) => ({ x: x - HALF_CELL, y: y - HALF_CELL })),
  );
}

/**
 * An outline at a distance round a picture, inward corners rounded, with a tab for a ring. It is the closing of the picture grown by that distance: grown
 * by the rounding radius as well, then shrunk by it (Serra, Image Analysis and Mathematical Morphology, 1982, ch. II).
 */
export function cutShape(mask: Mask, request: CutShapeRequest): Result<CutShape> {
  const cellMm = request.widthMm / mask.width;
  const { distanceMm, smoothMm, hole } = request;
  if (!mask.cells.includes(1)) return fail(say('blank.pictureEmpty'), WHERE, say('blank.pictureClearGround'));
  const grown = (distanceMm + smoothMm) / cellMm + HALF_CELL;
  const tab = hole ? (hole.diameterMm + 2 * hole.edgeMm) / cellMm : 0;
  const all = bordered(mask, Math.ceil(grown + tab + smoothMm / cellMm) + 3);
  const at = hole && holeAt(all, hole.diameterMm / 2 / cellMm, hole.edgeMm / cellMm);
  const near = distanceField(all.width, all.height, (i) => all.cells[i] === 1);
  const tabReach = tab / 2 + smoothMm / cellMm;
  const inside = (i: number): boolean =>
    (near.values[i] as number) <= grown ||
    (at !== null && Math.hypot((i % all.width) - at.x, Math.floor(i / all.width) - at.y) <= tabReach);
  const deep = distanceField(all.width, all.height, (i) => !inside(i));
  const rings = outerRings(deep, smoothMm / cellMm + HALF_CELL);
  const [largest] = [...rings].sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)));
  if (!largest) return fail(say('blank.pictureEmpty'), WHERE, say('blank.pictureClearGround'));
  if (rings.length > 1)
    return fail(
      say('blank.pictureInParts', { parts: rings.length }),
      WHERE,
      say('blank.raiseDistance', { distance: mm(distanceMm) }),
    );
  const scaled = largest.map((p) => ({ x: p.x * cellMm, y: p.y * cellMm }));
  const ring = fewCorners(withoutRepeats(scaled));
  const box = boundsOf(ring);
  if (Math.min(box.width, box.height) < 5 || Math.max(box.width, box.height) > 1300)
    return fail(
      say('files.sizeMm', { width: decimal(box.width, 1), height: decimal(box.height, 1) }),
      WHERE,
      say('files.blankBetween51300'),
    );
  return ok({
    outline: ring.map((p) => ({ x: p.x - box.x, y: p.y - box.y })),
    widthMm: box.width,
    heightMm: box.height,
    hole: hole &&
      at && {
        xMm: at.x * cellMm - box.x,
        yMm: at.y * cellMm - box.y,
        diameterMm: hole.diameterMm,
      },
  });
}

const CLEAR_UNDER = 128;
/** A pixel that differs this much (of 255) from the colour of the corners belongs to the picture. */
const UNLIKE = 24;

/** Where a picture is: where it is not clear; where nothing of it is clear, where it differs from the colour of its corners. */
export function maskOf(width: number, height: number, rgba: Uint8ClampedArray): Mask {
  const n = width * height;
  const cells = new Uint8Array(n);
  let clear = 0;
  for (let i = 0; i < n; i += 1) {
    const opaque = (rgba[4 * i + 3] as number) >= CLEAR_UNDER;
    cells[i] = opaque ? 1 : 0;
    if (!opaque) clear += 1;
  }
  if (clear > 0) return { width, height, cells };
  const corners = [0, width - 1, n - width, n - 1];
  const ground = [0, 1, 2].map((c) => corners.reduce((s, i) => s + (rgba[4 * i + c] as number), 0) / 4);
  for (let i = 0; i < n; i += 1)
    cells[i] = ground.some((g, c) => Math.abs((rgba[4 * i + c] as number) - g) > UNLIKE) ? 1 : 0;
  return { width, height, cells };
}
