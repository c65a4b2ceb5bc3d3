import format, { type CompiledMessage } from 'icu-minify/format';
import type { Message, Value, DateForm, Quantity } from '@/core/message/message';
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

/** A day of twelve hours is written “9:05 AM”, one of twenty-four “09:05”. */
const clockParts = once((locale: string): Intl.DateTimeFormatOptions => {
  const { hour12 } = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  return { hour: hour12 === true ? 'numeric' : '2-digit', minute: '2-digit' };
});
const DAY_PARTS = {
  day: { weekday: 'short', day: 'numeric', month: 'short' },
  short: { day: 'numeric', month: 'short' },
  weekday: { weekday: 'long' },
  weekdayAndDay: { weekday: 'long', day: 'numeric', month: 'short' },
  month: { month: 'long', year: 'numeric' },
  time: {},
  weekdayAndTime: { weekday: 'short' },
  dayAndTime: { weekday: 'short', day: 'numeric', month: 'short' },
  moment: { day: 'numeric', month: 'short', year: 'numeric' },
} as const satisfies Readonly<Record<DateForm, Intl.DateTimeFormatOptions>>;
const TIMED: readonly DateForm[] = ['time', 'weekdayAndTime', 'dayAndTime', 'moment'];

/** Dates stand in narrow places: only the full moment keeps its commas. */
const dateText = (ms: number, as: DateForm, locale: string): string => {
  const parts = { ...DAY_PARTS[as], ...(TIMED.includes(as) ? clockParts(locale) : {}) };
  const text = FORMATTERS.getDateTimeFormat(locale, parts).format(ms);
  return as === 'moment' ? text : text.replaceAll(',', '');
};

const moneyText = (currency: string, cents: number, locale: string): string => {
  const format = FORMATTERS.getNumberFormat(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
  const whole = Math.abs(Math.trunc(cents));
  return `${cents < 0 ? '−' : ''}${currency}${format.format(whole / 100)}`;
};

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
  const spanParts = (minutes: number): Formatted => {
    const days = Math.round(minutes / 1440);
    if (minutes >= 48 * 60)
      return { number: String(days), unit: text({ id: 'count.day', values: { n: days } }) };
    if (minutes < 60) return { number: String(minutes), unit: 'min' };
    const rest = minutes % 60;
    return {
      number: `${Math.floor(minutes / 60)} h${rest === 0 ? '' : ` ${rest}`}`,
      unit: rest === 0 ? '' : 'min',
    };
  };
  const parts = (q: Quantity): Formatted => {
    if (q.kind === 'count')
      return {
        number: String(Math.round(q.value)),
        unit: text({ id: `count.${q.of}`, values: { n: Math.round(q.value) } }),
      };
    if (q.kind === 'word') return { number: typeof q.value === 'string' ? q.value : text(q.value), unit: '' };
    if (q.kind === 'date') return { number: dateText(q.value, q.as, locale), unit: '' };
    if (q.kind === 'whole') return { number: FORMATTERS.getNumberFormat(locale).format(q.value), unit: '' };
    if (q.kind === 'money') return { number: moneyText(q.currency, q.value, locale), unit: '' };
    if (q.kind === 'span') return spanParts(Math.round(Math.abs(q.value) / 60));
    return inLocale(formatAmount(q, units), locale);
  };
  const quantity = (q: Quantity): string => {
    const { number, unit } = parts(q);
    return `${number}${gap(unit)}${unit}`;
  };
  return { text, parts, quantity };
}
