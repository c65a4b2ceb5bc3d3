import fc from 'fast-check';
import { type Point, boundsOf } from './plane';
import {
  clockwise,
  distanceToRing,
  insideRing,
  ringCentroid,
  ringLength,
  selfCrossings,
  simplify,
  withoutRepeats,
  type Ring,
  signedArea,
} from './ring';

const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** A star-shaped polygon about the origin: one radius for each of its evenly spread corners. */
const star = fc.array(n(5, 60), { minLength: 3, maxLength: 24 }).map((radii): Ring =>
  radii.map((r, i) => {
    const a = (2 * Math.PI * i) / radii.length;
    return { x: r * Math.cos(a), y: r * Math.sin(a) };
  }),
);
const regular = (corners: number, r: number): Ring =>
  Array.from({ length: corners }, (_, i) => {
    const a = (2 * Math.PI * i) / corners;
    return { x: r * Math.cos(a), y: r * Math.sin(a) };
  });
const moved = (ring: Ring, dx: number, dy: number): Ring => ring.map((p) => ({ x: p.x + dx, y: p.y + dy }));

test('a regular polygon: n r² sin(2π/n) / 2 and 2 n r sin(π/n)', () => {
  for (const corners of [3, 4, 7, 100]) {
    const ring = regular(corners, 10);
    expect(signedArea(ring)).toBeCloseTo((corners * 100 * Math.sin((2 * Math.PI) / corners)) / 2, 9);
    expect(ringLength(ring)).toBeCloseTo(2 * corners * 10 * Math.sin(Math.PI / corners), 9);
  }
});

test('moving changes neither area nor length, and takes the middle along', () => {
  fc.assert(
    fc.property(star, n(-1e4, 1e4), n(-1e4, 1e4), (ring, dx, dy) => {
      const there = moved(ring, dx, dy);
      const [a, b] = [ringCentroid(ring), ringCentroid(there)];
      return (
        Math.abs(signedArea(there) - signedArea(ring)) < 1e-6 &&
        Math.abs(ringLength(there) - ringLength(ring)) < 1e-6 &&
        Math.hypot(b.x - a.x - dx, b.y - a.y - dy) < 1e-6
      );
    }),
  );
});

test('turned about it goes clockwise either way, with the same corners', () => {
  fc.assert(
    fc.property(star, (ring) => {
      const [a, b] = [clockwise(ring), clockwise([...ring].reverse())];
      return signedArea(a) > 0 && signedArea(b) > 0 && a.length === ring.length && b.length === ring.length;
    }),
  );
});

test('inside, by the angle the outline turns about the point', () => {
  // The other textbook way: the angles under which edges are seen add up to a whole turn inside and to none outside.
  const winding = (ring: Ring, p: Point): number =>
    ring.reduce((sum, a, i) => {
      const b = ring[(i + 1) % ring.length] ?? a;
      const turn = Math.atan2(b.y - p.y, b.x - p.x) - Math.atan2(a.y - p.y, a.x - p.x);
      return sum + Math.atan2(Math.sin(turn), Math.cos(turn));
    }, 0);
  fc.assert(
    fc.property(star, n(-70, 70), n(-70, 70), (ring, x, y) => {
      const p = { x, y };
      if (distanceToRing(ring, p) < 1e-6) return true;
      return insideRing(ring, p) === Math.abs(winding(ring, p)) > Math.PI;
    }),
    { numRuns: 400 },
  );
});

test('the distance to an outline is the least to any of its points', () => {
  fc.assert(
    fc.property(star, n(-90, 90), n(-90, 90), (ring, x, y) => {
      const points = ring.flatMap((a, i) => {
        const b = ring[(i + 1) % ring.length] ?? a;
        return Array.from({ length: 200 }, (_, k) =>
          Math.hypot(a.x + ((b.x - a.x) * k) / 200 - x, a.y + ((b.y - a.y) * k) / 200 - y),
        );
      });
      const sampled = Math.min(...points);
      const d = distanceToRing(ring, { x, y });
      // Samples stand half a step apart at most: an edge is 120 mm long at most.
      return d <= sampled + 1e-9 && sampled - d < 0.31;
    }),
    { numRuns: 60 },
  );
});

