import { PRESSURE_WORDS } from '../heat/labels';
import type { HeatSettings } from '../shop/heatSettings';
import { isBarrel, isHandled, type Blank } from '../shop/blank';
import { isFlatPress, isOven, type Press } from '../shop/press';
import { say, type Phrase } from '../units/phrase';
import { celsius, degrees, seconds } from '../units/quantity';
import type { Waste } from './prepare';
import type { Operation, OperationKind } from '../shop/operation';

/** What an operation is about: kept beside it in a run, given by the plan before. */
export interface OperationContext {
  readonly settings: HeatSettings;
  readonly blank: Blank;
  readonly press: Press;
  readonly waste: Waste;
  /** What the seam method asks of the hands. */
  readonly seam: Phrase;
}

export interface OperationWords {
  readonly title: Phrase;
  /** What the button says to finish it. */
  readonly done: string;
  /** What the free hands do meanwhile. */
  readonly meanwhile: Phrase | null;
  readonly caution: string | null;
}

const HOT: Readonly<Record<Blank['material'], string>> = {
  steel: 'Steel stays hot. Gloves both hands; set down on the heat mat.',
  glass: 'Hot glass cracks on anything cold or wet. Gloves both hands; set down on dry felt.',
  ceramic: 'Ceramic holds its heat for many minutes. Gloves both hands; set down on the heat mat.',
  aluminium: 'Aluminium is at press heat right through. Gloves; set down on the heat mat.',
  hardboard: 'Board stays hot inside. Gloves; lay it flat with a weight on it.',
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

const PASS_NAMES = ['First side', 'Second side', 'Third side', 'Fourth side', 'Fifth side', 'Sixth side'];
const PEEL: Readonly<Record<HeatSettings['peel'], string>> = {
  hot: 'Out, peel while hot: one smooth move',
  warm: 'Out, let it go warm, then peel',
  cold: 'Out, leave wrapped until cold',
  quench: 'Out, into the water, then peel',
};

/** A barrel is wound: its paper comes off from both ends. */
const BARREL_PEEL: Readonly<Record<HeatSettings['peel'], string>> = {
  hot: 'Out: pull both ends off like a spiral, while hot',
  warm: 'Out, let it go warm, then pull both ends off like a spiral',
  cold: 'Out, leave it wound until cold, then pull both ends off like a spiral',
  quench: 'Out, into the water, then pull both ends off like a spiral',
};

const pressureWords = (s: HeatSettings): string => PRESSURE_WORDS[s.pressure];
const isFlatBlank = (b: Blank): boolean => b.shape.kind === 'flat';

/** Which way a flat piece lies under its platen. */
const LIES: Readonly<Record<string, string>> = {
  'face up': ', its paper on top',
  'face down': ', face down on its paper',
};

/** What lies between heater and paper; null where nothing does. Silicone is wiped and used again, paper and parchment are fresh. */
export const WASTE_NAMES: Readonly<Record<Waste['wasteKind'], string>> = {
  plain: 'waste paper',
  parchment: 'parchment',
  silicone: 'silicone sheet',
};
const wasteName = ({ wasteSheets, wasteKind }: Waste): string | null =>
  wasteSheets === 0 ? null : WASTE_NAMES[wasteKind];
const fresh = (w: Waste): string =>
  w.wasteKind === 'silicone' ? 'silicone sheet, wiped clean,' : `fresh ${WASTE_NAMES[w.wasteKind]}`;

function wasteTitle({ blank, waste }: OperationContext): Phrase {
  const [name, flat] = [WASTE_NAMES[waste.wasteKind], isFlatBlank(blank)];
  if (waste.wasteKind === 'silicone')
    return flat
      ? say`Silicone sheet under and over, wiped clean after every piece`
      : say`Silicone sheet round it, wiped clean after every piece`;
  const many = waste.wasteSheets > 1 ? `${waste.wasteSheets} sheets of ` : '';
  const text = flat
    ? `${many}fresh ${name} over, one under; throw it away after one use`
    : `${many}fresh ${name} round it, one use only`;
  return say`${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}

function loadTitle(o: Operation, { blank, press, waste }: OperationContext): Phrase {
  const many = o.uses.find((u) => u.what === 'blank')?.count ?? 1;
  const [all, clear] = many > 1 ? [`All ${many}`, 'clear of one another'] : ['', 'clear of its neighbours'];
  if (isOven(press)) {
    if (isBarrel(blank)) return say`${all || 'Lay it'} on the rack, ${clear}`;
    if (isFlatBlank(blank)) return say`${all ? `${all} flat` : 'Flat'} on the rack, ${clear}`;
    return say`${all ? `${all} into` : 'Into'} the oven, upright, ${clear}`;
  }
  if (isFlatPress(press)) {
    const lies = LIES[o.needs.part ?? ''] ?? '';
    const name = wasteName(waste);
    const between = name === null ? '' : `, ${name} under and over`;
    return many > 1
      ? say`${all} on the bed, spread evenly as drawn${lies}${between}`
      : say`On the bed, in the middle${lies}${between}`;
  }
  return isHandled(blank)
    ? say`Slide in, the handle in the opening of the heater`
    : say`Slide in, seam up, centred on the heater`;
}

function setDownTitle({ blank }: OperationContext): Phrase {
  if (SOFT.includes(blank.material)) return say`Lay it flat with a weight on it until cold`;
  return isFlatBlank(blank)
    ? say`Lay it to cool on the heat mat, room all round`
    : say`Stand it to cool, room all round`;
}

function pressTitle(o: Operation, { settings }: OperationContext): Phrase {
  const pass = o.needs.pass ?? 1;
  const face = o.needs.face;
  if (face === 'front' || face === 'back')
    return say`${face === 'front' ? 'First' : 'Second'} face ${seconds(o.plannedS)}`;
  const name = settings.passes === 1 ? 'Press' : (PASS_NAMES[pass - 1] ?? `Pass ${pass}`);
  return say`${name} ${seconds(o.plannedS)}`;
}

const temperature = (o: Operation, c: OperationContext) =>
  celsius(o.needs.temperatureC ?? c.settings.platenC);

type Words = (o: Operation, c: OperationContext) => Partial<OperationWords> & { readonly title: Phrase };
const only =
  (text: string): Words =>
  () => ({ title: say`${text}` });

const WORDS: Readonly<Record<OperationKind, Words>> = {
  'set-pressure': (_, c) => ({
    title: say`Set pressure cold, with the blank in: ${pressureWords(c.settings)}`,
  }),
  'set-temperature': (o, c) => ({
    title: isFlatBlank(c.blank)
      ? say`Set ${temperature(o, c)} and let it settle`
      : say`Set ${temperature(o, c)}; warm the first cycle with a spare blank`,
  }),
  'heat-oven': (o, c) => ({ title: say`Heat the oven to ${temperature(o, c)} with its rack in` }),
  'take-off': (o) => ({ title: say`Take off: ${o.needs.part ?? 'loose parts'}` }),
  'peel-film': only('Peel the protective film'),
  clean: (_, c) => ({
    title: isFlatBlank(c.blank)
      ? say`Lint roller over the face, or alcohol and a lint-free cloth well away from the press; then do not touch it`
      : say`Wipe with alcohol and a lint-free cloth, well away from the press, then do not touch the face`,
  }),
  dry: only('Pre-press it bare for a few seconds: moisture out'),
  'fold-in': only('Fold the sheet on its ticks, print side in, and put the blank between'),
  'tack-both-faces': only(
    'Three light passes of spray tack, away from the press, into a shield; or tape the open edges of the paper to each other, none on a face',
  ),
  'lay-face-down': only('Lay the blank face down on the picture, centred on its ticks'),
  'hold-edges': only(
    'Tape at two edges, outside the picture; or three light passes of spray tack, away from the press, into a shield',
  ),
  'wrap-edges': only(
    'Fold the paper up over the edges like wrapping a box and tape it on the back, tight, no fold on the face',
  ),
  wrap: (_, c) => ({ title: say`Wrap tight from the middle outwards. ${c.seam}` }),
  'lap-ends': only(
    'Wrap it and overlap the ends, with a strip of tape inside the overlap so that no dye goes through twice',
  ),
  'wind-tape': only(
    'Wind heat-proof tape from the middle to both ends, in the direction the paper overlaps, with no ridge and no gap',
  ),
  'leave-tails': only('Leave a tail at each end to pull by'),
  'tape-ends': (_, c) => ({
    title: isHandled(c.blank)
      ? say`Tape both ends down flat beside the handle, tabs folded, none across the picture`
      : say`Tape both ends down flat, full length, tabs folded, none across the picture`,
  }),
  'tape-seam': only('Tape the seam its full length, a folded tab at one end, and rub the air out of it'),
  'tape-rims': only('Tape both rims, pulling the paper down like shrink film'),
  'pull-over': (o) => ({
    title: say`Pull the ${o.needs.part ?? 'sleeve'} over the whole wrap, no fold, no bubble`,
  }),
  'waste-paper': (_, c) => ({ title: wasteTitle(c) }),
  load: (o, c) => ({
    title: loadTitle(o, c),
    done: 'Loaded',
    caution: isOven(c.press)
      ? 'An oven that decorates never cooks food again.'
      : 'The heater is hot. Gloves.',
  }),
  turn: (o) => ({
    title: o.needs.turnDeg === 180 ? say`Turn half round` : say`Turn ${degrees(o.needs.turnDeg ?? 0)}`,
    done: 'Turned',
    caution: 'The blank is at press heat. Gloves both hands.',
  }),
  'turn-over': (_, c) => ({
    title:
      c.waste.wasteSheets === 0 ? say`Turn it over` : say`Turn it over, ${fresh(c.waste)} under and over`,
    done: 'Turned over',
    caution: 'The piece is at press heat, and what moves now leaves a ghost. Gloves both hands.',
  }),
  'cool-down': (o, c) => ({
    title: say`Wait until the press falls to ${temperature(o, c)}`,
    done: 'At temperature',
    meanwhile: say`Closed too hot, its own timer starts at once and cooks the first side.`,
  }),
  close: (o, c) => ({
    title: isOven(c.press)
      ? say`Shut the oven door`
      : say`Close: ${c.settings.pressure === 'medium' ? 'medium, one hand' : pressureWords(c.settings)}`,
    done: (o.needs.pass ?? 1) > 1 ? 'Turned and closed' : 'Closed',
    caution: isFlatPress(c.press) ? PLATEN : PINCH,
  }),
  'reach-temperature': (o, c) => ({
    title: say`Wait for ${temperature(o, c)}`,
    done: 'At temperature',
    meanwhile: say`The timer starts on reaching temperature, not before.`,
  }),
  press: (o, c) => ({
    title: pressTitle(o, c),
    done: 'Opened',
    meanwhile: say`Hands off. Tape up the next piece.`,
  }),
  peel: (_, c) => ({
    title: isBarrel(c.blank) ? say`${BARREL_PEEL[c.settings.peel]}` : say`${PEEL[c.settings.peel]}`,
    done: 'Peeled',
    caution: HOT[c.blank.material],
  }),
  'set-down': (_, c) => ({ title: setDownTitle(c), done: 'Next piece', caution: FUME }),
  cooling: only('Cooling until safe to touch'),
};

/** The words of one operation: its kind and quantities say all of it. */
export const operationWords = (o: Operation, context: OperationContext): OperationWords => ({
  done: 'Done',
  meanwhile: null,
  caution: null,
  ...WORDS[o.kind](o, context),
});
