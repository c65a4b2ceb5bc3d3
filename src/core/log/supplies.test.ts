import fc from 'fast-check';
import { english } from '@/words/english';
import { entryOf } from '../inspect/testInspections';
import type { LogEntry } from '../shop/records';
import { logRow } from './rows';
import { supplyCharts, wilson } from './supplies';

const rows = (
  ...entries: readonly (Partial<LogEntry> & { readonly good: number; readonly spoiled: number })[]
) => entries.map((e, i) => logRow(entryOf(`e${i}`, { seconds: 0, ...e }), english.text));

test('the interval of a share is Wilson’s', () => {
  // Newcombe 1998, Statistics in Medicine 17:857, table I, method 3.
  for (const [good, n, low, high] of [
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ] as const) {
    expect(wilson(good, n)[0]).toBeCloseTo(low, 4);
    expect(wilson(good, n)[1]).toBeCloseTo(high, 4);
  }
});

test('pieces are counted by supply; one that was not noted, or hardly used, is left out', () => {
  const charts = supplyCharts(
    rows(
      { paperName: 'A', good: 40, spoiled: 0, seconds: 2 },
      { paperName: 'A', good: 8, spoiled: 0 },
      { paperName: 'B', good: 10, spoiled: 20 },
      { paperName: 'C', good: 2, spoiled: 2 },
      { paperName: '', good: 9, spoiled: 9 },
      // Another blank, with one paper only: it says nothing of the papers.
      { paperName: 'B', blankId: 'slate', good: 90, spoiled: 0 },
    ),
  );
  expect(charts.map((c) => c.supply)).toEqual(['paper']);
  expect(charts[0]?.shares.map((s) => [s.name, s.good, s.pressed])).toEqual([
    ['A', 48, 50],
    ['B', 10, 30],
  ]);
  expect(charts[0]?.different?.map((s) => s.name)).toEqual(['A', 'B']);
});

test('a difference is named only where the intervals do not overlap', () => {
  fc.assert(
    fc.property(fc.nat(60), fc.nat(60), fc.nat(60), fc.nat(60), (g1, s1, g2, s2) => {
      fc.pre(g1 + s1 >= 5 && g2 + s2 >= 5);
      const [chart] = supplyCharts(
        rows({ inkName: 'one', good: g1, spoiled: s1 }, { inkName: 'two', good: g2, spoiled: s2 }),
      );
      const [a, b] = [wilson(g1, g1 + s1), wilson(g2, g2 + s2)];
      const expected = a[0] > b[1] ? ['one', 'two'] : b[0] > a[1] ? ['two', 'one'] : undefined;
      expect(chart?.different?.map((s) => s.name)).toEqual(expected);
    }),
  );
});
