import fc from 'fast-check';
import { insideRing, signedArea } from '../geometry/ring';
import { between, crossing } from './joinCrossing';

test('two straight lines meet where algebra says', () => {
  // x = 10 + y / 5 and y = 20 + x / 4: y = 20 + 2.5 + y / 20, so y = 22.5 / 0.95.
  const down = [
    { x: 10, y: 0 },
    { x: 30, y: 100 },
  ];
  const across = [
    { x: 0, y: 20 },
    { x: 100, y: 45 },
  ];
  const y = 22.5 / 0.95;
  const p = crossing(down, across);
  expect(p.y).toBeCloseTo(y, 9);
  expect(p.x).toBeCloseTo(10 + y / 5, 9);
});

test('a line that ends on the other meets it at its end', () => {
  const top = [
    { x: 0, y: 0 },
    { x: 50, y: 0 },
  ];
  const foot = top.map((p) => ({ ...p, y: 80 }));
  const down = [
    { x: 12, y: 0 },
    { x: 15, y: 40 },
    { x: 9, y: 80 },
  ];
  expect(crossing(down, top)).toEqual({ x: 12, y: 0 });
  expect(crossing(down, foot)).toEqual({ x: 9, y: 80 });
});

const path = (along: 'x' | 'y') =>
  fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 2, maxLength: 12 }).map((offs) =>
    offs.map((off, i) => {
      const t = (100 * i) / (offs.length - 1);
      return along === 'x' ? { x: t, y: off } : { x: off, y: t };
    }),
  );

const moved = (line: readonly { readonly x: number; readonly y: number }[], x: number, y: number) =>
  line.map((p) => ({ x: p.x + x, y: p.y + y }));

test('four panels round a crossing cover the square once', () => {
  const square = {
    left: moved(
      [
        { x: 0, y: 0 },
        { x: 0, y: 100 },
      ],
      0,
      0,
    ),
    right: moved(
      [
        { x: 0, y: 0 },
        { x: 0, y: 100 },
      ],
      100,
      0,
    ),
    top: moved(
      [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
      0,
      0,
    ),
    foot: moved(
      [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
      0,
      100,
    ),
  };
  const ringOf = (sides: Parameters<typeof between>[0]) => {
    const { left, foot, right, top } = between(sides);
    return [left, foot, [...right].reverse(), [...top].reverse()].flatMap((s) => s.slice(1));
  };
  fc.assert(
    fc.property(path('y'), path('x'), (upright, level) => {
      const [v, h] = [moved(upright, 50, 0), moved(level, 0, 50)];
      const rings = [
        ringOf({ ...square, right: v, foot: h }),
        ringOf({ ...square, left: v, foot: h }),
        ringOf({ ...square, right: v, top: h }),
        ringOf({ ...square, left: v, top: h }),
      ];
      const area = rings.reduce((a, r) => a + Math.abs(signedArea(r)), 0);
      const far = [
        { x: 20, y: 20 },
        { x: 80, y: 20 },
        { x: 20, y: 80 },
        { x: 80, y: 80 },
      ];
      const own = far.every((p, i) => rings.every((r, k) => insideRing(r, p) === (i === k)));
      // Wild lines may cross thrice, which folds a panel: those a search finds turn by no more than one cell a cell.
      return own && area >= 10_000 - 1e-6;
    }),
  );
});
