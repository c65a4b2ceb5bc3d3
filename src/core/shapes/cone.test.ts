import fc from 'fast-check';
import {
  axialHeightMm,
  besideGenerator,
  coneOfHeight,
  coneOfSlant,
  develop,
  lateralAreaMm2,
  patchContour,
  radiusAt,
  rollUp,
  sectorOf,
} from './cone';
import { boundsOfContour, contourArea, contourLength, flatten } from '../geometry/contour';

/** Closed forms of a frustum (any geometry textbook), tried over many shapes. */
const RUNS = 10_000;
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyCone = fc
  .record({ top: num(4, 180), share: num(0.2, 1.8), height: num(8, 380) })
  .map(({ top, share, height }) => coneOfHeight(top, top * share, height));
const full = { left: { azimuth: -Math.PI, offMm: 0 }, right: { azimuth: Math.PI, offMm: 0 } };
const whole = (c: ReturnType<typeof coneOfHeight>) =>
  patchContour(c, { fromMm: 0, toMm: c.slantMm, ...full });
/** Relative agreement; a plain boolean, so that ten thousand of them stay quick. */
const agrees = (a: number, b: number, by = 1e-9) =>
  Math.abs(a - b) <= by * Math.max(1, Math.abs(a), Math.abs(b));

test('area is kept: the flat pattern has the lateral area π (r1 + r2) s', () => {
  fc.assert(
    fc.property(anyCone, (c) => agrees(Math.abs(contourArea(whole(c))), lateralAreaMm2(c))),
    { numRuns: RUNS },
  );
});

test('lengths are kept: both circumferences along the arcs, the slant along both sides', () => {
  fc.assert(
    fc.property(anyCone, (c) =>
      agrees(contourLength(whole(c)), 2 * Math.PI * (c.topRadiusMm + c.footRadiusMm) + 2 * c.slantMm),
    ),
    { numRuns: RUNS },
  );
});

test('flat to round to flat is the identity, and back', () => {
  fc.assert(
    fc.property(anyCone, num(-3.1, 3.1), num(0, 1), (c, azimuth, part) => {
      const v = part * c.slantMm;
      const flat = develop(c, azimuth, v);
      const round = rollUp(c, flat);
      const again = develop(c, round.azimuth, round.slantMm);
      return (
        agrees(round.azimuth, azimuth) &&
        agrees(round.slantMm, v, 1e-9) &&
        agrees(again.x, flat.x) &&
        agrees(again.y, flat.y)
      );
    }),
    { numRuns: RUNS },
  );
});

test('small steps keep their length and stay square: along a parallel r dφ, down a generator dv', () => {
  fc.assert(
    fc.property(anyCone, num(-3, 3), num(0.1, 0.9), (c, azimuth, part) => {
      const v = part * c.slantMm;
      const h = 1e-5;
      const at = develop(c, azimuth, v);
      const round = develop(c, azimuth + h, v);
      const down = develop(c, azimuth, v + h);
      const u = { x: (round.x - at.x) / h, y: (round.y - at.y) / h };
      const w = { x: (down.x - at.x) / h, y: (down.y - at.y) / h };
      const r = radiusAt(c, v);
      return (
        agrees(Math.hypot(u.x, u.y), r, 1e-4) &&
        agrees(Math.hypot(w.x, w.y), 1, 1e-6) &&
        Math.abs(u.x * w.x + u.y * w.y) < 1e-4 * r
      );
    }),
    { numRuns: RUNS },
  );
});

test('the cone tends to the rectangle without a jump, for tapers down to zero', () => {
  fc.assert(
    fc.property(
      num(5, 150),
      num(10, 350),
      num(-12, -3),
      num(-3.1, 3.1),
      num(0, 1),
      fc.boolean(),
      (r, h, exp, a, part, wide) => {
        const taper = r * 10 ** exp * (wide ? 1 : -1);
        const c = coneOfHeight(r + taper, r, h);
        const straight = coneOfSlant(r, r, h);
        const p = develop(c, a, part * h);
        const q = develop(straight, a, part * h);
        // Nothing moves by more than the taper could move it: a turn of the paper, π r² a² k.
        const bound = Math.abs(taper) * (20 + 20 * (r / h)) + 1e-9;
        return Math.abs(p.x - q.x) <= bound && Math.abs(p.y - q.y) <= bound;
      },
    ),
    { numRuns: RUNS },
  );
  const straight = coneOfSlant(36, 36, 190);
  expect(boundsOfContour(whole(straight))).toEqual({
    x: expect.closeTo(-36 * Math.PI, 12) as number,
    y: 0,
    width: expect.closeTo(72 * Math.PI, 12) as number,
    height: 190,
  });
});

