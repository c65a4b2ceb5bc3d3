import { verbatim } from '@/core/message/message';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { exact, measured, standardU } from '../figures/uncertain';
import type { Method, Reading } from '../job/job';
import type { PlaceSpec } from './places';
import { uniformU } from '../figures/uncertain';
import { rawsOf, readOne, readPlace, resolutionMm } from './readings';
import { normalCdf } from '../figures/normal';
import { handOf, handsOf, mixtureU, roundingCorrelation } from './repeats';
import { toSurface } from './surface';
import { parseLength } from '../units/parse';
import { ALONE, CIRCUMFERENCE, TAPE } from './testPlaces';

const HEIGHT: PlaceSpec = {
  ...CIRCUMFERENCE,
  id: 'wall',
  role: 'wall',
  name: verbatim('Height of the wall'),
  kind: 'length',
  minMm: 10,
  maxMm: 400,
};
const OWN = 'reading: rim';
const reading = (text: string, method: Method = 'soft tape', bareUnit: 'mm' | 'in' = 'mm'): Reading => ({
  id: `r-${text.replace(/\W/g, '')}`,
  text,
  bareUnit,
  method,
});
const place = (texts: readonly string[], p: PlaceSpec = CIRCUMFERENCE, method: Method = 'soft tape') =>
  readPlace(
    p,
    texts.map((t) => reading(t, method)),
    {
      ...ALONE,
      hands: handsOf([
        rawsOf(
          p,
          texts.map((t) => reading(t, method)),
          TAPE,
        ),
      ]),
    },
  );

describe('resolution', () => {
  const res = (text: string) => {
    const p = parseLength(text, 'mm');
    return p.ok ? resolutionMm(p.value, TAPE) : NaN;
  };
  test('a fraction that happened to reduce is still read to the tape’s mark', () => {
    expect(res('8 1/4')).toBeCloseTo(25.4 / 16, 9);
    expect(res('8 4/16')).toBeCloseTo(25.4 / 16, 9);
    expect(res('8 in')).toBeCloseTo(25.4 / 16, 9);
  });
  test('a finer fraction is believed', () => expect(res('8 5/64')).toBeCloseTo(25.4 / 64, 9));
  test('decimals are read to their last place', () => {
    expect(res('21.3 cm')).toBeCloseTo(1, 9);
    expect(res('8.37 in')).toBeCloseTo(0.254, 9);
  });
});

describe('method corrections', () => {
  const surface = (raw: number, method: Method) =>
    toSurface(exact(raw), method, CIRCUMFERENCE, TAPE, exact(0)).value;
  test('every method finds the same surface of a known cylinder', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 95, noNaN: true }), (r) => {
        const truth = 2 * Math.PI * r;
        expect(surface(2 * Math.PI * (r + 0.2), 'soft tape')).toBeCloseTo(truth, 9);
        expect(surface(2 * Math.PI * (r + 0.05), 'paper strip')).toBeCloseTo(truth, 9);
        expect(surface(2 * Math.PI * (r + 0.6), 'string')).toBeCloseTo(truth, 9);
        expect(surface(2 * r, 'caliper')).toBeCloseTo(truth, 9);
        expect(surface(2 * r, 'maker’s figure')).toBeCloseTo(truth, 9);
      }),
    );
  });
  test('a wall height is left as read', () => {
    expect(toSurface(exact(193), 'soft tape', HEIGHT, TAPE, exact(0))).toEqual({ value: 193, parts: {} });
  });
  test('from handle to handle, only the share of the round is corrected; a caliper leaves the handle out', () => {
    const gap = measured(16, 0.4, 'reading: width of the handle');
    // An arc of angle φ at r under a tape of thickness t reads φ (r + t/2).
    const r = 41;
    const arc = 2 * Math.PI * r - 16;
    const angle = arc / r;
    expect(toSurface(exact(angle * (r + 0.2)), 'soft tape', CIRCUMFERENCE, TAPE, gap).value).toBeCloseTo(
      arc,
      2,
    );
    expect(toSurface(exact(2 * r), 'caliper', CIRCUMFERENCE, TAPE, gap).value).toBeCloseTo(arc, 9);
    // What is not known of the handle is not known of what is left beside it, and is whole again with the handle.
    expect(toSurface(exact(2 * r), 'caliper', CIRCUMFERENCE, TAPE, gap).parts).toEqual({
      'reading: width of the handle': -0.4,
    });
  });
});

