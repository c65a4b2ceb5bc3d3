import type { PictureLook } from '@/core/art/lookInto';
import { db as theDb, type MesaDb } from './db';

/** Raised whenever looking into a picture finds something else than before. */
const VERSION = 1;

/** What was found in a picture's pixels before; null where nobody looked, or an older copy did. */
export async function keptLook(pictureId: string, db: MesaDb = theDb): Promise<PictureLook | null> {
  try {
    const row = await db.looks.get(pictureId);
    // Written by this very code and by no file: its version is its schema.
    return row?.version === VERSION ? (row.look as PictureLook) : null;
  } catch {
    return null;
  }
}

export const keepLook = (pictureId: string, look: PictureLook, db: MesaDb = theDb): Promise<void> =>
  db.looks.put({ id: pictureId, version: VERSION, look }).then(
    () => undefined,
    () => undefined,
  );

/** Ids of the pictures that have been looked into. */
export const lookedInto = (db: MesaDb = theDb): Promise<ReadonlySet<string>> =>
  db.looks
    .toCollection()
    .primaryKeys()
    .then(
      (keys) => new Set(keys),
      () => new Set<string>(),
    );
