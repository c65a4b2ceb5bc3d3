import fc from 'fast-check';
import { frontView, seenArcMm } from './plane';

test('the front view: a third of the girth within 60°, edges at ±r', () => {
  expect(seenArcMm(300, 60)).toBeCloseTo(100, 12);
  expect(seenArcMm(300, 180)).toBeCloseTo(300, 12);
  const r = 300 / (2 * Math.PI);
  expect(frontView(300, 75)).toBeCloseTo(r, 9);
  expect(frontView(300, 0)).toBe(0);
  expect(frontView(300, 300 / 12)).toBeCloseTo(r / 2, 9);
});

test('seen from the front, the wall turns away: foreshortening is the cosine of the turn', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 640, noNaN: true }),
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      (c, turn) => {
        const step = c * 1e-6;
        const slope = (frontView(c, turn * c + step) - frontView(c, turn * c - step)) / (2 * step);
        expect(slope).toBeCloseTo(Math.cos(2 * Math.PI * turn), 5);
        expect(frontView(c, -turn * c)).toBeCloseTo(-frontView(c, turn * c), 9);
      },
    ),
  );
});
