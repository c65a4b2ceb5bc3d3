import { fixedPart, says } from './words';
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { paintPng, quarters } from '../src/core/formats/testPicture';
import { checks, expect, figure, openJobs, otherFile, saved, takeReading, test } from './app';

// The clock of these paths is set.
test.use({ ownContext: true });

/** From an empty job to a printed sheet, a two-pass press, a verdict, and tomorrow's starting point. */
test('ten steps from tape to proven recipe', async ({ bench: page }, info) => {
  await openJobs(page);
  test.setTimeout(180_000);
  const next = (name: string) => page.getByRole('button', { name, exact: true }).click();

  await test.step('1 jobs: a new job in one step', async () => {
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Star party crew tumblers' }).first(),
    ).toBeVisible();
    await next('New job');
    await expect(page.getByRole('heading', { level: 1 })).toContainText(says('jobs.newJob'));
    await page.getByRole('heading', { level: 1 }).getByRole('button').click();
    await page.getByLabel(says('common.name')).fill('Night guide cups');
    await page.getByLabel(says('common.pieces')).fill('2');
    await page.getByLabel(says('common.due')).fill('2026-12-18');
    await next('Save');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Night guide cups');
  });

  await test.step('2 blank: type a new one in', async () => {
    await page.getByRole('button', { name: says('blank.addBlank') }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel(says('common.name')).fill('600 ml test steel');
    await dialog.getByLabel(says('blank.nearRim', { of: says('measure.diameter') })).fill('74');
    await dialog.getByLabel(says('common.height'), { exact: true }).fill('8 in');
    await dialog.getByLabel(says('blank.lipPrint')).fill('5');
    await dialog.getByLabel(says('blank.footPrint')).fill('6.2');
    await dialog.getByLabel(says('blank.protectiveFilmPeel')).check();
    await next('Save blank');
    await expect(figure(page, says('blank.straightWall'))).toContainText('192');
    await page.getByRole('checkbox', { name: says('press.takeOff', { part: 'lid' }) }).click();
    await page.getByRole('checkbox', { name: fixedPart('blank.peelFilm') }).click();
    await next('Measure the blank');
  });

  await test.step('3 measure: readings as people write them', async () => {
    await takeReading(page, 'Circumference near the rim', '9 3/16"');
    await takeReading(page, 'Circumference near the rim', '23.3 cm');
    await takeReading(page, 'Circumference near the foot', '233');
    await takeReading(page, 'Height of the wall', '192');
    // (233.3625 + 233) / 2 − π × 0.4 = 231.9246; with the foot 231.7434 the mean is 231.834.
    await expect(figure(page, says('measure.circumferenceWall'))).toContainText('231.8');
    await figure(page, says('measure.circumferenceWall')).getByRole('button').click();
    await expect(figure(page, says('measure.circumferenceWall'))).toContainText('19 times in 20');
    await takeReading(page, 'Circumference near the foot', '240');
    await expect(page.getByText(fixedPart('measure.standsApartFromOthers'))).toHaveCount(2);
    await page.getByRole('button', { name: says('measure.removeReading', { reading: '240' }) }).click();
    await next('Size the wrap');
  });

  await test.step('4 wrap: seam methods, zones, confidence', async () => {
    await page.getByRole('radio', { name: says('wrap.exactButt') }).click();
    await expect(figure(page, says('wrap.cutLength'))).toContainText('232.1');
    await page.getByRole('radio', { name: says('wrap.overTrim') }).click();
    await page.getByLabel(says('wrap.overprint')).fill('5');
    await expect(figure(page, says('wrap.printCutLength'))).toContainText('237.1');
    const edge = page.getByRole('slider', { name: says('wrap.wrapEdgeRim') });
    await edge.focus();
    await edge.press('ArrowDown');
    await expect(page.getByRole('textbox', { name: says('wrap.setbackRim') })).toHaveValue('2');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('textbox', { name: says('wrap.setbackRim') })).toHaveValue('1.5');
    await page.keyboard.press('Control+Shift+z');
    await expect(page.getByRole('textbox', { name: says('wrap.setbackRim') })).toHaveValue('2');
    await expect(figure(page, says('wrap.cutHeight'))).toContainText('188.5');
    await next('Place the art');
  });

  await test.step('5 art: bring a picture, move it, set a name', async () => {
    const path = info.outputPath('quarters.png');
    writeFileSync(path, paintPng(1215, 973, quarters(1215, 973)));
    await page.getByLabel(says('art.pictureFile')).setInputFiles(path);
    await expect(figure(page, says('art.resolution'))).toContainText('127');
    await page.getByRole('textbox', { name: says('art.scale') }).fill('90');
    await expect(checks(page)).toContainText(/White will show|stops short/);
    await page.getByRole('textbox', { name: says('art.scale') }).fill('100');
    await page.getByRole('button', { name: says('art.rotateRight90') }).click();
    await page.getByRole('button', { name: says('art.rotateLeft90') }).click();
    await page.getByRole('button', { name: says('art.text'), exact: true }).click();
    await page.getByRole('textbox', { name: says('art.text'), exact: true }).fill('Odalys');
    await page.getByRole('textbox', { name: says('art.text'), exact: true }).press('Enter');
    await expect(figure(page, says('art.text'))).toContainText('Odalys');
    await next('Lay out the sheet');
  });

  await test.step('6 sheet: paper, files', async () => {
    await expect(figure(page, says('common.paper')).first()).toBeVisible();
    await page.getByRole('combobox', { name: says('common.paper') }).click();
    await page.getByRole('option', { name: /^A4,/ }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: says('sheet.savePdf') }).click();
    const pdf = info.outputPath('sheet.pdf');
    await (await download).saveAs(pdf);
    const facts = execFileSync('pdfinfo', [pdf], { encoding: 'utf8' });
    expect(facts).toMatch(/Page size:\s+595\.2\d* x 841\.8\d* pts/);
    expect(execFileSync('pdftotext', [pdf, '-'], { encoding: 'utf8' })).toContain('driver mirror OFF');
    const pngDownload = page.waitForEvent('download');
    await otherFile(page, /Piece as PNG/);
    const png = info.outputPath('piece.png');
    await (await pngDownload).saveAs(png);
    const bytes = readFileSync(png);
    expect(bytes.subarray(0, 64).includes(Buffer.from('pHYs'))).toBe(true);
    // 237.1 + 2 × 3 mm of bleed at 300 ppi.
    expect(Math.abs(bytes.readUInt32BE(16) - (243.1 / 25.4) * 300)).toBeLessThan(2);
    const svgDownload = page.waitForEvent('download');
    await otherFile(page, 'Pattern as SVG');
    expect((await svgDownload).suggestedFilename()).toBe('night-guide-cups-pattern.svg');
    await next('Set the heat');
  });

  await test.step('7 heat: usual start, one value by hand', async () => {
    await page.getByRole('radio', { name: 'Tumbler press A' }).click();
    await expect(figure(page, says('common.temperature'))).toContainText('190');
    await page.getByRole('textbox', { name: says('common.temperature') }).fill('370 F');
    await expect(figure(page, says('common.temperature'))).toContainText('188');
    await page.getByRole('textbox', { name: says('heat.dwellTimePerPass') }).fill('1:02');
    await expect(figure(page, says('heat.dwellTimePerPass'))).toContainText('62');
    await expect(figure(page, says('heat.chanceGoodPiece'))).toContainText(/\d+\s?%/, { timeout: 30_000 });
    await expect(page.getByText(says('press.peelProtectiveFilm'))).toBeVisible();
    await next('Go to the press');
  });

  await test.step('8 press: two pieces, two passes each', async () => {
    await saved(page);
    await next('Start pressing');
    await page.clock.install();
    await page.getByRole('button', { name: says('press.firstPiece') }).click();
    for (const piece of [1, 2]) {
      await expect(page.getByText(`piece ${piece} of 2`)).toBeVisible();
      for (const step of [
        'Slide in',
        'Close',
        'First side',
        'Turn half round',
        'Wait until',
        'Close',
        'Second side',
        'Out, peel',
        'Stand it to cool',
      ]) {
        await expect(page.locator('[aria-current="step"]')).toContainText(step);
        if (/side/.test(step)) {
          await page.keyboard.press(' ');
          await expect(page.locator('[aria-current="step"]')).toContainText(step);
          await page.clock.fastForward(62_500);
          await expect(page.getByText('Time is up')).toBeVisible();
        }
        await page.keyboard.press(' ');
      }
    }
    await expect(
      page.getByRole('heading', { name: says('press.allPiecesPressed', { total: '2' }) }),
    ).toBeVisible();
    await page.getByRole('link', { name: says('press.inspectPieces') }).click();
  });

  await test.step('9 inspection: a mark, the paper, a verdict, the log', async () => {
    await page.getByRole('button', { name: says('inspect.colouredSpeck'), exact: true }).click();
    const wrap = await page
      .getByRole('group', { name: fixedPart('inspect.wrapUnrolledWhatWas') })
      .boundingBox();
    if (!wrap) throw new Error('no drawing');
    await page.mouse.click(wrap.x + wrap.width / 2, wrap.y + wrap.height / 2);
    await expect(page.getByRole('button', { name: 'Coloured speck, plain' })).toBeVisible();
    await expect(figure(page, says('inspect.lintDust'))).toContainText('> 99');
    await page.getByRole('radio', { name: says('common.paleEven') }).click();
    await page.getByRole('radio', { name: says('common.good22') }).click();
    await expect(page.getByLabel(says('common.goodPieces'))).toHaveValue('2');
    await next('Save to log');
    await expect(page.getByRole('dialog')).toContainText('proven by 2 good pieces');
    await next('Save as proven recipe');
    await expect(page.getByText(fixedPart('inspect.recipeSavedNextStarts'))).toBeVisible();
  });

  await test.step('10 the next job starts from it', async () => {
    await page.getByRole('link', { name: says('shell.mesaDriftGoJobs') }).click();
    await page.getByRole('button', { name: says('blank.duplicate', { blank: 'Night guide cups' }) }).click();
    await page.getByRole('link', { name: says('jobs.again', { job: 'Night guide cups' }) }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(
      says('jobs.again', { job: 'Night guide cups' }),
    );
    await page.keyboard.press('6');
    await expect(figure(page, says('heat.dwellTimePerPass'))).toContainText('2 good');
    await expect(figure(page, says('heat.dwellTimePerPass'))).toContainText('62');
    await page.goto(page.url().replace(/\/job.*/, '/logbook'));
    await expect(page.getByRole('row').filter({ hasText: 'Night guide cups' })).toContainText(
      says('common.good22'),
    );
  });
});
