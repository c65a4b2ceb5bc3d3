import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import Papa from 'papaparse';
import { NO_ART, pictureLayer, textLayer, type Names } from '../job/art';
import { DRAWN_PICTURES } from './drawn';
import { csvText, isFormula } from '../formats/csv';
import { decodeText, readNames } from '../formats/namesList';
import { newJob, type Job } from '../job/job';
import {
  chosenNames,
  countNote,
  countOf,
  listText,
  pictureNamed,
  piecesOf,
  totalOf,
  withNames,
  withoutNames,
} from './names';

const read = (text: string) => {
  const r = readNames(text);
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const refused = (text: string): string => {
  const r = readNames(text);
  return r.ok ? '' : `${english.text(r.problem.what)} ${english.text(r.problem.wayOut)}`;
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
    expect(inEnglish(notes.map((x) => english.text(x)).join(' '))).toMatch(/1 row has more or fewer cells/);
    expect(notes.map((x) => english.text(x)).join(' ')).toMatch(/1 cell begins like a formula/);
  });

  test.each(['1e9', '0x10', '−3', '-3', '1.5', '1000', 'two'])(
    'a count of %s is one piece, and is said',
    (count) => {
      const r = readNames(`name,count\nAda,${count}\nBo,3`);
      if (!r.ok) throw new Error(english.text(r.problem.what));
      expect(totalOf(r.value.names)).toBe(4);
      expect(inEnglish(countNote(r.value.names))).toBe(
        `1 row does not say a whole number from 0 to 999 (“${count}”): 1 piece each.`,
      );
    },
  );

  test('whole counts and nought are taken without a word; without a count column there is none', () => {
    const r = readNames('name,count\nAda,0\nBo,999');
    expect(r.ok && [totalOf(r.value.names), countNote(r.value.names)]).toEqual([999, null]);
    const plain = readNames('Ada\nBo');
    expect(plain.ok && countNote(plain.value.names)).toBeNull();
  });

  test('a name that is cut off is said', () => {
    const r = readNames(`${'A'.repeat(5000)}\nBo`);
    if (!r.ok) throw new Error(english.text(r.problem.what));
    expect(r.value.names.rows[0]?.[0]).toHaveLength(120);
    expect(inEnglish(r.value.notes.map((x) => english.text(x)).join(' '))).toContain(
      '1 cell is longer than 120 letters',
    );
  });

  test('what cannot be read says so', () => {
    expect(inEnglish(refused('  \n '))).toMatch(/empty.*Paste/);
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
    return r.ok ? r.value : english.text(r.problem.what);
  };
  test('UTF-8, UTF-16 and the old Western page come out the same', () => {
    const name = 'Søren Łuç';
    expect(text(new TextEncoder().encode(name))).toBe(name);
    const wide = Buffer.from(`\uFEFF${name}`, 'utf16le');
    expect(text(Uint8Array.from(wide)).replace('\uFEFF', '')).toBe(name);
    expect(text(Uint8Array.of(0x53, 0xf8, 0x72, 0x65, 0x6e))).toBe('Søren');
  });
  test('nothing, and no text at all', () => {
    expect(inEnglish(text(new Uint8Array(0)))).toMatch(/empty/);
    expect(inEnglish(text(Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0, 0)))).toMatch(/not a table in plain text/);
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
    expect(pictureNamed(names, 'spoiled')).toBeNull();
  });
});

describe('a list taken up by a job', () => {
  const NAMES: Names = {
    columns: ['Name', 'Copies'],
    rows: [
      ['Amaro', '2'],
      ['Brisa', '1'],
    ],
    countColumn: 'Copies',
    pictures: [],
  };
  const text = (id: string, field: string | null = null) => textLayer(id, 'Text', { field });
  const job = (layers: Job['art']['layers']): Job => ({
    ...newJob('j', 'J'),
    art: { ...newJob('j', 'J').art, layers },
  });
  const fields = (j: Job) => j.art.layers.map((l) => [l.id, l.field]);

  test('the first text takes the first column that does not count; without a text there is a new one', () => {
    const made = withNames(job([text('a'), text('b')]), NAMES, 'new');
    expect(fields(made)).toEqual([
      ['a', 'Name'],
      ['b', null],
    ]);
    expect(made.pieces).toBe(3);
    expect(fields(withNames(job([]), NAMES, 'new'))).toEqual([['new', 'Name']]);
  });

  test('layers that take a column keep it; those of a column that is gone stand by themselves', () => {
    const made = withNames(job([text('a'), text('b', 'Name'), text('c', 'Old')]), NAMES, 'new');
    expect(fields(made)).toEqual([
      ['a', null],
      ['b', 'Name'],
      ['c', null],
    ]);
    expect(fields(withoutNames(made)).every(([, f]) => f === null)).toBe(true);
    expect(withoutNames(made).art.names).toBeNull();
  });

  test('at least one piece and at most ten thousand', () => {
    const none = { ...NAMES, rows: [['Amaro', '0']] };
    expect(withNames(job([]), none, 'n').pieces).toBe(1);
    const many = { ...NAMES, rows: Array.from({ length: 400 }, () => ['x', '999']) };
    expect(withNames(job([]), many, 'n').pieces).toBe(10_000);
  });

  test('the count column is the one chosen, where the list still has it', () => {
    const column = (count: Parameters<typeof chosenNames>[1]) => chosenNames(NAMES, count, []).countColumn;
    expect(column('as read')).toBe('Copies');
    expect(column({ column: null })).toBeNull();
    expect(column({ column: 'Name' })).toBe('Name');
    expect(column({ column: 'Gone' })).toBe('Copies');
  });

  test('as text and read again it is the same table, whatever stands in a cell', () => {
    const cell = fc
      .string({ minLength: 1, maxLength: 12 })
      .filter((s) => s.trim() === s && !/[\r\u2028]/.test(s));
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 5 }), (rows) => {
        const table = { ...NAMES, rows: rows.map((r) => [...r]) };
        const back = Papa.parse<string[]>(listText(table), { delimiter: '\t' }).data;
        expect(back).toEqual([table.columns, ...table.rows]);
      }),
    );
  });
});
