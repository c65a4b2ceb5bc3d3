import { say, type Message } from '../message/message';
import type { CauseId } from '../shop/faultIds';
import type { Clue } from './evidence';

/** What a test uses up besides time. */
type Uses = 'nothing' | 'strip' | 'blank';

/** A question or a test, with what it takes. Ids are kept in log entries: never rename one. */
export interface Question extends Clue {
  readonly text: Message;
  /** Words of each value, in their order. */
  readonly words: readonly Message[];
  readonly takesS: number;
  readonly uses: Uses;
}

type Rows = Clue['rows'];
type Answers = readonly (readonly [id: string, words: Message])[];

const ask = (
  id: string,
  text: Message,
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
  ['yes', say('inspect.yes')],
  ['no', say('inspect.no')],
];

/** Heat and pressure. */
const PRESS_QUESTIONS: readonly Question[] = [
  ask('display-back', say('inspect.wasDisplayBackSet'), [5, 'nothing'], YES_NO, [0.87, 0.13], {
    'not-recovered': [0.04, 0.96],
  }),
  ask(
    'probe',
    say('inspect.closeHeatStripProbe'),
    [180, 'strip'],
    [
      ['as-set', say('inspect.asSet')],
      ['cooler', say('inspect.cooler')],
      ['hotter', say('inspect.hotter')],
    ],
    [0.88, 0.07, 0.05],
    { 'too-cool': [0.05, 0.93, 0.02], 'too-hot': [0.05, 0.02, 0.93], 'not-recovered': [0.78, 0.2, 0.02] },
  ),
  ask('time-for-this', say('inspect.timeSetOneBlank'), [10, 'nothing'], YES_NO, [0.92, 0.08], {
    'too-short': [0.1, 0.9],
    'too-long': [0.12, 0.88],
  }),
  ask(
    'corner-slips',
    say('inspect.closeStripPaperEach'),
    [60, 'nothing'],
    [
      ['held', say('inspect.allHeld')],
      ['one-slips', say('inspect.oneTwoSlip')],
      ['all-slip', say('inspect.allSlip')],
    ],
    [0.87, 0.1, 0.03],
    { 'uneven-pressure': [0.06, 0.88, 0.06], 'light-pressure': [0.05, 0.12, 0.83] },
  ),
  ask(
    'lever',
    say('inspect.howDoesPressClose'),
    [15, 'nothing'],
    [
      ['finger', say('inspect.withAFinger')],
      ['hand', say('inspect.oneHand')],
      ['two-hands', say('inspect.bothHands')],
    ],
    [0.09, 0.83, 0.08],
    { 'light-pressure': [0.9, 0.09, 0.01], 'heavy-pressure': [0.01, 0.14, 0.85] },
  ),
  ask(
    'turned-round',
    say('inspect.pressStripRejectTurned'),
    [240, 'strip'],
    [
      ['with-piece', say('inspect.wentPiece')],
      ['stays', say('inspect.stayedPress')],
      ['gone', say('inspect.itIsGone')],
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
    say('inspect.whichPiecesHave'),
    [10, 'nothing'],
    [
      ['first', say('inspect.onlyFirstAfterPause')],
      ['every', say('inspect.everyOne')],
      ['some', say('inspect.oneHereThere')],
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
  ask('rule-rocks', say('inspect.laySteelRuleAlong'), [20, 'nothing'], YES_NO, [0.08, 0.92], {
    'over-curve': [0.95, 0.05],
  }),
  ask('stands-out', say('inspect.holdPieceBesideHeater'), [20, 'nothing'], YES_NO, [0.06, 0.94], {
    'past-heater': [0.94, 0.06],
    'no-heat-gap': [0.3, 0.7],
  }),
];

/** Paper, seam and hands. */
const PAPER_QUESTIONS: readonly Question[] = [
  ask(
    'fine-line',
    say('inspect.underGlassHowFine'),
    [10, 'nothing'],
    [
      ['doubled', say('inspect.doubled')],
      ['soft', say('inspect.softAllRound')],
      ['sharp', say('inspect.sharp')],
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
  ask('tape-held', say('inspect.didAllTapeStill'), [5, 'nothing'], YES_NO, [0.94, 0.06], {
    'tape-let-go': [0.05, 0.95],
    'pulled-open': [0.3, 0.7],
    slipped: [0.25, 0.75],
  }),
  ask(
    'ends-now',
    say('inspect.layUsedPaperRound'),
    [20, 'nothing'],
    [
      ['meet', say('inspect.theyMeet')],
      ['part', say('inspect.theyDoReach')],
      ['lap', say('inspect.theyOverlap')],
    ],
    [0.88, 0.05, 0.07],
    {
      'wrap-short': [0.04, 0.93, 0.03],
      'paper-shrank': [0.16, 0.82, 0.02],
      'pulled-open': [0.92, 0.06, 0.02],
      lapped: [0.04, 0.01, 0.95],
    },
  ),
  ask('ruled-before', say('inspect.wasPrintLongShould'), [20, 'nothing'], YES_NO, [0.94, 0.06], {
    'wrap-short': [0.08, 0.92],
  }),
  ask(
    'stripe-edge',
    say('inspect.howEdgesWhiteStripe'),
    [5, 'nothing'],
    [
      ['sharp', say('inspect.sharp')],
      ['fading', say('inspect.theyFadeOut')],
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
    say('inspect.runFingernailAlongSeam'),
    [10, 'nothing'],
    [
      ['flat', say('inspect.flat')],
      ['ridge', say('inspect.aRidge')],
      ['bubble', say('inspect.aBubble')],
    ],
    [0.88, 0.06, 0.06],
    { lapped: [0.06, 0.91, 0.03], 'air-in-seam': [0.07, 0.05, 0.88] },
  ),
  ask('dry', say('inspect.wasPrintDryTen'), [5, 'nothing'], YES_NO, [0.93, 0.07], {
    'wet-print': [0.07, 0.93],
    'paper-shrank': [0.55, 0.45],
  }),
  ask(
    'peeled',
    say('inspect.howDidPaperCome'),
    [5, 'nothing'],
    [
      ['at-once', say('inspect.onceOneMove')],
      ['slowly', say('inspect.slowlyTwoMoves')],
      ['left-on', say('inspect.stayedMinutes')],
    ],
    [0.85, 0.09, 0.06],
    {
      'slow-peel': [0.08, 0.88, 0.04],
      'moved-hot': [0.36, 0.6, 0.04],
      'left-wrapped': [0.03, 0.05, 0.92],
    },
  ),
  ask('print-side', say('inspect.doesPrintLieCoated'), [15, 'nothing'], YES_NO, [0.98, 0.02], {
    'wrong-side': [0.05, 0.95],
  }),
  ask('fresh-waste', say('inspect.wasWasteSheetFresh'), [5, 'nothing'], YES_NO, [0.92, 0.08], {
    'no-waste-sheet': [0.04, 0.96],
  }),
  ask('wiped', say('inspect.wasFaceWipedAlcohol'), [5, 'nothing'], YES_NO, [0.9, 0.1], {
    touched: [0.06, 0.94],
    lint: [0.45, 0.55],
  }),
  ask('dried-first', say('inspect.wereBlankPaperWarmed'), [5, 'nothing'], YES_NO, [0.82, 0.18], {
    moisture: [0.06, 0.94],
  }),
  ask(
    'lettering',
    say('inspect.howDoesLetteringRead'),
    [3, 'nothing'],
    [
      ['backwards', say('inspect.backwards')],
      ['upside-down', say('inspect.upsideDown')],
      ['right', say('inspect.rightWay')],
    ],
    [0.01, 0.01, 0.98],
    { 'mirror-count': [0.96, 0.02, 0.02], 'put-on-upside-down': [0.02, 0.96, 0.02] },
  ),
  ask('known-lot', say('inspect.pressStripPieceLot'), [240, 'strip'], YES_NO, [0.9, 0.1], {
    'poor-coating': [0.04, 0.96],
    'coating-dust': [0.1, 0.9],
    moisture: [0.3, 0.7],
    lint: [0.25, 0.75],
  }),
  ask(
    'height-now',
    say('inspect.layUsedPaperBlank'),
    [15, 'nothing'],
    [
      ['covers', say('inspect.coversHadMoved')],
      ['too-low', say('inspect.tallEnough')],
    ],
    [0.93, 0.07],
    { 'wrap-short-tall': [0.05, 0.95], 'paper-shrank': [0.4, 0.6] },
  ),
  ask('another-paper', say('inspect.pressStripAnotherPaper'), [240, 'strip'], YES_NO, [0.9, 0.1], {
    'paper-brand': [0.05, 0.95],
  }),
];

/** The print as it left the printer. */
const PRINT_QUESTIONS: readonly Question[] = [
  ask(
    'on-print',
    say('inspect.sameOnPrint'),
    [15, 'nothing'],
    [...YES_NO, ['unseen', say('inspect.noPrintLeft')]],
    [0.05, 0.65, 0.3],
    {
      nozzles: [0.67, 0.03, 0.3],
      'feed-step': [0.67, 0.03, 0.3],
      'head-strike': [0.67, 0.03, 0.3],
      'ink-low': [0.5, 0.2, 0.3],
      'wrong-page': [0.67, 0.03, 0.3],
      'wheel-over-ink': [0.5, 0.2, 0.3],
    },
  ),
  ask('nozzle-check', say('inspect.nozzleCheckWhole'), [90, 'nothing'], YES_NO, [0.95, 0.05], {
    nozzles: [0.08, 0.92],
    'ink-low': [0.3, 0.7],
  }),
  ask(
    'lines-spaced',
    say('inspect.linesSpaced'),
    [10, 'nothing'],
    [
      ['even', say('inspect.evenlySpaced')],
      ['uneven', say('inspect.hereAndThere')],
      ['none', say('inspect.noLines')],
    ],
    [0.03, 0.05, 0.92],
    { 'feed-step': [0.88, 0.07, 0.05], nozzles: [0.25, 0.6, 0.15], 'wheel-over-ink': [0.02, 0.9, 0.08] },
  ),
  ask('one-colour', say('inspect.oneColourMissing'), [10, 'nothing'], YES_NO, [0.06, 0.94], {
    'ink-low': [0.85, 0.15],
    nozzles: [0.4, 0.6],
    'colour-twice': [0.08, 0.92],
  }),
];

export const QUESTIONS: readonly Question[] = [...PRESS_QUESTIONS, ...PAPER_QUESTIONS, ...PRINT_QUESTIONS];

/** What a strip and a blank are weighed as, beside the seconds a test takes: our own estimate. */
const USES_S: Readonly<Record<Uses, number>> = { nothing: 0, strip: 60, blank: 600 };
/** Reading a question and looking takes this long whatever it asks. */
const READING_S = 20;

/** What a question costs, in seconds. */
export const costS = (q: Pick<Question, 'takesS' | 'uses'>): number => READING_S + q.takesS + USES_S[q.uses];

/** All causes a row is stated for, so that a slip of the pen shows in a test. */
export const namedCauses = (c: Clue): readonly CauseId[] => Object.keys(c.rows) as CauseId[];
