import Dexie, { type DexieOptions, type Table } from 'dexie';
import type { Mime } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import type { JobStatus } from '@/core/plan/status';
import type { Blank } from '@/core/shop/blank';
import type { Paper } from '@/core/shop/paper';
import type { Press } from '@/core/shop/press';
import type { LogEntry, Recipe } from '@/core/shop/records';
import type { Quote } from '@/core/shop/quote';
import type { Run } from '@/core/shop/run';
import type { Settings } from '@/core/shop/settings';
import type { Movement, StockItem } from '@/core/shop/stock';
import { DB_VERSIONS } from './upgrades';

/** A job as kept: its revision counts saves, so two tabs cannot silently overwrite each other. */
export interface JobRecord {
  readonly id: string;
  readonly rev: number;
  readonly savedAt: number;
  readonly job: Job;
  /** Names this save. Absent on records of before saves had ids. */
  readonly saveId?: string;
  /** 1 where it is done and off the live list: found by search only. */
  readonly archived: 0 | 1;
  /** Pictures its art holds, to know whether one is used. */
  readonly pictures: readonly string[];
}

/** A run as kept, with whether it is still on. */
export interface RunRecord extends Run {
  readonly open: 0 | 1;
}

/** A log entry; records of before also carried the words they were found by. */
export interface LogRecord extends LogEntry {
  readonly words?: string[];
}

/** Counts kept beside the log: of a job, or of a blank on a press at exactly some settings. */
export interface TallyRecord {
  readonly id: string;
  readonly good: number;
  readonly seconds: number;
  readonly spoiled: number;
  readonly entries: number;
}

/** What was found in a picture’s pixels. Only kept so that nobody looks twice: any of it may go. */
export interface AnalysisRecord {
  readonly id: string;
  readonly version: number;
  readonly look: unknown;
}

/** An edit not yet saved, as the journal keeps it; read back only through its schema. */
export interface NoteRecord {
  readonly jobId: string;
  readonly note: unknown;
}

export interface SettingsRecord {
  readonly id: 'shop';
  readonly settings: Settings;
}

export interface PictureRecord {
  readonly id: string;
  readonly mime: Mime;
  readonly bytes: Uint8Array;
}

/** What was last calculated of a job, and a key of what it was calculated from. Only kept to be shown sooner: any of it may go. */
export interface JobStatusRecord {
  readonly id: string;
  readonly key: string;
  /** What an archived job is found by. */
  readonly words: string;
  readonly jobStatus: JobStatus;
}

/** An answer of the heat model, and the build that gave it. */
export interface HeatAnswerRecord {
  readonly id: string;
  readonly build: string;
  readonly at: number;
  readonly answer: unknown;
}

/** The shop of this browser was written by a newer copy of the application. */
class NewerDatabase extends Error {
  override readonly name = 'NewerDatabase';
}

/**
 * The browser's own store, but for one thing: Dexie answers a database newer than its code by opening it without a version, and adds what it
 * misses. That would write old records into a newer shop, so it is refused.
 */
function refusingNewer(): Pick<DexieOptions, 'indexedDB' | 'IDBKeyRange'> {
  const own = globalThis.indexedDB as IDBFactory | undefined;
  if (!own) return {};
  const indexedDB: IDBFactory = {
    open: (name, version) => {
      if (version === undefined) throw new NewerDatabase();
      return own.open(name, version);
    },
    deleteDatabase: (name) => own.deleteDatabase(name),
    databases: () => own.databases(),
    cmp: (a, b) => own.cmp(a, b),
  };
  return { indexedDB, IDBKeyRange };
}

/** The shop in this browser. Its versions stand in `upgrades.ts`. */
export class MesaDb extends Dexie {
  declare readonly jobs: Table<JobRecord, string>;
  declare readonly blanks: Table<Blank, string>;
  declare readonly presses: Table<Press, string>;
  declare readonly papers: Table<Paper, string>;
  declare readonly recipes: Table<Recipe, string>;
  declare readonly log: Table<LogRecord, string>;
  declare readonly tallies: Table<TallyRecord, string>;
  declare readonly analyses: Table<AnalysisRecord, string>;
  declare readonly runs: Table<RunRecord, string>;
  declare readonly settings: Table<SettingsRecord, string>;
  declare readonly pictures: Table<PictureRecord, string>;
  declare readonly notes: Table<NoteRecord, string>;
  declare readonly stockItems: Table<StockItem, string>;
  declare readonly movements: Table<Movement, string>;
  declare readonly quotes: Table<Quote, string>;
  declare readonly jobStatuses: Table<JobStatusRecord, string>;
  declare readonly heatAnswers: Table<HeatAnswerRecord, string>;

  constructor(name = 'mesa-drift') {
    super(name, refusingNewer());
    for (const { version, stores, upgrade } of DB_VERSIONS) {
      const declared = this.version(version).stores({ ...stores });
      if (upgrade) declared.upgrade(upgrade);
    }
  }
}

export const db = new MesaDb();

/** Every table of the shop’s own, for whole-shop transactions. */
export const allTables = (d: MesaDb) => [
  d.jobs,
  d.blanks,
  d.presses,
  d.papers,
  d.recipes,
  d.log,
  d.tallies,
  d.notes,
  d.runs,
  d.settings,
  d.pictures,
  d.stockItems,
  d.movements,
  d.quotes,
];
