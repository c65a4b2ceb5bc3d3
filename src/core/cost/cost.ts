import { say } from '../message/message';
import { fail, ok, type Result } from '../basics/result';
import { shared, toCents, upTo } from '../money/money';
import { TAPE_STRIP_MM, type WorkTimes } from '../plan/press/workTimes';
import type { MoneySettings } from '../shop/money';
import type { Printer } from '../shop/printer';
import type { StockItem } from '../shop/stock';
import { eachCents } from '../stock/wants';
import { workedW } from '../heat/model/energy';
import type { SheetLayout } from '../sheet/layout';

const WHERE = say('common.cost');
const J_PER_KWH = 3.6e6;

export type CostPart =
  'blanks' | 'paper' | 'ink' | 'tape' | 'energy' | 'labour' | 'machine' | 'packing' | 'spoilage';

/** What was pressed of this blank on this press so far. */
export interface PressedCounts {
  readonly good: number;
  /** Good with a flaw. */
  readonly seconds: number;
  readonly spoiled: number;
}

export const NONE_PRESSED: PressedCounts = { good: 0, seconds: 0, spoiled: 0 };

/** Until a shop has spoiled pieces of its own to count, 4 % counts as so many pieces seen: our own prior, said to be one. */
export const PRIOR = { share: 0.04, pieces: 25 } as const;

/** Share of pieces that are not good, those with a flaw among them, 0..1: the mean of a Beta distribution that begins with the prior (Gelman et al. 2013, ch. 2). */
export const spoilageOf = ({ good, seconds, spoiled }: PressedCounts): number =>
  (seconds + spoiled + PRIOR.share * PRIOR.pieces) / (good + seconds + spoiled + PRIOR.pieces);

/** Pieces with a flaw to expect among so many pressed: as many as were seen of them, in the same posterior. */
export const secondsAmong = ({ good, seconds, spoiled }: PressedCounts, pressed: number): number =>
  (pressed * seconds) / (good + seconds + spoiled + PRIOR.pieces);

export interface CostGiven {
  readonly times: WorkTimes;
  readonly layout: SheetLayout;
  readonly printer: Printer;
  readonly money: MoneySettings;
  /** Mean ink of the art, percent. */
  readonly inkPct: number;
  /** How the blank is bought; null where it is not in stock. */
  readonly item: StockItem | null;
  /** Price of one blank where there is no case; null where nobody said. */
  readonly blankCents: number | null;
  readonly seen: PressedCounts;
  /** How often a piece is taped again before it goes in, a piece. */
  readonly retapes: number;
}

interface CostLine {
  readonly part: CostPart;
  /** Of all pieces. */
  readonly cents: number;
}

/** What so many good pieces cost the shop. Lines are whole hundredths and the total is theirs. */
export interface CostSheet {
  readonly pieces: number;
  readonly lines: readonly CostLine[];
  readonly totalCents: number;
  /** A piece, to the nearest hundredth, and its parts shared so that they add up to it. */
  readonly eachCents: number;
  readonly eachLines: readonly CostLine[];
  /** Pieces pressed for them, on the mean. */
  readonly pressed: number;
  /** Hands of all that are pressed, those of spoiled ones included, and what they are paid, in hundredths, not rounded. */
  readonly handsS: number;
  readonly paidCents: number;
  readonly pressS: number;
  readonly energyKwh: number;
  readonly sheets: number;
  /** Cases opened, and blanks left over of the last; 0 where it is not bought by the case. */
  readonly cases: number;
  readonly leftOver: number;
}

/** What one more piece through the press takes, in hundredths, not rounded; paper by its share. */
interface Unit {
  readonly blank: number;
  readonly paper: number;
  readonly ink: number;
  readonly tape: number;
  readonly energy: number;
  readonly labour: number;
  readonly machine: number;
  readonly handsS: number;
  readonly pressS: number;
  readonly kwh: number;
}

