import { BODY } from '../model/materials';
import { coatingPrior } from '../model/coatings';
import { faceC, pressFaults, pressRun, probeC, verdictOf } from './pressSimulator';
import { offsetMap } from './pressModel';
import { seeded } from '../../random/random';
import type { PressCheck } from '../../shop/press';
import type { HeatCase } from '../model/case';
import { simulateHeat } from '../model/simulate';
import { FLAT, MUG, setting } from '../model/testCases';
import { fitHeater, withHeaterFit, type TimedClosing } from './timing';

/** Two full plates of steel on a flat press: a load its display answers. */
const HEAVY: HeatCase = { ...FLAT, material: 'steel', wallMm: 3, pieceM2: 0.05, pieces: 2 };
const PRIOR = { powerSd: 0.2, capacitySd: 0.25 };

function timed(
  seed: number,
  load: HeatCase,
): { readonly closing: TimedClosing; readonly power: number; readonly capacity: number } {
  const faults = {
    ...pressFaults(seed),
    readsHighK: 0,
    contactFactor: 1,
    coolCorner: { x: 0, y: 0, byK: 0 },
  };
  const run = pressRun(faults, load, setting(190, 1500));
  // What a person writes down: whole degrees, and a clock tapped about right.
  const random = seeded(seed * 7 + 1);
  return {
    closing: {
      load,
      settings: setting(190, 600),
      lowestC: run.lowestC,
      backS: Math.round(run.backS + (random() - 0.5) * 6),
    },
    power: Math.log(faults.powerFactor),
    capacity: Math.log(faults.capacityFactor),
  };
}

describe('time it once', () => {
  test.each([
    ['a mug press', MUG],
    ['a flat press with a heavy load', HEAVY],
  ] as const)('on %s the true power and heat capacity lie in the stated spread, nearly always', (_, load) => {
    let inside = 0;
    const seeds = Array.from({ length: 16 }, (_, i) => 100 + i);
    for (const seed of seeds) {
      const { closing, power, capacity } = timed(seed, load);
      const fit = fitHeater([closing], PRIOR);
      if (Math.abs(fit.power - power) < 1.96 * fit.powerSd) inside += 1;
      if (Math.abs(fit.capacity - capacity) < 1.96 * fit.capacitySd) inside += 1;
      expect(fit.powerSd).toBeLessThan(PRIOR.powerSd);
    }
    expect(inside / (2 * seeds.length)).toBeGreaterThan(0.88);
  });

  test('a heater a third too weak is found out, and the model then falls as far as the press did', () => {
    const faults = {
      ...pressFaults(1),
      readsHighK: 0,
      contactFactor: 1,
      powerFactor: 0.65,
      capacityFactor: 1,
    };
    const run = pressRun(faults, MUG, setting(190, 1500));
    const fit = fitHeater(
      [{ load: MUG, settings: setting(190, 600), lowestC: run.lowestC, backS: run.backS }],
      PRIOR,
    );
    expect(Math.exp(fit.power)).toBeGreaterThan(0.6);
    expect(Math.exp(fit.power)).toBeLessThan(0.72);
    expect(fit.misfit).toBeLessThan(1);
    const sim = simulateHeat(withHeaterFit(MUG, fit), setting(190, 600));
    expect(Math.abs(sim.lowestC - run.lowestC)).toBeLessThan(2);
    expect(Math.abs(sim.backS / run.backS - 1)).toBeLessThan(0.08);
  });

  test('nothing written down leaves what was known; two readings that cannot go together say so', () => {
    const none = fitHeater([{ load: MUG, settings: setting(190, 600), lowestC: null, backS: null }], PRIOR);
    expect(none.power).toBeCloseTo(0, 9);
    expect(none.powerSd).toBeCloseTo(PRIOR.powerSd, 9);
    const odd = fitHeater([{ load: MUG, settings: setting(190, 600), lowestC: 188, backS: 900 }], PRIOR);
    expect(odd.misfit).toBeGreaterThan(3);
  });
});

describe('check it once', () => {
  const GRID = [1 / 6, 1 / 2, 5 / 6].flatMap((y) => [1 / 6, 1 / 2, 5 / 6].map((x) => ({ x, y })));
  const checkOf = (seed: number): PressCheck => {
    const faults = pressFaults(seed);
    const random = seeded(seed);
    const points = GRID.map((p) => ({ ...p, readC: probeC(faults, 190, p.x, p.y, random) }));
    return { id: 'c', at: 1, setC: 190, with: 'probe', points };
  };

  test('nine readings of a simulated press give its true mean within the stated uncertainty', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const faults = pressFaults(seed);
      const mean = GRID.reduce((s, p) => s + faceC(faults, 190, p.x, p.y), 0) / 9;
      const map = offsetMap(checkOf(seed));
      expect(Math.abs(map.readsHighK - (190 - mean))).toBeLessThan(2 * map.u);
      expect(map.coldestK).toBeLessThanOrEqual(0);
      expect(map.hottestK).toBeGreaterThanOrEqual(0);
    }
  });

  test('by hand: three readings of 186, 184 and 179 at 190 read 7 high, the coldest 4 below their mean', () => {
    const points = [186, 184, 179].map((readC, i) => ({ x: i / 2, y: 0.5, readC }));
    const map = offsetMap({ id: 'c', at: 1, setC: 190, with: 'probe', points });
    expect(map).toMatchObject({ readsHighK: 7, coldestK: -4, hottestK: 3 });
    // 1.5 K each over three, and 1.5 K from day to day.
    expect(map.u).toBeCloseTo(Math.hypot(1.5 / Math.sqrt(3), 1.5), 9);
  });

  test('one reading says the offset and nothing of how even it is; strips say less than a probe; none says nothing', () => {
    const one = (withWhat: PressCheck['with']) =>
      offsetMap({ id: 'c', at: 1, setC: 190, with: withWhat, points: [{ x: 0.5, y: 0.5, readC: 186 }] });
    expect(one('probe')).toMatchObject({ readsHighK: 4, coldestK: null, hottestK: null });
    expect(one('strips').u).toBeGreaterThan(one('probe').u);
    expect(offsetMap(null)).toMatchObject({ readsHighK: 0, coldestK: null });
    expect(offsetMap(null).u).toBeGreaterThan(one('strips').u);
  });
});

test('a first run on a simulated press: too little, then good, then too much, as the time grows', () => {
  const coating = coatingPrior('ceramic', 'mug');
  const verdicts = [20, 200, 900].map((s) =>
    verdictOf(pressRun(pressFaults(11), MUG, setting(195, s)), coating),
  );
  expect(verdicts).toEqual(['too little', 'good', 'too much']);
});

test('a simulated press is the same for its seed, reads in whole degrees, and differs from the next', () => {
  expect(pressFaults(11)).toEqual(pressFaults(11));
  expect(pressFaults(11)).not.toEqual(pressFaults(12));
  const { display } = pressRun(pressFaults(11), MUG, setting(190, 120));
  for (const d of display) expect(Number.isInteger(d.readsC)).toBe(true);
  expect(BODY.steel.capacity).toBe(3.95e6);
});
