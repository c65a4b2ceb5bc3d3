import type { Waste } from './prepare';
import { WASTE_NAMES } from './words';
import type { HeatSettings } from '../shop/heatSettings';
import { isHandled, type Blank } from '../shop/blank';
import { isFlatPress, isOven, type Press } from '../shop/press';
import { say, type Phrase } from '../units/phrase';

/** A look round before the first piece and after the last. Ids tell what was shown; what is said may change. */
export interface CheckItem {
  readonly id: string;
  readonly text: Phrase;
  /** It can hurt someone. */
  readonly caution: boolean;
}

const item = (id: string, text: Phrase, caution = false): CheckItem => ({ id, text, caution });

/** How the right pressure feels, by the hand: the lever of a flat press, the latch of a wrap press; what holds the paper in an oven. */
const FEEL: Readonly<Record<HeatSettings['pressure'], string>> = {
  light: 'light, two fingers close it',
  'light-medium': 'light to medium, one hand closes it easily',
  medium: 'medium, one hand closes it with some force near the end',
  'medium-firm': 'medium to firm, one hand closes it, leaning on it',
  firm: 'firm; two hands are seldom right',
  sleeve: 'the sleeve tight all over, no fold, no bubble',
  film: 'the film shrunk tight all over, no bubble',
  tape: 'the tape wound tight from the middle to both ends',
};

function pressureItem(press: Press, s: HeatSettings): CheckItem {
  if (isOven(press)) return item('pressure', say`What holds the paper: ${FEEL[s.pressure]}`);
  return item(
    'pressure',
    isFlatPress(press)
      ? say`Pressure set cold, with the blank and its paper in: ${FEEL[s.pressure]}`
      : say`Pressure set cold, with the blank in: ${FEEL[s.pressure]}, and the blank does not turn by hand`,
  );
}

/** Where hot pieces go: what is right for one material cracks or bends another. */
const HOT_PLACE: Readonly<Record<Blank['material'], string>> = {
  steel: 'a heat mat, standing, room all round',
  glass: 'dry felt, out of the draught: cold or wet cracks it',
  ceramic: 'a heat mat, standing, out of the draught',
  aluminium: 'a heat mat or a metal plate, flat',
  hardboard: 'a flat bench, and a weight to lay on it',
  FRP: 'a flat bench, and a weight to lay on it',
  acrylic: 'a flat bench, and a weight to lay on it',
  slate: 'dry felt, never water',
  polymer: 'a former or a flat bench until it is cold',
};

export interface CheckContext {
  readonly settings: HeatSettings;
  readonly blank: Blank;
  readonly press: Press;
  readonly waste: Waste;
  /** Other presses that are on. */
  readonly others: number;
}

/** Before the first piece, by press and material. */
export function startCheck({ settings, blank, press, waste, others }: CheckContext): readonly CheckItem[] {
  return [
    pressureItem(press, settings),
    ...(isOven(press)
      ? [item('rack', say`The rack in while it heats; it never cooks food again`)]
      : [
          item(
            'waste',
            waste.wasteSheets === 0
              ? say`Heater wiped clean: no waste paper is used`
              : waste.wasteKind === 'silicone'
                ? say`Silicone sheet at hand, wiped clean on both sides`
                : say`Fresh ${WASTE_NAMES[waste.wasteKind]} cut and at hand, one use only`,
          ),
        ]),
    ...(isHandled(blank) && !isOven(press)
      ? [item('handle', say`The handle stands clear in the opening of the heater`)]
      : []),
    item('fan', say`Fan on, window open: the fume is not for breathing`, true),
    item(
      'socket',
      others > 0
        ? say`Each press on its own rated socket: ${String(others)} more on now; two on one circuit can trip it. Local code and a licensed electrician decide`
        : say`Its own rated socket, no thin extension lead. Local code and a licensed electrician decide`,
      true,
    ),
    item('gloves', say`Gloves for both hands; a piece stays hot for minutes after`, true),
    item('hot-place', say`Where hot pieces go: ${HOT_PLACE[blank.material]}`, true),
    item('burns', say`Alcohol and spray tack well away from the heat: they burn`, true),
    item('maker', say`The maker’s own sheet comes before any figure here`),
  ];
}

/** After the last piece of a run. `othersWait` where another job goes on with the same press. */
export function endCheck(press: Press, othersWait: boolean): readonly CheckItem[] {
  const spare = press.kind === 'mug';
  const off = isOven(press)
    ? say`Oven off, door ajar`
    : spare
      ? say`Press off`
      : say`Press off, left open to cool`;
  return [
    ...(othersWait ? [] : [item('off', off, true)]),
    ...(spare && !othersWait
      ? [item('spare', say`A spare blank left in the press while it cools: the heater keeps its shape`)]
      : []),
    item('count', say`Count the pieces: good, spoiled, blanks left`),
    item('cold', say`Box only what is cold`),
  ];
}
