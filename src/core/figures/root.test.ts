import fc from 'fast-check';
import { rising } from './root';

test('the root of a rising function, few calls and to the tolerance', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.constantFrom(
        (x: number) => x,
        (x: number) => x ** 3,
        (x: number) => Math.exp(x) - 1,
        (x: number) => Math.tanh(4 * x),
      ),
      (root, shape) => {
        let calls = 0;
        const f = (x: number) => {
          calls += 1;
          return shape(x - root);
        };
        const found = rising(f, -4, 4, 1e-6);
        // A triple root is flat: found by its value.
        expect(Math.min(Math.abs(found - root), Math.abs(shape(found - root)))).toBeLessThan(1e-5);
        expect(calls).toBeLessThan(60);
      },
    ),
  );
});

test('a limit where it never passes zero', () => {
  expect(rising((x) => x + 9, -4, 4, 1e-6)).toBe(-4);
  expect(rising((x) => x - 9, -4, 4, 1e-6)).toBe(4);
});
