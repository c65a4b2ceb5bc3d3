import fc from 'fast-check';
import { readMoney, shared, toCents, upTo } from './money';

test('shares add up to what is shared, and none is a whole hundredth off its part', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 10_000_000 }),
      fc.array(fc.double({ min: 0, max: 1000, noNaN: true }), { minLength: 1, maxLength: 12 }),
      (cents, weights) => {
        const out = shared(cents, weights);
        expect(out.reduce((a, b) => a + b, 0)).toBe(cents);
        const sum = weights.reduce((a, b) => a + b, 0);
        if (sum > 1e-9)
          out.forEach((s, i) => expect(Math.abs(s - (cents * (weights[i] ?? 0)) / sum)).toBeLessThan(1.0001));
      },
    ),
  );
});

test('a hundred shared by three gives the odd one to the first', () => {
  expect(shared(100, [1, 1, 1])).toEqual([34, 33, 33]);
  expect(shared(100, [0, 0])).toEqual([50, 50]);
});

test('halves go up, and prices to the next step and no further', () => {
  expect([toCents(2.5), toCents(2.49), toCents(0)]).toEqual([3, 2, 0]);
  expect([upTo(1201, 50), upTo(1200, 50), upTo(1250, 50)]).toEqual([1250, 1200, 1250]);
});

test('what people write is read to the hundredth or not at all', () => {
  expect(['12', '12.5', '12,50', '$ 3.05', '0'].map((t) => readMoney(t, '$'))).toEqual([
    1200, 1250, 1250, 305, 0,
  ]);
  expect(['', 'a', '1.234', '-3', '1,234.00'].map((t) => readMoney(t, '$'))).toEqual([
    null,
    null,
    null,
    null,
    null,
  ]);
});
