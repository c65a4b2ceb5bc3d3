import { inEveryLanguage } from '@/words/starting/starting';
import { say, type Message } from '@/core/message/message';
import {
  fileText,
  makeJobFile,
  makeShopFile,
  readJobFile,
  readShopFile,
  type JobFile,
  type PictureFile,
  type ShopFile,
} from '@/core/formats/jobFile';
import { picturesOf as picturesIn } from '@/core/job/art';
import { inspectPicture } from '@/core/formats/picture';
import type { Job } from '@/core/job/job';
import { fail, ok, type Result } from '@/core/basics/result';
import { sameContent } from '@/core/basics/same';
import type { Blank } from '@/core/shop/blank';
import type { LogEntry } from '@/core/shop/records';
import type { Printer } from '@/core/shop/printer';
import { withPrinters } from '@/core/shop/settings';
import type { Shop } from '@/core/shop/shop';
import { fromBase64, toBase64 } from '@/core/formats/base64';
import { loadStockAndQuotes, putStockAndQuotes } from './books';
import { allTables, db as theDb, type MesaDb, type PictureRecord } from './db';
import { newId } from './ids';
import { jobRecord, listAllJobs } from './jobs';
import { runRecord } from './live';
import { addToLog } from './log';
import { loadShop, settingsUnreadable } from './shop';
import { stored } from './storage';
import { part } from '@/core/basics/part';

/** Pictures the jobs hold that are kept as bytes; those the application draws are made again from their seed. */
async function picturesOf(
  jobs: readonly Job[],
  log: readonly LogEntry[],
  db: MesaDb,
): Promise<Result<PictureFile[]>> {
  const refs = new Map(
    jobs.flatMap((j) => picturesIn(j.art).flatMap((p) => (p.drawn ? [] : [[p.id, p] as const]))),
  );
  const files: PictureFile[] = [];
  for (const ref of refs.values()) {
    const row = await db.pictures.get(ref.id);
    if (!row) return fail(say('files.pictureJobBrowser'), ref.name, say('files.importPictureAgainThen'));
    files.push({ id: row.id, mime: row.mime, base64: toBase64(row.bytes) });
  }
  return ok([...files, ...(await photosOf([...jobs.map((j) => j.inspection), ...log], db))]);
}

/** Photographs of inspections and entries; one that is gone from this browser is left out rather than keep the rest back. */
export async function photosOf(
  of: readonly Pick<LogEntry, 'photos'>[],
  db: MesaDb = theDb,
): Promise<readonly PictureFile[]> {
  const ids = [...new Set(of.flatMap((x) => x.photos.map((p) => p.id)))];
  const rows = await db.pictures.bulkGet(ids);
  return rows.flatMap((row) => (row ? [{ id: row.id, mime: row.mime, base64: toBase64(row.bytes) }] : []));
}

export async function jobFileText(job: Job, db: MesaDb = theDb): Promise<Result<string>> {
  const file = makeJobFile(job, await loadShop(db), []);
  const pictures = await picturesOf([job], file.shop.log, db);
  if (!pictures.ok) return pictures;
  return ok(fileText({ ...file, pictures: pictures.value }));
}

export async function shopFileText(db: MesaDb = theDb): Promise<Result<string>> {
  const { jobs } = await listAllJobs(db);
  const shop = await loadShop(db);
  const all = jobs.map((r) => r.job);
  const pictures = await picturesOf(all, shop.log, db);
  if (!pictures.ok) return pictures;
  return ok(fileText(makeShopFile(all, shop, pictures.value, await loadStockAndQuotes(db))));
}

interface Thing {
  readonly id: string;
  readonly name: string;
}

/** The name of something that comes in beside another of its name: “Mug press (2)”. */
function nameBeside(name: string, own: readonly { readonly name: string }[]): string {
  const taken = new Set(own.map((o) => o.name));
  for (let n = 2; ; n++) {
    const other = `${name.slice(0, 70)} (${n})`;
    if (!taken.has(other)) return other;
  }
}

/**
 * Things of the file that the shop lacks. One with the same id but other contents comes in beside the shop's own under a
 * new id: neither is lost.
 */
