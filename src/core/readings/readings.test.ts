import fc from 'fast-check';
import { standardU } from '../figures/uncertain';
import type { Method, Place, Reading } from '../job/job';
import { readOne, readPlace, resolutionMm, scatterU, toSurface, uniformU, type Tape } from './readings';
import { parseLength } from '../units/parse';

const TAPE: Tape = { thicknessMm: 0.4, finestMm: 1, inchDenominator: 16, paperMm: 0.1 };
const reading = (text: string, method: Method = 'soft tape', bareUnit: 'mm' | 'in' = 'mm'): Reading => ({
  id: `r-${text.replace(/\W/g, '')}`,
  text,
  bareUnit,
  method,
});
const place = (texts: readonly string[], p: Place = 'girthTop', method: Method = 'soft tape') =>
  readPlace(
    p,
    texts.map((t) => reading(t, method)),
    TAPE,
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
  const surface = (raw: number, method: Method) => toSurface(raw, 0, method, 'girthTop', TAPE).value;
  test('every method finds the same surface of a known cylinder', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 95, noNaN: true }), (r) => {
        const truth = 2 * Math.PI * r;
        expect(surface(2 * Math.PI * (r + 0.2), 'soft tape')).toBeCloseTo(truth, 9);
        expect(surface(2 * Math.PI * (r + 0.05), 'paper strip')).toBeCloseTo(truth, 9);
        expect(surface(2 * r, 'caliper')).toBeCloseTo(truth, 9);
      }),
    );
  });
  test('a wall height is left as read', () => {
    expect(toSurface(193, 0.3, 'soft tape', 'wall', TAPE)).toEqual({
      value: 193,
      parts: { 'height reading': 0.3 },
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
  test('rounding to one mark does not average away; scatter adds to it', () => {
    const a = place(['231']);
    const b = place(['231', '231', '231']);
    const c = place(['230', '231', '232']);
    const own = (p: typeof a) => p.value?.parts['top girth'] ?? 0;
    expect(own(a)).toBeCloseTo(0.5 / Math.sqrt(3), 9);
    expect(own(b)).toBeCloseTo(own(a), 9);
    expect(own(c)).toBeCloseTo(Math.hypot(0.5 / Math.sqrt(3), 1 / Math.sqrt(3)), 9);
  });
  test('the tape’s own thickness is one error, however often it is used', () => {
    const many = place(['231', '231', '231', '231']);
    expect(Math.abs(many.value?.parts['tape thickness'] ?? 0)).toBeCloseTo(Math.PI * uniformU(0.1), 9);
    expect(standardU(many.value ?? { value: 0, parts: {} })).toBeGreaterThan(0.3);
  });
  test('scatter needs two', () => {
    expect(scatterU([3])).toBe(0);
    expect(scatterU([1, 3])).toBeCloseTo(1, 12);
  });
});

describe('slips', () => {
  const slip = (text: string, p: Place = 'girthTop', unit: 'mm' | 'in' = 'mm') => {
    const r = readOne(reading(text, 'soft tape', unit), p);
    return r.ok
      ? null
      : { suggestion: r.suggestion?.text ?? null, way: r.problem.wayOut, what: r.problem.what };
  };
  test('8.4 in millimetres: inches?', () => {
    expect(slip('8.4')?.suggestion).toBe('8.4 in');
    expect(slip('8.4')?.way).toBe('Did you mean 8.4 in?');
    expect(slip('8.4')?.what).toContain('too small');
  });
  test('213 in inches: millimetres?', () => expect(slip('213', 'girthTop', 'in')?.suggestion).toBe('213 mm'));
  test('21.3 in millimetres could be inches', () => expect(slip('21.3')?.suggestion).toBe('21.3 in'));
  test('nothing sensible: measure again', () => expect(slip('99999')?.way).toBe('Measure it again.'));
  test('a bad reading is kept, shown and not counted', () => {
    const p = place(['231', '8.4', 'wide']);
    expect(p.items).toHaveLength(3);
    expect(p.rawMeanMm).toBe(231);
    expect(p.items.filter((i) => i.problem)).toHaveLength(2);
  });
});
