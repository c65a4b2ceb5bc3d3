import { finish } from '../basics/steps';
import { playing } from './chance';
import type { Policy, ScheduleInput, Work } from './problem';

export const shuffled = (n: number, random: () => number): number[] => {
  const order = Array.from({ length: n }, (_, i) => i);
  for (let i = n - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j] ?? 0, order[i] ?? 0];
  }
  return order;
};
/** So many plays, whatever is known before. */
export const plays = (problem: ScheduleInput, policy: Policy, count: number, seed = 1) =>
  finish(playing(problem, policy, { most: count, least: count, seed }));
export const plainPolicy = (problem: ScheduleInput): Policy => ({
  order: problem.work.map((_, i) => i),
  turns: new Map(),
  ahead: 2,
  finishFirst: false,
  steady: true,
  strict: false,
});

/** One press, one pair of hands, nothing to wait for but what is said. */
export const ONE: Work = {
  id: 'one',
  dueS: null,
  releaseS: 0,
  printer: 0,
  sheets: 2,
  perSheet: 1,
  printS: 60,
  dryS: 120,
  trimS: 10,
  pieces: 2,
  cut: 0,
  taped: 0,
  prepareS: 50,
  routes: [
    {
      press: 0,
      atOnce: 1,
      cycle: [
        { hands: true, s: 20, logSd: 0 },
        { hands: false, s: 200, logSd: 0 },
        { hands: true, s: 30, logSd: 0 },
      ],
      setting: 'a',
      setS: 0,
      changeS: 0,
      fromS: 0,
    },
  ],
  coolS: 600,
  toFinish: 0,
  finishS: 15,
  logSd: 0,
  spoilage: 0,
};
export const SMALL: ScheduleInput = {
  windows: [{ fromS: 0, toS: 36_000 }],
  people: 1,
  printers: 1,
  presses: [
    { id: 'p', circuit: null, warmS: 300, warmA: 5, holdA: 2, hotFromS: null, setting: null, inPress: null },
  ],
  circuits: [],
  coolingPlaces: 4,
  work: [ONE],
};