function newcomers<T extends Thing>(
  own: readonly T[],
  incoming: readonly T[],
): { readonly add: readonly T[]; readonly renamed: ReadonlyMap<string, string> } {
  const renamed = new Map<string, string>();
  const add = incoming.flatMap((thing): T[] => {
    const mine = own.find((o) => o.id === thing.id);
    if (mine === undefined) return [thing];
    if (sameContent(mine, thing)) return [];
    const twin = own.find((o) => sameContent({ ...o, id: thing.id, name: thing.name }, thing));
    if (twin) {
      renamed.set(thing.id, twin.id);
      return [];
    }
    const id = newId('from-file');
    renamed.set(thing.id, id);
    return [{ ...thing, id, name: nameBeside(thing.name, own) }];
  });
  return { add, renamed };
}

export const pictureRecords = (files: readonly PictureFile[]): PictureRecord[] =>
  files.map((p) => ({ id: p.id, mime: p.mime, bytes: fromBase64(p.base64) }));

/** The printers the file's job asks for by name; its shop's others stay where they are. */
const printersOf = (file: JobFile): readonly Printer[] =>
  file.shop.settings.printers.filter((p) => p.id === file.job.sheet.printerId);

interface Merge {
  readonly shop: Shop;
  readonly job: Job;
}

/** The file's job and things, fitted into a shop that may already hold others of the same id. */
function merge(own: Shop, file: JobFile, takenIds: ReadonlySet<string>): Merge {
  const blanks = newcomers(own.blanks, file.shop.blanks);
  const presses = newcomers(own.presses, file.shop.presses);
  const papers = newcomers(own.papers, file.shop.papers);
  const printers = newcomers(own.settings.printers, printersOf(file));
  const via = (map: ReadonlyMap<string, string>, id: string) => map.get(id) ?? id;
  const viaOrNull = (map: ReadonlyMap<string, string>, id: string | null) =>
    id === null ? null : via(map, id);
  const jobId = takenIds.has(file.job.id) ? newId('job') : file.job.id;
  const place = <R extends { blankId: string; pressId: string }>(r: R): R => ({
    ...r,
    blankId: via(blanks.renamed, r.blankId),
    pressId: via(presses.renamed, r.pressId),
  });
  const ofJob = (id: string) => (id === file.job.id ? jobId : id);
  const lacking = <R extends { id: string }>(mine: readonly R[], theirs: readonly R[]) =>
    theirs.filter((t) => !mine.some((m) => m.id === t.id));
  const renamedJob = jobId !== file.job.id;
  return {
    job: {
      ...file.job,
      id: jobId,
      name: renamedJob ? nameBeside(file.job.name, []) : file.job.name,
      blankId: viaOrNull(blanks.renamed, file.job.blankId),
      pressId: viaOrNull(presses.renamed, file.job.pressId),
      sheet: {
        ...file.job.sheet,
        paperId: viaOrNull(papers.renamed, file.job.sheet.paperId),
        printerId: viaOrNull(printers.renamed, file.job.sheet.printerId),
      },
    },
    shop: {
      settings: withPrinters(own.settings, printers.add),
      blanks: [...blanks.add],
      presses: [...presses.add],
      papers: [...papers.add],
      recipes: lacking(own.recipes, file.shop.recipes).map(place),
      log: lacking(own.log, file.shop.log).map((e) => ({ ...place(e), jobId: ofJob(e.jobId) })),
      runs: lacking(own.runs, file.shop.runs).map((r) => ({ ...r, jobId: ofJob(r.jobId) })),
    },
  };
}

async function putShop(
  db: MesaDb,
  shop: Shop,
  jobs: readonly Job[],
  pictures: readonly PictureFile[],
): Promise<void> {
  await db.blanks.bulkPut([...shop.blanks]);
  await db.presses.bulkPut([...shop.presses]);
  await db.papers.bulkPut([...shop.papers]);
  await db.recipes.bulkPut([...shop.recipes]);
  await addToLog(db, shop.log);
  await db.runs.bulkPut(shop.runs.map(runRecord));
  await db.settings.put({ id: 'shop', settings: shop.settings });
  await db.pictures.bulkPut(pictureRecords(pictures));
  await db.jobs.bulkPut(jobs.map((job) => jobRecord(job, { rev: 1, savedAt: Date.now() })));
}

