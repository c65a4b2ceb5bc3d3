import type { MessageId, ValueNames } from '@/words/ids';

/** What is counted: its noun stands in the catalogue, in one and in many. */
export type CountNoun = Extract<MessageId, `count.${string}`> extends `count.${infer N}` ? N : never;

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

/** What stands in a message: an amount, a name someone gave, another message, or a list of them. */
export type Value = string | number | Quantity | Message | InSentence | readonly Value[];

/** A label inside a sentence: written with a small first letter. */
export interface InSentence {
  readonly inSentence: Message;
}

/**
 * A text by its id in the catalogue, with its values left as they are: written out where it is shown, in the language and the units chosen there.
 * Plain JSON.
 */
export interface Message {
  readonly id: MessageId;
  readonly values?: Readonly<Record<string, Value>>;
}

/** The values a message needs: none, or each by its name. */
export type ValuesOf<I extends MessageId> = ValueNames[I] extends never
  ? []
  : [values: Readonly<Record<ValueNames[I], Value>>];

/** A message: say('sheet.onLast', { pieces: 3 }). An id that is not in the catalogue, or a value that is missing, does not compile. */
export const say = <I extends MessageId>(id: I, ...[values]: ValuesOf<I>): Message =>
  values === undefined ? { id } : { id, values };

/** A text that someone typed, given as it stands where a message is expected. */
export const verbatim = (text: string): Message => say('common.verbatim', { text });

/** An amount where a message is expected. */
export const amountMessage = (q: Quantity): Message => say('common.amount', { amount: q });

/** A label as it stands inside a sentence. */
export const inSentence = (label: Message): InSentence => ({ inSentence: label });

/** Two messages read one after the other, as sentences. */
export const inTurn = (first: Message, then: Message): Message => say('common.inTurn', { first, then });

/** Writes a message out, for what is drawn or filed as text: in the language and the units of the person who asked for it. */
export type Write = (message: Message) => string;

const MESSAGE_ID = /^[a-z]+\.[a-zA-Z0-9-]+$/;

/** Whether a piece of plain data is a message. */
export function isMessage(v: unknown): v is Message {
  if (typeof v !== 'object' || v === null || !('id' in v) || typeof v.id !== 'string') return false;
  const keys = Object.keys(v);
  return MESSAGE_ID.test(v.id) && keys.every((k) => k === 'id' || k === 'values');
}

/** A message as text, for what is stored where only text can stand. */
export const packed = (message: Message): string => JSON.stringify(message);

/** A message from its text; anything else is shown as it is. */
export function unpacked(text: string): Message {
  if (!text.startsWith('{')) return verbatim(text);
  try {
    const read: unknown = JSON.parse(text);
    return isMessage(read) ? read : verbatim(text);
  } catch {
    return verbatim(text);
  }
}

/** An error to throw where only an error can travel, as out of a worker: `unpacked(error.message)` is the message again. */
export const problemError = (message: Message): Error => new Error(packed(message));
