import { fixedPart, opening, says } from './words';
import { readFileSync, writeFileSync } from 'node:fs';
import { paintPng, quarters } from '../src/core/formats/testPicture';
import { checks, drag, expect, figure, open, openJobs, otherFile, saved, test } from './app';

test('dragging: the wrap’s edge, the picture, the words; each one step of undo', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/wrap');
  const field = page.getByRole('textbox', { name: says('wrap.setbackFoot') });
  await expect(field).toHaveValue('1.5');
  await drag(page, page.getByRole('slider', { name: says('wrap.wrapEdgeFoot') }), { y: -20 }, { steps: 10 });
  await expect.poll(async () => Number(await field.inputValue())).toBeGreaterThan(5);
  expect(Number(await field.inputValue()) % 0.5).toBe(0);
  await page.getByRole('button', { name: says('common.undo') }).click();
  await expect(field).toHaveValue('1.5');

  await page.keyboard.press('4');
  await expect(page.getByRole('textbox', { name: says('art.scale') })).toHaveValue('100');
  const picture = page.getByRole('slider', { name: opening('common.picture') });
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  await drag(page, picture, { x: 30 }, { at: { x: box.width / 4, y: box.height / 4 }, steps: 2 });
  await expect(checks(page)).toContainText(fixedPart('art.whiteShowTheseEdges'));
  await page.getByRole('button', { name: says('common.undo') }).click();
  await expect(checks(page).getByText(fixedPart('art.whiteShowTheseEdges'))).toHaveCount(0);

  await drag(page, page.getByRole('slider', { name: opening('art.text') }), { y: 60 }, { steps: 4 });
  await expect(checks(page)).toContainText('outside the safe zone');
  await saved(page);
});

test('a reading typed again is read in the unit the shop reads now', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/measure');
  // The first reading was taken in inches, “9 1/8”.
  const first = page
    .getByRole('region', { name: says('measure.circumferenceNearRim') })
    .getByRole('textbox')
    .first();
  await first.fill('231');
  await first.press('Enter');
  await expect(
    page.getByRole('region', { name: says('measure.circumferenceNearRim') }).getByRole('alert'),
  ).toHaveCount(0);
  await expect(figure(page, says('measure.circumferenceNearRim'))).toContainText('230.2');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('u');
  await expect(figure(page, says('measure.circumferenceNearRim'))).toContainText('9 1/16 in');
  await expect(first).toHaveValue('231');
});

test('the piece as PNG is mirrored once and to size', async ({ bench: page }, info) => {
  await open(page, '/job/star-party-tumblers/art');
  const path = info.outputPath('quarters.png');
  writeFileSync(path, paintPng(960, 784, quarters(960, 784)));
  await page.getByLabel(says('art.replacePicture')).setInputFiles(path);
  await expect(page.getByRole('complementary')).toContainText('960 × 784 px');
  await page.getByRole('button', { name: '“Dry Fork star party”', exact: true }).click();
  await page.getByRole('button', { name: says('art.removeLayer') }).click();
  const colours = async () => {
    await page.keyboard.press('5');
    const download = page.waitForEvent('download');
    await otherFile(page, /Piece as PNG/);
    const file = info.outputPath(`piece-${Date.now()}.png`);
    await (await download).saveAs(file);
    const base64 = readFileSync(file).toString('base64');
    return page.evaluate(async (data) => {
      const bitmap = await createImageBitmap(new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))]));
      const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
      const g = canvas.getContext('2d');
      if (!g) throw new Error('no canvas');
      g.drawImage(bitmap, 0, 0);
      const at = (fx: number, fy: number) => [
        ...g.getImageData(bitmap.width * fx, bitmap.height * fy, 1, 1).data.slice(0, 3),
      ];
      return { upperLeft: at(0.1, 0.1), upperRight: at(0.9, 0.1), width: bitmap.width };
    }, base64);
  };
  const mirrored = await colours();
  // Red is upper left on the blank, so upper right on the mirrored piece; green the other way.
  expect(mirrored.upperRight).toEqual([220, 20, 20]);
  expect(mirrored.upperLeft).toEqual([20, 180, 40]);
  expect(Math.abs(mirrored.width - (239.9 / 25.4) * 300)).toBeLessThan(2);
  await page.getByRole('radio', { name: says('common.theDriver') }).click();
  const plain = await colours();
  expect(plain.upperLeft).toEqual([220, 20, 20]);
});

