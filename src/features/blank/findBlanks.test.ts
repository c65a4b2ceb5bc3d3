import { LIBRARY } from '@/core/library/library';
import { phraseText } from '@/core/units/format';
import { familiesOf, findBlanks, sizeWords } from './findBlanks';

const names = (text: string, family: Parameters<typeof findBlanks>[1]['family'] = null) =>
  findBlanks(LIBRARY, { text, family }).map((b) => b.id);
const METRIC = { length: 'mm', temperature: 'C', inchDenominator: 16 } as const;

test('every word typed must be there, in any order and case', () => {
  expect(names('590 STEEL')).toEqual(['straight-steel-590', 'tapered-steel-590']);
  expect(names('heart slate')).toEqual(['slate-heart']);
  expect(names('handle tapered glass')).toEqual([]);
  expect(names('  ')).toHaveLength(LIBRARY.length);
});

test('shape words find shapes: clear, barrel, two faces, shaped', () => {
  expect(names('barrel').every((id) => /pen|pencil|lighter/.test(id))).toBe(true);
  expect(names('clear acrylic')).toContain('acrylic-badge');
  expect(names('shaped steel')).toContain('waisted-steel-500');
  expect(names('both sides', 'opener')).toEqual(['opener-bar']);
});

test('families are counted, and a size is said in a few words', () => {
  const families = familiesOf(LIBRARY);
  expect(families.reduce((n, [, count]) => n + count, 0)).toBe(LIBRARY.length);
  const find = (id: string) => {
    const b = LIBRARY.find((x) => x.id === id);
    if (!b) throw new Error(id);
    return phraseText(sizeWords(b), METRIC);
  };
  expect(find('tapered-steel-590')).toBe('70 mm to 86 mm across · 205 mm tall');
  expect(find('slate-trail-marker')).toBe('150 mm × 90 mm · 7 mm thick');
});
