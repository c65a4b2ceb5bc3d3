import type { Paper } from '../shop/paper';
import { USUAL_POWER, type Press, type PressCheck, type PressHeater } from '../shop/press';

const mat = (
  id: string,
  name: string,
  lengthMm: number,
  heightMm: number,
  smallestDiameterMm: number,
  largestDiameterMm: number,
): PressHeater => ({ id, name, lengthMm, heightMm, smallestDiameterMm, largestDiameterMm, taperMm: 0 });

export const STARTER_PRESSES: readonly Press[] = [
  {
    id: 'tumbler-press-a',
    name: 'Tumbler press A',
    kind: 'tumbler',
    heaters: [
      mat('mat-wide', 'Wide heater', 203, 240, 62, 90),
      mat('mat-slim', 'Slim heater', 165, 240, 48, 66),
    ],
    timer: 'own-from-closing',
    restingC: null,
    pressureScale: 'turns',
    power: USUAL_POWER,
    checks: [],
    timings: [],
  },
  {
    id: 'mug-press',
    name: 'Mug press',
    kind: 'mug',
    heaters: [mat('mat-mug', 'Mug heater', 228, 125, 72, 92)],
    timer: 'own-at-temperature',
    restingC: null,
    pressureScale: 'none',
    power: USUAL_POWER,
    checks: [],
    timings: [],
  },
  {
    id: 'bench-oven',
    name: 'Bench oven',
    kind: 'oven',
    insideHeightMm: 310,
    insideWidthMm: 420,
    insideDepthMm: 360,
    hold: 'shrink film',
    air: 'fan',
    fallK: null,
    power: USUAL_POWER,
    checks: [],
    timings: [],
  },
  {
    id: 'flat-press-a',
    name: 'Flat press A',
    kind: 'flat',
    platenWidthMm: 400,
    platenHeightMm: 500,
    platenThicknessMm: 12,
    padMm: 8,
    opens: 'swing-away',
    flatness: [],
    openingMm: 30,
    timer: 'by-hand',
    restingC: null,
    pressureScale: 'none',
    power: USUAL_POWER,
    checks: [],
    timings: [],
  },
];

const sheet = (id: string, name: string, widthMm: number, heightMm: number, costCents: number): Paper => ({
  id,
  name,
  kind: 'sheet',
  media: 'transfer',
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

/** The demo's own readings of flat press A: its front left corner was found cooler. */
const FLAT_CHECK: PressCheck = {
  id: 'check-flat-a',
  at: Date.UTC(2026, 8, 14, 9),
  setC: 195,
  with: 'probe',
  points: [
    { x: 1 / 6, y: 1 / 6, readC: 194 },
    { x: 1 / 2, y: 1 / 6, readC: 196 },
    { x: 5 / 6, y: 1 / 6, readC: 194 },
    { x: 1 / 6, y: 1 / 2, readC: 194 },
    { x: 1 / 2, y: 1 / 2, readC: 197 },
    { x: 5 / 6, y: 1 / 2, readC: 195 },
    { x: 1 / 6, y: 5 / 6, readC: 188 },
    { x: 1 / 2, y: 5 / 6, readC: 194 },
    { x: 5 / 6, y: 5 / 6, readC: 193 },
  ],
};

/** The presses of the demo: those a new shop starts with, as this shop came to know them, and one for large panels. */
export const demoPresses = (): readonly Press[] => [
  ...STARTER_PRESSES.map((p): Press => {
    if (p.id === 'flat-press-a')
      return { ...p, power: { watts: 1800, from: 'plate', volts: 230 }, checks: [FLAT_CHECK] };
    return p.id === 'tumbler-press-a' ? { ...p, power: { watts: 420, from: 'plate', volts: 230 } } : p;
  }),
  WIDE_PRESS,
];

/** A press for large panels: not in a new shop, but there in the demo. */
const WIDE_PRESS: Press = {
  id: 'flat-press-b',
  name: 'Wide flat press B',
  kind: 'flat',
  platenWidthMm: 500,
  platenHeightMm: 700,
  platenThicknessMm: 14,
  padMm: 8,
  opens: 'drawer',
  pressureScale: 'none',
  flatness: [],
  openingMm: 40,
  timer: 'own-from-closing',
  restingC: null,
  power: { watts: 3200, from: 'plate', volts: 230 },
  checks: [],
  timings: [],
};

/** A roll and what takes it: not in a new shop, but there in the demo. */
export const ROLL_PAPER: Paper = {
  id: 'roll-24',
  name: '24 in roll',
  kind: 'roll',
  media: 'transfer',
  widthMm: 609.6,
  heightMm: 3000,
  thicknessMm: 0.1,
  printSide: 'the outer side of the roll',
  tray: 'roll feed, leading edge trimmed square',
  costCents: 120,
  calibration: null,
};
