import { problemError, say } from '@/core/message/message';
import { sourceBox, type PixelSource, type Sources } from '@/core/art/items';
import { fontById, type FontId } from '@/core/job/fonts';
import { makeChunk, joinBytes, physChunk, PNG_SIGNATURE, softwareChunk } from '@/core/formats/png';
import { MM_PER_INCH } from '@/core/message/quantity';
import type { Page, PageItem } from '@/core/sheet/pages';
import type { Rect } from '@/core/geometry/plane';
import { bitmapOf, canvasFor, pixelsOf, type PictureBytes } from './decode';
import { Deflater, rgbaRow, rgbRow, UpRows } from './deflate';
import { drawPart, LABEL_FACE, type Painted } from './draw';
import { makeBitmap } from './raster';

export async function fontBytes(file: string): Promise<Uint8Array> {
  const response = await fetch(`/fonts/${file}.woff`);
  if (!response.ok) throw problemError(say('files.fontNotLoaded', { font: file }));
  return new Uint8Array(await response.arrayBuffer());
}

export const fontsUsed = (items: readonly PageItem[]): readonly FontId[] => [
  ...new Set(items.flatMap((i) => (i.kind === 'letters' ? [i.font] : []))),
];

const faceName = (id: FontId): string => `words-${id}`;
const loaded = new Set<string>();

async function loadFace(family: string, file: string, weight: number): Promise<void> {
  if (loaded.has(family)) return;
  const face = new FontFace(family, Uint8Array.from(await fontBytes(file)), { weight: String(weight) });
  await face.load();
  (self as unknown as { fonts: FontFaceSet }).fonts.add(face);
  loaded.add(family);
}

/** Face the marks and labels of a sheet are set in. */
export const LABEL_FONT = 'barlow-latin-600-normal';

/** Loads every face some items are set in. */
export async function loadFaces(items: readonly PageItem[]): Promise<void> {
  for (const id of fontsUsed(items)) await loadFace(faceName(id), fontById(id).file, fontById(id).weight);
  if (items.some((i) => i.kind === 'text')) await loadFace(LABEL_FACE, LABEL_FONT, 600);
}

const of = (source: PixelSource, pictures: readonly PictureBytes[]): PictureBytes => {
  const found = pictures.find((p) => p.ref.id === source.ref.id);
  if (!found) throw problemError(say('files.pictureMissing', { name: source.ref.name }));
  return found;
};

/** Every source of some items as something to draw with. Close the bitmaps when done. */
export async function paintsFor(
  items: readonly PageItem[],
  sources: Sources,
  pictures: readonly PictureBytes[],
  perMm: number,
): Promise<ReadonlyMap<string, Painted>> {
  const keys = new Set(items.flatMap((i) => (i.kind === 'picture' ? [i.source] : [])));
  const paints = new Map<string, Painted>();
  for (const key of keys) {
    const source = sources[key];
    if (!source) continue;
    const picture = of(source, pictures);
    const bitmap =
      source.kind === 'made'
        ? await makeBitmap(await pixelsOf(picture), source, perMm)
        : await bitmapOf(picture);
    paints.set(key, { bitmap, box: sourceBox(source) });
  }
  return paints;
}

export const closeAll = (paints: ReadonlyMap<string, Painted>): void =>
  paints.forEach((p) => p.bitmap.close());

const BAND = 192;

/** A page as PNG with its resolution, drawn and compressed a band of rows at a time. */
export async function pagePng(
  page: Page,
  ppi: number,
  paints: ReadonlyMap<string, Painted>,
  onProgress: (part: number) => void,
  ground: 'white' | 'clear' = 'white',
): Promise<Uint8Array<ArrayBuffer>> {
  const perMm = ppi / MM_PER_INCH;
  const width = Math.round(page.widthMm * perMm);
  const height = Math.round(page.heightMm * perMm);
  const rows = new Deflater();
  const clear = ground === 'clear';
  const up = new UpRows(width * (clear ? 4 : 3));
  const rowOf = clear ? rgbaRow : rgbRow;
  for (let y = 0; y < height; y += BAND) {
    const n = Math.min(BAND, height - y);
    const g = canvasFor(width, n);
    drawPart(
      g,
      page.items,
      { x: 0, y: y / perMm, width: page.widthMm, height: n / perMm },
      perMm,
      paints,
      faceName,
      ground,
    );
    await rows.write(up.band(n, rowOf(g.getImageData(0, 0, width, n).data, width)));
    onProgress((y + n) / height);
  }
  const head = new Uint8Array(13);
  const dv = new DataView(head.buffer);
  dv.setUint32(0, width);
  dv.setUint32(4, height);
  // Colour type 6 carries opacity, 2 does not.
  head.set([8, clear ? 6 : 2, 0, 0, 0], 8);
  return joinBytes([
    Uint8Array.from(PNG_SIGNATURE),
    makeChunk('IHDR', head),
    physChunk(ppi),
    softwareChunk(),
    makeChunk('IDAT', await rows.end()),
    makeChunk('IEND', new Uint8Array(0)),
  ]);
}

/** Part of some items as pixels, for looking at and not for printing. */
export function partPixels(
  items: readonly PageItem[],
  area: Rect,
  perMm: number,
  paints: ReadonlyMap<string, Painted>,
): ImageData {
  const g = canvasFor(
    Math.max(1, Math.round(area.width * perMm)),
    Math.max(1, Math.round(area.height * perMm)),
  );
  drawPart(g, items, area, perMm, paints, faceName);
  return g.getImageData(0, 0, g.canvas.width, g.canvas.height);
}
