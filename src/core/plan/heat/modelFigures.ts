import { figure, type Figure } from '../../figures/figure';
import type { ChosenHeat } from '../../heat/settings/choose';
import { COLD_PLATE, DYE_STILL_C, TOUCH_SAFE_C } from '../../heat/cooling/cooling';
import type { Peel } from '../../shop/heatSettings';
import type { PosteriorSpread } from '../../heat/settings/fit';
import type { MatchChange } from '../../heat/settings/match';
import type { HeatOutcome } from '../../heat/model/outcome';
import { say, type Message } from '../../message/message';
import { celsius, count, mm, ratio, seconds, word } from '../../message/quantity';
import type { HeatLoad } from './load';
import type { MatchSource } from './match';
import type { HeatModel } from './model';

/** Minutes of cooling are shown as coarsely as they are known. */
const coarse = (s: number): number => {
  const step = s > 900 ? 60 : s > 240 ? 30 : s > 60 ? 10 : 5;
  return Math.ceil(s / step) * step;
};
const coarsely = ({ value, low, high }: PosteriorSpread): PosteriorSpread => ({
  value: coarse(value),
  low: coarse(low),
  high: coarse(high),
});

const estimated = (
  id: string,
  label: Message,
  s: PosteriorSpread,
  working: Message,
  more: { readonly inputs?: readonly string[]; readonly arithmetic?: readonly Message[] } = {},
): Figure =>
  figure({
    id,
    label,
    quantity: seconds(s.value),
    origin: 'estimated',
    spread: [s.low, s.high],
    working,
    inputs: more.inputs ?? [],
    arithmetic: more.arithmetic ?? [],
  });

function goodFigure(o: HeatOutcome, most: Message): Figure {
  const basis = o.trials > 0 ? say('heat.from', { settings: o.trials }) : say('heat.fromWhatUsualNothing');
  return figure({
    id: 'heat.good',
    label: say('heat.chanceGoodPiece'),
    quantity: ratio(o.good),
    origin: 'estimated',
    working: say('heat.theMostThe', { most, which: o.under > o.over ? 'leastHeatedDec' : 'other' }),
    arithmetic: [
      say('heat.tooLittleTooMuch', { under: ratio(o.under), over: ratio(o.over) }),
      basis,
      say('heat.contactPressWallCoating'),
    ],
    inputs: ['heat.dose', 'heat.doseMost', 'heat.doseNeeded', 'heat.doseLimit'],
  });
}

function doseFigures(o: HeatOutcome): Figure[] {
  const at200 = say('heat.asSecondsAt', { value: celsius(200) });
  const prior = o.trials > 0 ? say('heat.movedWhatWasSeen') : say('heat.usualValueCoatingWide');
  return [
    estimated(
      'heat.dose',
      say('heat.doseLeastHeated'),
      o.least,
      say('heat.needsTooMuch', { at200, needed: seconds(o.needed.value), limit: seconds(o.limit.value) }),
      { inputs: ['heat.platen', 'heat.dwell'] },
    ),
    estimated('heat.doseMost', say('heat.doseMostHeated'), o.most, say('heat.allHeatUntilHas', { at200 }), {
      inputs: ['heat.platen', 'heat.dwell'],
    }),
    estimated('heat.doseNeeded', say('heat.doseNeeded'), o.needed, prior),
    estimated('heat.doseLimit', say('heat.maximumDose'), o.limit, prior),
  ];
}

function peakFigure(o: HeatOutcome): Figure {
  return figure({
    id: 'heat.peakC',
    label: say('heat.coatingReaches'),
    quantity: celsius(o.peakC),
    origin: 'estimated',
    working: say('heat.displayFalls', { lowest: celsius(o.lowestC) }),
    inputs: ['heat.platen', 'heat.dwell'],
  });
}

/** How many go in together; known before anything has been simulated. */
export function loadFigure(load: HeatLoad, pieces: number, model: HeatModel | null): Figure {
  const n = load.load.piecesAtOnce;
  const loads = Math.ceil(pieces / n);
  const alone = model?.loads.find((x) => x.pieces === 1);
  const one = n > 1 && alone ? say('heat.oneAlone', { dwell: seconds(alone.dwellS) }) : say('common.n');
  return figure({
    id: 'heat.load',
    label: say('heat.atOnce'),
    quantity: count(n, 'piece'),
    origin: load.byHand.includes('piecesAtOnce') ? 'measured' : 'calculated',
    working: say('heat.oneLoadsPieces', { one, loads, pieces, most: load.most }),
  });
}

