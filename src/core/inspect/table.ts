import type { CauseId, FaultId } from '../shop/faultIds';

/**
 * What makes a fault, as probabilities. They are our own, written down from practice and not counted from a survey: a shop's confirmed causes
 * move them (shopTable.ts), and every list made from them shows its spread.
 */
export interface CauseRow {
  /** Inspections with a fault that have this cause, of a thousand or so. */
  readonly prior: number;
  /** Probability that each fault is seen where this is the cause. A fault not named: SELDOM. */
  readonly faults: Readonly<Partial<Record<FaultId, number>>>;
}

/** Seen beside another cause, by chance. */
export const SELDOM = 0.006;

export const CAUSE_TABLE: Readonly<Record<CauseId, CauseRow>> = {
  'too-cool': { prior: 60, faults: { 'faded-all': 0.93, blotches: 0.05, 'faded-edge': 0.06 } },
  'too-short': { prior: 85, faults: { 'faded-all': 0.94, 'faded-edge': 0.05 } },
  'not-recovered': { prior: 60, faults: { 'faded-all': 0.92, blotches: 0.05, 'faded-edge': 0.06 } },
  'light-pressure': { prior: 45, faults: { 'faded-all': 0.72, blotches: 0.22, 'faded-edge': 0.16 } },
  'wrong-side': { prior: 12, faults: { 'faded-all': 0.95, stray: 0.15 } },
  'past-heater': { prior: 45, faults: { 'faded-edge': 0.55, 'faded-band': 0.45 } },
  'uneven-pressure': { prior: 75, faults: { 'faded-edge': 0.88, blotches: 0.16, 'faded-all': 0.04 } },
  'over-curve': { prior: 40, faults: { 'faded-band': 0.95, 'white-rim': 0.08 } },
  'wrap-short': { prior: 40, faults: { 'white-stripe': 0.96 } },
  'pulled-open': { prior: 30, faults: { 'white-stripe': 0.9, ghost: 0.05, 'dark-seam': 0.08 } },
  'no-heat-gap': { prior: 25, faults: { 'white-stripe': 0.82, 'faded-edge': 0.2 } },
  'paper-shrank': { prior: 15, faults: { 'white-stripe': 0.88, 'white-rim': 0.12 } },
  lapped: { prior: 20, faults: { 'dark-seam': 0.93 } },
  'gas-sideways': { prior: 25, faults: { 'dark-seam': 0.9, halo: 0.12 } },
  'air-in-seam': { prior: 20, faults: { 'dark-seam': 0.86, blotches: 0.08, 'white-stripe': 0.08 } },
  'moved-hot': { prior: 70, faults: { ghost: 0.94, halo: 0.08 } },
  'tape-let-go': {
    prior: 20,
    faults: { ghost: 0.78, 'white-stripe': 0.12, 'dark-seam': 0.08, 'faded-edge': 0.06 },
  },
  'too-hot': { prior: 35, faults: { browned: 0.72, halo: 0.48, stuck: 0.12 } },
  'too-long': { prior: 55, faults: { browned: 0.8, halo: 0.4, stuck: 0.12 } },
  'slow-peel': { prior: 15, faults: { halo: 0.85, ghost: 0.15 } },
  'wet-print': { prior: 18, faults: { halo: 0.6, blotches: 0.42, stray: 0.06 } },
  'left-wrapped': { prior: 15, faults: { browned: 0.85, halo: 0.3, stuck: 0.1 } },
  lint: { prior: 60, faults: { 'colour-speck': 0.95, 'pale-speck': 0.06 } },
  'coating-dust': { prior: 20, faults: { 'pale-speck': 0.95 } },
  'heavy-pressure': { prior: 15, faults: { stuck: 0.78, bowed: 0.2, halo: 0.08 } },
  'paper-brand': { prior: 10, faults: { stuck: 0.7, halo: 0.15, 'faded-all': 0.12 } },
  'tape-crosses': { prior: 18, faults: { 'tape-mark': 0.97 } },
  'no-waste-sheet': { prior: 18, faults: { stray: 0.97 } },
  'wrap-short-tall': { prior: 18, faults: { 'white-rim': 0.95 } },
  slipped: { prior: 18, faults: { 'white-rim': 0.82, ghost: 0.15 } },
  moisture: { prior: 15, faults: { blotches: 0.9, stuck: 0.06 } },
  'mirror-count': { prior: 12, faults: { 'wrong-way': 0.98 } },
  'put-on-upside-down': { prior: 8, faults: { 'wrong-way': 0.98 } },
  'poor-coating': {
    prior: 15,
    faults: { 'faded-all': 0.55, 'pale-speck': 0.3, blotches: 0.25, browned: 0.15 },
  },
  'wheel-over-ink': { prior: 8, faults: { 'track-line': 0.97 } },
  'cooled-unevenly': { prior: 10, faults: { bowed: 0.97 } },
  // Faults of the printer are rare on a pressed piece: most are seen before the sheet is cut.
  nozzles: { prior: 20, faults: { 'print-lines': 0.86, 'colour-cast': 0.3 } },
  'feed-step': { prior: 8, faults: { 'print-lines': 0.95 } },
  'head-strike': { prior: 12, faults: { 'edge-smudge': 0.95, stray: 0.08 } },
  'ink-low': { prior: 6, faults: { 'colour-cast': 0.9, 'faded-all': 0.12, 'print-lines': 0.1 } },
  'colour-twice': { prior: 16, faults: { 'colour-cast': 0.94 } },
  'wrong-page': { prior: 8, faults: { 'wrong-art': 0.98 } },
  touched: { prior: 12, faults: { blotches: 0.86, 'pale-speck': 0.06, 'colour-speck': 0.05 } },
};
