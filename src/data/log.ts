import Dexie from 'dexie';
import type { ProvenCounts } from '@/core/heat/choose';
import type { JobTally } from '@/core/look/tally';
import type { Result } from '@/core/basics/result';
import type { HeatSettings } from '@/core/shop/heatSettings';
import { logEntrySchema, type LogEntry, type Recipe } from '@/core/shop/records';
import { db as theDb, type LogRecord, type MesaDb, type TallyRecord } from './db';
import { stored } from './storage';

/*
 * The log may hold a hundred thousand entries. Nothing reads it whole but a file of the shop: counts are kept beside it as entries are
 * written, and lists are read a page at a time by an index.
 */

const LONGEST_WORD = 24;
const MOST_WORDS = 80;

/** Words an entry is found by: of its names, its verdict and its note, in lower case. */
function wordsOf(text: string): readonly string[] {
  const words = text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  return [...new Set(words.map((w) => w.slice(0, LONGEST_WORD)))].slice(0, MOST_WORDS);
}

const logRecord = (e: LogEntry): LogRecord => ({
  ...e,
  words: [...wordsOf(`${e.jobName} ${e.blankName} ${e.pressName} ${e.verdict} ${e.note}`)],
});

/** An entry as it was written; null where it can no longer be read. */
function entryOf(record: LogRecord): LogEntry | null {
  const { words: _words, ...entry } = record;
  const parsed = logEntrySchema.safeParse(entry);
  return parsed.success ? parsed.data : null;
}

const entriesOf = (records: readonly LogRecord[]): LogEntry[] => records.flatMap((r) => entryOf(r) ?? []);

const settingsKey = (s: HeatSettings): string =>
  [s.platenC, s.dwellS, s.passes, s.timerStart, s.pressure, s.peel, s.coolDownC].join('|');

const heatTallyId = (of: Pick<LogEntry, 'blankId' | 'pressId' | 'settings'>): string =>
  `heat ${of.blankId} ${of.pressId} ${settingsKey(of.settings)}`;
const jobTallyId = (jobId: string): string => `job ${jobId}`;

const NONE = { good: 0, spoiled: 0, entries: 0 } as const;

/** What some entries add to the counts kept beside the log. Pieces of an entry that did not come out good prove no settings. */
function talliesOf(entries: readonly LogEntry[]): readonly TallyRecord[] {
  const found = new Map<string, TallyRecord>();
  const add = (id: string, by: JobTally) => {
    const t = found.get(id) ?? { id, ...NONE };
    found.set(id, {
      id,
      good: t.good + by.good,
      spoiled: t.spoiled + by.spoiled,
      entries: t.entries + by.entries,
    });
  };
  for (const e of entries) {
    const own = { good: e.good, spoiled: e.spoiled, entries: 1 };
    add(jobTallyId(e.jobId), own);
    if (e.verdict === 'good') add(heatTallyId(e), own);
  }
  return [...found.values()];
}

/** Adds entries that are not in the log yet, and counts them; inside a transaction over `log` and `tallies`. Gives how many were new. */
export async function addToLog(db: MesaDb, entries: readonly LogEntry[]): Promise<number> {
  const there = await db.log.bulkGet(entries.map((e) => e.id));
  const fresh = entries.filter((_, i) => there[i] === undefined);
  if (fresh.length === 0) return 0;
  await db.log.bulkAdd(fresh.map(logRecord));
  const more = talliesOf(fresh);
  const before = await db.tallies.bulkGet(more.map((t) => t.id));
  await db.tallies.bulkPut(
    more.map((t, i) => {
      const b = before[i] ?? NONE;
      return {
        id: t.id,
        good: t.good + b.good,
        spoiled: t.spoiled + b.spoiled,
        entries: t.entries + b.entries,
      };
    }),
  );
  return fresh.length;
}

