import type { PictureRef } from '@/core/job/job';
import { fail, ok, type Result } from '@/core/result';
import type { InspectedPicture } from '@/workers/bench.worker';
import { inWorker } from '@/workers/client';
import { db as theDb, type MesaDb } from './db';
import { contentId } from './ids';
import { stored } from './storage';

/** Checks a picture, keeps its bytes untouched and returns what a job holds of it. */
export async function bringPicture(file: File, db: MesaDb = theDb): Promise<Result<PictureRef>> {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(await file.arrayBuffer());
  } catch {
    return fail('The file could not be read.', file.name, 'It may have been moved. Choose it again.');
  }
  const inspected = await inWorker<Result<InspectedPicture>>(
    file.name,
    async (api) => await api.inspect(bytes, file.name),
  );
  if (!inspected.ok) return inspected;
  if (!inspected.value.ok) return inspected.value;
  const facts = inspected.value.value;
  const id = await contentId(bytes);
  const kept = await stored(file.name, () => db.pictures.put({ id, mime: facts.mime, bytes }));
  if (!kept.ok) return kept;
  return ok({ id, name: file.name.slice(0, 120) || 'picture', ...facts, drawn: null });
}

/** The bytes of a job's picture; the application's own pictures are drawn when first wanted. */
export async function pictureBytes(ref: PictureRef, db: MesaDb = theDb): Promise<Result<Uint8Array>> {
  const found = await stored(ref.name, () => db.pictures.get(ref.id));
  if (found.ok && found.value) return ok(found.value.bytes);
  if (!ref.drawn)
    return fail('This picture’s file is not in this browser.', ref.name, 'Bring the picture again.');
  const drawn = await inWorker(ref.name, (api) => api.drawPicture(ref));
  if (drawn.ok)
    await stored(ref.name, () => db.pictures.put({ id: ref.id, mime: ref.mime, bytes: drawn.value }));
  return drawn;
}
