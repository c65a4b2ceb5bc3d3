import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { demoShop } from '@/core/demo/demoShop';
import { goodPiecesBehind } from '@/core/heat/choose';
import type { LogEntry } from '@/core/shop/records';
import { MesaDb } from './db';
import { addToLog, findInLog, goodBehind, jobTallies, newestOfJob, newestOnPress, wholeLog } from './log';

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
            : { good: sum((e) => e.good), spoiled: sum((e) => e.spoiled), entries: own.length },
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
      for (const [find, of] of [
        ['', () => true],
        ['wash', (e: LogEntry) => e.note.includes('wash')],
        ['J2 well', (e: LogEntry) => e.jobId === 'j2' && e.note === 'all well'],
        ['grün', (e: LogEntry) => e.note.startsWith('Grün')],
        ['ash', () => false],
      ] as const) {
        const page = await findInLog(find, most, d);
        expect(ats(page.entries)).toEqual(newest(of).slice(0, most));
        expect(page.total).toBe(newest(of).length);
        expect(page.more).toBe(newest(of).length > most);
      }
      d.close();
    }),
    { numRuns: 25 },
  );
});

test('a common word is found by going back in time, all of it and once, across entries of one moment', async () => {
  const d = fresh();
  // More than a word is looked up by; every tenth carries the other word; forty share each moment.
  await put(
    d,
    Array.from({ length: 900 }, (_, i) =>
      entry(`e${i}`, { at: 1000 + Math.floor(i / 40), note: i % 10 === 0 ? 'common rare' : 'common' }),
    ),
  );
  const page = await findInLog('common', 450, d, 50);
  expect(page.entries).toHaveLength(450);
  expect(new Set(page.entries.map((e) => e.id)).size).toBe(450);
  expect(page.entries.at(-1)?.at).toBe(1000 + Math.floor(450 / 40));
  expect(page.more).toBe(true);
  const all = await findInLog('common', Infinity, d, 50);
  expect(all.entries).toHaveLength(900);
  expect((await findInLog('common rare', 20, d)).total).toBe(90);
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
    spoiled: 15 * BASE.spoiled,
    entries: 15,
  });
  const recipe = {
    id: 'r',
    blankId: BASE.blankId,
    pressId: BASE.pressId,
    settings: BASE.settings,
    load: null,
    keptAt: 1,
  };
  expect((await goodBehind([recipe], d)).r).toBe(goodPiecesBehind(recipe, entries));
  const [word] = BASE.blankName.split(' ');
  expect((await findInLog(word ?? '', 100, d)).total).toBe(30);
});