/** Writes an entry once: the same one again, by a second tap, changes nothing. True where it was new. */
export const writeLog = (entry: LogEntry, db: MesaDb = theDb): Promise<Result<boolean>> =>
  stored('Logbook', () =>
    db.transaction('rw', db.log, db.tallies, async () => {
      return (await addToLog(db, [logEntrySchema.parse(entry)])) > 0;
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

/** What jobs' entries add up to, by job; nothing of those without entries. */
export async function jobTallies(
  jobIds: readonly string[],
  db: MesaDb = theDb,
): Promise<Readonly<Record<string, JobTally>>> {
  const rows = await db.tallies.bulkGet(jobIds.map(jobTallyId));
  return Object.fromEntries(
    rows.flatMap((t, i) => {
      const id = jobIds[i];
      return t && id !== undefined ? [[id, { good: t.good, spoiled: t.spoiled, entries: t.entries }]] : [];
    }),
  );
}

/** Good pieces the log holds for exactly the settings of each recipe, by recipe. */
export async function goodBehind(recipes: readonly Recipe[], db: MesaDb = theDb): Promise<ProvenCounts> {
  const rows = await db.tallies.bulkGet(recipes.map(heatTallyId));
  return Object.fromEntries(recipes.map((r, i) => [r.id, rows[i]?.good ?? 0]));
}

/** A stretch of the log, newest first. */
export interface LogPage {
  readonly entries: readonly LogEntry[];
  /** All that match; null where counting them would take longer than finding these. */
  readonly total: number | null;
  /** There are more after these. */
  readonly more: boolean;
}

/** Up to this many keys are looked up by word; of commoner words the newest are found sooner by going back in time. */
const FEW_KEYS = 3000;
/** Entries read at a time on the way back. */
const STEP = 400;

const matches = (words: readonly string[], wanted: readonly string[]): boolean =>
  wanted.every((w) => words.some((have) => have.startsWith(w)));

const rangeOf = (db: MesaDb, word: string) => db.log.where('words').startsWith(word);

/** The entries with words that begin as asked, by the rarest of them. */
async function byWord(db: MesaDb, wanted: readonly string[], rarest: string, most: number): Promise<LogPage> {
  const keys = [...new Set(await rangeOf(db, rarest).primaryKeys())];
  const rows = (await db.log.bulkGet(keys)).filter((r) => r !== undefined && matches(r.words, wanted));
  const found = rows.flatMap((r) => (r ? [r] : [])).sort((a, b) => b.at - a.at);
  return { entries: entriesOf(found.slice(0, most)), total: found.length, more: found.length > most };
}

/** The newest entries that match, going back until there are enough. */
async function goingBack(db: MesaDb, wanted: readonly string[], most: number): Promise<LogPage> {
  const found: LogRecord[] = [];
  let before: number | null = null;
  let seen = new Set<string>();
  for (;;) {
    const range: Dexie.Collection<LogRecord, string> =
      before === null ? db.log.orderBy('at') : db.log.where('at').belowOrEqual(before);
    const rows: LogRecord[] = await range
      .reverse()
      .limit(STEP + seen.size)
      .toArray();
    const fresh = rows.filter((r) => !seen.has(r.id));
    found.push(...fresh.filter((r) => matches(r.words, wanted)));
    const last = fresh.at(-1);
    if (found.length > most || !last || fresh.length < STEP) break;
    // Entries of one moment may lie on both sides of a step.
    seen = new Set(rows.filter((r) => r.at === last.at).map((r) => r.id));
    before = last.at;
  }
  return {
    entries: entriesOf(found.slice(0, most)),
    total: found.length > most ? null : found.length,
    more: found.length > most,
  };
}

/** The newest `most` entries whose words begin with all the words asked for; all entries where none are. */
export async function findInLog(
  find: string,
  most: number,
  db: MesaDb = theDb,
  fewKeys = FEW_KEYS,
): Promise<LogPage> {
  const wanted = wordsOf(find);
  if (wanted.length === 0) {
    const [rows, total] = await Promise.all([
      db.log.orderBy('at').reverse().limit(most).toArray(),
      db.log.count(),
    ]);
    return { entries: entriesOf(rows), total, more: total > rows.length };
  }
  const counts = await Promise.all(
    wanted.map(async (word) => ({
      word,
      n: await rangeOf(db, word)
        .limit(fewKeys + 1)
        .count(),
    })),
  );
  const rarest = counts.reduce((a, b) => (b.n < a.n ? b : a));
  return rarest.n <= fewKeys ? byWord(db, wanted, rarest.word, most) : goingBack(db, wanted, most);
}
