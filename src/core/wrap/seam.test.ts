import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { sizeRoundWrap } from './roundWrap';
import { frontAlongMm, seamForFront } from './seam';
import { wrapInput } from './testWraps';

test('front and seam are two ways to say the same', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.07, max: 0.93, noNaN: true }), (share) => {
      const seam = seamForFront(share * 240, 240);
      return Math.abs(frontAlongMm(seam ?? 180, 240) - share * 240) < 1e-9;
    }),
  );
  expect(seamForFront(120, 240)).toBeNull();
  expect(frontAlongMm(180, 240)).toBe(120);
  // A seam across the front is held off it.
  expect(frontAlongMm(seamForFront(0, 240) ?? 0, 240)).toBeCloseTo(0.06 * 240, 9);
});

test('the pattern puts the front there', () => {
  const { pattern, closing } = sizeRoundWrap(
    wrapInput({
      circumferenceTop: exact(240),
      circumferenceFoot: exact(240),
      seamDeg: seamForFront(80, 240.31) ?? 180,
    }),
  );
  expect(pattern.front?.x).toBeCloseTo((80 / 240.31) * closing.value, 1);
});
