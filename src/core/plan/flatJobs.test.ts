import { english } from '@/words/english';
import { apply, determinant } from '../geometry/affine';
import { demoShop } from '../demo/demoShop';
import { newJob, type Job, type Reading } from '../job/job';
import { patternSvg } from '../formats/svg';
import { LIBRARY } from '../library/library';
import type { Press } from '../shop/press';
import type { Shop } from '../shop/shop';

import { figureById, plan } from './plan';
import { withPages } from './sheet/pages';
import { operationWords } from '../operations/words';
import { contextOfPlan, preparationWords } from './press/operationWords';

/** Flat blanks from the press backwards: what the platen, the steps and the sheet make of them. */
const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const rule = (text: string): Reading[] => [{ id: 'r', text, bareUnit: 'mm', method: 'steel rule' }];
const EMPTY = newJob('e', 'e');
const jobOn = (blankId: string, w: string, h: string, over: Partial<Job> = {}): Job => ({
  ...EMPTY,
  id: 'flat',
  name: 'flat',
  blankId,
  readings: { ...EMPTY.readings, width: rule(w), height: rule(h) },
  pressId: 'flat-press-a',
  ...over,
});
const withPress = (change: Partial<Extract<Press, { kind: 'flat' }>>): Shop => ({
  ...shop,
  presses: shop.presses.map((p) => (p.kind === 'flat' ? { ...p, ...change } : p)),
});
const heat = (job: Job, s: Shop = shop) =>
  plan(job, s).heat.findings.map((f) => `${f.level} ${f.id} ${english.text(f.text)}`);
const steps = (job: Job) => preparationWords(plan(job, shop)).map((s) => english.text(s));
const cycle = (job: Job) => {
  const made = plan(job, shop);
  const context = contextOfPlan(made);
  if (!context) throw new Error('no heat');
  return made.press.cycle.map((o) => operationWords(o, context));
};

describe('the platen', () => {
  test('holds a panel of its size either way round, not a larger one', () => {
    expect(heat(jobOn('panel-200-300', '200', '300')).join()).not.toContain('heat.platen');
    expect(heat(jobOn('panel-400-600', '400', '600')).join()).toMatch(
      /blocker heat\.platen .*400 mm × 500 mm/,
    );
    const wide = withPress({ platenWidthMm: 600, platenHeightMm: 400 });
    expect(heat(jobOn('panel-400-600', '400', '600'), wide).join()).not.toContain('heat.platen');
  });
  test('a plaque thicker than it opens; a clamshell pinches thick pieces', () => {
    const plaque = jobOn('plaque-200-250', '200', '250');
    expect(heat(plaque, withPress({ openingMm: 12 })).join()).toMatch(/blocker heat\.opening .*16 mm thick/);
    expect(heat(plaque, withPress({ opens: 'clamshell' })).join()).toMatch(/warning heat\.pinch/);
    expect(
      heat(jobOn('panel-200-300', '200', '300'), withPress({ opens: 'clamshell' })).join(),
    ).not.toContain('pinch');
  });
  test('a flat press takes no cup and a mug press no panel', () => {
    const cup = { ...jobOn('mug-325', '1', '1'), readings: EMPTY.readings };
    expect(heat(cup).join()).toMatch(/heat\.unknown/);
    expect(heat(jobOn('panel-200-300', '200', '300', { pressId: 'mug-press' })).join()).toMatch(
      /heat\.unknown/,
    );
  });
});

describe('starting ranges in common use, a material each', () => {
  test.each([
    ['panel-200-300', '200', '300', [195, 205], [30, 95]],
    ['hardboard-panel-200-250', '200', '250', [190, 205], [55, 90]],
    ['frp-panel-200-300', '200', '300', [190, 205], [55, 80]],
    ['acrylic-badge', '75', '50', [180, 205], [50, 100]],
    ['slate-coaster', '100', '100', [180, 205], [300, 540]],
    ['tile-152', '152', '152', [195, 205], [300, 480]],
    ['steel-sheet-150-200', '150', '200', [190, 205], [60, 120]],
  ] as const)('%s', (id, w, h, c, s) => {
    const job = jobOn(id, w, h);
    expect(figureById(plan(job, shop), 'heat.platen')?.spread).toEqual(c);
    expect(figureById(plan(job, shop), 'heat.dwell')?.spread).toEqual(s);
    expect(plan(job, shop).heat.chosen?.settings.passes).toBe(1);
    expect(plan(job, shop).heat.chosen?.heaterReach).toBeNull();
  });
  test('hot stone and glass are never quenched', () => {
    const stone = jobOn('slate-coaster', '100', '100', { heat: { peel: 'quench' } });
    expect(heat(stone).join()).toMatch(/blocker heat\.quench Never quench slate/);
    const acrylic = jobOn('acrylic-badge', '75', '50', { heat: { peel: 'quench' } });
    expect(heat(acrylic).join()).toMatch(/warning heat\.quench/);
  });
});

