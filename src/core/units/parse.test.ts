import fc from 'fast-check';
import { parseDuration, parseLength, parseTemperature } from './parse';
import { inchFraction } from './format';

const mmOf = (text: string, bare: 'mm' | 'in' = 'mm') => {
  const r = parseLength(text, bare);
  return r.ok ? r.value.valueMm : r.problem.what;
};

describe('lengths as people write them', () => {
  test.each([
    ['8 3/8', 212.725],
    ['8-3/8"', 212.725],
    ['8⅜', 212.725],
    ['8 ⅜ in', 212.725],
    ['3/8', 9.525],
    ['½"', 12.7],
    ['8.375 in', 212.725],
    ['8.375”', 212.725],
    ['213', 213],
    ['213mm', 213],
    ['21.3 cm', 213],
    ['21,3 cm', 213],
    [' 213.5 ', 213.5],
    ['9–1/8', 231.775],
  ])('%s is %d mm', (text, expected) => {
    expect(mmOf(text)).toBeCloseTo(expected, 9);
  });

  test('a bare number is in the unit fixed when it was typed', () => {
    expect(mmOf('9', 'in')).toBeCloseTo(228.6, 9);
    expect(mmOf('9', 'mm')).toBe(9);
  });

  test.each([
    '',
    'wide',
    '8 3',
    '8 9/8',
    '8 3/0',
    '-5',
    '0',
    '0 in',
    '8 3/8 mm',
    '12 furlongs',
    '1,234',
    '--',
    '1/2/3',
  ])('“%s” is refused with what, where and a way out', (text) => {
    const r = parseLength(text, 'mm', 'Girth near the rim');
    expect(r.ok).toBe(false);
    if (r.ok) return;
    expect(r.problem.where).toBe('Girth near the rim');
    expect(r.problem.what.length).toBeGreaterThan(5);
    expect(r.problem.wayOut.length).toBeGreaterThan(5);
  });

  test('every fraction on a 1/64 tape reads back as written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 64 * 30 }),
        fc.constantFrom(8, 16, 32, 64),
        (ticks, denominator) => {
          const inches = ticks / denominator;
          const text = inchFraction(inches, denominator);
          const back = parseLength(`${text} in`, 'mm');
          expect(back.ok && back.value.valueMm).toBeCloseTo(inches * 25.4, 9);
        },
      ),
    );
  });

  test('any text at all gives a positive length or a problem, never an exception', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), (text) => {
        const r = parseLength(text, 'mm');
        if (r.ok) expect(r.value.valueMm).toBeGreaterThan(0);
        else expect(r.problem.wayOut).not.toBe('');
      }),
    );
  });

  test('how it was written sets the step it can be trusted to', () => {
    const step = (t: string) => {
      const r = parseLength(t, 'mm');
      return r.ok ? [r.value.written, r.value.writtenStepMm] : null;
    };
    expect(step('21.3 cm')).toEqual(['decimal', expect.closeTo(1, 9)]);
    expect(step('213.5')).toEqual(['decimal', expect.closeTo(0.1, 9)]);
    expect(step('213')).toEqual(['whole', 1]);
    expect(step('8 5/32')).toEqual(['fraction', expect.closeTo(25.4 / 32, 9)]);
  });
});

describe('temperatures and times', () => {
  const c = (t: string, bare: 'C' | 'F' = 'C') => {
    const r = parseTemperature(t, bare);
    return r.ok ? r.value : r.problem.wayOut;
  };
  test('Celsius and Fahrenheit', () => {
    expect(c('188')).toBe(188);
    expect(c('370F')).toBeCloseTo(187.7778, 3);
    expect(c('370', 'F')).toBeCloseTo(187.7778, 3);
    expect(c('188 °C', 'F')).toBe(188);
  });
  test('a Fahrenheit figure typed as Celsius is asked about', () => {
    expect(c('370')).toContain('370 F');
    expect(c('hot')).toContain('188 C');
    expect(c('-4')).toContain('205');
  });
  test.each([
    ['65', 65],
    ['65 s', 65],
    ['1:05', 65],
    ['2 min', 120],
    ['1 min 5', 65],
    ['1.5 min', 90],
  ])('%s is %d s', (text, s) => {
    expect(parseDuration(text)).toEqual({ ok: true, value: s });
  });
  test.each(['', '1:75', 'soon', '0', '9000'])('time “%s” is refused', (text) => {
    expect(parseDuration(text).ok).toBe(false);
  });
});
