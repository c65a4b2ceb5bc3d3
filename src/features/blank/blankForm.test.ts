import { STARTER_BLANKS } from '@/core/demo/things';
import { blankSchema } from '@/core/shop/blank';
import { blankFormSchema, fromForm, toForm } from './blankForm';

const METRIC = { length: 'mm', temperature: 'C', inchDenominator: 16 } as const;
const INCHES = { length: 'in', temperature: 'F', inchDenominator: 64 } as const;

test('every starter blank goes through the form and back unchanged', () => {
  for (const blank of STARTER_BLANKS) {
    const read = blankFormSchema('mm').safeParse(toForm(blank, METRIC));
    if (!read.success) throw new Error(`${blank.name}: ${read.error.issues[0]?.message}`);
    expect(blankSchema.parse(fromForm(read.data, blank.id, blank.keepClear))).toEqual(
      blankSchema.parse(blank),
    );
  }
});

test('in inches it comes back within half a mark of the tape', () => {
  for (const blank of STARTER_BLANKS) {
    const read = blankFormSchema('in').safeParse(toForm(blank, INCHES));
    expect(read.success && Math.abs(read.data.diameterMm - blank.shape.diameterMm)).toBeLessThanOrEqual(
      25.4 / 128 + 1e-9,
    );
  }
});

test('what is wrong is said at its field', () => {
  const start = { ...toForm(null, METRIC), name: 'x', diameterMm: '74', heightMm: '200' };
  const wrong = (over: Partial<typeof start>) => {
    const r = blankFormSchema('mm').safeParse({ ...start, ...over });
    return r.success ? null : `${r.error.issues[0]?.path.join('.')}: ${r.error.issues[0]?.message}`;
  };
  expect(wrong({})).toBeNull();
  expect(wrong({ diameterMm: 'wide' })).toMatch(/^diameterMm: .*cannot be read/);
  expect(wrong({ diameterMm: '7' })).toMatch(/^diameterMm: Between 20 and 200/);
  expect(wrong({ name: ' ' })).toMatch(/^name: Give it a name/);
  expect(wrong({ lipMm: '100', footMm: '95' })).toMatch(/^footMm: Less than 10 mm/);
  expect(wrong({ lipMm: '0' })).toBeNull();
});
