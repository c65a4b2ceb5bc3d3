import Dexie, { type Table, type Transaction } from 'dexie';
import { upgradeBlank, upgradeJob, upgradePaper, upgradeRun, upgradeSettings } from '@/core/formats/upgrade';
import { oldMethodOf, upgradeJob4, upgradeSettings4 } from '@/core/formats/upgrade4';
import { upgradeJob3, upgradePaper3, upgradeSettings3 } from '@/core/formats/upgrade3';
import type { Mime } from '@/core/job/art';
import type { Job } from '@/core/job/job';
import type { Standing } from '@/core/plan/standing';
import type { Blank } from '@/core/shop/blank';
import type { Paper } from '@/core/shop/paper';
import type { Press } from '@/core/shop/press';
import type { LogEntry, Recipe, Run } from '@/core/shop/records';
import type { Settings } from '@/core/shop/settings';
import { indexLog } from './upgradeLog';

/** A job as kept: its revision counts saves, so two tabs cannot silently overwrite each other. */
export interface JobRecord {
  readonly id: string;
  readonly rev: number;
  readonly savedAt: number;
  readonly job: Job;
  /** Names this save. Absent on records of before saves had ids. */
  readonly saveId?: string;
}

/** A log entry with the words it is found by. */
export interface LogRecord extends LogEntry {
  readonly words: string[];
}

/** Counts kept beside the log: of a job, or of a blank on a press at exactly some settings. */
export interface TallyRecord {
  readonly id: string;
  readonly good: number;
  readonly spoiled: number;
  readonly entries: number;
}

/** What was found in a picture’s pixels. Only kept so that nobody looks twice: any of it may go. */
export interface LookRecord {
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

/** What was last reckoned of a job, and a key of what it was reckoned from. Only kept to be shown sooner: any of it may go. */
export interface StandingRecord {
  readonly id: string;
  readonly key: string;
  readonly standing: Standing;
}

/** Changes every record of a table in place, inside an upgrade. */
const modifier = (tx: Transaction) => (table: string, change: (record: unknown) => unknown) =>
  tx
    .table(table)
    .toCollection()
    .modify((record, ref) => {
      ref.value = change(record) as typeof record;
    });

/** The shop in this browser. New versions go below the last, with an `upgrade` that carries the old records over. */
export class MesaDb extends Dexie {
  declare readonly jobs: Table<JobRecord, string>;
  declare readonly blanks: Table<Blank, string>;
  declare readonly presses: Table<Press, string>;
  declare readonly papers: Table<Paper, string>;
  declare readonly recipes: Table<Recipe, string>;
  declare readonly log: Table<LogRecord, string>;
  declare readonly tallies: Table<TallyRecord, string>;
  declare readonly looks: Table<LookRecord, string>;
  declare readonly runs: Table<Run, string>;
  declare readonly settings: Table<SettingsRecord, string>;
  declare readonly pictures: Table<PictureRecord, string>;
  declare readonly notes: Table<NoteRecord, string>;
  declare readonly standings: Table<StandingRecord, string>;

  constructor(name = 'mesa-drift') {
    super(name);
    this.version(1).stores({
      jobs: 'id',
      blanks: 'id',
      presses: 'id',
      papers: 'id',
      recipes: 'id, [blankId+pressId]',
      log: 'id, jobId, at',
      runs: 'id, jobId',
      settings: 'id',
      pictures: 'id',
    });
    this.version(2)
      .stores({})
      .upgrade(async (tx) => {
        const each = modifier(tx);
        await each('blanks', upgradeBlank);
        await each('papers', upgradePaper);
        await each('runs', upgradeRun);
        await each('jobs', (r) => ({ ...(r as JobRecord), job: upgradeJob((r as JobRecord).job) }));
        await each('settings', (r) => ({
          ...(r as SettingsRecord),
          settings: upgradeSettings((r as SettingsRecord).settings),
        }));
      });
    this.version(3)
      .stores({})
      .upgrade(async (tx) => {
        const each = modifier(tx);
        await each('papers', upgradePaper3);
        await each('jobs', (r) => ({ ...(r as JobRecord), job: upgradeJob3((r as JobRecord).job) }));
        await each('settings', (r) => ({
          ...(r as SettingsRecord),
          settings: upgradeSettings3((r as SettingsRecord).settings),
        }));
      });
    this.version(4).stores({ standings: 'id' });
    this.version(5)
      .stores({
        notes: 'jobId',
        tallies: 'id',
        looks: 'id',
        log: 'id, at, [jobId+at], [blankId+pressId+at], *words',
      })
      .upgrade(async (tx) => {
        await indexLog(tx);
        const shop = (await tx.table('settings').get('shop')) as SettingsRecord | undefined;
        const method = oldMethodOf(shop?.settings);
        const each = modifier(tx);
        await each('jobs', (r) => ({ ...(r as JobRecord), job: upgradeJob4((r as JobRecord).job, method) }));
        await each('settings', (r) => ({
          ...(r as SettingsRecord),
          settings: upgradeSettings4((r as SettingsRecord).settings),
        }));
      });
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
];
