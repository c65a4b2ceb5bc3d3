import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { LIBRARY } from '@/core/library/library';
import { spanish } from '@/words/spanish';
import { startingIn } from '@/words/starting/starting';

import { commonNamesIn } from '@/words/commonNames';
import { familiesOf, findBlanks, nearestBlanks, sizeWords } from './findBlanks';
import { readSearch, sizesMm } from './readSearch';

const EN = commonNamesIn('en');

const names = (text: string, family: Parameters<typeof findBlanks>[1]['family'] = null) =>
  findBlanks(LIBRARY, { text, family }, english.text, EN).map((b) => b.id);

test('every word typed must be there, in any order and case', () => {
  expect(names('590 STEEL')).toEqual(['straight-steel-590', 'tapered-steel-590']);
  expect(names('heart slate')).toEqual(['slate-heart']);
  expect(names('handle tapered glass')).toEqual([]);
  expect(names('  ')).toHaveLength(LIBRARY.length);
});

test('a common name finds the blanks the shop named that way, and those of the library it means', () => {
  const own = { ...(LIBRARY[0] as (typeof LIBRARY)[number]), id: 'own', name: 'Comet keychain' };
  const found = (text: string) =>
    findBlanks([...LIBRARY, own], { text, family: null }, english.text, EN).map((b) => b.id);
  expect(found('comet keychain')).toEqual(['own']);
  expect(found('keychain')).toEqual([...names('key ring'), 'own']);
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
  expect(findBlanks(own, { text: '330 ml mug', family: null }, english.text, EN)).toHaveLength(1);
  expect(findBlanks(own, { text: '450 ml mug', family: null }, english.text, EN)).toHaveLength(0);
});

test('families are counted, and a size is said in a few words', () => {
  const families = familiesOf(LIBRARY);
  expect(families.reduce((n, [, count]) => n + count, 0)).toBe(LIBRARY.length);
  const find = (id: string) => {
    const b = LIBRARY.find((x) => x.id === id);
    if (!b) throw new Error(id);
    return english.text(sizeWords(b));
  };
  expect(inEnglish(find('tapered-steel-590'))).toBe('590 ml · 20 fl oz · 70 mm to 86 mm across, 205 mm tall');
  expect(find('slate-trail-marker')).toBe('150 mm × 90 mm · 7 mm thick');
});

// An inch is 25.4 mm: 8 × 10 in is 203.2 × 254 mm, sold as 200 × 250.
test.each([
  ['8 x 10', [203.2, 254]],
  ['10 × 8 in', [203.2, 254]],
  ['8" x 10"', [203.2, 254]],
  ['7 3/4 by 9 1/2 inches', [196.85, 241.3]],
  ['200 x 300', [200, 300]],
  ['20 x 30 cm', [200, 300]],
  ['20,5 por 30 cm', [205, 300]],
] as const)('a size typed as %s', (text, sides) => {
  const [size] = sizesMm(text);
  expect(size?.[0]).toBeCloseTo(sides[0], 9);
  expect(size?.[1]).toBeCloseTo(sides[1], 9);
});

test('flat blanks are found by their sides, in inches or millimetres, either way round', () => {
  expect(names('8 x 10')).toEqual(['hardboard-panel-200-250', 'plaque-200-250']);
  expect(names('10x8 hardboard panel')).toEqual(['hardboard-panel-200-250']);
  expect(names('8 x 12 panel')).toEqual(['panel-200-300', 'frp-panel-200-300']);
  expect(names('300 x 200 mm aluminium')).toEqual(['panel-200-300']);
  expect(names('6 x 6 tile')).toEqual(['tile-152']);
  expect(names('3 x 40')).toEqual([]);
});

test.each([
  ['keychain', ['key-ring-oval', 'acrylic-key-ring']],
  ['dog tag', ['pet-tag-bone']],
  ['license plate', ['licence-plate']],
  ['can cooler', ['steel-can-sleeve', 'steel-can-sleeve-short', 'steel-bottle-sleeve']],
  ['skinny tumbler', ['straight-steel-590', 'straight-steel-350', 'straight-steel-890']],
  ['20 oz skinny tumbler', ['straight-steel-590']],
  ['latte mug', ['latte-mug']],
  ['Beer mugs', ['glass-stein-470', 'ceramic-stein-600']],
  ['jigsaw', ['puzzle-a4']],
  ['12 x 6 license plate', ['licence-plate']],
] as const)('%s finds what decorators call so', (text, ids) => {
  expect(names(text)).toEqual(ids);
});

test('the longest name is read first, whole words only, and only in its own language', () => {
  expect(readSearch('dog tags', EN).words).toEqual(['pet', 'tag']);
  expect(readSearch('awarded', EN).words).toEqual(['awarded']);
  expect(readSearch('keychain', commonNamesIn('es')).words).toEqual(['keychain']);
  expect(readSearch('matrícula', commonNamesIn('es')).words).toEqual(['placa', 'ranuras']);
  expect(commonNamesIn('en-US')).toEqual(EN);
});

test('where nothing is found the nearest come first: by volume, by size, by the beginning of a word', () => {
  const nearest = (text: string) => nearestBlanks(LIBRARY, text, english.text, EN).map((b) => b.id);
  expect(names('25 oz steel tumbler')).toEqual([]);
  // 25 fl oz is 739 ml: 890 ml is 19 % off, 590 ml 23 %.
  expect(nearest('25 oz straight steel tumbler')[0]).toBe('straight-steel-890');
  expect(nearest('9 x 11 hardboard panel')[0]).toBe('hardboard-panel-200-250');
  expect(nearest('ceramics coasters')[0]).toBe('coaster-ceramic-round');
  expect(nearest('qwxyz')).toEqual([]);
  expect(nearest('steel')).toHaveLength(5);
});

test('a volume is shown in both units, a tenth of an ounce where they are few', () => {
  const sized = (name: string) =>
    english.text(sizeWords({ ...(LIBRARY[0] as (typeof LIBRARY)[number]), name }));
  expect(sized('11 oz mug')).toMatch(/^325 ml · 11 fl oz · /);
  expect(sized('shot, 45 ml')).toMatch(/^45 ml · 1\.5 fl oz · /);
  expect(sized('1 litre bottle')).toMatch(/^1,?000 ml · 34 fl oz · /);
  expect(sized('vase')).not.toMatch(/ml/);
});

test.each(['en', 'en-US', 'es'] as const)(
  'every common name finds a blank of a shop started in %s',
  async (locale) => {
    const library = await startingIn(locale, LIBRARY);
    const { text: write } = locale === 'es' ? spanish : english;
    const names = commonNamesIn(locale);
    const idle = names.filter(
      ([name]) => findBlanks(library, { text: name, family: null }, write, names).length === 0,
    );
    expect(idle.map(([name]) => name)).toEqual([]);
  },
);
