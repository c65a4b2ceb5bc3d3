import { seeded } from '../../random/random';
import { coatingPrior } from '../model/coatings';
import { sizeChange } from './change';
import { chances, priorBelief } from './fit';
import {
  afterRung,
  blanksFor,
  expectedPressings,
  halvedDwell,
  ladderPrior,
  ladderStart,
  ladderState,
  nextDwell,
  rungChances,
  type LadderPrior,
  type Rung,
  type RungAnswer,
} from './ladder';
import { resolve, type Resolved } from './resolve';
import { doseSensitivity, logDoses, USUAL_SPREADS } from '../model/sensitivity';
import { FLAT, setting } from '../model/testCases';

const spreads = { ...USUAL_SPREADS, offsetK: 4, power: 0.15, capacity: 0.15 };
const coating = coatingPrior('aluminium', 'flat');
const R: Resolved = { load: FLAT, spreads, belief: priorBelief(coating), heaterFit: null, trials: [] };

describe('one change, sized', () => {
  test('too little: more time or more heat, one of them, and the chance of good rises', () => {
    const s = setting(200, 20);
    const c = sizeChange(R, s, { verdict: 'under', pieces: 2 });
    const { time, temperature } = c;
    if (!time || !temperature || !('dwellS' in time.to) || !('platenC' in temperature.to))
      throw new Error('no change');
    expect(time.to.dwellS).toBeGreaterThan(20);
    expect(temperature.to.platenC).toBeGreaterThan(200);
    expect(time.goodThen).toBeGreaterThan(time.goodNow);
    expect(c.beyondHeat).toBe(false);
    // What it says of the dose is what the simulation gives: the least heated place, then over now.
    const [now, then] = [logDoses(FLAT, s).least, logDoses(FLAT, { ...s, dwellS: time.to.dwellS }).least];
    expect(time.leastBy).toBeCloseTo(Math.exp(then - now), 2);
  });

  test('what was just seen counts: pieces with too little where the model thought well of it ask for more', () => {
    const s = setting(200, 60);
    const thought = chances(doseSensitivity(FLAT, s, spreads), R.belief).good;
    const one = sizeChange(R, s, { verdict: 'under', pieces: 1 });
    const many = sizeChange(R, s, { verdict: 'under', pieces: 12 });
    expect(one.time?.goodNow).toBeLessThan(thought - 0.1);
    expect(many.time?.goodNow).toBeLessThan(one.time?.goodNow ?? 0);
    expect(many.time?.leastBy).toBeGreaterThanOrEqual(one.time?.leastBy ?? Infinity);
  });

  test('too much: less of it', () => {
    const c = sizeChange(R, setting(205, 120), { verdict: 'over', pieces: 1 });
    if (!c.time || !('dwellS' in c.time.to)) throw new Error('no change');
    if (!c.temperature || !('platenC' in c.temperature.to)) throw new Error('no change of temperature');
    expect(c.time.to.dwellS).toBeLessThan(120);
    expect(c.temperature.to.platenC).toBeLessThan(205);
    expect(c.temperature.leastBy).toBeLessThan(1);
    expect(c.time.leastBy).toBeLessThan(1);
    expect(c.time.goodThen).toBeGreaterThan(c.time.goodNow);
  });

  test('a platen that is cold at one corner and hot at another is beyond heat, and it says so', () => {
    const uneven = { ...FLAT, heater: { ...FLAT.heater, coldestK: -45, hottestK: 30 } };
    const r = { ...R, load: uneven, belief: priorBelief({ ...coating, limitS: coating.neededS * 2.2 }) };
    expect(sizeChange(r, setting(200, 45), { verdict: 'under', pieces: 3 }).beyondHeat).toBe(true);
  });
});

const prior: LadderPrior = {
  neededLn: Math.log(40),
  neededSd: 0.8,
  limitLn: Math.log(130),
  limitSd: 0.8,
  correlation: 0.4,
  pieceSd: 0.08,
};

