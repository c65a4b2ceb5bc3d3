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
] as const;
export type FaultId = (typeof FAULT_IDS)[number];
