import type { HeatSettings } from '../shop/heatSettings';
import { isChamber, type Press } from '../shop/press';
import { operation, type Operation } from '../shop/operation';

/** Usual seconds at the press: our own estimates, until a shop's own pace is known. */
const USUAL_S = {
  load: 15,
  turn: 12,
  settle: 30,
  turnOver: 45,
  coolDown: 40,
  close: 6,
  reach: 60,
  reachOven: 240,
  peel: 20,
  setDown: 6,
};

/** What a simulation knows of the waits, and how many pieces go in together. Times s; null or absent where nothing is known. */
export interface CycleTimes {
  readonly pieces: number;
  /** Which way a flat piece lies; null where there is nothing to say. */
  readonly lies: 'face up' | 'face down' | null;
  /** Closings a face: two where one face is pressed after the other. */
  readonly closings: number;
  readonly touch: { readonly value: number; readonly low: number; readonly high: number };
  /** Until the paper may come off, where the piece is left wrapped; null where it is peeled at once. */
  readonly peelFrom: CycleTimes['touch'] | null;
  /** From each closing until the display is back. */
  readonly reachS: readonly (number | null)[];
  /** Between one opening and the next closing. */
  readonly betweenS: readonly number[];
}

/** More pieces in hand take longer, each less than the first. */
const handS = (oneS: number, pieces: number): number => Math.round(oneS * (1 + 0.4 * (pieces - 1)));

function passOperations(
  s: HeatSettings,
  press: Press,
  index: number,
  times: CycleTimes,
): readonly Operation[] {
  const pass = index + 1;
  const flips = times.closings > 1;
  const turnDeg = flips ? 180 : 360 / s.passes;
  const needs = {
    pass,
    turnedDeg: flips ? 0 : turnDeg * index,
    face: flips ? (index === 0 ? 'front' : 'back') : null,
  } as const;
  const at = { stage: 'press' as const };
  const turn = operation({
    ...at,
    id: `turn-${pass}`,
    kind: flips ? 'turn-over' : 'turn',
    resource: 'hands',
    plannedS: flips ? handS(USUAL_S.turnOver, times.pieces) : USUAL_S.turn,
    needs: { ...needs, turnDeg },
  });
  const coolDown = operation({
    ...at,
    id: `cool-down-${pass}`,
    kind: 'cool-down',
    resource: 'waiting',
    plannedS: Math.max(
      1,
      Math.round((times.betweenS[index - 1] ?? USUAL_S.coolDown + USUAL_S.turn) - USUAL_S.turn),
    ),
    needs: { ...needs, temperatureC: s.coolDownC },
  });
  const close = operation({
    ...at,
    id: `close-${pass}`,
    kind: 'close',
    resource: 'hands',
    plannedS: USUAL_S.close,
    needs,
  });
  const reach = operation({
    ...at,
    id: `reach-temperature-${pass}`,
    kind: 'reach-temperature',
    resource: 'waiting',
    plannedS: Math.round(times.reachS[index] ?? (isChamber(press) ? USUAL_S.reachOven : USUAL_S.reach)),
    needs: { ...needs, temperatureC: s.platenC },
  });
  const dwell = operation({
    ...at,
    id: `press-${pass}`,
    kind: 'press',
    resource: press.kind === 'oven' ? 'oven' : 'press',
    plannedS: index > 0 ? (s.laterDwellS ?? s.dwellS) : s.dwellS,
    timed: true,
    needs: { ...needs, temperatureC: s.platenC },
  });
  // Turned over at once, the first face would shift on its paper.
  const settle = operation({
    ...at,
    id: `settle-${pass}`,
    kind: 'settle',
    resource: 'waiting',
    plannedS: USUAL_S.settle,
    needs: { ...needs, pass: index },
  });
  return [
    ...(index > 0 && flips ? [settle] : []),
    ...(index > 0 ? [turn] : []),
    ...(index > 0 && s.coolDownC !== null ? [coolDown] : []),
    close,
    ...(s.timerStart === 'at-temperature' ? [reach] : []),
    dwell,
  ];
}

/** A wait that takes a cooling place and no hands. */
function afterwards(
  kind: 'peel-from' | 'cooling',
  s: HeatSettings,
  { value, low, high }: CycleTimes['touch'],
): Operation {
  return operation({
    id: kind,
    stage: 'after',
    kind,
    resource: 'cooling place',
    plannedS: Math.round(value),
    spreadS: [Math.round(low), Math.round(high)],
    needs: { pass: s.passes },
  });
}

/** One load at the press, from loading to where it is set down, and its cooling afterwards. */
export function pressCycle(s: HeatSettings, press: Press, times: CycleTimes): readonly Operation[] {
  const { pieces } = times;
  const closings = Math.max(s.passes, times.closings);
  const last = { pass: s.passes };
  const hands = { stage: 'press' as const, resource: 'hands' as const };
  return [
    operation({
      ...hands,
      id: 'load',
      kind: 'load',
      plannedS: handS(USUAL_S.load, pieces),
      needs: { pass: 1, part: times.lies },
      uses: [
        { what: 'blank', count: pieces },
        { what: 'print', count: pieces },
      ],
    }),
    ...Array.from({ length: closings }, (_, i) => passOperations(s, press, i, times)).flat(),
    operation({ ...hands, id: 'peel', kind: 'peel', plannedS: handS(USUAL_S.peel, pieces), needs: last }),
    operation({
      ...hands,
      id: 'set-down',
      kind: 'set-down',
      plannedS: handS(USUAL_S.setDown, pieces),
      needs: last,
    }),
    ...(times.peelFrom ? [afterwards('peel-from', s, times.peelFrom)] : []),
    afterwards('cooling', s, times.touch),
  ];
}