const sheetCents = (g: CostGiven): number => {
  const { layout } = g;
  const metres = layout.sheets.reduce((m, s) => m + (s.copies * s.heightMm) / 1000, 0);
  const all = layout.paper.kind === 'roll' ? metres : layout.sheetCount;
  return (all * layout.paper.costCents) / Math.max(1, layout.sheetCount);
};

export const blankEachCents = (g: Pick<CostGiven, 'item' | 'blankCents'>): number | null =>
  g.item ? eachCents(g.item) : g.blankCents;

function unitOf(g: CostGiven): Unit {
  const { times: t, money: m, layout } = g;
  const perSheet = t.sheetPieces / Math.max(1, t.sheets);
  const taped = 1 + g.retapes;
  const handsS = t.trimSheetS / perSheet + t.prepareS * taped + t.loadHandsS / t.atOnce;
  const pressS = t.cycleS / t.atOnce;
  const kwh = (workedW(t.energy, t.loadJ, t.cycleS) * pressS) / J_PER_KWH;
  const inkM2 = layout.inkMm2 / t.sheetPieces / 1e6;
  return {
    blank: blankEachCents(g) ?? 0,
    paper: sheetCents(g) / perSheet,
    ink: (inkM2 * g.printer.inkPerM2Cents * g.inkPct) / 100,
    tape:
      (t.tapeStrips * taped * TAPE_STRIP_MM * m.tapeMetreCents) / 1000 +
      t.wasteSheets * m.wasteSheetCents +
      t.tacked * m.tackCents,
    energy: kwh * m.energyKwhCents,
    labour: (handsS * m.payHourCents) / 3600,
    machine: (pressS * m.machineHourCents) / 3600,
    handsS,
    pressS,
    kwh,
  };
}

/** Blanks for so many pressed: by what is used, or whole cases where what they leave over is charged to the job. */
function blanksFor(g: CostGiven, pieces: number, pressed: number) {
  const each = blankEachCents(g) ?? 0;
  if (!g.item) return { cents: toCents(each * pieces), cases: 0, leftOver: 0, charged: 0 };
  const need = Math.ceil(pressed - 1e-9);
  const cases = Math.ceil(need / g.item.caseSize - 1e-9);
  const leftOver = cases * g.item.caseSize - need;
  return {
    cents: toCents(each * pieces),
    cases,
    leftOver,
    charged: g.item.leftOver === 'charged' ? toCents(each * leftOver) : 0,
  };
}

/**
 * What so many good pieces cost: blank, paper by whole sheets, ink, tape, energy, labour, machine and packing of each, and what is spoiled on
 * the way: n / (1 − spoilage) are pressed for n good ones. Setting up, warming up and whole sheets weigh the more the fewer the pieces.
 */
export function costOf(g: CostGiven, pieces: number): CostSheet {
  const { times: t, money: m } = g;
  const u = unitOf(g);
  const pressed = pieces / (1 - Math.min(0.95, spoilageOf(g.seen)));
  const extra = pressed - pieces;
  const sheetsFor = (n: number) => Math.ceil((n * t.sheets) / t.sheetPieces - 1e-9);
  const blanks = blanksFor(g, pieces, pressed);
  const setUpHandsS = t.setUpS;
  const handsS = u.handsS * pressed + t.finishS * pieces + setUpHandsS;
  const kwh = u.kwh * pressed + t.energy.warmJ / J_PER_KWH;
  const one = u.blank + u.paper + u.ink + u.tape + u.energy + u.labour + u.machine;
  const lines: readonly CostLine[] = [
    { part: 'blanks', cents: blanks.cents + blanks.charged },
    { part: 'paper', cents: toCents(sheetsFor(pieces) * sheetCents(g)) },
    { part: 'ink', cents: toCents(u.ink * pieces) },
    { part: 'tape', cents: toCents(u.tape * pieces) },
    { part: 'energy', cents: toCents(u.energy * pieces + (t.energy.warmJ / J_PER_KWH) * m.energyKwhCents) },
    {
      part: 'labour',
      cents: toCents(((u.handsS * pieces + t.finishS * pieces + setUpHandsS) * m.payHourCents) / 3600),
    },
    { part: 'machine', cents: toCents(u.machine * pieces) },
    { part: 'packing', cents: m.packingCents * pieces },
    { part: 'spoilage', cents: toCents(one * extra) },
  ];
  const totalCents = lines.reduce((s, l) => s + l.cents, 0);
  const eachCents = toCents(totalCents / pieces);
  const each = shared(
    eachCents,
    lines.map((l) => l.cents),
  );
  return {
    pieces,
    lines,
    totalCents,
    eachCents,
    eachLines: lines.map((l, i) => ({ part: l.part, cents: each[i] ?? 0 })),
    pressed,
    handsS,
    paidCents: (handsS * m.payHourCents) / 3600,
    pressS: u.pressS * pressed,
    energyKwh: kwh,
    sheets: sheetsFor(pressed),
    cases: blanks.cases,
    leftOver: blanks.leftOver,
  };
}

