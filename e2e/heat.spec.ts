import { fixedPart, opening, says } from './words';
import { readFileSync } from 'node:fs';
import { address, expect, figure, foot, jobOn, open, saved, takeReading, test } from './app';
import type { Page } from '@playwright/test';

/** Waits until the model has said what it thinks of the setting. */
const answered = (page: Page) =>
  expect(figure(page, says('heat.chanceGoodPiece'))).toContainText(/\d+\s?%/, { timeout: 30_000 });
const press = (page: Page, name: string) =>
  page
    .getByRole('radiogroup', { name: says('common.press'), exact: true })
    .getByRole('radio', { name, exact: true })
    .click();
/** Opens what is known of the mug press. */
async function knowMugPress(page: Page) {
  await page.goto(`${address()}/presses`);
  await page
    .getByRole('row', { name: /Mug press/ })
    .getByRole('button', { name: says('shop.checkTemperature') })
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
  await expect(page.getByText(fixedPart('heat.handleStandsOpeningOne'))).toBeVisible();
  await expect(foot(page)).toContainText(fixedPart('heat.heaterLongLastPrint'));
  const timer = page.getByRole('radiogroup', { name: says('heat.whenTimerStarts') });
  const [closing, reaching] = await Promise.all(
    [/from closing/, /at temperature/].map((n) => timer.getByRole('radio', { name: n }).textContent()),
  );
  const inSeconds = (t: string | null | undefined) => {
    const [, m = '0', s = '0'] = /(\d+):(\d\d)/.exec(t ?? '') ?? [];
    return Number(m) * 60 + Number(s);
  };
  // Two schools that say the same seconds differ by a minute and more.
  expect(inSeconds(closing) - inSeconds(reaching)).toBeGreaterThan(60);
  const here = page.getByRole('slider', { name: says('heat.chosenSetting') });
  await here.focus();
  const time = page.getByRole('textbox', { name: says('heat.dwellTime'), exact: true });
  const before = Number(await time.inputValue());
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(time).toHaveValue(String(before + 10));
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('textbox', { name: says('common.temperature') })).toHaveValue('196');
  await answered(page);
  await page.getByRole('button', { name: says('heat.resetUsualSettings') }).click();
  await expect(time).toHaveValue(String(before));
  await saved(page);
});

test('a full wrap in two passes: proven and not overruled, its ring, another heater, what if', async ({
  bench: page,
}) => {
  await open(page, '/job/star-party-tumblers/heat');
  await expect(figure(page, says('heat.dwellTimePerPass'))).toContainText('65');
  await answered(page);
  await expect(page.getByRole('textbox', { name: says('heat.dwellTimePerPass') })).toHaveValue('65');
  await expect(page.getByText(says('heat.roundWallDoseAfter'))).toBeVisible();
  await expect(page.getByRole('region', { name: says('common.whatIf') })).toContainText(
    says('heat.oneMoreWasteSheet'),
    {
      timeout: 30_000,
    },
  );
  await page.getByRole('combobox', { name: says('common.heater') }).click();
  await page.getByRole('option', { name: /Slim heater/ }).click();
  await expect(foot(page)).toContainText('Slim heater of Tumbler press A closes on');
  await page.getByRole('button', { name: says('heat.resetProvenRecipe') }).click();
  await expect(foot(page)).not.toContainText('closes on');
});

