import { say } from '../message/message';
import { isBarrel, isRound } from '../shop/blank';
import type { Oven } from '../shop/press';
import type { ChamberKindOf } from './kind';

const HELD = { sleeve: 'sleeve', 'shrink film': 'film', 'wound tape': 'tape' } as const;

/** Heats all round in one pass; a sleeve, shrink film or wound tape holds the paper. */
export const OVEN: ChamberKindOf<Oven> = {
  label: say('shop.oven'),
  heats: 'oven',
  takes: () => true,
  suits: isBarrel,
  refuses: null,
  timerStart: () => 'at-temperature',
  timesItself: () => false,
  restingC: () => null,
  usualWasteSheets: 0,
  padMm: () => 0,
  overWrap: (p, pressure) => (pressure === 'tape' ? 'wound tape' : p.hold),
  // A barrel is wound, whatever the oven is used for otherwise.
  holds: (p, blank) => (isRound(blank) && !isBarrel(blank) ? HELD[p.hold] : null),
  words: {
    shut: say('press.shutOvenDoor'),
    off: say('press.ovenOffDoorAjar'),
    check: say('press.rackWhileHeatsNever'),
    loadCaution: say('press.ovenDecoratesNeverCooks'),
    closeCaution: say('press.cautionPinch'),
  },
  chamber: {
    load: (blank, pieces) =>
      isBarrel(blank)
        ? say('press.barrelOnRack', { pieces })
        : isRound(blank)
          ? say('press.uprightIntoOven', { pieces })
          : say('press.flatOnRack', { pieces }),
    heatUp: (temperature) => say('press.heatOvenRack', { temperature }),
    spacing: (airGap) => say('heat.clearAirAllRound', { airGap }),
    tooTall: ({ inside, tall }) => say('heat.ovenInsideWrapAlone', { insideHeight: inside, tall }),
  },
  ranges: [
    {
      material: 'ceramic',
      platenC: [190, 205],
      dwellS: [600, 960],
      pressure: 'sleeve',
      peel: 'hot',
      note: say('heat.turnOnceHalfWay'),
    },
    {
      material: 'steel',
      platenC: [180, 200],
      dwellS: [300, 480],
      pressure: 'film',
      peel: 'hot',
      note: say('heat.wholeWrapOneGo'),
    },
    {
      material: 'aluminium',
      platenC: [185, 195],
      dwellS: [300, 420],
      pressure: 'tape',
      peel: 'hot',
      note: say('heat.paperWoundTightTape'),
    },
    {
      material: 'polymer',
      platenC: [185, 195],
      dwellS: [300, 420],
      pressure: 'tape',
      peel: 'cold',
      note: say('heat.softensHoldShapeUntil'),
    },
  ],
};
