import { english } from '@/words/english';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { packingPages } from '../flatness/packingPages';
import { clipped } from '../geometry/tiles';
import { packingOf } from '../flatness/packing';
import { gapSurface } from '../flatness/surface';
import { ringArea } from './testRing';
import { chartsOf } from '../log/charts';
import { monthPage } from '../log/monthPage';
import { logRow } from '../log/rows';
import { entryOf, mark } from '../inspect/testInspections';
import { drawnPdf } from './drawnPdf';

const FONT = readFileSync('node_modules/@fontsource/barlow/files/barlow-latin-600-normal.woff');
const folder = mkdtempSync(join(tmpdir(), 'mesa-drawn-'));
const SIZE = { widthMm: 400, heightMm: 500 };
const surface = gapSurface(
  [20, 200, 380].flatMap((xMm) => [20, 250, 480].map((yMm) => ({ xMm, yMm, gapMm: (0.5 * xMm) / 400 }))),
  SIZE,
  0.01,
);
if (!surface) throw new Error('no surface');
const packing = packingOf(surface, SIZE, 0.1);

test('packing larger than a page goes over several, and their parts are the whole', () => {
  const pages = packingPages(packing, SIZE, 'Flat press A', english.text);
  expect(pages.length).toBeGreaterThan(packing.sheets.length);
  const ground = (number: number): number =>
    pages
      .filter((p) => p.words[0]?.text.includes(`sheet ${number} of`))
      .flatMap((p) => p.shapes.filter((s) => s.widthMm === 0.4))
      .reduce((sum, s) => sum + ringArea(s.points), 0);
  for (const s of packing.sheets) expect(ground(s.number) / s.areaMm2).toBeCloseTo(1, 2);
  for (const p of pages)
    for (const s of p.shapes)
      for (const q of s.points) {
        expect(q.x).toBeGreaterThanOrEqual(9.9);
        expect(q.x).toBeLessThanOrEqual(200.1);
        expect(q.y).toBeLessThanOrEqual(291.1);
      }
});

test('a ring is clipped to its tile as a hand would cut it', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
    { x: 0, y: 10 },
  ];
  expect(ringArea(clipped(square, { fromX: 5, fromY: -5, toX: 20, toY: 4 }))).toBeCloseTo(20, 9);
  expect(clipped(square, { fromX: 20, fromY: 0, toX: 30, toY: 10 })).toEqual([]);
});

test('the PDF is true to size and says what to do', async () => {
  const pages = packingPages(packing, SIZE, 'Flat press A', english.text);
  const path = join(folder, 'packing.pdf');
  writeFileSync(path, await drawnPdf('Packing', pages, FONT));
  const words = execFileSync('pdftotext', ['-bbox', path, '-'], { encoding: 'utf8' });
  expect(words).toContain('packing,');
  const svg = execFileSync('pdftocairo', ['-svg', '-f', '1', '-l', '1', path, '-'], { encoding: 'utf8' });
  // The bar of 100 mm is 283.46 points long in another program’s reading.
  const bar = [...svg.matchAll(/M ([\d.]+) ([\d.]+) L ([\d.]+) ([\d.]+)/g)]
    .map((m) => Math.abs(Number(m[3]) - Number(m[1])))
    .some((long) => Math.abs(long - (100 * 72) / 25.4) < 0.1);
  expect(bar).toBe(true);
});

test('the page of a month holds what its entries come to', async () => {
  const at = Date.UTC(2026, 10, 4);
  const rows = [
    entryOf('a', {
      at,
      good: 18,
      spoiled: 2,
      spoiledCostCents: 840,
      marks: [mark('ghost')],
      cause: 'moved-hot',
    }),
    entryOf('b', { at: at + 86_400_000, good: 9, spoiled: 1 }),
  ].map((e) => logRow(e, english.text));
  const page = monthPage(
    rows,
    chartsOf(rows, 0),
    {
      shopName: 'Dry Fork Bench',
      month: 'November 2026',
      currency: '$',
      nameOf: (id) => `named ${id}`,
      dayOf: (day) => new Date(day).toISOString().slice(0, 10),
    },
    english.text,
  );
  const path = join(folder, 'month.pdf');
  writeFileSync(path, await drawnPdf('Month', [page], FONT));
  const words = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' });
  expect(words).toContain('30 pieces pressed, 27 good, 3 spoiled: 90% good, in 2 entries.');
  expect(words).toMatch(/Ghosting\s+1 entry, paper moved while hot/);
  expect(words).toContain('named p');
  expect(words).toContain('$8.40, and 1 piece whose blank has no price.');
  for (const w of page.words) expect(w.y).toBeLessThan(290);
});