describe('several readings of one place', () => {
  test('mixed units average', () => {
    const p = place(['9 1/8', '231.8', '23.2 cm']);
    expect(p.value?.value).toBeCloseTo((231.775 + 231.8 + 232) / 3 - Math.PI * 0.4, 6);
  });
  test('one that stands apart is asked about and still counted', () => {
    const p = place(['231', '232', '240']);
    expect(p.items.map((i) => i.odd)).toEqual([false, false, true]);
    expect(p.rawMeanMm).toBeCloseTo(703 / 3, 9);
  });
  const own = (p: ReturnType<typeof place>) => p.value?.parts[OWN] ?? 0;
  test('one reading has the usual scatter of its method, and its rounding', () => {
    // 1 mm marks and 0.35 mm of hand: s² + q²/12.
    expect(own(place(['231']))).toBeCloseTo(Math.sqrt(0.35 ** 2 + 1 / 12), 9);
  });
  test('repeats that agree promise more than one reading, and never more than rounding leaves; repeats apart promise less', () => {
    const four = own(place(['231', '231', '231', '231']));
    expect(four).toBeLessThan(own(place(['231'])));
    // Of a hand that never leaves the mark nothing averages: a uniform of half a millimetre.
    const twenty = own(place(Array.from({ length: 20 }, () => '231')));
    expect(twenty).toBeGreaterThan(0.75 / Math.sqrt(12));
    expect(twenty).toBeLessThanOrEqual(1 / Math.sqrt(12) + 1e-9);
    expect(own(place(['230', '231', '232']))).toBeGreaterThan(own(place(['231', '231', '231'])));
    expect(own(place(['229.5', '231', '232.5']))).toBeGreaterThan(own(place(['230.8', '231', '231.2'])));
  });
  test('repeats of a whole job speak: a hand loose at the rim is loose at the foot', () => {
    const loose = handsOf([
      [229, 231, 233, 230.2, 232.1].map((rawMm) => ({ method: 'soft tape' as const, rawMm, stepMm: 1 })),
    ]);
    const alone = readPlace(CIRCUMFERENCE, [reading('231')], ALONE);
    const beside = readPlace(CIRCUMFERENCE, [reading('231')], { ...ALONE, hands: loose });
    expect(beside.value?.parts[OWN]).toBeGreaterThan(2 * (alone.value?.parts[OWN] ?? 0));
  });
  test('what is believed of a hand: the usual one until repeats say otherwise, then what they say', () => {
    expect(handOf('soft tape', {})).toEqual([{ sMm: 0.35, p: 1 }]);
    const many = (sMm: number) => ({
      'soft tape': { sumSquaresMm2: 200 * (sMm ** 2 + 1 / 12), freedom: 200, step2Mm2: 1 },
    });
    const likeliest = (s: number) =>
      [...handOf('soft tape', many(s))].sort((a, b) => b.p - a.p)[0] ?? { sMm: 0, p: 0 };
    expect(likeliest(0.77)).toMatchObject({ sMm: expect.closeTo(0.77, 9) });
    expect(likeliest(0.77).p).toBeGreaterThan(0.99);
    const sum = handOf('soft tape', many(0.5)).reduce((a, h) => a + h.p, 0);
    expect(sum).toBeCloseTo(1, 12);
  });
  test('the interval of a mixture holds 95 % of it', () => {
    expect(mixtureU([{ p: 1, u: 0.4 }])).toBe(0.4);
    const mix = [
      { p: 0.7, u: 0.3 },
      { p: 0.25, u: 1.1 },
      { p: 0.05, u: 0 },
    ];
    const x = 1.959963984540054 * mixtureU(mix);
    const inside = mix.reduce((a, m) => a + m.p * (m.u === 0 ? 1 : 2 * normalCdf(x / m.u) - 1), 0);
    expect(inside).toBeCloseTo(0.95, 8);
  });
  test('rounding errors of repeats: all alike for a steady hand, unlike for a loose one', () => {
    expect(roundingCorrelation(0, 1)).toBe(1);
    expect(roundingCorrelation(1, 1)).toBeLessThan(1e-12);
    expect(roundingCorrelation(0.35, 1)).toBeCloseTo(
      (6 / Math.PI ** 2) * Math.exp(-4 * Math.PI ** 2 * 0.1225),
      4,
    );
  });
  test('the tape’s own thickness is one error, however often it is used', () => {
    const many = place(['231', '231', '231', '231']);
    expect(Math.abs(many.value?.parts['tape thickness'] ?? 0)).toBeCloseTo(Math.PI * uniformU(0.1), 9);
    expect(standardU(many.value ?? { value: 0, parts: {} })).toBeGreaterThan(0.2);
  });
});

