import fc from 'fast-check';
import {
  clockText,
  formatDuration,
  inchFraction,
  phraseText,
  quantityText,
  toCelsius,
  toFahrenheit,
} from './format';
import { say } from './phrase';
import { celsius, count, degrees, fineMm, mm, MM_PER_INCH, ppi, ratio, seconds, word } from './quantity';

const MM = { length: 'mm', temperature: 'C', inchDenominator: 16 } as const;
const IN = { length: 'in', temperature: 'F', inchDenominator: 16 } as const;

/** What a person reads off a tape: whole inches and a fraction. */
function read(text: string): number {
  const m = /^(−)?(?:(\d+) )?(\d+)(?:\/(\d+))?$/.exec(text);
  if (!m) return NaN;
  const [, minus, whole, top, bottom] = m;
  const v = Number(whole ?? 0) + Number(top) / Number(bottom ?? 1);
  return minus ? -v : v;
}

test('a fraction is the nearest mark of the tape, in its lowest terms', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.constantFrom(8, 16, 32, 64),
      (inches, denominator) => {
        const text = inchFraction(inches, denominator);
        const [, top, bottom] = /(\d+)\/(\d+)$/.exec(text) ?? [];
        const lowest = top === undefined || Number(top) % 2 === 1;
        const onTape = bottom === undefined || denominator % Number(bottom) === 0;
        return lowest && onTape && Math.abs(read(text) - inches) <= 0.5 / denominator + 1e-12;
      },
    ),
  );
});

test('by hand: 9 3/16, an exact inch, next to nothing, and below nought', () => {
  expect(inchFraction(9.1875, 16)).toBe('9 3/16');
  expect(inchFraction(9.98, 16)).toBe('10');
  expect(inchFraction(0.01, 16)).toBe('0');
  expect(inchFraction(-0.01, 16)).toBe('0');
  expect(inchFraction(-2.5, 8)).toBe('−2 1/2');
});

test('Celsius to Fahrenheit and back; water freezes and boils where it does', () => {
  expect(toFahrenheit(0)).toBe(32);
  expect(toFahrenheit(100)).toBe(212);
  expect(toFahrenheit(-40)).toBe(-40);
  fc.assert(
    fc.property(
      fc.double({ min: -300, max: 600, noNaN: true }),
      (c) => Math.abs(toCelsius(toFahrenheit(c)) - c) < 1e-9,
    ),
  );
});

test('bench time: seconds as long as one counts them, then minutes as a press shows them, then hours', () => {
  expect(formatDuration(70)).toEqual({ number: '70', unit: 's' });
  expect(formatDuration(99.4)).toEqual({ number: '99', unit: 's' });
  expect(formatDuration(100)).toEqual({ number: '1:40', unit: 'min' });
  expect(formatDuration(390)).toEqual({ number: '6:30', unit: 'min' });
  expect(formatDuration(3600)).toEqual({ number: '1 h 00', unit: 'min' });
  expect(formatDuration(-5)).toEqual({ number: '0', unit: 's' });
  expect(clockText(59.9)).toBe('0:59');
  expect(clockText(600)).toBe('10:00');
});

test('one sentence, whichever units the shop reads', () => {
  const s = say`${count(1, 'sheet')} and ${count(3, 'sheet')}, ${mm(25.4)} at ${celsius(200)} for ${seconds(60)}, ${ppi(300)}`;
  expect(phraseText(s, MM)).toBe('1 sheet and 3 sheets, 25.4 mm at 200 °C for 60 s, 300 ppi');
  expect(phraseText(s, IN)).toBe('1 sheet and 3 sheets, 1 in at 392 °F for 60 s, 300 ppi');
});

test('a phrase in a phrase is one sentence; nothing is lost between', () => {
  const inner = say`${mm(4)} at ${word('the rim')}`;
  expect(phraseText(say`White shows: ${inner}${say``}. Move it.`, MM)).toBe(
    'White shows: 4 mm at the rim. Move it.',
  );
});

test('small lengths keep their hundredths, and a thousandth of an inch', () => {
  expect(quantityText(fineMm(0.123), MM)).toBe('0.12 mm');
  expect(quantityText(fineMm(0.254), IN)).toBe('0.010 in');
  expect(quantityText(mm(0.04), MM)).toBe('0 mm');
  expect(quantityText(mm(2.5 * MM_PER_INCH), IN)).toBe('2 1/2 in');
});

test('shares and angles sit against their sign', () => {
  expect(quantityText(ratio(0.76), MM)).toBe('76%');
  expect(quantityText(ratio(0.042), MM)).toBe('4.2%');
  expect(quantityText(ratio(0), MM)).toBe('0%');
  expect(quantityText(degrees(-12.4), MM)).toBe('−12°');
});
