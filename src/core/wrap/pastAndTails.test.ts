import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { boundsOfContour } from '../geometry/contour';
import { printedOutline } from '../sheet/parts';
import { sizeRoundWrap } from './roundWrap';
import { wrapInput } from './testWraps';

const mmAmount = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('past rim and foot, the safe zone counts from the edges of the blank', () => {
  fc.assert(
    fc.property(mmAmount(0.5, 10), mmAmount(0.5, 10), mmAmount(0, 12), (rimMm, footMm, safeMm) => {
      const { pattern } = sizeRoundWrap(wrapInput({ past: { rimMm, footMm }, safeMm }));
      // On a straight wall the paper is a rectangle 190 mm high.
      expect(pattern.safe.y).toBeCloseTo(rimMm + safeMm, 9);
      expect(pattern.safe.height).toBeCloseTo(190 - rimMm - footMm - 2 * safeMm, 9);
      const edge = boundsOfContour(pattern.onBlank ?? []);
      expect([edge.y, edge.height, edge.width]).toEqual([
        expect.closeTo(rimMm, 9),
        expect.closeTo(190 - rimMm - footMm, 9),
        expect.closeTo(pattern.trim.width, 9),
      ]);
    }),
  );
  expect(sizeRoundWrap(wrapInput()).pattern.onBlank).toBeNull();
});

test('a tail is white paper past both ends, and the picture stops where it begins', () => {
  fc.assert(
    fc.property(mmAmount(5, 60), (tailMm) => {
      const plain = sizeRoundWrap(wrapInput()).pattern;
      const { pattern } = sizeRoundWrap(wrapInput({ tailMm }));
      expect(pattern.trim).toEqual(plain.trim);
      expect(pattern.bleed.width).toBeCloseTo(pattern.trim.width, 9);
      expect(pattern.whole.width).toBeCloseTo(pattern.trim.width + 2 * tailMm, 9);
      expect(pattern.whole.height).toBeCloseTo(pattern.bleed.height, 9);
      const [left, right] = pattern.tails.map(boundsOfContour);
      expect(left?.x).toBeCloseTo(-tailMm, 9);
      expect(right?.x).toBeCloseTo(pattern.trim.width, 9);
      // Ticks stand outside all that is cut out.
      for (const { from, to } of pattern.ticks)
        for (const p of [from, to])
          expect(
            p.x < -tailMm + 1e-9 ||
              p.x > pattern.trim.width + tailMm - 1e-9 ||
              p.y < pattern.bleed.y ||
              p.y > pattern.bleed.y + pattern.bleed.height,
          ).toBe(true);
    }),
  );
});

test('a piece with tails takes the room of its tails on the sheet', () => {
  const { pattern } = sizeRoundWrap(wrapInput({ tailMm: 25, circumferenceFoot: exact(210) }));
  const xs = printedOutline(pattern).map((p) => p.x);
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(pattern.whole.width, 1);
});
