import { english } from '@/words/english';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PDFDocument, PDFName } from 'pdf-lib';
import { apply } from '../geometry/affine';
import { demoShop } from '../demo/demoShop';
import { NO_ART, pictureLayer, START_PLACEMENT, type Art, type PictureRef } from '../job/art';
import type { Job } from '../job/job';
import { plan } from '../plan/plan';
import { type Plan } from '../plan/planShape';
import { withPages } from '../plan/sheet/pages';
import type { Shop } from '../shop/shop';
import { userUnit, writePdf } from './pdf';
import { BLUE, GOLD, GREEN, paintPng, quarters, quartersJpeg, RED, type Colour } from './testPicture';

/** Every check here is made by another PDF program (poppler), not by the one that wrote the file. */
const { shop, jobs } = demoShop(new Date('2026-11-24T12:00:00Z'));
const TUMBLERS = jobs.find((j) => j.id === 'star-party-tumblers') as Job;
const LABEL_FONT = readFileSync('node_modules/@fontsource/barlow/files/barlow-latin-600-normal.woff');
const NARROW = readFileSync(
  'node_modules/@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff',
);
const folder = mkdtempSync(join(tmpdir(), 'mesa-pdf-'));

interface Raster {
  readonly width: number;
  readonly at: (x: number, y: number) => Colour;
  readonly perMm: number;
}

function raster(pdf: string, dpi: number, crop: readonly string[] = []): Raster {
  const out = join(folder, `page-${dpi}`);
  execFileSync('pdftoppm', ['-r', String(dpi), '-singlefile', ...crop, pdf, out]);
  const ppm = readFileSync(`${out}.ppm`);
  const head = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(ppm.subarray(0, 40).toString('latin1'));
  if (!head) throw new Error('not a PPM');
  const width = Number(head[1]);
  const start = head[0].length;
  const at = (x: number, y: number): Colour => {
    const i = start + 3 * (Math.floor(y) * width + Math.floor(x));
    return [ppm[i] ?? 0, ppm[i + 1] ?? 0, ppm[i + 2] ?? 0];
  };
  return { width, at, perMm: dpi / 25.4 };
}

const picture = (widthPx: number, heightPx: number, rest: Partial<PictureRef> = {}): PictureRef => ({
  id: 'p',
  name: 'quarters',
  mime: 'image/png',
  widthPx,
  heightPx,
  orientation: 1,
  drawn: null,
  ...rest,
});

const only = (ref: PictureRef): Art => ({ ...NO_ART, layers: [pictureLayer('p', ref)] });
const groundOf = (p: Plan) => {
  const placedLayers = p.art.placedLayers.find((l) => l.kind === 'picture');
  return placedLayers?.kind === 'picture' ? placedLayers.transform : null;
};

async function make(
  name: string,
  job: Job,
  withShop: Shop,
  bytes: Uint8Array,
): Promise<{ readonly path: string; readonly plan: Plan }> {
  const p = withPages(plan(job, withShop), english.text);
  const pdf = await writePdf({
    title: job.name,
    pages: p.sheet.pages,
    sources: p.sheet.sources,
    files: { p: bytes },
    rasters: {},
    labelFont: LABEL_FONT,
    wordFonts: job.art.layers.some((l) => l.kind === 'text') ? { narrow: NARROW } : {},
  });
  const path = join(folder, `${name}.pdf`);
  writeFileSync(path, pdf);
  return { path, plan: p };
}

const onA3 = (rest: Partial<Job> = {}): Job => ({
  ...TUMBLERS,
  pieces: 1,
  sheet: { ...TUMBLERS.sheet, paperId: 'a3' },
  ...rest,
});
const run = (cmd: string, args: readonly string[]) => execFileSync(cmd, [...args], { encoding: 'utf8' });
const near = (a: Colour, b: Colour, by = 12) => a.every((v, i) => Math.abs(v - (b[i] ?? 0)) <= by);

