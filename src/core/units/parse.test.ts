import { mm } from '../message/quantity';
import { INTL_LOCALE, LOCALES } from '@/words/locale';
import { allOf } from '@/words/all';
import { createWriter } from '@/words/writer';
import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { parseDuration, parseLength, parseTemperature } from './parse';
import { formatDuration, inchFraction, METRIC } from './format';

const mmOf = (text: string, bare: 'mm' | 'in' = 'mm') => {
  const r = parseLength(text, bare);
  return r.ok ? r.value.valueMm : english.text(r.problem.what);
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
    ['1.25 m', 1250],
    ['0,8 m', 800],
    ['3 ft', 914.4],
    ['2 ft 3 in', 685.8],
    ['2\' 3 1/2"', 698.5],
    ['2’ 3½”', 698.5],
    ['1 foot 6', 457.2],
    ['8 3/8 pulgadas', 212.725],
    ['21,3 centímetros', 213],
    ['2 pies 3 pulg', 685.8],
  ])('%s is %d mm', (text, expected) => {
    expect(mmOf(text)).toBeCloseTo(expected, 9);
  });

  test('what any language writes is read again', () => {
    const inches = { ...METRIC, length: 'in', inchDenominator: 64 } as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...LOCALES),
        fc.boolean(),
        fc.double({ min: 1, max: 900, noNaN: true }),
        (locale, metric, lengthMm) => {
          const { quantity } = createWriter(allOf(locale), metric ? METRIC : inches, INTL_LOCALE[locale]);
          const read = mmOf(quantity(mm(lengthMm)));
          expect(Math.abs(Number(read) - lengthMm)).toBeLessThanOrEqual(metric ? 0.051 : 25.4 / 128 + 1e-9);
        },
      ),
    );
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
    '⅜8',
    '8⅜5',
    '8⅜ 5',
    '⅜½',
    '8--3/8',
    '8 - - 3/8',
    '−8',
    '2\' 14"',
    "2' 3 mm",
  ])('“%s” is refused with what, where and a way out', (text) => {
    const r = parseLength(text, 'mm', 'Circumference near the rim');
    expect(r.ok).toBe(false);
    if (r.ok) return;
    expect(inEnglish(r.problem.where)).toBe('Circumference near the rim');
    expect(english.text(r.problem.what).length).toBeGreaterThan(5);
    expect(english.text(r.problem.wayOut).length).toBeGreaterThan(5);
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

  test.each([
    ['1,234', 'in'],
    ['1,234', 'mm'],
    ['8,375 in', 'mm'],
    ['8 -3/8', 'in'],
    ['8 - 3/8', 'in'],
    ['8 −3/8', 'in'],
  ] as const)('“%s” can be read two ways and is refused', (text, bare) => {
    expect(parseLength(text, bare).ok).toBe(false);
  });

  test('a dash joins inches and their fraction; a decimal comma with one, two or four places is one', () => {
    const value = (text: string) => {
      const r = parseLength(text, 'in');
      return r.ok ? r.value.valueMm / 25.4 : null;
    };
    expect([value('8-3/8'), value('8 3/8'), value('8,37'), value('8,3')]).toEqual(
      [8.375, 8.375, 8.37, 8.3].map((v) => expect.closeTo(v, 9) as number),
    );
  });

  test('any text at all gives a positive length or a problem, never an exception', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), (text) => {
        const r = parseLength(text, 'mm');
        if (r.ok) expect(r.value.valueMm).toBeGreaterThan(0);
        else expect(english.text(r.problem.wayOut)).not.toBe('');
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
    return r.ok ? r.value : english.text(r.problem.wayOut);
  };
  test('Celsius and Fahrenheit', () => {
    expect(c('188')).toBe(188);
    expect(c('370F')).toBeCloseTo(187.7778, 3);
    expect(c('370', 'F')).toBeCloseTo(187.7778, 3);
    expect(c('188 °C', 'F')).toBe(188);
  });
  test('a Fahrenheit figure typed as Celsius is asked about', () => {
    expect(inEnglish(c('370'))).toContain('370 F');
    expect(inEnglish(c('hot'))).toContain('188 C');
    expect(inEnglish(c('-4'))).toContain('205');
  });
  test.each([
    ['65', 65],
    ['65 s', 65],
    ['1:05', 65],
    ['2 min', 120],
    ['1 min 5', 65],
    ['1.5 min', 90],
    ['2 minutes', 120],
    ['1 minute 5 seconds', 65],
    ['12.5 s', 12.5],
    ['3:45 min', 225],
    ['1 h 01 min', 3660],
    ['1 h', 3600],
    ['1 hour 30', 5400],
    ['1.5 h', 5400],
    ['1,25 hours', 4500],
    ['1:00:00', 3600],
    ['0:01:05', 65],
    ['1 h 5 s', 3605],
    ['1 h 2 min 3 s', 3723],
    ['1 minuto 5 segundos', 65],
    ['1 hora 30', 5400],
  ])('%s is %d s', (text, s) => {
    expect(parseDuration(text)).toEqual({ ok: true, value: s });
  });
  test.each([
    '',
    '1:75',
    'soon',
    '0',
    '9000',
    '5 min 99',
    '1 h 75',
    '2 min 5 h',
    '1.5.5 s',
    '1:60:00',
    '1:00:60',
    '3:00:00',
    '1.5 h 5',
  ])('time “%s” is refused', (text) => {
    expect(parseDuration(text).ok).toBe(false);
  });
});

test('every time the product writes is read back as it stood', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 7200 }), (s) => {
      const { number, unit } = formatDuration(s);
      const back = parseDuration(`${number} ${unit}`);
      // From an hour on it is written to the minute.
      expect(back).toEqual({ ok: true, value: s < 3600 ? s : Math.min(7200, Math.round(s / 60) * 60) });
    }),
  );
});
