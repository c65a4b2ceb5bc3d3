import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { demoShop } from '@/core/demo/demoShop';
import { goodPiecesBehind } from '@/core/heat/settings/choose';
import type { LogEntry } from '@/core/shop/records';
import { MesaDb } from './db';
import {
  addToLog,
  confirmedCounts,
  entryWithAnswers,
  goodBehind,
  jobTallies,
  mergeIntoLog,
  newestEntries,
  newestOfJob,
  newestOnPress,
  wholeLog,
  writeLog,
} from './log';
import { standing } from '@/core/shop/standing';
import { mark } from '@/core/inspect/testInspections';

const { shop } = demoShop(new Date('2026-11-24T12:00:00Z'));
const BASE = shop.log[0] as LogEntry;
let n = 0;
const fresh = () => new MesaDb(`log-${(n += 1)}`);
const entry = (id: string, over: Partial<LogEntry> = {}): LogEntry => ({ ...BASE, id, ...over });
const put = (d: MesaDb, entries: readonly LogEntry[]) =>
  d.transaction('rw', d.log, d.tallies, () => addToLog(d, entries));

const anyEntries = fc.array(
  fc.record({
    job: fc.constantFrom('j1', 'j2', 'j3'),
    blank: fc.constantFrom('b1', 'b2'),
    press: fc.constantFrom('p1', 'p2'),
    at: fc.integer({ min: 1, max: 40 }),
    good: fc.nat(9),
    seconds: fc.nat(3),
    spoiled: fc.nat(3),
    verdict: fc.constantFrom('good' as const, 'under' as const),
    dwellS: fc.constantFrom(60, 65),
    note: fc.constantFrom('blue washed out', 'all well', 'Grün am Rand', ''),
  }),
  { maxLength: 40 },
);
type Any = typeof anyEntries extends fc.Arbitrary<(infer T)[]> ? T : never;
const made = (rows: readonly Any[]): LogEntry[] =>
  rows.map((r, i) =>
    entry(`e${i}`, {
      at: r.at,
      jobId: r.job,
      jobName: `Job ${r.job}`,
      blankId: r.blank,
      pressId: r.press,
      verdict: r.verdict,
      good: r.good,
      seconds: r.seconds,
      spoiled: r.spoiled,
      note: r.note,
      settings: { ...BASE.settings, dwellS: r.dwellS },
    }),
  );

test('counts kept beside the log are what counting it whole gives, however it was written', async () => {
  await fc.assert(
    fc.asyncProperty(anyEntries, fc.nat(40), async (rows, cut) => {
      const d = fresh();
      const all = made(rows);
      await put(d, all.slice(0, cut));
      // The second stretch overlaps the first: what is there already is not counted again.
      await put(d, all.slice(Math.max(0, cut - 3)));
      const whole = await wholeLog(d);
      expect(whole).toHaveLength(all.length);
      const recipes = ['b1', 'b2'].flatMap((blankId) =>
        ['p1', 'p2'].flatMap((pressId) =>
          [60, 65].map((dwellS) => ({
            id: `${blankId}${pressId}${dwellS}`,
            blankId,
            pressId,
            settings: { ...BASE.settings, dwellS },
            load: null,
            pressureAt: null,
            keptAt: 1,
          })),
        ),
      );
      const counted = await goodBehind(recipes, d);
      for (const r of recipes) expect(counted[r.id]).toBe(goodPiecesBehind(r, all));
      const tallies = await jobTallies(['j1', 'j2', 'j3'], d);
      for (const id of ['j1', 'j2', 'j3']) {
        const own = all.filter((e) => e.jobId === id);
        const sum = (of: (e: LogEntry) => number) => own.reduce((a, e) => a + of(e), 0);
        expect(tallies[id]).toEqual(
          own.length === 0
            ? undefined
            : {
                good: sum((e) => e.good),
                seconds: sum((e) => e.seconds),
                spoiled: sum((e) => e.spoiled),
                entries: own.length,
              },
        );
      }
      d.close();
    }),
    { numRuns: 25 },
  );
});

