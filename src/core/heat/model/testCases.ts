import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase, HeaterModel } from './case';

/** Loads as the screens make them, on presses of usual size. For tests. */
export const setting = (platenC: number, dwellS: number, over: Partial<HeatSettings> = {}): HeatSettings => ({
  platenC,
  dwellS,
  laterDwellS: null,
  passes: 1,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: null,
  ...over,
});

const heater = (areaM2: number, kJm2K: number, over: Partial<HeaterModel> = {}): HeaterModel => ({
  capacityJK: kJm2K * 1000 * areaM2,
  powerW: 9000 * areaM2,
  lossClosedWK: 8 * areaM2,
  lossOpenWK: 20 * areaM2,
  readsHighK: 0,
  coldestK: -3,
  hottestK: 2,
  restingC: null,
  fallK: 0,
  ...over,
});

export const FLAT: HeatCase = {
  kind: 'flat',
  ovenAir: 'fan',
  material: 'aluminium',
  wallMm: 0.8,
  vacuum: false,
  heater: heater(0.2, 24.3),
  wasteSheets: 1,
  wasteKind: 'plain',
  paperMm: 0.1,
  padMm: 8,
  heatedFrom: 'paper',
  faces: 'one',
  pieceM2: 0.03,
  heaterM2: 0.2,
  pieces: 1,
  round: null,
  roomC: 22,
};

export function wrapCase(
  of: Pick<HeatCase, 'material' | 'wallMm' | 'vacuum'>,
  size: {
    readonly circumferenceMm: number;
    readonly tallMm: number;
    readonly heaterMm: number;
    readonly printMm: number;
  },
): HeatCase {
  const areaM2 = (size.heaterMm * size.tallMm * 1.3) / 1e6;
  return {
    ...FLAT,
    ...of,
    kind: 'wrap',
    heater: heater(areaM2, 9, { coldestK: -6, hottestK: 0 }),
    heaterM2: areaM2,
    padMm: 0,
    pieceM2: (size.circumferenceMm * size.tallMm) / 1e6,
    round: { circumferenceMm: size.circumferenceMm, heaterMm: size.heaterMm, printMm: size.printMm },
  };
}

export const MUG = wrapCase(
  { material: 'ceramic', wallMm: 4, vacuum: false },
  { circumferenceMm: 258, tallMm: 95, heaterMm: 228, printMm: 200 },
);
export const TUMBLER = wrapCase(
  { material: 'steel', wallMm: 0.5, vacuum: true },
  { circumferenceMm: 270, tallMm: 160, heaterMm: 203, printMm: 270 },
);

export const OVEN_CASE: HeatCase = {
  ...TUMBLER,
  kind: 'oven',
  wasteSheets: 0,
  pieces: 4,
  heater: heater(1, 6, {
    capacityJK: 6000,
    powerW: 1600,
    lossClosedWK: 4,
    lossOpenWK: 20,
    coldestK: -5,
    hottestK: 3,
    fallK: 30,
  }),
};

/** A vacuum press: the air of a small chamber, and a membrane over every piece. */
export const VACUUM: HeatCase = {
  ...OVEN_CASE,
  padMm: 1.5,
  heater: { ...OVEN_CASE.heater, capacityJK: 5000, powerW: 1800, fallK: 25 },
};
