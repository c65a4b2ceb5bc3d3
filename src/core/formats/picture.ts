import { fail, ok, type Result } from '../result';
import { isPng, pngHeader } from './png';

export interface PictureFacts {
  readonly mime: 'image/png' | 'image/jpeg';
  /** Stored size, before any orientation in the file is applied. */
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Larger pictures are refused: no wrap needs them and no tablet opens them. */
export const MOST_MEGAPIXELS = 100;
export const MOST_BYTES = 60_000_000;

const KNOWN_OTHERS: readonly {
  readonly kind: string;
  readonly test: (b: Uint8Array, head: string) => boolean;
}[] = [
  { kind: 'a PDF', test: (_, h) => h.startsWith('%PDF') },
  { kind: 'a GIF', test: (_, h) => h.startsWith('GIF8') },
  { kind: 'a WebP picture', test: (_, h) => h.startsWith('RIFF') && h.slice(8, 12) === 'WEBP' },
  { kind: 'a TIFF picture', test: (_, h) => h.startsWith('II*') || h.startsWith('MM\0*') },
  { kind: 'a HEIC picture', test: (_, h) => h.slice(4, 8) === 'ftyp' },
  { kind: 'a ZIP file', test: (_, h) => h.startsWith('PK') },
  { kind: 'an SVG drawing', test: (_, h) => /^\s*(<\?xml|<!--|<!doctype svg|<svg)/i.test(h) },
];

/** Looks at the bytes, not the name: kind, size, whole or cut short. */
export function inspectPicture(bytes: Uint8Array, name: string): Result<PictureFacts> {
  const where = name;
  if (bytes.length === 0) return fail('The file is empty.', where, 'Copy or save it again.');
  if (bytes.length > MOST_BYTES) {
    return fail(
      `The file is ${Math.round(bytes.length / 1e6)} MB.`,
      where,
      `Save it under ${MOST_BYTES / 1e6} MB.`,
    );
  }
  const head = String.fromCharCode(...bytes.subarray(0, 256));
  const facts = isPng(bytes) ? pngFacts(bytes, where) : isJpeg(bytes) ? jpegFacts(bytes, where) : null;
  if (facts === null) {
    const other = KNOWN_OTHERS.find((o) => o.test(bytes, head));
    return fail(
      other ? `This is ${other.kind}.` : 'This is not a picture known here.',
      where,
      'Save it as PNG or JPEG.',
    );
  }
  if (!facts.ok) return facts;
  const { widthPx, heightPx } = facts.value;
  if (widthPx === 0 || heightPx === 0) return fail('The picture has no size.', where, 'Save it again.');
  const megapixels = (widthPx * heightPx) / 1e6;
  if (megapixels > MOST_MEGAPIXELS) {
    return fail(
      `The picture is ${widthPx} × ${heightPx}, ${Math.round(megapixels)} megapixels.`,
      where,
      `Save it smaller, up to ${MOST_MEGAPIXELS} megapixels: 300 ppi at print size is plenty.`,
    );
  }
  return facts;
}

function pngFacts(bytes: Uint8Array, where: string): Result<PictureFacts> {
  const header = pngHeader(bytes);
  if (!header.ok) return fail(header.problem.what, where, header.problem.wayOut);
  return ok({ mime: 'image/png', widthPx: header.value.widthPx, heightPx: header.value.heightPx });
}

const isJpeg = (b: Uint8Array): boolean => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff;

/** Start-of-frame markers carry the size (ITU-T T.81, B.2.2); C4, C8 and CC are other things. */
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

function jpegFacts(bytes: Uint8Array, where: string): Result<PictureFacts> {
  const damaged = fail('The JPEG is damaged or cut short.', where, 'Copy or download it again.');
  const dv = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 2;
  while (at + 10 < bytes.length) {
    if (dv.getUint8(at) !== 0xff) return damaged;
    const marker = dv.getUint8(at + 1);
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (isFrame(marker)) {
      if (!endsWell(bytes)) return damaged;
      if (dv.getUint8(at + 9) === 4)
        return fail('This JPEG is in CMYK, the colours of an offset press.', where, 'Save it as RGB.');
      return ok({ mime: 'image/jpeg', widthPx: dv.getUint16(at + 7), heightPx: dv.getUint16(at + 5) });
    }
    at += 2 + dv.getUint16(at + 2);
  }
  return damaged;
}

/** A whole JPEG has an end marker near its end; some cameras pad after it. */
function endsWell(bytes: Uint8Array): boolean {
  for (let i = bytes.length - 2; i >= Math.max(2, bytes.length - 65536); i -= 1) {
    if (bytes[i] === 0xff && bytes[i + 1] === 0xd9) return true;
  }
  return false;
}
