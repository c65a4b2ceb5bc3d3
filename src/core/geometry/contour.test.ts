import fc from 'fast-check';
import {
  boundsOfContour,
  contourArea,
  contourLength,
  contourPath,
  flatten,
  mirrorContour,
  moveContour,
  rectContour,
  type Contour,
} from './contour';
import { ringLength, signedArea } from './ring';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const QUARTER = Math.tan(Math.PI / 8);
const disc = (r: number, cx = 0, cy = 0): Contour => [
  { x: cx, y: cy - r, bulge: QUARTER },
  { x: cx + r, y: cy, bulge: QUARTER },
  { x: cx, y: cy + r, bulge: QUARTER },
  { x: cx - r, y: cy, bulge: QUARTER },
];

test('four quarter arcs are a circle: π r², 2 π r, and its box', () => {
  fc.assert(
    fc.property(num(0.5, 300), num(-500, 500), num(-500, 500), (r, cx, cy) => {
      const c = disc(r, cx, cy);
      expect(contourArea(c) / (Math.PI * r * r)).toBeCloseTo(1, 9);
      expect(contourLength(c) / (2 * Math.PI * r)).toBeCloseTo(1, 9);
      const box = boundsOfContour(c);
      expect(box.width).toBeCloseTo(2 * r, 9);
      expect(box.y).toBeCloseTo(cy - r, 9);
    }),
    { numRuns: 300 },
  );
});

test('flattening keeps to its tolerance: a regular polygon between the circle and the tolerance inside it', () => {
  fc.assert(
    fc.property(num(1, 300), num(0.005, 0.2), (r, tolerance) => {
      for (const p of flatten(disc(r), tolerance)) expect(Math.hypot(p.x, p.y)).toBeCloseTo(r, 7);
      const lost = Math.PI * r * r - signedArea(flatten(disc(r), tolerance));
      expect(lost).toBeGreaterThanOrEqual(-1e-6);
      expect(lost).toBeLessThanOrEqual(2 * Math.PI * r * tolerance);
    }),
    { numRuns: 200 },
  );
});

test('a slight bulge is the chord, with no jump at zero', () => {
  const arc = (bulge: number): Contour => [
    { x: 0, y: 0, bulge },
    { x: 100, y: 0 },
    { x: 100, y: 50 },
    { x: 0, y: 50 },
  ];
  expect(contourArea(arc(0))).toBe(5000);
  expect(contourArea(arc(1e-9)) - 5000).toBeLessThan(1e-5);
  expect(contourLength(arc(1e-7))).toBeCloseTo(300, 9);
});

test('a mirror keeps area, length, turning and box; twice is the identity', () => {
  const c: Contour = [
    { x: 0, y: 0, bulge: 0.3 },
    { x: 80, y: 5 },
    { x: 90, y: 60, bulge: -0.2 },
    { x: 10, y: 40 },
  ];
  const m = mirrorContour(c, 45);
  expect(contourArea(m)).toBeCloseTo(contourArea(c), 9);
  expect(contourLength(m)).toBeCloseTo(contourLength(c), 9);
  const a = boundsOfContour(c);
  const b = boundsOfContour(m);
  expect(b.x).toBeCloseTo(90 - a.x - a.width, 9);
  expect(b.height).toBeCloseTo(a.height, 9);
  const twice = mirrorContour(m, 45);
  twice.forEach((v, i) => {
    expect(v.x).toBeCloseTo(c[i]?.x ?? NaN, 9);
    expect(v.bulge ?? 0).toBeCloseTo(c[i]?.bulge ?? 0, 9);
  });
});

test('path data names every corner, arcs as arcs, and moving moves all', () => {
  const d = contourPath(disc(10), (v) => v.toFixed(3));
  expect(d.match(/A 10\.000 10\.000 0 0 1/g)).toHaveLength(4);
  expect(d.startsWith('M 0.000 -10.000')).toBe(true);
  expect(boundsOfContour(moveContour(disc(10), 5, 7))).toMatchObject({ x: -5, y: -3 });
  const rect = rectContour({ x: 1, y: 2, width: 30, height: 4 });
  expect(contourArea(rect)).toBe(120);
  expect(ringLength(flatten(rect))).toBe(68);
});
