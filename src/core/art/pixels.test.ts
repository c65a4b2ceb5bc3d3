import fc from 'fast-check';
import { converter, differenceCiede2000 } from 'culori';
import { cellDifference, labGrid, type Pixels } from './pixels';
import { paint } from './testPixels';

const whole = (p: Pixels) => ({ x: 0, y: 0, width: p.width, height: p.height });
const cell = (g: ReturnType<typeof labGrid>, i: number) => [...g.lab.slice(i * 3, i * 3 + 3)];
const toLab65 = converter('lab65');

test('an even picture is its colour in CIELAB, as another program calculates it', () => {
  const byte = fc.integer({ min: 0, max: 255 });
  fc.assert(
    fc.property(byte, byte, byte, (r, g, b) => {
      const p = paint(7, 5, () => [r, g, b, 255]);
      const grid = labGrid(p, whole(p), 3, 2);
      const want = toLab65({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
      return [0, 5].every((i) => {
        const [L = NaN, a = NaN, bb = NaN] = cell(grid, i);
        return Math.abs(L - want.l) < 0.02 && Math.abs(a - want.a) < 0.05 && Math.abs(bb - want.b) < 0.05;
      });
    }),
  );
});

test('clear is white, half clear half way there', () => {
  const clear = paint(4, 4, () => [10, 20, 30, 0]);
  expect(cell(labGrid(clear, whole(clear), 1, 1), 0)[0]).toBeCloseTo(100, 2);
  const half = paint(4, 4, () => [0, 0, 0, 128]);
  const grey = paint(4, 4, () => [127, 127, 127, 255]);
  expect(cell(labGrid(half, whole(half), 1, 1), 0)[0]).toBeCloseTo(
    cell(labGrid(grey, whole(grey), 1, 1), 0)[0] ?? NaN,
    1,
  );
});

test('each cell takes its own pixels and no others, windows and odd sizes included', () => {
  // Four quarters, each of one grey, in a window that begins off the corner.
  const p = paint(23, 17, (x, y) => {
    const v = (x >= 13 ? 80 : 0) + (y >= 9 ? 160 : 0);
    return [v, v, v, 255];
  });
  const grid = labGrid(p, { x: 3, y: 1, width: 20, height: 16 }, 2, 2);
  const L = [0, 1, 2, 3].map((i) => cell(grid, i)[0] ?? NaN);
  const want = [0, 80, 160, 240].map((v) => toLab65({ mode: 'rgb', r: v / 255, g: v / 255, b: v / 255 }).l);
  L.forEach((v, i) => expect(v).toBeCloseTo(want[i] ?? NaN, 1));
});

test('the difference of two cells is ΔE00, as another program calculates it', () => {
  const byte = fc.integer({ min: 0, max: 255 });
  const other = differenceCiede2000();
  fc.assert(
    fc.property(byte, byte, byte, byte, byte, byte, (r, g, b, s, t, u) => {
      const p = paint(2, 1, (x) => (x === 0 ? [r, g, b, 255] : [s, t, u, 255]));
      const grid = labGrid(p, whole(p), 2, 1);
      const [l1 = 0, a1 = 0, b1 = 0] = cell(grid, 0);
      const [l2 = 0, a2 = 0, b2 = 0] = cell(grid, 1);
      const want = other({ mode: 'lab65', l: l1, a: a1, b: b1 }, { mode: 'lab65', l: l2, a: a2, b: b2 });
      return Math.abs(cellDifference(grid, 0, 1) - want) < 0.05;
    }),
  );
});
