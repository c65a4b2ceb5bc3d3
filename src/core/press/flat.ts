import { say } from '../message/message';
import { isFlat } from '../shop/blank';
import type { FlatPress } from '../shop/press';
import type { PressKindOf } from './kind';
import { CLOSING_PRESS } from './timed';

/** One heated platen closing on a bed. */
export const FLAT_PRESS: PressKindOf<FlatPress> = {
  ...CLOSING_PRESS,
  label: say('shop.flatPress'),
  heats: 'flat',
  padMm: (p) => p.padMm,
  words: { ...CLOSING_PRESS.words, closeCaution: say('press.cautionPlaten') },
  takes: isFlat,
  suits: isFlat,
  refuses: say('heat.pressesFlatOnly'),
  ranges: [
    {
      material: 'steel',
      platenC: [190, 205],
      dwellS: [60, 120],
      pressure: 'medium-firm',
      peel: 'hot',
      note: say('heat.hotSteelStainsBench'),
    },
    {
      material: 'aluminium',
      platenC: [195, 205],
      dwellS: [30, 95],
      pressure: 'medium',
      peel: 'hot',
      note: say('heat.evenPressureDecides30'),
    },
    {
      material: 'hardboard',
      wallMm: [0, 7],
      platenC: [190, 205],
      dwellS: [55, 90],
      pressure: 'medium',
      peel: 'warm',
      note: say('heat.gasMoisturePrePress'),
    },
    {
      material: 'hardboard',
      wallMm: [7, 12],
      platenC: [190, 205],
      dwellS: [55, 130],
      pressure: 'medium',
      peel: 'warm',
      note: say('heat.betweenPanelPlaqueGas'),
    },
    {
      material: 'hardboard',
      wallMm: [12, 60],
      platenC: [195, 205],
      dwellS: [75, 130],
      pressure: 'medium',
      peel: 'warm',
      note: say('heat.plaqueDepthOpeningDecides'),
    },
    {
      material: 'FRP',
      platenC: [190, 205],
      dwellS: [55, 80],
      pressure: 'medium-firm',
      peel: 'warm',
      note: say('heat.timeFaceCoolFlat'),
    },
    {
      material: 'acrylic',
      platenC: [180, 205],
      dwellS: [50, 100],
      pressure: 'light-medium',
      peel: 'cold',
      note: say('heat.softWhenLeavesPress'),
    },
    {
      material: 'slate',
      platenC: [180, 205],
      dwellS: [300, 540],
      pressure: 'light-medium',
      peel: 'cold',
      note: say('heat.slowHeatSlowCool'),
    },
    {
      material: 'ceramic',
      platenC: [195, 205],
      dwellS: [300, 480],
      pressure: 'firm',
      peel: 'warm',
      note: say('heat.tilesFaceDownPaper'),
    },
  ],
};
