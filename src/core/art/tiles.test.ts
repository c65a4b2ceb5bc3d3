import fc from 'fast-check';
import type { Repeat } from '../job/art';
import { START_PLACEMENT } from '../job/art';
import { apply, determinant, invert, type Affine } from '../geometry/affine';
import { MOST_TILES, placePicture, tilesOf } from './pictureTransform';

const TRIM = { x: 0, y: 0, width: 240, height: 200 };
const BLEED = { x: -3, y: -3, width: 246, height: 206 };
const [W, H] = [400, 300];

/** A small picture set again and again: its middle on the middle of the board, `scale` of covering it. */
const transform = (scale: number, rotationDeg = 0, dxMm = 0) =>
  placePicture(W, H, { ...START_PLACEMENT, scale, rotationDeg, dxMm }, TRIM, BLEED);
const tiles = (repeat: Repeat, scale: number, rotationDeg = 0, dxMm = 0) =>
  tilesOf(transform(scale, rotationDeg, dxMm), W, H, repeat, BLEED);

/** The pixel of a copy under a point of the board, or null beside it. */
function pixelUnder(tile: Affine, x: number, y: number): { readonly u: number; readonly v: number } | null {
  const back = invert(tile);
  const p = back && apply(back, { x, y });
  return p && p.x >= 0 && p.y >= 0 && p.x < W && p.y < H ? { u: p.x, v: p.y } : null;
}
const under = (all: readonly Affine[], x: number, y: number) => all.flatMap((t) => pixelUnder(t, x, y) ?? []);

const placement = fc.record({
  x: fc.double({ min: -3, max: 243, noNaN: true }),
  y: fc.double({ min: -3, max: 203, noNaN: true }),
});
const repeats = fc.constantFrom('rows' as const, 'half-drop' as const, 'mirror' as const);

test('every point of the bleed has one copy on it, at any size, turn and slide', () => {
  fc.assert(
    fc.property(
      repeats,
      fc.double({ min: 0.12, max: 0.8, noNaN: true }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.double({ min: -40, max: 40, noNaN: true }),
      placement,
      (repeat, scale, turn, dx, { x, y }) => under(tiles(repeat, scale, turn, dx), x, y).length === 1,
    ),
    { numRuns: 200 },
  );
});

test('a picture set once is one copy where it was placed', () => {
  const p = transform(0.3);
  expect(tilesOf(p, W, H, 'none', BLEED)).toEqual([p.matrix]);
});

test('straight: the same pixel a picture’s width farther along', () => {
  const p = transform(0.25);
  const all = tiles('rows', 0.25);
  fc.assert(
    fc.property(placement, ({ x, y }) => {
      if (x + p.widthMm > 243) return true;
      const [a] = under(all, x, y);
      const [b] = under(all, x + p.widthMm, y);
      return !!a && !!b && Math.abs(a.u - b.u) < 1e-6 && Math.abs(a.v - b.v) < 1e-6;
    }),
  );
});

test('half-drop: the next column lies half a picture lower', () => {
  const p = transform(0.25);
  const all = tiles('half-drop', 0.25);
  fc.assert(
    fc.property(placement, ({ x, y }) => {
      if (x + p.widthMm > 243 || y + p.heightMm / 2 > 203) return true;
      const [a] = under(all, x, y);
      const [b] = under(all, x + p.widthMm, y + p.heightMm / 2);
      return !!a && !!b && Math.abs(a.u - b.u) < 1e-6 && Math.abs(a.v - b.v) < 1e-6;
    }),
  );
});

test('mirror: neighbours meet on the same pixels, and every other one is turned over', () => {
  const p = transform(0.25);
  const all = tiles('mirror', 0.25);
  expect(all).toContainEqual(p.matrix.map((v) => expect.closeTo(v, 9)));
  const edge = apply(p.matrix, { x: W, y: 0 }).x;
  for (const y of [10, 60, 100, 150]) {
    const left = under(all, edge - 0.4, y)[0];
    const right = under(all, edge + 0.4, y)[0];
    expect(left?.u).toBeCloseTo(right?.u ?? NaN, 6);
    expect(left?.v).toBeCloseTo(right?.v ?? NaN, 6);
  }
  const over = all.filter((t) => determinant(t) < 0).length;
  expect(Math.abs(over - all.length / 2)).toBeLessThanOrEqual(Math.ceil(Math.sqrt(all.length)));
});

test('too fine a repeat stops at a number, and never runs away', () => {
  expect(tiles('rows', 0.02).length).toBeLessThanOrEqual(MOST_TILES);
});

test('a flip turns the picture over before it is turned and set', () => {
  const at = (across: boolean, down: boolean) =>
    placePicture(W, H, { ...START_PLACEMENT, rotationDeg: 90 }, TRIM, BLEED, { across, down }).matrix;
  const corner = apply(at(false, false), { x: 0, y: 0 });
  expect(apply(at(true, false), { x: W, y: 0 })).toEqual(
    expect.objectContaining({ y: expect.closeTo(corner.y, 9) }),
  );
  expect(apply(at(true, true), { x: W, y: H }).x).toBeCloseTo(corner.x, 9);
  expect(determinant(at(true, false))).toBeLessThan(0);
  expect(determinant(at(true, true))).toBeGreaterThan(0);
});
