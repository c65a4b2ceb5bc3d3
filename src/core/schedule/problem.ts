/** A stretch of time somebody is there and works, s from the beginning of the plan. */
export interface WorkingTime {
  readonly fromS: number;
  readonly toS: number;
}

/** One step of a load at its press. Without hands the press goes on by itself. */
export interface LoadStep {
  readonly hands: boolean;
  readonly s: number;
  /** Standard deviation of the logarithm of its time. */
  readonly logSd: number;
}

/** A way for a job through one press. */
export interface Route {
  /** Index into the presses of the problem. */
  readonly press: number;
  readonly atOnce: number;
  readonly cycle: readonly LoadStep[];
  /** What the press has to be set to: jobs of the same setting follow each other without a change. */
  readonly setting: string;
  /** Hands to set it, and the wait until it is back at temperature, s. */
  readonly setS: number;
  readonly changeS: number;
  /** No load of this job begins here before, s. */
  readonly fromS: number;
}

/** What is left to do of one job. Times in s, hands times a piece unless said otherwise. */
export interface Work {
  readonly id: string;
  /** When it should be packed; null for no date. */
  readonly dueS: number | null;
  /** Nothing of it begins before. */
  readonly releaseS: number;
  /** Index into the printers. */
  readonly printer: number;
  readonly sheets: number;
  readonly perSheet: number;
  readonly printS: number;
  readonly dryS: number;
  /** Hands a sheet. */
  readonly trimS: number;
  /** Pieces not yet pressed, those taped and those in a press among them. */
  readonly pieces: number;
  /** Of those: printed, dry and cut; and taped up. */
  readonly cut: number;
  readonly taped: number;
  readonly prepareS: number;
  readonly routes: readonly Route[];
  readonly coolS: number;
  /** Pieces that are cool and wait to be finished. */
  readonly toFinish: number;
  /** Finishing and packing. */
  readonly finishS: number;
  /** Of the hands of this job, the standard deviation of the logarithm of their time. */
  readonly logSd: number;
  /** Share of pieces that are spoiled, 0..1. */
  readonly spoilage: number;
}

/** A load that is in a press as the plan begins. */
export interface InPress {
  readonly work: number;
  readonly pieces: number;
  /** Index into the cycle, and how long of that segment is left. */
  readonly segment: number;
  readonly leftS: number;
}

export interface PressLine {
  readonly id: string;
  /** Index into the circuits; null where none is known. */
  readonly circuit: number | null;
  readonly warmS: number;
  /** Current while it warms up, and on the mean while it is kept hot, A. */
  readonly warmA: number;
  readonly holdA: number;
  /** When it is hot, where it is on as the plan begins; null where it is off. */
  readonly hotFromS: number | null;
  readonly setting: string | null;
  readonly inPress: InPress | null;
}

export interface CircuitLine {
  readonly id: string;
  /** What it may carry for hours, A, and what else is on it. */
  readonly carriesA: number;
  readonly otherA: number;
}

/** Everything a schedule is made from. Plain JSON, so that a worker can be asked. */
export interface ScheduleInput {
  /** In order; between two of them nobody works. */
  readonly windows: readonly WorkingTime[];
  readonly people: number;
  readonly printers: number;
  readonly presses: readonly PressLine[];
  readonly circuits: readonly CircuitLine[];
  readonly coolingPlaces: number;
  readonly work: readonly Work[];
}

/** Longer than this between two windows, presses are turned off, s. */
export const NIGHT_S = 3 * 3600;

/** Time of a cycle with nothing to wait for, s. */
export const cycleS = (cycle: readonly LoadStep[]): number => cycle.reduce((s, x) => s + x.s, 0);

/** Hands of a cycle, s. */
export const handsS = (cycle: readonly LoadStep[]): number =>
  cycle.reduce((s, x) => (x.hands ? s + x.s : s), 0);

/** A press takes its own jobs first, then those it shares with others, then helps with the rest; some it never takes. */
export const JOB_PRIORITY = { own: 0, shared: 1, help: 2, never: 3 } as const;
export type JobPriority = (typeof JOB_PRIORITY)[keyof typeof JOB_PRIORITY];

/** In which order jobs are taken, and how hands weigh their work: what a search may change. */
export interface Policy {
  /** Indices of the work, first to be taken first. */
  readonly order: readonly number[];
  /** When a press turns to a job, by work and press as in `routeKey`; first where nothing is said. */
  readonly turns: ReadonlyMap<string, JobPriority>;
  /** Loads taped ahead of each press before hands turn to finishing. */
  readonly ahead: number;
  /** Finished as soon as cool, before anything is taped. */
  readonly finishFirst: boolean;
  /** Printers print job by job, and leave one for another only where its press would stand still. */
  readonly steady: boolean;
  /** Printers and hands serve jobs strictly in order, instead of the press that has least ahead. */
  readonly strict: boolean;
}

export const routeKey = (work: number, press: number): string => `${work} ${press}`;

type DoneKind =
  'print' | 'dry' | 'trim' | 'tape' | 'set' | 'change' | 'warm' | 'hands' | 'press' | 'cool' | 'finish';

/** Something done, from when to when. `press`, `person` and `printer` are indices; null where it takes none. */
export interface Done {
  readonly kind: DoneKind;
  readonly work: number | null;
  /** Load of the job, or sheet for printing, drying and trimming; from 0. */
  readonly part: number;
  readonly pieces: number;
  readonly fromS: number;
  readonly toS: number;
  readonly press: number | null;
  readonly person: number | null;
  readonly printer: number | null;
}

/** When a press is on: from turning it on, hot from, until it is turned off. */
export interface PressOn {
  readonly press: number;
  readonly fromS: number;
  readonly hotS: number;
  readonly toS: number;
}

export interface Outcome {
  /** When the last piece of each job is packed, s; infinite where it never is. */
  readonly endS: readonly number[];
  readonly makespanS: number;
  /** Press by press: how long a load was in it. */
  readonly pressBusyS: readonly number[];
  /** Hands at work in all, s. */
  readonly handsBusyS: number;
  readonly printerBusyS: readonly number[];
  /** How often a printer went over to another job. */
  readonly printerChanges: number;
  /** Loads that waited at their press for hands, for taped pieces, for a place to cool, s in all. */
  readonly waitedS: { readonly hands: number; readonly taped: number; readonly place: number };
  readonly events: number;
  /** Every step and every time a press was on; empty unless asked for. */
  readonly done: readonly Done[];
  readonly on: readonly PressOn[];
}
