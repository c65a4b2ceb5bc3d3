import type { HeatCase } from '../model/case';
import { coolingSpread, coolingTimes, PACK_C, TOUCH_SAFE_C } from './cooling';
import { BODY } from '../model/materials';
import { simulateHeat } from '../model/simulate';
import { FLAT, MUG, setting, TUMBLER } from '../model/testCases';

/** A lump losing heat by still air and radiation, by Runge and Kutta: apart from the solver. s. */
function lumpS(joulesM2K: number, faces: number, fromC: number, toC: number): number {
  const slope = (c: number) =>
    (-faces * (5.5 * (c - 22) + 0.9 * 5.670374419e-8 * ((c + 273.15) ** 4 - 295.15 ** 4))) / joulesM2K;
  let [c, t] = [fromC, 0];
  while (c > toC) {
    const h = 0.5;
    const [k1, k2, k3] = [
      slope(c),
      slope(c + (h / 2) * slope(c)),
      slope(c + (h / 2) * slope(c + (h / 2) * slope(c))),
    ];
    const k4 = slope(c + h * k3);
    c += (h / 6) * (k1 + 2 * k2 + 2 * k3 + k4);
    t += h;
  }
  return t;
}
const after = (c: HeatCase, platenC: number, dwellS: number, place: Parameters<typeof coolingTimes>[2]) => {
  const sim = simulateHeat(c, setting(platenC, dwellS));
  const cells = sim.atOpening[1] ?? sim.atOpening[0];
  const span = sim.column.layers.find((l) => l.name === 'blank');
  const openC = cells?.[span?.from ?? 0] ?? 0;
  return { times: coolingTimes(c, sim, place), openC };
};

test('a thin panel in air cools as a lump by both faces', () => {
  const { times, openC } = after({ ...FLAT, wallMm: 1 }, 200, 90, 'air');
  const lump = lumpS(BODY.aluminium.capacity * 1e-3, 2, openC, TOUCH_SAFE_C);
  expect(Math.abs(times.touchS / lump - 1)).toBeLessThan(0.05);
});

test('the outer skin of a vacuum wall is touchable in about five minutes, by itself; a mug takes ten', () => {
  const skin = after(TUMBLER, 190, 65, 'air').times.touchS;
  expect(skin).toBeGreaterThan(220);
  expect(skin).toBeLessThan(380);
  const mug = after(MUG, 195, 200, 'air').times.touchS;
  expect(mug).toBeGreaterThan(480);
  expect(mug).toBeLessThan(900);
});

test('a thick board is hot at its face only: ten minutes or so, not hours', () => {
  const { touchS } = after({ ...FLAT, material: 'hardboard', wallMm: 19 }, 200, 100, 'air').times;
  expect(touchS).toBeGreaterThan(240);
  expect(touchS).toBeLessThan(900);
});

test('a cold plate takes heat away, a mat does not; what is thicker is hot for longer; marks come in their order', () => {
  const slate = (wallMm: number): HeatCase => ({ ...FLAT, material: 'slate', wallMm });
  const panel = { ...FLAT, wallMm: 1 };
  expect(after(panel, 200, 60, 'plate').times.touchS).toBeLessThan(
    0.5 * after(panel, 200, 60, 'mat').times.touchS,
  );
  expect(after(slate(10), 195, 400, 'air').times.touchS).toBeGreaterThan(
    after(slate(5), 195, 400, 'air').times.touchS,
  );
  for (const place of ['mat', 'plate', 'weight', 'air'] as const) {
    const { dyeStillS, touchS, packS } = after(slate(7), 195, 400, place).times;
    expect(dyeStillS).toBeLessThanOrEqual(touchS);
    expect(touchS).toBeLessThan(packS);
  }
  expect(PACK_C).toBeLessThan(TOUCH_SAFE_C);
});

test('its spread is that of a draughty and of a quiet room', () => {
  const sim = simulateHeat(FLAT, setting(200, 60));
  const { value, low, high } = coolingSpread(FLAT, sim, 'air');
  expect(low.touchS).toBeLessThan(value.touchS);
  expect(high.touchS).toBeGreaterThan(value.touchS);
});
