import type { CountNoun, DateForm, Quantity, Message } from './message';

/** Every amount that is written without the catalogue and without the calendar of a language. */
export type Amount = Exclude<Quantity, { kind: 'count' | 'word' | 'whole' | 'money' | 'span' | 'date' }>;

export const mm = (value: number): Amount => ({ kind: 'length', value });
/** A length small enough that fractions of the tape would hide it: shown in decimals in either unit. */
export const fineMm = (value: number): Amount => ({ kind: 'length', value, fine: true });
export const celsius = (value: number): Amount => ({ kind: 'temperature', value });
export const seconds = (value: number): Amount => ({ kind: 'duration', value });
export const degrees = (value: number): Amount => ({ kind: 'angle', value });
export const ratio = (value: number): Amount => ({ kind: 'ratio', value });
export const ppi = (value: number): Amount => ({ kind: 'resolution', value });
/** A bare number with its decimals: its unit stands in the message. */
export const decimal = (value: number, places: number): Quantity => ({ kind: 'decimal', value, places });
/** A whole number, its thousands set apart. */
export const whole = (value: number): Quantity => ({ kind: 'whole', value });
/** Money in hundredths, after the currency symbol of the shop. */
export const moneyOf = (currency: string, cents: number): Quantity => ({
  kind: 'money',
  value: cents,
  currency,
});
/** A length of time in seconds, in whole minutes, hours or days: “40 min”, “2 h 10 min”, “3 days”. Its sign is not written. */
export const span = (value: number): Quantity => ({ kind: 'span', value });
/** A moment in milliseconds since 1970, on the clock of this place. */
export const date = (value: number, as: DateForm): Quantity => ({ kind: 'date', value, as });
export const word = (value: string | Message): Quantity => ({ kind: 'word', value });
export const count = (value: number, of: CountNoun): Quantity => ({ kind: 'count', value, of });

export const MM_PER_INCH = 25.4;
