import fc from 'fast-check';
import { seeded } from '../random/random';
import { normalCdf, normalQuantile } from './normal';
import { budget, exact, meanOf, measured, minus, plus, scaled, shifted, standardU, times } from './uncertain';

const value = fc.double({ min: -1000, max: 1000, noNaN: true });
const u = fc.double({ min: 0.001, max: 10, noNaN: true });

test('independent sources add in quadrature, one source cancels itself', () => {
  fc.assert(
    fc.property(value, value, u, u, (a, b, ua, ub) => {
      const x = measured(a, ua, 'x');
      const y = measured(b, ub, 'y');
      expect(standardU(plus(x, y))).toBeCloseTo(Math.hypot(ua, ub), 9);
      expect(standardU(minus(x, y))).toBeCloseTo(Math.hypot(ua, ub), 9);
      expect(standardU(minus(x, x))).toBe(0);
      expect(standardU(plus(x, x))).toBeCloseTo(2 * ua, 9);
      expect(standardU(scaled(x, -3))).toBeCloseTo(3 * ua, 9);
      expect(standardU(shifted(x, 7))).toBeCloseTo(ua, 12);
    }),
  );
});

test('a product follows the first-order rule', () => {
  const p = times(measured(3, 0.1, 'x'), measured(5, 0.2, 'y'));
  expect(p.value).toBe(15);
  expect(standardU(p)).toBeCloseTo(Math.hypot(5 * 0.1, 3 * 0.2), 12);
});

test('the mean of n independent readings shrinks as 1/√n', () => {
  const m = meanOf(measured(10, 1, 'a'), measured(20, 1, 'b'), measured(30, 1, 'c'), measured(40, 1, 'd'));
  expect(m.value).toBe(25);
  expect(standardU(m)).toBeCloseTo(0.5, 12);
});

test('first-order propagation agrees with a simulation', () => {
  const random = seeded(5);
  const uniform = (half: number) => (random() * 2 - 1) * half;
  const n = 40_000;
  const xs = Array.from({ length: n }, () => 2 * (10 + uniform(0.3)) - Math.PI * (1 + uniform(0.2)));
  const mean = xs.reduce((a, b) => a + b, 0) / n;
  const sd = Math.sqrt(xs.reduce((a, x) => a + (x - mean) ** 2, 0) / n);
  const model = minus(
    scaled(measured(10, 0.3 / Math.sqrt(3), 'x'), 2),
    scaled(measured(1, 0.2 / Math.sqrt(3), 'y'), Math.PI),
  );
  expect(mean).toBeCloseTo(model.value, 1);
  expect(sd / standardU(model)).toBeGreaterThan(0.985);
  expect(sd / standardU(model)).toBeLessThan(1.015);
});

test('the budget names the largest first and shares the variance out whole', () => {
  const lines = budget(plus(plus(measured(0, 3, 'small'), measured(0, 4, 'large')), exact(5)));
  expect(lines.map((l) => l.source)).toEqual(['large', 'small']);
  expect(lines[0]?.share).toBeCloseTo(16 / 25, 12);
  expect(lines.reduce((s, l) => s + l.share, 0)).toBeCloseTo(1, 12);
  expect(budget(exact(3))).toEqual([]);
});

// Independent values: mpmath 1.3, 40 digits.
test.each([
  [-37, 5.7255712225245768227e-300],
  [-20, 2.7536241186062336951e-89],
  [-8, 6.2209605742717841235e-16],
  [-6.5, 4.0160005838591178083e-11],
  [-5.66, 7.5686497519977137143e-9],
  [-4, 0.000031671241833119921254],
  [-2.5, 0.006209665325776135167],
  [-1.96, 0.024997895148220436213],
  [-1, 0.15865525393145705141],
  [-0.7, 0.24196365222307302862],
  [-0.6, 0.27425311775007358769],
  [-0.1, 0.46017216272297101633],
  [1e-9, 0.5000000003989422804],
  [0.3, 0.61791142218895263307],
  [0.67, 0.74857110490468989845],
  [0.68, 0.75174776954642948657],
  [1.2, 0.88493032977829172335],
  [3, 0.99865010196836990547],
  [5.6, 0.99999998928240974169],
  [5.7, 0.99999999400962859894],
  [7.5, 0.99999999999996809108],
])('Φ(%d) to 14 digits', (z, p) => {
  expect(Math.abs(normalCdf(z) / p - 1)).toBeLessThan(1e-14);
});

// Reference values: NIST/SEMATECH e-Handbook, table 1.3.6.7.1.
test.each([
  [0, 0.5],
  [1, 0.841344746068543],
  [1.645, 0.950015094460879],
  [1.959963984540054, 0.975],
  [-2.5, 0.00620966532577614],
])('Φ(%d)', (z, p) => {
  expect(normalCdf(z)).toBeCloseTo(p, 10);
});

test('quantile undoes the distribution', () => {
  fc.assert(
    fc.property(fc.double({ min: -4.5, max: 4.5, noNaN: true }), (z) => {
      expect(normalQuantile(normalCdf(z))).toBeCloseTo(z, 6);
    }),
  );
  expect(normalQuantile(0.95)).toBeCloseTo(1.6448536269514722, 10);
  expect(normalQuantile(0)).toBe(-6);
  expect(normalQuantile(1)).toBe(6);
});
