/** What an upgrade step sees: plain JSON of unknown shape. The steps import this file and nothing else, so they never change meaning. */
export type Raw = Record<string, unknown>;

export const isRaw = (v: unknown): v is Raw => typeof v === 'object' && v !== null && !Array.isArray(v);
export const list = (v: unknown): readonly unknown[] => (Array.isArray(v) ? v : []);
export const number = (v: unknown): number => (typeof v === 'number' ? v : 0);

/** The same record with some of its keys renamed; a key it does not have stays absent. */
export const renamed = (v: Raw, names: Readonly<Record<string, string>>): Raw =>
  Object.fromEntries(Object.entries(v).map(([key, value]) => [names[key] ?? key, value]));

/**
 * Carries every kind of record from the version before to version `to`. A kind that a step does not name stays as it is. What does not look
 * like a record of the version before passes through unchanged: the schema refuses it in words afterwards.
 */
export interface VersionStep {
  readonly to: number;
  readonly blank?: (v: unknown) => unknown;
  readonly paper?: (v: unknown) => unknown;
  readonly settings?: (v: unknown) => unknown;
  readonly run?: (v: unknown) => unknown;
  readonly recipe?: (v: unknown) => unknown;
  readonly press?: (v: unknown) => unknown;
  readonly logEntry?: (v: unknown) => unknown;
  /** `settings` are the shop's as the version before wrote them; absent where they are not known. */
  readonly job?: (v: unknown, settings: unknown) => unknown;
  /** What a job file holds beside its job and its shop. */
  readonly jobFile?: (v: Raw) => Raw;
  /** What a shop file holds beside its shop and its jobs. */
  readonly shopFile?: (v: Raw) => Raw;
}