describe('a sheet as another program reads it', () => {
  let made: Awaited<ReturnType<typeof make>>;
  beforeAll(async () => {
    const ref = picture(960, 784);
    made = await make(
      'sheet',
      onA3({
        art: {
          ...TUMBLERS.art,
          layers: [pictureLayer('p', ref), ...TUMBLERS.art.layers.filter((l) => l.kind === 'text')],
        },
      }),
      shop,
      paintPng(960, 784, quarters(960, 784)),
    );
  });

  test('page size and boxes within 0.05 mm', () => {
    const info = run('pdfinfo', ['-box', made.path]);
    const box = (name: string) =>
      (new RegExp(`${name}:\\s+([\\d.-]+)\\s+([\\d.-]+)\\s+([\\d.-]+)\\s+([\\d.-]+)`).exec(info) ?? [])
        .slice(1)
        .map((v) => (Number(v) * 25.4) / 72);
    const [, , mediaW, mediaH] = box('MediaBox');
    expect(Math.abs((mediaW ?? 0) - 297)).toBeLessThan(0.05);
    expect(Math.abs((mediaH ?? 0) - 420)).toBeLessThan(0.05);
    const { pattern } = made.plan.wrap;
    if (!pattern) throw new Error('no pattern');
    for (const [name, rect] of [
      ['TrimBox', pattern.trim],
      ['BleedBox', pattern.bleed],
    ] as const) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = box(name);
      expect(Math.abs(x1 - x0 - rect.width)).toBeLessThan(0.05);
      expect(Math.abs(y1 - y0 - rect.height)).toBeLessThan(0.05);
    }
  });

  test('the printed ruler measures what it says within 0.05 mm', () => {
    const dpi = 1200;
    const strip = made.plan.sheet.layout?.sheets[0]?.strip.rect;
    if (!strip) throw new Error('no strip');
    const px = (mm: number) => String(Math.round((mm * dpi) / 25.4));
    const r = raster(made.path, dpi, [
      '-x',
      px(strip.x),
      '-y',
      px(strip.y + 3.6),
      '-W',
      px(102.5),
      '-H',
      px(3),
    ]);
    const dark = Array.from({ length: r.width }, (_, x) => x).filter((x) =>
      Array.from({ length: 130 }, (_, y) => r.at(x, y)).some((c) => c[0] < 128),
    );
    const length = ((dark[dark.length - 1] ?? 0) - (dark[0] ?? 0) + 1) / r.perMm;
    expect(Math.abs(length - 100)).toBeLessThan(0.05);
  });

  test('the picture is mirrored once, full size, in its place', () => {
    const r = raster(made.path, 150);
    const placement = made.plan.sheet.layout?.sheets[0]?.placements[0];
    const { pattern } = made.plan.wrap;
    if (!placement || !pattern) throw new Error('no spot');
    const { box } = placement;
    const onPage = (fx: number, fy: number) =>
      r.at((box.x + fx * box.width) * r.perMm, (box.y + fy * box.height) * r.perMm);
    // Seen on the blank, red is upper left; on the mirrored sheet it is upper right.
    expect(near(onPage(0.9, 0.12), RED)).toBe(true);
    expect(near(onPage(0.1, 0.12), GREEN)).toBe(true);
    expect(near(onPage(0.9, 0.88), BLUE)).toBe(true);
    expect(near(onPage(0.1, 0.88), GOLD)).toBe(true);
    // Colour runs to the very edge of the bleed and stops there.
    const edge = (mm: number) => r.at((box.x + mm) * r.perMm, (box.y + box.height / 4) * r.perMm);
    expect(near(edge(0.3), GREEN)).toBe(true);
    expect(near(edge(-0.3), [255, 255, 255])).toBe(true);
  });

  test('no mark inside the trim: every pixel there is one of the picture’s or the words’ colours', async () => {
    const plain = onA3({ art: only(picture(96, 78)) });
    const { path, plan: p } = await make(
      'plain',
      plain,
      shop,
      paintPng(96, 78, () => RED),
    );
    const r = raster(path, 200);
    const placement = p.sheet.layout?.sheets[0]?.placements[0];
    const { pattern } = p.wrap;
    if (!placement || !pattern) throw new Error('no spot');
    const a = apply(placement.plain, { x: 0, y: 0 });
    let strangers = 0;
    for (let y = a.y + 0.2; y < a.y + pattern.trim.height - 0.2; y += 0.3) {
      for (let x = a.x + 0.2; x < a.x + pattern.trim.width - 0.2; x += 0.3)
        if (!near(r.at(x * r.perMm, y * r.perMm), RED, 4)) strangers += 1;
    }
    expect(strangers).toBe(0);
    // And the marks are there, outside: dark pixels in the tick room above the bleed.
    const above = Array.from({ length: 2000 }, (_, i) =>
      r.at((placement.box.x + (i / 2000) * placement.box.width) * r.perMm, (placement.box.y - 1.5) * r.perMm),
    );
    expect(above.some((c) => c[0] < 160)).toBe(true);
  });

  test('fonts are embedded, the label can be read', () => {
    const fonts = run('pdffonts', [made.path])
      .split('\n')
      .slice(2)
      .filter((l) => l.trim() !== '');
    expect(fonts.length).toBe(2);
    for (const line of fonts) expect(line).toMatch(/Identity-H\s+yes/);
    const text = run('pdftotext', ['-layout', made.path, '-']);
    expect(text).toContain('Star party crew tumblers');
    expect(text).toContain('Mirrored in this file: driver mirror OFF');
    expect(text).toContain('must measure 100 mm');
  });

  test('pixels go in untouched, at the ppi the plan states within 1', () => {
    const row = run('pdfimages', ['-list', made.path]).split('\n')[2]?.trim().split(/\s+/) ?? [];
    expect(row.slice(3, 5)).toEqual(['960', '784']);
    const stated = groundOf(made.plan)?.ppi ?? 0;
    expect(Math.abs(Number(row[12]) - stated)).toBeLessThanOrEqual(1);
  });
});

