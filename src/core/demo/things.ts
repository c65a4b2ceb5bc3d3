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
    clock: 'from-closing',
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
    clock: 'at-temperature',
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
    clock: 'from-closing',
  },
];

export const STARTER_PAPERS: readonly Paper[] = [
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297, thicknessMm: 0.1, calibration: null },
  { id: 'legal', name: 'Legal', widthMm: 215.9, heightMm: 355.6, thicknessMm: 0.1, calibration: null },
  { id: 'a3', name: 'A3', widthMm: 297, heightMm: 420, thicknessMm: 0.1, calibration: null },
  { id: 'a3-plus', name: 'A3+', widthMm: 329, heightMm: 483, thicknessMm: 0.1, calibration: null },
];
