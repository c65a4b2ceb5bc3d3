import fc from 'fast-check';
import { differenceCiede2000, lab65 } from 'culori';
import { difference, hexOf, labOf, linearOf, rgbOf } from './colour';

/** Pairs and answers from Sharma, Wu and Dalal's test data (Color Research and Application 30, 2005, table 1). */
const SHARMA: readonly (readonly [number, number, number, number, number, number, number])[] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

test.each(SHARMA)('ΔE00 of (%f, %f, %f) and (%f, %f, %f) is %f', (L1, a1, b1, L2, a2, b2, wanted) => {
  expect(difference(L1, a1, b1, L2, a2, b2)).toBeCloseTo(wanted, 4);
  expect(difference(L2, a2, b2, L1, a1, b1)).toBeCloseTo(wanted, 4);
});

const channel = fc.integer({ min: 0, max: 255 });
const colour = fc.tuple(channel, channel, channel);

test('CIELAB and ΔE00 agree with another library over all of sRGB', () => {
  const other = differenceCiede2000();
  fc.assert(
    fc.property(colour, colour, (p, q) => {
      const rgb = ([r, g, b]: readonly number[]) => ({
        mode: 'rgb' as const,
        r: (r ?? 0) / 255,
        g: (g ?? 0) / 255,
        b: (b ?? 0) / 255,
      });
      const [a, c] = [labOf(p), labOf(q)];
      const theirs = lab65(rgb(p));
      const near = (x: number, y: number | undefined, by: number) => Math.abs(x - (y ?? NaN)) < by;
      return (
        near(a.L, theirs?.l, 0.02) &&
        near(a.a, theirs?.a, 0.05) &&
        near(difference(a.L, a.a, a.b, c.L, c.a, c.b), other(rgb(p), rgb(q)), 0.1)
      );
    }),
  );
});

test('hex there and back; light ends at nought and one', () => {
  fc.assert(fc.property(colour, (c) => rgbOf(hexOf(c)).join() === c.join()));
  expect([linearOf(0), linearOf(255)]).toEqual([0, 1]);
});
