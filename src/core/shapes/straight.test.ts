import fc from 'fast-check';
import { STARTER_BLANKS } from '../demo/things';
import { straightShapeSchema } from '../shop/blank';
import { frontView, nominalWallMm, seenArcMm, sideOutline, sideZones } from './straight';

test('the front view: a third of the girth within 60°, edges at ±r', () => {
  expect(seenArcMm(300, 60)).toBeCloseTo(100, 12);
  expect(seenArcMm(300, 180)).toBeCloseTo(300, 12);
  const r = 300 / (2 * Math.PI);
  expect(frontView(300, 75)).toBeCloseTo(r, 9);
  expect(frontView(300, 0)).toBe(0);
  expect(frontView(300, 300 / 12)).toBeCloseTo(r / 2, 9);
});

test('seen from the front, the wall turns away: foreshortening is the cosine of the turn', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 640, noNaN: true }),
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
      (c, turn) => {
        const step = c * 1e-6;
        const slope = (frontView(c, turn * c + step) - frontView(c, turn * c - step)) / (2 * step);
        expect(slope).toBeCloseTo(Math.cos(2 * Math.PI * turn), 5);
        expect(frontView(c, -turn * c)).toBeCloseTo(-frontView(c, turn * c), 9);
      },
    ),
  );
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
  expect(
    straightShapeSchema.safeParse({ kind: 'straight', diameterMm: 70, heightMm: 60, lipMm: 30, footMm: 25 })
      .success,
  ).toBe(false);
  expect(
    straightShapeSchema.safeParse({ kind: 'straight', diameterMm: 0, heightMm: 60, lipMm: 1, footMm: 1 })
      .success,
  ).toBe(false);
});
