import * as Comlink from 'comlink';
import { orientation as exifOrientation } from 'exifr';
import { FONTS, fontById, type FontId } from '@/core/art/fonts';
import { drawScene } from '@/core/art/scenes';
import { inspectPicture } from '@/core/formats/picture';
import { writePdf } from '@/core/formats/pdf';
import { withResolution } from '@/core/formats/png';
import type { PictureRef } from '@/core/job/job';
import { fail, ok, type Result } from '@/core/result';
import type { Page } from '@/core/sheet/pages';
import { drawSceneOn, rasterPage } from './draw';

export interface PictureBytes {
  readonly ref: PictureRef;
  readonly bytes: Uint8Array;
}

export interface SheetRequest {
  readonly title: string;
  readonly pages: readonly Page[];
  readonly picture: PictureBytes | null;
}

export interface PieceRequest {
  readonly page: Page;
  readonly ppi: number;
  readonly picture: PictureBytes | null;
}

export type InspectedPicture = Pick<PictureRef, 'mime' | 'widthPx' | 'heightPx' | 'orientation'>;

const LABEL_FONT = 'barlow-latin-600-normal';

async function fontBytes(file: string): Promise<Uint8Array> {
  const response = await fetch(`/fonts/${file}.woff`);
  if (!response.ok) throw new Error(`The font ${file} did not load.`);
  return new Uint8Array(await response.arrayBuffer());
}

const fontsUsed = (pages: readonly Page[]): readonly FontId[] => [
  ...new Set(pages.flatMap((p) => p.items.flatMap((i) => (i.kind === 'words' ? [i.font] : [])))),
];

const bitmapOf = (p: PictureBytes): Promise<ImageBitmap> =>
  createImageBitmap(new Blob([Uint8Array.from(p.bytes)], { type: p.ref.mime }));

async function pngOf(canvas: OffscreenCanvas): Promise<Uint8Array> {
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  return new Uint8Array(await blob.arrayBuffer());
}

/** EXIF orientation of a JPEG, 1 where it has none or it cannot be read. */
async function orientationOf(bytes: Uint8Array): Promise<number> {
  try {
    const found = await exifOrientation(bytes);
    return found !== undefined && found >= 1 && found <= 8 ? found : 1;
  } catch {
    return 1;
  }
}

const api = {
  /** Looks at a picture's bytes and proves that it opens. */
  async inspect(bytes: Uint8Array, name: string): Promise<Result<InspectedPicture>> {
    const facts = inspectPicture(bytes, name);
    if (!facts.ok) return facts;
    const { mime, widthPx, heightPx } = facts.value;
    const orientation = mime === 'image/jpeg' ? await orientationOf(bytes) : 1;
    const sideways = orientation >= 5;
    try {
      const bitmap = await createImageBitmap(new Blob([Uint8Array.from(bytes)], { type: mime }));
      bitmap.close();
    } catch {
      return fail(
        'The picture is damaged and does not open.',
        name,
        'Save it again from the program that made it.',
      );
    }
    return ok({
      mime,
      orientation,
      widthPx: sideways ? heightPx : widthPx,
      heightPx: sideways ? widthPx : heightPx,
    });
  },

  /** Draws one of the application's own pictures at its full size, as PNG. */
  async drawPicture(ref: PictureRef): Promise<Uint8Array> {
    if (!ref.drawn) throw new Error('This picture is not one the application draws.');
    const canvas = new OffscreenCanvas(ref.widthPx, ref.heightPx);
    const g = canvas.getContext('2d', { alpha: false });
    if (!g) throw new Error('The browser gives no canvas.');
    drawSceneOn(g, drawScene(ref.drawn.scene, ref.widthPx, ref.heightPx, ref.drawn.seed));
    return Comlink.transfer(...withBuffer(await pngOf(canvas)));
  },

  /** A smaller copy for the screen, its long side at most `mostPx`. */
  async preview(picture: PictureBytes, mostPx: number): Promise<Blob> {
    const { widthPx, heightPx } = picture.ref;
    const k = Math.min(1, mostPx / Math.max(widthPx, heightPx));
    const bitmap = await createImageBitmap(
      new Blob([Uint8Array.from(picture.bytes)], { type: picture.ref.mime }),
      {
        resizeWidth: Math.max(1, Math.round(widthPx * k)),
        resizeHeight: Math.max(1, Math.round(heightPx * k)),
        resizeQuality: 'high',
      },
    );
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
    bitmap.close();
    return canvas.convertToBlob({ type: 'image/png' });
  },

  /** The sheets as PDF at true size. */
  async pdf(request: SheetRequest, onProgress: (done: number) => void): Promise<Uint8Array> {
    const used = fontsUsed(request.pages);
    const files = await Promise.all(
      used.map(async (id) => [id, await fontBytes(fontById(id).file)] as const),
    );
    const bytes = await writePdf({
      ...request,
      labelFont: await fontBytes(LABEL_FONT),
      wordFonts: Object.fromEntries(files),
      onProgress,
    });
    return Comlink.transfer(...withBuffer(bytes));
  },

  /** One piece as PNG with its resolution written in the file. */
  async png(request: PieceRequest): Promise<Result<Uint8Array>> {
    for (const id of fontsUsed([request.page])) await loadFace(id);
    const picture = request.picture && (await bitmapOf(request.picture));
    const bytes = withResolution(
      await pngOf(rasterPage(request.page, request.ppi, picture, faceName)),
      request.ppi,
    );
    picture?.close();
    return bytes;
  },
};

const withBuffer = (bytes: Uint8Array): [Uint8Array, Transferable[]] => {
  const own = Uint8Array.from(bytes);
  return [own, [own.buffer]];
};

const faceName = (id: FontId): string => `words-${id}`;
const loaded = new Set<FontId>();

async function loadFace(id: FontId): Promise<void> {
  if (loaded.has(id)) return;
  const font = FONTS.find((f) => f.id === id) ?? FONTS[0];
  const face = new FontFace(faceName(id), Uint8Array.from(await fontBytes(font.file)), {
    weight: String(font.weight),
  });
  await face.load();
  (self as unknown as { fonts: FontFaceSet }).fonts.add(face);
  loaded.add(id);
}

export type BenchWorker = typeof api;
Comlink.expose(api);
