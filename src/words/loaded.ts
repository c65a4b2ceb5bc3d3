import type { CompiledMessage } from 'icu-minify/format';
import { part as fetched } from '@/core/basics/part';
import { LOAD, PARTS, type PartName } from './files';
import { BASE_LOCALE, type Locale } from './locale';
import { readPart, type CataloguePart } from './part';

/** Parts of the catalogue that have been fetched, by language and part. */
const held = new Map<string, CataloguePart>();
const coming = new Map<string, Promise<void>>();
/** Parts that a page has found missing, by language and part: each is fetched once. */
const wanted = new Set<string>();
const listeners = new Set<() => void>();
let version = 0;

const isPart = (name: string): name is PartName => PARTS.some((p) => p === name);

/** Fetches a part, in a variant and in its base language; at once where it is there. */
async function fetchPart(locale: Locale, part: PartName): Promise<void> {
  const base = BASE_LOCALE[locale];
  const languages = base === null ? [locale] : [locale, base];
  await Promise.all(
    languages.map(async (l) => {
      const load = LOAD[l][part];
      if (load) held.set(`${l} ${part}`, readPart((await load()).default));
    }),
  );
  version += 1;
  listeners.forEach((f) => f());
}

/** Waits until some parts of the catalogue are there. */
export async function loadParts(locale: Locale, parts: readonly PartName[]): Promise<void> {
  await Promise.all(
    parts.map((part) => {
      const key = `${locale} ${part}`;
      const before = coming.get(key);
      if (before) return before;
      const now = fetchPart(locale, part).catch((e: unknown) => {
        coming.delete(key);
        throw e;
      });
      coming.set(key, now);
      return now;
    }),
  );
}

export const subscribeToWords = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};
/** Counts the parts that have come: a text written before may now be written better. */
export const wordsVersion = (): number => version;

/** A message among the parts that are there; no part is fetched for it. */
export function heldMessage(locale: Locale, id: string): CompiledMessage | undefined {
  const dot = id.indexOf('.');
  const [part, name] = [id.slice(0, dot), id.slice(dot + 1)];
  return (
    held.get(`${locale} ${part}`)?.[name] ?? held.get(`${BASE_LOCALE[locale] ?? locale} ${part}`)?.[name]
  );
}

/** Finds a message among the parts that are there; a part that is not is fetched. */
export const findIn =
  (locale: Locale) =>
  (id: string): CompiledMessage | undefined => {
    const part = id.slice(0, id.indexOf('.'));
    const message = heldMessage(locale, id);
    const key = `${locale} ${part}`;
    if (message === undefined && isPart(part) && !wanted.has(key)) {
      wanted.add(key);
      void fetched(() => loadParts(locale, [part]));
    }
    return message;
  };
