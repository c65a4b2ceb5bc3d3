/** A plain decimal number as people write it: digits, one point or comma, a minus. Not `1e3`, not `0x10`; null where it is none. */
export function decimalOf(text: string): number | null {
  const clean = text.trim().replace('−', '-').replace(',', '.');
  return /^-?(?:\d{1,12}(?:\.\d{0,12})?|\.\d{1,12})$/.test(clean) ? Number(clean) : null;
}

/** A whole number from nought as people write it; null where it is none. */
export const wholeOf = (text: string): number | null => (/^\d{1,9}$/.test(text.trim()) ? Number(text) : null);
