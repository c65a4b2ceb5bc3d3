import fc from 'fast-check';
import { artKey } from '../art/key';
import { insideRing } from '../shapes/ring';
import { cutIntoPanels, searchStrip, type PanelAsk } from './panels';

const ask = (over: Partial<PanelAsk> = {}): PanelAsk => ({
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
const cut = (over: Partial<PanelAsk> = {}) => {
  const p = cutIntoPanels(ask(over));
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
        const p = cutIntoPanels(ask({ whole, join, found }));
        if (!p) return true;
        return p.panels.every(({ box }) =>
          ask().rooms.some(
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
  expect(artKey([1, 2])).not.toBe(artKey([2, 1]));
  expect(artKey({ a: 1 })).toBe(artKey({ a: 1 }));
});

test('too big both ways is said by giving none', () => {
  expect(cutIntoPanels(ask({ whole: { x: 0, y: 0, width: 900, height: 900 } }))).toBeNull();
});

test('the strip searched is the join with room to stray', () => {
  const p = cut({ join: 'hidden', whole: { x: 0, y: 0, width: 500, height: 300 } });
  const join = p.joins[0];
  if (!join) throw new Error('no join');
  const s = searchStrip(p, join, { x: 0, y: 0, width: 500, height: 300 });
  expect(s.x + s.width / 2).toBeCloseTo(join.atMm, 9);
  expect(s.height).toBe(300);
});
