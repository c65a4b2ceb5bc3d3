import { fixedPart, says } from './words';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page, TestInfo } from '@playwright/test';
import { paintPng } from '../src/core/formats/testPicture';
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
  await expect(figure(page, says('measure.taperTowardsFoot'))).toContainText('48.9');
  await next(page, 'Size the wrap');
  await page.getByRole('radio', { name: says('wrap.exactButt') }).click();
  await expect(figure(page, says('wrap.edgeCurve'))).toContainText('mm');
  await expect(figure(page, says('wrap.arcRadii'))).toContainText(fixedPart('wrap.fromOneCentrePiece'));
  await expect(page.getByRole('group', { name: /laid flat/ })).toBeVisible();

  // The front is moved along the paper, and undone.
  const front = page.getByRole('slider', { name: says('wrap.frontBlankPaper') });
  await front.focus();
  await front.press('ArrowRight');
  await expect(front).toHaveAttribute('aria-valuetext', /from the left end/);
  const moved = await front.getAttribute('aria-valuenow');
  await page.keyboard.press('Control+z');
  await expect(front).not.toHaveAttribute('aria-valuenow', moved ?? '');

  await page.getByRole('radio', { name: says('wrap.rectangle') }).click();
  await expect(foot(page)).toContainText(fixedPart('wrap.rectangleWallSizedWidest'));
  await page.getByRole('radio', { name: says('wrap.cone'), exact: true }).click();
  const svg = await patternFile(page, info);
  expect(svg.match(/ A [\d.]+ [\d.]+ 0 0 [01]/g)?.length).toBeGreaterThanOrEqual(4);
});

test('a tapered cup rolled up: turned, unrolled, seen from both hands', async ({ bench: page }) => {
  await open(page, '/job/night-walk-tumblers/wrap');
  await page.getByRole('radio', { name: says('common.onTheBlank') }).click();
  const stage = page.getByRole('slider', { name: fixedPart('wrap.blankTurnedDraggingArrow') });
  await expect(stage.locator('canvas')).toBeVisible();
  await page.waitForTimeout(800);
  const shot = async () => (await stage.screenshot()).toString('base64');
  const ahead = await shot();
  await page.getByRole('button', { name: says('wrap.leftHand') }).click();
  await page.waitForTimeout(500);
  expect(await shot()).not.toBe(ahead);
  await stage.focus();
  await stage.press('ArrowRight');
  await expect(stage).toHaveAttribute('aria-valuetext', 'turned 80 degrees');
  await page.getByRole('button', { name: says('wrap.unrollIt') }).click();
  await expect(page.getByRole('button', { name: says('wrap.rollUp') })).toBeVisible();
  await expect(page.getByRole('slider', { name: says('wrap.rolled') })).toHaveValue('0');
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
  await page.getByRole('radio', { name: says('common.onTheBlank') }).click();
  await expect(page.getByText(fixedPart('wrap.browserDrawsThreeDimensions'))).toBeVisible();
  await expect(page.getByRole('img', { name: fixedPart('wrap.fromFrontPicture') })).toBeVisible();
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
  await page.getByRole('radio', { name: says('wrap.overlap'), exact: true }).click();
  await expect(foot(page)).toContainText(fixedPart('wrap.endsCannotOverlapHandle'));
  await page.getByRole('radio', { name: says('wrap.under') }).click();
  await expect(figure(page, says('wrap.handleHandle'))).toContainText('241.1');
  await expect(figure(page, says('wrap.cutLength'))).toContainText('235.1');
  await expect(page.getByRole('listitem').filter({ hasText: says('wrap.oppositeHandle') })).toContainText(
    '117.6',
  );
  await page.getByRole('button', { name: says('wrap.mark'), exact: true }).click();
  const mark = page.getByRole('slider', { name: says('wrap.pencilMark') });
  await mark.focus();
  await mark.press('ArrowRight');
  await expect(mark).toHaveAttribute('aria-valuetext', /^61 mm|^60 mm/);
  await page.getByRole('button', { name: fixedPart('wrap.removeMark') }).click();
  await expect(mark).toHaveCount(0);
});

