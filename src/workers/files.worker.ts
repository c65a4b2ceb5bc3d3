import { say, problemError } from '@/core/message/message';
import * as Comlink from 'comlink';
import { orientation as exifOrientation } from 'exifr';
import { exifBlock } from '@/core/formats/orientation';
import { zipSync, type Zippable } from 'fflate';
import type { PixelSource, Sources } from '@/core/art/items';
import { findJoin } from '@/core/art/panelJoin';
import { analyseImage, type ImageAnalysis } from '@/core/art/analyseImage';
import { drawScene } from '@/core/art/scenes';
import { seamSearch, type SeamRequest, type SeamSearch } from '@/core/art/seam';
import { fontById } from '@/core/job/fonts';
import { inspectPicture } from '@/core/formats/picture';
import { nest } from '@/core/sheet/nest/nest';
import type { NestRequest } from '@/core/sheet/nest/request';
import type { Nest } from '@/core/sheet/nest/shape';
import { liftPixels } from '@/core/formats/png';
import type { Raster } from '@/core/formats/pdf';
import { pageSvg } from '@/core/formats/pageSvg';
import type { PictureRef } from '@/core/job/art';
import { fail, ok, type Result } from '@/core/basics/result';
import type { Rect } from '@/core/geometry/plane';
import type { Page, PageItem } from '@/core/sheet/pages';
import { MM_PER_INCH } from '@/core/message/quantity';
import { bitmapOf, canvasFor, pixelsOf, pngOf, type PictureBytes } from './decode';
import { cutShape, maskOf, type CutShape, type CutShapeRequest } from '@/core/shapes/cutShape';
import { drawSceneOn } from './draw';
import {
  closeAll,
  fontBytes,
  fontsUsed,
  loadFaces,
  LABEL_FONT,
  pagePng,
  paintsFor,
  partPixels,
} from './paint';
import { makeBitmap, makeRaster } from './raster';

export type { PictureBytes };

export interface SheetRequest {
  readonly title: string;
  readonly pages: readonly Page[];
  readonly sources: Sources;
  readonly pictures: readonly PictureBytes[];
  readonly ppi: number;
}

export interface PageRequest {
  readonly page: Page;
  readonly sources: Sources;
  readonly pictures: readonly PictureBytes[];
  readonly ppi: number;
  /** Clear where nothing is drawn; white paper where it does not say. */
  readonly ground?: 'clear';
}

export interface JoinRequest {
  readonly items: readonly PageItem[];
  readonly sources: Sources;
  readonly pictures: readonly PictureBytes[];
  readonly strips: readonly JoinStrip[];
}

/** Where a join may run, page mm, and whether the panels it parts follow one another along the wrap or down it. */
export interface JoinStrip {
  readonly rect: Rect;
  readonly way: 'across' | 'down';
}

export interface FoundJoin {
  readonly offsMm: readonly number[];
  readonly shows: number;
  readonly straightShows: number;
}

export type InspectedPicture = Pick<PictureRef, 'mime' | 'widthPx' | 'heightPx' | 'ppi' | 'orientation'>;
type Progress = (done: number) => void;

/** EXIF orientation, 1 where there is none or it cannot be read. */
async function orientationOf(bytes: Uint8Array): Promise<number> {
  try {
    const block = exifBlock(bytes);
    const found = block && (await exifOrientation(block));
    return typeof found === 'number' && found >= 1 && found <= 8 ? found : 1;
  } catch {
    return 1;
  }
}

/** A file that goes into a PDF as it came: JPEG, and PNG without transparency. */
const goesIn = (s: PixelSource, p: PictureBytes | undefined): boolean =>
  s.kind === 'file' &&
  p !== undefined &&
  (s.ref.mime === 'image/jpeg' || (s.ref.mime === 'image/png' && liftPixels(p.bytes) !== null));

async function rastersFor(request: SheetRequest, onProgress: Progress): Promise<Record<string, Raster>> {
  const work = Object.entries(request.sources).filter(
    ([, s]) =>
      !goesIn(
        s,
        request.pictures.find((p) => p.ref.id === s.ref.id),
      ),
  );
  const rasters: Record<string, Raster> = {};
  for (const [i, [key, source]] of work.entries()) {
    const picture = request.pictures.find((p) => p.ref.id === source.ref.id);
    if (!picture) throw problemError(say('files.pictureMissing', { name: source.ref.name }));
    const pixels = await pixelsOf(picture);
    rasters[key] = await makeRaster(
      pixels,
      source.kind === 'made' ? source : null,
      request.ppi / MM_PER_INCH,
      (part) => onProgress((i + part) / work.length),
    );
  }
  return rasters;
}

/** Pixels to the millimetre a join is looked for at: finer shows nothing a hand could follow. */
const JOIN_PER_MM = 4;
const JOIN_STEPS = 120;