test('a press, a paper and a blank: added, changed, taken out and put back', async ({ bench: page }) => {
  await openJobs(page);
  const go = async (name: string) => {
    await page
      .getByRole('navigation', { name: says('common.shop') })
      .getByRole('link', { name, exact: true })
      .click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  };
  await go('Presses');
  await page.getByRole('button', { name: says('shop.newPress') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(says('common.name')).fill('Tumbler press B');
  await dialog.getByLabel('Smallest diameter, mm').fill('95');
  await page.getByRole('button', { name: says('shop.savePress') }).click();
  await expect(dialog.getByText(says('shop.largestMustMoreThan'))).toBeVisible();
  await dialog.getByLabel('Smallest diameter, mm').fill('60');
  await dialog.getByLabel(says('shop.heater2', { fields: 'length, mm' })).fill('8 1/2 in');
  await page.getByRole('button', { name: says('shop.savePress') }).click();
  await expect(page.getByRole('row', { name: says('shop.tumblerPressB') })).toContainText('215.9 mm round');

  await go('Papers');
  await page.getByRole('button', { name: says('blank.remove', { removes: 'A4' }) }).click();
  await expect(page.getByRole('row', { name: /^A4 / })).toHaveCount(0);
  await page.getByRole('button', { name: says('common.undo') }).click();
  await expect(page.getByRole('row', { name: /^A4 / })).toBeVisible();
  await page.getByRole('button', { name: says('blank.change', { blank: 'Legal' }) }).click();
  await dialog.getByLabel(says('common.thickness2', { units: 'mm' })).fill('0.14');
  await page.getByRole('button', { name: says('shop.savePaper') }).click();
  await expect(page.getByRole('row', { name: /^Legal/ })).toContainText('0.14 mm');

  await go('Blanks');
  await page.getByRole('searchbox').fill('ceramic beaker');
  await page
    .getByRole('columnheader', { name: says('common.height') })
    .getByRole('button')
    .click();
  await page.getByRole('button', { name: says('blank.change', { blank: '330 ml ceramic beaker' }) }).click();
  await dialog.getByLabel(says('common.height'), { exact: true }).fill('98');
  await page.getByRole('button', { name: says('blank.saveBlank') }).click();
  await expect(page.getByRole('row', { name: /330 ml ceramic beaker/ })).toContainText('98 mm');

  await go('Logbook');
  await page.getByRole('searchbox', { name: says('logbook.findLog') }).fill('one lint speck');
  await expect(page.getByRole('row')).toHaveCount(2);
  const csv = page.waitForEvent('download');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await page.getByRole('menuitem', { name: /as CSV/ }).click();
  expect(readFileSync(await (await csv).path(), 'utf8')).toContain('One lint speck.');
});

test('every place found for the seam is shown on its chart, and can be chosen there', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/art');
  await page.getByRole('radio', { name: says('wrap.seam'), exact: true }).click();
  const chart = page.getByRole('group', { name: opening('art.howMuchSeamWould') });
  const places = chart.getByRole('button', { name: /^Place \d/ });
  await expect(places.first()).toBeVisible({ timeout: 30_000 });
  const [frame, count] = [await chart.boundingBox(), await places.count()];
  if (!frame) throw new Error('no chart');
  expect(count).toBeGreaterThan(1);
  for (let i = 0; i < count; i += 1) {
    const at = await places.nth(i).boundingBox();
    if (!at) throw new Error(`place ${i + 1} is not drawn`);
    expect(at.x).toBeGreaterThanOrEqual(frame.x);
    expect(at.x + at.width).toBeLessThanOrEqual(frame.x + frame.width);
    await places.nth(i).click();
  }
});
