import { english } from '@/words/english';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { zlibSync } from 'fflate';
import Papa from 'papaparse';
import { apply } from '../geometry/affine';
import { bendRows, readyBend } from '../art/resample';
import { paint } from '../art/testPixels';
import { demoShop } from '../demo/demoShop';
import { NO_ART, pictureLayer, type PictureRef } from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { type Plan } from '../plan/planShape';
import { withPages } from '../plan/sheet/pages';
import { cutListCsv } from './cutList';
import { printPackageOf } from '../plan/sheet/printPackage';
import { manifestText } from './manifest';
import { pageSvg } from './pageSvg';
import { writePdf, type Raster } from './pdf';
import { BLUE, GOLD, GREEN, paintPng, quarters, RED, type Colour } from './testPicture';

/** Names, panels, two faces and bent art, as another PDF program (poppler) reads and draws them. */
const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const find = (id: string) => jobs.find((j) => j.id === id) as Job;
const font = (family: string, file: string) =>
  readFileSync(`node_modules/@fontsource/${family}/files/${file}.woff`);
const LABEL_FONT = font('barlow', 'barlow-latin-600-normal');
const folder = mkdtempSync(join(tmpdir(), 'mesa-pieces-'));
const run = (cmd: string, args: readonly string[]) => execFileSync(cmd, [...args], { encoding: 'utf8' });

const ref = (id: string, widthPx: number, heightPx: number): PictureRef => ({
  id,
  name: `${id}.png`,
  mime: 'image/png',
  widthPx,
  heightPx,
  orientation: 1,
  drawn: null,
});

async function write(
  name: string,
  p: Plan,
  files: Readonly<Record<string, Uint8Array>>,
  rasters: Readonly<Record<string, Raster>> = {},
): Promise<string> {
  const bytes = await writePdf({
    title: name,
    pages: withPages(p, english.text).sheet.pages,
    sources: withPages(p, english.text).sheet.sources,
    files,
    rasters,
    labelFont: LABEL_FONT,
    wordFonts: {
      hand: font('caveat', 'caveat-latin-700-normal'),
      book: font('lora', 'lora-latin-600-normal'),
    },
  });
  const path = join(folder, `${name}.pdf`);
  writeFileSync(path, bytes);
  return path;
}

function drawn(pdf: string, page: number, dpi: number) {
  const out = join(folder, `p${page}`);
  execFileSync('pdftoppm', [
    '-r',
    String(dpi),
    '-f',
    String(page),
    '-l',
    String(page),
    '-singlefile',
    pdf,
    out,
  ]);
  const ppm = readFileSync(`${out}.ppm`);
  const head = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(ppm.subarray(0, 40).toString('latin1'));
  const width = Number(head?.[1]);
  const start = head?.[0].length ?? 0;
  return (xMm: number, yMm: number): Colour => {
    const i = start + 3 * (Math.floor((yMm * dpi) / 25.4) * width + Math.floor((xMm * dpi) / 25.4));
    return [ppm[i] ?? 0, ppm[i + 1] ?? 0, ppm[i + 2] ?? 0];
  };
}
const near = (a: Colour, b: Colour, by = 14) => a.every((v, i) => Math.abs(v - (b[i] ?? 0)) <= by);