describe('slips', () => {
  const slip = (text: string, p: PlaceSpec = CIRCUMFERENCE, unit: 'mm' | 'in' = 'mm') => {
    const r = readOne(reading(text, 'soft tape', unit), p);
    return r.ok
      ? null
      : {
          suggestion: r.suggestion?.text ?? null,
          way: english.text(r.problem.wayOut),
          what: english.text(r.problem.what),
        };
  };
  test('a vulgar fraction is kept whole in what is suggested', () =>
    expect(slip('18⅜', CIRCUMFERENCE, 'mm')?.suggestion ?? null).toBeNull());
  test('8.4 in millimetres: inches?', () => {
    expect(slip('8.4')?.suggestion).toBe('8.4 in');
    expect(inEnglish(slip('8.4')?.way)).toBe('Did you mean 8.4 in?');
    expect(inEnglish(slip('8.4')?.what)).toContain('too small');
  });
  test('213 in inches: millimetres?', () =>
    expect(slip('213', CIRCUMFERENCE, 'in')?.suggestion).toBe('213 mm'));
  test('21.3 in millimetres could be inches', () => expect(slip('21.3')?.suggestion).toBe('21.3 in'));
  test('nothing sensible: measure again', () =>
    expect(inEnglish(slip('99999')?.way)).toBe('Measure it again.'));
  test('a bad reading is kept, shown and not counted', () => {
    const p = place(['231', '8.4', 'wide']);
    expect(p.items).toHaveLength(3);
    expect(p.rawMeanMm).toBe(231);
    expect(p.items.filter((i) => i.problem)).toHaveLength(2);
  });
});

describe('what a place can be', () => {
  const at = (mm: number, method: Method = 'soft tape', p: PlaceSpec = CIRCUMFERENCE) =>
    readOne(reading(String(mm), method), p);

  test('its least and its most are believed, a hair beyond is not', () => {
    for (const mm of [60, 640]) expect(at(mm).ok).toBe(true);
    for (const mm of [59.9, 640.1]) expect(at(mm).ok).toBe(false);
  });

  test('a diameter is judged as the circumference it makes, less the handle', () => {
    // 60 mm round with a handle of 16 mm: 76/π = 24.2 mm across.
    const handled = { ...CIRCUMFERENCE, gapMm: 16 };
    expect(at(24.3, 'caliper', handled).ok).toBe(true);
    expect(at(24.1, 'caliper', handled).ok).toBe(false);
    expect(at(200, 'caliper').ok).toBe(true);
    expect(at(210, 'caliper').ok).toBe(false);
    expect(at(20, 'caliper').ok).toBe(true);
    // Of a length a caliper reads the length.
    expect(at(30, 'caliper', HEIGHT).ok).toBe(true);
    expect(at(200, 'maker’s figure', HEIGHT).ok).toBe(true);
  });

  test.each([
    ['8.4', 'mm', 'small', '8.4 in'],
    ['23.1', 'mm', 'small', '23.1 in'],
    ['2.31', 'mm', 'small', null],
    ['9000 mm', 'mm', 'large', null],
    ['231 in', 'mm', 'large', '231 mm'],
    ['91 in', 'mm', 'large', '91 mm'],
    ['26 in', 'in', 'large', '26 cm'],
    ['231 cm', 'mm', 'large', '231 mm'],
    ['5 cm', 'mm', 'small', '5 in'],
    ['1/2', 'in', 'small', null],
  ] as const)('%s, bare numbers %s: too %s, meant %s', (text, unit, size, meant) => {
    const r = readOne(reading(text, 'soft tape', unit), CIRCUMFERENCE);
    if (r.ok) throw new Error('believed');
    expect(inEnglish(r.problem.what)).toContain(`too ${size}`);
    expect(r.suggestion?.text ?? null).toBe(meant);
    if (r.suggestion) {
      const again = readOne(reading(r.suggestion.text), CIRCUMFERENCE);
      expect(again.ok && again.value.valueMm).toBeCloseTo(r.suggestion.valueMm, 6);
    }
  });

  test('the unit it was read in is named', () => {
    const what = (text: string) => {
      const r = readOne(reading(text), CIRCUMFERENCE);
      return r.ok ? '' : english.text(r.problem.what);
    };
    expect(inEnglish(what('9000'))).toBe('9000 read as mm is too large for this.');
    expect(inEnglish(what('999 cm'))).toContain('read as cm');
    expect(inEnglish(what('999 in'))).toContain('read as inches');
  });
});

