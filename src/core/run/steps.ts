import type { HeatSettings } from '../heat/settings';
import { say, type Phrase } from '../units/phrase';
import { celsius, degrees, seconds } from '../units/quantity';
import type { Blank } from '../shop/blank';
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
      : isFlatPress(press)
        ? say`On the bed, in the middle, waste paper under and over`
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

/** Fixing paper to a flat blank: tape or tack, one face or two about the fold. */
function fixFlat(blank: Blank, both: boolean, parcel: boolean): readonly Phrase[] {
  const fold = both
    ? [say`Fold the sheet on its ticks, print side in, and put the blank between`]
    : [say`Lay the blank face down on the picture, centred on its ticks`];
  const hold = parcel
    ? [
        say`Fold the paper up over the edges like a parcel and tape it on the back, tight, no fold on the face`,
      ]
    : [
        say`Tape at two edges, outside the picture; or three light passes of spray tack, away from the press, into a shield`,
      ];
  const dry = blank.material === 'hardboard' ? [say`Pre-press it bare for a few seconds: moisture out`] : [];
  return [...dry, ...fold, ...hold, say`Plain paper under and over; throw it away after one use`];
}

/** Fixing paper round a wall. */
function fixRound(press: Press, seam: Phrase): readonly Phrase[] {
  return [
    say`Wrap tight from the middle outwards. ${seam}`,
    say`Tape the seam its full length, a folded tab at one end, and rub the air out of it`,
    say`Tape both rims, pulling the paper down like shrink film`,
    isOven(press)
      ? say`Pull the ${press.hold} over the whole wrap, no fold, no bubble`
      : say`Fresh waste paper round it, one use only`,
  ];
}

export interface Fixing {
  /** What the school of seam asks of the hands. */
  readonly seam: Phrase;
  readonly bothFaces: boolean;
  readonly parcel: boolean;
}

/** What to do before the first piece goes in, in order. */
export function prePressSteps(
  s: HeatSettings,
  blank: Blank,
  press: Press,
  fixing: Fixing,
): readonly Phrase[] {
  const flat = blank.shape.kind === 'flat';
  return [
    ...blank.takeOff.map((part) => say`Take off: ${part}`),
    ...(blank.film ? [say`Peel the protective film`] : []),
    flat
      ? say`Lint roller over the face, or alcohol and a lint-free cloth well away from the press; then do not touch it`
      : say`Wipe with alcohol and a lint-free cloth, well away from the press, then do not touch the face`,
    ...(flat ? fixFlat(blank, fixing.bothFaces, fixing.parcel) : fixRound(press, fixing.seam)),
    isOven(press)
      ? say`Heat the oven to ${celsius(s.platenC)} with its shelf in`
      : say`Set pressure cold, with the blank in: ${s.pressure.replace('-', ' to ')}`,
    ...(isOven(press)
      ? []
      : flat
        ? [say`Set ${celsius(s.platenC)} and let it settle`]
        : [say`Set ${celsius(s.platenC)}; warm the first cycle with a spare blank`]),
  ];
}
