import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { sizeRoundWrap } from '../wrap/roundWrap';
import { wrapInput } from '../wrap/testWraps';
import { boundsOfContour } from '../geometry/contour';
import { mainFace, type Pattern, type Roll } from '../wrap/pattern';
import { simulatedPrint } from '../sheet/printerSimulator';
import { apply } from '../geometry/affine';
import { bendOf, bent, levelDeg, straight, straightened, type Bend } from './bend';
import { bendRows, readyBend } from './resample';
import { paint, grey } from './testPixels';

const tapered = (): Pattern =>
  sizeRoundWrap(wrapInput({ circumferenceTop: exact(270), circumferenceFoot: exact(220), slant: exact(180) }))
    .pattern;

const bendFor = (way: 'true' | 'level'): Bend => {
  const b = bendOf(tapered(), way);
  if (!b) throw new Error('no taper');
  return b;
};

/** The developed cone by textbook geometry, with nothing of ours: apex, slant distances, one sector angle. */
function developed(roll: Roll) {
  const { topRadiusMm: r1, footRadiusMm: r2, slantMm } = roll.cone;
  const apex = (r1 * slantMm) / (r1 - r2);
  const angle = r1 / apex;
  const plain = (azimuth: number, v: number) => {
    const turn = (azimuth - roll.middleRad) * angle;
    return { x: (apex - v) * Math.sin(turn), y: -(apex - v) * Math.cos(turn) };
  };
  const at = (azimuth: number, v: number) => {
    const p = plain(azimuth, v);
    return { x: p.x + roll.dxMm, y: p.y + roll.dyMm + apex };
  };
  const back = (p: { x: number; y: number }) => {
    const [x, y] = [p.x - roll.dxMm, p.y - roll.dyMm - apex];
    return { azimuth: roll.middleRad + Math.atan2(x, -y) / angle, v: apex - Math.hypot(x, y) };
  };
  return { at, back, radiusAt: (v: number) => r1 + ((r2 - r1) * v) / slantMm };
}

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe.each(['true', 'level'] as const)('%s', (way) => {
  const b = bendFor(way);

  test('there and back is where one began', () => {
    fc.assert(
      fc.property(num(-10, 280), num(-5, 185), (x, y) => {
        const p = straight(b, bent(b, { x, y }));
        return Math.hypot(p.x - x, p.y - y) < 1e-8;
      }),
    );
  });

  test('a level line lies at one height of the wall all round', () => {
    const cone = developed(b.roll);
    fc.assert(
      fc.property(num(0, 245), num(0, 180), (x, y) => Math.abs(cone.back(bent(b, { x, y })).v - y) < 1e-6),
    );
  });

  test('the level line’s direction is that of the wall there', () => {
    const p = { x: 60, y: 90 };
    const [a, c] = [bent(b, { x: 59, y: 90 }), bent(b, { x: 61, y: 90 })];
    expect(levelDeg(b, p)).toBeCloseTo((Math.atan2(c.y - a.y, c.x - a.x) * 180) / Math.PI, 3);
  });
});

test('true keeps uprights on the wall’s own lines; level keeps widths as drawn', () => {
  const t = bendFor('true');
  const cone = developed(t.roll);
  const azimuths = [0, 90, 180].map((y) => cone.back(bent(t, { x: 200, y })).azimuth);
  azimuths.forEach((a) => expect(a).toBeCloseTo(azimuths[0] ?? NaN, 9));
  const l = bendFor('level');
  for (const v of [0, 90, 180]) {
    const [a, c] = [100, 150].map((x) => cone.back(bent(l, { x, y: v })).azimuth);
    expect(((c ?? 0) - (a ?? 0)) * cone.radiusAt(v)).toBeCloseTo(50, 6);
  }
});

