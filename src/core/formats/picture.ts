import { ppiFact, type PictureFacts } from './pictureFacts';
import { MM_PER_INCH } from '../message/quantity';
import { say, type Message, verbatim } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { chunksOf, isPng, pngHeader } from './png';
import { isSvg, svgFacts } from './svgSize';
import { isTiff, tiffFacts } from './tiff';
import { isWebp, webpFacts } from './webp';

/** Larger pictures are refused: no wrap needs them and no tablet opens them. */
const MOST_MEGAPIXELS = 100;
export const MOST_PICTURE_BYTES = 120_000_000;

const KNOWN_OTHERS: readonly { readonly kind: Message; readonly test: (head: string) => boolean }[] = [
  { kind: say('files.aPdf'), test: (h) => h.startsWith('%PDF') },
  { kind: say('files.gifOftenAnimated'), test: (h) => h.startsWith('GIF8') },
  { kind: say('files.heicAvifPicture'), test: (h) => h.slice(4, 8) === 'ftyp' },
  { kind: say('files.layeredDrawingFile'), test: (h) => h.startsWith('8BPS') },
  { kind: say('files.zipFile'), test: (h) => h.startsWith('PK') },
];

/**
 * Headers are read here and not by a library: what is at hand gives the size alone, and takes CMYK, animated and cut-short files as good (five of
 * five held against it).
 */
const READERS: readonly {
  readonly is: (b: Uint8Array) => boolean;
  readonly facts: (b: Uint8Array, where: Message) => Result<PictureFacts>;
}[] = [
  { is: isPng, facts: pngFacts },
  { is: isJpeg, facts: jpegFacts },
  { is: isWebp, facts: webpFacts },
  { is: isTiff, facts: tiffFacts },
  { is: isSvg, facts: svgFacts },
];

/** Looks at the bytes, not the name: kind, size, whole or cut short. */
export function inspectPicture(bytes: Uint8Array, name: Message | string): Result<PictureFacts> {
  const where = typeof name === 'string' ? verbatim(name) : name;
  if (bytes.length === 0) return fail(say('files.fileEmpty'), where, say('files.copySaveAgain'));
  if (bytes.length > MOST_PICTURE_BYTES) {
    return fail(
      say('files.fileMb', { bytes: Math.round(bytes.length / 1e6) }),
      where,
      say('files.saveUnderMb', { mostPictureBytes: MOST_PICTURE_BYTES / 1e6 }),
    );
  }
  const reader = READERS.find((r) => r.is(bytes));
  if (!reader) {
    const head = String.fromCharCode(...bytes.subarray(0, 256));
    const other = KNOWN_OTHERS.find((o) => o.test(head));
    return fail(
      other ? say('files.thisIs', { kind: other.kind }) : say('files.pictureKnownHere'),
      where,
      say('files.savePngJpegWebp'),
    );
  }
  const facts = reader.facts(bytes, where);
  if (!facts.ok) return facts;
  const { widthPx, heightPx } = facts.value;
  if (widthPx === 0 || heightPx === 0)
    return fail(say('files.pictureHasSize'), where, say('files.saveAgain'));
  const megapixels = (widthPx * heightPx) / 1e6;
  if (megapixels > MOST_MEGAPIXELS) {
    return fail(
      say('files.pictureMegapixels', { widthPx, heightPx, megapixels: Math.round(megapixels) }),
      where,
      say('files.saveSmallerUpMegapixels', { mostMegapixels: MOST_MEGAPIXELS }),
    );
  }
  return facts;
}

function pngFacts(bytes: Uint8Array, where: Message): Result<PictureFacts> {
  const header = pngHeader(bytes);
  if (!header.ok) return fail(header.problem.what, where, header.problem.wayOut);
  if (chunksOf(bytes).some((c) => c.type === 'acTL'))
    return fail(say('files.pngAnimated'), where, say('files.saveOneFrameYou'));
  return ok({
    mime: 'image/png',
    widthPx: header.value.widthPx,
    heightPx: header.value.heightPx,
    ...ppiFact(pngPpi(bytes)),
  });
}

/** pHYs in pixels to the metre (PNG specification 11.3.5.3); another unit says no size. */
function pngPpi(bytes: Uint8Array): number | null {
  const phys = chunksOf(bytes).find((c) => c.type === 'pHYs')?.data;
  if (phys?.length !== 9 || phys[8] !== 1) return null;
  const dv = new DataView(phys.buffer, phys.byteOffset, phys.byteLength);
  return (dv.getUint32(0) * MM_PER_INCH) / 1000;
}

/** Density in a JFIF header (JFIF 1.02): to the inch, or to the centimetre. */
function jfifPpi(dv: DataView, at: number): number | null {
  const unit = dv.getUint8(at + 11);
  const density = dv.getUint16(at + 12);
  return unit === 1 ? density : unit === 2 ? (density * MM_PER_INCH) / 10 : null;
}

const APP0 = 0xe0;
const JFIF = 0x4a464946;

function isJpeg(b: Uint8Array): boolean {
  return b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff;
}

/** Start-of-frame markers carry the size (ITU-T T.81, B.2.2); C4, C8 and CC are other things. */
const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

function jpegFacts(bytes: Uint8Array, where: Message): Result<PictureFacts> {
  const damaged = fail(say('files.jpegDamagedCutShort'), where, say('files.copyDownloadAgain'));
  const dv = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = 2;
  let ppi: number | null = null;
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
        return fail(say('files.jpegCmykColoursOffset'), where, say('files.saveRgb'));
      return ok({
        mime: 'image/jpeg',
        widthPx: dv.getUint16(at + 7),
        heightPx: dv.getUint16(at + 5),
        ...ppiFact(ppi),
      });
    }
    if (marker === APP0 && at + 16 < bytes.length && dv.getUint32(at + 4) === JFIF) ppi = jfifPpi(dv, at);
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
