import type { MessageId, ValueNames } from '@/words/ids';
import type { Quantity } from './quantity';

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

/** Writes a message out, for what is drawn or filed as text: in the language and the units of whoever asked for it. */
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