test('pages by index are the newest of what a whole reading would give', async () => {
  await fc.assert(
    fc.asyncProperty(anyEntries, fc.integer({ min: 1, max: 12 }), async (rows, most) => {
      const d = fresh();
      const all = made(rows);
      await put(d, all);
      const ats = (list: readonly LogEntry[]) => list.map((e) => e.at);
      const newest = (of: (e: LogEntry) => boolean) =>
        all
          .filter(of)
          .map((e) => e.at)
          .sort((a, b) => b - a);
      expect(ats(await newestOfJob('j1', most, d))).toEqual(newest((e) => e.jobId === 'j1').slice(0, most));
      expect(ats(await newestOnPress('b1', 'p2', most, d))).toEqual(
        newest((e) => e.blankId === 'b1' && e.pressId === 'p2').slice(0, most),
      );
      d.close();
    }),
    { numRuns: 25 },
  );
});

test('a database of before is carried over: entries keep what they said, and are found and counted', async () => {
  const name = `old-${(n += 1)}`;
  const old = new Dexie(name);
  old.version(4).stores({
    jobs: 'id',
    blanks: 'id',
    presses: 'id',
    papers: 'id',
    recipes: 'id, [blankId+pressId]',
    log: 'id, jobId, at',
    runs: 'id, jobId',
    settings: 'id',
    pictures: 'id',
    jobStatuses: 'id',
  });
  const entries = Array.from({ length: 30 }, (_, i) =>
    entry(`e${i}`, { at: i, jobId: `j${i % 2}`, good: i }),
  );
  await old.table('log').bulkAdd(entries);
  await old.table('jobs').add({ id: 'x', rev: 3, savedAt: 1, job: {} });
  old.close();
  const d = new MesaDb(name);
  expect(await wholeLog(d)).toEqual(expect.arrayContaining(entries));
  expect((await jobTallies(['j0', 'j1'], d)).j1).toEqual({
    good: 1 + 3 + 5 + 7 + 9 + 11 + 13 + 15 + 17 + 19 + 21 + 23 + 25 + 27 + 29,
    seconds: 0,
    spoiled: 15 * BASE.spoiled,
    entries: 15,
  });
  const recipe = {
    id: 'r',
    blankId: BASE.blankId,
    pressId: BASE.pressId,
    settings: BASE.settings,
    load: null,
    pressureAt: null,
    keptAt: 1,
  };
  expect((await goodBehind([recipe], d)).r).toBe(goodPiecesBehind(recipe, entries));
  expect((await newestEntries(100, d)).length).toBe(30);
});

test('a correction takes what it answers out of the counts, whichever came first, and nothing is lost', async () => {
  const wrong = entry('wrong', { at: 1, good: 5, spoiled: 0, verdict: 'good', cause: null });
  const right = entry('right', { at: 2, good: 3, spoiled: 2, verdict: 'good', corrects: 'wrong' });
  const again = entry('again', { at: 3, good: 2, spoiled: 3, verdict: 'good', corrects: 'wrong' });
  for (const order of [
    [wrong, right, again],
    [again, wrong, right],
    [right, again, wrong],
  ]) {
    const d = fresh();
    for (const e of order) await put(d, [e]);
    const counts = (await jobTallies([BASE.jobId], d))[BASE.jobId];
    expect(counts).toEqual({ good: 2, seconds: 0, spoiled: 3, entries: 1 });
    expect(standing(await wholeLog(d)).map((e) => e.id)).toEqual(['again']);
    expect((await entryWithAnswers('wrong', d))?.answers.map((e) => e.id)).toEqual(['right', 'again']);
    expect((await entryWithAnswers('right', d))?.corrects?.id).toBe('wrong');
    d.close();
  }
});

