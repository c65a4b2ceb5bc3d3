import { boundsOf } from './plane';
import ClipperLib from 'clipper-lib';
import fc from 'fast-check';
import { PLAIN_FORMS, type FlatOutline } from '../shop/blank';
import { boundsOfContour, contourArea, contourLength } from './contour';
import { holeContour, offsetOutline, outlineContour, outlineRing } from '../shapes/flat';
import { offsetRing } from './offset';
import { distanceToRing, insideRing, ringLength, selfCrossings, type Ring, signedArea } from './ring';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyOutline: fc.Arbitrary<FlatOutline> = fc.oneof(
  fc.record({
    form: fc.constant('rectangle' as const),
    widthMm: num(20, 300),
    heightMm: num(20, 300),
    cornerMm: num(0.5, 20),
  }),
  fc
    .record({ form: fc.constantFrom(...PLAIN_FORMS), widthMm: num(30, 200), heightMm: num(30, 200) })
    .map((o) =>
      // A lug stands above its disc, or beside it.
      o.form !== 'lugged disc'
        ? o
        : o.heightMm > o.widthMm
          ? { ...o, heightMm: o.widthMm * 1.12 }
          : { ...o, widthMm: o.heightMm * 1.12 },
    ),
);

/** The same offset by another program's polygon clipper, in micrometres. */
function reference(ring: Ring, d: number): number {
  const scale = 1000;
  const co = new ClipperLib.ClipperOffset(2, 0.005 * scale);
  co.AddPath(
    ring.map((p) => ({ X: Math.round(p.x * scale), Y: Math.round(p.y * scale) })),
    ClipperLib.JoinType.jtRound,
    ClipperLib.EndType.etClosedPolygon,
  );
  const out: { X: number; Y: number }[][] = [];
  co.Execute(out, d * scale);
  return out.reduce((sum, path) => sum + Math.abs(ClipperLib.Clipper.Area(path)) / (scale * scale), 0);
}

test('every plain form fills its own box, wider than tall or taller than wide', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...PLAIN_FORMS),
      num(30, 200),
      num(1.01, 1.6),
      fc.boolean(),
      (form, short, ratio, tall) => {
        const [widthMm, heightMm] = tall ? [short, short * ratio] : [short * ratio, short];
        const box = boundsOfContour(outlineContour({ form, widthMm, heightMm } as FlatOutline));
        expect(box.x).toBeCloseTo(0, 1);
        expect(box.y).toBeCloseTo(0, 1);
        expect(box.width).toBeLessThan(widthMm + 0.06);
        expect(box.height).toBeLessThan(heightMm + 0.06);
        if (form === 'lugged disc') {
          expect(box.width).toBeCloseTo(widthMm, 1);
          expect(box.height).toBeCloseTo(heightMm, 1);
        }
      },
    ),
  );
});

test('a heart strays less than a hundredth from its curve, small or as large as a wall', () => {
  for (const [w, h] of [
    [60, 55],
    [300, 280],
    [1200, 1100],
  ] as const) {
    const ring = outlineContour({ form: 'heart', widthMm: w, heightMm: h });
    const dense = Array.from({ length: 40_000 }, (_, i) => {
      const t = (2 * Math.PI * i) / 40_000;
      return {
        x: 16 * Math.sin(t) ** 3,
        y: -(13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t)),
      };
    });
    const box = boundsOf(dense);
    // Corners and curve go round alike, so the nearest chord is one of a few.
    let worst = 0;
    dense.forEach((p, i) => {
      const q = { x: ((p.x - box.x) / box.width) * w, y: ((p.y - box.y) / box.height) * h };
      const at = Math.floor((i / 40_000) * ring.length);
      const near = [-1, 0, 1].map((k) => {
        const a = ring[(at + k + ring.length) % ring.length] ?? q;
        const b = ring[(at + k + 1 + ring.length) % ring.length] ?? q;
        const l2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
        const u =
          l2 === 0
            ? 0
            : Math.min(1, Math.max(0, ((q.x - a.x) * (b.x - a.x) + (q.y - a.y) * (b.y - a.y)) / l2));
        return Math.hypot(q.x - a.x - u * (b.x - a.x), q.y - a.y - u * (b.y - a.y));
      });
      worst = Math.max(worst, Math.min(...near));
    });
    expect(worst).toBeLessThan(0.0101);
  }
});

