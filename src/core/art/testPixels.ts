import type { Pixels } from './pixels';

type Rgba = readonly [number, number, number, number?];

/** A picture from a rule; opaque where no alpha is given. */
export function paint(width: number, height: number, at: (x: number, y: number) => Rgba): Pixels {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const [r, g, b, a = 255] = at(x, y);
      data.set([r, g, b, a], (y * width + x) * 4);
    }
  return { width, height, data };
}

export const grey = (v: number): Rgba => [v, v, v];

/** A repeatable hash of a place, 0..255. */
export const speckle = (x: number, y: number): number =>
  (Math.imul(x * 73_856_093 + y * 19_349_663, 2_654_435_761) >>> 24) & 255;