describe('what the hands do', () => {
  test('one face: lint roller, face down on the picture, tape outside it', () => {
    const all = steps(jobOn('panel-200-300', '200', '300')).join('|');
    expect(all).toMatch(/protective film\|Lint roller.*\|Lay the blank face down.*\|Tape at two edges/);
    expect(all).not.toMatch(/Wrap tight|seam/);
  });
  test('two faces: folded on the ticks; board is dried first', () => {
    const all = steps(jobOn('ornament-star', '84', '80')).join('|');
    expect(all).toMatch(/Pre-press it bare.*\|Fold the sheet on its ticks/);
    const one = steps(
      jobOn('ornament-star', '84', '80', { wrap: { ...EMPTY.wrap, faces: 'front only' } }),
    ).join('|');
    expect(one).not.toContain('Fold the sheet');
  });
  test('stone: folded up over its edges, and a caution at the step where the hand is', () => {
    const job = jobOn('slate-trail-marker', '150', '90');
    expect(steps(job).join('|')).toMatch(/over the edges like wrapping a box/);
    const last = cycle(job);
    expect(last.map((s) => (s.caution ? english.text(s.caution) : '')).join()).toMatch(/ten minutes/);
    expect(last.map((s) => english.text(s.title)).join()).toMatch(/On the bed.*Lay it to cool/);
  });
  test('what leaves the press soft cools under weight', () => {
    const titles = cycle(jobOn('acrylic-badge', '75', '50')).map((s) => english.text(s.title));
    expect(titles.at(-1)).toMatch(/weight on it/);
  });
});

describe('the sheet of two faces', () => {
  const job = jobs.find((j) => j.id === 'moon-and-star-ornaments') as Job;
  const p = withPages(plan(job, shop), english.text);
  test('each piece carries its picture twice, each mirrored once', () => {
    const pictures = (p.sheet.pages[0]?.items ?? []).filter((i) => i.kind === 'picture');
    expect(pictures).toHaveLength(2 * (p.sheet.layout?.perSheet ?? 0));
    for (const i of pictures) if (i.kind === 'picture') expect(Math.sign(determinant(i.matrix))).toBe(-1);
  });
  test('no tick lies inside any printed shape', () => {
    const { pattern, layout } = { pattern: p.wrap.pattern, layout: p.sheet.layout };
    if (!pattern || !layout) throw new Error('no sheet');
    const box = pattern.whole;
    for (const placement of layout.sheets.flatMap((x) => x.placements))
      for (const t of pattern.ticks)
        for (const q of [t.from, t.to]) {
          const inside = q.x > box.x && q.x < box.x + box.width && q.y > box.y && q.y < box.y + box.height;
          expect(inside).toBe(false);
          expect(Number.isFinite(apply(placement.matrix, q).x)).toBe(true);
        }
  });
  test('the mark that says which edge is up says top, and the SVG holds both faces and the fold', () => {
    const texts = (p.sheet.pages[0]?.items ?? []).flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    expect(texts).toContain('top');
    expect(texts).not.toContain('rim');
    if (!p.wrap.pattern) throw new Error('no pattern');
    const svg = patternSvg(p.wrap.pattern, 'a <star> & "moon"');
    expect(svg).toContain('id="trim"');
    expect(svg).toContain('id="trim-back"');
    expect(svg).toContain('id="fold"');
    expect(svg).toContain('a &lt;star&gt; &amp; &quot;moon&quot;');
  });
});

test('bleed that hides a slip too seldom says so; a rough edge left bare is asked about', () => {
  const said = (job: Job) =>
    plan(job, shop)
      .wrap.findings.map((f) => `${f.id} ${english.text(f.text)}`)
      .join();
  expect(said(jobOn('panel-200-300', '200', '300', { wrap: { ...EMPTY.wrap, bleedMm: 1 } }))).toMatch(
    /wrap\.bleed 1 mm of bleed/,
  );
  expect(said(jobOn('panel-200-300', '200', '300'))).not.toContain('common.bleed');
  expect(said(jobOn('slate-coaster', '100', '100', { wrap: { ...EMPTY.wrap, edge: 'bleed' } }))).toContain(
    'wrap.rough',
  );
  expect(said(jobOn('slate-coaster', '100', '100', { wrap: { ...EMPTY.wrap, turnInMm: 60 } }))).toContain(
    'wrap.turn-in',
  );
});

test('cautions, needed parts and film of every blank of the library are shown at the blank', () => {
  for (const blank of LIBRARY) {
    const shown = plan({ ...EMPTY, blankId: blank.id }, shop).blank;
    const text = shown.findings.map((f) => english.text(f.text)).join('|');
    for (const c of blank.cautions) expect(text).toContain(c);
    if (blank.needs.length > 0) expect(text).toContain(blank.needs.join(', '));
    expect(shown.toPrepare).toHaveLength(blank.takeOff.length + (blank.film ? 1 : 0));
  }
});
