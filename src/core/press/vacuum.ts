import { isBarrel } from '../shop/blank';
import { say } from '../message/message';
import type { VacuumPress } from '../shop/press';
import type { ChamberKindOf } from './kind';

/**
 * A heated chamber in which a membrane is drawn down over several pieces at once. Its ranges follow
 * from the heat model and the doses coatings bear in an oven: estimates of our own, wide, and to be tested.
 */
export const VACUUM_PRESS: ChamberKindOf<VacuumPress> = {
  label: say('shop.vacuumPress'),
  heats: 'oven',
  // A wound barrel needs no membrane, and one over its open ends would be drawn in.
  takes: (blank) => !isBarrel(blank),
  suits: () => false,
  refuses: say('heat.pressesNoBarrels'),
  timerStart: (p) => (p.timer === 'own-at-temperature' ? 'at-temperature' : 'from-closing'),
  timesItself: (p) => p.timer !== 'by-hand',
  restingC: () => null,
  usualWasteSheets: 0,
  padMm: (p) => p.membraneMm,
  overWrap: () => 'nothing',
  holds: () => 'membrane',
  words: {
    shut: say('press.closeLidDrawVacuum'),
    off: say('press.vacuumPressOffLidOpen'),
    check: say('press.membraneCleanWhole'),
    loadCaution: say('press.chamberHotGloves'),
    closeCaution: say('press.chamberHotGloves'),
  },
  chamber: {
    load: (_, pieces) => say('press.onTray', { pieces }),
    heatUp: (temperature) => say('press.heatChamberLidClosed', { temperature }),
    spacing: (gap) => say('heat.membraneReachesBetween', { gap }),
    tooTall: (of) => say('heat.chamberTooLow', of),
  },
  ranges: [
    {
      material: 'ceramic',
      platenC: [185, 200],
      dwellS: [960, 1260],
      pressure: 'membrane',
      peel: 'hot',
      note: say('heat.membranePressesAllSides'),
    },
    {
      material: 'steel',
      platenC: [180, 195],
      dwellS: [540, 960],
      pressure: 'membrane',
      peel: 'hot',
      note: say('heat.membranePressesAllSides'),
    },
    {
      material: 'glass',
      platenC: [175, 190],
      dwellS: [960, 1200],
      pressure: 'membrane',
      peel: 'warm',
      note: say('heat.glassCracksNeverQuench'),
    },
    {
      material: 'aluminium',
      platenC: [185, 200],
      dwellS: [540, 780],
      pressure: 'membrane',
      peel: 'hot',
      note: say('heat.membranePressesAllSides'),
    },
    {
      material: 'FRP',
      platenC: [185, 195],
      dwellS: [480, 840],
      pressure: 'membrane',
      peel: 'cold',
      note: say('heat.membraneSoftPieces'),
    },
    {
      material: 'polymer',
      platenC: [170, 180],
      dwellS: [540, 960],
      pressure: 'membrane',
      peel: 'cold',
      note: say('heat.membraneSoftPieces'),
    },
    {
      material: 'slate',
      platenC: [190, 200],
      dwellS: [840, 1200],
      pressure: 'membrane',
      peel: 'warm',
      note: say('heat.membranePressesAllSides'),
    },
  ],
};
