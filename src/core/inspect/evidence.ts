import type { CauseId } from '../shop/faultIds';

/** Something that can be found out, its values, and how often each is so under every cause. */
export interface Clue<V extends string = string> {
  readonly id: string;
  readonly values: readonly V[];
  /** Where a cause has no row of its own. Each row adds to 1. */
  readonly usual: readonly number[];
  readonly rows: Readonly<Partial<Record<CauseId, readonly number[]>>>;
}

const clue = <V extends string>(
  id: string,
  values: readonly V[],
  usual: readonly number[],
  rows: Clue['rows'],
): Clue<V> => ({ id, values, usual, rows });

const same = (causes: readonly CauseId[], row: readonly number[]): Clue['rows'] =>
  Object.fromEntries(causes.map((c) => [c, row]));

/** Parts of a face a fault can lie at, so far as causes care. */
export const WHERES = ['all', 'corner', 'edge', 'rim-foot', 'seam', 'inside'] as const;
export type Where = (typeof WHERES)[number];

export const WHERE = clue('where', WHERES, [0.22, 0.07, 0.12, 0.09, 0.1, 0.4], {
  ...same(['too-cool', 'too-short', 'not-recovered', 'wrong-side'], [0.88, 0.02, 0.03, 0.02, 0.01, 0.04]),
  ...same(['too-hot', 'too-long', 'left-wrapped'], [0.75, 0.02, 0.04, 0.04, 0.02, 0.13]),
  ...same(['mirror-count', 'put-on-upside-down'], [0.93, 0.01, 0.01, 0.01, 0.01, 0.03]),
  ...same(
    ['wrap-short', 'pulled-open', 'paper-shrank', 'lapped', 'gas-sideways', 'air-in-seam'],
    [0.01, 0.01, 0.07, 0.01, 0.87, 0.03],
  ),
  'feed-step': [0.86, 0.01, 0.03, 0.02, 0.01, 0.07],
  ...same(['ink-low', 'colour-twice', 'wrong-page'], [0.93, 0.01, 0.01, 0.01, 0.01, 0.03]),
  nozzles: [0.2, 0.02, 0.04, 0.03, 0.01, 0.7],
  'head-strike': [0.01, 0.3, 0.55, 0.08, 0.01, 0.05],
  'no-heat-gap': [0.01, 0.01, 0.12, 0.02, 0.79, 0.05],
  'light-pressure': [0.5, 0.1, 0.1, 0.04, 0.02, 0.24],
  'uneven-pressure': [0.02, 0.62, 0.26, 0.02, 0.01, 0.07],
  'past-heater': [0.01, 0.11, 0.36, 0.46, 0.03, 0.03],
  'over-curve': [0.01, 0.01, 0.03, 0.92, 0.01, 0.02],
  'wrap-short-tall': [0.01, 0.01, 0.11, 0.84, 0.01, 0.02],
  slipped: [0.01, 0.03, 0.26, 0.66, 0.01, 0.03],
  'moved-hot': [0.42, 0.03, 0.1, 0.04, 0.03, 0.38],
  'tape-let-go': [0.12, 0.16, 0.3, 0.08, 0.16, 0.18],
  ...same(['lint', 'coating-dust'], [0.01, 0.03, 0.05, 0.04, 0.02, 0.85]),
});

/** The used paper. */
export const USED_PAPER = clue(
  'used-paper',
  ['even', 'left-all', 'left-in-places', 'browned'],
  [0.76, 0.07, 0.11, 0.06],
  {
    'too-cool': [0.16, 0.71, 0.1, 0.03],
    'too-short': [0.13, 0.75, 0.1, 0.02],
    'not-recovered': [0.16, 0.66, 0.16, 0.02],
    'wrong-side': [0.04, 0.92, 0.03, 0.01],
    'light-pressure': [0.2, 0.36, 0.42, 0.02],
    'uneven-pressure': [0.09, 0.05, 0.84, 0.02],
    'past-heater': [0.13, 0.05, 0.8, 0.02],
    'over-curve': [0.2, 0.03, 0.75, 0.02],
    'no-heat-gap': [0.2, 0.03, 0.75, 0.02],
    'poor-coating': [0.45, 0.35, 0.15, 0.05],
    'too-hot': [0.33, 0.01, 0.03, 0.63],
    'too-long': [0.28, 0.01, 0.03, 0.68],
    'left-wrapped': [0.25, 0.01, 0.03, 0.71],
    'heavy-pressure': [0.62, 0.03, 0.05, 0.3],
  },
);

