import { decimalOf, wholeOf } from './number';

test.each([
  ['12', 12],
  ['12,5', 12.5],
  ['12.5', 12.5],
  ['.5', 0.5],
  ['−3', -3],
  [' 7 ', 7],
])('%s is a decimal', (text, n) => expect(decimalOf(text)).toBe(n));

test.each(['1e3', '0x10', '', ' ', '1,000.5', '1 000', 'Infinity', '--1', '1.2.3', '½'])(
  '%j is no decimal',
  (text) => expect(decimalOf(text)).toBeNull(),
);

test('a whole number has digits only', () => {
  expect([wholeOf('16'), wholeOf(' 016 ')]).toEqual([16, 16]);
  for (const text of ['1e3', '0x10', '-1', '1.5', '', '1234567890']) expect(wholeOf(text)).toBeNull();
});
