import { say, type Message } from '@/core/message/message';
import type { PictureRef } from '@/core/job/art';
import { MOST_PICTURE_BYTES } from '@/core/formats/picture';
import { createLru } from '@/core/memo/memo';
import { fail, ok, type Result } from '@/core/basics/result';
import type { InspectedPicture, PictureBytes } from '@/workers/files.worker';
import { inWorker } from '@/workers/client';
import { db as theDb, type MesaDb } from './db';
import { drawSvg } from './drawSvg';
import { contentId } from './ids';
import { stored } from './storage';
import { readBytes } from './readFile';

/** What of a drawing could not be taken over, with the drawing as it was and as it is drawn. */
export interface DroppedParts {
  readonly name: string;
  readonly dropped: readonly Message[];
  readonly before: Uint8Array;
  readonly after: Uint8Array;
}

/** Checks a picture, keeps its bytes untouched and returns what a job holds of it. `onDropped` hears what of a drawing is left out. */
export async function importPicture(
  file: File,
  onDropped: (parts: DroppedParts) => void,
  db: MesaDb = theDb,
): Promise<Result<PictureRef>> {
  const read = await readBytes(file, MOST_PICTURE_BYTES, say('files.savePictureSmaller'));
  if (!read.ok) return read;
  const bytes = read.value;
  const inspected = await inWorker<Result<InspectedPicture>>(
    file.name,
    async (api) => await api.inspect(bytes, file.name),
  );
  if (!inspected.ok) return inspected;
  if (!inspected.value.ok) return inspected.value;
  const facts = inspected.value.value;
  const id = await contentId(bytes);
  const ref: PictureRef = { id, name: file.name.slice(0, 120) || 'picture', ...facts, drawn: null };
  if (facts.mime === 'image/svg+xml') {
    const drawn = await drawSvg(bytes, ref);
    if (!drawn.ok) return drawn;
    const { dropped, png } = drawn.value;
    if (dropped.length > 0) onDropped({ name: ref.name, dropped, before: bytes, after: png });
  }
  const kept = await stored(file.name, () => db.pictures.put({ id, mime: facts.mime, bytes }));
  return kept.ok ? ok(ref) : kept;
}

/** Drawings already drawn this session, as PNG. */
const MOST_DRAWN = 12;
const drawnSvgs = createLru<string, Uint8Array>(MOST_DRAWN);

async function asPng(ref: PictureRef, bytes: Uint8Array): Promise<Result<Uint8Array>> {
  const known = drawnSvgs.get(ref.id);
  if (known) return ok(known);
  const drawn = await drawSvg(bytes, ref);
  if (!drawn.ok) return drawn;
  drawnSvgs.set(ref.id, drawn.value.png);
  return ok(drawn.value.png);
}

/** Bytes the worker can open: the file's own, a drawing's as PNG; the application's own pictures are drawn when first wanted. */
export async function pictureBytes(ref: PictureRef, db: MesaDb = theDb): Promise<Result<Uint8Array>> {
  const found = await stored(ref.name, () => db.pictures.get(ref.id));
  if (found.ok && found.value)
    return ref.mime === 'image/svg+xml' ? asPng(ref, found.value.bytes) : ok(found.value.bytes);
  if (!ref.drawn) return fail(say('files.picturesFileBrowser'), ref.name, say('files.importPictureAgain'));
  const drawn = await inWorker(ref.name, (api) => api.drawPicture(ref));
  if (drawn.ok)
    await stored(ref.name, () => db.pictures.put({ id: ref.id, mime: ref.mime, bytes: drawn.value }));
  return drawn;
}

/** The file as it was brought, byte for byte; null for one the application draws. */
export async function originalBytes(ref: PictureRef, db: MesaDb = theDb): Promise<Uint8Array | null> {
  const found = await stored(ref.name, () => db.pictures.get(ref.id));
  return found.ok && found.value ? found.value.bytes : null;
}

/** Several pictures with their bytes; the first that is missing is the problem. */
export async function bytesOf(refs: readonly PictureRef[]): Promise<Result<readonly PictureBytes[]>> {
  const all: PictureBytes[] = [];
  for (const ref of new Map(refs.map((r) => [r.id, r])).values()) {
    const bytes = await pictureBytes(ref);
    if (!bytes.ok) return bytes;
    all.push({ ref, bytes: bytes.value });
  }
  return ok(all);
}