test('eight name plates in one load: laid on the bed, three loads of eight, pressed as one', async ({
  bench: page,
}) => {
  await flat(page, 'name plate', 'aluminium name plate 80 × 50', '80', '50');
  await page.getByRole('heading', { level: 1 }).getByRole('button').click();
  await page.getByLabel(says('common.pieces')).fill('24');
  await page.getByRole('button', { name: says('common.save'), exact: true }).click();
  await page.keyboard.press('6');
  await press(page, 'Flat press A');
  await answered(page);
  const atOnce = page.getByRole('textbox', { name: says('heat.atOnce') });
  await atOnce.fill('8');
  await atOnce.press('Enter');
  await expect(page.getByRole('img', { name: /^8 at once on a platen/ })).toBeVisible();
  await expect(page.getByText(/° ?C low/)).toBeVisible();
  await expect(figure(page, opening('heat.atOnce'))).toContainText('3 loads');
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
  await page.getByRole('button', { name: says('press.firstLoad') }).click();
  await expect(page.getByText(says('press.piecesNumbered', { numbers: '1–8 of 24' }))).toBeVisible();
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.closed') }).click();
  await page.getByRole('button', { name: says('press.openedEarly') }).click();
  await page.getByRole('button', { name: says('common.spoiled') }).click();
  await page.getByRole('button', { name: says('press.pieceNumbered', { number: '3' }), exact: true }).click();
  await page.getByRole('button', { name: says('inspect.fadedCornerEdge') }).click();
  await expect(
    page.getByText(says('press.piecesNumbered', { numbers: '1, 2, 4–8, 1 spoiled' })),
  ).toBeVisible();
  await page.getByRole('button', { name: says('press.peeled') }).click();
  await page.getByRole('button', { name: says('press.nextPiece') }).click();
  await expect(page.getByText(says('press.piecesNumbered', { numbers: '9–16 of 24' }))).toBeVisible();
});

test('a two-sided ornament: both at once lacks heat below, a face at a time does not', async ({
  bench: page,
}) => {
  await open(page, '/job/moon-and-star-ornaments/wrap');
  await page.getByRole('combobox', { name: says('wrap.faces') }).click();
  await page.getByRole('option', { name: says('wrap.bothTogether') }).click();
  await page.keyboard.press('6');
  await answered(page);
  await expect(foot(page)).toContainText(fixedPart('heat.lowerFaceGetsUpper'));
  await expect(figure(page, says('heat.doseTwoFaces'))).toBeVisible();
  await page.keyboard.press('3');
  await page.getByRole('combobox', { name: says('wrap.faces') }).click();
  await page.getByRole('option', { name: says('wrap.oneThenOther') }).click();
  await page.keyboard.press('6');
  await answered(page);
  await expect(foot(page)).not.toContainText(fixedPart('heat.lowerFaceGetsUpper'));
  await page.keyboard.press('7');
  await expect(page.getByRole('listitem').filter({ hasText: /^First face/ })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: says('press.turnOver') })).toBeVisible();
});

test('a pen in the oven: wound from the middle, many at once with air between, no barrel drawn for a flat one', async ({
  bench: page,
}) => {
  await jobOn(page, 'ball pen', 'ball pen, aluminium barrel');
  await page.keyboard.press('6');
  await press(page, 'Bench oven');
  await answered(page);
  await expect(page.getByText(says('heat.rackFromAbove'))).toBeVisible();
  await expect(page.getByRole('region', { name: says('heat.beforePressing') })).toContainText(
    fixedPart('press.windHeatProofTape'),
  );
  await expect(page.getByRole('region', { name: says('heat.beforePressing') })).not.toContainText('rims');
  await expect(figure(page, says('heat.peel'))).toBeVisible();
});

