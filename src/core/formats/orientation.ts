import { chunksOf, isPng } from './png';
import { isTiff } from './tiff';
import { isWebp } from './webp';

/*
 * Where each kind of file keeps its EXIF block, which says which way up a picture is (Exif 2.32, tag 0x0112). Browsers turn some kinds by it and
 * not others: files are therefore opened without it, and turned here, the same way for all.
 */

const text = (b: Uint8Array, at: number, n: number): string => String.fromCharCode(...b.subarray(at, at + n));

interface Part {
  readonly from: number;
  readonly to: number;
}

/** The chunks of a WebP file: their names and where they lie, padding included. */
function webpChunks(b: Uint8Array): readonly (Part & { readonly name: string; readonly bodyTo: number })[] {
  const dv = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const found: (Part & { name: string; bodyTo: number })[] = [];
  for (let at = 12; at + 8 <= b.length;) {
    const size = dv.getUint32(at + 4, true);
    const to = Math.min(b.length, at + 8 + size + (size % 2));
    found.push({ name: text(b, at, 4), from: at, to, bodyTo: Math.min(b.length, at + 8 + size) });
    at = to;
  }
  return found;
}

/** The EXIF segments of a JPEG before its scan. */
function jpegExif(b: Uint8Array): readonly Part[] {
  const dv = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const found: Part[] = [];
  for (let at = 2; at + 4 <= b.length && b[at] === 0xff;) {
    const marker = b[at + 1] ?? 0;
    if (marker === 0xda) break;
    const to = at + 2 + dv.getUint16(at + 2);
    if (marker === 0xe1 && text(b, at + 4, 4) === 'Exif') found.push({ from: at, to });
    at = to;
  }
  return found;
}

const isJpeg = (b: Uint8Array): boolean => b[0] === 0xff && b[1] === 0xd8;

/** The EXIF of a picture as a TIFF block of its own; null where it has none. */
export function exifBlock(b: Uint8Array): Uint8Array | null {
  const bare = (block: Uint8Array): Uint8Array => (text(block, 0, 4) === 'Exif' ? block.subarray(6) : block);
  if (isTiff(b)) return b;
  if (isPng(b)) {
    const chunk = chunksOf(b).find((c) => c.type === 'eXIf');
    return chunk ? bare(chunk.data) : null;
  }
  if (isWebp(b)) {
    const chunk = webpChunks(b).find((c) => c.name === 'EXIF');
    return chunk ? bare(b.subarray(chunk.from + 8, chunk.bodyTo)) : null;
  }
  const [segment] = isJpeg(b) ? jpegExif(b) : [];
  return segment ? bare(b.subarray(segment.from + 4, segment.to)) : null;
}

function without(b: Uint8Array, parts: readonly Part[]): Uint8Array {
  if (parts.length === 0) return b;
  const left = new Uint8Array(b.length - parts.reduce((n, p) => n + p.to - p.from, 0));
  let [read, written] = [0, 0];
  for (const p of [...parts, { from: b.length, to: b.length }]) {
    left.set(b.subarray(read, p.from), written);
    written += p.from - read;
    read = p.to;
  }
  return left;
}

/** The same file without its EXIF block, so that every program shows the pixels as they are stored. */
export function withoutExif(b: Uint8Array): Uint8Array {
  if (isPng(b))
    return without(
      b,
      chunksOf(b)
        .filter((c) => c.type === 'eXIf')
        // Its length and name, itself, and its checksum.
        .map((c) => ({ from: c.start, to: c.start + 12 + c.data.length })),
    );
  if (isWebp(b)) {
    const left = without(
      b,
      webpChunks(b).filter((c) => c.name === 'EXIF'),
    );
    if (left === b) return b;
    const made = left.slice();
    const dv = new DataView(made.buffer);
    dv.setUint32(4, made.length - 8, true);
    // The flag of the extended header that says an EXIF block follows (RFC 9649, 2.7).
    if (text(made, 12, 4) === 'VP8X') made[20] = (made[20] ?? 0) & ~0x08;
    return made;
  }
  return isJpeg(b) ? without(b, jpegExif(b)) : b;
}
