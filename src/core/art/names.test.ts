import fc from 'fast-check';
import { NO_ART, pictureLayer, textLayer, type Names } from '../job/art';
import { DRAWN_PICTURES } from './drawn';
import { csvText, isFormula } from '../formats/csv';
import { decodeText, readNames } from '../formats/namesList';
import { countOf, pictureNamed, piecesOf } from './names';

const read = (text: string) => {
  const r = readNames(text);
  if (!r.ok) throw new Error(r.problem.what);
  return r.value;
};
const refused = (text: string): string => {
  const r = readNames(text);
  return r.ok ? '' : `${r.problem.what} ${r.problem.wayOut}`;
};

describe('reading', () => {
  test('one name to a line', () => {
    const { names } = read('Amaro\nBrisa Quell\r\n\r\n  Corin  \n');
    expect(names).toMatchObject({
      columns: ['Name'],
      rows: [['Amaro'], ['Brisa Quell'], ['Corin']],
      countColumn: null,
    });
  });

  test.each([',', ';', '\t', '|'])('columns parted by %j, quotes, headings and counts', (s) => {
    const text = [
      ['Name', 'Team', 'Copies'],
      ['"Quell, ""B"""', 'Comet', '2'],
      ['Corin', 'Moon', '1'],
    ]
      .map((r) => r.join(s))
      .join('\n');
    const { names } = read(text);
    expect(names.columns).toEqual(['Name', 'Team', 'Copies']);
    expect(names.rows[0]?.[0]).toBe('Quell, "B"');
    expect(names.countColumn).toBe('Copies');
    expect(names.rows.map((r) => countOf(names, r))).toEqual([2, 1]);
  });

  test('ragged rows and formulas are pointed out', () => {
    const { notes } = read('Name,Team\nAmaro\nBrisa,=HYPERLINK("x")\nCorin,Moon');
    expect(notes.join(' ')).toMatch(/1 row has more or fewer cells/);
    expect(notes.join(' ')).toMatch(/1 cell begins like a formula/);
  });

  test('what cannot be read says so', () => {
    expect(refused('  \n ')).toMatch(/empty.*Paste/);
    expect(refused(Array.from({ length: 5000 }, (_, i) => `Name ${i}`).join('\n'))).toMatch(
      /5,000 rows.*500.*Split/,
    );
    expect(refused(Array.from({ length: 14 }, (_, i) => `c${i}`).join(','))).toMatch(/14 columns/);
    expect(refused('Name,Team\n"Amaro,Comet\nBrisa,Moon')).toMatch(/quote mark/);
  });

  test('never throws, whatever comes', () => {
    fc.assert(fc.property(fc.string({ maxLength: 300 }), (t) => typeof readNames(t).ok === 'boolean'));
  });
});

describe('bytes', () => {
  const text = (b: Uint8Array) => {
    const r = decodeText(b);
    return r.ok ? r.value : r.problem.what;
  };
  test('UTF-8, UTF-16 and the old Western page come out the same', () => {
    const name = 'Søren Łuç';
    expect(text(new TextEncoder().encode(name))).toBe(name);
    const wide = Buffer.from(`\uFEFF${name}`, 'utf16le');
    expect(text(Uint8Array.from(wide)).replace('\uFEFF', '')).toBe(name);
    expect(text(Uint8Array.of(0x53, 0xf8, 0x72, 0x65, 0x6e))).toBe('Søren');
  });
  test('nothing, and no text at all', () => {
    expect(text(new Uint8Array(0))).toMatch(/empty/);
    expect(text(Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0, 0))).toMatch(/not a table in plain text/);
  });
});

describe('a written cell', () => {
  test('comes back as it was, and is never a formula', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), (s) => {
        const cell = csvText([[s]]);
        return !/^[=+@]/.test(cell.replace(/^"/, ''));
      }),
    );
    expect(csvText([['=1+1']])).toBe('"\'=1+1"');
    expect(csvText([['a,b']])).toBe('"a,b"');
    expect(isFormula('-5')).toBe(false);
  });
});

describe('pieces', () => {
  const names: Names = {
    columns: ['Name', 'How many', 'Picture'],
    rows: [
      ['Amaro', '2', 'Comet.PNG'],
      ['Brisa', '0', ''],
      ['Corin', 'x', 'moon band'],
    ],
    countColumn: 'How many',
    pictures: DRAWN_PICTURES.map((p) => ({ ...p, name: `${p.name}.png` })),
  };
  test('as many as the counts say, labelled by what the words show', () => {
    const art = { ...NO_ART, names, layers: [textLayer('w', 'x', { field: 'Name' })] };
    expect(piecesOf(art).map((p) => `${p.number} ${p.label}`)).toEqual(['1 Amaro', '2 Amaro', '3 Corin']);
    expect(piecesOf({ ...NO_ART, layers: [pictureLayer('p', DRAWN_PICTURES[0] as never)] })).toEqual([]);
  });
  test('pictures are known by name, capitals and ending or not', () => {
    expect(pictureNamed(names, 'COMET')?.name).toBe('Comet.png');
    expect(pictureNamed(names, 'moon band.jpg')?.name).toBe('Moon band.png');
    expect(pictureNamed(names, 'lost')).toBeNull();
  });
});