/** The verdict, where the piece is not good. */
export const JUDGED = clue('verdict', ['under', 'over', 'other'], [0.07, 0.06, 0.87], {
  ...same(['too-cool', 'too-short', 'not-recovered', 'wrong-side'], [0.84, 0.01, 0.15]),
  'light-pressure': [0.62, 0.01, 0.37],
  ...same(['uneven-pressure', 'past-heater'], [0.3, 0.01, 0.69]),
  'poor-coating': [0.4, 0.08, 0.52],
  ...same(['too-hot', 'too-long', 'left-wrapped'], [0.01, 0.85, 0.14]),
  'heavy-pressure': [0.02, 0.3, 0.68],
});

/** What the heat model says of this setting on this load by itself. */
export const MODEL = clue('model', ['under', 'good', 'over'], [0.08, 0.84, 0.08], {
  'too-short': [0.76, 0.22, 0.02],
  'too-long': [0.02, 0.22, 0.76],
  'too-cool': [0.12, 0.83, 0.05],
  'too-hot': [0.05, 0.65, 0.3],
  'not-recovered': [0.2, 0.75, 0.05],
});

/** How the passes were opened, by the clock of the run. */
export const OPENED = clue('opened', ['early', 'on-time', 'late'], [0.04, 0.89, 0.07], {
  'too-short': [0.3, 0.66, 0.04],
  'too-long': [0.02, 0.53, 0.45],
  'left-wrapped': [0.03, 0.72, 0.25],
});

/** When the face of the press was last read by probe or strips. */
export const CHECKED = clue('press-checked', ['this-month', 'longer-ago', 'never'], [0.34, 0.33, 0.33], {
  ...same(['too-cool', 'too-hot'], [0.08, 0.42, 0.5]),
});

/** Blanks of a lot that has come out good, or of another. */
export const LOT = clue('lot', ['known-good', 'new'], [0.82, 0.18], {
  'poor-coating': [0.15, 0.85],
  'coating-dust': [0.5, 0.5],
  moisture: [0.6, 0.4],
});

/** The transfer paper, and the printer. */
export const TRANSFER_PAPER = clue('transfer-paper', ['usual', 'other'], [0.93, 0.07], {
  'paper-brand': [0.2, 0.8],
  'wrong-side': [0.4, 0.6],
  'paper-shrank': [0.65, 0.35],
  'wet-print': [0.75, 0.25],
  ...same(['head-strike', 'colour-twice'], [0.7, 0.3]),
});
export const PRINTER = clue('printer', ['usual', 'other'], [0.95, 0.05], {
  'mirror-count': [0.45, 0.55],
  'wet-print': [0.7, 0.3],
  'colour-twice': [0.75, 0.25],
});

/** The piece came out of the first load after a pause. */
export const LOAD_ORDER = clue('turn', ['first', 'later'], [0.3, 0.7], {
  'not-recovered': [0.78, 0.22],
  moisture: [0.5, 0.5],
});

/** The heater does not reach where the fault lies; for faults that lie somewhere. */
export const IN_GAP = clue('in-gap', ['yes', 'no'], [0.25, 0.75], { 'no-heat-gap': [0.93, 0.07] });

export const CLUES: readonly Clue[] = [
  WHERE,
  USED_PAPER,
  JUDGED,
  MODEL,
  OPENED,
  CHECKED,
  LOT,
  TRANSFER_PAPER,
  PRINTER,
  LOAD_ORDER,
  IN_GAP,
];

export const rowOf = (c: Clue, cause: CauseId): readonly number[] => c.rows[cause] ?? c.usual;
