import type { CompiledMessage } from 'icu-minify/format';
import { BASE_LOCALE, type Locale } from './locale';
import { readPart } from './partSource';
import { SOURCES } from './sources';

/** Finds any message of one language, all of it in memory: for what runs outside a page. What a variant does not hold is its base language’s. */
export function allOf(locale: Locale): (id: string) => CompiledMessage | undefined {
  const parts: Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, string>>>>>> = SOURCES;
  const read = (l: string) =>
    Object.entries(parts[l] ?? {}).flatMap(([part, file]) =>
      Object.entries(readPart(file)).map(
        ([id, message]) => [`${part}.${id}`, message] as [string, CompiledMessage],
      ),
    );
  const held = new Map([...read(BASE_LOCALE[locale] ?? locale), ...read(locale)]);
  return (id) => held.get(id);
}
