import { english } from '@/words/english';
import { boundsOf, rectCorners } from '../geometry/plane';
import fc from 'fast-check';
import { apply, determinant } from '../geometry/affine';
import { gridNest } from './grid';
import { mirrorPage } from './mirrorPage';
import { nestShape, type NestArea } from './nest/shape';
import { compensated, placementMatrix } from './placementMatrix';
import { paperOf } from './testSheets';

const testPaper = paperOf('a4');

const rect = fc.record({
  x: fc.double({ min: -50, max: 50, noNaN: true }),
  y: fc.double({ min: -50, max: 50, noNaN: true }),
  width: fc.double({ min: 10, max: 300, noNaN: true }),
  height: fc.double({ min: 10, max: 300, noNaN: true }),
});
const turns = fc.constantFrom(0 as const, 90 as const, 180 as const, 270 as const);

describe('a piece set on the page', () => {
  test('fills just the box it was given, whichever way round and over', () => {
    fc.assert(
      fc.property(rect, turns, fc.boolean(), (box, turn, mirror) => {
        const m = placementMatrix(box, 12, 34, turn, mirror);
        const on = boundsOf(rectCorners(box).map((p) => apply(m, p)));
        const [w, h] = turn % 180 === 0 ? [box.width, box.height] : [box.height, box.width];
        const want = { x: 12, y: 34, width: w, height: h };
        return (['x', 'y', 'width', 'height'] as const).every((k) => Math.abs(on[k] - want[k]) < 1e-9);
      }),
    );
  });

  test('is neither larger nor smaller, and turned over exactly where the file mirrors', () => {
    fc.assert(
      fc.property(rect, turns, fc.boolean(), (box, turn, mirror) => {
        const d = determinant(placementMatrix(box, 0, 0, turn, mirror));
        return Math.abs(d - (mirror ? -1 : 1)) < 1e-12;
      }),
    );
  });

  test('a quarter turn clockwise brings its top to the right', () => {
    const box = { x: 0, y: 0, width: 40, height: 20 };
    // The middle of its upper edge, upright and turned.
    expect(apply(placementMatrix(box, 0, 0, 0, false), { x: 20, y: 0 })).toEqual({ x: 20, y: 0 });
    expect(apply(placementMatrix(box, 0, 0, 90, false), { x: 20, y: 0 })).toEqual({ x: 20, y: 20 });
    expect(apply(placementMatrix(box, 0, 0, 180, false), { x: 20, y: 0 })).toEqual({ x: 20, y: 20 });
    expect(apply(placementMatrix(box, 0, 0, 270, false), { x: 20, y: 0 })).toEqual({ x: 0, y: 20 });
  });
});

describe('a printer that feeds long or short', () => {
  const bar = (nominalMm: number, printedMm: number) => ({ nominalMm, printedMm, pressedMm: null });

  test('is compensated: what it prints comes out as long as asked', () => {
    // 200 mm across printed 199, 250 along printed 251.5: the file must be 200/199 as wide and 250/251.5 as long.
    const paper = { ...testPaper, calibration: { across: bar(200, 199), along: bar(250, 251.5) } };
    const m = compensated(paper);
    expect(m[0] * (199 / 200)).toBeCloseTo(1, 12);
    expect(m[3] * (251.5 / 250)).toBeCloseTo(1, 12);
  });

  test('about the middle of the page, so margins stay even', () => {
    const paper = { ...testPaper, calibration: { across: bar(200, 198), along: bar(200, 198) } };
    const middle = { x: paper.widthMm / 2, y: paper.heightMm / 2 };
    const there = apply(compensated(paper), middle);
    expect(there.x).toBeCloseTo(middle.x, 9);
    expect(there.y).toBeCloseTo(middle.y, 9);
  });

  test('one never measured is left alone', () => {
    expect(compensated({ ...testPaper, calibration: null })).toEqual([1, 0, 0, 1, 0, 0]);
  });
});

describe('rows and columns', () => {
  const area: NestArea = { widthMm: 200, heightMm: 280, gapMm: 4, mayRotate: false };
  const piece = (w: number, h: number, count = 999) =>
    nestShape(rectCorners({ x: 0, y: 0, width: w, height: h }), count);

  test('as many as division says', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 190 }),
        fc.integer({ min: 5, max: 270 }),
        fc.integer({ min: 3, max: 12 }),
        (w, h, gapMm) => {
          const { placements } = gridNest(piece(w, h), { ...area, gapMm });
          // n pieces and n - 1 gaps: n (w + gap) <= 200 + gap, in whole numbers.
          const cols = Math.floor((200 + gapMm) / (w + gapMm));
          const rows = Math.floor((280 + gapMm) / (h + gapMm));
          return placements.length === cols * rows;
        },
      ),
    );
  });

  test('cuts run in the gaps: through no piece, and between any two neighbours', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 90 }),
        fc.integer({ min: 20, max: 120 }),
        fc.integer({ min: 1, max: 30 }),
        (w, h, count) => {
          const { placements, cuts } = gridNest(piece(w, h, count), area);
          const through = cuts.some(({ from, to }) =>
            placements.some(
              (l) =>
                Math.max(from.x, to.x) > l.x + 1e-9 &&
                Math.min(from.x, to.x) < l.x + l.width - 1e-9 &&
                Math.max(from.y, to.y) > l.y + 1e-9 &&
                Math.min(from.y, to.y) < l.y + l.height - 1e-9,
            ),
          );
          // A full cut for each row but one, then one fewer than its pieces in each row.
          return !through && cuts.length === placements.length - 1;
        },
      ),
    );
  });

  test('laid on its side only where that holds more', () => {
    // Upright 2 × 2; on its side 1 × 4 is no more, so it stays upright.
    expect(gridNest(piece(90, 130), { ...area, mayRotate: true }).placements[0]?.turn).toBe(0);
    // Upright 1 × 4; on its side 3 × 2 holds six.
    const six = gridNest(piece(120, 62), { ...area, mayRotate: true });
    expect(six.placements).toHaveLength(6);
    expect(six.placements[0]?.turn).toBe(90);
  });
});

test('the mirror test page is small, stays in its corner, and is not mirrored', () => {
  const page = mirrorPage(testPaper, 5, english.text);
  for (const item of page.items) {
    if (item.kind === 'text') {
      expect(determinant(item.matrix)).toBe(1);
      expect(item.matrix[4]).toBeGreaterThan(5);
    }
    if (item.kind === 'line') expect(Math.max(item.from.x, item.to.x)).toBeLessThanOrEqual(5 + 4 + 60);
  }
  const roll = mirrorPage({ ...testPaper, kind: 'roll', heightMm: 10_000 }, 5, english.text);
  expect(roll.heightMm).toBeLessThan(60);
});
