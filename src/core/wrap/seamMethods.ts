import type { SeamMethod } from '../shop/settings';

export interface SeamMethodNote {
  readonly label: string;
  /** What the seam method's own amount is called on the drawing. */
  readonly amount: string | null;
  readonly gain: string;
  readonly risk: string;
  readonly instruction: string;
}

/** Ways of sizing a wrap that goes right round, with what each buys and costs. */
export const SEAM_METHOD_NOTES: Readonly<Record<SeamMethod, SeamMethodNote>> = {
  under: {
    label: 'Under',
    amount: 'margin each end',
    gain: 'No overlap and no tight trim; forgiving to place.',
    risk: 'A white stripe shows at the back.',
    instruction: 'Centre it on the front mark. Even margins at both ends.',
  },
  butt: {
    label: 'Exact butt',
    amount: null,
    gain: 'The best seam: the ends touch and nothing overlaps.',
    risk: 'Least forgiving: half a millimetre shows as a line.',
    instruction: 'Wrap dry first. Ends must meet without pulling.',
  },
  lap: {
    label: 'Overlap',
    amount: 'overlap',
    gain: 'Never a white gap.',
    risk: 'A faint darker line where the ends overlap.',
    instruction: 'Clean-cut end on top.',
  },
  over: {
    label: 'Over and trim',
    amount: 'overprint',
    gain: 'The blank itself sets the length: a butt seam from a rough tape measure.',
    risk: 'One more cut. Cut too short, the piece must be reprinted.',
    instruction: 'Pull tight, mark the meeting line through the paper, cut there. Err on the long side.',
  },
  gap: {
    label: 'Gap',
    amount: 'gap',
    gain: 'A clean, intended stripe where the heater gives no heat.',
    risk: 'The stripe is white, and everyone sees it.',
    instruction: 'Put the gap where the heater does not reach.',
  },
};

/** The same seam methods where a handle stands between the ends. */
const AT_A_HANDLE: Readonly<Record<SeamMethod, SeamMethodNote>> = {
  under: {
    ...SEAM_METHOD_NOTES.under,
    amount: 'clear of the handle, each side',
    gain: 'Slips in beside the handle without creasing; forgiving to place.',
    risk: 'A white margin each side of the handle.',
    instruction: 'Start from the mark opposite the handle. Even margins at both sides of it.',
  },
  butt: {
    ...SEAM_METHOD_NOTES.butt,
    gain: 'Colour right up to the handle on both sides.',
    risk: 'A millimetre long and it rides up on the handle and lifts.',
    instruction: 'Try it dry. Both ends must lie flat beside the handle.',
  },
  lap: {
    ...SEAM_METHOD_NOTES.lap,
    gain: 'Nothing here: the handle stands between the ends.',
    risk: 'The paper cannot overlap past a handle.',
    instruction: 'Choose another way.',
  },
  over: {
    ...SEAM_METHOD_NOTES.over,
    gain: 'The handle itself sets the length.',
    instruction:
      'Start at one side of the handle, pull tight, mark the other side through the paper, cut there.',
  },
  gap: {
    ...SEAM_METHOD_NOTES.gap,
    amount: 'white across the handle',
    gain: 'A clean, intended stripe behind the handle, where the mat gives no heat.',
    instruction: 'Equal white on both sides of the handle.',
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