describe('moving an outline out or in', () => {
  test('has the area another program finds, in every shape of the library’s kinds', () => {
    fc.assert(
      fc.property(anyOutline, num(-9, 15), (o, d) => {
        if (Math.abs(d) < 0.3) return true;
        const own = offsetOutline(o, d).reduce((sum, c) => sum + Math.abs(contourArea(c)), 0);
        const other = reference(outlineRing(o), d);
        return Math.abs(own - other) < 0.004 * other + 1.5;
      }),
      { numRuns: 300 },
    );
  });
  test('outwards, every point stands just as far from the outline as asked', () => {
    fc.assert(
      fc.property(anyOutline, num(0.5, 15), (o, d) => {
        const ring = outlineRing(o);
        const [out] = offsetRing(ring, d);
        return (
          out !== undefined &&
          out.every((p) => Math.abs(distanceToRing(ring, p) - d) < 0.06 && !insideRing(ring, p)) &&
          selfCrossings(out, 1).length === 0
        );
      }),
      { numRuns: 200 },
    );
  });
  test('a convex outline grows by Steiner’s formula: A + P d + π d²', () => {
    fc.assert(
      fc.property(num(20, 300), num(20, 300), num(0.5, 20), (w, h, d) => {
        const ring: Ring = [
          { x: 0, y: 0 },
          { x: w, y: 0 },
          { x: w * 0.8, y: h },
          { x: w * 0.1, y: h * 0.9 },
        ];
        const [out] = offsetRing(ring, d);
        const want = signedArea(ring) + ringLength(ring) * d + Math.PI * d * d;
        return out !== undefined && Math.abs(signedArea(out) - want) <= 2 * Math.PI * d * 0.01 + 1e-6;
      }),
      { numRuns: 500 },
    );
  });
  test('rectangles and discs are exact', () => {
    const [rect] = offsetOutline({ form: 'rectangle', widthMm: 80, heightMm: 60, cornerMm: 5 }, 4);
    expect(contourArea(rect ?? [])).toBeCloseTo(88 * 68 - (4 - Math.PI) * 81, 9);
    const [round] = offsetOutline({ form: 'oval', widthMm: 90, heightMm: 90 }, -6);
    expect(contourArea(round ?? [])).toBeCloseTo(Math.PI * 39 ** 2, 9);
  });
  test('inset past the middle leaves nothing; no move leaves it as it is', () => {
    expect(offsetOutline({ form: 'rectangle', widthMm: 20, heightMm: 60, cornerMm: 0 }, -10.1)).toEqual([]);
    expect(offsetOutline({ form: 'star', widthMm: 40, heightMm: 40 }, -30)).toEqual([]);
    const star = outlineRing({ form: 'star', widthMm: 40, heightMm: 40 });
    expect(offsetRing(star, 0)[0]).toEqual(star);
  });
  test('an hourglass inset falls into two pieces', () => {
    const waist: Ring = [
      { x: 0, y: 0 },
      { x: 60, y: 0 },
      { x: 34, y: 50 },
      { x: 60, y: 100 },
      { x: 0, y: 100 },
      { x: 26, y: 50 },
    ];
    expect(offsetRing(waist, -6)).toHaveLength(2);
    expect(offsetRing(waist, -2)).toHaveLength(1);
  });
});

describe('outlines', () => {
  test('every form fills its box, turns clockwise and never crosses itself', () => {
    fc.assert(
      fc.property(anyOutline, (o) => {
        const box = boundsOfContour(outlineContour(o));
        const ring = outlineRing(o);
        return (
          Math.abs(box.x) < 1e-6 &&
          Math.abs(box.y) < 1e-6 &&
          Math.abs(box.width - o.widthMm) < 0.02 &&
          Math.abs(box.height - o.heightMm) < 0.02 &&
          signedArea(ring) > 0 &&
          selfCrossings(ring, 1).length === 0
        );
      }),
      { numRuns: 500 },
    );
  });
  test('areas from the textbook', () => {
    const area = (o: FlatOutline) => contourArea(outlineContour(o));
    expect(area({ form: 'rectangle', widthMm: 80, heightMm: 60, cornerMm: 10 })).toBeCloseTo(
      4800 - (4 - Math.PI) * 100,
      9,
    );
    expect(area({ form: 'oval', widthMm: 50, heightMm: 50 })).toBeCloseTo(Math.PI * 625, 9);
    expect(area({ form: 'oval', widthMm: 70, heightMm: 45 }) / (Math.PI * 35 * 22.5)).toBeCloseTo(1, 3);
    expect(area({ form: 'hexagon', widthMm: 80, heightMm: 80 * (Math.sqrt(3) / 2) })).toBeCloseTo(
      (3 * Math.sqrt(3) * 1600) / 2,
      6,
    );
    expect(area({ form: 'arch', widthMm: 60, heightMm: 90 })).toBeCloseTo(60 * 60 + (Math.PI * 900) / 2, 9);
    expect(area({ form: 'tag', widthMm: 60, heightMm: 100 })).toBeCloseTo(6000 - (60 * 0.28) ** 2, 9);
  });
  test('holes grow by their clearance', () => {
    expect(contourArea(holeContour({ form: 'round', xMm: 10, yMm: 10, diameterMm: 4 }, 2))).toBeCloseTo(
      Math.PI * 16,
      9,
    );
    const slot = holeContour({ form: 'slot', xMm: 20, yMm: 8, widthMm: 14, heightMm: 4 }, 1);
    expect(boundsOfContour(slot)).toEqual({ x: 12, y: 5, width: 16, height: 6 });
    expect(contourLength(slot)).toBeCloseTo(2 * 10 + 6 * Math.PI, 9);
  });
});

test('a wavy outline of two thousand corners moved outwards stays one outline, as large as the clipper makes it', () => {
  const ring = Array.from({ length: 2000 }, (_, i) => {
    const a = (2 * Math.PI * i) / 2000;
    const r = 150 + 12 * Math.sin(9 * a) + 3 * Math.sin(40 * a);
    return { x: 200 + r * Math.cos(a), y: 200 + r * Math.sin(a) };
  });
  for (const d of [1, 4, 9]) {
    const rings = offsetRing(ring, d);
    expect(rings).toHaveLength(1);
    expect(Math.abs(signedArea(rings[0] ?? []) / reference(ring, d) - 1)).toBeLessThan(5e-5);
  }
});
