import { say, type Message } from '../message/message';
import { textLayer, type Art, type Names, type PictureRef } from '../job/art';
import type { Job } from '../job/job';
import { wholeOf } from '../units/number';

/** The cell of a row in a column, trimmed; '' where there is none. */
export const cellOf = (names: Names, row: readonly string[], column: string): string =>
  (row[names.columns.indexOf(column)] ?? '').trim();

/** A picture of the list by the name a cell gives, with or without its ending, in capitals or not. */
export function pictureNamed(names: Names, cell: string): PictureRef | null {
  const plain = (s: string) => s.trim().toLowerCase();
  const bare = (s: string) => plain(s).replace(/\.[a-z0-9]{2,5}$/, '');
  return (
    names.pictures.find((p) => plain(p.name) === plain(cell)) ??
    names.pictures.find((p) => bare(p.name) === bare(cell)) ??
    null
  );
}

const MOST_OF_ONE = 999;

/** The count a row says, from 0 to 999; null where it says none that can be used. */
function countSaid(names: Names, row: readonly string[]): number | null {
  if (names.countColumn === null) return 1;
  const n = wholeOf(cellOf(names, row, names.countColumn));
  return n !== null && n <= MOST_OF_ONE ? n : null;
}

/** How many of a row's piece are wanted: 1 where nothing sensible is said, 0 where nought is. */
export const countOf = (names: Names, row: readonly string[]): number => countSaid(names, row) ?? 1;

/** Counts that were not understood, each taken as one piece, in words; null where all were. */
export function countNote(names: Names): Message | null {
  const { countColumn } = names;
  if (countColumn === null) return null;
  const odd = names.rows
    .filter((r) => countSaid(names, r) === null)
    .map((r) => cellOf(names, r, countColumn));
  if (odd.length === 0) return null;
  const shown = [...new Set(odd)]
    .slice(0, 3)
    .map((c) => (c === '' ? say('art.emptyCell') : say('common.quoted', { text: c.slice(0, 20) })));
  return say('art.countsNotUnderstood', { rows: odd.length, most: MOST_OF_ONE, shown });
}

export interface NamedPiece {
  /** From 1, in the order of the list. */
  readonly number: number;
  readonly label: string;
  readonly row: readonly string[];
}

/** The first column a layer uses says which piece it is; else the first column there is. */
export function labelColumn({ layers, names }: Pick<Art, 'layers' | 'names'>): string {
  const used = layers.find((l) => l.kind === 'text' && l.field !== null);
  return used?.field ?? names?.columns[0] ?? '';
}

interface NamedInput {
  readonly names: Names | null;
  /** Says which piece it is. */
  readonly column: string;
}

/** More pieces than this are another job's. */
const MOST_PIECES = 3000;

/** Every piece of the names list, in its order; none where there is no list and all are alike. */
export const piecesOf = (art: Art): readonly NamedPiece[] =>
  namedPieces({ names: art.names, column: labelColumn(art) });

export function namedPieces({ names, column }: NamedInput): readonly NamedPiece[] {
  if (!names) return [];
  const rows = names.rows
    .flatMap((row) => Array.from({ length: countOf(names, row) }, () => row))
    .slice(0, MOST_PIECES);
  return rows.map((row, i) => ({ number: i + 1, label: cellOf(names, row, column), row }));
}

/** Pieces a list asks for. */
export const totalOf = (n: Names): number => n.rows.reduce((sum, row) => sum + countOf(n, row), 0);

/** Which column says how many: as the list was read, or as the person chose; null for one of each. */
export type CountChoice = 'as read' | { readonly column: string | null };

/** A list just read, with the pictures brought for it and the count column chosen, where the list still has that column. */
export const chosenNames = (read: Names, count: CountChoice, pictures: readonly PictureRef[]): Names => ({
  ...read,
  pictures: [...pictures],
  countColumn:
    count === 'as read' || (count.column !== null && !read.columns.includes(count.column))
      ? read.countColumn
      : count.column,
});

const MOST_JOB_PIECES = 10_000;

/**
 * The job with a list. Layers of columns the list does not have stand by themselves again. Where none takes a column, the first text does, or
 * a new one called `newLayerId`.
 */
export function withNames(job: Job, names: Names, newLayerId: string): Job {
  const known = new Set(names.columns);
  const layers = job.art.layers.map((l) =>
    l.field !== null && !known.has(l.field) ? { ...l, field: null } : l,
  );
  const column = names.columns.find((c) => c !== names.countColumn) ?? null;
  const free = layers.find((l) => l.kind === 'text');
  const set = layers.some((l) => l.field !== null)
    ? layers
    : free
      ? layers.map((l) => (l.id === free.id ? { ...l, field: column } : l))
      : [...layers, textLayer(newLayerId, 'Name', { field: column, capHeightMm: 12 })];
  const pieces = Math.max(1, Math.min(MOST_JOB_PIECES, totalOf(names)));
  return { ...job, pieces, art: { ...job.art, layers: set, names } };
}

/** The job without its list: every layer stands by itself. */
export const withoutNames = (job: Job): Job => ({
  ...job,
  art: { ...job.art, names: null, layers: job.art.layers.map((l) => ({ ...l, field: null })) },
});

/** A list as text to edit: a row a line, cells by tabs, quoted where they must be (RFC 4180). */
export const listText = (n: Names): string =>
  [n.columns, ...n.rows]
    .map((r) => r.map((c) => (/[\t"\n]/.test(c) ? `"${c.replace(/"/g, '""')}"` : c)).join('\t'))
    .join('\n');
