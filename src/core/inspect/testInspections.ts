import { CAUSE_IDS, FAULT_IDS, type CauseId } from '../shop/faultIds';
import { BARE_ENTRY, type LogEntry } from '../shop/records';
import type { Mark, MarkPlace } from '../shop/mark';
import { CLUES, rowOf, type Clue } from './evidence';
import { certain, type Evidence } from './infer';
import { priorOf, priorSeen } from './shopTable';

/** One of several by their weights. */
function drawn<T>(of: readonly T[], weights: readonly number[], random: () => number): T {
  let u = random() * weights.reduce((a, b) => a + b, 0);
  for (const [i, item] of of.entries()) {
    u -= weights[i] ?? 0;
    if (u < 0) return item;
  }
  return of[of.length - 1] as T;
}

export const answerOf = (c: Clue, cause: CauseId, random: () => number): readonly number[] =>
  certain(c, drawn(c.values, rowOf(c, cause), random));

/** An inspection whose cause is known, drawn from the stated table: what is marked, and all that is known beside it. */
export function knownInspection(random: () => number): {
  readonly cause: CauseId;
  readonly evidence: Evidence;
} {
  const cause = drawn(CAUSE_IDS, CAUSE_IDS.map(priorOf), random);
  let faults = FAULT_IDS.filter((f) => random() < priorSeen(cause, f));
  while (faults.length === 0) faults = FAULT_IDS.filter((f) => random() < priorSeen(cause, f));
  const clues = Object.fromEntries(CLUES.map((c) => [c.id, answerOf(c, cause, random)]));
  return { cause, evidence: { faults, clues } };
}

export const mark = (
  fault: Mark['fault'],
  place: MarkPlace = { kind: 'all' },
  over: Partial<Mark> = {},
): Mark => ({
  id: 'm',
  fault,
  severity: 2,
  side: 'front',
  piece: null,
  place,
  ...over,
});

export const pointAt = (xMm: number, yMm: number): MarkPlace => ({ kind: 'point', xMm, yMm });

export const entryOf = (id: string, over: Partial<LogEntry> = {}): LogEntry => ({
  id,
  at: 1000,
  jobId: 'j',
  jobName: 'J',
  blankId: 'b',
  blankName: 'Panel',
  pressId: 'p',
  pressName: 'Flat press A',
  settings: {
    platenC: 200,
    dwellS: 60,
    laterDwellS: null,
    passes: 1,
    timerStart: 'from-closing',
    pressure: 'medium',
    peel: 'hot',
    coolDownC: null,
  },
  load: null,
  verdict: 'other',
  paperState: 'even',
  good: 0,
  spoiled: 1,
  ...BARE_ENTRY,
  ...over,
});
