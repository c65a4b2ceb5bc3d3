import { execFileSync } from 'node:child_process';
import { says } from './words';
import type { Page } from '@playwright/test';
import { address, expect, open, test } from './app';

const wordsOf = (pdf: string): string =>
  execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' });

async function download(page: Page, press: () => Promise<void>): Promise<string> {
  const [file] = await Promise.all([page.waitForEvent('download'), press()]);
  return file.path();
}

test('the printer’s dialog is filled in line by line, with what the shop chose for this printer', async ({
  bench: page,
}) => {
  await open(page, '/job/constellation-mugs/sheet');
  await page.getByRole('button', { name: says('sheet.printerSettings') }).click();
  const dialog = page.getByRole('dialog', { name: says('sheet.printerSettings') });
  await expect(dialog).toContainText('Desk printer, sheet 1 of');
  await expect(dialog.getByRole('checkbox', { name: /^Page size/ })).toHaveAccessibleName(
    /\d+(\.\d)? × \d+(\.\d)? mm \(\d+\.\d\d × \d+\.\d\d in\)/,
  );
  await expect(dialog.getByRole('checkbox', { name: /^Mirror image/ })).toHaveAccessibleName(/OFF/);
  const quality = dialog.getByRole('checkbox', { name: /^Quality/ });
  await expect(quality).toHaveAccessibleName(/best, high speed/);
  await quality.press('Space');
  await expect(quality).toBeChecked();
  await page.keyboard.press('Escape');

  await page.goto(`${address()}/papers`);
  await page.getByRole('button', { name: says('shop.change4', { p: 'Desk printer' }) }).click();
  await page.getByLabel(says('shop.qualityChosen')).fill('Photo, one way');
  await page.getByLabel(says('shop.inkInPrinter')).fill('Violet set');
  await page.getByRole('button', { name: says('shop.savePrinter') }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await open(page, '/job/constellation-mugs/sheet');
  await page.getByRole('button', { name: says('sheet.printerSettings') }).click();
  await expect(quality).toHaveAccessibleName(/Photo, one way/);
});

test('a print is looked at before it is cut: what is found says what to do', async ({ bench: page }) => {
  await open(page, '/job/constellation-mugs/sheet');
  await page.getByRole('button', { name: says('sheet.checkPrint') }).click();
  const dialog = page.getByRole('dialog', { name: says('sheet.checkPrintTitle') });
  const verdict = dialog.getByRole('status');
  await expect(verdict).toHaveText(says('sheet.noFaultFound'));
  await dialog.getByRole('checkbox', { name: /^Still wet/ }).check();
  await expect(verdict).toHaveText(says('sheet.onlyDry'));
  await dialog.getByRole('checkbox', { name: /^Missing lines/ }).check();
  await expect(verdict).toHaveText(says('sheet.printAgain'));
  await expect(dialog).toContainText(says('sheet.missingLinesFix'));
  await dialog.getByRole('checkbox', { name: /^Missing lines/ }).uncheck();
  await expect(verdict).toHaveText(says('sheet.onlyDry'));
});

test('fine lines across a piece lead to the printer, by one question', async ({ bench: page }) => {
  await open(page, '/job/constellation-mugs/inspect');
  await page.getByRole('button', { name: says('inspect.printLines'), exact: true }).click();
  await page.keyboard.press('Enter');
  await page.getByText(says('common.cause'), { exact: true }).first().click();
  await expect(page.getByText(says('inspect.nozzles')).first()).toBeVisible();
});

test('each person has a list of what to do next, on the screen and on paper', async ({ bench: page }) => {
  await page.goto(`${address()}/schedule`);
  await page.getByRole('radio', { name: says('schedule.workLists') }).click();
  const lists = page.getByRole('region', { name: says('schedule.workLists') });
  await expect(lists.getByRole('listitem').first()).toBeVisible();
  // The schedule is improved while it is read: both are compared until they are of the same one.
  await expect(async () => {
    const first = await lists.getByRole('listitem').locator('span.text-lead').allTextContents();
    const pdf = await download(page, () =>
      lists.getByRole('button', { name: says('schedule.saveWorkLists') }).click(),
    );
    const words = wordsOf(pdf).replace(/\s+/g, ' ');
    for (const text of first) expect(words).toContain(text.slice(0, 30).trim());
  }).toPass();
});

test('care cards carry the shop’s own text into every job, and nothing only a maker can promise', async ({
  bench: page,
}) => {
  await page.goto(`${address()}/finish/constellation-mugs`);
  const cards = page.getByRole('region', { name: says('finish.careCards') });
  const text = cards.getByRole('textbox');
  await text.fill('Dishwasher safe for ever.');
  await expect(cards.getByRole('status')).toContainText(/ishwasher/);
  await text.fill('Wash by hand. Dry Fork Bench.');
  await text.blur();
  const pdf = await download(page, () => cards.getByRole('button', { name: /PDF/ }).click());
  expect(wordsOf(pdf).match(/Wash by hand/g)).toHaveLength(18);
  await page.goto(`${address()}/finish/star-map-panel`);
  await expect(cards.getByRole('textbox')).toHaveValue('Wash by hand. Dry Fork Bench.');
});

test('the log is filtered and compared by its supplies', async ({ bench: page }) => {
  await page.goto(`${address()}/logbook`);
  await page.getByRole('button', { name: says('logbook.filter2') }).click();
  await page.getByRole('combobox', { name: says('common.transferPaper') }).click();
  await page.getByRole('option', { name: 'A4', exact: true }).click();
  await expect(page.getByText(/^4 of 27 entries|^4 entries/).first()).toBeVisible();
  await page.getByRole('radio', { name: says('logbook.charts') }).click();
  const suppliers = page.getByRole('region', { name: says('common.supplier') });
  // 11 and 9 good with one spoiled at one supplier; 18 good with one spoiled at the other.
  await expect(suppliers.getByRole('button', { name: /^Basin Supply: 20 good of 21/ })).toBeVisible();
  await expect(suppliers.getByRole('button', { name: /^Fork Traders: 18 good of 19/ })).toBeVisible();
  await expect(page.getByText(says('logbook.suppliesAlike'))).toBeVisible();
});
