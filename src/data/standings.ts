import { db as theDb, type MesaDb, type StandingRecord } from './db';

/** Standings kept from before; none where they cannot be read, since all can be reckoned again. */
export const loadStandings = (db: MesaDb = theDb): Promise<readonly StandingRecord[]> =>
  db.standings.toArray().catch(() => []);

/** Keeps standings, and lets go those of jobs no longer there. A full disk is no matter: they are only a help. */
export async function keepStandings(
  records: readonly StandingRecord[],
  jobIds: readonly string[],
  db: MesaDb = theDb,
): Promise<void> {
  try {
    const there = new Set(jobIds);
    const gone = (await db.standings.toCollection().primaryKeys()).filter((id) => !there.has(id));
    await db.standings.bulkDelete(gone);
    await db.standings.bulkPut(records);
  } catch {
    // Reckoned again next time.
  }
}
