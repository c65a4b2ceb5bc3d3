import fc from 'fast-check';
import { blurMm } from './blur';
import { PRESSURES } from '../../shop/heatSettings';

const at = (dwellS: number, passes = 1, pressure: (typeof PRESSURES)[number] = 'medium') =>
  blurMm({ dwellS, passes, pressure });
/** What is left when no time passes: the printed dot itself. */
const DOT = at(0);

test('a printed dot is a few hundredths of a millimetre wide before any heat', () => {
  expect(DOT).toBeGreaterThan(0.02);
  expect(DOT).toBeLessThan(0.12);
});

test('creep grows with the root of time: four times as long, twice as far', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 900 }), fc.constantFrom(...PRESSURES), (s, pressure) => {
      const [one, four] = [at(s, 1, pressure) - DOT, at(4 * s, 1, pressure) - DOT];
      return Math.abs(four - 2 * one) < 1e-9;
    }),
  );
});

test('two passes spread as far as one of twice the time', () => {
  expect(at(60, 2)).toBeCloseTo(at(120, 1), 12);
});

test('the firmer the hold, the less it creeps; loose tape no less than light pressure', () => {
  const order = (['light', 'light-medium', 'medium', 'medium-firm', 'firm'] as const).map((p) =>
    at(60, 1, p),
  );
  for (let i = 1; i < order.length; i += 1) expect(order[i]).toBeLessThan(order[i - 1] ?? NaN);
  expect(at(60, 1, 'tape')).toBeGreaterThanOrEqual(at(60, 1, 'light'));
});
