import { fixedPart, opening, says } from './words';
import { checks, expect, figure, open, openJobs, test } from './app';

test('keyboard only: from the bench to the heat, units, keys, undo', async ({ bench: page }) => {
  await openJobs(page);
  await page.keyboard.press('/');
  await page.keyboard.type('crew');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/star-party-tumblers/);
  await page.locator('body').press('3');
  await expect(figure(page, says('wrap.printCutLength'))).toContainText('233.9 mm');
  await page.keyboard.press('u');
  await expect(figure(page, says('wrap.printCutLength'))).toContainText('9 3/16 in');
  await page.keyboard.press('u');
  await expect(figure(page, says('wrap.printCutLength'))).toContainText('mm');

  await page.keyboard.press('2');
  const spare = page
    .getByRole('region', { name: says('measure.circumferenceNearRim') })
    .getByRole('textbox', { name: says('measure.anotherReading') });
  await spare.focus();
  await page.keyboard.type('232');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('button', { name: says('measure.removeReading', { reading: '232' }) }),
  ).toHaveCount(2);
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Control+z');
  await expect(
    page.getByRole('button', { name: says('measure.removeReading', { reading: '232' }) }),
  ).toHaveCount(1);

  await page.keyboard.press('4');
  const picture = page.getByRole('slider', { name: opening('common.picture') });
  await picture.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(checks(page)).toContainText(fixedPart('art.whiteShowTheseEdges'));
  await page.keyboard.press('Control+z');

  await page.keyboard.press('6');
  await page.keyboard.press('t');
  await expect(figure(page, says('common.temperature'))).toContainText('370 °F');
  await page.keyboard.press('t');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: says('shell.keyboardShortcuts') })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press(']');
  await expect(page).toHaveURL(/night-walk-tumblers\/heat/);

  const radio = page.getByRole('radio', { name: 'Bench oven' });
  await radio.focus();
  await page.keyboard.press(' ');
  await expect(figure(page, says('heat.passes'))).toContainText('1');
});

test('everything on a step can be reached with Tab, and the focus shows', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/wrap');
  const reached = new Set<string>();
  for (let i = 0; i < 60; i += 1) {
    await page.keyboard.press('Tab');
    const at = await page.evaluate(() => {
      const el = document.activeElement;
      if (!el || el === document.body) return null;
      return {
        name: el.getAttribute('aria-label') ?? el.id ?? '',
        text: el.textContent?.slice(0, 30) ?? '',
        outline: getComputedStyle(el).outlineStyle,
      };
    });
    if (!at) continue;
    expect(at.outline).not.toBe('none');
    reached.add(`${at.name} ${at.text}`);
  }
  const all = [...reached].join('|');
  for (const must of [
    'Save the job',
    'Wrap edge at the rim',
    'Wrap edge at the foot',
    'Place the art',
    'Inspect',
    'Closing length',
  ])
    expect(all).toContain(must);
});
