import fc from 'fast-check';
import { findJoin, joinShows, joinCost, leastPath } from './panelJoin';
import { labGrid } from './pixels';
import { seamClass, seamSearch, type SeamRequest } from './seam';
import { grey, paint, speckle } from './testPixels';

const request = (over: Partial<SeamRequest> = {}): SeamRequest => ({
  fromRow: 0,
  toRow: 60,
  lengthPx: 300,
  startPx: 0,
  cyclic: false,
  enlarge: 0,
  ...over,
});

const wave = (period: number) => (x: number, y: number) =>
  grey(Math.round(127 + 90 * Math.sin((2 * Math.PI * x) / period) * Math.cos(y / 9)));

describe('the seam', () => {
  test('of a picture that repeats every length costs nothing but what crosses it, wherever it is cut', () => {
    const p = paint(600, 60, wave(300));
    const s = seamSearch(p, request({ cyclic: true }));
    expect(s.curve.length).toBeGreaterThan(100);
    for (const b of [...s.best, s.asIs]) expect(b.mismatch).toBeCloseTo(0, 6);
  });

  test('is found where two columns were planted alike', () => {
    const planted = (x: number) => (x >= 118 && x < 124 ? x - 118 : x >= 418 && x < 424 ? x - 418 : null);
    const p = paint(600, 60, (x, y) => {
      const strip = planted(x);
      return strip === null ? grey(speckle(x, y)) : grey(speckle(5000 + strip, y));
    });
    const s = seamSearch(p, request());
    expect(s.best[0]?.startPx).toBeGreaterThanOrEqual(117);
    expect(s.best[0]?.startPx).toBeLessThanOrEqual(124);
    expect(s.best[0]?.mismatch).toBeLessThan(s.asIs.mismatch / 3);
  });

  test('a little enlargement is tried where no cut at full length meets', () => {
    // A saw: no two places a period apart or less look the same.
    const p = paint(640, 60, (x, y) => grey(Math.round(((x % 288) / 288) * 180 + (y % 7))));
    const plain = seamSearch(p, request({ lengthPx: 300 }));
    const grown = seamSearch(p, request({ lengthPx: 300, enlarge: 0.08 }));
    expect(grown.best[0]?.lengthPx).toBeGreaterThanOrEqual(300 / 1.08 - 1);
    expect(grown.best[0]?.mismatch).toBeLessThan((plain.best[0]?.mismatch ?? 0) + 1e-9);
    expect(Math.abs((grown.best[0]?.lengthPx ?? 0) - 288)).toBeLessThanOrEqual(4);
  });

  test('a picture that closes at one length only, 3.1 % larger, is found to close', () => {
    const p = paint(640, 60, (x, y) => grey(speckle(x % 291, y)));
    expect(seamSearch(p, request()).best[0]?.class).toBe('breaks');
    const [first] = seamSearch(p, request({ enlarge: 0.08 })).best;
    expect(first?.lengthPx).toBe(291);
    expect(first?.mismatch).toBeCloseTo(0, 6);
  });

  test('and at the picture’s own pixels where there are more of them than columns looked at', () => {
    // Slow enough ground that coarse columns see it, closing exactly at 2910 of 3000 px.
    const p = paint(5001, 40, (x, y) =>
      grey(
        Math.round(
          127 + 60 * Math.sin((2 * Math.PI * (x % 2910)) / 97) + 50 * Math.sin((x % 2910) / 13 + y / 5),
        ),
      ),
    );
    const [first] = seamSearch(p, request({ lengthPx: 3000, toRow: 40, enlarge: 0.08 })).best;
    expect(first?.lengthPx).toBe(2910);
    expect(first?.mismatch).toBeCloseTo(0, 6);
  });

  test('starts stay inside a picture that does not go round', () => {
    const s = seamSearch(
      paint(500, 60, (x, y) => grey(speckle(x, y))),
      request(),
    );
    for (const c of [...s.curve, ...s.best]) expect(c.startPx).toBeLessThanOrEqual(200);
  });

  test('classes say how hard it is', () => {
    expect(seamClass(0, 0)).toBe('plain');
    expect(seamClass(20, 0)).toBe('breaks');
    expect(seamClass(1, 12)).toBe('must match');
    expect(seamClass(3, 2)).toBe('continues');
  });
});

describe('the join of two panels', () => {
  test('the least path is the cheapest of all there are', () => {
    const cells = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 20, maxLength: 20 });
    const cheapest = (cost: number[], r: number, c: number): number => {
      if (c < 0 || c > 3) return Infinity;
      const own = cost[r * 4 + c] ?? 0;
      return r === 4 ? own : own + Math.min(...[-1, 0, 1].map((d) => cheapest(cost, r + 1, c + d)));
    };
    fc.assert(
      fc.property(cells, (cost) => {
        const path = leastPath(Float32Array.from(cost), 4, 5);
        const sum = path.reduce((s, c, r) => s + (cost[r * 4 + c] ?? 0), 0);
        const best = Math.min(...[0, 1, 2, 3].map((c) => cheapest(cost, 0, c)));
        const steps = path.slice(1).every((c, r) => Math.abs(c - (path[r] ?? 0)) <= 1);
        return sum === best && steps && path.length === 5;
      }),
    );
  });

  test('runs along the white and round what is drawn', () => {
    // A white river winding through dark ground.
    const river = (y: number) => 60 + Math.round(25 * Math.sin(y / 14));
    const p = paint(120, 160, (x, y) => (Math.abs(x - river(y)) < 10 ? grey(255) : grey(120)));
    const { hidden, straight } = findJoin(p, { x: 0, y: 0, width: 120, height: 160 }, 60, 80);
    const onWhite = hidden.cols.filter((c, r) => Math.abs(c * 2 + 1 - river(r * 2 + 1)) < 12).length;
    expect(onWhite).toBeGreaterThan(76);
    expect(hidden.shows).toBeLessThan(straight.shows);
    expect([0, 90].map(joinShows)).toEqual(['hidden', 'plain']);
  });

  test('plain white costs nothing', () => {
    const cost = joinCost(
      labGrid(
        paint(20, 20, () => grey(255)),
        { x: 0, y: 0, width: 20, height: 20 },
        10,
        10,
      ),
    );
    for (const c of cost) expect(c).toBeCloseTo(0, 3);
  });
});
