import fc from 'fast-check';
import type { HeatSettings } from '../shop/heatSettings';
import { heatSettingsSchema } from '../shop/heatSettings';
import { PAPER_STATES, VERDICTS, type LogEntry, type Mark } from '../shop/records';
import { oneChange, rankCauses } from './causes';
import { CAUSES, FAULTS, type CauseId } from './faults';
import { tallyOf } from './tally';
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
  laterDwellS: null,
  passes: 2,
  timerStart: 'from-closing',
  pressure: 'medium',
  peel: 'hot',
  coolDownC: 170,
};

test('every fault that can be stored has its label and causes, in one order', () => {
  expect(FAULTS.map((f) => f.id)).toEqual([...FAULT_IDS]);
});

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

describe('weights, by hand', () => {
  const shares = (...given: Parameters<typeof rankCauses>) =>
    Object.fromEntries(rankCauses(...given).map((c) => [c.cause, c.share]));

  test('one fault gives its causes 1, 1/2, 1/3 of its severity; two faults add up', () => {
    // White stripe: four causes, 1 + 1/2 + 1/3 + 1/4 = 25/12.
    expect(shares([mark('white-stripe')], null, null)).toEqual({
      'wrap-short': expect.closeTo(12 / 25, 9) as number,
      'pulled-open': expect.closeTo(6 / 25, 9) as number,
      'no-heat-gap': expect.closeTo(4 / 25, 9) as number,
      'paper-shrank': expect.closeTo(3 / 25, 9) as number,
    });
    // A faded edge (past the heater, then uneven) at 3 beside a faded band (over the curve, then past the heater) at 1.
    const both = shares([mark('faded-edge', 3), mark('faded-band', 1)], null, null);
    expect(both['past-heater']).toBeCloseTo(3.5 / 6, 9);
    expect(both['uneven-pressure']).toBeCloseTo(1.5 / 6, 9);
    expect(both['over-curve']).toBeCloseTo(1 / 6, 9);
  });

  test('used paper and verdict multiply: all dye left behind and “under” make too little likelier, each by its factor', () => {
    const plain = { cool: 1, short: 1 / 2, recovered: 1 / 3, light: 1 / 4, side: 1 / 5 };
    const left = { cool: 2.5 * 2, short: (2.5 * 2) / 2, recovered: (2 * 2) / 3, light: 1.5 / 4, side: 1 / 5 };
    const total = (o: object) => Object.values(o).reduce((a: number, v: number) => a + v, 0);
    expect(shares([mark('faded-all')], null, null)['too-cool']).toBeCloseTo(plain.cool / total(plain), 9);
    expect(shares([mark('faded-all')], 'left-all', 'under')['too-cool']).toBeCloseTo(
      left.cool / total(left),
      9,
    );
  });

  test.each([
    ['faded-all', 'even', 'light-pressure', 'too-cool'],
    ['faded-edge', 'left-in-places', 'past-heater', null],
    ['halo', 'browned', 'too-hot', 'slow-peel'],
  ] as const)('%s with %s paper: %s gains on %s', (fault, paper, gains, on) => {
    const [before, after] = [shares([mark(fault)], null, null), shares([mark(fault)], paper, null)];
    if (on)
      expect((after[gains] ?? 0) / (after[on] ?? 1)).toBeGreaterThan(
        (before[gains] ?? 0) / (before[on] ?? 1),
      );
    else expect(after).not.toEqual({});
  });

  test('each paper state and verdict speaks about some cause', () => {
    const all = FAULT_IDS.map((f) => mark(f));
    const plain = shares(all, null, null);
    for (const paper of PAPER_STATES) expect(shares(all, paper, null)).not.toEqual(plain);
    for (const verdict of ['under', 'over'] as const) expect(shares(all, null, verdict)).not.toEqual(plain);
    for (const verdict of ['good', 'other'] as const) expect(shares(all, null, verdict)).toEqual(plain);
  });
});

describe('the one change, by its cause', () => {
  const first = (cause: CauseId) => oneChange([{ cause, ...CAUSES[cause], share: 1 }], null, S)?.heat;

  test('too cool: hotter; too hot: cooler; by four degrees, and never past what a press can be set to', () => {
    expect(first('too-cool')).toEqual({ platenC: 192 });
    expect(first('too-hot')).toEqual({ platenC: 184 });
    const at = (cause: CauseId, platenC: number) =>
      oneChange([{ cause, ...CAUSES[cause], share: 1 }], null, { ...S, platenC })?.heat;
    expect(at('too-cool', 258)).toEqual({ platenC: 260 });
    expect(at('too-hot', 102)).toEqual({ platenC: 100 });
  });

  test('too short: longer; too long: shorter, by an eighth, and at least three seconds', () => {
    expect(first('too-short')).toEqual({ dwellS: 73 });
    expect(first('too-long')).toEqual({ dwellS: 57 });
    const brief = { ...S, dwellS: 10 };
    const at = (cause: CauseId, s: HeatSettings) =>
      oneChange([{ cause, ...CAUSES[cause], share: 1 }], null, s)?.heat;
    expect(at('too-short', brief)).toEqual({ dwellS: 13 });
    expect(at('too-long', { ...S, dwellS: 2 })).toEqual({ dwellS: 1 });
  });

  test('not recovered: the timer starts at temperature, once', () => {
    expect(first('not-recovered')).toEqual({ timerStart: 'at-temperature' });
    const already = { ...S, timerStart: 'at-temperature' as const };
    const cause = 'not-recovered';
    expect(oneChange([{ cause, ...CAUSES[cause], share: 1 }], null, already)?.heat).toBeNull();
  });

  test('a cause that no setting changes says what to do, and sets nothing', () => {
    expect(first('lint')).toBeNull();
    expect(first('wrap-short')).toBeNull();
  });
});

test('what the entries of a job add up to', () => {
  const e = (good: number, spoiled: number) => ({ good, spoiled }) as LogEntry;
  expect(tallyOf([e(5, 1), e(7, 0), e(0, 3)])).toEqual({ good: 12, spoiled: 4, entries: 3 });
  expect(tallyOf([])).toEqual({ good: 0, spoiled: 0, entries: 0 });
});
