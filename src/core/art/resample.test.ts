import fc from 'fast-check';
import { bendRows, readyBend, type BendRequest } from './resample';
import { shrink } from './shrink';
import { grey, paint, speckle } from './testPixels';

const made = (request: BendRequest): Uint8ClampedArray => {
  const r = readyBend(request);
  return bendRows(r, 0, r.height);
};
const noise = paint(64, 48, (x, y) => [speckle(x, y), speckle(y, x), speckle(x + 9, y)]);
const area = { x: 0, y: 0, width: 64, height: 48 };

test('laid straight at its own resolution, a picture comes back as it was, byte for byte', () => {
  const out = made({ source: noise, tiles: [[1, 0, 0, 1, 0, 0]], bend: null, area, perMm: 1 });
  expect(Buffer.from(out).equals(Buffer.from(noise.data))).toBe(true);
});

test('bands are the same rows as the whole', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 47 }),
      fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      (cut, lean) => {
        const request: BendRequest = {
          source: noise,
          tiles: [[1, lean, -lean, 1, 3, 2]],
          bend: null,
          area,
          perMm: 1,
        };
        const r = readyBend(request);
        const whole = bendRows(r, 0, 48);
        const parts = [...bendRows(r, 0, cut), ...bendRows(r, cut, 48)];
        // The net the bend is calculated on begins with the band: rows agree to one step of 256.
        return parts.every((v, i) => Math.abs(v - (whole[i] ?? 0)) <= 2);
      },
    ),
    { numRuns: 30 },
  );
});

test('a plain ground stays plain however it is turned', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), fc.integer({ min: 0, max: 255 }), (t, v) => {
      const flat = paint(40, 40, () => grey(v));
      const tile = [3 * Math.cos(t), 3 * Math.sin(t), -3 * Math.sin(t), 3 * Math.cos(t), 32, 24] as const;
      const out = made({ source: flat, tiles: [tile], bend: null, area, perMm: 1 });
      for (let i = 0; i < out.length; i += 4)
        if (out[i + 3] === 255 && Math.abs((out[i] ?? 0) - v) > 1) return false;
      return true;
    }),
    { numRuns: 40 },
  );
});

test('where no picture reaches the paper is left clear; a later copy lies on top', () => {
  const small = paint(10, 10, () => [200, 0, 0]);
  const out = made({ source: small, tiles: [[1, 0, 0, 1, 20, 20]], bend: null, area, perMm: 1 });
  const alpha = (x: number, y: number) => out[(y * 64 + x) * 4 + 3];
  expect([alpha(5, 5), alpha(25, 25), alpha(40, 25)]).toEqual([0, 255, 0]);
});

test('clear parts keep their colour and half covers count by half', () => {
  const glass = paint(20, 20, (x) => [255, 0, 0, x < 10 ? 255 : 0]);
  const out = made({
    source: glass,
    tiles: [[1, 0, 0, 1, 0, 0]],
    bend: null,
    area: { x: 0, y: 0, width: 20, height: 20 },
    perMm: 1,
  });
  expect([...out.subarray(4 * 4, 4 * 4 + 4)]).toEqual([255, 0, 0, 255]);
  expect(out[15 * 4 + 3]).toBe(0);
});

describe('shrinking', () => {
  test('is the mean of what each new pixel covers', () => {
    const s = shrink(
      paint(4, 2, (x, y) => grey(x * 40 + y * 20)),
      2,
    );
    expect([s.width, s.height]).toEqual([2, 1]);
    expect([s.data[0], s.data[4]]).toEqual([30, 110]);
  });

  test('fine lines at twice the dots become even grey, not bands', () => {
    const stripes = paint(600, 40, (x) => grey(x % 2 === 0 ? 0 : 255));
    const out = made({
      source: stripes,
      tiles: [[0.1, 0, 0, 0.1, 0, 0]],
      bend: null,
      area: { x: 2, y: 0, width: 50, height: 4 },
      perMm: 3.7,
    });
    const greys = Array.from({ length: Math.floor(out.length / 4) }, (_, i) => out[i * 4] ?? 0);
    expect(Math.max(...greys) - Math.min(...greys)).toBeLessThan(110);
  });

  test('clear pixels do not darken their neighbours', () => {
    const s = shrink(
      paint(2, 2, (x) => (x === 0 ? [200, 100, 0, 255] : [0, 0, 0, 0])),
      2,
    );
    expect([...s.data]).toEqual([200, 100, 0, 128]);
  });
});

test('partly clear, laid straight at its own resolution, it is the same picture to the last level', () => {
  const p = paint(24, 18, (x, y) => [speckle(x, y), (x * 7 + 1) & 255, 9, x > 12 ? 255 : speckle(y, x)]);
  const ready = readyBend({
    source: p,
    tiles: [[1, 0, 0, 1, 0, 0]],
    bend: null,
    area: { x: 0, y: 0, width: 24, height: 18 },
    perMm: 1,
  });
  const out = bendRows(ready, 0, 18);
  for (let i = 0; i < out.length; i += 4) {
    expect(out[i + 3]).toBe(p.data[i + 3]);
    if (p.data[i + 3] !== 0) expect([...out.slice(i, i + 3)]).toEqual([...p.data.slice(i, i + 3)]);
  }
});
