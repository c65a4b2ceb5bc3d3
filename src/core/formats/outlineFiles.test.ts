import { LIBRARY } from '../library/library';
import { distanceToRing } from '../geometry/ring';
import { outlineRing } from '../shapes/flat';
import { isFlat, type FlatShape } from '../shop/blank';
import { cutOutlineOf, outlineDxf, outlineSvg } from './outlineFiles';
import { naturalWidthMm, outlineAt, readSvgOutline } from './svgOutline';

const shapes: readonly FlatShape[] = LIBRARY.flatMap((b) => (isFlat(b) ? [b.shape] : []));
const holed = shapes.find((s) => s.holes.some((h) => h.form === 'round'));
if (!holed) throw new Error('no blank with a hole');

test('an outline saved as SVG and read again lies within 0.05 mm of itself', () => {
  for (const shape of shapes) {
    const read = readSvgOutline(outlineSvg(cutOutlineOf('Shape & co', shape)));
    if (!read.ok) throw new Error(shape.outline.form);
    const made = outlineAt(read.value, naturalWidthMm(read.value) ?? NaN);
    if (!made.ok || made.value.outline.form !== 'drawn') throw new Error(shape.outline.form);
    expect(made.value.outline.widthMm).toBeCloseTo(shape.outline.widthMm, 1);
    expect(made.value.holes).toHaveLength(shape.holes.length);
    const ring = outlineRing(shape.outline);
    for (const [x, y] of made.value.outline.points) expect(distanceToRing(ring, { x, y })).toBeLessThan(0.05);
  }
});

/** Groups of a drawing in exchange format, as pairs of code and value. */
const pairs = (dxf: string): readonly (readonly [string, string])[] => {
  const lines = dxf.trimEnd().split('\n');
  return Array.from(
    { length: lines.length / 2 },
    (_, i) => [lines[2 * i] ?? '', lines[2 * i + 1] ?? ''] as const,
  );
};

test('a drawing for a cutter holds every corner, y up, closed, and round holes as circles', () => {
  const all = pairs(outlineDxf(cutOutlineOf('Tag', holed)));
  const { heightMm } = holed.outline;
  expect(all[0]).toEqual(['0', 'SECTION']);
  expect(all.at(-1)).toEqual(['0', 'EOF']);
  const ring = outlineRing(holed.outline);
  const vertices = all.flatMap(([code, value], i) =>
    code === '0' && value === 'VERTEX' ? [[Number(all[i + 2]?.[1]), Number(all[i + 3]?.[1])]] : [],
  );
  const own = vertices.slice(0, ring.length);
  own.forEach(([x = NaN, y = NaN], i) => {
    expect(x).toBeCloseTo(ring[i]?.x ?? NaN, 3);
    expect(heightMm - y).toBeCloseTo(ring[i]?.y ?? NaN, 3);
  });
  const start = all.findIndex(([, v]) => v === 'POLYLINE');
  expect(all.slice(start, start + 5)).toContainEqual(['70', '1']);
  const circles = all.flatMap(([code, value], i) =>
    code === '0' && value === 'CIRCLE' ? [all.slice(i, i + 6)] : [],
  );
  const round = holed.holes.flatMap((h) => (h.form === 'round' ? [h] : []));
  expect(circles).toHaveLength(round.length);
  expect(Number(circles[0]?.find(([code]) => code === '40')?.[1])).toBeCloseTo(
    (round[0]?.diameterMm ?? 0) / 2,
    3,
  );
  expect(Number(circles[0]?.find(([code]) => code === '20')?.[1])).toBeCloseTo(
    heightMm - (round[0]?.yMm ?? 0),
    3,
  );
});
