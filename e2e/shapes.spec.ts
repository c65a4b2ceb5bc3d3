import { readFileSync, writeFileSync } from 'node:fs';
import type { Page, TestInfo } from '@playwright/test';
import { address, expect, figure, foot, open, takeReading, test, otherFile, jobOn } from './app';

/** A new job on a blank of the library, found as a person would. */
const next = (page: Page, name: string) => page.getByRole('button', { name }).click();

async function patternFile(page: Page, info: TestInfo): Promise<string> {
  await page.keyboard.press('5');
  const download = page.waitForEvent('download');
  await otherFile(page, 'Pattern as SVG');
  const path = info.outputPath('pattern.svg');
  await (await download).saveAs(path);
  return readFileSync(path, 'utf8');
}

test('a tapered cup: two circumferences and a slope give two arcs from one centre', async ({
  bench: page,
}, info) => {
  await jobOn(page, 'tapered steel 590', '590 ml tapered steel');
  await page.keyboard.press('2');
  await takeReading(page, 'Circumference near the rim', '10 5/8 in');
  await takeReading(page, 'Circumference near the foot', '22.1 cm');
  await takeReading(page, 'Height of the wall', '190');
  await expect(figure(page, 'Taper towards the foot')).toContainText('48.9');
  await next(page, 'Size the wrap');
  await page.getByRole('radio', { name: 'Exact butt' }).click();
  await expect(figure(page, 'Edge curve')).toContainText('mm');
  await expect(figure(page, 'Arc radii')).toContainText('from one centre');
  await expect(page.getByRole('group', { name: /laid flat/ })).toBeVisible();

  // The front is moved along the paper, and undone.
  const front = page.getByRole('slider', { name: 'Front of the blank on the paper' });
  await front.focus();
  await front.press('ArrowRight');
  await expect(front).toHaveAttribute('aria-valuetext', /from the left end/);
  const moved = await front.getAttribute('aria-valuenow');
  await page.keyboard.press('Control+z');
  await expect(front).not.toHaveAttribute('aria-valuenow', moved ?? '');

  await page.getByRole('radio', { name: 'rectangle' }).click();
  await expect(foot(page)).toContainText('part or overlap by');
  await page.getByRole('radio', { name: 'cone', exact: true }).click();
  const svg = await patternFile(page, info);
  expect(svg.match(/ A [\d.]+ [\d.]+ 0 0 [01]/g)?.length).toBeGreaterThanOrEqual(4);
});

test('a tapered cup rolled up: turned, unrolled, seen from both hands', async ({ bench: page }) => {
  await open(page, '/job/night-walk-tumblers/wrap');
  await page.getByRole('radio', { name: 'On the blank' }).click();
  const stage = page.getByRole('slider', { name: /The blank, turned/ });
  await expect(stage.locator('canvas')).toBeVisible();
  await page.waitForTimeout(800);
  const shot = async () => (await stage.screenshot()).toString('base64');
  const ahead = await shot();
  await page.getByRole('button', { name: 'In the left hand' }).click();
  await page.waitForTimeout(500);
  expect(await shot()).not.toBe(ahead);
  await stage.focus();
  await stage.press('ArrowRight');
  await expect(stage).toHaveAttribute('aria-valuetext', 'turned 80 degrees');
  await page.getByRole('button', { name: 'Unroll it' }).click();
  await expect(page.getByRole('button', { name: 'Roll it up' })).toBeVisible();
  await expect(page.getByRole('slider', { name: 'rolled' })).toHaveValue('0');
});