describe('24 pieces by name on a taper', () => {
  const job = find('night-walk-tumblers');
  const WORDS_ONLY: Job = {
    ...job,
    art: { ...job.art, layers: job.art.layers.filter((l) => l.kind === 'text') },
  };
  const p = plan(WORDS_ONLY, shop);

  test('each name is on its own piece, and beside it the number and the name to be read', async () => {
    const path = await write('names', p, {});
    expect(Number(/Pages:\s+(\d+)/.exec(run('pdfinfo', [path]))?.[1])).toBe(p.sheet.layout?.sheets.length);
    const names = job.art.names?.rows.map((r) => r[0] ?? '') ?? [];
    expect(names).toHaveLength(24);
    names.forEach((name, i) => {
      const text = run('pdftotext', ['-f', String(i + 1), '-l', String(i + 1), path, '-']);
      expect(text).toContain(`rim · ${i + 1} ${name}`);
      expect(text).toContain(`sheet ${i + 1} of 24`);
    });
    for (const line of run('pdffonts', [path])
      .split('\n')
      .slice(2)
      .filter((l) => l.trim() !== ''))
      expect(line).toMatch(/Identity-H\s+yes/);
  });

  test('the cut list says which name lies where, and the manifest how to print', () => {
    if (!p.sheet.layout) throw new Error('no layout');
    const rows = Papa.parse<Record<string, string>>(cutListCsv(p.sheet.layout, p.sheet.parts), {
      header: true,
      skipEmptyLines: true,
    }).data;
    expect(rows).toHaveLength(24);
    expect(rows.map((r) => r.name)).toEqual(job.art.names?.rows.map((r) => r[0]));
    expect(Number(rows[0]?.['width mm'])).toBeCloseTo(
      p.sheet.layout.sheets[0]?.placements[0]?.box.width ?? NaN,
      1,
    );
    const manifest = JSON.parse(
      manifestText(
        printPackageOf(job, p),
        [{ name: 'a.pdf', what: 'x', bytes: 3 }],
        '2026-11-24',
        english.text,
      ),
    );
    expect(manifest).toMatchObject({
      pieces: 24,
      mirror: 'Mirrored in this file: driver mirror OFF',
      scale: '100 %',
    });
  });
});

test('bent art goes in at the printer’s resolution, mirrored once, its colours on the right parts of the wall', async () => {
  const job: Job = { ...find('night-walk-tumblers'), pieces: 1 };
  const picture = ref('q', 700, 500);
  const p = plan({ ...job, art: { ...NO_ART, warp: 'true', layers: [pictureLayer('l', picture)] } }, shop);
  const [[key, source] = []] = Object.entries(withPages(p, english.text).sheet.sources);
  if (!key || source?.kind !== 'made') throw new Error('not bent');
  const pixels = paint(700, 500, quarters(700, 500));
  const perMm = 150 / 25.4;
  const ready = readyBend({
    source: pixels,
    tiles: source.tiles,
    bend: source.bend,
    area: source.area,
    perMm,
  });
  const rows = bendRows(ready, 0, ready.height);
  const [w, h] = [ready.width, ready.height];
  const rgb = new Uint8Array(h * (1 + 3 * w));
  const alpha = new Uint8Array(h * (1 + w));
  for (let y = 0; y < h; y += 1)
    for (let x = 0; x < w; x += 1) {
      const i = (y * w + x) * 4;
      rgb.set(rows.subarray(i, i + 3), y * (1 + 3 * w) + 1 + 3 * x);
      alpha[y * (1 + w) + 1 + x] = rows[i + 3] ?? 0;
    }
  const raster: Raster = { widthPx: w, heightPx: h, rgb: zlibSync(rgb), alpha: zlibSync(alpha) };
  const path = await write('bent', p, {}, { [key]: raster });
  const at = drawn(path, 1, 100);
  const placement = p.sheet.layout?.sheets[0]?.placements[0];
  const { pattern } = p.wrap;
  if (!placement || !pattern) throw new Error('no spot');
  const { trim } = pattern;
  const seen = (fx: number, fy: number) => {
    const q = apply(placement.matrix, { x: trim.x + fx * trim.width, y: trim.y + fy * trim.height });
    return at(q.x, q.y);
  };
  expect(near(seen(0.25, 0.25), RED)).toBe(true);
  expect(near(seen(0.75, 0.25), GREEN)).toBe(true);
  expect(near(seen(0.3, 0.75), BLUE)).toBe(true);
  expect(near(seen(0.7, 0.75), GOLD)).toBe(true);
  const list = run('pdfimages', ['-list', path]).split('\n').slice(2);
  const row = list.find((l) => l.includes(' image ')) ?? '';
  expect(Math.abs(Number(row.trim().split(/\s+/)[12]) - 150)).toBeLessThanOrEqual(1);
});

