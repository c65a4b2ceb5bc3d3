import type { HeatSettings } from '../../shop/heatSettings';
import type { HeatCase } from './case';

/** What is done to a piece, one stage after another. Times s. */
export type PassStage =
  | {
      readonly kind: 'closed';
      readonly pass: number;
      readonly turnedDeg: number;
      readonly dwellS: number;
      /** The clock starts on reaching temperature. */
      readonly waits: boolean;
    }
  /** Open between two passes, paper still on, until the display has fallen far enough. */
  | { readonly kind: 'open'; readonly handsS: number; readonly coolDownC: number | null }
  /** Laid over with fresh paper: the other face goes to the heater. */
  | { readonly kind: 'flip'; readonly handsS: number };

const TURN_S = 12;
const FLIP_S = 45;

/** Every pass of a piece, as the settings say it. */
export function scheduleOf(c: HeatCase, s: HeatSettings): readonly PassStage[] {
  const closed = (pass: number, turnedDeg: number): PassStage => ({
    kind: 'closed',
    pass,
    turnedDeg,
    dwellS: pass > 1 ? (s.laterDwellS ?? s.dwellS) : s.dwellS,
    waits: s.timerStart === 'at-temperature',
  });
  if (c.faces === 'one then the other') return [closed(1, 0), { kind: 'flip', handsS: FLIP_S }, closed(2, 0)];
  const turn = 360 / s.passes;
  return Array.from({ length: s.passes }, (_, i): readonly PassStage[] => [
    ...(i > 0 ? [{ kind: 'open', handsS: TURN_S, coolDownC: s.coolDownC } as const] : []),
    closed(i + 1, i * turn),
  ]).flat();
}