/** A picture is read for its outline at so many cells to its long side. */
const CUT_CELLS = 1600;

const api = {
  /** Looks at a picture's bytes and proves that it opens. Drawings are opened by the page, which can draw them. */
  async inspect(bytes: Uint8Array, name: string): Promise<Result<InspectedPicture>> {
    const facts = inspectPicture(bytes, name);
    if (!facts.ok) return facts;
    const { mime, widthPx, heightPx } = facts.value;
    const orientation = await orientationOf(bytes);
    const sideways = orientation >= 5;
    const ref = { id: '', name, mime, widthPx, heightPx, orientation, drawn: null };
    if (mime !== 'image/svg+xml') {
      try {
        const bitmap = await bitmapOf({ ref, bytes });
        bitmap.close();
      } catch {
        return fail(say('files.pictureDamagedDoesOpen'), name, say('files.saveAgainFromProgram'));
      }
    }
    return ok({
      mime,
      orientation,
      widthPx: sideways ? heightPx : widthPx,
      heightPx: sideways ? widthPx : heightPx,
      ...(facts.value.ppi === undefined ? {} : { ppi: facts.value.ppi }),
    });
  },

  /** An outline round a picture; drawings are opened by the page and cannot be used. */
  async cutShape(bytes: Uint8Array, name: string, request: CutShapeRequest): Promise<Result<CutShape>> {
    const seen = await api.inspect(bytes, name);
    if (!seen.ok) return seen;
    if (seen.value.mime === 'image/svg+xml')
      return fail(say('blank.drawingAsOutline'), name, say('blank.useOutlineFile'));
    const { width, height, data } = await pixelsOf(
      { ref: { id: '', name, ...seen.value, drawn: null }, bytes },
      CUT_CELLS,
    );
    return cutShape(maskOf(width, height, Uint8ClampedArray.from(data)), request);
  },

  /** Draws one of the application's own pictures at its full size, as PNG. */
  async drawPicture(ref: PictureRef): Promise<Uint8Array> {
    if (!ref.drawn) throw problemError(say('files.pictureNotDrawnHere'));
    const canvas = new OffscreenCanvas(ref.widthPx, ref.heightPx);
    const g = canvas.getContext('2d', { alpha: false });
    if (!g) throw problemError(say('files.canvasRefused'));
    drawSceneOn(g, drawScene(ref.drawn.scene, ref.widthPx, ref.heightPx, ref.drawn.seed));
    return handOver(await pngOf(canvas));
  },

  /** A smaller copy for the screen, its long side at most `mostPx`. */
  async preview(picture: PictureBytes, mostPx: number): Promise<Blob> {
    const p = await pixelsOf(picture, mostPx);
    const g = canvasFor(p.width, p.height);
    g.putImageData(new ImageData(Uint8ClampedArray.from(p.data), p.width, p.height), 0, 0);
    return g.canvas.convertToBlob({ type: 'image/png' });
  },

  /** A bent or repeated picture for the screen, its long side at most `mostPx`. */
  async bentPreview(
    picture: PictureBytes,
    made: Extract<PixelSource, { kind: 'made' }>,
    mostPx: number,
  ): Promise<Blob> {
    const perMm = mostPx / Math.max(made.area.width, made.area.height);
    const finePx = Math.max(picture.ref.widthPx, picture.ref.heightPx);
    const pixels = await pixelsOf(picture, Math.min(finePx, 2 * mostPx));
    const k = picture.ref.widthPx / pixels.width;
    const tiles = made.tiles.map((t) => [t[0] * k, t[1] * k, t[2] * k, t[3] * k, t[4], t[5]] as const);
    const bitmap = await makeBitmap(pixels, { ...made, tiles }, perMm);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
    bitmap.close();
    return canvas.convertToBlob({ type: 'image/png' });
  },

  /** Everything the checks before printing need of a picture's pixels. */
  async analyseImage(picture: PictureBytes): Promise<ImageAnalysis> {
    return analyseImage(await pixelsOf(picture));
  },

  async seams(picture: PictureBytes, request: SeamRequest): Promise<SeamSearch> {
    return seamSearch(await pixelsOf(picture), request);
  },

  /** The least visible path of every join, as offsets from its straight line. */
  async joins(request: JoinRequest): Promise<readonly FoundJoin[]> {
    await loadFaces(request.items);
    const paints = await paintsFor(request.items, request.sources, request.pictures, JOIN_PER_MM);
    const found = request.strips.map((strip) =>
      joinIn(partPixels(request.items, strip.rect, JOIN_PER_MM, paints), strip),
    );
    closeAll(paints);
    return found;
  },

  /** Pieces laid freely on paper, with time to spare. */
  nests(asks: readonly NestRequest[]): readonly Nest[] {
    return asks.map(({ shapes, area }) => nest(shapes, area));
  },

  /** The sheets as PDF at true size. */
  async pdf(request: SheetRequest, onProgress: Progress): Promise<Uint8Array> {
    const rasters = await rastersFor(request, (p) => onProgress(0.8 * p));
    const used = fontsUsed(request.pages.flatMap((p) => p.items));
    const files = await Promise.all(
      used.map(async (id) => [id, await fontBytes(fontById(id).file)] as const),
    );
    // A megabyte, most of it for fonts: only those who save a PDF load it.
    const { writePdf } = await import('@/core/formats/pdf');
    const bytes = await writePdf({
      title: request.title,
      pages: request.pages,
      sources: request.sources,
      files: Object.fromEntries(request.pictures.map((p) => [p.ref.id, p.bytes])),
      rasters,
      labelFont: await fontBytes(LABEL_FONT),
      wordFonts: Object.fromEntries(files),
      onProgress: (p) => onProgress(0.8 + 0.2 * p),
    });
    return handOver(bytes);
  },

  /** One page as PNG with its resolution written in the file. */
  async png(
    { page, sources, pictures, ppi, ground }: PageRequest,
    onProgress: Progress,
  ): Promise<Uint8Array> {
    await loadFaces(page.items);
    const paints = await paintsFor(page.items, sources, pictures, ppi / MM_PER_INCH);
    const bytes = await pagePng(page, ppi, paints, onProgress, ground);
    closeAll(paints);
    return handOver(bytes);
  },

  /** One page as SVG, one user unit to the millimetre, pictures and fonts inside. */
  async svg({ page, sources, pictures, ppi }: PageRequest, title: string): Promise<string> {
    const images: Record<string, { readonly mime: string; readonly bytes: Uint8Array }> = {};
    for (const [key, source] of Object.entries(sources)) {
      const picture = pictures.find((p) => p.ref.id === source.ref.id);
      if (!picture) continue;
      const plain = source.kind === 'file' && ['image/png', 'image/jpeg'].includes(source.ref.mime);
      images[key] = plain
        ? { mime: source.ref.mime, bytes: picture.bytes }
        : { mime: 'image/png', bytes: await sourcePng(picture, source, ppi) };
    }
    const fonts = await Promise.all(
      fontsUsed(page.items).map(async (id) => ({ id, bytes: await fontBytes(fontById(id).file) })),
    );
    return pageSvg({ page, sources, images, fonts, labelFont: await fontBytes(LABEL_FONT), title });
  },

  /** Files in one ZIP; what is compressed already is only stored. */
  zip(files: readonly { readonly name: string; readonly bytes: Uint8Array }[]): Uint8Array {
    const tree: Zippable = {};
    for (const f of files) tree[f.name] = [f.bytes, { level: /\.(json|csv|svg|txt)$/.test(f.name) ? 6 : 0 }];
    return handOver(zipSync(tree));
  },
};

