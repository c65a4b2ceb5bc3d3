import { inEnglish } from '@/words/inEnglish';
import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { contourArea } from '../../geometry/contour';
import type { Shop } from '../../shop/shop';

import { figureById, plan } from '../plan';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string): Job => jobs.find((j) => j.id === id) as Job;

const planned = (id: string, sheet: Partial<Job['sheet']> = {}, rest: Partial<Job> = {}) => {
  const job = find(id);
  return plan({ ...job, ...rest, sheet: { ...job.sheet, ...sheet } }, shop);
};
const figureOf = (p: ReturnType<typeof plan>, id: string) => {
  const f = figureById(p, `sheet.${id}`);
  if (!f) throw new Error(id);
  return { value: f.quantity.value, working: english.text(f.working), origin: f.origin };
};

test('how much of the paper becomes wrap: trimmed pieces over the paper printed', () => {
  const p = planned('constellation-mugs', { paperId: 'a4' });
  const { layout } = p.sheet;
  const trim = Math.abs(contourArea(p.wrap.pattern?.faces[0]?.trim ?? []));
  const pieces = find('constellation-mugs').pieces;
  expect(figureOf(p, 'used').value).toBeCloseTo(
    (pieces * trim) / ((layout?.sheetCount ?? NaN) * 210 * 297),
    9,
  );
});

test('sheets by area alone: never more than are taken, and named as what is left whole', () => {
  for (const paperId of ['a4', 'a3', 'a3-plus']) {
    const p = planned('constellation-mugs', { paperId });
    const said = /By area alone (\d+) sheets? would do, this takes (\d+)/.exec(figureOf(p, 'used').working);
    expect(Number(said?.[1])).toBeLessThanOrEqual(Number(said?.[2]));
    expect(Number(said?.[2])).toBe(p.sheet.layout?.sheetCount);
  }
});

test('off a roll, metres are shown instead of sheets', () => {
  const p = planned('constellation-mugs', { printerId: 'wide-printer', paperId: 'roll-24' });
  const { working } = figureOf(p, 'used');
  const said = /By area alone ([\d.]+) m would do, this takes ([\d.]+) m/.exec(working);
  expect(Number(said?.[1])).toBeLessThanOrEqual(Number(said?.[2]));
  expect(figureOf(p, 'paper').working).toBe('609.6 mm wide, off a roll, chosen');
});

test('full sheets and a last one that is not', () => {
  const at = (pieces: number) =>
    figureOf(planned('constellation-mugs', { paperId: 'a4' }, { pieces }), 'count');
  const per = Number(figureOf(planned('constellation-mugs', { paperId: 'a4' }), 'per').value);
  expect(at(per * 3)).toMatchObject({ value: 3, working: 'all full' });
  const more = at(per * 3 + 1);
  expect(more.value).toBe(4);
  expect(more.working).toBe('1 piece on the last');
});

test('a paper chosen is the person’s; one found is calculated, and why is said', () => {
  expect(figureOf(planned('constellation-mugs', { paperId: 'a3' }), 'paper')).toMatchObject({
    value: 'A3',
    origin: 'measured',
    working: '297 mm × 420 mm, chosen',
  });
  expect(figureOf(planned('constellation-mugs', { paperId: null }), 'paper')).toMatchObject({
    origin: 'calculated',
    working: expect.stringContaining('costs least of those that hold it') as string,
  });
  expect(figureOf(planned('star-map-panel', { paperId: null }), 'paper').working).toContain(
    'takes the fewest panels',
  );
});

test('who mirrors, and what to do about it in the driver: one says ON where the other says OFF', () => {
  expect(inEnglish(figureOf(planned('constellation-mugs', { mirrorBy: 'app' }), 'mirror'))).toMatchObject({
    value: 'this file',
    working: 'turn mirror OFF in the printer driver',
  });
  expect(inEnglish(figureOf(planned('constellation-mugs', { mirrorBy: 'driver' }), 'mirror'))).toMatchObject({
    value: 'the driver',
    working: 'turn mirror ON in the printer driver',
  });
});

test('panels are counted as panels', () => {
  const p = planned('star-map-panel', { paperId: 'a4' });
  expect(figureOf(p, 'per').value).toBe(p.sheet.layout?.perSheet);
  expect(inEnglish(figureById(p, 'sheet.per')?.quantity)).toMatchObject({ of: 'panel' });
  expect(figureOf(p, 'count').value).toBe(p.sheet.panels?.panels.length);
});

test('copy paper is named where it is used, and where the shop has none of it', () => {
  const [plain] = shop.papers;
  if (!plain) throw new Error('no papers');
  const findings = (papers: Shop['papers'], media: 'transfer' | 'copy') =>
    plan({ ...find('constellation-mugs'), practices: { media } }, { ...shop, papers })
      .sheet.findings.filter((f) => /copy-paper|no-media/.test(f.id))
      .map((f) => f.id);
  const copy = { ...plain, id: 'office', name: 'Office paper', media: 'copy' as const };
  expect(findings(shop.papers, 'transfer')).toEqual([]);
  expect(findings(shop.papers, 'copy')).toEqual(['sheet.no-media']);
  expect(findings([...shop.papers, copy], 'copy')).toEqual(['sheet.copy-paper']);
  expect(findings([...shop.papers, copy], 'transfer')).toEqual([]);
});
