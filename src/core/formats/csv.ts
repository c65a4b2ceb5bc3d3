import Papa from 'papaparse';

/** A cell that a table program would run; a plain number, minus and decimals and all, is no formula. */
const FORMULA = /^(?!-?\d*[.,]?\d+$)[=+\-@\t\r]/;

export const isFormula = (cell: string): boolean => FORMULA.test(cell);

/** Rows as CSV (RFC 4180). A cell that a table program would run as a formula is marked as the text it is. */
export const csvText = (rows: readonly (readonly (string | number)[])[]): string =>
  Papa.unparse(
    rows.map((r) => [...r]),
    { escapeFormulae: FORMULA },
  );

/** Records as CSV under the headings given, in their order. */
export const csvTable = <H extends string>(
  headings: readonly H[],
  rows: readonly Partial<Readonly<Record<H, string | number>>>[],
): string => csvText([headings, ...rows.map((r) => headings.map((h) => r[h] ?? ''))]);
