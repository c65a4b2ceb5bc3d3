import '../zodSetup';
import * as z from 'zod/mini';
import { blankSchema, type Blank } from '../shop/blank';
import type { Result } from '../result';
import { readFile, type FileKind } from './file';

/** Blanks to hand on: open JSON, one list. */
export const blanksFileSchema = z.strictObject({
  format: z.literal('mesa-drift.blanks'),
  version: z.literal(1),
  blanks: z.array(blankSchema).check(z.maxLength(5000)),
});
export type BlanksFile = z.infer<typeof blanksFileSchema>;

const BLANKS_FILE: FileKind<BlanksFile> = {
  format: 'mesa-drift.blanks',
  noun: 'Blanks file',
  version: 1,
  schema: blanksFileSchema,
  upgrades: [],
};

export const blanksJson = (blanks: readonly Blank[]): string =>
  `${JSON.stringify(blanksFileSchema.parse({ format: 'mesa-drift.blanks', version: 1, blanks }), null, 1)}\n`;

export const readBlanksJson = (text: string): Result<BlanksFile> => readFile(text, BLANKS_FILE);
