import { MAT_RANGES } from './matRanges';
import { isHandled, isRound } from '../shop/blank';
import { say } from '../message/message';
import type { WrapPress } from '../shop/press';
import type { PressKindOf } from './kind';
import { CLOSING_PRESS } from './timed';

/** A press whose mat closes round a mug, its handle in the opening. */
export const MUG_PRESS: PressKindOf<WrapPress> = {
  ...CLOSING_PRESS,
  heats: 'wrap',
  takes: isRound,
  suits: isHandled,
  refuses: say('heat.pressesRoundOnly'),
  label: say('shop.mugPress'),
  ranges: MAT_RANGES,
};
