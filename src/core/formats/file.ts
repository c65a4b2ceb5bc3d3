import { issueText } from '../basics/rule';
import { say, inSentence, type Message } from '../message/message';
import * as z from 'zod/mini';
import { fail, ok, type Result } from '../basics/result';
import { sameContent } from '../basics/same';

/** Which version of the application wrote a file; null in files of before it was said. */
export const writtenBySchema = z.nullable(z.string().check(z.maxLength(60)));

/** Marks a file that does not say which version wrote it: the step of each kind of file to the version that does. */
export const sayWriter: Upgrade = (raw) => ({ ...raw, writtenBy: null });

/** Turns a file of version n into one of version n + 1. Index 0 upgrades version 1. */
export type Upgrade = (raw: Record<string, unknown>) => Record<string, unknown>;

export interface FileKind<T> {
  readonly format: string;
  readonly noun: Message;
  readonly version: number;
  readonly schema: z.ZodMiniType<T>;
  readonly upgrades: readonly Upgrade[];
  /** What is wrong beyond what a schema can say, in words; null where nothing is. */
  readonly wrong?: (file: T) => Message | null;
}

const isRecord = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/** The first thing wrong, as a path and a sentence. */
export function firstIssue(error: z.core.$ZodError): Message {
  const issue = error.issues[0];
  if (!issue) return say('files.doesNotMatch');
  const path = issue.path.map(String).join(' › ');
  const problem = issueText(issue.message);
  return path === '' ? problem : say('files.atPath', { path, problem });
}

interface Listed {
  readonly id: string;
  readonly name?: string;
}

/** A thing that stands twice in one list of a file with different contents, in words; null where there is none. */
export function heldTwice(lists: Readonly<Record<string, readonly Listed[]>>): Message | null {
  for (const [of, list] of Object.entries(lists)) {
    const seen = new Map<string, Listed>();
    for (const thing of list) {
      const other = seen.get(thing.id);
      if (other && !sameContent(other, thing))
        return say('files.heldTwice', { of, name: thing.name ?? thing.id });
      seen.set(thing.id, thing);
    }
  }
  return null;
}

/** Reads an open JSON file of one kind: whole, known, of this version or older, and right in every field. */
export function readFile<T>(text: string, kind: FileKind<T>): Result<T> {
  const where = kind.noun;
  const way = say('files.useFileAsSaved');
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return fail(say('files.fileCutShortJson'), where, way);
  }
  if (!isRecord(raw) || raw.format !== kind.format) {
    return fail(
      say('files.thisIsNotA', { noun: inSentence(kind.noun) }),
      where,
      say('files.chooseFileSavedMesa'),
    );
  }
  const version = raw.version;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail(say('files.fileDoesSayVersion'), where, way);
  }
  if (version > kind.version) {
    return fail(
      say('files.fileVersionCopyMesa', { version, version2: kind.version }),
      where,
      say('files.updateMesaDriftThen'),
    );
  }
  const upgraded = kind.upgrades
    .slice(version - 1, kind.version - 1)
    .reduce<Record<string, unknown>>((file, up, i) => ({ ...up(file), version: version + i + 1 }), raw);
  const parsed = kind.schema.safeParse(upgraded);
  if (!parsed.success) return fail(firstIssue(parsed.error), where, way);
  const wrong = kind.wrong?.(parsed.data) ?? null;
  return wrong === null ? ok(parsed.data) : fail(wrong, where, way);
}