/** What one piece made again costs: its print on a sheet of its own, its blank where that is spoiled too, and the hands. */
export function reprintCents(g: CostGiven, blankToo: boolean): number {
  const u = unitOf(g);
  return (
    toCents(blankToo ? u.blank : 0) +
    toCents(sheetCents(g) * Math.max(1, g.times.sheets / g.times.sheetPieces)) +
    toCents(u.ink) +
    toCents(u.tape) +
    toCents(u.energy) +
    toCents(u.labour) +
    toCents(u.machine)
  );
}

export interface PriceWish {
  readonly from: 'margin' | 'hour';
  readonly marginPct: number;
  /** Kept by a market or a window, percent of the price. */
  readonly feePct: number;
}

export interface Price {
  readonly pieces: number;
  readonly cost: CostSheet;
  /** A piece. */
  readonly eachCents: number;
  /** Below it, work is not paid: cost and fee and nothing more. */
  readonly lowestCents: number;
  /** Of the whole order: what the fee takes, and what is left above cost. */
  readonly feeCents: number;
  readonly earnedCents: number;
  /** What an hour of hands brings in: its pay, and what is left besides. */
  readonly hourCents: number;
}

/** What is left of an order at a price a piece, after the fee. */
export function atPrice(cost: CostSheet, eachCents: number, feePct: number): Omit<Price, 'lowestCents'> {
  const sum = eachCents * cost.pieces;
  const feeCents = toCents((sum * feePct) / 100);
  const earnedCents = sum - feeCents - cost.totalCents;
  return {
    pieces: cost.pieces,
    cost,
    eachCents,
    feeCents,
    earnedCents,
    hourCents: cost.handsS > 0 ? toCents(((earnedCents + cost.paidCents) * 3600) / cost.handsS) : 0,
  };
}

/**
 * Price of so many pieces. From a margin, the price of which cost is what margin and fee leave; from a wanted hour, materials and so much for
 * every hour of hands. Rounded up to whole steps.
 */
export function priceOf(g: CostGiven, pieces: number, wish: PriceWish): Result<Price> {
  const cost = costOf(g, pieces);
  const fee = wish.feePct / 100;
  const margin = wish.from === 'margin' ? wish.marginPct / 100 : 0;
  const left = 1 - fee - margin;
  if (left <= 0.01)
    return fail(say('pricing.marginFeeTogetherTake'), WHERE, say('pricing.lessMarginAnotherWay'));
  const bare =
    wish.from === 'margin'
      ? cost.totalCents
      : // The labour of spoiled pieces stands in the line of spoilage: it is taken out with the rest, and paid once.
        cost.totalCents - cost.paidCents + (cost.handsS * g.money.wantedHourCents) / 3600;
  const eachCents = upTo(bare / pieces / left, g.money.priceStepCents);
  return ok({
    ...atPrice(cost, eachCents, wish.feePct),
    lowestCents: upTo(cost.totalCents / pieces / (1 - fee), 1),
  });
}
