import { figure, type Figure } from '../figures/figure';
import { moneyText } from '../money/money';
import { say, type Phrase } from '../units/phrase';
import { count, seconds, word } from '../units/quantity';
import { blankEachCents, PRIOR, spoilageOf, type CostGiven, type CostPart, type CostSheet } from './cost';

export const PART_WORDS: Readonly<Record<CostPart, string>> = {
  blanks: 'Blank',
  paper: 'Paper',
  ink: 'Ink',
  tape: 'Tape and waste paper',
  energy: 'Energy',
  labour: 'Labour',
  machine: 'Press wear',
  packing: 'Packing',
  spoilage: 'Spoilage',
};

const pct = (share: number): string => `${(share * 100).toFixed(1)} %`;
const hours = (s: number) => seconds(s);

interface About {
  readonly g: CostGiven;
  readonly c: CostSheet;
  readonly money: (cents: number) => string;
  /** Whether the ink of the art has been analysed. */
  readonly inkKnown: boolean;
}

function working(part: CostPart, { g, c, money, inkKnown }: About): readonly [Phrase, ...Phrase[]] {
  const { times: t, money: m, layout, item } = g;
  const n = String(c.pieces);
  const each = blankEachCents(g) ?? 0;
  const wear = money(m.machineHourCents);
  switch (part) {
    case 'blanks':
      return item
        ? [
            say`${money(Math.round(each))} a blank by the case${item.leftOver === 'charged' && c.leftOver > 0 ? `, ${c.leftOver} left over charged` : ''}`,
            say`(case ${money(item.caseCents)} + carriage ${money(item.freightCents)}) ÷ ${String(item.caseSize)} × ${n}`,
            say`${count(c.cases, 'case')} for ${c.pressed.toFixed(1)} pressed, ${String(c.leftOver)} left over, ${item.leftOver === 'charged' ? 'paid by this job' : 'kept for other work'}`,
          ]
        : [
            say`${money(Math.round(each))} per blank, as set for the blank`,
            say`${money(Math.round(each))} × ${n}`,
          ];
    case 'paper':
      return [
        say`${layout.paper.name}, whole sheets`,
        say`${n} pieces at ${(t.sheetPieces / t.sheets).toFixed(2)} a sheet, ${layout.paper.kind === 'roll' ? 'a metre' : 'a sheet'} at ${money(layout.paper.costCents)}`,
      ];
    case 'ink':
      return [
        say`${g.inkPct.toFixed(0)} % of full colour, ${inkKnown ? 'from the art' : 'usual until the art is analysed'}`,
        say`${(layout.inkMm2 / t.sheetPieces / 1e6).toFixed(4)} m² a piece × ${g.inkPct.toFixed(0)} % × ${money(g.printer.inkPerM2Cents)} per m² at full ink × ${n}`,
      ];
    case 'tape':
      return [
        say`${count(t.tapeStrips, 'strip')} and ${count(t.wasteSheets, 'waste sheet')} a piece`,
        say`strips of about 15 cm at ${money(m.tapeMetreCents)} a metre; a waste sheet ${money(m.wasteSheetCents)}`,
      ];
    case 'energy':
      return [
        say`${c.energyKwh.toFixed(2)} kWh by the heat model, one warm-up`,
        say`warm-up ${hours(t.energy.warmS)} at ${t.energy.powerW.toFixed(0)} W; kept hot ${t.energy.keptW.toFixed(0)} W; a load takes up ${(t.loadJ / 1000).toFixed(0)} kJ; ${money(m.energyKwhCents)} a kWh`,
      ];
    case 'labour':
      return [
        say`${hours(c.handsS)} of labour, spoilage and finishing included`,
        say`a piece: cut ${hours((t.trimSheetS * t.sheets) / t.sheetPieces)}, ready ${hours(t.prepareS)}, press ${hours(t.loadHandsS / t.atOnce)}, finish ${hours(t.finishS)}; ${money(m.payHourCents)} an hour`,
        t.seen > 0
          ? say`times learned from ${t.seen.toFixed(0)} steps seen at the press`
          : say`usual times: the press has not been watched yet`,
      ];
    case 'machine':
      return [say`${hours(c.pressS)} in the press`, say`${wear} an hour of press`];
    case 'packing':
      return [say`${money(m.packingCents)} a piece`, say`box, filling, care card and label`];
    case 'spoilage': {
      const share = spoilageOf(g.seen);
      return [
        say`${pct(share)} spoiled: ${c.pressed.toFixed(1)} pressed for ${n} good`,
        say`${String(g.seen.spoiled)} of ${count(g.seen.good + g.seen.spoiled, 'piece')} of this blank on this press, and ${pct(PRIOR.share)} of ${String(PRIOR.pieces)} as a beginning`,
        say`each takes blank, paper, ink, tape, energy, hands and press again`,
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
  const money = (cents: number) => moneyText(currency, cents);
  const of = (part: CostPart) => working(part, { g, c, money, inkKnown });
  const guessed: ReadonlySet<CostPart> = new Set(
    inkKnown ? ['energy', 'spoilage', 'labour', 'tape'] : ['ink', 'energy', 'spoilage', 'labour', 'tape'],
  );
  return [
    ...c.lines.map(({ part, cents }, i): Figure => {
      const [first, ...rest] = of(part);
      return figure({
        id: `cost.${part}`,
        label: PART_WORDS[part],
        quantity: word(money(cents)),
        origin: guessed.has(part) ? 'estimated' : 'calculated',
        working: first,
        arithmetic: [...rest, say`a piece: ${money(c.eachLines[i]?.cents ?? 0)}`],
      });
    }),
    figure({
      id: 'cost.total',
      label: `All ${c.pieces === 1 ? 'of one piece' : `${c.pieces} pieces`}`,
      quantity: word(money(c.totalCents)),
      origin: 'estimated',
      working: say`${money(c.eachCents)} a piece, to the nearest hundredth`,
      arithmetic: [
        ...c.lines.map((l) => say`${PART_WORDS[l.part]} ${money(l.cents)}`),
        say`each part rounded to the hundredth, halves up; the total is their sum`,
      ],
      inputs: c.lines.map((l) => `cost.${l.part}`),
    }),
  ];
}
