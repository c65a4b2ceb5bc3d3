import { say } from '@/core/message/message';
import type * as z from 'zod/mini';
import { isRaw } from '@/core/formats/upgrades/raw';
import { quoteSchema } from '@/core/shop/quote';
import { logEntrySchema } from '@/core/shop/records';
import { DEFAULT_SETTINGS } from '@/core/shop/settings';
import { movementSchema, stockItemSchema } from '@/core/shop/stock';
import type { Result } from '@/core/basics/result';
import { db as theDb, type MesaDb } from './db';
import { stored } from './storage';

/*
 * Records that this version cannot read. They stay where they are, are left out of everything, and are said: a record that is silently left out
 * would be contradicted by what is written next.
 */

const TABLES = {
  job: 'jobs',
  blank: 'blanks',
  press: 'presses',
  paper: 'papers',
  recipe: 'recipes',
  run: 'runs',
  settings: 'settings',
  'log entry': 'log',
  'stock item': 'stockItems',
  'stock movement': 'movements',
  quote: 'quotes',
} as const satisfies Record<string, keyof MesaDb>;
export type RecordKind = keyof typeof TABLES;

/** A record that is kept and cannot be read, with what can be said of it. */
export interface SetAside {
  readonly kind: RecordKind;
  readonly id: string;
  readonly name: string | null;
  /** The job it belongs to, where it says one. */
  readonly jobId: string | null;
  readonly record: unknown;
}

const textIn = (record: unknown, field: string): string | null => {
  const value = isRaw(record) ? record[field] : null;
  return typeof value === 'string' && value !== '' ? value.slice(0, 80) : null;
};

/** The record a row holds: a job and the settings stand inside a row with an id of their own. */
const inner = (kind: RecordKind, row: unknown): unknown =>
  isRaw(row) && (kind === 'job' || kind === 'settings') ? row[kind] : row;

export function asideOf(kind: RecordKind, row: unknown): SetAside {
  const record = inner(kind, row);
  return {
    kind,
    id: textIn(row, 'id') ?? '',
    name: textIn(record, 'name') ?? textIn(record, 'jobName'),
    jobId: kind === 'job' ? textIn(row, 'id') : textIn(record, 'jobId'),
    record: row,
  };
}

export interface ReadRows<T> {
  readonly read: readonly T[];
  readonly aside: readonly SetAside[];
}

/** Rows of a table: what can be read, and the rest set aside. */
export function readRows<T>(
  kind: RecordKind,
  rows: readonly unknown[],
  schema: z.ZodMiniType<T>,
): ReadRows<T> {
  const read: T[] = [];
  const aside: SetAside[] = [];
  for (const row of rows) {
    const parsed = schema.safeParse(inner(kind, row));
    if (parsed.success) read.push(parsed.data);
    else aside.push(asideOf(kind, row));
  }
  return { read, aside };
}

interface Known<T> {
  readonly stamp: string;
  readonly value: T | null;
}

/**
 * Reads rows of one kind again and again: a row is checked by its schema when it is first read, and again once its stamp is another; until then
 * it stays the very object it was.
 */
export function createReader<Row extends { readonly id: string }, T>(
  kind: RecordKind,
  schema: z.ZodMiniType<T>,
  stampOf: (row: Row) => string,
) {
  const knownOf = new WeakMap<MesaDb, Map<string, Known<unknown>>>();
  return <R>(
    db: MesaDb,
    rows: readonly Row[],
    made: (row: Row, value: T) => R,
    plain: (row: Row) => unknown = (row) => inner(kind, row),
  ): ReadRows<R> => {
    const known = knownOf.get(db) ?? new Map<string, Known<unknown>>();
    knownOf.set(db, known);
    const read: R[] = [];
    const aside: SetAside[] = [];
    for (const row of rows) {
      const stamp = stampOf(row);
      const before = known.get(row.id);
      if (before?.stamp === stamp && before.value !== null) {
        read.push(before.value as R);
        continue;
      }
      const parsed = schema.safeParse(plain(row));
      const value = parsed.success ? made(row, parsed.data) : null;
      known.set(row.id, { stamp, value });
      if (value === null) aside.push(asideOf(kind, row));
      else read.push(value);
    }
    return { read, aside };
  };
}

/** Of the stock and the quotes, what cannot be read. */
export async function stockAndQuotesAside(db: MesaDb = theDb): Promise<readonly SetAside[]> {
  const [items, movements, quotes] = await Promise.all([
    db.stockItems.toArray(),
    db.movements.toArray(),
    db.quotes.toArray(),
  ]);
  return [
    ...readRows('stock item', items, stockItemSchema).aside,
    ...readRows('stock movement', movements, movementSchema).aside,
    ...readRows('quote', quotes, quoteSchema).aside,
  ];
}

const STRETCH = 500;

/** Of the log, what cannot be read: a stretch at a time, so that other requests do not wait. */
export async function logAside(db: MesaDb = theDb): Promise<readonly SetAside[]> {
  const aside: SetAside[] = [];
  for (let last = ''; ;) {
    const rows = await db.log.where(':id').above(last).limit(STRETCH).toArray();
    aside.push(
      ...readRows(
        'log entry',
        rows.map(({ words: _words, ...entry }) => entry),
        logEntrySchema,
      ).aside,
    );
    const end = rows.at(-1);
    if (!end || rows.length < STRETCH) return aside;
    last = end.id;
  }
}

/** The records set aside as a file, to be kept elsewhere and read by a version that can. */
export const asideFileText = (aside: readonly SetAside[]): string =>
  `${JSON.stringify(
    {
      format: 'mesa-drift.unreadable',
      version: 1,
      records: aside.map(({ kind, record }) => ({ kind, record })),
    },
    null,
    1,
  )}\n`;

/** Takes records out that were set aside, after they were saved to a file. */
export const removeAside = (aside: readonly SetAside[], db: MesaDb = theDb): Promise<Result<void>> =>
  stored(say('files.unreadableRecords'), () =>
    db.transaction('rw', [...new Set(aside.map((a) => db[TABLES[a.kind]]))], async () => {
      for (const a of aside) if (a.kind !== 'settings') await db[TABLES[a.kind]].delete(a.id);
    }),
  );

/** Resets the settings. Those that cannot be read stay beside them, under an id of their own. */
export const startFreshSettings = (db: MesaDb = theDb, now: number = Date.now()): Promise<Result<void>> =>
  stored(say('common.settings2'), () =>
    db.transaction('rw', db.settings, async () => {
      const there = await db.settings.get('shop');
      if (there) await db.table('settings').put({ ...there, id: `unreadable-${now}` });
      await db.settings.put({ id: 'shop', settings: DEFAULT_SETTINGS });
    }),
  );
