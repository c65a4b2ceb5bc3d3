import type { Terrace } from '../figures/terraces';
import type { Figure, Finding, Level } from '../figures/figure';
import type { Phrase } from '../units/phrase';

/** How far a terrace has come: nothing yet, workable, settled. */
export type Progress = 'todo' | 'ready' | 'done';

/** What every terrace of a plan carries; each adds its own drawing data. Plain JSON throughout. */
export interface TerracePlan<T extends Terrace> {
  readonly terrace: T;
  readonly progress: Progress;
  /** The one line of the traveller. */
  readonly summary: Phrase;
  readonly figures: readonly Figure[];
  readonly findings: readonly Finding[];
}

export const finding = (terrace: Terrace, id: string, level: Level, text: Phrase): Finding => ({
  id: `${terrace}.${id}`,
  terrace,
  level,
  text,
});
