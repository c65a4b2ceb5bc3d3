/**
 * A value with its kind. The base unit is fixed by the kind, so arithmetic in the core never meets a display unit:
 * length mm, temperature °C, duration s, angle degrees, ratio 1, resolution ppi.
 */
export type Quantity =
  | { readonly kind: 'length'; readonly value: number; readonly fine?: boolean }
  | { readonly kind: 'temperature'; readonly value: number }
  | { readonly kind: 'duration'; readonly value: number }
  | { readonly kind: 'angle'; readonly value: number }
  | { readonly kind: 'ratio'; readonly value: number }
  | { readonly kind: 'resolution'; readonly value: number }
  | { readonly kind: 'count'; readonly value: number; readonly one: string; readonly many: string }
  | { readonly kind: 'word'; readonly value: string };

export const mm = (value: number): Quantity => ({ kind: 'length', value });
/** A length small enough that fractions of the tape would hide it: shown in decimals in either unit. */
export const fineMm = (value: number): Quantity => ({ kind: 'length', value, fine: true });
export const celsius = (value: number): Quantity => ({ kind: 'temperature', value });
export const seconds = (value: number): Quantity => ({ kind: 'duration', value });
export const degrees = (value: number): Quantity => ({ kind: 'angle', value });
export const ratio = (value: number): Quantity => ({ kind: 'ratio', value });
export const ppi = (value: number): Quantity => ({ kind: 'resolution', value });
export const word = (value: string): Quantity => ({ kind: 'word', value });
export const count = (value: number, one: string, many = `${one}s`): Quantity => ({
  kind: 'count',
  value,
  one,
  many,
});

export const MM_PER_INCH = 25.4;