test('slate: minutes, its load, its cooling, and its card to print, hand on and read again', async ({
  bench: page,
}, info) => {
  await open(page, '/job/slate-trail-markers/heat');
  await answered(page);
  await expect(page.getByText(says('heat.bedFromAbove'))).toBeVisible();
  await expect(figure(page, says('heat.timeUntilSafeTouch'))).toContainText('min');
  await page.getByRole('button', { name: says('heat.recipeCard') }).click();
  const card = page.getByRole('dialog');
  await expect(card.getByRole('heading', { name: /on Flat press A/ })).toBeVisible();
  await expect(card).toContainText(fixedPart('heat.notProvenYetTest'));
  const download = page.waitForEvent('download');
  await card.getByRole('button', { name: says('heat.saveFile') }).click();
  const path = info.outputPath('slate.mesarecipe.json');
  await (await download).saveAs(path);
  expect(JSON.parse(readFileSync(path, 'utf8'))).toMatchObject({
    format: 'mesa-drift.recipe',
    blank: { material: 'slate' },
  });
  await card.getByLabel(says('heat.recipeFileOpen')).setInputFiles(path);
  await expect(card.getByRole('region', { name: says('heat.compared') })).toContainText(
    says('heat.comparedShop', { shopName: 'Dry Fork Bench' }),
  );
  await card.getByRole('button', { name: says('heat.useSameDosePress') }).click();
  await expect(page.getByText(/Set to the same dose/)).toBeVisible();

  // A recipe for another coating is refused, and the job stays as it was.
  await open(page, '/job/constellation-mugs/heat');
  await answered(page);
  await page.getByRole('button', { name: says('heat.recipeCard') }).click();
  await page.getByRole('dialog').getByLabel(says('heat.recipeFileOpen')).setInputFiles(path);
  await expect(
    page.getByText(/This recipe is for .* slate; the blank of this job is .* ceramic/),
  ).toBeVisible();
});

test('check it once and time it once, on a simulated press; what cannot be is refused in words', async ({
  bench: page,
}) => {
  const dialog = await knowMugPress(page);
  await dialog.getByRole('combobox', { name: says('shop.readFrom') }).click();
  await page.getByRole('option', { name: says('shop.simulatedPress1') }).click();
  for (const [i, probe] of (await dialog.getByRole('button', { name: says('shop.probe') }).all()).entries())
    if (i < 5) await probe.click();
  await expect(dialog.getByText(says('shop.displayAgainstFace'))).toBeVisible();
  await dialog.getByRole('textbox', { name: says('shop.frontRight') }).fill('24');
  await dialog.getByRole('textbox', { name: says('shop.frontRight') }).blur();
  await expect(dialog.getByText(fixedPart('shop.aboutRoomTemperature'))).toBeVisible();
  await dialog.getByRole('button', { name: says('shop.saveCheck') }).click();
  await expect(page.getByRole('row', { name: /Mug press/ })).toContainText('1 check,');

  await page
    .getByRole('row', { name: /Mug press/ })
    .getByRole('button', { name: /check/ })
    .click();
  await dialog.getByRole('radio', { name: says('shop.measureRecovery') }).click();
  await dialog.getByRole('combobox', { name: says('shop.readFrom') }).click();
  await page.getByRole('option', { name: says('shop.simulatedPress1') }).click();
  await dialog.getByRole('button', { name: says('common.closed') }).click();
  await expect(dialog.getByRole('status', { name: says('shop.display') })).toContainText(/1[0-7]\d °C/, {
    timeout: 20_000,
  });
  await page.waitForTimeout(3000);
  await dialog.getByRole('button', { name: says('common.lowestRead') }).click();
  await expect(dialog.getByRole('status', { name: says('shop.display') })).toContainText('190 °C', {
    timeout: 60_000,
  });
  await dialog.getByRole('button', { name: says('common.backTemperature') }).click();
  await expect(dialog.getByText(says('shop.heaterPower'))).toBeVisible({ timeout: 30_000 });
  await dialog.getByRole('textbox', { name: says('common.lowestRead') }).fill('230');
  await dialog.getByRole('textbox', { name: says('common.lowestRead') }).blur();
  await expect(dialog.getByText(fixedPart('shop.overSetTemperature'))).toBeVisible();
  await dialog.getByRole('button', { name: says('shop.saveTiming') }).click();
  await expect(page.getByRole('row', { name: /Mug press/ })).toContainText('1 timing');
  await open(page, '/job/constellation-mugs/heat');
  await answered(page);
  await expect(foot(page)).not.toContainText('The real temperature of Mug press');
});

