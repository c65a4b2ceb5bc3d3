import fc from 'fast-check';
import type { HeatSettings } from '../shop/heatSettings';
import { heatSettingsSchema } from '../shop/heatSettings';
import { PAPER_STATES, VERDICTS, type Mark } from '../shop/records';
import { oneChange, rankCauses } from './causes';
import { CAUSES, FAULTS } from './faults';
import { FAULT_IDS, type FaultId } from '../shop/faultIds';

const mark = (fault: FaultId, severity: Mark['severity'] = 2): Mark => ({
  id: 'm',
  fault,
  xMm: 10,
  yMm: 10,
  severity,
});
const S: HeatSettings = {
  platenC: 188,
  dwellS: 65,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};

test('every fault has causes and every cause has words and one change', () => {
  for (const f of FAULTS) for (const c of f.causes) expect(CAUSES[c].change.length).toBeGreaterThan(10);
  const used = new Set<string>(FAULTS.flatMap((f) => [...f.causes]));
  for (const c of Object.keys(CAUSES)) expect(used.has(c)).toBe(true);
});

test('alone, a fault’s causes come in the order of the table', () => {
  for (const f of FAULTS)
    expect(rankCauses([mark(f.id)], null, null).map((c) => c.cause)).toEqual([...f.causes]);
});

test('shares are of one whole, whatever is marked', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(...FAULT_IDS), { minLength: 1, maxLength: 8 }),
      fc.constantFrom(null, ...PAPER_STATES),
      fc.constantFrom(null, ...VERDICTS),
      (faults, paper, verdict) => {
        const ranked = rankCauses(
          faults.map((f) => mark(f)),
          paper,
          verdict,
        );
        expect(ranked.reduce((s, c) => s + c.share, 0)).toBeCloseTo(1, 9);
        for (let i = 1; i < ranked.length; i += 1)
          expect(ranked[i - 1]?.share ?? 0).toBeGreaterThanOrEqual(ranked[i]?.share ?? 0);
      },
    ),
  );
  expect(rankCauses([], 'even', 'good')).toEqual([]);
});

test('dye left on the paper speaks for too little, browned paper for too much', () => {
  expect(rankCauses([mark('faded-edge')], 'left-in-places', null)[0]?.cause).toBe('past-heater');
  const halo = rankCauses([mark('halo'), mark('browned')], 'browned', 'over');
  expect(['too-hot', 'too-long']).toContain(halo[0]?.cause);
  const faded = rankCauses([mark('faded-all')], 'even', null);
  const left = rankCauses([mark('faded-all')], 'left-all', null);
  const share = (r: typeof left, c: string) => r.find((x) => x.cause === c)?.share ?? 0;
  expect(share(left, 'too-cool')).toBeGreaterThan(share(faded, 'too-cool'));
});

test('one change, in the right direction, still a valid setting', () => {
  const under = oneChange([], 'under', S);
  const over = oneChange([], 'over', S);
  expect(under?.heat?.dwellS).toBe(73);
  expect(over?.heat?.dwellS).toBe(57);
  for (const f of FAULTS) {
    const change = oneChange(rankCauses([mark(f.id)], null, null), null, S);
    expect(change?.text.length).toBeGreaterThan(0);
    if (change?.heat) {
      expect(Object.keys(change.heat)).toHaveLength(1);
      expect(heatSettingsSchema.safeParse({ ...S, ...change.heat }).success).toBe(true);
    }
  }
  expect(oneChange([], 'good', S)).toBeNull();
});
