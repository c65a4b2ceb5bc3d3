import { inSentence, say, verbatim, type Message, type Quantity } from '@/core/message/message';
import {
  celsius,
  count,
  decimal,
  degrees,
  fineMm,
  mm,
  MM_PER_INCH,
  ppi,
  ratio,
  seconds,
  word,
  date,
  span,
  moneyOf,
  whole,
} from '@/core/message/quantity';
import { METRIC, type UnitChoice } from '@/core/units/format';
import { allOf } from './all';
import type { Locale } from './locale';
import { INTL_LOCALE, languageName, localeFor } from './locale';
import { createWriter } from './writer';

const INCHES: UnitChoice = { length: 'in', temperature: 'F', inchDenominator: 16 };
const writerIn = (units: UnitChoice, locale: Locale = 'en') =>
  createWriter(allOf(locale), units, INTL_LOCALE[locale]);
const written = (q: Quantity, units: UnitChoice, locale: Locale = 'en') =>
  writerIn(units, locale).quantity(q);

test('one message, in either unit', () => {
  const m = say('wrap.fromBelowRimFlat', { top: mm(231.775), foot: fineMm(1.2566), foot2: mm(25.4) });
  expect(writerIn(METRIC).text(m)).toContain('231.8 mm');
  expect(writerIn(METRIC).text(m)).toContain('1.3 mm');
  expect(writerIn(INCHES).text(m)).toContain('9 1/8 in');
  expect(writerIn(INCHES).text(m)).toContain('0.049 in');
});

test('the tape decides the fraction', () => {
  expect(written(mm(212.725), INCHES)).toBe('8 3/8 in');
  expect(written(mm(212.725), { ...INCHES, inchDenominator: 8 })).toBe('8 3/8 in');
  expect(written(mm(10.3), { ...INCHES, inchDenominator: 64 })).toBe('13/32 in');
  expect(written(mm(2.5 * MM_PER_INCH), INCHES)).toBe('2 1/2 in');
  expect(written(mm(0.2), INCHES)).toBe('0 in');
  expect(written(mm(-12.7), INCHES)).toBe('−1/2 in');
  expect(written(mm(-12.7), METRIC)).toBe('−12.7 mm');
});

test('small lengths keep their hundredths, and a thousandth of an inch', () => {
  expect(written(fineMm(0.123), METRIC)).toBe('0.12 mm');
  expect(written(fineMm(0.254), INCHES)).toBe('0.010 in');
  expect(written(fineMm(-0.25), INCHES)).toBe('−0.010 in');
  expect(written(mm(0.04), METRIC)).toBe('0 mm');
});

test('other kinds', () => {
  expect(written(degrees(43.4), METRIC)).toBe('43°');
  expect(written(degrees(-12.4), METRIC)).toBe('−12°');
  expect(written(ppi(299.6), METRIC)).toBe('300 ppi');
  expect(written(celsius(-4), METRIC)).toBe('−4 °C');
  expect(written(celsius(200), INCHES)).toBe('392 °F');
  expect(written(seconds(59.6), METRIC)).toBe('60 s');
  expect(written(decimal(1.256, 2), METRIC)).toBe('1.26');
  expect(written(word('own'), METRIC)).toBe('own');
  expect(written(word(say('common.heat')), METRIC)).toBe('Heat');
});

test.each([
  [0, '0 pieces'],
  [1, '1 piece'],
  [2, '2 pieces'],
  [5, '5 pieces'],
])('%i counted in English', (n, text) => expect(written(count(n, 'piece'), METRIC)).toBe(text));

test('nearly all is never shown as all', () => {
  expect(written(ratio(0.9999), METRIC)).toBe('> 99%');
  expect(written(ratio(1), METRIC)).toBe('100%');
  expect(written(ratio(0), METRIC)).toBe('0%');
  expect(written(ratio(0.0001), METRIC)).toBe('< 0.1%');
  expect(written(ratio(0.042), METRIC)).toBe('4.2%');
  expect(written(ratio(0.71), METRIC)).toBe('71%');
});

