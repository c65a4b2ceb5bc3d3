import { say, type Message } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import type { PictureFacts } from './pictureFacts';

const text = (b: Uint8Array, at: number): string => String.fromCharCode(...b.subarray(at, at + 4));

export const isWebp = (b: Uint8Array): boolean => text(b, 0) === 'RIFF' && text(b, 8) === 'WEBP';

/** Size of a WebP picture from its first chunk (RFC 9649): plain, lossless or extended. */
export function webpFacts(b: Uint8Array, where: Message): Result<PictureFacts> {
  const dv = new DataView(b.buffer, b.byteOffset, b.byteLength);
  const cut = fail(say('files.webpPictureCutShort'), where, say('files.copyDownloadAgain'));
  if (b.length < 30 || dv.getUint32(4, true) + 8 > b.length + 1) return cut;
  const made = (widthPx: number, heightPx: number): Result<PictureFacts> =>
    ok({ mime: 'image/webp', widthPx, heightPx });
  switch (text(b, 12)) {
    case 'VP8X': {
      const animated = (dv.getUint8(20) & 0x02) !== 0;
      if (animated) return fail(say('files.webpPictureAnimated'), where, say('files.saveOneFrameYou'));
      const three = (at: number) => dv.getUint16(at, true) + dv.getUint8(at + 2) * 65536;
      return made(three(24) + 1, three(27) + 1);
    }
    case 'VP8L': {
      const bits = dv.getUint32(21, true);
      return made((bits & 0x3fff) + 1, ((bits >>> 14) & 0x3fff) + 1);
    }
    case 'VP8 ':
      return made(dv.getUint16(26, true) & 0x3fff, dv.getUint16(28, true) & 0x3fff);
    default:
      return fail(say('files.webpPictureDamagedStart'), where, say('files.saveAgain'));
  }
}
