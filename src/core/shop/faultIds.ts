/** What can be seen on a pressed piece, by the names log entries keep: never rename one without a migration. */
export const FAULT_IDS = [
  'faded-all',
  'faded-edge',
  'faded-band',
  'white-stripe',
  'dark-seam',
  'ghost',
  'halo',
  'browned',
  'colour-speck',
  'pale-speck',
  'stuck',
  'tape-mark',
  'stray',
  'white-rim',
  'blotches',
  'wrong-way',
  'track-line',
  'bowed',
] as const;
export type FaultId = (typeof FAULT_IDS)[number];

/** What can be seen on the used paper. */
export const PAPER_FAULT_IDS = ['dye-left', 'paper-browned'] as const;
export type PaperFaultId = (typeof PAPER_FAULT_IDS)[number];

/** What makes a fault, by the names log entries keep. */
export const CAUSE_IDS = [
  'too-cool',
  'too-short',
  'not-recovered',
  'light-pressure',
  'wrong-side',
  'past-heater',
  'uneven-pressure',
  'over-curve',
  'wrap-short',
  'pulled-open',
  'no-heat-gap',
  'paper-shrank',
  'lapped',
  'gas-sideways',
  'air-in-seam',
  'moved-hot',
  'tape-let-go',
  'too-hot',
  'too-long',
  'slow-peel',
  'wet-print',
  'left-wrapped',
  'lint',
  'coating-dust',
  'heavy-pressure',
  'paper-brand',
  'tape-crosses',
  'no-waste-sheet',
  'wrap-short-tall',
  'slipped',
  'moisture',
  'mirror-count',
  'put-on-upside-down',
  'poor-coating',
  'wheel-over-ink',
  'cooled-unevenly',
  'touched',
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];
