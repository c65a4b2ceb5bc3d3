import { readFileSync } from 'node:fs';
import { address, expect, figure, foot, jobOn, open, saved, takeReading, test } from './app';
import type { Page } from '@playwright/test';

/** Waits until the model has said what it thinks of the setting. */
const answered = (page: Page) =>
  expect(figure(page, 'Chance of a good piece')).toContainText(/\d+\s?%/, { timeout: 30_000 });
const press = (page: Page, name: string) =>
  page
    .getByRole('radiogroup', { name: 'Press', exact: true })
    .getByRole('radio', { name, exact: true })
    .click();
/** Opens what is known of the mug press. */
async function knowMugPress(page: Page) {
  await page.goto(`${address()}/presses`);
  await page
    .getByRole('row', { name: /Mug press/ })
    .getByRole('button', { name: 'Check temperature' })
    .click();
  return page.getByRole('dialog');
}
/** A new job on a flat blank, measured with a rule. */
async function flat(page: Page, words: string, name: string, width: string, height: string): Promise<void> {
  await jobOn(page, words, name);
  await page.keyboard.press('2');
  await takeReading(page, 'Width', width);
  await takeReading(page, 'Height', height);
}

test('a mug: pressed once, both timers side by side, the handle’s millimetres said, the window dragged', async ({
  bench: page,
}) => {
  await open(page, '/job/constellation-mugs/heat');
  await answered(page);
  await expect(page.getByRole('img', { name: /The heater reaches/ })).toBeVisible();
  await expect(page.getByText('one closing, never turned')).toBeVisible();
  await expect(foot(page)).toContainText('on each side of the handle');
  const timer = page.getByRole('radiogroup', { name: 'When the timer starts' });
  const [closing, reaching] = await Promise.all(
    [/from closing/, /at temperature/].map((n) => timer.getByRole('radio', { name: n }).textContent()),
  );
  const inSeconds = (t: string | null | undefined) => {
    const [, m = '0', s = '0'] = /(\d+):(\d\d)/.exec(t ?? '') ?? [];
    return Number(m) * 60 + Number(s);
  };
  // Two schools that say the same seconds differ by a minute and more.
  expect(inSeconds(closing) - inSeconds(reaching)).toBeGreaterThan(60);
  const here = page.getByRole('slider', { name: 'Chosen setting' });
  await here.focus();
  const time = page.getByRole('textbox', { name: 'Dwell time', exact: true });
  const before = Number(await time.inputValue());
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(time).toHaveValue(String(before + 10));
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('textbox', { name: 'Temperature' })).toHaveValue('196');
  await answered(page);
  await page.getByRole('button', { name: 'Reset to the usual settings' }).click();
  await expect(time).toHaveValue(String(before));
  await saved(page);
});

test('a full wrap in two passes: proven and not overruled, its ring, another heater, what if', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/heat');
  await expect(figure(page, 'Dwell time per pass')).toContainText('65');
  await answered(page);
  await expect(page.getByRole('textbox', { name: 'Dwell time per pass' })).toHaveValue('65');
  await expect(page.getByText('Round the wall, dose after each pass')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What if' })).toContainText('one more waste sheet', {
    timeout: 30_000,
  });
  await page.getByRole('combobox', { name: 'Heater' }).click();
  await page.getByRole('option', { name: /Slim heater/ }).click();
  await expect(foot(page)).toContainText('Slim heater of Tumbler press A closes on');
  await page.getByRole('button', { name: 'Reset to the proven recipe' }).click();
  await expect(foot(page)).not.toContainText('closes on');
});

