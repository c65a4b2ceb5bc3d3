import { bendRows, readyBend } from '@/core/art/resample';
import type { PixelSource } from '@/core/art/items';
import type { Pixels } from '@/core/art/pixels';
import type { Raster } from '@/core/formats/pdf';
import { alphaRow, Deflater, rgbRow, UpRows } from './deflate';

type Made = Extract<PixelSource, { kind: 'made' }>;

const BAND = 128;

interface RowSource {
  readonly width: number;
  readonly height: number;
  readonly rows: (y0: number, y1: number) => Uint8ClampedArray;
}

function rowsOf(pixels: Pixels, made: Made | null, perMm: number): RowSource {
  if (!made) {
    const { width, height, data } = pixels;
    return {
      width,
      height,
      rows: (y0, y1) => new Uint8ClampedArray(data.subarray(y0 * width * 4, y1 * width * 4)),
    };
  }
  const ready = readyBend({ source: pixels, tiles: made.tiles, bend: made.bend, area: made.area, perMm });
  return { width: ready.width, height: ready.height, rows: (y0, y1) => bendRows(ready, y0, y1) };
}

function anyClear(rows: Uint8ClampedArray): boolean {
  for (let i = 3; i < rows.length; i += 4) if (rows[i] !== 255) return true;
  return false;
}

/** A picture as compressed rows for a PDF, bent or repeated where it has to be, a band at a time. */
export async function makeRaster(
  pixels: Pixels,
  made: Made | null,
  perMm: number,
  onProgress: (part: number) => void,
): Promise<Raster> {
  const from = rowsOf(pixels, made, perMm);
  const colours = new Deflater();
  const clear = new Deflater();
  const rgb = new UpRows(from.width * 3);
  const alpha = new UpRows(from.width);
  let hasClear = false;
  for (let y = 0; y < from.height; y += BAND) {
    const to = Math.min(from.height, y + BAND);
    const rows = from.rows(y, to);
    hasClear ||= anyClear(rows);
    await colours.write(rgb.band(to - y, rgbRow(rows, from.width)));
    await clear.write(alpha.band(to - y, alphaRow(rows, from.width)));
    onProgress(to / from.height);
  }
  const mask = await clear.end();
  return {
    widthPx: from.width,
    heightPx: from.height,
    rgb: await colours.end(),
    alpha: hasClear ? mask : null,
  };
}

/** The same whole, to be drawn on a canvas. */
export async function makeBitmap(pixels: Pixels, made: Made, perMm: number): Promise<ImageBitmap> {
  const ready = readyBend({ source: pixels, tiles: made.tiles, bend: made.bend, area: made.area, perMm });
  const data = new Uint8ClampedArray(ready.width * ready.height * 4);
  for (let y = 0; y < ready.height; y += BAND)
    data.set(bendRows(ready, y, Math.min(ready.height, y + BAND)), y * ready.width * 4);
  return createImageBitmap(new ImageData(data, ready.width, ready.height));
}
