import type { School } from '../shop/settings';

export interface SchoolNote {
  readonly label: string;
  /** What the school's own amount is called on the drawing. */
  readonly amount: string | null;
  readonly gain: string;
  readonly risk: string;
  readonly bench: string;
}

/** Ways of sizing a wrap, with what each buys and costs. */
export const SCHOOL_NOTES: Readonly<Record<School, SchoolNote>> = {
  under: {
    label: 'Under',
    amount: 'margin each end',
    gain: 'No lap and no tight trim; forgiving to place.',
    risk: 'A white stripe shows at the back.',
    bench: 'Centre it on the front mark. Even margins at both ends.',
  },
  butt: {
    label: 'Exact butt',
    amount: null,
    gain: 'The best seam: ends touch, nothing lapped.',
    risk: 'Least forgiving: half a millimetre shows as a line.',
    bench: 'Wrap dry first. Ends must meet without pulling.',
  },
  lap: {
    label: 'Lap',
    amount: 'lap',
    gain: 'Never a white gap.',
    risk: 'A faint darker line where the ends lap.',
    bench: 'Clean-cut end on top.',
  },
  over: {
    label: 'Over and trim',
    amount: 'printed over',
    gain: 'The blank itself sets the length: a butt seam from a rough tape.',
    risk: 'One more cut, made at the bench. Cut short and it is a reprint.',
    bench: 'Pull tight, mark the meeting line through the paper, cut there. Err long.',
  },
  gap: {
    label: 'Gap',
    amount: 'gap',
    gain: 'A clean, meant stripe where the heater gives no heat.',
    risk: 'The stripe is white, and everyone sees it.',
    bench: 'Put the gap where the heater does not reach.',
  },
};

/** Amounts where nobody has said otherwise, mm. The over school's is reckoned from the shop's own error. */
export const USUAL_AMOUNT_MM: Readonly<Record<Exclude<School, 'over'>, number>> = {
  under: 3,
  butt: 0,
  lap: 3,
  gap: 10,
};

/** How much longer than the closing length each school prints, mm. */
export function printedOverMm(school: School, amountMm: number): number {
  switch (school) {
    case 'under':
      return -2 * amountMm;
    case 'butt':
      return 0;
    case 'lap':
    case 'over':
      return amountMm;
    case 'gap':
      return -amountMm;
  }
}
