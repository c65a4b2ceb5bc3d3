import type { CauseId } from '../shop/faultIds';
import type { Clue } from './evidence';

/** What a test uses up besides time. */
type Uses = 'nothing' | 'strip' | 'blank';

/** A question or a test, with what it takes. Ids are kept in log entries: never rename one. */
export interface Question extends Clue {
  readonly text: string;
  /** Words of each value, in their order. */
  readonly words: readonly string[];
  readonly takesS: number;
  readonly uses: Uses;
}

type Rows = Clue['rows'];
type Answers = readonly (readonly [id: string, words: string])[];

const ask = (
  id: string,
  text: string,
  [takesS, uses]: readonly [number, Uses],
  answers: Answers,
  usual: readonly number[],
  rows: Rows,
): Question => ({
  id,
  text,
  takesS,
  uses,
  values: answers.map(([v]) => v),
  words: answers.map(([, w]) => w),
  usual,
  rows,
});

const YES_NO: Answers = [
  ['yes', 'Yes'],
  ['no', 'No'],
];

/** Heat and pressure. */
const PRESS_QUESTIONS: readonly Question[] = [
  ask(
    'display-back',
    'Was the display back at its set temperature when the time began?',
    [5, 'nothing'],
    YES_NO,
    [0.87, 0.13],
    {
      'not-recovered': [0.04, 0.96],
    },
  ),
  ask(
    'probe',
    'Close on a heat strip or a probe: does the platen reach what is set?',
    [180, 'strip'],
    [
      ['as-set', 'As set'],
      ['cooler', 'Cooler'],
      ['hotter', 'Hotter'],
    ],
    [0.88, 0.07, 0.05],
    { 'too-cool': [0.05, 0.93, 0.02], 'too-hot': [0.05, 0.02, 0.93], 'not-recovered': [0.78, 0.2, 0.02] },
  ),
  ask(
    'time-for-this',
    'Is the time set the one for this blank, counted the way its recipe counts it?',
    [10, 'nothing'],
    YES_NO,
    [0.92, 0.08],
    { 'too-short': [0.1, 0.9], 'too-long': [0.12, 0.88] },
  ),
  ask(
    'corner-slips',
    'Close on a strip of paper at each corner and pull: does one slip out?',
    [60, 'nothing'],
    [
      ['held', 'All are held'],
      ['one-slips', 'One or two slip'],
      ['all-slip', 'All slip'],
    ],
    [0.87, 0.1, 0.03],
    { 'uneven-pressure': [0.06, 0.88, 0.06], 'light-pressure': [0.05, 0.12, 0.83] },
  ),
  ask(
    'lever',
    'How does the press close with the blank in it?',
    [15, 'nothing'],
    [
      ['finger', 'With a finger'],
      ['hand', 'With one hand'],
      ['two-hands', 'With both hands'],
    ],
    [0.09, 0.83, 0.08],
    { 'light-pressure': [0.9, 0.09, 0.01], 'heavy-pressure': [0.01, 0.14, 0.85] },
  ),
  ask(
    'turned-round',
    'Press a strip or a reject turned half round: where is the fault now?',
    [240, 'strip'],
    [
      ['with-piece', 'It went with the piece'],
      ['stays', 'It stayed in the press'],
      ['gone', 'It is gone'],
    ],
    [0.6, 0.1, 0.3],
    {
      'uneven-pressure': [0.05, 0.9, 0.05],
      'past-heater': [0.22, 0.73, 0.05],
      'over-curve': [0.92, 0.04, 0.04],
      'poor-coating': [0.8, 0.04, 0.16],
    },
  ),
  ask(
    'which-pieces',
    'Which pieces have it?',
    [10, 'nothing'],
    [
      ['first', 'Only the first after a pause'],
      ['every', 'Every one'],
      ['some', 'One here and there'],
    ],
    [0.08, 0.46, 0.46],
    {
      'not-recovered': [0.82, 0.08, 0.1],
      'too-cool': [0.04, 0.87, 0.09],
      'too-short': [0.04, 0.88, 0.08],
      'uneven-pressure': [0.03, 0.85, 0.12],
      'light-pressure': [0.04, 0.78, 0.18],
      'poor-coating': [0.03, 0.67, 0.3],
      'wrong-side': [0.08, 0.6, 0.32],
      lint: [0.05, 0.07, 0.88],
      'moved-hot': [0.06, 0.14, 0.8],
      moisture: [0.3, 0.3, 0.4],
    },
  ),
  ask(
    'rule-rocks',
    'Lay a steel rule along the wall where it is pale: does it rock?',
    [20, 'nothing'],
    YES_NO,
    [0.08, 0.92],
    {
      'over-curve': [0.95, 0.05],
    },
  ),
  ask(
    'stands-out',
    'Hold the piece beside the heater: does the print stand out past it?',
    [20, 'nothing'],
    YES_NO,
    [0.06, 0.94],
    {
      'past-heater': [0.94, 0.06],
      'no-heat-gap': [0.3, 0.7],
    },
  ),
];

