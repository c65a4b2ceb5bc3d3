import { fixedPart, opening, says } from './words';
import type { Locator, Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { address, drag, expect, figure, open, saved, storedRuns, test } from './app';

/** The day is planned by the clock: it is nine on a Friday. */
const NINE = new Date(2026, 10, 27, 9, 0).getTime();
test.use({ baseURL: address(), ownContext: true });
test.beforeEach(async ({ page }) => {
  await page.clock.install({ time: NINE });
});

const go = async (page: Page, path: string, heading: string | RegExp) => {
  await page.goto(`${address()}${path}`);
  await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
};
const jobs = (page: Page): Locator => page.getByRole('region', { name: says('common.jobs') });
const day = async (page: Page) => {
  await go(page, '/schedule', 'Friday');
  await expect(figure(page, says('schedule.lastPiecePacked'))).toBeVisible({ timeout: 30_000 });
  // The first plan has become the whole plan.
  await expect(page.getByRole('banner')).not.toContainText('…', { timeout: 30_000 });
};
const field = async (page: Page, label: string, text: string) => {
  const box = page.getByLabel(label, { exact: true });
  await box.fill(text);
  await box.press('Enter');
};
const circuitOf = (page: Page, name: string): Locator => page.getByRole('group', { name });

/** What, how many and by when, as the job’s own dialog takes it. */
async function details(page: Page, job: string, fields: Readonly<Record<string, string>>): Promise<void> {
  await open(page, `/job/${job}/blank`);
  await page.getByTitle(says('job.namePiecesDueDay')).click();
  const dialog = page.getByRole('dialog');
  for (const [label, text] of Object.entries(fields))
    await dialog.getByLabel(label, { exact: true }).fill(text);
  await dialog.getByRole('button', { name: says('common.save') }).click();
  await saved(page);
}

test('a market batch of 60 mugs, from its quote to packed', async ({ bench: page }, info) => {
  await test.step('60 pieces', () =>
    details(page, 'constellation-mugs', { Pieces: '60', Due: '2026-12-03' }));

  await test.step('what they cost, and a quote', async () => {
    await go(page, '/pricing?job=constellation-mugs', 'Pricing');
    const price = page.getByRole('region', { name: says('common.price') });
    await expect(price.getByRole('heading', { level: 2 }).first()).toContainText('Constellation mugs', {
      timeout: 30_000,
    });
    await price.getByRole('radio', { name: says('pricing.atAMarket') }).click();
    await field(page, 'Market fee', '10');
    await field(page, 'Customer', 'Hill market');
    // 60 × (75.60 + 9.00) ÷ 36.
    await expect(figure(page, opening('common.blank'))).toContainText('$141.00');
    await figure(page, opening('common.blank')).getByRole('button').click();
    await expect(figure(page, opening('common.blank'))).toContainText(
      '(case $75.60 + carriage $9.00) ÷ 36 × 60',
    );
    const parts = await page
      .getByRole('complementary', { name: says('common.details') })
      .locator('li')
      .evaluateAll((all) =>
        all.map((li) => Number((/\$([\d,]+\.\d\d)/.exec(li.textContent ?? '')?.[1] ?? '0').replace(',', ''))),
      );
    // Nine parts and their sum, to the hundredth.
    const sum = parts.slice(0, 9).reduce((a, b) => a + Math.round(b * 100), 0);
    expect(sum).toBe(Math.round((parts[9] ?? 0) * 100));
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: says('pricing.createQuotePdf') }).click();
    const file = await download;
    expect(file.suggestedFilename()).toBe('quote-1.pdf');
    const path = info.outputPath('quote.pdf');
    await file.saveAs(path);
    expect(readFileSync(path).subarray(0, 5).toString()).toBe('%PDF-');
    const quotes = page.getByRole('region', { name: says('pricing.quotes') });
    await expect(quotes).toContainText(says('pricing.quoteNumber', { number: '1' }));
    await quotes.getByRole('button', { name: says('pricing.markSent') }).click();
    await quotes.getByRole('button', { name: says('pricing.accepted') }).click();
    await expect(quotes).toContainText(/made .* · sent .* · accepted/);
  });

  await test.step('two cases are wanted, ordered, and come in under a lot', async () => {
    await go(page, '/stock', 'Stock');
    await page.getByRole('radio', { name: says('stock.toOrder') }).click();
    const items = page.getByRole('region', { name: says('stock.items') });
    await expect(items).toContainText(/325 ml mug\s*Order 2 cases by Fri 27 Nov/, { timeout: 30_000 });
    await items.getByRole('button', { name: /325 ml mug/ }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: /Order 72/ }).click();
    await dialog.getByLabel(says('stock.lot'), { exact: true }).fill('M-130');
    await dialog.getByRole('button', { name: says('stock.markReceived') }).click();
    await expect(dialog.getByRole('region', { name: says('stock.ledger') })).toContainText(/came in.*M-130/);
    await expect(dialog).toContainText('102 pieces on hand');
    await dialog.getByRole('button', { name: says('common.close') }).click();
  });

  await test.step('they are laid out in the day', async () => {
    await day(page);
    await jobs(page)
      .getByRole('button', { name: /Constellation mugs/ })
      .click();
    await expect(page.getByRole('region', { name: says('schedule.placeSchedule') })).toContainText(
      '60 of 60 to press',
    );
  });

  await test.step('what is pressed is taken from stock, and the rest is scheduled again', async () => {
    await page.goto(`${address()}/press/constellation-mugs`);
    await page.getByRole('button', { name: says('press.firstPiece') }).click();
    await expect.poll(async () => (await storedRuns(page)).length).toBe(1);
    const steps = (await storedRuns(page))[0]?.operations.filter((o) => o.stage === 'press').length ?? 0;
    for (let i = 0; i < steps; i += 1) {
      await page.waitForTimeout(700);
      const early = page.getByRole('button', { name: says('press.openedEarly') });
      if (await early.isVisible()) await early.click();
      else await page.keyboard.press(' ');
      await expect.poll(async () => (await storedRuns(page))[0]?.events.length ?? 0).toBe(i + 1);
    }
    await go(page, '/stock', 'Stock');
    await expect(page.getByRole('row', { name: /325 ml mug/ })).toContainText('101 pieces');
    await day(page);
    await jobs(page)
      .getByRole('button', { name: /Constellation mugs/ })
      .click();
    await expect(page.getByRole('region', { name: says('schedule.placeSchedule') })).toContainText(
      '59 of 60 to press',
    );
  });

  await test.step('finished, labelled and packed, they leave the day', async () => {
    await go(page, '/finish/constellation-mugs', 'Finishing');
    const steps = page.getByRole('region', { name: says('common.steps') });
    await steps.getByRole('checkbox').first().click();
    await expect(steps.getByRole('checkbox').first()).toBeChecked();
    const text = page.getByLabel(fixedPart('finish.textLabelThosePiece'));
    await text.fill('Constellation mug {number} of 60\nDishwasher safe');
    await expect(page.getByText(fixedPart('finish.makerBlankSay'))).toBeVisible();
    await text.fill('Constellation mug {number} of 60\nWash by hand');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: '60 labels on 3 sheets, PDF' }).click();
    expect((await download).suggestedFilename()).toBe('labels.pdf');
    const packed = page.getByRole('region', { name: says('finish.packedPieces') });
    await packed.getByRole('button', { name: says('finish.oneMorePacked') }).click();
    await expect(packed).toContainText('1 of 60');
    await packed.getByRole('button', { name: says('finish.allLeft') }).click();
    // One was counted good at the press: the rest is asked about.
    await page
      .getByRole('alertdialog', { name: says('finish.packPieces', { asking: '59' }) })
      .getByRole('button', { name: /^Pack \d+$/ })
      .click();
    await expect(packed).toContainText('60 of 60');
    await day(page);
    await expect(jobs(page)).toContainText(/Not scheduled\s*Constellation mugs\s*all packed/);
  });
});

