import { WRITTEN_BY } from '../basics/version';
import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { MM_PER_INCH } from '../message/quantity';

/** PNG (ISO/IEC 15948): just enough to read a header, set the resolution and lift the compressed pixels out. */
export const PNG_SIGNATURE = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] as const;

export interface PngHeader {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bitDepth: number;
  /** 0 grey, 2 RGB, 3 palette, 4 grey with alpha, 6 RGB with alpha. */
  readonly colourType: number;
  readonly interlaced: boolean;
}

interface Chunk {
  readonly type: string;
  readonly start: number;
  readonly data: Uint8Array;
}

export const isPng = (b: Uint8Array): boolean => PNG_SIGNATURE.every((v, i) => b[i] === v);

function view(b: Uint8Array): DataView {
  return new DataView(b.buffer, b.byteOffset, b.byteLength);
}

/** Chunks in order; stops at the first that runs past the end. */
export function chunksOf(bytes: Uint8Array): readonly Chunk[] {
  const chunks: Chunk[] = [];
  const dv = view(bytes);
  let at = 8;
  while (at + 12 <= bytes.length) {
    const length = dv.getUint32(at);
    if (at + 12 + length > bytes.length) break;
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    chunks.push({ type, start: at, data: bytes.subarray(at + 8, at + 8 + length) });
    at += 12 + length;
    if (type === 'IEND') break;
  }
  return chunks;
}

export function pngHeader(bytes: Uint8Array): Result<PngHeader> {
  const where = say('common.picture');
  const chunks = isPng(bytes) ? chunksOf(bytes) : [];
  const head = chunks[0];
  if (!head || head.type !== 'IHDR' || head.data.length !== 13) {
    return fail(say('files.pngDamagedStart'), where, say('files.saveAgainFromProgram'));
  }
  if (chunks[chunks.length - 1]?.type !== 'IEND') {
    return fail(say('files.pngCutShort'), where, say('files.copyDownloadAgain'));
  }
  const dv = view(head.data);
  return ok({
    widthPx: dv.getUint32(0),
    heightPx: dv.getUint32(4),
    bitDepth: dv.getUint8(8),
    colourType: dv.getUint8(9),
    interlaced: dv.getUint8(12) !== 0,
  });
}

const CRC_TABLE = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

/** CRC-32 as PNG defines it (annex D). */
export function crc32(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const b of bytes) c = (CRC_TABLE[(c ^ b) & 0xff] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

export function makeChunk(type: string, data: Uint8Array): Uint8Array {
  const out = new Uint8Array(12 + data.length);
  const dv = view(out);
  dv.setUint32(0, data.length);
  out.set(
    [...type].map((ch) => ch.charCodeAt(0)),
    4,
  );
  out.set(data, 8);
  dv.setUint32(8 + data.length, crc32(out.subarray(4, 8 + data.length)));
  return out;
}

/** The chunk that says how many pixels there are to the metre. */
export function physChunk(ppi: number): Uint8Array {
  const perMetre = Math.round((ppi * 1000) / MM_PER_INCH);
  const phys = new Uint8Array(9);
  view(phys).setUint32(0, perMetre);
  view(phys).setUint32(4, perMetre);
  phys[8] = 1;
  return makeChunk('pHYs', phys);
}

/** The chunk that says what wrote the file (PNG specification 11.3.3.2). */
export const softwareChunk = (): Uint8Array =>
  makeChunk('tEXt', new TextEncoder().encode(`Software\0${WRITTEN_BY}`));

export function joinBytes(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of parts) {
    out.set(p, at);
    at += p.length;
  }
  return out;
}

/** Compressed pixels a PDF can hold as they are, or null where they would have to be decoded (alpha, interlace, 16 bit). */
export function liftPixels(
  bytes: Uint8Array,
): { readonly header: PngHeader; readonly idat: Uint8Array; readonly palette: Uint8Array | null } | null {
  const header = pngHeader(bytes);
  if (!header.ok) return null;
  const { bitDepth, colourType, interlaced } = header.value;
  const chunks = chunksOf(bytes);
  const plain = bitDepth <= 8 && (colourType === 0 || colourType === 2 || colourType === 3);
  if (!plain || interlaced || chunks.some((c) => c.type === 'tRNS')) return null;
  const idat = joinBytes(chunks.filter((c) => c.type === 'IDAT').map((c) => c.data));
  const palette = chunks.find((c) => c.type === 'PLTE')?.data ?? null;
  if (colourType === 3 && !palette) return null;
  return { header: header.value, idat, palette };
}
