import { inEnglish } from '@/words/inEnglish';
import type { Message } from '@/core/message/message';
import { english } from '@/words/english';
import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import { plan } from '../plan/plan';
import { TAPE_STRIP_MM, workTimes, type WorkTimes } from '../plan/press/workTimes';
import { paceFrom } from '../run/pace';
import type { SheetLayout } from '../sheet/layout';
import { DEFAULT_MONEY } from '../shop/money';
import { STARTER_PRINTER } from '../shop/printer';
import type { StockItem } from '../shop/stock';
import {
  atPrice,
  costOf,
  NONE_PRESSED,
  priceOf,
  reprintCents,
  secondsAmong,
  spoilageOf,
  type CostGiven,
  type CostPart,
} from './cost';
import { costFiguresOf } from './costFigures';
import { jobCosts } from './jobCost';
import { makeQuote, moved, quotePage, standsOn } from './quotes';

const value = <T>(r: { ok: true; value: T } | { ok: false; problem: { what: Message } }): T => {
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};

/** Round figures, so that every part can be worked by hand. */
const TIMES: WorkTimes = {
  atOnce: 1,
  cycle: [
    { hands: true, s: 30, logSd: 0.1 },
    { hands: false, s: 180, logSd: 0 },
    { hands: true, s: 30, logSd: 0.1 },
  ],
  cycleS: 240,
  loadHandsS: 60,
  setUpS: 120,
  sheets: 20,
  sheetPieces: 60,
  printSheetS: 90,
  trimSheetS: 60,
  prepareS: 100,
  coolS: 600,
  finishS: 40,
  logSd: 0.2,
  seen: 0,
  tapeStrips: 4,
  tacked: 0,
  wasteSheets: 1,
  // 1.8 MJ to warm up is half a kilowatt hour; kept hot at 450 W, and 36 kJ a load in 240 s: 150 W more.
  energy: { powerW: 1800, warmS: 1000, warmJ: 1.8e6, keptW: 450 },
  loadJ: 36_000,
  setting: '190',
};
const LAYOUT = {
  paper: { name: 'A4', kind: 'sheet', costCents: 15 },
  sheets: [],
  sheetCount: 20,
  pieceCount: 60,
  inkMm2: 60 * 20_000,
} as unknown as SheetLayout;
const ITEM: StockItem = {
  id: 'mug',
  kind: 'blank',
  ofId: 'mug-325',
  name: 'Mug',
  unit: 'pieces',
  caseSize: 36,
  caseCents: 7560,
  freightCents: 900,
  leftOver: 'kept',
  leadDays: 5,
  lowAt: 0,
  lots: [],
};
const GIVEN: CostGiven = {
  times: TIMES,
  layout: LAYOUT,
  printer: { ...STARTER_PRINTER, inkPerM2Cents: 1000 },
  money: {
    ...DEFAULT_MONEY,
    payHourCents: 1800,
    wantedHourCents: 3600,
    energyKwhCents: 20,
    machineHourCents: 60,
    tapeMetreCents: 20,
    wasteSheetCents: 3,
    tackCents: 6,
    packingCents: 45,
    priceStepCents: 50,
  },
  inkPct: 100,
  item: ITEM,
  blankCents: null,
  // 3 of 75 and the prior's 1 of 25: 4 of 100.
  seen: { good: 72, seconds: 0, spoiled: 3 },
  retapes: 0,
};
const part = (g: CostGiven, n: number, p: CostPart) => costOf(g, n).lines.find((l) => l.part === p)?.cents;

test('pieces with a flaw are not good ones: they are pressed again, and are expected as they were seen', () => {
  // 3 spoiled and 5 with a flaw of 80 seen, and the prior's 1 of 25: 9 of 105.
  const seen = { good: 72, seconds: 5, spoiled: 3 };
  expect(spoilageOf(seen)).toBeCloseTo(9 / 105, 12);
  expect(costOf({ ...GIVEN, seen }, 96).pressed).toBeCloseTo(105, 9);
  expect(secondsAmong(seen, 105)).toBeCloseTo(5, 12);
  expect(secondsAmong(NONE_PRESSED, 100)).toBe(0);
});

