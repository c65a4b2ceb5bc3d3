import compile from 'icu-minify/compile';
import type { CompiledMessage } from 'icu-minify/format';
import type { CataloguePart } from './part';

/** A catalogue file, compiled where it is read; one that the build has compiled is taken as it is. */
export const readPart = (file: Readonly<Record<string, string | CompiledMessage>>): CataloguePart =>
  Object.fromEntries(
    Object.entries(file).map(([id, text]) => [
      id,
      typeof text === 'string' && /\{|''/.test(text) ? compile(text) : text,
    ]),
  );