function touchFigures(o: HeatOutcome, peel: Peel): Figure[] {
  const order = ['air', 'mat', 'plate', 'weight'] as const;
  const words = {
    air: say('heat.standingStillAir'),
    mat: say('heat.matWood'),
    plate: say('heat.coldAluminiumPlate', {
      width: mm(COLD_PLATE.widthMm),
      height: mm(COLD_PLATE.heightMm),
      thickness: mm(COLD_PLATE.thicknessMm),
    }),
    weight: say('heat.suchPlateUnderPlate'),
  };
  const first = order.find((p) => (p === 'air' ? o.cooling.air && !o.cooling.mat : o.cooling[p])) ?? 'air';
  const cooling = o.cooling[first];
  if (!cooling) return [];
  const others = order.flatMap((p) => {
    const c = p === first ? undefined : o.cooling[p];
    return c ? [say('heat.wordsTouch', { words: words[p], touch: seconds(coarse(c.value.touchS)) })] : [];
  });
  const waits = peel === 'warm' || peel === 'cold';
  return [
    ...(waits
      ? [
          estimated(
            'heat.peelAfter',
            say('heat.timeUntilPeelingMinimum'),
            coarsely({
              value: cooling.value.dyeStillS,
              low: cooling.low.dyeStillS,
              high: cooling.high.dyeStillS,
            }),
            say('heat.untilDyeLongerMoves', { dyeStillC: celsius(DYE_STILL_C), words: words[first] }),
          ),
        ]
      : []),
    estimated(
      'heat.touch',
      say('heat.timeUntilSafeTouch'),
      coarsely({ value: cooling.value.touchS, low: cooling.low.touchS, high: cooling.high.touchS }),
      say('heat.wearGlovesAnyway', { touchSafeC: celsius(TOUCH_SAFE_C), words: words[first] }),
      { arithmetic: others, inputs: ['heat.peakC'] },
    ),
    estimated(
      'heat.pack',
      say('heat.timeUntilPackingMinimum'),
      coarsely({ value: cooling.value.packS, low: cooling.low.packS, high: cooling.high.packS }),
      words[first],
    ),
  ];
}

const CHANGE_WORDS: Readonly<Record<MatchChange, Message>> = {
  blank: say('heat.onThisBlank'),
  press: say('heat.onThisPress'),
  load: say('heat.withThisLoad'),
  sheets: say('heat.theseSheets'),
  pressure: say('heat.atThisPressure'),
  timer: say('heat.byThisTimer'),
  temperature: say('heat.atThisTemperature'),
};

/** The setting that gives this the dose of something proven elsewhere. */
function matchFigure(model: HeatModel, m: MatchSource | null, chosen: ChosenHeat): Figure[] {
  if (!m || !model.match) return [];
  const { dwellS, low, high, steps } = model.match;
  const chain: Message[] = [
    say('heat.onAt', {
      blankName: m.blankName,
      pressName: m.pressName,
      dwell: seconds(m.from.settings.dwellS),
      platen: celsius(m.from.settings.platenC),
      goodPieces: m.goodPieces,
    }),
    ...steps.map((s) =>
      say('heat.changewordsDwell', { changeWords: CHANGE_WORDS[s.change], dwell: seconds(s.dwellS) }),
    ),
  ];
  return [
    estimated(
      'heat.same',
      say('heat.sameDoseProven'),
      { value: dwellS, low, high },
      say('heat.atAsOn', {
        platen: celsius(chosen.settings.platenC),
        blankName: m.blankName,
        pressName: m.pressName,
      }),
      { arithmetic: chain, inputs: ['heat.platen'] },
    ),
  ];
}

function facesFigure(o: HeatOutcome): Figure[] {
  if (!o.facesS) return [];
  const [first, other] = o.facesS;
  return [
    figure({
      id: 'heat.faces',
      label: say('heat.doseTwoFaces'),
      quantity: word(say('heat.twoAmounts', { first: seconds(first), other: seconds(other) })),
      origin: 'estimated',
      working: say('heat.firstUnderHeaterOther', { value: celsius(200) }),
      inputs: ['heat.dose'],
    }),
  ];
}

/** Everything the model says of the chosen setting. */
export function modelFigures(
  chosen: ChosenHeat,
  model: HeatModel,
  load: HeatLoad | null,
  matched: MatchSource | null,
  pieces: number,
): readonly Figure[] {
  const o = model.shown;
  if (!o) return [];
  return [
    goodFigure(o, model.subject.load.round ? say('heat.place') : say('heat.corner')),
    ...doseFigures(o),
    peakFigure(o),
    ...facesFigure(o),
    ...(load ? [loadFigure(load, pieces, model)] : []),
    ...matchFigure(model, matched, chosen),
    ...touchFigures(o, chosen.settings.peel),
  ];
}
