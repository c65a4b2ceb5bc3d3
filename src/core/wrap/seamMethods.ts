import { say, type Message } from '../message/message';
import type { SeamMethod } from '../shop/settings';

export interface SeamMethodNote {
  readonly label: Message;
  /** What the seam method's own amount is called on the drawing. */
  readonly amount: Message | null;
  readonly gain: Message;
  readonly risk: Message;
  readonly instruction: Message;
}

/** Ways of sizing a wrap that goes right round, with what each buys and costs. */
export const SEAM_METHOD_NOTES: Readonly<Record<SeamMethod, SeamMethodNote>> = {
  under: {
    label: say('wrap.under'),
    amount: say('wrap.marginEachEnd'),
    gain: say('wrap.overlapTightTrimForgiving'),
    risk: say('wrap.whiteStripeShowsBack'),
    instruction: say('wrap.centreFrontMarkEven'),
  },
  butt: {
    label: say('wrap.exactButt'),
    amount: null,
    gain: say('wrap.bestSeamEndsTouch'),
    risk: say('wrap.leastForgivingHalfMillimetre'),
    instruction: say('wrap.wrapDryFirstEnds'),
  },
  lap: {
    label: say('wrap.overlap'),
    amount: say('wrap.overlap'),
    gain: say('wrap.neverWhiteGap'),
    risk: say('wrap.faintDarkerLineWhere'),
    instruction: say('wrap.cleanCutEndTop'),
  },
  over: {
    label: say('wrap.overTrim'),
    amount: say('wrap.overprint'),
    gain: say('wrap.blankItselfSetsLength'),
    risk: say('wrap.oneMoreCutCut'),
    instruction: say('wrap.pullTightMarkMeeting'),
  },
  gap: {
    label: say('wrap.gap'),
    amount: say('wrap.gap'),
    gain: say('wrap.cleanIntendedStripeWhere'),
    risk: say('wrap.stripeWhiteEveryoneSees'),
    instruction: say('wrap.putGapWhereHeater'),
  },
};

/** The same seam methods where a handle stands between the ends. */
const AT_A_HANDLE: Readonly<Record<SeamMethod, SeamMethodNote>> = {
  under: {
    ...SEAM_METHOD_NOTES.under,
    amount: say('wrap.clearOfHandle'),
    gain: say('wrap.slipsBesideHandleWithout'),
    risk: say('wrap.whiteMarginEachSide'),
    instruction: say('wrap.startFromMarkOpposite'),
  },
  butt: {
    ...SEAM_METHOD_NOTES.butt,
    gain: say('wrap.colourRightUpHandle'),
    risk: say('wrap.millimetreLongRidesUp'),
    instruction: say('wrap.tryDryBothEnds'),
  },
  lap: {
    ...SEAM_METHOD_NOTES.lap,
    gain: say('wrap.nothingHereHandleStands'),
    risk: say('wrap.paperCannotOverlapPast'),
    instruction: say('wrap.chooseAnotherWay'),
  },
  over: {
    ...SEAM_METHOD_NOTES.over,
    gain: say('wrap.handleItselfSetsLength'),
    instruction: say('wrap.startOneSideHandle'),
  },
  gap: {
    ...SEAM_METHOD_NOTES.gap,
    amount: say('wrap.whiteAcrossHandle'),
    gain: say('wrap.cleanIntendedStripeBehind'),
    instruction: say('wrap.equalWhiteBothSides'),
  },
};

export const seamMethodNotes = (handled: boolean): Readonly<Record<SeamMethod, SeamMethodNote>> =>
  handled ? AT_A_HANDLE : SEAM_METHOD_NOTES;

/** Amounts where nobody has said otherwise, mm. The over-and-trim method's is calculated from the shop's own error. */
const USUAL_AMOUNT_MM: Readonly<Record<Exclude<SeamMethod, 'over'>, number>> = {
  under: 3,
  butt: 0,
  lap: 3,
  gap: 10,
};
/** White left on each side of a handle by the gap seam method, mm. */
const BESIDE_HANDLE_MM = 6;

/** Most printed over that a bench still trims comfortably; craft range 3 to 8 mm. */
const OVER_RANGE_MM = [3, 8] as const;

export function usualAmount(seamMethod: SeamMethod, needMm: number, handleMm: number): number {
  if (seamMethod === 'gap' && handleMm > 0) return handleMm + 2 * BESIDE_HANDLE_MM;
  if (seamMethod !== 'over') return USUAL_AMOUNT_MM[seamMethod];
  const rounded = Math.ceil(needMm * 2) / 2;
  return Math.min(OVER_RANGE_MM[1], Math.max(OVER_RANGE_MM[0], rounded));
}

/** What each seam method adds at the two ends, mm, outwards positive. The gap of a handled blank counts the handle. */
export function atEnds(
  seamMethod: SeamMethod,
  amountMm: number,
  handleMm: number,
): { readonly left: number; readonly right: number } {
  switch (seamMethod) {
    case 'under':
      return { left: -amountMm, right: -amountMm };
    case 'butt':
      return { left: 0, right: 0 };
    case 'lap':
    case 'over':
      return { left: 0, right: amountMm };
    case 'gap': {
      const each = (handleMm - amountMm) / 2;
      return { left: each, right: each };
    }
  }
}
