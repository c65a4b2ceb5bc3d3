import { say, type Write, type Message } from '../message/message';
import { FAULT_IDS, PAPER_FAULT_IDS, type CauseId } from '../shop/faultIds';
import type { LogEntry, Verdict } from '../shop/records';
import type { Mark } from '../shop/mark';
import { CAUSES, faultLabel } from '../inspect/faults';

/** What was bought to print and press with, by name; '' where it was not noted. */
export const SUPPLIES = ['paper', 'printer', 'ink', 'supplier'] as const;
export type Supply = (typeof SUPPLIES)[number];

/** What an entry is filtered and charted by: small enough that a hundred thousand are held at once. */
export interface LogRow extends Readonly<Record<Supply, string>> {
  readonly id: string;
  readonly at: number;
  readonly jobId: string;
  readonly blankId: string;
  readonly pressId: string;
  readonly by: string | null;
  readonly verdict: Verdict;
  /** One bit a fault, in the order of ALL_FAULTS. */
  readonly faults: number;
  readonly cause: CauseId | null;
  readonly good: number;
  readonly seconds: number;
  readonly spoiled: number;
  readonly costCents: number;
  readonly setS: number;
  readonly keptS: number | null;
  readonly corrects: string | null;
  readonly note: string;
  /** Names, verdict, faults, cause and note in small letters. */
  readonly text: string;
}

export const ALL_FAULTS: readonly Mark['fault'][] = [...FAULT_IDS, ...PAPER_FAULT_IDS];

/** Bits of some faults. */
const faultBits = (faults: readonly Mark['fault'][]): number =>
  faults.reduce((bits, f) => bits | (1 << ALL_FAULTS.indexOf(f)), 0);

const VERDICT_TEXT: Readonly<Record<Verdict, Message>> = {
  good: say('common.good2'),
  under: say('common.tooLittle'),
  over: say('common.tooMuch'),
  other: say('common.otherFault'),
};

/** All the words an entry may be found by. */
function entryText(e: LogEntry, write: Write): string {
  const faults = [...new Set(e.marks.map((m) => m.fault))].map((f) => write(faultLabel(f))).join(' ');
  const cause = e.cause ? write(CAUSES[e.cause].label) : '';
  return `${e.jobName} ${e.blankName} ${e.pressName} ${e.by ?? ''} ${write(VERDICT_TEXT[e.verdict])} ${faults} ${cause} ${e.paperName} ${e.printerName} ${e.inkName} ${e.supplier} ${e.lot} ${e.note}`.toLowerCase();
}

/** An entry as the log is searched: in the words of the language that `write` writes. */
export const logRow = (e: LogEntry, write: Write): LogRow => ({
  id: e.id,
  at: e.at,
  jobId: e.jobId,
  blankId: e.blankId,
  pressId: e.pressId,
  by: e.by,
  verdict: e.verdict,
  faults: faultBits(e.marks.map((m) => m.fault)),
  cause: e.cause,
  good: e.good,
  seconds: e.seconds,
  spoiled: e.spoiled,
  costCents: e.spoiledCostCents ?? 0,
  setS: e.settings.dwellS,
  keptS: e.keptDwellS,
  corrects: e.corrects,
  paper: e.paperName,
  printer: e.printerName,
  ink: e.inkName,
  supplier: e.supplier,
  note: e.note,
  text: entryText(e, write),
});

/** What is asked of the log. Null asks for nothing; `cause: 'none'` asks for those nobody settled. */
export interface LogQuery extends Readonly<Record<Supply, string | null>> {
  readonly text: string;
  readonly fromAt: number | null;
  readonly toAt: number | null;
  readonly jobId: string | null;
  readonly blankId: string | null;
  readonly pressId: string | null;
  readonly by: string | null;
  readonly verdict: Verdict | null;
  readonly fault: Mark['fault'] | null;
  readonly cause: CauseId | 'none' | null;
}

export const WHOLE_LOG: LogQuery = {
  text: '',
  fromAt: null,
  toAt: null,
  jobId: null,
  blankId: null,
  pressId: null,
  by: null,
  verdict: null,
  fault: null,
  cause: null,
  paper: null,
  printer: null,
  ink: null,
  supplier: null,
};

const holdsAll = (text: string, words: readonly string[]): boolean => words.every((w) => text.includes(w));

/** Rows that match, newest first, without those that were corrected. `rows` oldest first. */
export function filterRows(
  rows: readonly LogRow[],
  gone: ReadonlySet<string>,
  q: LogQuery,
): readonly LogRow[] {
  const words = q.text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const bit = q.fault === null ? 0 : faultBits([q.fault]);
  const supplies = SUPPLIES.filter((s) => q[s] !== null);
  const found: LogRow[] = [];
  for (let i = rows.length - 1; i >= 0; i -= 1) {
    const r = rows[i];
    if (!r) continue;
    if (q.fromAt !== null && r.at < q.fromAt) break;
    if (
      (q.toAt === null || r.at < q.toAt) &&
      (q.jobId === null || r.jobId === q.jobId) &&
      (q.blankId === null || r.blankId === q.blankId) &&
      (q.pressId === null || r.pressId === q.pressId) &&
      (q.by === null || r.by === q.by) &&
      supplies.every((s) => r[s] === q[s]) &&
      (q.verdict === null || r.verdict === q.verdict) &&
      (bit === 0 || (r.faults & bit) !== 0) &&
      (q.cause === null ||
        (q.cause === 'none' ? r.cause === null && r.verdict !== 'good' : r.cause === q.cause)) &&
      (words.length === 0 || holdsAll(r.text, words)) &&
      !gone.has(r.id)
    )
      found.push(r);
  }
  return found;
}

/** Rows in order of time, with others put in where they belong. */
export function withRows(rows: readonly LogRow[], more: readonly LogRow[]): readonly LogRow[] {
  if (more.length === 0) return rows;
  const known = new Set(more.map((r) => r.id));
  const rest = rows.some((r) => known.has(r.id)) ? rows.filter((r) => !known.has(r.id)) : rows;
  const last = rest.at(-1)?.at ?? -Infinity;
  const added = [...more].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  const all = [...rest, ...added];
  return (added[0]?.at ?? Infinity) >= last ? all : all.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}