describe('readings taken together', () => {
  test('each keeps what it read and what that is on the wall; one that cannot be read has neither', () => {
    const p = place(['231', 'wide']);
    expect(p.items[0]).toMatchObject({
      rawMm: 231,
      surfaceMm: expect.closeTo(231 - Math.PI * 0.4, 9) as number,
      odd: false,
    });
    expect(p.items[1]).toMatchObject({ rawMm: null, surfaceMm: null, suggestion: null, odd: false });
    expect(p.correctionMm).toBeCloseTo(-Math.PI * 0.4, 9);
  });

  test('nothing read is no value and no correction', () => {
    expect(place(['wide'])).toMatchObject({ value: null, rawMeanMm: null, correctionMm: 0 });
    expect(place([])).toMatchObject({ value: null, items: [] });
  });

  test('three millimetres from the middle is not odd, more is; one alone never is', () => {
    expect(place(['231', '231', '234']).items.map((i) => i.odd)).toEqual([false, false, false]);
    expect(place(['231', '231', '234.1']).items.map((i) => i.odd)).toEqual([false, false, true]);
    expect(place(['300']).items.map((i) => i.odd)).toEqual([false]);
  });

  test('what is rounded alike is distinguished only for circumferences of one width', () => {
    const sources = (p: PlaceSpec, sameWidth: boolean) =>
      Object.keys(readPlace(p, [reading('231'), reading('231')], { ...ALONE, sameWidth }).value?.parts ?? {});
    expect(sources(CIRCUMFERENCE, true)).toContain('rounding: soft tape');
    expect(sources(CIRCUMFERENCE, false)).not.toContain('rounding: soft tape');
    expect(sources({ ...HEIGHT, maxMm: 400 }, true)).not.toContain('rounding: soft tape');
  });

  test('a catalogue’s figure has no mark it was read to, and readings that cannot be are left out of the hand', () => {
    expect(rawsOf(CIRCUMFERENCE, [reading('73.4', 'maker’s figure'), reading('8.4')], TAPE)).toEqual([
      { method: 'maker’s figure', rawMm: 73.4, stepMm: 0 },
    ]);
  });

  test('a maker’s figure of a length is good to a millimetre; a rule reads the wall as it is', () => {
    const maker = toSurface(exact(193), 'maker’s figure', HEIGHT, TAPE, exact(0));
    expect(maker).toEqual({ value: 193, parts: { 'maker’s figure: wall': uniformU(1) } });
    expect(toSurface(exact(231), 'steel rule', CIRCUMFERENCE, TAPE, exact(0))).toEqual({
      value: 231,
      parts: {},
    });
  });

  test('a fraction finer than the tape’s marks is read as written, a coarser one to the marks', () => {
    const step = (text: string) => rawsOf(CIRCUMFERENCE, [reading(text)], TAPE)[0]?.stepMm;
    expect(step('9 1/8')).toBeCloseTo(25.4 / 16, 9);
    expect(step('9 1/32')).toBeCloseTo(25.4 / 32, 9);
    expect(step('231')).toBe(1);
  });
});
