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

  await test.step('1 bench: a new job in one step', async () => {
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Star party crew tumblers' }).first(),
    ).toBeVisible();
    await next('New job');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('New job');
    await page.getByRole('heading', { level: 1 }).getByRole('button').click();
    await page.getByLabel('Name').fill('Night guide cups');
    await page.getByLabel('Pieces').fill('2');
    await page.getByLabel('Due').fill('2026-12-18');
    await next('Save');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Night guide cups');
  });

  await test.step('2 blank: type a new one in', async () => {
    await page.getByRole('button', { name: 'Add blank' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Name').fill('600 ml test steel');
    await dialog.getByLabel('Diameter, near the rim').fill('74');
    await dialog.getByLabel('Height', { exact: true }).fill('8 in');
    await dialog.getByLabel('Lip, no print').fill('5');
    await dialog.getByLabel('Foot, no print').fill('6.2');
    await dialog.getByLabel('Protective film to peel').check();
    await next('Save blank');
    await expect(figure(page, 'Straight wall')).toContainText('192');
    await page.getByRole('checkbox', { name: 'Take off: lid' }).click();
    await page.getByRole('checkbox', { name: 'Peel the film' }).click();
    await next('Measure the blank');
  });

  await test.step('3 measure: readings as people write them', async () => {
    await takeReading(page, 'Circumference near the rim', '9 3/16"');
    await takeReading(page, 'Circumference near the rim', '23.3 cm');
    await takeReading(page, 'Circumference near the foot', '233');
    await takeReading(page, 'Height of the wall', '192');
    // (233.3625 + 233) / 2 − π × 0.4 = 231.9246; with the foot 231.7434 the mean is 231.834.
    await expect(figure(page, 'Circumference of the wall')).toContainText('231.8');
    await figure(page, 'Circumference of the wall').getByRole('button').click();
    await expect(figure(page, 'Circumference of the wall')).toContainText('19 times in 20');
    await takeReading(page, 'Circumference near the foot', '240');
    await expect(page.getByText('Stands apart from the others')).toHaveCount(2);
    await page.getByRole('button', { name: 'Remove reading 240' }).click();
    await next('Size the wrap');
  });

  await test.step('4 wrap: seam methods, zones, confidence', async () => {
    await page.getByRole('radio', { name: 'Exact butt' }).click();
    await expect(figure(page, 'Cut length')).toContainText('232.1');
    await page.getByRole('radio', { name: 'Over and trim' }).click();
    await page.getByLabel('Overprint').fill('5');
    await expect(figure(page, 'Print and cut length')).toContainText('237.1');
    const edge = page.getByRole('slider', { name: 'Wrap edge at the rim' });
    await edge.focus();
    await edge.press('ArrowDown');
    await expect(page.getByRole('textbox', { name: 'Setback, rim' })).toHaveValue('2');
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('textbox', { name: 'Setback, rim' })).toHaveValue('1.5');
    await page.keyboard.press('Control+Shift+z');
    await expect(page.getByRole('textbox', { name: 'Setback, rim' })).toHaveValue('2');
    await expect(figure(page, 'Cut height')).toContainText('188.5');
    await next('Place the art');
  });

  await test.step('5 art: bring a picture, move it, set a name', async () => {
    const path = info.outputPath('quarters.png');
    writeFileSync(path, paintPng(1215, 973, quarters(1215, 973)));
    await page.getByLabel('Picture file').setInputFiles(path);
    await expect(figure(page, 'Resolution')).toContainText('127');
    await page.getByRole('textbox', { name: 'Scale' }).fill('90');
    await expect(checks(page)).toContainText(/White will show|stops short/);
    await page.getByRole('textbox', { name: 'Scale' }).fill('100');
    await page.getByRole('button', { name: 'Rotate right 90°' }).click();
    await page.getByRole('button', { name: 'Rotate left 90°' }).click();
    await page.getByRole('button', { name: 'Text', exact: true }).click();
    await page.getByRole('textbox', { name: 'Text', exact: true }).fill('Odalys');
    await page.getByRole('textbox', { name: 'Text', exact: true }).press('Enter');
    await expect(figure(page, 'Text')).toContainText('Odalys');
    await next('Lay out the sheet');
  });

  await test.step('6 sheet: paper, files', async () => {
    await expect(figure(page, 'Paper').first()).toBeVisible();
    await page.getByRole('combobox', { name: 'Paper' }).click();
    await page.getByRole('option', { name: /^A4,/ }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save PDF' }).click();
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
    await expect(figure(page, 'Temperature')).toContainText('190');
    await page.getByRole('textbox', { name: 'Temperature' }).fill('370 F');
    await expect(figure(page, 'Temperature')).toContainText('188');
    await page.getByRole('textbox', { name: 'Dwell time per pass' }).fill('1:02');
    await expect(figure(page, 'Dwell time per pass')).toContainText('62');
    await expect(figure(page, 'Same dose, time')).toBeVisible();
    await expect(page.getByText('Peel the protective film')).toBeVisible();
    await next('Go to the press');
  });

  await test.step('8 press: two pieces, two passes each', async () => {
    await saved(page);
    await next('Start pressing');
    await page.clock.install();
    await page.getByRole('button', { name: 'First piece' }).click();
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
    await expect(page.getByRole('heading', { name: 'All 2 pieces are pressed.' })).toBeVisible();
    await page.getByRole('link', { name: 'Inspect pieces' }).click();
  });

  await test.step('9 look: a mark, the paper, a verdict, the log', async () => {
    await page.getByRole('button', { name: 'Coloured speck', exact: true }).click();
    const wrap = await page.getByRole('group', { name: 'The wrap unrolled' }).boundingBox();
    if (!wrap) throw new Error('no drawing');
    await page.mouse.click(wrap.x + wrap.width / 2, wrap.y + wrap.height / 2);
    await expect(page.getByRole('button', { name: 'Coloured speck, plain' })).toBeVisible();
    await expect(figure(page, 'lint or dust')).toContainText('> 99');
    await page.getByRole('radio', { name: 'pale and even' }).click();
    await page.getByRole('radio', { name: 'Good' }).click();
    await expect(page.getByLabel('Good pieces')).toHaveValue('2');
    await next('Save to log');
    await expect(page.getByRole('dialog')).toContainText('proven by 2 good pieces');
    await next('Save as proven recipe');
    await expect(page.getByText('Recipe saved.')).toBeVisible();
  });

  await test.step('10 the next job starts from it', async () => {
    await page.getByRole('link', { name: 'Mesa Drift, go to jobs' }).click();
    await page.getByRole('button', { name: 'Duplicate Night guide cups' }).click();
    await page.getByRole('link', { name: 'Night guide cups, again' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Night guide cups, again');
    await page.keyboard.press('6');
    await expect(figure(page, 'Dwell time per pass')).toContainText('2 good');
    await expect(figure(page, 'Dwell time per pass')).toContainText('62');
    await page.goto(page.url().replace(/\/job.*/, '/logbook'));
    await expect(page.getByRole('row').filter({ hasText: 'Night guide cups' })).toContainText('Good');
  });
});
