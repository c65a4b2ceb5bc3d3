import { inflateSync } from 'node:zlib';
import fc from 'fast-check';
import { alphaRow, Deflater, rgbaRow, rgbRow, UpRows } from './deflate';

/** PNG's “up” filter taken off again, as ISO/IEC 15948, 9.2 has it. */
function unfiltered(bytes: Uint8Array, rowBytes: number): number[][] {
  const rows: number[][] = [];
  let above = new Array<number>(rowBytes).fill(0);
  for (let at = 0; at < bytes.length; at += rowBytes + 1) {
    expect(bytes[at]).toBe(2);
    above = Array.from({ length: rowBytes }, (_, i) => ((bytes[at + 1 + i] ?? 0) + (above[i] ?? 0)) & 255);
    rows.push(above);
  }
  return rows;
}

const picture = fc
  .record({ width: fc.integer({ min: 1, max: 9 }), height: fc.integer({ min: 1, max: 12 }) })
  .chain(({ width, height }) =>
    fc
      .uint8Array({ minLength: width * height * 4, maxLength: width * height * 4 })
      .map((data) => ({ width, height, data: Uint8ClampedArray.from(data) })),
  );

test('rows in bands of any height are the picture again once unpacked', async () => {
  await fc.assert(
    fc.asyncProperty(picture, fc.integer({ min: 1, max: 5 }), async ({ width, height, data }, band) => {
      const [colours, clear, both] = [new Deflater(), new Deflater(), new Deflater()];
      const [rgb, alpha, rgba] = [new UpRows(width * 3), new UpRows(width), new UpRows(width * 4)];
      for (let y = 0; y < height; y += band) {
        const n = Math.min(band, height - y);
        const part = data.slice(y * width * 4, (y + n) * width * 4);
        await colours.write(rgb.band(n, rgbRow(part, width)));
        await clear.write(alpha.band(n, alphaRow(part, width)));
        await both.write(rgba.band(n, rgbaRow(part, width)));
      }
      const back = unfiltered(inflateSync(await colours.end()), width * 3).flat();
      const backAlpha = unfiltered(inflateSync(await clear.end()), width).flat();
      const pixels = Array.from({ length: width * height }, (_, i) => i);
      expect(back).toEqual(pixels.flatMap((i) => [...data.slice(i * 4, i * 4 + 3)]));
      expect(unfiltered(inflateSync(await both.end()), width * 4).flat()).toEqual([...data]);
      expect(backAlpha).toEqual(pixels.map((i) => data[i * 4 + 3]));
    }),
    { numRuns: 40 },
  );
});

test('nothing written is still a whole stream', async () => {
  expect(inflateSync(await new Deflater().end()).length).toBe(0);
});

test('an even picture takes hardly any room, its rows being alike', async () => {
  const width = 600;
  const data = new Uint8ClampedArray(width * 4).fill(90);
  const d = new Deflater();
  const up = new UpRows(width * 3);
  for (let y = 0; y < 400; y += 1) await d.write(up.band(1, rgbRow(data, width)));
  expect((await d.end()).length).toBeLessThan(0.01 * width * 3 * 400);
});
