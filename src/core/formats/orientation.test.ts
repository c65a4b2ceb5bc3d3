import sharp from 'sharp';
import { orientation as exifOrientation } from 'exifr';
import { exifBlock, withoutExif } from './orientation';

/** Two by three, each pixel another grey; stored with an orientation by another program. */
const PIXELS = Uint8Array.from([10, 60, 110, 160, 210, 250].flatMap((v) => [v, v, v]));
const stored = () => sharp(PIXELS, { raw: { width: 2, height: 3, channels: 3 } });
const KINDS = {
  png: (o: number) => stored().withMetadata({ orientation: o }).png(),
  webp: (o: number) => stored().withMetadata({ orientation: o }).webp({ lossless: true }),
  tiff: (o: number) => stored().withMetadata({ orientation: o }).tiff({ compression: 'none' }),
  jpeg: (o: number) =>
    stored().withMetadata({ orientation: o }).jpeg({ quality: 100, chromaSubsampling: '4:4:4' }),
} as const;

describe.each(Object.entries(KINDS))('a %s', (kind, made) => {
  test.each([1, 2, 3, 4, 5, 6, 7, 8])(
    'of orientation %d: it is read, and without it the pixels are as stored',
    async (o) => {
      const bytes = new Uint8Array(await made(o).toBuffer());
      const block = exifBlock(bytes);
      expect(block && (await exifOrientation(block))).toBe(o);
      const bare = withoutExif(bytes);
      // Another program turns what the tag says: the bare file has no tag left.
      if (kind !== 'tiff') expect(exifBlock(bare)).toBeNull();
      const image = sharp(Buffer.from(bare));
      const { data, info } = await (kind === 'tiff' ? image : image.rotate())
        .removeAlpha()
        .toColourspace('srgb')
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect([info.width, info.height]).toEqual([2, 3]);
      const greys = Array.from({ length: 6 }, (_, i) => data[i * info.channels] ?? -1);
      greys.forEach((v, i) =>
        expect(Math.abs(v - (PIXELS[i * 3] ?? 0))).toBeLessThan(kind === 'jpeg' ? 12 : 2),
      );
    },
  );
});

test('a picture that says nothing of it is left as it is, byte for byte', async () => {
  for (const image of [stored().png(), stored().webp(), stored().jpeg()]) {
    const bytes = new Uint8Array(await image.toBuffer());
    expect(exifBlock(bytes)).toBeNull();
    expect(withoutExif(bytes)).toBe(bytes);
  }
});

test('bytes that are no picture, or cut short, are answered and not crashed on', () => {
  for (const bytes of [
    [],
    [0xff, 0xd8],
    [0xff, 0xd8, 0xff, 0xe1, 0, 200, 69],
    [82, 73, 70, 70, 0, 0, 0, 0, 87, 69, 66, 80, 69, 88, 73, 70, 255, 255, 0, 0],
  ])
    expect(() => [exifBlock(Uint8Array.from(bytes)), withoutExif(Uint8Array.from(bytes))]).not.toThrow();
});