test('a star shape never crosses itself; two corners changed about, it does', () => {
  fc.assert(fc.property(star, (ring) => selfCrossings(ring).length === 0));
  const square = regular(4, 10);
  const [a, b, c, d] = square as [Point, Point, Point, Point];
  const [hit] = selfCrossings([a, c, b, d]);
  expect(hit?.at.x).toBeCloseTo(0, 9);
  expect(selfCrossings([a, c, b, d])).toHaveLength(1);
});

test('the box touches the outline on all four sides and nothing lies past it', () => {
  fc.assert(
    fc.property(star, (ring) => {
      const b = boundsOf(ring);
      const on = (of: (p: Point) => number, v: number) => ring.some((p) => Math.abs(of(p) - v) < 1e-9);
      return (
        on((p) => p.x, b.x) &&
        on((p) => p.x, b.x + b.width) &&
        on((p) => p.y, b.y) &&
        on((p) => p.y, b.y + b.height) &&
        ring.every((p) => p.x >= b.x && p.y >= b.y)
      );
    }),
  );
});

test('corners said twice go, the outline stays', () => {
  fc.assert(
    fc.property(star, (ring) => {
      const stuttered = ring.flatMap((p) => [p, p, p]);
      return (
        Math.abs(signedArea(withoutRepeats([...stuttered, ...stuttered.slice(0, 1)])) - signedArea(ring)) <
        1e-9
      );
    }),
  );
});

test('simplified, a fine circle keeps its tolerance and loses most of its corners', () => {
  const circle = regular(2000, 50);
  const few = simplify(circle, 0.05);
  // A chord with a sagitta of 0.05 mm on 50 mm spans 2 acos(1 − 0.05/50): about 70 of them go round.
  const least = Math.PI / Math.acos(1 - 0.05 / 50);
  expect(few.length).toBeGreaterThanOrEqual(Math.floor(least));
  expect(few.length).toBeLessThan(2.2 * least);
  for (const p of circle) expect(distanceToRing(few, p)).toBeLessThanOrEqual(0.05 + 1e-9);
});

describe('by hand', () => {
  test('centroid and area of a triangle; direction fixed', () => {
    const t: Ring = [
      { x: 0, y: 0 },
      { x: 30, y: 0 },
      { x: 0, y: 60 },
    ];
    expect(signedArea(t)).toBe(900);
    expect(ringCentroid(t)).toEqual({ x: 10, y: 20 });
    expect(signedArea(clockwise([...t].reverse()))).toBe(900);
  });
  test('a figure of eight crosses itself once, where it does', () => {
    const eight: Ring = [
      { x: 0, y: 0 },
      { x: 10, y: 10 },
      { x: 10, y: 0 },
      { x: 0, y: 10 },
    ];
    const found = selfCrossings(eight);
    expect(found).toHaveLength(1);
    expect(found[0]?.at).toEqual({ x: 5, y: 5 });
  });
  test('simplifying never moves the outline farther than it says', () => {
    fc.assert(
      fc.property(n(0.02, 1), fc.integer({ min: 50, max: 900 }), n(0, 4), (tolerance, corners, wobble) => {
        const ring = Array.from({ length: corners }, (_, i) => {
          const a = (2 * Math.PI * i) / corners;
          const r = 50 + wobble * Math.sin(9 * a);
          return { x: r * Math.cos(a), y: r * Math.sin(a) };
        });
        const fewer = simplify(ring, tolerance);
        return fewer.length <= corners && ring.every((p) => distanceToRing(fewer, p) <= tolerance + 1e-9);
      }),
      { numRuns: 200 },
    );
  });
  test('repeats go, the box holds all', () => {
    const r = withoutRepeats([
      { x: 0, y: 0 },
      { x: 0, y: 0 },
      { x: 5, y: 0 },
      { x: 5, y: 5 },
      { x: 0, y: 0 },
    ]);
    expect(r).toHaveLength(3);
    expect(boundsOf(r)).toEqual({ x: 0, y: 0, width: 5, height: 5 });
  });
});
