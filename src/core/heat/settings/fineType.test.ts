import fc from 'fast-check';
import { lowerEnd } from './fineType';
import type { WindowMap } from './window';

/** A window of 5 temperatures from 180 to 200 °C and 11 times from 40 to 90 s whose chances a function gives. */
const map = (chance: (platenC: number, dwellS: number) => number): WindowMap => ({
  platenC: [180, 200],
  dwellS: [40, 90],
  columns: 5,
  rows: 11,
  good: Array.from({ length: 55 }, (_, i) => chance(180 + 5 * (i % 5), 40 + 5 * Math.floor(i / 5))),
  side: [],
});

test('the shortest time that is nearly as good as the best at that temperature', () => {
  // Best at 65 s; 95 % of it are reached at 60 s, and hotter needs less.
  const hill = map((c, s) => Math.max(0, 0.9 - 0.008 * Math.abs(s - (65 - (c - 190)))));
  expect(lowerEnd(hill, 190)).toEqual({ dwellS: 60, good: expect.closeTo(0.86, 6) });
  expect(lowerEnd(hill, 200)).toEqual({ dwellS: 50, good: expect.closeTo(0.86, 6) });
  expect(lowerEnd(hill, 179)).toBeNull();
  expect(
    lowerEnd(
      map(() => 0),
      190,
    ),
  ).toBeNull();
});

test('it is never longer than the best time, and never worse than 95 % of it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.01, max: 1, noNaN: true }), { minLength: 11, maxLength: 11 }),
      fc.double({ min: 180, max: 200, noNaN: true }),
      (chances, platenC) => {
        const end = lowerEnd(
          map((_, s) => chances[(s - 40) / 5] ?? 0),
          platenC,
        );
        const best = Math.max(...chances);
        expect(end?.good).toBeGreaterThanOrEqual(0.95 * best - 1e-12);
        expect(end?.dwellS).toBeLessThanOrEqual(40 + 5 * chances.indexOf(best));
      },
    ),
  );
});
