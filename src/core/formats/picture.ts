import type { Mime } from '../job/art';
import { fail, ok, type Result } from '../basics/result';
import { chunksOf, isPng, pngHeader } from './png';
import { isSvg, svgFacts } from './svgSize';
import { isTiff, tiffFacts } from './tiff';
import { isWebp, webpFacts } from './webp';

export interface PictureFacts {
  readonly mime: Mime;
  /** Stored size, before any orientation in the file is applied. */
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Larger pictures are refused: no wrap needs them and no tablet opens them. */
const MOST_MEGAPIXELS = 100;
export const MOST_PICTURE_BYTES = 120_000_000;

const KNOWN_OTHERS: readonly { readonly kind: string; readonly test: (head: string) => boolean }[] = [
  { kind: 'a PDF', test: (h) => h.startsWith('%PDF') },
  { kind: 'a GIF, often animated', test: (h) => h.startsWith('GIF8') },
  { kind: 'a HEIC or AVIF picture', test: (h) => h.slice(4, 8) === 'ftyp' },
  { kind: 'a layered drawing file', test: (h) => h.startsWith('8BPS') },
  { kind: 'a ZIP file', test: (h) => h.startsWith('PK') },
];

/**
 * Headers are read here and not by a library: what is at hand gives the size alone, and takes CMYK, animated and cut-short files as good (five of
 * five held against it).
 */
const READERS: readonly {
  readonly is: (b: Uint8Array) => boolean;
  readonly facts: (b: Uint8Array, where: string) => Result<PictureFacts>;
}[] = [
  { is: isPng, facts: pngFacts },
  { is: isJpeg, facts: jpegFacts },
  { is: isWebp, facts: webpFacts },
  { is: isTiff, facts: tiffFacts },
  { is: isSvg, facts: svgFacts },
];

/** Looks at the bytes, not the name: kind, size, whole or cut short. */
export function inspectPicture(bytes: Uint8Array, name: string): Result<PictureFacts> {
  const where = name;
  if (bytes.length === 0) return fail('The file is empty.', where, 'Copy or save it again.');
  if (bytes.length > MOST_PICTURE_BYTES) {
    return fail(
      `The file is ${Math.round(bytes.length / 1e6)} MB.`,
      where,
      `Save it under ${MOST_PICTURE_BYTES / 1e6} MB.`,
    );
  }
  const reader = READERS.find((r) => r.is(bytes));
  if (!reader) {
    const head = String.fromCharCode(...bytes.subarray(0, 256));
    const other = KNOWN_OTHERS.find((o) => o.test(head));
    return fail(
      other ? `This is ${other.kind}.` : 'This is not a picture known here.',
      where,
      'Save it as PNG, JPEG, WebP, TIFF or SVG.',
    );
  }
  const facts = reader.facts(bytes, where);
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
  if (chunksOf(bytes).some((c) => c.type === 'acTL'))
    return fail('This PNG is animated.', where, 'Save the one frame you want printed.');
  return ok({ mime: 'image/png', widthPx: header.value.widthPx, heightPx: header.value.heightPx });
}

function isJpeg(b: Uint8Array): boolean {
  return b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff;
}

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
