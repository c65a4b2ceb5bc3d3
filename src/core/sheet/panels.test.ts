import fc from 'fast-check';
import { keyOf } from '../memo/key';
import { insideRing } from '../geometry/ring';
import { cutIntoPanels, searchStrip, type PanelRequest, type PanelJoin } from './panels';

const request = (over: Partial<PanelRequest> = {}): PanelRequest => ({
  whole: { x: -4, y: -4, width: 608, height: 408 },
  rooms: [
    { x: 0, y: 0, width: 317, height: 462 },
    { x: 0, y: 0, width: 308, height: 471 },
  ],
  overlapMm: 8,
  join: 'straight',
  found: [],
  forArt: 'a',
  gaps: [],
  ...over,
});
const cut = (over: Partial<PanelRequest> = {}) => {
  const p = cutIntoPanels(request(over));
  if (!p) throw new Error('no panels');
  return p;
};

test('every point of the wrap is printed, and twice only in the overlap', () => {
  const offs = fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 2, maxLength: 30 });
  fc.assert(
    fc.property(
      offs,
      fc.double({ min: -3.9, max: 603.9, noNaN: true }),
      fc.double({ min: -3.9, max: 403.9, noNaN: true }),
      fc.double({ min: 2, max: 20, noNaN: true }),
      (offsMm, x, y, overlapMm) => {
        const found = [{ forArt: 'a', index: 0, offsMm, shows: 5 }];
        const p = cut({ join: 'hidden', found, overlapMm });
        const on = p.panels.filter((q) => insideRing(q.outline, { x, y }));
        return on.length >= 1 && on.length <= 2;
      },
    ),
  );
});

test('panels fit the paper, hidden joins and all', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 330, max: 2400, noNaN: true }),
      fc.double({ min: 60, max: 440, noNaN: true }),
      fc.constantFrom('straight' as const, 'hidden' as const),
      (width, height, join) => {
        const offsMm = [60, -60, 60];
        const whole = { x: 0, y: 0, width, height };
        const found = Array.from({ length: 12 }, (_, index) => ({ forArt: 'a', index, offsMm, shows: 1 }));
        const p = cutIntoPanels(request({ whole, join, found }));
        if (!p) return true;
        return p.panels.every(({ box }) =>
          request().rooms.some(
            (r) =>
              (box.width <= r.width + 1e-6 && box.height <= r.height + 1e-6) ||
              (box.height <= r.width + 1e-6 && box.width <= r.height + 1e-6),
          ),
        );
      },
    ),
  );
});

test('as few panels as will do, the join in the middle', () => {
  const p = cut();
  expect(p.panels).toHaveLength(2);
  expect(p.joins[0]?.atMm).toBeCloseTo(300, 9);
  expect(p.panels[1]?.box.x).toBeCloseTo(292, 9);
});

test('a join goes through a gap between pictures where one is near, and then nothing overlaps', () => {
  const p = cut({ whole: { x: 0, y: 0, width: 500, height: 300 }, gaps: [{ fromMm: 240, toMm: 270 }] });
  expect(p.joins[0]).toMatchObject({ atMm: 255, bare: true, shows: 0 });
  expect(p.panels[1]?.box.x).toBeCloseTo(255, 9);
});

test('a path found for other art is not used', () => {
  const found = [{ forArt: 'other', index: 0, offsMm: [5, -5], shows: 3 }];
  expect(cut({ join: 'hidden', found }).joins[0]).toMatchObject({ shows: null });
  expect(keyOf([1, 2])).not.toBe(keyOf([2, 1]));
  expect(keyOf({ a: 1 })).toBe(keyOf({ a: 1 }));
});

const coord = (most: number) => fc.double({ min: 0.01, max: most - 0.01, noNaN: true });
const wander = fc.array(fc.double({ min: -30, max: 30, noNaN: true }), { minLength: 2, maxLength: 24 });
const BIG = { x: 0, y: 0, width: 560, height: 920 };