async function sourcePng(picture: PictureBytes, source: PixelSource, ppi: number): Promise<Uint8Array> {
  const bitmap =
    source.kind === 'made'
      ? await makeBitmap(await pixelsOf(picture), source, ppi / MM_PER_INCH)
      : await bitmapOf(picture);
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
  bitmap.close();
  return pngOf(canvas);
}

/** The strip is laid upright for the search, so that its rows follow the join. */
function joinIn(image: ImageData, { rect: strip, way }: JoinStrip): FoundJoin {
  const upright = way === 'across' ? image : turned(image);
  const wideMm = way === 'across' ? strip.width : strip.height;
  const longMm = way === 'across' ? strip.height : strip.width;
  const cols = Math.max(8, Math.min(upright.width, Math.round(wideMm * 2)));
  const rows = Math.max(8, Math.min(JOIN_STEPS, Math.round(longMm)));
  const window = { x: 0, y: 0, width: upright.width, height: upright.height };
  const { hidden, straight } = findJoin(upright, window, cols, rows);
  const offsMm = hidden.cols.map((c) => ((c + 0.5) / cols - 0.5) * wideMm);
  return { offsMm, shows: hidden.shows, straightShows: straight.shows };
}

function turned({ data, width, height }: ImageData): ImageData {
  const out = new ImageData(height, width);
  const from = new Uint32Array(data.buffer);
  const to = new Uint32Array(out.data.buffer);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) to[x * height + y] = from[y * width + x] as number;
  return out;
}

function handOver(bytes: Uint8Array): Uint8Array {
  const own = bytes.byteOffset === 0 && bytes.byteLength === bytes.buffer.byteLength ? bytes : bytes.slice();
  return Comlink.transfer(own, [own.buffer]);
}

export type FilesWorker = typeof api;
Comlink.expose(api);
