import { english } from '@/words/english';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { apply } from '../geometry/affine';
import { demoShop } from '../demo/demoShop';
import { NO_ART, textLayer } from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { withPages, type WholePlan } from '../plan/sheet/pages';
import { writePdf } from './pdf';

/** Where another PDF program (poppler) finds the words and the pages. */
const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const TUMBLERS = jobs.find((j) => j.id === 'star-party-tumblers');
const BEAKERS = jobs.find((j) => j.id === 'dome-beakers');
const font = (family: string, file: string) =>
  readFileSync(`node_modules/@fontsource/${family}/files/${file}.woff`);
const LABEL_FONT = font('barlow', 'barlow-latin-600-normal');
const CAVEAT = font('caveat', 'caveat-latin-700-normal');
const folder = mkdtempSync(join(tmpdir(), 'mesa-words-'));
const POINT_MM = 25.4 / 72;

async function write(name: string, job: Job): Promise<{ readonly path: string; readonly made: WholePlan }> {
  const made = withPages(plan(job, shop), english.text);
  const wordFonts = job.art.layers.some((l) => l.kind === 'text') ? { hand: CAVEAT } : {};
  const bytes = await writePdf({
    title: job.name,
    pages: made.sheet.pages,
    sources: {},
    files: {},
    rasters: {},
    labelFont: LABEL_FONT,
    wordFonts,
  });
  const path = join(folder, `${name}.pdf`);
  writeFileSync(path, bytes);
  return { path, made };
}

test('words are live text, as long as the plan says and where it says', async () => {
  if (!TUMBLERS) throw new Error('no demo job');
  const words = textLayer('w', 'Odalys', {
    font: 'hand',
    capHeightMm: 14,
    dxMm: -20,
    dyMm: 30,
    colour: '#203040',
    along: 'line',
  });
  const job: Job = {
    ...TUMBLERS,
    pieces: 1,
    art: { ...NO_ART, layers: [words] },
    sheet: { ...TUMBLERS.sheet, paperId: 'a3', mirrorBy: 'driver' },
  };
  const { path, made } = await write('text', job);
  const html = execFileSync('pdftotext', ['-bbox', path, '-'], { encoding: 'utf8' });
  const box = /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">Odalys<\/word>/.exec(
    html,
  );
  expect(box).not.toBeNull();
  const [xMin = 0, , xMax = 0] = (box ?? []).slice(1).map((v) => Number(v) * POINT_MM);
  const placedLayers = made.art.placedLayers[0];
  const set = placedLayers?.kind === 'text' ? placedLayers.set : null;
  const placement = made.sheet.layout?.sheets[0]?.placements[0];
  if (!set || !placement) throw new Error('not laid out');
  expect(xMax - xMin).toBeCloseTo(set.box.width, 0);
  expect(xMin).toBeCloseTo(apply(placement.plain, { x: set.box.x, y: set.box.y }).x, 0);
});

test('full sheets and a last one are two pages, each saying how many to print', async () => {
  if (!BEAKERS) throw new Error('no demo job');
  const job: Job = {
    ...BEAKERS,
    pieces: 11,
    art: NO_ART,
    sheet: { ...BEAKERS.sheet, paperId: 'a3' },
  };
  const { path, made } = await write('sheets', job);
  const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
  expect(Number(/Pages:\s+(\d+)/.exec(info)?.[1])).toBe(made.sheet.pages.length);
  const pageText = (n: number) =>
    execFileSync('pdftotext', ['-f', String(n), '-l', String(n), path, '-'], { encoding: 'utf8' });
  made.sheet.pages.forEach((page, i) => expect(pageText(i + 1)).toContain(`print ${page.copies}`));
  expect(made.sheet.pages.reduce((n, p) => n + p.copies, 0)).toBe(made.sheet.layout?.sheetCount);
});