test('the straightened pattern is as tall as the wall and, for true, a rectangle', () => {
  const pattern = tapered();
  const b = bendFor('true');
  const flat = straightened(pattern, b);
  expect(flat.form).toBe('rectangle');
  expect(flat.trim.height).toBeCloseTo(180, 1);
  const box = boundsOfContour(mainFace(flat).trim);
  const corners = mainFace(flat).trim.filter(
    (p) => Math.abs(p.x - box.x) > 0.5 && Math.abs(p.x - box.x - box.width) > 0.5 && p.y > 1 && p.y < 179,
  );
  expect(corners).toEqual([]);
  expect(flat.trim.width).toBeCloseTo(245, 0);
});

test('no bend without a taper, or against the person’s wish', () => {
  expect(bendOf(tapered(), 'flat')).toBeNull();
  expect(bendOf(sizeRoundWrap(wrapInput()).pattern, 'level')).toBeNull();
});

describe('a straight grid, bent, printed by the simulator and rolled up again', () => {
  /** Middle of a dark line crossed on the way from one paper point to another, mm from the first; NaN where there is none. */
  const PER_MM = 300 / 25.4;
  const STEP = 30;
  const lines = paint(1960, 1440, (x, y) => {
    const near = (v: number) => Math.abs(((((v / 8 + STEP / 2) % STEP) + STEP) % STEP) - STEP / 2) < 0.35;
    return grey(near(x + 0.5) || near(y + 0.5) ? 0 : 255);
  });

  test.each(['true', 'level'] as const)('%s: every line within 0.2 mm of straight on the cone', (way) => {
    const pattern = tapered();
    const b = bendFor(way);
    // The picture is 245 × 180 mm on the board, its corner at the board's own.
    const tile = [1 / 8, 0, 0, 1 / 8, 0, 0] as const;
    const area = pattern.bleed;
    const ready = readyBend({ source: lines, tiles: [tile], bend: b, area, perMm: PER_MM });
    const rows = bendRows(ready, 0, ready.height);
    const sheet = simulatedPrint({
      widthMm: area.width,
      heightMm: area.height,
      marginsMm: { top: 0, right: 0, bottom: 0, left: 0 },
      driverMirrors: false,
      tray: { widthMm: 210, heightMm: 297 },
      faults: [],
    });
    const dark = (p: { x: number; y: number }): number => {
      const q = apply(sheet.matrix, { x: p.x - area.x, y: p.y - area.y });
      const [px, py] = [Math.floor(q.x * PER_MM), Math.floor(q.y * PER_MM)];
      const i = (py * ready.width + px) * 4;
      return rows[i + 3] === 255 ? 255 - (rows[i] ?? 255) : 0;
    };
    const cone = developed(b.roll);
    const middle = (b.roll.fromRad + b.roll.toRad) / 2;
    const half = ((b.roll.toRad - b.roll.fromRad) / 2) * cone.radiusAt(90);
    /** Where a wall point was on the straight board, from its azimuth and height alone. */
    const wall = (x: number, v: number) =>
      cone.at(middle + (x - half) / cone.radiusAt(way === 'true' ? 90 : v), v);
    const middleOfLine = (at: (d: number) => { x: number; y: number }): number => {
      let [weight, sum] = [0, 0];
      for (let d = -1.2; d <= 1.2; d += 0.02) {
        const k = dark(at(d));
        weight += k;
        sum += k * d;
      }
      return weight > 0 ? sum / weight : NaN;
    };
    const offs: number[] = [];
    for (const x of [60, 90, 120, 150, 180])
      for (const v of [15, 45, 75, 105, 135, 165]) offs.push(middleOfLine((d) => wall(x + d, v)));
    for (const v of [30, 60, 90, 120, 150])
      for (const x of [45, 75, 105, 135, 165]) offs.push(middleOfLine((d) => wall(x, v + d)));
    expect(offs.some(Number.isNaN)).toBe(false);
    expect(Math.max(...offs.map(Math.abs))).toBeLessThan(0.2);
  });
});
