import { say } from '@/core/message/message';
import { fail, ok, type Result } from '@/core/basics/result';
import type { Photo } from '@/core/shop/mark';
import { db as theDb, type MesaDb } from './db';
import { contentId } from './ids';
import { PHOTO } from './jobs';
import { stored } from './storage';

/** A photograph is kept no larger than this: enough to see a speck by, small enough for a hundred of them. */
const LONGEST_PX = 1600;
const SMALLEST_PX = 32;
const MOST_BYTES = 80_000_000;
const QUALITY = 0.82;

/** A little inside its own edges, where a hand can take hold of them. */
const CORNERS: Photo['corners'] = [
  { u: 0.1, v: 0.1 },
  { u: 0.9, v: 0.1 },
  { u: 0.9, v: 0.9 },
  { u: 0.1, v: 0.9 },
];

/** A photograph of any kind the browser can open, turned as the camera held it, made smaller and kept as JPEG. */
export async function importPhoto(file: File, of: Photo['of'], db: MesaDb = theDb): Promise<Result<Photo>> {
  const where = file.name || 'Photograph';
  if (file.size === 0) return fail(say('files.fileEmpty'), where, say('files.takePhotographAgain'));
  if (file.size > MOST_BYTES)
    return fail(say('files.largerThan80Mb'), where, say('files.saveSmallerTakeAgain'));
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return fail(say('files.photographBrowserCanOpen'), where, say('files.setCameraSaveJpeg'));
  }
  const { width, height } = picture;
  if (Math.min(width, height) < SMALLEST_PX) {
    picture.close();
    return fail(say('files.onlyPixels', { width, height }), where, say('files.importPhotographItselfIcon'));
  }
  const scale = Math.min(1, LONGEST_PX / Math.max(width, height));
  const [w, h] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  const canvas = new OffscreenCanvas(w, h);
  const pen = canvas.getContext('2d');
  if (!pen) return fail(say('files.browserHasRoomOpen'), where, say('files.closeOtherTabsTry'));
  // What is clear in a PNG is the table it lies on: white.
  pen.fillStyle = '#ffffff';
  pen.fillRect(0, 0, w, h);
  pen.drawImage(picture, 0, 0, w, h);
  picture.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  const id = `${PHOTO}${await contentId(bytes)}`.slice(0, 64);
  const kept = await stored(where, () => db.pictures.put({ id, mime: 'image/jpeg', bytes }));
  return kept.ok ? ok({ id, mime: 'image/jpeg', of, widthPx: w, heightPx: h, corners: [...CORNERS] }) : kept;
}

/** An address to show a kept photograph by; null where it is not in this browser. The caller lets it go again. */
export async function photoUrl(id: string, db: MesaDb = theDb): Promise<string | null> {
  const row = await db.pictures.get(id);
  return row ? URL.createObjectURL(new Blob([row.bytes.slice()], { type: row.mime })) : null;
}
