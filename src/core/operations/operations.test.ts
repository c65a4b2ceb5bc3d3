import { USUAL_PRACTICES } from '../shop/practices';
import fc from 'fast-check';
import { LIBRARY } from '../library/library';
import { STARTER_PRESSES } from '../demo/things';
import type { HeatSettings } from '../shop/heatSettings';
import { pressCycle } from './cycle';
import {
  ofStage,
  operation,
  operationSchema,
  plannedS,
  RESOURCES,
  spreadS,
  suppliesOf,
} from '../shop/operation';
import { preparations, USUAL_WASTE, type Waste } from './prepare';
import { ONE_PIECE, TWO_PASSES as BASE } from './testTimes';

const PRESS = STARTER_PRESSES.find((p) => p.kind === 'tumbler');
if (!PRESS) throw new Error('nothing to press');
const cycle = (s: Partial<HeatSettings> = {}) =>
  ofStage(pressCycle({ ...BASE, ...s }, PRESS, ONE_PIECE), 'press');
const ids = (s: Partial<HeatSettings>) => cycle(s).map((o) => o.id);

test('two passes: load, close, press, turn, cool down, close, press, peel, set down', () => {
  expect(ids({})).toEqual([
    'load',
    'close-1',
    'press-1',
    'turn-2',
    'cool-down-2',
    'close-2',
    'press-2',
    'peel',
    'set-down',
  ]);
});

test('a timer that starts at temperature waits for it first; no cool-down target, no cooling down', () => {
  expect(ids({ timerStart: 'at-temperature', passes: 1, coolDownC: null })).toEqual([
    'load',
    'close-1',
    'reach-temperature-1',
    'press-1',
    'peel',
    'set-down',
  ]);
  expect(ids({ coolDownC: null })).not.toContain('cool-down-2');
});

test('the press’s clock ends its dwell and nothing else; each pass at its temperature', () => {
  const timed = cycle().filter((o) => o.timed);
  expect(timed.map((o) => [o.id, o.plannedS, o.spreadS, o.needs.temperatureC])).toEqual([
    ['press-1', 65, [65, 65], 188],
    ['press-2', 65, [65, 65], 188],
  ]);
  expect(cycle().find((o) => o.kind === 'cool-down')?.needs.temperatureC).toBe(170);
});

test('turns share the circle, and add up to where the blank lies', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), (passes) => {
      let turnedDeg = 0;
      for (const o of cycle({ passes, timerStart: 'at-temperature' })) {
        turnedDeg += o.needs.turnDeg ?? 0;
        if (o.kind === 'press') expect(o.needs.turnedDeg).toBeCloseTo(turnedDeg, 9);
        if (o.kind === 'turn') expect(o.needs.turnDeg).toBeCloseTo(360 / passes, 9);
      }
      expect(turnedDeg).toBeCloseTo(360 - 360 / passes, 9);
    }),
  );
});

test('every list for every blank on every press is whole: ids once, right by the schema, one blank and one print used', () => {
  for (const blank of LIBRARY)
    for (const press of STARTER_PRESSES)
      for (const [hold, bothFaces] of [
        ['bare tape', false],
        ['sleeve', true],
      ] as const) {
        const all = [
          ...preparations(BASE, blank, press, {
            seamMethod: 'under',
            hold,
            bothFaces,
            wrapped: !bothFaces,
            waste: USUAL_WASTE,
            practices: USUAL_PRACTICES,
            cutAtEdge: bothFaces,
            tails: bothFaces,
          }),
          ...pressCycle(BASE, press, ONE_PIECE),
        ];
        expect(new Set(all.map((o) => o.id)).size).toBe(all.length);
        for (const o of all) expect(operationSchema.safeParse(o).success).toBe(true);
        expect(suppliesOf(all)).toMatchObject({ blank: 1, print: 1 });
        for (const o of all) expect(o.plannedS).toBeGreaterThan(0);
      }
});

