import { actualSize, resized } from '../art/size';
import { placePictureLayer, type ArtBoard } from '../art/placedLayers';
import { boundsOfContour, flatten, type Contour } from '../geometry/contour';
import type { Point, Rect } from '../geometry/plane';
import { START_PLACEMENT, type ArtTemplate, type PictureLayer, type PictureRef } from '../job/art';
import { MM_PER_INCH } from '../message/quantity';
import { mainFace, type Pattern } from '../wrap/pattern';
import type { Page, PageItem } from './pages';

const HAIR_MM = 0.2;
const CHORD_MM = 0.03;

/** What a design is made in: the printed face out to its bleed, mm of the pattern. */
export const templateBox = (pattern: Pattern): Rect => boundsOfContour(mainFace(pattern).bleed);

/** A template of a pattern at a resolution: its size in mm and in whole pixels. */
export function templateOf(pattern: Pattern, ppi: number, savedAt: number): ArtTemplate {
  const { width, height } = templateBox(pattern);
  const px = (mm: number): number => Math.max(1, Math.round((mm / MM_PER_INCH) * ppi));
  return { savedAt, ppi, widthPx: px(width), heightPx: px(height), widthMm: width, heightMm: height };
}

/** The lines of a template as a page of exactly its size, and nothing else: for pixels and PDF. */
export function templatePage(pattern: Pattern): Page {
  const box = templateBox(pattern);
  const face = mainFace(pattern);
  const at = (p: Point): Point => ({ x: p.x - box.x, y: p.y - box.y });
  const outline = (c: Contour): PageItem[] => {
    const ring = flatten(c, CHORD_MM).map(at);
    return ring.map((from, i) => ({
      kind: 'line',
      from,
      to: ring[(i + 1) % ring.length] ?? from,
      widthMm: HAIR_MM,
    }));
  };
  const { front } = pattern;
  const moved = (r: Rect): Rect => ({ ...r, x: r.x - box.x, y: r.y - box.y });
  return {
    widthMm: box.width,
    heightMm: box.height,
    bleedBox: moved(box),
    trimBox: moved(boundsOfContour(face.trim)),
    items: [
      ...[face.bleed, face.trim, ...face.safe, ...pattern.seams].flatMap(outline),
      ...face.exclusionZones.flatMap((z) => outline(z.contour)),
      ...(front
        ? [{ kind: 'line' as const, from: at(front.line.from), to: at(front.line.to), widthMm: HAIR_MM }]
        : []),
    ],
    copies: 1,
  };
}

/** One pixel more or less is rounding in another program. */
const SAME_PX = 1;
/** As true to size as a file that says its resolution can be expected to be, mm. */
const SAME_MM = 0.2;

/** The newest template that a picture was made in: by its pixels, or by the size its own resolution gives it; null where it is none. */
export function templateFor(templates: readonly ArtTemplate[], picture: PictureRef): ArtTemplate | null {
  const size = actualSize(picture);
  const made = (t: ArtTemplate): boolean =>
    (Math.abs(picture.widthPx - t.widthPx) <= SAME_PX &&
      Math.abs(picture.heightPx - t.heightPx) <= SAME_PX) ||
    (size !== null &&
      Math.abs(size.widthMm - t.widthMm) <= SAME_MM &&
      Math.abs(size.heightMm - t.heightMm) <= SAME_MM);
  return templates.findLast(made) ?? null;
}

/** A picture laid exactly where its template had it, at the size the template had. */
export function atTemplate(layer: PictureLayer, board: ArtBoard, template: ArtTemplate): PictureLayer {
  const { trim, bleed } = board.pattern;
  const plain: PictureLayer = { ...layer, placement: START_PLACEMENT };
  const { transform } = placePictureLayer(plain, board);
  const placement = resized(plain, transform, template);
  return {
    ...plain,
    placement: {
      ...placement,
      dxMm: bleed.x + bleed.width / 2 - (trim.x + trim.width / 2),
      dyMm: bleed.y + bleed.height / 2 - (trim.y + trim.height / 2),
    },
  };
}