test('two jobs on one circuit are warmed up one after the other; a breaker too small for a press is said', async ({
  bench: page,
}) => {
  await go(page, '/settings', 'Settings');
  const one = circuitOf(page, 'Circuit 1');
  const breaker = one.getByLabel(says('shop.breaker'), { exact: true });
  await breaker.fill('19');
  await breaker.press('Enter');
  await day(page);
  const line = figure(page, says('shop.circuit', { all: '1' }));
  await expect(line).toContainText(says('schedule.continuousLoadPressesWarmed', { carriesA: '15.2' }));
  await line.getByRole('button').first().click();
  await expect(line).toContainText('a licensed electrician decide');
  const most = Number(/([\d.]+) A/.exec((await line.textContent()) ?? '')?.[1]);
  expect(most).toBeLessThanOrEqual(15.2);
  await expect(page.getByRole('list', { name: says('schedule.problems') })).not.toContainText('carries');

  await go(page, '/settings', 'Settings');
  await breaker.fill('8');
  await breaker.press('Enter');
  await day(page);
  await expect(page.getByRole('list', { name: says('schedule.problems') })).toContainText(
    /Circuit 1 carries 6\.4 A continuously; .* on it draws .* A\. Connect it to another circuit/,
  );
  // A figure that is no hours is said, and what stood stays.
  await go(page, '/settings', 'Settings');
  await field(page, 'Friday', '17-9');
  await expect(page.getByText(/ends before it begins/)).toBeVisible();
});