test('where there is no WebGL, the front is drawn still', async ({ bench: page }) => {
  await page.addInitScript(() => {
    const get = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (
      this: HTMLCanvasElement,
      kind: string,
      ...rest: unknown[]
    ) {
      return kind.startsWith('webgl')
        ? null
        : (get as (...a: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof get;
  });
  await open(page, '/job/night-walk-tumblers/wrap');
  await page.getByRole('radio', { name: 'On the blank' }).click();
  await expect(page.getByText('draws no three dimensions')).toBeVisible();
  await expect(page.getByRole('img', { name: /from the front, with its picture/ })).toBeVisible();
});

test('a handled mug: from handle to handle, its marks, its own words for each seam method', async ({
  bench: page,
}) => {
  await jobOn(page, '325 ceramic mug', '325 ml ceramic mug');
  await page.keyboard.press('2');
  await takeReading(page, 'Circumference near the rim', '242');
  await takeReading(page, 'Circumference near the foot', '242');
  await takeReading(page, 'Height of the wall', '87');
  await takeReading(page, 'Width of the handle', '16');
  await next(page, 'Size the wrap');
  await page.getByRole('radio', { name: 'Overlap', exact: true }).click();
  await expect(foot(page)).toContainText('cannot overlap at a handle');
  await page.getByRole('radio', { name: 'Under' }).click();
  await expect(figure(page, 'Handle to handle')).toContainText('241.1');
  await expect(figure(page, 'Cut length')).toContainText('235.1');
  await expect(page.getByRole('listitem').filter({ hasText: 'opposite the handle' })).toContainText('117.6');
  await page.getByRole('button', { name: 'Mark', exact: true }).click();
  const mark = page.getByRole('slider', { name: 'Pencil mark' });
  await mark.focus();
  await mark.press('ArrowRight');
  await expect(mark).toHaveAttribute('aria-valuetext', /^61 mm|^60 mm/);
  await page.getByRole('button', { name: /Remove the mark/ }).click();
  await expect(mark).toHaveCount(0);
});

test('a bellied glass: circumferences down the wall, the band that lies flat, and the gap growing past it', async ({
  bench: page,
}) => {
  await jobOn(page, 'bellied glass', '400 ml bellied glass');
  await page.keyboard.press('2');
  await takeReading(page, 'Circumference near the rim', '234');
  await page.getByRole('button', { name: /Another circumference/ }).click();
  await takeReading(page, 'Circumference 30 mm down', '256');
  await page.getByRole('button', { name: /Another circumference/ }).click();
  await takeReading(page, 'Circumference 58 mm down', '268');
  await page.getByRole('button', { name: /Another circumference/ }).click();
  await takeReading(page, 'Circumference 86 mm down', '259');
  await takeReading(page, 'Circumference near the foot', '228');
  await takeReading(page, 'Height of the wall', '106');
  await next(page, 'Size the wrap');
  await expect(figure(page, 'Worst lift')).toContainText('dye crosses 0.15 mm');
  const bare = await figure(page, 'Flat height').innerText();
  await page.getByRole('combobox', { name: 'Paper held by' }).click();
  await page.getByRole('option', { name: /sleeve/ }).click();
  await expect(figure(page, 'Worst lift')).toContainText('dye crosses 0.5 mm');
  expect(await figure(page, 'Flat height').innerText()).not.toBe(bare);

  const edge = page.getByRole('slider', { name: 'Wrap edge at the foot' });
  await edge.focus();
  for (let i = 0; i < 3; i += 1) await edge.press('Shift+ArrowDown');
  await page.getByRole('textbox', { name: 'to, below the rim' }).fill('104');
  await expect(foot(page)).toContainText('off the wall at');
  await page.getByRole('button', { name: 'Reset to the flat form' }).click();
  await expect(foot(page)).toContainText('Paper cannot stretch');
});

const STAR = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><script>throw 1</script>
<path d="M50 0 L62 36 L100 36 L69 58 L80 95 L50 73 L20 95 L31 58 L0 36 L38 36 Z"/><circle cx="50" cy="14" r="3"/></svg>`;

test('a two-sided ornament from an SVG file: outline, hole, fold, both faces', async ({
  bench: page,
}, info) => {
  await page.goto(`${address()}/blanks`);
  await page.getByRole('button', { name: 'New blank' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name' }).fill('canyon star');
  await dialog.getByRole('radio', { name: 'From a drawing' }).click();
  const bring = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    await dialog.getByLabel('Outline file').setInputFiles(path);
  };
  await bring('eight.svg', STAR.replace(/M50 0[^Z]*Z/, 'M0 0 L100 100 L100 0 L0 100 Z'));
  await expect(dialog.getByRole('alert').first()).toContainText('crosses itself');
  await bring('star.svg', STAR);
  await dialog.getByLabel(/Its real width/).fill('80');
  await dialog.getByRole('button', { name: 'Use this width' }).click();
  await expect(dialog.getByRole('status')).toContainText('1 hole');
  await expect(dialog.getByRole('status')).toContainText('Left out: a script');
  await dialog.getByRole('radio', { name: 'both faces' }).click();
  await dialog.getByLabel('Family').selectOption('ornament');
  await dialog.getByLabel('Material').selectOption('hardboard');
  await dialog.getByLabel('Thickness, mm').fill('3');
  await dialog.getByRole('button', { name: 'Save blank' }).click();
  await expect(dialog).toHaveCount(0);

  await jobOn(page, 'canyon star', 'canyon star');
  await page.keyboard.press('2');
  await takeReading(page, 'Overall width', '80');
  await takeReading(page, 'Overall height', '76');
  await next(page, 'Size the wrap');
  await expect(figure(page, 'Offset between faces, maximum')).toBeVisible();
  await expect(page.getByText('fold here')).toBeVisible();
  await page.getByRole('radio', { name: 'top', exact: true }).click();
  const svg = await patternFile(page, info);
  expect(svg).toContain('id="trim-back"');
  expect(svg).toContain('id="fold"');
  expect(svg).toContain('id="stay-clear-1"');
});

test('a stone wrapped over its edges: thickness and turn-in past every edge', async ({ bench: page }) => {
  await jobOn(page, 'trail marker', 'slate trail marker');
  await expect(foot(page)).toContainText('Dangerous to touch');
  await page.keyboard.press('2');
  await takeReading(page, 'Overall width', '150');
  await takeReading(page, 'Overall height', '90');
  await next(page, 'Size the wrap');
  // 7 mm of edge and 8 mm turned in: 150 + 2 × 15 by 90 + 2 × 15.
  await expect(figure(page, 'Picture, one face')).toContainText('180');
  await page.getByLabel('Turned over the back').fill('12');
  await expect(figure(page, 'Picture, one face')).toContainText('188');
  await page.getByRole('radio', { name: 'Bleed past the edge' }).click();
  await expect(foot(page)).toContainText('rough edge');
  await expect(figure(page, 'Picture, one face')).toContainText('158');
});

test('a pen: a barrel open at both ends, in the oven by wound tape', async ({ bench: page }) => {
  await jobOn(page, 'pen aluminium', 'ball pen, aluminium barrel');
  await page.keyboard.press('2');
  const circumference = page.getByRole('region', { name: 'Circumference near the rim' });
  await circumference.getByRole('combobox').first().click();
  await page.getByRole('option', { name: 'caliper' }).click();
  await takeReading(page, 'Circumference near the rim', '10.4');
  await expect(figure(page, 'Circumference near the rim')).toContainText('32.7');
  await takeReading(page, 'Circumference near the foot', '33');
  await takeReading(page, 'Height of the wall', '86');
  await next(page, 'Size the wrap');
  await expect(figure(page, 'Cut height')).toContainText('83');
  await page.keyboard.press('6');
  await page.getByRole('radio', { name: 'Bench oven' }).click();
  await expect(figure(page, 'Pressure')).toContainText('tape');
});

test('the library: found, copied, handed on as JSON and CSV, brought back', async ({ bench: page }, info) => {
  await page.goto(`${address()}/blanks`);
  await page.getByRole('searchbox').fill('slate');
  await page.getByRole('button', { name: 'Duplicate slate oval' }).click();
  await page.getByRole('button', { name: 'Save blank' }).click();
  await expect(page.getByText('slate oval 180 × 120, copy')).toBeVisible();
  for (const kind of ['JSON', 'CSV']) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: new RegExp(`as ${kind}`) }).click();
    const path = info.outputPath(`blanks.${kind.toLowerCase()}`);
    await (await download).saveAs(path);
    await page.getByLabel('Blanks file').setInputFiles(path);
    const told = page.getByText('0 of 6 blanks were new');
    await expect(told).toBeVisible();
    // Gone again, so that the next one is the next file’s own.
    await expect(told).toHaveCount(0, { timeout: 20_000 });
  }
  const broken = info.outputPath('broken.csv');
  writeFileSync(broken, 'name,kind,family\nmy cup,round,mug\n');
  await page.getByLabel('Blanks file').setInputFiles(broken);
  await expect(page.getByText(/Row 2 \(my cup\)/)).toBeVisible();
});

test('the printer measured: two bars typed back, sheets compensated', async ({ bench: page }) => {
  await page.goto(`${address()}/papers`);
  await page
    .getByRole('row', { name: /A3\b/ })
    .getByRole('button', { name: 'Measure print scale' })
    .first()
    .click();
  const dialog = page.getByRole('dialog');
  const download = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Calibration page' }).click();
  expect((await download).suggestedFilename()).toBe('calibration-a3.pdf');
  await dialog.getByLabel(/Across the sheet, as printed/).fill('200');
  await dialog.getByLabel(/Along the feed, as printed/).fill('384');
  await dialog.getByRole('button', { name: 'Save measurements' }).click();
  await expect(dialog.getByRole('alert')).toContainText('fit to page');
  await dialog.getByLabel(/Across the sheet, as printed/).fill('259');
  await dialog.getByRole('button', { name: 'Save measurements' }).click();
  await expect(page.getByText('99.62 % across')).toBeVisible();
});
