import { english } from '@/words/english';
import { inEnglish } from '@/words/inEnglish';
import fc from 'fast-check';
import { CAUSE_IDS } from '../shop/faultIds';
import type { LogEntry } from '../shop/records';
import { corrected, standing } from '../shop/standing';
import { entryOf, mark } from '../inspect/testInspections';
import { chartsOf, costChart, driftChart, faultChart, goodChart, keptChart, weekOf } from './charts';
import { mergeLog, nameOf } from './merge';
import { filterRows, logRow, WHOLE_LOG, withRows, type LogQuery, type LogRow } from './rows';

const DAY = 24 * 3600_000;
const WEEK = 7 * DAY;
/** A Monday, 00:00 universal time. */
const MONDAY = Date.UTC(2026, 10, 2);

const anyEntry = fc
  .record({
    n: fc.nat(1e6),
    at: fc.integer({ min: 0, max: 60 }),
    press: fc.constantFrom('p1', 'p2'),
    by: fc.constantFrom(null, 'Ines', 'Tariq'),
    verdict: fc.constantFrom('good' as const, 'under' as const, 'over' as const, 'other' as const),
    faults: fc.uniqueArray(fc.constantFrom('ghost' as const, 'dye-left' as const, 'bowed' as const), {
      maxLength: 2,
    }),
    cause: fc.constantFrom(null, ...CAUSE_IDS.slice(0, 3)),
    note: fc.constantFrom('blue pale', 'all well', ''),
    paper: fc.constantFrom('Blue back', 'White back'),
    supplier: fc.constantFrom('', 'Basin Supply'),
  })
  .map((r) =>
    entryOf(`e${r.n}`, {
      at: MONDAY + r.at * DAY,
      pressId: r.press,
      by: r.by,
      verdict: r.verdict,
      marks: r.faults.map((f) => mark(f)),
      cause: r.verdict === 'good' ? null : r.cause,
      note: r.note,
      paperName: r.paper,
      supplier: r.supplier,
    }),
  );
const entries = fc.uniqueArray(anyEntry, { selector: (e) => e.id, maxLength: 60 });
const rowsOf = (list: readonly LogEntry[]): readonly LogRow[] =>
  withRows(
    [],
    list.map((e) => logRow(e, english.text)),
  );

test('a filter gives what looking at every entry gives, newest first', () => {
  const query = fc.record<LogQuery>({
    text: fc.constantFrom('', 'blue', 'WELL all', 'ghosting', 'ines'),
    fromAt: fc.constantFrom(null, MONDAY + 10 * DAY),
    toAt: fc.constantFrom(null, MONDAY + 40 * DAY),
    jobId: fc.constant(null),
    blankId: fc.constantFrom(null, 'b', 'other'),
    pressId: fc.constantFrom(null, 'p1'),
    by: fc.constantFrom(null, 'Tariq'),
    verdict: fc.constantFrom(null, 'under' as const),
    fault: fc.constantFrom(null, 'ghost' as const, 'dye-left' as const),
    cause: fc.constantFrom(null, 'none' as const, 'too-cool' as const),
    paper: fc.constantFrom(null, 'Blue back'),
    printer: fc.constant(null),
    ink: fc.constant(null),
    supplier: fc.constantFrom(null, 'Basin Supply'),
  });
  fc.assert(
    fc.property(entries, query, (all, q) => {
      const want = all
        .filter(
          (e) =>
            q.text
              .toLowerCase()
              .split(' ')
              .every((w) => logRow(e, english.text).text.includes(w)) &&
            e.at >= (q.fromAt ?? 0) &&
            e.at < (q.toAt ?? Infinity) &&
            (q.blankId ?? e.blankId) === e.blankId &&
            (q.pressId ?? e.pressId) === e.pressId &&
            (q.by ?? e.by) === e.by &&
            (q.paper ?? e.paperName) === e.paperName &&
            (q.supplier ?? e.supplier) === e.supplier &&
            (q.verdict ?? e.verdict) === e.verdict &&
            (q.fault === null || e.marks.some((m) => m.fault === q.fault)) &&
            (q.cause === null ||
              (q.cause === 'none' ? e.cause === null && e.verdict !== 'good' : e.cause === q.cause)),
        )
        .sort((a, b) => b.at - a.at || (a.id < b.id ? 1 : -1))
        .map((e) => e.id);
      expect(filterRows(rowsOf(all), new Set(), q).map((r) => r.id)).toEqual(want);
    }),
  );
});

