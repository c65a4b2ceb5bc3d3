import * as Comlink from 'comlink';
import { chartsOf, type LogCharts } from '@/core/log/charts';
import { filterRows, logRow, withRows, type LogQuery, type LogRow } from '@/core/log/rows';
import { laidMarks, overlay, type Overlay } from '@/core/inspect/overlay';
import { corrected } from '@/core/shop/standing';
import { db, type LogRecord } from '@/data/db';
import { entriesById } from '@/data/log';
import { logAside } from '@/data/setAside';
import type { Write } from '@/core/message/message';
import { METRIC } from '@/core/units/format';
import { findIn, loadParts } from '@/words/loaded';
import { INTL_LOCALE, type Locale } from '@/words/locale';
import { createWriter } from '@/words/writer';

/*
 * Holds what every entry is filtered by, in order of time. It is read once, a stretch at a time, and afterwards only what is new.
 */

const STRETCH = 4000;
let rows: readonly LogRow[] = [];
let gone: ReadonlySet<string> = new Set();
let reading: Promise<number> | null = null;
let locale: Locale | null = null;
let write: Write = () => '';

/** The log is searched in the words of one language: in another it is read again. */
async function speak(wanted: Locale): Promise<void> {
  if (wanted === locale) return;
  await loadParts(wanted, ['inspect', 'logbook']);
  locale = wanted;
  write = createWriter(findIn(wanted), METRIC, INTL_LOCALE[wanted]).text;
  rows = [];
}

/** Records are checked when they are shown; one that cannot be read has no row. */
function rowOfRecord(record: LogRecord): LogRow | null {
  try {
    return logRow(record, write);
  } catch {
    return null;
  }
}

const rowsOf = (records: readonly (LogRecord | undefined)[]): LogRow[] =>
  records.flatMap((r) => (r && rowOfRecord(r)) ?? []);

/** All of it, a stretch at a time by id: far quicker than asking for each. */
async function readWhole(onRead: (n: number) => void): Promise<readonly LogRow[]> {
  const found: LogRow[] = [];
  let last = '';
  for (;;) {
    const records = await db.log.where(':id').above(last).limit(STRETCH).toArray();
    found.push(...rowsOf(records));
    onRead(found.length);
    const end = records.at(-1);
    if (!end || records.length < STRETCH) return withRows([], found);
    last = end.id;
  }
}

/** Only what is new, and without what is gone. */
async function readNew(): Promise<readonly LogRow[]> {
  const ids = await db.log.toCollection().primaryKeys();
  const there = new Set(ids);
  const held = rows.some((r) => !there.has(r.id)) ? rows.filter((r) => there.has(r.id)) : rows;
  const known = new Set(held.map((r) => r.id));
  const missing = ids.filter((id) => !known.has(id));
  const found: LogRow[] = [];
  for (let i = 0; i < missing.length; i += STRETCH)
    found.push(...rowsOf(await db.log.bulkGet(missing.slice(i, i + STRETCH))));
  return withRows(held, found);
}

async function readOn(wanted: Locale, onRead: (n: number) => void): Promise<number> {
  await speak(wanted);
  rows = rows.length === 0 ? await readWhole(onRead) : await readNew();
  gone = corrected(rows);
  return rows.length;
}

export interface LogAnswer {
  readonly total: number;
  readonly ids: readonly string[];
  readonly charts: LogCharts | null;
  /** How long filtering took, ms. */
  readonly tookMs: number;
}

const MOST_MAPPED = 400;

const api = {
  /** Reads what is new in the log; one reading at a time. */
  read: async (wanted: Locale, onRead: (n: number) => void): Promise<number> => {
    const before = reading;
    const mine = (async () => {
      await before?.catch(() => 0);
      return readOn(wanted, onRead);
    })();
    reading = mine;
    return mine;
  },
  ask: (query: LogQuery, most: number, offsetMs: number | null): LogAnswer => {
    const from = performance.now();
    const found = filterRows(rows, gone, query);
    const tookMs = performance.now() - from;
    return {
      total: found.length,
      ids: found.slice(0, most).map((r) => r.id),
      charts: offsetMs === null ? null : chartsOf(found, offsetMs),
      tookMs,
    };
  },
  /** Entries that cannot be read: looked for once, after the log has been read. */
  aside: () => logAside(),
  ids: (query: LogQuery): readonly string[] => filterRows(rows, gone, query).map((r) => r.id),
  /** The newest entries with something marked, laid over each other. */
  overlay: async (query: LogQuery): Promise<Overlay> => {
    const marked = filterRows(rows, gone, query).filter((r) => r.faults !== 0);
    const entries = await entriesById(marked.slice(0, MOST_MAPPED).map((r) => r.id));
    const of = query.fault;
    return overlay(laidMarks(entries).filter((m) => of === null || m.fault === of));
  },
};
export type LogWorker = typeof api;

Comlink.expose(api);
