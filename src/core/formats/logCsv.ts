import { say } from '../message/message';
import Papa from 'papaparse';
import { fail, ok, type Result } from '../basics/result';
import { BARE_ENTRY, logEntrySchema, type LogEntry } from '../shop/records';
import { csvCellsOf, HEADINGS, type Heading } from '../log/cells';
import { nameOf } from '../log/merge';
import { decimalOf } from '../units/number';
import { csvTable, plainCell } from './csv';
import { firstIssue } from './file';

type Row = Partial<Record<Heading, string>>;

function placeOf(kind: string | undefined, rest: readonly string[]): unknown {
  const points = rest.map((t) => {
    const [x, y] = t.split(',').map(Number);
    return { xMm: x, yMm: y };
  });
  if (kind === 'point') return { kind, ...points[0] };
  if (kind === 'edge') return { kind, edge: rest[0] };
  return kind === 'all' ? { kind } : { kind, points };
}

/** A mark as such a cell says it; tables of before only named the fault. */
function markOf(text: string, i: number): unknown {
  const [fault, severity, side, piece, kind, ...rest] = text.trim().split(/\s+/);
  return {
    id: `m${i + 1}`,
    fault,
    severity: severity === undefined ? 2 : Number(severity),
    side: side ?? 'front',
    piece: piece === undefined || piece === '-' ? null : Number(piece),
    place: kind === undefined ? { kind: 'all' } : placeOf(kind, rest),
  };
}

/** The log as CSV. Cells that a spreadsheet would run as formulas are defused. Photographs and the plan as it stood stay in the JSON. */
export const logCsv = (log: readonly LogEntry[]): string => csvTable(HEADINGS, log.map(csvCellsOf));

const MOST_ROWS = 200_000;
const where = say('files.logbookTable');
const way = say('files.correctRowImport');

const plain = (v: string | undefined): string => plainCell(v).trim();
const number = (v: string | undefined): number | null =>
  plain(v) === '' ? null : (decimalOf(plain(v)) ?? NaN);
const id = (given: string, name: string): string =>
  given ||
  `from-${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 40) || 'table'
  }`;

function draftOf(r: Row): unknown {
  const cents = number(r['spoiled cost']);
  const lines = plain(r.faults)
    .split('\n')
    .map((x) => x.trim())
    .filter((x) => x !== '');
  return {
    ...BARE_ENTRY,
    id: plain(r.id) || 'no-id',
    at: Date.parse(plain(r.when)),
    corrects: plain(r.corrects) || null,
    jobId: id(plain(r['job id']), plain(r.job)),
    jobName: plain(r.job),
    blankId: id(plain(r['blank id']), plain(r.blank)),
    blankName: plain(r.blank),
    pressId: id(plain(r['press id']), plain(r.press)),
    pressName: plain(r.press),
    by: plain(r.by) || null,
    settings: {
      platenC: number(r['temperature °C']),
      dwellS: number(r['time a pass s']),
      laterDwellS: number(r['later passes s']),
      passes: number(r.passes) ?? 1,
      timerStart: plain(r['timer starts']),
      pressure: plain(r.pressure),
      peel: plain(r.peel),
      coolDownC: number(r['fall to °C']),
    },
    load: null,
    keptDwellS: number(r['time kept s']),
    verdict: plain(r.verdict),
    paperState: plain(r['used paper']),
    good: number(r.good),
    // Tables of before knew no seconds.
    seconds: number(r.seconds) ?? 0,
    spoiled: number(r.spoiled),
    spoiledCostCents: cents === null ? null : Math.round(cents * 100),
    marks: lines.map(markOf),
    cause: plain(r.cause) || null,
    tried: plain(r.tried) || null,
    paperName: plain(r['transfer paper']),
    printerName: plain(r.printer),
    inkName: plain(r.ink),
    supplier: plain(r.supplier),
    lot: plain(r.lot),
    note: plainCell(r.note),
  };
}

/** Entries out of such a table. All or nothing: the first row that is wrong is named with what is wrong in it. A row without an id gets one of its contents. */
export function readLogCsv(text: string): Result<readonly LogEntry[]> {
  const parsed = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: 'greedy' });
  const broken = parsed.errors.find((e) => e.type === 'Quotes' || e.type === 'FieldMismatch');
  if (broken)
    return fail(
      broken.type === 'Quotes'
        ? say('files.quoteOpensAfterRow', { row: (broken.row ?? 0) + 2 })
        : say('files.rowHasManyCells', { row: (broken.row ?? 0) + 2 }),
      where,
      way,
    );
  const fields = parsed.meta.fields ?? [];
  const lacks = (['when', 'blank', 'press', 'verdict'] as const).filter((h) => !fields.includes(h));
  if (lacks.length > 0)
    return fail(
      say('files.hasColumn', { lacks: lacks.join('”, “') }),
      where,
      say('files.startFromTableSaved2'),
    );
  if (parsed.data.length === 0) return fail(say('files.hasRows'), where, say('files.nothingWasChanged'));
  if (parsed.data.length > MOST_ROWS)
    return fail(say('files.hasMoreThan200'), where, say('common.splitNothingWasChanged'));
  const entries: LogEntry[] = [];
  for (const [i, r] of parsed.data.entries()) {
    const made = logEntrySchema.safeParse(draftOf(r));
    if (!made.success)
      return fail(say('files.rowProblem', { row: i + 2, problem: firstIssue(made.error) }), where, way);
    entries.push(plain(r.id) === '' ? { ...made.data, id: nameOf(made.data, 'row') } : made.data);
  }
  return ok(entries);
}