/** True for a browser where nothing has been done yet: only the things every shop starts with. */
async function untouched(db: MesaDb): Promise<boolean> {
  const counts = await Promise.all([db.jobs.count(), db.log.count(), db.runs.count(), db.recipes.count()]);
  if (counts.some((n) => n > 0)) return false;
  const { starterShop } = await part(() => import('@/core/demo/demoShop'));
  const starts = await inEveryLanguage(starterShop().shop);
  const own = await loadShop(db);
  const ids = (xs: readonly { id: string }[]) => [...xs].sort((a, b) => a.id.localeCompare(b.id));
  const sameThings = <T extends { id: string }>(a: readonly T[], b: readonly T[]) =>
    a.length === 0 || sameContent(ids(a), ids(b));
  return starts.some(
    (start) =>
      sameContent(own.settings, start.settings) &&
      sameThings(own.blanks, start.blanks) &&
      sameThings(own.presses, start.presses) &&
      sameThings(own.papers, start.papers),
  );
}

/** Every picture inside a file must be one: the file may have been made by hand. */
export function checkPictures(files: readonly PictureFile[], where: Message): Result<true> {
  for (const file of files) {
    const looked = inspectPicture(
      fromBase64(file.base64),
      say('files.pictureIn', { file: where, id: file.id }),
    );
    if (!looked.ok) return looked;
    if (looked.value.mime !== file.mime)
      return fail(say('files.pictureKindSays'), where, say('files.nothingWasChanged'));
  }
  return ok(true);
}

/** Loads a job file beside what is here. All or nothing; an untouched shop takes the file's settings and things as they are. */
export async function importJobFile(text: string, db: MesaDb = theDb): Promise<Result<Job>> {
  const file = readJobFile(text);
  if (!file.ok) return file;
  const pictures = checkPictures(file.value.pictures, say('common.jobFile'));
  if (!pictures.ok) return pictures;
  const unread = await settingsUnreadable(db);
  if (unread) return unread;
  return stored(say('common.jobFile'), async () => {
    // A shop with no jobs yet takes the settings of the file, so that the job plans the same.
    const clean = await untouched(db);
    const taken = new Set(await db.jobs.toCollection().primaryKeys());
    const { job, shop } = clean ? file.value : merge(await loadShop(db), file.value, taken);
    await db.transaction('rw', allTables(db), async () => {
      if (clean) {
        await db.blanks.clear();
        await db.presses.clear();
        await db.papers.clear();
      }
      await putShop(db, shop, [job], file.value.pictures);
    });
    return job;
  });
}

/** Reads a shop file without changing anything, so that it can be shown what it holds. */
export function checkShopFile(text: string): Result<ShopFile> {
  const file = readShopFile(text);
  if (!file.ok) return file;
  const pictures = checkPictures(file.value.pictures, say('common.shopFile'));
  return pictures.ok ? file : pictures;
}

/** Replaces the whole shop with a file's. All or nothing. */
export const restoreShop = (file: ShopFile, db: MesaDb = theDb): Promise<Result<void>> =>
  stored(say('common.shopFile'), () =>
    db.transaction('rw', allTables(db), async () => {
      await Promise.all(allTables(db).map((t) => t.clear()));
      await putShop(db, file.shop, file.jobs, file.pictures);
      await putStockAndQuotes(db, file.books);
    }),
  );

/** Adds blanks from a file beside the shop's own; says how many were new. One that is here already is left as it is. */
export const importBlanks = (blanks: readonly Blank[], db: MesaDb = theDb): Promise<Result<number>> =>
  stored(say('common.blanksFile'), async () => {
    const { add } = newcomers(await db.blanks.toArray(), blanks);
    await db.blanks.bulkPut([...add]);
    return add.length;
  });
