import { problemError, say } from '@/core/message/message';
import type { Pixels } from '@/core/art/pixels';
import { withoutExif } from '@/core/formats/orientation';
import { orientationMap } from '@/core/geometry/affine';
import type { PictureRef } from '@/core/job/art';

/** A picture with the bytes it is decoded from. A drawing comes already drawn, as PNG. */
export interface PictureBytes {
  readonly ref: PictureRef;
  readonly bytes: Uint8Array;
}

const TOO_MUCH = say('files.pictureTooLarge');

/** TIFF through a decoder of its own; only loaded when one is brought. */
async function tiffImage(bytes: Uint8Array): Promise<ImageData> {
  const UTIF = await import('utif');
  const buffer = Uint8Array.from(bytes).buffer;
  const [first] = UTIF.decode(buffer);
  if (!first) throw problemError(TOO_MUCH);
  UTIF.decodeImage(buffer, first);
  const rgba = UTIF.toRGBA8(first);
  if (rgba.length !== first.width * first.height * 4 || rgba.length === 0) throw problemError(TOO_MUCH);
  return new ImageData(Uint8ClampedArray.from(rgba), first.width, first.height);
}

/** The picture as its pixels are stored, whatever the browser makes of its orientation. */
async function storedBitmap({ ref, bytes }: PictureBytes): Promise<ImageBitmap> {
  if (ref.mime === 'image/tiff') return createImageBitmap(await tiffImage(bytes));
  const type = ref.mime === 'image/svg+xml' ? 'image/png' : ref.mime;
  return createImageBitmap(new Blob([Uint8Array.from(withoutExif(bytes))], { type }));
}

/** The picture as seen, its own orientation applied: by us, since browsers turn some kinds of file and not others. */
export async function bitmapOf(p: PictureBytes): Promise<ImageBitmap> {
  const bitmap = await storedBitmap(p);
  const { orientation } = p.ref;
  if (orientation === 1) return bitmap;
  const [w, h] = orientation >= 5 ? [bitmap.height, bitmap.width] : [bitmap.width, bitmap.height];
  const canvas = new OffscreenCanvas(w, h);
  const g = canvas.getContext('2d');
  if (!g) throw problemError(say('files.canvasRefused'));
  g.setTransform(...orientationMap(orientation, w, h));
  g.drawImage(bitmap, 0, 0);
  bitmap.close();
  return canvas.transferToImageBitmap();
}

export function canvasFor(width: number, height: number): OffscreenCanvasRenderingContext2D {
  const g = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!g) throw problemError(say('files.canvasRefused'));
  return g;
}

/** Its pixels, scaled so that the long side is at most `mostPx`. */
export async function pixelsOf(p: PictureBytes, mostPx = Infinity): Promise<Pixels> {
  const bitmap = await bitmapOf(p);
  const k = Math.min(1, mostPx / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * k));
  const height = Math.max(1, Math.round(bitmap.height * k));
  const g = canvasFor(width, height);
  g.imageSmoothingQuality = 'high';
  g.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const { data } = g.getImageData(0, 0, width, height);
  return { width, height, data };
}

export async function pngOf(canvas: OffscreenCanvas): Promise<Uint8Array> {
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  return new Uint8Array(await blob.arrayBuffer());
}
