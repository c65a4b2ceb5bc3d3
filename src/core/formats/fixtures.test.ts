import type { Message } from '@/core/message/message';
import { english } from '@/words/english';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan } from '../plan/plan';
import { cycleOf, dwellsS, foldRun } from '../run/run';
import { readBlanksCsv } from './blanksCsv';
import { readBlanksJson } from './blanksFile';
import { fileText, readJobFile, readShopFile, SHOP_FILE } from './jobFile';

/*
 * Files as every version wrote them, kept for ever, made by the code of its time. What they must still say was written down then, from the
 * code of their time.
 */
const read = (name: string): string => readFileSync(join(__dirname, 'fixtures', name), 'utf8');
const VERSIONS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15] as const;

const JOBS_1 = ['dome-beakers', 'comet-cans', 'star-party-tumblers', 'trail-guide-bottles'];
const JOBS_2 = [
  'dome-beakers',
  'comet-cans',
  'constellation-mugs',
  'star-party-tumblers',
  'night-walk-tumblers',
  'moon-and-star-ornaments',
  'trail-guide-bottles',
  'comet-glasses',
  'slate-trail-markers',
];
const JOBS: Readonly<Record<(typeof VERSIONS)[number], readonly string[]>> = {
  1: JOBS_1,
  2: JOBS_2,
  3: [...JOBS_2, 'star-map-panel'],
  4: [...JOBS_2, 'star-map-panel'],
  5: [...JOBS_2, 'star-map-panel'],
  6: [...JOBS_2, 'star-map-panel'],
  7: [...JOBS_2, 'star-map-panel'],
  8: [...JOBS_2, 'star-map-panel'],
  9: [...JOBS_2, 'star-map-panel'],
  10: [...JOBS_2, 'star-map-panel'],
  11: [...JOBS_2, 'star-map-panel'],
  12: [...JOBS_2, 'star-map-panel'],
  13: [...JOBS_2, 'star-map-panel'],
  14: [...JOBS_2, 'star-map-panel'],
  15: [...JOBS_2, 'star-map-panel'],
};

/** What every one of these files said of its four runs when it was written. */
const RUNS = [
  { piece: 2, step: 'peel', good: 1, spoiled: 1, ended: 'no', dwellsS: [13, 18, 14, 19] },
  { piece: 3, step: 'load', good: 2, spoiled: 1, ended: 'finished', dwellsS: [12, 11, 13] },
  { piece: 2, step: 'peel', good: 1, spoiled: 1, ended: 'stopped', dwellsS: [13, 14] },
  { piece: 3, step: 'load', good: 2, spoiled: 1, ended: 'finished', dwellsS: [12, 11, 13] },
];

/** Seam method and circumference (mm) of the round wraps. */
const SAID: Readonly<Record<string, readonly [string, number]>> = {
  'dome-beakers': ['lap', 257.506],
  'comet-cans': ['gap', 235.743],
  'constellation-mugs': ['under', 257.021],
  'star-party-tumblers': ['over', 230.631],
  'night-walk-tumblers': ['over', 244.806],
  'trail-guide-bottles': ['over', 229.336],
  'comet-glasses': ['gap', 266.73],
};

const opened = <T>(r: { ok: true; value: T } | { ok: false; problem: { what: Message } }): T => {
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};

describe.each(VERSIONS)('files of version %i', (version) => {
  const shopFile = opened(readShopFile(read(`shop-${version}.mesashop.json`)));

  test('open with every job, log entry and picture', () => {
    expect(shopFile.jobs.map((j) => j.id)).toEqual(JOBS[version]);
    expect(shopFile.shop.log.find((e) => e.id === 'log-fixture')).toMatchObject({ good: 5, spoiled: 1 });
    expect(shopFile.pictures).toHaveLength(1);
  });

  test('runs fold to the counts they had', () => {
    const folded = shopFile.shop.runs.map((run) => {
      const state = foldRun(run);
      const { through: piece, good, spoiled, ended, stepIndex } = state;
      const step = cycleOf(run)[stepIndex]?.id;
      return { piece, step, good, spoiled, ended, dwellsS: dwellsS(state) };
    });
    expect(folded).toEqual(RUNS);
  });

  test('every job has the seam method and the circumference its own version said', () => {
    for (const job of shopFile.jobs) {
      const made = plan(job, shopFile.shop);
      expect(made.blank.blank?.id).toBe(job.blankId);
      const said = SAID[job.id];
      if (!said) continue;
      const circumference = made.measure.figures.find((f) => f.id === 'measure.girth')?.quantity;
      expect([job.id, made.wrap.seamMethod]).toEqual([job.id, said[0]]);
      expect(circumference && 'value' in circumference ? circumference.value : 0).toBeCloseTo(said[1], 1);
    }
  });

  test('the job file opens to the job of the shop file', () => {
    const jobFile = opened(readJobFile(read(`job-${version}.mesajob.json`)));
    expect(jobFile.job).toEqual(shopFile.jobs.find((j) => j.id === jobFile.job.id));
  });

  test('written again they say the same', () => {
    const again = opened(readShopFile(fileText(shopFile)));
    expect(again).toEqual(shopFile);
  });
});

