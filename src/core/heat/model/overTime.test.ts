import { runSchema } from '../../shop/run';
import { coatingPrior } from './coatings';
import { overTable } from './overTime';
import { resolve } from '../settings/resolve';
import { USUAL_SPREADS, type Spreads } from './sensitivity';
import { dosesOf, simulateHeat } from './simulate';
import { setting, TUMBLER } from './testCases';

const SPREADS: Spreads = { ...USUAL_SPREADS, offsetK: 5, power: 0.2, capacity: 0.25 };
const COATING = coatingPrior('steel', 'tumbler');
const resolved = resolve({ load: TUMBLER, spreads: SPREADS, coating: COATING, timings: [], seen: [] });
const twice = setting(190, 60, { passes: 2, laterDwellS: 45 });
const table = overTable(resolved, twice);
const at = (of: 'first' | 'later', overS: number) => table[of].find((p) => p.overS === overS);

test('on time the tables give the dose of the setting, and needed and most are what is believed', () => {
  const set = dosesOf(simulateHeat(TUMBLER, twice));
  expect(at('first', 0)).toEqual({ overS: 0, ...set });
  expect(at('later', 0)).toEqual({ overS: 0, ...set });
  expect(table.neededS).toBeCloseTo(COATING.neededS, 9);
  expect(table.limitS).toBeCloseTo(COATING.limitS, 9);
});

test('a pass that is over is that pass and no other', () => {
  const first = dosesOf(simulateHeat(TUMBLER, { ...twice, dwellS: 80 }));
  const later = dosesOf(simulateHeat(TUMBLER, { ...twice, laterDwellS: 65 }));
  expect(at('first', 20)).toEqual({ overS: 20, ...first });
  expect(at('later', 20)).toEqual({ overS: 20, ...later });
});

test('several later passes share what all of them together are tried with', () => {
  const thrice = overTable(resolved, setting(190, 40, { passes: 3 }));
  expect(thrice.later.map((p) => p.overS)).toContain(20);
  expect(thrice.later.find((p) => p.overS === 20)?.leastS).toBeCloseTo(
    dosesOf(simulateHeat(TUMBLER, setting(190, 40, { passes: 3, laterDwellS: 50 }))).leastS,
    9,
  );
});

test('no pass is tried shorter than the press can be set to, and a run can keep the tables', () => {
  const short = overTable(resolved, setting(190, 12));
  expect(Math.min(...short.first.map((p) => p.overS))).toBe(-10);
  expect(short.first.every((p, i, all) => i === 0 || p.leastS >= (all[i - 1]?.leastS ?? 0))).toBe(true);
  expect(runSchema.shape.dose.safeParse(table).success).toBe(true);
});