/** Paper, seam and hands. */
const PAPER_QUESTIONS: readonly Question[] = [
  ask(
    'fine-line',
    'Under a glass: how is a fine line?',
    [10, 'nothing'],
    [
      ['doubled', 'Doubled'],
      ['soft', 'Soft all round'],
      ['sharp', 'Sharp'],
    ],
    [0.04, 0.12, 0.84],
    {
      'moved-hot': [0.9, 0.07, 0.03],
      'tape-let-go': [0.78, 0.17, 0.05],
      'slow-peel': [0.14, 0.82, 0.04],
      'too-hot': [0.03, 0.77, 0.2],
      'too-long': [0.03, 0.74, 0.23],
      'wet-print': [0.03, 0.85, 0.12],
      'left-wrapped': [0.04, 0.7, 0.26],
    },
  ),
  ask('tape-held', 'Did all the tape still hold when it came out?', [5, 'nothing'], YES_NO, [0.94, 0.06], {
    'tape-let-go': [0.05, 0.95],
    'pulled-open': [0.3, 0.7],
    slipped: [0.25, 0.75],
  }),
  ask(
    'ends-now',
    'Lay the used paper round the blank again: how do its ends lie?',
    [20, 'nothing'],
    [
      ['meet', 'They meet'],
      ['part', 'They do not reach'],
      ['lap', 'They overlap'],
    ],
    [0.88, 0.05, 0.07],
    {
      'wrap-short': [0.04, 0.93, 0.03],
      'paper-shrank': [0.16, 0.82, 0.02],
      'pulled-open': [0.92, 0.06, 0.02],
      lapped: [0.04, 0.01, 0.95],
    },
  ),
  ask(
    'ruled-before',
    'Was the print as long as it should be before it was pressed?',
    [20, 'nothing'],
    YES_NO,
    [0.94, 0.06],
    {
      'wrap-short': [0.08, 0.92],
    },
  ),
  ask(
    'stripe-edge',
    'How are the edges of the white stripe?',
    [5, 'nothing'],
    [
      ['sharp', 'Sharp'],
      ['fading', 'They fade out'],
    ],
    [0.5, 0.5],
    {
      'wrap-short': [0.94, 0.06],
      'paper-shrank': [0.94, 0.06],
      'pulled-open': [0.88, 0.12],
      'no-heat-gap': [0.04, 0.96],
      'air-in-seam': [0.12, 0.88],
    },
  ),
  ask(
    'seam-felt',
    'Run a fingernail along the seam of the used paper: how does it feel?',
    [10, 'nothing'],
    [
      ['flat', 'Flat'],
      ['ridge', 'A ridge'],
      ['bubble', 'A bubble'],
    ],
    [0.88, 0.06, 0.06],
    { lapped: [0.06, 0.91, 0.03], 'air-in-seam': [0.07, 0.05, 0.88] },
  ),
  ask(
    'dry',
    'Was the print dry, ten minutes or more out of the printer?',
    [5, 'nothing'],
    YES_NO,
    [0.93, 0.07],
    {
      'wet-print': [0.07, 0.93],
      'paper-shrank': [0.55, 0.45],
    },
  ),
  ask(
    'peeled',
    'How did the paper come off?',
    [5, 'nothing'],
    [
      ['at-once', 'At once, in one move'],
      ['slowly', 'Slowly, or in two moves'],
      ['left-on', 'It stayed on for minutes'],
    ],
    [0.85, 0.09, 0.06],
    {
      'slow-peel': [0.08, 0.88, 0.04],
      'moved-hot': [0.36, 0.6, 0.04],
      'left-wrapped': [0.03, 0.05, 0.92],
    },
  ),
  ask(
    'print-side',
    'Does the print lie on the coated side of its sheet?',
    [15, 'nothing'],
    YES_NO,
    [0.98, 0.02],
    {
      'wrong-side': [0.05, 0.95],
    },
  ),
  ask('fresh-waste', 'Was the waste sheet a fresh one?', [5, 'nothing'], YES_NO, [0.92, 0.08], {
    'no-waste-sheet': [0.04, 0.96],
  }),
  ask(
    'wiped',
    'Was the face wiped with alcohol, and not touched after?',
    [5, 'nothing'],
    YES_NO,
    [0.9, 0.1],
    { touched: [0.06, 0.94], lint: [0.45, 0.55] },
  ),
  ask('dried-first', 'Were blank and paper warmed dry first?', [5, 'nothing'], YES_NO, [0.82, 0.18], {
    moisture: [0.06, 0.94],
  }),
  ask(
    'lettering',
    'How does the lettering read?',
    [3, 'nothing'],
    [
      ['backwards', 'Backwards'],
      ['upside-down', 'Upside down'],
      ['right', 'The right way'],
    ],
    [0.01, 0.01, 0.98],
    { 'mirror-count': [0.96, 0.02, 0.02], 'put-on-upside-down': [0.02, 0.96, 0.02] },
  ),
  ask(
    'known-lot',
    'Press a strip on a piece of a lot that came out good: is the fault there too?',
    [240, 'strip'],
    YES_NO,
    [0.9, 0.1],
    {
      'poor-coating': [0.04, 0.96],
      'coating-dust': [0.1, 0.9],
      moisture: [0.3, 0.7],
      lint: [0.25, 0.75],
    },
  ),
  ask(
    'height-now',
    'Lay the used paper on the blank again: does it cover from rim to foot?',
    [15, 'nothing'],
    [
      ['covers', 'It covers, it had moved'],
      ['too-low', 'It is not tall enough'],
    ],
    [0.93, 0.07],
    { 'wrap-short-tall': [0.05, 0.95], 'paper-shrank': [0.4, 0.6] },
  ),
  ask(
    'another-paper',
    'Press a strip of another paper at the same settings: does it stick too?',
    [240, 'strip'],
    YES_NO,
    [0.9, 0.1],
    {
      'paper-brand': [0.05, 0.95],
    },
  ),
];

export const QUESTIONS: readonly Question[] = [...PRESS_QUESTIONS, ...PAPER_QUESTIONS];

/** What a strip and a blank are weighed as, beside the seconds a test takes: our own estimate of a bench's patience. */
const USES_S: Readonly<Record<Uses, number>> = { nothing: 0, strip: 60, blank: 600 };
/** Reading a question and looking takes this long whatever it asks. */
const READING_S = 20;

/** What a question costs, in seconds. */
export const costS = (q: Pick<Question, 'takesS' | 'uses'>): number => READING_S + q.takesS + USES_S[q.uses];

/** All causes a row is stated for, so that a slip of the pen shows in a test. */
export const namedCauses = (c: Clue): readonly CauseId[] => Object.keys(c.rows) as CauseId[];
