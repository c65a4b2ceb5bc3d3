import '../basics/zodSetup';
import * as z from 'zod/mini';
import { blankSchema, type Blank } from '../shop/blank';
import type { Result } from '../basics/result';
import { readFile, type FileKind } from './file';
import { list } from './upgrades/raw';
import { TO_5 } from './upgrades/to5';

/** Blanks to hand on: open JSON, one list. */
export const blanksFileSchema = z.strictObject({
  format: z.literal('mesa-drift.blanks'),
  version: z.literal(2),
  blanks: z.array(blankSchema).check(z.maxLength(5000)),
});
export type BlanksFile = z.infer<typeof blanksFileSchema>;

const BLANKS_FILE: FileKind<BlanksFile> = {
  format: 'mesa-drift.blanks',
  noun: 'Blanks file',
  version: 2,
  schema: blanksFileSchema,
  upgrades: [(raw) => ({ ...raw, blanks: list(raw.blanks).map((b) => (TO_5.blank ? TO_5.blank(b) : b)) })],
};

export const blanksJson = (blanks: readonly Blank[]): string =>
  `${JSON.stringify(blanksFileSchema.parse({ format: 'mesa-drift.blanks', version: 2, blanks }), null, 1)}\n`;

export const readBlanksJson = (text: string): Result<BlanksFile> => readFile(text, BLANKS_FILE);