test('a job at risk: until when it must begin, put first, locked, and undone', async ({ bench: page }) => {
  await go(page, '/settings', 'Settings');
  await field(page, 'People', '1');
  await details(page, 'star-party-tumblers', { Due: '2026-11-27', At: '11:20' });
  await day(page);
  const way = page.getByRole('list', { name: says('schedule.problems') });
  await expect(way).toContainText(
    /Star party crew tumblers (must start by \d\d:\d\d to be ready by 11:20|is unlikely to be ready by 11:20)/,
  );

  await jobs(page)
    .getByRole('button', { name: /Slate trail markers/ })
    .click();
  const place = page.getByRole('region', { name: says('schedule.placeSchedule') });
  const before = await jobs(page)
    .getByRole('button', { name: /Slate trail markers/ })
    .textContent();
  await place.getByLabel(says('schedule.notBefore')).fill('16:50');
  await place.getByRole('button', { name: says('schedule.lockHere') }).click();
  await expect(place.getByRole('button', { name: says('schedule.unlock') })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: says('schedule.changes') })).toContainText(
    'Slate trail markers',
    {
      timeout: 30_000,
    },
  );
  await expect(jobs(page).getByRole('button', { name: /Slate trail markers/ })).not.toHaveText(before ?? '');
  await page
    .getByRole('region', { name: says('schedule.changes') })
    .getByRole('button', { name: says('common.undo') })
    .click();
  await expect(place.getByRole('button', { name: says('schedule.unlock') })).toHaveCount(0, {
    timeout: 30_000,
  });

  // Dragged to a later time, it is locked there.
  await place.getByRole('button', { name: says('common.close') }).click();
  await page.getByRole('radio', { name: says('schedule.wholeSchedule') }).click();
  const bar = page.locator('[data-group="slate-trail-markers"]').first();
  await drag(page, bar, { x: 60 });
  await expect(place.getByRole('button', { name: says('schedule.unlock') })).toBeVisible({ timeout: 30_000 });
  await place.getByRole('button', { name: says('schedule.unlock') }).click();
  await expect(place.getByRole('button', { name: says('schedule.unlock') })).toHaveCount(0, {
    timeout: 30_000,
  });

  // A second pair of hands is asked of the same day.
  const what = page.getByRole('region', { name: says('common.whatIf') });
  await expect(what).toContainText(/One more person.*(sooner|no difference)/, { timeout: 30_000 });
  await what.getByRole('button', { name: says('schedule.calculate') }).click();
  await expect(what.getByRole('status')).toContainText('24 more of', { timeout: 30_000 });
});