test('rows put in later are as if they had been there from the first, and none is there twice', () => {
  fc.assert(
    fc.property(entries, fc.nat(60), (all, cut) => {
      const rows = all.map((e) => logRow(e, english.text));
      const twice = withRows(withRows([], rows.slice(cut)), rows.slice(0, cut + 3));
      expect(twice.map((r) => r.id)).toEqual(rowsOf(all).map((r) => r.id));
    }),
  );
});

describe('corrections', () => {
  const a = entryOf('a', { at: 1 });
  const b1 = entryOf('b1', { at: 2, corrects: 'a' });
  const b2 = entryOf('b2', { at: 3, corrects: 'a' });
  const c = entryOf('c', { at: 4, corrects: 'b2' });
  test.each([
    [[a], ['a']],
    [[a, b1], ['b1']],
    [[a, b1, b2], ['b2']],
    [[b2, a, b1], ['b2']],
    [[a, b1, b2, c], ['c']],
    [[b1], ['b1']],
  ])('of %# only these count', (list, ids) =>
    expect(
      standing(list)
        .map((e) => e.id)
        .sort(),
    ).toEqual(ids),
  );
  test('what no longer counts is not found', () => {
    const rows = rowsOf([a, b1]);
    expect(filterRows(rows, corrected(rows), WHOLE_LOG).map((r) => r.id)).toEqual(['b1']);
  });
});

describe('good out of pressed by week', () => {
  const week = (i: number, good: number, spoiled: number) =>
    entryOf(`w${i}`, { at: MONDAY + i * WEEK + DAY, good, spoiled });

  test('weeks begin on Monday by the shop’s own clock', () => {
    expect(weekOf(MONDAY, 0)).toBe(MONDAY);
    expect(weekOf(MONDAY - 1, 0)).toBe(MONDAY - WEEK);
    expect(weekOf(MONDAY + 6 * DAY + 1, 0)).toBe(MONDAY);
    // Half past eleven on Sunday evening of a shop two hours ahead is half past one on Monday there.
    expect(weekOf(MONDAY - 0.5 * 3600_000, 2 * 3600_000)).toBe(MONDAY - 2 * 3600_000);
  });

  test('limits are three standard deviations of a proportion, by hand', () => {
    const chart = goodChart([week(0, 90, 10), week(1, 90, 10)].map((e) => logRow(e, english.text)));
    expect(chart.share).toBe(0.9);
    expect(chart.weeks[0]?.low).toBeCloseTo(0.9 - 3 * Math.sqrt((0.9 * 0.1) / 100), 9);
    expect(chart.weeks[0]?.high).toBeCloseTo(Math.min(1, 0.9 + 3 * Math.sqrt((0.9 * 0.1) / 100)), 9);
    expect(chart.scatter).toBe(1);
    expect(chart.weeks.every((w) => w.signal === null)).toBe(true);
  });

  test('one bad week among even ones is outside; eight weeks on one side are a run', () => {
    const even = Array.from({ length: 12 }, (_, i) => week(i, i === 8 ? 55 : 95, i === 8 ? 45 : 5));
    expect(inEnglish(goodChart(even.map((e) => logRow(e, english.text))).weeks.map((w) => w.signal)[8])).toBe(
      'outside',
    );
    const stepped = Array.from({ length: 18 }, (_, i) => week(i, i < 9 ? 92 : 95, i < 9 ? 8 : 5));
    expect(goodChart(stepped.map((e) => logRow(e, english.text))).weeks.some((w) => w.signal === 'run')).toBe(
      true,
    );
  });

  test('weeks that scatter more than pieces do widen the limits: a run of bad luck is not called a trend', () => {
    const wild = Array.from({ length: 12 }, (_, i) => week(i, i % 2 === 0 ? 99 : 85, i % 2 === 0 ? 1 : 15));
    const chart = goodChart(wild.map((e) => logRow(e, english.text)));
    expect(chart.scatter).toBeGreaterThan(2);
    expect(chart.weeks.every((w) => w.signal === null)).toBe(true);
  });
});

