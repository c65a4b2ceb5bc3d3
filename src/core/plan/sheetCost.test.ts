import { demoShop } from '../demo/demoShop';
import type { Job } from '../job/job';
import { figureById, plan } from './plan';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') as Job;

test('paper by the sheet, ink by the square metre of wrap at the usual cover', () => {
  const p = plan({ ...JOB, pieces: 5, sheet: { ...JOB.sheet, paperId: 'a3' } }, shop);
  const { layout } = p.sheet;
  const { trim } = p.wrap.pattern ?? { trim: { width: NaN, height: NaN } };
  if (!layout) throw new Error('no layout');
  const paper = layout.sheetCount * 0.27;
  const ink = ((5 * trim.width * trim.height) / 1e6) * 9 * 1.1;
  expect(figureById(p, 'sheet.cost')?.quantity.value).toBe(`$${(paper + ink).toFixed(2)}`);
});

test('what a piece costs is a share of the whole for each finished piece, in however many panels it is printed', () => {
  const panel = jobs.find((j) => j.id === 'star-map-panel') as Job;
  const p = plan({ ...panel, pieces: 2, sheet: { ...panel.sheet, paperId: 'a4' } }, shop);
  expect(p.sheet.panels?.panels.length).toBeGreaterThan(3);
  const cost = figureById(p, 'sheet.cost');
  const all = Number(String(cost?.quantity.value).slice(1));
  const said = (cost?.working ?? []).map(String).join('');
  expect(Number(/; \$([\d.]+) a piece/.exec(said)?.[1])).toBeCloseTo(all / 2, 1);
});

test('area alone never asks for more than is taken, on sheets or a roll', () => {
  const wide = { ...JOB.sheet, printerId: 'wide-printer', paperId: 'roll-24' };
  for (const sheet of [{ ...JOB.sheet, paperId: 'a3-plus' }, wide]) {
    const { layout } = plan({ ...JOB, sheet }, shop).sheet;
    expect(layout?.bound.least).toBeLessThanOrEqual((layout?.bound.taken ?? 0) + 1e-9);
    expect(layout?.bound.least).toBeGreaterThan(0);
  }
});
