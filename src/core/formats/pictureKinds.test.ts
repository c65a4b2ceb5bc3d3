import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { zlibSync } from 'fflate';
import { inspectPicture } from './picture';
import { joinBytes, makeChunk, physChunk } from './png';
import { paintPng, RED } from './testPicture';

const described = (bytes: Uint8Array): string => {
  const r = inspectPicture(bytes, 'art');
  return r.ok
    ? `${r.value.mime} ${r.value.widthPx} × ${r.value.heightPx}`
    : `${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
};
const latin = (s: string) => Uint8Array.from(s, (c) => c.charCodeAt(0));
const le = (n: number, bytes: number) => Uint8Array.from({ length: bytes }, (_, i) => (n >>> (8 * i)) & 255);

/** A WebP of one chunk. */
function webp(kind: string, body: Uint8Array): Uint8Array {
  const chunk = joinBytes([latin(kind), le(body.length, 4), body]);
  return joinBytes([latin('RIFF'), le(chunk.length + 4, 4), latin('WEBP'), chunk]);
}
const extended = (flags: number, w: number, h: number) =>
  webp('VP8X', joinBytes([le(flags, 4), le(w - 1, 3), le(h - 1, 3)]));

/** A TIFF of one directory: each entry a tag and a value. */
function tiff(tags: readonly (readonly [number, number])[], pixels = 64): Uint8Array {
  const entries = tags.map(([tag, value]) => joinBytes([le(tag, 2), le(4, 2), le(1, 4), le(value, 4)]));
  return joinBytes([
    latin('II*\0'),
    le(8, 4),
    le(tags.length, 2),
    ...entries,
    le(0, 4),
    new Uint8Array(pixels),
  ]);
}
const rgbTiff = (over: readonly (readonly [number, number])[] = []) =>
  tiff([[256, 640], [257, 480], [258, 8], [262, 2], [273, 8], [279, 40], ...over]);

describe('WebP', () => {
  test('size from each of its three forms', () => {
    expect(described(extended(0, 2400, 1960))).toBe('image/webp 2400 × 1960');
    const lossless = webp(
      'VP8L',
      joinBytes([le(0x2f, 1), le((639 | (479 << 14)) >>> 0, 4), new Uint8Array(8)]),
    );
    expect(described(lossless)).toBe('image/webp 640 × 480');
    const lossy = webp('VP8 ', joinBytes([new Uint8Array(6), le(800, 2), le(600, 2), new Uint8Array(4)]));
    expect(described(lossy)).toBe('image/webp 800 × 600');
  });
  test('animated, or cut short', () => {
    expect(inEnglish(described(extended(2, 10, 10)))).toMatch(/animated.*one frame/);
    expect(described(extended(0, 10, 10).subarray(0, 24))).toMatch(/cut short/);
  });
});

describe('TIFF', () => {
  test('size, and what stands in the way', () => {
    expect(described(rgbTiff())).toBe('image/tiff 640 × 480');
    expect(
      inEnglish(
        described(
          tiff([
            [256, 640],
            [257, 480],
            [262, 5],
          ]),
        ),
      ),
    ).toMatch(/CMYK.*Save it as RGB/);
    expect(
      described(
        tiff([
          [256, 640],
          [257, 480],
          [258, 32],
        ]),
      ),
    ).toMatch(/more than 16 bits/);
    expect(
      described(
        tiff([
          [256, 640],
          [257, 480],
          [273, 8],
          [279, 4_000_000],
        ]),
      ),
    ).toMatch(/cut short/);
    expect(described(rgbTiff().subarray(0, 40))).toMatch(/cut short/);
  });
});

describe('SVG', () => {
  test('drawn 4800 px long, in its own shape', () => {
    expect(described(latin('<svg xmlns="http://www.w3.org/2000/svg" width="240mm" height="120mm"/>'))).toBe(
      'image/svg+xml 4800 × 2400',
    );
    expect(described(latin('<?xml version="1.0"?><svg viewBox="0 0 10 40"></svg>'))).toBe(
      'image/svg+xml 1200 × 4800',
    );
  });
  test('no size, or cut short', () => {
    expect(inEnglish(described(latin('<svg width="100%"></svg>')))).toMatch(/does not say its size/);
    expect(described(latin('<svg width="10" height="10"><path'))).toMatch(/damaged or cut short/);
  });
});

describe('PNG', () => {
  const png = paintPng(3, 2, () => RED);
  test('animated is refused; twenty thousand square is too large', () => {
    const animated = joinBytes([png.subarray(0, 33), makeChunk('acTL', new Uint8Array(8)), png.subarray(33)]);
    expect(inEnglish(described(animated))).toMatch(/animated/);
    const head = new Uint8Array(13);
    const dv = new DataView(head.buffer);
    dv.setUint32(0, 20_000);
    dv.setUint32(4, 20_000);
    head.set([16, 2], 8);
    const huge = joinBytes([
      png.subarray(0, 8),
      makeChunk('IHDR', head),
      makeChunk('IDAT', zlibSync(new Uint8Array(9))),
      makeChunk('IEND', new Uint8Array(0)),
    ]);
    expect(described(huge)).toMatch(/20000 × 20000, 400 megapixels.*Save it smaller/);
  });
});

test('others are named', () => {
  expect(inEnglish(described(latin('GIF89a...........')))).toMatch(/a GIF, often animated/);
  expect(described(latin('8BPS.............'))).toMatch(/layered drawing/);
  expect(described(new Uint8Array(0))).toMatch(/empty/);
});

/** Resolution a picture states, pixels per inch; undefined where it states none. */
const ppiOf = (bytes: Uint8Array) => {
  const r = inspectPicture(bytes, 'art');
  if (!r.ok) throw new Error('not a picture');
  return r.value.ppi;
};

describe('resolution', () => {
  test('PNG: pixels to the metre, not to a unit that is not named', () => {
    const png = paintPng(3, 2, () => RED);
    const withChunk = (chunk: Uint8Array) => joinBytes([png.subarray(0, 33), chunk, png.subarray(33)]);
    // 300 ppi is 11,811 pixels to the metre (300 / 0.0254, rounded).
    const perMetre = (n: number, unit: number) =>
      makeChunk('pHYs', Uint8Array.of(0, 0, n >> 8, n & 255, 0, 0, n >> 8, n & 255, unit));
    expect(ppiOf(withChunk(perMetre(11_811, 1)))).toBe(300);
    expect(ppiOf(withChunk(physChunk(300)))).toBe(300);
    expect(ppiOf(withChunk(perMetre(11_811, 0)))).toBeUndefined();
    expect(ppiOf(png)).toBeUndefined();
  });

  test('JPEG: to the inch or to the centimetre', () => {
    const jpeg = (unit: number, density: number) =>
      joinBytes([
        Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 16),
        latin('JFIF\0'),
        Uint8Array.of(1, 2, unit, density >> 8, density & 255, density >> 8, density & 255, 0, 0),
        Uint8Array.of(0xff, 0xc0, 0, 17, 8, 0, 20, 0, 30, 3, 1, 17, 0, 2, 17, 1, 3, 17, 1),
        Uint8Array.of(0xff, 0xd9),
      ]);
    expect(ppiOf(jpeg(1, 240))).toBe(240);
    expect(ppiOf(jpeg(2, 100))).toBe(254);
    expect(ppiOf(jpeg(0, 300))).toBeUndefined();
    // What most programs write where nothing was chosen is no size either.
    expect(ppiOf(jpeg(1, 1))).toBeUndefined();
  });

  test('SVG: from its own width where that is in real units', () => {
    const svg = (width: string) =>
      latin(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="100${width.slice(3)}"/>`);
    // 200 mm drawn 4800 px long: 4800 / (200 / 25.4).
    expect(ppiOf(svg('200mm'))).toBeCloseTo(609.6, 2);
    expect(ppiOf(svg('200px'))).toBeUndefined();
  });
});
