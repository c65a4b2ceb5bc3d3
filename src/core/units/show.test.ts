import fc from 'fast-check';
import { clockText, formatDuration, inchFraction, toCelsius, toFahrenheit } from './format';

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

test('press time: seconds as long as one counts them, then minutes as a press shows them, then hours', () => {
  expect(formatDuration(70)).toEqual({ number: '70', unit: 's' });
  expect(formatDuration(99.4)).toEqual({ number: '99', unit: 's' });
  expect(formatDuration(100)).toEqual({ number: '1:40', unit: 'min' });
  expect(formatDuration(390)).toEqual({ number: '6:30', unit: 'min' });
  expect(formatDuration(3600)).toEqual({ number: '1 h 00', unit: 'min' });
  expect(formatDuration(-5)).toEqual({ number: '0', unit: 's' });
  expect(clockText(59.9)).toBe('0:59');
  expect(clockText(600)).toBe('10:00');
});
