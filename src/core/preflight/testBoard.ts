import { exactly } from '@/words/exactly';
import type { ImageAnalysis, ImageCell } from '../art/analyseImage';
import type { ArtBoard, PlacedPicture } from '../art/placedLayers';
import { rectContour } from '../geometry/contour';
import { rectCorners, type Rect } from '../geometry/plane';
import { NO_ART, pictureLayer, type PictureRef } from '../job/art';
import { LIBRARY } from '../library/library';
import type { Pattern } from '../wrap/pattern';
import type { Check, CheckInput } from './check';
import { checkPicture } from './pictures';

/*
 * Checks of a board anyone can draw: a straight wrap of 200 × 100 mm with 3 mm of bleed and 6 mm safe, its front in the middle, 60 mm of it well
 * seen. A picture of 2060 × 1060 px fills the bleed at 10 px to the millimetre. Every expected value follows from these figures.
 */
export const TRIM: Rect = { x: 0, y: 0, width: 200, height: 100 };
export const BLEED: Rect = { x: -3, y: -3, width: 206, height: 106 };
const SAFE: Rect = { x: 6, y: 6, width: 188, height: 88 };
const ZONE: Rect = { x: 90, y: 80, width: 20, height: 20 };
const SEAM: Rect = { x: 0, y: 0, width: 4, height: 100 };
export const REF: PictureRef = {
  id: 'p',
  name: 'art.png',
  mime: 'image/png',
  widthPx: 2060,
  heightPx: 1060,
  orientation: 1,
  drawn: null,
};
export const blank = (over: Partial<CheckInput['blank']> = {}): CheckInput['blank'] => {
  const cup = LIBRARY.find((b) => b.id === 'straight-steel-590');
  if (!cup) throw new Error('no cup');
  return { ...cup, coating: { colour: '#ffffff', finish: 'gloss', stock: 'opaque' }, ...over };
};
export const pattern = {
  trim: TRIM,
  bleed: BLEED,
  safe: SAFE,
  whole: BLEED,
  form: 'rectangle',
  faces: [
    {
      name: 'wrap',
      matrix: [1, 0, 0, 1, 0, 0],
      trim: rectContour(TRIM),
      bleed: rectContour(BLEED),
      safe: [rectContour(SAFE)],
      exclusionZones: [{ name: 'stamp', contour: rectContour(ZONE) }],
    },
  ],
  seams: [rectContour(SEAM)],
  front: { x: 100, wellMm: 60 },
} as unknown as Pattern;
export const BOARD: ArtBoard = { pattern, bend: null };

/** The picture scaled by `k` about its upper left corner, which stands at (x, y) mm. */
export const placed = (over: Partial<PictureRef> = {}, k = 0.1, x = -3, y = -3): PlacedPicture => {
  const ref = { ...REF, ...over };
  const box = { x, y, width: ref.widthPx * k, height: ref.heightPx * k };
  return {
    kind: 'picture',
    id: 'l',
    ref,
    on: 'both',
    transform: {
      matrix: [k, 0, 0, k, x, y],
      corners: rectCorners(box),
      mmPerPx: k,
      ppi: 25.4 / k,
      widthMm: box.width,
      heightMm: box.height,
    },
    tiles: [[k, 0, 0, k, x, y]],
    bend: null,
    over: BLEED,
  };
};
export const NONE = { bare: [], shortfallMm: { top: 0, right: 0, bottom: 0, left: 0 } };
export const input = (
  l: PlacedPicture,
  over: Partial<CheckInput> = {},
  layer: Parameters<typeof pictureLayer>[2] = {},
): CheckInput => ({
  art: { ...NO_ART, layers: [pictureLayer('l', l.ref, layer)] },
  board: BOARD,
  blank: blank(),
  placedLayers: [l],
  bareAreas: NONE,
  bleedMm: 3,
  analyses: {},
  ofNames: [],
  mostInkPct: 260,
  blurMm: 0.15,
  ...over,
});
export const found = (
  l: PlacedPicture,
  over: Partial<CheckInput> = {},
  layer: Parameters<typeof pictureLayer>[2] = {},
) => checkPicture(l, input(l, over, layer));
export const level = (checks: readonly Check[], id: string) => checks.find((c) => c.id === id)?.level ?? null;
export const placeOf = (checks: readonly Check[], id: string) => checks.find((c) => c.id === id)?.at;
/** What a check says, lengths in mm to two decimals. */
export const words = (checks: readonly Check[], id: string) => {
  const text = checks.find((c) => c.id === id)?.text;
  return text ? exactly(text) : '';
};

const CELL: ImageCell = { clear: 0, white: 0, pale: 0, dark: 0, inkPct: 100 };
/** Ten by ten squares of the picture, each 20.6 × 10.6 mm; analysed at half its pixels. */
export const analysis = (
  cellAt: (col: number, row: number) => Partial<ImageCell> = () => ({}),
  rest: Partial<ImageAnalysis> = {},
): ImageAnalysis => ({
  widthPx: 1030,
  heightPx: 530,
  cols: 10,
  rows: 10,
  cells: Array.from({ length: 100 }, (_, i) => ({ ...CELL, ...cellAt(i % 10, Math.floor(i / 10)) })),
  frames: [],
  finestPx: null,
  ...rest,
});
export const seen = (
  a: ImageAnalysis,
  over: Partial<CheckInput> = {},
  layer: Parameters<typeof pictureLayer>[2] = {},
) => found(placed(), { analyses: { p: a }, ...over }, layer);
/** So many squares of the hundred, row after row. */
export const first = (n: number, cell: Partial<ImageCell>) =>
  analysis((col, row) => (row * 10 + col < n ? cell : {}));
