import { english } from '@/words/english';
import Papa from 'papaparse';
import { demoShop } from '../demo/demoShop';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { cutListCsv } from './cutList';
import { printPackageOf } from '../plan/sheet/printPackage';
import { manifestText } from './manifest';

const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string): Job => jobs.find((j) => j.id === id) as Job;
const NAMED = find('night-walk-tumblers');
const MUGS = find('constellation-mugs');
const PANEL = find('star-map-panel');

/** The list as another program reads it: pieces, then for a trimmer the cuts. */
function listOf(job: Job) {
  const p = plan(job, shop);
  const { layout, parts } = p.sheet;
  if (!layout) throw new Error('nothing laid out');
  const text = cutListCsv(layout, parts);
  const tables = text
    .split('\r\n\r\n')
    .map((t) =>
      Papa.parse<Record<string, string>>(t, { header: true, skipEmptyLines: true, delimiter: ',' }),
    );
  return {
    p,
    layout,
    text,
    pieces: tables[0]?.data ?? [],
    cuts: tables[1]?.data ?? [],
    errors: tables.flatMap((t) => t.errors),
  };
}

describe('the cut list', () => {
  test('has a row for every place, read without a complaint', () => {
    for (const job of [NAMED, MUGS, PANEL]) {
      const { layout, pieces, errors, text } = listOf(job);
      expect(errors).toEqual([]);
      expect(pieces).toHaveLength(layout.sheets.reduce((n, s) => n + s.placements.length, 0));
      expect(text.endsWith('\r\n')).toBe(true);
    }
  });

  test('places times prints are the pieces of the job', () => {
    const { pieces } = listOf(MUGS);
    expect(pieces.reduce((n, r) => n + Number(r.print), 0)).toBe(MUGS.pieces);
    expect(new Set(pieces.map((r) => r.job))).toEqual(new Set([MUGS.name]));
    // Alike on a sheet printed again and again: any of them.
    expect(pieces.every((r) => r.piece === 'any')).toBe(true);
  });

  test('each name once, in the order of the list', () => {
    const { p, pieces } = listOf(NAMED);
    expect(pieces.map((r) => r.name)).toEqual(p.art.pieces.map((x) => x.label));
    expect(pieces.map((r) => Number(r.piece))).toEqual(p.art.pieces.map((x) => x.number));
  });

  test('boxes lie on the paper, at their printed size to a hundredth', () => {
    const { p, pieces } = listOf(NAMED);
    const whole = p.wrap.pattern?.whole ?? { width: NaN, height: NaN };
    for (const r of pieces) {
      const [w, h] = [Number(r['width mm']), Number(r['height mm'])];
      const sides = Number(r['turned deg']) % 180 === 0 ? [w, h] : [h, w];
      expect(sides[0]).toBeCloseTo(whole.width, 2);
      expect(sides[1]).toBeCloseTo(whole.height, 2);
      expect(Number(r['left mm']) + w).toBeLessThan(p.sheet.paper?.widthMm ?? 0);
      expect(Number(r['top mm']) + h).toBeLessThan(p.sheet.paper?.heightMm ?? 0);
    }
  });

  test('panels are numbered; a wrap printed whole has none', () => {
    expect(listOf(PANEL).pieces.map((r) => r.panel)).toEqual(['1', '2']);
    expect(listOf(MUGS).pieces.every((r) => r.panel === '')).toBe(true);
  });

  test('a trimmer gets its cuts in order, from edge to edge of the stock; a knife none', () => {
    const trimmed: Job = { ...MUGS, sheet: { ...MUGS.sheet, paperId: 'a3', cut: 'trimmer' } };
    const { layout, cuts } = listOf(trimmed);
    expect(cuts).toHaveLength(layout.sheets.reduce((n, s) => n + s.cuts.length, 0));
    expect(cuts.length).toBeGreaterThan(0);
    for (const c of cuts) {
      const level = c['from top mm'] === c['to top mm'];
      const upright = c['from left mm'] === c['to left mm'];
      expect(level !== upright).toBe(true);
    }
    expect(listOf(MUGS).cuts).toEqual([]);
  });

  test('a job named like a formula stays a name', () => {
    const { pieces } = listOf({ ...MUGS, name: '=HYPERLINK("http://x","y"),1' });
    expect(pieces[0]?.job).toBe('\'=HYPERLINK("http://x","y"),1');
  });
});

describe('the manifest', () => {
  const shown = [{ name: 'a.pdf', what: 'all sheets', bytes: 10 }];
  const read = (job: Job) =>
    JSON.parse(
      manifestText(printPackageOf(job, plan(job, shop)), shown, '2026-11-26', english.text),
    ) as Record<string, unknown> & {
      sheets: { print: number; pieces: number }[];
    };

  test('says how to print it: paper, scale, who mirrors, who manages colour', () => {
    const m = read(MUGS);
    const p = plan(MUGS, shop);
    expect(m).toMatchObject({
      format: 'mesa-drift.print-package',
      version: 3,
      madeOn: '2026-11-26',
      job: MUGS.name,
      pieces: MUGS.pieces,
      scale: '100 %',
      printer: p.sheet.printer.name,
      ppi: p.sheet.printer.ppi,
      colourManagedBy: p.sheet.printer.colourBy,
      files: shown,
    });
    expect(m.mirror).toMatch(/OFF/);
    const byDriver = read({ ...MUGS, sheet: { ...MUGS.sheet, mirrorBy: 'driver' } });
    expect(byDriver.mirror).not.toBe(m.mirror);
  });

  test('prints times pieces add up', () => {
    expect(read(MUGS).sheets.reduce((n, s) => n + s.print * s.pieces, 0)).toBe(MUGS.pieces);
    expect(read(PANEL)).toMatchObject({ panels: 2, pieces: 1 });
  });

  test('a job without a layout has a manifest with no sheets', () => {
    expect(read({ ...MUGS, blankId: null })).toMatchObject({ sheets: [], wrapMm: null });
  });
});