test('a first run on a simulated press: opened at once it is too little, and says what the coating got', async ({
  bench: page,
}) => {
  const dialog = await knowMugPress(page);
  await dialog.getByRole('radio', { name: says('shop.practiseRun') }).click();
  await expect(dialog.getByText(says('shop.chooseSimulatedPressPractise'))).toBeVisible();
  await dialog.getByRole('combobox', { name: says('shop.readFrom') }).click();
  await page.getByRole('option', { name: says('shop.simulatedPress2') }).click();
  await dialog.getByRole('button', { name: says('shop.closeIt') }).click();
  await dialog.getByRole('button', { name: says('shop.openIt') }).click();
  await expect(dialog.getByText(fixedPart('shop.tooLittlePaleDye'))).toBeVisible({ timeout: 20_000 });
  await expect(dialog.getByText(/This coating needs about \d+ s/)).toBeVisible();
});

test('no watts at all, and a press smaller than the print, are said in words', async ({ bench: page }) => {
  await page.goto(`${address()}/presses`);
  await page.getByRole('button', { name: says('blank.change', { blank: 'Flat press A' }) }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(says('shop.powerW')).fill('0');
  await dialog.getByRole('button', { name: says('shop.savePress') }).click();
  await expect(dialog.getByText('Power: from 20 to 30000 W, or leave it empty.')).toBeVisible();
  await dialog.getByRole('button', { name: says('common.cancel') }).click();
  // A press that cannot press the piece is shown and cannot be chosen; why stands beneath.
  await open(page, '/job/star-map-panel/heat');
  const choice = page.getByRole('radiogroup', { name: says('common.press'), exact: true });
  await expect(choice.getByRole('radio', { name: 'Flat press A', exact: true })).toBeDisabled();
  await page.getByText(says('heat.whyNotOthers')).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Flat press A' })).toContainText(
    fixedPart('heat.piecePlatenEdgesWould'),
  );
});

test('at the press two taps teach the product its press', async ({ bench: page }) => {
  await page.goto(`${address()}/press/star-party-tumblers`);
  await page.getByRole('button', { name: says('press.firstPiece') }).click();
  await page.getByRole('button', { name: says('press.loaded') }).click();
  await page.getByRole('button', { name: says('common.closed') }).click();
  const reads = page.getByRole('region', { name: says('press.whatDisplayReads') });
  await reads.getByRole('button', { name: says('press.oneDegreeMore') }).click();
  await reads.getByRole('button', { name: says('common.lowestRead') }).click();
  await expect(reads.getByRole('button', { name: says('press.lowestNoted') })).toBeVisible();
  await page.waitForTimeout(2500);
  await reads.getByRole('button', { name: says('common.backTemperature') }).click();
  await expect(page.getByText(says('press.oneMoreTimingSaved', { press: 'Tumbler press A' }))).toBeVisible();
  await expect(reads).toHaveCount(0);
  await page.goto(`${address()}/presses`);
  await expect(page.getByRole('row', { name: /Tumbler press A/ })).toContainText('1 timing');
});

test('a vacuum press typed in: its fields, its settings, several mugs at once, and its steps', async ({
  bench: page,
}) => {
  await page.goto(`${address()}/presses`);
  await page.getByRole('button', { name: says('shop.newPress') }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(says('common.name')).fill('Membrane press');
  await dialog.getByLabel(says('common.kind')).selectOption('vacuum');
  await expect(dialog.getByLabel(says('shop.heaterLength'))).toHaveCount(0);
  await dialog.getByLabel(`${says('shop.insideHeight')}, mm`).fill('160');
  await dialog.getByLabel(`${says('shop.chamberWidth')}, mm`).fill('420');
  await dialog.getByLabel(`${says('shop.chamberDepth')}, mm`).fill('330');
  await dialog.getByLabel(`${says('shop.membraneThickness')}, mm`).fill('0');
  await dialog.getByRole('button', { name: says('shop.savePress') }).click();
  await expect(dialog.getByRole('alert').first()).toBeVisible();
  await dialog.getByLabel(`${says('shop.membraneThickness')}, mm`).fill('1.5');
  await dialog.getByRole('button', { name: says('shop.savePress') }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^Membrane press/ })).toContainText(says('shop.vacuumPress'));

  await open(page, '/job/constellation-mugs/heat');
  await page.getByRole('radio', { name: 'Membrane press' }).click();
  await expect(page.getByText(says('heat.trayFromAbove'))).toBeVisible();
  await expect(page.getByRole('textbox', { name: says('heat.atOnce') })).not.toHaveValue('1');
  await expect(figure(page, says('heat.pressure2'))).toContainText(says('heat.membrane'));
  await open(page, '/job/constellation-mugs/press');
  await expect(page.getByText(says('press.closeLidDrawVacuum'))).toBeVisible();
});

