import type { HeatSettings } from '../shop/heatSettings';
import type { CycleTimes } from './cycle';

/** One piece, closed once a pass, cool to touch after ten minutes. For tests. */
export const ONE_PIECE: CycleTimes = {
  pieces: 1,
  lies: null,
  closings: 1,
  peelFrom: null,
  touch: { value: 600, low: 480, high: 780 },
  reachS: [],
  betweenS: [],
};

/** Two passes of a tumbler, half a turn between. */
export const TWO_PASSES: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  laterDwellS: null,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};
