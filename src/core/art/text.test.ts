import fc from 'fast-check';
import { textLayer, type TextLayer } from '../job/art';
import { exact } from '../figures/uncertain';
import { wallPoint } from '../wrap/roll';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { apply, determinant } from '../geometry/affine';
import { bendOf } from './bend';
import { LEAST_FIT, ontoPaper, setText } from './text';

const TRIM = { x: 0, y: 0, width: 240, height: 200 };
const words = (over: Partial<TextLayer> = {}, text = 'Dry Fork') =>
  textLayer('w', text, { along: 'line', capHeightMm: 10, ...over });
const set = (over: Partial<TextLayer> = {}, text?: string, flat = false) =>
  setText(words(over, text), TRIM, flat);
const middle = (b: { x: number; y: number; width: number; height: number }) => ({
  x: b.x + b.width / 2,
  y: b.y + b.height / 2,
});

describe('along a line', () => {
  test('length goes with the size of the letters, and the middle stays', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.double({ min: -80, max: 80, noNaN: true }),
        (cap, dx) => {
          const one = set({ capHeightMm: cap, dxMm: dx });
          const two = set({ capHeightMm: 2 * cap, dxMm: dx });
          return (
            Math.abs(two.lengthMm - 2 * one.lengthMm) < 1e-9 &&
            Math.abs(middle(one.box).x - (120 + dx)) < 1e-9 &&
            Math.abs(one.box.height - cap) < 1e-9
          );
        },
      ),
    );
  });

  test('turned, the box holds it whole: by the cosine and the sine', () => {
    const { lengthMm: l } = set();
    for (const rotationDeg of [0, 30, 90, -135]) {
      const t = (rotationDeg * Math.PI) / 180;
      const { box } = set({ rotationDeg });
      expect(box.width).toBeCloseTo(l * Math.abs(Math.cos(t)) + 10 * Math.abs(Math.sin(t)), 9);
      expect(box.height).toBeCloseTo(l * Math.abs(Math.sin(t)) + 10 * Math.abs(Math.cos(t)), 9);
    }
  });

  test('two words are as long as both and the space between', () => {
    const [a, b, both, space] = ['Dry', 'Fork', 'Dry Fork', ' '].map((t) => set({}, t).lengthMm);
    expect(both).toBeCloseTo((a ?? NaN) + (b ?? NaN) + (space ?? NaN), 9);
  });
});

describe('in a room', () => {
  test('too long for it they are set smaller, just so much', () => {
    const wished = set().lengthMm;
    const s = set({ mostMm: wished * 0.8 });
    expect(s.fitted).toBeCloseTo(0.8, 9);
    expect(s.capHeightMm).toBeCloseTo(8, 9);
    expect(s.lengthMm).toBeCloseTo(wished * 0.8, 9);
    expect(s.overMm).toBe(0);
  });

  test('never so small that they no longer look like their neighbours; the rest is reported', () => {
    const wished = set().lengthMm;
    const s = set({ mostMm: wished * 0.4 });
    expect(s.fitted).toBe(LEAST_FIT);
    expect(s.overMm).toBeCloseTo(wished * (LEAST_FIT - 0.4), 9);
  });

  test('only reported, they keep their size', () => {
    const wished = set().lengthMm;
    const s = set({ mostMm: wished * 0.8, overlong: 'flag' });
    expect(s.fitted).toBe(1);
    expect(s.overMm).toBeCloseTo(wished * 0.2, 9);
  });

  test('short enough, nothing is done to them', () => {
    expect(set({ mostMm: 239 })).toEqual(set());
  });
});

describe('round the middle of a flat blank', () => {
  const round = (dyMm: number, text = 'Moon and star') =>
    setText(words({ along: 'arc', dyMm }, text), TRIM, true);

  test.each([
    [-60, 'above'],
    [60, 'below'],
  ])('every letter stands on the circle (%d mm, %s)', (dyMm) => {
    const s = round(dyMm);
    for (const quad of s.quads) {
      const c = { x: quad.reduce((n, p) => n + p.x, 0) / 4, y: quad.reduce((n, p) => n + p.y, 0) / 4 };
      // A letter's own middle, half a capital off its baseline, is on the circle.
      expect(Math.hypot(c.x - 120, c.y - 100)).toBeCloseTo(60, 6);
    }
    expect(s.quads).toHaveLength([...'Moon and star'].length);
  });

  test('letters turn with the circle, never over, and read left to right above and below', () => {
    for (const dyMm of [-60, 60]) {
      const s = round(dyMm);
      const xs = s.letters.map((l) => apply(l.matrix, { x: 0, y: 0 }).x);
      const near = s.letters.map((_, i) => i).filter((i) => i > 3 && i < 9);
      for (const i of near) expect(xs[i]).toBeGreaterThan(xs[i - 1] ?? NaN);
      for (const l of s.letters) expect(determinant(l.matrix)).toBeCloseTo(1, 9);
      // The letter nearest the middle stands upright.
      const upright = s.letters.some((l) => Math.abs(l.matrix[1]) < 0.1 && l.matrix[0] > 0);
      expect(upright).toBe(true);
    }
  });

  test('too near the middle for a circle they stay straight', () => {
    const s = round(-4);
    expect(new Set(s.letters.map((l) => l.matrix[0])).size).toBe(1);
  });
});

describe('on a tapered wall', () => {
  const { pattern } = sizeRoundWrap(
    wrapInput({ circumferenceTop: exact(260), circumferenceFoot: exact(180), slant: exact(120) }),
  );
  const bend = bendOf(pattern, 'level');
  if (!bend?.roll) throw new Error('a cone is bent');
  const { roll } = bend;
  const trim = { x: 0, y: 0, width: pattern.trim.width, height: 120 };

  test('along the arc every letter stands at one height of the wall, and upright on it', () => {
    const layer = words({ along: 'arc', dyMm: 12 }, 'Trail crew');
    const s = setText(layer, trim);
    const heights = ontoPaper(s, layer, bend).map(
      (l) => wallPoint(roll, apply(l.matrix, { x: 0, y: 0 })).slantMm,
    );
    // Baselines: a straight letter on a circle leaves it by its own half width squared over twice the radius at most.
    const spread = Math.max(...heights) - Math.min(...heights);
    expect(spread).toBeLessThan(0.2);
    expect(heights.reduce((a, b) => a + b, 0) / heights.length).toBeCloseTo(60 + 12 + 5, 0);
  });

  test('along a line they stay one straight line on the paper', () => {
    const layer = words({ along: 'line' }, 'Trail crew');
    const s = setText(layer, trim);
    const at = ontoPaper(s, layer, bend).map((l) => apply(l.matrix, { x: 0, y: 0 }));
    const [a, b] = [at[0], at[at.length - 1]];
    if (!a || !b) throw new Error('no letters');
    for (const p of at) {
      const off = (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
      expect(Math.abs(off) / Math.hypot(b.x - a.x, b.y - a.y)).toBeLessThan(1e-9);
    }
  });

  test('letters are carried, never stretched', () => {
    const layer = words({ along: 'arc' }, 'Trail crew');
    for (const l of ontoPaper(setText(layer, trim), layer, bend)) {
      expect(determinant(l.matrix)).toBeCloseTo(1, 9);
      expect(Math.hypot(l.matrix[0], l.matrix[1])).toBeCloseTo(1, 9);
    }
  });

  test('with no bend they are where they were', () => {
    const layer = words();
    const s = setText(layer, trim);
    expect(ontoPaper(s, layer, null)).toBe(s.letters);
  });
});
