import * as Comlink from 'comlink';
import { chartsOf, type LogCharts } from '@/core/log/charts';
import { filterRows, rowOf, withRows, type LogQuery, type LogRow } from '@/core/log/rows';
import { laidMarks, overlay, type Overlay } from '@/core/look/overlay';
import { corrected } from '@/core/shop/standing';
import { db } from '@/data/db';
import { entriesById } from '@/data/log';
import { logEntrySchema } from '@/core/shop/records';

/*
 * Holds what every entry is filtered by, in order of time. It is read once, a stretch at a time, and afterwards only what is new.
 */

const STRETCH = 4000;
let rows: readonly LogRow[] = [];
let gone: ReadonlySet<string> = new Set();
let reading: Promise<number> | null = null;

async function fresh(ids: readonly string[]): Promise<LogRow[]> {
  const records = await db.log.bulkGet([...ids]);
  return records.flatMap((r) => {
    if (!r) return [];
    const { words: _words, ...entry } = r;
    const parsed = logEntrySchema.safeParse(entry);
    return parsed.success ? [rowOf(parsed.data)] : [];
  });
}

async function readOn(onRead: (n: number) => void): Promise<number> {
  const ids = await db.log.toCollection().primaryKeys();
  const there = new Set(ids);
  const held = rows.some((r) => !there.has(r.id)) ? rows.filter((r) => there.has(r.id)) : rows;
  const known = new Set(held.map((r) => r.id));
  const missing = ids.filter((id) => !known.has(id));
  const found: LogRow[] = [];
  for (let i = 0; i < missing.length; i += STRETCH) {
    found.push(...(await fresh(missing.slice(i, i + STRETCH))));
    onRead(known.size + found.length);
  }
  rows = withRows(held, found);
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
  read: async (onRead: (n: number) => void): Promise<number> => {
    const before = reading;
    const mine = (async () => {
      await before?.catch(() => 0);
      return readOn(onRead);
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
