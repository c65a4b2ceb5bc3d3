import fc from 'fast-check';
import { bestCone, coneOfBand, liftAt, paperRadius, usableBand } from './band';
import { gaussianCurvature, mostBend, profileAt, profileThrough, type Node } from './profile';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Walls a person might bring: 3 to 12 heights, radii that wander. */
const anyNodes = fc
  .record({
    n: fc.integer({ min: 3, max: 12 }),
    r: num(12, 90),
    wander: fc.array(num(-6, 6), { minLength: 12, maxLength: 12 }),
    step: num(6, 30),
  })
  .map(({ n, r, wander, step }): Node[] =>
    Array.from({ length: n }, (_, i) => ({ z: 5 + i * step, r: r + (wander[i] ?? 0) })),
  );

describe('profile', () => {
  test('passes through every reading and never overshoots between two', () => {
    fc.assert(
      fc.property(anyNodes, num(0, 1), (nodes, part) => {
        const p = profileThrough(nodes);
        return nodes.every((a, i) => {
          const b = nodes[i + 1];
          if (Math.abs(profileAt(p, a.z).r - a.r) > 1e-9) return false;
          if (!b) return true;
          const r = profileAt(p, a.z + part * (b.z - a.z)).r;
          return r >= Math.min(a.r, b.r) - 1e-9 && r <= Math.max(a.r, b.r) + 1e-9;
        });
      }),
      { numRuns: 2000 },
    );
  });
  test('slope and bend are the derivatives of the radius', () => {
    fc.assert(
      fc.property(anyNodes, num(0.05, 0.95), (nodes, part) => {
        const p = profileThrough(nodes);
        const [a, b] = [nodes[1] as Node, nodes[2] as Node];
        const z = a.z + part * (b.z - a.z);
        const h = 1e-4;
        const slope = (profileAt(p, z + h).r - profileAt(p, z - h).r) / (2 * h);
        expect(profileAt(p, z).slope).toBeCloseTo(slope, 5);
        expect(Math.abs(profileAt(p, z).bend)).toBeLessThanOrEqual(mostBend(p) + 1e-9);
      }),
      { numRuns: 300 },
    );
  });
  test('two readings are a straight line; a straight line through many stays one', () => {
    const line = profileThrough([0, 20, 55, 90].map((z) => ({ z, r: 40 - 0.1 * z })));
    for (const z of [3, 33, 71]) expect(profileAt(line, z).r).toBeCloseTo(40 - 0.1 * z, 12);
  });
  test('a sphere bends by 1/R² everywhere', () => {
    const R = 50;
    for (const z of [-20, -5, 0, 12, 30]) {
      const r = Math.sqrt(R * R - z * z);
      const k = gaussianCurvature({ r, slope: -z / r, bend: -(R * R) / r ** 3 });
      expect(k).toBeCloseTo(1 / (R * R), 12);
    }
  });
});

