import { fnv32 } from '../memo/key';
import type { LogEntry } from '../shop/records';
import { csvCellsOf } from './cells';

/** What becomes of entries that come from elsewhere. */
export interface LogMerge {
  readonly add: readonly LogEntry[];
  /** In this log already. */
  readonly same: number;
  /** Of the same id and other contents: added beside the shop’s own under another id, never over it. */
  readonly renamed: number;
}

/** An id made of what an entry says, so that every tablet gives it the same one. Ids made by it are stored: it never changes. */
export const nameOf = (e: Omit<LogEntry, 'id'>, before: string): string =>
  `${before}-${fnv32({ ...e, id: '' })}${fnv32([e.note, e.at, e.settings, e.jobName])}`;

/** What an entry says, as far as a table carries it: two entries of one id that say the same are one entry, whichever file they came by. */
const saying = (e: LogEntry): string =>
  JSON.stringify(Object.values({ ...csvCellsOf(e), id: '', corrects: '' }).map((c) => String(c).trim()));

/** The id of an entry whose own is taken by another. It knows the id it had, so that the entry is recognised wherever it kept that. */
const otherId = (e: LogEntry): string => `log-${fnv32([e.id, saying(e)])}${fnv32([saying(e), e.id, e.at])}`;

/** Every id an entry may already be stored under. */
export const idsOf = (e: LogEntry): readonly string[] => [e.id, otherId(e), nameOf(e, 'log')];

/** The entry a log holds for one that comes from elsewhere: of its id, of the id it was given here, or of the id it was given there. */
function found(
  e: LogEntry,
  byId: ReadonlyMap<string, LogEntry>,
  byOther: ReadonlyMap<string, LogEntry>,
): LogEntry | undefined {
  const here = [...idsOf(e).map((id) => byId.get(id)), byOther.get(e.id)];
  return here.find((x) => x !== undefined && saying(x) === saying(e));
}

/**
 * Another tablet’s or shop’s entries laid beside one’s own: none twice, none over another. The same file brought a second time adds nothing,
 * also where ids had to be changed the first time, and a table of one's own log adds nothing either. A correction goes on correcting the entry it
 * was written for. `own` holds all entries of the ids in `idsOf`, and of the same moments as entries whose id was changed elsewhere.
 */
export function mergeLog(own: readonly LogEntry[], incoming: readonly LogEntry[]): LogMerge {
  const byId = new Map(own.map((e) => [e.id, e]));
  const byOther = new Map(own.map((e) => [otherId(e), e]));
  const idHere = new Map<string, string>();
  const fresh: LogEntry[] = [];
  let renamed = 0;
  for (const e of incoming) {
    const there = found(e, byId, byOther);
    if (there) {
      idHere.set(e.id, there.id);
      continue;
    }
    const id = byId.has(e.id) ? otherId(e) : e.id;
    if (id !== e.id) renamed += 1;
    idHere.set(e.id, id);
    const kept = { ...e, id };
    byId.set(id, kept);
    byOther.set(otherId(e), kept);
    fresh.push(kept);
  }
  const add = fresh.map((e) =>
    e.corrects === null ? e : { ...e, corrects: idHere.get(e.corrects) ?? e.corrects },
  );
  return { add, same: incoming.length - fresh.length, renamed };
}
