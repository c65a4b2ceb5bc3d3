import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { apply, determinant } from '../geometry/affine';
import { exact, measured } from '../figures/uncertain';
import { boundsOfContour, contourArea, flatten } from '../geometry/contour';
import type { FlatShape } from '../shop/blank';
import { FOLDS } from '../job/job';
import { seeded } from '../random/random';
import { TRUE_SCALE } from '../calibration/calibration';
import { placingImprovements } from './face';
import { sizeFlatWrap, type FlatWrapInput } from './flatWrap';

const STAR: FlatShape = {
  kind: 'flat',
  outline: { form: 'star', widthMm: 84, heightMm: 80 },
  holes: [{ form: 'round', xMm: 42, yMm: 10, diameterMm: 3.5 }],
  faces: 2,
  edge: 'plain',
};
const TAG: FlatShape = {
  ...STAR,
  outline: {
    form: 'drawn',
    widthMm: 60,
    heightMm: 40,
    points: [
      [0, 0],
      [60, 10],
      [50, 40],
      [5, 35],
    ],
  },
};

const input = (over: Partial<FlatWrapInput> = {}): FlatWrapInput => ({
  shape: STAR,
  width: exact(84),
  height: exact(80),
  thicknessMm: 3,
  print: { x: TRUE_SCALE, y: TRUE_SCALE },
  edge: 'bleed',
  bleedMm: 4,
  turnInMm: 8,
  safeMm: 5,
  fold: 'left',
  bothFaces: false,
  ...over,
});

test('bleed runs past the edge all round; wrapped by the edge and the turn-in', () => {
  const flat = sizeFlatWrap(input());
  // The two lower points of a star do not reach its box: only left, right and top do.
  expect(flat.pattern.bleed.width).toBeCloseTo(92, 1);
  const slate: FlatShape = {
    ...STAR,
    outline: { form: 'rectangle', widthMm: 150, heightMm: 90, cornerMm: 0 },
    edge: 'rough',
  };
  const wrapped = sizeFlatWrap(
    input({ shape: slate, width: exact(150), height: exact(90), thicknessMm: 7, edge: 'wrapped' }),
  );
  expect(wrapped.pastMm).toBe(15);
  expect(wrapped.pattern.bleed).toMatchObject({ x: -15, y: -15, width: 180, height: 120 });
});

test('the measured size decides: outline and holes are stretched to it', () => {
  const wide = sizeFlatWrap(input({ width: exact(86), height: exact(81) }));
  expect(wide.pattern.trim.width).toBeCloseTo(86, 9);
  const hole = boundsOfContour(wide.pattern.faces[0]?.exclusionZones[0]?.contour ?? []);
  expect(hole.x + hole.width / 2).toBeCloseTo((42 * 86) / 84, 6);
});

test('two faces: the back lies on the front when the sheet is folded, whichever side the fold is', () => {
  fc.assert(
    fc.property(fc.constantFrom(...FOLDS), fc.double({ min: 1, max: 12, noNaN: true }), (fold, bleedMm) => {
      const { pattern } = sizeFlatWrap(
        input({ shape: TAG, width: exact(60), height: exact(40), fold, bleedMm, bothFaces: true }),
      );
      const [front, back] = pattern.faces;
      const line = pattern.fold;
      if (!front || !back || !line) throw new Error('two faces and a fold');
      const folded = flatten(back.trim).map((p) => {
        const q = apply(back.matrix, p);
        return line.from.x === line.to.x
          ? { x: 2 * line.from.x - q.x, y: q.y }
          : { x: q.x, y: 2 * line.from.y - q.y };
      });
      const corners = flatten(front.trim);
      // Every corner of one is a corner of the other, and neither face is mirrored by its own placing.
      expect(determinant(back.matrix)).toBe(1);
      for (const p of folded)
        expect(Math.min(...corners.map((c) => Math.hypot(c.x - p.x, c.y - p.y)))).toBeLessThan(1e-9);
      expect(contourArea(back.trim)).toBeCloseTo(contourArea(front.trim), 9);
      // The two bleeds never touch: each stays on its own side of the fold.
      const upright = line.from.x === line.to.x;
      const side = (f: typeof front) =>
        flatten(f.bleed).map((p) => {
          const q = apply(f.matrix, p);
          return upright ? q.x - line.from.x : q.y - line.from.y;
        });
      const [a, b] = [side(front), side(back)];
      expect(Math.min(...a.map(Math.abs), ...b.map(Math.abs))).toBeGreaterThan(0.9);
      expect(a.every((v) => Math.sign(v) === Math.sign(a[0] ?? 0))).toBe(true);
      expect(b.every((v) => Math.sign(v) === -Math.sign(a[0] ?? 0))).toBe(true);
    }),
    { numRuns: 60 },
  );
});