test('left to the driver: not mirrored in the file, and the label says so', async () => {
  const job = onA3({
    sheet: { ...TUMBLERS.sheet, paperId: 'a3', mirrorBy: 'driver' },
    art: only(picture(96, 78)),
  });
  const { path, plan: p } = await make('driver', job, shop, paintPng(96, 78, quarters(96, 78)));
  const r = raster(path, 100);
  const box = p.sheet.layout?.sheets[0]?.placements[0]?.box ?? { x: 0, y: 0, width: 0, height: 0 };
  expect(near(r.at((box.x + 20) * r.perMm, (box.y + 20) * r.perMm), RED)).toBe(true);
  expect(run('pdftotext', [path, '-'])).toContain('driver mirror ON');
});

test('turned on its side, the rim edge lies to the right of the page and the mirror still happens once', async () => {
  const job: Job = {
    ...onA3(),
    sheet: { ...TUMBLERS.sheet, paperId: 'a4' },
    art: only(picture(96, 78)),
  };
  const { path, plan: p } = await make('turned', job, shop, paintPng(96, 78, quarters(96, 78)));
  expect(p.sheet.layout?.turned).toBe(true);
  const r = raster(path, 100);
  const box = p.sheet.layout?.sheets[0]?.placements[0]?.box ?? { x: 0, y: 0, width: 0, height: 0 };
  const at = (fx: number, fy: number) =>
    r.at((box.x + fx * box.width) * r.perMm, (box.y + fy * box.height) * r.perMm);
  // Mirrored (green upper left), then a quarter turn clockwise: green upper right, red lower right, gold upper left.
  expect(near(at(0.88, 0.1), GREEN)).toBe(true);
  expect(near(at(0.88, 0.9), RED)).toBe(true);
  expect(near(at(0.12, 0.1), GOLD)).toBe(true);
});

