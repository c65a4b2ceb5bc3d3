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
  kept(page, info, 'sheets.pdf', () => page.getByRole('button', { name: 'Save PDF' }).click());

test('24 names on a taper: list, proof, bend, sheets, and everything in one ZIP', async ({
  bench: page,
}, info) => {
  await open(page, '/job/night-walk-tumblers/art');
  await page.getByRole('button', { name: 'Names, 24' }).click();
  const dialog = page.getByRole('dialog');
  const list = dialog.getByRole('textbox', { name: 'The list' });
  await list.fill('"Amaro\nBrisa');
  await expect(dialog.getByRole('alert')).toContainText('quote mark');
  const csv = info.outputPath('guides.csv');
  const rows = Array.from({ length: 23 }, (_, i) => `Guide ${i + 1};1`);
  writeFileSync(csv, `Name;Copies\r\n${rows.join('\r\n')}\r\n=Wren;1\r\n`);
  await dialog.getByLabel('List file').setInputFiles(csv);
  await expect(dialog).toContainText('Columns are separated by semicolons');
  await expect(dialog).toContainText('1 cell begins like a formula');
  await dialog.getByRole('button', { name: 'Keep these, 24 pieces' }).click();
  await page.getByRole('radio', { name: 'Proof' }).click();
  await expect(page.getByRole('button', { name: /24 =Wren/ })).toBeVisible();
  await page.getByRole('button', { name: /2 Guide 2$/ }).click();
  await page.getByRole('radio', { name: 'Layout' }).click();
  await expect(page.getByRole('slider', { name: 'Text “Guide 2”. Arrow keys move it' })).toBeVisible();
  await page.getByRole('radio', { name: 'True', exact: true }).click();
  await page.getByRole('radio', { name: 'Curved' }).click();
  await expect(page.getByRole('img', { name: 'The art bent to the paper' })).toBeVisible();

  await page.keyboard.press('5');
  await expect(figure(page, 'Print')).toContainText('24');
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
  await page.getByRole('button', { name: 'Right of handle' }).click();
  await page.getByRole('button', { name: 'Moon band', exact: true }).click();
  await page.getByRole('button', { name: 'Left of handle' }).click();
  const svg = info.outputPath('star.svg');
  writeFileSync(
    svg,
    '<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="20mm" viewBox="0 0 20 20" onload="document.title=\'owned\'"><script>document.title="owned"</script><circle cx="10" cy="10" r="8" fill="#c8371b"/></svg>',
  );
  await page.getByLabel('Picture file').setInputFiles(svg);
  const left = page.getByRole('dialog', { name: /Not all of star\.svg is printed/ });
  await expect(left).toContainText('a script');
  await left.getByRole('button', { name: 'Keep it as it is printed' }).click();
  await expect(page.getByRole('complementary')).toContainText('4800 × 4800 px');
  expect(await page.title()).not.toBe('owned');
  await page.getByRole('button', { name: 'Remove this layer' }).click();
  await page.getByRole('radio', { name: 'Pressed' }).click();
  await expect(page.getByText('Printed and dry: dull, and right')).toBeVisible();
  await page.getByRole('radio', { name: 'from the front' }).click();
  await expect(page.getByRole('img', { name: 'The pressed piece from the front' })).toBeVisible();
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
  await expect(page.getByText('2 panels a piece', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Find the path' }).click();
  await expect(page.getByText(/^The join (hides|shows)/)).toBeVisible({ timeout: 30_000 });
  const pdf = await savePdf(page, info);
  expect(run('pdfinfo', [pdf])).toMatch(/Pages:\s+2/);
  expect(run('pdftotext', [pdf, '-'])).toContain('panel 2 of 2');
  await page.getByRole('button', { name: 'Test print' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('slider', { name: /Steel rule/ })).toBeVisible({ timeout: 30_000 });
  await dialog.getByRole('button', { name: 'What should I measure?' }).click();
  await expect(dialog.getByRole('status')).toContainText('The bar 100 mm for 100 mm');
  await dialog.getByRole('checkbox', { name: '“fit to page” left on' }).check();
  await expect(dialog.getByRole('status')).toContainText('The bar 98.2 mm for 100 mm');
  await dialog.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('combobox', { name: 'Printer' }).click();
  await page.getByRole('option', { name: 'Wide printer' }).click();
  await page.getByRole('combobox', { name: 'Paper' }).click();
  await page.getByRole('option', { name: /^24 in roll, / }).click();
  await expect(page.getByText('Printed whole.')).toBeVisible();
  await expect(figure(page, 'Paper').first()).toContainText('24 in roll');
});

test('a panel too big for A4 both ways: a grid, its map, and a sheet as PNG the same as its PDF in another reader', async ({
  bench: page,
}, info) => {
  await open(page, '/job/star-map-panel/sheet');
  await page.getByRole('combobox', { name: 'Paper' }).click();
  await page.getByRole('option', { name: /^A4,/ }).click();
  await page.getByRole('radio', { name: 'straight' }).click();
  await expect(page.getByText('8 panels a piece', { exact: true })).toBeVisible();
  await page.getByText('Order of placing and taping').click();
  await expect(page.getByText(/row by row, left to right/)).toBeVisible();
  await page.getByRole('button', { name: 'Sheet after' }).click();
  await expect(page.getByRole('img', { name: 'On this sheet: panel 2 of 8' })).toBeVisible();
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
  await page.getByLabel('Replace picture').setInputFiles(path);
  await expect(page.getByRole('complementary')).toContainText('600 × 600 px');
  await expect(page.getByRole('combobox', { name: 'Which face' })).toContainText('the back');
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
  await page.getByRole('combobox', { name: 'Paper' }).click();
  await page.getByRole('option', { name: /^A4,/ }).click();
  const inPanels = page.getByRole('button', { name: 'Print it in panels' });
  await inPanels.click();
  await page.getByRole('radio', { name: 'straight' }).click();
  await expect(page.getByText('2 panels a piece', { exact: true })).toBeVisible();
  await page.getByText('Order of placing and taping').click();
  await expect(page.getByText(/Slide panel 2 under that edge/)).toBeVisible();
  await expect(foot(page)).toContainText('must measure 100 mm');
  const csv = await kept(page, info, 'cuts.csv', () => otherFile(page, 'Cut list as CSV'));
  expect(readFileSync(csv, 'utf8')).toMatch(/Star party crew tumblers.*,2,/);
  await page.getByRole('group', { name: 'Prints it whole' }).getByRole('button').first().click();
  await page.getByRole('combobox', { name: 'Paper' }).click();
  await page.getByRole('option', { name: /^A3\+,/ }).click();
  await page.getByRole('button', { name: 'Share sheets' }).click();
  await page.getByRole('checkbox', { name: 'Slate trail markers' }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'With 1 more' })).toBeVisible();
  await page.getByRole('radio', { name: 'a trimmer' }).click();
  const pdf = await savePdf(page, info);
  expect(run('pdftotext', [pdf, '-'])).toContain('Star party crew tumblers + Slate');
});

test('papers and printers: a printer kept, its tiny mirror page, margins larger than the paper', async ({
  bench: page,
}, info) => {
  await openJobs(page);
  await page.getByRole('link', { name: 'Papers', exact: true }).click();
  await page.getByRole('button', { name: 'Change Desk printer' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Ink limit, %' }).fill('9000');
  await dialog.getByRole('button', { name: 'Save printer' }).click();
  await expect(dialog.getByRole('alert')).toContainText('from 100 to 400');
  await dialog.getByRole('textbox', { name: 'Ink limit, %' }).fill('240');
  await dialog.getByRole('button', { name: 'Save printer' }).click();
  await expect(dialog).toBeHidden();
  const pdf = await kept(page, info, 'mirror.pdf', () =>
    page.getByRole('button', { name: 'Mirror test page' }).first().click(),
  );
  expect(run('pdftotext', [pdf, '-'])).toMatch(/Reads right: driver mirror is OFF/);
});