describe('bleed needed', () => {
  const sized = { width: measured(84, 2, 'reading: width'), height: measured(80, 0.4, 'reading: height') };
  test('known in size: the hand alone, on both axes', () => {
    const fine = sizeFlatWrap(input());
    // Laid within ± 1.5 mm, evenly, across and up: (b / 1.5)² = 0.95.
    expect(fine.bleedFor19In20Mm).toBeCloseTo(1.5 * Math.sqrt(0.95), 2);
    expect(sizeFlatWrap(input({ bleedMm: 0.75 })).coverChance).toBeCloseTo(0.25, 6);
    expect(sizeFlatWrap(input({ bleedMm: 0 })).coverChance).toBe(0);
    expect(sizeFlatWrap(input({ bleedMm: 3 })).coverChance).toBe(1);
    expect(sizeFlatWrap(input(sized)).bleedFor19In20Mm).toBeGreaterThan(fine.bleedFor19In20Mm);
  });
  test('played out: white shows at one of the four edges in one piece of twenty, as the chance says', () => {
    const random = seeded(5551);
    const uniform = (half: number) => (2 * random() - 1) * half;
    // Irwin and Hall: twelve uniforms make a normal near enough.
    const normal = (s: number) => s * Array.from({ length: 12 }, () => random()).reduce((a, v) => a + v, -6);
    const w = sizeFlatWrap(input(sized));
    const plays = 20_000;
    const shows = (bleed: number) => {
      let white = 0;
      for (let i = 0; i < plays; i += 1) {
        const x = normal(2) / 2 + Math.abs(uniform(1.5));
        const y = normal(0.4) / 2 + Math.abs(uniform(1.5));
        if (x > bleed || y > bleed) white += 1;
      }
      return white / plays;
    };
    expect(Math.abs(shows(w.bleedFor19In20Mm) - 0.05)).toBeLessThan(0.005);
    for (const bleedMm of [1, 2, 3])
      expect(
        Math.abs(shows(bleedMm) - (1 - sizeFlatWrap(input({ ...sized, bleedMm })).coverChance)),
      ).toBeLessThan(0.012);
  });
  test('what to improve: the hand and the width, which is known worse than the height', () => {
    const all = placingImprovements(sizeFlatWrap(input(sized)).placing);
    expect(inEnglish(all.map((i) => i.label))).toEqual(['placing by hand', 'Overall width']);
    for (const i of all) expect(i.buys).toBeGreaterThan(0.3);
  });
});

test('paper that shrinks is printed longer, each way by its own', () => {
  const still = TRUE_SCALE;
  const w = sizeFlatWrap(
    input({ print: { x: { ...still, shrink: 0.005 }, y: { ...still, shrink: 0.001 } } }),
  );
  const plain = sizeFlatWrap(input());
  expect(w.pattern.trim.width * 0.995).toBeCloseTo(plain.pattern.trim.width, 9);
  expect(w.pattern.trim.height * 0.999).toBeCloseTo(plain.pattern.trim.height, 9);
  // An unchecked printer is a uncertainty of its own.
  const rough = sizeFlatWrap(input({ print: { x: { ...still, scaleU: 0.004 }, y: still } }));
  expect(rough.bleedFor19In20Mm).toBeGreaterThan(plain.bleedFor19In20Mm);
});

test('faces part by twice what the fold is off', () => {
  const both = sizeFlatWrap(input({ bothFaces: true }));
  expect(both.registration?.parts.placement).toBeCloseTo((2 * 0.5) / Math.sqrt(3), 9);
  expect(sizeFlatWrap(input()).registration).toBeNull();
});

test('a safe zone wider than the blank leaves no place for words, and says so by being empty', () => {
  expect(sizeFlatWrap(input({ safeMm: 30 })).pattern.faces[0]?.safe).toEqual([]);
});
