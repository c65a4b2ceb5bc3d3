import fc from 'fast-check';
import {
  BACKINGS,
  DULL_PRINT,
  lightOf,
  pressedLight,
  pressedPicture,
  pressedMatrix,
  type Light,
} from './pressed';

const coating = (colour: string, finish: 'gloss' | 'textured' | 'matte', stock: 'opaque' | 'clear') => ({
  coating: { colour, finish, stock },
});
const share = fc.double({ min: 0, max: 1, noNaN: true });
const light = fc.tuple(share, share, share);

/** A row of a colour matrix on a colour. */
const row = (m: readonly number[], r: number, c: Light): number =>
  [0, 1, 2].reduce((s, i) => s + (m[5 * r + i] ?? 0) * (c[i] ?? 0), m[5 * r + 4] ?? 0);

test('white art shows the blank, black art what the coat scatters', () => {
  const look = pressedPicture(coating('#d8cdb8', 'matte', 'opaque'), '#ffffff');
  const blank = lightOf('#d8cdb8');
  pressedLight([1, 1, 1], look).forEach((v, i) =>
    expect(v).toBeCloseTo(look.lift + (1 - look.lift) * (blank[i] ?? NaN), 12),
  );
  expect(pressedLight([0, 0, 0], look)).toEqual([look.lift, look.lift, look.lift]);
  const gloss = pressedPicture(coating('#d8cdb8', 'gloss', 'opaque'), '#ffffff');
  expect(look.lift).toBeGreaterThan(gloss.lift);
});

test('what is behind counts for clear stock and for no other', () => {
  for (const { colour } of BACKINGS)
    expect(pressedPicture(coating('#ffffff', 'gloss', 'opaque'), colour).tint).toEqual([1, 1, 1]);
  expect(pressedPicture(coating('#ffffff', 'gloss', 'clear'), '#23282b').tint).toEqual(lightOf('#23282b'));
});

test('the screen’s matrix is the same sum, and no art comes out brighter than the blank allows', () => {
  fc.assert(
    fc.property(light, (c) => {
      const look = pressedPicture(coating('#c9b37a', 'textured', 'clear'), '#dfe9ef');
      const out = pressedLight(c, look);
      const m = pressedMatrix(look);
      return [0, 1, 2].every((i) => {
        const most = look.lift + (1 - look.lift) * (look.tint[i] ?? 0);
        const v = out[i] ?? NaN;
        return Math.abs(row(m, i, c) - v) < 1e-12 && v <= most + 1e-12;
      });
    }),
  );
});

test('the dull print: greys stay grey, black is lifted, white is not quite, the order of tones is kept', () => {
  const at = (v: number) => [0, 1, 2].map((r) => row(DULL_PRINT, r, [v, v, v]));
  for (const v of [0, 0.3, 1]) expect(Math.max(...at(v)) - Math.min(...at(v))).toBeLessThan(1e-9);
  expect(at(0)[0]).toBeGreaterThan(0.05);
  expect(at(1)[0]).toBeLessThan(1);
  expect(at(0.6)[0]).toBeGreaterThan(at(0.3)[0] ?? 1);
});
