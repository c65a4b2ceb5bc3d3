import { isRaw, type VersionStep } from './raw';

/*
 * Version 8 to version 9: settings keep opening hours, circuits and what work costs; jobs keep their place in the day, how they are sold and
 * how they are finished; a shop file carries the shelf and the quotes. Stands alone.
 */

const NINE_TO_FIVE = { fromMin: 540, toMin: 1020 };

const DAY = {
  opening: {
    monday: NINE_TO_FIVE,
    tuesday: NINE_TO_FIVE,
    wednesday: NINE_TO_FIVE,
    thursday: NINE_TO_FIVE,
    friday: NINE_TO_FIVE,
    saturday: null,
    sunday: null,
  },
  breaks: [{ name: 'Lunch', hours: { fromMin: 720, toMin: 750 } }],
  coolingPlaces: 24,
  hands: 1,
  printA4S: 90,
  dryS: 180,
  circuits: [],
};

const MONEY = {
  payHourCents: 1800,
  wantedHourCents: 3500,
  energyKwhCents: 20,
  machineHourCents: 60,
  tapeMetreCents: 18,
  wasteSheetCents: 4,
  packingCents: 45,
  marketFeePct: 0,
  marginPct: 45,
  priceStepCents: 50,
  quoteDays: 30,
  terms: '',
};

const SELL = {
  customer: '',
  way: 'counter',
  postageCents: 0,
  feePct: null,
  priceFrom: 'margin',
  marginPct: null,
  priceCents: null,
};

const FINISH = {
  done: [],
  packed: 0,
  hanger: { count: null, widthMm: 40, heightMm: 30, edgeMm: 15, fromTopMm: null },
  labels: {
    columns: 3,
    rows: 8,
    widthMm: 63.5,
    heightMm: 33.9,
    leftMm: 7.2,
    topMm: 12.9,
    gapXMm: 2.5,
    gapYMm: 0,
    taken: 0,
    text: '',
    makerSays: false,
  },
};

export const TO_9: VersionStep = {
  to: 9,
  settings: (v) => (isRaw(v) ? { day: DAY, money: MONEY, ...v } : v),
  job: (v) =>
    isRaw(v) ? { day: { dueAtMin: null, pins: [], waits: false }, sell: SELL, finish: FINISH, ...v } : v,
  shopFile: (v) => ({ books: { items: [], movements: [], quotes: [] }, ...v }),
};
