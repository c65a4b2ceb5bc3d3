import fc from 'fast-check';
import { analyseImage } from './analyseImage';
import { grey, paint } from './testPixels';

test('shares of clear, white, pale and dark, square by square', () => {
  const p = paint(240, 160, (x) =>
    x < 60 ? [0, 0, 0, 0] : x < 120 ? grey(255) : x < 180 ? grey(230) : grey(20),
  );
  const look = analyseImage(p);
  const row = look.cells.slice(0, look.cols);
  const mean = (of: (c: (typeof row)[number]) => number) => row.reduce((s, c) => s + of(c), 0) / row.length;
  expect(mean((c) => c.clear)).toBeCloseTo(0.25, 6);
  expect(mean((c) => c.white)).toBeCloseTo(0.25, 6);
  expect(mean((c) => c.pale)).toBeCloseTo(0.25, 6);
  expect(mean((c) => c.dark)).toBeCloseTo(0.25, 6);
});

test('ink: white none, black half replaced, a pure colour its own', () => {
  const ink = (rgb: readonly [number, number, number]) =>
    analyseImage(paint(48, 32, () => rgb)).cells[0]?.inkPct ?? NaN;
  expect(ink([255, 255, 255])).toBe(0);
  // Three full colours less one, black standing for half of what they share.
  expect(ink([0, 0, 0])).toBeCloseTo(200, 6);
  expect(ink([0, 255, 255])).toBeCloseTo(100, 6);
});

test('a frame is measured on every side', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 20 }),
      fc.integer({ min: 2, max: 20 }),
      fc.boolean(),
      (left, top, clear) => {
        const p = paint(120, 90, (x, y) =>
          x < left || y < top ? (clear ? [9, 9, 9, 0] : grey(255)) : grey(90),
        );
        const [f] = analyseImage(p).frames;
        return (
          f?.kind === (clear ? 'clear' : 'white') && f.leftPx === left && f.topPx === top && f.rightPx === 0
        );
      },
    ),
    { numRuns: 25 },
  );
  expect(analyseImage(paint(80, 80, () => grey(255))).frames).toEqual([]);
});

test('strokes are as wide as they were drawn; a smooth ground has none', () => {
  for (const wide of [1, 2, 5]) {
    const p = paint(400, 300, (x) => grey(x % 20 < wide ? 0 : 240));
    expect(analyseImage(p).finestPx).toBe(wide);
  }
  expect(analyseImage(paint(400, 300, (x) => grey(Math.floor(x / 2)))).finestPx).toBeNull();
});
