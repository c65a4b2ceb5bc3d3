import fc from 'fast-check';
import { evenLoad, layOnBed, mostOnBed, type BedInput } from './bed';

const ask = (over: Partial<BedInput> = {}): BedInput => ({
  widthMm: 400,
  heightMm: 500,
  marginMm: 30,
  gapMm: 12,
  piece: { widthMm: 80, heightMm: 50 },
  ...over,
});

test('by hand: 80 × 50 on 400 × 500, 30 free all round and 12 between: three and seven, or five turned and four', () => {
  // Upright 340 holds 3 of 80 (+12), 440 holds 7 of 50; turned 340 holds 5 of 50, 440 holds 4 of 80.
  expect(mostOnBed(ask())).toBe(21);
  expect(mostOnBed(ask({ piece: { widthMm: 340, heightMm: 440 } }))).toBe(1);
  // Out into the cool edge where nothing fits inside it, and nowhere where it does not fit at all.
  expect(layOnBed(ask({ piece: { widthMm: 390, heightMm: 490 } }), 1)).toMatchObject({ inEdge: true });
  expect(mostOnBed(ask({ piece: { widthMm: 401, heightMm: 100 } }))).toBe(3);
  expect(mostOnBed(ask({ piece: { widthMm: 600, heightMm: 100 } }))).toBe(0);
  expect(layOnBed(ask(), 22)).toBeNull();
});

test('whatever is laid lies inside, apart, whole, and level enough for the platen', () => {
  fc.assert(
    fc.property(
      fc.record({
        widthMm: fc.integer({ min: 200, max: 700 }),
        heightMm: fc.integer({ min: 200, max: 900 }),
        w: fc.integer({ min: 20, max: 190 }),
        h: fc.integer({ min: 20, max: 190 }),
      }),
      fc.integer({ min: 1, max: 40 }),
      ({ widthMm, heightMm, w, h }, count) => {
        const a = ask({ widthMm, heightMm, piece: { widthMm: w, heightMm: h } });
        const bed = layOnBed(a, count);
        expect(bed === null).toBe(count > mostOnBed(a));
        if (!bed) return;
        expect(bed.placements.filter((p) => !p.dummy)).toHaveLength(count);
        const margin = bed.inEdge ? 0 : a.marginMm;
        for (const p of bed.placements) {
          expect(p.xMm).toBeGreaterThanOrEqual(margin - 1e-6);
          expect(p.yMm).toBeGreaterThanOrEqual(margin - 1e-6);
          expect(p.xMm + p.widthMm).toBeLessThanOrEqual(widthMm - margin + 1e-6);
          expect(p.yMm + p.heightMm).toBeLessThanOrEqual(heightMm - margin + 1e-6);
        }
        bed.placements.forEach((p, i) => {
          for (const q of bed.placements.slice(i + 1)) {
            const apart =
              p.xMm + p.widthMm <= q.xMm + 1e-6 ||
              q.xMm + q.widthMm <= p.xMm + 1e-6 ||
              p.yMm + p.heightMm <= q.yMm + 1e-6 ||
              q.yMm + q.heightMm <= p.yMm + 1e-6;
            expect(apart).toBe(true);
          }
        });
        // Level wherever a full bed could be made so; a full bed always is.
        expect(bed.pressure.offMm).toBeLessThanOrEqual(0.06 * Math.min(widthMm, heightMm) + 1e-6);
        expect(bed.dummies).toBeLessThanOrEqual(4);
      },
    ),
    { numRuns: 150 },
  );
});

test('three in rows of two would tip: a dummy lies in the fourth place', () => {
  const bed = layOnBed(ask({ widthMm: 200, heightMm: 432, piece: { widthMm: 149, heightMm: 39 } }), 3);
  expect(bed?.dummies).toBe(1);
  expect(bed?.placements.map((p) => p.dummy)).toEqual([false, false, false, true]);
  expect(bed?.pressure.offMm).toBeLessThan(1e-6);
});

test('even counts close dead level; rows are as even as can be', () => {
  for (const n of [1, 2, 4, 6, 8, 10, 12]) expect(layOnBed(ask(), n)?.pressure.offMm).toBeLessThan(1);
  const eight = layOnBed(ask(), 8);
  const rows = new Map<number, number>();
  for (const p of eight?.placements ?? [])
    rows.set(Math.round(p.yMm), (rows.get(Math.round(p.yMm)) ?? 0) + 1);
  expect([...rows.values()].sort()).toEqual([2, 3, 3]);
});

test('a job goes in as few loads as fit, and those alike', () => {
  expect(evenLoad(24, 10)).toBe(8);
  expect(evenLoad(24, 24)).toBe(24);
  expect(evenLoad(10, 8)).toBe(5);
  expect(evenLoad(1, 8)).toBe(1);
  expect(evenLoad(5, 0)).toBe(0);
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 1, max: 60 }), (pieces, most) => {
      const n = evenLoad(pieces, most);
      expect(n).toBeLessThanOrEqual(most);
      expect(Math.ceil(pieces / n)).toBe(Math.ceil(pieces / most));
    }),
  );
});
