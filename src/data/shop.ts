import type { Table } from 'dexie';
import type * as z from 'zod/mini';
import { blankSchema, type Blank } from '@/core/shop/blank';
import { paperSchema, type Paper } from '@/core/shop/paper';
import { pressSchema, type Press } from '@/core/shop/press';
import { recipeSchema, type Recipe } from '@/core/shop/records';
import { runSchema } from '@/core/shop/run';
import { DEFAULT_SETTINGS, settingsSchema, type Settings } from '@/core/shop/settings';
import { byName, type Shop } from '@/core/shop/shop';
import type { Result } from '@/core/basics/result';
import { db as theDb, type MesaDb } from './db';
import { wholeLog } from './log';
import { stored } from './storage';

/** Records that no longer match their schema are left where they are and left out of the plan. */
async function readable<T>(table: Table<unknown, string>, schema: z.ZodMiniType<T>): Promise<T[]> {
  const rows = await table.toArray();
  return rows.flatMap((row) => {
    const parsed = schema.safeParse(row);
    return parsed.success ? [parsed.data] : [];
  });
}

async function loadSettings(db: MesaDb = theDb): Promise<Settings> {
  const row = await db.settings.get('shop');
  const parsed = settingsSchema.safeParse(row?.settings);
  return parsed.success ? parsed.data : DEFAULT_SETTINGS;
}

/** All the shop's things but its log, checked. By name. */
export async function loadThings(db: MesaDb = theDb): Promise<Shop> {
  const [settings, blanks, presses, papers, recipes, runs] = await Promise.all([
    loadSettings(db),
    readable(db.blanks, blankSchema),
    readable(db.presses, pressSchema),
    readable(db.papers, paperSchema),
    readable(db.recipes, recipeSchema),
    readable(db.runs, runSchema),
  ]);
  return byName({ settings, blanks, presses, papers, recipes, runs, log: [] });
}

/** The whole shop with its log, for files. */
export async function loadShop(db: MesaDb = theDb): Promise<Shop> {
  const [things, log] = await Promise.all([loadThings(db), wholeLog(db)]);
  return { ...things, log };
}

/** Changes the settings as they stand in the database now, so that two changes at once both last. */
export const changeSettings = (
  change: (now: Settings) => Settings,
  db: MesaDb = theDb,
): Promise<Result<string>> =>
  stored('Settings', () =>
    db.transaction('rw', db.settings, async () =>
      db.settings.put({ id: 'shop', settings: settingsSchema.parse(change(await loadSettings(db))) }),
    ),
  );

export const saveBlank = (blank: Blank, db: MesaDb = theDb): Promise<Result<string>> =>
  stored('Blank', () => db.blanks.put(blankSchema.parse(blank)));

export const savePress = (press: Press, db: MesaDb = theDb): Promise<Result<string>> =>
  stored('Press', () => db.presses.put(pressSchema.parse(press)));

export const savePaper = (paper: Paper, db: MesaDb = theDb): Promise<Result<string>> =>
  stored('Paper', () => db.papers.put(paperSchema.parse(paper)));

export type ThingTable = 'blanks' | 'presses' | 'papers';

/** Takes a thing out of the shop. Jobs that used it say so and ask for another. */
export const removeThing = (table: ThingTable, id: string, db: MesaDb = theDb): Promise<Result<void>> =>
  stored('Shop', () => db[table].delete(id));

export const keepRecipe = (recipe: Recipe, db: MesaDb = theDb): Promise<Result<string>> =>
  stored('Recipe', () => db.recipes.put(recipeSchema.parse(recipe)));
