import { normalCdf } from '../figures/normal';
import { exact, measured } from '../figures/uncertain';
import type { Method } from '../job/job';
import {
  handOf,
  handsOf,
  meanOfRepeats,
  mixtureU,
  roundingCorrelation,
  type RepeatsByMethod,
  type RawReading,
  type SurfaceReading,
} from './repeats';

const raw = (rawMm: number, method: Method = 'soft tape', stepMm = 1): RawReading => ({
  method,
  rawMm,
  stepMm,
});
const taken = (
  rawMm: number,
  method: Method = 'soft tape',
  over: Partial<SurfaceReading> = {},
): SurfaceReading => ({
  ...raw(rawMm, method),
  surface: exact(rawMm),
  factor: 1,
  ...over,
});
const Z = 1.959963984540054;

describe('what repeats say of a hand', () => {
  test('squares about the mean of each place, a degree of freedom less for each; methods and single readings apart', () => {
    const hands = handsOf([
      [raw(230), raw(232), raw(100, 'caliper', 0.1)],
      [raw(190), raw(190), raw(193)],
      [raw(50)],
    ]);
    // 1 + 1 about 231; 1 + 1 + 4 about 191.
    expect(hands['soft tape']).toEqual({ sumSquaresMm2: 8, freedom: 3, step2Mm2: 1 });
    expect(hands.caliper).toBeUndefined();
    expect(handsOf([[raw(1), raw(1)]])['soft tape']?.freedom).toBe(1);
  });

  test('the steps they were read to are averaged as squares, by how many repeats were read so', () => {
    const hands = handsOf([
      [raw(230, 'soft tape', 1), raw(231, 'soft tape', 1), raw(231, 'soft tape', 1)],
      [raw(190, 'soft tape', 3), raw(191, 'soft tape', 3)],
    ]);
    // Two free repeats at 1 mm, one at 3 mm: (2·1 + 1·9) / 3.
    expect(hands['soft tape']?.step2Mm2).toBeCloseTo(11 / 3, 12);
  });

  test('Bayes over the hands, by hand: prior as far as it is trusted, likelihood of a normal', () => {
    const [sumSquaresMm2, freedom, step2Mm2] = [6, 2, 1];
    const hands: RepeatsByMethod = { 'soft tape': { sumSquaresMm2, freedom, step2Mm2 } };
    const table = [
      [0.15, 5],
      [0.35, 8],
      [0.6, 14],
      [1, 42],
      [1.5, 12],
      [2.2, 11],
      [3.3, 10],
      [5, 6],
    ] as const;
    // Two free repeats of four: a quarter of the prior of every hand but the usual one.
    const weights = table.map(([times, prior]) => {
      const variance = (0.35 * times) ** 2 + 1 / 12;
      return (
        prior *
        (times === 1 ? 1 : 0.25) *
        variance ** (-freedom / 2) *
        Math.exp(-sumSquaresMm2 / (2 * variance))
      );
    });
    const all = weights.reduce((a, w) => a + w, 0);
    handOf('soft tape', hands).forEach((h, i) => {
      expect(h.sMm).toBeCloseTo(0.35 * (table[i]?.[0] ?? NaN), 12);
      expect(h.p).toBeCloseTo((weights[i] ?? NaN) / all, 9);
    });
  });

  test('a catalogue has no hand, repeats or not', () => {
    const hands: RepeatsByMethod = { 'maker’s figure': { sumSquaresMm2: 9, freedom: 9, step2Mm2: 0 } };
    expect(handOf('maker’s figure', hands)).toEqual([{ sMm: 0, p: 1 }]);
  });
});

describe('the standard deviation that stands for a mixture', () => {
  test('holds 95 %, wherever its parts lie, narrow or wide', () => {
    for (const parts of [
      [
        { p: 0.5, u: 1 },
        { p: 0.5, u: 10 },
      ],
      [
        { p: 0.9, u: 0.01 },
        { p: 0.1, u: 5 },
      ],
      [
        { p: 0.999, u: 3 },
        { p: 0.001, u: 300 },
      ],
    ]) {
      const x = Z * mixtureU(parts);
      const inside = parts.reduce((a, { p, u }) => a + p * (u === 0 ? 1 : 2 * normalCdf(x / u) - 1), 0);
      if (x > 0) expect(inside).toBeCloseTo(0.95, 6);
    }
  });
  test('parts that weigh nothing are nothing; of nothing it is nothing', () => {
    expect(
      mixtureU([
        { p: 1, u: 0.4 },
        { p: 1e-12, u: 99 },
      ]),
    ).toBe(0.4);
    expect(
      mixtureU([
        { p: 0.5, u: 0 },
        { p: 0.5, u: 0 },
      ]),
    ).toBe(0);
  });
});

