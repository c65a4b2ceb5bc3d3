import type { Policy, ScheduleInput, WorkingTime } from '../schedule/problem';
import { score, search } from '../schedule/search';
import { simulateSchedule } from '../schedule/simulate';

/** A question of what would happen. */
export type WhatIf =
  | { readonly kind: 'press'; readonly press: number }
  | { readonly kind: 'person' }
  | { readonly kind: 'earlier'; readonly windows: readonly WorkingTime[] }
  | { readonly kind: 'more'; readonly work: number; readonly pieces: number };

export interface Answer {
  readonly makespanS: number;
  readonly late: number;
  /** When each job of the day is packed, s. */
  readonly endS: readonly number[];
}

/** The problem as it would be. */
function changed(problem: ScheduleInput, what: WhatIf): ScheduleInput {
  switch (what.kind) {
    case 'person':
      return { ...problem, people: problem.people + 1 };
    case 'earlier':
      return { ...problem, windows: what.windows };
    case 'press': {
      const twin = problem.presses[what.press];
      if (!twin) return problem;
      const index = problem.presses.length;
      return {
        ...problem,
        // On a socket of its own: what its circuit would say is not known.
        presses: [
          ...problem.presses,
          { ...twin, id: `${twin.id}-second`, circuit: null, hotFromS: null, inPress: null },
        ],
        work: problem.work.map((w) => ({
          ...w,
          routes: w.routes.flatMap((r) => (r.press === what.press ? [r, { ...r, press: index }] : [r])),
        })),
      };
    }
    case 'more':
      return {
        ...problem,
        work: problem.work.map((w, i) =>
          i === what.work
            ? {
                ...w,
                pieces: w.pieces + what.pieces,
                sheets: w.sheets + Math.ceil(what.pieces / w.perSheet),
              }
            : w,
        ),
      };
  }
}

/** Events one question may spend: an answer in the time of a breath. */
const EVENTS = 120_000;

/**
 * The answer to a question, from the plan as it stands. What is only added need not be used: no press, person or hour more makes it worse, as
 * it can where work is handed out by rule alone (Graham 1969).
 */
export function answer(problem: ScheduleInput, policy: Policy, what: WhatIf): Answer {
  const asked = changed(problem, what);
  const outcome = simulateSchedule(asked, search(asked, EVENTS, policy).policy);
  const now = simulateSchedule(problem, policy);
  const [before, after] = [score(problem, now), score(asked, outcome)];
  const worse =
    before.late < after.late || (before.late === after.late && before.makespanS < after.makespanS);
  const unused = what.kind !== 'more' && worse;
  const { makespanS, endS } = unused ? now : outcome;
  return { makespanS, endS, late: unused ? before.late : after.late };
}

/** Receives the latest moment to begin, s. */
const CLOSE_S = 60;

/**
 * The latest a job can be begun and still be packed by its date in nine of ten, s from now: found by halving, with the job first in line from
 * that moment and the spread its plays have. Null where it is late however soon it is begun.
 */
export function latestStart(
  problem: ScheduleInput,
  policy: Policy,
  work: number,
  slower: number,
): number | null {
  const w = problem.work[work];
  if (!w || w.dueS === null) return null;
  const { dueS } = w;
  const first = { ...policy, order: [work, ...policy.order.filter((x) => x !== work)] };
  const inTime = (fromS: number): boolean => {
    const held: ScheduleInput = {
      ...problem,
      // From then on only: what is printed, cut or taped waits too.
      work: problem.work.map((x, i) =>
        i === work
          ? {
              ...x,
              releaseS: fromS,
              routes: x.routes.map((r) => ({ ...r, fromS: Math.max(r.fromS, fromS) })),
            }
          : x,
      ),
    };
    const endS = simulateSchedule(held, first, { until: work }).endS[work] ?? Infinity;
    return fromS + (endS - fromS) * slower <= dueS;
  };
  if (!inTime(0)) return null;
  let [low, high] = [0, dueS];
  while (high - low > CLOSE_S) {
    const mid = (low + high) / 2;
    if (inTime(mid)) low = mid;
    else high = mid;
  }
  return low;
}
