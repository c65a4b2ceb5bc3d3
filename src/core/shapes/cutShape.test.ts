import fc from 'fast-check';
import { english } from '@/words/english';
import { distanceToRing, insideRing, ringLength, selfCrossings, signedArea } from '../geometry/ring';
import { cutShape, maskOf, type CutShape, type CutShapeRequest, type Mask } from './cutShape';
import { distanceField } from './distanceField';

/** A mask of so many cells a side, true where a function of mm from its middle is; a millimetre is `perMm` cells. */
function drawn(sideMm: number, perMm: number, inside: (x: number, y: number) => boolean): Mask {
  const n = sideMm * perMm;
  const at = (i: number) => (i + 0.5) / perMm - sideMm / 2;
  return {
    width: n,
    height: n,
    cells: Uint8Array.from({ length: n * n }, (_, i) => (inside(at(i % n), at(Math.floor(i / n))) ? 1 : 0)),
  };
}
const SIDE = 40;
const PER_MM = 20;
const cut = (mask: Mask, over: Partial<CutShapeRequest> = {}): CutShape => {
  const r = cutShape(mask, { widthMm: SIDE, distanceMm: 3, smoothMm: 2, hole: null, ...over });
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const disc = drawn(SIDE, PER_MM, (x, y) => Math.hypot(x, y) <= 10);
const square = drawn(SIDE, PER_MM, (x, y) => Math.max(Math.abs(x), Math.abs(y)) <= 10);
const WITHIN_MM = 0.05;

test('distances of a field are those to the nearest cell inside', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 12 }),
      fc.array(fc.nat(143), { minLength: 1, maxLength: 6 }),
      (w, h, seeds) => {
        const inside = new Set(seeds.map((s) => s % (w * h)));
        const field = distanceField(w, h, (i) => inside.has(i));
        for (let i = 0; i < w * h; i += 1) {
          const far = [...inside].map((j) =>
            Math.hypot((i % w) - (j % w), Math.floor(i / w) - Math.floor(j / w)),
          );
          expect(field.values[i]).toBeCloseTo(Math.min(...far), 9);
        }
      },
    ),
  );
});

test('round a disc the outline is a circle, wider by the distance', () => {
  const { outline, widthMm, heightMm } = cut(disc);
  for (const p of outline)
    expect(Math.abs(Math.hypot(p.x - widthMm / 2, p.y - heightMm / 2) - 13)).toBeLessThan(2 * WITHIN_MM);
  expect(widthMm).toBeCloseTo(26, 0);
  expect(Math.abs(ringLength(outline) - 2 * Math.PI * 13)).toBeLessThan(0.3);
});

test('round a square the corners are arcs of the distance', () => {
  const { outline, widthMm } = cut(square);
  // A square of 20 grown by 3: 26² less what four rounded corners leave out.
  expect(Math.abs(Math.abs(signedArea(outline)) - (26 ** 2 - (4 - Math.PI) * 9))).toBeLessThan(
    104 * WITHIN_MM,
  );
  expect(Math.abs(widthMm - 26)).toBeLessThan(2 * WITHIN_MM);
});

test('inward corners are no sharper than the radius, and the picture keeps its distance', () => {
  const cross = drawn(
    SIDE,
    PER_MM,
    (x, y) => Math.min(Math.abs(x), Math.abs(y)) <= 2 && Math.hypot(x, y) < 14,
  );
  const { outline, widthMm, heightMm } = cut(cross, { smoothMm: 3 });
  expect(selfCrossings(outline, 1)).toEqual([]);
  // The grown cross has an inside corner 5, 5 mm from its middle; a radius of 3 leaves 3·(√2 − 1) of material there.
  const corner = { x: widthMm / 2 + 5, y: heightMm / 2 + 5 };
  expect(distanceToRing(outline, corner)).toBeCloseTo(3 * (Math.SQRT2 - 1), 0);
  expect(insideRing(outline, corner)).toBe(true);
  expect(distanceToRing(outline, { x: widthMm / 2 + 2, y: heightMm / 2 + 9 })).toBeGreaterThan(
    3 - 2 * WITHIN_MM,
  );
});

test('letters apart are joined where the distance reaches, and refused where it does not', () => {
  const two = drawn(SIDE, PER_MM, (x, y) => Math.hypot(Math.abs(x) - 9, y) <= 5);
  const request = { widthMm: SIDE, smoothMm: 1, hole: null };
  // Eight millimetres lie between them: 3 from either side do not meet, 4.2 do.
  const far = cutShape(two, { ...request, distanceMm: 2 });
  expect(far.ok ? '' : english.text(far.problem.what)).toMatch(/2 parts/);
  expect(cutShape(two, { ...request, distanceMm: 4.2 }).ok).toBe(true);
});

test('the hole is above the picture, with material of the given width round it', () => {
  const { outline, hole, heightMm } = cut(disc, { hole: { diameterMm: 4, edgeMm: 2.5 } });
  if (!hole) throw new Error('no hole');
  const middle = { x: hole.xMm, y: hole.yMm };
  expect(insideRing(outline, middle)).toBe(true);
  expect(distanceToRing(outline, middle)).toBeGreaterThan(2 + 2.5 - 2 * WITHIN_MM);
  // From the middle of the hole to the top of the picture: radius and edge.
  expect(heightMm - 3 - 20 - hole.yMm).toBeCloseTo(2 + 2.5, 0);
});

test('an empty picture is refused, and so is a shape no blank has', () => {
  const none = cutShape(
    { width: 4, height: 4, cells: new Uint8Array(16) },
    { widthMm: 40, distanceMm: 1, smoothMm: 1, hole: null },
  );
  expect(none.ok).toBe(false);
  const tiny = cutShape(disc, { widthMm: 4, distanceMm: 0.2, smoothMm: 0, hole: null });
  expect(tiny.ok).toBe(false);
});

test('a picture is where it is not clear, or where it differs from the colour round it', () => {
  const pixels = (...of: readonly (readonly [number, number, number, number])[]) =>
    Uint8ClampedArray.from(of.flat());
  const [paper, ink, clear] = [
    [250, 250, 248, 255],
    [20, 40, 200, 255],
    [0, 0, 0, 0],
  ] as const;
  expect([...maskOf(3, 1, pixels(clear, ink, clear)).cells]).toEqual([0, 1, 0]);
  expect([
    ...maskOf(3, 3, pixels(paper, paper, paper, paper, ink, paper, paper, paper, paper)).cells,
  ]).toEqual([0, 0, 0, 0, 1, 0, 0, 0, 0]);
});
