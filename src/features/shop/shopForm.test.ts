import { verbatim } from '@/core/message/message';
import { issueText } from '@/core/basics/rule';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import type * as z from 'zod/mini';
import { lengthText, moneyText, shortText, shownLengths, wholeText } from './shopForm';

const read = <T>(schema: z.ZodMiniType<T>, text: string) => {
  const r = schema.safeParse(text);
  return r.success ? r.data : english.text(issueText(r.error.issues[0]?.message ?? ''));
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
  expect(inEnglish(read(moneyText, text))).toBe('Write an amount such as 0.36.'),
);

test('whole numbers within their range, and the range said when not', () => {
  const ink = wholeText(verbatim('Most ink'), 100, 400);
  expect(read(ink, ' 260 ')).toBe(260);
  expect(read(ink, '100')).toBe(100);
  expect(read(ink, '400')).toBe(400);
  for (const wrong of ['99', '401', '2.5', '1e2', '', '-200', '0x100'])
    expect(inEnglish(read(ink, wrong))).toBe('Most ink: a whole number from 100 to 400.');
});

test('a short line loses its outer spaces and is not cut', () => {
  expect(read(shortText, '  rear feed ')).toBe('rear feed');
  expect(read(shortText, 'x'.repeat(160))).toHaveLength(160);
  expect(inEnglish(read(shortText, 'x'.repeat(161)))).toMatch(/under 160/);
});

describe('lengths shown in inches', () => {
  const INCHES = { length: 'in', temperature: 'F', inchDenominator: 16 } as const;
  test('a text nobody changed stands for the millimetres that were stored', () => {
    const shown = shownLengths(INCHES);
    const text = shown.show(verbatim('Width'), 210);
    expect(text).toBe('8 1/4');
    const width = lengthText('in', verbatim('Width'), 50, 1700, shown);
    expect(inEnglish(read(width, text))).toBe(210);
    expect(read(width, ` ${text} `)).toBe(210);
    // Changed, it is read; and the same text under another label is another length.
    expect(read(width, '8 3/8')).toBeCloseTo(212.725, 9);
    expect(read(lengthText('in', verbatim('Height'), 50, 1700, shown), text)).toBeCloseTo(209.55, 9);
  });
});