test('nobody to work, no hours, no job: said, with the way out', async ({ bench: page }) => {
  await go(page, '/settings', 'Settings');
  await field(page, 'People', '0');
  await go(page, '/schedule', 'Friday');
  await expect(page.getByRole('list', { name: says('schedule.problems') })).toContainText(
    fixedPart('schedule.peopleSetEnterTheir'),
    {
      timeout: 30_000,
    },
  );
  await go(page, '/settings', 'Settings');
  const price = page.getByLabel(says('shop.wagePerHour'));
  await price.fill('12.345');
  await price.press('Enter');
  await expect(page.getByText(/An amount is written 12\.50/)).toBeVisible();
});

test('sheets that were printed leave the stock with their ink, and come back', async ({ bench: page }) => {
  const onShelf = async (name: RegExp): Promise<Locator> => {
    await go(page, '/stock', 'Stock');
    return page.getByRole('row', { name });
  };
  await expect(await onShelf(/^Letter/)).toContainText(/160 sheets/);
  await open(page, '/job/constellation-mugs/sheet');
  await page.getByRole('button', { name: says('sheet.printed') }).click();
  const said = page.getByRole('dialog', { name: says('sheet.sheetsPrinted') });
  await said.getByRole('textbox', { name: says('sheet.sheetsPrinted') }).fill('4');
  await expect(said).toContainText(/That is 4 sheets of Letter and about [\d.]+ ml of ink/);
  await said.getByRole('button', { name: says('common.takeFromStock') }).click();
  const undo = page.getByRole('button', { name: says('common.undo'), exact: true }).last();
  await expect(page.getByText(/^4 sheets of Letter .* taken from stock/)).toBeVisible();
  await undo.click();
  await page.getByRole('button', { name: says('sheet.printed') }).click();
  await said.getByRole('textbox', { name: says('sheet.sheetsPrinted') }).fill('0');
  await said.getByRole('textbox', { name: says('sheet.sheetsPrinted') }).blur();
  await expect(said.getByRole('alert')).toContainText('from 1 to 999');
  await said.getByRole('textbox', { name: says('sheet.sheetsPrinted') }).fill('2');
  await said.getByRole('button', { name: says('common.takeFromStock') }).click();
  await expect(page.getByText(/^2 sheets of Letter .* taken from stock/)).toBeVisible();
  await expect(await onShelf(/^Letter/)).toContainText(/158 sheets/);
});

test('the stock is counted tablet in hand, and comes in as a table', async ({ bench: page }, info) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await go(page, '/stock', 'Stock');
  await page.getByRole('radio', { name: says('stock.count') }).click();
  await page.getByRole('button', { name: says('stock.oneLess', { item: '325 ml mug' }) }).click();
  const line = page
    .getByRole('region', { name: says('stock.items') })
    .getByRole('listitem')
    .filter({ hasText: '325 ml mug' });
  await line.getByRole('button', { name: says('stock.saveCount') }).click();
  await expect(line).toContainText('difference −1');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: says('stock.csv'), exact: true }).click();
  const path = info.outputPath('stock.csv');
  await (await download).saveAs(path);
  expect(readFileSync(path, 'utf8')).toMatch(/shelf-mug-325,blank,mug-325,325 ml mug,pieces,29,/);
  const table = page.getByLabel(says('stock.shelfTable'));
  await table.setInputFiles({
    name: 's.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,on hand\n325 ml mug,-4\n'),
  });
  await expect(page.getByText(/row 2.*0 or more/)).toBeVisible();
  await table.setInputFiles({
    name: 's.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,on hand\n325 ml mug,31\n'),
  });
  await expect(page.getByText('1 item taken in.')).toBeVisible();
  await page.getByRole('radio', { name: says('stock.allItems'), exact: true }).click();
  await expect(page.getByRole('row', { name: /325 ml mug/ })).toContainText('31 pieces');
});
