import type { Paper } from '../shop/paper';
import type { Press } from '../shop/press';

export const STARTER_PRESSES: readonly Press[] = [
  {
    id: 'tumbler-press-a',
    name: 'Tumbler press A',
    kind: 'tumbler',
    heaterLengthMm: 203,
    heaterHeightMm: 240,
    smallestDiameterMm: 62,
    largestDiameterMm: 90,
    timerStart: 'from-closing',
    autoTimer: true,
  },
  {
    id: 'mug-press',
    name: 'Mug press',
    kind: 'mug',
    heaterLengthMm: 228,
    heaterHeightMm: 125,
    smallestDiameterMm: 72,
    largestDiameterMm: 92,
    timerStart: 'at-temperature',
    autoTimer: false,
  },
  { id: 'bench-oven', name: 'Bench oven', kind: 'oven', insideHeightMm: 310, hold: 'shrink film' },
  {
    id: 'flat-press-a',
    name: 'Flat press A',
    kind: 'flat',
    platenWidthMm: 400,
    platenHeightMm: 500,
    opens: 'swing-away',
    openingMm: 30,
    timerStart: 'from-closing',
  },
];

const sheet = (id: string, name: string, widthMm: number, heightMm: number, costCents: number): Paper => ({
  id,
  name,
  kind: 'sheet',
  widthMm,
  heightMm,
  thicknessMm: 0.1,
  printSide: 'the whiter side; the other carries a pale tint',
  tray: 'rear feed, print side towards you',
  costCents,
  calibration: null,
});

export const STARTER_PAPERS: readonly Paper[] = [
  sheet('a4', 'A4', 210, 297, 14),
  sheet('letter', 'Letter', 215.9, 279.4, 14),
  sheet('legal', 'Legal', 215.9, 355.6, 17),
  sheet('tabloid', 'Tabloid', 279.4, 431.8, 26),
  sheet('a3', 'A3', 297, 420, 27),
  sheet('a3-plus', 'A3+', 329, 483, 36),
  sheet('13-19', '13 × 19 in', 330.2, 482.6, 36),
];

/** A press for large panels: not in a new shop, but there in the demo. */
export const WIDE_PRESS: Press = {
  id: 'flat-press-b',
  name: 'Wide flat press B',
  kind: 'flat',
  platenWidthMm: 500,
  platenHeightMm: 700,
  opens: 'drawer',
  openingMm: 40,
  timerStart: 'from-closing',
};

/** A roll and what takes it: not in a new shop, but there in the demo. */
export const ROLL_PAPER: Paper = {
  id: 'roll-24',
  name: '24 in roll',
  kind: 'roll',
  widthMm: 609.6,
  heightMm: 3000,
  thicknessMm: 0.1,
  printSide: 'the outer side of the roll',
  tray: 'roll feed, leading edge trimmed square',
  costCents: 120,
  calibration: null,
};
