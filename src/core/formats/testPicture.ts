import { zlibSync } from 'fflate';
import { joinBytes, makeChunk, PNG_SIGNATURE } from './png';

export type Colour = readonly [number, number, number];

/** A PNG for tests, painted by a function of pixel position. RGB unless `alpha`. */
export function paintPng(
  width: number,
  height: number,
  colourAt: (x: number, y: number) => Colour,
  alpha = false,
): Uint8Array<ArrayBuffer> {
  const channels = alpha ? 4 : 3;
  const rows = new Uint8Array(height * (1 + width * channels));
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const at = y * (1 + width * channels) + 1 + x * channels;
      rows.set(colourAt(x, y), at);
      if (alpha) rows[at + 3] = 255;
    }
  }
  const head = new Uint8Array(13);
  const dv = new DataView(head.buffer);
  dv.setUint32(0, width);
  dv.setUint32(4, height);
  head[8] = 8;
  head[9] = alpha ? 6 : 2;
  return joinBytes([
    Uint8Array.from(PNG_SIGNATURE),
    makeChunk('IHDR', head),
    makeChunk('IDAT', zlibSync(rows)),
    makeChunk('IEND', new Uint8Array(0)),
  ]);
}

export const RED: Colour = [220, 20, 20];
export const BLUE: Colour = [20, 40, 200];
export const GREEN: Colour = [20, 180, 40];
export const GOLD: Colour = [230, 190, 30];

/** Four quarters: red upper left, green upper right, blue lower left, gold lower right. Tells every turn and mirror apart. */
export const quarters =
  (width: number, height: number) =>
  (x: number, y: number): Colour =>
    y < height / 2 ? (x < width / 2 ? RED : GREEN) : x < width / 2 ? BLUE : GOLD;

/** A 64 × 48 JPEG of the four quarters. */
const QUARTERS_JPEG =
  '/9j/4AAQSkZJRgABAQAAAQABAAD/4gHYSUNDX1BST0ZJTEUAAQEAAAHIAAAAAAQwAABtbnRyUkdCIFhZWiAH4AABAAEAAAAAAABhY3NwAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAQAA9tYAAQAAAADTLQAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAlkZXNjAAAA8AAAACRyWFlaAAABFAAAABRnWFlaAAABKAAAABRiWFlaAAABPAAAABR3dHB0AAABUAAAABRyVFJDAAABZAAAAChnVFJDAAABZAAAAChiVFJDAAABZAAAAChjcHJ0AAABjAAAADxtbHVjAAAAAAAAAAEAAAAMZW5VUwAAAAgAAAAcAHMAUgBHAEJYWVogAAAAAAAAb6IAADj1AAADkFhZWiAAAAAAAABimQAAt4UAABjaWFlaIAAAAAAAACSgAAAPhAAAts9YWVogAAAAAAAA9tYAAQAAAADTLXBhcmEAAAAAAAQAAAACZmYAAPKnAAANWQAAE9AAAApbAAAAAAAAAABtbHVjAAAAAAAAAAEAAAAMZW5VUwAAACAAAAAcAEcAbwBvAGcAbABlACAASQBuAGMALgAgADIAMAAxADb/2wBDAAoHBwgHBgoICAgLCgoLDhgQDg0NDh0VFhEYIx8lJCIfIiEmKzcvJik0KSEiMEExNDk7Pj4+JS5ESUM8SDc9Pjv/2wBDAQoLCw4NDhwQEBw7KCIoOzs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozs7Ozv/wAARCAAwAEADASIAAhEBAxEB/8QAFwABAQEBAAAAAAAAAAAAAAAAAAUGB//EABQQAQAAAAAAAAAAAAAAAAAAAAD/xAAZAQEAAwEBAAAAAAAAAAAAAAAAAwYHCAX/xAAcEQEAAQQDAAAAAAAAAAAAAAAAFmOhouEUYuL/2gAMAwEAAhEDEQA/AMyA8RqAAC4Agc8AAIYkC7Rirjtq0po5eVcSAjFXHZKaOXlsxtxm/P630qUdq22xA24c/rfRHattuKgN2RgAO1AOd1sAAf/Z';

/** The four quarters as JPEG, with an EXIF orientation written in where one is asked for. */
export function quartersJpeg(orientation?: number): Uint8Array<ArrayBuffer> {
  const plain = Uint8Array.from(Buffer.from(QUARTERS_JPEG, 'base64'));
  if (orientation === undefined) return plain;
  // APP1 with a one-entry big-endian TIFF directory: tag 0x0112, type SHORT, count 1 (Exif 2.32).
  const exif = [
    0xff,
    0xe1,
    0,
    34,
    0x45,
    0x78,
    0x69,
    0x66,
    0,
    0,
    0x4d,
    0x4d,
    0,
    42,
    0,
    0,
    0,
    8,
    0,
    1,
    0x01,
    0x12,
    0,
    3,
    0,
    0,
    0,
    1,
    0,
    orientation,
    0,
    0,
    0,
    0,
    0,
    0,
  ];
  return joinBytes([plain.subarray(0, 2), Uint8Array.from(exif), plain.subarray(2)]);
}
