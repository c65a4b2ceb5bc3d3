import fc from 'fast-check';
import { demoShop } from '../../demo/demoShop';
import { MATERIALS } from '../../shop/blank';
import { PRESS_KINDS } from '../../shop/press';
import type { Job } from '../../job/job';
import type { Shop } from '../../shop/shop';
import { chooseHeat, goodPiecesOf, goodPiecesBehind, provenFor } from '../settings/choose';
import { lumpedCoolingS } from '../cooling/roughCooling';
import { heaterOf } from '../press/heaters';
import { heaterReach, type MatWork, exposures } from '../press/heaterReach';
import { doseRate, equalDose, equalDoseS } from './dose';
import { heatSettingsSchema, sameSettings } from '../../shop/heatSettings';
import { startFrom, startingRange, STARTING_RANGES } from '../settings/starting';

const DEMO = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = <T extends { id: string }>(xs: readonly T[], id: string): T => {
  const x = xs.find((v) => v.id === id);
  if (!x) throw new Error(id);
  return x;
};
const JOB = find(DEMO.jobs, 'star-party-tumblers');
const BLANK = find(DEMO.shop.blanks, 'straight-steel-590');
const PRESS = find(DEMO.shop.presses, 'tumbler-press-a');

const round = (circumferenceMm: number): MatWork => ({
  circumferenceMm,
  printMm: circumferenceMm,
  handled: false,
});

describe('dose', () => {
  test('200 °C is the reference', () => expect(doseRate(200)).toBe(1));
  test('the Arrhenius ratio over ten degrees, by hand', () => {
    // exp(60000/8.314462618 × (1/463.15 − 1/473.15)) = 1.39004, worked with a pocket calculator.
    expect(equalDoseS(60, 200, 190)).toBeCloseTo(60 * 1.39, 1);
  });
  test('there and back is the same time; hotter is shorter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 900, noNaN: true }),
        fc.double({ min: 150, max: 215, noNaN: true }),
        fc.double({ min: 150, max: 215, noNaN: true }),
        (s, a, b) => {
          expect(equalDoseS(equalDoseS(s, a, b), b, a)).toBeCloseTo(s, 6);
          if (b > a + 0.01) expect(equalDoseS(s, a, b)).toBeLessThan(s);
          const e = equalDose(s, a, b);
          expect(e.low).toBeLessThanOrEqual(e.value + 1e-9);
          expect(e.high).toBeGreaterThanOrEqual(e.value - 1e-9);
        },
      ),
    );
  });
});

describe('how the heater reaches round', () => {
  test('least and most exposures agree with counting points one by one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 359, noNaN: true }),
        fc.integer({ min: 1, max: 6 }),
        (covered, passes) => {
          const counts = Array.from({ length: 7200 }, (_, i) => {
            const at = i * 0.05 + 0.0123;
            let n = 0;
            for (let p = 0; p < passes; p += 1)
              if ((((at - (p * 360) / passes) % 360) + 360) % 360 < covered) n += 1;
            return n;
          });
          const [least, most] = exposures(covered, passes);
          const nearEdge = Math.abs(covered / (360 / passes) - Math.round(covered / (360 / passes))) < 0.01;
          if (nearEdge) return;
          expect(least).toBe(Math.min(...counts));
          expect(most).toBe(Math.max(...counts));
        },
      ),
      { numRuns: 60 },
    );
  });
  test('covered and gap make the round; passes needed do reach', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 640, noNaN: true }),
        fc.double({ min: 60, max: 600, noNaN: true }),
        (c, heater) => {
          const one = heaterReach(round(c), heater, 1);
          expect(one.coveredDeg + one.gapDeg).toBeCloseTo(360, 9);
          if (one.passesNeeded < 6)
            expect(heaterReach(round(c), heater, one.passesNeeded).exposures[0]).toBeGreaterThanOrEqual(1);
        },
      ),
    );
  });
  test('a mat that goes all round needs one pass; two halves need more than two', () => {
    expect(heaterReach(round(230), 240, 1)).toMatchObject({
      coveredDeg: 360,
      passesNeeded: 1,
      gapDeg: 0,
      exposures: [1, 1],
    });
    expect(heaterReach(round(360), 180, 2).passesNeeded).toBe(3);
  });
  test('a print that lies inside the heater needs no turn, whatever is left bare', () => {
    // 180 mm of heater on 360 mm: 180°, 170° of it counted, 170 mm.
    expect(heaterReach({ ...round(360), printMm: 170 }, 180, 1)).toMatchObject({
      passesNeeded: 1,
      exposures: [1, 1],
      missedMm: 0,
    });
    expect(heaterReach({ ...round(360), printMm: 171 }, 180, 1).passesNeeded).toBe(3);
  });
  test('a handled blank goes in once; the print past the heater is missed evenly on both sides', () => {
    const mug = heaterReach({ circumferenceMm: 258, printMm: 236, handled: true }, 220, 1);
    expect(mug).toMatchObject({ passesNeeded: 1, missedMm: 8 });
  });
});

describe('cooling, roughly', () => {
  test('is the lumped exponential', () => {
    const tau = 300;
    const t = lumpedCoolingS(188, 45, 22, tau);
    expect(22 + (188 - 22) * Math.exp(-t / tau)).toBeCloseTo(45, 9);
    expect(lumpedCoolingS(40, 45, 22, tau)).toBe(0);
  });
});

