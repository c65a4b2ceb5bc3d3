import { WRITTEN_BY } from '../basics/version';
import { say } from '../message/message';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import type { Result } from '../basics/result';
import { logEntrySchema, type LogEntry } from '../shop/records';
import { pictureFileSchema, type PictureFile } from './jobFile';
import { list, type VersionStep } from './upgrades/raw';
import { TO_14 } from './upgrades/to14';
import { TO_15 } from './upgrades/to15';
import { readFile, type FileKind, type Upgrade, writtenBySchema, sayWriter } from './file';

/** A logbook to hand on: open JSON, every entry whole, with the photographs it holds. */
export const logFileSchema = z.strictObject({
  format: z.literal('mesa-drift.log'),
  version: z.literal(4),
  writtenBy: writtenBySchema,
  shopName: z.string().check(z.maxLength(80)),
  entries: z.array(logEntrySchema).check(z.maxLength(200_000)),
  pictures: z.array(pictureFileSchema).check(z.maxLength(4000)),
});
export type LogFile = z.infer<typeof logFileSchema>;

/** Entries climb by the step of the shop that changed them. */
const entriesBy =
  (step: VersionStep): Upgrade =>
  (raw) => ({ ...raw, entries: list(raw.entries).map((e) => step.logEntry?.(e) ?? e) });

const LOG_FILE: FileKind<LogFile> = {
  format: 'mesa-drift.log',
  noun: say('common.logbookFile'),
  version: 4,
  schema: logFileSchema,
  upgrades: [sayWriter, entriesBy(TO_14), entriesBy(TO_15)],
};

export const logJson = (
  shopName: string,
  entries: readonly LogEntry[],
  pictures: readonly PictureFile[],
): string =>
  `${JSON.stringify(
    logFileSchema.parse({
      format: 'mesa-drift.log',
      version: 4,
      writtenBy: WRITTEN_BY,
      shopName,
      entries,
      pictures,
    }),
    null,
    1,
  )}\n`;

export const readLogJson = (text: string): Result<LogFile> => readFile(text, LOG_FILE);
