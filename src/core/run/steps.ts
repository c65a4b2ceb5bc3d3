import type { HeatSettings } from '../heat/settings';
import { say, type Phrase } from '../units/phrase';
import { celsius, degrees, seconds } from '../units/quantity';
import type { Blank } from '../shop/blank';
import { isOven, type Press } from '../shop/press';

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
};
const PINCH = 'Keep fingers and tape tabs clear of the closing mat.';
const FUME = 'Let the fume clear: fan on, window open.';

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
    caution: PINCH,
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
    title: say`${words[s.peel]}`,
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

/** The steps of one piece, from loading to cooling. */
export function stepsForPiece(s: HeatSettings, blank: Blank, press: Press): readonly RunStep[] {
  const load: RunStep = {
    id: 'load',
    title: isOven(press)
      ? say`Into the oven, upright, clear of its neighbours`
      : say`Slide in, seam up, centred on the heater`,
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
    title: say`Stand it to cool, room all round`,
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

/** What to do before the first piece goes in, in order. `seam` is what the school of seam asks of the hands. */
export function prePressSteps(s: HeatSettings, blank: Blank, press: Press, seam: Phrase): readonly Phrase[] {
  return [
    ...blank.takeOff.map((part) => say`Take off: ${part}`),
    ...(blank.film ? [say`Peel the protective film`] : []),
    say`Wipe with alcohol and a lint-free cloth, well away from the press, then do not touch the face`,
    say`Wrap tight from the middle outwards. ${seam}`,
    say`Tape the seam its full length and rub the air out of it`,
    say`Tape both rims, pulling the paper down like shrink film`,
    isOven(press)
      ? say`Pull the ${press.hold} over the whole wrap, no fold, no bubble`
      : say`Fresh waste paper round it, one use only`,
    isOven(press)
      ? say`Heat the oven to ${celsius(s.platenC)} with its shelf in`
      : say`Set pressure cold, with the blank in: ${s.pressure.replace('-', ' to ')}`,
    ...(isOven(press) ? [] : [say`Set ${celsius(s.platenC)}; warm the first cycle with a spare blank`]),
  ];
}