/** Distance to a join, along the way its panels follow one another. */
const off = (j: PanelJoin, x: number, y: number): number => {
  const [a, from] = j.way === 'across' ? [x, y] : [y, x];
  const at = j.path.map((p) => (j.way === 'across' ? [p.y, p.x] : [p.x, p.y]));
  const i = Math.max(
    1,
    at.findIndex(([along = 0]) => along >= from),
  );
  const [u, v] = [at[i - 1] ?? [0, 0], at[i] ?? [0, 0]];
  const t = (from - (u[0] ?? 0)) / ((v[0] ?? 0) - (u[0] ?? 0));
  return a - ((u[1] ?? 0) + t * ((v[1] ?? 0) - (u[1] ?? 0)));
};

// Half of 920 mm, the overlap and the least room to stray make 472 mm: 1 mm more than the longest room, so it takes three rows.
test('a wrap too big both ways is cut both ways, every point printed and double only beside a join', () => {
  fc.assert(
    fc.property(wander, wander, coord(BIG.width), coord(BIG.height), (a, b, x, y) => {
      const found = [a, b, a, b].map((offsMm, index) => ({ forArt: 'a', index, offsMm, shows: 5 }));
      const p = cut({ join: 'hidden', found, whole: BIG });
      const over = p.joins.map((j) => off(j, x, y)).filter((d) => d > -8 && d < 0);
      // One panel for the point itself; one more for each join whose overlap it lies in.
      const least = over.length === 0 ? 1 : 2;
      const on = p.panels.filter((q) => insideRing(q.outline, { x, y })).length;
      const edge = p.joins.some((j) => Math.abs(off(j, x, y)) < 1e-6 || Math.abs(off(j, x, y) + 8) < 1e-6);
      return edge || (on >= least && on <= 4 && (over.length > 0 || on === 1));
    }),
    { numRuns: 400 },
  );
  const p = cut({ join: 'hidden', whole: BIG });
  expect([p.columns, p.rows, p.panels.length, p.joins.length]).toEqual([2, 3, 6, 3]);
});

test('each panel of a grid keeps an edge of the wrap, and every end of a join is on two panels', () => {
  const p = cut({ whole: BIG, join: 'straight' });
  for (const q of p.panels) expect(q.ends.length).toBeGreaterThan(0);
  const seen = p.panels.flatMap((q) => q.ends.map(({ at }) => `${at.x} ${at.y}`));
  const twice = new Map(seen.map((k) => [k, seen.filter((o) => o === k).length]));
  expect(twice.size).toBe(2 * p.joins.length);
  expect([...twice.values()].every((n) => n === 2)).toBe(true);
  // Ends point out of the wrap, from its edge.
  for (const { at, out } of p.panels.flatMap((q) => q.ends)) {
    const [x, y] = [at.x + out.x, at.y + out.y];
    expect(x < 0 || y < 0 || x > BIG.width || y > BIG.height).toBe(true);
  }
});

test('panels laid later are printed under the overlap of those before, and those are cut at the join', () => {
  const p = cut({ whole: { x: 0, y: 0, width: 560, height: 800 }, join: 'straight' });
  expect([p.columns, p.rows]).toEqual([2, 2]);
  expect(p.panels.map((q) => q.box)).toEqual([
    { x: 0, y: 0, width: 280, height: 400 },
    { x: 272, y: 0, width: 288, height: 400 },
    { x: 0, y: 392, width: 280, height: 408 },
    { x: 272, y: 392, width: 288, height: 408 },
  ]);
  expect(p.panels.map((q) => q.cuts.length)).toEqual([2, 1, 1, 0]);
});

test('what twelve panels cannot hold, or would leave a panel without an edge, is said by giving none', () => {
  expect(cutIntoPanels(request({ whole: { x: 0, y: 0, width: 1200, height: 1400 } }))).toBeNull();
  expect(cutIntoPanels(request({ whole: { x: 0, y: 0, width: 6000, height: 300 } }))).toBeNull();
});

test('the strip searched is the join with room to stray', () => {
  const p = cut({ join: 'hidden', whole: { x: 0, y: 0, width: 500, height: 300 } });
  const join = p.joins[0];
  if (!join) throw new Error('no join');
  const s = searchStrip(p, join, { x: 0, y: 0, width: 500, height: 300 });
  expect(s.x + s.width / 2).toBeCloseTo(join.atMm, 9);
  expect(s.height).toBe(300);
});
