/** A plain number, minus and decimals and all, is no formula. */
const NUMBER = /^-?\d*[.,]?\d+$/;

/** A cell that a table program would run as a formula is read as the text it is, and marked so when written out again. */
export const isFormula = (cell: string): boolean => /^[=+\-@\t\r]/.test(cell) && !NUMBER.test(cell);

/** One field for a CSV cell, quoted where it must be; never one that a table program would run. */
export function csvCell(value: string | number): string {
  const text = typeof value === 'number' ? String(value) : isFormula(value) ? `'${value}` : value;
  return /[",\r\n;]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}