describe('which mat of a press', () => {
  const id = (widestDiameterMm: number, tallMm: number, wanted: string | null = null) =>
    heaterOf(PRESS, { widestDiameterMm, tallMm }, wanted)?.id;
  test('the one that closes on the blank; the one asked for, whatever it closes on; the first where none does', () => {
    expect(id(73, 150)).toBe('mat-wide');
    expect(id(55, 150)).toBe('mat-slim');
    expect(id(55, 150, 'mat-wide')).toBe('mat-wide');
    expect(id(200, 150)).toBe('mat-wide');
    expect(heaterOf(find(DEMO.shop.presses, 'bench-oven'), null, null)).toBeNull();
  });
  test('of several that close on it, the one that reaches furthest', () =>
    expect(id(64, 150)).toBe('mat-wide'));
});

describe('starting ranges', () => {
  test('every start made from one is a valid setting inside it', () => {
    for (const r of STARTING_RANGES) {
      for (const passes of [1, 2]) {
        const s = startFrom(r, passes, 'from-closing', true, null);
        expect(heatSettingsSchema.safeParse(s).success).toBe(true);
        expect(s.platenC).toBeGreaterThanOrEqual(r.platenC[0]);
        expect(s.platenC).toBeLessThanOrEqual(r.platenC[1]);
        expect(s.dwellS).toBeGreaterThanOrEqual(r.dwellS[0]);
        expect(s.dwellS).toBeLessThanOrEqual(r.dwellS[1]);
        expect(s.coolDownC === null).toBe(passes === 1);
      }
    }
  });
  test('a plaque has its own times; every thickness has one range and no more', () => {
    expect(startingRange('hardboard', 'flat', 3)?.dwellS).toEqual([55, 90]);
    expect(startingRange('hardboard', 'flat', 25)).toMatchObject({ dwellS: [75, 130], platenC: [195, 205] });
    for (const r of STARTING_RANGES)
      for (const wall of [0.5, 3, 7, 11.9, 12, 25]) {
        const fits = STARTING_RANGES.filter(
          (x) =>
            x.material === r.material &&
            x.press === r.press &&
            (!x.wallMm || (wall >= x.wallMm[0] && wall < x.wallMm[1])),
        );
        expect(fits).toHaveLength(1);
        expect(startingRange(r.material, r.press, wall)).toBe(fits[0]);
      }
  });
  test('glass is never started hot enough, or quenched, to crack', () => {
    for (const r of STARTING_RANGES.filter((x) => x.material === 'glass')) {
      expect(r.platenC[1]).toBeLessThanOrEqual(190);
      expect(r.peel).not.toBe('quench');
    }
  });
  test('every material has a press and glass has no settings for an oven', () => {
    for (const m of MATERIALS) expect(PRESS_KINDS.some((k) => startingRange(m, k, 3))).toBe(true);
    expect(startingRange('glass', 'oven', 3)).toBeNull();
  });
});

describe('what a job starts from', () => {
  const choose = (job: Job, shop: Shop) =>
    chooseHeat(
      job.heat,
      BLANK,
      PRESS,
      heaterOf(PRESS, null, null),
      round(230.6),
      shop.recipes,
      goodPiecesOf(undefined, shop.log),
    );
  test('the proven recipe comes first, with the pieces behind it counted from the log', () => {
    const c = choose(JOB, DEMO.shop);
    expect(c?.baseOrigin).toBe('proven');
    expect(c?.settings.dwellS).toBe(65);
    expect(c?.proven?.goodPieces).toBe(11 + 18 + 9);
    expect(c?.originOf.dwellS).toBe('proven');
  });
  test('with none, the usual range, and the passes the heater needs', () => {
    const c = choose(JOB, { ...DEMO.shop, recipes: [] });
    expect(c?.baseOrigin).toBe('estimated');
    expect(c?.settings.passes).toBe(2);
    expect(c?.settings.platenC).toBe(190);
  });
  test('what a hand set wins, and only that is marked as taken', () => {
    const c = choose({ ...JOB, heat: { dwellS: 70 } }, DEMO.shop);
    expect(c?.settings).toMatchObject({ dwellS: 70, platenC: 188 });
    expect(c?.originOf).toMatchObject({ dwellS: 'measured', platenC: 'proven' });
  });
  test('a recipe of another press or blank is not borrowed', () => {
    expect(provenFor('straight-steel-350', PRESS.id, DEMO.shop.recipes, () => 1)).toBeNull();
    expect(provenFor(BLANK.id, 'mug-press', DEMO.shop.recipes, () => 1)).toBeNull();
  });
  test('only good pieces at just these settings count', () => {
    const [recipe] = DEMO.shop.recipes;
    if (!recipe) throw new Error('demo has a recipe');
    expect(goodPiecesBehind({ ...recipe, settings: { ...recipe.settings, dwellS: 66 } }, DEMO.shop.log)).toBe(
      0,
    );
    expect(sameSettings(recipe.settings, { ...recipe.settings })).toBe(true);
    expect(sameSettings(recipe.settings, { ...recipe.settings, coolDownC: null })).toBe(false);
  });
});
