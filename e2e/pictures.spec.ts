import { fixedPart, says } from './words';
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import type { Page, TestInfo } from '@playwright/test';
import sharp, { type Sharp } from 'sharp';
import { BLUE, GOLD, GREEN, paintPng, quarters, RED } from '../src/core/formats/testPicture';
import { expect, open, test } from './app';

const QUARTERS = { RED, GREEN, BLUE, GOLD } as const;
const NAMES = ['RED', 'GREEN', 'BLUE', 'GOLD'] as const;
const upright = paintPng(960, 784, quarters(960, 784));

/** The mean position of each colour in a picture, 0 to 1 of its width and height from the upper left. */
async function placesOf(path: string): Promise<Record<string, readonly [number, number]>> {
  const { data, info } = await sharp(path).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const places: Record<string, readonly [number, number]> = {};
  for (const name of NAMES) {
    const colour = QUARTERS[name];
    let [n, sx, sy] = [0, 0, 0];
    for (let i = 0; i < data.length; i += 3)
      if (colour.every((c, k) => Math.abs(c - (data[i + k] ?? 0)) < 40)) {
        n++;
        sx += (i / 3) % info.width;
        sy += Math.floor(i / 3 / info.width);
      }
    places[name] = [sx / n / info.width, sy / n / info.height];
  }
  return places;
}

/** The first sheet as another program draws it. */
async function printed(page: Page, info: TestInfo, name: string): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: says('sheet.savePdf') }).click();
  const pdf = info.outputPath(`${name}.pdf`);
  await (await download).saveAs(pdf);
  execFileSync('pdftoppm', [
    '-r',
    '40',
    '-png',
    '-singlefile',
    '-f',
    '1',
    '-l',
    '1',
    pdf,
    info.outputPath(name),
  ]);
  return info.outputPath(`${name}.png`);
}

/** The art of a job of tumblers with its picture alone, chosen. */
async function withoutText(page: Page): Promise<void> {
  await open(page, '/job/star-party-tumblers/art');
  await page.getByRole('button', { name: '“Dry Fork star party”', exact: true }).click();
  await page.getByRole('button', { name: says('art.removeLayer') }).click();
  await page.getByRole('button', { name: 'Star chart', exact: true }).click();
}

/** How the pixels of the upright picture are stored under each value, so that a reader turns them upright (EXIF 2.3, 4.6.4). A mirror comes before a turn, in either order of the calls. */
const STORED: Readonly<Record<number, (s: Sharp) => Sharp>> = {
  1: (s) => s,
  2: (s) => s.flop(),
  3: (s) => s.rotate(180),
  4: (s) => s.flip(),
  5: (s) => s.flip().rotate(90),
  6: (s) => s.rotate(270),
  7: (s) => s.flip().rotate(270),
  8: (s) => s.rotate(90),
};

test('pictures stored turned or mirrored are printed upright, whatever their format', async ({
  bench: page,
}, info) => {
  test.setTimeout(240_000);
  await withoutText(page);
  const show = async (path: string) => {
    await page.keyboard.press('4');
    await page.getByLabel(says('art.replacePicture')).setInputFiles(path);
    await expect(page.getByRole('complementary')).toContainText('960 × 784 px');
    await page.keyboard.press('5');
  };
  const plain = info.outputPath('upright.png');
  writeFileSync(plain, upright);
  await show(plain);
  const wanted = await placesOf(await printed(page, info, 'sheet-upright'));
  const spread = new Set(NAMES.map((n) => wanted[n]?.map((v) => v.toFixed(1)).join()));
  expect(spread.size).toBe(4);
  const cases = [
    ...[1, 2, 3, 4, 5, 6, 7, 8].map((value) => ['webp', value] as const),
    ...(['png', 'tiff', 'jpeg'] as const).flatMap((format) => [[format, 5] as const, [format, 6] as const]),
  ];
  for (const [format, value] of cases) {
    const turned = STORED[value]?.(sharp(upright));
    const path = info.outputPath(`${format}-${value}.${format}`);
    // Two steps: a turn asked for with a format would be undone by the value written beside it.
    const pixels = (await turned?.png().toBuffer()) ?? Buffer.alloc(0);
    const made = sharp(pixels).withMetadata({ orientation: value });
    await (format === 'webp' ? made.webp({ lossless: true }) : made.toFormat(format)).toFile(path);
    await show(path);
    const got = await placesOf(await printed(page, info, `sheet-${format}-${value}`));
    for (const name of NAMES)
      for (const axis of [0, 1] as const)
        expect(
          Math.abs((got[name]?.[axis] ?? NaN) - (wanted[name]?.[axis] ?? NaN)),
          `${format} ${value}: ${name}`,
        ).toBeLessThan(0.01);
  }
});

const DRAWING = (
  extra: string,
): string => `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="240mm" height="196mm" viewBox="0 0 24 20">
<defs><style>.a{fill:#dc1414} .b{fill:url("#fade")}</style>
<linearGradient id="fade"><stop offset="0" stop-color="#14b428"/><stop offset="1" stop-color="#14b428"/></linearGradient>
<rect id="tile" width="12" height="10" fill="#1428c8"/></defs>
<rect class="a" width="12" height="10"/><rect x="12" width="12" height="10" fill="url('#fade')"/>
<use href="#tile" y="10"/><rect x="12" y="10" width="12" height="10" fill="#e6be1e"/>${extra}</svg>`;

test('an SVG drawing keeps its classes, references and repeats; what is left out is listed with both pictures', async ({
  bench: page,
}, info) => {
  const violations: string[] = [];
  page.on('console', (m) => {
    if (/Content Security Policy/i.test(m.text())) violations.push(m.text());
  });
  await withoutText(page);
  const importFile = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    await page.getByLabel(says('art.replacePicture')).setInputFiles(path);
  };
  await importFile('whole.svg', DRAWING(''));
  await expect(page.getByRole('complementary')).toContainText('4800 × 3920 px');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('5');
  const got = await placesOf(await printed(page, info, 'sheet'));
  for (const name of NAMES) for (const v of got[name] ?? [NaN]) expect(v, name).toBeGreaterThan(0);
  await page.keyboard.press('4');
  await importFile(
    'parts.svg',
    DRAWING(
      '<image href="http://127.0.0.1:9/far.png" width="4" height="4"/><foreignObject width="9" height="3"><p xmlns="http://www.w3.org/1999/xhtml">Mesa</p></foreignObject>',
    ),
  );
  const dialog = page.getByRole('dialog', { name: /Not all of parts\.svg is printed/ });
  await expect(dialog).toContainText(says('files.droppedOutside'));
  await expect(dialog).toContainText(fixedPart('files.droppedForeign'));
  await expect(dialog.getByRole('img', { name: says('art.wasDrawn') })).toBeVisible();
  await expect(dialog.getByRole('img', { name: says('art.asItIsPrinted') })).toBeVisible();
  await dialog.getByRole('button', { name: says('art.keepPrinted') }).click();
  await expect(dialog).toHaveCount(0);
  await importFile(
    'deep.svg',
    `<svg width="9" height="9">${'<g>'.repeat(50_000)}${'</g>'.repeat(50_000)}</svg>`,
  );
  await expect(page.getByText(fixedPart('files.svgDrawingNestedToo')).first()).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('4800 × 3920 px');
  expect(violations).toEqual([]);
});