test('a bellied glass: circumferences down the wall, the band that lies flat, and the gap growing past it', async ({
  bench: page,
}) => {
  await jobOn(page, 'bellied glass', '400 ml bellied glass');
  await page.keyboard.press('2');
  await takeReading(page, 'Circumference near the rim', '234');
  await page.getByRole('button', { name: fixedPart('measure.anotherCircumferenceBellyWaist') }).click();
  await takeReading(page, 'Circumference 30 mm down', '256');
  await page.getByRole('button', { name: fixedPart('measure.anotherCircumferenceBellyWaist') }).click();
  await takeReading(page, 'Circumference 58 mm down', '268');
  await page.getByRole('button', { name: fixedPart('measure.anotherCircumferenceBellyWaist') }).click();
  await takeReading(page, 'Circumference 86 mm down', '259');
  await takeReading(page, 'Circumference near the foot', '228');
  await takeReading(page, 'Height of the wall', '106');
  await next(page, 'Size the wrap');
  await expect(figure(page, says('wrap.worstLift'))).toContainText('dye crosses 0.15 mm');
  const bare = await figure(page, says('wrap.flatHeight')).innerText();
  await page.getByRole('combobox', { name: says('common.paperHeld') }).click();
  await page.getByRole('option', { name: says('heat.sleeve') }).click();
  await expect(figure(page, says('wrap.worstLift'))).toContainText('dye crosses 0.5 mm');
  expect(await figure(page, says('wrap.flatHeight')).innerText()).not.toBe(bare);

  const edge = page.getByRole('slider', { name: says('wrap.wrapEdgeFoot') });
  await edge.focus();
  for (let i = 0; i < 3; i += 1) await edge.press('Shift+ArrowDown');
  await page.getByRole('textbox', { name: says('wrap.belowRim') }).fill('104');
  await expect(foot(page)).toContainText('off the wall at');
  await page.getByRole('button', { name: says('wrap.resetFlatForm') }).click();
  await expect(foot(page)).toContainText('Paper cannot stretch');
});

