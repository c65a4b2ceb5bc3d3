import format, { type CompiledMessage } from 'icu-minify/format';
import type { Message, Value } from '@/core/message/message';
import type { Quantity } from '@/core/message/quantity';
import { formatAmount, type Formatted, type UnitChoice } from '@/core/units/format';

/** Writes messages and amounts in one language and one choice of units. */
export interface Writer {
  readonly text: (message: Message) => string;
  /** An amount as number and unit, for where the two are set apart. */
  readonly parts: (q: Quantity) => Formatted;
  readonly quantity: (q: Quantity) => string;
}

type Find = (id: string) => CompiledMessage | undefined;

const once = <A extends readonly unknown[], T>(make: (...a: A) => T): ((...a: A) => T) => {
  const made = new Map<string, T>();
  return (...a) => {
    const key = JSON.stringify(a);
    const held = made.get(key) ?? make(...a);
    made.set(key, held);
    return held;
  };
};

const FORMATTERS = {
  getDateTimeFormat: once(
    (...a: ConstructorParameters<typeof Intl.DateTimeFormat>) => new Intl.DateTimeFormat(...a),
  ),
  getNumberFormat: once(
    (...a: ConstructorParameters<typeof Intl.NumberFormat>) => new Intl.NumberFormat(...a),
  ),
  getPluralRules: once((...a: ConstructorParameters<typeof Intl.PluralRules>) => new Intl.PluralRules(...a)),
};
const listFormat = once((locale: string) => new Intl.ListFormat(locale, { type: 'unit', style: 'short' }));

/** Degree and per-cent signs sit against the number; words and other units take a space. */
const gap = (unit: string): string => (unit === '' || unit === '°' || unit === '%' ? '' : ' ');

/** With a small first letter, as a label stands inside a sentence. */
const lowered = (label: string, locale: string): string =>
  `${label.slice(0, 1).toLocaleLowerCase(locale)}${label.slice(1)}`;

/** The decimal sign of the language. */
const decimalSign = once((locale: string) => (1.5).toLocaleString(locale).charAt(1));

/** A figure with the decimal sign of the language; fractions and clock times have none. */
function inLocale(f: Formatted, locale: string): Formatted {
  const sign = decimalSign(locale);
  if (sign === '.') return f;
  const put = (text: string) => text.replace(/(\d)\.(\d)/g, `$1${sign}$2`);
  return { ...f, number: put(f.number), ...(f.exact === undefined ? {} : { exact: put(f.exact) }) };
}

/** `find` gives a message by its id; one that is not there, or not there yet, is written as nothing. */
export function createWriter(find: Find, units: UnitChoice, locale: string): Writer {
  const value = (v: Value): string | number => {
    if (typeof v === 'string' || typeof v === 'number') return v;
    if ('kind' in v) return quantity(v);
    if ('inSentence' in v) return lowered(text(v.inSentence), locale);
    return 'id' in v ? text(v) : listFormat(locale).format(v.map((one) => String(value(one))));
  };
  const text = ({ id, values = {} }: Message): string => {
    const message = find(id);
    if (message === undefined || typeof message === 'string') return message ?? '';
    const given = Object.fromEntries(Object.entries(values).map(([name, v]) => [name, value(v)]));
    return String(format(message, locale, given, { formatters: FORMATTERS }));
  };
  const parts = (q: Quantity): Formatted => {
    if (q.kind === 'count')
      return {
        number: String(Math.round(q.value)),
        unit: text({ id: `count.${q.of}`, values: { n: Math.round(q.value) } }),
      };
    if (q.kind === 'word') return { number: typeof q.value === 'string' ? q.value : text(q.value), unit: '' };
    return inLocale(formatAmount(q, units), locale);
  };
  const quantity = (q: Quantity): string => {
    const { number, unit } = parts(q);
    return `${number}${gap(unit)}${unit}`;
  };
  return { text, parts, quantity };
}
