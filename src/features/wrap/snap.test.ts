import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '@/core/shop/settings';
import { nextMark, snapTo, tapeMarkMm } from './snap';

test('the tape’s own marks: half millimetres or sixteenths, as the shop reads now', () => {
  const inches = { ...DEFAULT_SETTINGS, units: { ...DEFAULT_SETTINGS.units, length: 'in' as const } };
  expect(tapeMarkMm(DEFAULT_SETTINGS)).toBe(1);
  expect(tapeMarkMm(inches)).toBeCloseTo(25.4 / 16, 12);
});

test('a dragged edge rests on a mark, or on a near place that matters', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 300, noNaN: true }),
      fc.constantFrom(0.5, 1, 25.4 / 16),
      (v, mark) => {
        const free = snapTo(v, mark, []);
        return (
          Math.abs(free - v) <= mark / 2 + 1e-9 && Math.abs(free / mark - Math.round(free / mark)) < 1e-9
        );
      },
    ),
  );
  expect(snapTo(84.3, 1, [85.2])).toBe(85.2);
  expect(snapTo(83.3, 1, [85.2])).toBe(83);
});

test('a key goes to the next mark, from between two or from on one', () => {
  expect(nextMark(1.5, 1, 1)).toBe(2);
  expect(nextMark(2, 1, 1)).toBe(3);
  expect(nextMark(1.5, 1, -1)).toBe(1);
  expect(nextMark(2, 1, -1)).toBe(1);
});
