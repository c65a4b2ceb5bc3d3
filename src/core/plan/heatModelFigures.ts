import { figure, type Figure } from '../figures/figure';
import type { ChosenHeat } from '../heat/choose';
import { COLD_PLATE, DYE_STILL_C, TOUCH_SAFE_C } from '../heat/cooling';
import type { Peel } from '../shop/heatSettings';
import type { Spread } from '../heat/fit';
import type { MatchChange } from '../heat/match';
import type { HeatOutcome } from '../heat/outcome';
import { say, type Phrase } from '../units/phrase';
import { celsius, count, mm, ratio, seconds, word } from '../units/quantity';
import type { HeatLoad } from './heatLoad';
import type { MatchSource } from './heatMatch';
import type { HeatModel } from './heatModel';

/** Minutes of cooling are told as coarsely as they are known. */
const coarse = (s: number): number => {
  const step = s > 900 ? 60 : s > 240 ? 30 : s > 60 ? 10 : 5;
  return Math.ceil(s / step) * step;
};
const coarsely = ({ value, low, high }: Spread): Spread => ({
  value: coarse(value),
  low: coarse(low),
  high: coarse(high),
});

const estimated = (
  id: string,
  label: string,
  s: Spread,
  working: Phrase,
  more: { readonly inputs?: readonly string[]; readonly arithmetic?: readonly Phrase[] } = {},
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

function goodFigure(o: HeatOutcome, most: string): Figure {
  const basis =
    o.trials > 0
      ? say`from ${count(o.trials, 'setting')} tried here, and what is usual`
      : say`from what is usual; nothing tried here yet`;
  return figure({
    id: 'heat.good',
    label: 'Chance of a good piece',
    quantity: ratio(o.good),
    origin: 'estimated',
    working: say`${o.under > o.over ? `the least heated ${most} decides` : 'the most heated place decides'}`,
    arithmetic: [
      say`too little ${ratio(o.under)}, too much ${ratio(o.over)}`,
      basis,
      say`contact, press, wall and coating are each known only so well; every spread is in it`,
    ],
    inputs: ['heat.dose', 'heat.doseMost', 'heat.doseNeeded', 'heat.doseLimit'],
  });
}

function doseFigures(o: HeatOutcome): Figure[] {
  const at200 = say`as seconds at ${celsius(200)}`;
  const prior =
    o.trials > 0 ? say`moved by what was seen here` : say`a usual value for this coating, with a wide spread`;
  return [
    estimated(
      'heat.dose',
      'Dose, least heated',
      o.least,
      say`${at200}; needs ${seconds(o.needed.value)}, ${seconds(o.limit.value)} is too much`,
      { inputs: ['heat.platen', 'heat.dwell'] },
    ),
    estimated('heat.doseMost', 'Dose, most heated', o.most, say`${at200}, all heat until it has cooled`, {
      inputs: ['heat.platen', 'heat.dwell'],
    }),
    estimated('heat.doseNeeded', 'Dose needed', o.needed, prior),
    estimated('heat.doseLimit', 'Maximum dose', o.limit, prior),
  ];
}

function peakFigure(o: HeatOutcome): Figure {
  return figure({
    id: 'heat.peakC',
    label: 'Coating reaches',
    quantity: celsius(o.peakC),
    origin: 'estimated',
    working: say`the display falls to ${celsius(o.lowestC)}`,
    inputs: ['heat.platen', 'heat.dwell'],
  });
}

/** How many go in together; known before anything has been simulated. */
export function loadFigure(load: HeatLoad, pieces: number, model: HeatModel | null): Figure {
  const n = load.load.piecesAtOnce;
  const loads = Math.ceil(pieces / n);
  const alone = model?.loads.find((x) => x.pieces === 1);
  const one = n > 1 && alone ? say`one alone ${seconds(alone.dwellS)}; ` : say``;
  return figure({
    id: 'heat.load',
    label: 'At once',
    quantity: count(n, 'piece'),
    origin: load.byHand.includes('piecesAtOnce') ? 'measured' : 'calculated',
    working: say`${one}${count(loads, 'load')} for ${count(pieces, 'piece')}, ${String(load.most)} would fit`,
  });
}

function touchFigures(o: HeatOutcome, peel: Peel): Figure[] {
  const order = ['air', 'mat', 'plate', 'weight'] as const;
  const words = {
    air: say`standing in still air`,
    mat: say`on a mat or wood`,
    plate: say`on a cold aluminium plate, ${mm(COLD_PLATE.widthMm)} × ${mm(COLD_PLATE.heightMm)} × ${mm(COLD_PLATE.thicknessMm)}`,
    weight: say`on such a plate, under a plate of its own size`,
  };
  const first = order.find((p) => (p === 'air' ? o.cooling.air && !o.cooling.mat : o.cooling[p])) ?? 'air';
  const cooling = o.cooling[first];
  if (!cooling) return [];
  const others = order.flatMap((p) => {
    const c = p === first ? undefined : o.cooling[p];
    return c ? [say`${words[p]} ${seconds(coarse(c.value.touchS))}`] : [];
  });
  const waits = peel === 'warm' || peel === 'cold';
  return [
    ...(waits
      ? [
          estimated(
            'heat.peelAfter',
            'Time until peeling, minimum',
            coarsely({
              value: cooling.value.dyeStillS,
              low: cooling.low.dyeStillS,
              high: cooling.high.dyeStillS,
            }),
            say`until the dye no longer moves, ${celsius(DYE_STILL_C)}, ${words[first]}`,
          ),
        ]
      : []),
    estimated(
      'heat.touch',
      'Time until safe to touch, minimum',
      coarsely({ value: cooling.value.touchS, low: cooling.low.touchS, high: cooling.high.touchS }),
      say`to ${celsius(TOUCH_SAFE_C)}, ${words[first]}; wear gloves anyway`,
      { arithmetic: others, inputs: ['heat.peakC'] },
    ),
    estimated(
      'heat.pack',
      'Time until packing, minimum',
      coarsely({ value: cooling.value.packS, low: cooling.low.packS, high: cooling.high.packS }),
      say`${words[first]}`,
    ),
  ];
}

const CHANGE_WORDS: Readonly<Record<MatchChange, string>> = {
  blank: 'on this blank',
  press: 'on this press',
  load: 'with this load',
  sheets: 'with these sheets',
  pressure: 'at this pressure',
  timer: 'by this timer',
  temperature: 'at this temperature',
};

/** The setting that gives this the dose of something proven elsewhere. */
function matchFigure(model: HeatModel, m: MatchSource | null, chosen: ChosenHeat): Figure[] {
  if (!m || !model.match) return [];
  const { dwellS, low, high, steps } = model.match;
  const chain: Phrase[] = [
    say`${m.blankName} on ${m.pressName}: ${seconds(m.from.settings.dwellS)} at ${celsius(m.from.settings.platenC)}, ${count(m.goodPieces, 'good piece')}`,
    ...steps.map((s) => say`${CHANGE_WORDS[s.change]}: ${seconds(s.dwellS)}`),
  ];
  return [
    estimated(
      'heat.same',
      'Same dose as proven',
      { value: dwellS, low, high },
      say`at ${celsius(chosen.settings.platenC)}, as ${m.blankName} on ${m.pressName}`,
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
      label: 'Dose, the two faces',
      quantity: word(`${Math.round(first)} s and ${Math.round(other)} s`),
      origin: 'estimated',
      working: say`first under the heater, and the other; at ${celsius(200)}`,
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
    goodFigure(o, model.subject.load.round ? 'place' : 'corner'),
    ...doseFigures(o),
    peakFigure(o),
    ...facesFigure(o),
    ...(load ? [loadFigure(load, pieces, model)] : []),
    ...matchFigure(model, matched, chosen),
    ...touchFigures(o, chosen.settings.peel),
  ];
}
