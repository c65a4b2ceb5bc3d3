import { say, type Message } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { MM_PER_INCH } from '../message/quantity';
import { toCelsius, type LengthUnit, type TemperatureUnit } from './format';

/** How a length was written down; decides how finely it can be trusted. */
export type Written = 'fraction' | 'decimal' | 'whole';

export interface ParsedLength {
  readonly valueMm: number;
  readonly unit: LengthUnit | 'cm' | 'm' | 'ft';
  readonly written: Written;
  /** Smallest step the writing itself shows: 1/denominator in for fractions, last decimal place, one unit for wholes. */
  readonly writtenStepMm: number;
}

const UNIT_WORDS: Readonly<Record<string, ParsedLength['unit']>> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  milímetro: 'mm',
  milímetros: 'mm',
  centímetro: 'cm',
  centímetros: 'cm',
  metro: 'm',
  metros: 'm',
  pulg: 'in',
  pulgada: 'in',
  pulgadas: 'in',
  pie: 'ft',
  pies: 'ft',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  "''": 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
};

const MM_PER: Readonly<Record<ParsedLength['unit'], number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};
const VULGAR_CHARS = Object.keys(VULGAR).join('');
/** A fraction of one character ends a number: a digit after it is a slip of the finger, not a larger denominator. */
const DIGIT_AFTER_VULGAR = new RegExp(`[${VULGAR_CHARS}]\\s*[\\d${VULGAR_CHARS}]`);

/** A length in plain characters: fractions as `3/8`, one kind of dash, lower case. */
export function normalise(text: string): string {
  return text
    .replace(new RegExp(`[${VULGAR_CHARS}]`, 'g'), (c) => ` ${VULGAR[c] ?? ''}`)
    .replace(/[\u2044\u2215]/g, '/')
    .replace(/[\u2033\u201C\u201D]/g, '"')
    .replace(/[\u2032\u2018\u2019]/g, "'")
    .replace(/[\u2012-\u2015\u2212]/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
}

const WAY_OUT = say('fields.writeLengthAs');
const unreadable = (text: string, where: Message | string): Result<never> =>
  fail(say('fields.cannotReadLength', { text: text.slice(0, 24) }), where, WAY_OUT);

/**
 * A length as people write it on a note: `8 3/8`, `8-3/8"`, `8⅜`, `213`, `21.3 cm`, `21,3 cm`, `1.25 m`, `2' 3 1/2"`.
 * A bare fraction is in inches; any other bare number is in `bareUnit`. Returns a positive length in mm.
 */
export function parseLength(
  text: string,
  bareUnit: LengthUnit,
  where: Message | string = say('fields.length'),
): Result<ParsedLength> {
  const clean = normalise(text);
  if (clean === '') return fail(say('fields.nothingWritten'), where, WAY_OUT);
  if (DIGIT_AFTER_VULGAR.test(text)) return unreadable(text, where);
  if (clean.startsWith('-')) return fail(say('fields.lengthCannotBelowZero'), where, WAY_OUT);
  const parsed = feetAndInches(clean, text, where) ?? oneUnit(clean, bareUnit, text, where);
  if (parsed.ok && parsed.value.valueMm === 0) return fail(say('fields.lengthCannotZero'), where, WAY_OUT);
  return parsed;
}

/** `2' 3 1/2"`, `2 ft 3 in`; null for anything written in one unit. */
function feetAndInches(clean: string, text: string, where: Message | string): Result<ParsedLength> | null {
  const m =
    /^(\d{1,3}) ?(?:'(?!')|ft|feet|foot|pies?)[ -]*(\d[\d.,/ -]*?) ?(?:"|''|in|inch|inches|pulgadas?|pulg)?\.?$/.exec(
      clean,
    );
  if (!m) return null;
  const inches = oneUnit(m[2] ?? '', 'in', text, where);
  if (!inches.ok) return unreadable(text, where);
  const feetMm = Number(m[1]) * MM_PER.ft;
  return inches.value.valueMm < MM_PER.ft
    ? ok({ ...inches.value, unit: 'in', valueMm: feetMm + inches.value.valueMm })
    : fail(say('fields.twelveInchesMoreAnother'), where, say('fields.carryOverFeet'));
}

