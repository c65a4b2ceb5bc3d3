import { isMessage, type Message, type Value } from '@/core/message/message';
import { english } from './english';

type Shown = (value: number) => string;

const plain = (v: Value, shown: Shown): Value => {
  if (typeof v === 'string' || typeof v === 'number') return v;
  if ('kind' in v) return typeof v.value === 'number' ? shown(v.value) : String(v.value);
  if ('inSentence' in v) return v;
  return isMessage(v) ? exact(v, shown) : v.map((one) => plain(one, shown));
};

const exact = (m: Message, shown: Shown): Message =>
  m.values === undefined
    ? m
    : {
        id: m.id,
        values: Object.fromEntries(Object.entries(m.values).map(([k, v]) => [k, plain(v, shown)])),
      };

/** A message in English with its amounts as bare numbers of their base unit, for tests that read the amounts. */
export const exactly = (m: Message, shown: Shown = (v) => v.toFixed(2)): string =>
  english.text(exact(m, shown));
