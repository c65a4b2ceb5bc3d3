import { say } from '@/core/message/message';
import Dexie from 'dexie';
import type { ProvenCounts } from '@/core/heat/settings/choose';
import { NONE_CONFIRMED, type ConfirmedCounts } from '@/core/inspect/shopTable';
import type { JobTally } from '@/core/inspect/tally';
import { idsOf, mergeLog, type LogMerge } from '@/core/log/merge';
import type { Result } from '@/core/basics/result';
import { sameContent } from '@/core/basics/same';
import { CAUSE_IDS, FAULT_IDS } from '@/core/shop/faultIds';
import { faultsOf } from '@/core/shop/mark';
import { settingsKey } from '@/core/shop/heatSettings';
import { logEntrySchema, type LogEntry, type Recipe } from '@/core/shop/records';
import { corrected } from '@/core/shop/standing';
import { db as theDb, type LogRecord, type MesaDb, type PictureRecord, type TallyRecord } from './db';
import { stored } from './storage';

/*
 * The log may hold a hundred thousand entries. Counts are kept beside it as entries are written, lists are read a page at a time by an index,
 * and a worker holds what it is filtered by.
 */

/** An entry as it was written; null where it can no longer be read. Records of before carried words they were found by. */
function entryOf(record: LogRecord): LogEntry | null {
  const { words: _words, ...entry } = record;
  const parsed = logEntrySchema.safeParse(entry);
  return parsed.success ? parsed.data : null;
}

const entriesOf = (records: readonly LogRecord[]): LogEntry[] => records.flatMap((r) => entryOf(r) ?? []);

const heatTallyId = (of: Pick<LogEntry, 'blankId' | 'pressId' | 'settings'>): string =>
  `heat ${of.blankId} ${of.pressId} ${settingsKey(of.settings)}`;
const jobTallyId = (jobId: string): string => `job ${jobId}`;

const NONE = { good: 0, seconds: 0, spoiled: 0, entries: 0 } as const;

const causeTallyId = (cause: string, fault = ''): string => `cause ${cause} ${fault}`.trim();

/**
 * What some entries add to the counts kept beside the log, or take from them. Pieces of an entry that did not come out good prove no settings.
 */
function talliesOf(entries: readonly LogEntry[], by: 1 | -1, found: Map<string, TallyRecord>): void {
  const add = (id: string, own: JobTally) => {
    const t = found.get(id) ?? { id, ...NONE };
    found.set(id, {
      id,
      good: t.good + by * own.good,
      seconds: t.seconds + by * own.seconds,
      spoiled: t.spoiled + by * own.spoiled,
      entries: t.entries + by * own.entries,
    });
  };
  for (const e of entries) {
    const own = { good: e.good, seconds: e.seconds, spoiled: e.spoiled, entries: 1 };
    add(jobTallyId(e.jobId), own);
    if (e.verdict === 'good') add(heatTallyId(e), own);
    if (e.cause === null) continue;
    add(causeTallyId(e.cause), own);
    for (const fault of faultsOf(e.marks)) add(causeTallyId(e.cause, fault), own);
  }
}

/** Entries that answer another one: few, however long the log. */
const answering = (db: MesaDb): Promise<LogRecord[]> => db.log.where('corrects').above('').toArray();

/**
 * Adds entries that are not in the log yet, and counts them; inside a transaction over `log` and `tallies`. One that answers another takes that
 * one’s pieces out of the counts, whichever of the two came first. Gives how many were new.
 */
export async function addToLog(db: MesaDb, entries: readonly LogEntry[]): Promise<number> {
  const there = await db.log.bulkGet(entries.map((e) => e.id));
  const fresh = entries.filter((_, i) => there[i] === undefined);
  if (fresh.length === 0) return 0;
  const before = await answering(db);
  const goneBefore = corrected(before);
  const goneAfter = corrected([...before, ...fresh.filter((e) => e.corrects !== null)]);
  const freshIds = new Set(fresh.map((e) => e.id));
  const dropped = [...goneAfter].filter((id) => !goneBefore.has(id) && !freshIds.has(id));
  const answered = entriesOf((await db.log.bulkGet(dropped)).filter((r) => r !== undefined));
  await db.log.bulkAdd([...fresh]);
  const more = new Map<string, TallyRecord>();
  talliesOf(
    fresh.filter((e) => !goneAfter.has(e.id)),
    1,
    more,
  );
  talliesOf(answered, -1, more);
  const ids = [...more.keys()];
  const now = await db.tallies.bulkGet(ids);
  await db.tallies.bulkPut(
    [...more.values()].map((t, i) => {
      const b = now[i] ?? NONE;
      return {
        id: t.id,
        good: t.good + b.good,
        seconds: t.seconds + b.seconds,
        spoiled: t.spoiled + b.spoiled,
        entries: t.entries + b.entries,
      };
    }),
  );
  return fresh.length;
}

/** Two entries of one job that say the same within this time are one inspection, saved in two tabs or by two taps. */
const ONE_INSPECTION_MS = 5000;

async function saidJustNow(db: MesaDb, entry: LogEntry): Promise<boolean> {
  const near = await db.log
    .where('[jobId+at]')
    .between([entry.jobId, entry.at - ONE_INSPECTION_MS], [entry.jobId, entry.at + ONE_INSPECTION_MS])
    .toArray();
  return entriesOf(near).some((e) => sameContent({ ...e, id: entry.id, at: entry.at }, entry));
}

