import { isRound } from '../shop/blank';
import { say } from '../message/message';
import type { WrapPress } from '../shop/press';
import type { PressKindOf } from './kind';
import { CLOSING_PRESS } from './timed';

/** A press whose mats close round straight and tapered cups, turned between passes. */
export const TUMBLER_PRESS: PressKindOf<WrapPress> = {
  ...CLOSING_PRESS,
  heats: 'wrap',
  takes: isRound,
  label: say('shop.tumblerPress'),
  ranges: [
    {
      material: 'ceramic',
      platenC: [185, 205],
      dwellS: [150, 300],
      pressure: 'medium-firm',
      peel: 'hot',
      note: say('heat.pressSagsLoadingAdd'),
    },
    {
      material: 'steel',
      platenC: [175, 205],
      dwellS: [30, 80],
      pressure: 'medium',
      peel: 'hot',
      note: say('heat.vacuumWallHeatsFast'),
    },
    {
      material: 'aluminium',
      platenC: [175, 205],
      dwellS: [50, 80],
      pressure: 'medium',
      peel: 'hot',
      note: say('heat.steelWallOurOwn'),
    },
    {
      material: 'glass',
      platenC: [175, 190],
      dwellS: [120, 200],
      pressure: 'light-medium',
      peel: 'warm',
      note: say('heat.glassCracksNeverQuench'),
    },
  ],
};