test('eight name plates in one load: laid on the bed, three loads of eight, pressed as one', async ({
  bench: page,
}) => {
  await flat(page, 'name plate', 'aluminium name plate 80 × 50', '80', '50');
  await page.getByRole('heading', { level: 1 }).getByRole('button').click();
  await page.getByLabel('Pieces').fill('24');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.keyboard.press('6');
  await press(page, 'Flat press A');
  await answered(page);
  const atOnce = page.getByRole('textbox', { name: 'At once' });
  await atOnce.fill('8');
  await atOnce.press('Enter');
  await expect(page.getByRole('img', { name: /^8 at once on a platen/ })).toBeVisible();
  await expect(page.getByText(/° ?C low/)).toBeVisible();
  await expect(figure(page, /^At once/)).toContainText('3 loads');
  await answered(page);
  // More than fit is refused in words, and nothing is lost by it.
  await atOnce.fill('60');
  await atOnce.press('Enter');
  await expect(foot(page)).toContainText('60 pieces do not fit in Flat press A');
  await atOnce.fill('8');
  await atOnce.press('Enter');
  await answered(page);
  await page.keyboard.press('7');
  await expect(page.getByRole('listitem').filter({ hasText: '8 on the bed' })).toBeVisible();
  await saved(page);
  await page.goto(page.url().replace(/\/job\/(.*)\/press$/, '/press/$1'));
  await page.getByRole('button', { name: 'First load' }).click();
  await expect(page.getByText('pieces 1–8 of 24')).toBeVisible();
  await page.getByRole('button', { name: 'Loaded' }).click();
  await page.getByRole('button', { name: 'Closed' }).click();
  await page.getByRole('button', { name: 'Opened early' }).click();
  await page.getByRole('button', { name: 'Spoiled' }).click();
  await page.getByRole('button', { name: 'piece 3', exact: true }).click();
  await page.getByRole('button', { name: 'Faded corner or edge' }).click();
  await expect(page.getByText('pieces 1, 2, 4–8, 1 spoiled')).toBeVisible();
  await page.getByRole('button', { name: 'Peeled' }).click();
  await page.getByRole('button', { name: 'Next piece' }).click();
  await expect(page.getByText('pieces 9–16 of 24')).toBeVisible();
});

