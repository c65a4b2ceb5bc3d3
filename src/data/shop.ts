import { say } from '@/core/message/message';
import type { Table } from 'dexie';
import type * as z from 'zod/mini';
import { blankSchema, type Blank } from '@/core/shop/blank';
import { paperSchema, type Paper } from '@/core/shop/paper';
import { pressSchema, type Press } from '@/core/shop/press';
import { recipeSchema, type Recipe } from '@/core/shop/records';
import { DEFAULT_SETTINGS, settingsSchema, type Settings } from '@/core/shop/settings';
import { byName, type Shop } from '@/core/shop/shop';
import { fail, ok, type Result } from '@/core/basics/result';
import { db as theDb, type MesaDb } from './db';
import { allRuns } from './live';
import { wholeLog } from './log';
import { asideOf, readRows, type RecordKind, type SetAside } from './setAside';
import { stored } from './storage';

/** The settings as stored; null where they are there and cannot be read. */
async function storedSettings(db: MesaDb): Promise<Settings | null> {
  const row = await db.settings.get('shop');
  if (!row) return DEFAULT_SETTINGS;
  const parsed = settingsSchema.safeParse(row.settings);
  return parsed.success ? parsed.data : null;
}

const UNREADABLE_SETTINGS = fail(
  say('files.shopsSettingsKeptBut'),
  say('common.settings2'),
  say('files.saveThemFileStart'),
);

/** A problem in words where the shop’s settings cannot be read: writing others would lose them. */
export const settingsUnreadable = async (db: MesaDb = theDb): Promise<Result<never> | null> =>
  (await storedSettings(db)) === null ? UNREADABLE_SETTINGS : null;

export interface Things {
  readonly shop: Shop;
  readonly aside: readonly SetAside[];
}

/** All the shop's things but its runs and its log, checked, by name; and the records that cannot be read. */
export async function readThings(db: MesaDb = theDb): Promise<Things> {
  const rows = <T>(kind: RecordKind, table: Table<unknown, string>, schema: z.ZodMiniType<T>) =>
    table.toArray().then((all) => readRows(kind, all, schema));
  const [settings, blanks, presses, papers, recipes] = await Promise.all([
    storedSettings(db),
    rows('blank', db.blanks, blankSchema),
    rows('press', db.presses, pressSchema),
    rows('paper', db.papers, paperSchema),
    rows('recipe', db.recipes, recipeSchema),
  ]);
  const unread = settings ? [] : [asideOf('settings', await db.settings.get('shop'))];
  return {
    shop: byName({
      settings: settings ?? DEFAULT_SETTINGS,
      blanks: [...blanks.read],
      presses: [...presses.read],
      papers: [...papers.read],
      recipes: [...recipes.read],
      runs: [],
      log: [],
    }),
    aside: [...unread, ...[blanks, presses, papers, recipes].flatMap((r) => r.aside)],
  };
}

export const loadThings = async (db: MesaDb = theDb): Promise<Shop> => (await readThings(db)).shop;

/** The whole shop with all its runs and its log, for files. */
export async function loadShop(db: MesaDb = theDb): Promise<Shop> {
  const [things, runs, log] = await Promise.all([loadThings(db), allRuns(db), wholeLog(db)]);
  return { ...things, runs: [...runs.read], log };
}

/**
 * Changes the settings as they stand in the database now, so that two changes at once both last. Settings that cannot be read are not written
 * over.
 */
export const changeSettings = async (
  change: (now: Settings) => Settings,
  db: MesaDb = theDb,
): Promise<Result<string>> => {
  const done = await stored(say('common.settings2'), () =>
    db.transaction('rw', db.settings, async (): Promise<Result<string>> => {
      const now = await storedSettings(db);
      if (!now) return UNREADABLE_SETTINGS;
      return ok(await db.settings.put({ id: 'shop', settings: settingsSchema.parse(change(now)) }));
    }),
  );
  return done.ok ? done.value : done;
};

export const saveBlank = (blank: Blank, db: MesaDb = theDb): Promise<Result<string>> =>
  stored(say('common.blank'), () => db.blanks.put(blankSchema.parse(blank)));

export const savePress = (press: Press, db: MesaDb = theDb): Promise<Result<string>> =>
  stored(say('common.press'), () => db.presses.put(pressSchema.parse(press)));

export const savePaper = (paper: Paper, db: MesaDb = theDb): Promise<Result<string>> =>
  stored(say('common.paper'), () => db.papers.put(paperSchema.parse(paper)));

export type ThingTable = 'blanks' | 'presses' | 'papers';

/** Takes a thing out of the shop. Jobs that used it say so and ask for another. */
export const removeThing = (table: ThingTable, id: string, db: MesaDb = theDb): Promise<Result<void>> =>
  stored(say('common.shop'), () => db[table].delete(id));

export const keepRecipe = (recipe: Recipe, db: MesaDb = theDb): Promise<Result<string>> =>
  stored(say('files.recipe'), () => db.recipes.put(recipeSchema.parse(recipe)));
