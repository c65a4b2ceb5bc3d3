import fc from 'fast-check';
import { exact } from '../figures/uncertain';
import { radiusAt } from '../shapes/cone';
import { sizeRoundWrap } from './roundWrap';
import { partlyRolled, patternPoint, wallPoint, type Point3 } from './roll';
import { wrapInput } from './testWraps';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anyRoll = fc
  .record({ top: num(120, 420), share: num(0.7, 1.3), slant: num(20, 260), seamDeg: num(-170, 170) })
  // Walls a cup can have: no flatter than about 70° from upright.
  .filter(({ top, share, slant }) => (top * Math.abs(1 - share)) / (2 * Math.PI) < 0.94 * slant)
  .map(({ top, share, slant, seamDeg }) => {
    const { pattern } = sizeRoundWrap(
      wrapInput({
        circumferenceTop: exact(top),
        circumferenceFoot: exact(top * share),
        slant: exact(slant),
        seamDeg,
      }),
    );
    if (!pattern.roll) throw new Error('round wraps roll');
    return pattern.roll;
  });
const apart = (a: Point3, b: Point3) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);

test('flat to wall to flat, wherever the seam runs', () => {
  fc.assert(
    fc.property(anyRoll, num(0.01, 0.99), num(0, 1), (roll, u, part) => {
      const azimuth = roll.fromRad + u * (roll.toRad - roll.fromRad);
      const v = part * roll.cone.slantMm;
      const back = wallPoint(roll, patternPoint(roll, azimuth, v));
      return Math.abs(back.azimuth - azimuth) < 1e-9 && Math.abs(back.slantMm - v) < 1e-8;
    }),
    { numRuns: 4000 },
  );
});

test('nothing stretches on the way: at every stage small steps keep the length they have on the flat paper', () => {
  fc.assert(
    fc.property(
      anyRoll,
      num(0.05, 0.95),
      num(0.05, 0.95),
      num(0, 1),
      fc.boolean(),
      (roll, u, part, round, across) => {
        const azimuth = roll.fromRad + u * (roll.toRad - roll.fromRad);
        const v = part * roll.cone.slantMm;
        const h = 1e-5;
        const [a2, v2] = across ? [azimuth + h, v] : [azimuth, v + h];
        const p = patternPoint(roll, azimuth, v);
        const q = patternPoint(roll, a2, v2);
        const flat = Math.hypot(q.x - p.x, q.y - p.y);
        const bent = apart(partlyRolled(roll, azimuth, v, round), partlyRolled(roll, a2, v2, round));
        return Math.abs(bent / flat - 1) < 2e-4;
      },
    ),
    { numRuns: 2000 },
  );
});

test('flat it is a plane, round it is the wall: every point as far from the axis as the cone is there', () => {
  fc.assert(
    fc.property(anyRoll, num(0, 1), num(0, 1), (roll, u, part) => {
      const azimuth = roll.fromRad + u * (roll.toRad - roll.fromRad);
      const v = part * roll.cone.slantMm;
      const closed = partlyRolled(roll, azimuth, v, 1);
      const onWall = Math.abs(Math.hypot(closed.x, closed.z) - radiusAt(roll.cone, v)) < 1e-7;
      const facing = Math.abs(Math.sin(azimuth) - closed.x / Math.hypot(closed.x, closed.z)) < 1e-7;
      return onWall && facing;
    }),
    { numRuns: 2000 },
  );
  const { pattern } = sizeRoundWrap(
    wrapInput({ circumferenceTop: exact(270), circumferenceFoot: exact(220), slant: exact(189) }),
  );
  const roll = pattern.roll;
  if (!roll) throw new Error('rolls');
  const at = (a: number, v: number) => partlyRolled(roll, a, v, 0);
  const [o, x, y] = [at(0, 0), at(1, 0), at(0, 100)];
  // Any fourth point lies in the plane of three.
  const n = {
    x: (x.y - o.y) * (y.z - o.z) - (x.z - o.z) * (y.y - o.y),
    y: (x.z - o.z) * (y.x - o.x) - (x.x - o.x) * (y.z - o.z),
    z: (x.x - o.x) * (y.y - o.y) - (x.y - o.y) * (y.x - o.x),
  };
  const length = Math.hypot(n.x, n.y, n.z);
  for (const p of [at(-2, 150), at(2.5, 20), at(-1, 60)]) {
    const off = ((p.x - o.x) * n.x + (p.y - o.y) * n.y + (p.z - o.z) * n.z) / length;
    expect(Math.abs(off)).toBeLessThan(1e-3);
  }
});
