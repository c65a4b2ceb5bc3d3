import { english } from '@/words/english';
import { demoShop } from '../../demo/demoShop';
import type { Job } from '../../job/job';
import { flatten } from '../../geometry/contour';
import { figureById, plan } from '../plan';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') as Job;

const money = (text: unknown): number => Math.round(Number(/\$([\d.]+)/.exec(String(text))?.[1]) * 100);
const centsOf = (f: ReturnType<typeof figureById>): number | null =>
  f?.quantity.kind === 'money' && f.quantity.currency === '$' ? f.quantity.value : null;
const words = (f: ReturnType<typeof figureById>): string => (f ? english.text(f.working) : '');

test('paper by the sheet, ink by the square metre that is printed, bleed and all, at the usual cover', () => {
  const p = plan({ ...JOB, pieces: 5, sheet: { ...JOB.sheet, paperId: 'a3' } }, shop);
  const { layout } = p.sheet;
  const { bleed } = p.wrap.pattern ?? { bleed: { width: NaN, height: NaN } };
  if (!layout) throw new Error('no layout');
  const paper = layout.sheetCount * 27;
  const ink = Math.round(((5 * bleed.width * bleed.height) / 1e6) * 900 * 1.1);
  expect(centsOf(figureById(p, 'sheet.cost'))).toBe(paper + ink);
  expect(words(figureById(p, 'sheet.cost'))).toMatch(/until the picture is analysed/);
});

test('a star is paid for in ink as far as its bleed reaches', () => {
  const star = jobs.find(
    (j) =>
      j.blankId !== null &&
      shop.blanks.some(
        (b) => b.id === j.blankId && b.shape.kind === 'flat' && b.shape.outline.form === 'star',
      ),
  );
  if (!star) throw new Error('no star among the jobs');
  const p = plan(star, shop);
  const pattern = p.wrap.pattern;
  if (!pattern || !p.sheet.layout) throw new Error('no sheet');
  // Gauss’s area of each face’s bleed, by its corners.
  const areaOf = (ring: readonly { readonly x: number; readonly y: number }[]) =>
    Math.abs(
      ring.reduce((a, q, i) => {
        const r = ring[(i + 1) % ring.length] ?? q;
        return a + (q.x * r.y - r.x * q.y) / 2;
      }, 0),
    );
  const each = pattern.faces.reduce((a, f) => a + areaOf(flatten(f.bleed, 0.01)), 0);
  expect(p.sheet.layout.inkMm2 / (star.pieces * each)).toBeCloseTo(1, 2);
});

test('sums shown add up to the cent, on a roll too', () => {
  for (const pieces of [1, 3, 7, 19, 24]) {
    const sheet = { ...JOB.sheet, printerId: 'wide-printer', paperId: 'roll-24' };
    const cost = figureById(plan({ ...JOB, pieces, sheet }, shop), 'sheet.cost');
    const [paper, ink] = [...words(cost).matchAll(/\$[\d.]+/g)].map((m) => money(m[0]));
    expect(centsOf(cost)).toBe((paper ?? NaN) + (ink ?? NaN));
  }
});

test('what a piece costs is a share of the whole for each finished piece, in however many panels it is printed', () => {
  const panel = jobs.find((j) => j.id === 'star-map-panel') as Job;
  const p = plan({ ...panel, pieces: 2, sheet: { ...panel.sheet, paperId: 'a4' } }, shop);
  expect(p.sheet.panels?.panels.length).toBeGreaterThan(3);
  const cost = figureById(p, 'sheet.cost');
  const all = (centsOf(cost) ?? NaN) / 100;
  const said = cost ? english.text(cost.working) : '';
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