test('waste paper: a sheet round a wrap, one under and one over a flat piece, none in an oven', () => {
  const paper = {
    seamMethod: 'over',
    hold: 'bare tape',
    bothFaces: false,
    wrapped: false,
    practices: USUAL_PRACTICES,
    cutAtEdge: false,
    tails: false,
  } as const;
  const used = (id: string, kind: string, waste: Waste = USUAL_WASTE) => {
    const blank = LIBRARY.find((b) => b.id === id);
    const press = STARTER_PRESSES.find((p) => p.kind === kind);
    if (!blank || !press) throw new Error(id);
    return suppliesOf(preparations(BASE, blank, press, { ...paper, waste }));
  };
  expect(used('straight-steel-590', 'tumbler')['waste paper']).toBe(1);
  expect(used('slate-heart', 'flat')['waste paper']).toBe(2);
  expect(used('straight-steel-590', 'oven')['waste paper']).toBeUndefined();
  // As it is set: two over and one under, none at all, and silicone that is not used up.
  const of = (wasteSheets: number, wasteKind: Waste['wasteKind']) => [
    used('straight-steel-590', 'tumbler', { wasteSheets, wasteKind })['waste paper'],
    used('slate-heart', 'flat', { wasteSheets, wasteKind })['waste paper'],
  ];
  expect(of(2, 'parchment')).toEqual([2, 3]);
  expect(of(0, 'plain')).toEqual([undefined, undefined]);
  expect(of(1, 'silicone')).toEqual([undefined, undefined]);
});

test('times add up by resource; the least and most of a list are those of its operations', () => {
  const all = cycle();
  expect(plannedS(all)).toBeCloseTo(
    RESOURCES.reduce((s, r) => s + plannedS(all, r), 0),
    9,
  );
  expect(plannedS(all, 'press')).toBe(130);
  // Hands: load 15, close 6 twice, turn 12, peel 20, set down 6.
  expect(plannedS(all, 'hands')).toBe(65);
  const [least, most] = spreadS(all);
  expect(least).toBeCloseTo(130 + 0.8 * (plannedS(all) - 130), 9);
  expect(most).toBeCloseTo(130 + 1.4 * (plannedS(all) - 130), 9);
});

test('cooling takes a cooling place and no hands, for as long as it was simulated', () => {
  const cooling = pressCycle(BASE, PRESS, ONE_PIECE).find((o) => o.kind === 'cooling');
  expect(cooling).toMatchObject({
    resource: 'cooling place',
    stage: 'after',
    plannedS: 600,
    spreadS: [480, 780],
  });
});

test('waits are those of the simulation where there is one, and usual ones where there is none', () => {
  const s = { ...BASE, timerStart: 'at-temperature' as const, laterDwellS: 40 };
  const of = (times: Partial<typeof ONE_PIECE>) =>
    Object.fromEntries(pressCycle(s, PRESS, { ...ONE_PIECE, ...times }).map((o) => [o.id, o.plannedS]));
  expect(of({ reachS: [91.4, null], betweenS: [52.2] })).toMatchObject({
    'reach-temperature-1': 91,
    'reach-temperature-2': 60,
    // 52 s between opening and closing, 12 of them turning.
    'cool-down-2': 40,
    'press-1': 65,
    'press-2': 40,
  });
});

test('a load of eight is one closing: eight blanks and prints, and more hands than one piece but less than eight times', () => {
  const one = pressCycle(BASE, PRESS, ONE_PIECE);
  const eight = pressCycle(BASE, PRESS, { ...ONE_PIECE, pieces: 8 });
  expect(suppliesOf(eight)).toMatchObject({ blank: 8, print: 8 });
  expect(plannedS(eight, 'press')).toBe(plannedS(one, 'press'));
  expect(plannedS(eight, 'hands')).toBeGreaterThan(2 * plannedS(one, 'hands'));
  expect(plannedS(eight, 'hands')).toBeLessThan(8 * plannedS(one, 'hands'));
});

test('one face then the other: closed twice, turned over between, each closing saying its face', () => {
  const faces = pressCycle({ ...BASE, passes: 1, coolDownC: null }, PRESS, { ...ONE_PIECE, closings: 2 });
  expect(faces.map((o) => o.kind)).toEqual(
    'load close press settle turn-over close press peel set-down cooling'.split(' '),
  );
  expect(faces.filter((o) => o.kind === 'press').map((o) => o.needs.face)).toEqual(['front', 'back']);
});

test('the thickest, slowest blank there can be still makes operations that can be stored', () => {
  const slow = { value: 40_000, low: 30_000, high: 60_000 };
  for (const o of pressCycle({ ...BASE, platenC: 260, dwellS: 7200, passes: 6 }, PRESS, {
    ...ONE_PIECE,
    touch: slow,
  }))
    expect(operationSchema.safeParse(o).success).toBe(true);
});

test('what an operation does not say is left open', () => {
  const o = operation({ id: 'x', stage: 'press', kind: 'close', resource: 'hands', plannedS: 10 });
  expect(o).toMatchObject({ timed: false, uses: [], spreadS: [8, 14] });
  expect(o.needs).toEqual({
    temperatureC: null,
    pass: null,
    turnDeg: null,
    turnedDeg: 0,
    face: null,
    part: null,
  });
});
