import fc from 'fast-check';
import { demoShop } from '../demo/demoShop';
import type { HeatSettings } from '../heat/settings';
import type { Run, RunEvent } from '../shop/records';
import { clockOf, cooling, foldRun, pieceS, remainingS } from './run';
import { stepsForPiece } from './steps';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));
const must = <T>(x: T | undefined): T => {
  if (x === undefined) throw new Error('missing in demo');
  return x;
};
const BLANK = must(shop.blanks.find((b) => b.id === 'straight-steel-590'));
const PRESS = must(shop.presses.find((p) => p.id === 'tumbler-press-a'));
const OVEN = must(shop.presses.find((p) => p.kind === 'oven'));
const S: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  passes: 2,
  clock: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  fallBackC: 170,
};
const STEPS = stepsForPiece(S, BLANK, PRESS);
const T0 = 1_790_000_000_000;
const run = (events: readonly RunEvent[], pieces = 3): Run => ({
  id: 'r',
  jobId: 'j',
  blank: BLANK,
  press: PRESS,
  startedAt: T0,
  pieces,
  settings: S,
  events: [...events],
});
const next = (s: number): RunEvent => ({ kind: 'next', at: T0 + s * 1000 });

test('a two-pass piece: load, close, press, turn, fall back, close, press, peel, cool', () => {
  expect(STEPS.map((s) => s.id)).toEqual([
    'load',
    'close-0',
    'dwell-0',
    'turn-1',
    'fall-1',
    'close-1',
    'dwell-1',
    'peel',
    'cool',
  ]);
  expect(STEPS.filter((s) => s.durationS !== null).map((s) => s.durationS)).toEqual([65, 65]);
  expect(STEPS.filter((s) => s.turnedDeg === 180).length).toBeGreaterThan(3);
});

test('the clock school puts the wait where it belongs', () => {
  const ids = stepsForPiece({ ...S, clock: 'at-temperature', passes: 1, fallBackC: null }, BLANK, PRESS).map(
    (s) => s.id,
  );
  expect(ids).toEqual(['load', 'close-0', 'reach-0', 'dwell-0', 'peel', 'cool']);
});

test('cautions stand at the steps where the hand is', () => {
  expect(must(STEPS.find((s) => s.id === 'turn-1')).caution).toMatch(/gloves/i);
  expect(must(STEPS.find((s) => s.id === 'peel')).caution).toMatch(/heat mat/);
  expect(must(stepsForPiece(S, BLANK, OVEN)[0]).caution).toMatch(/never cooks food/);
  expect(
    stepsForPiece(S, { ...BLANK, material: 'glass' }, PRESS)
      .map((s) => s.caution)
      .join(),
  ).toMatch(/glass cracks/i);
});

test('a run folds to where it stands, and every piece is counted once', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom<RunEvent['kind']>('next', 'next', 'next', 'next', 'spoiled', 'back'), {
        maxLength: 120,
      }),
      (kinds) => {
        const events = kinds.map((kind, i): RunEvent => ({ kind, at: T0 + i * 1000 }));
        const state = foldRun(run(events), STEPS);
        expect(state.good + state.spoiled).toBe(state.piece);
        expect(state.setDownAt).toHaveLength(state.good);
        expect(state.piece).toBeLessThanOrEqual(3);
        expect(state.ended).toBe(state.piece >= 3 ? 'finished' : 'no');
      },
    ),
  );
});

test('back undoes exactly the last step', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20 }), (n) => {
      const events = Array.from({ length: n }, (_, i) => next(i));
      const before = foldRun(run(events), STEPS);
      const there = foldRun(run([...events, next(50), { kind: 'back', at: T0 + 51_000 }]), STEPS);
      expect(there).toEqual(before);
    }),
  );
  expect(foldRun(run([{ kind: 'back', at: T0 }]), STEPS).stepIndex).toBe(0);
});

test('nothing moves after a stop', () => {
  const state = foldRun(run([next(5), { kind: 'stop', at: T0 + 6000 }, next(7)]), STEPS);
  expect(state).toMatchObject({ ended: 'stopped', stepIndex: 1 });
});

test('the clock is wall time: it does not care when it is read', () => {
  const state = foldRun(run([next(10), next(15)]), STEPS);
  expect(clockOf(state, STEPS, T0 + 15_000)).toEqual({ elapsedS: 0, leftS: 65, up: false });
  expect(clockOf(state, STEPS, T0 + 39_000).leftS).toBe(41);
  expect(clockOf(state, STEPS, T0 + 80_000)).toMatchObject({ leftS: 0, up: true });
  expect(clockOf(state, STEPS, T0 + 90_000)).toMatchObject({ leftS: -10, up: true });
  expect(clockOf(foldRun(run([]), STEPS), STEPS, T0 + 4000).leftS).toBeNull();
});

test('how long each pass really took is kept', () => {
  const state = foldRun(run([next(10), next(15), next(83)]), STEPS);
  expect(state.dwellsS).toEqual([68]);
});

test('time left: the usual steps first, the bench’s own pace once it is known', () => {
  const fresh = run([], 3);
  expect(remainingS(fresh, foldRun(fresh, STEPS), STEPS, T0)).toBe(3 * pieceS(STEPS));
  const perPiece = 300;
  const events = [0, 1].flatMap((p) =>
    STEPS.map((_, i) => next(p * perPiece + ((i + 1) * perPiece) / STEPS.length)),
  );
  const paced = run(events, 10);
  const state = foldRun(paced, STEPS);
  expect(state.piece).toBe(2);
  expect(remainingS(paced, state, STEPS, T0 + 600_000)).toBeCloseTo(pieceS(STEPS) + 7 * 300, 6);
});

test('spoiled pieces count towards the pace: four of six spoiled, the rest takes no longer for it', () => {
  const perPiece = 300;
  const events = Array.from({ length: 6 }, (_, p): RunEvent[] =>
    p % 3 === 0
      ? STEPS.map((_s, i) => next(p * perPiece + ((i + 1) * perPiece) / STEPS.length))
      : [{ kind: 'spoiled', at: T0 + (p + 1) * perPiece * 1000 }],
  ).flat();
  const mixed = run(events, 12);
  const state = foldRun(mixed, STEPS);
  expect(state).toMatchObject({ piece: 6, good: 2, spoiled: 4 });
  // Six pieces through in 1800 s: five more after the one in hand at 300 s each.
  expect(remainingS(mixed, state, STEPS, T0 + 1_800_000)).toBeCloseTo(pieceS(STEPS) + 5 * 300, 6);
});

test('pieces cooling', () => {
  const events = STEPS.map((_, i) => next(i));
  const state = foldRun(run(events), STEPS);
  const down = must(state.setDownAt[0]);
  expect(cooling(state, 600, down + 60_000)).toEqual({ pieces: 1, waitS: 540 });
  expect(cooling(state, 600, down + 601_000)).toEqual({ pieces: 0, waitS: 0 });
});