test('causes settled on are counted by fault, and taken back by a correction', async () => {
  const d = fresh();
  const speck = entry('a', {
    at: 1,
    cause: 'lint',
    marks: [mark('colour-speck'), mark('colour-speck'), mark('dye-left')],
  });
  await put(d, [speck, entry('b', { at: 2, cause: 'lint', marks: [mark('pale-speck')] })]);
  const counts = await confirmedCounts(d);
  expect(counts.causes.lint).toBe(2);
  expect(counts.faults.lint).toMatchObject({ 'colour-speck': 1, 'pale-speck': 1 });
  await put(d, [{ ...speck, id: 'c', at: 3, corrects: 'a', cause: null }]);
  expect((await confirmedCounts(d)).causes.lint).toBe(1);
  expect((await confirmedCounts(d)).faults.lint).toMatchObject({ 'colour-speck': 0 });
  d.close();
});

test('a merge is whole or not at all, and counted once however often it is brought', async () => {
  const d = fresh();
  await put(d, [entry('a', { note: 'mine' })]);
  const theirs = [entry('a', { note: 'theirs', good: 4 }), entry('b', { good: 2 })];
  const first = await mergeIntoLog(theirs, [], d);
  expect(first.ok && [first.value.add.length, first.value.same, first.value.renamed]).toEqual([2, 0, 1]);
  const second = await mergeIntoLog(theirs, [], d);
  expect(second.ok && [second.value.add.length, second.value.same]).toEqual([0, 2]);
  expect(await d.log.count()).toBe(3);
  expect((await jobTallies([BASE.jobId], d))[BASE.jobId]?.entries).toBe(3);
  // A picture that cannot be kept takes the entries back with it.
  const broken = await mergeIntoLog([entry('c')], [{ id: undefined } as never], d);
  expect(broken.ok).toBe(false);
  expect(await d.log.count()).toBe(3);
  d.close();
});

test('one inspection saved in two tabs at once is one entry; the same verdict a minute later is another', async () => {
  const d = fresh();
  const said = { at: 1_000_000, good: 3, corrects: null };
  const both = await Promise.all([
    writeLog(entry('tab-a', said), d),
    writeLog(entry('tab-b', { ...said, at: said.at + 900 }), d),
  ]);
  expect(both.map((r) => r.ok && r.value).sort()).toEqual([false, true]);
  expect(await d.log.count()).toBe(1);
  const other = await writeLog(entry('tab-c', { ...said, at: said.at + 1000, good: 4 }), d);
  const later = await writeLog(entry('tab-d', { ...said, at: said.at + 60_000 }), d);
  expect([other, later].map((r) => r.ok && r.value)).toEqual([true, true]);
  expect(await d.log.count()).toBe(3);
  d.close();
});

test('settings that differ in the time of a later pass prove nothing of each other; a time said twice is the same', async () => {
  const d = fresh();
  const settings = { ...BASE.settings, passes: 2, dwellS: 45, laterDwellS: 15 };
  const same = { ...settings, laterDwellS: null };
  await put(d, [
    entry('short', { verdict: 'good', good: 40, settings, corrects: null }),
    entry('equal', { verdict: 'good', good: 2, settings: same, corrects: null }),
    entry('said', { verdict: 'good', good: 1, settings: { ...settings, laterDwellS: 45 }, corrects: null }),
  ]);
  const recipe = (id: string, of: LogEntry['settings']) => ({
    id,
    blankId: BASE.blankId,
    pressId: BASE.pressId,
    settings: of,
    load: null,
    pressureAt: null,
    keptAt: 1,
  });
  const both = [recipe('r-short', settings), recipe('r-equal', same)];
  expect(await goodBehind(both, d)).toEqual({ 'r-short': 40, 'r-equal': 3 });
  for (const r of both) expect(goodPiecesBehind(r, await wholeLog(d))).toBe((await goodBehind([r], d))[r.id]);
  d.close();
});