/** Writes an entry once: the same one again, by a second tap or from a second tab, changes nothing. True where it was new. */
export const writeLog = (entry: LogEntry, db: MesaDb = theDb): Promise<Result<boolean>> =>
  stored(say('common.logbook'), () =>
    db.transaction('rw', db.log, db.tallies, async () => {
      const read = logEntrySchema.parse(entry);
      return !(await saidJustNow(db, read)) && (await addToLog(db, [read])) > 0;
    }),
  );

/** The whole log, for a file. */
export const wholeLog = async (db: MesaDb = theDb): Promise<LogEntry[]> => entriesOf(await db.log.toArray());

/** Newest entries of a job: as many as a screen lists. */
export const newestOfJob = async (jobId: string, most: number, db: MesaDb = theDb): Promise<LogEntry[]> =>
  entriesOf(
    await db.log
      .where('[jobId+at]')
      .between([jobId, Dexie.minKey], [jobId, Dexie.maxKey])
      .reverse()
      .limit(most)
      .toArray(),
  );

/** Newest entries of a blank on a press: as many as a chart shows. */
export const newestOnPress = async (
  blankId: string,
  pressId: string,
  most: number,
  db: MesaDb = theDb,
): Promise<LogEntry[]> =>
  entriesOf(
    await db.log
      .where('[blankId+pressId+at]')
      .between([blankId, pressId, Dexie.minKey], [blankId, pressId, Dexie.maxKey])
      .reverse()
      .limit(most)
      .toArray(),
  );

/** Newest entries of a press, whatever the blank: few of a log are of one press, and only the newest say how it is today. */
export const newestOnPlaten = async (
  pressId: string,
  most: number,
  db: MesaDb = theDb,
): Promise<LogEntry[]> =>
  entriesOf(
    await db.log
      .orderBy('at')
      .reverse()
      .filter((r) => r.pressId === pressId)
      .limit(most)
      .toArray(),
  );

/** What jobs' entries add up to, by job; nothing of those without entries. */
export async function jobTallies(
  jobIds: readonly string[],
  db: MesaDb = theDb,
): Promise<Readonly<Record<string, JobTally>>> {
  const rows = await db.tallies.bulkGet(jobIds.map(jobTallyId));
  return Object.fromEntries(
    rows.flatMap((t, i) => {
      const id = jobIds[i];
      return t && id !== undefined
        ? [[id, { good: t.good, seconds: t.seconds, spoiled: t.spoiled, entries: t.entries }]]
        : [];
    }),
  );
}

/** Good pieces the log holds for exactly the settings of each recipe, by recipe. */
export async function goodBehind(recipes: readonly Recipe[], db: MesaDb = theDb): Promise<ProvenCounts> {
  const rows = await db.tallies.bulkGet(recipes.map(heatTallyId));
  return Object.fromEntries(recipes.map((r, i) => [r.id, rows[i]?.good ?? 0]));
}

/** The newest entries, whatever they say: what is shown while the rest is read. */
export const newestEntries = async (most: number, db: MesaDb = theDb): Promise<LogEntry[]> =>
  entriesOf(await db.log.orderBy('at').reverse().limit(most).toArray());

/** Entries by name, in the order asked. */
export const entriesById = async (ids: readonly string[], db: MesaDb = theDb): Promise<LogEntry[]> =>
  entriesOf((await db.log.bulkGet([...ids])).filter((r) => r !== undefined));

/** An entry, the one it corrects, and those that correct it. */
export interface EntryWithAnswers {
  readonly entry: LogEntry;
  readonly corrects: LogEntry | null;
  readonly answers: readonly LogEntry[];
}

export async function entryWithAnswers(id: string, db: MesaDb = theDb): Promise<EntryWithAnswers | null> {
  const [entry] = await entriesById([id], db);
  if (!entry) return null;
  const [corrects] = entry.corrects ? await entriesById([entry.corrects], db) : [];
  const answers = entriesOf(await db.log.where('corrects').equals(id).toArray());
  return { entry, corrects: corrects ?? null, answers: answers.sort((a, b) => a.at - b.at) };
}

/** Causes the shop settled on, by fault. */
export async function confirmedCounts(db: MesaDb = theDb): Promise<ConfirmedCounts> {
  const rows = new Map(
    (await db.tallies.where('id').startsWith('cause ').toArray()).map((t) => [t.id, t.entries]),
  );
  if (rows.size === 0) return NONE_CONFIRMED;
  return {
    causes: Object.fromEntries(CAUSE_IDS.map((c) => [c, rows.get(causeTallyId(c)) ?? 0])),
    faults: Object.fromEntries(
      CAUSE_IDS.map((c) => [
        c,
        Object.fromEntries(FAULT_IDS.map((f) => [f, rows.get(causeTallyId(c, f)) ?? 0])),
      ]),
    ),
  };
}

/** Lays entries from elsewhere beside the shop’s own, with their photographs: all of them or none, so that a merge cut short costs nothing. */
export const mergeIntoLog = (
  incoming: readonly LogEntry[],
  pictures: readonly PictureRecord[],
  db: MesaDb = theDb,
): Promise<Result<LogMerge>> =>
  stored(say('common.logbook'), () =>
    db.transaction('rw', db.log, db.tallies, db.pictures, async () => {
      const ids = incoming.flatMap(idsOf);
      // An entry whose id was changed elsewhere may be here under the id it had: it is found by its moment.
      const moments = [...new Set(incoming.filter((e) => e.id.startsWith('log-')).map((e) => e.at))];
      const [byId, byMoment] = [await db.log.bulkGet(ids), await db.log.where('at').anyOf(moments).toArray()];
      const own = entriesOf([...byId.filter((r) => r !== undefined), ...byMoment]);
      const merged = mergeLog(own, incoming);
      await addToLog(db, merged.add);
      await db.pictures.bulkPut([...pictures]);
      return merged;
    }),
  );