test('faults are counted by what they were put down to', () => {
  const list = [
    entryOf('a', { marks: [mark('ghost'), mark('ghost')], cause: 'moved-hot' }),
    entryOf('b', { marks: [mark('ghost')], cause: null }),
    entryOf('c', { marks: [mark('colour-speck')], cause: 'lint' }),
  ];
  const chart = faultChart(list.map((e) => logRow(e, english.text)));
  expect(chart[0]).toEqual({
    fault: 'ghost',
    entries: 2,
    causes: [
      { cause: 'moved-hot', entries: 1 },
      { cause: null, entries: 1 },
    ],
  });
  expect(chart[1]?.fault).toBe('colour-speck');
});

test('time kept against time set, and what spoiled pieces cost', () => {
  const S = entryOf('x').settings;
  const list = [
    entryOf('a', {
      settings: { ...S, dwellS: 100 },
      keptDwellS: 110,
      spoiled: 2,
      spoiledCostCents: 840,
      at: MONDAY,
    }),
    entryOf('b', {
      settings: { ...S, dwellS: 100 },
      keptDwellS: 100,
      spoiled: 0,
      spoiledCostCents: null,
      at: MONDAY,
    }),
    entryOf('c', { keptDwellS: null, spoiled: 3, at: MONDAY + WEEK }),
  ].map((e) => logRow(e, english.text));
  const kept = keptChart(list);
  expect(kept.points).toHaveLength(2);
  expect(kept.over).toBeCloseTo(0.05, 12);
  expect(kept.off).toBe(0.5);
  expect(costChart(list)).toEqual({
    weeks: [{ fromAt: MONDAY, toAt: MONDAY + WEEK, cents: 840 }],
    cents: 840,
    unpriced: 3,
  });
});

describe('a press that drifts', () => {
  const line = (verdicts: string) =>
    [...verdicts].map((v, i) =>
      logRow(
        entryOf(`d${String(i).padStart(3, '0')}`, {
          at: MONDAY + i * DAY,
          verdict: v === 'u' ? 'under' : v === 'o' ? 'over' : 'good',
        }),
        english.text,
      ),
    );
  const drift = (verdicts: string) => driftChart([...line(verdicts)].reverse())[0];
  test('is reported once too little comes again and again, and from when', () => {
    const d = drift('ggggggggggggggggguuuuu');
    expect(d?.drifts).toBe('too-little');
    expect(d?.sinceAt).toBeGreaterThanOrEqual(MONDAY + 17 * DAY);
  });
  test('one bad verdict, or as many of either kind, is none', () => {
    expect(drift('ggggggggugggggggggg')?.drifts).toBeNull();
    expect(drift('uouououououououo')?.drifts).toBeNull();
    expect(driftChart(line('guu'))).toEqual([]);
  });
});

describe('merging two logs', () => {
  test('every entry of both is there once; a second time adds nothing', () => {
    fc.assert(
      fc.property(entries, fc.nat(60), fc.nat(60), (all, from, to) => {
        const [own, other] = [all.slice(0, from), all.slice(Math.min(from, to))];
        const merged = mergeLog(own, other);
        const after = [...own, ...merged.add];
        expect(new Set(after.map((e) => e.id)).size).toBe(after.length);
        for (const e of [...own, ...other]) expect(after).toContainEqual(e);
        expect(mergeLog(after, other)).toEqual({ add: [], same: other.length, renamed: 0 });
        expect(merged.add.length + merged.same).toBe(other.length);
      }),
    );
  });

  test('an entry of the same name that says something else lies beside the shop’s own, also the second time', () => {
    const mine = entryOf('a', { note: 'mine' });
    const theirs = entryOf('a', { note: 'theirs' });
    const first = mergeLog([mine], [theirs]);
    expect(first.renamed).toBe(1);
    expect(first.add[0]).toEqual({ ...theirs, id: first.add[0]?.id });
    expect(first.add[0]?.id).not.toBe('a');
    expect(mergeLog([mine, ...first.add], [theirs]).add).toEqual([]);
  });
});

