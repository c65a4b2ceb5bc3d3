import type { WindowMap } from '@/core/heat/settings/window';
import { bandPaths, CHART_ROOM, goodAt, goodPlace, windowScales } from './windowScales';

const RANGE = { platenC: [180, 210], dwellS: [20, 120] } as const;
const SIZE = 21;
/** A window that is good in a band about 70 s, as sure as can be at its middle. */
const MAP: WindowMap = {
  ...RANGE,
  columns: SIZE,
  rows: SIZE,
  good: Array.from({ length: SIZE * SIZE }, (_, i) => {
    const s = 20 + (Math.floor(i / SIZE) / (SIZE - 1)) * 100;
    return Math.max(0, 1 - Math.abs(s - 70) / 50);
  }),
  side: Array.from({ length: SIZE * SIZE }, () => 1 as const),
};
const scales = windowScales(RANGE, 500, 300);

test('the chart keeps its room, hotter to the right and longer upwards, from no time at all', () => {
  expect(scales.x(180)).toBe(CHART_ROOM.left);
  expect(scales.x(210)).toBe(500 - CHART_ROOM.right);
  expect(scales.y(0)).toBe(300 - CHART_ROOM.bottom);
  expect(scales.y(120)).toBe(CHART_ROOM.top);
});

test('bands lie inside one another and inside the chart', () => {
  const heights = bandPaths(MAP, scales).map(({ d }) => {
    const ys = [...d.matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => {
      expect(Number(x)).toBeGreaterThanOrEqual(CHART_ROOM.left - 1e-6);
      expect(Number(x)).toBeLessThanOrEqual(500 - CHART_ROOM.right + 1e-6);
      return Number(y);
    });
    return { top: Math.min(...ys), foot: Math.max(...ys) };
  });
  expect(heights).toHaveLength(4);
  heights.slice(1).forEach((h, i) => {
    expect(h.top).toBeGreaterThanOrEqual(heights[i]?.top ?? Infinity);
    expect(h.foot).toBeLessThanOrEqual(heights[i]?.foot ?? -Infinity);
  });
  // Good three times in four: within 12.5 s of 70 s, by the triangle the map was made of.
  expect(heights[1]?.foot).toBeCloseTo(scales.y(57.5), 0);
  expect(heights[1]?.top).toBeCloseTo(scales.y(82.5), 0);
});

test('the chance at a setting is that of its cell, and none outside; the best place is where it is surest', () => {
  expect(goodAt(MAP, 195, 70)).toBe(1);
  expect(goodAt(MAP, 195, 45)).toBeCloseTo(0.5, 9);
  expect(goodAt(MAP, 179, 70)).toBeNull();
  expect(goodPlace(MAP)).toMatchObject({ s: 70 });
  expect(goodPlace(MAP)?.c).toBeCloseTo(195, 6);
  expect(goodPlace({ ...MAP, good: MAP.good.map(() => 0.1) })).toBeNull();
});
