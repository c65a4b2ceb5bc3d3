import { figure, type Figure } from '../figures/figure';
import { say, type Message, type Quantity } from '../message/message';
import { seconds, decimal, moneyOf } from '../message/quantity';
import { blankEachCents, PRIOR, spoilageOf, type CostGiven, type CostPart, type CostSheet } from './cost';

export const PART_WORDS: Readonly<Record<CostPart, Message>> = {
  blanks: say('common.blank'),
  paper: say('common.paper'),
  ink: say('common.ink'),
  tape: say('pricing.tapeWastePaper'),
  energy: say('pricing.energy'),
  labour: say('pricing.labour'),
  machine: say('pricing.pressWear'),
  packing: say('common.packing'),
  spoilage: say('pricing.spoilage'),
};

const pct = (share: number): Message => say('common.perCent', { share: decimal(share * 100, 1) });
const hours = (s: number) => seconds(s);

interface About {
  readonly g: CostGiven;
  readonly c: CostSheet;
  readonly priced: (cents: number) => Quantity;
  /** Whether the ink of the art has been analysed. */
  readonly inkKnown: boolean;
}

function working(part: CostPart, { g, c, priced, inkKnown }: About): readonly [Message, ...Message[]] {
  const { times: t, money: m, layout, item } = g;
  const n = String(c.pieces);
  const each = blankEachCents(g) ?? 0;
  const wear = priced(m.machineHourCents);
  switch (part) {
    case 'blanks':
      return item
        ? [
            say('pricing.blankCase', {
              each: priced(Math.round(each)),
              leftOver: c.leftOver,
              which: item.leftOver === 'charged' && c.leftOver > 0 ? 'leftOverCharge' : 'other',
            }),
            say('pricing.caseCarriage', {
              case: priced(item.caseCents),
              freight: priced(item.freightCents),
              caseSize: item.caseSize,
              n,
            }),
            say('pricing.casesPressedLeftover', {
              cases: c.cases,
              pressed: decimal(c.pressed, 1),
              leftOver: c.leftOver,
              which: item.leftOver === 'charged' ? 'paidJob' : 'other',
            }),
          ]
        : [
            say('pricing.perBlankSetBlank', { each: priced(Math.round(each)) }),
            say('pricing.eachN', { each: priced(Math.round(each)), n }),
          ];
    case 'paper':
      return [
        say('pricing.wholeSheets', { paper: layout.paper.name }),
        say('pricing.piecesSheet', {
          n,
          sheetPieces: decimal(t.sheetPieces / t.sheets, 2),
          which: layout.paper.kind === 'roll' ? 'aMetre' : 'other',
          cost: priced(layout.paper.costCents),
        }),
      ];
    case 'ink':
      return [
        say('pricing.fullColour', { ink: decimal(g.inkPct, 0), which: inkKnown ? 'fromArt' : 'other' }),
        say('pricing.mPiecePerM', {
          inkMm2: decimal(layout.inkMm2 / t.sheetPieces / 1e6, 4),
          ink: decimal(g.inkPct, 0),
          inkPerM2: priced(g.printer.inkPerM2Cents),
          n,
        }),
      ];
    case 'tape':
      return [
        say('pricing.stripsWastesheets', { strips: t.tapeStrips, wasteSheets: t.wasteSheets }),
        say('pricing.stripsAbout15Cm', {
          tapeMetre: priced(m.tapeMetreCents),
          wasteSheet: priced(m.wasteSheetCents),
        }),
        ...(t.tacked > 0 ? [say('pricing.sprayTackEach', { tack: priced(m.tackCents) })] : []),
      ];
    case 'energy':
      return [
        say('pricing.kwhHeatModelOne', { energyKwh: decimal(c.energyKwh, 2) }),
        say('pricing.warmUpWKept', {
          warm: hours(t.energy.warmS),
          powerW: decimal(t.energy.powerW, 0),
          keptW: decimal(t.energy.keptW, 0),
          loadJ: decimal(t.loadJ / 1000, 0),
          energyKwh: priced(m.energyKwhCents),
        }),
      ];
    case 'labour':
      return [
        say('pricing.labourSpoilageFinishingIncluded', { hands: hours(c.handsS) }),
        say('pricing.pieceCutReadyPress', {
          trimSheet: hours((t.trimSheetS * t.sheets) / t.sheetPieces),
          prepare: hours(t.prepareS),
          loadHands: hours(t.loadHandsS / t.atOnce),
          finish: hours(t.finishS),
          payHour: priced(m.payHourCents),
        }),
        t.seen > 0
          ? say('pricing.timesLearnedFromSteps', { seen: decimal(t.seen, 0) })
          : say('pricing.usualTimesPressHas'),
      ];
    case 'machine':
      return [say('pricing.inThePress', { press: hours(c.pressS) }), say('pricing.hourPress', { wear })];
    case 'packing':
      return [say('pricing.aPiece', { packing: priced(m.packingCents) }), say('pricing.boxFillingCareCard')];
    case 'spoilage': {
      const share = spoilageOf(g.seen);
      return [
        say('pricing.spoiledPressedGood', { share: pct(share), pressed: decimal(c.pressed, 1), n }),
        say('pricing.of', {
          spoiled: g.seen.seconds + g.seen.spoiled,
          pieces: g.seen.good + g.seen.seconds + g.seen.spoiled,
          share: pct(PRIOR.share),
          pieces2: PRIOR.pieces,
        }),
        say('pricing.eachTakesBlankPaper'),
      ];
    }
  }
}

/** A line a part, for all pieces, and what they come to. Rounded to the hundredth part by part; the total is their sum. */
export function costFiguresOf(
  g: CostGiven,
  c: CostSheet,
  currency: string,
  inkKnown: boolean,
): readonly Figure[] {
  const priced = (cents: number) => moneyOf(currency, cents);
  const of = (part: CostPart) => working(part, { g, c, priced, inkKnown });
  const guessed: ReadonlySet<CostPart> = new Set(
    inkKnown ? ['energy', 'spoilage', 'labour', 'tape'] : ['ink', 'energy', 'spoilage', 'labour', 'tape'],
  );
  return [
    ...c.lines.map(({ part, cents }, i): Figure => {
      const [first, ...rest] = of(part);
      return figure({
        id: `cost.${part}`,
        label: PART_WORDS[part],
        quantity: priced(cents),
        origin: guessed.has(part) ? 'estimated' : 'calculated',
        working: first,
        arithmetic: [...rest, say('pricing.aPiece2', { cents: priced(c.eachLines[i]?.cents ?? 0) })],
      });
    }),
    figure({
      id: 'cost.total',
      label: say('pricing.all', { pieces: c.pieces }),
      quantity: priced(c.totalCents),
      origin: 'estimated',
      working: say('pricing.pieceNearestHundredth', { each: priced(c.eachCents) }),
      arithmetic: [
        ...c.lines.map((l) =>
          say('pricing.partwordsCents', { partWords: PART_WORDS[l.part], cents: priced(l.cents) }),
        ),
        say('pricing.eachPartRoundedHundredth'),
      ],
      inputs: c.lines.map((l) => `cost.${l.part}`),
    }),
  ];
}
