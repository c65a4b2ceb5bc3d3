import type { ImageAnalysis } from '@/core/art/analyseImage';
import { db as theDb, type MesaDb } from './db';

/** Raised whenever analysing a picture finds something else than before. */
const VERSION = 1;

/** What was found in a picture's pixels before; null where nobody looked, or an older copy did. */
export async function keptAnalysis(pictureId: string, db: MesaDb = theDb): Promise<ImageAnalysis | null> {
  try {
    const row = await db.analyses.get(pictureId);
    // Written by this very code and by no file: its version is its schema.
    return row?.version === VERSION ? (row.look as ImageAnalysis) : null;
  } catch {
    return null;
  }
}

export const keepAnalysis = (pictureId: string, look: ImageAnalysis, db: MesaDb = theDb): Promise<void> =>
  db.analyses.put({ id: pictureId, version: VERSION, look }).then(
    () => undefined,
    () => undefined,
  );

/** Ids of the pictures that have been analysed. */
export const analysedIds = (db: MesaDb = theDb): Promise<ReadonlySet<string>> =>
  db.analyses
    .toCollection()
    .primaryKeys()
    .then(
      (keys) => new Set(keys),
      () => new Set<string>(),
    );
