import { say, type Message } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import type { PictureFacts } from './pictureFacts';

/** TIFF 6.0: enough of the first directory to know what a picture is before it is decoded. */

const LITTLE = 0x49;

export const isTiff = (b: Uint8Array): boolean =>
  (b[0] === LITTLE && b[1] === LITTLE && b[2] === 42 && b[3] === 0) ||
  (b[0] === 0x4d && b[1] === 0x4d && b[2] === 0 && b[3] === 42);

const WIDTH = 256;
const HEIGHT = 257;
const BITS = 258;
const PHOTOMETRIC = 262;
const STRIP_OFFSETS = 273;
const STRIP_COUNTS = 279;
const SEPARATED = 5;

interface Entry {
  readonly count: number;
  readonly values: readonly number[];
}

/** The first values of every whole-number tag of the first directory; null where it runs past the end. */
function directory(b: Uint8Array): ReadonlyMap<number, Entry> | null {
  const dv = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const le = b[0] === LITTLE;
  const start = dv.getUint32(4, le);
  if (start + 2 > b.length) return null;
  const n = dv.getUint16(start, le);
  if (start + 2 + n * 12 > b.length) return null;
  const found = new Map<number, Entry>();
  for (let i = 0; i < n; i += 1) {
    const at = start + 2 + i * 12;
    const type = dv.getUint16(at + 2, le);
    const count = dv.getUint32(at + 4, le);
    const size = type === 3 ? 2 : type === 4 ? 4 : 0;
    if (size === 0) continue;
    const from = count * size <= 4 ? at + 8 : dv.getUint32(at + 8, le);
    const most = Math.min(count, 4096);
    if (from + most * size > b.length) return null;
    const values = Array.from({ length: most }, (_, k) =>
      size === 2 ? dv.getUint16(from + k * 2, le) : dv.getUint32(from + k * 4, le),
    );
    found.set(dv.getUint16(at, le), { count, values });
  }
  return found;
}

export function tiffFacts(b: Uint8Array, where: Message): Result<PictureFacts> {
  const cut = fail(say('files.tiffPictureDamagedCut'), where, say('files.copySaveAgain'));
  const tags = b.length < 14 ? null : directory(b);
  if (!tags) return cut;
  const one = (tag: number): number | undefined => tags.get(tag)?.values[0];
  const [widthPx, heightPx] = [one(WIDTH), one(HEIGHT)];
  if (widthPx === undefined || heightPx === undefined) return cut;
  if (one(PHOTOMETRIC) === SEPARATED)
    return fail(say('files.tiffCmykColoursOffset'), where, say('files.saveRgb'));
  if ((one(BITS) ?? 8) > 16) return fail(say('files.tiffHoldsMoreThan'), where, say('files.save8BitsColour'));
  const offsets = tags.get(STRIP_OFFSETS)?.values ?? [];
  const counts = tags.get(STRIP_COUNTS)?.values ?? [];
  if (offsets.some((o, i) => o + (counts[i] ?? 0) > b.length)) return cut;
  return ok({ mime: 'image/tiff', widthPx, heightPx });
}
