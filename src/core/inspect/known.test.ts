import { coatingPrior } from '../heat/model/coatings';
import { chances, priorBelief } from '../heat/settings/fit';
import { FLAT, setting } from '../heat/model/testCases';
import { USUAL_SPREADS } from '../heat/model/sensitivity';
import { doseGrid, dosesAt } from '../heat/settings/window';
import { middleDwellS } from '../heat/settings/start';
import { seeded } from '../random/random';
import { CAUSE_IDS, type CauseId } from '../shop/faultIds';
import { MODEL } from './evidence';
import { nextQuestions, posterior, type Evidence } from './infer';
import { NONE_CONFIRMED } from './shopTable';
import { answerOf, knownInspection } from './testInspections';

/*
 * Two thousand inspections whose cause is known. Faults, paper, replies and the rest are drawn from the stated table; what the heat model says of the
 * load is not: a stand-in press is set as that cause would have it, and the model is queried as in the product.
 */
const SET = setting(200, 60);
const spreads = { ...USUAL_SPREADS, offsetK: 4, power: 0.15, capacity: 0.15 };
const belief = priorBelief(coatingPrior('aluminium', 'flat'));
const middleS = middleDwellS(FLAT, SET, spreads, belief);
const grid = doseGrid(
  FLAT,
  SET,
  spreads,
  { platenC: [180, 215], dwellS: [middleS / 6, middleS * 5] },
  'fine',
);

/** Time on the bench under a cause, as a share of the middle of the window: only a wrong time shows in the settings. */
function dwellShare(cause: CauseId, random: () => number): number {
  if (cause === 'too-short') return 0.22 + 0.23 * random();
  if (cause === 'too-long') return 2.6 + 1.6 * random();
  return 0.85 + 0.35 * random();
}

function modelSays(cause: CauseId, random: () => number): readonly number[] {
  // A press that is cooler or hotter than it reads is set like any other: the model cannot know.
  const platenC = SET.platenC + (cause === 'too-hot' ? 6 * random() : 0);
  const c = chances(dosesAt(grid, platenC, middleS * dwellShare(cause, random)), belief);
  const sum = c.under + c.good + c.over;
  return [c.under / sum, c.good / sum, c.over / sum];
}

interface Played {
  readonly cause: CauseId;
  readonly after: readonly number[];
  readonly afterTwo: readonly number[];
}

function play(random: () => number): Played {
  const { cause, evidence } = knownInspection(random);
  let e: Evidence = { ...evidence, clues: { ...evidence.clues, [MODEL.id]: modelSays(cause, random) } };
  const after = posterior(e, NONE_CONFIRMED);
  for (let asked = 0; asked < 2; asked += 1) {
    const q = nextQuestions(e, NONE_CONFIRMED)[0]?.question;
    if (!q) break;
    e = { ...e, clues: { ...e.clues, [q.id]: answerOf(q, cause, random) } };
  }
  return { cause, after, afterTwo: posterior(e, NONE_CONFIRMED) };
}

const MANY = 2000;
const random = seeded(2026);
const played = Array.from({ length: MANY }, () => play(random));
const first = (shares: readonly number[]): CauseId | undefined =>
  CAUSE_IDS[shares.indexOf(Math.max(...shares))];
const right = (of: (p: Played) => readonly number[]): number =>
  played.filter((p) => first(of(p)) === p.cause).length / MANY;

/** Mean distance of what was said from what was so, by deciles of what was said, weighed by how often it was said. */
function reliability(of: (p: Played) => readonly number[]): number {
  const bins = Array.from({ length: 10 }, () => ({ n: 0, said: 0, so: 0 }));
  for (const p of played)
    of(p).forEach((share, i) => {
      // All but nothing is said of most causes, and says nothing: only what a person would read counts.
      const bin = share < 0.01 ? undefined : bins[Math.min(9, Math.floor(share * 10))];
      if (!bin) return;
      bin.n += 1;
      bin.said += share;
      bin.so += CAUSE_IDS[i] === p.cause ? 1 : 0;
    });
  const n = bins.reduce((s, b) => s + b.n, 0);
  return bins.reduce((s, b) => s + Math.abs(b.said - b.so), 0) / n;
}

test('after the marks the true cause is first in seven of ten, after two questions in nine of ten', () => {
  expect(right((p) => p.after)).toBeGreaterThanOrEqual(0.7);
  expect(right((p) => p.afterTwo)).toBeGreaterThanOrEqual(0.9);
});

test('what is said to be so many in a hundred is so, within three in a hundred', () => {
  expect(reliability((p) => p.after)).toBeLessThan(0.03);
  expect(reliability((p) => p.afterTwo)).toBeLessThan(0.03);
});
