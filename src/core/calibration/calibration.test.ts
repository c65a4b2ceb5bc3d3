import { english } from '@/words/english';
import { apply } from '../geometry/affine';
import { demoShop, starterShop } from '../demo/demoShop';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { withPages } from '../plan/sheet/pages';
import type { Paper } from '../shop/paper';
import type { Shop } from '../shop/shop';
import { barsFor, scaleOf } from './calibration';
import { calibrationPage } from '../sheet/calibrationPage';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const JOB = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const A3 = shop.papers.find((p) => p.id === 'a3') as Paper;
const bar = (nominalMm: number, printedMm: number, pressedMm: number | null = null) => ({
  nominalMm,
  printedMm,
  pressedMm,
});
const withPaper = (paper: Paper): Shop => ({ ...shop, papers: [paper] });

test('an unmeasured printer is true to ± 0.25 %, and paper is taken not to shrink', () => {
  const s = scaleOf(A3);
  expect(s.known).toBe(false);
  expect(s.across).toMatchObject({ scale: 1, shrink: 0 });
  expect(s.across.scaleU).toBeCloseTo(0.0025 / Math.sqrt(3), 12);
  expect(scaleOf(null)).toEqual(s);
});

test('scale is printed over nominal, shrinkage what the heat took, each axis its own', () => {
  const s = scaleOf({ ...A3, calibration: { across: bar(250, 249, 248.5), along: bar(380, 381) } });
  expect(s.across.scale).toBeCloseTo(0.996, 12);
  expect(s.across.shrink).toBeCloseTo(1 - 248.5 / 249, 12);
  expect(s.along).toMatchObject({ scale: 381 / 380, shrink: 0, shrinkU: 0 });
  // Longer bars are known better: half a millimetre over the bar.
  expect(s.along.scaleU).toBeCloseTo(0.25 / Math.sqrt(3) / 380, 12);
  const grown = scaleOf({ ...A3, calibration: { across: bar(250, 249, 251), along: bar(380, 380, 380) } });
  expect(grown.across.shrink).toBe(0);
});

test('sheets are compensated: what is drawn times what the printer does is true', () => {
  const paper: Paper = { ...A3, calibration: { across: bar(250, 248), along: bar(380, 383) } };
  const { layout, pages } = withPages(plan({ ...JOB, pieces: 1 }, withPaper(paper)), english.text).sheet;
  const trim = plan({ ...JOB, pieces: 1 }, withPaper(paper)).wrap.pattern?.trim;
  if (!layout || !trim) throw new Error('no sheet');
  const placement = layout.sheets[0]?.placements[0];
  if (!placement) throw new Error('no spot');
  const printed = (x: number, y: number) => {
    const p = apply(placement.matrix, { x, y });
    return { x: (p.x * 248) / 250, y: (p.y * 383) / 380 };
  };
  const a = printed(0, 0);
  const b = printed(trim.width, 0);
  const c = printed(0, trim.height);
  expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeCloseTo(trim.width, 9);
  expect(Math.hypot(c.x - a.x, c.y - a.y)).toBeCloseTo(trim.height, 9);
  // The ruler on the sheet is compensated with it, so it measures what it says.
  const bars = (pages[0]?.items ?? []).filter((i) => i.kind === 'bar');
  const upright = layout.sheets[0]?.strip.upright;
  const k = upright ? 248 / 250 : 383 / 380;
  const length = bars.reduce(
    (sum, i) => sum + (i.kind === 'bar' ? i.rect.width * Math.hypot(i.matrix[0], i.matrix[1]) * k : 0),
    0,
  );
  expect(length).toBeCloseTo(100, 6);
});

test('a measured printer narrows the uncertainty; paper that shrinks is cut longer by as much', () => {
  const long = (s: Shop) => plan(JOB, s).wrap.round?.longFor19In20Mm ?? NaN;
  const measured: Paper = { ...A3, calibration: { across: bar(250, 250), along: bar(380, 380) } };
  expect(long(withPaper(measured))).toBeLessThan(long(withPaper(A3)));
  const shrinks: Paper = { ...A3, calibration: { across: bar(250, 250, 249), along: bar(380, 380, 378.48) } };
  const plain = plan(JOB, withPaper(measured));
  const grown = plan(JOB, withPaper(shrinks));
  const share = grown.sheet.layout?.turned ? 1 - 378.48 / 380 : 1 - 249 / 250;
  expect((grown.wrap.round?.closing.value ?? 0) * (1 - share)).toBeCloseTo(
    plain.wrap.round?.closing.value ?? NaN,
    9,
  );
});

test('the page carries both bars at plain size inside the margins of every paper', () => {
  for (const paper of starterShop().shop.papers) {
    const page = calibrationPage(paper, 3, english.text);
    const { acrossMm, alongMm } = barsFor(paper, 3);
    const lines = page.items.filter((i) => i.kind === 'line');
    const lengths = lines.map((l) =>
      l.kind === 'line' ? Math.hypot(l.to.x - l.from.x, l.to.y - l.from.y) : 0,
    );
    expect(lengths.some((v) => Math.abs(v - acrossMm) < 1e-9)).toBe(true);
    expect(lengths.some((v) => Math.abs(v - alongMm) < 1e-9)).toBe(true);
    for (const l of lines)
      if (l.kind === 'line')
        for (const p of [l.from, l.to]) {
          expect(p.x).toBeGreaterThanOrEqual(3);
          expect(p.x).toBeLessThanOrEqual(paper.widthMm - 3);
          expect(p.y).toBeGreaterThanOrEqual(3);
          expect(p.y).toBeLessThanOrEqual(paper.heightMm - 3);
        }
  }
});
