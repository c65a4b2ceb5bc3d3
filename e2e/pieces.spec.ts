import { fixedPart, says } from './words';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import type { Page, TestInfo } from '@playwright/test';
import { paintPng, quarters } from '../src/core/formats/testPicture';
import { expect, figure, foot, open, openJobs, otherFile, test } from './app';

const run = (cmd: string, args: readonly string[]) => execFileSync(cmd, [...args], { encoding: 'utf8' });

async function kept(page: Page, info: TestInfo, name: string, act: () => Promise<void>): Promise<string> {
  const download = page.waitForEvent('download');
  await act();
  const path = info.outputPath(name);
  await (await download).saveAs(path);
  return path;
}

const savePdf = (page: Page, info: TestInfo) =>
  kept(page, info, 'sheets.pdf', () => page.getByRole('button', { name: says('sheet.savePdf') }).click());

test('24 names on a taper: list, proof, bend, sheets, and everything in one ZIP', async ({
  bench: page,
}, info) => {
  await open(page, '/job/night-walk-tumblers/art');
  await page.getByRole('button', { name: says('art.names', { pieces: '24' }) }).click();
  const dialog = page.getByRole('dialog');
  const list = dialog.getByRole('textbox', { name: says('art.theList') });
  await list.fill('"Amaro\nBrisa');
  await expect(dialog.getByRole('alert')).toContainText(fixedPart('files.quoteMarkOpensNever'));
  const csv = info.outputPath('guides.csv');
  const rows = Array.from({ length: 23 }, (_, i) => `Guide ${i + 1};1`);
  writeFileSync(csv, `Name;Copies\r\n${rows.join('\r\n')}\r\n=Wren;1\r\n`);
  await dialog.getByLabel(says('art.listFile')).setInputFiles(csv);
  await expect(dialog).toContainText('Columns are separated by semicolons');
  await expect(dialog).toContainText('1 cell begins like a formula');
  await dialog.getByRole('button', { name: says('art.keepThesePieces', { names: '24' }) }).click();
  await page.getByRole('radio', { name: says('art.proof') }).click();
  await expect(page.getByRole('button', { name: /24 =Wren/ })).toBeVisible();
  await page.getByRole('button', { name: /2 Guide 2$/ }).click();
  await page.getByRole('radio', { name: says('art.layout') }).click();
  await expect(
    page.getByRole('slider', { name: says('art.textArrowKeysMove', { set: 'Guide 2' }) }),
  ).toBeVisible();
  await page.getByRole('radio', { name: says('art.true'), exact: true }).click();
  await page.getByRole('radio', { name: says('art.curved') }).click();
  await expect(page.getByRole('img', { name: says('art.artBentPaper') })).toBeVisible();

  await page.keyboard.press('5');
  await expect(figure(page, says('sheet.print'))).toContainText('24');
  const zip = await kept(page, info, 'package.zip', () => otherFile(page, /Everything in a ZIP/));
  const files = unzipSync(readFileSync(zip));
  expect(Object.keys(files).sort()).toEqual([
    'cut-list.csv',
    'manifest.json',
    'night-walk-tumblers-pattern.svg',
    'night-walk-tumblers-piece.png',
    'night-walk-tumblers.pdf',
  ]);
  const text = (name: string) => new TextDecoder().decode(files[name]);
  expect(JSON.parse(text('manifest.json'))).toMatchObject({ pieces: 24, scale: '100 %' });
  expect(text('cut-list.csv')).toContain(',"\'=Wren",');
  const pdf = info.outputPath('names.pdf');
  writeFileSync(pdf, files['night-walk-tumblers.pdf'] ?? new Uint8Array());
  expect(run('pdfinfo', [pdf])).toMatch(/Pages:\s+24/);
  expect(run('pdftotext', ['-f', '3', '-l', '3', pdf, '-'])).toContain('3 Guide 3');
  // The bent picture is in the file once, however many pages show it.
  const images = run('pdfimages', ['-list', pdf])
    .split('\n')
    .slice(2)
    .filter((l) => / image /.test(l));
  expect(new Set(images.map((l) => l.trim().split(/\s+/)[10])).size).toBe(1);
  expect(Math.abs(Number(images[0]?.trim().split(/\s+/)[12]) - 300)).toBeLessThanOrEqual(1);
});