test('spray tack costs its price a piece, and nothing else', () => {
  const tacked = { ...GIVEN, times: { ...GIVEN.times, tacked: 1 } };
  expect((part(tacked, 60, 'tape') ?? 0) - (part(GIVEN, 60, 'tape') ?? 0)).toBe(60 * 6);
  expect(part(tacked, 60, 'labour')).toBe(part(GIVEN, 60, 'labour'));
});

test('a piece taped again costs its hands and its tape again, and nothing else', () => {
  const [once, twice] = [costOf(GIVEN, 60), costOf({ ...GIVEN, retapes: 1 }, 60)];
  const more = (p: CostPart) =>
    (twice.lines.find((l) => l.part === p)?.cents ?? 0) - (once.lines.find((l) => l.part === p)?.cents ?? 0);
  const { times, money } = GIVEN;
  expect(more('labour')).toBeCloseTo((60 * times.prepareS * money.payHourCents) / 3600, -1);
  expect(more('tape')).toBeCloseTo((60 * times.tapeStrips * TAPE_STRIP_MM * money.tapeMetreCents) / 1000, -1);
  for (const p of ['blanks', 'paper', 'ink', 'energy', 'machine', 'packing'] as const)
    expect(more(p)).toBe(0);
});

describe('60 mugs worked by hand', () => {
  test('each part', () => {
    expect(spoilageOf(GIVEN.seen)).toBeCloseTo(0.04, 12);
    // (75.60 + 9.00) / 36 = 2.35 a blank.
    expect(part(GIVEN, 60, 'blanks')).toBe(60 * 235);
    expect(part(GIVEN, 60, 'paper')).toBe(20 * 15);
    // 0.02 m² × 10.00 = 0.20 a piece.
    expect(part(GIVEN, 60, 'ink')).toBe(60 * 20);
    // 0.6 m × 0.20 + 0.03 = 0.15 a piece.
    expect(part(GIVEN, 60, 'tape')).toBe(60 * 15);
    // 600 W × 240 s = 0.04 kWh a piece, 2.4 in all, and half a one to warm up: 2.9 × 0.20.
    expect(part(GIVEN, 60, 'energy')).toBe(58);
    // Cut 20, ready 100, press 60, finish 40 s a piece, 120 s to set up: 13,320 s at 18.00 an hour.
    expect(part(GIVEN, 60, 'labour')).toBe(6660);
    expect(part(GIVEN, 60, 'machine')).toBe(60 * 4);
    expect(part(GIVEN, 60, 'packing')).toBe(60 * 45);
    // 2.5 more are pressed, each 2.35 + 0.05 + 0.20 + 0.15 + 0.008 + 0.90 + 0.04 = 3.698: 9.245.
    expect(costOf(GIVEN, 60).pressed).toBeCloseTo(62.5, 9);
    expect(part(GIVEN, 60, 'spoilage')).toBe(925);
  });

  test('add up to the total, and the shares of one piece to the price of one', () => {
    const c = costOf(GIVEN, 60);
    expect(c.totalCents).toBe(14_100 + 300 + 1200 + 900 + 58 + 6660 + 240 + 2700 + 925);
    expect(c.eachCents).toBe(451);
    expect(c.eachLines.reduce((s, l) => s + l.cents, 0)).toBe(451);
    expect([c.cases, c.leftOver, c.sheets]).toEqual([2, 9, 21]);
  });

  test('what a case leaves over is paid by the job where the shop says so', () => {
    expect(part({ ...GIVEN, item: { ...ITEM, leftOver: 'charged' } }, 60, 'blanks')).toBe(60 * 235 + 9 * 235);
  });

  test('prices: from a margin, from an hour, and the lowest', () => {
    const c = costOf(GIVEN, 60).totalCents;
    const margin = value(priceOf(GIVEN, 60, { from: 'margin', marginPct: 40, feePct: 10 }));
    // 270.83 / 60 / 0.5 = 9.03, up to the next 0.50.
    expect(margin.eachCents).toBe(950);
    expect(margin.lowestCents).toBe(Math.ceil(c / 60 / 0.9));
    expect(margin.feeCents).toBe(5700);
    expect(margin.earnedCents).toBe(57_000 - 5700 - c);
    const hour = value(priceOf(GIVEN, 60, { from: 'hour', marginPct: 0, feePct: 0 }));
    // Cut, ready and press 180 s × 62.5, finish 40 × 60, 120 to set up: 13,770 s at 36.00, in place of 68.85 of pay.
    expect(hour.eachCents).toBe(Math.ceil((c - 6885 + 13_770) / 60 / 50) * 50);
    expect(hour.hourCents).toBeGreaterThanOrEqual(3600);
  });

  test('an hour brings exactly its pay where nothing is left above cost, however many are spoiled', () => {
    for (const spoiled of [0, 3, 40]) {
      const cost = costOf({ ...GIVEN, seen: { good: 72, seconds: 0, spoiled } }, 60);
      expect(atPrice(cost, cost.totalCents / 60, 0).hourCents).toBe(1800);
    }
  });

  test('a price from a wanted hour brings that hour, to the step of prices, however many are spoiled', () => {
    for (const spoiled of [0, 3, 40]) {
      const given = {
        ...GIVEN,
        seen: { good: 72, seconds: 0, spoiled },
        money: { ...GIVEN.money, priceStepCents: 1 },
      };
      const price = value(priceOf(given, 60, { from: 'hour', marginPct: 0, feePct: 0 }));
      expect(price.hourCents).toBeGreaterThanOrEqual(3600);
      // A step of one hundredth on 60 pieces, over the hours of hands.
      expect(price.hourCents).toBeLessThan(3601 + (60 * 3600) / price.cost.handsS);
    }
  });

  test('at the lowest price nothing is left but the pay', () => {
    const price = value(priceOf(GIVEN, 60, { from: 'margin', marginPct: 40, feePct: 0 }));
    const low = atPrice(price.cost, price.lowestCents, 0);
    expect(low.earnedCents).toBeGreaterThanOrEqual(0);
    expect(low.earnedCents).toBeLessThan(60);
  });

  test('a reprint takes a sheet of its own, and a blank only where that is spoiled', () => {
    expect(reprintCents(GIVEN, false)).toBe(15 + 20 + 15 + 1 + 90 + 4);
    expect(reprintCents(GIVEN, true)).toBe(235 + 15 + 20 + 15 + 1 + 90 + 4);
  });

  test('margin and fee of all of it are refused; a free blank and no pay are not', () => {
    expect(priceOf(GIVEN, 12, { from: 'margin', marginPct: 90, feePct: 10 })).toMatchObject({ ok: false });
    const free = { ...GIVEN, item: null, blankCents: 0, money: { ...GIVEN.money, payHourCents: 0 } };
    expect(part(free, 12, 'blanks')).toBe(0);
    expect(value(priceOf(free, 12, { from: 'margin', marginPct: 50, feePct: 0 })).eachCents).toBeGreaterThan(
      0,
    );
  });
});