test('presses of version 5 keep time as they did, and have the one mat they had', () => {
  const presses = opened(readShopFile(read('shop-5.mesashop.json'))).shop.presses;
  const of = (id: string) => presses.find((p) => p.id === id);
  expect(of('tumbler-press-a')).toMatchObject({
    timer: 'own-from-closing',
    heaters: [{ lengthMm: 203, heightMm: 240, smallestDiameterMm: 62, largestDiameterMm: 90, taperMm: 0 }],
    power: { watts: null },
  });
  expect(of('mug-press')).toMatchObject({ timer: 'own-at-temperature' });
  expect(of('flat-press-a')).toMatchObject({ timer: 'by-hand', platenWidthMm: 400 });
});

test('what version 6 was the first to hold is still there', () => {
  const { shop, jobs } = opened(readShopFile(read('shop-6.mesashop.json')));
  expect(shop.presses.find((p) => p.id === 'flat-press-a')).toMatchObject({
    checks: [{ setC: 190, points: [{ readC: 186 }, { readC: 184 }, { readC: 179 }] }],
    timings: [{ lowestC: 178, backS: 66, load: { material: 'aluminium', pieces: 2 } }],
  });
  expect(shop.log.find((e) => e.id === 'log-fixture')?.load).toEqual({
    piecesAtOnce: 4,
    wasteSheets: 2,
    wasteKind: 'silicone',
    heatedFrom: 'blank',
    heaterId: null,
  });
  expect(jobs.find((j) => j.id === 'star-map-panel')?.load).toEqual({ wasteSheets: 2 });
  expect(shop.runs[0]?.events.filter((e) => e.kind === 'reading')).toEqual([
    { kind: 'reading', at: expect.any(Number) as number, what: 'lowest', operationId: 'close-1', readC: 171 },
  ]);
});

test('marks of before version 8 are points where they were; what version 8 was the first to hold is still there', () => {
  const before = JSON.parse(read('shop-7.mesashop.json')) as {
    shop: { log: { id: string; marks: { xMm: number; yMm: number }[] }[] };
  };
  const carried = opened(readShopFile(read('shop-7.mesashop.json'))).shop.log;
  for (const e of before.shop.log)
    expect(carried.find((c) => c.id === e.id)?.marks.map((m) => m.place)).toEqual(
      e.marks.map(({ xMm, yMm }) => ({ kind: 'point', xMm, yMm })),
    );
  const { shop, jobs } = opened(readShopFile(read('shop-8.mesashop.json')));
  expect(shop.log.find((e) => e.id === 'log-corrects')).toMatchObject({
    corrects: shop.log[0]?.id,
    by: 'Ines',
    cause: 'light-pressure',
    tried: 'too-short',
    lot: 'L7',
    replies: [{ question: 'corner-slips', answer: 'one-slips' }],
    lay: { on: 'platen', pieces: [{ piece: 1 }] },
  });
  expect(shop.presses.find((p) => p.kind === 'flat')).toMatchObject({
    flatness: [{ by: 'feeler', packedCardMm: 0.1 }],
  });
  expect(shop.blanks[0]?.costCents).toBe(420);
  expect(jobs[0]).toMatchObject({
    inspection: { cause: 'wet-print', lot: 'L8' },
    ladder: { on: 'strips', rungs: [{ dwellS: 60 }] },
  });
});

test('shops of before version 9 have the usual hours and an empty shelf; what version 9 was the first to hold is still there', () => {
  const before = opened(readShopFile(read('shop-8.mesashop.json')));
  expect(before.shop.settings.day).toMatchObject({ hands: 1, circuits: [], breaks: [{ name: 'Lunch' }] });
  expect(before.books).toEqual({ items: [], movements: [], quotes: [] });
  expect(before.jobs[0]).toMatchObject({
    day: { pins: [] },
    sell: { way: 'counter' },
    finish: { packed: 0 },
  });
  const { shop, jobs, books } = opened(readShopFile(read('shop-9.mesashop.json')));
  expect(shop.settings.day.circuits).toMatchObject([
    { ratingA: 20, pressIds: ['mug-press', 'tumbler-press-a'] },
  ]);
  expect(shop.settings.money).toMatchObject({ payHourCents: 2000, terms: 'Half on order.' });
  expect(jobs[0]).toMatchObject({
    day: { dueAtMin: 900, pins: [{ pressId: 'mug-press' }] },
    sell: { customer: 'Hill observatory', priceCents: 2200 },
    finish: { done: ['box'], packed: 1, hanger: { fromTopMm: 42 } },
  });
  expect(books.items).toMatchObject([{ leftOver: 'charged', lots: [{ lot: 'L8', poor: true }] }]);
  expect(books.movements.map((m) => m.kind)).toEqual(['counted', 'ordered', 'pressed']);
  expect(books.quotes).toMatchObject([
    { number: 1, totalCents: 4400, history: [{ state: 'made' }, { state: 'sent' }] },
  ]);
});

test('there is a fixture of every version, today’s included', () => {
  expect(SHOP_FILE.version).toBe(VERSIONS.length);
});

test('blanks of version 1, as file and as table, open to the same blanks, measures and all', () => {
  const file = opened(readBlanksJson(read('blanks-1.mesablanks.json')));
  const table = opened(readBlanksCsv(read('blanks-1.csv')));
  expect(table).toEqual(file.blanks);
  const tumbler = file.blanks.find((b) => b.id === 'straight-steel-590')?.shape;
  const raw = JSON.parse(read('blanks-1.mesablanks.json')) as {
    blanks: { shape: { sections?: { acrossMm: number }[] } }[];
  };
  const widths = raw.blanks[0]?.shape.sections?.map((s) => s.acrossMm);
  expect(tumbler?.kind === 'round' && tumbler.sections.map((s) => s.diameterMm)).toEqual(widths);
});
