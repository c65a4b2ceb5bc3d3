import { say } from '../message/message';
import type { KindRange } from './kind';

/** Ranges in common use under any mat that closes round a piece. */
export const MAT_RANGES: readonly KindRange[] = [
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
    material: 'glass',
    platenC: [175, 190],
    dwellS: [120, 200],
    pressure: 'light-medium',
    peel: 'warm',
    note: say('heat.glassCracksNeverQuench'),
  },
];
