import fc from 'fast-check';
import type { Pixels } from './pixels';
import { shrink } from './shrink';
import { grey, paint, speckle } from './testPixels';

const at = (p: Pixels, x: number, y: number) => [
  ...p.data.slice((y * p.width + x) * 4, (y * p.width + x) * 4 + 4),
];
/** Mean of the part of a row of source cells that a new cell covers, cell by cell. */
function covered(values: readonly number[], from: number, to: number): number {
  const sum = values.reduce((s, v, i) => s + v * Math.max(0, Math.min(to, i + 1) - Math.max(from, i)), 0);
  return sum / (to - from);
}

test('a whole factor is the plain mean of the cells it covers', () => {
  const p = paint(12, 9, (x, y) => grey(speckle(x, y)));
  const s = shrink(p, 3);
  expect([s.width, s.height]).toEqual([4, 3]);
  for (let y = 0; y < 3; y += 1)
    for (let x = 0; x < 4; x += 1) {
      const cells = Array.from({ length: 9 }, (_, i) => speckle(x * 3 + (i % 3), y * 3 + Math.floor(i / 3)));
      const mean = cells.reduce((a, b) => a + b, 0) / 9;
      expect(Math.abs((at(s, x, y)[0] ?? NaN) - mean)).toBeLessThanOrEqual(0.5 + 1e-3);
    }
});

test('any other factor takes cells by the share of them it covers', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 3, maxLength: 40 }),
      fc.double({ min: 1.05, max: 6, noNaN: true }),
      (values, factor) => {
        const p = paint(values.length, 1, (x) => grey(values[x] ?? 0));
        const s = shrink(p, factor);
        const per = values.length / s.width;
        return Array.from({ length: s.width }, (_, i) => i).every(
          (i) => Math.abs((at(s, i, 0)[0] ?? NaN) - covered(values, i * per, (i + 1) * per)) <= 0.5 + 1e-3,
        );
      },
    ),
  );
});

test('no light is lost or made: the mean of the whole stays', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: 60 }),
      fc.integer({ min: 8, max: 40 }),
      fc.double({ min: 1.1, max: 4, noNaN: true }),
      (w, h, factor) => {
        const p = paint(w, h, (x, y) => grey(speckle(x, y)));
        const mean = (q: Pixels) =>
          Array.from(q.data)
            .filter((_, i) => i % 4 === 0)
            .reduce((a, b) => a + b, 0) /
          (q.width * q.height);
        // Rounding goes either way: over so many pixels little of it is left.
        return Math.abs(mean(shrink(p, factor)) - mean(p)) < 0.3;
      },
    ),
    { numRuns: 40 },
  );
});

test('what is clear lends no colour to what is not', () => {
  const p = paint(4, 4, (x) => (x < 2 ? [200, 10, 10, 255] : [0, 255, 0, 0]));
  const s = shrink(p, 4);
  const [r, g, , a] = at(s, 0, 0);
  expect([r, g]).toEqual([200, 10]);
  expect(a).toBe(128);
  expect(
    at(
      shrink(
        paint(4, 4, () => [9, 9, 9, 0]),
        2,
      ),
      0,
      0,
    )[3],
  ).toBe(0);
});

test('a picture no finer than the dots is left alone; the coarsest is one pixel', () => {
  const p = paint(5, 4, () => grey(7));
  expect(shrink(p, 1)).toBe(p);
  expect(shrink(p, 0.3)).toBe(p);
  expect(shrink(p, 99)).toMatchObject({ width: 1, height: 1 });
  expect(at(shrink(p, 99), 0, 0)).toEqual([7, 7, 7, 255]);
});
