import Papa from 'papaparse';

/** A cell that a table program would run, also behind spaces and line breaks; a plain number, minus and decimals and all, is no formula. */
const FORMULA = /^(?!-?\d*[.,]?\d+$)\s*[=+\-@\t\r]/;
/** A formula, or text that would read like a defused one: both are written with an apostrophe before them, so that it can be taken off again. */
const DEFUSED = /^(?!-?\d*[.,]?\d+$)'*\s*[=+\-@\t\r]/;

export const isFormula = (cell: string): boolean => FORMULA.test(cell);

/** A cell as it was before `csvText` wrote it: without the apostrophe that defused it. */
export const plainCell = (cell: string | undefined): string =>
  cell?.startsWith("'") && DEFUSED.test(cell.slice(1)) ? cell.slice(1) : (cell ?? '');

/** Rows as CSV (RFC 4180). A cell that a table program would run as a formula is marked as the text it is; `plainCell` undoes it. */
export const csvText = (rows: readonly (readonly (string | number)[])[]): string =>
  Papa.unparse(
    rows.map((r) => r.map((c) => (typeof c === 'string' && DEFUSED.test(c) ? `'${c}` : c))),
    { quotes: (v: unknown) => typeof v === 'string' && /^[\s']|\s$|[\r\n]/.test(v) },
  );

/** Records as CSV under the headings given, in their order. */
export const csvTable = <H extends string>(
  headings: readonly H[],
  rows: readonly Partial<Readonly<Record<H, string | number>>>[],
): string => csvText([headings, ...rows.map((r) => headings.map((h) => r[h] ?? ''))]);
