import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { say, type ValuesOf } from '../src/core/message/message';
import { english } from '../src/words/english';
import type { MessageId } from '../src/words/ids';
import { SOURCES } from '../src/words/sources';

/** A text of the interface by its id, as British English writes it: a test that looks for it so outlives its rewording. */
export const says = <I extends MessageId>(id: I, ...values: ValuesOf<I>): string =>
  english.text(say(id, ...values));

const PARTS: Readonly<Record<string, Readonly<Record<string, string>>>> = SOURCES.en;

/** What a text holds whatever its values: what stands between them, in order. */
function fixed(id: MessageId): readonly string[] {
  const [part = '', name = ''] = id.split('.');
  return parse(PARTS[part]?.[name] ?? '').flatMap((e) => (e.type === TYPE.literal ? [e.value.trim()] : []));
}

/** The longest piece of a text that no value changes. */
export const fixedPart = (id: MessageId): string =>
  fixed(id).reduce((longest, piece) => (piece.length > longest.length ? piece : longest), '');

/** A pattern for what begins as a text does, up to the first of its values. */
export const opening = (id: MessageId): RegExp =>
  new RegExp(`^${(fixed(id)[0] ?? '').replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);
