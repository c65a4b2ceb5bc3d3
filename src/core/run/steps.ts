import type { HeatSettings } from '../heat/settings';
import { say, type Phrase } from '../units/phrase';
import { celsius, degrees, seconds } from '../units/quantity';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import type { Run } from '../shop/records';
import { isFlatPress, isOven, type Press } from '../shop/press';

/** Who a step needs: hands on the piece, a wait for the press, or the press alone while hands are free. */
export type Need = 'hands' | 'wait' | 'press';

export interface RunStep {
  readonly id: string;
  readonly title: Phrase;
  readonly need: Need;
  /** Set time for a press step; null where the person says when it is done. s. */
  readonly durationS: number | null;
  /** Usual time for planning, s. */
  readonly usualS: number;
  /** What the button says to finish the step. */
  readonly done: string;
  /** What the free hands do meanwhile. */
  readonly meanwhile: Phrase | null;
  readonly caution: string | null;
  /** Turn of the blank before this step, degrees, for the diagram. */
  readonly turnedDeg: number;
  readonly pass: number;
}

const HOT: Readonly<Record<Blank['material'], string>> = {
  steel: 'Steel stays hot. Gloves both hands; set down on the heat mat.',
  glass: 'Hot glass cracks on anything cold or wet. Gloves both hands; set down on dry felt.',
  ceramic: 'Ceramic holds its heat for many minutes. Gloves both hands; set down on the heat mat.',
  aluminium: 'Aluminium is at press heat right through. Gloves; set down on the heat mat.',
  hardboard: 'Board stays hot inside. Gloves; flat on the bench, weight on it.',
  FRP: 'Soft and hot: gloves, and flat under weight until cold.',
  acrylic: 'Soft and hot: gloves, and flat under weight until cold.',
  slate: 'Stone stays dangerous for ten minutes and more. Gloves; set down on dry felt, never in water.',
  polymer: 'Soft while hot: hold its shape until cold. Gloves both hands.',
};
const PINCH = 'Keep fingers and tape tabs clear of the closing mat.';
const PLATEN = 'A heavy, hot platen: keep both hands on the lever.';
const FUME = 'Let the fume clear: fan on, window open.';

/** Leave the press soft, and take the shape they cool in. */
const SOFT: readonly Blank['material'][] = ['acrylic', 'FRP', 'hardboard'];

const PASS_NAMES = [
  'First side',
  'Second side',
  'Third side',
  'Fourth side',
  'Fifth side',
  'Sixth side',
] as const;

function turnWords(passes: number): Phrase {
  return passes === 2 ? say`Turn half round` : say`Turn ${degrees(360 / passes)}`;
}

function passSteps(s: HeatSettings, press: Press, pass: number): RunStep[] {
  const turnedDeg = (360 / s.passes) * pass;
  const shared = { turnedDeg, pass };
  const name = s.passes === 1 ? 'Press' : (PASS_NAMES[pass] ?? `Pass ${pass + 1}`);
  const steps: RunStep[] = [];
  if (pass > 0) {
    steps.push({
      id: `turn-${pass}`,
      title: turnWords(s.passes),
      need: 'hands',
      durationS: null,
      usualS: 12,
      done: 'Turned',
      meanwhile: null,
      caution: 'The blank is at press heat. Gloves both hands.',
      ...shared,
    });
    if (s.fallBackC !== null) {
      steps.push({
        id: `fall-${pass}`,
        title: say`Wait until the press falls to ${celsius(s.fallBackC)}`,
        need: 'wait',
        durationS: null,
        usualS: 40,
        done: 'It reads that',
        meanwhile: say`Closed too hot, its own timer starts at once and cooks the first side.`,
        caution: null,
        ...shared,
      });
    }
  }
  const close = isOven(press)
    ? say`Shut the oven door`
    : say`Close: ${s.pressure === 'medium' ? 'medium, one hand' : s.pressure.replace('-', ' to ')}`;
  steps.push({
    id: `close-${pass}`,
    title: close,
    need: 'hands',
    durationS: null,
    usualS: 6,
    done: pass > 0 ? 'Turned and closed' : 'Closed',
    meanwhile: null,
    caution: isFlatPress(press) ? PLATEN : PINCH,
    ...shared,
  });
  if (s.clock === 'at-temperature') {
    steps.push({
      id: `reach-${pass}`,
      title: say`Wait for ${celsius(s.platenC)}`,
      need: 'wait',
      durationS: null,
      usualS: isOven(press) ? 240 : 60,
      done: 'It reads that',
      meanwhile: say`The clock starts on reaching temperature, not before.`,
      caution: null,
      ...shared,
    });
  }
  steps.push({
    id: `dwell-${pass}`,
    title: say`${name} ${seconds(s.dwellS)}`,
    need: 'press',
    durationS: s.dwellS,
    usualS: s.dwellS,
    done: 'Opened',
    meanwhile: say`Hands off. Tape up the next piece.`,
    caution: null,
    ...shared,
  });
  return steps;
}