test('a job without a press takes the best that fits; the others say why not; presses are compared and one is used', async ({
  bench: page,
}) => {
  await open(page, '/job/comet-cans/heat');
  const choice = page.getByRole('radiogroup', { name: says('common.press'), exact: true });
  await expect(choice.getByRole('radio', { checked: true })).toHaveCount(1);
  await expect(page.getByText(/was chosen: /)).toBeVisible();
  await page.getByText(says('heat.whyNotOthers')).click();
  await expect(page.getByText(says('heat.pressesFlatOnly'))).toBeVisible();
  await expect(choice.getByRole('radio', { name: /^Flat press/ })).toBeDisabled();

  await page.getByRole('button', { name: says('heat.comparePresses') }).click();
  const rows = page.getByRole('dialog').getByRole('row');
  await expect(page.getByRole('dialog').getByText(says('heat.comparing'))).toHaveCount(0, {
    timeout: 60_000,
  });
  await expect(rows.nth(1)).toContainText(/\d+ °C.*\d+\s?%/);
  await expect(rows.nth(2)).toContainText(/\d+ °C.*\d+\s?%/);
  const name = await rows.nth(2).getByRole('rowheader').textContent();
  await rows
    .nth(2)
    .getByRole('button', { name: says('heat.useThisPress') })
    .click();
  await expect(choice.getByRole('radio', { name: name ?? '', exact: true })).toBeChecked();
  await expect(page.getByText(/was chosen: /)).toHaveCount(0);
});

test('a setting made by hand keeps the job on the press it was made for', async ({ bench: page }) => {
  await open(page, '/job/comet-cans/heat');
  await expect(page.getByText(/was chosen: /)).toBeVisible();
  const temperature = page.getByRole('textbox', { name: says('common.temperature') });
  await temperature.fill('188');
  await temperature.press('Enter');
  await expect(page.getByText(/was chosen: /)).toHaveCount(0);
  await expect(temperature).toHaveValue('188');
});

test('fine type is offered the lower end of the window, and one touch sets it', async ({ bench: page }) => {
  await open(page, '/job/star-party-tumblers/heat');
  const offer = page.getByRole('button', { name: /^Use \d+ s/ });
  await answered(page);
  await expect(offer).toHaveCount(0);
  await open(page, '/job/star-party-tumblers/art');
  await page.getByRole('button', { name: says('art.text'), exact: true }).click();
  await page.getByRole('textbox', { name: says('art.text'), exact: true }).fill('Dry Fork');
  await page.getByRole('textbox', { name: says('art.capitals') }).fill('2');
  await page.getByRole('textbox', { name: says('art.capitals') }).blur();
  await saved(page);
  await open(page, '/job/star-party-tumblers/heat');
  // Whatever this shop proved, a longer time than that is not the lower end.
  const dwell = page.getByRole('textbox', { name: says('heat.dwellTimePerPass') });
  await dwell.fill('100');
  await dwell.blur();
  await expect(page.getByText(/^Type of 2(\.0)? mm high is fine/)).toBeVisible({ timeout: 30_000 });
  const shorter = Number(/\d+/.exec((await offer.textContent()) ?? '')?.[0]);
  await offer.click();
  await expect(dwell).toHaveValue(String(shorter));
  await expect(offer).toHaveCount(0);
});