test('whatever the figures: parts add up, one more never costs less in all, and one of many no more than one of one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 2000 }),
      fc.integer({ min: 0, max: 5000 }),
      fc.integer({ min: 0, max: 400 }),
      fc.integer({ min: 0, max: 30 }),
      (n, blankCents, good, spoiled) => {
        const g = { ...GIVEN, item: null, blankCents, seen: { good, seconds: 0, spoiled } };
        const c = costOf(g, n);
        expect(c.lines.reduce((s, l) => s + l.cents, 0)).toBe(c.totalCents);
        expect(c.eachLines.reduce((s, l) => s + l.cents, 0)).toBe(c.eachCents);
        expect(costOf(g, n + 1).totalCents).toBeGreaterThanOrEqual(c.totalCents);
        expect(c.eachCents).toBeLessThanOrEqual(costOf(g, 1).eachCents);
      },
    ),
  );
});

test('the demo’s mugs have a cost of every part, with its working', () => {
  const { shop, jobs } = demoShop(new Date(Date.UTC(2026, 10, 27)));
  const job = jobs.find((j) => j.id === 'constellation-mugs');
  if (!job) throw new Error('no mugs');
  const made = plan(job, shop);
  const times = workTimes(made, shop.settings.day, paceFrom([]));
  if (!times || !made.sheet.layout) throw new Error('no times');
  const g: CostGiven = {
    ...GIVEN,
    times,
    layout: made.sheet.layout,
    printer: made.sheet.printer,
    item: null,
    blankCents: 210,
  };
  const c = costOf(g, job.pieces);
  const figures = costFiguresOf(g, c, '$', false);
  expect(figures).toHaveLength(10);
  expect(figures.every((f) => english.text(f.working).length > 0 && f.arithmetic.length > 0)).toBe(true);
  // Six minutes of hands and more a mug, dearer than the blank alone, less than a day’s pay.
  expect(c.eachCents).toBeGreaterThan(210 + 90);
  expect(c.eachCents).toBeLessThan(2000);
  expect(times.energy.warmS).toBeGreaterThan(60);
});