test('a two-sided ornament: both at once lacks heat below, a face at a time does not', async ({
  bench: page,
}) => {
  await open(page, '/job/moon-and-star-ornaments/wrap');
  await page.getByRole('combobox', { name: 'Faces' }).click();
  await page.getByRole('option', { name: 'both together' }).click();
  await page.keyboard.press('6');
  await answered(page);
  await expect(foot(page)).toContainText('press one face, then the other');
  await expect(figure(page, 'Dose, the two faces')).toBeVisible();
  await page.keyboard.press('3');
  await page.getByRole('combobox', { name: 'Faces' }).click();
  await page.getByRole('option', { name: 'one then the other' }).click();
  await page.keyboard.press('6');
  await answered(page);
  await expect(foot(page)).not.toContainText('press one face, then the other');
  await page.keyboard.press('7');
  await expect(page.getByRole('listitem').filter({ hasText: 'First face' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Turn it over' })).toBeVisible();
});

test('a pen in the oven: wound from the middle, many at once with air between, no barrel drawn for a flat one', async ({
  bench: page,
}) => {
  await jobOn(page, 'ball pen', 'ball pen, aluminium barrel');
  await page.keyboard.press('6');
  await press(page, 'Bench oven');
  await answered(page);
  await expect(page.getByText('On the rack, from above')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Before pressing' })).toContainText(
    'Wind heat-proof tape from the middle',
  );
  await expect(page.getByRole('region', { name: 'Before pressing' })).not.toContainText('rims');
  await expect(figure(page, 'Peel')).toBeVisible();
});

test('slate: minutes, its load, its cooling, and its card to print, hand on and read again', async ({
  bench: page,
}, info) => {
  await open(page, '/job/slate-trail-markers/heat');
  await answered(page);
  await expect(page.getByText('On the bed, from above')).toBeVisible();
  await expect(figure(page, 'Time until safe to touch, minimum')).toContainText('min');
  await page.getByRole('button', { name: 'Recipe card' }).click();
  const card = page.getByRole('dialog');
  await expect(card.getByRole('heading', { name: /on Flat press A/ })).toBeVisible();
  await expect(card).toContainText('not proven yet: a test piece first');
  const download = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Save file' }).click();
  const path = info.outputPath('slate.mesarecipe.json');
  await (await download).saveAs(path);
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'mesa-drift.recipe',
    blank: { material: 'slate' },
  });
  await card.getByLabel('Recipe file to open').setInputFiles(path);
  await expect(card.getByRole('region', { name: 'Compared' })).toContainText(
    'Dry Fork Bench compared with this shop',
  );
  await card.getByRole('button', { name: 'Use the same dose on this press' }).click();
  await expect(page.getByText(/Set to the same dose/)).toBeVisible();

  // A recipe for another coating is refused, and the job stays as it was.
  await open(page, '/job/constellation-mugs/heat');
  await answered(page);
  await page.getByRole('button', { name: 'Recipe card' }).click();
  await page.getByRole('dialog').getByLabel('Recipe file to open').setInputFiles(path);
  await expect(
    page.getByText(/This recipe is for .* slate; the blank of this job is .* ceramic/),
  ).toBeVisible();
});

test('check it once and time it once, on a simulated press; what cannot be is refused in words', async ({
  bench: page,
}) => {
  const dialog = await knowMugPress(page);
  await dialog.getByRole('combobox', { name: 'Read from' }).click();
  await page.getByRole('option', { name: 'Simulated press 1' }).click();
  for (const [i, probe] of (await dialog.getByRole('button', { name: 'Probe' }).all()).entries())
    if (i < 5) await probe.click();
  await expect(dialog.getByText('Display against the face')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'front right' }).fill('24');
  await dialog.getByRole('textbox', { name: 'front right' }).blur();
  await expect(dialog.getByText(/about room temperature/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Save check' }).click();
  await expect(page.getByRole('row', { name: /Mug press/ })).toContainText('1 check,');

  await page
    .getByRole('row', { name: /Mug press/ })
    .getByRole('button', { name: /check/ })
    .click();
  await dialog.getByRole('radio', { name: 'Measure recovery' }).click();
  await dialog.getByRole('combobox', { name: 'Read from' }).click();
  await page.getByRole('option', { name: 'Simulated press 1' }).click();
  await dialog.getByRole('button', { name: 'Closed' }).click();
  await expect(dialog.getByRole('status', { name: 'Display' })).toContainText(/1[0-7]\d °C/, {
    timeout: 20_000,
  });
  await page.waitForTimeout(3000);
  await dialog.getByRole('button', { name: 'Lowest it read' }).click();
  await expect(dialog.getByRole('status', { name: 'Display' })).toContainText('190 °C', { timeout: 60_000 });
  await dialog.getByRole('button', { name: 'Back at temperature' }).click();
  await expect(dialog.getByText(/Heater power/)).toBeVisible({ timeout: 30_000 });
  await dialog.getByRole('textbox', { name: 'Lowest it read' }).fill('230');
  await dialog.getByRole('textbox', { name: 'Lowest it read' }).blur();
  await expect(dialog.getByText(/over its set temperature/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Save timing' }).click();
  await expect(page.getByRole('row', { name: /Mug press/ })).toContainText('1 timing');
  await open(page, '/job/constellation-mugs/heat');
  await answered(page);
  await expect(foot(page)).not.toContainText('The real temperature of Mug press');
});

test('a first run on a simulated press: opened at once it is too little, and says what the coating got', async ({
  bench: page,
}) => {
  const dialog = await knowMugPress(page);
  await dialog.getByRole('radio', { name: 'Practise a run' }).click();
  await expect(dialog.getByText('Choose a simulated press to practise on.')).toBeVisible();
  await dialog.getByRole('combobox', { name: 'Read from' }).click();
  await page.getByRole('option', { name: 'Simulated press 2' }).click();
  await dialog.getByRole('button', { name: 'Close it' }).click();
  await dialog.getByRole('button', { name: 'Open it' }).click();
  await expect(dialog.getByText(/Too little: pale/)).toBeVisible({ timeout: 20_000 });
  await expect(dialog.getByText(/This coating needs about \d+ s/)).toBeVisible();
});

test('no watts at all, and a press smaller than the print, are said in words', async ({ bench: page }) => {
  await page.goto(`${address()}/presses`);
  await page.getByRole('button', { name: 'Change Flat press A' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Power, W').fill('0');
  await dialog.getByRole('button', { name: 'Save press' }).click();
  await expect(dialog.getByText('Power: from 20 to 30000 W, or leave it empty.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await open(page, '/job/star-map-panel/heat');
  await press(page, 'Flat press A');
  await expect(foot(page)).toContainText('its edges would get no heat');
});

test('at the press two taps teach the product its press', async ({ bench: page }) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: 'First piece' }).click();
  await page.getByRole('button', { name: 'Loaded' }).click();
  await page.getByRole('button', { name: 'Closed' }).click();
  const reads = page.getByRole('region', { name: 'What the display reads' });
  await reads.getByRole('button', { name: 'One degree more' }).click();
  await reads.getByRole('button', { name: 'Lowest it read' }).click();
  await expect(reads.getByRole('button', { name: 'Lowest: noted' })).toBeVisible();
  await page.waitForTimeout(2500);
  await reads.getByRole('button', { name: 'Back at temperature' }).click();
  await expect(page.getByText('Tumbler press A: one more timing saved.')).toBeVisible();
  await expect(reads).toHaveCount(0);
  await page.goto(`${address()}/presses`);
  await expect(page.getByRole('row', { name: /Tumbler press A/ })).toContainText('1 timing');
});