const STAR = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"><script>throw 1</script>
<path d="M50 0 L62 36 L100 36 L69 58 L80 95 L50 73 L20 95 L31 58 L0 36 L38 36 Z"/><circle cx="50" cy="14" r="3"/></svg>`;

test('a two-sided ornament from an SVG file: outline, hole, fold, both faces', async ({
  bench: page,
}, info) => {
  await page.goto(`${address()}/blanks`);
  await page.getByRole('button', { name: says('shop.newBlank') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: says('common.name') }).fill('canyon star');
  await dialog.getByRole('radio', { name: says('blank.fromDrawing') }).click();
  const importFile = async (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    await dialog.getByLabel(says('common.outlineFile')).setInputFiles(path);
  };
  await importFile('eight.svg', STAR.replace(/M50 0[^Z]*Z/, 'M0 0 L100 100 L100 0 L0 100 Z'));
  await expect(dialog.getByRole('alert').first()).toContainText(fixedPart('files.outlineCrossesItselfNear'));
  await importFile('star.svg', STAR);
  await dialog.getByLabel(fixedPart('blank.fileHasUnitReal')).fill('80');
  await dialog.getByRole('button', { name: says('blank.useWidth') }).click();
  await expect(dialog.getByRole('status')).toContainText('1 hole');
  await expect(dialog.getByRole('status')).toContainText('Left out: a script');
  await dialog.getByRole('radio', { name: says('art.bothFaces') }).click();
  await dialog.getByLabel(says('common.family')).selectOption('ornament');
  await dialog.getByLabel(says('common.material')).selectOption('hardboard');
  await dialog.getByLabel(says('common.thickness2', { units: 'mm' })).fill('3');
  await dialog.getByRole('button', { name: says('blank.saveBlank') }).click();
  await expect(dialog).toHaveCount(0);

  await jobOn(page, 'canyon star', 'canyon star');
  await page.keyboard.press('2');
  await takeReading(page, 'Overall width', '80');
  await takeReading(page, 'Overall height', '76');
  await next(page, 'Size the wrap');
  await expect(figure(page, says('wrap.offsetBetweenFacesMaximum'))).toBeVisible();
  await expect(page.getByText(says('wrap.foldHere'))).toBeVisible();
  await page.getByRole('radio', { name: says('common.top'), exact: true }).click();
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
  await expect(figure(page, says('wrap.pictureOneFace'))).toContainText('180');
  await page.getByLabel(says('wrap.turnedOverBack')).fill('12');
  await expect(figure(page, says('wrap.pictureOneFace'))).toContainText('188');
  await page.getByRole('radio', { name: says('wrap.bleedPastEdge') }).click();
  await expect(foot(page)).toContainText(says('blank.roughEdge'));
  await expect(figure(page, says('wrap.pictureOneFace'))).toContainText('158');
});

test('a pen: a barrel open at both ends, in the oven by wound tape', async ({ bench: page }) => {
  await jobOn(page, 'pen aluminium', 'ball pen, aluminium barrel');
  await page.keyboard.press('2');
  const circumference = page.getByRole('region', { name: says('measure.circumferenceNearRim') });
  await circumference.getByRole('combobox').first().click();
  await page.getByRole('option', { name: says('measure.caliper') }).click();
  await takeReading(page, 'Circumference near the rim', '10.4');
  await expect(figure(page, says('measure.circumferenceNearRim'))).toContainText('32.7');
  await takeReading(page, 'Circumference near the foot', '33');
  await takeReading(page, 'Height of the wall', '86');
  await next(page, 'Size the wrap');
  await expect(figure(page, says('wrap.cutHeight'))).toContainText('83');
  await page.keyboard.press('6');
  await page.getByRole('radio', { name: 'Bench oven' }).click();
  await expect(figure(page, says('heat.pressure2'))).toContainText(says('schedule.tape'));
});

test('the library: found, copied, handed on as JSON and CSV, brought back', async ({ bench: page }, info) => {
  await page.goto(`${address()}/blanks`);
  await page.getByRole('searchbox').fill('slate');
  await page.getByRole('button', { name: says('blank.duplicate', { blank: 'slate oval' }) }).click();
  await page.getByRole('button', { name: says('blank.saveBlank') }).click();
  await expect(page.getByText(says('blank.copy', { blank: 'slate oval 180 × 120' }))).toBeVisible();
  for (const kind of ['JSON', 'CSV']) {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: new RegExp(`as ${kind}`) }).click();
    const path = info.outputPath(`blanks.${kind.toLowerCase()}`);
    await (await download).saveAs(path);
    await page.getByLabel(says('common.blanksFile')).setInputFiles(path);
    const shown = page.getByText('0 of 6 blanks were new');
    await expect(shown).toBeVisible();
    // Gone again, so that the next one is the next file’s own.
    await expect(shown).toHaveCount(0, { timeout: 20_000 });
  }
  const broken = info.outputPath('broken.csv');
  writeFileSync(broken, 'name,kind,family\nmy cup,round,mug\n');
  await page.getByLabel(says('common.blanksFile')).setInputFiles(broken);
  await expect(page.getByText(/Row 2 \(my cup\)/)).toBeVisible();
});

test('the printer measured: two bars typed back, sheets compensated', async ({ bench: page }) => {
  await page.goto(`${address()}/papers`);
  await page
    .getByRole('row', { name: /A3\b/ })
    .getByRole('button', { name: says('shop.measurePrintScale') })
    .first()
    .click();
  const dialog = page.getByRole('dialog');
  const download = page.waitForEvent('download');
  await dialog.getByRole('button', { name: says('shop.calibrationPage') }).click();
  expect((await download).suggestedFilename()).toBe('calibration-a3.pdf');
  await dialog.getByLabel(/Across the sheet, as printed/).fill('200');
  await dialog.getByLabel(/Along the feed, as printed/).fill('384');
  await dialog.getByRole('button', { name: says('shop.saveMeasurements') }).click();
  await expect(dialog.getByRole('alert')).toContainText('fit to page');
  await dialog.getByLabel(/Across the sheet, as printed/).fill('259');
  await dialog.getByRole('button', { name: says('shop.saveMeasurements') }).click();
  await expect(page.getByText('99.62 % across')).toBeVisible();
});

test('an outline round a picture, with a hole for a ring, becomes a blank and a drawing for a cutter', async ({
  bench: page,
}, info) => {
  // A disc of 100 pixels on plain paper, 200 pixels wide.
  const disc = paintPng(200, 200, (x, y) =>
    Math.hypot(x - 99.5, y - 99.5) <= 50 ? [200, 40, 60] : [250, 250, 248],
  );
  const path = info.outputPath('disc.png');
  writeFileSync(path, disc);
  await page.goto(`${address()}/blanks`);
  await page.getByRole('button', { name: says('shop.newBlank') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: says('common.name') }).fill('disc keychain');
  await dialog.getByRole('radio', { name: says('blank.fromDrawing') }).click();
  await dialog.getByLabel(says('blank.pictureForOutline')).setInputFiles(path);
  await expect(dialog.getByRole('status')).toHaveText('disc.png');
  const cutFile = async () => {
    const [saved] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('button', { name: says('blank.outlineDxf') }).click(),
    ]);
    const lines = readFileSync(await saved.path(), 'utf8').split('\n');
    const xs = lines.flatMap((v, i) => (v === 'VERTEX' ? [Number(lines[i + 4])] : []));
    return {
      acrossMm: Math.max(...xs) - Math.min(...xs),
      radiusMm: Number(lines[lines.indexOf('40', lines.indexOf('CIRCLE')) + 1]),
    };
  };
  // 100 of 200 pixels on 60 mm: a disc of 30 mm, 3 mm more on either side.
  const first = await cutFile();
  expect(first.radiusMm).toBeCloseTo(1.5, 3);
  expect(first.acrossMm).toBeCloseTo(36, 0);
  const width = dialog.getByRole('textbox', { name: says('blank.pictureWidth') });
  await width.fill('80');
  await width.blur();
  await expect(async () => expect((await cutFile()).acrossMm).toBeCloseTo(46, 0)).toPass();
  await dialog.getByLabel(says('common.family')).selectOption('tag');
  await dialog.getByLabel(says('common.material')).selectOption('hardboard');
  await dialog.getByLabel(says('common.thickness2', { units: 'mm' })).fill('3');
  await dialog.getByRole('button', { name: says('blank.saveBlank') }).click();
  await expect(dialog).toHaveCount(0);
  await jobOn(page, 'disc keychain', 'disc keychain');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
});
