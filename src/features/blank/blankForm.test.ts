import { LIBRARY } from '@/core/library/library';
import {
  blankFormSchema,
  drawnOf,
  fromForm,
  NOTHING_DRAWN,
  shapeFrom,
  shapeProblem,
  toForm,
  type BlankFormIn,
} from './blankForm';

const METRIC = { length: 'mm', temperature: 'C', inchDenominator: 16 } as const;
const INCHES = { length: 'in', temperature: 'F', inchDenominator: 64 } as const;

const through = (form: BlankFormIn, unit: 'mm' | 'in', drawn = NOTHING_DRAWN) => {
  const read = blankFormSchema(unit).safeParse(form);
  if (!read.success)
    throw new Error(`${read.error.issues[0]?.path.join('.')}: ${read.error.issues[0]?.message}`);
  return { values: read.data, shape: shapeFrom(read.data, drawn) };
};

test('every blank of the library goes through the form and back unchanged', () => {
  for (const blank of LIBRARY) {
    const { values, shape } = through(toForm(blank, METRIC), 'mm', drawnOf(blank));
    if (!shape.success) throw new Error(`${blank.name}: ${shape.error.issues[0]?.message}`);
    expect(fromForm(values, shape.data, blank.id)).toEqual(blank);
  }
});

test('in inches it comes back within half a mark of the tape', () => {
  for (const blank of LIBRARY) {
    const { shape } = through(toForm(blank, INCHES), 'in', drawnOf(blank));
    if (!shape.success) throw new Error(blank.name);
    const [was, is] = [blank.shape, shape.data];
    const heights = [was, is].map((s) => (s.kind === 'round' ? s.heightMm : s.outline.heightMm));
    expect(Math.abs((heights[0] ?? 0) - (heights[1] ?? 0))).toBeLessThanOrEqual(25.4 / 128 + 1e-9);
  }
});

test('what is wrong is said at its field', () => {
  const start = { ...toForm(null, METRIC), name: 'x', acrossMm: '74', heightMm: '200' };
  const wrong = (over: Partial<BlankFormIn>) => {
    const r = blankFormSchema('mm').safeParse({ ...start, ...over });
    if (!r.success) return `${r.error.issues[0]?.path.join('.')}: ${r.error.issues[0]?.message}`;
    const shape = shapeFrom(r.data, NOTHING_DRAWN);
    if (shape.success) return null;
    const { field, message } = shapeProblem(shape.error);
    return `${field}: ${message}`;
  };
  expect(wrong({})).toBeNull();
  expect(wrong({ acrossMm: 'wide' })).toMatch(/^acrossMm: .*cannot be read/);
  expect(wrong({ acrossMm: '3' })).toMatch(/^acrossMm: Between 5 and 400/);
  expect(wrong({ acrossMm: '' })).toMatch(/^acrossMm: This is still needed/);
  expect(wrong({ name: ' ' })).toMatch(/^name: Give it a name/);
  expect(wrong({ lipMm: '100', footMm: '95' })).toMatch(/^footMm: Less than 8 mm/);
  expect(wrong({ between: '60; 90\n40; 95' })).toMatch(/^footMm: Widths go down the wall in order/);
  expect(wrong({ between: 'belly 90' })).toMatch(/^between: .*cannot be read/);
  expect(wrong({ handleWidthMm: '16', handleFromMm: '150', handleHeightMm: '90' })).toMatch(
    /^handleWidthMm: The handle runs below/,
  );
  expect(wrong({ keepClear: 'stamp; 120; 10' })).toBeNull();
  expect(wrong({ keepClear: 'slot; 10; 12; 40; 180°' })).toBeNull();
  expect(wrong({ keepClear: 'stamp' })).toMatch(/^keepClear: .*cannot be read/);
  const flat = { kind: 'flat', widthMm: '80', heightMm: '60' } as const;
  expect(wrong(flat)).toBeNull();
  expect(wrong({ ...flat, widthMm: '' })).toMatch(/^widthMm: This is still needed/);
  expect(wrong({ ...flat, holes: 'hole; 40; 5' })).toMatch(/^holes: .*cannot be read/);
  expect(wrong({ ...flat, outline: 'drawn' })).not.toBeNull();
});
