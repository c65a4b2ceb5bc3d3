import type * as z from 'zod/mini';
import { fail, ok, type Result } from '../basics/result';

/** Turns a file of version n into one of version n + 1. Index 0 upgrades version 1. */
export type Upgrade = (raw: Record<string, unknown>) => Record<string, unknown>;

export interface FileKind<T> {
  readonly format: string;
  readonly noun: string;
  readonly version: number;
  readonly schema: z.ZodMiniType<T>;
  readonly upgrades: readonly Upgrade[];
}

const isRecord = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** The first thing wrong, as a path and a sentence. */
export function firstIssue(error: z.core.$ZodError): string {
  const issue = error.issues[0];
  if (!issue) return 'Something in it does not match.';
  const path = issue.path.map(String).join(' › ');
  return path === '' ? issue.message : `${path}: ${issue.message}`;
}

/** Reads an open JSON file of one kind: whole, known, of this version or older, and right in every field. */
export function readFile<T>(text: string, kind: FileKind<T>): Result<T> {
  const where = kind.noun;
  const way = 'Nothing was changed. Use the file as it was first saved.';
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return fail('The file is cut short or is not JSON.', where, way);
  }
  if (!isRecord(raw) || raw.format !== kind.format) {
    return fail(
      `This is not a ${kind.noun.toLowerCase()}.`,
      where,
      'Choose a file saved by Mesa Drift for this purpose.',
    );
  }
  const version = raw.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail('The file does not say its version.', where, way);
  }
  if (version > kind.version) {
    return fail(
      `The file is version ${version}; this copy of Mesa Drift reads up to ${kind.version}.`,
      where,
      'Update Mesa Drift, then open it again. Nothing was changed.',
    );
  }
  const upgraded = kind.upgrades
    .slice(version - 1, kind.version - 1)
    .reduce<Record<string, unknown>>((file, up, i) => ({ ...up(file), version: version + i + 1 }), raw);
  const parsed = kind.schema.safeParse(upgraded);
  return parsed.success
    ? ok(parsed.data)
    : fail(`${firstIssue(parsed.error)}.`.replace('..', '.'), where, way);
}