test('a two-picture mug: placed by the handle, an SVG made safe, seen pressed', async ({
  bench: page,
}, info) => {
  await open(page, '/job/constellation-mugs/art');
  await page.getByRole('button', { name: 'Comet', exact: true }).click();
  await page.getByRole('button', { name: says('art.rightHandle') }).click();
  await page.getByRole('button', { name: 'Moon band', exact: true }).click();
  await page.getByRole('button', { name: says('art.leftHandle') }).click();
  const svg = info.outputPath('star.svg');
  writeFileSync(
    svg,
    '<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="20mm" viewBox="0 0 20 20" onload="document.title=\'owned\'"><script>document.title="owned"</script><circle cx="10" cy="10" r="8" fill="#c8371b"/></svg>',
  );
  await page.getByLabel(says('art.pictureFile')).setInputFiles(svg);
  const left = page.getByRole('dialog', { name: /Not all of star\.svg is printed/ });
  await expect(left).toContainText(says('files.aScript'));
  await left.getByRole('button', { name: says('art.keepPrinted') }).click();
  await expect(page.getByRole('complementary')).toContainText('4800 × 4800 px');
  expect(await page.title()).not.toBe('owned');
  await page.getByRole('button', { name: says('art.removeLayer') }).click();
  await page.getByRole('radio', { name: says('art.pressed') }).click();
  await expect(page.getByText(says('art.printedDryDullRight'))).toBeVisible();
  await page.getByRole('radio', { name: says('art.fromFront') }).click();
  await expect(page.getByRole('img', { name: says('art.pressedPieceFromFront') })).toBeVisible();
  await page.keyboard.press('5');
  const pdf = await savePdf(page, info);
  const images = run('pdfimages', ['-list', pdf])
    .split('\n')
    .slice(2)
    .filter((l) => / image /.test(l));
  expect(new Set(images.map((l) => l.trim().split(/\s+/).slice(3, 5).join(' '))).size).toBe(2);
});

test('a large panel in two parts: the join looked for, and the print tried with a driver’s fault', async ({
  bench: page,
}, info) => {
  await open(page, '/job/star-map-panel/sheet');
  await expect(page.getByText(says('sheet.panelsPiece', { panels: '2' }), { exact: true })).toBeVisible();
  await page.getByRole('button', { name: says('sheet.findPath') }).click();
  await expect(page.getByText(/^The join (hides|shows)/)).toBeVisible({ timeout: 30_000 });
  const pdf = await savePdf(page, info);
  expect(run('pdfinfo', [pdf])).toMatch(/Pages:\s+2/);
  expect(run('pdftotext', [pdf, '-'])).toContain('panel 2 of 2');
  await page.getByRole('button', { name: says('sheet.testPrint') }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('slider', { name: fixedPart('sheet.steelRuleArrowKeys') })).toBeVisible({
    timeout: 30_000,
  });
  await dialog.getByRole('button', { name: says('sheet.whatShouldIMeasure') }).click();
  await expect(dialog.getByRole('status')).toContainText('The bar 100 mm for 100 mm');
  await dialog.getByRole('checkbox', { name: says('sheet.fitPageLeft') }).check();
  await expect(dialog.getByRole('status')).toContainText('The bar 98.2 mm for 100 mm');
  await dialog.getByRole('button', { name: says('press.done') }).click();
  await page.getByRole('combobox', { name: says('common.printer') }).click();
  await page.getByRole('option', { name: 'Wide printer' }).click();
  await page.getByRole('combobox', { name: says('common.paper') }).click();
  await page.getByRole('option', { name: /^24 in roll, / }).click();
  await expect(page.getByText(says('sheet.printedWhole'))).toBeVisible();
  await expect(figure(page, says('common.paper')).first()).toContainText('24 in roll');
});

test('a panel too big for A4 both ways: a grid, its map, and a sheet as PNG the same as its PDF in another reader', async ({
  bench: page,
}, info) => {
  await open(page, '/job/star-map-panel/sheet');
  await page.getByRole('combobox', { name: says('common.paper') }).click();
  await page.getByRole('option', { name: /^A4,/ }).click();
  await page.getByRole('radio', { name: 'straight' }).click();
  await expect(page.getByText(says('sheet.panelsPiece', { panels: '8' }), { exact: true })).toBeVisible();
  await page.getByText(says('sheet.orderPlacingTaping')).click();
  await expect(page.getByText(/row by row, left to right/)).toBeVisible();
  await page.getByRole('button', { name: says('sheet.sheetAfter') }).click();
  await expect(
    page.getByRole('img', { name: says('sheet.sheetPanel', { value: '2', panels: '8' }) }),
  ).toBeVisible();
  const pdf = await kept(page, info, 'two.pdf', () => otherFile(page, 'This sheet as PDF (2)'));
  const png = await kept(page, info, 'two.png', () => otherFile(page, /This sheet as PNG/));
  const meta = await sharp(png).metadata();
  expect([meta.width, meta.height, meta.density]).toEqual([2480, 3508, 300]);
  run('pdftoppm', ['-r', '300', '-png', '-singlefile', pdf, info.outputPath('read')]);
  const small = async (file: string) =>
    await sharp(file).resize(620, 877, { fit: 'fill' }).removeAlpha().greyscale().raw().toBuffer();
  const [ours, theirs] = [await small(png), await small(info.outputPath('read.png'))];
  const far = ours.filter((v, i) => Math.abs(v - (theirs[i] ?? 0)) > 60).length;
  // Two ways of smoothing part at edges by half a pixel of 300 to the inch: few of these larger ones may differ plainly.
  expect(far / ours.length).toBeLessThan(0.002);
});

