import { LIBRARY } from '../library/library';
import { pressCycle } from '../operations/cycle';
import { ONE_PIECE, TWO_PASSES } from '../operations/testTimes';
import type { Operation } from '../shop/operation';
import type { WrapPress } from '../shop/press';
import type { Run, RunEvent, RunPiece } from '../shop/run';
import { cycleOf } from './run';

/** Runs for tests, made as the application makes them. */
export const must = <T>(x: T | null | undefined): T => {
  if (x === undefined || x === null) throw new Error('missing');
  return x;
};

const BLANK = must(LIBRARY.find((b) => b.id === 'straight-steel-590'));
export const PRESS: WrapPress = {
  id: 'tumbler-press',
  name: 'Tumbler press',
  kind: 'tumbler',
  pressureScale: 'none',
  heaters: [
    {
      id: 'mat',
      name: 'Its own heater',
      lengthMm: 240,
      heightMm: 220,
      smallestDiameterMm: 60,
      largestDiameterMm: 90,
      taperMm: 0,
    },
  ],
  timer: 'by-hand',
  restingC: null,
  power: { watts: null, from: 'plate', volts: null },
  checks: [],
  timings: [],
};
export const SETTINGS = TWO_PASSES;
export const OPERATIONS = pressCycle(SETTINGS, PRESS, ONE_PIECE);
export const T0 = 1_790_000_000_000;

/** A run that does not know its pieces apart. */
export const run = (
  events: readonly RunEvent[],
  pieces = 3,
  operations: readonly Operation[] = OPERATIONS,
): Run => ({
  id: 'r',
  jobId: 'j',
  blank: BLANK,
  press: PRESS,
  startedAt: T0,
  pieces,
  queue: null,
  blanks: null,
  dose: null,
  settings: SETTINGS,
  pressureAt: null,
  load: null,
  operations: [...operations],
  events: [...events],
});

export const CYCLE = cycleOf(run([])).map((o) => o.id);
export const done = (operationId: string, s: number): RunEvent => ({
  kind: 'done',
  operationId,
  at: T0 + s * 1000,
});
export const undo = (s: number): RunEvent => ({ kind: 'undo', at: T0 + s * 1000 });
/** Taps of a person who always ends the operation in hand: n of them, a second apart. */
export const taps = (n: number): RunEvent[] =>
  Array.from({ length: n }, (_, i) => done(must(CYCLE[i % CYCLE.length]), i));

export const loadOf = (piecesAtOnce: number): NonNullable<Run['load']> => ({
  piecesAtOnce,
  wasteSheets: 1,
  wasteKind: 'plain',
  heatedFrom: 'paper',
  heaterId: null,
});

export const pieces = (n: number, from = 1): RunPiece[] =>
  Array.from({ length: n }, (_, i) => ({ number: from + i, name: `Guest ${from + i}` }));

/** A run that distinguishes its pieces. */
export const queued = (queue: readonly RunPiece[], atOnce = 1, over: Partial<Run> = {}): Run => ({
  ...run([], queue.length),
  queue: [...queue],
  load: loadOf(atOnce),
  ...over,
});
