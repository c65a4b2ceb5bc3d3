import type { Art, Names, PictureRef } from '../job/art';

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

/** How many of a row's piece are wanted: 1 where nothing sensible is said, 0 where nought is. */
export function countOf(names: Names, row: readonly string[]): number {
  if (names.countColumn === null) return 1;
  const n = Number(cellOf(names, row, names.countColumn));
  return Number.isInteger(n) && n >= 0 && n <= 999 ? n : 1;
}

export interface Piece {
  /** From 1, in the order of the list. */
  readonly number: number;
  readonly label: string;
  readonly row: readonly string[];
}

/** The first column a layer uses says which piece it is; else the first column there is. */
function labelColumn(art: Art, names: Names): string {
  const used = art.layers.find((l) => l.kind === 'text' && l.field !== null);
  return used?.field ?? names.columns[0] ?? '';
}

/** More pieces than this are another job's. */
const MOST_PIECES = 3000;

/** Every piece of the names list, in its order; none where there is no list and all are alike. */
export function piecesOf(art: Art): readonly Piece[] {
  const { names } = art;
  if (!names) return [];
  const column = labelColumn(art, names);
  const rows = names.rows
    .flatMap((row) => Array.from({ length: countOf(names, row) }, () => row))
    .slice(0, MOST_PIECES);
  return rows.map((row, i) => ({ number: i + 1, label: cellOf(names, row, column), row }));
}