test('a panel too big: both parts printed, each to its join, nothing of the other’s beyond the overlap', async () => {
  const job = find('star-map-panel');
  const picture = ref('q', 600, 900);
  const p = plan(
    {
      ...job,
      sheet: { ...job.sheet, panels: { ...job.sheet.panels, join: 'straight' } },
      art: { ...NO_ART, layers: [pictureLayer('l', picture)] },
    },
    shop,
  );
  const panels = p.sheet.panels;
  if (!panels || !p.sheet.layout) throw new Error('no panels');
  expect(panels.panels).toHaveLength(2);
  const path = await write('panels', p, { q: paintPng(600, 900, quarters(600, 900)) });
  p.sheet.layout.sheets.forEach((sheet, i) => {
    const [placement] = sheet.placements;
    if (!placement) throw new Error('no spot');
    const at = drawn(path, i + 1, 60);
    const seen = (x: number, y: number) => {
      const q = apply(placement.matrix, { x, y });
      return at(q.x, q.y);
    };
    const join = panels.joins[0]?.atMm ?? NaN;
    // Panel 1 is the upper half (red, green), panel 2 the lower and the overlap above the join.
    if (i === 0) expect(near(seen(100, join - 150), RED)).toBe(true);
    else expect(near(seen(300, join + 150), GOLD)).toBe(true);
    expect(near(seen(100, join - 4), RED)).toBe(true);
    if (i === 0) expect(near(seen(100, join + 1.5), [255, 255, 255])).toBe(true);
    else expect(near(seen(100, join - 10), [255, 255, 255])).toBe(true);
  });
  expect(run('pdftotext', [path, '-'])).toMatch(/top · panel 1 of 2[^]*top · panel 2 of 2/);
});

test('two faces: the front picture on the front only, the back one on the back, each mirrored once', async () => {
  const job = { ...find('moon-and-star-ornaments'), pieces: 1 };
  const red = ref('red', 60, 60);
  const blue = ref('blue', 60, 60);
  const layers = [pictureLayer('a', red, { on: 'front' }), pictureLayer('b', blue, { on: 'back' })];
  const p = plan({ ...job, art: { ...NO_ART, layers } }, shop);
  const path = await write('faces', p, {
    red: paintPng(60, 60, () => RED),
    blue: paintPng(60, 60, () => BLUE),
  });
  const at = drawn(path, 1, 72);
  const placement = p.sheet.layout?.sheets[0]?.placements[0];
  const { pattern } = p.wrap;
  if (!placement || !pattern) throw new Error('no spot');
  for (const face of pattern.faces) {
    const m = apply(face.matrix, { x: pattern.trim.width / 2, y: pattern.trim.height / 2 });
    const q = apply(placement.matrix, m);
    expect(near(at(q.x, q.y), face.name === 'front' ? RED : BLUE)).toBe(true);
  }
});

test('the same page as SVG: true size, pictures inside once, names escaped', () => {
  const job = { ...find('constellation-mugs'), name: 'A <b> & "c"' };
  const p = withPages(plan(job, shop), english.text);
  const [page] = p.sheet.pages;
  if (!page) throw new Error('no page');
  const image = { mime: 'image/png', bytes: paintPng(2, 2, () => RED) };
  const images = Object.fromEntries(Object.keys(p.sheet.sources).map((k) => [k, image]));
  const svg = pageSvg({
    page,
    sources: p.sheet.sources,
    images,
    fonts: [],
    labelFont: new Uint8Array(3),
    title: job.name,
  });
  expect(svg).toContain(`width="${page.widthMm}mm"`);
  expect(svg.match(/<image /g)).toHaveLength(Object.keys(images).length);
  expect(svg.match(/<use /g)?.length).toBe(page.items.filter((i) => i.kind === 'picture').length);
  expect(svg).toContain('A &lt;b&gt; &amp;');
  const doc = join(folder, 'page.svg');
  writeFileSync(doc, svg);
  expect(svg).not.toMatch(/<b>/);
});