test('a two-sided ornament: another picture on its back', async ({ bench: page }, info) => {
  await open(page, '/job/moon-and-star-ornaments/art');
  const path = info.outputPath('quarters.png');
  writeFileSync(path, paintPng(600, 600, quarters(600, 600)));
  await page.getByRole('button', { name: 'Star chart', exact: true }).click();
  await page.getByLabel(says('art.replacePicture')).setInputFiles(path);
  await expect(page.getByRole('complementary')).toContainText('600 × 600 px');
  await expect(page.getByRole('combobox', { name: says('art.whichFace') })).toContainText(
    says('art.theBack'),
  );
  await page.keyboard.press('5');
  const pdf = await savePdf(page, info);
  const kinds = run('pdfimages', ['-list', pdf])
    .split('\n')
    .slice(2)
    .filter((l) => / image /.test(l));
  expect(new Set(kinds.map((l) => l.trim().split(/\s+/).slice(3, 5).join('×')))).toEqual(
    new Set(['3000×1500', '600×600']),
  );
});

test('a wrap too large for A4: two panels, straight, in order; sheets shared with another job', async ({
  bench: page,
}, info) => {
  await open(page, '/job/star-party-tumblers/sheet');
  await page.getByRole('combobox', { name: says('common.paper') }).click();
  await page.getByRole('option', { name: /^A4,/ }).click();
  const inPanels = page.getByRole('button', { name: says('sheet.printPanels') });
  await inPanels.click();
  await page.getByRole('radio', { name: 'straight' }).click();
  await expect(page.getByText(says('sheet.panelsPiece', { panels: '2' }), { exact: true })).toBeVisible();
  await page.getByText(says('sheet.orderPlacingTaping')).click();
  await expect(page.getByText(/Slide panel 2 under that edge/)).toBeVisible();
  await expect(foot(page)).toContainText(says('sheet.mustMeasure', { length: '100 mm' }));
  const csv = await kept(page, info, 'cuts.csv', () => otherFile(page, 'Cut list as CSV'));
  expect(readFileSync(csv, 'utf8')).toMatch(/Star party crew tumblers.*,2,/);
  await page
    .getByRole('group', { name: says('sheet.printsWhole') })
    .getByRole('button')
    .first()
    .click();
  await page.getByRole('combobox', { name: says('common.paper') }).click();
  await page.getByRole('option', { name: /^A3\+,/ }).click();
  await page.getByRole('button', { name: says('sheet.shareSheets') }).click();
  await page.getByRole('checkbox', { name: 'Slate trail markers' }).check();
  await page.keyboard.press('Escape');
  await expect(
    page.getByRole('button', { name: says('sheet.withMore', { sharedJobIds: '1' }) }),
  ).toBeVisible();
  await page.getByRole('radio', { name: says('sheet.aTrimmer') }).click();
  const pdf = await savePdf(page, info);
  expect(run('pdftotext', [pdf, '-'])).toContain('Star party crew tumblers + Slate');
});

test('papers and printers: a printer kept, its tiny mirror page, margins larger than the paper', async ({
  bench: page,
}, info) => {
  await openJobs(page);
  await page.getByRole('link', { name: says('common.papers'), exact: true }).click();
  await page.getByRole('button', { name: says('blank.change', { blank: says('shop.deskPrinter') }) }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: says('shop.inkLimit') }).fill('9000');
  await dialog.getByRole('button', { name: says('shop.savePrinter') }).click();
  await expect(dialog.getByRole('alert')).toContainText('from 100 to 400');
  await dialog.getByRole('textbox', { name: says('shop.inkLimit') }).fill('240');
  await dialog.getByRole('button', { name: says('shop.savePrinter') }).click();
  await expect(dialog).toBeHidden();
  const pdf = await kept(page, info, 'mirror.pdf', () =>
    page
      .getByRole('button', { name: says('shop.mirrorTestPage') })
      .first()
      .click(),
  );
  expect(run('pdftotext', [pdf, '-'])).toMatch(/Reads right: driver mirror is OFF/);
});
