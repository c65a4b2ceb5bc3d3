import { coolingThicknessMm, touchSafe } from '../heat/cooling';
import type { HeatSettings } from '../shop/heatSettings';
import type { Blank } from '../shop/blank';
import { isOven, type Press } from '../shop/press';
import { operation, type Operation } from '../shop/operation';

/** Usual seconds at the press: our own estimates, until a bench's own pace is known. */
const USUAL_S = {
  load: 15,
  turn: 12,
  coolDown: 40,
  close: 6,
  reach: 60,
  reachOven: 240,
  peel: 20,
  setDown: 6,
};

function passOperations(s: HeatSettings, press: Press, index: number): readonly Operation[] {
  const pass = index + 1;
  const turnDeg = 360 / s.passes;
  const needs = { pass, turnedDeg: turnDeg * index };
  const at = { stage: 'press' as const };
  const turn = operation({
    ...at,
    id: `turn-${pass}`,
    kind: 'turn',
    resource: 'hands',
    plannedS: USUAL_S.turn,
    needs: { ...needs, turnDeg },
  });
  const coolDown = operation({
    ...at,
    id: `cool-down-${pass}`,
    kind: 'cool-down',
    resource: 'waiting',
    plannedS: USUAL_S.coolDown,
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
    plannedS: isOven(press) ? USUAL_S.reachOven : USUAL_S.reach,
    needs: { ...needs, temperatureC: s.platenC },
  });
  const dwell = operation({
    ...at,
    id: `press-${pass}`,
    kind: 'press',
    resource: isOven(press) ? 'oven' : 'press',
    plannedS: s.dwellS,
    timed: true,
    needs: { ...needs, temperatureC: s.platenC },
  });
  return [
    ...(index > 0 ? [turn] : []),
    ...(index > 0 && s.coolDownC !== null ? [coolDown] : []),
    close,
    ...(s.timerStart === 'at-temperature' ? [reach] : []),
    dwell,
  ];
}

/** Until it can be touched: it takes a cooling place and no hands. */
function cooling(s: HeatSettings, blank: Blank): Operation {
  const { value, low, high } = touchSafe(blank.material, coolingThicknessMm(blank), s.platenC);
  return operation({
    id: 'cooling',
    stage: 'after',
    kind: 'cooling',
    resource: 'cooling place',
    plannedS: Math.round(value),
    spreadS: [Math.round(low), Math.round(high)],
    needs: { pass: s.passes },
  });
}

/** One piece at the press, from loading to where it is set down, and its cooling afterwards. */
export function pressCycle(s: HeatSettings, blank: Blank, press: Press): readonly Operation[] {
  const last = { pass: s.passes };
  const hands = { stage: 'press' as const, resource: 'hands' as const };
  return [
    operation({
      ...hands,
      id: 'load',
      kind: 'load',
      plannedS: USUAL_S.load,
      needs: { pass: 1 },
      uses: [
        { what: 'blank', count: 1 },
        { what: 'print', count: 1 },
      ],
    }),
    ...Array.from({ length: s.passes }, (_, i) => passOperations(s, press, i)).flat(),
    operation({ ...hands, id: 'peel', kind: 'peel', plannedS: USUAL_S.peel, needs: last }),
    operation({ ...hands, id: 'set-down', kind: 'set-down', plannedS: USUAL_S.setDown, needs: last }),
    cooling(s, blank),
  ];
}
