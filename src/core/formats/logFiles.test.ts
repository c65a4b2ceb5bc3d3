import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import { pointAt, entryOf, mark } from '../inspect/testInspections';
import { MARKS_OF_EVERY_KIND } from '../inspect/testMarks';
import { mergeLog } from '../log/merge';
import { logCsv, readLogCsv } from './logCsv';
import { logJson, readLogJson } from './logFile';

const FULL = entryOf('log-1', {
  at: Date.UTC(2026, 10, 3, 9, 30),
  corrects: 'log-0',
  by: 'Ines',
  keptDwellS: 62.5,
  spoiledCostCents: 420,
  marks: MARKS_OF_EVERY_KIND,
  cause: 'uneven-pressure',
  tried: 'too-short',
  paperName: 'A4',
  printerName: 'Desk printer',
  lot: 'L7',
  note: '=SUM(A1), then "pale" at the back\nand again',
});

/** What a table does not carry. */
const tabled = (e: typeof FULL) => ({
  ...e,
  load: null,
  replies: [],
  face: null,
  lay: null,
  photos: [],
  stood: [],
  marks: e.marks.map((m, i) => ({ ...m, id: `m${i + 1}` })),
});

test('an entry comes back from CSV with all a table carries, formulas left as text', () => {
  const text = logCsv([FULL]);
  expect(text).toContain("'=SUM");
  const read = readLogCsv(text);
  expect(read).toEqual({ ok: true, value: [tabled(FULL)] });
});

test('any counts, settings and notes survive the table', () => {
  fc.assert(
    fc.property(
      fc.record({
        good: fc.nat(500),
        spoiled: fc.nat(50),
        dwellS: fc.integer({ min: 1, max: 900 }),
        note: fc.string({ maxLength: 60 }).filter((s) => !/[\0\uFEFF]/.test(s)),
      }),
      ({ dwellS, ...over }) => {
        const e = entryOf('e', { ...over, at: 0, settings: { ...FULL.settings, dwellS } });
        const read = readLogCsv(logCsv([e]));
        expect(read.ok && read.value[0]).toMatchObject({ ...over, settings: e.settings });
      },
    ),
  );
});

test.each([
  "'-4 °C",
  "'=A1",
  '\tindented',
  '\rreturned',
  "''=x",
  ' =A1',
  '\n=A1',
  "' =A1",
  "it's",
  "'quoted'",
  '-5',
])('a note that begins %j comes back as it was', (note) => {
  const read = readLogCsv(logCsv([entryOf('e', { note }), entryOf('f', { note: 'next row' })]));
  expect(read.ok && read.value.map((e) => e.note)).toEqual([note, 'next row']);
});

test('a log saved as a table and brought back adds nothing, whatever its entries hold that a table does not', () => {
  const { log } = demoShop(new Date('2026-11-24T12:00:00Z')).shop;
  const own = [
    ...log,
    {
      ...FULL,
      id: 'log-full',
      replies: [{ question: 'dry', answer: 'no' }],
      stood: [{ label: 'Dwell', kind: 'duration' as const, value: 60 }],
    },
  ];
  expect(own.length).toBeGreaterThan(20);
  const read = readLogCsv(logCsv(own));
  if (!read.ok) throw new Error(english.text(read.problem.what));
  expect(mergeLog(own, read.value)).toEqual({ add: [], same: own.length, renamed: 0 });
});

test('a row without an id gets one of its contents: the same row twice is the same entry', () => {
  const bare = logCsv([FULL]).replace('log-1', '').replace('log-0', '');
  const [a, b] = [readLogCsv(bare), readLogCsv(bare)];
  if (!a.ok || !b.ok) throw new Error('not read');
  expect(a.value[0]?.id).toMatch(/^row-/);
  expect(a.value[0]?.id).toBe(b.value[0]?.id);
});

test.each([
  ['', 'It has no column'],
  ['a,b\n1,2', 'It has no column “when”'],
  [logCsv([FULL]).split('\r\n')[0] ?? '', 'It has no rows'],
  [logCsv([FULL]).replace(',other,', ',splendid,'), 'Row 2'],
  [logCsv([FULL]).replace('2026-11-03T09:30:00.000Z', 'last Tuesday'), 'Row 2'],
  [logCsv([FULL]).replace('faded-edge', 'sad-looking'), 'Row 2'],
  [`${logCsv([FULL])}"`, 'quote'],
])('a table that is wrong is refused in words (%#)', (text, words) => {
  const r = readLogCsv(text);
  expect(r.ok).toBe(false);
  if (!r.ok)
    expect(
      inEnglish(
        `${english.text(r.problem.what)} ${english.text(r.problem.where)} ${english.text(r.problem.wayOut)}`,
      ),
    ).toContain(words);
});

test('the JSON carries an entry whole', () => {
  const whole = entryOf('e', {
    marks: [mark('ghost', pointAt(1, 2))],
    stood: [{ label: 'Dwell', kind: 'duration', value: 60 }],
    replies: [{ question: 'dry', answer: 'no' }],
  });
  const read = readLogJson(logJson('Dry Fork Bench', [whole], []));
  expect(read.ok && read.value.entries).toEqual([whole]);
});

test.each([
  ['{', 'cut short'],
  ['{"format":"mesa-drift.job","version":1}', 'not a logbook file'],
  ['{"format":"mesa-drift.log","version":9}', 'version 9'],
  ['{"format":"mesa-drift.log","version":1,"shopName":"","entries":[{}],"pictures":[]}', 'entries'],
])('a logbook file that is wrong is refused in words (%#)', (text, words) => {
  const r = readLogJson(text);
  expect(inEnglish(r.ok ? '' : `${english.text(r.problem.what)} ${english.text(r.problem.where)}`)).toContain(
    words,
  );
});
