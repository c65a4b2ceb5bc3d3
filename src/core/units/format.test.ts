import { clockText, formatDuration, phraseText, quantityText, type UnitChoice } from './format';
import { say } from './phrase';
import { celsius, count, degrees, fineMm, mm, ppi, ratio, seconds } from './quantity';

const METRIC: UnitChoice = { length: 'mm', temperature: 'C', inchDenominator: 16 };
const INCHES: UnitChoice = { length: 'in', temperature: 'F', inchDenominator: 16 };

test('one phrase, either unit', () => {
  const p = say`tape ${mm(231.775)} less ${fineMm(1.2566)} at ${celsius(188)}`;
  expect(phraseText(p, METRIC)).toBe('tape 231.8 mm less 1.3 mm at 188 °C');
  expect(phraseText(p, INCHES)).toBe('tape 9 1/8 in less 0.049 in at 370 °F');
});

test('the tape decides the fraction', () => {
  expect(quantityText(mm(212.725), INCHES)).toBe('8 3/8 in');
  expect(quantityText(mm(212.725), { ...INCHES, inchDenominator: 8 })).toBe('8 3/8 in');
  expect(quantityText(mm(10.3), { ...INCHES, inchDenominator: 64 })).toBe('13/32 in');
  expect(quantityText(mm(0.2), INCHES)).toBe('0 in');
  expect(quantityText(mm(-12.7), INCHES)).toBe('−1/2 in');
  expect(quantityText(mm(-12.7), METRIC)).toBe('−12.7 mm');
  expect(quantityText(fineMm(-0.25), INCHES)).toBe('−0.010 in');
  expect(quantityText(celsius(-4), METRIC)).toBe('−4 °C');
});

test('other kinds', () => {
  expect(quantityText(degrees(43.4), METRIC)).toBe('43°');
  expect(quantityText(ppi(299.6), METRIC)).toBe('300 ppi');
  expect(quantityText(count(1, 'piece'), METRIC)).toBe('1 piece');
  expect(quantityText(count(24, 'piece'), METRIC)).toBe('24 pieces');
});

test('nearly all is never shown as all', () => {
  expect(quantityText(ratio(0.9999), METRIC)).toBe('over 99%');
  expect(quantityText(ratio(1), METRIC)).toBe('100%');
  expect(quantityText(ratio(0.0001), METRIC)).toBe('under 0.1%');
  expect(quantityText(ratio(0.71), METRIC)).toBe('71%');
});

test('bench times', () => {
  expect(formatDuration(65)).toEqual({ number: '65', unit: 's' });
  expect(formatDuration(225)).toEqual({ number: '3:45', unit: 'min' });
  expect(formatDuration(5640)).toEqual({ number: '1 h 34', unit: 'min' });
  expect(quantityText(seconds(59.6), METRIC)).toBe('60 s');
  expect(clockText(41)).toBe('0:41');
});