test('rounding errors are alike by the series of Widrow and Kollár, within 0 and 1', () => {
  const series = (s: number, q: number) => {
    let sum = 0;
    for (let k = 1; k <= 200; k += 1)
      sum += Math.exp((-4 * Math.PI ** 2 * k * k * s * s) / (q * q)) / (k * k);
    return (6 / Math.PI ** 2) * sum;
  };
  for (const [s, q] of [
    [0.05, 1],
    [0.1, 1],
    [0.2, 2],
    [0.35, 1],
    [0.3, 2],
  ] as const)
    expect(roundingCorrelation(s, q)).toBeCloseTo(series(s, q), 3);
  expect(roundingCorrelation(0.3, 0)).toBe(0);
  expect(roundingCorrelation(1e-6, 1)).toBe(1);
});

describe('the mean of repeats, by hand', () => {
  const usualHand = (n: number, s: number, q: number) => {
    const alike = roundingCorrelation(s, q);
    return Math.sqrt((n * (s * s + (q * q * (1 - alike)) / 12) + (n * n * q * q * alike) / 12) / (n * n));
  };

  test('the hand averages out, the rounding as far as the hand scatters', () => {
    for (const n of [1, 2, 5]) {
      const u = meanOfRepeats(
        Array.from({ length: n }, () => taken(231)),
        'own',
        {},
        false,
      );
      expect(u.value).toBe(231);
      expect(Object.keys(u.parts)).toEqual(['own']);
      expect(u.parts.own).toBeCloseTo(usualHand(n, 0.35, 1), 12);
    }
  });

  test('across a diameter hand and rounding count π times', () => {
    const caliper = taken(73.4, 'caliper', { factor: Math.PI, stepMm: 0.1, surface: exact(73.4 * Math.PI) });
    expect(meanOfRepeats([caliper], 'own', {}, false).parts.own).toBeCloseTo(
      Math.PI * usualHand(1, 0.1, 0.1),
      9,
    );
  });

  test('where all places are of one width what is rounded alike is a source of its own, by the tool', () => {
    const n = 4;
    const u = meanOfRepeats(
      Array.from({ length: n }, () => taken(231)),
      'own',
      {},
      true,
    );
    const alike = roundingCorrelation(0.35, 1);
    expect(u.parts['rounding: soft tape']).toBeCloseTo(Math.sqrt(alike / 12), 12);
    expect(u.parts.own).toBeCloseTo(Math.sqrt((0.35 ** 2 + (1 - alike) / 12) / n), 12);
  });

  test('each method brings its own error; the errors of the surface stay their own sources', () => {
    const both = [
      taken(231, 'soft tape', { surface: measured(231, 0.2, 'tape thickness') }),
      taken(73.5, 'caliper', { stepMm: 0.1, factor: Math.PI, surface: exact(231) }),
    ];
    const u = meanOfRepeats(both, 'own', {}, true);
    expect(u.parts['tape thickness']).toBeCloseTo(0.1, 12);
    const tape = Math.sqrt(0.35 ** 2 + (1 - roundingCorrelation(0.35, 1)) / 12) / 2;
    const alike = roundingCorrelation(0.1, 0.1);
    const step2 = (Math.PI * 0.1) ** 2 / 12;
    const caliper = Math.sqrt((Math.PI * 0.1) ** 2 + step2 * (1 - alike)) / 2;
    expect(u.parts.own).toBeCloseTo(Math.hypot(tape, caliper), 9);
    expect(Object.keys(u.parts).sort()).toEqual([
      'own',
      'rounding: caliper',
      'rounding: soft tape',
      'tape thickness',
    ]);
  });

  test('a catalogue’s figure adds no scatter: nothing is said where there is nothing', () => {
    const u = meanOfRepeats([taken(231, 'maker’s figure', { stepMm: 0 })], 'own', {}, true);
    expect(u.parts).toEqual({});
  });
});

test('which of several readings was typed first changes nothing, also where their marks differ', () => {
  const some = [
    taken(213, 'soft tape', { stepMm: 1 }),
    taken(212.7, 'soft tape', { stepMm: 25.4 / 16 }),
    taken(213.4, 'soft tape', { stepMm: 0.1 }),
  ];
  const of = (list: readonly SurfaceReading[]) => meanOfRepeats(list, 'here', {}, false).parts.here ?? 0;
  for (const turned of [
    [1, 0, 2],
    [2, 1, 0],
    [1, 2, 0],
  ])
    expect(of(turned.map((i) => some[i] as SurfaceReading))).toBeCloseTo(of(some), 12);
  // Readings to other marks are rounded apart: together they say more than as many to one coarse mark.
  const coarse = some.map((t) => ({ ...t, stepMm: 25.4 / 16 }));
  expect(of(some)).toBeLessThan(of(coarse));
});
