import fc from 'fast-check';
import { STARTER_BLANKS } from '../demo/things';
import { straightShapeSchema } from '../shop/blank';
import { frontView, nominalWallMm, roll, seenArcMm, sideOutline, sideZones, unroll } from './straight';

const girth = fc.double({ min: 60, max: 640, noNaN: true });

test('flat to round to flat is the identity, and lengths are kept', () => {
  fc.assert(
    fc.property(girth, fc.double({ min: -0.5, max: 0.5, noNaN: true }), fc.double({ min: 0, max: 400, noNaN: true }), (c, turn, y) => {
      const flat = { x: turn * c, y };
      const round = roll(c, flat);
      const back = unroll(c, round.angle, round.height);
      expect(back.x).toBeCloseTo(flat.x, 9);
      expect(back.y).toBe(y);
      // Arc length on the solid, r × angle, equals the flat distance.
      expect(((c / (2 * Math.PI)) * round.angle)).toBeCloseTo(flat.x, 9);
    }),
  );
});

test('the front view: a third of the girth within 60°, edges at ±r', () => {
  expect(seenArcMm(300, 60)).toBeCloseTo(100, 12);
  expect(seenArcMm(300, 180)).toBeCloseTo(300, 12);
  const r = 300 / (2 * Math.PI);
  expect(frontView(300, 75)).toBeCloseTo(r, 9);
  expect(frontView(300, 0)).toBe(0);
  expect(frontView(300, 300 / 12)).toBeCloseTo(r / 2, 9);
});

test('zones stack to the height without overlap on every starter blank', () => {
  for (const { shape } of STARTER_BLANKS) {
    const { lip, wall, foot } = sideZones(shape);
    expect(lip.y).toBe(0);
    expect(wall.y).toBeCloseTo(lip.height, 9);
    expect(foot.y).toBeCloseTo(wall.y + wall.height, 9);
    expect(foot.y + foot.height).toBeCloseTo(shape.heightMm, 9);
    expect(nominalWallMm(shape)).toBe(wall.height);
    expect(straightShapeSchema.safeParse(shape).success).toBe(true);
    expect(sideOutline(shape)).toMatch(/^M .* Z$/);
  }
});

test('a blank with no wall left cannot be built', () => {
  expect(straightShapeSchema.safeParse({ kind: 'straight', diameterMm: 70, heightMm: 60, lipMm: 30, footMm: 25 }).success).toBe(false);
  expect(straightShapeSchema.safeParse({ kind: 'straight', diameterMm: 0, heightMm: 60, lipMm: 1, footMm: 1 }).success).toBe(false);
});
