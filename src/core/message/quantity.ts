import type { MessageId } from '@/words/ids';
import type { Message } from './message';

/** What is counted: its noun stands in the catalogue, in one and in many. */
export type CountNoun = Extract<MessageId, `count.${string}`> extends `count.${infer N}` ? N : never;

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
  | { readonly kind: 'decimal'; readonly value: number; readonly places: number }
  | { readonly kind: 'count'; readonly value: number; readonly of: CountNoun }
  | { readonly kind: 'whole'; readonly value: number }
  | { readonly kind: 'money'; readonly value: number; readonly currency: string }
  | { readonly kind: 'span'; readonly value: number }
  | { readonly kind: 'date'; readonly value: number; readonly as: DateForm }
  | { readonly kind: 'word'; readonly value: string | Message };

/** How much of a date is written: “Fri 4 Dec”, “4 Dec”, “Friday”, “Friday 4 Dec”, “December 2026”, “16:40”, “Fri 16:40”, “Fri 4 Dec 16:40”, “4 Dec 2026, 16:40”. */
export type DateForm =
  | 'day'
  | 'short'
  | 'weekday'
  | 'weekdayAndDay'
  | 'month'
  | 'time'
  | 'weekdayAndTime'
  | 'dayAndTime'
  | 'moment';

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
