import { WRITTEN_BY } from '../basics/version';
import { rule } from '../basics/rule';
import { say } from '../message/message';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { MIMES } from '../job/art';
import { jobSchema, type Job } from '../job/job';
import { idSchema } from '../shop/common';
import { stockAndQuotesSchema, NO_BOOKS, type StockAndQuotes } from '../shop/books';
import { shopSchema, type Shop } from '../shop/shop';
import type { Result } from '../basics/result';
import { heldTwice, readFile, type FileKind, writtenBySchema } from './file';
import { jobFileBy, shopFileBy, STEPS } from './upgrades/upgrades';

/** Letters of base64 (RFC 4648) checked without a backtracking pattern: these strings run to megabytes. */
const isBase64 = (text: string): boolean =>
  text.length % 4 === 0 && !/[^A-Za-z0-9+/=]/.test(text) && !/=[^=]|={3}/.test(text.slice(-4));

/** A picture's own bytes, untouched. 80 MB of base64 at most. */
export const pictureFileSchema = z.strictObject({
  id: idSchema,
  mime: z.enum(MIMES),
  base64: z.string().check(z.maxLength(80_000_000), z.refine(isBase64, rule('files.pictureInsideDamaged'))),
});
export type PictureFile = z.infer<typeof pictureFileSchema>;

export const jobFileSchema = z.strictObject({
  format: z.literal('mesa-drift.job'),
  version: z.literal(15),
  writtenBy: writtenBySchema,
  job: jobSchema,
  /** The shop's things the job draws on, so that it plans the same anywhere. */
  shop: shopSchema,
  pictures: z.array(pictureFileSchema).check(z.maxLength(1000)),
});
export type JobFile = z.infer<typeof jobFileSchema>;

const thingsIn = (shop: Shop) => ({
  blank: shop.blanks,
  press: shop.presses,
  paper: shop.papers,
  recipe: shop.recipes,
  run: shop.runs,
  entry: shop.log,
});

export const JOB_FILE: FileKind<JobFile> = {
  format: 'mesa-drift.job',
  noun: say('common.jobFile'),
  version: 15,
  schema: jobFileSchema,
  upgrades: STEPS.map(jobFileBy),
  wrong: (f) => heldTwice(thingsIn(f.shop)),
};

export const shopFileSchema = z.strictObject({
  format: z.literal('mesa-drift.shop'),
  version: z.literal(15),
  writtenBy: writtenBySchema,
  shop: shopSchema,
  jobs: z.array(jobSchema),
  books: stockAndQuotesSchema,
  pictures: z.array(pictureFileSchema).check(z.maxLength(6000)),
});
export type ShopFile = z.infer<typeof shopFileSchema>;

export const SHOP_FILE: FileKind<ShopFile> = {
  format: 'mesa-drift.shop',
  noun: say('common.shopFile'),
  version: 15,
  schema: shopFileSchema,
  upgrades: STEPS.map(shopFileBy),
  wrong: (f) =>
    heldTwice({
      job: f.jobs,
      ...thingsIn(f.shop),
      item: f.books.items,
      movement: f.books.movements,
      quote: f.books.quotes,
    }),
};

/** Only what one job draws on: its blank, press and papers, what the log says of them, and its own runs. */
function shopForJob(job: Job, shop: Shop): Shop {
  const touches = (x: { blankId: string; pressId: string }) =>
    x.blankId === job.blankId && x.pressId === job.pressId;
  return {
    settings: shop.settings,
    blanks: shop.blanks.filter((b) => b.id === job.blankId),
    presses: shop.presses.filter((p) => p.id === job.pressId),
    papers: shop.papers,
    recipes: shop.recipes.filter(touches),
    log: shop.log.filter((e) => e.jobId === job.id || touches(e)),
    runs: shop.runs.filter((r) => r.jobId === job.id),
  };
}

export const makeJobFile = (job: Job, shop: Shop, pictures: readonly PictureFile[]): JobFile => ({
  format: 'mesa-drift.job',
  version: 15,
  writtenBy: WRITTEN_BY,
  job,
  shop: shopForJob(job, shop),
  pictures: [...pictures],
});

export const makeShopFile = (
  jobs: readonly Job[],
  shop: Shop,
  pictures: readonly PictureFile[],
  books: StockAndQuotes = NO_BOOKS,
): ShopFile => ({
  format: 'mesa-drift.shop',
  version: 15,
  writtenBy: WRITTEN_BY,
  shop,
  jobs: [...jobs],
  books,
  pictures: [...pictures],
});

export const readJobFile = (text: string): Result<JobFile> => readFile(text, JOB_FILE);
export const readShopFile = (text: string): Result<ShopFile> => readFile(text, SHOP_FILE);
/** The text of a file. Written by way of its schema, so that the same contents always give the same bytes. */
export function fileText(file: JobFile | ShopFile): string {
  const ordered = file.format === 'mesa-drift.job' ? jobFileSchema.parse(file) : shopFileSchema.parse(file);
  return `${JSON.stringify(ordered, null, 1)}\n`;
}
