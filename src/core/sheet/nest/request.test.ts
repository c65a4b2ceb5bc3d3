import { english } from '@/words/english';
import fc from 'fast-check';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { plan } from '../../plan/plan';
import { sizeRoundWrap } from '../../wrap/roundWrap';
import { wrapInput } from '../../wrap/testWraps';
import { exact } from '../../figures/uncertain';
import { layoutSheet, type SheetLayout } from '../layout';
import { layoutInput } from '../testSheets';
import { nestKey, quickNest, type NestRequest, type Nests } from './request';
import { nest } from './nest';
import { nestShape } from './shape';

/** A steep taper: cut as sectors, which lie closer turned into one another than in rows. */
const cone = sizeRoundWrap(
  wrapInput({ circumferenceTop: exact(150), circumferenceFoot: exact(100), slant: exact(60) }),
).pattern;
const placements = (pieces: number, nests?: Nests): SheetLayout => {
  const r = layoutSheet(layoutInput(cone, { pieces, nests }));
  if (!r.ok) throw new Error(english.text(r.problem.what));
  return r.value;
};
const answered = (asks: readonly NestRequest[]): Nests =>
  Object.fromEntries(asks.map((a) => [nestKey(a), nest(a.shapes, a.area)]));

test('with nothing found yet pieces lie in rows, and what might be better is wanted', () => {
  const rows = placements(30, {});
  expect(rows.wanted.length).toBeGreaterThan(0);
  expect(rows.sheets.reduce((n, s) => n + s.copies * s.placements.length, 0)).toBe(30);
  const boxes = rows.sheets[0]?.placements.map((s) => `${s.box.width} ${s.box.height}`);
  expect(new Set(boxes).size).toBe(1);
});

test('what was wanted, once found, is used and wanted no more; it never costs a sheet', () => {
  const rows = placements(30, {});
  const better = placements(30, answered(rows.wanted));
  expect(better.sheetCount).toBeLessThanOrEqual(rows.sheetCount);
  expect(better.perSheet).toBeGreaterThan(rows.perSheet);
  expect(better.sheets.reduce((n, s) => n + s.copies * s.placements.length, 0)).toBe(30);
  const still = answered([...rows.wanted, ...better.wanted]);
  expect(placements(30, still).wanted).toEqual([]);
});

test('without a cache of what was found it is looked for at once', () => {
  const now = placements(30);
  expect(now.wanted).toEqual([]);
  expect(now.sheetCount).toBeLessThanOrEqual(placements(30, {}).sheetCount);
});

test('a layout found for other pieces is not used', () => {
  const wrong = answered(placements(7, {}).wanted);
  expect(placements(30, wrong)).toEqual(placements(30, {}));
});

test('pieces whose rows already hold all that could fit want nothing', () => {
  expect(placements(1, {}).wanted).toEqual([]);
});

test('the key distinguishes all that matters, and nothing else', () => {
  const shape = (w: number, count: number) =>
    nestShape(
      [
        { x: 0, y: 0 },
        { x: w, y: 0 },
        { x: w, y: 10 },
        { x: 0, y: 10 },
      ],
      count,
    );
  const request = (w: number, count: number, gapMm: number, mayRotate: boolean): NestRequest => ({
    shapes: [shape(w, count)],
    area: { widthMm: 100, heightMm: 100, gapMm, mayRotate },
  });
  const args = fc.tuple(
    fc.integer({ min: 1, max: 3 }),
    fc.integer({ min: 1, max: 3 }),
    fc.constantFrom(0, 4),
    fc.boolean(),
  );
  fc.assert(
    fc.property(args, args, (a, b) => {
      const same = JSON.stringify(a) === JSON.stringify(b);
      return (nestKey(request(...a)) === nestKey(request(...b))) === same;
    }),
  );
  expect(quickNest(request(20, 5, 0, true))).toBe(quickNest(request(20, 5, 0, true)));
});

test('a plan on a screen ends where the same plan elsewhere does, once what it wants is found', () => {
  const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
  const job = jobs.find((j) => j.id === 'dome-beakers') as Job;
  const first = plan(job, shop, { nests: {} });
  const asks = first.sheet.layout?.wanted ?? [];
  const cache = Object.fromEntries(asks.map((a) => [nestKey(a), quickNest(a)]));
  const later = plan(job, shop, { nests: cache });
  expect(later.sheet.layout?.sheets).toEqual(plan(job, shop).sheet.layout?.sheets);
});

test('a layout nobody could find leaves pieces in their rows, and is asked for no more', () => {
  const none: Nests = Object.fromEntries(
    placements(30, {}).wanted.map((a) => [nestKey(a), { sheets: [], left: 1 }]),
  );
  const rows = placements(30, none);
  expect(rows.wanted).toEqual([]);
  expect(rows.sheets).toEqual(placements(30, {}).sheets);
});
