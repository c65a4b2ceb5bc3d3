import type * as z from 'zod/mini';
import { moneyText, shortText, wholeText } from './shopForm';

const read = <T>(schema: z.ZodMiniType<T>, text: string) => {
  const r = schema.safeParse(text);
  return r.success ? r.data : (r.error.issues[0]?.message ?? '');
};

test.each([
  ['0.36', 36],
  ['0,36', 36],
  [' 12 ', 1200],
  ['3.5', 350],
  // 1.15 × 100 is 114.99999999999999 in floating point.
  ['1.15', 115],
  ['99999.99', 9999999],
])('money %s', (text, cents) => expect(read(moneyText, text)).toBe(cents));

test.each(['', 'free', '-1', '1.234', '1 000', '$3', '100000', '1.2.3', '=1+1'])('not money: %s', (text) =>
  expect(read(moneyText, text)).toBe('Write an amount such as 0.36.'),
);

test('whole numbers within their range, and the range said when not', () => {
  const ink = wholeText('Most ink', 100, 400);
  expect(read(ink, ' 260 ')).toBe(260);
  expect(read(ink, '100')).toBe(100);
  expect(read(ink, '400')).toBe(400);
  for (const wrong of ['99', '401', '2.5', '1e2', '', '-200', '0x100'])
    expect(read(ink, wrong)).toBe('Most ink: a whole number from 100 to 400.');
});

test('a short line loses its outer spaces and is not cut', () => {
  expect(read(shortText, '  rear feed ')).toBe('rear feed');
  expect(read(shortText, 'x'.repeat(160))).toHaveLength(160);
  expect(read(shortText, 'x'.repeat(161))).toMatch(/under 160/);
});