test.each([
  [1, RED],
  [3, GOLD],
  [6, BLUE],
  [8, GREEN],
])('a JPEG held by EXIF orientation %d prints as it is seen', async (orientation, upperLeftSeen) => {
  const [w, h] = orientation >= 5 ? [48, 64] : [64, 48];
  const ref = picture(w, h, { mime: 'image/jpeg', orientation });
  const job = onA3({
    sheet: { ...TUMBLERS.sheet, paperId: 'a3', mirrorBy: 'driver' },
    art: { ...NO_ART, layers: [pictureLayer('p', ref, { placement: { ...START_PLACEMENT, base: 'fit' } })] },
  });
  const { path, plan: p } = await make(`exif-${orientation}`, job, shop, quartersJpeg(orientation));
  const corner = groundOf(p)?.corners[0];
  const placement = p.sheet.layout?.sheets[0]?.placements[0];
  if (!corner || !placement) throw new Error('not placed');
  const inPage = apply(placement.plain, { x: corner.x + 6, y: corner.y + 6 });
  const r = raster(path, 100);
  expect(near(r.at(inPage.x * r.perMm, inPage.y * r.perMm), upperLeftSeen, 30)).toBe(true);
});

test('a picture with transparency is still printed in its colours', async () => {
  const job = onA3({ art: only(picture(60, 50)) });
  const { path, plan: p } = await make(
    'alpha',
    job,
    shop,
    paintPng(60, 50, () => BLUE, true),
  );
  const box = p.sheet.layout?.sheets[0]?.placements[0]?.box ?? { x: 0, y: 0, width: 0, height: 0 };
  const r = raster(path, 72);
  expect(near(r.at((box.x + 50) * r.perMm, (box.y + 50) * r.perMm), BLUE)).toBe(true);
});

test('a page longer than a PDF’s own units counts in larger ones, and is as long as it says', async () => {
  const [first] = withPages(plan(TUMBLERS, shop), english.text).sheet.pages;
  if (!first) throw new Error('no page');
  const page = { ...first, heightMm: 6100, items: first.items.filter((i) => i.kind === 'line') };
  expect(userUnit(first)).toBe(1);
  expect(userUnit(page)).toBe(2);
  const bytes = await writePdf({
    title: 'roll',
    pages: [page],
    sources: {},
    files: {},
    rasters: {},
    labelFont: LABEL_FONT,
    wordFonts: {},
  });
  const file = join(folder, 'roll.pdf');
  writeFileSync(file, bytes);
  const info = execFileSync('pdfinfo', ['-box', file]).toString();
  const box = /MediaBox:\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)/.exec(info);
  // ISO 32000-1, 14.11: the boxes are in the page’s units, here of two points.
  expect((Number(box?.[4]) * 2) / (72 / 25.4)).toBeCloseTo(6100, 0);
  expect(Number(box?.[4])).toBeLessThanOrEqual(14_400);
  const again = await PDFDocument.load(bytes);
  expect(String(again.getPage(0).node.get(PDFName.of('UserUnit')))).toBe('2');
});

test('a bent picture without its made pixels is refused, never drawn straight', async () => {
  const p = withPages(plan(TUMBLERS, shop), english.text);
  const ref = picture(4, 4);
  const made = {
    kind: 'made' as const,
    ref,
    tiles: [],
    bend: null,
    area: { x: 0, y: 0, width: 10, height: 10 },
  };
  const input = {
    title: 'x',
    pages: p.sheet.pages,
    files: { p: paintPng(4, 4, () => RED) },
    rasters: {},
    labelFont: LABEL_FONT,
    wordFonts: { narrow: NARROW },
  };
  await expect(writePdf({ ...input, sources: { k: made } })).rejects.toThrow(/“quarters” is bent/);
  await expect(writePdf({ ...input, files: {}, sources: { k: { kind: 'file', ref } } })).rejects.toThrow(
    /missing/,
  );
});
