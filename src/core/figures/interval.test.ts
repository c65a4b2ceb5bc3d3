import { seeded } from '../random/random';
import type { Method, Reading } from '../job/job';
import { rawsOf, readPlace } from '../readings/readings';
import { handsOf } from '../readings/repeats';
import { closingError, longFor19In20 } from '../wrap/error';
import { errorCdf, errorQuantile, reach95, within95 } from './interval';
import { measured, plus, type Uncertain } from './uncertain';
import { ALONE, CIRCUMFERENCE, TAPE } from '../readings/testPlaces';

const random = seeded(20261125);
const uniform = (half: number) => (2 * random() - 1) * half;
/** Box and Muller, 1958. */
const normal = (s: number) => s * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const PLAYS = 10_000;

describe('an error made of one wide uniform and the rest normal', () => {
  test('the limits: all normal, all uniform', () => {
    expect(within95(measured(10, 1, 'reading: x'))).toBeCloseTo(1.959964, 5);
    // A lone uniform of half-width a: 95 % lies within 0.95 a, and a = u √3.
    expect(within95(measured(10, 1, 'trim'))).toBeCloseTo(0.95 * Math.sqrt(3), 5);
    expect(reach95(measured(10, 1, 'trim'))).toBeCloseTo(0.9 * Math.sqrt(3), 5);
    expect(within95({ value: 3, parts: {} })).toBe(0);
  });
  test('played out ten thousand times, as many fall within as stated', () => {
    for (const [a, s] of [
      [1, 0.2],
      [1, 0.6],
      [0.3, 1],
    ] as const) {
      const shape = { uniformHalf: a, normalS: s };
      const limit = errorQuantile(shape, 0.975);
      let within = 0;
      for (let i = 0; i < PLAYS; i += 1) if (Math.abs(uniform(a) + normal(s)) <= limit) within += 1;
      expect(Math.abs(within / PLAYS - 0.95)).toBeLessThan(0.008);
      expect(errorCdf(shape, 0)).toBeCloseTo(0.5, 9);
      expect(errorCdf(shape, limit)).toBeCloseTo(0.975, 6);
    }
  });
});

/** Scatter of repeated readings, mm as read. */
const HAND: Readonly<Partial<Record<Method, number>>> = {
  'soft tape': 0.35,
  'paper strip': 0.25,
  string: 0.8,
  caliper: 0.1,
};

/** A reading of a known circumference, with all the errors a shop makes, written to the mark. */
function take(truth: number, method: Method, step: number, thickness: number, i: number): Reading {
  const raw =
    method === 'caliper'
      ? truth / Math.PI + normal(0.1)
      : truth + Math.PI * thickness + normal(HAND[method] ?? 0);
  return { id: `r${i}`, text: `${(Math.round(raw / step) * step).toFixed(4)} mm`, bareUnit: 'mm', method };
}

/** Written with four decimals but read to `step`: the plain number of marks, so that the resolution is the tape's. */
const toTheMark = (r: Reading): Reading => ({ ...r, text: String(Number(r.text.replace(' mm', ''))) });

describe('the stated 95 % interval holds the true circumference', () => {
  test.each<[Method, number, number, number]>([
    ['soft tape', 1, 0.1, 1],
    ['soft tape', 1, 0.1, 3],
    ['soft tape', 1, 0.1, 6],
    ['paper strip', 1, 0.02, 2],
    ['string', 1, 0.3, 2],
    ['caliper', 0.1, 0, 2],
  ])('%s read to %d mm, thickness known to ± %d, %d readings', (method, step, known, n) => {
    let held = 0;
    for (let i = 0; i < PLAYS; i += 1) {
      const truth = 200 + 80 * random();
      const nominal = method === 'string' ? 1.2 : method === 'paper strip' ? 0.1 : 0.4;
      const thickness = nominal + uniform(known);
      const readings = Array.from({ length: n }, (_, k) =>
        toTheMark(take(truth, method, step, thickness, k)),
      );
      const { value } = readPlace(CIRCUMFERENCE, readings, {
        ...ALONE,
        hands: handsOf([rawsOf(CIRCUMFERENCE, readings, TAPE)]),
      });
      if (value && Math.abs(value.value - truth) <= within95(value)) held += 1;
    }
    // Two standard errors of the plays either way.
    expect(held / PLAYS).toBeGreaterThanOrEqual(0.926);
    expect(held / PLAYS).toBeLessThanOrEqual(0.974);
  });
});

test('cut long as advised, the seam closes in 95 ± 1 of a hundred', () => {
  // Tape twice at each end, paper thickness, print scale, knife and hand: the errors the budget is made of.
  let closed = 0;
  for (let i = 0; i < PLAYS; i += 1) {
    const truth = 232;
    const thickness = 0.4 + uniform(0.1);
    const readings = [0, 1].map((i) => toTheMark(take(truth, 'soft tape', 1, thickness, i)));
    const circumference = readPlace(CIRCUMFERENCE, readings, {
      ...ALONE,
      hands: handsOf([rawsOf(CIRCUMFERENCE, readings, TAPE)]),
    }).value;
    if (!circumference) throw new Error('no circumference');
    const paper = 0.1 + uniform(0.02);
    const closing: Uncertain = plus(
      circumference,
      measured(Math.PI * 0.1, Math.PI * (0.02 / Math.sqrt(3)), 'paper thickness'),
    );
    const print = { scaleU: 0.0025 / Math.sqrt(3), shrinkU: 0 };
    const long = longFor19In20(closingError(closing, 'butt', print));
    const printed = (closing.value + long) * (1 + uniform(0.0025)) + uniform(0.5) + uniform(0.5);
    if (printed >= truth + Math.PI * paper) closed += 1;
  }
  expect(closed / PLAYS).toBeGreaterThanOrEqual(0.94);
  expect(closed / PLAYS).toBeLessThanOrEqual(0.96);
});