test('a job without a press is costed on the best press that fits, and says so; a job without a blank has no cost', () => {
  const { shop, jobs } = demoShop(new Date(Date.UTC(2026, 10, 27)));
  const ask = { shop, items: [], seen: {}, proven: {}, inkPct: {} };
  const of = (id: string, more = {}) => {
    const [found] = jobCosts({
      ...ask,
      jobs: jobs.filter((j) => j.id === id).map((j) => ({ ...j, ...more })),
    });
    return found?.cost;
  };
  expect(of('constellation-mugs')).toMatchObject({ ok: true, value: { supposedPress: null } });
  expect(of('comet-cans')).toMatchObject({ ok: true, value: { supposedPress: 'Tumbler press A' } });
  expect(inEnglish(of('comet-cans', { blankId: null }))).toMatchObject({
    ok: false,
    problem: { what: 'The job has no blank yet.' },
  });
  // A price decided by hand is taken as it is, loss and all.
  const cheap = of('constellation-mugs', { sell: { ...jobs[0]?.sell, priceCents: 100 } });
  expect(cheap).toMatchObject({ ok: true, value: { byHand: true, price: { eachCents: 100 } } });
  expect(cheap?.ok && cheap.value.price.earnedCents).toBeLessThan(0);
});

describe('quotes', () => {
  const given = {
    id: 'quote-1',
    jobId: 'job',
    jobName: 'Market mugs',
    number: 7,
    at: 1000,
    madeOn: '2026-11-27',
    validUntil: '2026-12-27',
    customer: 'Hill observatory',
    currency: '$',
    what: '325 ml mug, printed',
    pieces: 60,
    eachCents: 950,
    postageCents: 1200,
    postageWords: 'Postage and packing of the order',
    costCents: 27_083,
    readyOn: '2026-12-04',
    terms: 'Half on order.',
    note: '',
  };
  const quote = value(makeQuote(given));

  test('lines come to the total, and what is printed says no cost', () => {
    expect(quote.totalCents).toBe(60 * 950 + 1200);
    const texts = quotePage(quote, 'Dry Fork Bench', english.text).words.map((w) => w.text);
    expect(texts).toEqual(
      expect.arrayContaining(['Quote 7', '$582.00', 'This quote is valid until 2026-12-27.']),
    );
    expect(texts.join(' ')).not.toMatch(/270\.83/);
  });

  test('its states are added one after another, and it stands until its day', () => {
    const sent = moved(quote, 'sent', 2000);
    expect(moved(sent, 'sent', 3000)).toBe(sent);
    expect(moved(sent, 'accepted', 3000).history.map((h) => h.state)).toEqual(['made', 'sent', 'accepted']);
    expect([standsOn(sent, '2026-12-27'), standsOn(sent, '2026-12-28')]).toEqual([true, false]);
    expect(standsOn(moved(sent, 'declined', 3000), '2026-12-01')).toBe(false);
  });

  test('a quote of nothing is refused', () => {
    expect(makeQuote({ ...given, eachCents: 0 })).toMatchObject({ ok: false });
  });
});
