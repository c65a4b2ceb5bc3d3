import { WRITTEN_BY } from '../basics/version';
import { say } from '../message/message';
import '../basics/zodSetup';
import * as z from 'zod/mini';
import { blankSchema, type Blank } from '../shop/blank';
import type { Result } from '../basics/result';
import { heldTwice, readFile, type FileKind, type Upgrade, writtenBySchema, sayWriter } from './file';
import { list, type VersionStep } from './upgrades/raw';
import { TO_5 } from './upgrades/to5';
import { TO_8 } from './upgrades/to8';
import { TO_14 } from './upgrades/to14';

/** Blanks to hand on: open JSON, one list. */
export const blanksFileSchema = z.strictObject({
  format: z.literal('mesa-drift.blanks'),
  version: z.literal(5),
  writtenBy: writtenBySchema,
  blanks: z.array(blankSchema).check(z.maxLength(5000)),
});
export type BlanksFile = z.infer<typeof blanksFileSchema>;

/** Blanks climb by the steps of the shop that changed them. */
const blanksBy =
  (step: VersionStep): Upgrade =>
  (raw) => ({ ...raw, blanks: list(raw.blanks).map((b) => (step.blank ? step.blank(b) : b)) });

const BLANKS_FILE: FileKind<BlanksFile> = {
  format: 'mesa-drift.blanks',
  noun: say('common.blanksFile'),
  version: 5,
  schema: blanksFileSchema,
  upgrades: [...[TO_5, TO_8].map(blanksBy), sayWriter, blanksBy(TO_14)],
  wrong: (f) => heldTwice({ blank: f.blanks }),
};

export const blanksJson = (blanks: readonly Blank[]): string =>
  `${JSON.stringify(blanksFileSchema.parse({ format: 'mesa-drift.blanks', version: 5, writtenBy: WRITTEN_BY, blanks }), null, 1)}\n`;

export const readBlanksJson = (text: string): Result<BlanksFile> => readFile(text, BLANKS_FILE);
