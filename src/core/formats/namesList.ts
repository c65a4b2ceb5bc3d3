import { whole } from '../message/quantity';
import { say, type Message } from '../message/message';
import Papa from 'papaparse';
import { MOST_NAMES, type Names } from '../job/art';
import { fail, ok, type Result } from '../basics/result';
import { isFormula } from './csv';

const WHERE = say('files.namesList');
const MOST_LETTERS = 120;

/** Bytes of a text file: UTF-8 with or without its mark, UTF-16 with its mark, else the old Western page most programs mean. */
export function decodeText(bytes: Uint8Array): Result<string> {
  if (bytes.length === 0) return fail(say('files.listEmpty'), WHERE, say('files.saveTableAgainCsv'));
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return ok(new TextDecoder('utf-16le').decode(bytes));
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return ok(new TextDecoder('utf-16be').decode(bytes));
  if (bytes.subarray(0, 512).includes(0))
    return fail(say('files.tablePlainText'), WHERE, say('files.tableProgramChooseSave'));
  try {
    return ok(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return ok(new TextDecoder('windows-1252').decode(bytes));
  }
}

export interface ReadNames {
  readonly names: Names;
  /** What a person should know: how it was read, what was left out. */
  readonly notes: readonly Message[];
}

const SEPARATORS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};
const HEADINGS =
  /^(name|names|text|word|words|who|piece|count|copies|quantity|qty|number|no\.?|picture|file|photo|image|title|team|line ?\d?)$/i;
const COUNTS = /^(count|copies|quantity|qty|how many|pieces)$/i;

/** Headings are taken as such where a cell is a usual heading, or where the first row alone holds no figure that later rows hold. */
function hasHeadings(rows: readonly (readonly string[])[]): boolean {
  const [first, second] = rows;
  if (!first || !second) return false;
  if (first.some((c) => HEADINGS.test(c.trim()))) return true;
  return second.some((c, i) => /^\d+$/.test(c.trim()) && !/\d/.test(first[i] ?? ''));
}

function columnNames(cells: readonly string[], named: boolean): string[] {
  const seen = new Set<string>();
  return cells.map((cell, i) => {
    const base = (named ? cell.trim().slice(0, 50) : '') || (cells.length === 1 ? 'Name' : `Column ${i + 1}`);
    const name = seen.has(base) ? `${base} ${i + 1}` : base;
    seen.add(name);
    return name;
  });
}

/** Reads a pasted table or a CSV file: separator found by itself, quotes and line ends of every kind, one column or many. */
export function readNames(text: string): Result<ReadNames> {
  const clean = text.replace(/^\uFEFF/, '');
  if (clean.trim() === '') return fail(say('files.listEmpty'), WHERE, say('files.pasteOneNameLine'));
  const parsed = Papa.parse<string[]>(clean, {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const broken = parsed.errors.find((e) => e.type === 'Quotes');
  if (broken)
    return fail(
      say('files.quoteMarkOpensNever', { row: (broken.row ?? 0) + 1 }),
      WHERE,
      say('files.closeTakeOut'),
    );
  const cut = parsed.data.flat().filter((c) => c.trim().length > MOST_LETTERS).length;
  const rows = parsed.data.map((r) => r.map((c) => c.trim().slice(0, MOST_LETTERS)));
  const widest = Math.max(...rows.map((r) => r.length));
  if (widest > 12)
    return fail(say('files.tableHasColumnsMost', { widest }), WHERE, say('files.removeWhatPrinted'));
  const headed = hasHeadings(rows);
  const body = headed ? rows.slice(1) : rows;
  if (body.length > MOST_NAMES)
    return fail(
      say('files.listHasRowsOne', { body: whole(body.length), mostNames: MOST_NAMES }),
      WHERE,
      say('files.splitOverSeveralJobs'),
    );
  const columns = columnNames(
    Array.from({ length: widest }, (_, i) => (headed ? (rows[0]?.[i] ?? '') : '')),
    headed,
  );
  const countColumn = columns.find((c) => COUNTS.test(c)) ?? null;
  const names: Names = { columns, rows: body, countColumn, pictures: [] };
  return ok({ names, notes: [...notesOf(names, parsed.meta.delimiter, headed), ...cutNote(cut)] });
}

const cutNote = (cut: number): readonly Message[] =>
  cut === 0 ? [] : [say('files.cutCutCell', { cut, mostLetters: MOST_LETTERS })];

function notesOf(names: Names, separator: string, headed: boolean): readonly Message[] {
  const odd = names.rows.filter((r) => r.length !== names.columns.length).length;
  const formulas = names.rows.flat().filter(isFormula).length;
  return [
    names.columns.length > 1
      ? say('files.columnsParted', { separator: SEPARATORS[separator] ?? 'commas' })
      : say('files.oneNameLine'),
    ...(headed ? [say('files.firstRowWasRead')] : []),
    ...(odd > 0 ? [say('files.oddOddRow', { odd })] : []),
    ...(formulas > 0 ? [say('files.formulasFormulasCell', { formulas })] : []),
  ];
}