function peelStep(s: HeatSettings, blank: Blank): RunStep {
  const words: Readonly<Record<HeatSettings['peel'], string>> = {
    hot: 'Out, peel while hot: one smooth move',
    warm: 'Out, let it go warm, then peel',
    cold: 'Out, leave wrapped until cold',
    quench: 'Out, into the water, then peel',
  };
  return {
    id: 'peel',
    title: isBarrel(blank) ? say`Out: pull both ends off like a spiral, while hot` : say`${words[s.peel]}`,
    need: 'hands',
    durationS: null,
    usualS: 20,
    done: 'Peeled',
    meanwhile: null,
    caution: HOT[blank.material],
    turnedDeg: 0,
    pass: s.passes - 1,
  };
}

/** How a piece goes in. */
function loadWords(blank: Blank, press: Press): Phrase {
  if (isOven(press))
    return isBarrel(blank)
      ? say`Lay it on the rack, clear of its neighbours`
      : blank.shape.kind === 'flat'
        ? say`Flat on the shelf, clear of its neighbours`
        : say`Into the oven, upright, clear of its neighbours`;
  if (isFlatPress(press)) return say`On the bed, in the middle, waste paper under and over`;
  return isHandled(blank)
    ? say`Slide in, the handle in the opening of the heater`
    : say`Slide in, seam up, centred on the heater`;
}

/** The steps of one piece, from loading to cooling. */
export function stepsForPiece(s: HeatSettings, blank: Blank, press: Press): readonly RunStep[] {
  const load: RunStep = {
    id: 'load',
    title: loadWords(blank, press),
    need: 'hands',
    durationS: null,
    usualS: 15,
    done: 'It is in',
    meanwhile: null,
    caution: isOven(press) ? 'An oven that decorates never cooks food again.' : 'The heater is hot. Gloves.',
    turnedDeg: 0,
    pass: 0,
  };
  const cool: RunStep = {
    id: 'cool',
    title: SOFT.includes(blank.material)
      ? say`Flat on the bench, a weight on it until cold`
      : blank.shape.kind === 'flat'
        ? say`Lay it to cool on the heat mat, room all round`
        : say`Stand it to cool, room all round`,
    need: 'hands',
    durationS: null,
    usualS: 6,
    done: 'Next piece',
    meanwhile: null,
    caution: FUME,
    turnedDeg: 0,
    pass: s.passes - 1,
  };
  return [
    load,
    ...Array.from({ length: s.passes }, (_, p) => passSteps(s, press, p)).flat(),
    peelStep(s, blank),
    cool,
  ];
}

/** Steps of a run, from what was copied into it at its start. */
export const stepsOfRun = (run: Run): readonly RunStep[] => stepsForPiece(run.settings, run.blank, run.press);
