import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import { LIBRARY } from '../library/library';
import { blanksCsv, readBlanksCsv } from './blanksCsv';
import { blanksJson, readBlanksJson } from './blanksFile';

test('the whole library goes out and comes back the same, as JSON and as a table', () => {
  const json = readBlanksJson(blanksJson(LIBRARY));
  expect(json.ok && json.value.blanks).toEqual(LIBRARY);
  const csv = readBlanksCsv(blanksCsv(LIBRARY));
  if (!csv.ok) throw new Error(english.text(csv.problem.what));
  expect(csv.value).toEqual(LIBRARY);
});

test('an outline out of a drawing survives the table', () => {
  const base = LIBRARY.find((b) => b.id === 'ornament-star');
  if (!base || base.shape.kind !== 'flat') throw new Error('no star');
  const drawn = {
    ...base,
    shape: {
      ...base.shape,
      outline: {
        form: 'drawn' as const,
        widthMm: 40,
        heightMm: 30,
        points: [
          [0, 0],
          [40, 0],
          [20.5, 30],
        ] as [number, number][],
      },
      holes: [
        {
          form: 'drawn' as const,
          points: [
            [18, 5],
            [22, 5],
            [20, 9],
          ] as [number, number][],
        },
      ],
    },
  };
  const back = readBlanksCsv(blanksCsv([drawn]));
  expect(back.ok && back.value[0]).toEqual(drawn);
});

describe('a table that is wrong names the row and what is wrong in it', () => {
  const [first] = LIBRARY;
  if (!first) throw new Error('empty library');
  const table = (change: (lines: string[]) => string[]) =>
    change(blanksCsv([first, { ...first, id: 'other' }]).split('\r\n')).join('\r\n');
  const said = (text: string) => {
    const r = readBlanksCsv(text);
    return r.ok
      ? null
      : `${english.text(r.problem.where)}: ${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
  };
  test('a width that is no number', () => {
    const text = table(([head = '', a = '', b = '']) => [head, a, b.replace(/5:73\.5/, '5:wide')]);
    expect(inEnglish(said(text))).toMatch(/Row 3 .*shape.*Nothing was changed/);
  });
  test('another table altogether, or none', () => {
    expect(inEnglish(said('a;b;c\n1;2;3'))).toMatch(/no columns “name” and “kind”/);
    expect(said('')).toMatch(/no columns/);
    expect(said('name,kind')).toMatch(/no rows/);
  });
  test('cells a spreadsheet would run are defused and come back as they were', () => {
    const risky = { ...first, name: '=1+1 mug' };
    expect(blanksCsv([risky])).toContain("'=1+1 mug");
    const back = readBlanksCsv(blanksCsv([risky]));
    expect(back.ok && back.value[0]?.name).toBe('=1+1 mug');
  });
  test('semicolons between cells are understood as well', () => {
    const text =
      'name;kind;family;material;thickness mm;outline;width mm;height mm\nmy tile;flat;tile;ceramic;6;oval;100;100';
    const r = readBlanksCsv(text);
    expect(r.ok && r.value[0]).toMatchObject({ id: 'my-tile-1', shape: { outline: { form: 'oval' } } });
  });
  test('more than five thousand rows are not read', () => {
    expect(inEnglish(said(`name,kind\n${'x,flat\n'.repeat(5001)}`))).toMatch(/more than 5,000/);
  });
});

test('a JSON file of something else is refused in words', () => {
  const r = readBlanksJson('{"format":"mesa-drift.job","version":1}');
  expect(inEnglish(!r.ok && english.text(r.problem.what))).toMatch(/not a blanks file/);
  const broken = readBlanksJson(blanksJson(LIBRARY.slice(0, 1)).replace('"heightMm": 204', '"heightMm": -4'));
  expect(inEnglish(!broken.ok && english.text(broken.problem.what))).toMatch(/heightMm/);
});

test('a quote left open swallows no blank: it is said where, and nothing is taken', () => {
  const lines = blanksCsv(LIBRARY.slice(0, 4)).split('\r\n');
  const cut = lines.map((l, i) => (i === 2 ? l.replace(/^([^,]*,)/, '$1"') : l)).join('\r\n');
  const r = readBlanksCsv(cut);
  expect(r.ok).toBe(false);
  expect(inEnglish(!r.ok && english.text(r.problem.what))).toMatch(/quote|cells/);
});
