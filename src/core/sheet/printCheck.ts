import { say, type Message } from '../message/message';

/** What is looked for on a print before it is cut. */
export const PRINT_FAULTS = ['lines', 'gaps', 'edge', 'side', 'colour', 'size', 'page', 'wet'] as const;
export type PrintFault = (typeof PRINT_FAULTS)[number];

/** A fault of a print: what it is called, how it is seen, and what to do. */
export interface PrintCheck {
  readonly id: PrintFault;
  readonly label: Message;
  readonly seen: Message;
  readonly fix: Message;
  /** Whether the sheet has to be printed again; a wet one only has to dry. */
  readonly again: boolean;
}

const check = (id: PrintFault, label: Message, seen: Message, fix: Message, again = true): PrintCheck => ({
  id,
  label,
  seen,
  fix,
  again,
});

/** In the order in which they are seen on a sheet that has just come out: all over, then at its edges, then what is written on it. */
export const PRINT_CHECKS: readonly PrintCheck[] = [
  check('lines', say('sheet.evenLines'), say('sheet.evenLinesSeen'), say('sheet.evenLinesFix')),
  check('gaps', say('sheet.missingLines'), say('sheet.missingLinesSeen'), say('sheet.missingLinesFix')),
  check('edge', say('sheet.edgeMarks'), say('sheet.edgeMarksSeen'), say('sheet.edgeMarksFix')),
  check('side', say('sheet.wrongSide'), say('sheet.wrongSideSeen'), say('sheet.wrongSideFix')),
  check('colour', say('sheet.missingColour'), say('sheet.missingColourSeen'), say('sheet.missingColourFix')),
  check('size', say('sheet.wrongSize'), say('sheet.wrongSizeSeen'), say('sheet.wrongSizeFix')),
  check('page', say('sheet.wrongPage'), say('sheet.wrongPageSeen'), say('sheet.wrongPageFix')),
  check('wet', say('sheet.stillWet'), say('sheet.stillWetSeen'), say('sheet.stillWetFix'), false),
];

/** Days a printer may stand before its nozzles are checked: dye ink dries in them. */
export const NOZZLE_CHECK_DAYS = 3;

const DAY_MS = 86_400_000;

/** Whole days since a printer last printed, where that is long enough for a nozzle check; null where it is not, or not known. */
export function stoodDays(lastMs: number | null, nowMs: number): number | null {
  if (lastMs === null) return null;
  const days = Math.floor((nowMs - lastMs) / DAY_MS);
  return days >= NOZZLE_CHECK_DAYS ? days : null;
}
