import { MAT_RANGES } from './matRanges';
import { isBarrel, isHandled, isRound } from '../shop/blank';
import { say } from '../message/message';
import type { WrapPress } from '../shop/press';
import type { PressKindOf } from './kind';
import { CLOSING_PRESS } from './timed';

/** A press whose mats close round straight and tapered cups, turned between passes. */
export const TUMBLER_PRESS: PressKindOf<WrapPress> = {
  ...CLOSING_PRESS,
  heats: 'wrap',
  takes: isRound,
  suits: (blank) => isRound(blank) && !isHandled(blank) && !isBarrel(blank),
  refuses: say('heat.pressesRoundOnly'),
  label: say('shop.tumblerPress'),
  ranges: [
    ...MAT_RANGES,
    {
      material: 'aluminium',
      platenC: [175, 205],
      dwellS: [50, 80],
      pressure: 'medium',
      peel: 'hot',
      note: say('heat.steelWallOurOwn'),
    },
  ],
};