describe('best cone', () => {
  test('lies outside the wall, touches it, and is nowhere farther off than it says', () => {
    fc.assert(
      fc.property(anyNodes, num(0, 0.4), num(0.6, 1), (nodes, from, to) => {
        const p = profileThrough(nodes);
        const z0 = (nodes[0] as Node).z;
        const z1 = (nodes.at(-1) as Node).z;
        const band = { topMm: z0 + from * (z1 - z0), footMm: z0 + to * (z1 - z0) };
        const cone = bestCone(p, band);
        let least = Infinity;
        let most = 0;
        for (let i = 0; i <= 400; i += 1) {
          const lift = liftAt(p, cone, band.topMm + ((band.footMm - band.topMm) * i) / 400);
          least = Math.min(least, lift);
          most = Math.max(most, lift);
        }
        return least >= -1e-9 && most <= cone.worstLiftMm + 1e-9 && least < 0.08;
      }),
      { numRuns: 500 },
    );
  });
  test('a cone fits itself: no lift', () => {
    const p = profileThrough([0, 30, 80, 120].map((z) => ({ z, r: 45 - 0.07 * z })));
    const cone = bestCone(p, { topMm: 10, footMm: 110 });
    expect(cone.worstLiftMm).toBeLessThan(1e-6);
    expect(cone.b).toBeCloseTo(-0.07, 9);
    expect(paperRadius(cone, 50)).toBeCloseTo(41.5, 6);
    expect(coneOfBand(cone, { topMm: 10, footMm: 110 }).topRadiusMm).toBeCloseTo(44.3, 6);
  });
  test('a ball over ± a: the cylinder at its waist lifts R − √(R² − a²) at the ends', () => {
    const R = 45;
    const a = 12;
    const zs = Array.from({ length: 41 }, (_, i) => -a + (2 * a * i) / 40);
    const p = profileThrough(zs.map((z) => ({ z: z + 100, r: Math.sqrt(R * R - z * z) })));
    const cone = bestCone(p, { topMm: 100 - a, footMm: 100 + a });
    expect(cone.worstLiftMm).toBeCloseTo(R - Math.sqrt(R * R - a * a), 2);
    expect(Math.abs(cone.b)).toBeLessThan(1e-3);
  });
  test('no straight paper does better: any other outside the wall lifts at least as much', () => {
    fc.assert(
      fc.property(anyNodes, num(-0.3, 0.3), (nodes, slope) => {
        const p = profileThrough(nodes);
        const band = { topMm: (nodes[0] as Node).z, footMm: (nodes.at(-1) as Node).z };
        const cone = bestCone(p, band);
        const zs = Array.from({ length: 300 }, (_, i) => band.topMm + ((band.footMm - band.topMm) * i) / 299);
        const offs = zs.map((z) => profileAt(p, z).r - slope * z);
        const other = (Math.max(...offs) - Math.min(...offs)) / Math.hypot(1, slope);
        // The stated lift carries what its own sampling may have missed.
        return cone.worstLiftMm <= other + 0.05 + (2 * (mostBend(p) * 0.75 ** 2)) / 8;
      }),
      { numRuns: 500 },
    );
  });
});

describe('usable band', () => {
  test('never includes a height whose gap is over the tolerance', () => {
    fc.assert(
      fc.property(anyNodes, num(0.1, 0.8), num(0, 1), (nodes, tolerance, part) => {
        const p = profileThrough(nodes);
        const limits = { topMm: (nodes[0] as Node).z, footMm: (nodes.at(-1) as Node).z };
        const band = usableBand(p, limits, tolerance);
        if (band.footMm - band.topMm < 1) return true;
        const cone = bestCone(p, band);
        const z = band.topMm + part * (band.footMm - band.topMm);
        return liftAt(p, cone, z) <= tolerance + 1e-9 && cone.worstLiftMm <= tolerance + 1e-9;
      }),
      { numRuns: 2000 },
    );
  });
  test('a looser hold never shortens it, and a straight wall is usable all over', () => {
    fc.assert(
      fc.property(anyNodes, num(0.1, 0.4), (nodes, tolerance) => {
        const p = profileThrough(nodes);
        const limits = { topMm: (nodes[0] as Node).z, footMm: (nodes.at(-1) as Node).z };
        const tall = (t: number) => {
          const b = usableBand(p, limits, t);
          return b.footMm - b.topMm;
        };
        return tall(tolerance * 2) >= tall(tolerance) - 1e-9;
      }),
      { numRuns: 300 },
    );
    const straight = profileThrough([
      { z: 5, r: 36 },
      { z: 195, r: 36 },
    ]);
    expect(usableBand(straight, { topMm: 8, footMm: 190 }, 0.15)).toEqual({ topMm: 8, footMm: 190 });
  });
  test('a ball: height from the tolerance, 2 √(2 R t) for a shallow cap', () => {
    const R = 60;
    const zs = Array.from({ length: 61 }, (_, i) => -30 + i);
    const p = profileThrough(zs.map((z) => ({ z: z + 40, r: Math.sqrt(R * R - z * z) })));
    const band = usableBand(p, { topMm: 10, footMm: 70 }, 0.3);
    expect(band.footMm - band.topMm).toBeGreaterThan(2 * Math.sqrt(2 * R * 0.3) - 2.2);
    expect(band.footMm - band.topMm).toBeLessThan(2 * Math.sqrt(2 * R * 0.3) + 0.3);
  });
});
