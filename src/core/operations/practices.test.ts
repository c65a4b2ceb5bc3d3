import { LIBRARY } from '../library/library';
import { STARTER_PRESSES } from '../demo/things';
import type { HeatSettings } from '../shop/heatSettings';
import { ofStage, plannedS, suppliesOf } from '../shop/operation';
import {
  CLEANING,
  practicesOf,
  practicesSchema,
  RIM_TAPING,
  USUAL_PRACTICES,
  type Practices,
} from '../shop/practices';
import type { Press } from '../shop/press';
import { english } from '@/words/english';
import { pressCycle } from './cycle';
import { PRACTICES } from './practiceCosts';
import { preparations, rimTaping, USUAL_WASTE } from './prepare';
import { endCheck } from './startCheck';
import { ONE_PIECE, TWO_PASSES as SETTINGS } from './testTimes';

const pressOf = (kind: Press['kind']): Press => {
  const press = STARTER_PRESSES.find((p) => p.kind === kind);
  if (!press) throw new Error(kind);
  return press;
};
const steps = (practices: Partial<Practices>, kind: Press['kind'] = 'tumbler', id = 'straight-steel-590') => {
  const blank = LIBRARY.find((b) => b.id === id);
  if (!blank) throw new Error(id);
  return preparations(SETTINGS, blank, pressOf(kind), {
    seamMethod: 'over',
    hold: 'bare tape',
    bothFaces: false,
    wrapped: false,
    waste: USUAL_WASTE,
    practices: { ...USUAL_PRACTICES, ...practices },
    cutAtEdge: false,
    tails: false,
  });
};
const kinds = (...given: Parameters<typeof steps>) => steps(...given).map((o) => o.kind);

test('rims are taped all round, where the paper lifts, or not at all: each takes less time and tape', () => {
  const cost = RIM_TAPING.map((way) => ({
    s: plannedS(ofStage(steps({ rims: way }), 'prepare')),
    strips: suppliesOf(steps({ rims: way })).tape ?? 0,
  }));
  expect(cost[0]?.strips).toBe((cost[2]?.strips ?? 0) + 1);
  expect(cost[1]?.strips).toBe((cost[2]?.strips ?? 0) + 0.5);
  for (const [i, way] of RIM_TAPING.entries())
    expect(cost[i]).toEqual({
      s: (cost[2]?.s ?? 0) + rimTaping(way).handsS,
      strips: (cost[2]?.strips ?? 0) + rimTaping(way).strips,
    });
});

test('cleaning is as chosen, by default as the blank needs it', () => {
  expect(kinds({})).toContain('clean');
  for (const way of CLEANING) {
    expect(kinds({ cleaning: way })).toContain(`clean-${way}`);
    expect(kinds({ cleaning: way })).not.toContain('clean');
  }
});

test('spray tack is a step of its own, with its supply; on a flat face it takes the place of tape', () => {
  for (const [press, blank] of [
    ['tumbler', undefined],
    ['flat', 'panel-400-600'],
  ] as const) {
    const [tape, tack] = [steps({}, press, blank), steps({ fixing: 'tack' }, press, blank)];
    expect(suppliesOf(tape)['spray tack']).toBeUndefined();
    expect(suppliesOf(tack)['spray tack']).toBe(1);
    const added = plannedS(tack) - plannedS(tape);
    // Twenty seconds of spraying; on a flat face the twenty of taping two edges are saved.
    expect(added).toBe(press === 'flat' ? 0 : 20);
  }
  expect(suppliesOf(steps({ fixing: 'tack' }, 'flat', 'panel-400-600')).tape).toBeUndefined();
});

test('a spare blank takes the first heat of a mug press, for its whole time, and of no other press', () => {
  const spare = steps({}, 'mug', 'mug-325').find((o) => o.kind === 'warm-spare');
  expect(spare).toMatchObject({ stage: 'set-up', resource: 'press', timed: true, plannedS: 65 });
  expect(kinds({ firstPiece: 'job' }, 'mug', 'mug-325')).not.toContain('warm-spare');
  for (const kind of ['tumbler', 'oven'] as const) expect(kinds({}, kind)).not.toContain('warm-spare');
});

test('a press that is off is left as the shop leaves it', () => {
  const left = (kind: Press['kind'], off: Practices['pressOff']) =>
    endCheck(pressOf(kind), false, off).map((i) => i.id);
  expect(left('mug', null)).toContain('spare');
  expect(left('flat', null)).toContain('open');
  expect(left('mug', 'open')).toEqual(['off', 'open', 'count', 'cold']);
  expect(left('flat', 'closed')).toEqual(['off', 'closed', 'count', 'cold']);
  expect(left('oven', 'closed')).toEqual(['off', 'count', 'cold']);
});

test('a job’s own working methods count before the shop’s', () => {
  const shop = { ...USUAL_PRACTICES, rims: 'none' as const };
  expect(practicesOf(shop, { cleaning: 'alcohol' })).toEqual({ ...shop, cleaning: 'alcohol' });
  // Back to the usual way of the blank, whatever the shop does.
  expect(practicesOf({ ...shop, cleaning: 'alcohol' }, { cleaning: null }).cleaning).toBeNull();
});

test('every choice that can be stored has a name and says what it costs', () => {
  for (const { key, choices, usual } of PRACTICES) {
    for (const { value, label, cost } of choices) {
      expect(practicesSchema.safeParse({ ...USUAL_PRACTICES, [key]: value }).success).toBe(true);
      expect(english.text(label)).not.toBe('');
      expect(english.text(cost)).toMatch(/\.$/);
    }
    expect(practicesSchema.safeParse({ ...USUAL_PRACTICES, [key]: null }).success).toBe(usual !== null);
  }
  expect(PRACTICES.map((p) => p.key).sort()).toEqual(Object.keys(USUAL_PRACTICES).sort());
});

test('paper left on until it is warm or cold has a wait of its own before it may come off', () => {
  const after = (peel: HeatSettings['peel'], peelFrom: { value: number; low: number; high: number } | null) =>
    ofStage(pressCycle({ ...SETTINGS, peel }, pressOf('tumbler'), { ...ONE_PIECE, peelFrom }), 'after');
  expect(
    after('warm', { value: 80, low: 60, high: 110 }).map((o) => [o.kind, o.plannedS, o.spreadS]),
  ).toEqual([
    ['peel-from', 80, [60, 110]],
    ['cooling', ONE_PIECE.touch.value, [ONE_PIECE.touch.low, ONE_PIECE.touch.high]],
  ]);
  expect(after('hot', null).map((o) => o.kind)).toEqual(['cooling']);
});
