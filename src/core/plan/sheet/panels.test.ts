import { type Message } from '@/core/message/message';
import { exactly } from '@/words/exactly';
import { demoShop } from '../../demo/demoShop';
import { pictureLayer } from '../../job/art';
import type { Job, Join } from '../../job/job';
import { figureById, plan } from '../plan';
import { type Plan } from '../planShape';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string): Job => {
  const job = jobs.find((j) => j.id === id);
  if (!job) throw new Error(id);
  return job;
};
const PANEL = find('star-map-panel');
const WIDE = find('constellation-mugs');

const on = (paperId: string | null, job = PANEL, panels: Partial<Job['sheet']['panels']> = {}): Job => ({
  ...job,
  sheet: { ...job.sheet, paperId, panels: { ...job.sheet.panels, ...panels } },
});
const panelsOf = (p: Plan) => {
  if (!p.sheet.panels) throw new Error('printed whole');
  return p.sheet.panels;
};
const said = (steps: readonly Message[]): string => steps.map((m) => exactly(m)).join('\n');

test('where no paper holds it, panels are made unasked, on the paper that takes the fewest', () => {
  const p = plan(on(null), shop);
  const panels = panelsOf(p);
  const fewest = shop.papers
    .filter((paper) => paper.kind === 'sheet')
    .flatMap((paper) => plan(on(paper.id), shop).sheet.panels?.panels.length ?? [])
    .reduce((a, b) => Math.min(a, b));
  expect(panels.panels).toHaveLength(fewest);
  expect(p.sheet.findings.filter((f) => f.level === 'blocker')).toEqual([]);
});

test('every panel fits its paper inside the margins, with its ticks, and each is on a sheet once', () => {
  for (const id of ['a4', 'a3', 'letter', 'tabloid']) {
    const p = plan(on(id), shop);
    const { layout, printer, parts, paper } = p.sheet;
    const seen = (layout?.sheets ?? []).flatMap((s) =>
      s.placements.map((placement) => parts[placement.part]?.panel),
    );
    expect([...seen].sort((a, b) => (a ?? 0) - (b ?? 0))).toEqual(panelsOf(p).panels.map((q) => q.number));
    for (const placement of (layout?.sheets ?? []).flatMap((s) => s.placements)) {
      expect(placement.box.x).toBeGreaterThanOrEqual(printer.marginsMm.left + 3 - 1e-9);
      expect(placement.box.x + placement.box.width).toBeLessThanOrEqual(
        (paper?.widthMm ?? 0) - printer.marginsMm.right - 3 + 1e-9,
      );
    }
  }
});

test('the whole wrap is printed: panels reach every edge of its bleed', () => {
  const p = plan(on('a4'), shop);
  const bleed = p.wrap.pattern?.whole ?? { x: NaN, y: NaN, width: NaN, height: NaN };
  const boxes = panelsOf(p).panels.map((q) => q.box);
  expect(Math.min(...boxes.map((b) => b.x))).toBeCloseTo(bleed.x, 9);
  expect(Math.min(...boxes.map((b) => b.y))).toBeCloseTo(bleed.y, 9);
  expect(Math.max(...boxes.map((b) => b.x + b.width))).toBeCloseTo(bleed.x + bleed.width, 6);
  expect(Math.max(...boxes.map((b) => b.y + b.height))).toBeCloseTo(bleed.y + bleed.height, 6);
});

describe('how to lay them is said for the cut they have', () => {
  const steps = (job: Job) => said(panelsOf(plan(job, shop)).steps);
  test('two side by side or one above the other', () => {
    expect(steps(on('a3-plus', PANEL, { join: 'straight' }))).toMatch(/Slide panel 2 under that edge/);
  });
  test('rows and columns', () => {
    const words = steps(on('a4', PANEL, { join: 'straight' }));
    expect(words).toMatch(/panels 2 to 8 row by row, left to right/);
    expect(words).toMatch(/after and below it/);
    expect(words).not.toMatch(/where its ink ends/);
  });
  test('a hidden join is trimmed where the ink ends', () => {
    expect(steps(on('a4', PANEL, { join: 'hidden' }))).toMatch(/where its ink ends/);
  });
});

