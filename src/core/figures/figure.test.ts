import { verbatim } from '@/core/message/message';
import { inEnglish } from '@/words/inEnglish';
import { JOB_STEPS } from './jobSteps';
import { LEVEL_ORDER, figure, uncertaintyOf, worstFirst, type Finding } from './figure';
import { improvements } from './improve';
import { within95 } from './interval';
import { exact, measured, plus } from './uncertain';

const finding = (id: string, level: Finding['level']): Finding => ({
  id,
  step: 'wrap',
  level,
  text: verbatim(id),
});

test('findings come worst first and otherwise in their order', () => {
  const given = [
    finding('a', 'info'),
    finding('b', 'warning'),
    finding('c', 'blocker'),
    finding('d', 'warning'),
    finding('e', 'info'),
  ];
  expect(worstFirst(given).map((f) => f.id)).toEqual(['c', 'b', 'd', 'a', 'e']);
  expect(given.map((f) => f.id)).toEqual(['a', 'b', 'c', 'd', 'e']);
  expect(LEVEL_ORDER.blocker).toBeLessThan(LEVEL_ORDER.warning);
});

test('uncertainty lists its large sources in words of the trade; small ones are left out', () => {
  const value = plus(
    plus(measured(100, 1, 'print scale'), measured(0, 0.5, 'trim')),
    measured(0, 0.1, 'placement'),
  );
  const shown = uncertaintyOf(value);
  expect(shown.standardU).toBeCloseTo(Math.sqrt(1.26), 12);
  const improve = improvements(value, within95);
  expect(inEnglish(improve.map((i) => i.label))).toEqual(['print scale', 'knife']);
  expect(improve[0]?.share).toBeCloseTo(1 / 1.26, 12);
  expect(uncertaintyOf(exact(3))).toEqual({
    standardU: 0,
    within95: 0,
    error: { asks: 'within', parts: {} },
  });
  expect(improvements(exact(3), within95)).toEqual([]);
});

test('a source nobody has named still shows', () => {
  const [only] = improvements(measured(1, 1, 'the moon'), within95);
  expect(inEnglish(only)).toMatchObject({ label: 'the moon', share: 1 });
  // Repeats leave 1/√2 of 1.96.
  expect(only?.buys).toBeCloseTo(1.959964 * (1 - Math.SQRT1_2), 5);
});

test('a bare figure has no arithmetic and no inputs', () => {
  const f = figure({
    id: 'x',
    label: verbatim('X'),
    quantity: { kind: 'ratio', value: 1 },
    origin: 'measured',
    working: verbatim('w'),
  });
  expect(f).toMatchObject({ arithmetic: [], inputs: [] });
  expect(JOB_STEPS).toHaveLength(8);
});