test('radii, angle, bow and chord are those of the drawing board', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      if (Math.abs(c.k) < 1e-3) return true;
      const s = sectorOf(c);
      const r1 = Math.max(c.topRadiusMm, c.footRadiusMm);
      const r2 = Math.min(c.topRadiusMm, c.footRadiusMm);
      const R1 = (c.slantMm * r1) / (r1 - r2);
      const theta = (2 * Math.PI * r1) / R1;
      const outerBow = c.k > 0 ? s.topBowMm : -s.footBowMm;
      const outerChord = c.k > 0 ? s.topChordMm : s.footChordMm;
      return (
        agrees(s.outerMm, R1) &&
        agrees(s.innerMm, R1 - c.slantMm, 1e-8) &&
        agrees(s.angleRad, theta) &&
        agrees(outerBow, R1 * (1 - Math.cos(theta / 2)), 1e-8) &&
        agrees(Math.abs(outerChord), Math.abs(2 * R1 * Math.sin(theta / 2)), 1e-8)
      );
    }),
    { numRuns: RUNS },
  );
});

test('a worked cup: 86 mm over 70 mm, 190 mm tall', () => {
  const c = coneOfHeight(43, 35, 190);
  // s = √(190² + 8²) = 190.168; R1 = s·43/8 = 1022.155; θ = 2π·43/R1 = 0.264320 rad = 15.1444°.
  expect(c.slantMm).toBeCloseTo(190.16835, 4);
  expect(sectorOf(c).outerMm).toBeCloseTo(1022.1549, 3);
  expect((sectorOf(c).angleRad * 180) / Math.PI).toBeCloseTo(15.1446, 3);
  expect(sectorOf(c).topBowMm).toBeCloseTo(8.914, 2);
  expect(axialHeightMm(c)).toBeCloseTo(190, 9);
});

test('a cut beside a generator runs parallel to it, as far off as asked at rim and foot', () => {
  fc.assert(
    fc.property(anyCone, num(-8, 12), (c, off) => {
      if (Math.abs(off * c.k) > Math.min(c.topRadiusMm, c.footRadiusMm) * 0.9) return true;
      const apart = (v: number) => {
        const p = develop(c, besideGenerator(c, 1, off, v), v);
        // Distance of p from the generator at azimuth 1: through develop(1, 0) along (−sin k, cos k).
        const o = develop(c, 1, 0);
        return (p.x - o.x) * Math.cos(c.k) + (p.y - o.y) * Math.sin(c.k);
      };
      return agrees(apart(0), off, 1e-8) && agrees(apart(c.slantMm), off, 1e-8);
    }),
    { numRuns: RUNS },
  );
});

test('the flattened contour strays no farther than asked and loses no more area than that', () => {
  fc.assert(
    fc.property(anyCone, (c) => {
      const contour = whole(c);
      const ring = flatten(contour, 0.01);
      const box = boundsOfContour(contour);
      return ring.every(
        (p) =>
          p.x >= box.x - 1e-6 &&
          p.x <= box.x + box.width + 1e-6 &&
          p.y >= box.y - 1e-6 &&
          p.y <= box.y + box.height + 1e-6,
      );
    }),
    { numRuns: 300 },
  );
});

test('the total turning of the paper’s edges closes: Gauss and Bonnet on a flat band', () => {
  // ∫ geodesic curvature over both parallels = ±2π sin(half apex); for a developable band the two cancel.
  fc.assert(
    fc.property(anyCone, (c) => {
      const s = sectorOf(c);
      const turn = (arc: number, radius: number) => arc / radius;
      if (!Number.isFinite(s.outerMm)) return true;
      const [wide, narrow] = c.k > 0 ? [s.topArcMm, s.footArcMm] : [s.footArcMm, s.topArcMm];
      return agrees(turn(wide, s.outerMm), turn(narrow, s.innerMm), 1e-7);
    }),
    { numRuns: RUNS },
  );
});