test('a message in a message, a list of them, a label inside a sentence, and what someone typed', () => {
  const { text } = writerIn(METRIC);
  const edges: Message[] = [2, 4].map((v) =>
    say('art.amountAtEdge', { amount: mm(v), edge: say('art.rimEdge') }),
  );
  expect(text(say('art.pictureStopsShortBleed', { list: edges }))).toBe(
    'The picture stops short of the bleed: 2 mm at the rim edge, 4 mm at the rim edge. A small slip would show white.',
  );
  expect(text(say('common.from', { f: inSentence(say('heat.dwellTime')) }))).toBe('from dwell time');
  expect(text(verbatim('{Vega} <b>'))).toBe('{Vega} <b>');
});

const AT = new Date(2026, 11, 4, 16, 5).getTime();
test.each([
  ['en', 'Fri 4 Dec', 'Fri 4 Dec 16:05', '4 Dec 2026, 16:05', 'December 2026'],
  ['en-US', 'Fri Dec 4', 'Fri Dec 4 4:05 PM', 'Dec 4, 2026, 4:05 PM', 'December 2026'],
  ['es', 'vie 4 dic', 'vie 4 dic 16:05', '4 dic 2026, 16:05', 'diciembre de 2026'],
] as const)('dates and times in %s', (locale, ...shown) => {
  const { quantity } = writerIn(METRIC, locale);
  expect((['day', 'dayAndTime', 'moment', 'month'] as const).map((as) => quantity(date(AT, as)))).toEqual(
    shown,
  );
});

test('lengths of time are minutes, hours, days', () => {
  const { quantity } = writerIn(METRIC);
  expect([2400, 7800, -7200, 4 * 86_400].map((s) => quantity(span(s)))).toEqual([
    '40 min',
    '2 h 10 min',
    '2 h',
    '4 days',
  ]);
});

test('money is shown with its hundredths and its thousands apart, as large numbers are', () => {
  const { quantity } = writerIn(METRIC);
  expect(quantity(moneyOf('$', 123456789))).toBe('$1,234,567.89');
  expect(quantity(moneyOf('€', 5))).toBe('€0.05');
  expect(quantity(moneyOf('$', -250))).toBe('−$2.50');
  expect(quantity(whole(100000))).toBe('100,000');
});

test('Spanish has its own decimals, plurals and genders of amounts', () => {
  const { text, quantity } = writerIn(METRIC, 'es');
  expect(quantity(mm(231.75))).toBe('231,8 mm');
  expect(quantity(fineMm(0.25))).toBe('0,25 mm');
  expect(quantity(decimal(1.5, 2))).toBe('1,50');
  expect(quantity(moneyOf('€', 123_456))).toBe('€1234,56');
  expect(quantity(span(4 * 86_400))).toBe('4 días');
  expect([0, 1, 2, 5].map((n) => quantity(count(n, 'piece')))).toEqual([
    '0 piezas',
    '1 pieza',
    '2 piezas',
    '5 piezas',
  ]);
  expect(text(say('common.from', { f: inSentence(say('heat.dwellTime')) }))).toBe('de tiempo de prensado');
});

test('American English holds what differs, and is English in the rest', () => {
  const { text } = writerIn(METRIC, 'en-US');
  expect(text(say('art.centreOn'))).toBe('Center on');
  expect(text(say('common.heat'))).toBe('Heat');
});

test.each([
  [['en-US', 'fr'], 'en-US'],
  [['fr', 'en-AU'], 'en'],
  [['fr'], 'en'],
  [[], 'en'],
  [['es-MX', 'en'], 'es'],
] as const)('of the languages %j, %s is shown', (wishes, locale) => expect(localeFor(wishes)).toBe(locale));

test('an id that is not there is written as nothing', () => {
  expect(createWriter(() => undefined, METRIC, 'en-GB').text(say('common.heat'))).toBe('');
});

test('a language is named as its readers name it', () => {
  expect([languageName('en'), languageName('en-US'), languageName('es')]).toEqual([
    'British English',
    'American English',
    'español',
  ]);
});