describe('paths found', () => {
  const found = (job: Job): readonly Join[] => {
    const { forArt, joins } = panelsOf(plan(job, shop));
    return joins.map((j) => ({ forArt, index: j.index, offsMm: [2, -2, 1], shows: 10 + j.index }));
  };
  test('are kept for the art they were found in', () => {
    const job = on('a4');
    const kept = plan(on('a4', PANEL, { joins: [...found(job)] }), shop);
    expect(panelsOf(kept).joins.map((j) => j.shows)).toEqual(
      [10, 11, 12, 13].slice(0, panelsOf(kept).joins.length),
    );
    expect(kept.sheet.findings.some((f) => f.id.endsWith('join'))).toBe(false);
  });
  test('are asked for again when the picture moves, the overlap changes or the paper does', () => {
    const joins = [...found(on('a4'))];
    const moved = {
      ...PANEL,
      art: {
        ...PANEL.art,
        layers: PANEL.art.layers.map((l) =>
          l.kind === 'picture' ? { ...l, placement: { ...l.placement, dxMm: 1 } } : l,
        ),
      },
    };
    for (const job of [
      on('a4', moved, { joins }),
      on('a4', PANEL, { joins, overlapMm: 9 }),
      on('a3', PANEL, { joins }),
    ]) {
      const p = plan(job, shop);
      expect(panelsOf(p).joins.every((j) => j.shows === null)).toBe(true);
      expect(p.sheet.findings.some((f) => f.level === 'info' && said([f.text]).includes('hidden path'))).toBe(
        true,
      );
    }
  });
  test('a straight join wants none', () => {
    const p = plan(on('a4', PANEL, { join: 'straight' }), shop);
    expect(p.sheet.findings.some((f) => said([f.text]).includes('hidden path'))).toBe(false);
  });
});

test('two pictures with a gap between them: the join runs through it and nothing overlaps', () => {
  const picture = WIDE.art.layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : []))[0];
  if (!picture) throw new Error('the mugs carry pictures');
  const trim = plan(WIDE, shop).wrap.pattern?.trim ?? { width: NaN };
  const one = (id: string, dxMm: number) =>
    pictureLayer(id, picture, { placement: { base: 'fit', scale: 0.3, dxMm, dyMm: 0, rotationDeg: 0 } });
  const job: Job = {
    ...WIDE,
    art: { ...WIDE.art, layers: [one('left', -trim.width / 4), one('right', trim.width / 4)] },
    sheet: { ...WIDE.sheet, paperId: 'a4', panels: { ...WIDE.sheet.panels, way: 'panels' } },
  };
  const p = plan(job, shop);
  const panels = panelsOf(p);
  expect(panels.joins.map((j) => j.bare)).toEqual([true]);
  const [a, b] = panels.panels;
  expect((a?.box.x ?? 0) + (a?.box.width ?? 0)).toBeCloseTo(b?.box.x ?? NaN, 9);
  expect(said(panels.steps)).toMatch(/overlap of 0\.00 on/);
});

test('printed whole where a person wants it so: then it must fit, and what would is said', () => {
  const p = plan(on('a4', PANEL, { way: 'whole' }), shop);
  expect(p.sheet.panels).toBeNull();
  expect(p.sheet.layout).toBeNull();
  expect(p.sheet.findings.find((f) => f.level === 'blocker')).toBeDefined();
});

test('in panels though it would fit, because a person wants it so', () => {
  const tumblers = find('star-party-tumblers');
  const p = plan(on('a4', tumblers, { way: 'panels' }), shop);
  expect(panelsOf(p).panels.length).toBeGreaterThan(1);
  expect(p.sheet.options.length).toBeGreaterThan(0);
  expect(figureById(p, 'sheet.paper')?.quantity.value).toBe('A4');
});