describe('the test ladder', () => {
  test('its prior is the model’s: the dwells that give the needed and the most dose', () => {
    const p = ladderPrior(R, setting(200, 60));
    expect(Math.exp(logDoses(FLAT, setting(200, Math.exp(p.neededLn))).least)).toBeCloseTo(
      coating.neededS,
      0,
    );
    const most = Math.exp(logDoses(FLAT, setting(200, Math.exp(p.limitLn))).most);
    expect(most / coating.limitS).toBeCloseTo(1, 1);
    expect(p.neededSd).toBeGreaterThan(0.3);
  });

  test('weights stay of one whole, and each answer pushes the right way', () => {
    const start = ladderStart(prior);
    const sum = (b: typeof start) => b.weight.flat().reduce((a, c) => a + c, 0);
    expect(sum(start)).toBeCloseTo(1, 9);
    const under = afterRung(start, { dwellS: 60, answer: 'under' });
    const over = afterRung(start, { dwellS: 60, answer: 'over' });
    expect(sum(under)).toBeCloseTo(1, 9);
    expect(rungChances(under, 60).under).toBeGreaterThan(rungChances(start, 60).under);
    expect(nextDwell(under).dwellS).toBeGreaterThan(60);
    expect(nextDwell(over).dwellS).toBeLessThan(60);
    const c = rungChances(start, 60);
    expect(c.under + c.good + c.over).toBeCloseTo(1, 9);
  });

  test('ends where one is good; goes on to a proof where the middle lies well off it', () => {
    expect(ladderState(prior, []).kind).toBe('press');
    const narrow = ladderState(prior, [{ dwellS: 70, answer: 'good' }]);
    expect(['done', 'prove']).toContain(narrow.kind);
    const off = ladderState(prior, [
      { dwellS: 60, answer: 'under' },
      { dwellS: 65, answer: 'good' },
    ]);
    expect(off.kind).toBe('prove');
    if (off.kind === 'prove') expect(off.dwellS).toBeGreaterThan(70);
    expect(
      ladderState(prior, [
        { dwellS: 60, answer: 'under' },
        { dwellS: 65, answer: 'good' },
        { dwellS: 80, answer: 'good' },
      ]).kind,
    ).toBe('done');
  });

  test('too little and too much that meet leave no time at all, and it says where', () => {
    expect(
      ladderState(prior, [
        { dwellS: 60, answer: 'under' },
        { dwellS: 65, answer: 'over' },
      ]),
    ).toEqual({ kind: 'shut', underS: 60, overS: 65 });
  });

  test('a dwell that missed is never asked for again, nor one beyond it, however the answers fall', () => {
    const random = seeded(2024);
    for (let k = 0; k < 15; k += 1) {
      const prior: LadderPrior = {
        neededLn: Math.log(20 + random() * 60),
        neededSd: 0.2 + random() * 0.8,
        limitLn: Math.log(60 + random() * 200),
        limitSd: 0.2 + random() * 0.8,
        correlation: 0.8 * (random() - 0.5),
        pieceSd: 0.05 + random() * 0.4,
      };
      const rungs: Rung[] = [];
      for (let i = 0; i < 12; i += 1) {
        const state = ladderState(prior, rungs);
        if (state.kind !== 'press') break;
        for (const r of rungs) {
          if (r.answer === 'under') expect(state.dwellS).toBeGreaterThan(r.dwellS);
          else expect(state.dwellS).toBeLessThan(r.dwellS);
        }
        rungs.push({ dwellS: state.dwellS, answer: random() < 0.5 ? 'under' : 'over' });
      }
      expect(rungs.length).toBeLessThan(12);
    }
  });

  test('strips share a blank, rejects cost none', () => {
    expect(blanksFor('strips', 4, 6)).toBe(1);
    expect(blanksFor('strips', 7, 6)).toBe(2);
    expect(blanksFor('rejects', 7, 6)).toBe(0);
    expect(blanksFor('blanks', 2.4, 6)).toBe(3);
  });
});

/** A window drawn as wide as an unknown blank on an unknown press may lie: neither the model nor the hand knows it. */
function windows(many: number) {
  const random = seeded(1000);
  const normal = () => Math.sqrt(-2 * Math.log(random() || 1e-12)) * Math.cos(2 * Math.PI * random());
  const found: { readonly fromS: number; readonly toS: number }[] = [];
  while (found.length < many) {
    const [u, v] = [normal(), normal()];
    const a = prior.neededLn + prior.neededSd * u;
    const b =
      prior.limitLn + prior.limitSd * (prior.correlation * u + Math.sqrt(1 - prior.correlation ** 2) * v);
    if (b - a > Math.log(1.15)) found.push({ fromS: Math.exp(a), toS: Math.exp(b) });
  }
  return found;
}

const answer = (w: { readonly fromS: number; readonly toS: number }, dwellS: number): RungAnswer =>
  dwellS < w.fromS ? 'under' : dwellS > w.toS ? 'over' : 'good';

test('on a thousand windows it lands inside in four pressings at most on average, in no more than halving takes, and as many as it foretold', () => {
  // The hand starts from what the trade presses a thin panel for, and never has more than two wrong sides to halve between.
  const HAND_STARTS_S = 60;
  const MOST = 15;
  const next = new Map<string, number>();
  const count = (step: (rungs: readonly Rung[]) => number, w: { fromS: number; toS: number }): number => {
    const rungs: Rung[] = [];
    while (rungs.length < MOST) {
      const dwellS = step(rungs);
      const a = answer(w, dwellS);
      rungs.push({ dwellS, answer: a });
      if (a === 'good') break;
    }
    return rungs.length;
  };
  // Ways through the ladder come again and again: each is worked out once.
  const ladder = (rungs: readonly Rung[]): number => {
    const key = JSON.stringify(rungs);
    const known = next.get(key) ?? nextDwell(rungs.reduce(afterRung, ladderStart(prior))).dwellS;
    next.set(key, known);
    return known;
  };
  const all = windows(1000);
  const mean = (step: (rungs: readonly Rung[]) => number) =>
    all.reduce((s, w) => s + count(step, w), 0) / all.length;
  const [ours, halving] = [mean(ladder), mean((rungs) => halvedDwell(HAND_STARTS_S, rungs))];
  expect(ours).toBeLessThanOrEqual(4);
  expect(ours).toBeLessThanOrEqual(halving + 0.02);
  expect(Math.abs(expectedPressings(ladderStart(prior)) - ours)).toBeLessThan(0.35);
});

test('resolve and change agree on what an earlier log taught: a press known to give much is not given more', () => {
  const seen = [{ id: 'a', load: FLAT, settings: setting(200, 60), verdict: 'over' as const, pieces: 8 }];
  const r = resolve({ load: FLAT, spreads, coating, timings: [], seen });
  const naive = chances(doseSensitivity(FLAT, setting(200, 50), spreads), priorBelief(coating)).over;
  const taught = chances(doseSensitivity(FLAT, setting(200, 50), r.spreads), r.belief).over;
  expect(taught).toBeGreaterThan(naive);
});
