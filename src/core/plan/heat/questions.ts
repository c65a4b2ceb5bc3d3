import { PRESSURE_WORDS } from '../../heat/settings/labels';
import type { HeatAnswer, HeatCache } from '../../heat/answer';
import type { HeatCase } from '../../heat/model/case';
import { COOLING_PLACES, type CoolingPlace } from '../../heat/cooling/cooling';
import { heatKey, lastKey, type HeatKey, type HeatQuestion } from '../../heat/question';
import { type HeatSubject } from '../../heat/model/subject';
import type { StartingRange } from '../../heat/settings/starting';
import { nextPressures, STEP_C } from '../../heat/settings/variants';
import type { GridKind, WindowRange } from '../../heat/settings/window';
import type { HeatSettings, Pressure } from '../../shop/heatSettings';
import { say, type Message } from '../../message/message';
import { celsius } from '../../message/quantity';

/** What a plan asks of the model: the answers it has, and those it still waits for. */
export interface HeatAnswers {
  readonly get: <K extends HeatAnswer['kind']>(
    q: Extract<HeatQuestion, { kind: K }>,
  ) => Extract<HeatAnswer, { kind: K }> | null;
  /** The last answer to a question like it, until its own is there. */
  readonly like: HeatAnswers['get'];
  readonly wanted: readonly HeatQuestion[];
}

/** Reads answers from the cache and notes what is not in it. */
export function answersIn(cache: HeatCache): HeatAnswers {
  const wanted: HeatQuestion[] = [];
  const read = <K extends HeatAnswer['kind']>(key: HeatKey, kind: K) => {
    const found = cache[key];
    return found?.kind === kind ? (found as Extract<HeatAnswer, { kind: K }>) : null;
  };
  return {
    wanted,
    like: (q) => read(lastKey(q), q.kind),
    get: <K extends HeatAnswer['kind']>(q: Extract<HeatQuestion, { kind: K }>) => {
      const found = read<K>(heatKey(q), q.kind);
      if (!found) wanted.push(q);
      return found;
    },
  };
}

/** Where a piece may be set down to cool. */
export const placesFor = (load: HeatCase): readonly CoolingPlace[] => (load.round ? ['air'] : COOLING_PLACES);

const HOTTEST_C = 215;

/** The temperatures and times a window is drawn over: the usual range and room about it, and always what is set. */
export function rangeFor(range: StartingRange | null, base: HeatSettings, s: HeatSettings): WindowRange {
  const [cLo, cHi] = range?.platenC ?? [s.platenC - 12, s.platenC + 12];
  const [tLo, tHi] = range?.dwellS ?? [s.dwellS / 2, s.dwellS * 1.6];
  // Even steps keep the window standing still while a setting is dragged inside it.
  const lowC = Math.min(cLo - 12, Math.floor((s.platenC - 4) / 10) * 10);
  const highC = Math.max(Math.min(HOTTEST_C, cHi + 8), Math.ceil((s.platenC + 4) / 10) * 10);
  const longest = Math.max(tHi * 1.35, base.dwellS * 2, s.dwellS * 1.1);
  return {
    platenC: [lowC, highC],
    dwellS: [Math.max(2, Math.min(tLo * 0.25, base.dwellS * 0.2)), Math.ceil(longest / 20) * 20],
  };
}

/** Temperature and time do not name a window: it holds them all. */
export const windowQuestion = (
  subject: HeatSubject,
  s: HeatSettings,
  range: WindowRange,
  grid: GridKind,
): Extract<HeatQuestion, { kind: 'window' }> => ({
  kind: 'window',
  subject,
  settings: { ...s, platenC: 200, dwellS: 60 },
  range,
  grid,
});

/** The words of each change the model is asked to try. */
export function whatIfWords(id: string, load: HeatCase, s: HeatSettings): Message | null {
  const { lighter, firmer } = nextPressures(s.pressure);
  const pressure = (p: Pressure | null): Message | null =>
    p ? say('heat.pressure', { pressureWords: PRESSURE_WORDS[p] }) : null;
  switch (id) {
    case 'sheet':
      return say('heat.oneMoreWasteSheet');
    case 'cooler':
      return say('common.amount', { amount: celsius(s.platenC - STEP_C) });
    case 'hotter':
      return say('common.amount', { amount: celsius(s.platenC + STEP_C) });
    case 'lighter':
      return pressure(lighter);
    case 'firmer':
      return pressure(firmer);
    case 'piece':
      return say('heat.oneMorePiece');
    case 'alone':
      return say('heat.oneAlone2');
    case 'turned':
      return load.heatedFrom === 'paper' ? say('heat.faceDownHeatedThrough') : say('heat.faceUpUnderPaper');
    default:
      return null;
  }
}