describe('two tablets that gave one id to different entries', () => {
  // Ids from a small set, so that the two logs use the same ones for different entries; corrections name entries of their own log.
  const tabletLog = (tablet: string) =>
    fc
      .array(
        fc.record({
          id: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'),
          at: fc.integer({ min: 1, max: 6 }),
          good: fc.nat(9),
          shared: fc.boolean(),
          of: fc.nat(5),
          corrects: fc.boolean(),
        }),
        { maxLength: 8 },
      )
      .map((rows) => {
        const seen = new Map<string, LogEntry>();
        for (const r of rows) {
          if (seen.has(r.id)) continue;
          const others = [...seen.keys()];
          const corrects = r.corrects && others.length > 0 ? (others[r.of % others.length] ?? null) : null;
          // An entry both tablets have says the same on both and was never a correction.
          seen.set(
            r.id,
            r.shared
              ? entryOf(r.id, { at: 0, good: 1, note: 'on both' })
              : entryOf(r.id, { at: r.at, good: r.good, note: tablet, corrects }),
          );
        }
        return [...seen.values()];
      });
  const join = (own: readonly LogEntry[], other: readonly LogEntry[]) => [
    ...own,
    ...mergeLog(own, other).add,
  ];
  /** What counts in a log, whatever its ids: entries by what they say, sorted. */
  const counting = (log: readonly LogEntry[]) =>
    standing(log)
      .map((e) => JSON.stringify({ ...e, id: '', corrects: '' }))
      .sort();
  const saying = (log: readonly LogEntry[]) =>
    log.map((e) => JSON.stringify({ ...e, id: '', corrects: '' })).sort();

  test('merged either way round the same entries are there and the same ones count', () => {
    fc.assert(
      fc.property(tabletLog('A'), tabletLog('B'), (a, b) => {
        const [ab, ba] = [join(a, b), join(b, a)];
        expect(saying(ab)).toEqual(saying(ba));
        expect(counting(ab)).toEqual(counting(ba));
        // And back and forth as often as one likes.
        expect(mergeLog(ab, ba).add).toEqual([]);
        expect(mergeLog(ba, ab).add).toEqual([]);
        expect(mergeLog(ab, b).add).toEqual([]);
        expect(mergeLog(ab, a).add).toEqual([]);
      }),
      { numRuns: 1000 },
    );
  });

  test('of two corrections of one moment with the same counts, the one with the later note counts, whatever the ids', () => {
    const of = (first: string, second: string) => [
      entryOf('e', { at: 1 }),
      entryOf(first, { at: 4, good: 2, note: 'A', corrects: 'e' }),
      entryOf(second, { at: 4, good: 2, note: 'B', corrects: 'e' }),
    ];
    for (const log of [of('c', 'd'), of('d', 'c')]) expect(standing(log).map((e) => e.note)).toEqual(['B']);
  });

  test('of two corrections that say the same, the one that was corrected itself gives way to what corrects it, whatever the ids', () => {
    const mine = [
      entryOf('e', { at: 1, good: 0, note: 'A' }),
      entryOf('d', { at: 4, good: 9, note: 'A', corrects: 'e' }),
      entryOf('a', { at: 1, good: 0, note: 'A', corrects: 'd' }),
      entryOf('b', { at: 4, good: 9, note: 'A', corrects: 'e' }),
    ];
    const theirs = [entryOf('b', { at: 1, good: 0, note: 'B' })];
    expect(counting(join(mine, theirs))).toEqual(counting(join(theirs, mine)));
    expect(standing(mine).map((e) => e.id)).toEqual(['a']);
  });

  test('a correction goes on correcting the entry it was written for', () => {
    const mine = [entryOf('a', { good: 5, note: 'A' })];
    const theirs = [
      entryOf('a', { good: 7, note: 'B' }),
      entryOf('c', { at: 9, good: 6, note: 'B', corrects: 'a' }),
    ];
    const both = join(mine, theirs);
    expect(
      standing(both)
        .map((e) => e.good)
        .sort(),
    ).toEqual([5, 6]);
    expect(both.find((e) => e.id === 'c')?.corrects).toMatch(/^log-/);
  });

  test('an id given before ids knew the id they replace is still found', () => {
    const theirs = entryOf('a', { note: 'theirs' });
    const before = { ...theirs, id: nameOf(theirs, 'log') };
    expect(mergeLog([entryOf('a', { note: 'mine' }), before], [theirs]).add).toEqual([]);
  });
});

test('all charts of nothing are empty and none fails', () => {
  const c = chartsOf([], 0);
  expect(c.good.weeks).toEqual([]);
  expect(c.drift).toEqual([]);
  expect(c.cost.cents).toBe(0);
});
