import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { LIBRARY } from '@/core/library/library';

import { familiesOf, findBlanks, sizeWords } from './findBlanks';

const names = (text: string, family: Parameters<typeof findBlanks>[1]['family'] = null) =>
  findBlanks(LIBRARY, { text, family }, english.text).map((b) => b.id);

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

test('a volume finds blanks of about that volume, whatever unit the name says', () => {
  const ml = (id: string) => Number(/(\d+) ml/.exec(LIBRARY.find((b) => b.id === id)?.name ?? '')?.[1]);
  // The usual pairs of the trade: 11 oz is 325 to 340 ml, 20 oz is 590 (one US fluid ounce is 29.57 ml).
  for (const [oz, about] of [
    [11, 330],
    [15, 450],
    [20, 590],
    [30, 890],
  ] as const) {
    const found = names(`${oz} oz`);
    expect(found.length).toBeGreaterThan(0);
    for (const id of found) expect(Math.abs(ml(id) - about) / about).toBeLessThan(0.06);
  }
  expect(names('20oz steel tapered')).toEqual(['tapered-steel-590']);
  expect(names('0.59 l straight steel')).toEqual(['straight-steel-590']);
  expect(names('1 litre')).toContain(LIBRARY.find((b) => /1 litre/.test(b.name))?.id);
  const own = [{ ...(LIBRARY[0] as (typeof LIBRARY)[number]), name: 'Market mug, 11 fl oz' }];
  expect(findBlanks(own, { text: '330 ml mug', family: null }, english.text)).toHaveLength(1);
  expect(findBlanks(own, { text: '450 ml mug', family: null }, english.text)).toHaveLength(0);
});

test('families are counted, and a size is said in a few words', () => {
  const families = familiesOf(LIBRARY);
  expect(families.reduce((n, [, count]) => n + count, 0)).toBe(LIBRARY.length);
  const find = (id: string) => {
    const b = LIBRARY.find((x) => x.id === id);
    if (!b) throw new Error(id);
    return english.text(sizeWords(b));
  };
  expect(inEnglish(find('tapered-steel-590'))).toBe('70 mm to 86 mm across, 205 mm tall');
  expect(find('slate-trail-marker')).toBe('150 mm × 90 mm · 7 mm thick');
});
