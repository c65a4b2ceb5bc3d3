import { say } from '../message/message';
import type { PressTimer } from '../shop/press';
import type { PressKindOf } from './kind';

/** What presses that close on a piece share: their own timer or a hand's, a temperature they may rest at, waste paper, a lever or a latch. */
interface Timed {
  readonly timer: PressTimer;
  readonly restingC: number | null;
}

export const CLOSING_PRESS: Omit<
  PressKindOf<Timed>,
  'label' | 'heats' | 'takes' | 'suits' | 'refuses' | 'ranges'
> = {
  timerStart: (p) => (p.timer === 'own-at-temperature' ? 'at-temperature' : 'from-closing'),
  timesItself: (p) => p.timer !== 'by-hand',
  restingC: (p) => p.restingC,
  usualWasteSheets: 1,
  padMm: () => 0,
  overWrap: () => 'as the shop holds',
  holds: () => null,
  words: {
    shut: null,
    off: say('press.pressOff'),
    check: null,
    loadCaution: say('press.heaterHotGloves'),
    closeCaution: say('press.cautionPinch'),
  },
};
