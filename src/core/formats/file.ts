import type * as z from 'zod/mini';
import { fail, ok, type Result } from '../basics/result';
import { sameContent } from '../basics/same';

/** Turns a file of version n into one of version n + 1. Index 0 upgrades version 1. */
export type Upgrade = (raw: Record<string, unknown>) => Record<string, unknown>;

export interface FileKind<T> {
  readonly format: string;
  readonly noun: string;
  readonly version: number;
  readonly schema: z.ZodMiniType<T>;
  readonly upgrades: readonly Upgrade[];
  /** What is wrong beyond what a schema can say, in words; null where nothing is. */
  readonly wrong?: (file: T) => string | null;
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

interface Listed {
  readonly id: string;
  readonly name?: string;
}

/** A thing that stands twice in one list of a file with different contents, in words; null where there is none. */
export function heldTwice(lists: Readonly<Record<string, readonly Listed[]>>): string | null {
  for (const [of, list] of Object.entries(lists)) {
    const seen = new Map<string, Listed>();
    for (const thing of list) {
      const other = seen.get(thing.id);
      if (other && !sameContent(other, thing))
        return `It holds the ${of} “${thing.name ?? thing.id}” twice, with different contents: which one is right cannot be told.`;
      seen.set(thing.id, thing);
    }
  }
  return null;
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
  if (!parsed.success) return fail(`${firstIssue(parsed.error)}.`.replace('..', '.'), where, way);
  const wrong = kind.wrong?.(parsed.data) ?? null;
  return wrong === null ? ok(parsed.data) : fail(wrong, where, way);
}