function oneUnit(
  clean: string,
  bareUnit: LengthUnit,
  text: string,
  where: Message | string,
): Result<ParsedLength> {
  const split = /^(\d[-\d.,/ ]*|[.,]\d+)([a-zí"']*)\.?$/.exec(clean);
  if (!split) return unreadable(text, where);
  const body = (split[1] ?? '').trim();
  const unitWord = split[2] ?? '';
  const named = unitWord === '' ? null : UNIT_WORDS[unitWord];
  if (named === undefined)
    return fail(say('fields.unitLengthKnownHere', { unitWord }), where, say('fields.useMmCmM'));
  return body.includes('/')
    ? parseFraction(body, named, text, where)
    : parseDecimal(body, named ?? bareUnit, text, where);
}

function parseFraction(
  body: string,
  named: ParsedLength['unit'] | null,
  text: string,
  where: Message | string,
): Result<ParsedLength> {
  // A dash with a space before it may be a minus: it is not guessed at.
  const m = /^(?:(\d{1,4})[ -])?(\d{1,3})\/(\d{1,3})$/.exec(body.trim());
  if (!m) return unreadable(text, where);
  if (named !== null && named !== 'in') {
    return fail(say('fields.fractionsReadInches'), where, say('fields.writeMillimetresDecimal213'));
  }
  const whole = Number(m[1] ?? 0);
  const top = Number(m[2]);
  const bottom = Number(m[3]);
  if (bottom === 0) return fail(say('fields.fractionCannotHave0'), where, WAY_OUT);
  if (m[1] !== undefined && top >= bottom) {
    return fail(say('fields.wholeInchMore', { top, bottom }), where, say('fields.carryOver89'));
  }
  return ok({
    valueMm: (whole + top / bottom) * MM_PER_INCH,
    unit: 'in',
    written: 'fraction',
    writtenStepMm: MM_PER_INCH / bottom,
  });
}

function parseDecimal(
  body: string,
  unit: ParsedLength['unit'],
  text: string,
  where: Message | string,
): Result<ParsedLength> {
  if (/^[1-9]\d{0,2},\d{3}$/.test(body) && (unit === 'mm' || unit === 'in')) {
    return fail(say('fields.canReadTwoWays', { body }), where, say('fields.leaveOutCommaUse'));
  }
  const m = /^(\d{1,6})?(?:[.,](\d{1,6}))?$/.exec(body);
  if (!m || (m[1] === undefined && m[2] === undefined)) return unreadable(text, where);
  const decimals = m[2]?.length ?? 0;
  const value = Number(`${m[1] ?? 0}.${m[2] ?? 0}`);
  return ok({
    valueMm: value * MM_PER[unit],
    unit,
    written: decimals > 0 ? 'decimal' : 'whole',
    writtenStepMm: 10 ** -decimals * MM_PER[unit],
  });
}

/** A temperature as written: `188`, `188 C`, `370F`. Bare numbers are in `bareUnit`. Returns °C, 0 to 260. */
export function parseTemperature(
  text: string,
  bareUnit: TemperatureUnit,
  where: Message | string = say('common.temperature'),
): Result<number> {
  const m = /^(-?\d{1,4}(?:[.,]\d)?)\s*°?\s*([cf])?$/i.exec(text.trim());
  if (!m)
    return fail(
      say('fields.cannotReadTemperature', { text: text.slice(0, 16) }),
      where,
      say('fields.write188C370'),
    );
  const unit = (m[2]?.toUpperCase() ?? bareUnit) as TemperatureUnit;
  const value = Number((m[1] ?? '').replace(',', '.'));
  const c = unit === 'F' ? toCelsius(value) : value;
  if (c > 260 && unit === 'C') {
    return fail(say('fields.cHotterThanAny', { value }), where, say('fields.isThatF', { value }));
  }
  if (c > 260) return fail(say('fields.fHotterThanAny', { value }), where, say('fields.commonWork350405'));
  if (c < 0) return fail(say('fields.belowFreezing'), where, say('fields.commonWork175205'));
  return ok(c);
}

const TIME_WAY = say('fields.writeTimeAs');
const LONGEST_S = 7200;

/** A whole or decimal number at the head of a written time, in seconds to the unit. */
const part = (text: string | undefined, perUnit: number): number =>
  text === undefined ? 0 : Number(text.replace(',', '.')) * perUnit;

/** Units of time as they are written in English and Spanish, each as one letter. */
const TIME_UNITS: readonly (readonly [RegExp, string])[] = [
  [/(?:seconds?|segundos?|secs?|segs?)(?![a-z])/g, 's'],
  [/(?:minutes?|minutos?|mins?)(?![a-z])/g, 'm'],
  [/(?:hours?|horas?|hrs?)(?![a-z])/g, 'h'],
];

/** Seconds in `1:05`, `1:00:00`, `65 s`, `12.5 s`, `2 minutes`, `1 min 5 s`, `1.5 h`, `1 h 01 min`, `1 h 5 s`, its units already letters; null where it is no time. */
function secondsIn(clean: string): number | null {
  const long = /^(\d{1,2}):([0-5]\d):([0-5]\d)$/.exec(clean);
  if (long) return part(long[1], 3600) + part(long[2], 60) + part(long[3], 1);
  const clock = /^(\d{1,3}):([0-5]\d)(?: ?m)?$/.exec(clean);
  if (clock) return part(clock[1], 60) + part(clock[2], 1);
  const plain = /^(\d{1,4}(?:[.,]\d{1,2})?) ?s?$/.exec(clean);
  if (plain) return part(plain[1], 1);
  const hours = /^(\d{1,2}) ?h(?: ?([0-5]?\d) ?m?)?(?: ?([0-5]?\d) ?s)?$/.exec(clean);
  if (hours) return part(hours[1], 3600) + part(hours[2], 60) + part(hours[3], 1);
  const partHours = /^(\d{1,2}[.,]\d{1,3}) ?h$/.exec(clean);
  if (partHours) return part(partHours[1], 3600);
  const decimal = /^(\d{1,3}[.,]\d{1,2}) ?m$/.exec(clean);
  if (decimal) return part(decimal[1], 60);
  const both = /^(\d{1,3}) ?m(?: ?([0-5]?\d) ?s?)?$/.exec(clean);
  return both ? part(both[1], 60) + part(both[2], 1) : null;
}

/** A time as written: `65`, `12.5 s`, `1:05`, `2 minutes`, `1 min 5`, `1:00:00`, `1.5 h`, `1 h 01 min`. Returns seconds, 1 to 7200. */
export function parseDuration(text: string, where: Message | string = say('fields.time')): Result<number> {
  const lower = text.trim().toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '');
  const s = secondsIn(TIME_UNITS.reduce((t, [words, letter]) => t.replace(words, letter), lower));
  if (s === null) return fail(say('fields.cannotReadTime', { text: text.slice(0, 16) }), where, TIME_WAY);
  if (s < 1) return fail(say('fields.timeAll'), where, TIME_WAY);
  if (s > LONGEST_S) return fail(say('fields.moreThanTwoHours'), where, TIME_WAY);
  return ok(s);
}
