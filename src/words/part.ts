import type { CompiledMessage } from 'icu-minify/format';

/** The messages of one part of the catalogue, by the last part of their ids. */
export type CataloguePart = Readonly<Record<string, CompiledMessage>>;

/** What a catalogue file holds: compiled when the application is built (`scripts/wordsPart.cjs`). */
export const readPart = (file: Readonly<Record<string, unknown>>): CataloguePart => file as CataloguePart;
